"""Lines of running text stand apart; larger ones may be tighter (common practice; WCAG 2.2 SC 1.4.12 asks that 1.5 can be set)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.own_mends import SPACED, own_css
from formulon.core.checks.page_facts import Style
from formulon.core.checks.rule import COMMON_PRACTICE, Verdict, rule


@rule(
    id="type/line-height",
    title="Lines of running text stand apart",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=Style,
    applies_if=lambda one: not one.level and one.lines > 2 and one.line > 0 and one.size <= 22,
    options={"least": 1.25},
    rationale="Lines that nearly touch lead the eye into the next but one.",
    messages={"tight": "The lines of “{text}” are {measured} of its size apart; {required} is the least."},
    mend=own_css(SPACED),
)
def line_height(one: Style, options: Mapping[str, float]) -> Iterator[Verdict]:
    if one.line / one.size < options["least"] - 0.005:
        yield Verdict("tight", one.line / one.size, options["least"], "", values={"text": one.text[:60]})
