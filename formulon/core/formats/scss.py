"""A system as SCSS variables. Aliases stay references to the variables that they name."""

from collections.abc import Mapping

from formulon.core.system.system import System, Token


def write(system: System, name: str) -> bytes:
    """One variable a token; what the dark scheme has in another value begins with `$dark-`. Names are slugs and values
    come from typed tokens, so nothing in it can break out."""
    lines = [f"// Style system of {comment(name)}"]
    lines += _lines(system.tokens, system.tokens, "")
    lines += _lines(system.dark, system.tokens, "dark-")
    return ("\n".join(lines) + "\n").encode()


def _lines(tokens: Mapping[str, Token], base: Mapping[str, Token], prefix: str) -> list[str]:
    made = []
    for token in tokens.values():
        if token.type == "asset":
            continue
        value = token.css
        if token.alias:
            own = prefix if token.alias in tokens else ""
            if own or token.alias in base:
                value = f"${own}{token.alias.replace('/', '-')}"
        made.append(f"${prefix}{token.path.replace('/', '-')}: {value};")
    return made


def comment(text: str) -> str:
    """The text on one line, without what could end a comment."""
    return "".join(char for char in " ".join(text.split()) if char.isprintable()).replace("*/", "")
