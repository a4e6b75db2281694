"""Pages are told apart by their titles (WCAG 2.2 SC 2.4.2)."""

from collections import defaultdict
from collections.abc import Iterator, Mapping

from formulon.core.checks.page_facts import PageHead
from formulon.core.checks.rule import Ref, Remedy, Verdict, rule
from formulon.core.checks.views import SiteView
from formulon.core.site.changes import Change
from formulon.core.site.documents import page_document
from formulon.core.site.site import Site
from formulon.core.system.system import System


def _by_name(site: Site, _: System, __: SiteView, verdict: Verdict, ___: Mapping[str, float]) -> Iterator[Remedy]:
    """Each of the pages that are titled alike by its own name."""
    told = " ".join(str(verdict.values["text"]).split())
    alike = [page for page in site.pages if " ".join(page.title.casefold().split()) == told]
    patches = {page.id: [{"op": "replace", "path": "/title", "value": f"{page.name} – {site.identity.name}"}] for page in alike}
    if len({page.name for page in alike}) == len(alike) > 1:
        yield Remedy(
            "Title each by its name", tuple(Change(document=page_document(of), patch=one) for of, one in patches.items())
        )


@rule(
    id="publishing/titles-apart",
    title="Pages are told apart by their titles",
    standard=Ref("WCAG 2.2", "2.4.2", "A"),
    severity="note",
    looks_at=SiteView,
    rationale="In tabs, bookmarks and search results nothing else tells two pages apart.",
    messages={"alike": "{count} pages are titled “{title}”, among them {other}."},
    mend=_by_name,
)
def titles_apart(site: SiteView, _: Mapping[str, float]) -> Iterator[Verdict]:
    by_title: dict[str, list[PageHead]] = defaultdict(list)
    for head in site.heads:
        by_title[" ".join(head.title.casefold().split())].append(head)
    for title, heads in by_title.items():
        if title and len(heads) > 1:
            values = {"count": len(heads), "title": heads[0].title[:80], "other": heads[1].name, "text": title}
            yield Verdict("alike", values=values, place=heads[0].place)
