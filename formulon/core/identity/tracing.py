"""Flat marks of pixels as outlines. How much of a pixel each colour covers is told from the blends of smoothed edges; where it is half is
the outline, to a part of a pixel. Corners are kept, and what lies between them is fitted with cubic curves after P. J. Schneider, "An
algorithm for automatically fitting digitized curves", Graphics Gems (1990). The error is measured by drawing the outlines again.
"""

import io
from collections.abc import Iterator
from dataclasses import dataclass
from itertools import combinations, pairwise
from typing import Any

import numpy as np
import resvg_py
from numpy.typing import NDArray
from PIL import Image

Points = NDArray[np.float64]
MOST_COLORS, MOST_SIDE, MOST_POINTS = 6, 512, 40_000
_TOLERANCE = 0.3  # of a pixel, that curves may be off the outline
_CORNER = np.cos(np.radians(38.0))  # turns that are sharper are corners
_REACH = 3  # points on either side that a turn is told from
_LEAST = 2.0  # pixels: what encloses less is dust


@dataclass(frozen=True, slots=True)
class Traced:
    """The outlines as SVG, and the share of the picture's area by which they differ from it, 0–1."""

    svg: str
    error: float


def trace(pixels: NDArray[np.uint8], colors: list[tuple[int, int, int]], ground: tuple[int, int, int] | None) -> Traced | None:
    """The outlines of a picture in RGBA that is drawn in a few colours, on nothing or on an even ground, which is left out. None where it
    has too many colours, or nothing of it is large enough."""
    inks = [one for one in colors if ground is None or max(abs(a - b) for a, b in zip(one, ground, strict=True)) > 6]
    if not 0 < len(inks) <= MOST_COLORS:
        return None
    small = _sized(pixels)
    shares = _coverage(small, inks, ground)
    order = sorted(range(len(inks)), key=lambda one: -float(shares[one].sum()))
    height, width = small.shape[:2]
    paths, points = [], 0
    for place, ink in enumerate(order):
        # What lies above is drawn over it, so that no seam shows between two colours.
        covered = np.clip(shares[order[place:]].sum(0), 0, 1)
        loops = [loop for loop in _outlines(covered) if abs(_area(loop)) >= _LEAST]
        points += sum(map(len, loops))
        if points > MOST_POINTS:
            return None
        data = " ".join(_path(loop) for loop in loops)
        if data:
            red, green, blue = inks[ink]
            paths.append(f'<path fill="#{red:02x}{green:02x}{blue:02x}" fill-rule="evenodd" d="{data}"/>')
    if not paths:
        return None
    svg = f'<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 {width} {height}" width="{width}" height="{height}">{"".join(paths)}</svg>'
    return Traced(svg, _error(svg, small, ground))


def _sized(pixels: NDArray[np.uint8]) -> NDArray[np.uint8]:
    """The picture in a size in which it is traced: large ones are averaged, which smooths their edges further."""
    height, width = pixels.shape[:2]
    scale = MOST_SIDE / max(height, width)
    if scale >= 1:
        return pixels
    size = (max(1, round(width * scale)), max(1, round(height * scale)))
    return np.asarray(Image.fromarray(pixels, "RGBA").convert("RGBa").resize(size, Image.Resampling.BOX).convert("RGBA"))


def _coverage(pixels: NDArray[np.uint8], inks: list[tuple[int, int, int]], ground: tuple[int, int, int] | None) -> Points:
    """How much of each pixel each ink covers: of all pairs of inks and ground, the two whose blend comes nearest."""
    seen = pixels.astype(np.float64)
    seen[..., :3] *= seen[..., 3:] / 255  # premultiplied: blends lie on straight lines
    flat = seen.reshape(-1, 4)
    bare = (*ground, 255) if ground else (0, 0, 0, 0)
    entries = np.array([*((*ink, 255) for ink in inks), bare], dtype=np.float64)
    nearest = np.full(len(flat), np.inf)
    made = np.zeros((len(entries), len(flat)))
    for one, other in combinations(range(len(entries)), 2):
        along = entries[other] - entries[one]
        share = np.clip((flat - entries[one]) @ along / (along @ along), 0, 1)
        far = ((entries[one] + share[:, None] * along - flat) ** 2).sum(1)
        better = far < nearest
        nearest[better] = far[better]
        made[:, better] = 0
        made[one, better], made[other, better] = 1 - share[better], share[better]
    return made[:-1].reshape(len(inks), *pixels.shape[:2])


