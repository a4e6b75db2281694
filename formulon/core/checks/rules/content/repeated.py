"""No passage stands twice (common practice)."""

from collections import defaultdict
from collections.abc import Iterator, Mapping

from formulon.core.checks.page_facts import PagePlace, Passage
from formulon.core.checks.rule import COMMON_PRACTICE, Remedy, Verdict, rule
from formulon.core.checks.rules.content.slots import change_slot, is_text
from formulon.core.checks.views import SiteView
from formulon.core.site.site import Site
from formulon.core.system.system import System


def _out(site: Site, _: System, __: SiteView, verdict: Verdict, ___: Mapping[str, float]) -> Iterator[Remedy]:
    place = verdict.place
    if place is not None and is_text(site, place):
        yield Remedy("Take it out here", change_slot(site, place, None, None))


@rule(
    id="content/repeated",
    title="No passage stands twice",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=SiteView,
    rationale="Who reads the same paragraph again takes the page for one they have seen, and leaves.",
    messages={"again": "“{words}…” stands in {count} places; this is not the first."},
    mend=_out,
)
def repeated(site: SiteView, _: Mapping[str, float]) -> Iterator[Verdict]:
    places: dict[str, dict[PagePlace, None]] = defaultdict(dict)  # in their order, each once
    for one in site.all_of(Passage):
        places[one.text.casefold()][one.place] = None
    for text, those in places.items():
        for place in list(those)[1:]:
            yield Verdict("again", values={"words": text[:60].rstrip(), "count": len(those), "text": text[:200]}, place=place)
