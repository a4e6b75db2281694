"""The colours of a photograph sit with the brand's (common practice)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.page_facts import PictureFact
from formulon.core.checks.rule import COMMON_PRACTICE, Remedy, Verdict, rule
from formulon.core.color.oklab_scalar import oklch
from formulon.core.color.srgb import from_hex
from formulon.core.site.changes import Change
from formulon.core.site.documents import CHOICES
from formulon.core.site.site import Site
from formulon.core.system.system import System


def clash(fact: PictureFact, coloured: float, near: float) -> float:
    """Share, 0–1, of a photograph in colours of a chroma of `coloured` and more whose hue is farther than `near` degrees from
    that of every brand colour that has one (OKLCH)."""
    brand = [lch[2] for lch in map(oklch, map(from_hex, fact.palette)) if lch[1] >= coloured]
    total = 0.0
    for text, share in fact.colors.items():
        _, chroma, hue = oklch(from_hex(text))
        if chroma >= coloured and all(abs((hue - own + 180) % 360 - 180) > near for own in brand):
            total += share
    return total


def measure(fact: PictureFact) -> float:
    return clash(fact, 0.05, 50.0)


def mend(site: Site, system: System, fact: PictureFact, verdict: Verdict, options: Mapping[str, float]) -> Iterator[Remedy]:
    for treatment, label in (("duotone", "in two colours of the brand"), ("monochrome", "in greys")):
        patch = [{"op": "add", "path": "/pictures", "value": treatment}]
        yield Remedy(f"All photographs {label}", (Change(document=CHOICES, patch=patch),))


@rule(
    id="pictures/palette",
    title="Photographs sit with the brand's colours",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=PictureFact,
    applies_if=lambda fact: bool(fact.colors and fact.palette) and fact.treatment in ("natural", "tint"),
    options={"most": 0.4, "coloured": 0.05, "near": 50.0},
    rationale="A photograph that is mostly in hues that the brand does not have pulls a page away from it.",
    messages={"clash": "{measured} % of the photograph is in hues that the brand does not have; {required} % is the most."},
    bound="most",
    mend=mend,
)
def palette(fact: PictureFact, options: Mapping[str, float]) -> Iterator[Verdict]:
    share = clash(fact, options["coloured"], options["near"])
    if share > options["most"]:
        yield Verdict("clash", share * 100, options["most"] * 100, "%")
