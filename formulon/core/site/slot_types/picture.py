"""A picture: a drawing of the library or one of the brand's own."""

from collections.abc import Iterator
from typing import TYPE_CHECKING, Any

from markupsafe import Markup

from formulon.core.site.slot_types.base import SlotType, Work
from formulon.core.site.values import Picture

if TYPE_CHECKING:
    from formulon.core.site.kind import Slot
    from formulon.core.site.render import View
    from formulon.core.site.site import Section


class PictureType(SlotType):
    picture = True
    drawn_as = "picture"

    def validate(self, slot: "Slot", value: Any) -> dict[str, Any]:
        return Picture.model_validate(value).stored()

    def blank(self, slot: "Slot") -> dict[str, Any]:
        return {"source": "drawn:arcs/1", "alt": "", "decorative": True}

    def filled(self, value: Any) -> bool:
        return bool(value and value.get("source"))

    def parts(self, value: Any) -> tuple[str, ...]:
        drawn = ("drawings",) if value["source"].startswith("drawn:") else ()
        return ("pictures", *drawn, *(("credits",) if value.get("credit") else ()))

    def render(self, view: "View", section: "Section", path: str, slot: "Slot") -> Markup:
        return view.picture(section, path)

    def facts(self, work: Work, place: Any, section: "Section", slot: "Slot", value: Any, ground: str) -> Iterator[Any]:
        yield work.picture(place, value)
        if value.get("credit"):
            yield work.words(place, slot.label, value["credit"])
            yield from work.loose(place, value["credit"], "fine", ground, "quiet")

    def words(self, value: Any) -> Iterator[str]:
        if value["alt"] and not value["decorative"]:
            yield value["alt"]
        yield from filter(None, (value.get("credit", ""),))


TYPE = PictureType()
