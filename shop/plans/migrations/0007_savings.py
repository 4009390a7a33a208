"""What would save cloth is a saving: the kind of search that tries it was called `ways`."""

from django.apps.registry import Apps
from django.db import migrations
from django.db.backends.base.schema import BaseDatabaseSchemaEditor


def rename(apps: Apps, _: BaseDatabaseSchemaEditor) -> None:
    apps.get_model("plans", "LayRun")._base_manager.filter(kind="ways").update(kind="savings")


class Migration(migrations.Migration):
    dependencies = [
        ("plans", "0006_hand"),
    ]

    operations = [migrations.RunPython(rename, migrations.RunPython.noop)]
