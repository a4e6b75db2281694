"""Something leads to every page (common practice)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.page_facts import Destination
from formulon.core.checks.rule import COMMON_PRACTICE, Remedy, Verdict, rule
from formulon.core.checks.views import SiteView
from formulon.core.site.changes import Change
from formulon.core.site.documents import page_document
from formulon.core.site.site import Site
from formulon.core.system.system import System


def _led_to(site: Site, _: System, __: SiteView, verdict: Verdict, ___: Mapping[str, float]) -> Iterator[Remedy]:
    page = site.page(verdict.place.page) if verdict.place else None
    if page is not None and not page.menu:
        patch = [{"op": "replace", "path": "/menu", "value": True}]
        yield Remedy("Put it into the menu", (Change(document=page_document(page.id), patch=patch),))


@rule(
    id="links/orphan-page",
    title="Something leads to every page",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=SiteView,
    rationale="A page to which no link leads is found by nobody.",
    messages={"orphan": "Nothing on the site leads to “{name}”."},
    mend=_led_to,
)
def orphan_page(site: SiteView, _: Mapping[str, float]) -> Iterator[Verdict]:
    if len(site.heads) < 2:
        return
    led = {
        one.to.removeprefix("page:").partition("#")[0]
        for one in site.all_of(Destination)
        if one.alive and one.to.removeprefix("page:").partition("#")[0] != one.place.page
    }
    for head in site.heads:
        if head.place.page not in led and not head.first and not head.alone:
            yield Verdict("orphan", values={"name": head.name, "text": head.place.page}, place=head.place)
