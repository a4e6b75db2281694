"""Texts that stand side by side are about as long (common practice)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.page_facts import Words
from formulon.core.checks.rule import COMMON_PRACTICE, Remedy, Verdict, rule
from formulon.core.checks.rules.content.slots import in_other_layouts
from formulon.core.checks.views import SectionView
from formulon.core.site.catalogue import CATALOGUE
from formulon.core.site.site import Site
from formulon.core.system.system import System


def mend(site: Site, _: System, view: SectionView, verdict: Verdict, options: Mapping[str, float]) -> Iterator[Remedy]:
    yield from in_other_layouts(site, view.place)


@rule(
    id="content/lengths-alike",
    title="Texts in a row are about as long",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=SectionView,
    options={"times": 2.5, "characters": 90},
    rationale="Beside a long text a short one looks forgotten, and its card stands half empty.",
    messages={"unlike": "Texts side by side have {short} to {long} characters; the longest is {measured} times the shortest."},
    mend=mend,
    bound="most",
)
def lengths_alike(view: SectionView, options: Mapping[str, float]) -> Iterator[Verdict]:
    slot = CATALOGUE[view.head.kind].usual.alike
    if not slot or view.head.rows >= view.head.items:  # one under another
        return
    lengths = [
        len(fact.text) for fact in view.facts if isinstance(fact, Words) and fact.place.slot.endswith(f"/{slot}") and fact.text
    ]
    if len(lengths) < 2:
        return
    short, long = min(lengths), max(lengths)
    if long > options["times"] * short and long - short > options["characters"]:
        yield Verdict("unlike", long / short, options["times"], "times", values={"short": short, "long": long})
