"""CSS: colours and fonts by use, custom properties with their names, font faces, radii, spacing and sizes."""

import re
from collections import Counter
from collections.abc import Callable, Iterable
from dataclasses import dataclass, field
from typing import Any

import tinycss2

from formulon.core.color.parse import parse_color
from formulon.core.errors import ColorError
from formulon.core.identity.sightings import (
    ColorSeen,
    ColorUse,
    GradientSeen,
    MeasureKind,
    MeasureSeen,
    Reading,
    TypefaceSeen,
    css_hex,
)

MOST_DECLARATIONS = 40_000
MOST_DEPTH = 12
_GENERIC = {
    "serif", "sans-serif", "monospace", "cursive", "fantasy", "system-ui", "ui-serif", "ui-sans-serif", "ui-monospace",
    "ui-rounded", "math", "emoji", "inherit", "initial", "unset", "revert", "-apple-system", "blinkmacsystemfont",
}  # fmt: skip
_COLOR_FUNCTIONS = {"rgb", "rgba", "hsl", "hsla", "hwb", "lab", "lch", "oklab", "oklch", "color"}
_HEADINGS = re.compile(r"(?:^|[\s,>+~])h[1-6]\b|head|title|display", re.IGNORECASE)
_BODY = re.compile(r"(?:^|[\s,>+~])(?:html|body|p|:root)\b", re.IGNORECASE)


@dataclass(slots=True)
class Declared:
    """One declared value: what it is for, in which rule, and how many elements it styles (1 where that is unknown)."""

    value: str
    use: str
    selector: str
    weight: int = 1


@dataclass(slots=True)
class Declarations:
    """What one or more style sheets declare."""

    properties: dict[str, str] = field(default_factory=dict)
    colors: list[Declared] = field(default_factory=list)
    gradients: list[Declared] = field(default_factory=list)
    fonts: list[Declared] = field(default_factory=list)
    faces: dict[str, dict[str, Any]] = field(default_factory=dict)
    measures: list[tuple[MeasureKind, str, str]] = field(default_factory=list)
    imports: list[str] = field(default_factory=list)
    count: int = 0


def read(name: str, text: str) -> Reading:
    """A style sheet by itself: every declaration counts once."""
    styles = Declarations()
    collect(text, styles)
    reading = Reading(file=name, format="CSS")
    report(styles, reading)
    if not styles.count:
        reading.notes.append("The style sheet declares nothing.")
    return reading


def collect(text: str, styles: Declarations, weigh: Callable[[str], int] | None = None) -> None:
    """Adds the declarations of a style sheet. `weigh` gives the number of elements that a selector reaches."""
    rules = tinycss2.parse_stylesheet(text, skip_comments=True, skip_whitespace=True)
    _gather_properties(rules, styles, 0)
    _rules(rules, styles, weigh or (lambda _: 1), 0)


def declared(text: str, selector: str, styles: Declarations) -> None:
    """Adds the declarations of a style attribute."""
    for item in tinycss2.parse_blocks_contents(text, skip_comments=True, skip_whitespace=True):
        if item.type == "declaration":
            _declaration(item, selector, 1, styles)


def _blocks(rule: Any) -> list[Any]:
    return list(tinycss2.parse_blocks_contents(rule.content, skip_comments=True, skip_whitespace=True))


def _gather_properties(rules: Iterable[Any], styles: Declarations, depth: int) -> None:
    """Custom properties first, as they may be used before they stand. The first declaration is the usual theme."""
    for rule in rules:
        if rule.type in ("qualified-rule", "at-rule") and rule.content is not None and depth < MOST_DEPTH:
            for item in (blocks := _blocks(rule)):
                if item.type == "declaration" and item.name.startswith("--"):
                    styles.properties.setdefault(item.name, tinycss2.serialize(item.value).strip())
            _gather_properties(blocks, styles, depth + 1)


def _rules(rules: Iterable[Any], styles: Declarations, weigh: Callable[[str], int], depth: int) -> None:
    for rule in rules:
        if rule.type == "at-rule":
            keyword = rule.lower_at_keyword
            if keyword == "import":
                styles.imports.append(tinycss2.serialize(rule.prelude).strip()[:120])
            elif keyword == "font-face" and rule.content is not None:
                _face(_blocks(rule), styles)
            elif (
                keyword in ("media", "supports", "layer", "container", "scope")
                and rule.content is not None
                and depth < MOST_DEPTH
            ):
                _rules(_blocks(rule), styles, weigh, depth + 1)
        elif rule.type == "qualified-rule" and depth < MOST_DEPTH:
            selector = " ".join(tinycss2.serialize(rule.prelude).split())[:120]
            blocks = _blocks(rule)
            weight = weigh(selector)
            for item in blocks:
                if item.type == "declaration" and styles.count < MOST_DECLARATIONS:
                    styles.count += 1
                    _declaration(item, selector, weight, styles)
            _rules([block for block in blocks if block.type == "qualified-rule"], styles, weigh, depth + 1)


