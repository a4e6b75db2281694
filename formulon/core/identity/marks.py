"""What a mark is, told from its pixels: symbol, wordmark or full lock-up, and which grounds it is meant for. Suggestions."""

from dataclasses import dataclass
from itertools import pairwise
from typing import Literal

import numpy as np

from formulon.core.identity.pixels import Pixels, drawn_bounds, lightness

# Common practice: a symbol is about as wide as high; a name takes several letters beside one another.
SYMBOL_WIDEST = 1.5
NAME_LETTERS = 4


@dataclass(frozen=True, slots=True)
class JudgedMark:
    """`shape` with how sure it is, 0–1; `bounds` are shares of the picture; `lightness` is OKLab's, 0–1."""

    shape: Literal["full", "symbol", "wordmark"]
    sure: float
    meant_for: Literal["any", "light", "dark"]
    bounds: tuple[float, float, float, float]
    lightness: float


def judge(pixels: Pixels, name: str = "") -> JudgedMark:
    """What a drawn mark looks like. Words in the file's name ("symbol", "reversed") count as evidence too."""
    bounds = drawn_bounds(pixels)
    light = lightness(pixels)
    shape, sure = _shape(pixels, bounds)
    words = name.lower()
    told: dict[str, Literal["full", "symbol", "wordmark"]] = {
        "symbol": "symbol", "icon": "symbol", "emblem": "symbol", "wordmark": "wordmark", "lockup": "full", "lock-up": "full"
    }  # fmt: skip
    for word, means in told.items():
        if word in words:
            shape, sure = means, 0.9
    meant_for: Literal["any", "light", "dark"] = "dark" if light > 0.72 else "light" if light < 0.6 else "any"
    if any(word in words for word in ("reversed", "negative", "on-dark", "white")):
        meant_for = "dark"
    return JudgedMark(shape, sure, meant_for, bounds, round(light, 3))


def _shape(pixels: Pixels, bounds: tuple[float, float, float, float]) -> tuple[Literal["full", "symbol", "wordmark"], float]:
    height, width = pixels.shape[:2]
    left, top, right, bottom = bounds
    wide, high = (right - left) * width, (bottom - top) * height
    if not wide or not high:
        return "symbol", 0.3
    pieces = _pieces(pixels, bounds)
    if wide / high < SYMBOL_WIDEST and len(pieces) < NAME_LETTERS:
        return "symbol", 0.85
    if len(pieces) < NAME_LETTERS:
        return ("symbol", 0.5) if wide / high < 2 else ("wordmark", 0.5)
    heights = np.array([piece[1] for piece in pieces])
    largest = heights.max()
    usual = float(np.median(heights))
    # A symbol beside the name stands out above the letters and takes about as much width as height.
    width_usual = float(np.median([w for w, _ in pieces]))
    stands_out = any(
        h >= 0.9 * largest and 0.5 * h <= w <= 2 * h and (h >= 1.35 * usual or w >= 2.2 * width_usual)
        for w, h in (pieces[0], pieces[-1])
    )
    return ("full", 0.75) if stands_out else ("wordmark", 0.75)


def _pieces(pixels: Pixels, bounds: tuple[float, float, float, float]) -> list[tuple[int, int]]:
    """Width and height of the pieces that empty columns keep apart, from the left."""
    height, width = pixels.shape[:2]
    drawn = pixels[..., 3] > 31
    part = drawn[round(bounds[1] * height) : round(bounds[3] * height), round(bounds[0] * width) : round(bounds[2] * width)]
    columns = part.any(0)
    edges = np.flatnonzero(np.diff(np.concatenate(([0], columns.astype(np.int8), [0]))))
    pieces = []
    for start, end in zip(edges[::2], edges[1::2], strict=True):
        rows = np.flatnonzero(part[:, start:end].any(1))
        pieces.append((int(end - start), int(rows[-1] - rows[0] + 1)))
    return pieces


_PLAIN = 0.97


def without_ground(pixels: Pixels) -> tuple[Pixels, tuple[int, int, int] | None]:
    """A mark without the even ground that it was exported on, and that ground's colour: what the four edges of an opaque
    picture share. The picture itself, and None, where there is no such ground."""
    edge = np.concatenate([pixels[0], pixels[-1], pixels[:, 0], pixels[:, -1]]).astype(np.int64)
    ground = np.median(edge, axis=0)
    far = np.abs(edge - ground).max(1)
    if ground[3] < 255 or (far <= 6).mean() < _PLAIN:
        return pixels, None
    cut = pixels.copy()
    # The smoothed edge goes half with the ground, half with the mark; what is near the ground is ground.
    cut[np.abs(pixels[..., :3].astype(np.int64) - ground[:3]).max(-1) <= 24] = 0
    return cut, (int(ground[0]), int(ground[1]), int(ground[2]))


_LOOK = 16


def look(pixels: Pixels) -> list[int]:
    """What is drawn, cut to its bounds and averaged to 16 × 16 in four premultiplied channels: two files of one drawing
    look alike whatever their format, size and margin."""
    height, width = pixels.shape[:2]
    left, top, right, bottom = drawn_bounds(pixels)
    part = pixels[round(top * height) : round(bottom * height), round(left * width) : round(right * width)].astype(np.float64)
    if not part.size:
        return []
    part[..., :3] *= part[..., 3:] / 255
    # Coarse first, so that a large picture takes no longer than a small one.
    step = max(1, min(part.shape[:2]) // 128)
    part = part[::step, ::step]
    rows, columns = (np.linspace(0, size, _LOOK + 1) for size in part.shape[:2])
    cells = []
    for y0, y1 in pairwise(rows):
        for x0, x1 in pairwise(columns):
            cells.append(part[int(y0) : max(int(y0) + 1, round(y1)), int(x0) : max(int(x0) + 1, round(x1))].mean((0, 1)))
    return [round(value) for cell in cells for value in cell]


def alike(first: list[int], second: list[int]) -> bool:
    """Whether two looks are of one drawing."""
    if len(first) != len(second) or not first:
        return False
    return float(np.abs(np.array(first) - np.array(second)).mean()) < 9
