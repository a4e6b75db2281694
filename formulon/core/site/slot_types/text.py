"""A text in one step of the scale, with emphasis."""

from collections.abc import Iterator
from typing import TYPE_CHECKING, Any

from markupsafe import Markup

from formulon.core.site.slot_types.base import SlotType, Work, text_of
from formulon.core.site.values import placeholder

if TYPE_CHECKING:
    from formulon.core.site.kind import Slot
    from formulon.core.site.render import View
    from formulon.core.site.site import Section


class Text(SlotType):
    set_in_type = True
    drawn_as = "text"

    def validate(self, slot: "Slot", value: Any) -> str:
        return text_of(slot, value)

    def blank(self, slot: "Slot") -> str:
        return placeholder(slot.label)

    def render(self, view: "View", section: "Section", path: str, slot: "Slot") -> Markup:
        return view.text(section, path)

    def facts(self, work: Work, place: Any, section: "Section", slot: "Slot", value: Any, ground: str) -> Iterator[Any]:
        yield work.words(place, slot.label, value)
        yield from work.text(place, section, slot, value, ground)

    def words(self, value: Any) -> Iterator[str]:
        yield value


TYPE = Text()
