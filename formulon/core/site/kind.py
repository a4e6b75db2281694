"""What a section kind is: its slots and its layouts, as data."""

from collections.abc import Mapping
from dataclasses import dataclass, field

from formulon.core.site.layout import Layout
from formulon.core.site.slot_types import TYPES
from formulon.core.site.slot_types.base import SlotType


@dataclass(frozen=True, slots=True)
class Slot:
    """A place for content. Texts have the tag, step and ink that they are set in on every layout."""

    label: str
    type: str = "text"  # a name in slot_types
    tag: str = "p"
    step: str = "body"
    ink: str = "body"
    variant: str = "primary"  # of an action
    most: int = 600
    items: dict[str, "Slot"] = field(default_factory=dict)
    one: str = ""  # what an item is called
    spare: bool = False  # not every layout shows it; what it holds is kept for those that do

    @property
    def of(self) -> SlotType:
        """The type itself."""
        return TYPES[self.type]


@dataclass(frozen=True, slots=True)
class Usual:
    """What the trade takes for the right measure of a kind (common practice). Nothing is asked where it is zero or empty."""

    least: int = 0  # items
    most: int = 0
    rows: int = 0  # of items on a desktop
    even: bool = False  # their number
    sentences: Mapping[str, int] = field(default_factory=dict)  # the most of them in a slot
    alike: str = ""  # the slot of items whose texts are about as long, where they stand side by side
    first: tuple[str, ...] = ()  # slots of items: what others have of them, the first has, too


@dataclass(frozen=True, slots=True, eq=False)
class Kind:
    """A section kind. `tag` is its element; `motif_first` has the brand motif stand before its parts."""

    label: str
    slots: Mapping[str, Slot]
    layouts: Mapping[str, Layout]
    needs: str = ""  # what it is looked for by, in a designer's words
    ground: str = "paper"
    tag: str = "section"
    motif_first: bool = False
    usual: Usual = Usual()

    def has(self, path: str) -> bool:
        """Whether a part that a layout draws is a slot, "heading" or "items/title"."""
        slot, _, item = path.partition("/")
        return slot in self.slots and (not item or item in self.slots[slot].items)

    def slot(self, path: str) -> Slot:
        """The slot of that path."""
        slot, _, item = path.partition("/")
        return self.slots[slot].items[item] if item else self.slots[slot]


def card_ground(ground: str) -> str:
    """The ground of an inset card that stands on a section's ground."""
    return "tint" if ground in ("paper", "navigation") else "paper"
