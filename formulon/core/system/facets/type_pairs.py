"""Pairs of typefaces for a character: families placed on the five axes by their measures, and ranked with reasons.

How a measure speaks of character is common practice in describing type: roundness is soft, contrast is ornate, serifs are
classical, weight and width are loud. Each family gets a place from -2 to 2 on every axis.
"""

from collections.abc import Iterable, Iterator
from dataclasses import dataclass
from functools import cache
from math import log2

from formulon.core.system.documents.identity import Character
from formulon.core.type.alike import lacking, meant_for
from formulon.core.type.languages import letters
from formulon.core.type.library import SHIPPED, Family

AXES = {
    "calm_lively": ("calm", "lively"),
    "plain_ornate": ("plain", "ornate"),
    "classical_modern": ("classical", "modern"),
    "soft_sharp": ("soft", "sharp"),
    "quiet_loud": ("quiet", "loud"),
}
MOST = 8
_HEADING, _BODY = 1.0, 0.45  # a headline speaks of the character more than running text does
_SUITS = 1.5  # on an axis; so near a family counts as suiting the character
_NEAR = 0.03  # em; x-heights that sit together on a page


@dataclass(frozen=True, slots=True)
class TypePair:
    """A heading and a body family by id, the score by which pairs are ranked, and why in sentences."""

    heading: str
    body: str
    score: float
    reasons: tuple[str, ...]


def places(font: Family) -> dict[str, float]:
    """Where a family stands on each axis, -2 to 2."""
    look, hand = font.measured, font.category == "handwriting"
    serif, mono = font.category == "serif", font.category == "monospace"
    contrast, weight = log2(look.contrast), look.stem / look.x_height
    made = {
        "calm_lively": -0.8 + 0.7 * contrast + 1.2 * look.softness * (serif or hand) + 8 * (look.width - 0.46) + 1.5 * hand,
        "plain_ornate": -1.5 + 1.2 * contrast + 0.6 * serif + 2 * hand - 0.3 * mono,
        "classical_modern": (-1.1 if serif else 0.9) + 12 * (look.x_height - 0.49) - 0.2 * contrast - 1.2 * hand + 0.4 * mono,
        "soft_sharp": 1.1 - 3.0 * look.softness + 0.5 * contrast,
        "quiet_loud": 18 * (weight - 0.175) + 10 * (look.width - 0.46),
    }
    return {axis: max(-2.0, min(2.0, value)) for axis, value in made.items()}


def proposals(
    character: Character, languages: Iterable[str] = (), own: Iterable[Family] = (), words: str = ""
) -> list[TypePair]:
    """The best pairs for a character, best first, of families that can write the languages and, where there are such, the
    letters of some words as well; every heading family once. An axis that is not decided counts as the middle, a little."""
    asked = [code.partition("-")[0] for code in languages]
    known = [font for font in (*own, *SHIPPED.values()) if not asked or set(asked) <= set(font.languages)]
    codes = frozenset[int]().union(*map(letters, asked), map(ord, words))
    known = [font for font in known if meant_for(font, codes)]
    known = [font for font in known if not lacking(font, words)] or known
    wanted = {axis: getattr(character, axis) for axis in AXES}
    fits = {font.id: _distance(font, wanted) for font in known}
    bodies = sorted((font for font in known if _readable(font)), key=lambda font: (fits[font.id], font.id))
    made = []
    for heading in known:
        if heading.category == "monospace" or (heading.category == "handwriting" and (character.calm_lively or 0) < 1):
            continue  # a hand shouts in the headlines of a brand that is not lively
        found = [(_score(heading, body, fits), body) for body in bodies]
        if found:
            score, body = max(found, key=lambda pair: (pair[0], pair[1].id))
            made.append(TypePair(heading.id, body.id, round(score, 4), tuple(_reasons(heading, body, wanted))))
    return sorted(made, key=lambda pair: (-pair.score, pair.heading))[:MOST]


@cache
def _of_library(family_id: str) -> dict[str, float]:
    return places(SHIPPED[family_id])


def _places(font: Family) -> dict[str, float]:
    return places(font) if font.own else _of_library(font.id)


def _distance(font: Family, wanted: dict[str, int | None]) -> float:
    at = _places(font)
    return sum(abs(at[axis] - want) if want is not None else 0.15 * abs(at[axis]) for axis, want in wanted.items())


def _readable(font: Family) -> bool:
    """Whether running text can be set in it (common practice): a moderate x-height, contrast and weight."""
    look = font.measured
    return (
        font.category in ("serif", "sans-serif")
        and 0.44 <= look.x_height <= 0.56
        and look.contrast <= 2.4
        and 0.065 <= look.stem <= 0.1
        and look.width <= 0.5
        and (font.own or font.weights[1] >= 600)
    )


def _score(heading: Family, body: Family, fits: dict[str, float]) -> float:
    together = -8 * abs(heading.measured.x_height - body.measured.x_height)
    if heading.id == body.id:
        together -= 0.5
    elif heading.category == body.category:
        # Two families of one kind that differ only a little look like a mistake.
        together -= 1.2 if abs(log2(heading.measured.contrast / body.measured.contrast)) < 0.6 else 0.5
    else:
        together += 0.4
    return together - _HEADING * fits[heading.id] - _BODY * fits[body.id]


def _reasons(heading: Family, body: Family, wanted: dict[str, int | None]) -> Iterator[str]:
    at = _places(heading)
    decided = [(axis, want) for axis, want in wanted.items() if want and abs(at[axis] - want) <= _SUITS]
    for axis, want in sorted(decided, key=lambda pair: abs(at[pair[0]] - pair[1]))[:3]:
        word = AXES[axis][want > 0]
        yield f"{heading.name} for {word}: {_feature(heading, axis)}."
    one, other = heading.measured.x_height, body.measured.x_height
    said = "sit together" if abs(one - other) <= _NEAR else "differ, so sizes are read apart"
    yield f"x-heights of {one:.2f} and {other:.2f} em {said}."
    if heading.id == body.id:
        yield f"One family for both; headings stand out by size and weight, from {heading.weights[0]} to {heading.weights[1]}."
    elif heading.category != body.category:
        yield f"A {_kind(heading)} over a {_kind(body)}: the two are told apart at once."
    else:
        yield f"Strokes of {heading.measured.contrast:.1f}:1 over {body.measured.contrast:.1f}:1."


def _kind(font: Family) -> str:
    return {"serif": "serif", "sans-serif": "sans", "handwriting": "hand", "monospace": "monospaced"}[font.category]


def _feature(font: Family, axis: str) -> str:
    """The measure that speaks of an axis, in words and numbers."""
    look = font.measured
    return {
        "calm_lively": f"strokes of {look.contrast:.1f}:1 and letters {look.width:.2f} em wide",
        "plain_ornate": f"strokes of {look.contrast:.1f}:1, {'with' if font.category == 'serif' else 'without'} serifs",
        "classical_modern": f"{_kind(font)}, with an x-height of {look.x_height:.2f} em",
        "soft_sharp": f"{look.softness * 100:.0f} % of its turns are round",
        "quiet_loud": f"stems of {look.stem:.3f} em",
    }[axis]
