"""Design tokens: the Design Tokens Format Module 2025.10 of the W3C Design Tokens Community Group, and the older forms in
which colours and dimensions are strings: `value` with or without `type`, references that end in ".value", sets of tokens in one
file or in several that lie together (common practice)."""

import json
import re
from collections.abc import Mapping, Sequence
from functools import cached_property
from typing import Any

from coloraide import Color

from formulon.core.color.parse import parse_color
from formulon.core.color.srgb import eight_bit
from formulon.core.errors import ColorError, ReadError
from formulon.core.identity.sightings import (
    ColorSeen,
    GradientSeen,
    MeasureKind,
    MeasureSeen,
    OtherSeen,
    Reading,
    TypefaceSeen,
    css_hex,
)

MOST_DEPTH = 24
_MOST_NOTES = 20
_SPACES = {
    "srgb": "srgb", "srgb-linear": "srgb-linear", "hsl": "hsl", "hwb": "hwb", "lab": "lab", "lch": "lch", "oklab": "oklab",
    "oklch": "oklch", "display-p3": "display-p3", "a98-rgb": "a98-rgb", "prophoto-rgb": "prophoto-rgb", "rec2020": "rec2020",
    "xyz-d65": "xyz-d65", "xyz-d50": "xyz-d50",
}  # fmt: skip
_WEIGHTS = {
    "thin": 100, "hairline": 100, "extra-light": 200, "ultra-light": 200, "light": 300, "normal": 400, "regular": 400,
    "book": 400, "medium": 500, "semi-bold": 600, "demi-bold": 600, "bold": 700, "extra-bold": 800, "ultra-bold": 800,
    "black": 900, "heavy": 900, "extra-black": 950, "ultra-black": 950,
}  # fmt: skip


class _Unfit(Exception):
    """A token that cannot be used, with the reason."""


# What a token without a type is of, by a word of its path; and what older forms call the types.
_BY_PATH = (
    ("fontfamil", "fontFamily"), ("font-famil", "fontFamily"), ("typeface", "fontFamily"), ("fontweight", "fontWeight"),
    ("font-weight", "fontWeight"), ("space", "dimension"), ("spacing", "dimension"), ("size", "dimension"), ("radius", "dimension"),
    ("radii", "dimension"), ("corner", "dimension"), ("gap", "dimension"), ("padding", "dimension"),
)  # fmt: skip
_OLDER = {
    "size": "dimension", "fontSize": "fontSizes", "borderWidth": "dimension", "radius": "borderRadius", "font": "fontFamily",
    "fontWeights": "fontWeight", "colour": "color", "colors": "color", "font-family": "fontFamily", "font-size": "fontSizes",
}  # fmt: skip
_COLOR = re.compile(
    r"#(?:[0-9a-fA-F]{3,4}|[0-9a-fA-F]{6}|[0-9a-fA-F]{8})|(?:rgb|hsl|hwb|lab|lch|oklab|oklch|color)a?\(.*\)", re.DOTALL
)
_LENGTH = re.compile(r"\s*(-?\d*\.?\d+)\s*(px|rem|em|pt)?\s*")
# Names of steps that say nothing without the group that they stand in.
_STEP = re.compile(r"\d{1,4}|base|default|main|normal|light|lighter|dark|darker|x{0,3}[sml]|xl", re.IGNORECASE)


def read(name: str, text: str, others: Mapping[str, str] | None = None) -> Reading:
    """`others` are further token files, to which aliases may lead. Raises ReadError where the file is no JSON or holds no token."""
    try:
        document = json.loads(text)
    except (ValueError, RecursionError) as error:
        raise ReadError(f"{name}: the file is no readable JSON ({str(error)[:80]}). Export the tokens again.") from error
    if not isinstance(document, dict):
        raise ReadError(f"{name}: the file holds no design tokens. Tokens are a JSON object with $value entries.")
    work = _Tokens(document, Reading(file=name, format="design tokens"), others or {})
    work.group(document, [], "")
    if not work.count:
        raise ReadError(f"{name}: the file holds no design tokens. Tokens are a JSON object with $value entries.")
    notes = work.reading.notes
    if len(notes) > _MOST_NOTES:
        notes[_MOST_NOTES:] = [f"And {len(notes) - _MOST_NOTES:,} more tokens that could not be used."]
    return work.reading


