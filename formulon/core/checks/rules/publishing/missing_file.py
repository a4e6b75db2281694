"""All that a page asks for is there (common practice)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.drawn_facts import MissingFile
from formulon.core.checks.rule import COMMON_PRACTICE, Verdict, rule


@rule(
    id="publishing/missing-file",
    title="Files that pages ask for are there",
    standard=COMMON_PRACTICE,
    severity="stop",
    looks_at=MissingFile,
    rationale="A style sheet, a typeface or a picture that is not there changes how the page looks, and the browser asks in vain each time.",
    messages={"missing": "The page asks for “{address}”, which is not there."},
)
def missing_file(one: MissingFile, _: Mapping[str, float]) -> Iterator[Verdict]:
    yield Verdict("missing", values={"address": one.address[:120], "text": one.address})
