"""No stretch of a page is empty (common practice)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.drawn_facts import Gap
from formulon.core.checks.rule import COMMON_PRACTICE, Verdict, rule


@rule(
    id="layout/gap",
    title="No stretch of a page is empty",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=Gap,
    options={"most": 640.0},
    bound="most",
    rationale="Where most of a screen shows nothing, people take the page to have ended.",
    messages={"gap": "{measured} px of the page show nothing; {required} is the most on a screen."},
)
def gap(one: Gap, options: Mapping[str, float]) -> Iterator[Verdict]:
    if one.height > options["most"]:
        yield Verdict("gap", one.height, options["most"], "px", width=one.width)
