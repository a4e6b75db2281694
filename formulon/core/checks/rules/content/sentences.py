"""A proposition is one or two sentences (common practice)."""

from collections.abc import Iterator, Mapping

import icu

from formulon.core.checks.page_facts import Words
from formulon.core.checks.rule import COMMON_PRACTICE, Remedy, Verdict, rule
from formulon.core.checks.rules.content.slots import change_slot
from formulon.core.checks.views import SectionView
from formulon.core.site.catalogue import CATALOGUE
from formulon.core.site.site import Site
from formulon.core.system.system import System


def sentences(text: str) -> list[str]:
    """The sentences of a text (UAX #29, by ICU)."""
    breaker = icu.BreakIterator.createSentenceInstance(icu.Locale.getRoot())
    breaker.setText(text)
    # ICU counts in UTF-16.
    units, start, made = text.encode("utf-16-le"), 0, []
    for end in breaker:
        made.append(units[2 * start : 2 * end].decode("utf-16-le").strip())
        start = end
    return [one for one in made if one]


def mend(site: Site, _: System, view: SectionView, verdict: Verdict, options: Mapping[str, float]) -> Iterator[Remedy]:
    if verdict.place:
        kept = " ".join(sentences(verdict.values["text"])[: int(verdict.required or 1)])
        yield Remedy(
            "Keep the first two" if verdict.required == 2 else "Keep the first", change_slot(site, verdict.place, None, kept)
        )


@rule(
    id="content/sentences",
    title="A proposition is said in one or two sentences",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=SectionView,
    rationale="Under a headline stands what one can take in at a glance; the rest has its place further down.",
    messages={"many": "{slot}: {measured} sentences; {required} are taken in at a glance."},
    mend=mend,
    bound="most",
)
def few_sentences(view: SectionView, _: Mapping[str, float]) -> Iterator[Verdict]:
    most = CATALOGUE[view.head.kind].usual.sentences
    for fact in view.facts if most and not view.head.frame else ():
        if isinstance(fact, Words) and fact.place.slot in most:
            found = len(sentences(fact.text))
            if found > most[fact.place.slot]:
                values = {"slot": fact.label, "text": fact.text}
                yield Verdict("many", found, most[fact.place.slot], "sentences", values=values, place=fact.place)
