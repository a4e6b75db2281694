"""How a text is set in its place: with soft hyphens where its language divides long words, and smaller where the longest word
of a headline would not fit its box. Pages are drawn by this, and what is predicted of them rests on it.
"""

from collections.abc import Iterator, Mapping
from functools import lru_cache

from formulon.core.site.geometry import Box, box_width, boxes_of, general
from formulon.core.site.kind import Kind
from formulon.core.site.layout import HEADINGS, Layout, class_of
from formulon.core.site.site import Section, Width
from formulon.core.site.values import PLACEHOLDER
from formulon.core.system.system import Step, System
from formulon.core.type.emphasis import encoded
from formulon.core.type.fit import cased, fit
from formulon.core.type.hyphens import hyphenated
from formulon.core.type.library import Family
from formulon.core.type.lines import widest_piece

BINDING = (320, 768, 1024, 1280)  # px of viewport; in each class of widths the first has the least room for its size of type
_BINDING = tuple((at, class_of(at)) for at in BINDING)
_WHOLE = 0.6  # as much smaller a headline may be before its words are divided instead
_DIVIDED = 0.75  # and as much smaller it is when they are, so that fewer of them are
_LEAST = 0.4
_SPARE = 0.99  # of the room; browsers round the widths of glyphs and boxes
_STEP = 0.05
MOST_LINES = 3  # of a headline (common practice); what grows keeps to it at every width


def step_of(section: Section, slot: str) -> str:
    """The step of a text slot ("heading", "items/0/title") in its section's layout."""
    return _step(section.catalogue, section.declared, general(slot))


@lru_cache(maxsize=4096)
def _step(kind: Kind, layout: Layout, slot: str) -> str:
    name, _, part = slot.partition("/")
    found = kind.slots[name]
    return layout.steps.get(slot, (found.items[part] if part else found).step)


def tag_of(section: Section, slot: str) -> str:
    """The element of a text slot. Titles of items are headings of the second level where their section has none itself, so that
    no level is left out (WCAG 2.2, technique G141)."""
    parts = slot.split("/")
    found = section.catalogue.slots[parts[0]]
    if len(parts) < 3:
        return found.tag
    tag = found.items[parts[2]].tag
    return "h2" if tag == "h3" and not section.content.get("heading") else tag


def set_in(system: System, section: Section, slot: str, text: str, language: str) -> tuple[str, float]:
    """A text as it is set in its slot: with its soft hyphens, and how large it is drawn, in sizes of its step."""
    name = step_of(section, slot)
    divided = hyphenated(text, language)
    if name not in HEADINGS:
        return divided, 1.0
    step = system.steps[name]
    found = boxes_of(section, slot)
    boxes = {at: box for at, width in _BINDING if (box := found[width])}
    if not boxes:
        return divided, 1.0
    rooms = tuple(round(box_width(system, box, at, step.size(at)) / step.size(at), 4) for at, box in boxes.items())
    grow = section.declared.grow.get(general(slot), 1.0)
    put, scale = _fitted(step.family, step.weight, step.tracking, step.case, text, divided, rooms, language, grow)
    for other in _beside(section, slot, found):
        asked = other, hyphenated(other, language), rooms, language, grow
        scale = min(scale, max(_WHOLE, _fitted(step.family, step.weight, step.tracking, step.case, *asked)[1]))
    return put, scale


def _beside(section: Section, slot: str, boxes: Mapping[Width, Box | None]) -> Iterator[str]:
    """The texts of the other items in boxes like that of a slot: titles in a row are of one size."""
    parts = slot.split("/")
    if len(parts) < 3:
        return
    for number, item in enumerate(section.content.get(parts[0]) or ()):
        other = item.get(parts[2])
        if other and number != int(parts[1]) and boxes_of(section, f"{parts[0]}/{number}/{parts[2]}") == boxes:
            yield other


@lru_cache(maxsize=16384)
def _fitted(
    family: Family, weight: int, tracking: float, case: str, text: str, divided: str, rooms: tuple[float, ...], language: str,
    grow: float,
) -> tuple[str, float]:  # fmt: skip
    """What of both is set, and how large; `rooms` are in em of the full size, one for each class of widths."""
    room = min(rooms) * _SPARE
    whole = room / _widest(family, weight, tracking, case, text, language)
    if whole > 1 < grow:
        drawn = encoded(cased(PLACEHOLDER.sub(r"[\1]", text), case, language))
        scale = int(min(grow, whole) / _STEP + 1e-9) * _STEP
        while scale > 1 and any(
            fit(family, weight, drawn, scale, one, tracking, language, True).lines > MOST_LINES for one in rooms
        ):
            scale -= _STEP
        return text, max(1.0, round(scale, 2))
    if whole >= _WHOLE or divided == text:
        return text, _stepped(whole)
    return divided, min(_DIVIDED, _stepped(room / _widest(family, weight, tracking, case, divided, language)))


def _widest(family: Family, weight: int, tracking: float, case: str, text: str, language: str) -> float:
    drawn = encoded(cased(PLACEHOLDER.sub(r"[\1]", text), case, language))
    return max((widest_piece(family, weight, part, 1.0, tracking, language) for part in drawn.split("\n")), default=0.0) or 1e-6


def _stepped(share: float) -> float:
    return 1.0 if share >= 1 else max(_LEAST, round(int(share / _STEP + 1e-9) * _STEP, 2))


def sized(step: Step, scale: float, widths: tuple[int, ...]) -> dict[int, float]:
    """The size in px of a text at viewport widths."""
    return {width: step.size(width) * scale for width in widths}
