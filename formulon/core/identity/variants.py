"""Variants of a mark from its own shapes: reversed, in a single ink, trimmed, turned; and marks built from a name.

What is made is offered, never forced. Every result goes through the same allow-list as an uploaded file.
"""

import hashlib
import math
from collections.abc import Callable
from dataclasses import dataclass
from typing import Literal

from lxml import etree

from formulon.core.color.contrast import contrast_ratio
from formulon.core.color.parse import parse_color
from formulon.core.color.srgb import RGB, to_hex
from formulon.core.errors import ColorError, MarkError
from formulon.core.identity.svg import ReadMark, parse, rebuild
from formulon.core.system.documents.identity import Mark
from formulon.core.system.facets.mark_shapes import shape_of
from formulon.core.type.library import Family
from formulon.core.type.outlines import outline

MOST_CUT = 0.95  # of a side's length
SEEN = 3.0  # ratio from which a part of a mark is seen (common practice; WCAG exempts logotypes)
_PAINTS = ("fill", "stroke", "stop-color", "color")


@dataclass(frozen=True, slots=True)
class MadeMark:
    """A mark that could be taken, with what it is and a sentence on how it was made."""

    name: str
    kind: Literal["full", "symbol", "wordmark"]
    meant_for: Literal["any", "light", "dark"]
    svg: str
    why: str


def recolored(svg: str, change: Callable[[RGB], RGB]) -> str:
    """The mark with every colour changed. What states no colour is black, as SVG has it."""
    root = parse(svg.encode(), "mark")
    for node in root.iter():
        for paint in _PAINTS:
            value = node.get(paint)
            if value and value not in ("none", "currentColor", "inherit", "transparent") and not value.startswith("url("):
                try:
                    node.set(paint, to_hex(change(parse_color(value).rgb)))
                except ColorError:
                    continue
    if root.get("fill") is None:
        root.set("fill", to_hex(change((0, 0, 0))))
    return _again(root)


def reversed_mark(mark: Mark, ground: RGB, ink: RGB) -> MadeMark:
    """The mark for a dark ground: colours that cannot be seen there turn to the ink, the others stay."""
    svg = recolored(mark.svg, lambda rgb: rgb if contrast_ratio(rgb, ground) >= SEEN else ink)
    why = f"Colours below {SEEN:g}:1 on {to_hex(ground)} turn to {to_hex(ink)}; the others stay."
    return MadeMark(f"{mark.name}, reversed"[:80], mark.kind, "dark", svg, why)


def single_ink(mark: Mark, ink: RGB, meant_for: Literal["light", "dark"]) -> MadeMark:
    """The mark in one ink. Parts that lie over one another melt together, so it has to be looked at."""
    svg = recolored(mark.svg, lambda _: ink)
    why = f"Everything in {to_hex(ink)}. Parts that overlap melt together: look at it before it is taken."
    return MadeMark(f"{mark.name}, one ink"[:80], mark.kind, meant_for, svg, why)


def trimmed(svg: str, name: str) -> ReadMark:
    """The mark without the empty margin of its box."""
    root = parse(svg.encode(), name)
    x, y, width, height = (float(value) for value in root.get("viewBox", "0 0 1 1").split())
    left, top, right, bottom = shape_of(svg, width, height).box
    box = (x + left * width, y + top * height, (right - left) * width, (bottom - top) * height)
    root.set("viewBox", " ".join(f"{value:.4g}" for value in box))
    return rebuild(etree.tostring(root), name)


def turned(svg: str, name: str) -> ReadMark:
    """The mark turned by a quarter, clockwise."""
    root = parse(svg.encode(), name)
    x, y, width, height = (float(value) for value in root.get("viewBox", "0 0 1 1").split())
    group = etree.Element("{http://www.w3.org/2000/svg}g")
    group.set("transform", f"translate({height + y:g} {-x:g}) rotate(90)")
    group.extend(list(root))
    root.append(group)
    root.set("viewBox", f"0 0 {height:g} {width:g}")
    return rebuild(etree.tostring(root), name)


@dataclass(frozen=True, slots=True)
class Adjustment:
    """A turn in degrees, clockwise, about the middle of a mark; then what is cut off each side, as a share of the turned box."""

    turn: float = 0.0
    left: float = 0.0
    top: float = 0.0
    right: float = 0.0
    bottom: float = 0.0


