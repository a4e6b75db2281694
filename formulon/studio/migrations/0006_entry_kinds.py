"""Entries of the history say what they are, and which change they take back or make again. Points have names."""

import django.db.models.deletion
from django.db import migrations, models


class Migration(migrations.Migration):
    dependencies = [("studio", "0005_layout_names")]

    operations = [
        migrations.AddField("entry", "kind", models.CharField(max_length=6, default="change", choices=[("change", "Change"), ("undo", "Taken back"), ("redo", "Made again")])),
        migrations.AddField("entry", "of", models.ForeignKey(null=True, on_delete=django.db.models.deletion.CASCADE, related_name="steps", to="studio.entry", help_text="The change that is taken back or made again.")),
        migrations.AddField("entry", "name", models.CharField(max_length=80, blank=True, default="", help_text="What people call this point of the history."), preserve_default=False),
    ]
