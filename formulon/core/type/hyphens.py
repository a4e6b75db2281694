"""Soft hyphens in long words, by language (the pyphen library, with the hyphenation patterns of LibreOffice's dictionaries).

Browsers' own dictionaries differ, and some have none; a soft hyphen is the same everywhere.
"""

import re
from functools import cache, lru_cache

import pyphen

from formulon.core.type.breaks import SOFT_HYPHEN

LEAST = 12  # letters of a word from which it may be divided in running text (common practice)
_STRETCH, _PIECE = 12, 6  # letters in a row that no dictionary divides, and the pieces that they are divided into all the same
_BEGIN, _END = 3, 3  # letters that stay together at the ends of a word
_ADDRESS = re.compile(r"\S*(?:@|://|www\.|\w\.\w)\S*")


@cache
def _dictionary(language: str) -> pyphen.Pyphen | None:
    found = pyphen.language_fallback(language.replace("-", "_"))
    return pyphen.Pyphen(lang=found, left=_BEGIN, right=_END) if found else None


@lru_cache(maxsize=16384)
def hyphenated(text: str, language: str, least: int = LEAST) -> str:
    """The text with soft hyphens in its words of at least `least` letters. Addresses, and words that have soft hyphens of their
    own, stay as they are."""
    if not any(len(word) >= least for word in text.split()):
        return text
    return "".join(part if _ADDRESS.fullmatch(part) else _words(part, language, least) for part in re.split(r"(\s+)", text))


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
