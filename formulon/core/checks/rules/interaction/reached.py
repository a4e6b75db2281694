"""The keyboard comes to everything that can be pressed (WCAG 2.2 SC 2.1.1)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.drawn_facts import Unreached
from formulon.core.checks.rule import Ref, Verdict, rule


@rule(
    id="interaction/reached",
    title="The keyboard comes to all that can be pressed",
    standard=Ref("WCAG 2.2", "2.1.1", "A"),
    severity="note",
    looks_at=Unreached,
    rationale="What can only be pressed by a pointer is not there for everybody else.",
    messages={"not": "The keyboard does not come to “{label}”."},
)
def reached(one: Unreached, _: Mapping[str, float]) -> Iterator[Verdict]:
    yield Verdict("not", values={"label": one.label[:60] or one.place.slot})
