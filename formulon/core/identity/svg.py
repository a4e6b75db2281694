"""Reading a mark from an SVG file: rebuilt from an allow-list, so that nothing of it can run, fetch or exhaust.

What is not on the list is dropped where it cannot matter for the drawing (metadata, editor data, ids of scripts) and
refused where the file asks for something dangerous or undrawable.
"""

import math
import re
from dataclasses import dataclass

import resvg_py
import tinycss2
from lxml import etree

from formulon.core.errors import MarkError

SVG = "http://www.w3.org/2000/svg"
XLINK = "{http://www.w3.org/1999/xlink}href"
MOST_BYTES = 1_000_000
MOST_ELEMENTS = 5_000
MOST_SIDE = 10_000  # user units; larger drawings are refused, whatever their view box
MOST_DEPTH = 32
MOST_USES = 200

_ELEMENTS = {
    "svg", "g", "defs", "symbol", "use", "title", "desc", "path", "rect", "circle", "ellipse", "line", "polyline",
    "polygon", "linearGradient", "radialGradient", "stop", "clipPath", "mask",
}  # fmt: skip
_PRESENTATION = {
    "fill", "fill-opacity", "fill-rule", "stroke", "stroke-width", "stroke-linecap", "stroke-linejoin",
    "stroke-miterlimit", "stroke-dasharray", "stroke-dashoffset", "stroke-opacity", "opacity", "color", "clip-path",
    "clip-rule", "mask", "stop-color", "stop-opacity", "display", "visibility", "paint-order",
}  # fmt: skip
_GEOMETRY = {
    "id", "viewBox", "width", "height", "x", "y", "x1", "y1", "x2", "y2", "cx", "cy", "r", "rx", "ry", "fx", "fy",
    "d", "points", "transform", "preserveAspectRatio", "gradientUnits", "gradientTransform", "spreadMethod", "offset",
    "clipPathUnits", "maskUnits", "maskContentUnits", "pathLength", "version",
}  # fmt: skip
_DROPPED = {"metadata", "namedview"}
_VALUE = re.compile(r"[\w\s#.,%()+\-/:'\"]*")


@dataclass(frozen=True, slots=True)
class ReadMark:
    """A rebuilt mark: its text, its size in user units, and plain sentences on what was left out."""

    svg: str
    width: float
    height: float
    notes: tuple[str, ...]


def rebuild(data: bytes, name: str) -> ReadMark:
    """The mark of an SVG file, rebuilt. `name` is the file's, for messages. Raises MarkError."""
    return rebuild_tree(parse(data, name), name)


def rebuild_tree(root: etree._Element, name: str) -> ReadMark:
    """As `rebuild`, of a tree that `parse` has read."""
    work = _Rebuild(name)
    width, height, box = work.size(root)
    made = work.element(root, 0)
    assert made is not None
    made.set("viewBox", " ".join(f"{part:g}" for part in box))
    made.set("width", f"{width:g}")
    made.set("height", f"{height:g}")
    work.check_uses(made)
    text = etree.tostring(made, encoding="unicode")
    try:
        resvg_py.svg_to_bytes(
            svg_string=text, width=64, height=max(1, min(64, round(64 * height / width))), skip_system_fonts=True
        )
    except Exception as error:
        raise MarkError(f"{name}: the drawing cannot be shown ({error}). Save it again from your drawing program.") from error
    return ReadMark(text, width, height, tuple(dict.fromkeys(work.notes)))


def parse(data: bytes, name: str) -> etree._Element:
    """The tree of an SVG file, without entities, comments and anything from outside. Raises MarkError."""
    if len(data) > MOST_BYTES:
        raise MarkError(f"{name}: the file has {len(data) // 1000} kB. A mark may have {MOST_BYTES // 1000} kB: simplify it.")
    parser = etree.XMLParser(
        resolve_entities=False, no_network=True, load_dtd=False, huge_tree=False, remove_comments=True, remove_pis=True
    )
    try:
        root = etree.fromstring(data, parser)
    except etree.XMLSyntaxError as error:
        raise MarkError(f"{name}: the file cannot be read ({error}). Save it again as SVG.") from error
    if root.getroottree().docinfo.internalDTD is not None and b"<!ENTITY" in data:
        raise MarkError(f"{name}: the file defines entities, which can hide content. Save it again as plain SVG.")
    if root.tag not in (f"{{{SVG}}}svg", "svg"):
        raise MarkError(f"{name}: this is no SVG drawing. Choose the logo as an SVG file.")
    return root


