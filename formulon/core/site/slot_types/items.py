"""A list of items, each with slots of its own."""

from collections.abc import Iterator
from typing import TYPE_CHECKING, Any

from markupsafe import Markup

from formulon.core.site.slot_types.base import SlotType, Work

if TYPE_CHECKING:
    from formulon.core.site.kind import Slot
    from formulon.core.site.render import View
    from formulon.core.site.site import Section


class Items(SlotType):
    """Layouts say how items stand, so that regions draw them; facts are those of their slots."""

    collection = True

    def validate(self, slot: "Slot", value: Any) -> list[dict[str, Any]]:
        if not isinstance(value, list) or len(value) > slot.most:
            raise ValueError(f"{slot.label} takes a list of at most {slot.most}.")
        if not all(isinstance(item, dict) for item in value):
            raise ValueError(f"{slot.label} takes a list of objects.")
        unknown = {key for item in value for key in item} - set(slot.items)
        if unknown:
            raise ValueError(f"{slot.label} has no place for “{sorted(unknown)[0]}”.")
        return [{key: slot.items[key].of.validate(slot.items[key], part) for key, part in item.items()} for item in value]

    def blank(self, slot: "Slot") -> list[dict[str, Any]]:
        return [{key: inner.of.blank(inner) for key, inner in slot.items.items() if inner.of.set_in_type}]

    def inner(self, name: str, slot: "Slot", value: Any) -> "Iterator[tuple[str, Slot, Any]]":
        for index, item in enumerate(value or ()):
            for part, own in slot.items.items():
                yield from own.of.inner(f"{name}/{index}/{part}", own, item.get(part))

    def render(self, view: "View", section: "Section", path: str, slot: "Slot") -> Markup:
        return Markup("")

    def facts(self, work: Work, place: Any, section: "Section", slot: "Slot", value: Any, ground: str) -> Iterator[Any]:
        yield from ()


TYPE = Items()
