"""Grounds of a page from its opening to its close, as data: by how loud the brand is, and else by its name."""

from collections import defaultdict
from collections.abc import Mapping
from dataclasses import dataclass

from formulon.core.color.difference import delta_e_2000, rgb_to_lab
from formulon.core.color.srgb import from_hex
from formulon.core.system.documents.choices import Rhythm, SectionGround
from formulon.core.system.documents.identity import Character, Identity
from formulon.core.system.system import System

# How much of a start page each part is, in sections: what a usual one of five sections comes to.
_HEADER, _FOOTER, _OPENING, _SECTIONS = 0.15, 0.6, 1.4, 5
STRONG = ("brand", "accent", "deep")


@dataclass(frozen=True, slots=True)
class Beat:
    """A rhythm, what it is called, and how loud it is as the axis of character has it."""

    id: str
    says: str
    loud: int
    rhythm: Rhythm

    def stands_on(self) -> frozenset[str]:
        """Its grounds."""
        rhythm = self.rhythm
        return frozenset((rhythm.opening, *rhythm.middle, rhythm.closing, rhythm.inner or rhythm.opening))


def _beat(
    id: str, says: str, loud: int, opening: SectionGround, middle: list[SectionGround], closing: SectionGround, inner: SectionGround
) -> Beat:  # fmt: skip
    return Beat(id, says, loud, Rhythm(opening=opening, middle=middle, closing=closing, inner=inner))


BEATS = (
    _beat("night", "opens on the darkest ground and closes on the accent", 0, "deep", ["paper", "tint"], "accent", "tint"),
    _beat("banner", "opens on the brand’s colour and closes dark", 1, "brand", ["paper", "tint"], "deep", "tint"),
    _beat("page", "opens light, and the brand’s colour comes last", -1, "paper", ["tint", "paper"], "brand", "paper"),
    _beat("signal", "opens on the accent and closes on the brand’s colour", 2, "accent", ["paper", "tint"], "brand", "paper"),
    _beat("linen", "opens on a tint and closes dark", -2, "tint", ["paper", "tint"], "deep", "paper"),
    _beat("window", "opens light with one dark section in the midst", 0, "paper", ["tint", "deep", "paper", "tint"], "accent", "tint"),
    _beat("seam", "opens on a tint, with the brand’s colour in the midst", 1, "tint", ["paper", "brand", "paper", "tint"], "deep", "tint"),
    _beat("hush", "keeps to light grounds from the first section to the last", -2, "paper", ["tint", "paper"], "tint", "paper"),
    _beat("alternate", "lets strong and light grounds take turns", 2, "brand", ["paper", "accent", "tint", "deep"], "brand", "tint"),
    _beat("lantern", "opens dark, with the accent once in the midst", 1, "deep", ["paper", "tint", "accent", "paper"], "brand", "paper"),
)  # fmt: skip

QUIETEST = next(one for one in BEATS if one.id == "hush")  # two grounds, of which none is strong


def beat_of(character: Character, seed: int, without: frozenset[str] = frozenset()) -> Beat:
    """The rhythm of a brand: as loud as it is, and else as its name has it; on none of some grounds, where that can be had."""
    loud = character.quiet_loud
    fitting = [one for one in BEATS if loud is None or abs(one.loud - loud) <= 1]
    clear = [one for one in fitting if not one.stands_on() & without] or [one for one in BEATS if not one.stands_on() & without]
    chosen = clear or fitting
    return chosen[seed % len(chosen)]


def in_proportion(
    stated: Mapping[str, float], identity: Identity, system: System, without: frozenset[str], seed: int
) -> Beat | None:
    """The rhythm whose grounds come nearest to the proportions that a guideline states, in percent by brand colour; None where it
    states none. A ground counts for the brand colour that it has, or is nearest to."""
    whole = sum(stated.values())
    clear = [one for one in BEATS if not one.stands_on() & without] or list(BEATS)
    if not whole:
        return None
    own = {one.id: rgb_to_lab(one.parsed.rgb) for one in identity.colors}

    def of(ground: str) -> str:
        lab = rgb_to_lab(from_hex(system.css(f"ground/{ground}/background")))
        return min(own, key=lambda color: (delta_e_2000(own[color], lab), color))

    def apart(beat: Beat) -> float:
        areas = defaultdict[str, float](float)
        areas[of("navigation")] += _HEADER
        areas[of("footer")] += _FOOTER
        for index, ground in enumerate(grounds(beat.rhythm, _SECTIONS, True)):
            areas[of(ground)] += _OPENING if index == 0 else 1.0
        total = sum(areas.values())
        return sum(abs(areas[color] / total - stated.get(color, 0.0) / whole) for color in own)

    nearest = min(map(apart, clear))
    best = [one for one in clear if apart(one) <= nearest + 0.02]
    return best[seed % len(best)]


def unreadable(system: System) -> frozenset[str]:
    """The grounds on which something that stands there cannot be read, as the system says itself."""
    return frozenset(conflict.ground for conflict in system.conflicts if conflict.ground)


def grounds(rhythm: Rhythm, count: int, home: bool) -> list[SectionGround]:
    """The grounds of a page of so many sections. Unlike a rhythm as it is set, it never has two strong grounds, nor the same ground
    twice, in succession."""
    made = [rhythm.ground(index, count, home) for index in range(count)]
    for index in range(1, count):
        before, last = made[index - 1], index == count - 1
        if made[index] in STRONG and before in STRONG:
            if last and index > 1:
                made[index - 1] = "paper" if made[index - 2] == "tint" else "tint"
            else:
                made[index] = "paper"
        elif made[index] == before:
            made[index] = "tint" if before == "paper" else "paper"
    return made
