"""Facts of how a page is drawn, made of what was seen: controls, focus, paper, wider spacing, files, and how its parts lie."""

from collections import Counter
from collections.abc import Iterator, Mapping, Sequence
from pathlib import PurePosixPath
from typing import Protocol
from urllib.parse import unquote

from formulon.core.checks.drawn_facts import (
    Complaint,
    Control,
    DrawnFact,
    Focused,
    FontDrawn,
    FrameTexts,
    Gap,
    Grown,
    LeftEdges,
    MissingFile,
    Moved,
    OutOfUse,
    Overlap,
    PageValues,
    PictureFile,
    PictureRow,
    Printed,
    SpacedText,
    StateText,
    Still,
    Unreached,
)
from formulon.core.checks.place import PagePlace
from formulon.core.color.srgb import to_hex
from formulon.core.measure.addresses import parted
from formulon.core.measure.edges import SHEET
from formulon.core.measure.mixed import over, rounded
from formulon.core.measure.seen import Besides, Box, PageSeen, PictureSeen, SeenAt, TextSeen, WordsSeen
from formulon.core.measure.serving import HOST

_OVER = 0.25  # share of the smaller text that another has to lie over
_LEAST_OVER = 60.0  # px² of it
_EDGE = 6.0  # px within which left edges are one
_ROW = 6.0  # px within which pictures stand side by side
_FIRST_SCREEN = 900.0  # px
_LEAST_PICTURE = 40.0  # px across of one that is looked at
_MOST_PAIRS = 400  # texts of a page that are compared


class SeenPage(Protocol):
    """A page with what was seen of it."""

    @property
    def seen(self) -> Mapping[int, PageSeen]: ...

    @property
    def widest(self) -> PageSeen: ...

    @property
    def besides(self) -> Besides: ...

    def place(self, section: str = "", slot: str = "") -> PagePlace: ...


def drawn_facts(page: SeenPage) -> Iterator[DrawnFact]:
    """All of a page."""
    desk = max((width for width in page.seen if width <= 1280), default=min(page.seen))
    seen = page.seen[desk]
    yield from _controls(page, seen)
    for kind, values in (("corner", seen.corners), ("shadow", seen.shadows)):
        if values:
            yield PageValues(page.place(), kind, tuple((one.value, one.count) for one in values))
    yield from _under_pointer(page)
    yield from _under_keys(page)
    yield from (Complaint(page.place(), one) for one in page.besides.console)
    yield from _moved(page)
    yield from _fonts(page, seen)
    yield from _on_paper(page)
    yield from _spaced(page)
    yield from _files(page)
    for width, one in page.seen.items():
        yield from _overlaps(page, width, one)
    if gap := _gap(seen):
        yield Gap(page.place(), gap, desk)
    yield from _edges(page, desk, seen)
    yield from _rows(page, seen)
    yield from _frames(page, seen)


def _hex(color: Sequence[float] | None) -> str:
    return "" if color is None else to_hex(rounded(color))


def _mixed(color: Sequence[float] | None, ground: Sequence[float] | None) -> str:
    """A colour that may be translucent, over the ground that it stands on; empty where nothing is drawn or only pixels tell."""
    if color is None or color[3] < 0.05 or (color[3] < 0.999 and ground is None):
        return ""
    return _hex(color) if ground is None else to_hex(over(color, ground[:3]))


def _at(page: SeenPage, one: SeenAt) -> PagePlace:
    return page.place(one.section, one.slot or one.at)


def _controls(page: SeenPage, seen: PageSeen) -> Iterator[Control]:
    for one in seen.looks:
        ground = one.ground if one.plain else None
        filled = _mixed(one.filled, ground)
        behind = one.filled if one.filled and one.filled[3] >= 0.999 else ground
        yield Control(
            _at(page, one), one.kind, one.label, filled, _hex(ground), one.edge, _mixed(one.edged, behind) if one.edge else "", one.radius,
            one.high, one.family.split(",")[0].strip("\"' "), _mixed(one.hint, behind),
        )  # fmt: skip


def _moved(page: SeenPage) -> Iterator[Moved]:
    shift = page.besides.shift
    if shift is None:
        return
    narrow = page.seen[min(page.seen)]
    there = max(narrow.texts, key=lambda text: _shared(text.box, shift.box), default=None)
    if there is None or not _shared(there.box, shift.box):
        yield Moved(page.place(), shift.score, "")
    else:
        yield Moved(_at(page, there), shift.score, there.text)


def _fonts(page: SeenPage, seen: PageSeen) -> Iterator[FontDrawn]:
    for text in seen.texts:
        others = [font for font in text.fonts if not font.brought]
        letters = sum(font.letters for font in others)
        # Arrows, pictures of feelings and the like are nobody's letters.
        signs = sum(not (char.isalnum() or char.isascii()) for char in text.text)
        if letters > signs:
            drawn = " and ".join(dict.fromkeys(font.name for font in others))
            yield FontDrawn(
                _at(page, text), text.text, text.first_family, drawn, letters, sum(font.letters for font in text.fonts)
            )


