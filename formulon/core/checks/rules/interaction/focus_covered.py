"""What the keyboard is on is not covered (WCAG 2.2 SC 2.4.11)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.drawn_facts import Focused
from formulon.core.checks.rule import Ref, Verdict, rule


@rule(
    id="interaction/focus-covered",
    title="What the keyboard is on is not covered",
    standard=Ref("WCAG 2.2", "2.4.11", "AA"),
    severity="stop",
    looks_at=Focused,
    rationale="A header that stays, or a banner at the foot, may lie over the very control that the keyboard has come to.",
    messages={"covered": "Something lies over all of “{label}” when the keyboard comes to it."},
)
def focus_covered(focused: Focused, _: Mapping[str, float]) -> Iterator[Verdict]:
    if focused.covered:
        yield Verdict("covered", values={"label": focused.label[:60] or focused.place.slot})
