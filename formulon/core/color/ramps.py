"""Ramps: the light-to-dark series of one colour, 100–900, with the exact colour at its own place.

Lightness runs evenly in OKLCH from the lightest step to the anchor and from the anchor to the darkest, hue is kept
straight, chroma eases off towards both ends and is reduced into gamut (see oklab.oklch_to_rgb).
"""

from itertools import chain

from formulon.core.color.oklab import oklch_to_rgb
from formulon.core.color.oklab_scalar import oklch
from formulon.core.color.srgb import RGB

STEPS = (100, 200, 300, 400, 500, 600, 700, 800, 900)
NEUTRAL_STEPS = (50, *STEPS, 950)
_LIGHTEST, _DARKEST = 0.965, 0.235
_EVEN = [_LIGHTEST + (_DARKEST - _LIGHTEST) * place / (len(STEPS) - 1) for place in range(len(STEPS))]
_NEUTRAL_EASE = (0.35, 0.55, 0.8, 1, 1, 1, 1, 1, 1, 1, 0.9)
_NEUTRAL_LIGHTNESS = (0.985, 0.955, 0.91, 0.85, 0.76, 0.65, 0.54, 0.44, 0.34, 0.25, 0.17)


def ramp_lch(rgb: RGB) -> tuple[int, list[tuple[float, float, float]]]:
    """Of an exact colour, eight-bit sRGB: its index in STEPS, and the nine steps in OKLCH."""
    own, chroma, hue = oklch(rgb)
    last = len(STEPS) - 1
    anchor = min(range(len(STEPS)), key=lambda place: abs(_EVEN[place] - own))
    high, low = max(_LIGHTEST, own + 0.012 * anchor), min(_DARKEST, own - 0.012 * (last - anchor))
    series = []
    for place in range(len(STEPS)):
        lightness = own
        if place < anchor:
            lightness = own + (anchor - place) / anchor * (high - own)
        elif place > anchor:
            lightness = own - (place - anchor) / (last - anchor) * (own - low)
        if place != anchor:
            lightness = min(0.995, max(0.02, lightness))
        # Chroma falls to a third at white and to six tenths at black, in step with the distance from the anchor.
        away = (lightness - own) / max(1 - own, 1e-6) * 0.68 if lightness >= own else (own - lightness) / max(own, 1e-6) * 0.4
        series.append((lightness, chroma * (1 - away), hue))
    return anchor, series


def ramps(colors: list[RGB], tint: RGB) -> tuple[list[dict[int, RGB]], dict[int, RGB]]:
    """One ramp per colour, each of STEPS → eight-bit sRGB; the exact colour itself stands unaltered in its ramp. And the
    neutral ramp of `tint`, of NEUTRAL_STEPS."""
    made = [ramp_lch(rgb) for rgb in colors]
    flat = iter(oklch_to_rgb([*neutral_lch(tint), *chain.from_iterable(series for _, series in made)]))
    neutral = dict(zip(NEUTRAL_STEPS, flat, strict=False))
    result = []
    for rgb, (anchor, _) in zip(colors, made, strict=True):
        ramp = dict(zip(STEPS, flat, strict=False))
        ramp[STEPS[anchor]] = rgb
        result.append(ramp)
    return result, neutral


def neutral_lch(tint: RGB) -> list[tuple[float, float, float]]:
    """OKLCH of eleven near-greys, 50–950, lightly tinted with the hue of `tint`."""
    _, chroma, hue = oklch(tint)
    amount = min(0.018, chroma * 0.14)
    return [(lightness, amount * ease, hue) for lightness, ease in zip(_NEUTRAL_LIGHTNESS, _NEUTRAL_EASE, strict=True)]
