"""Every page has a title (WCAG 2.2 SC 2.4.2) and a description (common practice)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.page_facts import PageHead
from formulon.core.checks.rule import COMMON_PRACTICE, Ref, Remedy, Verdict, rule
from formulon.core.site.changes import Change
from formulon.core.site.documents import page_document
from formulon.core.site.listing import MOST_DESCRIPTION, descriptions
from formulon.core.site.site import Site
from formulon.core.system.system import System


def mend(site: Site, system: System, head: PageHead, verdict: Verdict, options: Mapping[str, float]) -> Iterator[Remedy]:
    page = site.page(head.place.page)
    if page is None:
        return
    document = page_document(page.id)
    if verdict.code == "no-title":
        title = f"{page.name} – {site.identity.name}"
        patch = {"op": "replace", "path": "/title", "value": title}
        yield Remedy(f"“{title}”", (Change(document=document, patch=[patch]),))
        return
    for description in [*descriptions(site, page, int(options["description-most"])), f"{page.name}: {site.identity.name}."]:
        patch = {"op": "replace", "path": "/description", "value": description}
        yield Remedy(f"“{description}”", (Change(document=document, patch=[patch]),))


@rule(
    id="publishing/title-description",
    title="Every page has a title and a description",
    standard=Ref("WCAG 2.2", "2.4.2", "A"),
    severity="stop",
    looks_at=PageHead,
    options={"description-most": MOST_DESCRIPTION},
    rationale="The title names the page in tabs, search results and screen readers; the description is read in search results.",
    messages={
        "no-title": "The page {name} has no title.",
        "no-description": "The page {name} has no description.",
    },
    mend=mend,
    refs={"no-description": COMMON_PRACTICE},
)
def title_description(head: PageHead, _: Mapping[str, float]) -> Iterator[Verdict]:
    if not head.title.strip():
        yield Verdict("no-title", values={"name": head.name})
    if not head.description.strip():
        yield Verdict("no-description", values={"name": head.name})
