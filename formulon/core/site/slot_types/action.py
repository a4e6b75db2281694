"""A button or a link: its label and where it leads."""

from collections.abc import Iterator
from typing import TYPE_CHECKING, Any

from markupsafe import Markup

from formulon.core.site.markup import html
from formulon.core.site.slot_types.base import SlotType, Work
from formulon.core.site.values import Action, placeholder

if TYPE_CHECKING:
    from formulon.core.site.kind import Slot
    from formulon.core.site.render import View
    from formulon.core.site.site import Section


class ActionType(SlotType):
    drawn_as = "button"

    def validate(self, slot: "Slot", value: Any) -> dict[str, Any]:
        return Action.model_validate(value).stored()

    def blank(self, slot: "Slot") -> dict[str, Any]:
        return {"label": placeholder(slot.label), "to": ""}

    def filled(self, value: Any) -> bool:
        return bool(value and value.get("label"))

    def group(self, slot: "Slot") -> str:
        return "" if slot.variant == "text" else "actions"

    def parts(self, value: Any) -> tuple[str, ...]:
        return ("buttons",)

    def render(self, view: "View", section: "Section", path: str, slot: "Slot") -> Markup:
        made = view.action(section, path)
        return html('<p class="more">%s</p>', made) if made and slot.variant == "text" else made

    def facts(self, work: Work, place: Any, section: "Section", slot: "Slot", value: Any, ground: str) -> Iterator[Any]:
        yield work.words(place, slot.label, value["label"])
        yield from work.action(place, section, slot, value, ground)

    def words(self, value: Any) -> Iterator[str]:
        yield value["label"]


TYPE = ActionType()
