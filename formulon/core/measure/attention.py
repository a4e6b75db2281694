"""What draws the eye first: a computed prediction from the pixels of a screen. It knows colours, lightness, edges and their directions at
several scales, and nothing of meaning, faces or habits of reading.

What is unlike the rest of the screen, and stands in one place of it, draws the eye; what is found all over it does not. That is measured as
in F. Perazzi, P. Krähenbühl, Y. Pritch, A. Hornung, “Saliency filters: contrast based filtering for salient region detection”, CVPR 2012
(uniqueness, and how far apart the places of a feature lie; from memory), with features of cells instead of segments, and directions of edges
beside colours; maps are weighted by how far they are above their mean, as in L. Itti, C. Koch, E. Niebur, “A model of saliency-based visual
attention for rapid scene analysis”, IEEE PAMI 20, 1998 (from memory). Where it is known what things stand on a screen, they are compared as
well, each as a whole, in colour, edges and size by themselves: one thin outline among filled things, or one taller in its row, has no
pixel that no other place has (features are looked for one by one: A. Treisman, G. Gelade, “A feature-integration theory of attention”,
1980; from memory). After each glance what was looked at is set aside."""

from collections.abc import Sequence
from dataclasses import dataclass
from math import ceil, floor

import numpy as np
from numpy.typing import NDArray
from PIL import Image

from formulon.core.color.oklab import rgb_to_oklab

Floats = NDArray[np.float32]
Box = tuple[float, float, float, float]  # left, top, width, height in px of the screen

GLANCES = 5
_ACROSS = 80  # cells of a wide screen
_SCALES = 5  # features of cells, and of them blurred over 2 to 16 times as much
_KERNEL = np.array([1, 4, 6, 4, 1], dtype=np.float32) / 16
_COLORS = 0.05  # in OKLab, with a and b taken twice: what differs by less is one colour
_EDGES = 0.1  # of the strongest edge
_MOST = 500  # features told apart on one map
_APART = 0.1  # of the screen's diagonal, as a standard deviation: a feature that is farther apart is found all over
_ALL_OVER = 0.03  # what such a feature draws, of what it would in one place
_FLAT = 0.0005  # energy of edges around, at which half of what a place draws is left: where nothing is, nothing is looked at
_ASIDE = 0.08  # of the diagonal: what is set aside around a glance that no box holds
# Things whose mean colour, mean step at an edge, or size by log2 differs by less are alike in that.
_UNLIKE = (0.08, 0.01, 0.25)
_THINGS = 1.5  # what one thing otherwise draws, beside one map of cells
_LARGE = 1 / 400  # of the screen: a thing of that area draws half of what a large one does
_LEAST = 0.15  # of the strongest: what draws the eye less draws it no more than anything


@dataclass(frozen=True, slots=True)
class Glance:
    """Where the eye goes, in px of the screen, how strongly beside the first (0–1), and the index of the box that holds it, or None."""

    x: float
    y: float
    strength: float
    box: int | None