def _declaration(item: Any, selector: str, weight: int, styles: Declarations) -> None:
    name = item.lower_name
    raw = tinycss2.serialize(item.value).strip()
    if name.startswith("--"):
        for color in _colors(raw, styles):
            styles.colors.append(Declared(color, "named", name, weight))
        return
    value = substitute(raw, styles.properties)
    if "gradient(" in value and "url(" not in value:
        styles.gradients.append(Declared(value, "background", selector, weight))
    use = _use(name)
    if use:
        for color in _colors(value, styles):
            styles.colors.append(Declared(color, use, selector, weight))
    if name in ("font-family", "font"):
        family = first_family(value if name == "font-family" else _after_size(value))
        if family:
            styles.fonts.append(Declared(family, _role(selector), selector, weight))
    kind = _measure(name)
    if kind:
        for part in value.replace("/", " ").split():
            if re.fullmatch(r"\d*\.?\d+(px|rem|em|%)", part):
                styles.measures.append((kind, part, selector))


def _use(name: str) -> ColorUse | None:
    if name in ("color", "-webkit-text-fill-color", "caret-color", "text-decoration-color"):
        return "text"
    if name in ("background", "background-color", "background-image"):
        return "background"
    if name.startswith(("border", "outline", "column-rule")):
        return "border"
    return "drawn" if name in ("fill", "stroke", "stop-color", "accent-color") else None


def _measure(name: str) -> MeasureKind | None:
    if name.endswith("radius"):
        return "radius"
    if name.startswith(("padding", "margin")) or name in ("gap", "row-gap", "column-gap"):
        return "spacing"
    return "text size" if name == "font-size" else None


def substitute(value: str, properties: dict[str, str], depth: int = 0) -> str:
    """The value with var() filled in, as far as custom properties are known."""
    if depth > MOST_DEPTH or "var(" not in value or len(value) > 4000:
        return value
    found = re.search(r"var\(\s*(--[\w-]+)\s*(?:,((?:[^()]|\([^()]*\))*))?\)", value)
    if not found:
        return value
    filled = properties.get(found[1], (found[2] or "").strip())
    return substitute(value[: found.start()] + filled + value[found.end() :], properties, depth + 1)


def _colors(value: str, styles: Declarations) -> list[str]:
    """The colours in a value, as written."""
    found: list[str] = []

    def walk(nodes: Iterable[Any]) -> None:
        for node in nodes:
            if node.type == "hash":
                found.append(f"#{node.value}")
            elif node.type == "ident" and node.lower_value not in ("transparent", "currentcolor", "inherit", "none"):
                if re.fullmatch(r"[a-z]{3,20}", node.lower_value) and _hex(node.lower_value):
                    found.append(node.lower_value)
            elif node.type == "function":
                if node.lower_name in _COLOR_FUNCTIONS:
                    found.append(tinycss2.serialize([node]))
                else:
                    walk(node.arguments)

    walk(tinycss2.parse_component_value_list(substitute(value, styles.properties)))
    return [one for one in found if _hex(one)]


_HEXES: dict[str, str | None] = {}


def _hex(text: str) -> str | None:
    """#RRGGBB of a CSS colour, its transparency left out; None for what is no colour, or entirely see-through."""
    if text not in _HEXES:
        plain = (
            text[:7] if re.fullmatch(r"#[0-9a-fA-F]{8}", text) else text[:4] if re.fullmatch(r"#[0-9a-fA-F]{4}", text) else text
        )
        clear = re.fullmatch(r"(?i)(?:rgb|hsl)a?\((.*?)[,/]\s*0(?:\.0*)?%?\s*\)", text) and text.count(",") != 2
        cut = re.sub(r"(?i)^(rgb|hsl)a\(([^,]+,[^,]+,[^,]+),[^,]+\)$", r"\1(\2)", plain)
        cut = re.sub(r"\s*/[^)]*\)$", ")", cut)
        try:
            _HEXES[text] = None if clear else css_hex(parse_color(cut).rgb)
        except ColorError:
            _HEXES[text] = None
    return _HEXES[text]


def first_family(value: str) -> str:
    """The first family of a font-family list that is no generic one."""
    for part in value.split(","):
        name = part.strip().strip("'\"")
        if name and name.lower() not in _GENERIC and "(" not in name and not name.startswith("--"):
            return name[:80]
    return ""


