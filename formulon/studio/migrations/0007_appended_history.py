"""The history is only appended to: what was taken back under the old form becomes an entry of its own, after all others. Rows
and columns change in migrations of their own, since PostgreSQL alters no table whose rows are waiting to be checked."""

from typing import Any

from django.db import migrations


def turned(edits: list[dict[str, Any]]) -> list[dict[str, Any]]:
    """The parts of an entry that takes another back."""
    made = []
    for part in edits:
        if "created" in part:
            made.append({"document": part["document"], "revision": part["revision"], "removed": part["created"]})
        elif "removed" in part:
            made.append({"document": part["document"], "revision": part["revision"], "created": part["removed"]})
        else:
            made.append(part | {"forward": part["backward"], "backward": part["forward"]})
    return made


def append(apps: Any, schema_editor: Any) -> None:
    """Entries that were taken back, the newest first, each get one that says so, by the same person and at the same time."""
    Entry = apps.get_model("studio", "Entry")
    for brand_id in Entry.objects.filter(undone=True).order_by("brand_id").values_list("brand_id", flat=True).distinct():
        own = Entry.objects.filter(brand_id=brand_id)
        number = own.order_by("-number").values_list("number", flat=True).first() or 0
        for entry in own.filter(undone=True).order_by("-number"):
            number += 1
            made = Entry.objects.create(
                brand_id=brand_id, number=number, label=f"Taken back: {entry.label}"[:200], author_id=entry.author_id,
                kind="undo", of=entry, edits=turned(entry.edits),
            )  # fmt: skip
            Entry.objects.filter(pk=made.pk).update(created=entry.created)


def take_away(apps: Any, schema_editor: Any) -> None:
    """Back to one mark on each entry. Only what was taken back at the end of a history can be told so."""
    Entry = apps.get_model("studio", "Entry")
    for entry in Entry.objects.filter(kind="undo").order_by("-number"):
        if not Entry.objects.filter(brand_id=entry.brand_id, number__gt=entry.number).exists():
            Entry.objects.filter(pk=entry.of_id).update(undone=True)
            entry.delete()


class Migration(migrations.Migration):
    dependencies = [("studio", "0006_entry_kinds")]

    operations = [migrations.RunPython(append, take_away)]
