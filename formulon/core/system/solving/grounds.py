"""Grounds: which colour each stands in, in the light and in the dark scheme, and why."""

from collections.abc import Mapping
from dataclasses import dataclass
from typing import NamedTuple

from formulon.core.color.contrast import contrast_ratio
from formulon.core.color.oklab_scalar import oklab, oklch, rgb_of
from formulon.core.color.srgb import RGB
from formulon.core.system.documents.choices import GROUNDS
from formulon.core.system.solving.palette import Palette
from formulon.core.system.solving.search import EXACT, SIGNAL, Swatch
from formulon.core.system.system import Origin, Scheme

# Lightness (OKLab) from which an exact colour can be the paper, and up to which it can be the deep ground; chroma up
# to which a colour is calm enough for pages, and for pages in the dark scheme.
PAPER_FROM, DEEP_UP_TO, CALM_PAPER, CALM_NIGHT = 0.92, 0.42, 0.045, 0.1
_APART = 0.045  # lightness between paper and tint


@dataclass(frozen=True, slots=True)
class Ground:
    """A ground with its colour."""

    name: str
    swatch: Swatch
    origin: Origin
    reason: str

    @property
    def rgb(self) -> RGB:
        return self.swatch.rgb


class Set(NamedTuple):
    """A colour that was set by hand: by a wire (chosen) or a pin."""

    swatch: Swatch
    origin: Origin


ByHand = Mapping[str, Set]
Found = dict[str, tuple[Swatch, str]]


class _Brand:
    """The exact colours, told apart by what they can stand for."""

    def __init__(self, palette: Palette) -> None:
        light = {s.reference: oklab(s.rgb)[0] for s in palette.brand}
        chroma = {s.reference: oklch(s.rgb)[1] for s in palette.brand}
        papers = [s for s in palette.brand if light[s.reference] >= PAPER_FROM and chroma[s.reference] <= CALM_PAPER]
        deeps = [s for s in palette.brand if light[s.reference] <= DEEP_UP_TO]
        nights = [s for s in deeps if chroma[s.reference] <= CALM_NIGHT]
        self.paper = max(papers, key=lambda s: light[s.reference], default=None)
        self.deep = min(deeps, key=lambda s: light[s.reference], default=None)
        self.night = min(nights, key=lambda s: light[s.reference], default=None)
        rest = [s for s in palette.brand if s not in (self.paper, self.deep)]
        self.rest = rest or [s for s in (self.deep, self.paper) if s]
        self.lead = self.rest[0] if self.rest else palette.by_reference["neutral/700"]
        self.lightness = light


def assign(palette: Palette, by_hand: ByHand, scheme: Scheme) -> dict[str, Ground]:
    """Every ground: from the wires and pins in `by_hand` where there are some, and else from the exact colours."""
    brand = _Brand(palette)
    chosen = _light(palette, brand) if scheme == "light" else _dark(palette, brand)
    grounds: dict[str, Ground] = {}
    for name in GROUNDS:
        if name in by_hand:
            swatch, origin = by_hand[name]
            verb = "chosen" if origin == "chosen" else "pinned"
            grounds[name] = Ground(name, swatch, origin, f"{swatch.label} was {verb} for {name}.")
        elif name in ("navigation", "footer"):
            like = grounds["paper" if name == "navigation" else "deep"]
            reason = f"The {name} stands on the colour of {like.name}, {like.swatch.label}, until it is given its own."
            grounds[name] = Ground(name, like.swatch, "exact" if like.swatch.kind == EXACT else "derived", reason)
        else:
            swatch, reason = chosen[name]
            grounds[name] = Ground(name, swatch, "exact" if swatch.kind == EXACT else "derived", reason)
    return grounds


