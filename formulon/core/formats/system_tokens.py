"""A system as design tokens: Design Tokens Format Module 2025.10, W3C Design Tokens Community Group.

Groups follow the tokens' paths; what the dark scheme has in another value stands under `dark`. An alias stays a
reference. A fluid size is two tokens, `small` at 360 px and `large` at 1280 px of viewport, with its CSS in the group's
extension. The format has no em: such a measure is a number with its unit in an extension. Names are slugs of a–z, 0–9
and hyphens, values are numbers or come from typed tokens, and all of it is written by the JSON library.
"""

import json
from collections.abc import Mapping
from typing import Any

from formulon.core.formats.tokens import color_value
from formulon.core.system.fluid import LARGE, SMALL
from formulon.core.system.system import System, Token

EXTENSION = "org.formulon"


def write(system: System, name: str) -> bytes:
    """The tokens of a system as JSON; `name` is the brand's."""
    made: dict[str, Any] = {"$description": plain(f"Style system of {name}")}
    _into(made, system.tokens, {})
    if system.dark:
        made["dark"] = {"$description": "What the dark scheme has in another value."}
        _into(made["dark"], system.dark, system.tokens)
    return (json.dumps(made, ensure_ascii=False, indent=2) + "\n").encode()


def _into(root: dict[str, Any], tokens: Mapping[str, Token], shared: Mapping[str, Token]) -> None:
    """Writes tokens into nested groups. An alias leads to the token that was written, here or in `shared`."""
    for token in tokens.values():
        if token.type in ("asset", "keyword"):  # the format has no type for a keyword
            continue
        *groups, last = token.path.split("/")
        group = root
        for part in groups:
            group = group.setdefault(part, {})
        group[last] = _token(token, tokens, shared)


def _token(token: Token, tokens: Mapping[str, Token], shared: Mapping[str, Token]) -> dict[str, Any]:
    about = {"$description": plain(token.reason)}
    own: dict[str, Any] = {"origin": token.origin}
    if token.type == "color":
        if token.alias:
            base = "dark." if token.alias in tokens and shared else ""
            value: Any = "{" + base + token.alias.replace("/", ".") + "}"
        else:
            value = color_value(token.wide or token.css)
        if token.wide:
            own["fallback"] = {"hex": token.css, "mapping": "chroma reduction in OKLCH (CSS Color 4, 13.2)"}
        return {"$type": "color", "$value": value, **about, "$extensions": {EXTENSION: own}}
    if token.type == "dimension":
        return _dimension(token, about, own)
    if token.type == "fontFamily":
        names = [part.strip().strip("'") for part in token.css.split(",")]
        return {"$type": "fontFamily", "$value": names, **about, "$extensions": {EXTENSION: own}}
    return {"$type": token.type, "$value": token.value, **about, "$extensions": {EXTENSION: own}}


def plain(text: str) -> str:
    """A description without braces, in which readers look for references."""
    return text.replace("{", "(").replace("}", ")")


def _dimension(token: Token, about: dict[str, Any], own: dict[str, Any]) -> dict[str, Any]:
    value = token.value
    if "small" in value:
        own |= {"fluid": {"from": SMALL, "to": LARGE, "css": token.css}}
        ends = {end: {"$value": {"value": round(value[end], 4), "unit": "px"}} for end in ("small", "large")}
        return {"$type": "dimension", **about, "$extensions": {EXTENSION: own}, **ends}
    if value["unit"] == "em":
        own["unit"] = "em"
        return {"$type": "number", "$value": value["value"], **about, "$extensions": {EXTENSION: own}}
    return {"$type": "dimension", "$value": value, **about, "$extensions": {EXTENSION: own}}
