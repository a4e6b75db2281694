"""Typefaces with what they are used for, in sentences and after labels."""

import re
from dataclasses import dataclass
from typing import Literal

from formulon.core.identity.statements import phrases, sentence
from formulon.core.identity.statements.forms import NAME, bare, forms, matches

Use = Literal["headings", "running text"]
_PLACES = (("family", NAME),)
_STYLES = re.compile(
    r"\s+(?:Thin|Light|Regular|Roman|Book|Medium|Semi ?[Bb]old|Demi|Bold|Black|Italic|Mager|Normal|Halbfett|Fett|Kursiv)$"
)


@dataclass(frozen=True, slots=True)
class TypefaceStated:
    """A family by its name, and its use."""

    family: str
    use: Use
    text: str


def typefaces_stated(text: str) -> list[TypefaceStated]:
    """The typefaces of a text. Only what has a word that names of typefaces have, or that a sentence about type names, or that
    stands beside a second one of another use: "Text: Anna Berg" names a writer."""
    made: dict[str, TypefaceStated] = {}
    sure: dict[str, bool] = {}
    parts: tuple[tuple[str, Use], ...] = (("headings", "headings"), ("text", "running text"))
    for part, use in parts:
        for form in ("said", "labelled"):
            for match in matches(text, forms("typefaces", f"{part} {form}", _PLACES)):
                family = _family(match["family"])
                follows = text[match.end() : match.end() + 4].casefold()
                if family and family not in made and not follows.startswith((" on ", " auf")):
                    made[family] = TypefaceStated(family, use, sentence(text, *match.span()))
                    sure[family] = _named(family) or (form == "said" and _speaks_of_type(match[0]))
    return [one for family, one in made.items() if sure[family] or (_of_both_uses(made))]


def _speaks_of_type(said: str) -> bool:
    words = "|".join(one for table in phrases("typefaces") for one in table["type"])
    return re.search(rf"\b(?:{words})\b", said, re.IGNORECASE) is not None


def _of_both_uses(made: dict[str, TypefaceStated]) -> bool:
    return len({one.use for one in made.values()}) == 2


def _family(words: str) -> str:
    held = words.strip()
    while (shorter := _STYLES.sub("", held)) != held:
        held = shorter
    return " ".join(bare(held, "typefaces"))


def _named(family: str) -> bool:
    """Whether a name has a word that names of typefaces have (common practice)."""
    words = {word for table in phrases("typefaces") for word in table["kinds"]}
    return any(word.casefold() in words for word in family.split())
