"""The library of drawings: subjects as data (subjects.json), and the ways in which one is drawn.

A subject is a few flat shapes in a box of 100 by 100, each in one of three tones; words by which it is found, in three languages (the
beginnings of words in German and French); the kinds of organisation whose trade it shows; and its season, where it has one. All of it
is drawn for Formulon.
"""

import json
import random
import re
from collections.abc import Callable, Mapping, Sequence
from dataclasses import dataclass
from functools import cache
from pathlib import Path

_FILE = Path(__file__).parent / "subjects.json"
_RINGS = frozenset({"key", "bicycle"})  # subjects with paths that have holes
_LEAST_STEM = 3  # letters of a word by which a subject is told
# The tokens of a drawing: its ground, what lies on that, and its three tones, the first of which has to be seen on both. They are the
# brand's exact colours but for the last one on light grounds, which is a mixture so that it is seen on all others.
SCHEMES = ((6, 2, 5, 3, 4), (6, 3, 5, 2, 4), (5, 4, 6, 3, 2), (5, 1, 3, 6, 2), (2, 6, 5, 3, 4), (3, 6, 5, 2, 4))


@dataclass(frozen=True, slots=True)
class Subject:
    """Something that is drawn. `shapes` are tones ("a", "b", "c") with paths."""

    id: str
    words: Mapping[str, Sequence[str]]
    organisations: tuple[str, ...]
    season: str
    shapes: tuple[tuple[str, str], ...]

    @property
    def says(self) -> str:
        """What it shows, in a word."""
        return next(iter(self.words["en"]))

    def told_by(self, words: str) -> int:
        """How many words of a text in small letters begin as a word does by which the subject is found."""
        return len(set(_stems(self.id).findall(words)))


@cache
def _stems(subject: str) -> re.Pattern[str]:
    """What begins as a word does by which a subject is found."""
    stems = {stem for several in SUBJECTS[subject].words.values() for stem in several if len(stem) >= _LEAST_STEM}
    return re.compile(rf"\b(?:{'|'.join(re.escape(stem) for stem in sorted(stems, key=len, reverse=True))})")


SUBJECTS: Mapping[str, Subject] = {
    one["id"]: Subject(
        one["id"],
        {language: tuple(words) for language, words in one["words"].items()},
        tuple(one["organisations"]),
        one["season"],
        tuple((tone, path) for tone, path in one["shapes"]),
    )
    for one in json.loads(_FILE.read_text(encoding="utf-8"))
}


def suited(organisation: str, words: str) -> list[str]:
    """The subjects that show what a brand is about, the nearest first: those that its own words name, then those of its trade."""
    said = words.casefold()
    named = {one.id: one.told_by(said) for one in SUBJECTS.values()}
    ranked = sorted(SUBJECTS.values(), key=lambda one: (-named[one.id], organisation not in one.organisations))
    return [one.id for one in ranked if named[one.id] or organisation in one.organisations]


def drawn(subject: Subject, dice: random.Random) -> str:
    """A subject in one of the ways below, on a board of 160 by 120. Every shape that ends at an edge reaches over it."""
    ground, second, *tones = dice.choice(SCHEMES)
    return dice.choice(_WAYS)(subject, {"ground": ground, "second": second} | dict(zip("abc", tones, strict=True)), dice)


def sample(subject: Subject) -> str:
    """A subject as it is shown among others, to be chosen."""
    ground, _, *tones = SCHEMES[0]
    return _ground({"ground": ground}) + _put(subject, dict(zip("abc", tones, strict=True)), 30, 10, 1)


Tones = Mapping[str, int]


def _ground(tones: Tones) -> str:
    return f'<rect x="-1" y="-1" width="162" height="122" class="f{tones["ground"]}"/>'


def _put(subject: Subject, tones: Tones, x: float, y: float, scale: float) -> str:
    rule = ' fill-rule="evenodd"'
    inside = "".join(
        f'<path class="f{tones[tone]}"{rule if subject.id in _RINGS else ""} d="{path}"/>' for tone, path in subject.shapes
    )
    return f'<g transform="translate({x:.1f} {y:.1f}) scale({scale:.3g})">{inside}</g>'


def _alone(subject: Subject, tones: Tones, dice: random.Random) -> str:
    """On a table, or before a disc."""
    scale = dice.uniform(0.74, 0.86)
    x, y = 80 - 50 * scale, 62 - 50 * scale
    if dice.random() < 0.5:
        behind = f'<circle cx="80" cy="60" r="{dice.uniform(48, 56):.1f}" class="f{tones["second"]}"/>'
    else:
        foot = y + 92 * scale
        behind = f'<rect x="-1" y="{foot - dice.uniform(4, 14):.1f}" width="162" height="80" class="f{tones["second"]}"/>'
    return _ground(tones) + behind + _put(subject, tones, x, y, scale)


def _row(subject: Subject, tones: Tones, dice: random.Random) -> str:
    """Three of it side by side, the middle one larger."""
    foot, made = (
        dice.uniform(92, 100),
        [_ground(tones), f'<rect x="-1" y="88" width="162" height="40" class="f{tones["second"]}"/>'],
    )
    for x, scale in ((6, 0.4), (54, 0.54), (116, 0.4)):
        made.append(_put(subject, tones, x, foot - 96 * scale, scale))
    return "".join(made)


def _close(subject: Subject, tones: Tones, dice: random.Random) -> str:
    """Cropped, on two fields."""
    split = dice.uniform(44, 70)
    field = f'<rect x="{split:.1f}" y="-1" width="{161 - split:.1f}" height="122" class="f{tones["second"]}"/>'
    return _ground(tones) + field + _put(subject, tones, dice.uniform(10, 26), dice.uniform(-16, -6), 1.36)


def _pattern(subject: Subject, tones: Tones, dice: random.Random) -> str:
    """Again and again, on a board of squares."""
    made, phase, scale = [_ground(tones)], dice.randrange(2), dice.uniform(0.24, 0.31)
    for row in range(3):
        for column in range(4):
            x, y = column * 40, row * 40
            if (row + column + phase) % 2:
                made.append(f'<rect x="{x - (1 if x == 0 else 0)}" y="{y}" width="41" height="41" class="f{tones["second"]}"/>')
            made.append(_put(subject, tones, x + 20 - 50 * scale, y + 20 - 50 * scale, scale))
    return "".join(made)


_Way = Callable[[Subject, Tones, random.Random], str]
_WAYS: tuple[_Way, ...] = (_alone, _alone, _row, _close, _pattern)