def adjusted(svg: str, name: str, by: Adjustment) -> ReadMark:
    """The mark turned and cropped. Raises MarkError where nothing would be left of its box."""
    if by.left + by.right > MOST_CUT or by.top + by.bottom > MOST_CUT:
        raise MarkError(f"{name}: that much cut off leaves nothing of it. Cut less.")
    root = parse(svg.encode(), name)
    x, y, width, height = (float(value) for value in root.get("viewBox", "0 0 1 1").split())
    angle = math.radians(by.turn)
    wide = width * abs(math.cos(angle)) + height * abs(math.sin(angle))
    high = width * abs(math.sin(angle)) + height * abs(math.cos(angle))
    middle_x, middle_y = x + width / 2, y + height / 2
    if by.turn:
        group = etree.Element("{http://www.w3.org/2000/svg}g")
        group.set("transform", f"rotate({by.turn:g} {middle_x:g} {middle_y:g})")
        group.extend(list(root))
        root.append(group)
    box = (
        middle_x - wide / 2 + by.left * wide,
        middle_y - high / 2 + by.top * high,
        wide * (1 - by.left - by.right),
        high * (1 - by.top - by.bottom),
    )
    root.set("viewBox", " ".join(f"{value:.5g}" for value in box))
    return rebuild(etree.tostring(root), name)


def _again(root: etree._Element) -> str:
    return rebuild(etree.tostring(root), "mark").svg


def built(name: str, family: Family, weight: int, ink: RGB, accent: RGB, paper: RGB) -> list[MadeMark]:
    """Three marks for a brand that has none, from the outlines of its name and one motif each."""
    look, near = family.measured, family.nearest_weight(weight)
    size = 40.0
    accent = accent if contrast_ratio(accent, paper) >= SEEN else ink  # a motif that is not seen is none
    cap = look.cap_height * size
    initial = next((char for char in name if char.isalnum()), "•").upper()
    word, wide = outline(name, family, near, size, 0, cap)
    down = -look.descender * size * 0.7
    made = [_svg(wide, cap + down, f'<path fill="{to_hex(ink)}" d="{word}"/>')]
    # An initial in a disc, beside the name.
    letter, letter_wide = outline(initial, family, near, size * 0.8, 0, 0)
    disc = (
        f'<circle cx="30" cy="30" r="30" fill="{to_hex(accent)}"/>'
        f'<path fill="{to_hex(_on(accent, ink, paper))}" transform="translate({30 - letter_wide / 2:.2f} {30 + 0.4 * cap:.2f})" d="{letter}"/>'
    )
    beside, beside_wide = outline(name, family, near, size, 74, 30 + cap / 2)
    made.append(_svg(74 + beside_wide, 60, f'{disc}<path fill="{to_hex(ink)}" d="{beside}"/>'))
    # A motif of arcs, turned by the name, beside it.
    turn = int(hashlib.sha256(name.encode()).hexdigest(), 16) % 4 * 90
    arcs = "".join(
        f'<path fill="none" stroke="{to_hex(color)}" stroke-width="8" d="M{30 - r} 43a{r} {r} 0 0 1 {2 * r} 0"/>'
        for r, color in ((26, ink), (14, accent))
    )
    motif = f'<g transform="rotate({turn} 30 30)">{arcs}</g>'
    made.append(_svg(74 + beside_wide, 60, f'{motif}<path fill="{to_hex(ink)}" d="{beside}"/>'))
    told = (
        ("Name", "wordmark", "The name in the heading typeface, as outlines."),
        ("Initial and name", "full", "The initial in a disc of the brand's colour, beside the name."),
        ("Arcs and name", "full", "Two arcs in the brand's colours, beside the name."),
    )
    return [
        MadeMark(label, kind, "light", rebuild(svg.encode(), label).svg, why)  # type: ignore[arg-type]
        for svg, (label, kind, why) in zip(made, told, strict=True)
    ]


def _on(ground: RGB, ink: RGB, paper: RGB) -> RGB:
    return max((ink, paper), key=lambda color: contrast_ratio(color, ground))


def _svg(width: float, height: float, inside: str) -> str:
    return f'<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 {width:.2f} {height:.2f}">{inside}</svg>'
