"""The catalogue of section kinds, found by walking the folder `kinds`: what a kind is lies in a folder of its own, and is said
nowhere else. `kind.py` holds its slots and layouts, `section.html` its parts, `section.css` how they look and stand."""

from collections.abc import Mapping
from functools import cache
from importlib import import_module
from pathlib import Path
from pkgutil import iter_modules

from formulon.core.site import kinds
from formulon.core.site.kind import Kind

FOLDER = Path(__file__).parent / "kinds"


def _found() -> Mapping[str, Kind]:
    """Every kind by the name of its folder."""
    names = sorted(one.name for one in iter_modules(kinds.__path__) if one.ispkg)
    return {name: import_module(f"{kinds.__name__}.{name}.kind").KIND for name in names}


CATALOGUE = _found()


@cache
def kind_css(kind: str) -> str:
    """The style sheet of a kind."""
    return (FOLDER / kind / "section.css").read_text(encoding="utf-8")
