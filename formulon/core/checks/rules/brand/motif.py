"""The brand's motif stands on its pages (common practice)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.rule import COMMON_PRACTICE, Remedy, Verdict, rule
from formulon.core.checks.views import SiteView
from formulon.core.site.changes import Change
from formulon.core.site.documents import CHOICES
from formulon.core.site.site import Site
from formulon.core.system.documents.choices import Motif
from formulon.core.system.system import System


def mend(site: Site, _: System, __: SiteView, ___: Verdict, ____: Mapping[str, float]) -> Iterator[Remedy]:
    usual = {"op": "add", "path": "/motif/places", "value": Motif().places}
    yield Remedy("At the end of pages and in the footer", (Change(document=CHOICES, patch=[usual]),))
    none = {"op": "add", "path": "/motif/shape", "value": "none"}
    yield Remedy("No motif", (Change(document=CHOICES, patch=[none]),))


@rule(
    id="brand/motif",
    title="The brand’s motif stands on its pages",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=SiteView,
    applies_if=lambda site: any(one.motif for one in site.heads),
    rationale="A motif that was chosen and stands nowhere is believed to be there by everybody who has chosen it.",
    messages={"nowhere": "The {shape} is the brand’s motif, and it stands on no page."},
    mend=mend,
)
def motif(site: SiteView, _: Mapping[str, float]) -> Iterator[Verdict]:
    if not any(one.motifs for one in site.heads):
        shape = next(one.motif for one in site.heads if one.motif)
        yield Verdict("nowhere", values={"shape": shape, "text": shape})
