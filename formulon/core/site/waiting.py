"""Which of the client's texts stand on pages, where, and what of them waits: nothing that was handed over is lost without a word.

A line stands in a section where most of its pairs of neighbouring words do, since what is told of a line is cut into parts: a price apart
from what it is for, a name apart from what somebody says.
"""

import re
from collections import defaultdict
from dataclasses import dataclass
from itertools import pairwise

from formulon.core.site.documents import IDENTITY, Bodies
from formulon.core.site.texts import texts
from formulon.core.type.emphasis import plain

_MOST = 0.7  # of a line's pairs of words that stand in a section where the line does
_WORD = re.compile(r"[^\W_]+")
_NUMBERED = re.compile(r"^\d{1,2}[.)]\s+")

Words = tuple[str, ...]


@dataclass(frozen=True, slots=True)
class Standing:
    """A text by its number among the identity's, the sections that tell some of it as (page, section), and the lines that none tells."""

    number: int
    places: tuple[tuple[str, str], ...]
    waits: tuple[str, ...]


def standing(bodies: Bodies) -> list[Standing]:
    """The client's texts, in their order."""
    said: dict[tuple[str, str], list[str]] = defaultdict(list)
    for one in texts(bodies):
        if one.page and one.section:
            said[one.page, one.section] += _words(plain(one.text))
    known = {place: (frozenset(pairwise(words)), frozenset(words)) for place, words in said.items()}
    made = []
    for number, text in enumerate(bodies[IDENTITY].get("texts", ())):
        places: dict[tuple[str, str], int] = {}
        waits = []
        for line in filter(None, (one.strip() for one in text["text"].split("\n"))):
            words = _words(_NUMBERED.sub("", line))
            found = [place for place, (pairs, single) in known.items() if _stands(words, pairs, single)]
            for place in found:
                places[place] = places.get(place, 0) + len(words)
            if words and not found:
                waits.append(line)
        ranked = sorted(places, key=lambda place: -places[place])  # equal ones stay in the order of the pages
        made.append(Standing(number, tuple(ranked), tuple(waits)))
    return made


def _words(text: str) -> list[str]:
    return [word.casefold() for word in _WORD.findall(text)]


def _stands(words: list[str], pairs: frozenset[tuple[str, str]], single: frozenset[str]) -> bool:
    if len(words) < 2:
        return bool(words) and words[0] in single
    own = list(pairwise(words))
    held = sum(pair in pairs for pair in own)
    # Of few words each counts, but for the one pair that is parted: "Single member: £38".
    return held >= _MOST * len(own) or (len(own) <= 4 and held >= len(own) - 1 and all(word in single for word in words))
