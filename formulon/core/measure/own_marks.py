"""Facts of a brand's own on the pages of its site as they are seen: its marks, and how much of a page each ground takes."""

import math
from collections.abc import Iterator
from pathlib import PurePosixPath

from formulon.core.checks.page_facts import Areas, MarkDrawn, PagePlace
from formulon.core.color.srgb import to_hex
from formulon.core.measure.addresses import parted
from formulon.core.measure.facts import Page
from formulon.core.measure.mixed import rounded
from formulon.core.measure.seen import Box, PageSeen, PictureSeen
from formulon.core.system.documents.identity import Identity, Mark
from formulon.core.system.facets.lockup import clear_space, least_height, size_of
from formulon.core.system.facets.proportions import proportions
from formulon.core.system.solving.logo import GOOD, visibility

FOLDER = "/marks/"


def mark_facts(identity: Identity, page: Page) -> Iterator[MarkDrawn]:
    """Each mark that a page shows."""
    marks = {one.id: one for one in identity.marks}
    shown: dict[str, dict[int, PictureSeen]] = {}
    for width, seen in page.seen.items():
        for one in seen.pictures:
            if FOLDER in parted(one.source).path:
                shown.setdefault(one.at, {})[width] = one
    for by_width in shown.values():
        first = by_width[max(by_width)]
        mark = marks.get(PurePosixPath(parted(first.source).path).stem)
        if mark is not None and not first.broken:
            yield _drawn(identity, mark, page, by_width)


def _drawn(identity: Identity, mark: Mark, page: Page, by_width: dict[int, PictureSeen]) -> MarkDrawn:
    share, _ = clear_space(identity)
    wide, high = size_of(mark)
    under = next((one.ground for one in by_width.values() if one.ground), None)
    rgb = rounded(under) if under else None
    seen = visibility(mark.svg, rgb) if rgb else 1.0
    others = {one.name: visibility(one.svg, rgb) for one in identity.marks if one.id != mark.id} if rgb else {}
    better = max(others, key=lambda name: others[name], default="")
    rooms = [(_room(one, page.seen[width]), share * one.box[3]) for width, one in by_width.items()]
    room, needed = min(rooms, key=lambda one: one[0] - one[1])
    least, why = least_height(identity, mark)
    first = by_width[max(by_width)]
    altered = dict.fromkeys(what for one in by_width.values() for what in one.altered)
    frame = any(part.at == first.section and part.frame for part in page.widest.parts)
    return MarkDrawn(
        page.place(first.section, "mark" if frame else first.slot or first.at), mark.name,
        {width: _size(one, wide / high) for width, one in by_width.items()}, wide / high, least, why, room, needed, tuple(altered),
        seen, to_hex(rgb) if rgb else "", better if better and others[better] > max(seen, GOOD) else "",
    )  # fmt: skip


def _room(mark: PictureSeen, seen: PageSeen) -> float:
    """The room around a mark to the nearest text, control or picture, in px: how far a frame around it could grow before it meets one."""
    others = [*(one.box for one in seen.texts), *(one.box for one in seen.pictures if one.at != mark.at)]
    # Of controls those count that are drawn as boxes; the room to press around a link is not seen.
    boxes = {one.at: one.box for one in seen.targets}
    others += [
        boxes[one.at]
        for one in seen.looks
        if one.at in boxes and (one.filled or one.edge) and not _holds(boxes[one.at], mark.box)
    ]
    return min((_between(mark.box, one) for one in others), default=math.inf)


def _size(one: PictureSeen, proportion: float) -> tuple[float, float]:
    """Width and height in px of what is drawn in a picture's box, which keeps its proportion where that is asked for."""
    wide, high = one.box[2:]
    if one.fit in ("contain", "scale-down"):
        return min(wide, high * proportion), min(high, wide / proportion)
    return wide, high


def _between(one: Box, other: Box) -> float:
    across = max(other[0] - one[0] - one[2], one[0] - other[0] - other[2])
    down = max(other[1] - one[1] - one[3], one[1] - other[1] - other[3])
    return max(0.0, across, down)


def _holds(box: Box, inside: Box) -> bool:
    return (
        box[0] <= inside[0] and box[1] <= inside[1] and box[0] + box[2] >= inside[0] + inside[2]
        and box[1] + box[3] >= inside[1] + inside[3]
    )  # fmt: skip


def areas(identity: Identity, page: Page, place: PagePlace, first: bool) -> Iterator[Areas]:
    """How much each ground takes of a page, where the guideline wants its colours in proportions."""
    stated = proportions(identity).stated
    if not stated:
        return
    found: dict[str, float] = {}
    for seen in page.seen.values():
        for part in seen.parts:
            if part.box and part.ground:
                key = to_hex(rounded(part.ground))
                found[key] = found.get(key, 0.0) + part.box[2] * part.box[3]
    known = {one.id: one for one in identity.colors}
    wanted = tuple((known[name].name, known[name].value.lower(), share) for name, share in stated.items()) if first else ()
    yield Areas(place, tuple(sorted(found.items())), wanted)
