"""The pages of a PDF as documents: lines that stand beside each other in rows are tables, whatever stands in columns is read one column
after another, and headings are lines that are set larger. By position alone, since most PDF say nothing of their structure.
"""

import re
from collections.abc import Iterator
from dataclasses import dataclass
from itertools import pairwise
from statistics import median

from pdfminer.layout import LTChar, LTContainer, LTPage, LTTextBox, LTTextLine

from formulon.core.identity.documents import Block

_LABEL = re.compile(r"^[^\W\d][\w ’'-]{2,40}:\s")
_BULLET = re.compile(r"^\s*[•·▪◦–*-]\s+")
_LARGER = 1.18  # than most of the page, and a line is a heading
_SAME_LINE, _SAME_EDGE, _GAP = 0.35, 8.0, 6.0  # share of a line's height; points
_CELL = 34  # characters that a cell of a table has at most, on average: what is longer is text in columns
MOST_LINES = 3000  # of a page


@dataclass(slots=True)
class Line:
    """A line of text: its edges in points from the bottom left, and the size of its letters."""

    text: str
    left: float
    bottom: float
    right: float
    top: float
    size: float


def blocks_of(page: LTPage) -> list[Block]:
    """The parts of a page in the order of reading."""
    boxes = [[_line(one) for one in box if isinstance(one, LTTextLine)] for box in page if isinstance(box, LTTextBox)]
    boxes = [[line for line in box if line.text] for box in boxes]
    every = [line for box in boxes for line in box][:MOST_LINES]
    if not every:
        return []
    body = _body(every)
    made: list[Block] = []
    tables = list(_tables(every))
    held = {id(line): number for number, rows in enumerate(tables) for row in rows for line in row}
    told: set[int] = set()
    for box in boxes:
        for number in dict.fromkeys(held[id(line)] for line in box if id(line) in held):
            if number not in told:
                told.add(number)
                made += _rows(tables[number])
        made += _paragraphs([line for line in box if id(line) not in held], body)
    return made


def _line(one: LTTextLine) -> Line:
    sizes = [character.size for character in _characters(one)]
    return Line(" ".join(one.get_text().split()), one.x0, one.y0, one.x1, one.y1, median(sizes) if sizes else one.height)


def _characters(element: LTContainer) -> Iterator[LTChar]:  # type: ignore[type-arg]
    for child in element:
        if isinstance(child, LTChar):
            yield child
        elif isinstance(child, LTContainer):
            yield from _characters(child)


def _body(lines: list[Line]) -> float:
    """The size in which most letters of a page are set."""
    sizes: dict[float, int] = {}
    for line in lines:
        sizes[round(line.size, 1)] = sizes.get(round(line.size, 1), 0) + len(line.text)
    return max(sizes, key=lambda size: sizes[size])


def _tables(lines: list[Line]) -> Iterator[list[list[Line]]]:
    """Runs of rows whose cells begin, or end, at the same edges."""
    rows: list[list[Line]] = []
    for line in sorted(lines, key=lambda one: (-one.bottom, one.left)):
        if rows and abs(rows[-1][0].bottom - line.bottom) <= _SAME_LINE * line.size:
            rows[-1].append(line)
        else:
            rows.append([line])
    run: list[list[Line]] = []
    for row in [*(sorted(row, key=lambda one: one.left) for row in rows), []]:
        if run and (len(row) < 2 or not _aligned(run[-1], row)):
            if len(run) > 1 and _is_table(run):
                yield run
            run = []
        if len(row) > 1:
            run.append(row)


def _aligned(above: list[Line], row: list[Line]) -> bool:
    near = above[0].bottom - row[0].bottom <= 3.2 * above[0].size
    apart = all(after.left - before.right >= _GAP for before, after in pairwise(row))
    return (
        near and apart and len(above) == len(row)
        and all(abs(a.left - b.left) <= _SAME_EDGE or abs(a.right - b.right) <= _SAME_EDGE for a, b in zip(above, row, strict=True))
    )  # fmt: skip


def _is_table(run: list[list[Line]]) -> bool:
    cells = [line.text for row in run for line in row]
    # Text in columns runs on from line to line, cells do not.
    if sum(line.text[:1].islower() for row in run[1:] for line in row) >= 0.3 * sum(map(len, run[1:])) and len(run) > 2:
        return False
    numbers = sum(bool(re.search(r"\d", row[-1].text)) for row in run) >= 0.6 * len(run)
    return sum(map(len, cells)) / len(cells) <= (1.6 * _CELL if numbers else _CELL)


def _rows(table: list[list[Line]]) -> Iterator[Block]:
    for number, row in enumerate(table):
        cells = tuple(line.text for line in row)
        head = number == 0 and len(table) > 2 and not re.search(r"\d", "".join(cells)) and max(map(len, cells)) <= 30
        yield Block("row", " ".join(cells), cells, head=head)


def _paragraphs(lines: list[Line], body: float) -> Iterator[Block]:
    """What a box of text holds: headings by their size, items by their marks, lines that are broken off short apart from each other."""
    widest = max((line.right for line in lines), default=0.0)
    running: list[str] = []
    kind = "paragraph"

    def close() -> Iterator[Block]:
        if running:
            yield Block("item" if kind == "item" else "paragraph", _joined(running))
            running.clear()

    before: Line | None = None
    for line in lines:
        larger = line.size >= _LARGER * body and len(line.text) <= 120
        if larger:
            yield from close()
            yield Block("heading", line.text[:160], level=2)
            kind, before = "paragraph", None
            continue
        marked = _BULLET.match(line.text)
        # The first word would have stood on the line before: its paragraph ended there.
        short = before is not None and before.right + _first_word(line) < widest
        labelled = running and running[-1].endswith((".", "!", "?")) and _LABEL.match(line.text)
        if (
            labelled
            or marked
            or (short and (kind == "paragraph"))
            or (before is not None and before.bottom - line.top > 0.6 * line.size)
        ):
            yield from close()
            kind = "item" if marked else "paragraph"
        running.append(_BULLET.sub("", line.text) if marked else line.text)
        before = line
    yield from close()


def _first_word(line: Line) -> float:
    """How much room the first word of a line takes, with the space before it, in points."""
    word = line.text.split()[0]
    return (line.right - line.left) * (len(word) + 1) / max(1, len(line.text))


def _joined(lines: list[str]) -> str:
    """Lines that run on; a word that a line's end has divided is put together again."""
    made = ""
    for line in lines:
        if made.endswith("-") and line[:1].islower() and not made.endswith(" -"):
            made = made[:-1] + line
        else:
            made = f"{made} {line}" if made else line
    return made
