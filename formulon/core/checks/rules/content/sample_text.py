"""No sample text is left (common practice)."""

import re
from collections.abc import Iterator, Mapping

from formulon.core.checks.page_facts import TextRun
from formulon.core.checks.rule import COMMON_PRACTICE, Remedy, Verdict, rule
from formulon.core.checks.rules.content.slots import change_slot, is_text
from formulon.core.site.site import Site
from formulon.core.system.system import System
from formulon.core.writing.sentences import sentences

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
    if not is_text(site, run.place):
        return
    kept = [one for one in sentences(run.text) if not _SAMPLE.search(one)]
    if kept and "\n" not in run.text:
        yield Remedy("Leave the sentence out", change_slot(site, run.place, None, " ".join(kept)))
    yield Remedy("Take the text out", change_slot(site, run.place, None, None))


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
