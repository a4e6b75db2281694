"""What lies behind a text on a picture: the picture as it is cropped, and the pixels within a stem of the glyphs."""

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray
from PIL import Image, ImageDraw

from formulon.core.color.srgb import Floats
from formulon.core.type.library import Family
from formulon.core.type.raster import draw_text, picture_font, text_length
from formulon.core.type.shaping import face, font, parts

Pixels = NDArray[np.uint8]
SHAPES = ("even", "foot", "side")


@dataclass(frozen=True, slots=True)
class TextBlock:
    """Lines of one text in px: left edge, top of the first line's box, size, distance of lines, tracking in em. `shift` is the
    share, 0–1, of what a line leaves of the `room` that stands before it."""

    lines: tuple[str, ...]
    left: float
    top: float
    family: Family
    weight: int
    size: float
    line_height: float
    tracking: float = 0.0
    shift: float = 0.0
    room: float = 0.0


@dataclass(frozen=True, slots=True)
class Behind:
    """The pixels within one stem width of the glyphs, shape (n, 3), and where they lie in the box, shape (n, 2) as x, y."""

    pixels: Pixels
    places: NDArray[np.int64]
    width: int
    height: int


def cropped(picture: Image.Image, width: int, height: int, focus: tuple[float, float] = (0.5, 0.5)) -> Pixels:
    """The picture as `object-fit: cover` draws it in a box of CSS px, shape (height, width, 3); `focus` is the point, 0–1
    of width and height, that `object-position` keeps in sight."""
    scale = max(width / picture.width, height / picture.height)
    across, down = width / scale, height / scale
    left, top = (picture.width - across) * focus[0], (picture.height - down) * focus[1]
    box = (left, top, left + across, top + down)
    image = picture.convert("RGB") if picture.mode != "RGB" else picture
    # A box filter over whole pixels first, as `reducing_gap` does, keeps a large photograph fast.
    return np.asarray(image.resize((width, height), Image.Resampling.BILINEAR, box=box, reducing_gap=2.0))


def behind(crop: Pixels, blocks: Sequence[TextBlock]) -> Behind:
    """The pixels of a crop that lie within one stem width of the glyphs of texts."""
    height, width = crop.shape[:2]
    mask = np.zeros((height, width), dtype=bool)
    for block in blocks:
        _draw(mask, block)
    y, x = np.nonzero(mask)
    return Behind(crop[y, x], np.stack([x, y], axis=-1), width, height)


def glyphs(width: int, height: int, block: TextBlock) -> NDArray[np.bool_]:
    """The glyphs of a text themselves in a box, shape (height, width)."""
    mask = np.zeros((height, width), dtype=bool)
    _draw(mask, block, grown=False)
    return mask


def profile(shape: str, places: NDArray[np.int64], width: int, height: int) -> Floats | None:
    """The strength, 0–1, of a gradient at places: even; from the foot up to nothing at the top; or from the left side to
    nothing at the right. The style sheet draws the same."""
    if shape == "foot":
        return np.asarray((places[:, 1] + 0.5) / height)
    if shape == "side":
        return np.asarray(1 - (places[:, 0] + 0.5) / width)
    return None


def stem(family: Family, weight: int) -> float:
    """Stem width in em: the width of the glyph of a plain “l”, or of “I” where that is narrower. A family without either
    (of an alphabet of its own) takes its regular stem, as it was measured."""
    for key, codes in parts(family, weight):
        if ord("l") in codes and ord("I") in codes:
            drawn, upem = font(family, key, weight), int(face(family, key).upem)
            widths = [drawn.get_glyph_extents(drawn.get_nominal_glyph(ord(char))).width for char in "lI"]
            return float(min(widths)) / upem
    return family.measured.stem


def _draw(mask: NDArray[np.bool_], block: TextBlock, grown: bool = True) -> None:
    """Adds a block's glyphs, grown by a stem width, to a mask."""
    size = round(block.size, 2)
    grow = max(1, round(stem(block.family, block.weight) * block.size))
    ascent, descent = picture_font(block.family, block.weight, size).getmetrics()
    for index, line in enumerate(block.lines):
        # The content area of the line stands in the middle of its line box, as CSS 2.2, 10.8.1 has it.
        top = block.top + index * block.line_height + (block.line_height - (ascent + descent)) / 2
        long = text_length(line, block.family, block.weight, size)
        image = Image.new(
            "L", (int(long + abs(block.tracking) * block.size * len(line)) + 2 * grow + 4, ascent + descent + 2 * grow)
        )
        draw, x = ImageDraw.Draw(image), float(grow)
        for part in line if block.tracking else (line,):
            draw_text(draw, (x, grow), part, block.family, block.weight, size)
            x += text_length(part, block.family, block.weight, size) + block.tracking * block.size if block.tracking else 0.0
        drawing = np.asarray(image) > 127
        before = block.shift * max(0.0, block.room - long - block.tracking * block.size * len(line)) if block.shift else 0.0
        _paste(mask, _grown(drawing, grow) if grown else drawing, round(block.left + before) - grow, round(top) - grow)


def _grown(mask: NDArray[np.bool_], by: int) -> NDArray[np.bool_]:
    """A mask grown by a number of pixels in every direction, by running sums along both axes."""
    for axis in (0, 1):
        wide = np.zeros([size + (2 * by + 1 if axis == i else 0) for i, size in enumerate(mask.shape)], dtype=np.int32)
        inner = (
            (slice(by + 1, by + 1 + mask.shape[0]), slice(None))
            if axis == 0
            else (slice(None), slice(by + 1, by + 1 + mask.shape[1]))
        )
        wide[inner] = mask
        sums = wide.cumsum(axis=axis, dtype=np.int32)
        size = mask.shape[axis]
        mask = sums.take(range(2 * by + 1, 2 * by + 1 + size), axis) > sums.take(range(size), axis)
    return mask


def _paste(mask: NDArray[np.bool_], part: NDArray[np.bool_], left: int, top: int) -> None:
    height, width = mask.shape
    x0, y0 = max(0, left), max(0, top)
    x1, y1 = min(width, left + part.shape[1]), min(height, top + part.shape[0])
    if x0 < x1 and y0 < y1:
        mask[y0:y1, x0:x1] |= part[y0 - top : y1 - top, x0 - left : x1 - left]
