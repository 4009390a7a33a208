"""The choices for the darts of both panels, kept as one for each, so that every garment stays as it was."""

from django.db import migrations

BOTH = ("darts", "dart_place", "dart_intake", "dart_length")


def apart(choices):
    """Choices with each of both panels' said of front and of back."""
    made = {key: value for key, value in choices.items() if key not in BOTH}
    for key in BOTH:
        if choices.get(key) not in (None, ""):
            made = {f"front_{key}": choices[key], f"back_{key}": choices[key]} | made
    return made


def forwards(apps, schema_editor):
    """Every lower garment, half of a jumpsuit, and house rule of one."""
    for row in apps.get_model("orders", "Garment").objects.all():
        halves = {key: value for key, value in row.choices.items() if key == "lower" and isinstance(value, dict)}
        changed = (
            row.choices | {key: half | {"choices": apart(half.get("choices") or {})} for key, half in halves.items()}
            if halves
            else apart(row.choices) if row.method and row.method != "quarter-bust" else row.choices
        )
        if changed != row.choices:
            row.choices = changed
            row.save(update_fields=["choices"])
    for row in apps.get_model("orders", "HouseRule").objects.exclude(method="quarter-bust"):
        changed = apart(row.choices)
        if changed != row.choices:
            row.choices = changed
            row.save(update_fields=["choices"])


class Migration(migrations.Migration):
    dependencies = [("orders", "0008_cut")]
    operations = [migrations.RunPython(forwards, migrations.RunPython.noop)]
