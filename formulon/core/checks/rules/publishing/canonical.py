"""A page gives its own address as its own (RFC 6596)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.page_facts import PageForm
from formulon.core.checks.rule import Ref, Verdict, rule
from formulon.core.checks.views import SiteView


@rule(
    id="publishing/canonical",
    title="Each page gives an address of its own",
    standard=Ref("RFC 6596"),
    severity="note",
    looks_at=SiteView,
    rationale="Pages that give one address as theirs are one page to search engines, and all but one of them are left out.",
    messages={"same": "{count} pages give the address {address} as theirs."},
)
def canonical(site: SiteView, _: Mapping[str, float]) -> Iterator[Verdict]:
    by_address: dict[str, list[PageForm]] = {}
    for one in site.all_of(PageForm):
        if one.canonical:
            by_address.setdefault(one.canonical, []).append(one)
    for address, pages in by_address.items():
        if len({one.place.page for one in pages}) > 1:
            yield Verdict("same", values={"count": len(pages), "address": address[:120], "text": address}, place=pages[1].place)
