"""The catalogue of section kinds, found by walking the folder `kinds`: what a kind is lies in a folder of its own, and is said
nowhere else. `kind.py` holds its slots and layouts; `section.html` draws parts that are no slots, and `section.css` says how parts
look, where a kind has any such thing."""

import re
from functools import cache
from importlib import import_module
from pathlib import Path
from pkgutil import iter_modules

from formulon.core.site import kinds
from formulon.core.site.declaration import faults
from formulon.core.site.kind import Kind

FOLDER = Path(__file__).parent / "kinds"


class DeclarationError(ValueError):
    """A kind that does not hold together."""


def parts_drawn(folder: Path) -> frozenset[str]:
    """The parts that a kind's template draws: its macros."""
    file = folder / "section.html"
    return frozenset(re.findall(r"{%-? *macro +(\w+)\(", file.read_text(encoding="utf-8"))) if file.exists() else frozenset()


def take_in(name: str, kind: Kind, folder: Path) -> Kind:
    """A kind, once it is known to hold together. Raises DeclarationError."""
    wrong = faults(kind, parts_drawn(folder))
    if wrong:
        raise DeclarationError(f"The section kind {name} does not hold together: " + " ".join(wrong))
    return kind


def _found() -> dict[str, Kind]:
    """Every kind by the name of its folder."""
    names = sorted(one.name for one in iter_modules(kinds.__path__) if one.ispkg)
    return {name: take_in(name, import_module(f"{kinds.__name__}.{name}.kind").KIND, FOLDER / name) for name in names}


CATALOGUE = _found()


@cache
def kind_css(kind: str) -> str:
    """How a kind's parts look, where it has anything of its own; where they stand is in its layouts."""
    return kind_file(kind, "section.css")


def kind_file(kind: str, name: str) -> str:
    """A style sheet of a kind by its name; empty where it has none."""
    file = FOLDER / kind / name
    return file.read_text(encoding="utf-8") if file.exists() else ""
