"""What cannot be pressed does not look like what can (common practice)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.drawn_facts import OutOfUse
from formulon.core.checks.rule import COMMON_PRACTICE, Verdict, rule


@rule(
    id="interaction/out-of-use",
    title="Buttons that are out of use look so",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=OutOfUse,
    rationale="Whoever presses a button that is out of use and looks like any other takes the site for broken.",
    messages={"alike": "“{label}” cannot be pressed, and looks like “{like}”, which can."},
)
def out_of_use(one: OutOfUse, _: Mapping[str, float]) -> Iterator[Verdict]:
    yield Verdict("alike", values={"label": one.label[:60] or one.place.slot, "like": one.like[:60]})
