"""Ways to a place: where each begins, by the compass, and how one goes; drawn as a map and listed under it."""

from collections.abc import Iterator
from typing import TYPE_CHECKING, Any

from markupsafe import Markup
from pydantic import Field

from formulon.core.site import maps
from formulon.core.site.markup import emphasised, html
from formulon.core.site.slot_types.base import SlotType, Work
from formulon.core.site.values import placeholder
from formulon.core.system.documents.identity import Model
from formulon.core.type.hyphens import hyphenated

if TYPE_CHECKING:
    from formulon.core.site.kind import Slot
    from formulon.core.site.render import View
    from formulon.core.site.site import Section


class Way(Model):
    """One way: in words ("Eight minutes from the station"), from which side it comes, and how one goes."""

    text: str = Field(min_length=1, max_length=200)
    side: maps.From = "n"
    how: maps.How = "foot"


class MapValue(Model):
    ways: list[Way] = Field(default_factory=list, max_length=8)


class MapType(SlotType):
    def validate(self, slot: "Slot", value: Any) -> dict[str, Any]:
        return MapValue.model_validate(value).model_dump()

    def blank(self, slot: "Slot") -> dict[str, Any]:
        return {"ways": [Way(text=placeholder("A way to the place")).model_dump()]}

    def filled(self, value: Any) -> bool:
        return value is not None

    def parts(self, value: Any) -> tuple[str, ...]:
        return ("map", "drawings")

    def render(self, view: "View", section: "Section", path: str, slot: "Slot") -> Markup:
        value = view.value(section, path)
        if not self.filled(value):
            return Markup("")
        gaps = view.preview is not None
        drawn = maps.draw([(one["side"], one["how"]) for one in value["ways"]])
        ways = Markup("").join(
            html('<li class="t-fine i-body">%s</li>', emphasised(hyphenated(one["text"], view.language), gaps))
            for one in value["ways"]
        )
        listed = html('<ol class="map-ways">%s</ol>', ways) if ways else Markup("")
        return html('<div class="map slot--%s"%s>%s%s</div>', path.split("/")[-1], view.marks(path), drawn, listed)

    def facts(self, work: Work, place: Any, section: "Section", slot: "Slot", value: Any, ground: str) -> Iterator[Any]:
        for text in self.words(value):
            yield work.words(place, slot.label, text)
            yield from work.loose(place, text, "fine", ground, "body")

    def words(self, value: Any) -> Iterator[str]:
        for way in value["ways"]:
            yield way["text"]


TYPE = MapType()
