"""An identity as design tokens: Design Tokens Format Module 2025.10, W3C Design Tokens Community Group."""

import json
import re
from typing import Any

from coloraide import Color

from formulon.core.color.parse import parse_color
from formulon.core.system.documents.identity import BrandColor, Identity, slug
from formulon.core.type.library import Library

EXTENSION = "org.formulon.identity"


def write(identity: Identity, library: Library) -> bytes:
    """Colours, typefaces and measures as tokens. Print values stand in `$extensions`."""
    made: dict[str, Any] = {
        "$description": f"Identity of {identity.name}",
        "color": {"$type": "color", **{color.id: _color(color) for color in identity.colors}},
        "typeface": {
            "$type": "fontFamily",
            "heading": {"$value": _families(identity.typefaces.heading, library)},
            "body": {"$value": _families(identity.typefaces.body, library)},
        },
    }
    groups: dict[str, dict[str, Any]] = {}
    for measure in identity.measures:
        group = groups.setdefault(slug(measure.measure), {"$type": "dimension"})
        key = slug(measure.name, f"{measure.px:g}".replace(".", "-"))
        group[key if key not in group else f"{key}-{len(group)}"] = {"$value": {"value": measure.px, "unit": "px"}}
    if groups:
        made["measure"] = groups
    gradients = {
        f"gradient-{number}": {"$value": stops} for number, css in enumerate(identity.gradients, 1) if (stops := _stops(css))
    }
    if gradients:
        made["gradient"] = {"$type": "gradient", **gradients}
    return (json.dumps(made, ensure_ascii=False, indent=2) + "\n").encode()


def color_value(text: str) -> dict[str, Any]:
    """A colour in the object form, in the space that it was written in as far as the format has it, with its sRGB hex."""
    parsed = parse_color(text)
    color = Color(text if not re.fullmatch(r"[0-9a-fA-F]{6}", text) else f"#{text}")
    space = color.space()
    if space in (
        "oklch",
        "oklab",
        "lab",
        "lch",
        "display-p3",
        "a98-rgb",
        "prophoto-rgb",
        "rec2020",
        "xyz-d65",
        "xyz-d50",
        "srgb-linear",
    ):
        parts = [round(value, 6) for value in color.coords(nans=False)]
        return {"colorSpace": space, "components": parts, "hex": parsed.hex.lower()}
    return {"colorSpace": "srgb", "components": [round(value / 255, 6) for value in parsed.rgb], "hex": parsed.hex.lower()}


def _color(color: BrandColor) -> dict[str, Any]:
    token: dict[str, Any] = {"$value": color_value(color.value), "$description": color.name.replace("{", "(").replace("}", ")")}
    if color.print:
        token["$extensions"] = {EXTENSION: {"print": color.print}}
    return token


def _families(family_id: str, library: Library) -> list[str]:
    return [part.strip().strip("'") for part in library.family(family_id).stack.split(",")]


def _stops(css: str) -> list[dict[str, Any]]:
    colors = re.findall(r"#[0-9a-fA-F]{6}", css)
    last = max(1, len(colors) - 1)
    return (
        [{"color": color_value(color), "position": round(index / last, 4)} for index, color in enumerate(colors)]
        if len(colors) > 1
        else []
    )
