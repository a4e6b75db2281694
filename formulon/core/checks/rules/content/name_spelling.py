"""The brand’s name is written as it is written (common practice)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.page_facts import Spelling
from formulon.core.checks.rule import COMMON_PRACTICE, Verdict, rule


@rule(
    id="content/name-spelling",
    title="The brand’s name is written in one way",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=Spelling,
    applies_if=lambda spelling: spelling.what == "name",
    rationale="A name is the first thing that a brand has; in other capitals it is another name.",
    messages={"other": "The name is written “{words}” here."},
)
def name_spelling(one: Spelling, _: Mapping[str, float]) -> Iterator[Verdict]:
    yield Verdict("other", values={"words": one.form, "text": one.form})
