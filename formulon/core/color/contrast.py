"""WCAG relative luminance and contrast ratio, literally as the standard writes them."""

import math
from functools import lru_cache

import numpy as np
from numpy.typing import ArrayLike

from formulon.core.color.srgb import RGB, Floats, to_linear_wcag

_COEFFICIENTS = np.array([0.2126, 0.7152, 0.0722])


def _channel(value: int) -> float:
    c = value / 255
    return c / 12.92 if c <= 0.04045 else ((c + 0.055) / 1.055) ** 2.4


_LINEAR = [_channel(value) for value in range(256)]


@lru_cache(maxsize=16384)
def relative_luminance(rgb: RGB) -> float:
    """Relative luminance, 0–1, of an eight-bit sRGB colour. Source: WCAG 2.2, definition of relative luminance."""
    return 0.2126 * _LINEAR[rgb[0]] + 0.7152 * _LINEAR[rgb[1]] + 0.0722 * _LINEAR[rgb[2]]


@lru_cache(maxsize=16384)
def _lifted(rgb: RGB) -> float:
    return relative_luminance(rgb) + 0.05


def contrast_ratio(a: RGB, b: RGB) -> float:
    """Contrast ratio, 1–21, unrounded, in either order. Source: WCAG 2.2, definition of contrast ratio."""
    first, second = _lifted(a), _lifted(b)
    return first / second if first > second else second / first


def luminances(rgb8: ArrayLike) -> Floats:
    """Relative luminance of every colour of an array, shape (..., 3) → (...)."""
    return np.asarray(to_linear_wcag(rgb8) @ _COEFFICIENTS)


def contrast_matrix(foregrounds: ArrayLike, backgrounds: ArrayLike) -> Floats:
    """Contrast ratios, shape (m, n), of eight-bit colours (m, 3) against (n, 3)."""
    a = luminances(foregrounds)[:, None] + 0.05
    b = luminances(backgrounds)[None, :] + 0.05
    return np.maximum(a, b) / np.minimum(a, b)


def shown(ratio: float, places: int = 2) -> str:
    """A ratio as text, floored, so that a failing ratio never reads as a passing one: 4.499 → "4.49:1"."""
    scale = 10**places
    return f"{math.floor(ratio * scale + 1e-9) / scale:g}:1"
