"""Line breaking: how many lines a text takes in a box, by shaped widths and the places where Chromium breaks lines."""

from functools import lru_cache

from formulon.core.type.breaks import SOFT_HYPHEN, clusters, opportunities
from formulon.core.type.emphasis import decoded, is_encoded
from formulon.core.type.library import Family
from formulon.core.type.shaping import advance, collapsed, known

MOST_BALANCED = 6  # lines of a text that Chromium balances


@lru_cache(maxsize=16384)
def pieces(text: str, language: str = "en") -> tuple[str, ...]:
    """The text cut at every opportunity to break a line (see breaks.py), spaces staying at the ends."""
    ends = (*opportunities(decoded(text) if is_encoded(text) else text, language), len(text))
    return tuple(text[start:end] for start, end in zip((0, *ends), ends, strict=False)) if text else ()


@lru_cache(maxsize=65536)
def line_count(
    family: Family, weight: int, text: str, size: float, width: float, tracking: float = 0.0, language: str = "en"
) -> int:
    """How many lines `broken` makes of a text."""
    return len(broken(family, weight, text, size, width, tracking, language))


def broken(
    family: Family, weight: int, text: str, size: float, width: float, tracking: float = 0.0, language: str = "en"
) -> tuple[str, ...]:
    """The lines of a text of `size` px in a box of `width` px, broken greedily as browsers do; `tracking` is in em."""
    spans = _spans(family, weight, collapsed(text), language)
    count = len(spans.parts)
    if any(spans.width(index, index + 1, size, tracking) > width for index in range(count)):
        return _torn(spans, size, width, tracking)
    lines: list[str] = []
    start = 0
    while start < count:
        fits, end = start + 1, start + 1
        # What is broken at a soft hyphen takes the room of the hyphen, too; the next piece may be narrower without it.
        while end < count and (end == fits or spans.hyphenated(end)):
            end += 1
            if spans.width(start, end, size, tracking) <= width:
                fits = end
        lines.append(spans.text(start, fits))
        start = fits
    return tuple(lines)


def _torn(spans: "_Spans", size: float, width: float, tracking: float) -> tuple[str, ...]:
    """The lines where a piece is wider than the box: it breaks between its characters (overflow-wrap: break-word)."""
    lines: list[str] = []
    line = ""
    for piece in spans.parts:
        if spans.wide(line + piece, size, tracking) <= width:
            line += piece
            continue
        if line:
            lines.append(spans.shown(line))
        line = piece
        while spans.wide(line, size, tracking) > width and len(parts := _drawn(line.rstrip())) > 1:
            fits = 1
            while fits < len(parts) - 1 and spans.wide("".join(parts[: fits + 1]), size, tracking) <= width:
                fits += 1
            lines.append(spans.shown("".join(parts[:fits])))
            line = line[len("".join(parts[:fits])) :]
    return (*lines, spans.shown(line))


def _drawn(line: str) -> tuple[str, ...]:
    """The characters of a line; the hyphen that a soft hyphen at its end draws never stands alone on a line."""
    parts = clusters(line)
    return (*parts[:-2], parts[-2] + parts[-1]) if len(parts) > 1 and parts[-1] == SOFT_HYPHEN else parts


@lru_cache(maxsize=4096)
def balanced(
    family: Family, weight: int, text: str, size: float, width: float, tracking: float = 0.0, language: str = "en"
) -> tuple[str, ...]:
    """The lines of a text under `text-wrap: balance` (CSS Text 4, 6.3): as many as in the whole box, with the least sum of
    squares of the room that is left on them. So Chromium does it, up to MOST_BALANCED lines (read off its layout, see the
    browser test); longer texts are broken greedily."""
    whole = broken(family, weight, text, size, width, tracking, language)
    spans = _spans(family, weight, collapsed(text), language)
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

    def __init__(self, family: Family, weight: int, parts: tuple[str, ...]) -> None:
        self.family, self.weight, self.parts = family, weight, parts
        self.known: dict[tuple[int, int], tuple[float, int]] = {}

    def hyphenated(self, index: int) -> bool:
        """Whether the piece before a place ends in a soft hyphen."""
        return self.parts[index - 1].endswith(SOFT_HYPHEN)

    def shown(self, line: str) -> str:
        """A line as it is drawn: a soft hyphen at its end is seen, others are not. Source: CSS Text 3, 6.1; a hyphen where the
        typeface has one, else a hyphen-minus."""
        line = line.rstrip()
        if SOFT_HYPHEN not in line:
            return line
        end = ("‐" if 0x2010 in known(self.family) else "-") if line.endswith(SOFT_HYPHEN) else ""
        return line.replace(SOFT_HYPHEN, "") + end

    def text(self, start: int, end: int) -> str:
        return self.shown("".join(self.parts[start:end]))

    def wide(self, line: str, size: float, tracking: float) -> float:
        return text_width(self.family, self.weight, self.shown(line), size, tracking)

    def width(self, start: int, end: int, size: float, tracking: float) -> float:
        """Width in px of the pieces from `start` to before `end` on one line."""
        found = self.known.get((start, end))
        if found is None:
            text = self.text(start, end)
            found = self.known[start, end] = advance(self.family, self.weight, text), len(text)
        return size * (found[0] + tracking * found[1])


@lru_cache(maxsize=8192)
def _spans(family: Family, weight: int, text: str, language: str) -> _Spans:
    return _Spans(family, weight, pieces(text, language))


def text_width(family: Family, weight: int, text: str, size: float, tracking: float = 0.0) -> float:
    """Width in px of a text on one line, on which soft hyphens are not seen."""
    text = text.replace(SOFT_HYPHEN, "") if SOFT_HYPHEN in text else text
    return size * (advance(family, weight, text) + tracking * len(text))


def widest_piece(family: Family, weight: int, text: str, size: float, tracking: float = 0.0, language: str = "en") -> float:
    """Width in px of the longest unbreakable part of a text."""
    spans = _spans(family, weight, collapsed(text), language)
    return max((spans.width(index, index + 1, size, tracking) for index in range(len(spans.parts))), default=0.0)
