"""A family at a weight and a size for drawing pictures of text (FreeType, by Pillow)."""

import io
from functools import lru_cache

from fontTools.ttLib import TTFont, newTable
from fontTools.ttLib.tables.ttProgram import Program
from PIL import ImageDraw, ImageFont

from formulon.core.type.features import plain
from formulon.core.type.library import Family
from formulon.core.type.shaping import runs

# Drop-out control for all sizes (SCANCTRL, SCANTYPE), and two times nothing: FreeType hints by itself where there are no more
# than seven bytes.
_PLAIN = bytes.fromhex("b801ff85b0048d b00021 b00021")


@lru_cache(maxsize=96)
def picture_font(family: Family, weight: int, size: float, key: str = "") -> ImageFont.FreeTypeFont:
    """A face of the family, by default the first, at a weight and a size in px."""
    faces = family.at(weight)
    face = next((one for one in faces if one.key == key), faces[0])
    made = ImageFont.truetype(io.BytesIO(_unhinted(family, face.key)), size)
    if face.weights[0] != face.weights[1]:
        axes = made.get_variation_axes()
        made.set_variation_by_axes([float(weight if axis["name"] == b"Weight" else axis["default"] or 0) for axis in axes])
    return made


def draw_text(draw: ImageDraw.ImageDraw, at: tuple[float, float], text: str, family: Family, weight: int, size: float) -> None:
    """Draws a text with its top left at a place, each character in the face of the family that has it."""
    x, y = at
    for run, key in runs(family, weight, text):
        font = picture_font(family, weight, size, key)
        draw.text((x, y), run, font=font, fill=255)
        x += font.getlength(run)


def text_length(text: str, family: Family, weight: int, size: float) -> float:
    """Width in px of what draw_text draws."""
    return sum(picture_font(family, weight, size, key).getlength(run) for run, key in runs(family, weight, text))


@lru_cache(maxsize=48)
def _unhinted(family: Family, key: str) -> bytes:
    """A face's file without instructions: shapes as they were drawn, in a quarter of the time. Only pictures are drawn from it."""
    face = next(one for one in family.faces if one.key == key)
    font = TTFont(io.BytesIO(plain(face.open())), recalcTimestamp=False)
    if "glyf" in font:
        font["glyf"].removeHinting()
        for table in ("fpgm", "cvt ", "hdmx", "VDMX", "LTSH", "cvar"):
            if table in font:
                del font[table]
        font["prep"] = newTable("prep")
        font["prep"].program = Program()
        font["prep"].program.fromBytecode(_PLAIN)
    out = io.BytesIO()
    font.save(out)
    return out.getvalue()
