"""Buttons of one ground: fill, label and border of three variants in five states, solved together."""

import math
from collections.abc import Iterator
from dataclasses import dataclass

from formulon.core.color.contrast import contrast_ratio, shown
from formulon.core.color.difference import difference
from formulon.core.color.oklab_scalar import mixed, oklab, oklch, rgb_of
from formulon.core.color.srgb import RGB, to_hex
from formulon.core.system.grounds import Ground, far_from
from formulon.core.system.model import Origin
from formulon.core.system.palette import BLACK, EXACT, NEUTRAL, RAMP, WHITE, Palette, Swatch

VARIANTS = ("primary", "secondary", "text")
STATES = ("rest", "hover", "pressed", "focus", "disabled")
PARTS = ("fill", "label", "border")
# Least ΔE2000 between a filled button and its ground, and between neighbouring states (common practice).
FILL_APART, STATE_APART = 18.0, 3.0
_BOUNDARY = 3.0  # WCAG 2.2, 1.4.11


@dataclass(frozen=True, slots=True)
class ButtonState:
    """The colours of one variant in one state; a border of the fill's colour is not seen."""

    variant: str
    state: str
    fill: RGB
    label: RGB
    border: RGB
    origin: Origin
    reason: str


def states(
    palette: Palette,
    ground: Ground,
    grounds: dict[str, Ground],
    inks: dict[str, Swatch],
    wires: dict[str, str],
    text: float,
) -> Iterator[ButtonState]:
    """Every variant in every state on one ground. `text` is the ratio that labels need."""
    yield from _primary(palette, ground, grounds, wires, text)
    yield from _outlined(palette, ground, grounds, inks, wires, text)
    link = inks["link"].rgb
    reason = f"The link ink on the {ground.name} ground, without a fill."
    yield from _open(palette, ground, link, ground.rgb, "text", "derived", reason, text)


def _primary(
    palette: Palette, ground: Ground, grounds: dict[str, Ground], wires: dict[str, str], text: float
) -> Iterator[ButtonState]:
    wanted = palette.get(wires.get(f"{ground.name}/primary", ""))
    action = grounds["brand"].swatch
    fill: Swatch
    origin: Origin
    if wanted:
        fill, origin, why = wanted, "chosen", f"{wanted.label} was chosen for the main action here."
    else:
        fill, origin, why = _fill(palette, ground, action)
    label = label_for(palette, fill.rgb, grounds, text)
    ratio = contrast_ratio(label.rgb, fill.rgb)
    reason = f"{why} Its label is {label.label}, {shown(ratio)}; labels need {text:g}:1."
    hover = shifted(fill.rgb, label.rgb, 0.05, text, (fill.rgb,))
    pressed = shifted(fill.rgb, label.rgb, 0.1, text, (fill.rgb, hover))
    for state, colour in (("rest", fill.rgb), ("hover", hover), ("pressed", pressed), ("focus", fill.rgb)):
        if state in ("hover", "pressed"):
            apart = difference(fill.rgb, colour)
            note = f"{fill.label} moved away from its label, ΔE2000 {apart:.1f}, so that the state shows."
            on_it = softer(palette, label.rgb, colour, text)
            yield ButtonState("primary", state, colour, on_it, colour, "derived", note)
        else:
            yield ButtonState("primary", state, colour, label.rgb, colour, origin, reason)
    yield _disabled("primary", ground, far_from(ground.rgb, grounds))


def _fill(palette: Palette, ground: Ground, action: Swatch) -> tuple[Swatch, Origin, str]:
    """The exact colour (else ramp step, else neutral) nearest to the action colour that stands out from the ground."""
    wish = oklab(action.rgb)
    for kind in (EXACT, RAMP, NEUTRAL):
        near = sorted(
            (s for s in palette.swatches if s.kind == kind),
            key=lambda s: math.dist(oklab(s.rgb), wish),
        )
        for swatch in near:
            apart = difference(swatch.rgb, ground.rgb)
            # A colour other than the wished one must also stand out by lightness, or two actions compete.
            if apart >= FILL_APART and (swatch is action or contrast_ratio(swatch.rgb, ground.rgb) >= 3):
                origin: Origin = "exact" if kind == EXACT else "derived"
                if swatch is action:
                    return swatch, origin, f"{swatch.label} is the brand's action colour."
                return swatch, origin, f"{action.label} would not stand out here; {swatch.label} does."
    swatch = max(palette.swatches, key=lambda s: contrast_ratio(s.rgb, ground.rgb))
    return swatch, "derived", f"No brand colour stands out from this ground; {swatch.label} does."


