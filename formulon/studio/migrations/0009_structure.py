"""Sections can be hidden, parked and turned into other kinds, pages have addresses, and the frame has a menu of one's own: documents,
plans and releases get what each of them is by itself, so that nothing counts as changed."""

import copy
from typing import Any

from django.db import migrations

SECTION: dict[str, Any] = {
    "hidden": False, "parked": False, "instead": "", "hidden_on": [], "reason": "", "aside": {},
}  # fmt: skip
PAGE: dict[str, Any] = {"address": "", "searched": True}
FRAME: dict[str, Any] = {"menu": [], "redirects": []}


def completed(value: Any) -> Any:
    """A document, or several, with what it did not have yet."""
    if isinstance(value, list):
        return [completed(one) for one in value]
    if not isinstance(value, dict):
        return value
    made = {key: completed(one) for key, one in value.items()}
    if {"kind", "layout", "content"} <= made.keys():
        made = copy.deepcopy(SECTION) | made
    elif "sections" in made:
        made = PAGE | made
    elif {"header", "footer"} <= made.keys():
        made = copy.deepcopy(FRAME) | made
    return made


def complete(apps: Any, schema_editor: Any) -> None:
    for model, column in (("Document", "body"), ("Brand", "planned"), ("Release", "snapshot")):
        for row in apps.get_model("studio", model).objects.iterator(chunk_size=100):
            made = completed(getattr(row, column))
            if made != getattr(row, column):
                apps.get_model("studio", model).objects.filter(pk=row.pk).update(**{column: made})


class Migration(migrations.Migration):
    dependencies = [("studio", "0008_no_mark_of_undoing")]

    operations = [migrations.RunPython(complete, migrations.RunPython.noop)]
