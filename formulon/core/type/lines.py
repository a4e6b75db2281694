"""Line breaking: how many lines a text takes in a box, by shaped widths and UAX #14 opportunities (ICU)."""

import re
from functools import lru_cache

import icu

from formulon.core.type.shaping import advance, collapsed

_AFTER_AT = re.compile(r"(?<=\w@)(?=\w)")
MOST_BALANCED = 6  # lines of a text that Chromium balances


@lru_cache(maxsize=16384)
def pieces(text: str, language: str = "en") -> tuple[str, ...]:
    """The text cut at every opportunity to break a line, spaces staying at the ends. Source: UAX #14; and after the @ of an
    address, where pages write <wbr>, so that a long one is not broken in the middle of a word."""
    breaker = icu.BreakIterator.createLineInstance(icu.Locale(language))
    breaker.setText(text)
    ends = list(breaker)
    if len(text) < (ends or [0])[-1]:  # ICU counts in units of UTF-16
        places = [index for index, char in enumerate(text) for _ in range(1 + (char > "\uffff"))]
        ends = [*(places[end] for end in ends[:-1]), len(text)]
    made = (text[start:end] for start, end in zip([0, *ends], ends, strict=False))
    return tuple(part for piece in made for part in (_AFTER_AT.split(piece) if "@" in piece[:-1] else [piece]))


@lru_cache(maxsize=65536)
def line_count(
    family_id: str, weight: int, text: str, size: float, width: float, tracking: float = 0.0, language: str = "en"
) -> int:
    """How many lines `broken` makes of a text."""
    return len(broken(family_id, weight, text, size, width, tracking, language))


def broken(
    family_id: str, weight: int, text: str, size: float, width: float, tracking: float = 0.0, language: str = "en"
) -> tuple[str, ...]:
    """The lines of a text of `size` px in a box of `width` px, broken greedily as browsers do; `tracking` is in em."""
    spans = _spans(family_id, weight, collapsed(text), language)
    count = len(spans.parts)
    if any(spans.width(index, index + 1, size, tracking) > width for index in range(count)):
        return _torn(family_id, weight, spans.parts, size, width, tracking)
    lines: list[str] = []
    start = 0
    for end in range(2, count + 1):
        if spans.width(start, end, size, tracking) > width:
            lines.append(spans.text(start, end - 1))
            start = end - 1
    return (*lines, spans.text(start, count)) if count else ()


def _torn(family_id: str, weight: int, parts: tuple[str, ...], size: float, width: float, tracking: float) -> tuple[str, ...]:
    """The lines where a piece is wider than the box: it breaks between its characters (overflow-wrap: break-word)."""
    lines: list[str] = []
    line = ""
    for piece in parts:
        trial = line + piece
        if text_width(family_id, weight, trial.rstrip(), size, tracking) <= width:
            line = trial
            continue
        if line:
            lines.append(line.rstrip())
        line = piece
        while len(line) > 1 and text_width(family_id, weight, line.rstrip(), size, tracking) > width:
            fits = _fitting(family_id, weight, line, size, width, tracking)
            lines.append(line[:fits])
            line = line[fits:]
    return (*lines, line.rstrip())


@lru_cache(maxsize=4096)
def balanced(
    family_id: str, weight: int, text: str, size: float, width: float, tracking: float = 0.0, language: str = "en"
) -> tuple[str, ...]:
    """The lines of a text under `text-wrap: balance` (CSS Text 4, 6.3): as many as in the whole box, with the least sum of
    squares of the room that is left on them. So Chromium does it, up to MOST_BALANCED lines (read off its layout, see the
    browser test); longer texts are broken greedily."""
    whole = broken(family_id, weight, text, size, width, tracking, language)
    spans = _spans(family_id, weight, collapsed(text), language)
    count = len(spans.parts)
    if not 1 < len(whole) <= MOST_BALANCED or any(spans.width(n, n + 1, size, tracking) > width for n in range(count)):
        return whole
    best: list[tuple[float, int]] = [(0.0, 0)]  # by how many pieces are set: the least sum, and where its last line begins
    for end in range(1, count + 1):
        tried = []
        for start in range(end - 1, -1, -1):
            wide = spans.width(start, end, size, tracking)
            if wide > width:
                break
            tried.append((best[start][0] + (width - wide) ** 2, start))
        best.append(min(tried))
    lines: list[str] = []
    end = count
    while end:
        start = best[end][1]
        lines.append(spans.text(start, end))
        end = start
    return tuple(reversed(lines))


class _Spans:
    """A text in its pieces, with the widths of what runs from one to another. In em they are the same at every size."""

    def __init__(self, family_id: str, weight: int, parts: tuple[str, ...]) -> None:
        self.family, self.weight, self.parts = family_id, weight, parts
        self.known: dict[tuple[int, int], tuple[float, int]] = {}

    def text(self, start: int, end: int) -> str:
        return "".join(self.parts[start:end]).rstrip()

    def width(self, start: int, end: int, size: float, tracking: float) -> float:
        """Width in px of the pieces from `start` to before `end` on one line."""
        found = self.known.get((start, end))
        if found is None:
            text = self.text(start, end)
            found = self.known[start, end] = advance(self.family, self.weight, text), len(text)
        return size * (found[0] + tracking * found[1])


@lru_cache(maxsize=8192)
def _spans(family_id: str, weight: int, text: str, language: str) -> _Spans:
    return _Spans(family_id, weight, pieces(text, language))


def _fitting(family_id: str, weight: int, text: str, size: float, width: float, tracking: float) -> int:
    """How many characters of a text fit a box, at least one."""
    count = 1
    while count < len(text) and text_width(family_id, weight, text[: count + 1], size, tracking) <= width:
        count += 1
    return count


def text_width(family_id: str, weight: int, text: str, size: float, tracking: float = 0.0) -> float:
    """Width in px of a text on one line."""
    return size * (advance(family_id, weight, text) + tracking * len(text))


def widest_piece(family_id: str, weight: int, text: str, size: float, tracking: float = 0.0, language: str = "en") -> float:
    """Width in px of the longest unbreakable part of a text."""
    parts = pieces(collapsed(text), language) or ("",)
    return max(text_width(family_id, weight, part.rstrip(), size, tracking) for part in parts)
