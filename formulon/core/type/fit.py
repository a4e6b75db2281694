"""How a text fits its box: lines, characters in a line, the widest word, and a word left alone on the last line."""

from dataclasses import dataclass
from functools import lru_cache

import icu

from formulon.core.type.emphasis import decoded
from formulon.core.type.library import Family
from formulon.core.type.lines import balanced, broken, widest_piece

_FEW = 3  # words; a headline of no more has no last line to be left alone on


@dataclass(frozen=True, slots=True)
class Fit:
    """A text in a box. `characters` is the mean of the lines but the last, or of the only one; lengths are in px."""

    lines: int
    characters: float
    widest: float
    box: float
    orphan: str = ""  # the word that stands alone on the last line, under a line of several


@lru_cache(maxsize=8192)
def cased(text: str, case: str, language: str = "en") -> str:
    """The text as CSS text-transform writes it in a language. Source: CSS Text 3, 2.1, with the mappings of Unicode."""
    if case == "none":
        return text
    made = icu.UnicodeString(text)
    locale = icu.Locale(language)
    return str(made.toUpper(locale) if case == "uppercase" else made.toLower(locale))


@lru_cache(maxsize=65536)
def fit(
    family: Family, weight: int, text: str, size: float, width: float, tracking: float, language: str, headline: bool
) -> Fit:
    """A text of `size` px in a box of `width` px; `tracking` is in em. A headline is balanced, unless it has line breaks
    of its own. The text is cased already."""
    parts = text.split("\n")
    set_lines = balanced if headline and len(parts) == 1 else broken
    lines = [line for part in parts for line in set_lines(family, weight, part, size, width, tracking, language)]
    if not lines:
        return Fit(0, 0.0, 0.0, width)
    full = lines[:-1] or lines
    words = [len(line.split()) for line in lines]
    alone = lines[-1] if len(parts) == 1 and len(lines) > 1 and words[-1] == 1 < words[-2] and sum(words) > _FEW else ""
    widest = max(widest_piece(family, weight, part, size, tracking, language) for part in parts)
    return Fit(len(lines), sum(map(len, full)) / len(full), widest, width, decoded(alone))
