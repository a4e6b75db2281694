"""What a section kind is: its slots and its layouts, as data."""

from collections.abc import Mapping
from dataclasses import dataclass, field
from typing import Literal

from formulon.core.site.layout import Layout

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


@dataclass(frozen=True, slots=True, eq=False)
class Kind:
    """A section kind. `tag` is its element; `motif_first` has the brand motif stand before its parts."""

    label: str
    slots: Mapping[str, Slot]
    layouts: Mapping[str, Layout]
    ground: str = "paper"
    tag: str = "section"
    motif_first: bool = False


def card_ground(ground: str) -> str:
    """The ground of an inset card that stands on a section's ground."""
    return "tint" if ground in ("paper", "navigation") else "paper"
