"""A browser has nothing to complain of (common practice)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.drawn_facts import Complaint
from formulon.core.checks.rule import COMMON_PRACTICE, Verdict, rule


@rule(
    id="publishing/complaints",
    title="The browser has nothing to complain of",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=Complaint,
    rationale="What a browser refuses or cannot do it says in its console, where visitors do not look: a style that is not let in, a file of the wrong type.",
    messages={"said": "The browser says: {text}"},
)
def complaints(one: Complaint, _: Mapping[str, float]) -> Iterator[Verdict]:
    yield Verdict("said", values={"text": one.text})
