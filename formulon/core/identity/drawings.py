"""The drawings of a PDF page: filled and stroked areas with their colours, and vector forms as SVG.

Source of operators and colour spaces: ISO 32000-2, sections 8.4 to 8.10.
"""

import math
import re
from dataclasses import dataclass, field, replace
from itertools import pairwise
from typing import Any

from pypdf import PageObject
from pypdf.generic import ContentStream, DictionaryObject, IndirectObject, StreamObject

from formulon.core.color.printing import cmyk_to_rgb, lab_to_rgb
from formulon.core.identity.functions import evaluate
from formulon.core.identity.sightings import css_hex

MOST_OPERATIONS = 60_000
MOST_FORMS = 40
_MOST_DEPTH = 6
_Matrix = tuple[float, float, float, float, float, float]
_IDENTITY: _Matrix = (1, 0, 0, 1, 0, 0)


@dataclass(frozen=True, slots=True)
class Ink:
    """A colour as a drawing sets it."""

    hex: str
    value: str
    screen: bool
    prints: tuple[str, ...] = ()
    spot: str = ""


@dataclass(frozen=True, slots=True)
class Fill:
    """An area in one colour, in square points; strokes count their length times their width."""

    hex: str
    value: str
    screen: bool
    prints: tuple[str, ...]
    spot: str
    area: float


BLACK = Ink("#000000", "grey 0", True)


@dataclass(slots=True)
class _State:
    matrix: _Matrix = _IDENTITY
    fill: Ink | None = BLACK
    stroke: Ink | None = BLACK
    fill_space: Any = "/DeviceGray"
    stroke_space: Any = "/DeviceGray"
    width: float = 1.0


@dataclass(slots=True)
class _Form:
    """What is gathered of a vector form while it is drawn."""

    box: tuple[float, float, float, float]
    paths: list[str] = field(default_factory=list)
    plain: bool = True


def drawings(page: PageObject) -> tuple[list[Fill], list[str]]:
    """The page's painted areas, and its vector forms as SVG texts."""
    work = _Work(page)
    contents = page.get_contents()
    if contents is not None:
        work.run(contents, _resolve(page.get("/Resources")) or DictionaryObject(), _State(), 0)
    return work.fills, work.marks


def _resolve(value: Any) -> Any:
    return value.get_object() if isinstance(value, IndirectObject) else value


class _Work:
    def __init__(self, page: PageObject) -> None:
        self.page = page
        self.fills: list[Fill] = []
        self.marks: list[str] = []
        self.operations = 0
        self.form: _Form | None = None
        self.seen: set[int] = set()

    def run(self, stream: Any, resources: Any, state: _State, depth: int) -> None:
        """Draws one content stream."""
        content = stream if isinstance(stream, ContentStream) else ContentStream(stream, self.page.pdf)
        stack: list[_State] = []
        path = _Path()
        for operands, raw in content.operations:
            self.operations += 1
            if self.operations > MOST_OPERATIONS:
                return
            operator = raw.decode("latin-1")
            if operator == "q":
                stack.append(replace(state))
            elif operator == "Q":
                state = stack.pop() if stack else state
            elif operator == "cm":
                state.matrix = _times(_numbers(operands, 6), state.matrix)  # type: ignore[arg-type]
            elif operator == "w":
                state.width = _numbers(operands, 1)[0]
            elif operator in _PATH:
                path.add(operator, [float(part) for part in operands])
            elif operator in _PAINT:
                self.paint(operator, path, state)
                path = _Path()
            elif operator in ("W", "W*"):
                if self.form:
                    self.form.plain = self.form.plain and path.rectangle
            elif operator == "Do":
                self.draw(operands, resources, state, depth)
            elif operator in ("Tj", "TJ", "'", '"', "BI", "sh", "INLINE IMAGE"):
                if self.form:
                    self.form.plain = False
            else:
                _color(operator, operands, resources, state)

    def paint(self, operator: str, path: "_Path", state: _State) -> None:
        ways = _PAINT[operator]
        if operator in ("s", "b", "b*"):
            path.add("h", [])
        for way in ways:
            ink = state.fill if way == "fill" else state.stroke
            if ink is None:
                continue
            area = path.area(state.matrix) if way == "fill" else path.length(state.matrix) * state.width * _scale(state.matrix)
            if area > 0:
                self.fills.append(Fill(ink.hex, ink.value, ink.screen, ink.prints, ink.spot, area))
        if self.form and ways:
            fill = state.fill.hex if state.fill and "fill" in ways else "none"
            rule = ' fill-rule="evenodd"' if "*" in operator else ""
            width = state.width * _scale(state.matrix)
            stroke = f' stroke="{state.stroke.hex}" stroke-width="{width:.3f}"' if state.stroke and "stroke" in ways else ""
            self.form.paths.append(f'<path d="{path.svg(state.matrix)}" fill="{fill}"{rule}{stroke}/>')

    def draw(self, operands: list[Any], resources: Any, state: _State, depth: int) -> None:
        """A form or picture that the page shows."""
        objects = _resolve(resources.get("/XObject")) or {}
        target = _resolve(objects.get(operands[0])) if operands else None
        if not isinstance(target, StreamObject) or depth >= _MOST_DEPTH:
            return
        if target.get("/Subtype") != "/Form":
            if self.form:
                self.form.plain = False
            return
        own = _resolve(target.get("/Resources")) or resources
        matrix = tuple(float(part) for part in target.get("/Matrix", _IDENTITY))
        inner = replace(state, matrix=_times(matrix, state.matrix))  # type: ignore[arg-type]
        first = self.form is None and len(self.seen) < MOST_FORMS and id(target) not in self.seen
        if not first:
            self.run(target, own, inner, depth + 1)
            return
        self.seen.add(id(target))
        box = tuple(float(part) for part in target.get("/BBox", (0, 0, 0, 0)))
        self.form = _Form(box)  # type: ignore[arg-type]
        # Once for the page's areas, in its coordinates; once more for the mark, in the form's own.
        form, self.form = self.form, None
        self.run(target, own, inner, depth + 1)
        self.form, kept = form, len(self.fills)
        self.run(target, own, replace(state, matrix=_IDENTITY), depth + 1)
        del self.fills[kept:]
        text = _svg(form)
        if text:
            self.marks.append(text)
        self.form = None


