"""OKLab and OKLCH, vectorised. Arrays have shape (..., 3).

Source of the matrices: Björn Ottosson, "A perceptual color space for image processing" (2020), in the double
precision of CSS Color 4, section 9.2 and its sample code. Lightness is 0–1, hue is in degrees.
"""

from collections.abc import Sequence

import numpy as np
from numpy.typing import ArrayLike

from formulon.core.color.srgb import RGB, Floats, from_linear, to_linear_wcag

_RGB_TO_LMS = np.array(
    [
        [0.4122214694707629, 0.5363325372617349, 0.0514459932675022],
        [0.2119034958178251, 0.6806995506452344, 0.1073969535369405],
        [0.0883024591900564, 0.2817188391361215, 0.6299787016738222],
    ]
)
_LMS_TO_LAB = np.array(
    [
        [0.2104542683093140, 0.7936177747023054, -0.0040720430116193],
        [1.9779985324311684, -2.4285922420485799, 0.4505937096174110],
        [0.0259040424655478, 0.7827717124575296, -0.8086757549230774],
    ]
)
_LMS_TO_RGB = np.linalg.inv(_RGB_TO_LMS)
_LAB_TO_LMS = np.linalg.inv(_LMS_TO_LAB)


def rgb_to_oklab(rgb8: ArrayLike) -> Floats:
    """OKLab of eight-bit sRGB colours."""
    return np.asarray(np.cbrt(to_linear_wcag(rgb8) @ _RGB_TO_LMS.T) @ _LMS_TO_LAB.T)


def oklab_to_linear(lab: ArrayLike) -> Floats:
    """Linear sRGB, outside 0–1 where the colour is out of gamut, of OKLab colours."""
    return np.asarray(((np.asarray(lab) @ _LAB_TO_LMS.T) ** 3) @ _LMS_TO_RGB.T)


def oklch_to_rgb(lch: ArrayLike) -> list[RGB]:
    """Eight-bit sRGB of OKLCH colours, shape (n, 3), brought into gamut by reducing chroma at constant lightness
    and hue (the approach of CSS Color 4, section 13.2, by plain bisection without the local clip)."""
    lightness, chroma, hue = np.atleast_2d(np.asarray(lch, dtype=np.float64)).T
    angle, axes = np.radians(hue), _LAB_TO_LMS.T[:, :, None]
    roots, slopes = axes[0] * np.clip(lightness, 0, 1), axes[1] * np.cos(angle) + axes[2] * np.sin(angle)
    # The roots of LMS are straight lines in chroma, so that red, green and blue are polynomials of third degree in it.
    powers = roots * roots * roots, 3 * roots * roots * slopes, 3 * roots * slopes * slopes, slopes * slopes * slopes
    terms = [_LMS_TO_RGB @ power for power in powers]
    linear = _polynomial(terms, chroma)
    outside = np.flatnonzero(~_in_gamut(linear - 0.5))
    if outside.size:
        part = [term[:, outside] for term in terms]
        around = [part[0] - 0.5, *part[1:]]
        low, half = np.zeros(len(outside)), chroma[outside]
        for _ in range(14):
            half = half / 2
            low += half * _in_gamut(_polynomial(around, low + half))
        linear[:, outside] = _polynomial(part, low)
    rgb = np.rint(np.clip(from_linear(linear), 0, 1) * 255).astype(int)
    return [(r, g, b) for r, g, b in rgb.T.tolist()]


def _polynomial(terms: Sequence[Floats], x: Floats) -> Floats:
    a, b, c, d = terms
    return np.asarray(a + x * (b + x * (c + x * d)))


def _in_gamut(around: Floats) -> np.ndarray[tuple[int, ...], np.dtype[np.bool_]]:
    """Which colours are in gamut; of linear sRGB less a half, shape (3, n)."""
    return np.asarray(np.maximum.reduce(np.abs(around)) <= 0.5 + 1e-6)
