"""Where the texts of a section stand on its picture, as the style sheet lays them out: the words at the foot of the box, from
the left. A browser test holds this against Chromium."""

from dataclasses import dataclass, replace

from formulon.core.site.behind import TextBlock
from formulon.core.site.geometry import GRID_FROM, action_size, box_of, box_width, content_width, px
from formulon.core.site.kind import Box
from formulon.core.site.model import PLACEHOLDER, Section
from formulon.core.site.setting import HEADINGS, set_in, step_of
from formulon.core.system.model import System
from formulon.core.type.emphasis import decoded, encoded
from formulon.core.type.fit import cased
from formulon.core.type.lines import balanced, broken


@dataclass(frozen=True, slots=True)
class Stand:
    """The box of a section in px, and each text that stands on its picture by slot."""

    width: int
    height: int
    texts: dict[str, TextBlock]


def least_height(viewport: float) -> float:
    """The least height in px of a section that a picture fills."""
    return min(max(480.0, 0.52 * viewport), 760.0)


def stand(system: System, section: Section, viewport: int, language: str = "en") -> Stand:
    """Where the texts stand at a viewport width."""
    layout = section.catalogue.layouts[section.layout]
    foot = px(system, "space/6" if viewport < GRID_FROM else "space/7", viewport)
    gap, content = px(system, "space/5", viewport), content_width(system, viewport)
    left = (viewport - content) / 2
    heights: list[float] = []
    blocks: list[tuple[str, TextBlock, int]] = []
    for slot in layout.on_picture:
        value = section.content.get(slot)
        if not value:
            continue
        value, scale = set_in(system, section, slot, value, language)
        name = step_of(section, slot)
        step, size = system.steps[name], system.steps[name].size(viewport) * scale
        room = box_width(system, box_of(section, slot, viewport), viewport, size)
        # Headings are balanced, unless they have breaks of their own.
        break_lines = balanced if name in HEADINGS and "\n" not in value else broken
        lines = tuple(
            decoded(line)
            for part in encoded(cased(PLACEHOLDER.sub(r"[\1]", value), step.case, language)).split("\n")
            for line in break_lines(step.family, step.weight, part, size, room, step.tracking, language)
        )
        block = TextBlock(lines, left, 0.0, step.family, step.weight, size, size * step.line_height, step.tracking)
        blocks.append((slot, block, len(heights)))
        heights.append(len(lines) * size * step.line_height)
    actions = _actions(system, section, viewport, language)
    if actions:
        heights.append(actions)
    inner = sum(heights) + gap * max(0, len(heights) - 1)
    height = max(least_height(viewport), inner + 2 * foot)
    top = height - foot - inner
    texts = {slot: replace(block, top=top + sum(heights[:index]) + gap * index) for slot, block, index in blocks}
    return Stand(viewport, round(height), texts)


def _actions(system: System, section: Section, viewport: int, language: str) -> float:
    """Height in px of the row of buttons, which wraps where they do not fit side by side; 0 without any."""
    room, gap = box_width(system, Box(), viewport, 0), px(system, "space/3", viewport)
    sizes = [
        action_size(system, slot.variant, value["label"], viewport, room, language)
        for name, slot in section.catalogue.slots.items()
        if slot.type == "action" and (value := section.content.get(name)) and value["label"]
    ]
    rows: list[list[tuple[float, float]]] = []
    for one in sizes:
        if rows and sum(w + gap for w, _ in rows[-1]) + one[0] <= room:
            rows[-1].append(one)
        else:
            rows.append([one])
    return sum(max(h for _, h in row) for row in rows) + gap * max(0, len(rows) - 1)
