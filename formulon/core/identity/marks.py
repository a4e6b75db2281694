"""What a mark is, told from its pixels: symbol, wordmark or full lock-up, and which grounds it is meant for. Suggestions."""

from dataclasses import dataclass
from typing import Literal

import numpy as np

from formulon.core.identity.pixels import Pixels, drawn_bounds, lightness

# Common practice: a symbol is about as wide as high; a name takes several letters beside one another.
SYMBOL_WIDEST = 1.5
NAME_LETTERS = 4


@dataclass(frozen=True, slots=True)
class MarkShape:
    """`shape` with how sure it is, 0–1; `bounds` are shares of the picture; `lightness` is OKLab's, 0–1."""

    shape: Literal["full", "symbol", "wordmark"]
    sure: float
    meant_for: Literal["any", "light", "dark"]
    bounds: tuple[float, float, float, float]
    lightness: float


def judge(pixels: Pixels, name: str = "") -> MarkShape:
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
    return MarkShape(shape, sure, meant_for, bounds, round(light, 3))


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
