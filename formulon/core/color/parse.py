"""Reading colours as people type and paste them: any CSS Color 4 form, alone or several with names."""

import re
from dataclasses import dataclass
from functools import lru_cache

from coloraide import Color as _Color

from formulon.core.color.srgb import RGB, eight_bit, from_hex, to_hex
from formulon.core.errors import ColorError


@dataclass(frozen=True, slots=True)
class ParsedColor:
    """A colour as written, and its final eight-bit sRGB value."""

    source: str
    rgb: RGB
    mapped: bool  # the colour lies outside sRGB; rgb is its nearest by chroma reduction in OKLCH

    @property
    def hex(self) -> str:
        return to_hex(self.rgb)


_FAR = 10_000  # no coordinate of a colour space that CSS knows goes as far
_MOST_NAME = 60  # characters; those of a brand's colour


@lru_cache(maxsize=4096)
def parse_color(text: str) -> ParsedColor:
    """The colour that a CSS colour text stands for. Raises ColorError for anything else, and for see-through ones. Kept, as
    to bring a wide colour into sRGB takes milliseconds."""
    source = text.strip()
    if re.fullmatch(r"#[0-9a-fA-F]{6}", source):
        return ParsedColor(source, from_hex(source), mapped=False)
    bare = re.fullmatch(r"[0-9a-fA-F]{6}", source)
    try:
        color = _Color("#" + source if bare else source)
    except (ValueError, TypeError) as error:
        raise ColorError(
            f"“{source[:60]}” is not a colour. Write it as CSS does, for example #1B2147, rgb(27 33 71) or navy."
        ) from error
    if not all(abs(value) <= _FAR for value in color.coords(nans=False)):  # also where one is infinite
        raise ColorError(
            f"“{source[:60]}” lies beyond every colour that can be shown or printed. Look for a slip in its numbers."
        )
    if color.alpha(nans=False) < 1:
        raise ColorError(f"“{source[:60]}” is see-through. A brand colour is opaque: leave its transparency out.")
    inside = color.convert("srgb").in_gamut(tolerance=0.0005)
    srgb = color.convert("srgb") if inside else color.fit("srgb", method="oklch-chroma").convert("srgb")
    return ParsedColor(source=source, rgb=eight_bit(srgb.coords(nans=False)), mapped=not inside)


_COLOR_TEXT = re.compile(r"#[0-9a-fA-F]+\b|(?:rgba?|hsla?|hwb|lab|lch|oklab|oklch|color)\([^()]*\)", re.IGNORECASE)
_TRIM = " \t:=–—-,;|•*\"'"


@dataclass(frozen=True, slots=True)
class NamedColor:
    """One line of a pasted list: a name (may be empty), the colour as written and its eight-bit value."""

    name: str
    value: str
    hex: str


def parse_list(text: str) -> tuple[list[NamedColor], list[str]]:
    """The colours of a pasted text and the lines that hold none, with the reason.

    One colour a line with an optional name on either side ("Night #1B2147", "#1B2147 Night", "Night: navy"), or
    several on a line separated by commas, semicolons or spaces. CSS named colours are read as the last word.
    """
    colors: list[NamedColor] = []
    problems: list[str] = []
    for line in filter(None, (line.strip() for line in text.splitlines())):
        found = list(_COLOR_TEXT.finditer(line))
        try:
            if found:
                colors += _named(line, found)
            else:
                colors += [_word(part) for part in filter(None, re.split(r"[,;]\s*", line))]
            long = next((one for one in colors if len(one.name) > _MOST_NAME), None)
            if long:
                colors.remove(long)
                raise ColorError(
                    f"The name “{long.name[:30]}…” of {long.value} has {len(long.name)} characters; {_MOST_NAME} are the most. "
                    "Shorten it."
                )
        except ColorError as error:
            problems.append(str(error))
    return colors, problems


def _named(line: str, found: list[re.Match[str]]) -> list[NamedColor]:
    leading = bool(line[: found[0].start()].strip(_TRIM))
    result = []
    for index, match in enumerate(found):
        before = line[found[index - 1].end() if index else 0 : match.start()]
        after = line[match.end() : found[index + 1].start() if index + 1 < len(found) else len(line)]
        parsed = parse_color(match[0])
        result.append(NamedColor((before if leading else after).strip(_TRIM), match[0], parsed.hex))
    return result


def _word(part: str) -> NamedColor:
    name, _, last = part.strip(_TRIM).rpartition(" ")
    parsed = parse_color(last)
    return NamedColor(name.strip(_TRIM), last, parsed.hex)
