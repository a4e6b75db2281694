"""Headings have words (WCAG 2.2 SC 2.4.6, 1.3.1)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.own_mends import without_empty
from formulon.core.checks.page_facts import EmptyHeading
from formulon.core.checks.rule import Ref, Verdict, rule


@rule(
    id="structure/empty-heading",
    title="Headings have words",
    standard=Ref("WCAG 2.2", "1.3.1", "A"),
    severity="note",
    looks_at=EmptyHeading,
    rationale="A heading without words is read out as one, and leads nowhere in the list of headings.",
    messages={"empty": "This heading has no words."},
    mend=without_empty,
)
def empty_heading(one: EmptyHeading, _: Mapping[str, float]) -> Iterator[Verdict]:
    yield Verdict("empty")
