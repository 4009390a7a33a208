import django.db.models.deletion
import uuid
from django.conf import settings
from django.db import migrations, models


class Migration(migrations.Migration):

    dependencies = [
        ('accounts', '0004_sessions_and_links'),
        ('orders', '0010_life'),
        migrations.swappable_dependency(settings.AUTH_USER_MODEL),
    ]

    operations = [
        migrations.CreateModel(
            name='Moved',
            fields=[
                ('id', models.UUIDField(default=uuid.uuid4, primary_key=True, serialize=False)),
                ('version', models.PositiveIntegerField(default=1)),
                ('created_at', models.DateTimeField(auto_now_add=True)),
                ('changed_at', models.DateTimeField(auto_now=True)),
                ('was', models.DateField()),
                ('to', models.DateField()),
                ('reason', models.CharField(blank=True, max_length=120)),
                ('changed_by', models.ForeignKey(null=True, on_delete=django.db.models.deletion.SET_NULL, related_name='+', to=settings.AUTH_USER_MODEL)),
                ('order', models.ForeignKey(on_delete=django.db.models.deletion.CASCADE, related_name='+', to='orders.order')),
                ('workshop', models.ForeignKey(on_delete=django.db.models.deletion.CASCADE, related_name='+', to='accounts.workshop')),
            ],
            options={
                'verbose_name_plural': 'moved days',
                'indexes': [models.Index(fields=['order', 'created_at'], name='days_of_an_order')],
            },
        ),
    ]