def _svg(form: _Form) -> str:
    """The form as SVG; empty where it holds more than shapes, or too little to be a mark."""
    left, bottom, right, top = form.box
    wide, high = right - left, top - bottom
    if not form.plain or len(form.paths) < 1 or wide <= 0 or high <= 0:
        return ""
    return (
        f'<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 {wide:g} {high:g}" width="{wide:g}" height="{high:g}">'
        f'<g transform="matrix(1 0 0 -1 {-left:g} {top:g})">{"".join(form.paths)}</g></svg>'
    )


_PATH = {"m": 2, "l": 2, "c": 6, "v": 4, "y": 4, "re": 4, "h": 0}
_PAINT: dict[str, tuple[str, ...]] = {
    "f": ("fill",), "F": ("fill",), "f*": ("fill",), "S": ("stroke",), "s": ("stroke",), "n": (),
    "B": ("fill", "stroke"), "B*": ("fill", "stroke"), "b": ("fill", "stroke"), "b*": ("fill", "stroke"),
}  # fmt: skip


class _Path:
    """A path, its segments in absolute user coordinates."""

    def __init__(self) -> None:
        self.parts: list[tuple[str, list[float]]] = []
        self.rectangle = True

    def add(self, operator: str, numbers: list[float]) -> None:
        numbers = numbers[: _PATH[operator]]
        if len(numbers) < _PATH[operator]:
            return
        if operator == "re":
            x, y, w, h = numbers
            self.parts += [("M", [x, y]), ("L", [x + w, y]), ("L", [x + w, y + h]), ("L", [x, y + h]), ("Z", [])]
            return
        if operator == "v":
            at = self.parts[-1][1][-2:] if self.parts and self.parts[-1][1] else numbers[:2]
            numbers = [*at, *numbers]
        elif operator == "y":
            numbers = [*numbers, *numbers[2:]]
        self.rectangle = self.rectangle and operator in ("m", "l", "h")
        self.parts.append(({"m": "M", "l": "L", "h": "Z"}.get(operator, "C"), numbers))

    def svg(self, matrix: _Matrix) -> str:
        return "".join(
            command + " ".join(f"{part:.3f}" for x, y in _points(numbers) for part in _at(matrix, x, y))
            for command, numbers in self.parts
        )

    def polygons(self, matrix: _Matrix) -> list[list[tuple[float, float]]]:
        made: list[list[tuple[float, float]]] = []
        for command, numbers in self.parts:
            if command == "M" or not made:
                made.append([])
            points = _points(numbers)
            made[-1] += [_at(matrix, x, y) for x, y in points]
        return made

    def area(self, matrix: _Matrix) -> float:
        """By the shoelace formula over end and control points, which is near enough for a share."""
        total = 0.0
        for points in self.polygons(matrix):
            following = points[1:] + points[:1]
            total += sum(x1 * y2 - x2 * y1 for (x1, y1), (x2, y2) in zip(points, following, strict=True)) / 2
        return abs(total)

    def length(self, matrix: _Matrix) -> float:
        return sum(math.hypot(x2 - x1, y2 - y1) for points in self.polygons(matrix) for (x1, y1), (x2, y2) in pairwise(points))


