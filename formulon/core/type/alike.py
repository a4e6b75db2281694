"""Families that look alike: which stands in for one that lacks the letters of a language, or of a name."""

from collections.abc import Iterable
from functools import lru_cache

from formulon.core.type.languages import letters
from formulon.core.type.library import DEFAULT_BODY, DEFAULT_HEADING, SHIPPED, Family, Measured
from formulon.core.type.shaping import coverage, known


def distance(one: Measured, other: Measured) -> float:
    """How far two families are from each other by x-height, contrast and width (common practice in describing type)."""
    return abs(one.x_height - other.x_height) * 4 + abs(one.contrast - other.contrast) + abs(one.width - other.width) * 4


def nearest(look: Measured, codes: Iterable[int], category: str = "") -> Family | None:
    """The family of the library that has all of some code points and looks most like a measured one, of its category where
    there is one; None where no family has them."""
    wanted = frozenset(codes)
    have = [font for font in SHIPPED.values() if wanted <= known(font) and meant_for(font, wanted)]
    own = [font for font in have if font.category == category]
    return min(own or have, key=lambda font: (distance(font.measured, look), font.id), default=None)


def meant_for(family: Family, codes: frozenset[int]) -> bool:
    """Whether some letters call for a family: always, but for one that was drawn for a script of which none of them is."""
    return not family.script or bool(codes & coverage(family)[family.script])


def writes(family: Family, language: str, words: str = "") -> bool:
    """Whether a family has the letters of a language, and those of some words."""
    return asked(language, words) <= known(family)


def asked(language: str, words: str = "") -> frozenset[int]:
    """The code points of the letters of a language, and of those of some words."""
    return letters(language) | {ord(one) for one in words if one.isalpha()}


def lacking(family: Family, words: str) -> str:
    """The letters of some words that a family lacks, each once, in their order."""
    have = known(family)
    return "".join(dict.fromkeys(one for one in words if one.isalpha() and ord(one) not in have))


@lru_cache(maxsize=4096)
def for_language(family_id: str, language: str, words: str = "") -> str:
    """The family itself where it has the letters of a language and of some words, else the one that looks most like it and has
    them. Where none has all, that of the language alone; itself where none has even those."""
    font = SHIPPED[family_id]
    if writes(font, language, words):
        return family_id
    found = nearest(font.measured, asked(language, words), font.category)
    if found:
        return found.id
    return for_language(family_id, language) if words else family_id


def defaults(language: str, name: str = "") -> tuple[str, str]:
    """Heading and body family of a brand that has named none, in its language and in the letters of its name."""
    return for_language(DEFAULT_HEADING, language, name), for_language(DEFAULT_BODY, language, name)
