"""What a composition is measured by: each a number of 0 to 1 with what was seen, so that a ranking can be read and argued with.

The measures are common practice in layout; what they want of white space and balance follows from the brand's character. Their
weights are ours: they were set by looking at what they ranked first for forty sections of ten invented brands.
"""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass

from formulon.core.site.extents import Extent
from formulon.core.site.layout import COLUMNS, Layout
from formulon.core.system.documents.identity import Character

WEIGHTS = {
    "edges": 1.0, "across": 0.8, "lines": 1.6, "white": 0.9, "balance": 0.7, "hollow": 1.4, "pictures": 0.8, "shown": 0.7, "lead": 1.2, "phone": 0.8, "apart": 1.6, "height": 0.6,
}  # fmt: skip
_SCREEN = 640.0  # px of a phone's first screen, without what the browser takes
_MEASURE = (45.0, 75.0)  # characters to a line of running text (common practice)
_MASS = {"picture": 1.0, "heading": 0.9, "words": 0.45, "items": 0.6, "part": 0.6, "actions": 0.6}


@dataclass(frozen=True, slots=True)
class Measure:
    """One measure: its value, 0–1, and what was seen, in words."""

    name: str
    value: float
    seen: str


@dataclass(frozen=True, slots=True)
class Wanted:
    """What a brand's character asks of a composition: the share of white and how far from the middle its weight may lie, 0–1."""

    white: float
    lean: float

    @classmethod
    def of(cls, character: Character) -> "Wanted":
        lively, loud = character.calm_lively or 0, character.quiet_loud or 0
        return cls(min(0.75, max(0.35, 0.55 - 0.04 * lively - 0.03 * loud)), 0.18 + 0.05 * (lively + 2))


@dataclass(frozen=True, slots=True)
class Seen:
    """A region of a composition as it stands: its box, what it is, how wide what it holds is, and whether words are set to the middle."""

    box: Extent
    what: str
    wide: float
    middle: bool = False


def measured(
    desktop: Sequence[Seen], high: float, content: tuple[float, float], phone: Mapping[str, Extent], layout: Layout,
    headings: Sequence[str], running: Sequence[str], alike: float, least: float, wanted: Wanted, shown: bool,
) -> list[Measure]:  # fmt: skip
    """The measures of a composition. `content` is where a section's content begins and ends across; `headings` and `running` name
    slots; `alike` is how like it is to its neighbours; `least` the least height, in px, that the section was found to have;
    `shown` whether every picture of the content is seen."""
    boxes = [one.box for one in desktop]
    return [
        _edges(desktop, headings),
        _across(layout),
        _lines(boxes, phone, headings, running),
        _white(desktop, high, content, wanted),
        _balance(desktop, content, wanted),
        _hollow(desktop, high, content),
        _pictures(desktop),
        _lead(desktop, headings, content),
        _phone(phone, headings),
        Measure("shown", 1.0 if shown else 0.0, "every picture is shown" if shown else "pictures are left out"),
        Measure("apart", 1 - alike, f"{100 * alike:.0f} % like its neighbours"),
        Measure("height", min(1.0, least / max(high, 1.0)), f"{high:.0f} px high"),
    ]


def total(measures: Sequence[Measure]) -> float:
    """One number, 0–1: the mean by weight."""
    return sum(WEIGHTS[one.name] * one.value for one in measures) / sum(WEIGHTS.values())


def _edges(desktop: Sequence[Seen], headings: Sequence[str]) -> Measure:
    """Left edges of what does not run to the edge of the viewport: one or two read as order, and nothing stands further to the start than
    the headline over it, unless that is in the middle."""
    head = next((one for one in desktop if any(slot in one.box.lines for slot in headings[:1])), None)
    below = [
        one.box.start for one in desktop if head and one.box.top > head.box.top + 1 and one.what in ("items", "words", "part")
    ]
    if head and not head.middle and any(start < head.box.start - 8 for start in below):
        return Measure("edges", 0.3, "the headline stands further in than what it heads")
    edges = {round(one.box.start) for one in desktop if one.box.start > 1}
    count = max(1, len(edges))
    return Measure("edges", max(0.0, 1.0 - 0.35 * max(0, count - 2)), f"{count} left {'edge' if count == 1 else 'edges'}")


def _across(layout: Layout) -> Measure:
    """Whether all words are set to one side: words in the middle over words at the start read as two minds."""
    ways = {one.at.across for one in layout.regions.values() if not (one.picture or one.items)}
    mixed = len(ways) > 1 or (
        "center" in ways and any(one.items and one.at.columns() < COLUMNS for one in layout.regions.values())
    )
    middle = "center" in ways
    return Measure(
        "across",
        0.0 if mixed else 1.0,
        "words on two axes" if mixed else "words in the middle" if middle else "words at the start",
    )


