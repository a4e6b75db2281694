"""Colour difference. CIELAB under D65, the white of sRGB."""

import math
from functools import lru_cache

import numpy as np
from numpy.typing import ArrayLike

from formulon.core.color.contrast import _LINEAR
from formulon.core.color.srgb import RGB, Floats, to_linear_wcag

Lab = tuple[float, float, float]

_TURN, _DEGREE = 2 * math.pi, math.pi / 180
_WHITE = (0.95047, 1.0, 1.08883)  # D65, 2°, CIE 15


@lru_cache(maxsize=16384)
def rgb_to_lab(rgb: RGB) -> Lab:
    """CIELAB (L 0–100), D65, of an eight-bit sRGB colour. Sources: IEC 61966-2-1 (matrix), CIE 15 (CIELAB)."""
    return linear_to_lab(_LINEAR[rgb[0]], _LINEAR[rgb[1]], _LINEAR[rgb[2]])


def linear_to_lab(r: float, g: float, b: float) -> Lab:
    """CIELAB (L 0–100), D65, of linear sRGB, 0–1; sources as for rgb_to_lab."""
    fx = _cube((0.4124564 * r + 0.3575761 * g + 0.1804375 * b) / _WHITE[0])
    fy = _cube((0.2126729 * r + 0.7151522 * g + 0.0721750 * b) / _WHITE[1])
    fz = _cube((0.0193339 * r + 0.1191920 * g + 0.9503041 * b) / _WHITE[2])
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
    h1, h2 = math.atan2(b1, a1), math.atan2(b2, a2)  # radians, from 0 to 2π
    h1, h2 = h1 + _TURN if h1 < 0 else h1, h2 + _TURN if h2 < 0 else h2
    dh, h_mean = h2 - h1, (h1 + h2) / 2
    if not c1 * c2:
        dh, h_mean = 0.0, h1 + h2
    elif abs(dh) > math.pi:
        dh -= math.copysign(_TURN, dh)
        h_mean += math.pi if h_mean < math.pi else -math.pi
    l_mean, c_mean = (l1 + l2) / 2, (c1 + c2) / 2
    t = (
        1
        - 0.17 * math.cos(h_mean - _DEGREE * 30)
        + 0.24 * math.cos(2 * h_mean)
        + 0.32 * math.cos(3 * h_mean + _DEGREE * 6)
        - 0.20 * math.cos(4 * h_mean - _DEGREE * 63)
    )
    rotation = 60 * _DEGREE * math.exp(-(((h_mean / _DEGREE - 275) / 25) ** 2))
    c7, away = c_mean**7, (l_mean - 50) ** 2
    r_t = -2 * math.sqrt(c7 / (c7 + 25**7)) * math.sin(rotation)
    light = (l2 - l1) / (1 + 0.015 * away / math.sqrt(20 + away))
    chroma = (c2 - c1) / (1 + 0.045 * c_mean)
    hue = 2 * math.sqrt(c1 * c2) * math.sin(dh / 2) / (1 + 0.015 * c_mean * t)
    return math.sqrt(light**2 + chroma**2 + hue**2 + r_t * chroma * hue)


@lru_cache(maxsize=32768)
def difference(a: RGB, b: RGB) -> float:
    """ΔE2000 of two eight-bit sRGB colours."""
    return delta_e_2000(rgb_to_lab(a), rgb_to_lab(b))


_TO_XYZ = np.array([[0.4124564, 0.3575761, 0.1804375], [0.2126729, 0.7151522, 0.0721750], [0.0193339, 0.1191920, 0.9503041]])
_TO_WHITE = (_TO_XYZ / np.array(_WHITE)[:, None]).T


def labs(rgb8: ArrayLike) -> Floats:
    """CIELAB, D65, of sRGB colours of 0–255, shape (..., 3); fractions are allowed."""
    t = to_linear_wcag(rgb8) @ _TO_WHITE
    f = np.where(t > 216 / 24389, np.cbrt(t), (24389 / 27 * t + 16) / 116)
    x, y, z = np.moveaxis(f, -1, 0)
    return np.stack([116 * y - 16, 500 * (x - y), 200 * (y - z)], axis=-1)


def differences(first: Floats, second: Floats) -> Floats:
    """ΔE2000 of CIELAB arrays of shapes (..., 3) that broadcast; the formula of `delta_e_2000`, on arrays."""
    l1, a1, b1 = np.moveaxis(first, -1, 0)
    l2, a2, b2 = np.moveaxis(second, -1, 0)
    g = 1.5 - 0.5 * _faded((np.hypot(a1, b1) + np.hypot(a2, b2)) / 2)
    a1, a2 = g * a1, g * a2
    c1, c2 = np.hypot(a1, b1), np.hypot(a2, b2)
    h1, h2 = (np.where(h < 0, h + _TURN, h) for h in (np.arctan2(b1, a1), np.arctan2(b2, a2)))
    grey = c1 * c2 == 0
    dl, dc, dh = l2 - l1, c2 - c1, h2 - h1
    far = np.abs(dh) > np.pi
    dh = np.where(far, dh - np.copysign(_TURN, dh), dh)
    big_dh = np.where(grey, 0.0, 2 * np.sqrt(c1 * c2) * np.sin(dh / 2))
    l_mean, c_mean, total = (l1 + l2) / 2, (c1 + c2) / 2, h1 + h2
    h_mean = np.where(grey, total, total / 2 + np.where(far, np.where(total < _TURN, np.pi, -np.pi), 0.0))
    t = (
        1
        - 0.17 * np.cos(h_mean - _DEGREE * 30)
        + 0.24 * np.cos(2 * h_mean)
        + 0.32 * np.cos(3 * h_mean + _DEGREE * 6)
        - 0.20 * np.cos(4 * h_mean - _DEGREE * 63)
    )
    rotation = 60 * np.exp(-(((h_mean / _DEGREE - 275) / 25) ** 2))
    r_t = -2 * _faded(c_mean) * np.sin(_DEGREE * rotation)
    away = (l_mean - 50) ** 2
    light = dl / (1 + 0.015 * away / np.sqrt(20 + away))
    chroma = dc / (1 + 0.045 * c_mean)
    hue = big_dh / (1 + 0.015 * c_mean * t)
    return np.asarray(np.sqrt(np.maximum(light**2 + chroma**2 + hue**2 + r_t * chroma * hue, 0)))


def _faded(chroma: Floats) -> Floats:
    """What equations 4 and 19 take of the mean chroma: the root of C⁷ / (C⁷ + 25⁷)."""
    squared = chroma * chroma
    seventh = squared * squared * squared * chroma
    return np.sqrt(seventh / (seventh + 25.0**7))
