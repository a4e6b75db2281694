"""Ramps: the light-to-dark series of one colour, 100–900, with the exact colour at its own place.

Lightness runs evenly in OKLCH from the lightest step to the anchor and from the anchor to the darkest, hue is kept
straight, chroma eases off towards both ends and is reduced into gamut (see oklab.oklch_to_rgb).
"""

import numpy as np
from numpy.typing import ArrayLike

from formulon.core.color.oklab import oklch_to_rgb, rgb_to_oklch
from formulon.core.color.srgb import RGB, Floats

STEPS = (100, 200, 300, 400, 500, 600, 700, 800, 900)
NEUTRAL_STEPS = (50, *STEPS, 950)
_LIGHTEST, _DARKEST = 0.965, 0.235
_PLACES = np.arange(len(STEPS))
_EVEN = np.linspace(_LIGHTEST, _DARKEST, len(STEPS))
_NEUTRAL_EASE = np.array([0.35, 0.55, 0.8, 1, 1, 1, 1, 1, 1, 1, 0.9])
_NEUTRAL_LIGHTNESS = np.array([0.985, 0.955, 0.91, 0.85, 0.76, 0.65, 0.54, 0.44, 0.34, 0.25, 0.17])


def ramp_lch(colors: ArrayLike) -> tuple[list[int], Floats]:
    """Of exact colours, eight-bit sRGB, shape (n, 3): the index of each in STEPS, and the OKLCH series, shape (n, 9, 3)."""
    lightness, chroma, hue = (part[:, None] for part in rgb_to_oklch(colors).T)
    anchor = np.argmin(np.abs(_EVEN - lightness), axis=1)[:, None]
    low, high = np.minimum(_DARKEST, lightness - 0.012 * (8 - anchor)), np.maximum(_LIGHTEST, lightness + 0.012 * anchor)
    up, down = (anchor - _PLACES) / np.maximum(anchor, 1), (_PLACES - anchor) / np.maximum(8 - anchor, 1)
    series = np.where(up >= 0, lightness + up * (high - lightness), lightness - down * (lightness - low))
    series = np.where(up == 0, lightness, np.clip(series, 0.02, 0.995))
    # Chroma falls to a third at white and to six tenths at black, in step with the distance from the anchor.
    share = np.where(
        series >= lightness,
        1 - 0.68 * ((series - lightness) / np.maximum(1 - lightness, 1e-6)),
        1 - 0.40 * ((lightness - series) / np.maximum(lightness, 1e-6)),
    )
    return anchor[:, 0].tolist(), np.stack([series, chroma * share, np.broadcast_to(hue, series.shape)], axis=-1)


def ramps(colors: list[RGB], tint: RGB) -> tuple[list[dict[int, RGB]], dict[int, RGB]]:
    """One ramp per colour, each of STEPS → eight-bit sRGB; the exact colour itself stands unaltered in its ramp. And the
    neutral ramp of `tint`, of NEUTRAL_STEPS."""
    anchors, lch = ramp_lch(colors) if colors else ([], np.empty((0, 3)))
    flat = oklch_to_rgb(np.concatenate([neutral_lch(tint), lch.reshape(-1, 3)]))
    result = []
    for index, anchor in enumerate(anchors):
        start = len(NEUTRAL_STEPS) + index * len(STEPS)
        ramp = dict(zip(STEPS, flat[start : start + len(STEPS)], strict=True))
        ramp[STEPS[anchor]] = colors[index]
        result.append(ramp)
    return result, dict(zip(NEUTRAL_STEPS, flat, strict=False))


def neutral_lch(tint: RGB) -> Floats:
    """OKLCH of eleven near-greys, 50–950, lightly tinted with the hue of `tint`, shape (11, 3)."""
    _, chroma, hue = rgb_to_oklch(np.array(tint))
    amount = min(0.018, chroma * 0.14)
    return np.stack([_NEUTRAL_LIGHTNESS, amount * _NEUTRAL_EASE, np.full(len(NEUTRAL_STEPS), hue)], axis=-1)