def glances(screen: NDArray[np.uint8], boxes: Sequence[Box] = (), count: int = GLANCES) -> list[Glance]:
    """Where the eye goes first on a screen, shape (h, w, 3) in sRGB, in order. A box that was looked at is set aside whole: the smallest
    that holds the place."""
    drawing, cell = drawing_map(screen, boxes), cell_of(screen)
    top = float(drawing.max(initial=0.0))
    left, found = drawing.copy(), list[Glance]()
    rows, columns = np.indices(drawing.shape)
    for _ in range(count if top > 0 else 0):
        row, column = np.unravel_index(int(left.argmax()), left.shape)
        strength = float(left[row, column]) / top
        if strength < _LEAST:
            break
        x, y = (float(column) + 0.5) * cell, (float(row) + 0.5) * cell
        box = _holder(x, y, boxes, cell)
        found.append(Glance(x, y, strength, box))
        left[np.hypot(rows - row, columns - column) < _ASIDE * np.hypot(*left.shape)] = 0
        if box is not None:  # with what is blurred beside it
            x, y, wide, high = boxes[box]
            above, before = max(0, int(y // cell) - 2), max(0, int(x // cell) - 2)
            left[above : max(0, int((y + high) // cell) + 3), before : max(0, int((x + wide) // cell) + 3)] = 0
    return found


def cell_of(screen: NDArray[np.uint8]) -> int:
    """How many px of a screen the side of a cell is."""
    return 16 if screen.shape[1] >= 16 * _ACROSS else 8


def drawing_map(screen: NDArray[np.uint8], boxes: Sequence[Box] = ()) -> Floats:
    """How much each cell of a screen, shape (h, w, 3) in sRGB, draws the eye: shape (h // cell, w // cell), from 0. `boxes` are the things
    that stand on it."""
    cell = cell_of(screen)
    high, wide = (size // cell for size in screen.shape[:2])
    made = np.zeros((high, wide), dtype=np.float32)
    if high < 2 or wide < 2:
        return made
    cut = Image.fromarray(np.ascontiguousarray(screen[: high * cell, : wide * cell]))
    lab = np.asarray(rgb_to_oklab(np.asarray(cut.reduce(cell // 4))), dtype=np.float32)
    colors = _means(lab, 4) * np.array([1, 2, 2], dtype=np.float32)
    # Edges are finer than colours: lines of two px count. Eight bits of grey are about as even to the eye as lightness.
    grey = np.asarray(cut.convert("L").reduce(2), dtype=np.float32) / 255
    across, down = np.zeros_like(grey), np.zeros_like(grey)
    across[:, 1:-1] = (grey[:, 2:] - grey[:, :-2]) / 2
    down[1:-1] = (grey[2:] - grey[:-2]) / 2
    tensor = _means(np.stack([across * across, down * down, across * down], -1), cell // 2)
    around = _blurred(_blurred(tensor[..., 0] + tensor[..., 1], 1), 2)
    for scale in range(_SCALES):
        if scale:
            colors, tensor = (_blurred(one, 2 ** (scale - 1)) for one in (colors, tensor))
        edges = _edges(tensor)
        for features, width in ((colors, _COLORS), (edges, max(0.015, _EDGES * float(edges.max())))):
            one = _blurred(_blurred(_distinct(features, width), 1), 1)
            top = float(one.max())
            if top > 1e-6:
                made += one / top * (1 - float(one.mean()) / top) ** 2
    made *= around / (around + _FLAT)
    for each in _compared(((lab * (1, 2, 2), cell // 4), (np.abs(np.stack([across, down], -1)), 2)), boxes):
        _add_things(made, each, boxes, cell)
    shown = np.ones_like(made)
    for left, top, width, height in boxes:  # what is cut at the screen's edge draws as much less as is not seen of it
        seen = (min(left + width, cut.width) - max(left, 0)) * (min(top + height, cut.height) - max(top, 0))
        if 0 < seen < width * height:
            within = _cells((left, top, width, height), cell)
            shown[within] = np.minimum(shown[within], seen / (width * height))
    return made * shown


def _compared(maps: Sequence[tuple[Floats, int]], boxes: Sequence[Box]) -> list[Floats]:
    """How much each thing draws the eye by what maps, with the px that their cells are wide, tell of it, and by its size, each shape
    (things,), 1 at most: how unlike the others it is, by how few are like it, and by its area. Nothing of fewer than three things."""
    seen, features, areas = list[int](), [], []
    for index, box in enumerate(boxes):
        parts = [one[_cells(box, size)] for one, size in maps]
        if all(part.size for part in parts):
            seen.append(index)
            areas.append(parts[0].size / maps[0][0].size)
            features.append([part.mean((0, 1)) for part in parts] + [np.log2(np.maximum(box[2:], 4))])
    made = []
    for kind, width in enumerate(_UNLIKE if len(seen) > 2 else ()):
        one = np.array([each[kind] for each in features])
        apart = np.hypot.reduce(one[:, None] - one[None], axis=-1)
        few = (1 - np.exp(-(apart**2) / (2 * width**2))).sum(1) / (len(seen) - 1)
        drawn = np.zeros(len(boxes), dtype=np.float32)
        drawn[seen] = few**2 * apart.mean(1) * np.array(areas) / (np.array(areas) + _LARGE)
        if drawn.max() > 1e-6:
            made.append(drawn / drawn.max())
    return made


def _add_things(to: Floats, drawn: Floats, boxes: Sequence[Box], cell: int) -> None:
    """Onto a map, in place, what things draw by one of their features, so much the more the fewer do; smaller ones lie on larger ones."""
    weight, added = _THINGS * (1 - float(drawn[drawn > 0].mean())) ** 2, np.zeros_like(to)
    for index in sorted(range(len(boxes)), key=lambda one: -boxes[one][2] * boxes[one][3]):
        added[_cells(boxes[index], cell)] = drawn[index]
    to += weight * added


def _cells(box: Box, size: int) -> tuple[slice, slice]:
    """The rows and columns of cells, of a size in px, that a box touches."""
    left, top, wide, high = box
    rows, columns = (
        (max(0, floor(low / size)), max(0, ceil((low + long) / size))) for low, long in ((top, high), (left, wide))
    )
    return slice(*rows), slice(*columns)


def _edges(tensor: Floats) -> Floats:
    """Strength and direction (as the double angle, so that opposite directions are one) of edges, from their structure tensor."""
    energy = tensor[..., 0] + tensor[..., 1]
    root = np.sqrt(energy + 1e-5)
    return np.stack([np.sqrt(energy), (tensor[..., 0] - tensor[..., 1]) / root, 2 * tensor[..., 2] / root], -1)


def _distinct(features: Floats, width: float) -> Floats:
    """How unlike all others, and how much in one place, the feature of each cell is. Features that differ by less than a width are one."""
    high, wide, count = features.shape
    flat = features.reshape(-1, count)
    kinds, sizes = _told_apart(flat, width)
    while len(sizes) > _MOST:
        width *= 1.4
        kinds, sizes = _told_apart(flat, width)
    number = len(sizes)
    rows, columns = (one.ravel() / np.hypot(high, wide) for one in np.indices((high, wide)))
    center = np.stack([np.bincount(kinds, flat[:, one], number) / sizes for one in range(count)], 1)
    squares = (center**2).sum(1)
    apart = np.maximum(squares[:, None] + squares[None] - 2 * center @ center.T, 0)
    alike = np.exp(-apart / (2 * width**2))
    many = alike @ sizes
    x, y, both = (alike @ np.bincount(kinds, one, number) / many for one in (columns, rows, columns**2 + rows**2))
    spread = np.maximum(both - x**2 - y**2, 0)
    unlike = np.sqrt(apart) @ sizes / sizes.sum()
    alone = _ALL_OVER + (1 - _ALL_OVER) * np.exp(-spread / _APART**2)
    return np.asarray((unlike * alone)[kinds].reshape(high, wide), dtype=np.float32)


def _told_apart(flat: Floats, width: float) -> tuple[NDArray[np.int64], NDArray[np.int64]]:
    """Of which kind each feature is, and how many there are of each."""
    steps = np.round(flat / width).astype(np.int64)
    steps -= steps.min(0)
    codes = np.ravel_multi_index(tuple(steps.T), tuple(steps.max(0) + 1))
    _, kinds, sizes = np.unique(codes, return_inverse=True, return_counts=True)
    return kinds.ravel(), sizes


def _means(values: Floats, size: int) -> Floats:
    """The means of squares of a size; what is left over is left out."""
    high, wide = (one // size * size for one in values.shape[:2])
    made = np.zeros((high // size, wide // size, *values.shape[2:]), dtype=np.float32)
    for row in range(size):  # several times as fast as a mean over two axes
        for column in range(size):
            made += values[row:high:size, column:wide:size]
    return np.asarray(made / size**2, dtype=np.float32)


def _blurred(values: Floats, step: int) -> Floats:
    """Blurred by binomials of five, whose taps are a step apart."""
    for axis in (0, 1):
        places = np.arange(values.shape[axis])
        values = sum(
            weight * np.take(values, np.clip(places + (tap - 2) * step, 0, len(places) - 1), axis)
            for tap, weight in enumerate(_KERNEL)
        )
    return values


def _holder(x: float, y: float, boxes: Sequence[Box], near: int) -> int | None:
    """The smallest box that holds a place, or is near it, by px."""
    held = [
        (wide * high, index)
        for index, (left, top, wide, high) in enumerate(boxes)
        if left - near <= x <= left + wide + near and top - near <= y <= top + high + near
    ]
    return min(held)[1] if held else None