# Of a square of four samples, by which of them are inside (1 top left, 2 top right, 4 bottom right, 8 bottom left): the sides that the
# outline goes in and out by, with the inside on its right. Sides: 0 top, 1 right, 2 bottom, 3 left. (Marching squares.)
_SIDES: dict[int, tuple[tuple[int, int], ...]] = {
    1: ((0, 3),), 2: ((1, 0),), 3: ((1, 3),), 4: ((2, 1),), 5: ((0, 3), (2, 1)), 6: ((2, 0),), 7: ((2, 3),),
    8: ((3, 2),), 9: ((0, 2),), 10: ((1, 0), (3, 2)), 11: ((1, 2),), 12: ((3, 1),), 13: ((0, 1),), 14: ((3, 0),),
}  # fmt: skip
_Place = tuple[int, int, int]  # a side of a square: row, column, and 0 for a side along, 1 for one down


def _outlines(covered: Points) -> Iterator[Points]:
    """The closed lines on which half of a pixel is covered, in pixels from the top left."""
    field = np.pad(covered, 1)
    inside = field >= 0.5
    code = inside[:-1, :-1] * 1 + inside[:-1, 1:] * 2 + inside[1:, 1:] * 4 + inside[1:, :-1] * 8
    follows: dict[_Place, _Place] = {}
    for row, column in zip(*np.nonzero((code > 0) & (code < 15)), strict=True):
        y, x = int(row), int(column)
        sides: tuple[_Place, ...] = ((y, x, 0), (y, x + 1, 1), (y + 1, x, 0), (y, x, 1))
        for start, end in _SIDES[int(code[row, column])]:
            follows[sides[start]] = sides[end]
    while follows:
        first, place = follows.popitem()
        loop = [first]
        while place != first:
            loop.append(place)
            place = follows.pop(place)
        yield np.array([_crossing(field, *one) for one in loop])


def _crossing(field: Points, row: int, column: int, down: int) -> tuple[float, float]:
    """Where a side of a square is crossed, by the two samples at its ends; samples stand in the middle of pixels."""
    one, other = field[row, column], field[row + down, column + 1 - down]
    share = 0.5 if one == other else float((0.5 - one) / (other - one))
    x, y = column + (0 if down else share), row + (share if down else 0)
    return x - 0.5, y - 0.5  # the field has a border of one


def _area(loop: Points) -> float:
    x, y = loop[:, 0], loop[:, 1]
    return float((x * np.roll(y, -1) - np.roll(x, -1) * y).sum() / 2)


def _path(loop: Points) -> str:
    """A closed line as path data: curves between its corners."""
    corners = _corners(loop)
    if not corners:
        corners = [0]
    said = ""
    for start, end in pairwise([*corners, corners[0] + len(loop)]):
        piece = loop[np.arange(start, end + 1) % len(loop)]
        for curve in _fitted(piece, _direction(piece), _direction(piece[::-1])):
            said = said or f"M{_pair(curve[0])}"
            straight = _is_straight(curve)
            said += f"L{_pair(curve[3])}" if straight else f"C{_pair(curve[1])} {_pair(curve[2])} {_pair(curve[3])}"
    return said + "Z"


def _pair(point: Points) -> str:
    return f"{point[0]:.2f} {point[1]:.2f}"


def _is_straight(curve: Points) -> bool:
    along = curve[3] - curve[0]
    length = float(np.hypot(*along)) or 1.0
    return all(abs(float(along[0] * (p - curve[0])[1] - along[1] * (p - curve[0])[0])) / length < 0.05 for p in curve[1:3])


def _corners(loop: Points) -> list[int]:
    """Where a line turns sharply: of neighbours the sharpest."""
    count = len(loop)
    if count < 2 * _REACH + 2:
        return []
    ahead, behind = np.roll(loop, -_REACH, 0) - loop, loop - np.roll(loop, _REACH, 0)
    turn = (ahead * behind).sum(1) / np.maximum(1e-9, np.hypot(*ahead.T) * np.hypot(*behind.T))
    sharp = [index for index in range(count) if turn[index] < _CORNER]
    return [one for one in sharp if turn[one] == min(turn[(one + step) % count] for step in range(-_REACH, _REACH + 1))]


def _direction(piece: Points) -> Points:
    """The direction in which a line leaves its first point."""
    along = piece[min(len(piece) - 1, _REACH)] - piece[0]
    length = float(np.hypot(*along))
    return np.asarray(along / length if length else np.array([1.0, 0.0]))


