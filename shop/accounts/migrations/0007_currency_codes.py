"""A workshop's currency is one of those there are; until now it was whatever somebody typed."""

from babel.core import get_global
from django.db import migrations

SIGNS = {"\u20ac": "EUR", "$": "USD", "\u00a3": "GBP", "\u00a5": "JPY", "euro": "EUR", "euros": "EUR", "dollar": "USD"}


def to_codes(apps, schema_editor):
    Workshop = apps.get_model("accounts", "Workshop")
    places = get_global("territory_currencies").values()
    codes = {code for place in places for code, _, until, tender in place if until is None and tender}
    for row in Workshop.objects.exclude(currency=""):
        typed = row.currency.strip()
        code = SIGNS.get(typed.lower(), typed.upper())
        row.currency = code if code in codes else ""
        row.save(update_fields=["currency"])


class Migration(migrations.Migration):
    dependencies = [("accounts", "0006_workshop_machines_workshop_tables")]
    operations = [migrations.RunPython(to_codes, migrations.RunPython.noop)]
