"""The area that a text's glyphs cover, from their outlines."""

from functools import lru_cache

from fontTools.pens.areaPen import AreaPen

from formulon.core.type.library import Family
from formulon.core.type.shaping import collapsed, face, font, part_of


@lru_cache(maxsize=8192)
def glyph_area(family: Family, weight: int, char: str) -> float:
    """Area in em² that a character's glyph covers, 0 where the family has none. Where contours of a variable font overlap
    the overlap counts twice, which is below 5 % of a text (see the test)."""
    key = part_of(family, weight, char)
    if key is None:
        return 0.0
    drawn = font(family, key, weight)
    glyph = drawn.get_nominal_glyph(ord(char))
    pen = AreaPen()
    drawn.draw_glyph_with_pen(glyph, pen)
    upem = int(face(family, key).upem)
    return abs(float(pen.value)) / upem**2


@lru_cache(maxsize=16384)
def ink_area(family: Family, weight: int, text: str) -> float:
    """Area in em² that a text's glyphs cover."""
    return sum(glyph_area(family, weight, char) for char in collapsed(text) if not char.isspace())
