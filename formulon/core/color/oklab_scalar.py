"""OKLab and OKLCH of single colours in plain floats, where arrays of one would cost more than the arithmetic.

The same formulas as oklab.py, from the same matrices; a test holds the two together. Results are kept, since a
resolution asks for the same few colours again and again.
"""

import math
from functools import lru_cache

from formulon.core.color.contrast import _LINEAR
from formulon.core.color.oklab import _LAB_TO_LMS, _LMS_TO_LAB, _LMS_TO_RGB, _RGB_TO_LMS
from formulon.core.color.srgb import RGB

Triple = tuple[float, float, float]
_A, _B = tuple(map(tuple, _RGB_TO_LMS.tolist())), tuple(map(tuple, _LMS_TO_LAB.tolist()))
_C, _D = tuple(map(tuple, _LAB_TO_LMS.tolist())), tuple(map(tuple, _LMS_TO_RGB.tolist()))
_STEPS = 14
_LOW, _HIGH = -1e-6, 1 + 1e-6


def _times(matrix: tuple[tuple[float, ...], ...], v: Triple) -> Triple:
    (a, b, c), (d, e, f), (g, h, i) = matrix
    x, y, z = v
    return a * x + b * y + c * z, d * x + e * y + f * z, g * x + h * y + i * z


@lru_cache(maxsize=16384)
def oklab(rgb: RGB) -> Triple:
    """OKLab of an eight-bit sRGB colour."""
    long, medium, short = _times(_A, (_LINEAR[rgb[0]], _LINEAR[rgb[1]], _LINEAR[rgb[2]]))
    return _times(_B, (math.cbrt(long), math.cbrt(medium), math.cbrt(short)))


def oklch(rgb: RGB) -> Triple:
    """OKLCH of an eight-bit sRGB colour; hue 0–360, and 0 for greys."""
    return lab_to_lch(oklab(rgb))


def lab_to_lch(lab: Triple) -> Triple:
    chroma = math.hypot(lab[1], lab[2])
    return lab[0], chroma, math.degrees(math.atan2(lab[2], lab[1])) % 360 if chroma >= 1e-4 else 0.0


def rgb_of(lightness: float, chroma: float, hue: float) -> RGB:
    """Eight-bit sRGB of an OKLCH colour, brought into gamut as in oklab.oklch_to_rgb."""
    angle = math.radians(hue)
    return _fitted(lightness, chroma * math.cos(angle), chroma * math.sin(angle))


def _fitted(lightness: float, a: float, b: float) -> RGB:
    """Eight-bit sRGB of OKLab, brought into gamut: chroma is halved towards the edge where the colour lies outside."""
    lightness = min(1.0, max(0.0, lightness))
    red, green, blue = _linear(lightness, a, b)
    if not (_LOW <= red <= _HIGH and _LOW <= green <= _HIGH and _LOW <= blue <= _HIGH):
        low, half = 0.0, 1.0  # as shares of the chroma
        for _ in range(_STEPS):
            half /= 2
            red, green, blue = _linear(lightness, a * (low + half), b * (low + half))
            if _LOW <= red <= _HIGH and _LOW <= green <= _HIGH and _LOW <= blue <= _HIGH:
                low += half
        red, green, blue = _linear(lightness, a * low, b * low)
    return _encode(red), _encode(green), _encode(blue)


def lightened(rgb: RGB, by: float) -> RGB:
    """The colour with `by` more OKLCH lightness, chroma and hue kept as far as sRGB has them."""
    lightness, a, b = oklab(rgb)
    return _fitted(lightness + by, a, b)


def clipped(lightness: float, chroma: float, hue: float) -> RGB:
    """Eight-bit sRGB of an OKLCH colour with each channel clipped: nearer than chroma reduction for small steps."""
    angle = math.radians(hue)
    r, g, b = (_encode(value) for value in _linear(lightness, chroma * math.cos(angle), chroma * math.sin(angle)))
    return r, g, b


@lru_cache(maxsize=16384)
def mixed(a: RGB, b: RGB, share: float) -> RGB:
    """`share` of b mixed into a, in OKLab, brought into sRGB."""
    (l1, a1, b1), (l2, a2, b2), rest = oklab(a), oklab(b), 1 - share
    return _fitted(l1 * rest + l2 * share, a1 * rest + a2 * share, b1 * rest + b2 * share)


def _linear(lightness: float, a: float, b: float) -> Triple:
    """Linear sRGB of OKLab."""
    (la, lb, lc), (ma, mb, mc), (sa, sb, sc) = _C
    long, medium, short = la * lightness + lb * a + lc * b, ma * lightness + mb * a + mc * b, sa * lightness + sb * a + sc * b
    long, medium, short = long * long * long, medium * medium * medium, short * short * short
    (ra, rb, rc), (ga, gb, gc), (ba, bb, bc) = _D
    return ra * long + rb * medium + rc * short, ga * long + gb * medium + gc * short, ba * long + bb * medium + bc * short


def _encode(value: float) -> int:
    if value <= 0.0031308:
        return round(12.92 * value * 255) if value > 0 else 0
    return round((1.055 * value ** (1 / 2.4) - 0.055) * 255) if value < 1 else 255