def _fitted(points: Points, start: Points, end: Points, depth: int = 0) -> Iterator[Points]:
    """Curves through points that leave and reach their ends in given directions, none farther off than is tolerated."""
    if len(points) <= 2:
        third = float(np.hypot(*(points[-1] - points[0]))) / 3
        yield np.array([points[0], points[0] + start * third, points[-1] + end * third, points[-1]])
        return
    steps = np.concatenate([[0], np.cumsum(np.hypot(*np.diff(points, axis=0).T))])
    at = steps / (steps[-1] or 1.0)
    for _ in range(4):
        curve = _least(points, at, start, end)
        far = ((_on(curve, at) - points) ** 2).sum(1)
        worst = int(far.argmax())
        if far[worst] <= _TOLERANCE**2:
            yield curve
            return
        at = _nearer(curve, points, at)
    middle = min(max(worst, 1), len(points) - 2)
    if depth > 40:
        yield curve
        return
    between = points[max(0, middle - 2)] - points[min(len(points) - 1, middle + 2)]
    length = float(np.hypot(*between)) or 1.0
    tangent = between / length
    yield from _fitted(points[: middle + 1], start, tangent, depth + 1)
    yield from _fitted(points[middle:], -tangent, end, depth + 1)


def _least(points: Points, at: Points, start: Points, end: Points) -> Points:
    """The curve of least squares with its ends and directions given: how far its handles reach is solved."""
    first, last = points[0], points[-1]
    b0, b1, b2, b3 = (1 - at) ** 3, 3 * at * (1 - at) ** 2, 3 * at**2 * (1 - at), at**3
    one, other = b1[:, None] * start, b2[:, None] * end
    rest = points - (b0 + b1)[:, None] * first - (b2 + b3)[:, None] * last
    matrix = np.array([[(one * one).sum(), (one * other).sum()], [(one * other).sum(), (other * other).sum()]])
    right = np.array([(one * rest).sum(), (other * rest).sum()])
    length = float(np.hypot(*(last - first)))
    if abs(np.linalg.det(matrix)) > 1e-9:
        reach = np.linalg.solve(matrix, right)
        if (reach > 1e-3 * length).all() and (reach < 3 * max(length, 1.0)).all():
            return np.array([first, first + start * reach[0], last + end * reach[1], last])
    return np.array([first, first + start * length / 3, last + end * length / 3, last])


def _on(curve: Points, at: Points) -> Points:
    part = at[:, None]
    return np.asarray(
        (1 - part) ** 3 * curve[0]
        + 3 * part * (1 - part) ** 2 * curve[1]
        + 3 * part**2 * (1 - part) * curve[2]
        + part**3 * curve[3]
    )


def _nearer(curve: Points, points: Points, at: Points) -> Points:
    """Places on a curve that lie nearer to the points, by a step of Newton's method."""
    part = at[:, None]
    first = 3 * (
        (1 - part) ** 2 * (curve[1] - curve[0])
        + 2 * part * (1 - part) * (curve[2] - curve[1])
        + part**2 * (curve[3] - curve[2])
    )
    second = 6 * ((1 - part) * (curve[2] - 2 * curve[1] + curve[0]) + part * (curve[3] - 2 * curve[2] + curve[1]))
    off = _on(curve, at) - points
    slope = (first**2).sum(1) + (off * second).sum(1)
    step = np.where(np.abs(slope) > 1e-9, (off * first).sum(1) / np.where(slope == 0, 1, slope), 0)
    return np.asarray(np.clip(at - step, 0, 1))


def _error(svg: str, pixels: NDArray[np.uint8], ground: tuple[int, int, int] | None) -> float:
    """The share of a picture's area by which the outlines, drawn in its size, differ from it: the mean of the largest difference of a
    channel, over both laid on the same ground."""
    drawn: Any = resvg_py.svg_to_bytes(svg_string=svg, width=pixels.shape[1], height=pixels.shape[0])
    with Image.open(io.BytesIO(bytes(drawn))) as opened:
        made = np.asarray(opened.convert("RGBA")).astype(np.float64)
    behind = np.array(ground or (255, 255, 255), dtype=np.float64)
    laid = [one[..., :3] * one[..., 3:] / 255 + behind * (1 - one[..., 3:] / 255) for one in (made, pixels.astype(np.float64))]
    return float(np.abs(laid[0] - laid[1]).max(-1).mean() / 255)