class _Tokens:
    def __init__(self, document: dict[str, Any], reading: Reading, others: Mapping[str, str]) -> None:
        self.document, self.reading, self.count, self.others = document, reading, 0, others

    @cached_property
    def roots(self) -> list[dict[str, Any]]:
        """Where a reference may begin: the file, those beside it, and the sets of tokens in each."""
        files = [self.document]
        for text in self.others.values():
            try:
                other = json.loads(text)
            except (ValueError, RecursionError):
                continue  # it says so itself
            files += [other] if isinstance(other, dict) else []
        return files + [one for file in files for key, one in file.items() if isinstance(one, dict) and not key.startswith("$")]

    def group(self, node: dict[str, Any], path: list[str], inherited: str, depth: int = 0) -> None:
        """Walks a group; `$type` is inherited from the nearest group that has one."""
        if depth > MOST_DEPTH:
            self.reading.notes.append(f"{'.'.join(path[:3])}…: groups deeper than {MOST_DEPTH} were left out.")
            return
        kind = node.get("$type", inherited)
        kind = kind if isinstance(kind, str) else inherited
        node = self._extended(node, path)
        for key, child in node.items():
            if not isinstance(child, dict) or (key.startswith("$") and key != "$root"):
                continue
            here = [*path, key]
            if self._is_token(child):
                self.count += 1
                self.token(child, here, kind)
            else:
                self.group(child, here, kind, depth + 1)

    @staticmethod
    def _is_token(node: dict[str, Any]) -> bool:
        """Whether it has a value. A group may be called “value”; what is in it has values itself."""
        if "$value" in node or "$ref" in node:
            return True
        value = node.get("value")
        if not isinstance(value, dict) or isinstance(node.get("type"), str):
            return value is not None
        return not ("value" in value or "$value" in value or any(isinstance(one, dict) for one in value.values()))

    def _extended(self, node: dict[str, Any], path: list[str]) -> dict[str, Any]:
        """A group that extends another has its tokens too, its own first."""
        target = node.get("$extends")
        if not isinstance(target, (str, dict)):
            return node
        try:
            base = self._at(target.strip("{}") if isinstance(target, str) and not target.startswith("#") else target)
        except _Unfit as error:
            self.reading.notes.append(f"{'.'.join(path)}: {error}")
            return node
        return {**base, **node} if isinstance(base, dict) and base is not node else node

    def _at(self, reference: Any) -> Any:
        """What an alias {a.b} or a JSON Pointer (RFC 6901) leads to."""
        if isinstance(reference, dict):
            reference = reference.get("$ref", "")
        text = str(reference)
        if text.startswith("#"):
            parts = [part.replace("~1", "/").replace("~0", "~") for part in text.lstrip("#").strip("/").split("/")]
        else:
            parts = text.split(".")
        for root in self.roots:
            for path in (parts, parts[:-1]) if parts[-1] in ("value", "$value") else (parts,):
                found = _inside(root, path)
                if found is not None:
                    return found
        raise _Unfit(f"it refers to “{text[:60]}”, which does not exist")

    def token(self, node: dict[str, Any], path: list[str], inherited: str) -> None:
        place = ".".join(part for part in path if part != "$root")
        try:
            value, kind = self._value(node, inherited)
            self._seen(value, _OLDER.get(kind, kind) or _guessed(value, place), place)
        except (_Unfit, ColorError) as error:
            self._other(place, str(node.get("$type", inherited)) or "unknown", node.get("$value", node.get("value")))
            self.reading.notes.append(f"{place}: {error}.")
        except (TypeError, ValueError, KeyError, AttributeError):
            self._other(place, str(node.get("$type", inherited)) or "unknown", node.get("$value", node.get("value")))
            self.reading.notes.append(f"{place}: its value does not have the form of its type.")

    def _value(self, node: dict[str, Any], inherited: str) -> tuple[Any, str]:
        """The value and type of a token, followed through aliases."""
        seen: list[int] = []
        kind = str(node.get("$type") or node.get("type") or inherited or "")
        while True:
            if id(node) in seen or len(seen) > MOST_DEPTH:
                raise _Unfit("its references run in a circle")
            seen.append(id(node))
            value = node.get("$value", node.get("value", {"$ref": node["$ref"]} if "$ref" in node else None))
            target = value if _is_reference(value) else None
            if target is None:
                return self._resolved(value), kind
            found = self._at(target["$ref"] if isinstance(target, dict) else target.strip("{}"))
            if not isinstance(found, dict) or not self._is_token(found):
                return self._resolved(found), kind
            node = found
            kind = kind or str(found.get("$type") or self._type_of(target) or "")

    def _type_of(self, target: Any) -> str:
        """The type that a token inherits from its groups."""
        parts = target["$ref"].strip("#/").split("/") if isinstance(target, dict) else target.strip("{}").split(".")
        root = next((one for one in self.roots if _inside(one, parts) is not None), self.document)
        above = [_inside(root, parts[:depth]) for depth in range(len(parts) + 1)]
        kinds = [str(one["$type"]) for one in above if isinstance(one, dict) and isinstance(one.get("$type"), str)]
        return kinds[-1] if kinds else ""

    def _resolved(self, value: Any, depth: int = 0) -> Any:
        """A composite value with the references inside it followed."""
        if depth > 8:
            raise _Unfit("its references run in a circle")
        if _is_reference(value):
            found = self._at(value["$ref"] if isinstance(value, dict) else value.strip("{}"))
            if isinstance(found, dict) and self._is_token(found):
                found = found.get("$value", found.get("value"))
            return self._resolved(found, depth + 1)
        if isinstance(value, dict):
            return {key: self._resolved(part, depth + 1) for key, part in value.items()}
        if isinstance(value, list):
            return [self._resolved(part, depth + 1) for part in value]
        return value

    def _seen(self, value: Any, kind: str, place: str) -> None:
        add = self.reading.sightings.append
        label = _label(place)
        if kind == "color" or (not kind and isinstance(value, dict) and "colorSpace" in value):
            hexa, written, note = _color(value)
            add(ColorSeen(hex=hexa, value=written, name=_words(label), use="named", place=place, note=note, sure=0.95))
        elif kind in ("dimension", "spacing", "sizing", "borderRadius", "fontSizes"):
            px = _dimension(value)
            add(MeasureSeen(measure=_measure(place, kind), px=px, value=_text(value), name=label, place=place, sure=0.9))
        elif kind in ("fontFamily", "fontFamilies"):
            families = value if isinstance(value, list) else [value]
            add(TypefaceSeen(family=str(families[0]), source="tokens", use=_role(place), place=place, sure=0.9))
        elif kind == "typography" and isinstance(value, dict) and "fontFamily" in value:
            family = value["fontFamily"]
            family = family[0] if isinstance(family, list) else family
            size = [_dimension(value["fontSize"])] if "fontSize" in value else []
            weight = [_weight(value["fontWeight"])] if "fontWeight" in value else []
            add(TypefaceSeen(family=str(family), source="tokens", use=_role(place), sizes=size, weights=weight, place=place))
        elif kind == "fontWeight":
            self._other(place, "font weight", _weight(value))
        elif kind == "gradient" and isinstance(value, list):
            stops = [_color(stop["color"])[0] for stop in value]
            ends = [f"{hexa} {float(stop['position']) * 100:g}%" for hexa, stop in zip(stops, value, strict=True)]
            add(GradientSeen(css=f"linear-gradient(90deg, {', '.join(ends)})", stops=stops, place=place))
        else:
            self._other(place, kind or "unknown", value)

    def _other(self, place: str, kind: str, value: Any) -> None:
        text = json.dumps(value, ensure_ascii=False)[:300]
        self.reading.sightings.append(OtherSeen(name=place[:160], type=kind[:40], value=text, place=place[:160], sure=0.9))