def ends(palette: Palette, grounds: Mapping[str, Ground], scheme: Scheme) -> tuple[RGB, RGB]:
    """The light and the dark colour in which large text is wanted: paper and deep, in the dark scheme turned round."""
    if scheme == "light":
        return grounds["paper"].rgb, grounds["deep"].rgb
    paper = _Brand(palette).paper
    return (paper or palette.by_reference["neutral/50"]).rgb, grounds["paper"].rgb


def far_from(rgb: RGB, both: tuple[RGB, RGB]) -> RGB:
    """Of the two ends, the colour that contrasts more with `rgb`."""
    return max(both, key=lambda end: contrast_ratio(end, rgb))


def _light(palette: Palette, brand: _Brand) -> Found:
    chosen: Found = {}
    if brand.paper:
        chosen["paper"] = brand.paper, f"{brand.paper.label} is the lightest calm brand colour, so pages stand on it."
        chosen["tint"] = _moved(brand.paper, -_APART, "deeper")
    else:
        chosen["paper"] = (
            palette.by_reference["neutral/50"],
            f"No brand colour is light and calm enough for a page (lightness {PAPER_FROM} or more); "
            "a near-white in the brand's own tint is used.",
        )
        chosen["tint"] = palette.by_reference["neutral/100"], "One step darker than the paper, in the same tint."
    _lead(palette, brand, chosen)
    if brand.deep:
        chosen["deep"] = brand.deep, f"{brand.deep.label} is the darkest brand colour."
    else:
        swatch = _ramp_step(palette, brand.lead, 900)
        chosen["deep"] = swatch, f"No brand colour is dark (lightness {DEEP_UP_TO} or less); {swatch.label} is."
    return chosen


def _dark(palette: Palette, brand: _Brand) -> Found:
    chosen: Found = {}
    if brand.night:
        chosen["paper"] = brand.night, f"{brand.night.label} is the darkest calm brand colour, so dark pages stand on it."
    else:
        swatch = palette.by_reference["neutral/950"]
        chosen["paper"] = (
            swatch,
            f"No brand colour is dark and calm enough for a page (lightness {DEEP_UP_TO} or less, chroma {CALM_NIGHT} or "
            "less); a near-black in the brand's own tint is used.",
        )
    paper = chosen["paper"][0]
    chosen["tint"] = _moved(paper, _APART, "lifted")
    _lead(palette, brand, chosen)
    lightness = oklab(paper.rgb)[0]
    chosen["deep"] = _moved(paper, -_APART, "deeper") if lightness >= 0.16 else _moved(paper, 2 * _APART, "lifted twice")
    return chosen


def _lead(palette: Palette, brand: _Brand, chosen: Found) -> None:
    """Brand and accent: the first two exact colours that stand for neither paper nor deep."""
    lead = brand.lead
    chosen["brand"] = lead, f"{lead.label} comes first among the brand colours that no other ground takes."
    if len(brand.rest) > 1:
        second = brand.rest[1]
        chosen["accent"] = second, f"{second.label} comes second among the brand colours that no other ground takes."
        return
    step = 200 if brand.lightness.get(lead.reference, 0.5) < 0.75 else 700
    swatch = _ramp_step(palette, lead, step)
    chosen["accent"] = swatch, f"The brand has no second colour for this; {swatch.label} is a step of its ramp."


def _moved(swatch: Swatch, by: float, word: str) -> tuple[Swatch, str]:
    lightness, chroma, hue = oklch(swatch.rgb)
    rgb = rgb_of(lightness + by, min(0.05, chroma * 1.25) if by < 0 < lightness - 0.6 else chroma, hue)
    moved = "more" if by > 0 else "less"
    return (
        Swatch("", f"{swatch.label}, {word}", rgb, SIGNAL),
        f"{swatch.label} with {abs(by):g} {moved} lightness (OKLCH).",
    )


def _ramp_step(palette: Palette, swatch: Swatch, step: int) -> Swatch:
    return palette.get(f"{swatch.reference}/{step}") or palette.by_reference[f"neutral/{step}"]
