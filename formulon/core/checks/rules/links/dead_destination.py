"""Every button and link leads somewhere (common practice)."""

import difflib
from collections.abc import Iterator, Mapping

from formulon.core.checks.page_facts import Destination
from formulon.core.checks.rule import COMMON_PRACTICE, Remedy, Verdict, rule
from formulon.core.checks.rules.content.slots import relinked
from formulon.core.site.site import Site
from formulon.core.system.system import System


def mend(site: Site, system: System, link: Destination, verdict: Verdict, _: Mapping[str, float]) -> Iterator[Remedy]:
    def likeness(name: str) -> float:
        return difflib.SequenceMatcher(None, link.label.lower(), name.lower()).ratio()

    pages = [page for page in site.pages if page.id != link.place.page]
    for page in sorted(pages, key=lambda page: -likeness(page.name))[:2]:
        if changes := relinked(site, link.place, link.to, f"page:{page.id}"):
            yield Remedy(f"Lead to {page.name}", changes)
    if changes := relinked(site, link.place, link.to, ""):
        yield Remedy("Take it out", changes)


@rule(
    id="links/dead-destination",
    title="Every button and link leads somewhere",
    standard=COMMON_PRACTICE,
    severity="stop",
    looks_at=Destination,
    rationale="A button that does nothing is the first thing a visitor finds, and the last thing they do.",
    messages={
        "empty": "“{label}” leads nowhere.",
        "page-gone": "“{label}” leads to the page “{to}”, which does not exist.",
    },
    mend=mend,
)
def dead_destination(link: Destination, _: Mapping[str, float]) -> Iterator[Verdict]:
    if not link.alive:
        code = "page-gone" if link.to else "empty"
        yield Verdict(code, values={"label": link.label[:60], "to": link.to.removeprefix("page:")})
