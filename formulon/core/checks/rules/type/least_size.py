"""Running text is large enough to read (common practice)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.own_mends import RAISED, own_css
from formulon.core.checks.page_facts import Style
from formulon.core.checks.rule import COMMON_PRACTICE, Verdict, rule


@rule(
    id="type/least-size",
    title="Text is large enough to read",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=Style,
    applies_if=lambda one: len(one.text) > 2,
    options={"least": 12.0},
    rationale="Below 12 px letters run into one another on many screens.",
    messages={"small": "“{text}” is set at {measured} px; {required} is the least."},
    mend=own_css(RAISED),
)
def least_size(one: Style, options: Mapping[str, float]) -> Iterator[Verdict]:
    if one.size < options["least"] - 0.01:
        yield Verdict("small", one.size, options["least"], "px", values={"text": one.text[:60]})
