"""Least sizes of marks, and the space that is kept clear around them, in numbers and in words."""

import re
from dataclasses import dataclass

from formulon.core.identity.statements import phrases, sentence
from formulon.core.identity.statements.forms import LENGTH, NUMBER, forms, matches, pixels

_PLACES = (("length", LENGTH),)
_SMALL = 400.0  # px; after a label, more than that is no least size of a mark
_LETTER = 0.25  # of a mark's height: how wide or high a letter of it is, where nothing says more (common practice)


@dataclass(frozen=True, slots=True)
class SizeStated:
    """The least size of a mark ("full" or "symbol") in CSS px, along one side, and the sentence."""

    px: float
    side: str
    mark: str
    text: str


@dataclass(frozen=True, slots=True)
class SpaceStated:
    """Clear space: {px}, or {share, of} as a share of a mark's own height or width; and the sentence."""

    space: dict[str, str | float | list[str]]
    text: str


def sizes_stated(text: str) -> list[SizeStated]:
    """The least sizes that a text states of a mark."""
    made = []
    for match in matches(text, forms("marks", "least", _PLACES)):
        said, clause = sentence(text, *match.span()), _clause(text, *match.span())
        about = clause if _has(clause, "mark") else said
        if _has(said, "mark") or (":" in match[0] and pixels(match["length"]) <= _SMALL):
            side = "height" if _has(clause, "height") and not _has(clause, "width") else "width"
            made.append(SizeStated(pixels(match["length"]), side, "symbol" if _has(about, "symbol") else "full", said))
    return list(dict.fromkeys(made))


def _clause(text: str, start: int, end: int) -> str:
    """The part of a sentence around a place, from one comma or semicolon to the next."""
    first = max(text.rfind(mark, 0, start) for mark in (", ", "; ", ". ", "\n")) + 1
    ends = [at for mark in (", ", "; ", ". ", "\n") if (at := text.find(mark, end)) >= 0]
    return text[first : min(ends) if ends else len(text)]


def spaces_stated(text: str) -> list[SpaceStated]:
    """The clear space that a text states of a mark. A sentence that speaks of space around and of a mark, or names the space as
    guidelines do, and says how much."""
    made = []
    for match in matches(text, forms("marks", "clear", ())):
        said = sentence(text, *match.span())
        space = _space(said)
        if space and (_has(said, "mark") or _has(match[0], "named")):
            made.append(SpaceStated(space, said))
    return list({one.text: one for one in reversed(made)}.values())[::-1]


def _has(said: str, part: str) -> bool:
    words = "|".join(one for table in phrases("marks") for one in table[part])
    return re.search(rf"\b(?:{words})", said, re.IGNORECASE) is not None


def _space(said: str) -> dict[str, str | float | list[str]]:
    length = re.search(LENGTH, said, re.IGNORECASE)
    if length:
        return {"px": pixels(length[0])}
    if _has(said, "letter"):
        return {"share": _LETTER, "of": "height"}
    of = "width" if _has(said, "width") and not _has(said, "height") else "height"
    percent = re.search(rf"({NUMBER})\s*(?:%|per ?cent|Prozent)", said)
    if percent:
        return {"share": round(float(percent[1].replace(",", ".")) / 100, 3), "of": of}
    shares = {word: share for table in phrases("marks") for word, share in table["shares"].items()}
    found = [word for word in shares if re.search(rf"\b{word}\b", said, re.IGNORECASE)]
    if found:
        return {"share": shares[max(found, key=len)], "of": of}
    return {"share": 1.0, "of": of} if _has(said, "full") else {}
