"""Colour difference. CIELAB under D65, the white of sRGB."""

import math

from formulon.core.color.contrast import _LINEAR
from formulon.core.color.srgb import RGB

Lab = tuple[float, float, float]

_WHITE = (0.95047, 1.0, 1.08883)  # D65, 2°, CIE 15


def rgb_to_lab(rgb: RGB) -> Lab:
    """CIELAB (L 0–100), D65, of an eight-bit sRGB colour. Sources: IEC 61966-2-1 (matrix), CIE 15 (CIELAB)."""
    r, g, b = (_LINEAR[value] for value in rgb)
    xyz = (
        0.4124564 * r + 0.3575761 * g + 0.1804375 * b,
        0.2126729 * r + 0.7151522 * g + 0.0721750 * b,
        0.0193339 * r + 0.1191920 * g + 0.9503041 * b,
    )
    fx, fy, fz = (_cube(value / white) for value, white in zip(xyz, _WHITE, strict=True))
    return 116 * fy - 16, 500 * (fx - fy), 200 * (fy - fz)


def _cube(t: float) -> float:
    return math.cbrt(t) if t > 216 / 24389 else (24389 / 27 * t + 16) / 116


def delta_e_2000(first: Lab, second: Lab) -> float:
    """ΔE2000 of two CIELAB colours, weights 1. Source: Sharma, Wu and Dalal (2005), equations 2 to 22."""
    l1, a1, b1 = first
    l2, a2, b2 = second
    c_mean7 = ((math.hypot(a1, b1) + math.hypot(a2, b2)) / 2) ** 7
    g = 0.5 * (1 - math.sqrt(c_mean7 / (c_mean7 + 25**7)))
    a1, a2 = (1 + g) * a1, (1 + g) * a2
    c1, c2 = math.hypot(a1, b1), math.hypot(a2, b2)
    h1 = math.degrees(math.atan2(b1, a1)) % 360 if c1 else 0.0
    h2 = math.degrees(math.atan2(b2, a2)) % 360 if c2 else 0.0
    dl, dc = l2 - l1, c2 - c1
    dh = 0.0
    if c1 * c2:
        dh = (h2 - h1 + 180) % 360 - 180
        if dh == -180 and h2 > h1:
            dh = 180.0
    big_dh = 2 * math.sqrt(c1 * c2) * math.sin(math.radians(dh) / 2)
    l_mean, c_mean = (l1 + l2) / 2, (c1 + c2) / 2
    if not c1 * c2:
        h_mean = h1 + h2
    elif abs(h1 - h2) <= 180:
        h_mean = (h1 + h2) / 2
    else:
        h_mean = (h1 + h2 + (360 if h1 + h2 < 360 else -360)) / 2
    t = (
        1
        - 0.17 * math.cos(math.radians(h_mean - 30))
        + 0.24 * math.cos(math.radians(2 * h_mean))
        + 0.32 * math.cos(math.radians(3 * h_mean + 6))
        - 0.20 * math.cos(math.radians(4 * h_mean - 63))
    )
    rotation = 60 * math.exp(-(((h_mean - 275) / 25) ** 2))
    c7 = c_mean**7
    r_t = -2 * math.sqrt(c7 / (c7 + 25**7)) * math.sin(math.radians(rotation))
    s_l = 1 + 0.015 * (l_mean - 50) ** 2 / math.sqrt(20 + (l_mean - 50) ** 2)
    s_c = 1 + 0.045 * c_mean
    s_h = 1 + 0.015 * c_mean * t
    return math.sqrt((dl / s_l) ** 2 + (dc / s_c) ** 2 + (big_dh / s_h) ** 2 + r_t * (dc / s_c) * (big_dh / s_h))


def difference(a: RGB, b: RGB) -> float:
    """ΔE2000 of two eight-bit sRGB colours."""
    return delta_e_2000(rgb_to_lab(a), rgb_to_lab(b))
