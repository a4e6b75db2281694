"""What the keyboard is on is seen in forced colours, in which shadows and grounds are gone (CSS Color Adjustment 1, 3.1)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.drawn_facts import Focused
from formulon.core.checks.own_mends import RING, own_css
from formulon.core.checks.rule import Ref, Verdict, rule

_GONE = {
    "boxShadow",
    "backgroundColor",
    "backgroundImage",
    "color",
    "borderTopColor",
    "borderBottomColor",
    "textDecorationColor",
    "filter",
}


@rule(
    id="interaction/focus-forced",
    title="Focus is seen in forced colours",
    standard=Ref("CSS Color Adjustment 1", "3.1"),
    severity="note",
    looks_at=Focused,
    applies_if=lambda focused: bool(focused.changed),
    rationale="Where people choose their own few colours, a shadow, a ground or another colour tells nothing; an outline, which may be transparent otherwise, does.",
    messages={"gone": "In forced colours nothing tells that the keyboard is on “{label}”: what changes is gone there."},
    mend=own_css(RING),
)
def focus_forced(focused: Focused, _: Mapping[str, float]) -> Iterator[Verdict]:
    if set(focused.changed) <= _GONE:
        yield Verdict("gone", values={"label": focused.label[:60] or focused.place.slot})
