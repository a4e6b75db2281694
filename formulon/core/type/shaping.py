"""Advance widths of real text in the shipped fonts, shaped with HarfBuzz."""

import io
import re
from functools import cache, lru_cache

import uharfbuzz as hb
from fontTools.ttLib import TTFont

from formulon.core.type.library import SUBSETS, family


@cache
def _font_bytes(family_id: str, subset: str) -> bytes:
    """The TrueType bytes of a WOFF2 file; HarfBuzz does not read WOFF2."""
    font = TTFont(family(family_id).file(subset))
    font.flavor = None
    out = io.BytesIO()
    font.save(out)
    return out.getvalue()


@cache
def face(family_id: str, subset: str) -> hb.Face:
    """A subset of a family, for HarfBuzz."""
    return hb.Face(_font_bytes(family_id, subset))


@lru_cache(maxsize=128)
def font(family_id: str, subset: str, weight: int) -> hb.Font:
    """A subset of a family at a weight."""
    font = hb.Font(face(family_id, subset))
    low, high = family(family_id).weights
    if low != high:
        font.set_variations({"wght": weight})
    return font


@cache
def coverage(family_id: str) -> dict[str, frozenset[int]]:
    """The code points of each subset."""
    return {subset: frozenset(face(family_id, subset).unicodes) for subset in SUBSETS}


@cache
def _known(family_id: str) -> frozenset[int]:
    return frozenset().union(*coverage(family_id).values())


@lru_cache(maxsize=16384)
def missing(family_id: str, text: str) -> str:
    """The characters of a text that the family lacks, each once."""
    known = _known(family_id)
    return "".join(dict.fromkeys(c for c in text if ord(c) not in known and not c.isspace() and ord(c) != 0xAD))


@lru_cache(maxsize=65536)
def advance(family_id: str, weight: int, text: str) -> float:
    """Advance width in em of a text on one line, with kerning and ligatures, without tracking.

    Runs of characters outside the Latin subset are shaped in the extended one; what neither has counts 0.6 em.
    """
    latin = coverage(family_id)["latin"]
    total = 0.0
    for run, inside in _runs(text, latin):
        total += _shape(family_id, "latin" if inside else "latin-ext", weight, run)
    return total


def _runs(text: str, latin: frozenset[int]) -> list[tuple[str, bool]]:
    if all(ord(c) in latin for c in text):
        return [(text, True)]
    runs: list[tuple[str, bool]] = []
    for char in text:
        inside = ord(char) in latin
        if runs and runs[-1][1] == inside:
            runs[-1] = runs[-1][0] + char, inside
        else:
            runs.append((char, inside))
    return runs


def _shape(family_id: str, subset: str, weight: int, text: str) -> float:
    buffer = hb.Buffer()
    buffer.add_str(text)
    buffer.guess_segment_properties()
    hb.shape(font(family_id, subset, weight), buffer)
    upem = int(face(family_id, subset).upem)
    gone = sum(1 for info in buffer.glyph_infos if info.codepoint == 0)
    return float(sum(position.x_advance for position in buffer.glyph_positions)) / upem + gone * 0.1


_SPACES = re.compile(r"\s+")


def collapsed(text: str) -> str:
    """White space as CSS collapses it."""
    return _SPACES.sub(" ", text).strip()
