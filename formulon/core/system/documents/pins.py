"""Pins: tokens fixed by hand. A colour in any CSS form; a measure as "12px" or "0.8em", or "12px 20px" for one that is
fluid between 360 and 1280 px of viewport; a plain number for line heights and weights; the id of a mark for a logo."""

import re
from dataclasses import replace
from typing import Any

from formulon.core.color.parse import parse_color
from formulon.core.errors import ColorError
from formulon.core.system.fluid import fluid
from formulon.core.system.system import Token

COLORED = ("ground", "ramp", "neutral", "picture")
BY_SCHEME = (*COLORED, "logo")  # families whose pins belong to one scheme
_MEASURE = re.compile(r"(-?\d{1,4}(?:\.\d{1,4})?)(px|em)(?: (\d{1,4}(?:\.\d{1,4})?)px)?")
_NUMBER = re.compile(r"\d{1,4}(\.\d{1,4})?")


def check_pin(path: str, text: str) -> None:
    """Raises ValueError where a value has not the form that the token's family takes."""
    family = path.split("/", 1)[0]
    if family in COLORED:
        try:
            parse_color(text[:80])
        except ColorError as error:
            raise ValueError(f"{path}: {error}") from error
    elif family == "logo":
        if not re.fullmatch(r"[a-z0-9-]{1,60}", text):
            raise ValueError(f"{path}: “{text[:60]}” is not the id of a mark.")
    elif path.endswith("/family"):
        raise ValueError(f"{path}: typefaces are facts of the identity. Choose another there.")
    elif not (_MEASURE.fullmatch(text) or _NUMBER.fullmatch(text)):
        raise ValueError(f"{path}: “{text[:60]}” is no measure. Write for example 12px, 0.8em, 12px 20px or 1.2.")


def pinned(token: Token, text: str) -> Token | None:
    """The token with the pinned value; None where the value's form does not fit the token's."""
    found = made(token, text)
    if found is None:
        return None
    value, css = found
    return replace(token, value=value, css=css, origin="pinned", reason=f"Pinned at {css}; derived it would be {token.css}.")


def made(token: Token, text: str) -> tuple[Any, str] | None:
    """Value and CSS of a pin on a token that is no colour."""
    measure = _MEASURE.fullmatch(text)
    if token.type in ("number", "fontWeight"):
        if not _NUMBER.fullmatch(text):
            return None
        number = float(text)
        if token.type == "fontWeight":
            return (round(number), f"{round(number)}") if 1 <= number <= 1000 else None
        return number, f"{number:g}"
    if token.type != "dimension" or not measure:
        return None
    first, unit, second = float(measure[1]), measure[2], measure[3]
    if "small" in token.value:
        large = float(second) if second else first
        if unit != "px" or min(first, large) < 0:
            return None
        css = fluid(first, large) if first != large else f"{first / 16:g}rem"
        return {"small": first, "large": large, "unit": "px"}, css
    if second or unit != token.value["unit"]:
        return None
    return {"value": first, "unit": unit}, f"{first:g}{unit}"
