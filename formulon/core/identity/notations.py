"""Colour values in running text, in every notation usual in guidelines: hex, RGB, HSL, CMYK, Lab, spot names."""

import colorsys
import re
from dataclasses import dataclass, field

from formulon.core.color.difference import difference
from formulon.core.color.printing import cmyk_to_rgb, lab_to_rgb
from formulon.core.color.srgb import eight_bit, from_hex
from formulon.core.identity.sightings import css_hex

_N = r"(\d{1,3}(?:\.\d+|,\d(?!\d))?(?!\d))\s*%?"
_SEP = r"\s*[,/|·•:;]?\s*"
_FOUR = _SEP.join([_N] * 4)
_THREE = _SEP.join([_N] * 3)
_SIGNED = r"([+−-]?\d{1,3}(?:\.\d+)?)"

_HEX = re.compile(r"(?<![\w#&])#([0-9a-fA-F]{6}|[0-9a-fA-F]{3})\b|\bhex\s*[:=]?\s*#?([0-9a-fA-F]{6})\b", re.IGNORECASE)
_RGB = re.compile(rf"\brgb\s*[:(=]?\s*{_THREE}", re.IGNORECASE)
_RGB_LETTERS = re.compile(rf"\bR\s*[:=]?\s*{_N}{_SEP}G\s*[:=]?\s*{_N}{_SEP}B\s*[:=]?\s*{_N}")
_HSL = re.compile(rf"\bhsl\s*[:(=]?\s*(\d{{1,3}}(?:\.\d+)?)\s*(?:°|deg)?{_SEP}{_N}{_SEP}{_N}", re.IGNORECASE)
# Inks by their letters and names in the languages whose guidelines are read: Y is J for jaune, K is N for noir.
_INKS = ("c(?:yan)?", "m(?:agenta)?", "y(?:ellow)?|j(?:aune)?|gelb", "k(?:ey)?|n(?:oir)?|black|schwarz")
_DASHED = _SEP.replace(":;", ":;–-").join([_N] * 4)
_PRINTED = (
    re.compile(rf"\b(?:cmyk|4c)\s*[):(=]*\s*(?:{_FOUR}|{_DASHED})\)?", re.IGNORECASE),
    re.compile(rf"(?<![\w.,]){_FOUR}\s*\(?cmyk\b\)?", re.IGNORECASE),
    re.compile(r"(?<![\w])" + _SEP.join(rf"(?:{ink})\s*[:=]?\s*{_N}" for ink in _INKS) + r"(?![\w])", re.IGNORECASE),
    re.compile(r"(?<![\w.,])" + _SEP.join(rf"{_N}\s*(?:{ink})(?![^\W\d_])" for ink in _INKS), re.IGNORECASE),
)
_LAB = re.compile(rf"\b(?:cie\s*)?l\*?a\*?b\*?\s*[:(=]?\s*{_SIGNED}{_SEP}{_SIGNED}{_SEP}{_SIGNED}", re.IGNORECASE)
_SPOT = re.compile(r"\b(?:spot(?: colou?r| ink)?|special colou?r)\s*[:=]?\s*([\w][\w +./-]{1,38}\w)", re.IGNORECASE)


@dataclass(slots=True)
class Notation:
    """One value as found: `screen` where it states a screen colour, `hex` in any case, and where in the text it lies."""

    value: str
    hex: str | None
    start: int
    end: int
    screen: bool
    print: str = ""


@dataclass(slots=True)
class Stated:
    """A colour out of a block of text that states it in one or more notations."""

    hex: str
    value: str
    screen: bool
    prints: list[str] = field(default_factory=list)
    start: int = 0
    end: int = 0
    note: str = ""


def _number(text: str) -> float:
    return float(text.replace(",", ".").replace("−", "-"))


