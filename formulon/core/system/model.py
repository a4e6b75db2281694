"""System: everything that is derived from an identity and choices, as plain data."""

from collections.abc import Mapping
from dataclasses import asdict, dataclass, field
from typing import Any, Literal

from formulon.core.color.srgb import RGB

Origin = Literal["exact", "derived", "chosen", "pinned"]


@dataclass(frozen=True, slots=True)
class Token:
    """One design token. `path` has parts joined by "/"; `css` is its value as CSS writes it."""

    path: str
    type: str
    value: Any
    css: str
    origin: Origin
    reason: str

    @property
    def property(self) -> str:
        """The custom property of CSS that carries the token."""
        return "--" + self.path.replace("/", "-")


@dataclass(frozen=True, slots=True)
class Pair:
    """A foreground on a background, with the colours really used. `required` is 0 where nothing is required."""

    ground: str
    ink: str
    foreground: str
    background: str
    ratio: float
    required: float
    exempt: bool

    @property
    def passes(self) -> bool:
        return self.exempt or self.ratio >= self.required


@dataclass(frozen=True, slots=True)
class Alternative:
    """A way out of a conflict: set the wire `role` to `reference`, or take it off where that is None."""

    label: str
    role: str
    reference: str | None
    color: str
    ratio: float
    delta_e: float


@dataclass(frozen=True, slots=True)
class Conflict:
    """What cannot be met: measured against required, and the closest alternatives.

    `cause` is the path of the conflict from which this one follows, and empty for one that stands by itself: a link
    that cannot be read takes the text button in its ink with it.
    """

    code: str
    path: str
    ground: str
    ink: str
    foreground: str
    background: str
    ratio: float
    required: float
    message: str
    alternatives: tuple[Alternative, ...] = ()
    cause: str = ""


@dataclass(frozen=True, slots=True)
class Step:
    """A step of the type scale: sizes in px at 360 and 1280 px of viewport, line height as a factor."""

    name: str
    family: str
    weight: int
    small: float
    large: float
    line_height: float
    tracking: float

    def size(self, viewport: float) -> float:
        """Size in px at a viewport width in px: linear between the ends, held outside them."""
        share = min(1.0, max(0.0, (viewport - 360) / (1280 - 360)))
        return self.small + (self.large - self.small) * share


@dataclass(frozen=True, slots=True)
class MarkOnGround:
    """The mark chosen for a ground and the share of its drawn area that has at least 3:1 there."""

    ground: str
    mark: str | None
    visibility: float


@dataclass(frozen=True)
class System:
    """The resolved style system."""

    tokens: Mapping[str, Token]
    pairs: tuple[Pair, ...]
    conflicts: tuple[Conflict, ...]
    steps: Mapping[str, Step]
    marks: Mapping[str, MarkOnGround]
    palette: Mapping[str, RGB] = field(repr=False)  # every colour that a wire may lead to, by reference

    def css(self, path: str) -> str:
        return self.tokens[path].css

    def to_json(self) -> dict[str, Any]:
        """The form of docs/formats.md."""
        return {
            "tokens": [_flat(token) for token in self.tokens.values()],
            "pairs": [_flat(pair) for pair in self.pairs],
            "conflicts": [asdict(conflict) for conflict in self.conflicts],
        }


def _flat(item: Token | Pair) -> dict[str, Any]:
    """A dataclass that holds none as a dictionary; `asdict` looks for deeper ones, which hundreds of tokens feel."""
    return {name: getattr(item, name) for name in item.__dataclass_fields__}
