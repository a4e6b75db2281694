"""Writing a system as CSS custom properties. Values are typed tokens, never text out of a document."""

from functools import cache

from formulon.core.system import fields
from formulon.core.system.buttons import PARTS, STATES, VARIANTS
from formulon.core.system.choices import GROUNDS, INKS
from formulon.core.system.identity import Typefaces
from formulon.core.system.model import Scheme, System, Token
from formulon.core.type.library import SUBSETS, family


def properties_css(system: System, scheme: Scheme | None = None) -> str:
    """Every token as a custom property on :root. With both schemes the second follows in a media query, so that pages
    follow their visitor; `scheme` writes the values of one scheme alone. A brand colour outside sRGB stands as its
    checked fallback first, and as itself where the screen can show it."""
    tokens = [token for token in system.tokens.values() if token.type != "asset"]
    if scheme is not None:
        return _root(["color-scheme: " + scheme, *(_line(system.token(token.path, scheme)) for token in tokens)])
    made = _root(["color-scheme: " + " ".join(system.schemes), *map(_line, tokens)])
    if system.dark:
        other = [_line(token) for token in system.dark.values() if token.type != "asset"]
        made += "@media (prefers-color-scheme: dark) {\n" + _root(other) + "}\n"
    wide = [f"{token.property}: {token.wide}" for token in tokens if token.wide]
    return made + ("@media (color-gamut: p3) {\n" + _root(wide) + "}\n" if wide else "")


def _line(token: Token) -> str:
    return f"{token.property}: {token.css}"


def _root(lines: list[str]) -> str:
    return ":root {\n" + "".join(f"  {line};\n" for line in lines) + "}\n"


def tokens_css(system: System) -> str:
    """The tokens, and for each ground the names by which sections use them."""
    return properties_css(system) + aliases_css()


@cache
def aliases_css() -> str:
    """For each ground the short names by which sections use its tokens. The same for every system."""
    names = ["background", *INKS]
    names += [f"{variant}-{part}-{state}" for variant in VARIANTS for part in PARTS for state in STATES]
    names += [f"field-{part}-{state}" for part in fields.PARTS for state in fields.STATES]
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
