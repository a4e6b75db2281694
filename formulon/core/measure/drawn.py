"""Facts of how a page is drawn, made of what was seen: controls, focus, paper, wider spacing, files, and words."""

from collections import Counter
from collections.abc import Iterator, Sequence
from pathlib import PurePosixPath
from urllib.parse import unquote

from formulon.core.checks.drawn_facts import (
    Complaint,
    Control,
    Divided,
    DrawnFact,
    Faked,
    Focused,
    FontDrawn,
    FrameTexts,
    Graphic,
    Grown,
    MissingFile,
    Moved,
    OutOfUse,
    PageValues,
    PictureFile,
    Printed,
    Selected,
    SpacedText,
    StateText,
    Still,
    Unreached,
)
from formulon.core.color.srgb import to_hex
from formulon.core.measure.addresses import parted
from formulon.core.measure.edges import SHEET
from formulon.core.measure.laid import LEAST_PICTURE, SeenPage, laid_facts, placed, shared
from formulon.core.measure.mixed import over, rounded
from formulon.core.measure.seen import PageSeen, PictureSeen, WordsSeen
from formulon.core.measure.serving import HOST

_FIRST_SCREEN = 900.0  # px


def drawn_facts(page: SeenPage) -> Iterator[DrawnFact]:
    """All of a page."""
    desk = max((width for width in page.seen if width <= 1280), default=min(page.seen))
    seen = page.seen[desk]
    yield from _controls(page, seen)
    for kind, values in (("corner", seen.corners), ("shadow", seen.shadows), ("space", page.besides.rest.spaces)):
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
    yield from _at_rest(page)
    yield from laid_facts(page, desk)
    yield from _frames(page, seen)


def _hex(color: Sequence[float] | None) -> str:
    return "" if color is None else to_hex(rounded(color))


def _mixed(color: Sequence[float] | None, ground: Sequence[float] | None) -> str:
    """A colour that may be translucent, over the ground that it stands on; empty where nothing is drawn or only pixels tell."""
    if color is None or color[3] < 0.05 or (color[3] < 0.999 and ground is None):
        return ""
    return _hex(color) if ground is None else to_hex(over(color, ground[:3]))


def _controls(page: SeenPage, seen: PageSeen) -> Iterator[Control]:
    for one in seen.looks:
        ground = one.ground if one.plain else None
        filled = _mixed(one.filled, ground)
        behind = one.filled if one.filled and one.filled[3] >= 0.999 else ground
        yield Control(
            placed(page, one), one.kind, one.label, filled, _hex(ground), one.edge, _mixed(one.edged, behind) if one.edge else "", one.radius,
            one.high, one.family.split(",")[0].strip("\"' "), _mixed(one.hint, behind),
        )  # fmt: skip


def _moved(page: SeenPage) -> Iterator[Moved]:
    shift = page.besides.shift
    if shift is None:
        return
    narrow = page.seen[min(page.seen)]
    there = max(narrow.texts, key=lambda text: shared(text.box, shift.box), default=None)
    if there is None or not shared(there.box, shift.box):
        yield Moved(page.place(), shift.score, "")
    else:
        yield Moved(placed(page, there), shift.score, there.text)


def _fonts(page: SeenPage, seen: PageSeen) -> Iterator[FontDrawn]:
    for text in seen.texts:
        others = [font for font in text.fonts if not font.brought]
        letters = sum(font.letters for font in others)
        # Arrows, pictures of feelings and the like are nobody's letters.
        signs = sum(not (char.isalnum() or char.isascii()) for char in text.text)
        if letters > signs:
            drawn = " and ".join(dict.fromkeys(font.name for font in others))
            yield FontDrawn(
                placed(page, text), text.text, text.first_family, drawn, letters, sum(font.letters for font in text.fonts)
            )


def _in_state(page: SeenPage, words: Sequence[WordsSeen], state: str) -> Iterator[StateText]:
    for one in words:
        ink = _mixed(one.ink, one.ground)
        if ink:
            yield StateText(placed(page, one), one.text, state, ink, _hex(one.ground), one.size, one.weight)


