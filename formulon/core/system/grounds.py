"""Grounds and their inks: which colour stands where, and why."""

from dataclasses import dataclass

from formulon.core.color.contrast import contrast_ratio, shown
from formulon.core.color.difference import difference
from formulon.core.color.oklab_scalar import oklab, oklch, rgb_of
from formulon.core.color.srgb import RGB, to_hex
from formulon.core.system.choices import GROUNDS
from formulon.core.system.model import Origin
from formulon.core.system.palette import EXACT, NEUTRAL, PURE, RAMP, Palette, Swatch

# Lightness (OKLab) from which an exact colour can be the paper, and up to which it can be the deep ground.
PAPER_FROM, DEEP_UP_TO, CALM_PAPER = 0.92, 0.42, 0.045


@dataclass(frozen=True, slots=True)
class Ground:
    """A ground with its colour; `far` is the colour in which large text on it is wanted."""

    name: str
    swatch: Swatch
    origin: Origin
    reason: str

    @property
    def rgb(self) -> RGB:
        return self.swatch.rgb


@dataclass(frozen=True, slots=True)
class InkSpec:
    """How an ink is wanted. `mix` is the share of the ground in the wished colour; `wish` names its other part."""

    name: str
    required: str  # key of the policy: "text", "boundary" or "none"
    wish: str  # "far" or "signature"
    mix: float
    order: tuple[int, ...]
    calm: float | None = None


_ALL = (EXACT, RAMP, NEUTRAL, PURE)
_TONES = (RAMP, NEUTRAL, EXACT, PURE)
INK_SPECS = (
    InkSpec("heading", "text", "far", 0, _ALL),
    InkSpec("body", "text", "far", 0, _ALL, calm=0.09),
    InkSpec("quiet", "text", "far", 0.3, _TONES, calm=0.06),
    InkSpec("link", "text", "signature", 0, _ALL),
    InkSpec("boundary", "boundary", "far", 0.45, _TONES, calm=0.06),
    InkSpec("line", "none", "far", 0.85, _TONES, calm=0.06),
    InkSpec("focus", "boundary", "signature", 0, _ALL),
)


def assign(palette: Palette, wires: dict[str, str]) -> dict[str, Ground]:
    """The five grounds, from the wires where there are some and else from the lightness of the exact colours."""
    light = {s.reference: oklab(s.rgb)[0] for s in palette.brand}
    chroma = {s.reference: oklch(s.rgb)[1] for s in palette.brand}
    papers = [s for s in palette.brand if light[s.reference] >= PAPER_FROM and chroma[s.reference] <= CALM_PAPER]
    deeps = [s for s in palette.brand if light[s.reference] <= DEEP_UP_TO]
    paper = max(papers, key=lambda s: light[s.reference], default=None)
    deep = min(deeps, key=lambda s: light[s.reference], default=None)
    rest = [s for s in palette.brand if s not in (paper, deep)] or [s for s in (deep, paper) if s]
    lead = rest[0] if rest else palette.by_reference["neutral/700"]
    chosen: dict[str, tuple[Swatch, str]] = {}
    if paper:
        chosen["paper"] = paper, f"{paper.label} is the lightest calm brand colour, so pages stand on it."
    else:
        chosen["paper"] = (
            palette.by_reference["neutral/50"],
            f"No brand colour is light and calm enough for a page (lightness {PAPER_FROM} or more); "
            "a near-white in the brand's own tint is used.",
        )
    chosen["tint"] = _tint(palette, paper)
    chosen["brand"] = lead, f"{lead.label} comes first among the brand colours that no other ground takes."
    if len(rest) > 1:
        chosen["accent"] = rest[1], f"{rest[1].label} comes second among the brand colours that no other ground takes."
    else:
        step = 200 if light.get(lead.reference, 0.5) < 0.75 else 700
        swatch = _ramp_step(palette, lead, step)
        chosen["accent"] = swatch, f"The brand has no second colour for this; {swatch.label} is a step of its ramp."
    if deep:
        chosen["deep"] = deep, f"{deep.label} is the darkest brand colour."
    else:
        swatch = _ramp_step(palette, lead, 900)
        chosen["deep"] = swatch, f"No brand colour is dark (lightness {DEEP_UP_TO} or less); {swatch.label} is."
    grounds = {}
    for name in GROUNDS:
        wired = palette.get(wires[name]) if name in wires else None
        if wired:
            grounds[name] = Ground(name, wired, "chosen", f"{wired.label} was chosen for {name}.")
        else:
            swatch, reason = chosen[name]
            grounds[name] = Ground(name, swatch, "exact" if swatch.kind == EXACT else "derived", reason)
    return grounds


def _tint(palette: Palette, paper: Swatch | None) -> tuple[Swatch, str]:
    if paper is None:
        return palette.by_reference["neutral/100"], "One step darker than the paper, in the same tint."
    lightness, chroma, hue = oklch(paper.rgb)
    rgb = rgb_of(lightness - 0.045, min(0.05, chroma * 1.25), hue)
    return Swatch(to_hex(rgb), f"{paper.label}, deeper", rgb, RAMP), f"{paper.label} with 0.045 less lightness (OKLCH)."


def _ramp_step(palette: Palette, swatch: Swatch, step: int) -> Swatch:
    return palette.get(f"{swatch.reference}/{step}") or palette.by_reference[f"neutral/{step}"]


def signature(palette: Palette, grounds: dict[str, Ground]) -> Swatch:
    """The colour in which the brand acts: that of the brand ground."""
    return grounds["brand"].swatch


def far_from(rgb: RGB, grounds: dict[str, Ground]) -> RGB:
    """Of the paper and the deep ground, the colour that contrasts more with `rgb`."""
    ends = (grounds["paper"].rgb, grounds["deep"].rgb)
    return max(ends, key=lambda end: contrast_ratio(end, rgb))


def explain(found: Swatch, wish: Swatch | None, ground: Ground, ratio: float, required: float) -> str:
    """One sentence on why an ink is what it is, with the numbers."""
    have = f"{found.label} {to_hex(found.rgb)} on {ground.swatch.label} is {shown(ratio)}"
    needs = f"needs {required:g}:1" if required else "needs nothing, it is decoration"
    if wish is None or wish.rgb == found.rgb:
        return f"{have}; it {needs}."
    own = contrast_ratio(wish.rgb, ground.rgb)
    if own < required:
        return (
            f"{wish.label} {to_hex(wish.rgb)} on {ground.swatch.label} is {shown(own)}; this {needs}. "
            f"{found.label} is used, {shown(ratio)}."
        )
    return f"{have}; it {needs}. ΔE2000 to {wish.label}: {difference(found.rgb, wish.rgb):.1f}."
