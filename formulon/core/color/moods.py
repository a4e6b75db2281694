"""Colours from words: a small vocabulary of moods, each a region of OKLCH (common practice), and seeded proposals.

A word gives ranges of lightness, chroma and hue; several words meet in the middle of theirs. Words that are not known
are named, so that nobody takes a proposal for what it is not.
"""

import random
import re
from dataclasses import dataclass

from formulon.core.color.oklab_scalar import rgb_of
from formulon.core.color.srgb import RGB

Range = tuple[float, float]


@dataclass(frozen=True, slots=True)
class Mood:
    """Ranges of OKLCH: lightness 0–1, chroma 0–0.33, hue in degrees, which may pass 360."""

    lightness: Range
    chroma: Range
    hue: Range | None = None


MOODS: dict[str, Mood] = {
    "airy": Mood((0.80, 0.95), (0.02, 0.07), (190, 250)),
    "autumnal": Mood((0.40, 0.70), (0.09, 0.16), (35, 80)),
    "bold": Mood((0.45, 0.65), (0.18, 0.28)),
    "bright": Mood((0.70, 0.88), (0.14, 0.24)),
    "calm": Mood((0.55, 0.80), (0.03, 0.08)),
    "classic": Mood((0.28, 0.50), (0.05, 0.12)),
    "clean": Mood((0.75, 0.95), (0.02, 0.08), (200, 260)),
    "cold": Mood((0.50, 0.80), (0.04, 0.12), (210, 270)),
    "cool": Mood((0.45, 0.75), (0.05, 0.13), (190, 280)),
    "cosy": Mood((0.45, 0.70), (0.07, 0.14), (25, 75)),
    "dark": Mood((0.15, 0.35), (0.03, 0.10)),
    "deep": Mood((0.22, 0.40), (0.08, 0.16)),
    "dusty": Mood((0.55, 0.75), (0.03, 0.07)),
    "earthy": Mood((0.35, 0.62), (0.05, 0.11), (40, 110)),
    "elegant": Mood((0.25, 0.45), (0.03, 0.09)),
    "energetic": Mood((0.58, 0.75), (0.17, 0.26), (15, 70)),
    "festive": Mood((0.45, 0.70), (0.16, 0.25), (350, 410)),
    "fresh": Mood((0.65, 0.85), (0.11, 0.19), (125, 180)),
    "gentle": Mood((0.72, 0.90), (0.03, 0.08)),
    "grand": Mood((0.25, 0.45), (0.10, 0.18), (280, 350)),
    "hopeful": Mood((0.70, 0.88), (0.09, 0.16), (80, 200)),
    "icy": Mood((0.82, 0.95), (0.02, 0.06), (200, 250)),
    "joyful": Mood((0.68, 0.86), (0.14, 0.21), (50, 105)),
    "lively": Mood((0.60, 0.78), (0.15, 0.24)),
    "mossy": Mood((0.38, 0.58), (0.06, 0.11), (110, 150)),
    "muted": Mood((0.45, 0.70), (0.02, 0.06)),
    "natural": Mood((0.45, 0.72), (0.05, 0.11), (90, 150)),
    "playful": Mood((0.65, 0.82), (0.14, 0.22)),
    "quiet": Mood((0.60, 0.85), (0.01, 0.05)),
    "rich": Mood((0.35, 0.52), (0.13, 0.21)),
    "romantic": Mood((0.60, 0.82), (0.07, 0.15), (340, 390)),
    "rustic": Mood((0.40, 0.62), (0.06, 0.12), (35, 85)),
    "sandy": Mood((0.75, 0.90), (0.03, 0.07), (70, 95)),
    "serious": Mood((0.25, 0.42), (0.03, 0.09), (230, 290)),
    "sober": Mood((0.30, 0.50), (0.01, 0.05)),
    "soft": Mood((0.72, 0.90), (0.04, 0.09)),
    "stormy": Mood((0.30, 0.55), (0.02, 0.07), (220, 280)),
    "sunny": Mood((0.80, 0.92), (0.12, 0.18), (75, 105)),
    "warm": Mood((0.55, 0.78), (0.09, 0.17), (25, 85)),
    "watery": Mood((0.55, 0.80), (0.06, 0.12), (190, 235)),
    "wild": Mood((0.40, 0.65), (0.14, 0.24)),
    "wintry": Mood((0.60, 0.90), (0.01, 0.05), (210, 270)),
}
COUNT = 5


@dataclass(frozen=True, slots=True)
class MoodColors:
    """Colours proposed for words; `known` are the words that it rests on, `unknown` those that say nothing to it."""

    colors: list[RGB]
    known: list[str]
    unknown: list[str]


def known_moods(text: str) -> list[str]:
    """The words of a text that are moods, each once."""
    return [word for word in dict.fromkeys(re.findall(r"[a-z]+", text.lower())) if word in MOODS]


def propose(text: str, seed: int = 0) -> MoodColors:
    """Five colours for words such as “stormy” or “cool and calm”, the same for the same words and seed: from the darkest
    of the moods to the lightest, hues spread over theirs. No colours where no word is known."""
    words = [
        word for word in re.findall(r"[a-z]+", text.lower()) if word not in ("and", "but", "or", "a", "the", "very", "with")
    ]
    known = known_moods(text)
    unknown = [word for word in dict.fromkeys(words) if word not in MOODS]
    if not known:
        return MoodColors([], [], unknown)
    moods = [MOODS[word] for word in known]
    lightness, chroma = middle([m.lightness for m in moods]), middle([m.chroma for m in moods])
    hues = [m.hue for m in moods if m.hue]
    dice = random.Random(f"{' '.join(known)} {seed}")
    start = dice.uniform(0, 360)
    hue = middle_hue(hues) if hues else (start, start + 120)
    colors = []
    for index in range(COUNT):
        share = index / (COUNT - 1)
        at = lightness[0] + (lightness[1] - lightness[0]) * min(1, max(0, share + dice.uniform(-0.08, 0.08)))
        spread = dice.uniform(*hue) % 360
        colors.append(rgb_of(at, dice.uniform(*chroma), spread))
    return MoodColors(colors, known, unknown)


def middle(ranges: list[Range]) -> Range:
    """The range between the means of the ends."""
    return sum(low for low, _ in ranges) / len(ranges), sum(high for _, high in ranges) / len(ranges)


def middle_hue(ranges: list[Range]) -> Range:
    """As `_middle`, with every range turned next to the first."""
    first = sum(ranges[0]) / 2
    turned = []
    for low, high in ranges:
        shift = round((first - (low + high) / 2) / 360) * 360
        turned.append((low + shift, high + shift))
    return middle(turned)
