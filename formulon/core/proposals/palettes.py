"""Whole palettes for a brand without colours: from its trade and name, from words, or from the colours of a reference with their shares.

A palette is a paper, a dark colour, one that leads, one that answers, and one between them, with the rhythm of grounds in which they
stand. Hues are set against each other as colour wheels have it (common practice) in OKLCH. Each palette is solved for the brand's own
pages, and one with a conflict is not proposed.
"""

import random
from collections.abc import Iterator, Sequence
from dataclasses import dataclass
from itertools import count
from typing import Literal

from formulon.core.color.difference import difference
from formulon.core.color.moods import MOODS, Mood, Range, known_moods, middle, middle_hue
from formulon.core.color.oklab_scalar import oklch, rgb_of
from formulon.core.color.srgb import RGB, from_hex, to_hex
from formulon.core.site.planning.rhythms import BEATS, Beat, unreadable
from formulon.core.site.site import Site
from formulon.core.system.documents.identity import BrandColor, Identity
from formulon.core.system.resolve import resolve

Source = Literal["trade", "words", "colors"]
MOST = 64
_APART = 16.0  # ΔE2000 by which the leading or the answering colour of two palettes in succession differ
_GIVE_UP = 400
_BROWN = 0.56  # lightness under which the colours between red and yellow are browns
# What kinds of organisation are often set in (common practice), as moods; the name chooses among them.
TRADES: dict[str, tuple[str, ...]] = {
    "visit": ("deep", "grand", "watery", "natural"), "workshop": ("earthy", "rustic", "warm", "mossy"),
    "table": ("cosy", "autumnal", "fresh", "rich"), "practice": ("calm", "fresh", "gentle", "watery"),
    "counsel": ("serious", "classic", "sober", "elegant"), "trade": ("bold", "energetic", "sober", "deep"),
    "shop": ("bright", "warm", "playful", "natural"), "school": ("lively", "hopeful", "sunny", "cool"),
    "cause": ("hopeful", "natural", "bold", "warm"), "stay": ("sandy", "mossy", "watery", "romantic"),
    "event": ("festive", "bold", "joyful", "wild"),
}  # fmt: skip
# How the answering hue and the one between stand to the leading one, in degrees.
_TURNS: tuple[tuple[str, float, float], ...] = (
    ("answers from across the wheel", 180, 20), ("stands beside it", 40, -30), ("answers from a third of the wheel away", 120, 30),
    ("stands near its opposite", 150, -25), ("is the same hue, lighter", 0, 15), ("answers from the other third", 240, -20),
)  # fmt: skip
_HUES = (
    (15, "rose"), (42, "red"), (65, "rust"), (85, "amber"), (110, "yellow"), (128, "lime"), (160, "green"), (222, "teal"), (245, "sky"),
    (275, "blue"), (305, "violet"), (340, "purple"), (361, "rose"),
)  # fmt: skip


@dataclass(frozen=True, slots=True)
class PaletteProposal:
    """A palette by its number: what it is called, its colours as the identity has them with what each is for, why it is so, and its
    rhythm of grounds."""

    number: int
    name: str
    colors: tuple[BrandColor, ...]
    for_: tuple[str, ...]
    says: str
    beat: Beat


@dataclass(frozen=True, slots=True)
class Reference:
    """A colour of a reference and its share of it, 0–1."""

    rgb: RGB
    share: float


def palettes(
    site: Site, source: Source, text: str = "", references: Sequence[Reference] = (), first: int = 1
) -> Iterator[PaletteProposal]:
    """Palettes from a number on, one after the other. Nothing where words say nothing, or where there is no colour to go by."""
    identity = site.identity
    moods = _moods(identity, source, text)
    if (source == "words" and not moods) or (source == "colors" and not references):
        return
    made: list[PaletteProposal] = []
    for turn in count():
        if turn > _GIVE_UP or len(made) >= MOST:
            return
        dice = random.Random(f"{identity.name}\n{source}\n{text}\n{len(references)}\n{turn}")
        colors, says = _of_references(references, turn, dice) if source == "colors" else _of_moods(moods, turn, dice)
        if any(_alike(colors, [from_hex(one.value) for one in other.colors]) for other in made[-8:]):
            continue
        beat = BEATS[(turn * 3 + dice.randrange(3)) % len(BEATS)]
        named = _named(colors)
        tried = identity.model_copy(update={"colors": list(named)})
        choices = site.choices.model_copy(update={"rhythm": beat.rhythm, "wires": {}, "pins": {}})
        system = resolve(tried, choices, site.library)
        if system.conflicts or beat.stands_on() & unreadable(system):
            continue
        name = f"{named[2].name} and {named[3].name.lower()}"
        made.append(PaletteProposal(len(made) + 1, name, named, _FOR, f"{says} It {beat.says}.", beat))
        if made[-1].number >= first:
            yield made[-1]


_FOR = ("paper", "the dark ground and words", "what leads", "what answers", "between them")


