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
    return _in_gamut(lightness, chroma, math.cos(angle), math.sin(angle))


def _in_gamut(lightness: float, chroma: float, cos: float, sin: float) -> RGB:
    """Chroma is halved towards the edge of sRGB. The roots of LMS are straight lines in chroma, which are worked out once."""
    lightness = min(1.0, max(0.0, lightness))
    (la, lb, lc), (ma, mb, mc), (sa, sb, sc) = _C
    long, medium, short = la * lightness, ma * lightness, sa * lightness
    long_by, medium_by, short_by = lb * cos + lc * sin, mb * cos + mc * sin, sb * cos + sc * sin
    (ra, rb, rc), (ga, gb, gc), (ba, bb, bc) = _D
    low, high, middle = 0.0, chroma, chroma
    for step in range(_STEPS + 2):
        x, y, z = (long + long_by * middle) ** 3, (medium + medium_by * middle) ** 3, (short + short_by * middle) ** 3
        red, green, blue = ra * x + rb * y + rc * z, ga * x + gb * y + gc * z, ba * x + bb * y + bc * z
        if _LOW <= red <= _HIGH and _LOW <= green <= _HIGH and _LOW <= blue <= _HIGH:
            if step == 0:
                break
            low = middle
        elif step <= _STEPS:
            high = middle
        middle = (low + high) / 2 if step < _STEPS else low
    return _encode(red), _encode(green), _encode(blue)


def lightened(rgb: RGB, by: float) -> RGB:
    """The colour with `by` more OKLCH lightness, chroma and hue kept as far as sRGB has them."""
    lightness, a, b = oklab(rgb)
    return _fitted(lightness + by, a, b)


def clipped(lightness: float, chroma: float, hue: float) -> RGB:
    """Eight-bit sRGB of an OKLCH colour with each channel clipped: nearer than chroma reduction for small steps."""
    cos, sin = math.cos(math.radians(hue)), math.sin(math.radians(hue))
    r, g, b = (_encode(value) for value in _linear(lightness, chroma, cos, sin))
    return r, g, b


@lru_cache(maxsize=16384)
def mixed(a: RGB, b: RGB, share: float) -> RGB:
    """`share` of b mixed into a, in OKLab, brought into sRGB."""
    (l1, a1, b1), (l2, a2, b2), rest = oklab(a), oklab(b), 1 - share
    return _fitted(l1 * rest + l2 * share, a1 * rest + a2 * share, b1 * rest + b2 * share)


def _fitted(lightness: float, a: float, b: float) -> RGB:
    """Eight-bit sRGB of OKLab, brought into gamut."""
    chroma = math.hypot(a, b)
    return _in_gamut(lightness, chroma, *((a / chroma, b / chroma) if chroma >= 1e-4 else (1.0, 0.0)))


def _linear(lightness: float, chroma: float, cos: float, sin: float) -> Triple:
    long, medium, short = _times(_C, (lightness, chroma * cos, chroma * sin))
    return _times(_D, (long**3, medium**3, short**3))


def _encode(value: float) -> int:
    if value <= 0.0031308:
        return round(12.92 * value * 255) if value > 0 else 0
    return round((1.055 * value ** (1 / 2.4) - 0.055) * 255) if value < 1 else 255
