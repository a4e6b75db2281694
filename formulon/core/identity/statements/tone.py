"""The tone that a brand speaks in, and what it is not: words of character out of a table, in sentences about how it speaks."""

import re
from dataclasses import dataclass
from functools import cache

from formulon.core.identity.statements import phrases, sentence
from formulon.core.identity.statements.forms import forms, matches


@dataclass(frozen=True, slots=True)
class ToneStated:
    """Words of character that are wanted and unwanted, as the table has them, and the sentence."""

    wanted: tuple[str, ...]
    unwanted: tuple[str, ...]
    text: str


@cache
def _words() -> dict[str, str]:
    """The words of character by the forms in which they are written: "calmly" is "calm"."""
    return {form: word for table in phrases("tone") for word, others in table["words"].items() for form in (word, *others)}


def axes_of(words: tuple[str, ...]) -> dict[str, int]:
    """Where words of character stand on the axes of a brand's character, -2 to 2; of two on one axis the first counts."""
    made: dict[str, int] = {}
    for word in words:
        for table in phrases("tone"):
            made = table["axes"].get(word, {}) | made
    return made


def tones_stated(text: str) -> list[ToneStated]:
    """The statements of a text, in its order."""
    made: list[tuple[int, ToneStated]] = []
    for match in matches(text, forms("tone", "about", ())):
        said = sentence(text, *match.span())
        wanted, unwanted = _sides(said)
        if (wanted or unwanted) and said not in [one.text for _, one in made]:
            made.append((match.start(), ToneStated(wanted, unwanted, said)))
    known = [one.text for _, one in made]
    for table in phrases("tone"):
        for match in re.finditer("|".join(table["never_loud"]), text, re.IGNORECASE):
            said = sentence(text, *match.span())
            if said not in known:
                made.append((match.start(), ToneStated((), (table["loud"],), said)))
    return [one for _, one in sorted(made, key=lambda each: each[0])]


def _sides(said: str) -> tuple[tuple[str, ...], tuple[str, ...]]:
    """Words of character before and after what turns a sentence round."""
    words, turns = _words(), {word for table in phrases("tone") for word in table["turns"]}
    sides: tuple[list[str], list[str]] = ([], [])
    side = 0
    for word in re.findall(r"[^\W\d_]+", said.casefold()):
        if word in turns:
            side = 1
        elif word in words and words[word] not in (*sides[0], *sides[1]):
            sides[side].append(words[word])
    return tuple(sides[0]), tuple(sides[1])
