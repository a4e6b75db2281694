"""Picking a colour: tracks that show where a policy passes, steps that are just noticed, and seeded alternatives."""

import random
from collections.abc import Sequence
from dataclasses import dataclass
from typing import Literal

import numpy as np

from formulon.core.color.contrast import contrast_ratio, luminances, relative_luminance
from formulon.core.color.difference import difference
from formulon.core.color.oklab import oklch_to_rgb
from formulon.core.color.oklab_scalar import clipped, oklch, rgb_of
from formulon.core.color.srgb import RGB

Axis = Literal["lightness", "chroma", "hue"]
AXES: tuple[Axis, ...] = ("lightness", "chroma", "hue")
MOST_CHROMA = 0.33  # more than sRGB holds at any lightness and hue
NOTICED = 1.0  # ΔE2000 of one just noticeable difference (common practice)
_STOPS = 65
# Hues to which an alternative may turn from a brand colour's, in degrees (common practice: near, triad, opposite).
_TURNS = (0, 30, -30, 120, -120, 180)


@dataclass(frozen=True, slots=True)
class Track:
    """A slider's track: its range, and at even stops the colour there and whether it passes."""

    axis: Axis
    low: float
    high: float
    colors: list[RGB]
    passes: list[bool]


def track(axis: Axis, lch: tuple[float, float, float], background: RGB, required: float) -> Track:
    """The colours that a slider on one axis of OKLCH leads through, the other two held, with their verdicts on a
    background. Out of gamut, chroma is reduced; the verdict is that of the eight-bit colour."""
    index, high = AXES.index(axis), (1.0, MOST_CHROMA, 360.0)[AXES.index(axis)]
    stops = np.tile(np.array(lch, dtype=np.float64), (_STOPS, 1))
    stops[:, index] = np.linspace(0, high, _STOPS)
    colors = oklch_to_rgb(stops)
    own, lifted = relative_luminance(background) + 0.05, luminances(np.array(colors)) + 0.05
    ratios = np.maximum(lifted, own) / np.minimum(lifted, own)
    return Track(axis, 0.0, high, colors, [bool(one) for one in ratios >= required])


def noticeably(rgb: RGB, lighter: bool) -> RGB:
    """The nearest colour of the same hue that is just noticeably darker or lighter: the first of at least NOTICED ΔE2000,
    in steps of 0.001 of OKLCH lightness, with less chroma towards both ends. At the end of the scale black or white."""
    lightness, chroma, hue = oklch(rgb)
    for step in range(1, 1001):
        at = lightness + (step if lighter else -step) / 1000
        if not 0 <= at <= 1:
            break
        # Chroma falls in step with the distance from black or white, which stays nearly inside sRGB.
        share = (1 - at) / (1 - lightness) if lighter else at / lightness
        made = clipped(at, chroma * share, hue)
        if difference(made, rgb) >= NOTICED and (oklch(made)[0] > lightness) == lighter:
            return made
    return (255, 255, 255) if lighter else (0, 0, 0)


def another(brand: Sequence[RGB], background: RGB, required: float, seed: int) -> RGB:
    """An alternative that passes on a background, the same for the same seed: a hue near, opposite or in a triad to one
    of the brand's, with a chroma like the brand's, at the lightness nearest to a random one that passes."""
    dice = random.Random(f"another {seed}")
    _, chroma, hue = oklch(dice.choice(list(brand))) if brand else (0.5, 0.08, dice.uniform(0, 360))
    turned = (hue + dice.choice(_TURNS) + dice.uniform(-8, 8)) % 360
    chroma = min(MOST_CHROMA, max(0.02, chroma) * dice.uniform(0.6, 1.15))
    wanted = dice.uniform(0.15, 0.95)
    for at in sorted((step / 100 for step in range(101)), key=lambda one: abs(one - wanted)):
        made = rgb_of(at, chroma, turned)
        if contrast_ratio(made, background) >= required:
            return made
    return max(((0, 0, 0), (255, 255, 255)), key=lambda end: contrast_ratio(end, background))
