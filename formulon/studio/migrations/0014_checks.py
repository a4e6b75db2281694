"""Brands say how they are checked, and what of it is waived; pages are measured; releases keep what was found."""

from typing import Any

import django.db.models.deletion
import django.utils.timezone
from django.db import migrations, models

CHECKS: dict[str, Any] = {"weights": {}, "notes_hold": False, "measured": True, "waivers": []}


def complete(apps: Any, schema_editor: Any) -> None:
    document, brand, release = (apps.get_model("studio", name) for name in ("Document", "Brand", "Release"))
    for one in brand.objects.iterator():
        document.objects.get_or_create(brand=one, name="checks", defaults={"body": CHECKS})
    for one in release.objects.iterator(chunk_size=20):
        release.objects.filter(pk=one.pk).update(snapshot=one.snapshot | {"checks": CHECKS})


def without(apps: Any, schema_editor: Any) -> None:
    """Brands without the documents that the version before does not know."""
    apps.get_model("studio", "Document").objects.filter(name="checks").delete()


class Migration(migrations.Migration):
    dependencies = [("studio", "0013_phone_preview")]

    operations = [
        migrations.AddField("release", "report", models.JSONField(blank=True, default=dict, help_text="What was found all the same: notes and waived findings.")),
        migrations.AddField("release", "measured", models.BooleanField(default=False, help_text="Whether a browser had looked at every page.")),
        migrations.CreateModel(
            name="Measurement",
            fields=[
                ("id", models.BigAutoField(auto_created=True, primary_key=True, serialize=False, verbose_name="ID")),
                ("key", models.CharField(max_length=32)),
                ("state", models.CharField(choices=[("waiting", "Waiting"), ("measuring", "Measuring"), ("done", "Done"), ("failed", "Failed")], default="waiting", max_length=10)),
                ("since", models.DateTimeField(default=django.utils.timezone.now, help_text="When it came into its state, or was looked at last.")),
                ("seen", models.BinaryField(default=b"", help_text="What was seen, packed.")),
                ("problem", models.CharField(blank=True, max_length=300)),
                ("brand", models.ForeignKey(on_delete=django.db.models.deletion.CASCADE, related_name="measurements", to="studio.brand")),
            ],
            options={"constraints": [models.UniqueConstraint(fields=("brand", "key"), name="one_measurement")]},
        ),
        migrations.RunPython(complete, without),
    ]
