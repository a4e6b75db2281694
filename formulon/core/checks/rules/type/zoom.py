"""Nothing is lost at twice the size (WCAG 2.2 SC 1.4.4)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.own_mends import GROWING, own_css
from formulon.core.checks.page_facts import CutText
from formulon.core.checks.rule import Ref, Verdict, rule

_ZOOMED, _DESK = 640, 1280  # px: what a window of 1280 has at twice the size


@rule(
    id="type/zoom",
    title="Texts stay whole at twice the size",
    standard=Ref("WCAG 2.2", "1.4.4", "AA"),
    severity="stop",
    looks_at=CutText,
    applies_if=lambda cut: _ZOOMED in cut.widths and _DESK not in cut.widths,
    rationale="People who zoom to twice the size see a page in half its width; what is whole before has to be whole then.",
    messages={"cut": "At 200 % some of “{text}” is cut off."},
    mend=own_css(GROWING),
)
def zoom(cut: CutText, _: Mapping[str, float]) -> Iterator[Verdict]:
    yield Verdict("cut", width=_ZOOMED, values={"text": cut.text[:60]})
