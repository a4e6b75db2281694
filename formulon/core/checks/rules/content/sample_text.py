"""No sample text is left (common practice)."""

import re
from collections.abc import Iterator, Mapping

from formulon.core.checks.page_facts import TextRun
from formulon.core.checks.rule import COMMON_PRACTICE, Remedy, Verdict, rule
from formulon.core.checks.rules.content.slots import without_sentences
from formulon.core.site.site import Site
from formulon.core.system.system import System

_SAMPLE = re.compile(
    r"lorem ipsum|dolor sit amet|consectetur adipisci|(?-i:\b(?:TODO|FIXME|TBD)\b(?=\s*:|$))|(?:your|ihr) text (?:here|hier)|(?:insert|enter) (?:text|headline|title) here"
    r"|blindtext|platzhaltertext|sample text|placeholder text|(?:heading|headline|title) goes here|untitled (?:page|document)",
    re.IGNORECASE,
)

_ONE_OF = (
    "lorem ipsum",
    "dolor sit",
    "consectetur",
    "todo",
    "fixme",
    "tbd",
    "text",
    " here",
    "untitled",
)  # is in every one of them


def mend(site: Site, _: System, run: TextRun, verdict: Verdict, __: Mapping[str, float]) -> Iterator[Remedy]:
    yield from without_sentences(site, run.place, run.text, lambda one: bool(_SAMPLE.search(one)))


@rule(
    id="content/sample-text",
    title="No sample text is left",
    standard=COMMON_PRACTICE,
    severity="stop",
    looks_at=TextRun,
    applies_if=lambda run: bool(run.text.strip()),
    rationale="Sample text that goes out says that nobody has read the page.",
    messages={"left": "“{text}” reads as sample text."},
    mend=mend,
)
def sample_text(run: TextRun, _: Mapping[str, float]) -> Iterator[Verdict]:
    text = run.text.casefold()
    if any(one in text for one in _ONE_OF) and _SAMPLE.search(run.text):
        yield Verdict("left", values={"text": run.text[:60]})
