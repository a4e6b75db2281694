"""What a mark's shape asks for, measured on it: its thinnest stroke, its smallest counter, and what is drawn of its box.

A raster of the mark is measured with an exact distance transform: along the middle of a stroke the distance to its edge is
half its width. The method is common practice in image analysis (medial axis); the transform is Meijster, Roerdink and
Hesselink (2000), here in its plain form of column and row minima.
"""

import io
import math
from dataclasses import dataclass
from functools import lru_cache

import numpy as np
import resvg_py
from numpy.typing import NDArray
from PIL import Image

from formulon.core.color.srgb import Floats

Mask = NDArray[np.bool_]
_HIGH, _WIDE = 200, 900  # px of the raster: so high, unless it would be wider
_SOLID = 128  # of 255, from which a pixel counts as drawn
_RARE = 0.04  # share of a mark's middle lines that may be thinner than what counts as its thinnest stroke: ends and joints


@dataclass(frozen=True, slots=True)
class MarkShape:
    """Lengths are shares of the mark's height. `thinnest` is its thinnest stroke, `counter` the narrowest of its enclosed
    spaces at its widest, 0 where there is none; `box` is what is drawn: left, top, right, bottom as shares."""

    thinnest: float
    counter: float
    box: tuple[float, float, float, float]
    ratio: float  # width by height

    @property
    def least_height(self) -> float:
        """The height in px from which the thinnest stroke takes one CSS pixel and the counters stay open."""
        finest = min(value for value in (self.thinnest, self.counter, 1.0) if value > 0)
        return math.ceil(1 / finest)


@lru_cache(maxsize=128)
def shape_of(svg: str, width: float, height: float) -> MarkShape:
    """The measures of a rebuilt mark of `width` by `height` user units."""
    scale = min(_HIGH / height, _WIDE / width)
    across, down = max(1, round(width * scale)), max(1, round(height * scale))
    png = resvg_py.svg_to_bytes(svg_string=svg, width=across, height=down, skip_system_fonts=True)
    drawn: Mask = np.asarray(Image.open(io.BytesIO(bytes(png))).convert("RGBA"))[..., 3] >= _SOLID
    rows, columns = np.flatnonzero(drawn.any(axis=1)), np.flatnonzero(drawn.any(axis=0))
    high, wide = drawn.shape
    if not len(rows):
        return MarkShape(0.0, 0.0, (0.0, 0.0, 1.0, 1.0), wide / high)
    left, top, right, bottom = int(columns[0]), int(rows[0]), int(columns[-1]) + 1, int(rows[-1]) + 1
    box = (left / wide, top / high, right / wide, bottom / high)
    ridge = middles(drawn)
    thin = float(np.quantile(ridge, _RARE)) if len(ridge) else 0.0
    return MarkShape(thin / high, counter(drawn) / high, box, wide / high)


def distances(inside: Mask) -> Floats:
    """Distance in px of every pixel inside to the nearest one outside; outside it is 0. The border counts as outside."""
    padded = np.pad(inside, 1)
    high, wide = padded.shape
    down = np.zeros((high, wide))
    for row in range(1, high):
        down[row] = np.where(padded[row], down[row - 1] + 1, 0)
    for row in range(high - 2, -1, -1):
        down[row] = np.where(padded[row], np.minimum(down[row], down[row + 1] + 1), 0)
    squares = down**2
    found = squares.copy()
    for step in range(1, min(wide, int(down.max()) + 1)):  # no distance is longer than the longest down a column
        np.minimum(found[:, step:], squares[:, :-step] + step**2, out=found[:, step:])
        np.minimum(found[:, :-step], squares[:, step:] + step**2, out=found[:, :-step])
    return np.asarray(np.sqrt(found)[1:-1, 1:-1])


def middles(inside: Mask) -> Floats:
    """Widths in px along the middle lines of what is drawn: twice the distance where no neighbour is farther from the edge,
    less the half pixel on either side."""
    away = distances(inside)
    around = np.pad(away, 1)
    peak = np.ones_like(inside)
    for dy in (-1, 0, 1):
        for dx in (-1, 0, 1):
            peak &= away >= around[1 + dy : 1 + dy + away.shape[0], 1 + dx : 1 + dx + away.shape[1]] - 1e-9
    return 2 * away[inside & peak] - 1


def counter(inside: Mask) -> float:
    """Width in px of the narrowest enclosed space at its widest; 0 where nothing is enclosed. Specks of less than two pixels
    are the raster's own."""
    labels = pieces(~np.pad(inside, 1))
    holes = (labels > 0) & (labels != labels[0, 0])
    if not holes.any():
        return 0.0
    away = distances(holes)
    _, index = np.unique(labels[holes], return_inverse=True)
    widest = np.zeros(int(index.max()) + 1)
    np.maximum.at(widest, index, 2 * away[holes] - 1)
    return float(min(widest[widest >= 2], default=0.0))


def pieces(inside: Mask) -> NDArray[np.int64]:
    """A number above 0 for every connected piece (by sides), 0 outside. Numbers spread along runs of rows and of columns in turn
    until nothing changes."""
    labels = np.where(inside, np.arange(1, inside.size + 1).reshape(inside.shape), 0)
    while True:
        spread = _along(_along(labels).T).T
        if np.array_equal(spread, labels):
            return np.ascontiguousarray(labels)
        labels = spread


def _along(labels: NDArray[np.int64]) -> NDArray[np.int64]:
    """Every run of a row takes its least number."""
    flat = np.pad(labels, ((0, 0), (1, 0))).ravel()  # runs end with their row
    starts = np.flatnonzero(np.diff((flat > 0).astype(np.int8), prepend=0))
    if not len(starts):
        return labels
    least = np.minimum.reduceat(flat, starts)
    whole = np.repeat(least, np.diff(np.append(starts, len(flat))))
    made = np.concatenate([flat[: starts[0]], whole])
    return made.reshape(labels.shape[0], -1)[:, 1:]