def _moods(identity: Identity, source: Source, text: str) -> list[tuple[str, Mood]]:
    """The moods that a palette follows: those of words, or those of a trade and of what the brand says of itself."""
    if source == "words":
        return [(word, MOODS[word]) for word in known_moods(text)]
    own = known_moods(" ".join([identity.strapline, identity.does]))
    usual = TRADES.get(identity.organisation) or tuple(MOODS)
    return [(word, MOODS[word]) for word in (*own, *usual)]


def _of_moods(moods: Sequence[tuple[str, Mood]], turn: int, dice: random.Random) -> tuple[list[RGB], str]:
    """Colours in one mood, or between two, in one of the ways in which hues stand to each other."""
    one = moods[turn % len(moods)]
    two = moods[(turn // len(moods)) % len(moods)]
    ranges = [one[1], two[1]]
    lightness, chroma = middle([mood.lightness for mood in ranges]), middle([mood.chroma for mood in ranges])
    hues = [mood.hue for mood in ranges if mood.hue]
    hue = dice.uniform(*middle_hue(hues)) if hues else dice.uniform(0, 360)
    how, away, near = _TURNS[turn % len(_TURNS)]
    words = one[0] if one[0] == two[0] else f"{one[0]} and {two[0]}"
    return _five(hue, lightness, chroma, away, near, dice), f"{words.capitalize()}: the second colour {how}."


def _five(hue: float, lightness: Range, chroma: Range, away: float, near: float, dice: random.Random) -> list[RGB]:
    lead = min(0.72, max(0.34, dice.uniform(*lightness)))
    strong = min(0.24, max(0.07, dice.uniform(*chroma) * 1.15))
    answer = dice.uniform(0.66, 0.84) if lead < 0.58 else dice.uniform(0.34, 0.5)
    return [
        rgb_of(dice.uniform(0.955, 0.98), dice.uniform(0.006, 0.02), hue + dice.choice((0, away))),
        rgb_of(dice.uniform(0.2, 0.29), dice.uniform(0.025, 0.06), hue + near),
        rgb_of(lead, strong, hue),
        rgb_of(answer, min(0.2, max(0.07, strong * 0.95)), hue + away),
        rgb_of(dice.uniform(0.82, 0.9), dice.uniform(0.03, 0.06), hue + near),
    ]


def _of_references(references: Sequence[Reference], turn: int, dice: random.Random) -> tuple[list[RGB], str]:
    """Colours of a reference in the parts that their shares and their strength suggest; what it lacks is made in its hue."""
    told = sorted(references, key=lambda one: -one.share)[:12]
    strength = sorted(told, key=lambda one: -(oklch(one.rgb)[1] * (0.3 + one.share)))
    lead = strength[turn % min(3, len(strength))]
    hue = oklch(lead.rgb)[2]
    apart = sorted(
        (one for one in told if one is not lead), key=lambda one: -difference(one.rgb, lead.rgb) * (0.04 + oklch(one.rgb)[1])
    )
    answer = apart[(turn // 3) % min(3, len(apart))].rgb if apart else rgb_of(0.72, 0.12, hue + 150)
    light = max((one.rgb for one in told), key=lambda rgb: oklch(rgb)[0])
    dark = min((one.rgb for one in told), key=lambda rgb: oklch(rgb)[0])
    paper = light if oklch(light)[0] > 0.93 and oklch(light)[1] < 0.04 else rgb_of(0.965, 0.012, oklch(light)[2])
    deep = dark if oklch(dark)[0] < 0.32 else rgb_of(0.25, min(0.05, oklch(dark)[1]), oklch(dark)[2])
    between = rgb_of(dice.uniform(0.82, 0.9), 0.04, oklch(answer)[2])
    share = f"{100 * lead.share:.0f} %" if lead.share else "a part"
    return [paper, deep, lead.rgb, answer, between], f"What leads is {share} of the reference."


def _alike(one: Sequence[RGB], other: Sequence[RGB]) -> bool:
    return difference(one[2], other[2]) < _APART and difference(one[3], other[3]) < _APART


def named(rgb: RGB) -> str:
    """A plain name for a colour, by hue and lightness."""
    lightness, chroma, hue = oklch(rgb)
    if chroma < 0.03:
        return "Paper" if lightness > 0.93 else "Black" if lightness < 0.22 else "Slate" if lightness < 0.4 else "Grey"
    word = next(name for until, name in _HUES if hue < until)
    if word in ("rust", "amber") and lightness < _BROWN:
        word = "brown"
    how = (
        "Pale"
        if lightness > 0.84
        else "Light"
        if lightness > 0.72
        else "Dark"
        if lightness < 0.34
        else "Deep"
        if lightness < 0.5
        else ""
    )
    return f"{how} {word}".strip().capitalize()


def _named(colors: Sequence[RGB]) -> tuple[BrandColor, ...]:
    """Colours of the identity, each under a name of its own."""
    made: list[BrandColor] = []
    for rgb in colors:
        name, number = named(rgb), 2
        while any(one.name == name for one in made):
            name, number = f"{named(rgb)} {number}", number + 1
        made.append(BrandColor(name=name, value=to_hex(rgb).upper()))
    return tuple(made)
