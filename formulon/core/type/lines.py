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
    text = collapsed(text)
    if not text:
        return ()
    lines: list[str] = []
    line = ""
    for piece in pieces(text, language):
        trial = line + piece
        if text_width(family_id, weight, trial.rstrip(), size, tracking) <= width:
            line = trial
            continue
        if line:
            lines.append(line.rstrip())
        line = piece
        # overflow-wrap: break-word: a piece that is wider than the box breaks between its characters.
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
    parts = pieces(collapsed(text), language)
    if not 1 < len(whole) <= MOST_BALANCED or any(
        text_width(family_id, weight, part.rstrip(), size, tracking) > width for part in parts
    ):
        return whole
    best: list[tuple[float, int]] = [(0.0, 0)]  # by how many pieces are set: the least sum, and where its last line begins
    for end in range(1, len(parts) + 1):
        tried = []
        for start in range(end - 1, -1, -1):
            wide = text_width(family_id, weight, "".join(parts[start:end]).rstrip(), size, tracking)
            if wide > width:
                break
            tried.append((best[start][0] + (width - wide) ** 2, start))
        best.append(min(tried))
    lines: list[str] = []
    end = len(parts)
    while end:
        start = best[end][1]
        lines.append("".join(parts[start:end]).rstrip())
        end = start
    return tuple(reversed(lines))


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
