"""Facts of how the parts of a page lie to each other, made of what was seen: what lies over what, what is empty, edges and rows."""

from collections.abc import Iterator, Mapping
from typing import Protocol

from formulon.core.checks.drawn_facts import Gap, LeftEdges, Overlap, PictureFirst, PictureRow, WideRow
from formulon.core.checks.place import PagePlace
from formulon.core.measure.seen import Besides, Box, PageSeen, PictureSeen, SeenAt, TextSeen

LEAST_PICTURE = 40.0  # px across of one that is looked at
_OVER = 0.25  # share of the smaller text that another has to lie over
_LEAST_OVER = 60.0  # px² of it
_EDGE = 6.0  # px within which left edges are one
_ROW = 6.0  # px within which pictures stand side by side
_MOST_PAIRS = 400  # texts of a page that are compared
_PHONE = 480  # px up to which a window is a phone's
_ACROSS = 0.5  # of a phone's screen: a picture that is as wide comes before what is below it


class SeenPage(Protocol):
    """A page with what was seen of it."""

    @property
    def seen(self) -> Mapping[int, PageSeen]: ...

    @property
    def widest(self) -> PageSeen: ...

    @property
    def besides(self) -> Besides: ...

    def place(self, section: str = "", slot: str = "") -> PagePlace: ...


def placed(page: SeenPage, one: SeenAt) -> PagePlace:
    return page.place(one.section, one.slot or one.at)


def laid_facts(page: SeenPage, desk: int) -> Iterator[Overlap | Gap | LeftEdges | PictureRow | WideRow | PictureFirst]:
    """All of a page; `desk` is the width of a desktop at which it was seen."""
    seen = page.seen[desk]
    for width, one in page.seen.items():
        yield from _overlaps(page, width, one)
    if gap := _gap(seen):
        yield Gap(page.place(), gap, desk)
    yield from _edges(page, desk, seen)
    yield from _rows(page, seen)
    yield from _wide_rows(page)
    yield from _picture_first(page)


def _wide_rows(page: SeenPage) -> Iterator[WideRow]:
    """Of each section the row whose parts stand farthest apart, as they do at the widest width."""
    boxes = {one.at: one.box for one in page.widest.texts}
    widest: dict[str, WideRow] = {}  # of each section
    for row in page.besides.rest.rows:
        first, other = boxes.get(row.at), boxes.get(row.to)
        gap = max(row.gap, other[0] - first[0] - first[2] if first and other else 0.0)
        if row.section not in widest or gap > widest[row.section].gap:
            widest[row.section] = WideRow(placed(page, row), row.text, row.other, gap, max(page.seen))
    yield from widest.values()


def _picture_first(page: SeenPage) -> Iterator[PictureFirst]:
    width = min(page.seen)
    if width > _PHONE:
        return
    seen = page.seen[width]
    frames = {part.at for part in seen.parts if part.frame}
    tops: dict[str, TextSeen] = {}
    for text in seen.texts:
        if text.section not in frames and (text.section not in tops or text.box[1] < tops[text.section].box[1]):
            tops[text.section] = text
    for section, text in tops.items():
        above = [
            one for one in seen.pictures
            if one.section == section and one.box[2] >= _ACROSS * width and one.box[1] + one.box[3] <= text.box[1] + 1
        ]  # fmt: skip
        if above:
            yield PictureFirst(placed(page, above[0]), text.text, text.box[1] - min(one.box[1] for one in above), width)


def _overlaps(page: SeenPage, width: int, seen: PageSeen) -> Iterator[Overlap]:
    texts = sorted(
        (one for one in seen.texts if one.box[2] > 4 and one.box[3] > 4 and not one.beyond), key=lambda one: one.box[1]
    )[:_MOST_PAIRS]
    told = 0
    for index, one in enumerate(texts):
        for other in texts[index + 1 :]:
            if other.box[1] >= one.box[1] + one.box[3]:
                break
            first, second = _lettered(one), _lettered(other)
            if _apart(one, other) and shared(first, second) >= max(_LEAST_OVER, _OVER * min(_area(first), _area(second))):
                yield Overlap(placed(page, other), other.text, one.text, width)
                told += 1
                break
        if told == 8:
            return


def _apart(one: TextSeen, other: TextSeen) -> bool:
    """Whether two texts are parts of different blocks; runs of one block share its lines."""
    return one.block != other.block and not one.at.startswith(other.at) and not other.at.startswith(one.at)


def _lettered(one: TextSeen) -> Box:
    """The box of a text's lines. Where lines are set tighter than its font is high, the font's box reaches beyond what has letters."""
    left, top, wide, high = one.box
    beyond = high - one.lines * one.line if one.line and one.lines else 0.0
    return (left, top + beyond / 2, wide, high - beyond) if beyond > 0 else one.box


def _area(box: Box) -> float:
    return box[2] * box[3]


def shared(one: Box, other: Box) -> float:
    """The area, in px², that two boxes have in common."""
    across = min(one[0] + one[2], other[0] + other[2]) - max(one[0], other[0])
    down = min(one[1] + one[3], other[1] + other[3]) - max(one[1], other[1])
    return max(0.0, across) * max(0.0, down)


def _gap(seen: PageSeen) -> float:
    """The highest stretch between two things that are seen, in px."""
    boxes: list[Box] = [
        *(one.box for one in seen.texts),
        *(one.box for one in seen.pictures),
        *(one.box for one in seen.targets),
        *seen.drawn,
    ]
    spans = sorted((box[1], box[1] + box[3]) for box in boxes if box[2] > 1 and box[3] > 1)
    high, foot = 0.0, spans[0][1] if spans else 0.0
    for top, bottom in spans:
        high, foot = max(high, top - foot), max(foot, bottom)
    return round(high, 1)


def _edges(page: SeenPage, width: int, seen: PageSeen) -> Iterator[LeftEdges]:
    by_section: dict[str, list[float]] = {}
    for one in seen.texts:
        if not one.inline and not one.led:
            by_section.setdefault(one.section, []).append(one.box[0])
    for section, lefts in by_section.items():
        groups: list[float] = []
        for left in sorted(lefts):
            if not groups or left - groups[-1] > _EDGE:
                groups.append(left)
        yield LeftEdges(page.place(section), len(groups), width)


def _rows(page: SeenPage, seen: PageSeen) -> Iterator[PictureRow]:
    """Pictures of a section that stand side by side and are about as wide."""
    rows: dict[tuple[str, int], list[PictureSeen]] = {}
    for one in seen.pictures:
        if min(one.box[2:]) >= 2 * LEAST_PICTURE:
            rows.setdefault((one.section, round(one.box[1] / _ROW)), []).append(one)
    for several in rows.values():
        widths = [one.box[2] for one in several]
        if len(several) > 1 and max(widths) <= 1.15 * min(widths):
            yield PictureRow(placed(page, several[0]), tuple(round(one.box[2] / one.box[3], 2) for one in several))