def _inside(node: Any, path: Sequence[str]) -> Any:
    """What stands at a path; None for nothing."""
    for part in path:
        if isinstance(node, dict) and part in node:
            node = node[part]
        elif isinstance(node, list) and part.isdigit() and int(part) < len(node):
            node = node[int(part)]
        else:
            return None
    return node


def _guessed(value: Any, place: str) -> str:
    """The type of a token that states none: by the form of its value, else by what its groups are called."""
    if isinstance(value, str) and _COLOR.fullmatch(value.strip()):
        return "color"
    if isinstance(value, str) and (found := _LENGTH.fullmatch(value)) and found[2]:
        return "dimension"
    words = place.lower()
    named = next((kind for word, kind in _BY_PATH if word in words), "")
    plain = isinstance(value, (int, float)) and not isinstance(value, bool)
    if named == "dimension":
        return named if plain or (isinstance(value, str) and _LENGTH.fullmatch(value)) else ""
    if not named and isinstance(value, str) and re.search(r"colou?r", words) and re.fullmatch(r"[a-zA-Z]{3,20}", value):
        return "color"  # by its name
    return named if plain or isinstance(value, (str, list)) else ""


def _label(place: str) -> str:
    """What a token is called: the last part of its path, with the one before where it is a step alone."""
    *before, last = place.split(".")
    return f"{before[-1]} {last}" if before and _STEP.fullmatch(last) else last


