"""Emphasis in a text: *words* that are stressed and **words** that are strong, as CommonMark 0.31 writes them (its section 6.2,
of which this takes the asterisks, without nesting).

For measuring, what is emphasised is written in planes of private use, letter by letter, so that a text stays one string whose
parts know how they are drawn, wherever it is cut. Spaces and punctuation stay as they are, so lines break where they did.
"""

import re
from collections.abc import Iterator
from functools import lru_cache
from typing import Literal

Style = Literal["", "em", "strong"]
STRONG_WEIGHT = 700
_MARKED = re.compile(r"(?<![\w*])(\*\*?)(?=[^\s*])([^*\n]+?)(?<=[^\s*])\1(?![\w*])")
_PLANES: dict[str, int] = {"em": 0xF0000, "strong": 0x100000}
_MOST = 0xFFF0  # letters beyond do not fit a plane; none of them is in the library


def parts(text: str) -> Iterator[tuple[Style, str]]:
    """The text in parts, each with its style, without the marks."""
    last = 0
    for found in _MARKED.finditer(text):
        if found.start() > last:
            yield "", text[last : found.start()]
        yield "strong" if found[1] == "**" else "em", found[2]
        last = found.end()
    if last < len(text):
        yield "", text[last:]


def plain(text: str) -> str:
    """The text without the marks."""
    return "".join(part for _, part in parts(text)) if "*" in text else text


def marked(text: str, style: Style) -> str:
    """A part with its marks."""
    mark = {"": "", "em": "*", "strong": "**"}[style]
    return f"{mark}{text}{mark}"


def styles(text: str) -> frozenset[Style]:
    """The styles that a text uses besides its own."""
    return frozenset(style for style, _ in parts(text) if style) if "*" in text else frozenset()


@lru_cache(maxsize=8192)
def encoded(text: str) -> str:
    """The text for measuring. Its length is that of the plain one."""
    if "*" not in text:
        return text
    return "".join(_moved(part, _PLANES[style]) if style else part for style, part in parts(text))


def _moved(text: str, plane: int) -> str:
    return "".join(chr(plane + ord(char)) if char.isalnum() and ord(char) < _MOST else char for char in text)


def is_encoded(text: str) -> bool:
    return any(char >= "\U000f0000" for char in text)


def runs(text: str) -> list[tuple[Style, str]]:
    """The runs of an encoded text that are drawn alike. What stands between two letters of a style is drawn in it, too."""
    made: list[tuple[Style, str]] = []
    between = ""
    for char in text:
        code = ord(char)
        style: Style = "strong" if code >= _PLANES["strong"] else "em" if code >= _PLANES["em"] else ""
        if not style and not char.isalnum() and made and made[-1][0]:
            between += char
            continue
        own = chr(code - _PLANES[style]) if style else char
        if made and made[-1][0] == style:
            made[-1] = style, made[-1][1] + between + own
        else:
            if between:
                made.append(("", between))
            if made and made[-1][0] == style:
                made[-1] = style, made[-1][1] + own
            else:
                made.append((style, own))
        between = ""
    if between:
        made.append(("", between))
    return made


def decoded(text: str) -> str:
    """An encoded text as it is read."""
    return "".join(part for _, part in runs(text)) if is_encoded(text) else text