def _after_size(value: str) -> str:
    """The family part of a `font` shorthand."""
    found = re.search(r"\d*\.?\d+(?:px|rem|em|%|pt)(?:\s*/\s*\S+)?\s+(.+)$", value)
    return found[1] if found else ""


def _role(selector: str) -> str:
    if _HEADINGS.search(selector):
        return "headings"
    return "running text" if _BODY.search(selector) else ""


def _face(blocks: list[Any], styles: Declarations) -> None:
    parts = {item.lower_name: tinycss2.serialize(item.value).strip() for item in blocks if item.type == "declaration"}
    family = parts.get("font-family", "").strip("'\" ")
    if not family:
        return
    face = styles.faces.setdefault(family[:80], {"weights": set(), "italic": False, "files": []})
    face["weights"] |= {int(number) for number in re.findall(r"\b\d{3}\b", parts.get("font-weight", "400"))}
    face["italic"] |= "italic" in parts.get("font-style", "")
    face["files"] += [path.strip("'\" ")[:200] for path in re.findall(r"url\(([^)]*)\)", parts.get("src", ""))]


def report(styles: Declarations, reading: Reading) -> None:
    """Turns what was declared into sightings."""
    add = reading.sightings.append
    colors: dict[tuple[str, str], list[Declared]] = {}
    for use in styles.colors:
        colors.setdefault((str(_hex(use.value)), use.use), []).append(use)
    total = sum(use.weight for use in styles.colors if use.use != "named") or 1
    for (hexa, way), uses in colors.items():
        names = list(dict.fromkeys(use.selector for use in uses if way == "named"))
        weight = sum(use.weight for use in uses)
        where = names[0] if names else _main(uses)
        add(
            ColorSeen(
                hex=hexa, value=uses[0].value, name=_plain(names[0]) if names else "", use=way,
                place=where, count=max(1, weight), share=None if names else round(weight / total, 4), sure=0.85 if names else 0.7,
            )
        )  # fmt: skip
    for gradient in {use.value: use for use in styles.gradients}.values():
        stops = [str(_hex(color)) for color in _colors(gradient.value, styles)]
        if len(stops) >= 2:
            add(GradientSeen(css=gradient.value[:400], stops=stops, place=gradient.selector, sure=0.8))
    fonts: dict[tuple[str, str], list[Declared]] = {}
    for use in styles.fonts:
        fonts.setdefault((use.value, use.use), []).append(use)
    for (family, role), uses in fonts.items():
        face = styles.faces.get(family, {})
        add(
            TypefaceSeen(
                family=family, use=role, source="style sheet", place=_main(uses), count=sum(use.weight for use in uses),
                weights=sorted(face.get("weights", ())), italic=bool(face.get("italic")), files=face.get("files", [])[:12], sure=0.8,
            )
        )  # fmt: skip
    for family, face in styles.faces.items():
        if not any(use.value == family for use in styles.fonts):
            add(
                TypefaceSeen(
                    family=family, source="style sheet", place="@font-face", weights=sorted(face["weights"]),
                    italic=face["italic"], files=face["files"][:12], sure=0.6,
                )
            )  # fmt: skip
    counted = Counter((kind, value) for kind, value, _ in styles.measures)
    for (kind, value), number in counted.items():
        px = pixels(value)
        if px is not None and px > 0:
            add(MeasureSeen(measure=kind, px=px, value=value, count=number, place=f"{kind}, {number} times", sure=0.7))
    if styles.imports:
        reading.notes.append(f"{len(styles.imports)} imported style sheet was not followed; add the file itself.")


def pixels(value: str) -> float | None:
    """CSS px of a length; None for a share. rem and em are 16 px."""
    number, unit = re.fullmatch(r"(\d*\.?\d+)(\D+)", value).groups()  # type: ignore[union-attr]
    return None if unit == "%" else float(number) * (1 if unit == "px" else 16)


def _main(uses: list[Declared]) -> str:
    """The selector that counts most, and how many others there are."""
    weights = Counter[str]()
    for use in uses:
        weights[use.selector] += use.weight
    first = weights.most_common(1)[0][0]
    return first if len(weights) == 1 else f"{first} and {len(weights) - 1} more"


def _plain(name: str) -> str:
    """A colour's name out of a custom property's: --brand-night is Night."""
    words = re.sub(r"^--(?:(?:color|colour|clr|brand|c|bg|theme)-)*", "", name)
    words = re.sub(r"[-_]+", " ", words).strip()
    return words[:1].upper() + words[1:60]