def notations(text: str) -> list[Notation]:
    """Every colour value of a text, in order."""
    found: list[Notation] = []

    def add(match: re.Match[str], hexa: str | None, screen: bool, printed: str = "") -> None:
        if not any(match.start() < other.end and other.start < match.end() for other in found):
            found.append(Notation(" ".join(match[0].split()), hexa, match.start(), match.end(), screen, printed))

    for pattern in _PRINTED:
        for match in pattern.finditer(text):
            inks = [_number(part) for part in match.groups() if part]
            if len(inks) == 4 and max(inks) <= 100:
                add(match, css_hex(cmyk_to_rgb(*inks)), False, "CMYK " + " ".join(f"{ink:g}" for ink in inks))
    for match in _HEX.finditer(text):
        digits = match[1] or match[2]
        if len(digits) == 3:
            digits = "".join(2 * digit for digit in digits)
        add(match, f"#{digits.upper()}", True)
    for pattern in (_RGB, _RGB_LETTERS):
        for match in pattern.finditer(text):
            parts = [_number(part) for part in match.groups()]
            scale = 2.55 if "%" in match[0] else 1.0
            if max(parts) * scale <= 255.5:
                add(match, css_hex(eight_bit(part * scale / 255 for part in parts)), True)
    for match in _HSL.finditer(text):
        hue, saturation, lightness = (_number(part) for part in match.groups())
        if hue <= 360 and saturation <= 100 and lightness <= 100:
            rgb = colorsys.hls_to_rgb(hue / 360, lightness / 100, saturation / 100)
            add(match, css_hex(eight_bit(rgb)), True)
    for match in _LAB.finditer(text):
        lightness, a, b = (_number(part) for part in match.groups())
        if 0 <= lightness <= 100 and abs(a) <= 128 and abs(b) <= 128:
            add(match, css_hex(lab_to_rgb(lightness, a, b)), False, f"Lab {lightness:g} {a:g} {b:g}")
    for match in _SPOT.finditer(text):
        add(match, None, False, f"spot {match[1].strip()}")
    return sorted(found, key=lambda one: one.start)


# How exact a notation is as a statement of the screen colour.
_RANK = ("#", "hex", "rgb", "r", "hsl")


def _rank(one: Notation) -> int:
    start = one.value.lower()
    return next((index for index, prefix in enumerate(_RANK) if start.startswith(prefix)), len(_RANK))


def stated(text: str) -> list[Stated]:
    """The colours that a block of text states. Notations of one colour that stand together are joined: the stated
    screen value wins, print values are kept with it."""
    found = notations(text)
    groups: list[list[Notation]] = []
    for one in found:
        kinds = {_kind(other) for other in groups[-1]} if groups else set()
        together = groups and _kind(one) not in kinds and one.start - groups[-1][-1].end < 60
        if together:
            groups[-1].append(one)
        else:
            groups.append([one])
    made: list[Stated] = []
    for group in groups:
        screen = sorted((one for one in group if one.screen), key=_rank)
        other = [one for one in group if not one.screen and one.hex]
        best = screen[0] if screen else other[0] if other else None
        if best is None or best.hex is None:
            continue
        differing = [one.value for one in screen[1:] if one.hex != best.hex and not _rounded(one, best)]
        notes = [f"The source also says {', '.join(differing)}, which is another colour."] if differing else []
        if best.screen:
            notes += [note for one in other if (note := _cross_checked(best.hex, one))]
        prints = [one.print for one in group if one.print]
        made.append(Stated(best.hex, best.value, best.screen, prints, group[0].start, group[-1].end, " ".join(notes)))
    return made


# Print and screen hardly ever look the same; beyond this (ΔE2000) one of the two values is likely a mistake.
PRINT_FAR = 12.0


def _cross_checked(hexa: str, printed: Notation) -> str:
    """A sentence where a print value lies far from the stated screen value."""
    far = difference(from_hex(hexa), from_hex(printed.hex or hexa))
    if far <= PRINT_FAR:
        return ""
    return f"Its print value {printed.value} looks like {printed.hex} on screen, ΔE {far:.1f} from it: one of the two may be a mistake."


def _kind(one: Notation) -> str:
    if one.print:
        return one.print.split(" ")[0]
    return ("hex", "hex", "rgb", "rgb", "hsl")[_rank(one)] if one.screen else "other"


def _rounded(one: Notation, best: Notation) -> bool:
    """HSL in whole numbers cannot tell neighbouring colours apart."""
    if not one.value.lower().startswith("hsl") or not one.hex or not best.hex:
        return False
    pairs = zip(bytes.fromhex(one.hex[1:]), bytes.fromhex(best.hex[1:]), strict=True)
    return all(abs(a - b) <= 4 for a, b in pairs)
