"""Nothing is moved by the pointer (common practice)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.drawn_facts import Grown
from formulon.core.checks.own_mends import STILL, own_css
from formulon.core.checks.rule import COMMON_PRACTICE, Verdict, rule


@rule(
    id="layout/still-under-pointer",
    title="Nothing moves under the pointer",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=Grown,
    options={"most": 1.0},
    rationale="A control that takes more room under the pointer, by bolder words or a thicker edge, pushes what stands beside it away.",
    messages={
        "grows": "“{label}” is of another size under the pointer, by {across} px across and {down} px down, and moves what stands beside it."
    },
    bound="most",
    mend=own_css(STILL),
)
def still_under_pointer(one: Grown, options: Mapping[str, float]) -> Iterator[Verdict]:
    more = max(abs(one.across), abs(one.down))
    if more > options["most"]:
        values = {"label": one.label[:60] or one.place.slot, "across": f"{one.across:g}", "down": f"{one.down:g}"}
        yield Verdict("grows", more, options["most"], "px", values=values)
