"""Soft hyphens in long words, by language (the pyphen library, with the hyphenation patterns of LibreOffice's dictionaries).

Browsers' own dictionaries differ, and some have none; a soft hyphen is the same everywhere.
"""

import re
from functools import cache, lru_cache

import pyphen

from formulon.core.type.breaks import SOFT_HYPHEN
from formulon.core.type.languages import right_to_left

LEAST = 12  # letters of a word from which it may be divided in running text (common practice)
_STRETCH, _PIECE = 12, 6  # letters in a row that no dictionary divides, and the pieces that they are divided into all the same
_BEGIN, _END = 3, 3  # letters that stay together at the ends of a word
APART, TOGETHER = "\u2066", "\u2069"  # isolates what stands between them, from left to right (UAX #9, 2.4)
_GROUPED = re.compile(r"(?<!\w)(?:\+?\d+(?:[ \u00a0]\d+)+(?!\w)|@[A-Za-z0-9_.]*[A-Za-z0-9_])")
_FEWEST = 6  # digits
_ADDRESS = re.compile(r"\S*(?:@|://|www\.|\w\.\w)\S*")


@cache
def _dictionary(language: str) -> pyphen.Pyphen | None:
    found = pyphen.language_fallback(language.replace("-", "_"))
    return pyphen.Pyphen(lang=found, left=_BEGIN, right=_END) if found else None


@lru_cache(maxsize=16384)
def hyphenated(text: str, language: str, least: int = LEAST) -> str:
    """The text with soft hyphens in its words of at least `least` letters. Addresses, and words that have soft hyphens of their
    own, stay as they are. In languages that are written from right to left, long numbers in groups keep their order."""
    text = in_order(text, language)
    if not any(len(word) >= least for word in text.split()):
        return text
    return "".join(part if _ADDRESS.fullmatch(part) else _words(part, language, least) for part in re.split(r"(\s+)", text))


def in_order(text: str, language: str) -> str:
    """A text of a language from right to left with numbers that stand in groups, and names that begin with an @, set apart: else the groups of a telephone number, which spaces part,
    stand in the order of the words around them (UAX #9, W4 and N1)."""
    if APART in text or not right_to_left(language):
        return text

    def set_apart(found: re.Match[str]) -> str:
        kept = found[0].startswith("@") or sum(map(str.isdigit, found[0])) >= _FEWEST
        return f"{APART}{found[0]}{TOGETHER}" if kept else found[0]

    return _GROUPED.sub(set_apart, text)


def _words(part: str, language: str, least: int) -> str:
    return re.sub(rf"[^\W\d_]{{{least},}}", lambda found: _word(found[0], language), part) if SOFT_HYPHEN not in part else part


@lru_cache(maxsize=8192)
def _word(word: str, language: str) -> str:
    dictionary = _dictionary(language)
    pieces = dictionary.inserted(word, SOFT_HYPHEN).split(SOFT_HYPHEN) if dictionary else [word]
    made: list[str] = []
    for piece in pieces:
        long = _PIECE if len(piece) >= _STRETCH else len(piece)
        made += [piece[start : start + long] for start in range(0, len(piece), long)]
    return SOFT_HYPHEN.join(made)
