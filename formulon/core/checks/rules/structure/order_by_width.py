"""Sections are read in the order in which they are seen (WCAG 2.2 SC 2.4.3; technique C27)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.page_facts import SectionHead
from formulon.core.checks.rule import Ref, Remedy, Verdict, rule
from formulon.core.site.changes import Change
from formulon.core.site.documents import page_document
from formulon.core.site.site import Site
from formulon.core.system.system import System


def mend(site: Site, _: System, head: SectionHead, __: Verdict, ___: Mapping[str, float]) -> Iterator[Remedy]:
    page = site.page(head.place.page)
    orders = {} if page is None else {width: order for width, order in page.order_on.items() if width not in head.moved}
    patch = [{"op": "replace", "path": "/order_on", "value": orders}]
    yield Remedy("In the order as it is written", (Change(document=page_document(head.place.page), patch=patch),))


@rule(
    id="structure/order-by-width",
    title="Sections are read in the order in which they are seen",
    standard=Ref("WCAG 2.2", "2.4.3", "A"),
    severity="note",
    looks_at=SectionHead,
    applies_if=lambda head: bool(head.moved),
    rationale="A keyboard and a screen reader meet the sections as they are written, at every width. Where one is seen elsewhere, the focus "
    "jumps there and back.",
    messages={"moved": "On a {widths} it is seen elsewhere than it is read. Make sure that both orders make sense."},
    mend=mend,
)
def order_by_width(head: SectionHead, _: Mapping[str, float]) -> Iterator[Verdict]:
    yield Verdict("moved", values={"widths": " and a ".join(head.moved)})
