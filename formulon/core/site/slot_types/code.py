"""The designer's own HTML and CSS. Stored as written; what stands on a page is what site/own takes of it."""

from collections.abc import Iterator
from typing import TYPE_CHECKING, Any

from markupsafe import Markup
from pydantic import Field

from formulon.core.site.markup import html
from formulon.core.site.own import scope_of
from formulon.core.site.own.html import cleaned, divided, tree_of, written
from formulon.core.site.slot_types.base import SlotType, Work
from formulon.core.site.values import placeholder
from formulon.core.system.documents.identity import CONTROLS, Model

if TYPE_CHECKING:
    from formulon.core.site.kind import Slot
    from formulon.core.site.render import View
    from formulon.core.site.site import Section

MOST = 20_000  # characters of either


class CodeValue(Model):
    """Own HTML, and own CSS that reaches nothing else."""

    html: str = Field(default="", max_length=MOST)
    css: str = Field(default="", max_length=MOST)


class Code(SlotType):
    drawn_as = "text"

    def validate(self, slot: "Slot", value: Any) -> dict[str, Any]:
        made = CodeValue.model_validate(value)
        return {"html": CONTROLS.sub("", made.html).strip(), "css": CONTROLS.sub("", made.css).strip()}

    def blank(self, slot: "Slot") -> dict[str, Any]:
        return {"html": f"<p>{placeholder('Your own HTML')}</p>", "css": ""}

    def filled(self, value: Any) -> bool:
        return bool(value and value.get("html"))

    def parts(self, value: Any) -> tuple[str, ...]:
        also = {"buttons": "button", "drawings": "drawn:"}
        return ("own", *(part for part, word in also.items() if word in value["html"]))

    def render(self, view: "View", section: "Section", path: str, slot: "Slot") -> Markup:
        value = view.value(section, path)
        if not self.filled(value):
            return Markup("")
        scope = scope_of(section.id, value["html"], value["css"])
        inner = written(divided(cleaned(value["html"], scope).html, view.language), view.href, view.own_picture)
        # Two elements: what is confined cannot reach the one that confines it.
        return html(
            '<div class="own slot--%s"%s><div class="own-in %s">%s</div></div>',
            path.split("/")[-1],
            view.marks(path),
            scope,
            inner,
        )

    def facts(self, work: Work, place: Any, section: "Section", slot: "Slot", value: Any, ground: str) -> Iterator[Any]:
        yield work.words(place, slot.label, " ".join(self.words(value)))
        yield from work.code(place, section, slot, value, ground)

    def words(self, value: Any) -> Iterator[str]:
        for text in tree_of(cleaned(value["html"]).html).itertext():
            if text.strip():
                yield text.strip()


TYPE = Code()