class _Rebuild:
    def __init__(self, name: str) -> None:
        self.name = name
        self.count = 0
        self.notes: list[str] = []
        self.styles: dict[str, dict[str, str]] = {}

    def fail(self, element: etree._Element, what: str, remedy: str) -> MarkError:
        return MarkError(f"{self.name}: {what} (line {element.sourceline}). {remedy}")

    def size(self, root: etree._Element) -> tuple[float, float, tuple[float, float, float, float]]:
        """Width, height and view box. Width and height are those of the view box where there is one."""
        box = _numbers(root.get("viewBox", ""))
        sides = [_length(root.get(side)) for side in ("width", "height")]
        if len(box) != 4:
            if None in sides:
                raise MarkError(f"{self.name}: the drawing has no size. Save it with a view box.")
            box = [0.0, 0.0, float(sides[0] or 0), float(sides[1] or 0)]
        largest = max(box[2], box[3], *(side or 0 for side in sides))
        if largest > MOST_SIDE:
            raise MarkError(
                f"{self.name}: the drawing is {largest:,.0f} units wide or high. A mark may have {MOST_SIDE:,}: scale it down."
            )
        if not all(map(math.isfinite, box)) or box[2] <= 0 or box[3] <= 0:
            raise MarkError(f"{self.name}: the drawing has no area. Save it with a view box.")
        return box[2], box[3], (box[0], box[1], box[2], box[3])

    def element(self, source: etree._Element, depth: int) -> etree._Element | None:
        """The rebuilt element with its children, or None where it is dropped."""
        tag = etree.QName(source).localname
        space = etree.QName(source).namespace
        if space not in (None, SVG) or tag in _DROPPED:
            return None
        if tag == "style":
            self.stylesheet(source)
            return None
        self.refuse(source, tag)
        self.count += 1
        if self.count > MOST_ELEMENTS or depth > MOST_DEPTH:
            raise MarkError(f"{self.name}: the drawing has too many parts. A mark may have {MOST_ELEMENTS}: simplify it.")
        made = etree.Element(f"{{{SVG}}}{tag}", nsmap={None: SVG})  # type: ignore[dict-item]
        if tag in ("title", "desc"):
            made.text = (source.text or "")[:300]
            return made
        if tag == "svg" and depth == 0:
            for style in source.iter(f"{{{SVG}}}style", "style"):
                self.stylesheet(style)
        self.attributes(source, made)
        for child in source:
            if isinstance(child.tag, str):
                kept = self.element(child, depth + 1)
                if kept is not None:
                    made.append(kept)
        return made

    def refuse(self, source: etree._Element, tag: str) -> None:
        if tag == "script":
            raise self.fail(source, "the file holds a script", "Save it without scripts.")
        if tag in ("image", "feImage"):
            raise self.fail(source, "the file refers to a picture", "Draw it as shapes, or remove it.")
        if tag in ("text", "tspan", "textPath"):
            raise self.fail(source, "the file holds live text, which needs a font", "Convert the text to outlines.")
        if tag in ("foreignObject", "iframe", "a", "animate", "set", "animateTransform", "animateMotion", "audio", "video"):
            raise self.fail(source, f"the file holds <{tag}>, which a mark may not", "Remove it.")
        if tag not in _ELEMENTS:
            raise self.fail(source, f"the file uses <{tag}>, which cannot be kept", "Flatten the drawing to plain shapes.")

    def attributes(self, source: etree._Element, made: etree._Element) -> None:
        presentation: dict[str, str] = {}
        for key, raw in source.attrib.items():
            name, value = str(key), str(raw).strip()
            if name.lower().startswith("on"):
                raise self.fail(source, f"the file holds a script ({name})", "Save it without scripts.")
            if name in ("href", XLINK):
                made.set("href", self.reference(source, value))
            elif name == "style":
                continue
            elif name in _PRESENTATION:
                presentation[name] = value
            elif name in _GEOMETRY:
                made.set(name, self.value(source, name, value))
        for class_name in source.get("class", "").split():
            presentation |= self.styles.get(class_name, {})
        presentation |= self.declarations(source.get("style", ""))
        for name, value in presentation.items():
            if name in _PRESENTATION:
                made.set(name, self.value(source, name, value))

    def reference(self, source: etree._Element, value: str) -> str:
        if not re.fullmatch(r"#[\w.-]+", value):
            raise self.fail(source, "the file refers to something outside itself", "Embed it as shapes or remove it.")
        if etree.QName(source).localname not in ("use", "linearGradient", "radialGradient"):
            raise self.fail(source, "a link stands where none may", "Remove it.")
        return value

    def value(self, source: etree._Element, name: str, value: str) -> str:
        for target in re.findall(r"url\(\s*['\"]?([^)'\"]*)", value, re.IGNORECASE):
            if not target.startswith("#"):
                raise self.fail(source, "the file refers to something outside itself", "Embed it as shapes or remove it.")
        if not _VALUE.fullmatch(value) or "javascript:" in value.lower():
            raise self.fail(source, f"the value of {name} cannot be read", "Save the drawing again as plain SVG.")
        return value

    def stylesheet(self, source: etree._Element) -> None:
        """Class rules of a <style> element, turned into attributes; imports and outside addresses are refused."""
        for rule in tinycss2.parse_stylesheet(source.text or "", skip_comments=True, skip_whitespace=True):
            if rule.type == "at-rule":
                if rule.lower_at_keyword == "import":
                    raise self.fail(source, "the style sheet imports another", "Save the drawing with its styles inside.")
                continue
            if rule.type != "qualified-rule":
                continue
            declared = self.declarations(tinycss2.serialize(rule.content))
            for selector in tinycss2.serialize(rule.prelude).split(","):
                found = re.fullmatch(r"(?:\w+)?\.([\w-]+)", selector.strip())
                if found:
                    self.styles.setdefault(found[1], {}).update(declared)
                else:
                    self.notes.append(f"The style rule “{selector.strip()[:40]}” was left out; only class rules are kept.")

    @staticmethod
    def declarations(text: str) -> dict[str, str]:
        return {
            item.lower_name: tinycss2.serialize(item.value).strip()
            for item in tinycss2.parse_blocks_contents(text, skip_comments=True, skip_whitespace=True)
            if item.type == "declaration"
        }

    def check_uses(self, root: etree._Element) -> None:
        """Refuses nested <use> that would multiply, and circles."""
        uses = list(root.iter(f"{{{SVG}}}use"))
        by_id = {e.get("id"): e for e in root.iter() if e.get("id")}
        if len(uses) > MOST_USES:
            raise MarkError(f"{self.name}: the drawing repeats parts {len(uses)} times; {MOST_USES} is the most.")
        for use in uses:
            target = by_id.get((use.get("href") or "")[1:])
            if target is not None and next(target.iter(f"{{{SVG}}}use"), None) is not None:
                raise MarkError(f"{self.name}: a repeated part repeats another. Flatten the drawing.")


def _numbers(text: str) -> list[float]:
    try:
        return [float(part) for part in re.split(r"[\s,]+", text.strip()) if part]
    except ValueError:
        return []


def _length(text: str | None) -> float | None:
    found = re.fullmatch(r"\s*([+-]?\d*\.?\d+(?:[eE][+-]?\d+)?)\s*(px|pt|mm|cm|in|pc)?\s*", text or "")
    if not found:
        return None
    factor = {"pt": 4 / 3, "mm": 96 / 25.4, "cm": 96 / 2.54, "in": 96.0, "pc": 16.0}.get(found[2] or "px", 1.0)
    return float(found[1]) * factor
