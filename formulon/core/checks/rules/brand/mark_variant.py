"""The mark that is made for a ground stands on it (common practice)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.page_facts import MarkDrawn
from formulon.core.checks.rule import COMMON_PRACTICE, Remedy, Verdict, rule
from formulon.core.site.changes import Change
from formulon.core.site.documents import CHOICES, located
from formulon.core.site.site import Site
from formulon.core.system.system import System


def mend(site: Site, _: System, mark: MarkDrawn, __: Verdict, ___: Mapping[str, float]) -> Iterator[Remedy]:
    found = located(site, mark.place.page, mark.place.section)
    ground = found[2].ground if found else None
    if ground and ground not in site.choices.logo.plates:
        patch = [{"op": "add", "path": "/logo/plates", "value": [*site.choices.logo.plates, ground]}]
        yield Remedy("On a plate", (Change(document=CHOICES, patch=patch),))


@rule(
    id="brand/mark-variant",
    title="The mark is seen on its ground",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=MarkDrawn,
    options={"share": 50},
    rationale="Marks are made for light grounds and for dark ones; the wrong one loses its letters, and nobody who knows it well notices.",
    messages={
        "other": "{measured} % of {name} are seen on {ground}; {required} % are the least. {better} is made for such a ground.",
        "unseen": "{measured} % of {name} are seen on {ground}; {required} % are the least, and no other of its marks is seen better.",
    },
    mend=mend,
)
def mark_variant(mark: MarkDrawn, options: Mapping[str, float]) -> Iterator[Verdict]:
    if mark.ground and mark.seen * 100 < options["share"]:
        values = {"name": mark.name, "ground": mark.ground, "better": mark.better}
        yield Verdict("other" if mark.better else "unseen", mark.seen * 100, options["share"], "%", values=values)
