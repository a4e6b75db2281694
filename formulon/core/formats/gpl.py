"""The .gpl palette: a text file with red, green, blue and a name a line."""

from formulon.core.system.identity import Identity


def write(identity: Identity) -> bytes:
    """The colours in eight bits with their names."""
    lines = ["GIMP Palette", f"Name: {' '.join(identity.name.split())}", "Columns: 4", "#"]
    for color in identity.colors:
        r, g, b = color.parsed.rgb
        lines.append(f"{r:3d} {g:3d} {b:3d}\t{' '.join(color.name.split())}")
    return ("\n".join(lines) + "\n").encode()
