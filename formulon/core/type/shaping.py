"""Advance widths of real text in the shipped fonts, shaped with HarfBuzz."""

import re
from functools import cache, lru_cache

import uharfbuzz as hb

from formulon.core.type import emphasis
from formulon.core.type.features import plain
from formulon.core.type.library import Family, spans


@lru_cache(maxsize=512)
def face(family: Family, key: str) -> hb.Face:
    """A face of a family, for HarfBuzz; opened when it is first asked for."""
    return hb.Face(plain(next(one for one in (*family.faces, *family.italics) if one.key == key).open()))


@lru_cache(maxsize=512)
def font(family: Family, key: str, weight: int) -> hb.Font:
    """A face of a family at a weight."""
    made = hb.Font(face(family, key))
    made.set_variations({"wght": weight})
    return made


def codes_in(told: str) -> frozenset[int]:
    """The code points of spans."""
    return frozenset(code for low, high in spans(told) for code in range(low, high + 1))


@cache
def coverage(family: Family) -> dict[str, frozenset[int]]:
    """The code points of each face: those that its file has and its rule hands over to it."""
    made = {}
    for one in (*family.faces, *family.italics):
        codes = codes_in(one.codes) if one.codes else frozenset(face(family, one.key).unicodes)
        made[one.key] = frozenset(code for code in codes if one.asked(code)) if one.ranges else codes
    return made


@cache
def known(family: Family) -> frozenset[int]:
    """The code points of a family."""
    if family.codes:
        return codes_in(family.codes)
    return frozenset().union(*(coverage(family)[one.key] for one in family.faces))


@cache
def parts(family: Family, weight: int, slanted: bool = False) -> tuple[tuple[str, frozenset[int]], ...]:
    """The faces that draw a weight, upright or slanted, by key, each with its code points, in the order in which a browser asks them."""
    return tuple((one.key, coverage(family)[one.key]) for one in family.at(weight, slanted))


def part_of(family: Family, weight: int, char: str) -> str | None:
    """The face that draws a character; None where the family lacks it."""
    return next((key for key, codes in parts(family, weight) if ord(char) in codes), None)


@lru_cache(maxsize=16384)
def missing(family: Family, text: str) -> str:
    """The characters of a text that the family lacks, each once."""
    codes = known(family)
    return "".join(dict.fromkeys(c for c in text if ord(c) not in codes and not c.isspace() and ord(c) != 0xAD))


@lru_cache(maxsize=65536)
def advance(family: Family, weight: int, text: str) -> float:
    """Advance width in em of a text on one line, with kerning and ligatures, without tracking.

    Characters that the first face lacks are shaped in the next that has them; what none has counts 0.6 em. Emphasis is
    drawn in the family's own italic and bold, see emphasis.py.
    """
    if not emphasis.is_encoded(text):
        return _advance(family, weight, text, False)
    strong = family.nearest_weight(max(weight, emphasis.STRONG_WEIGHT))
    return sum(
        _advance(family, strong if style == "strong" else weight, run, style == "em") for style, run in emphasis.runs(text)
    )


def _advance(family: Family, weight: int, text: str, slanted: bool) -> float:
    first, codes = parts(family, weight, slanted)[0]
    if all(ord(char) in codes for char in text):
        return _shape(family, first, weight, text)
    return sum(_shape(family, key, weight, run) for run, key in runs(family, weight, text, slanted))


def runs(family: Family, weight: int, text: str, slanted: bool = False) -> list[tuple[str, str]]:
    """A text in pieces, each with the key of the face that draws it; what no face has is the first's."""
    faces = parts(family, weight, slanted)
    made: list[tuple[str, str]] = []
    for char in text:
        key = next((key for key, codes in faces if ord(char) in codes), faces[0][0])
        if made and made[-1][1] == key:
            made[-1] = made[-1][0] + char, key
        else:
            made.append((char, key))
    return made


def shaped(family: Family, key: str, weight: int, text: str) -> list[tuple[int, float, float, float]]:
    """Glyph, advance, and offsets across and up, in units of the font, of each glyph of a text in one face."""
    buffer = hb.Buffer()
    buffer.add_str(text)
    buffer.guess_segment_properties()
    hb.shape(font(family, key, weight), buffer)
    return [
        (info.codepoint, place.x_advance, place.x_offset, place.y_offset)
        for info, place in zip(buffer.glyph_infos, buffer.glyph_positions, strict=True)
    ]


def _shape(family: Family, key: str, weight: int, text: str) -> float:
    buffer = hb.Buffer()
    buffer.add_str(text)
    buffer.guess_segment_properties()
    hb.shape(font(family, key, weight), buffer)
    upem = int(face(family, key).upem)
    gone = sum(1 for info in buffer.glyph_infos if info.codepoint == 0)
    return float(sum(position.x_advance for position in buffer.glyph_positions)) / upem + gone * 0.1


_SPACES = re.compile(r"[ \t\n\r\f]+")  # CSS Text 3, 4.1: a no-break space is none of them


def collapsed(text: str) -> str:
    """White space as CSS collapses it."""
    return _SPACES.sub(" ", text).strip(" ")
