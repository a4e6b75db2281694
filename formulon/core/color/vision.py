"""Colours as they are seen without one of the three kinds of cones, and without colour at all.

Source of the matrices: Machado, Oliveira and Fernandes, "A Physiologically-based Model for Simulation of Color Vision
Deficiency" (IEEE TVCG 15 (6), 2009), table 1, severity 1.0. They apply to linear sRGB. For tritanopia the paper shifts
a curve, which it calls an approximation.
"""

from functools import lru_cache
from operator import mul
from typing import Literal, get_args

import numpy as np
from numpy.typing import ArrayLike

from formulon.core.color.contrast import _LINEAR
from formulon.core.color.difference import Lab, linear_to_lab
from formulon.core.color.srgb import RGB, Floats, from_linear, to_linear_wcag

Vision = Literal["protanopia", "deuteranopia", "tritanopia", "greyscale"]
VISIONS: tuple[Vision, ...] = get_args(Vision)
DICHROMACIES: tuple[Vision, ...] = VISIONS[:3]

MATRICES: dict[Vision, Floats] = {
    "protanopia": np.array([[0.152286, 1.052583, -0.204868], [0.114503, 0.786281, 0.099216], [-0.003882, -0.048116, 1.051998]]),
    "deuteranopia": np.array(
        [[0.367322, 0.860646, -0.227968], [0.280085, 0.672501, 0.047413], [-0.011820, 0.042940, 0.968881]]
    ),
    "tritanopia": np.array([[1.255528, -0.076749, -0.178779], [-0.078411, 0.930809, 0.147602], [0.004733, 0.691367, 0.303900]]),
    # Every channel becomes the relative luminance (WCAG 2.2, coefficients of IEC 61966-2-1).
    "greyscale": np.tile([0.2126, 0.7152, 0.0722], (3, 1)),
}

_ROWS = {vision: tuple(map(tuple, matrix.tolist())) for vision, matrix in MATRICES.items()}


def seen(rgb8: ArrayLike, vision: Vision) -> Floats:
    """Eight-bit sRGB colours, shape (..., 3), as seen with a kind of vision; values 0–255, not rounded."""
    linear = np.clip(to_linear_wcag(rgb8) @ MATRICES[vision].T, 0, 1)
    return np.asarray(np.clip(from_linear(linear), 0, 1) * 255)


def seen_color(rgb: RGB, vision: Vision) -> RGB:
    """One eight-bit sRGB colour as seen with a kind of vision, rounded to eight bits."""
    r, g, b = (int(value) for value in np.rint(seen(np.array(rgb), vision)))
    return r, g, b


@lru_cache(maxsize=16384)
def lab_seen(rgb: RGB, vision: Vision) -> Lab:
    """CIELAB, D65, of an eight-bit sRGB colour as seen with a kind of vision; not rounded between. For one colour this takes a
    fiftieth of what arrays take."""
    own = _LINEAR[rgb[0]], _LINEAR[rgb[1]], _LINEAR[rgb[2]]
    r, g, b = (min(1.0, max(0.0, sum(map(mul, row, own)))) for row in _ROWS[vision])
    return linear_to_lab(r, g, b)
