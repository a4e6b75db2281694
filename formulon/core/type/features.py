"""What a typeface looks like, measured on its outlines: proportions, weight, contrast, softness and vertical metrics.

All of it is common practice in describing type; no standard names the figures. Lengths are in em.
"""

import io
import math
from collections.abc import Iterator
from itertools import pairwise
from typing import Any

import numpy as np
import resvg_py
import uharfbuzz as hb
from fontTools.pens.boundsPen import BoundsPen
from fontTools.pens.recordingPen import RecordingPen
from fontTools.pens.svgPathPen import SVGPathPen
from fontTools.ttLib import TTFont
from PIL import Image

from formulon.core.errors import FontError
from formulon.core.type.library import Measured

REGULAR = 400
_RASTER = 700  # px to the em
_STRAIGHT = "iklvxzEFHLT"  # letters that type without roundness draws with corners alone
_CORNER = math.radians(20)  # turning at a point from which it is a corner
_SEEN = 0.02  # em; a curve shorter than that is not seen as one
# Letters of English text in a thousand, rounded. Source: Lewand, Cryptological Mathematics (2000), from memory.
FREQUENCY = {
    "a": 82, "b": 15, "c": 28, "d": 43, "e": 127, "f": 22, "g": 20, "h": 61, "i": 70, "j": 2, "k": 8, "l": 40, "m": 24,
    "n": 67, "o": 75, "p": 19, "q": 1, "r": 60, "s": 63, "t": 91, "u": 28, "v": 10, "w": 24, "x": 2, "y": 20, "z": 1,
    " ": 190,
}  # fmt: skip


def plain(data: bytes) -> bytes:
    """The file without the compression of WOFF and WOFF2, which HarfBuzz does not read."""
    if data[:4] not in (b"wOF2", b"wOFF"):
        return data
    font = TTFont(io.BytesIO(data))
    font.flavor = None
    out = io.BytesIO()
    font.save(out)
    return out.getvalue()


def opened(data: bytes, weight: int = REGULAR) -> hb.Font:
    """A plain font file at a weight."""
    font = hb.Font(hb.Face(data))
    font.set_variations({"wght": weight})
    return font


def mean_advance(font: hb.Font) -> float:
    """Mean advance in em of English text, by the frequency of its letters and spaces."""
    total = sum(FREQUENCY.values())
    advances = {char: font.get_glyph_h_advance(font.get_nominal_glyph(ord(char)) or 0) for char in FREQUENCY}
    return float(sum(advances[char] * count for char, count in FREQUENCY.items())) / total / int(font.face.upem)


def measure(data: bytes) -> Measured:
    """The measures of a plain font file at its regular weight. Raises FontError where a letter that is measured lacks."""
    font = opened(data)
    gone = [char for char in "nxoH" if not font.get_nominal_glyph(ord(char))]
    if gone:
        raise FontError(f"The font has no “{gone[0]}” to be measured on. Use one with Latin letters.")
    upem = int(font.face.upem)
    x_height = _bounds(font, "x")[3] / upem
    bowl = _raster(font, "o")
    middle = bowl.shape[0] // 2
    thick = _first_run(bowl[middle])
    third = bowl.shape[1] // 3
    thin = min(_first_run(column) for column in bowl.T[third : 2 * third])
    letter = _raster(font, "n")
    stem = _first_run(letter[round(letter.shape[0] * 0.6)])
    ascender, descender, line_gap = vertical(TTFont(io.BytesIO(data), lazy=True))
    return Measured(
        x_height=round(x_height, 4), cap_height=round(_bounds(font, "H")[3] / upem, 4), contrast=round(thick / max(thin, 1), 3),
        stem=round(stem / _RASTER, 4), width=round(mean_advance(font), 4), softness=round(softness(font), 3),
        ascender=ascender, descender=descender, line_gap=line_gap,
    )  # fmt: skip


def vertical(font: Any) -> tuple[float, float, float]:
    """Ascender, descender (below zero) and line gap in em, as browsers take them: those of hhea, or the typographic ones
    where OS/2 fsSelection, bit 7, asks for them. Source: OpenType 1.9, OS/2 and hhea."""
    units, hhea, os2 = float(font["head"].unitsPerEm), font["hhea"], font.get("OS/2")
    found = hhea.ascent, hhea.descent, hhea.lineGap
    if os2 is not None and (os2.fsSelection & 0x80 or not any(found[:2])):
        found = os2.sTypoAscender, os2.sTypoDescender, os2.sTypoLineGap
    up, down, gap = (round(value / units, 4) for value in found)
    return up, down, gap