def _under_pointer(page: SeenPage) -> Iterator[StateText | Still | Grown | OutOfUse]:
    pointer = page.besides.pointer
    yield from _in_state(page, pointer.words, "under the pointer")
    if pointer.still:
        yield Still(placed(page, pointer.still[0]), tuple(dict.fromkeys(one.label for one in pointer.still)))
    for grown in pointer.grown:
        yield Grown(placed(page, grown), grown.label, grown.across, grown.down)
    for alike in pointer.alike:
        yield OutOfUse(placed(page, alike), alike.label, alike.like)


def _under_keys(page: SeenPage) -> Iterator[Focused | Unreached | StateText]:
    for one in page.besides.focused:
        yield from _in_state(page, one.words, "in focus")
        yield Focused(
            placed(page, one),
            one.label,
            tuple(one.changed),
            _mixed(one.ring, one.ground),
            one.wide,
            _hex(one.ground),
            one.covered,
        )
    kinds = {target.at: target.kind for target in page.widest.targets}
    for left in page.besides.unreached:
        if kinds.get(left.at) in ("link", "button"):
            yield Unreached(placed(page, left), left.label)


def _on_paper(page: SeenPage) -> Iterator[Printed]:
    paper = page.besides.paper
    if paper:
        before = {one.at for seen in page.seen.values() for one in seen.texts if one.cut}
        out = max(paper.out, key=lambda one: one.right).at if paper.out else ""
        cut = tuple(one.text for one in paper.cut if one.at not in before)
        inks = ((one, _mixed(one.ink, one.ground)) for one in paper.printed)
        kept = tuple((placed(page, one), one.text, ink, _hex(one.ground)) for one, ink in inks if ink)
        yield Printed(page.place("", out), paper.wide, SHEET, out, cut, kept)


def _at_rest(page: SeenPage) -> Iterator[Graphic | Selected | Faked | Divided]:
    rest = page.besides.rest
    for graphic in rest.graphics:
        inks = tuple(dict.fromkeys(ink for one in graphic.inks if (ink := _mixed(one, graphic.ground))))
        yield Graphic(placed(page, graphic), graphic.label, inks, _hex(graphic.ground))
    for one in rest.selected:
        yield Selected(placed(page, one), one.text, _mixed(one.ink, one.ground), _hex(one.ground), one.size, one.weight)
    for faked in rest.faked:
        yield Faked(placed(page, faked), faked.text, faked.family, faked.what)
    for text in rest.divided:
        yield Divided(placed(page, text), text.text, text.headed, text.divided, text.run)


def _spaced(page: SeenPage) -> Iterator[SpacedText]:
    """Texts that are cut with wider spacing and are not without."""
    before = {width: {text.at for text in seen.texts if text.cut} for width, seen in page.seen.items()}
    cut: dict[str, list[int]] = {}
    said: dict[str, SpacedText] = {}
    for width, one in page.besides.spaced.items():
        for text in one.cut:
            if text.at not in before.get(width, set()):
                cut.setdefault(text.at, []).append(width)
                said[text.at] = SpacedText(placed(page, text), text.text, tuple(cut[text.at]))
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
        large = [each for each in several if min(each.box[2:]) >= LEAST_PICTURE]
        late = any(each.lazy and each.box[1] + min(each.box[3], 100) < _FIRST_SCREEN * 0.75 for each in large)
        yield PictureFile(
            placed(page, one), PurePosixPath(parted(one.source).path).name, PurePosixPath(parted(one.source).path).suffix.lower(),
            sizes.get(one.source, 0), one.natural, late, all(each.reserved for each in large),
        )  # fmt: skip


def _frames(page: SeenPage, seen: PageSeen) -> Iterator[FrameTexts]:
    kinds = {part.at: part.kind for part in seen.parts if part.frame and part.kind in ("header", "footer")}
    only = {kind for kind, count in Counter(kinds.values()).items() if count == 1}
    for at, kind in kinds.items():
        if kind in only:
            texts = tuple(one.text for one in seen.texts if one.section == at and not one.led)
            mark = next((one for one in seen.pictures if one.section == at and not one.broken), None)
            file = PurePosixPath(unquote(parted(mark.source).path)).name if mark else ""
            size = (round(mark.box[2]), round(mark.box[3])) if mark else (0, 0)
            yield FrameTexts(page.place(at, kind), texts, file, size)