def _points(numbers: list[float]) -> list[tuple[float, float]]:
    return list(zip(numbers[::2], numbers[1::2], strict=True))


def _at(matrix: _Matrix, x: float, y: float) -> tuple[float, float]:
    a, b, c, d, e, f = matrix
    return a * x + c * y + e, b * x + d * y + f


def _times(first: _Matrix, second: _Matrix) -> _Matrix:
    a, b, c, d, e, f = first
    p, q, r, s, t, u = second
    return a * p + b * r, a * q + b * s, c * p + d * r, c * q + d * s, e * p + f * r + t, e * q + f * s + u


def _scale(matrix: _Matrix) -> float:
    return math.sqrt(abs(matrix[0] * matrix[3] - matrix[1] * matrix[2]))


def _numbers(operands: list[Any], count: int) -> tuple[float, ...]:
    numbers = tuple(float(part) for part in operands[:count])
    if len(numbers) < count:
        raise ValueError("an operator lacks numbers")
    return numbers


def _color(operator: str, operands: list[Any], resources: Any, state: _State) -> None:
    """The operators that set a colour or a colour space."""
    way = "fill" if operator.islower() else "stroke"
    if operator in ("g", "G", "rg", "RG", "k", "K"):
        space = {"g": "/DeviceGray", "rg": "/DeviceRGB", "k": "/DeviceCMYK"}[operator.lower()]
        setattr(state, way, ink(space, [float(part) for part in operands]))
    elif operator in ("cs", "CS") and operands:
        spaces = _resolve(resources.get("/ColorSpace")) or {}
        name = re.sub(r"#([0-9a-fA-F]{2})", lambda found: chr(int(found[1], 16)), str(operands[0]))
        setattr(state, f"{way}_space", _resolve(spaces.get(operands[0], spaces.get(name, operands[0]))))
        setattr(state, way, BLACK)
    elif operator in ("sc", "scn", "SC", "SCN"):
        numbers = [float(part) for part in operands if not isinstance(part, str)]
        setattr(state, way, ink(getattr(state, f"{way}_space"), numbers))


def ink(space: Any, numbers: list[float]) -> Ink | None:
    """The colour of numbers in a colour space; None for patterns and spaces that are not known."""
    space = _resolve(space)
    family = str(_resolve(space[0])) if isinstance(space, list) and space else str(space)
    if family in ("/DeviceGray", "/CalGray", "/G") and numbers:
        level = _eight(numbers[0])
        return Ink(css_hex((level, level, level)), f"grey {numbers[0]:g}", True)
    if family in ("/DeviceRGB", "/CalRGB", "/RGB") and len(numbers) >= 3:
        made = css_hex((_eight(numbers[0]), _eight(numbers[1]), _eight(numbers[2])))
        return Ink(made, made, True)
    if family in ("/DeviceCMYK", "/CMYK") and len(numbers) >= 4:
        inks = [round(100 * min(1, max(0, part)), 1) for part in numbers[:4]]
        text = "CMYK " + " ".join(f"{part:g}" for part in inks)
        return Ink(css_hex(cmyk_to_rgb(*inks)), text, False, (text,))
    if family == "/ICCBased" and len(space) > 1:
        count = int(_resolve(space[1]).get("/N", len(numbers)))
        return ink({1: "/DeviceGray", 3: "/DeviceRGB", 4: "/DeviceCMYK"}.get(count, ""), numbers)
    if family == "/Lab" and len(numbers) >= 3:
        text = "Lab " + " ".join(f"{part:g}" for part in numbers[:3])
        return Ink(css_hex(lab_to_rgb(*numbers[:3])), text, False, (text,))
    if family in ("/Separation", "/DeviceN") and len(space) > 3 and numbers:
        return _spot(space, numbers)
    return None


def _spot(space: Any, numbers: list[float]) -> Ink | None:
    """A spot colour: its name, and the alternate colour that stands for its full tint."""
    names = _resolve(space[1])
    name = ", ".join(str(part)[1:] for part in names) if isinstance(names, list) else str(names)[1:]
    function = _resolve(space[3])
    tinted, whole = evaluate(function, numbers[0]), evaluate(function, 1.0)
    if name in ("None", "All") or tinted is None or whole is None:
        return None
    base, full = ink(space[2], tinted), ink(space[2], whole)
    if base is None or full is None:
        return None
    tint = "" if numbers[0] >= 0.995 else f" at {numbers[0]:.0%}"
    prints = (f"spot {name}", *full.prints) if not tint else (f"spot {name}{tint}",)
    return Ink(base.hex, f"spot {name}{tint}", False, prints, name if not tint else "")


def _eight(value: float) -> int:
    return min(255, max(0, round(255 * value)))
