"""What the keyboard is on is seen (WCAG 2.2 SC 2.4.7)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.drawn_facts import Focused
from formulon.core.checks.own_mends import RING, own_css
from formulon.core.checks.rule import Ref, Verdict, rule


@rule(
    id="interaction/focus-seen",
    title="What the keyboard is on is seen",
    standard=Ref("WCAG 2.2", "2.4.7", "AA"),
    severity="stop",
    looks_at=Focused,
    rationale="Whoever goes through a page by keys has to see where they are; a page that takes the browser’s ring away leaves them blind.",
    messages={"nothing": "Nothing changes when the keyboard comes to “{label}”."},
    mend=own_css(RING),
)
def focus_seen(focused: Focused, _: Mapping[str, float]) -> Iterator[Verdict]:
    if not focused.changed:
        yield Verdict("nothing", values={"label": focused.label[:60] or focused.place.slot})
