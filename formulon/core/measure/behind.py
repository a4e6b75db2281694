"""What lies behind texts where only pixels tell: a screen with its texts and without them, compared."""

import io

import numpy as np
from numpy.typing import NDArray
from PIL import Image

from formulon.core.color.contrast import contrast_matrix
from formulon.core.color.srgb import RGB

_DIFFERS = 3  # steps of eight bits by which a pixel has something of a glyph: screens of one page differ by nothing else
_WORST = 0.05  # share of the pixels behind glyphs that may have less contrast than what is told: single pixels tell nothing
_FEWEST = 12  # pixels


def read_pixels(
    with_texts: bytes, without: bytes, boxes: list[tuple[int, int, int, int]], inks: list[RGB | None]
) -> list[tuple[RGB, RGB] | None]:
    """Of texts in boxes (left, top, right, bottom in px) of a screen, in PNG: the ink, and the colour behind it that has the least contrast
    but for a few pixels. An ink that is known is taken as it is, else that of the pixels that differ most. None where nothing is drawn."""
    drawn, bare = (np.asarray(Image.open(io.BytesIO(one)).convert("RGB"), dtype=np.int16) for one in (with_texts, without))
    return [
        _of(drawn[top:bottom, left:right], bare[top:bottom, left:right], ink)
        for (left, top, right, bottom), ink in zip(boxes, inks, strict=True)
    ]


def _of(drawn: NDArray[np.int16], bare: NDArray[np.int16], ink: RGB | None) -> tuple[RGB, RGB] | None:
    differs = np.abs(drawn - bare).max(-1) if drawn.size else np.zeros((0, 0), dtype=np.int16)
    glyphs = differs >= _DIFFERS
    if int(glyphs.sum()) < _FEWEST:  # drawn in what it stands on, or nothing is drawn
        return None if ink is None or not bare.size else (ink, _rgb(np.median(bare.reshape(-1, 3), axis=0)))
    if ink is None:
        strongest = drawn[differs >= np.percentile(differs[glyphs], 90)]
        ink = _rgb(np.median(strongest, axis=0))
    colors, counts = np.unique(bare[glyphs], axis=0, return_counts=True)
    order = np.argsort(contrast_matrix([ink], colors)[0], kind="stable")
    reached = np.cumsum(counts[order]) >= _WORST * counts.sum()
    return ink, _rgb(colors[order[int(np.argmax(reached))]])


def _rgb(color: NDArray[np.generic]) -> RGB:
    red, green, blue = (round(float(one)) for one in color)
    return red, green, blue
