"""What a slot can hold, one type a file, found by walking this folder. Whoever handles a slot asks its type; nobody asks which
type it is. The interface has an editor for each under the same name."""

from importlib import import_module
from pkgutil import iter_modules

from formulon.core.site.slot_types.base import SlotType

TYPES: dict[str, SlotType] = {}


class SlotTypeError(ValueError):
    """A slot type that cannot be taken in."""


def take_in(name: str, slot_type: object) -> None:
    """Adds a slot type. Raises SlotTypeError for a name that is taken and for what is no slot type."""
    if not isinstance(slot_type, SlotType):
        raise SlotTypeError(f"The slot type {name} is none: it does not derive from SlotType.")
    if name in TYPES:
        raise SlotTypeError(f"There is a slot type {name} already.")
    TYPES[name] = slot_type


for _one in iter_modules(__path__):
    if _one.name != "base":
        take_in(_one.name, import_module(f"{__name__}.{_one.name}").TYPE)
