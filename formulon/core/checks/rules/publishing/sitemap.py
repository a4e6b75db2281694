"""Search engines find all pages, and none is forbidden by mistake (RFC 9309; sitemaps.org)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.drawn_facts import SiteRoot
from formulon.core.checks.rule import Ref, Verdict, rule

FEW = 5  # pages that are found by their links


@rule(
    id="publishing/sitemap",
    title="Search engines may come, and find all pages",
    standard=Ref("RFC 9309"),
    severity="note",
    looks_at=SiteRoot,
    rationale="A line that kept robots out while a site was made keeps them out for good where it is forgotten.",
    messages={
        "forbidden": "The file for robots forbids everything to everybody.",
        "none": "The site has {count} pages and no sitemap.xml that lists them.",
    },
    refs={"none": Ref("sitemaps.org protocol")},
)
def sitemap(root: SiteRoot, _: Mapping[str, float]) -> Iterator[Verdict]:
    if root.forbids_all:
        yield Verdict("forbidden")
    elif not root.sitemap and root.pages > FEW and root.robots:
        yield Verdict("none", values={"count": root.pages})
