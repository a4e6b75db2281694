"""Widths of boxes at a viewport width, from the tokens and the catalogue, as the style sheet lays them out."""

import math

from formulon.core.site.kind import Box
from formulon.core.site.model import Section
from formulon.core.system.model import System
from formulon.core.type.fit import cased
from formulon.core.type.lines import line_count, text_width

GRID_FROM = 768  # px of viewport from which the 12 columns stand side by side
WIDE_FROM = 1024  # and below it cards stand in two columns at most
COLUMNS = 12
_WHOLE = Box()


def px(system: System, path: str, viewport: float) -> float:
    """A dimension token in px at a viewport width, fluid between 360 and 1280 px."""
    value = system.tokens[path].value
    if "value" in value:
        return float(value["value"])
    share = min(1.0, max(0.0, (viewport - 360) / (1280 - 360)))
    return float(value["small"] + (value["large"] - value["small"]) * share)


def content_width(system: System, viewport: float) -> float:
    """Width in px of a section's content."""
    return min(px(system, "space/container", viewport), viewport - 2 * px(system, "space/gutter", viewport))


def box_of(section: Section, slot: str, viewport: float) -> Box:
    """The box of a slot ("heading", "items/0/title") in the section's layout."""
    layout, parts = section.catalogue.layouts[section.layout], slot.split("/")
    name = f"{parts[0]}/{parts[-1]}" if len(parts) == 3 else slot
    if viewport < GRID_FROM:
        return layout.phone_boxes.get(name, _WHOLE)
    if len(parts) == 3:
        count, index = len(section.content[parts[0]]), int(parts[1])
        for among in (*layout.tablet, *layout.among) if viewport < WIDE_FROM else layout.among:
            if among.index in (None, index) and (not among.counts or count in among.counts) and parts[2] in among.boxes:
                return among.boxes[parts[2]]
    if viewport < WIDE_FROM and name in layout.tablet_boxes:
        return layout.tablet_boxes[name]
    return layout.boxes.get(name, _WHOLE)


def box_width(system: System, box: Box, viewport: float, size: float) -> float:
    """Width in px of a text's box; `size` is the text's size in px."""
    content = content_width(system, viewport)
    columns = box.columns if viewport >= GRID_FROM else COLUMNS
    gap = px(system, "space/4", viewport)
    width = (content + gap) * columns / COLUMNS - gap
    width -= sum(px(system, name if "/" in name else f"space/{name}", viewport) for name in box.inset)
    return min(width, box.most_em * size) if box.most_em else width


def action_size(
    system: System,
    variant: str,
    label: str,
    viewport: float,
    room: float = math.inf,
    language: str = "en",
    arrow: bool = False,
    small: bool = False,
) -> tuple[float, float]:
    """Width and height in px of a button or a text button. Its label wraps where it is wider than the room."""
    step = system.steps["label"]
    label = cased(label, step.case, language)
    size = step.size(viewport)
    plain = variant == "text"
    border = 0.0 if plain else 2 * px(system, "shape/border", 360)
    kind = "button/small-" if small else "button/"
    block = px(system, "link/padding-block" if plain else f"{kind}padding-block", 360)
    inline = (0.0 if plain else px(system, f"{kind}padding-inline", 360)) * 2 * size + border
    least = px(system, "button/least", 360)
    inline += 1.75 * size if arrow else 0.0  # the arrow is 1.25 em wide, half an em from the label
    wide, lines = text_width(step.family, step.weight, label, size, step.tracking) + inline, 1
    if wide > room:
        wide, lines = room, line_count(step.family, step.weight, label, size, room - inline, step.tracking)
    return max(least, wide), max(least, size * (max(lines * step.line_height, 1.25 if arrow else 0) + 2 * block) + border)
