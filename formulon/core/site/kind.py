"""What a section kind is: its slots and its layouts, as data.

A layout says for each text slot how wide its box is, so that lines can be predicted without a browser. Boxes are in
columns of the 12-column grid from 768 px on; below, everything is one column.
"""

from dataclasses import dataclass, field
from typing import Literal

SlotType = Literal["text", "action", "picture", "items"]


@dataclass(frozen=True, slots=True)
class Slot:
    """A place for content. Texts have the tag, step and ink that they are set in on every layout."""

    label: str
    type: SlotType = "text"
    tag: str = "p"
    step: str = "body"
    ink: str = "body"
    variant: str = "primary"  # of an action
    most: int = 600
    items: dict[str, "Slot"] = field(default_factory=dict)


@dataclass(frozen=True, slots=True)
class Box:
    """Width of a text's box: grid columns, px taken off on both sides together by space tokens, and a cap in em."""

    columns: float = 12
    inset: tuple[str, ...] = ()  # names of space tokens, or paths of others, each taken off once
    most_em: float | None = None  # max-width in em of the text's own size


@dataclass(frozen=True, slots=True)
class Among:
    """Boxes of some items' slots ("title"): of the item at `index`, where there are `counts` items; without them, of any."""

    boxes: dict[str, Box]
    index: int | None = None
    counts: tuple[int, ...] = ()


@dataclass(frozen=True, slots=True)
class Layout:
    """A composition of a kind. `steps` overrides the step of a slot; `card` names the slots on an inset card of another
    ground, `on_picture` those that stand on the section's picture, over an overlay in the ground's colour."""

    label: str
    about: str
    boxes: dict[str, Box]
    steps: dict[str, str] = field(default_factory=dict)
    card: tuple[str, ...] = ()  # slots that stand on a card of another ground
    phone_boxes: dict[str, Box] = field(default_factory=dict)
    tablet_boxes: dict[str, Box] = field(default_factory=dict)  # below 1024 px of viewport, before `boxes`
    on_picture: tuple[str, ...] = ()
    among: tuple[Among, ...] = ()  # the first that holds for an item goes before `boxes`
    tablet: tuple[Among, ...] = ()  # the same below 1024 px of viewport, before those


@dataclass(frozen=True, slots=True)
class Kind:
    """A section kind."""

    label: str
    slots: dict[str, Slot]
    layouts: dict[str, Layout]
    ground: str = "paper"


def card_ground(ground: str) -> str:
    """The ground of an inset card that stands on a section's ground."""
    return "tint" if ground in ("paper", "navigation") else "paper"
