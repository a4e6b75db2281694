"""Sites have further languages, and say what takes their forms elsewhere: brands and releases get what each of them is by itself, so that
nothing counts as changed."""

from typing import Any

from django.db import migrations

LANGUAGES: dict[str, Any] = {"further": {}}
FORMS_AT = {"forms_at": ""}


def with_frame(bodies: dict[str, Any]) -> dict[str, Any]:
    """Documents by name with a frame in its full form."""
    return bodies | ({"frame": FORMS_AT | bodies["frame"]} if "frame" in bodies else {})


def complete(apps: Any, schema_editor: Any) -> None:
    document, brand, release = (apps.get_model("studio", name) for name in ("Document", "Brand", "Release"))
    for one in document.objects.filter(name="frame").iterator():
        document.objects.filter(pk=one.pk).update(body=FORMS_AT | one.body)
    for one in brand.objects.iterator():
        brand.objects.filter(pk=one.pk).update(planned=with_frame(one.planned))
        document.objects.get_or_create(brand=one, name="languages", defaults={"body": LANGUAGES})
    for one in release.objects.iterator(chunk_size=20):
        release.objects.filter(pk=one.pk).update(snapshot=with_frame(one.snapshot) | {"languages": LANGUAGES})


def without(apps: Any, schema_editor: Any) -> None:
    """Brands without the documents that the version before does not know."""
    apps.get_model("studio", "Document").objects.filter(name="languages").delete()


class Migration(migrations.Migration):
    dependencies = [("studio", "0010_enquiries")]

    operations = [migrations.RunPython(complete, without)]
