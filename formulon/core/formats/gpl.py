"""The .gpl palette: a text file with red, green, blue and a name a line."""

from collections.abc import Iterable

from formulon.core.color.srgb import RGB
from formulon.core.system.documents.identity import Identity


def write(identity: Identity) -> bytes:
    """An identity's colours."""
    return write_colors(identity.name, [(color.name, color.parsed.rgb) for color in identity.colors])


def write_colors(title: str, colors: Iterable[tuple[str, RGB]]) -> bytes:
    """Colours in eight bits with their names."""
    lines = ["GIMP Palette", f"Name: {_line(title)}", "Columns: 4", "#"]
    for name, (r, g, b) in colors:
        lines.append(f"{r:3d} {g:3d} {b:3d}\t{_line(name)}")
    return ("\n".join(lines) + "\n").encode()


def _line(text: str) -> str:
    """The text on one line, without control characters."""
    return "".join(char for char in " ".join(text.split()) if char.isprintable())
