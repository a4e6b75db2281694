"""Numbers and addresses in texts are the brand's own to the letter (common practice)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.page_facts import Words
from formulon.core.checks.rule import COMMON_PRACTICE, Remedy, Verdict, rule
from formulon.core.checks.rules.content.slots import change_text
from formulon.core.site.site import Site
from formulon.core.system.system import System


def mend(site: Site, _: System, words: Words, __: Verdict, ___: Mapping[str, float]) -> Iterator[Remedy]:
    text = words.text
    for found, meant in words.slips:
        text = text.replace(found, meant)
    changes = change_text(site, words.place, words.text, text) or change_text(site, words.place, *words.slips[0])
    if changes:
        yield Remedy("Write the brand’s own", changes)


@rule(
    id="content/slips",
    title="Numbers and addresses are the brand’s to the letter",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=Words,
    applies_if=lambda words: bool(words.slips),
    rationale="A digit that is wrong sends a visitor to somebody else, and nobody notices: it looks like the right one.",
    messages={"slip": "It says {found}. The brand’s own is {meant}."},
    mend=mend,
)
def slips(words: Words, _: Mapping[str, float]) -> Iterator[Verdict]:
    for found, meant in words.slips:
        yield Verdict("slip", values={"found": f"“{found}”", "meant": f"“{meant}”"})
