"""Pairs of colours that a document forbids, or asks for: an ink on a ground."""

from dataclasses import dataclass

from formulon.core.identity.statements import sentence
from formulon.core.identity.statements.forms import NAME, bare, forms, matches

_PLACES = (("ink", NAME), ("ground", NAME))


@dataclass(frozen=True, slots=True)
class PairStated:
    """An ink on a ground by the names of their colours, whether it is wanted, and the sentence."""

    ink: str
    ground: str
    wanted: bool
    text: str


def pairs_stated(text: str, known: frozenset[str] | None = None) -> list[PairStated]:
    """The pairs of a text, in its order. With `known` names of colours, only pairs of those."""
    made: list[tuple[int, int, PairStated]] = []
    for part, wanted in (("forbidden", False), ("wanted", True)):  # “never set” before “set”
        for match in matches(text, forms("pairs", part, _PLACES)):
            ink, ground = (_name(match[place], known) for place in ("ink", "ground"))
            if not ink or not ground or any(match.start() < end and start < match.end() for start, end, _ in made):
                continue
            made.append((*match.span(), PairStated(ink, ground, wanted, sentence(text, *match.span()))))
    return [one for _, _, one in sorted(made, key=lambda each: each[0])]


def _name(words: str, known: frozenset[str] | None) -> str:
    """The name of a colour among the words at its place; empty where there is none."""
    held = bare(words, "pairs")
    for count in range(len(held), 0, -1) if known is not None else ():
        if (name := " ".join(held[:count])) in (known or ()):
            return name
    return "" if known is not None else " ".join(held)