def _is_reference(value: Any) -> bool:
    if isinstance(value, dict):
        return set(value) == {"$ref"} and isinstance(value["$ref"], str)
    return isinstance(value, str) and bool(re.fullmatch(r"\{[^{}]+\}", value))


def _color(value: Any) -> tuple[str, str, str]:
    """Hex, the value as written and a note, of a colour in the object or the string form."""
    if isinstance(value, str):
        shown, alpha = _opaque(value)
        note = f"It is see-through ({alpha:.0%}); its full colour is kept." if alpha < 1 else ""
        return css_hex(parse_color(shown).rgb), value, note
    space = _SPACES.get(str(value["colorSpace"]))
    if space is None:
        raise _Unfit(f"the colour space “{value['colorSpace']}” is not known")
    parts = [0.0 if part == "none" else float(part) for part in value["components"]]
    if space in ("hsl", "hwb"):
        parts = [parts[0], parts[1] / 100, parts[2] / 100]
    if len(parts) != 3:
        raise _Unfit("a colour has three components")
    color = Color(space, parts)
    written = f"{value['colorSpace']} {' '.join(f'{part:g}' for part in map(float, _plain(value['components'])))}"
    inside = color.convert("srgb").in_gamut(tolerance=0.0005)
    screen = (color if inside else color.fit("srgb", method="oklch-chroma")).convert("srgb")
    hexa = css_hex(eight_bit(screen.coords(nans=False)))
    note = "" if inside else "The colour lies outside sRGB; the nearest by chroma is shown."
    if float(value.get("alpha", 1)) < 1:
        note = f"{note} It is see-through ({float(value['alpha']):.0%}); its full colour is kept.".strip()
    return hexa, written, note


def _plain(parts: list[Any]) -> list[float]:
    return [0.0 if part == "none" else float(part) for part in parts]


def _opaque(text: str) -> tuple[str, float]:
    """A colour without its transparency, and how opaque it was, 0–1."""
    try:
        color = Color(text.strip())
    except (ValueError, TypeError):
        return text, 1.0  # which is refused in a sentence, or has six digits and no #
    alpha = color.alpha(nans=False)
    if alpha >= 1:
        return text, 1.0
    return color.clone().set("alpha", 1).to_string(fit=False, precision=8), alpha


def _dimension(value: Any) -> float:
    """CSS px of {value, unit} or "16px"; rem is 16 px."""
    if isinstance(value, dict):
        number, unit = float(value["value"]), str(value["unit"])
    else:
        found = _LENGTH.fullmatch(str(value))
        if not found:
            raise _Unfit(f"“{str(value)[:40]}” is no length in px or rem")
        number, unit = float(found[1]), found[2] or "px"
    factor = {"px": 1.0, "rem": 16.0, "em": 16.0, "pt": 4 / 3}.get(unit)
    if factor is None:
        raise _Unfit(f"the unit “{unit}” is not known")
    return number * factor


def _weight(value: Any) -> int:
    if isinstance(value, str) and not value.isdigit():
        return _WEIGHTS[value]
    return int(value)


def _text(value: Any) -> str:
    return f"{value['value']:g}{value['unit']}" if isinstance(value, dict) else str(value)


def _measure(place: str, kind: str) -> MeasureKind:
    words = f"{place} {kind}".lower()
    if "radius" in words or "corner" in words or "round" in words:
        return "radius"
    if "font" in words or "text" in words or "type" in words:
        return "text size"
    return "spacing" if any(word in words for word in ("spac", "gap", "padding", "margin", "inset")) else "other"


def _role(place: str) -> Any:
    words = place.lower()
    if any(word in words for word in ("head", "display", "title")):
        return "headings"
    return "running text" if any(word in words for word in ("body", "text", "copy", "base")) else ""


def _words(label: str) -> str:
    plain = re.sub(r"[-_]+", " ", label).strip()
    return plain[:1].upper() + plain[1:60]
