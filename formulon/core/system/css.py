"""Writing a system as CSS custom properties. Values are typed tokens, never text out of a document."""

import re
from functools import cache

from formulon.core.system.documents.choices import GROUNDS
from formulon.core.system.parts import GROUND, PARTS
from formulon.core.system.system import Scheme, System, Token


def properties_css(system: System) -> str:
    """Every token as a custom property on :root. With both schemes the second follows in a media query, so that pages
    follow their visitor. A brand colour outside sRGB stands as its checked fallback first, and as itself where the screen
    can show it."""
    tokens = [token for token in system.tokens.values() if token.type != "asset"]
    made = _rule(":root", ["color-scheme: " + " ".join(system.schemes), *map(_line, tokens)])
    if system.dark:
        other = [_line(token) for token in system.dark.values() if token.type != "asset"]
        made += "@media (prefers-color-scheme: dark) {\n" + _rule(":root", other) + "}\n"
    wide = [f"{token.property}: {token.wide}" for token in tokens if token.wide]
    return made + ("@media (color-gamut: p3) {\n" + _rule(":root", wide) + "}\n" if wide else "")


def drawn_css(system: System, scheme: Scheme, used: frozenset[str]) -> str:
    """The tokens of one scheme that style sheets draw with, as they draw with them: those of grounds on the grounds and
    those of drawings on their shapes, so that a change has a browser work out anew what it touches alone."""
    drawn = [system.token(t.path, scheme) for t in system.tokens.values() if t.type != "asset" and t.property in used]
    shapes = {token.path: _line(token) for token in drawn if re.fullmatch(r"picture/\d", token.path)}
    made = _rule(":root", ["color-scheme: " + scheme, *(_line(token) for token in drawn if token.path not in shapes)])
    for path, line in shapes.items():
        made += _rule(f".f{path.removeprefix('picture/')}", [line])
    for ground in GROUNDS:
        own = {
            name: path
            for name, path in short_names().items()
            if f"--{name}" in used and f"ground/{ground}/{path}" in system.tokens
        }
        lines = [f"--{name}: {system.css(f'ground/{ground}/{path}', scheme)}" for name, path in own.items()]
        made += _rule(f'[data-ground="{ground}"]', lines)
    return made


def _line(token: Token) -> str:
    return f"{token.property}: {token.css}"


def _rule(selector: str, lines: list[str]) -> str:
    return selector + " {\n" + "".join(f"  {line};\n" for line in lines) + "}\n"


def tokens_css(system: System, used: frozenset[str]) -> str:
    """The tokens, and for each ground those of the short names that sections use."""
    return properties_css(system) + aliases_css(used)


@cache
def aliases_css(used: frozenset[str]) -> str:
    """For each ground the short names by which sections use its tokens, as far as they use them: a browser works each of
    them out again on every ground of every page. The same for every system."""
    rules = []
    for ground in GROUNDS:
        lines = "".join(f"--{name}:var(--ground-{ground}-{name});" for name in short_names() if f"--{name}" in used)
        rules.append(f'[data-ground="{ground}"]{{{lines}}}')
    return "\n".join(rules) + "\n"


@cache
def short_names() -> dict[str, str]:
    """The short names, and where among a ground's tokens they lead."""
    return {path.replace("/", "-"): path for path in (GROUND, "motif", "motif-band", *PARTS)}
