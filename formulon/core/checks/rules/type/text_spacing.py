"""Nothing is lost when lines, letters and words stand wider apart (WCAG 2.2 SC 1.4.12)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.drawn_facts import SpacedText
from formulon.core.checks.own_mends import GROWING, own_css
from formulon.core.checks.rule import Ref, Verdict, rule


@rule(
    id="type/text-spacing",
    title="Texts may be spaced wider",
    standard=Ref("WCAG 2.2", "1.4.12", "AA"),
    severity="stop",
    looks_at=SpacedText,
    rationale="Some people read only with lines, letters and words set wider; a box of a fixed height then cuts words off.",
    messages={"cut": "With wider spacing some of “{text}” is cut off."},
    mend=own_css(GROWING),
)
def text_spacing(one: SpacedText, _: Mapping[str, float]) -> Iterator[Verdict]:
    yield Verdict("cut", width=one.widths[0], values={"text": one.text[:60]})
