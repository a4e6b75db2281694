"""The catalogue of section kinds, found by walking the folder `kinds`: what a kind is lies in a folder of its own, and is said
nowhere else. `kind.py` holds its slots and layouts; `section.html` draws parts that are no slots, `section.css` says how parts
look, and `<layout>.css` what one layout draws beside, where a kind has any such thing."""

import re
from functools import cache, lru_cache
from hashlib import blake2b
from importlib.util import module_from_spec, spec_from_file_location
from pathlib import Path

from formulon.core.site import kinds
from formulon.core.site.composition import OWN, composed
from formulon.core.site.declaration import faults, layout_faults
from formulon.core.site.kind import Kind
from formulon.core.site.layout import Layout

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


def add(folder: Path) -> Kind:
    """Takes in the kind that lies in a folder, under the folder's name. Raises DeclarationError, also for a name that is taken."""
    name = folder.name
    if name in CATALOGUE:
        raise DeclarationError(f"There is a section kind {name} already.")
    spec = spec_from_file_location(f"{kinds.__name__}.{name}.kind", folder / "kind.py")
    if spec is None or spec.loader is None:
        raise DeclarationError(f"{folder} has no kind.py.")
    module = module_from_spec(spec)
    spec.loader.exec_module(module)
    CATALOGUE[name], FOLDERS[name] = take_in(name, module.KIND, folder), folder
    return CATALOGUE[name]


CATALOGUE: dict[str, Kind] = {}
FOLDERS: dict[str, Path] = {}
for _kind in sorted(FOLDER.iterdir()):
    if (_kind / "kind.py").exists():
        add(_kind)


def layout_of(kind: Kind, name: str) -> Layout:
    """A layout of a kind by its name: one that is declared, or one that its name says (composition.py). Raises DeclarationError."""
    return kind.layouts.get(name) or _own(kind, name)


@lru_cache(maxsize=4096)
def _own(kind: Kind, name: str) -> Layout:
    if not name.startswith(OWN):
        raise DeclarationError(f"{kind.label} has no layout “{name[:60]}”. Layouts: {', '.join(kind.layouts)}.")
    try:
        made = composed(kind, name)
    except ValueError as error:
        raise DeclarationError(str(error)) from error
    wrong = list(layout_faults(kind, made))
    if wrong:
        raise DeclarationError(f"The composition does not hold together: {wrong[0]}")
    return made


def class_of_layout(name: str) -> str:
    """What a layout is called in markup and style sheets."""
    return f"own-{blake2b(name.encode(), digest_size=4).hexdigest()}" if name.startswith(OWN) else name


@cache
def kind_css(kind: str, layout: str = "section") -> str:
    """How a kind's parts look, or those of one of its layouts, where it has anything of its own; where they stand is declared."""
    return kind_file(kind, f"{layout}.css")


def kind_file(kind: str, name: str) -> str:
    """A file of a kind by its name; empty where it has none."""
    folder = FOLDERS.get(kind)
    file = folder / name if folder else None
    return file.read_text(encoding="utf-8") if file and file.exists() else ""
