"""How many of five somebody gave, drawn as stars and told in words."""

from collections.abc import Iterator
from functools import cache
from typing import TYPE_CHECKING, Any

import icu
from markupsafe import Markup

from formulon.core.site.markup import html
from formulon.core.site.slot_types.base import SlotType, Work

if TYPE_CHECKING:
    from formulon.core.site.kind import Slot
    from formulon.core.site.render import View
    from formulon.core.site.site import Section

MOST = 5
_STAR = "M12 2.5l2.9 6.2 6.8.8-5 4.7 1.3 6.7-6-3.3-6 3.3 1.3-6.7-5-4.7 6.8-.8z"
_HALF = "M12 2.5v15.1l-6 3.3 1.3-6.7-5-4.7 6.8-.8z"
_WIDE = 25  # of a star with its gap, in the drawing's own units


class Rating(SlotType):
    """A number of halves of stars from a half to five; 0 for none."""

    drawn_as = "text"
    high = 1.25  # the style sheet's rating.css says the same

    def validate(self, slot: "Slot", value: Any) -> float:
        if isinstance(value, bool) or not isinstance(value, int | float) or not 0 <= value <= MOST or value * 2 % 1:
            raise ValueError(f"{slot.label} takes a number from 0 to {MOST} in steps of a half.")
        return float(value)

    def blank(self, slot: "Slot") -> float:
        return float(MOST)

    def render(self, view: "View", section: "Section", path: str, slot: "Slot") -> Markup:
        value = view.value(section, path)
        if not self.filled(value):
            return Markup("")
        told = view.say("rated", given=number(value, view.language), most=number(MOST, view.language)) or f"{value:g}/{MOST}"
        return html(
            '<p class="rating i-heading slot--%s" role="img" aria-label="%s"%s>%s</p>',
            path.split("/")[-1], told, view.marks(path), Markup(drawing(value)),
        )  # fmt: skip

    def facts(self, work: Work, place: Any, section: "Section", slot: "Slot", value: Any, ground: str) -> Iterator[Any]:
        yield from ()

    def parts(self, value: Any) -> tuple[str, ...]:
        return ("rating",)


@cache
def drawing(value: float) -> str:
    """The stars of a value: those that were given are filled."""
    made = []
    for index in range(MOST):
        filled = _STAR if value >= index + 1 else _HALF if value > index else ""
        inside = f'<path class="given" d="{filled}"/>' if filled else ""
        made.append(f'<g transform="translate({index * _WIDE} 0)">{inside}<path d="{_STAR}"/></g>')
    return f'<svg viewBox="0 0 {_WIDE * MOST} 24" aria-hidden="true">{"".join(made)}</svg>'


@cache
def number(value: float, language: str) -> str:
    """A number as a language writes it. Source: CLDR, by ICU."""
    return str(icu.NumberFormat.createInstance(icu.Locale.forLanguageTag(language)).format(float(value)))


TYPE = Rating()
