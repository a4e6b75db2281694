"""Writing a system as CSS custom properties. Values are typed tokens, never text out of a document."""

from functools import cache

from formulon.core.system.buttons import PARTS, STATES, VARIANTS
from formulon.core.system.choices import GROUNDS, INKS
from formulon.core.system.identity import Typefaces
from formulon.core.system.model import System
from formulon.core.type.library import SUBSETS, family


def properties_css(system: System) -> str:
    """Every token as a custom property on :root."""
    lines = [f"  {token.property}: {token.css};" for token in system.tokens.values() if token.type != "asset"]
    return ":root {\n" + "\n".join(lines) + "\n}\n"


def tokens_css(system: System) -> str:
    """The tokens, and for each ground the names by which sections use them."""
    return properties_css(system) + aliases_css()


@cache
def aliases_css() -> str:
    """For each ground the short names by which sections use its tokens. The same for every system."""
    names = ["background", *INKS]
    names += [f"{variant}-{part}-{state}" for variant in VARIANTS for part in PARTS for state in STATES]
    rules = []
    for ground in GROUNDS:
        lines = "".join(f"--{name}:var(--ground-{ground}-{name});" for name in names)
        rules.append(f'[data-ground="{ground}"]{{{lines}}}')
    return "\n".join(rules) + "\n"


def font_faces(typefaces: Typefaces, path: str, extended: bool) -> str:
    """@font-face rules of the two families, with files under `path`."""
    rules = []
    for font in dict.fromkeys((typefaces.heading, typefaces.body)):
        data = family(font)
        low, high = data.weights
        weight = f"{low} {high}" if low != high else str(low)
        for subset in SUBSETS if extended else SUBSETS[:1]:
            rules.append(
                f"@font-face{{font-family:'{data.name}';src:url({path}{font}/{subset}.woff2) format('woff2');"
                f"font-weight:{weight};font-display:swap;unicode-range:{data.ranges[subset]}}}"
            )
    return "\n".join(rules) + "\n"
