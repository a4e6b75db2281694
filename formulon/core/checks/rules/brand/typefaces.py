"""The brand's typefaces are on its pages (common practice)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.rule import COMMON_PRACTICE, Remedy, Verdict, rule
from formulon.core.checks.views import SiteView
from formulon.core.site.changes import Change
from formulon.core.site.documents import IDENTITY
from formulon.core.site.site import Site
from formulon.core.system.system import System


def mend(site: Site, _: System, __: SiteView, verdict: Verdict, ___: Mapping[str, float]) -> Iterator[Remedy]:
    """A typeface of the brand's own that is used nowhere leads again."""
    font = next((one for one in site.identity.fonts if one.name == verdict.values["family"]), None)
    if font is None or font.restricted:
        return
    for part, label in (("heading", "Headings"), ("body", "Running text")):
        patch = [{"op": "add", "path": f"/typefaces/{part}", "value": font.id}]
        yield Remedy(f"{label} in {font.name}", (Change(document=IDENTITY, patch=patch),))


@rule(
    id="brand/typefaces",
    title="The brand’s typefaces are on its pages",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=SiteView,
    applies_if=lambda site: bool(site.allowed and site.allowed.families and site.styles),
    rationale="A typeface says who speaks before a word is read; one that the brand has and no page shows was forgotten, or is needed no more.",
    messages={"absent": "No text of any page is set in {family}."},
    mend=mend,
)
def typefaces(site: SiteView, _: Mapping[str, float]) -> Iterator[Verdict]:
    shown = {one.family.casefold() for one in site.styles}
    for family in site.allowed.families if site.allowed else ():
        if family.casefold() not in shown:
            yield Verdict("absent", values={"family": family, "text": family})
