from django.contrib.postgres.indexes import GinIndex, OpClass
from django.contrib.postgres.operations import TrigramExtension
from django.db import migrations, models


class Migration(migrations.Migration):
    dependencies = [("clients", "0003_tape")]
    operations = [
        TrigramExtension(),
        migrations.AddIndex(
            model_name="client",
            index=GinIndex(OpClass(models.F("sound"), name="gin_trgm_ops"), name="client_by_sound"),
        ),
        migrations.AddIndex(
            model_name="client",
            index=GinIndex(OpClass(models.F("phone_digits"), name="gin_trgm_ops"), name="client_by_phone"),
        ),
        migrations.AddIndex(
            model_name="client",
            index=models.Index(fields=["workshop", "archived", "name", "id"], name="client_by_name"),
        ),
    ]
