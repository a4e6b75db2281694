"""sRGB values: eight-bit triples, hexadecimal text, and the transfer function that WCAG writes.

Arrays have shape (..., 3). Eight-bit values are integers 0–255, fractional values are 0–1.
"""

import math
import re
from collections.abc import Iterable
from functools import lru_cache
from typing import Any

import numpy as np
from numpy.typing import ArrayLike, NDArray

RGB = tuple[int, int, int]
Floats = NDArray[np.float64]

_PAIRS = [f"{value:02x}" for value in range(256)]
_HEX = re.compile(r"#([0-9a-fA-F]{6})\Z")


def from_hex(text: str) -> RGB:
    """Eight-bit sRGB of `#rrggbb`. Raises ValueError for any other form."""
    found = _HEX.match(text)
    if not found:
        raise ValueError(f"{text!r} is not of the form #rrggbb")
    number = int(found[1], 16)
    return number >> 16, number >> 8 & 255, number & 255


@lru_cache(maxsize=16384)
def to_hex(rgb: RGB) -> str:
    """`#rrggbb`, lower case."""
    return f"#{_PAIRS[rgb[0]]}{_PAIRS[rgb[1]]}{_PAIRS[rgb[2]]}"


def eight_bit(values: Iterable[float]) -> RGB:
    """Eight-bit sRGB of fractional components, halves upwards and held within 0–255, as browsers do (CSS Color 4, section 15.1). They
    reckon in single precision, in which 0.3 × 255 is 76.5; so a hair below a half counts as a half."""
    r, g, b = (min(255, max(0, math.floor(255 * value + 0.5 + 1e-5))) for value in values)
    return r, g, b


def to_linear_wcag(rgb8: ArrayLike) -> Floats:
    """Linear components, 0–1, of eight-bit sRGB, shape (..., 3).

    Source: WCAG 2.2, definition of relative luminance (threshold 0.04045).
    """
    values = np.asarray(rgb8)
    return _LINEAR[values] if values.dtype.kind in "iu" else _linear(values)


def _linear(values: NDArray[Any]) -> Floats:
    c = values / 255.0
    return np.asarray(np.where(c <= 0.04045, c / 12.92, ((c + 0.055) / 1.055) ** 2.4))


_LINEAR = _linear(np.arange(256))  # looked up for whole values, which are most of them


def from_linear(linear: ArrayLike) -> Floats:
    """Gamma-encoded sRGB, 0–1 where in gamut, of linear components. Source: CSS Color 4, section 10.2."""
    c = np.asarray(linear, dtype=np.float64)
    magnitude = np.abs(c)
    curved = np.sign(c) * (1.055 * np.power(magnitude, 1 / 2.4) - 0.055)
    return np.asarray(np.where(magnitude <= 0.0031308, 12.92 * c, curved))
