"""Icons: line drawings on a grid of 24, whose stroke, corners and colour are the system's."""

import json
from functools import cache
from pathlib import Path

from markupsafe import Markup

_FILE = Path(__file__).parent / "icons.json"


@cache
def shapes() -> dict[str, str]:
    """The shapes of every icon by name, as SVG."""
    found: dict[str, str] = json.loads(_FILE.read_text(encoding="utf-8"))
    return found


def icon(name: str) -> Markup:
    """An icon that says nothing by itself, in the colour of the text around it. Raises KeyError."""
    return Markup('<svg class="icon" viewBox="0 0 24 24" aria-hidden="true">{}</svg>').format(Markup(shapes()[name]))
