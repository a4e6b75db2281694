"""System: everything that is derived from an identity and choices, as plain data.

Nothing here is altered once it is made. Tokens and pairs, of which there are a thousand, are not frozen all the same: to
make a frozen one takes seven times as long, and a drag waits for it.
"""

from collections.abc import Mapping
from dataclasses import asdict, dataclass, field
from functools import cached_property
from typing import Any, Literal

from formulon.core.color.srgb import RGB
from formulon.core.system.fluid import between
from formulon.core.type.library import Family

Origin = Literal["exact", "derived", "chosen", "pinned"]
Scheme = Literal["light", "dark"]


@dataclass(slots=True)
class Token:
    """One design token. `path` has parts joined by "/"; `css` is its value as CSS writes it.

    `alias` is the path of the token whose colour this one takes, `wide` the colour as the brand wrote it where that
    lies outside sRGB and `css` is the fallback that was checked.
    """

    path: str
    type: str
    value: Any
    css: str
    origin: Origin
    reason: str
    alias: str = ""
    wide: str = ""

    @property
    def property(self) -> str:
        """The custom property of CSS that carries the token."""
        return "--" + self.path.replace("/", "-")


@dataclass(slots=True)
class Pair:
    """A foreground on a background, with the colours really used. `required` is 0 where nothing is required."""

    ground: str
    ink: str
    foreground: str
    background: str
    ratio: float
    required: float
    exempt: bool
    scheme: Scheme = "light"

    @property
    def passes(self) -> bool:
        return self.exempt or self.ratio >= self.required


Operation = dict[str, Any]


@dataclass(frozen=True, slots=True)
class Alternative:
    """A way out of a conflict: `patch` is a JSON Patch on the choices. `color` is what stands there then, with its
    ratio and its ΔE2000 to what was wanted; empty and 0 where the way is no colour."""

    label: str
    patch: tuple[Operation, ...]
    color: str = ""
    ratio: float = 0.0
    delta_e: float = 0.0


@dataclass(frozen=True, slots=True)
class Conflict:
    """What cannot be met: measured against required, in a unit as a finding has it (":1", "px", or "share" for 0–1), and the
    closest alternatives. What nothing is measured of has None.

    `cause` is the path of the conflict from which this one follows, and empty for one that stands by itself: a link
    that cannot be read takes the text button in its ink with it.
    """

    code: str
    path: str
    ground: str
    ink: str
    foreground: str
    background: str
    measured: float | None
    required: float | None
    message: str
    alternatives: tuple[Alternative, ...] = ()
    cause: str = ""
    scheme: Scheme = "light"
    unit: str = ":1"


@dataclass(frozen=True, slots=True)
class Step:
    """A step of the type scale: sizes in px at 360 and 1280 px of viewport, line height as a factor."""

    name: str
    family: Family
    weight: int
    small: float
    large: float
    line_height: float
    tracking: float
    case: str = "none"  # as CSS text-transform writes it
    role: str = "body"  # which of the brand's families: heading, body or third

    def to_json(self) -> dict[str, Any]:
        """The step as plain data, with its family by id."""
        return _flat(self) | {"family": self.family.id}

    def size(self, viewport: float) -> float:
        """Size in px at a viewport width in px: linear between the ends, held outside them."""
        return between(self.small, self.large, viewport)


@dataclass(frozen=True, slots=True)
class MarkOnGround:
    """The mark chosen for a ground and the share of its drawn area that has at least 3:1 there; or on the plate, which is
    the name of the ground whose colour lies under it."""

    ground: str
    mark: str | None
    visibility: float
    plate: str = ""


@dataclass(frozen=True)
class System:
    """The resolved style system. `tokens` and `marks` are those of the first scheme; where pages follow the visitor,
    `dark` and `dark_marks` hold what the dark scheme has in their place, under the same paths."""

    tokens: Mapping[str, Token]
    pairs: tuple[Pair, ...]
    conflicts: tuple[Conflict, ...]
    steps: Mapping[str, Step]
    marks: Mapping[str, MarkOnGround]
    palette: Mapping[str, RGB] = field(repr=False)  # every colour that a wire may lead to, by reference
    schemes: tuple[Scheme, ...] = ("light",)
    dark: Mapping[str, Token] = field(default_factory=dict, repr=False)
    dark_marks: Mapping[str, MarkOnGround] = field(default_factory=dict)

    @cached_property
    def measured(self) -> dict[tuple[Any, float], float]:
        """Measures in px at viewport widths that were worked out of it (site/geometry.py), each once."""
        return {}

    def css(self, path: str, scheme: Scheme | None = None) -> str:
        return self.token(path, scheme).css

    def token(self, path: str, scheme: Scheme | None = None) -> Token:
        """The token of a scheme; measures and type are the same in both."""
        second = scheme is not None and scheme != self.schemes[0]
        return self.dark.get(path, self.tokens[path]) if second else self.tokens[path]

    def mark(self, ground: str, scheme: Scheme | None = None) -> MarkOnGround:
        second = scheme is not None and scheme != self.schemes[0]
        return self.dark_marks[ground] if second else self.marks[ground]

    def to_json(self) -> dict[str, Any]:
        """The form of docs/formats.md."""
        return {
            "schemes": list(self.schemes),
            "tokens": [_flat(token) for token in self.tokens.values()],
            "dark": [_flat(token) for token in self.dark.values()],
            "pairs": [_flat(pair) for pair in self.pairs],
            "conflicts": [asdict(conflict) for conflict in self.conflicts],
        }


def _flat(item: Token | Pair | Step) -> dict[str, Any]:
    """A dataclass that holds none as a dictionary; `asdict` looks for deeper ones, which hundreds of tokens feel."""
    return {name: getattr(item, name) for name in item.__dataclass_fields__}
