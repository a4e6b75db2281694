"""What every slot type answers."""

from abc import ABC, abstractmethod
from collections.abc import Iterator
from typing import TYPE_CHECKING, Any, Literal, Protocol

from markupsafe import Markup

from formulon.core.system.documents.identity import CONTROLS

if TYPE_CHECKING:
    from formulon.core.site.kind import Slot
    from formulon.core.site.render import View
    from formulon.core.site.site import Section


class Work(Protocol):
    """What prediction does for a slot type; see checks/predict.py. A place is one of checks/facts.py, and so is what is told."""

    def words(self, place: Any, label: str, text: str) -> Any:
        """The raw text of a slot."""

    def text(self, place: Any, section: "Section", slot: "Slot", value: str, ground: str, indent: float = 0.0) -> Iterator[Any]:
        """A text in its box, narrower by an indent in em."""

    def loose(self, place: Any, text: str, step: str, ground: str, ink: str) -> Iterator[Any]:
        """A text whose box cannot be told without a browser."""

    def link(self, place: Any, slot: "Slot", label: str, to: str, ground: str) -> Iterator[Any]:
        """A link within a text."""

    def action(self, place: Any, section: "Section", slot: "Slot", value: dict[str, Any], ground: str) -> Iterator[Any]:
        """A button or a link of its own."""

    def form(self, place: Any, section: "Section", slot: "Slot", value: dict[str, Any], ground: str) -> Iterator[Any]:
        """A form: whom it is sent to, and its button."""

    def alive(self, to: str) -> bool:
        """Whether a destination leads anywhere that is known."""

    def noted(self, to: str) -> str:
        """What stands after the label of a link to a file."""

    def picture(self, place: Any, value: dict[str, Any]) -> Any:
        """A picture."""

    def code(self, place: Any, section: "Section", slot: "Slot", value: dict[str, str], ground: str) -> Iterator[Any]:
        """The designer's own HTML and CSS."""


class SlotType(ABC):
    """A type of slot. Values are plain data, as a document stores them."""

    set_in_type = False  # one text in one step of the scale, whose lines are told by its box
    picture = False  # a picture, which stands in a region with proportions
    collection = False  # a list of items that have slots of their own
    high = 0.0  # its height in em of running text, where it is always the same
    drawn_as: Literal["text", "picture", "button", "block"] = "block"  # in a layout's sketch

    @abstractmethod
    def validate(self, slot: "Slot", value: Any) -> Any:
        """The value in the form in which it is stored. Raises ValueError, in a sentence for people."""

    @abstractmethod
    def blank(self, slot: "Slot") -> Any:
        """What a slot holds when it is added: a visible mark of what is still to be written, or what can be shown at once."""

    @abstractmethod
    def render(self, view: "View", section: "Section", path: str, slot: "Slot") -> Markup:
        """The slot as HTML; nothing where there is nothing to show."""

    @abstractmethod
    def facts(self, work: Work, place: Any, section: "Section", slot: "Slot", value: Any, ground: str) -> Iterator[Any]:
        """What is known of it without a browser."""

    def words(self, value: Any) -> Iterator[str]:
        """The texts for people that it holds."""
        yield from ()

    def filled(self, value: Any) -> bool:
        """Whether there is anything to show."""
        return bool(value)

    def group(self, slot: "Slot") -> str:
        """The class of the element in which slots of this type that follow one another stand together; empty for none."""
        return ""

    def parts(self, value: Any) -> tuple[str, ...]:
        """The parts of the style sheet that it is drawn with (site/sheets.py)."""
        return ()

    def inner(self, name: str, slot: "Slot", value: Any) -> "Iterator[tuple[str, Slot, Any]]":
        """The slots that it is made of, by path: itself, or those of its items."""
        if self.filled(value):
            yield name, slot, value


def text_of(slot: "Slot", value: Any) -> str:
    """A value that is a text of at most as many characters as its slot takes, without control characters."""
    if not isinstance(value, str) or len(value) > slot.most:
        raise ValueError(f"{slot.label} takes a text of at most {slot.most} characters.")
    return CONTROLS.sub("", value).strip()
