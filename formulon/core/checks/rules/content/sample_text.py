"""No sample text is left (common practice)."""

import re
from collections.abc import Iterator, Mapping

from formulon.core.checks.page_facts import TextRun
from formulon.core.checks.rule import COMMON_PRACTICE, Verdict, rule

_SAMPLE = re.compile(
    r"lorem ipsum|dolor sit amet|consectetur adipisci|\b(?:TODO|FIXME|TBD|xxx+)\b|(?:your|ihr) text (?:here|hier)|(?:insert|enter) (?:text|headline|title) here"
    r"|blindtext|platzhaltertext|sample text|placeholder text|(?:heading|headline|title) goes here|untitled (?:page|document)",
    re.IGNORECASE,
)


@rule(
    id="content/sample-text",
    title="No sample text is left",
    standard=COMMON_PRACTICE,
    severity="stop",
    looks_at=TextRun,
    applies_if=lambda run: bool(run.text.strip()),
    rationale="Sample text that goes out says that nobody has read the page.",
    messages={"left": "“{text}” reads as sample text."},
)
def sample_text(run: TextRun, _: Mapping[str, float]) -> Iterator[Verdict]:
    if _SAMPLE.search(run.text):
        yield Verdict("left", values={"text": run.text[:60]})