def _lines(boxes: Sequence[Extent], phone: Mapping[str, Extent], headings: Sequence[str], running: Sequence[str]) -> Measure:
    """Headlines in few lines, running text of a good measure."""
    lines = {slot: told for box in boxes for slot, told in box.lines.items()}
    small = {slot: told for box in phone.values() for slot, told in box.lines.items()}
    heads = [lines[slot][0] for slot in headings if slot in lines]
    most = [max(count, small.get(slot, (0, 0.0))[0] - 1) for count, slot in zip(heads, headings, strict=False)]
    values = [1.0 if count <= 2 else 0.6 if count == 3 else 0.0 for count in most]
    texts = [lines[slot][1] for slot in running if slot in lines and lines[slot][0] > 1]
    low, high = _MEASURE
    values += [1.0 if low <= one <= high else max(0.0, 1 - (low - one if one < low else one - high) / 25) for one in texts]
    head = f"headline of {max(heads)} {'line' if max(heads) == 1 else 'lines'}" if heads else "no headline"
    said = f", {sum(texts) / len(texts):.0f} characters to a line" if texts else ""
    return Measure("lines", sum(values) / len(values) if values else 1.0, head + said)


def _white(desktop: Sequence[Seen], high: float, content: tuple[float, float], wanted: Wanted) -> Measure:
    """How much of a section is left white, against what the brand's character asks."""
    start, end = content
    covered = sum(min(one.wide, end - start) * one.box.filled for one in desktop)
    white = max(0.0, 1 - covered / max(1.0, (end - start) * high))
    return Measure("white", max(0.0, 1 - abs(white - wanted.white) / 0.35), f"{100 * white:.0f} % white")


def _balance(desktop: Sequence[Seen], content: tuple[float, float], wanted: Wanted) -> Measure:
    """How far from the middle the weight of what is drawn lies across, as a share of half the width."""
    start, end = content
    masses = [(_MASS.get(one.what, 0.5) * one.wide * max(1.0, one.box.filled), one) for one in desktop]
    whole = sum(mass for mass, _ in masses)
    if not whole:
        return Measure("balance", 0.0, "nothing drawn")
    middle = sum(mass * (one.box.start + one.wide / 2) for mass, one in masses) / whole
    off = (middle - (start + end) / 2) / ((end - start) / 2)
    value = 1 - max(0.0, abs(off) - wanted.lean) / 0.5
    side = "in balance" if abs(off) < 0.1 else f"weight {100 * abs(off):.0f} % off the middle"
    return Measure("balance", max(0.0, value), side)


def _hollow(desktop: Sequence[Seen], high: float, content: tuple[float, float]) -> Measure:
    """Holes beside what is higher: the area in a region's rows that it leaves empty although something stands beside it."""
    empty = 0.0
    for one in desktop:
        for other in desktop:
            meets = (
                other is not one
                and other.box.top < one.box.top + one.box.height
                and one.box.top < other.box.top + other.box.height
            )
            beside = meets and (
                other.box.start >= one.box.start + one.box.width - 1 or one.box.start >= other.box.start + other.box.width - 1
            )
            if beside:
                empty += max(0.0, min(other.box.height, high) - one.box.filled) * one.box.width if one.box.filled else 0.0
    share = empty / max(1.0, (content[1] - content[0]) * high)
    return Measure(
        "hollow", max(0.0, 1 - 2.2 * share), "no hole" if share < 0.05 else f"{100 * share:.0f} % stands empty beside something"
    )


def _pictures(desktop: Sequence[Seen]) -> Measure:
    """Whether pictures are neither strips nor slats: between 1:2 and 5:2, width to height (common practice)."""
    ratios = [one.box.width / max(1.0, one.box.height) for one in desktop if one.what == "picture"]
    off = max((max(one / 2.5, 0.5 / max(one, 0.01)) for one in ratios), default=0.0)
    seen = "no picture" if not ratios else "pictures of good proportions" if off <= 1 else "a picture is a strip"
    return Measure("pictures", 1.0 if off <= 1 else max(0.0, 1 - (off - 1) * 1.5), seen)


def _lead(desktop: Sequence[Seen], headings: Sequence[str], content: tuple[float, float]) -> Measure:
    """Whether what leads, the headline or a picture over it, is seen first: at the top, and on the side where reading starts."""
    first = min((one.box.top for one in desktop), default=0.0)
    head = next((one for one in desktop if any(slot in one.box.lines for slot in headings[:1])), None)
    if head is None:
        return Measure("lead", 0.5, "no headline")
    above = [one for one in desktop if one.box.top < head.box.top - 1 and one.what != "picture"]
    value = 1.0 if head.box.top <= first + 1 else 0.75 if not above else 0.3
    late = (head.box.start - content[0]) / (content[1] - content[0])
    value -= 0.25 * max(0.0, late - 0.35) / 0.65
    return Measure(
        "lead", value, "the headline leads" if value >= 0.9 else "a picture leads" if not above else "the headline comes late"
    )


def _phone(phone: Mapping[str, Extent], headings: Sequence[str]) -> Measure:
    """Whether the headline is on the first screen of a phone."""
    for box in phone.values():
        if any(slot in box.lines for slot in headings[:1]):
            foot = box.top + box.lines[headings[0]][0] * 40
            value = max(0.0, min(1.0, 1 - (foot - _SCREEN) / _SCREEN))
            return Measure(
                "phone", value, "words on a phone's first screen" if foot <= _SCREEN else "words below a phone's first screen"
            )
    return Measure("phone", 0.7, "no headline")
