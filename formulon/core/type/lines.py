"""Line breaking: how many lines a text takes in a box, by shaped widths and UAX #14 opportunities (ICU)."""

from functools import lru_cache

import icu

from formulon.core.type.shaping import advance, collapsed

MOST_BALANCED = 6  # lines of a text that Chromium balances


@lru_cache(maxsize=16384)
def pieces(text: str, language: str = "en") -> tuple[str, ...]:
    """The text cut at every opportunity to break a line, spaces staying at the ends. Source: UAX #14."""
    breaker = icu.BreakIterator.createLineInstance(icu.Locale(language))
    breaker.setText(text)
    ends = list(breaker)
    return tuple(text[start:end] for start, end in zip([0, *ends], ends, strict=False))


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
    """The lines of a text under `text-wrap: balance` (CSS Text 4, 6.3): as many as in the whole box, broken in the
    narrowest box, to a px, that still holds that many. From MOST_BALANCED lines on browsers break greedily."""
    whole = broken(family_id, weight, text, size, width, tracking, language)
    if not 1 < len(whole) <= MOST_BALANCED:
        return whole
    low, high = width / len(whole) * 0.5, width
    while high - low > 1:
        middle = (low + high) / 2
        if len(broken(family_id, weight, text, size, middle, tracking, language)) > len(whole):
            low = middle
        else:
            high = middle
    return broken(family_id, weight, text, size, high, tracking, language)


def _fitting(family_id: str, weight: int, text: str, size: float, width: float, tracking: float) -> int:
    """How many characters of a text fit a box, at least one."""
    count = 1
    while count < len(text) and text_width(family_id, weight, text[: count + 1], size, tracking) <= width:
        count += 1
    return count


def text_width(family_id: str, weight: int, text: str, size: float, tracking: float = 0.0) -> float:
    """Width in px of a text on one line."""
    return size * (advance(family_id, weight, text) + tracking * len(text))


def widest_piece(family_id: str, weight: int, text: str, size: float, tracking: float = 0.0) -> float:
    """Width in px of the longest unbreakable part of a text."""
    parts = pieces(collapsed(text)) or ("",)
    return max(text_width(family_id, weight, part.rstrip(), size, tracking) for part in parts)
