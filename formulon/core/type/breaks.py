"""Where a line may be broken, as Chromium has it: a table of pairs for ASCII, and ICU (UAX #14) where another letter is beside.

The table was read off Chromium 156 with every pair of printable characters between two letters in a box without width; the
browser test reads it again. It is no part of a standard: UAX #14 would break after a slash, browsers do not.
"""

import re
from functools import lru_cache

import icu

SOFT_HYPHEN, NO_BREAK_SPACE = "\u00ad", "\u00a0"
_OPENING = frozenset("(<[{")
_BEFORE_OPENING = frozenset('!"#%&)*+,.:;=>\\]|}~')
# After a hyphen or a question mark lines break, but not before what closes or ends something.
_NOT_AFTER_HYPHEN = frozenset("!$),./:;?]}")
_NOT_AFTER_QUESTION = frozenset("!\"'),./:;?]}")
_LONG = re.compile(r"\S{16,}")  # from so many characters on a word with slashes may be wider than a phone
_AFTER_AT = re.compile(r"(?<=\w@)(?=\w)")
_IN_ADDRESS = re.compile(r"(?<=\w[@./_=&])(?=\w)|(?<=://)(?=\w)")
_NO_LETTERS = re.compile(r"(?:[\d_]|[^\w\s\u00ad]){15,}")
_IN_LONG_ADDRESS = re.compile(r"\w{20,}")
_PIECE = 6
_AFTER_SLASH = re.compile(r"(?<=\w/)(?=\w)")
_SPACES = frozenset(" \t\n\r\f")


def _between(before: str, first: str, second: str) -> bool:
    """Whether Chromium breaks a line between two printable ASCII characters; `before` stands in front of them."""
    if first == "-":
        if second.isdigit():  # a minus stays at its number, a hyphen in “ABC-123” does not
            return before.isascii() and before.isalnum()
        return second not in _NOT_AFTER_HYPHEN
    if first == "?":
        return second not in _NOT_AFTER_QUESTION
    return second in _OPENING and first in _BEFORE_OPENING


def own_places(text: str) -> list[int]:
    """Where pages write <wbr>: after the @ of an address; in long addresses after full stops, slashes and the like, too; after
    the slashes of long words; and every six characters in long numbers, rows of signs and names within addresses, in which no
    hyphen may stand. What is left of long words has soft hyphens; see hyphens.py."""
    made = {found.start() for found in _AFTER_AT.finditer(text)}
    for long in _LONG.finditer(text):
        address = "@" in long[0] or "://" in long[0] or long[0].startswith("www.")
        pattern = _IN_ADDRESS if address else _AFTER_SLASH
        made |= {long.start() + found.start() for found in pattern.finditer(long[0])}
        for run in _IN_LONG_ADDRESS.finditer(long[0]) if address else _NO_LETTERS.finditer(long[0]):
            made |= set(range(long.start() + run.start() + _PIECE, long.start() + run.end(), _PIECE))
    return sorted(made)


def between_words(text: str, mark: str) -> str:
    """The text with a mark at each of its own_places."""
    ends = own_places(text) if len(text) > 3 else []
    return mark.join(text[start:end] for start, end in zip([0, *ends], [*ends, len(text)], strict=True)) if ends else text


@lru_cache(maxsize=16384)
def opportunities(text: str, language: str = "en") -> tuple[int, ...]:
    """The places, as numbers of characters before them, at which a line of a collapsed text may be broken: between words; by
    the table and ICU within them; and at own_places."""
    by_icu = _by_icu(text, language) if not text.isascii() else frozenset()
    made = own_places(text) if len(text) > 3 else []
    for index in range(1, len(text)):
        first, second = text[index - 1], text[index]
        if second in _SPACES:
            continue
        if first in _SPACES:
            made.append(index)
        elif first.isascii() and second.isascii():
            if _between(text[index - 2] if index > 1 else "", first, second):
                made.append(index)
        elif NO_BREAK_SPACE not in (first, second) and index in by_icu:
            made.append(index)
    return tuple(sorted(set(made)))


def _by_icu(text: str, language: str) -> frozenset[int]:
    breaker = icu.BreakIterator.createLineInstance(icu.Locale.forLanguageTag(language))
    return frozenset(_places(breaker, text))


@lru_cache(maxsize=4096)
def clusters(text: str) -> tuple[str, ...]:
    """The text in what is read as one character each (UAX #29), which no line break divides."""
    ends = _places(icu.BreakIterator.createCharacterInstance(icu.Locale("en")), text)
    return tuple(text[start:end] for start, end in zip([0, *ends], ends, strict=False))


def _places(breaker: icu.BreakIterator, text: str) -> list[int]:
    breaker.setText(text)
    ends = list(breaker)
    if len(text) < (ends or [0])[-1]:  # ICU counts in units of UTF-16
        places = [index for index, char in enumerate(text) for _ in range(1 + (char > "\uffff"))]
        ends = [*(places[end] for end in ends[:-1]), len(text)]
    return ends
