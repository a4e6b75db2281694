"""Where the texts of a section stand on its picture, by the declaration of the layout: as high as the lines of the texts before
them and the height of the section make it. A browser test holds this against Chromium."""

from dataclasses import dataclass, replace

from formulon.core.site.behind import TextBlock
from formulon.core.site.geometry import SHIFT, action_size, box_of, box_start, box_width, px
from formulon.core.site.layout import HEADINGS, Layout, Region, class_of
from formulon.core.site.setting import set_in, step_of
from formulon.core.site.site import Section
from formulon.core.site.values import PLACEHOLDER, variant_of
from formulon.core.system.system import System
from formulon.core.type.emphasis import decoded, encoded
from formulon.core.type.fit import cased
from formulon.core.type.lines import balanced, broken


@dataclass(frozen=True, slots=True)
class Stand:
    """The box of a section in px, and each text that stands on its picture by slot."""

    width: int
    height: int
    texts: dict[str, TextBlock]


@dataclass(frozen=True, slots=True)
class _Stack:
    """A region's texts, the top of each counted from the region's own, and its height in px."""

    texts: dict[str, TextBlock]
    height: float


def stand(system: System, section: Section, viewport: int, language: str = "en") -> Stand:
    """Where the texts stand at a viewport width."""
    layout, width = section.declared, class_of(viewport)
    frame = layout.frame_at(width)
    stacks = [_stack(system, section, region, viewport, language) for region in _standing(layout)]
    stacks = [one for one in stacks if one.height]
    gap = _px(system, frame.gap, viewport)
    inner = sum(one.height for one in stacks) + gap * max(0, len(stacks) - 1)
    over, under = (_px(system, space, viewport) for space in (frame.top, frame.bottom))
    height = max(frame.least_height(viewport), inner + over + under)
    top = over + SHIFT[frame.content] * (height - over - under - inner)
    texts: dict[str, TextBlock] = {}
    for one in stacks:
        texts |= {slot: replace(block, top=block.top + top) for slot, block in one.texts.items()}
        top += one.height + gap
    return Stand(viewport, round(height), texts)


def _standing(layout: Layout) -> list[Region]:
    return [one for one in layout.regions.values() if not (one.behind or one.card or one.items)]


def _stack(system: System, section: Section, region: Region, viewport: int, language: str) -> _Stack:
    """What a region holds, from its own top."""
    place = region.place(class_of(viewport))
    gap, top = _px(system, place.gap, viewport), _px(system, place.above, viewport)
    texts: dict[str, TextBlock] = {}
    there = 0
    for slot in region.slots:
        value = section.content.get(slot)
        if not value or not section.catalogue.slots[slot].of.set_in_type:
            continue
        block = _block(system, section, slot, value, viewport, language)
        if block is None:
            continue
        top += gap if there else 0.0
        texts[slot] = replace(block, top=top)
        top, there = top + len(block.lines) * block.line_height, there + 1
    actions = _actions(system, section, region, viewport, language)
    if actions:
        top, there = top + actions + (gap if there else 0.0), there + 1
    return _Stack(texts, top + _px(system, place.below, viewport) if there else 0.0)


def _block(system: System, section: Section, slot: str, value: str, viewport: int, language: str) -> TextBlock | None:
    """The lines of a text."""
    value, scale = set_in(system, section, slot, value, language)
    name = step_of(section, slot)
    step, size = system.steps[name], system.steps[name].size(viewport) * scale
    box = box_of(section, slot, viewport)
    if box is None:
        return None
    room = box_width(system, box, viewport, size)
    # Headings are balanced, unless they have breaks of their own.
    break_lines = balanced if name in HEADINGS and "\n" not in value else broken
    lines = tuple(
        decoded(line)
        for part in encoded(cased(PLACEHOLDER.sub(r"[\1]", value), step.case, language)).split("\n")
        for line in break_lines(step.family, step.weight, part, size, room, step.tracking, language)
    )
    left = box_start(system, box, viewport, size)
    return TextBlock(lines, left, 0.0, step.family, step.weight, size, size * step.line_height, step.tracking, box.shift, room)


def _px(system: System, space: str, viewport: int) -> float:
    return px(system, f"space/{space}", viewport) if space else 0.0


def _actions(system: System, section: Section, region: Region, viewport: int, language: str) -> float:
    """Height in px of the row of buttons, which wraps where they do not fit side by side; 0 without any."""
    gap, slots = px(system, "space/3", viewport), section.catalogue.slots
    names = [
        name for name in region.slots if slots[name].of.group(slots[name]) and slots[name].of.filled(section.content.get(name))
    ]
    box = box_of(section, names[0], viewport) if names else None
    if box is None:
        return 0.0
    room = box.width.px(system, viewport)
    rows: list[list[tuple[float, float]]] = []
    for name in names:
        value = section.content[name]
        one = action_size(system, variant_of(slots[name].variant, value), value["label"], viewport, room, language)
        if rows and sum(w + gap for w, _ in rows[-1]) + one[0] <= room:
            rows[-1].append(one)
        else:
            rows.append([one])
    return sum(max(h for _, h in row) for row in rows) + gap * max(0, len(rows) - 1)