def softness(font: hb.Font) -> float:
    """Share, 0–1, of all turning of the outlines that happens along curves, in letters that are drawn straight."""
    bent = sharp = 0.0
    least = _SEEN * int(font.face.upem)
    for char in _STRAIGHT:
        glyph = font.get_nominal_glyph(ord(char))
        if not glyph:
            continue
        pen = RecordingPen()
        font.draw_glyph_with_pen(glyph, pen)
        for contour in _contours(pen.value):
            for index, (_, arrives) in enumerate(contour):
                leaves = contour[(index + 1) % len(contour)][0]
                turn = _turn(arrives[-1], leaves[0])
                if turn >= _CORNER:
                    sharp += turn
                else:
                    bent += turn
                along = sum(_turn(a, b) for a, b in pairwise(arrives))
                if along >= _CORNER and sum(math.hypot(*step) for step in arrives) < least:
                    sharp += along  # a corner that is only just eased looks like one
                else:
                    bent += along
    return bent / (bent + sharp) if bent + sharp else 0.0


Vector = tuple[float, float]


def _contours(steps: list[tuple[str, tuple[Vector, ...]]]) -> Iterator[list[tuple[list[Vector], list[Vector]]]]:
    """Each closed outline as its segments: the directions along each, twice."""
    at, start = (0.0, 0.0), (0.0, 0.0)
    segments: list[tuple[list[Vector], list[Vector]]] = []
    for command, points in steps:
        if command == "moveTo":
            at = start = points[0]
            segments = []
            continue
        ends = [at, *(points or (start,))] if command != "closePath" else [at, start]
        along = [(b[0] - a[0], b[1] - a[1]) for a, b in pairwise(ends) if a != b]
        if along:
            segments.append((along, along))
        at = ends[-1]
        if command == "closePath" and segments:
            yield segments


def _turn(first: Vector, second: Vector) -> float:
    """The angle, 0–π, between two directions."""
    cross, dot = first[0] * second[1] - first[1] * second[0], first[0] * second[0] + first[1] * second[1]
    return abs(math.atan2(cross, dot))


def _bounds(font: hb.Font, char: str) -> tuple[float, float, float, float]:
    pen = BoundsPen(None)
    font.draw_glyph_with_pen(font.get_nominal_glyph(ord(char)), pen)
    if pen.bounds is None:
        raise FontError(f"The font's “{char}” draws nothing. Ask for the file that the foundry delivered.")
    return pen.bounds  # type: ignore[no-any-return]


def _raster(font: hb.Font, char: str) -> np.ndarray[tuple[int, int], np.dtype[np.bool_]]:
    """A glyph's own box as pixels, _RASTER to the em; rows from the top."""
    left, low, right, high = _bounds(font, char)
    pen = SVGPathPen(None)
    font.draw_glyph_with_pen(font.get_nominal_glyph(ord(char)), pen)
    scale = _RASTER / int(font.face.upem)
    width, height = max(1, math.ceil((right - left) * scale)), max(1, math.ceil((high - low) * scale))
    svg = (
        f'<svg xmlns="http://www.w3.org/2000/svg" width="{width}" height="{height}">'
        f'<path transform="scale({scale} {-scale}) translate({-left} {-high})" d="{pen.getCommands()}"/></svg>'
    )
    png = resvg_py.svg_to_bytes(svg_string=svg, width=width, height=height, skip_system_fonts=True)
    return np.asarray(Image.open(io.BytesIO(bytes(png))).convert("RGBA"))[..., 3] >= 128


def _first_run(line: np.ndarray[tuple[int], np.dtype[np.bool_]]) -> int:
    """How many pixels the first stroke takes along a line."""
    inside = np.flatnonzero(line)
    if not len(inside):
        return 0
    gaps = np.flatnonzero(np.diff(inside) > 1)
    return int(gaps[0] + 1) if len(gaps) else len(inside)
