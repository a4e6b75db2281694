"""The least overlay with which a text on a picture can be read, on the pixels that lie behind its glyphs.

The deciding figure: no more than SHARE of the pixels within one stem width of the glyphs may have less than the required
ratio against the ink. An overlay is one colour laid over the picture at an opacity, even or along a profile (a gradient's
shape). Opacities are scanned in steps of a hundredth and not bisected: with a dark ink over a picture of light and dark
parts, a middling overlay may pass where a stronger one fails, so the passing range is not one interval.

Blending is that of CSS: simple alpha compositing of gamma-encoded sRGB (Compositing and Blending Level 1, 5.1), rounded
to eight bits; the ratio is that of WCAG 2.2.
"""

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from formulon.core.color.contrast import relative_luminance
from formulon.core.color.srgb import RGB, Floats, to_linear_wcag

SHARE = 0.005
OPACITIES = np.arange(101) / 100
_LINEAR = to_linear_wcag(np.arange(256)[:, None])[:, 0]
_COEFFICIENTS = (0.2126, 0.7152, 0.0722)
Pixels = NDArray[np.uint8]


@dataclass(frozen=True, slots=True)
class Laid:
    """What an overlay makes of pixels: `share` of them lie below the ratio, `worst` is the least ratio, at index `spot` of
    the pixels that were given; all but SHARE of them have at least `deciding`."""

    color: RGB
    opacity: float
    share: float
    worst: float
    spot: int
    deciding: float = 21.0


def least(
    pixels: Pixels,
    ink: RGB,
    overlay: RGB,
    required: float,
    profile: Floats | None = None,
    allowed: float = SHARE,
    start: float = 0.0,
) -> Laid | None:
    """The least opacity, from `start` on, of an overlay at which an ink passes on pixels of shape (n, 3); None where none
    does.

    `profile`, shape (n,) in 0–1, is the gradient's strength at each pixel, which the opacity is multiplied with.
    """
    if not len(pixels):
        return Laid(overlay, start, 0.0, 21.0, -1)
    pixels = np.asfortranarray(pixels)  # each channel in one piece, which the tables are read by
    budget = int(allowed * len(pixels))
    # The worst pixels of the last look at all: while too many of them fail, no other need be looked at.
    hard = np.zeros(0, dtype=np.int64)
    for opacity in OPACITIES[round(start * 100) :]:
        if len(hard) > budget:
            still = _ratios(pixels[hard], ink, overlay, opacity, None if profile is None else profile[hard]) < required
            if np.count_nonzero(still) > budget:
                continue
        ratios = _ratios(pixels, ink, overlay, opacity, profile)
        low = int(np.count_nonzero(ratios < required))
        if low <= budget:
            return measured(pixels, ink, overlay, float(opacity), required, profile)
        most = min(low, 4 * budget + 400)
        hard = np.argpartition(ratios, most - 1)[:most]
    return None


def measured(pixels: Pixels, ink: RGB, overlay: RGB, opacity: float, required: float, profile: Floats | None = None) -> Laid:
    """What an overlay of an opacity makes of the pixels, whether it passes or not."""
    if not len(pixels):
        return Laid(overlay, opacity, 0.0, 21.0, -1)
    ratios = _ratios(pixels, ink, overlay, opacity, profile)
    spot = int(np.argmin(ratios))
    allowed = int(SHARE * len(ratios))
    deciding = float(np.partition(ratios, allowed)[allowed])
    return Laid(overlay, opacity, float(np.mean(ratios < required)), float(ratios[spot]), spot, deciding)


def _ratios(pixels: Pixels, ink: RGB, overlay: RGB, opacity: float, profile: Floats | None) -> Floats:
    """Contrast ratios, shape (n,), of an ink on pixels under an overlay."""
    own = relative_luminance(ink) + 0.05
    lifted = _luminance(pixels, overlay, opacity, profile) + 0.05
    return np.asarray(np.maximum(lifted, own) / np.minimum(lifted, own))


def _luminance(pixels: Pixels, overlay: RGB, opacity: float, profile: Floats | None) -> Floats:
    """Relative luminance, shape (n,), of pixels under an overlay."""
    if profile is None:
        hundredths = round(opacity * 100)  # in whole numbers, so that halves are rounded up on every machine
        tables = [
            weight * _LINEAR[((100 - hundredths) * np.arange(256) + hundredths * channel + 50) // 100]
            for weight, channel in zip(_COEFFICIENTS, overlay, strict=True)
        ]
        return np.asarray(sum(table.take(pixels[:, index]) for index, table in enumerate(tables)))
    strength = (opacity * profile)[:, None]
    blended = np.floor((1 - strength) * pixels + strength * np.array(overlay) + 0.5).astype(np.uint8)
    return np.asarray(_LINEAR[blended] @ np.array(_COEFFICIENTS))
