"""The filled slots of a section."""

from collections.abc import Mapping
from typing import Any

from formulon.core.site.kind import Slot
from formulon.core.site.model import Section


def slot_values(section: Section) -> Mapping[str, tuple[Slot, Any]]:
    """Every filled slot of a section by path, items included ("items/0/title")."""
    found: dict[str, tuple[Slot, Any]] = {}
    for name, slot in section.catalogue.slots.items():
        value = section.content.get(name)
        if not value:
            continue
        if slot.type == "items":
            for index, item in enumerate(value):
                for part, inner in slot.items.items():
                    if item.get(part):
                        found[f"{name}/{index}/{part}"] = inner, item[part]
        else:
            found[name] = slot, value
    return found
