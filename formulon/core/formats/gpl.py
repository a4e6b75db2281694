"""The .gpl palette: a text file with red, green, blue and a name a line."""

from formulon.core.system.identity import Identity


def write(identity: Identity) -> bytes:
    """The colours in eight bits with their names."""
    lines = ["GIMP Palette", f"Name: {_line(identity.name)}", "Columns: 4", "#"]
    for color in identity.colors:
        r, g, b = color.parsed.rgb
        lines.append(f"{r:3d} {g:3d} {b:3d}\t{_line(color.name)}")
    return ("\n".join(lines) + "\n").encode()


def _line(text: str) -> str:
    """The text on one line, without control characters."""
    return "".join(char for char in " ".join(text.split()) if char.isprintable())
