"""The filled slots of a section."""

from collections.abc import Mapping
from typing import Any

from formulon.core.site.kind import Slot
from formulon.core.site.site import Section


def slot_values(section: Section) -> Mapping[str, tuple[Slot, Any]]:
    """Every filled slot of a section by path, items included ("items/0/title")."""
    found: dict[str, tuple[Slot, Any]] = {}
    for name, slot in section.catalogue.slots.items():
        for path, own, value in slot.of.inner(name, slot, section.content.get(name)):
            found[path] = own, value
    return found