def label_for(palette: Palette, fill: RGB, grounds: dict[str, Ground], text: float) -> Swatch:
    """The label of a fill, nearest to the paper's or the deep ground's colour; the best there is where none passes."""
    found = palette.solve(palette.ratios(fill), text, oklab(far_from(fill, grounds)), calm=0.09)
    return found or max(palette.swatches, key=lambda s: contrast_ratio(s.rgb, fill))


def softer(palette: Palette, ink: RGB, background: RGB, required: float) -> RGB:
    """The ink; or, where it is pure black or white and not a brand colour, the nearest step that passes here, so that
    pure black and white stand only where nothing else can."""
    if ink not in (BLACK, WHITE) or any(swatch.rgb == ink for swatch in palette.brand):
        return ink
    found = palette.solve(palette.ratios(background), required, oklab(ink), (NEUTRAL, RAMP, EXACT))
    return found.rgb if found else ink


def shifted(fill: RGB, label: RGB, amount: float, text: float, others: tuple[RGB, ...]) -> RGB:
    """The fill with `amount` more or less OKLCH lightness, away from its label where there is room, so that the
    label still passes and the state is seen beside the `others`; pure black and white are avoided."""
    lightness, chroma, hue = oklch(fill)
    away = -1 if oklch(label)[0] > lightness else 1
    best = fill
    for direction in (away, -away):
        for factor in (1.0, 1.5, 0.6, 2.2):
            target = lightness + direction * amount * factor
            if not 0.06 <= target <= 0.985:
                continue
            trial = rgb_of(target, chroma, hue)
            passes = contrast_ratio(trial, label) >= min(text, contrast_ratio(fill, label))
            seen = all(difference(trial, other) >= STATE_APART for other in others)
            if passes and seen and trial not in (BLACK, WHITE):
                return trial
    return best


def _outlined(
    palette: Palette,
    ground: Ground,
    grounds: dict[str, Ground],
    inks: dict[str, Swatch],
    wires: dict[str, str],
    text: float,
) -> Iterator[ButtonState]:
    wanted = palette.get(wires.get(f"{ground.name}/secondary", ""))
    ink = wanted or inks["heading"]
    origin: Origin = "chosen" if wanted else "derived"
    ratio = contrast_ratio(ink.rgb, ground.rgb)
    reason = f"Border and label in {ink.label}, {shown(ratio)} on {ground.swatch.label}; labels need {text:g}:1."
    border = ink.rgb if wanted else softer(palette, ink.rgb, ground.rgb, _BOUNDARY)
    yield from _open(palette, ground, ink.rgb, border, "secondary", origin, reason, text)


def _open(
    palette: Palette, ground: Ground, ink: RGB, border: RGB, variant: str, origin: Origin, reason: str, text: float
) -> Iterator[ButtonState]:
    """A variant without a fill: hover and pressed lay some of the ink under the label, as much as still passes."""
    yield ButtonState(variant, "rest", ground.rgb, ink, border, origin, reason)
    last = ground.rgb
    for state, share in (("hover", 0.1), ("pressed", 0.2)):
        fill = _underlay(ground.rgb, ink, share, text, last)
        note = f"The ground with some of the ink in it, ΔE2000 {difference(fill, ground.rgb):.1f} from rest."
        edge = fill if variant == "text" else border
        label = ink if origin == "chosen" else softer(palette, ink, fill, text)
        yield ButtonState(variant, state, fill, label, edge, "derived", note)
        last = fill
    yield ButtonState(variant, "focus", ground.rgb, ink, border, origin, reason)
    yield _disabled(variant, ground, ink)


def _underlay(ground: RGB, ink: RGB, share: float, text: float, last: RGB) -> RGB:
    """`share` of the ink in the ground, less where the label would fail; and away from the ink where even that fails."""
    for part in (share, share * 0.6, -share * 0.5, -share):
        fill = mixed(ground, ink, part)
        if contrast_ratio(fill, ink) >= text and difference(fill, last) >= STATE_APART and fill not in (BLACK, WHITE):
            return fill
    return last


def _disabled(variant: str, ground: Ground, ink: RGB) -> ButtonState:
    fill = mixed(ground.rgb, ink, 0.12) if variant == "primary" else ground.rgb
    label = mixed(ground.rgb, ink, 0.45)
    border = fill if variant != "secondary" else label
    reason = f"Ink {to_hex(ink)} faded into the ground; what is disabled needs no contrast (WCAG 2.2, 1.4.3)."
    return ButtonState(variant, "disabled", fill, label, border, "derived", reason)
