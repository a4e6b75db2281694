"""Families that look alike: which stands in for one that lacks the letters of a language."""

from collections.abc import Iterable
from functools import cache

from formulon.core.type.languages import letters
from formulon.core.type.library import DEFAULT_BODY, DEFAULT_HEADING, Family, Measured, families
from formulon.core.type.shaping import known


def distance(one: Measured, other: Measured) -> float:
    """How far two families are from each other by x-height, contrast and width (common practice in describing type)."""
    return abs(one.x_height - other.x_height) * 4 + abs(one.contrast - other.contrast) + abs(one.width - other.width) * 4


def nearest(look: Measured, codes: Iterable[int], category: str = "") -> Family | None:
    """The family of the library that has all of some code points and looks most like a measured one, of its category where
    there is one; None where no family has them."""
    wanted = frozenset(codes)
    have = [font for font in families().values() if wanted <= known(font.id)]
    own = [font for font in have if font.category == category]
    return min(own or have, key=lambda font: (distance(font.measured, look), font.id), default=None)


def writes(family_id: str, language: str) -> bool:
    """Whether a family of the library has the letters of a language."""
    return letters(language) <= known(family_id)


@cache
def for_language(family_id: str, language: str) -> str:
    """The family itself where it has the letters of a language, else the one that looks most like it and has them; itself
    where none has."""
    if writes(family_id, language):
        return family_id
    font = families()[family_id]
    found = nearest(font.measured, letters(language), font.category)
    return found.id if found else family_id


def defaults(language: str) -> tuple[str, str]:
    """Heading and body family of a brand that has named none, in its language."""
    return for_language(DEFAULT_HEADING, language), for_language(DEFAULT_BODY, language)
