"""An identity's colours, typefaces and measures as CSS custom properties."""

from formulon.core.formats.scss import comment
from formulon.core.system.documents.identity import Identity, slug
from formulon.core.type.library import Library


def write(identity: Identity, library: Library) -> bytes:
    """One :root rule. Values are checked by the models and names are slugs, so nothing in it can break out."""
    lines = [f"/* {comment(identity.name)} */", ":root {"]
    for color in identity.colors:
        lines.append(f"  --color-{color.id}: {color.parsed.hex};")
    lines.append(f"  --font-heading: {library.family(identity.typefaces.heading).stack};")
    lines.append(f"  --font-body: {library.family(identity.typefaces.body).stack};")
    names: dict[str, int] = {}
    for measure in identity.measures:
        base = f"{slug(measure.measure)}-{slug(measure.name, f'{measure.px:g}'.replace('.', '-'))}"
        names[base] = names.get(base, 0) + 1
        end = f"-{names[base]}" if names[base] > 1 else ""
        lines.append(f"  --{base}{end}: {measure.px:g}px;")
    for number, gradient in enumerate(identity.gradients, 1):
        lines.append(f"  --gradient-{number}: {gradient};")
    return ("\n".join([*lines, "}"]) + "\n").encode()