def _in_state(page: SeenPage, words: Sequence[WordsSeen], state: str) -> Iterator[StateText]:
    for one in words:
        ink = _mixed(one.ink, one.ground)
        if ink:
            yield StateText(_at(page, one), one.text, state, ink, _hex(one.ground), one.size, one.weight)


def _under_pointer(page: SeenPage) -> Iterator[StateText | Still | Grown | OutOfUse]:
    pointer = page.besides.pointer
    yield from _in_state(page, pointer.words, "under the pointer")
    if pointer.still:
        yield Still(_at(page, pointer.still[0]), tuple(dict.fromkeys(one.label for one in pointer.still)))
    for grown in pointer.grown:
        yield Grown(_at(page, grown), grown.label, grown.across, grown.down)
    for alike in pointer.alike:
        yield OutOfUse(_at(page, alike), alike.label, alike.like)


def _under_keys(page: SeenPage) -> Iterator[Focused | Unreached | StateText]:
    for one in page.besides.focused:
        yield from _in_state(page, one.words, "in focus")
        yield Focused(
            _at(page, one), one.label, tuple(one.changed), _mixed(one.ring, one.ground), one.wide, _hex(one.ground), one.covered
        )
    kinds = {target.at: target.kind for target in page.widest.targets}
    for left in page.besides.unreached:
        if kinds.get(left.at) in ("link", "button"):
            yield Unreached(_at(page, left), left.label)


def _on_paper(page: SeenPage) -> Iterator[Printed]:
    paper = page.besides.paper
    if paper:
        before = {one.at for seen in page.seen.values() for one in seen.texts if one.cut}
        out = max(paper.out, key=lambda one: one.right).at if paper.out else ""
        cut = tuple(one.text for one in paper.cut if one.at not in before)
        yield Printed(page.place("", out), paper.wide, SHEET, out, cut)


def _spaced(page: SeenPage) -> Iterator[SpacedText]:
    """Texts that are cut with wider spacing and are not without."""
    before = {width: {text.at for text in seen.texts if text.cut} for width, seen in page.seen.items()}
    cut: dict[str, list[int]] = {}
    said: dict[str, SpacedText] = {}
    for width, one in page.besides.spaced.items():
        for text in one.cut:
            if text.at not in before.get(width, set()):
                cut.setdefault(text.at, []).append(width)
                said[text.at] = SpacedText(_at(page, text), text.text, tuple(cut[text.at]))
    yield from said.values()


def _files(page: SeenPage) -> Iterator[PictureFile | MissingFile]:
    requests = [one for seen in page.seen.values() for one in seen.requests]
    sizes = {one.address: int(one.bytes) for one in requests}
    for address, status in {one.address: one.status for one in requests}.items():
        # Browsers look for an icon there without being asked to; publishing/icon tells that none is named.
        if status == 404 and parted(address).hostname == HOST and parted(address).path != "/favicon.ico":
            yield MissingFile(page.place(), unquote(parted(address).path))
    pictures: dict[str, list[PictureSeen]] = {}
    for seen in page.seen.values():
        for picture in seen.pictures:
            pictures.setdefault(picture.at, []).append(picture)
    for several in pictures.values():
        one = several[-1]
        if one.broken or not one.source.startswith("http"):
            continue
        large = [each for each in several if min(each.box[2:]) >= _LEAST_PICTURE]
        late = any(each.lazy and each.box[1] + min(each.box[3], 100) < _FIRST_SCREEN * 0.75 for each in large)
        yield PictureFile(
            _at(page, one), PurePosixPath(parted(one.source).path).name, PurePosixPath(parted(one.source).path).suffix.lower(),
            sizes.get(one.source, 0), one.natural, late, all(each.reserved for each in large),
        )  # fmt: skip


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
            if _apart(one, other) and _shared(first, second) >= max(_LEAST_OVER, _OVER * min(_area(first), _area(second))):
                yield Overlap(_at(page, other), other.text, one.text, width)
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


def _shared(one: Box, other: Box) -> float:
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
        if min(one.box[2:]) >= 2 * _LEAST_PICTURE:
            rows.setdefault((one.section, round(one.box[1] / _ROW)), []).append(one)
    for several in rows.values():
        widths = [one.box[2] for one in several]
        if len(several) > 1 and max(widths) <= 1.15 * min(widths):
            yield PictureRow(_at(page, several[0]), tuple(round(one.box[2] / one.box[3], 2) for one in several))


def _frames(page: SeenPage, seen: PageSeen) -> Iterator[FrameTexts]:
    kinds = {part.at: part.kind for part in seen.parts if part.frame and part.kind in ("header", "footer")}
    only = {kind for kind, count in Counter(kinds.values()).items() if count == 1}
    for at, kind in kinds.items():
        if kind in only:
            texts = tuple(one.text for one in seen.texts if one.section == at and not one.led)
            yield FrameTexts(page.place(at, kind), texts)
