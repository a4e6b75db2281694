"""No text is cut off by the box that it is in (common practice)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.own_mends import GROWING, own_css
from formulon.core.checks.page_facts import CutText
from formulon.core.checks.rule import COMMON_PRACTICE, Verdict, rule

ZOOMED = 640  # px: what a window of 1280 has at twice the size


@rule(
    id="layout/text-cut",
    title="Texts stand whole in their boxes",
    standard=COMMON_PRACTICE,
    severity="stop",
    looks_at=CutText,
    applies_if=lambda cut: cut.widths != (ZOOMED,),  # which type/zoom tells
    rationale="What is cut off cannot be read, and nothing tells that it was there.",
    messages={"cut": "Some of “{text}” lies outside the box that hides what does."},
    mend=own_css(GROWING),
)
def text_cut(cut: CutText, _: Mapping[str, float]) -> Iterator[Verdict]:
    yield Verdict("cut", width=cut.widths[0], values={"text": cut.text[:60]})
