"""Type families: those that ship with Formulon, out of the Fontsource packages, and a brand's own.

A family is known by its id, and two of one id are the same: a brand's own has an id made of its files' content. Which
families there are is a `Library`, which is handed to whatever sets type; its files are read when they are first needed.
"""

from collections.abc import Callable, Iterable, Iterator, Mapping
from dataclasses import dataclass, field
from functools import cache, partial
from typing import Any

from formulon import typefaces
from formulon.core.errors import FontError

DEFAULT_HEADING = "young-serif"
DEFAULT_BODY = "figtree"
OWN = "own-"  # how the ids of a brand's own families begin
_GENERIC = {"serif": "serif", "sans-serif": "sans-serif", "monospace": "monospace", "handwriting": "cursive"}
FALLBACK = {
    "serif": ("Times New Roman", "Liberation Serif"),
    "sans-serif": ("Arial", "Liberation Sans"),
    "monospace": ("Courier New", "Liberation Mono"),
    "handwriting": ("Times New Roman", "Liberation Serif"),
}


@dataclass(frozen=True, slots=True)
class Face:
    """One file of a family: its characters at a range of weights. `ranges` is a CSS unicode-range, empty for all; `codes` are
    spans of the code points that the file has, empty where the file has to tell."""

    key: str
    weights: tuple[int, int]
    ranges: str
    open: Callable[[], bytes] = field(compare=False, repr=False)
    codes: str = field(default="", repr=False)

    def asked(self, code: int) -> bool:
        """Whether a browser asks this face for a code point."""
        return any(low <= code <= high for low, high in spans(self.ranges))


@cache
def spans(text: str) -> tuple[tuple[int, int], ...]:
    """Spans of code points, as CSS unicode-range writes them (CSS Fonts 4, 4.5), with or without "U+"."""
    made = []
    for part in text.split(","):
        low, _, high = part.strip().removeprefix("U+").partition("-")
        made.append((int(low, 16), int(high or low, 16)))
    return tuple(made)


@dataclass(frozen=True, slots=True)
class Measured:
    """What a family looks like at its regular weight, measured on its outlines; see features.py. Lengths are in em.

    `contrast` is thick to thin of the o, `width` a lower-case letter's mean advance, `stem` the n's left stem;
    `softness` is the share, 0–1, of turning along curves in letters that are drawn straight.
    """

    x_height: float
    cap_height: float
    contrast: float
    stem: float
    width: float
    softness: float
    ascender: float
    descender: float
    line_gap: float


@dataclass(frozen=True, slots=True, eq=False, repr=False)
class Family:
    """A family. Its faces are in the order in which a browser asks them for a character."""

    id: str
    name: str
    category: str
    faces: tuple[Face, ...]
    measured: Measured
    languages: tuple[str, ...] = ()
    axes: tuple[str, ...] = ()
    italics: tuple[Face, ...] = ()  # the slanted faces; without any the family has no real italic
    licence: str = ""
    attribution: str = ""
    open_licence: Callable[[], bytes] = bytes
    reserved_name: bool = False
    own: bool = False
    codes: str = ""  # spans of its code points; empty where the files have to tell
    script: str = ""  # the face of the script that it was drawn for, where its Latin letters only accompany that

    def __eq__(self, other: object) -> bool:
        return isinstance(other, Family) and self.id == other.id

    def __hash__(self) -> int:
        return hash(self.id)

    def __repr__(self) -> str:
        return f"Family({self.id!r})"

    @property
    def weights(self) -> tuple[int, int]:
        """Lowest and highest weight."""
        return min(face.weights[0] for face in self.faces), max(face.weights[1] for face in self.faces)

    @property
    def local(self) -> tuple[str, ...]:
        """The fonts of a visitor's machine that stand in until the family has arrived; they share their metrics."""
        return FALLBACK[self.category]

    @property
    def stack(self) -> str:
        """The CSS font-family list; the second is the stand-in with this family's measures."""
        return f"'{self.name}', '{self.name} stand-in', '{self.local[0]}', {_GENERIC[self.category]}"

    def nearest_weight(self, wanted: int) -> int:
        """The weight nearest to the wanted one that the family has; of two as near, the lighter."""
        return _nearest(self.faces, wanted)

    @property
    def italic(self) -> bool:
        """Whether the family has a real italic."""
        return bool(self.italics)

    def at(self, weight: int, slanted: bool = False) -> tuple[Face, ...]:
        """The faces that draw a weight; slanted ones where they are asked for and there are some."""
        faces = self.italics if slanted and self.italics else self.faces
        near = _nearest(faces, weight)
        return tuple(face for face in faces if face.weights[0] <= near <= face.weights[1])


def _nearest(faces: tuple[Face, ...], wanted: int) -> int:
    held = (min(max(wanted, low), high) for low, high in (face.weights for face in faces))
    return min(held, key=lambda weight: (abs(weight - wanted), weight))


class Library(Mapping[str, Family]):
    """The families that type can be set in, by id. Never altered."""

    def __init__(self, families: Iterable[Family]) -> None:
        self._families = {one.id: one for one in families}

    def __getitem__(self, family_id: str) -> Family:
        """The family of that id. Raises KeyError."""
        return self._families[family_id]

    def __iter__(self) -> Iterator[str]:
        return iter(self._families)

    def __len__(self) -> int:
        return len(self._families)

    def family(self, family_id: str) -> Family:
        """The family of that id. Raises FontError."""
        found = self._families.get(family_id)
        if found is None and family_id.startswith(OWN):
            raise FontError(f"The files of the typeface “{family_id}” are not at hand. Give the folder that holds them.")
        if found is None:
            known = ", ".join(sorted(one for one in self if not one.startswith(OWN)))
            raise FontError(f"There is no typeface “{family_id}”. Choose one of: {known}.")
        return found

    def with_own(self, families: Iterable[Family]) -> "Library":
        """The same with a brand's own families."""
        own = tuple(families)
        return Library((*self.values(), *own)) if own else self


def _shipped(family_id: str, data: Mapping[str, Any]) -> Family:
    faces, italics = (
        tuple(
            Face(
                one["key"], (one["weights"][0], one["weights"][1]), one["ranges"],
                partial(typefaces.read, family_id, f"{one['key']}.woff2"), one["codes"],
            )
            for one in data[part]
        )
        for part in ("faces", "italics")
    )  # fmt: skip
    return Family(
        id=family_id, name=data["name"], category=data["category"], faces=faces, measured=Measured(**data["measured"]),
        languages=tuple(data["languages"]), axes=tuple(data["axes"]), italics=italics, licence=data["licence"],
        attribution=data["attribution"], open_licence=partial(typefaces.read, family_id, "OFL.txt"),
        reserved_name=data["reserved_name"], codes=data["codes"], script=data.get("script", ""),
    )  # fmt: skip


SHIPPED = Library(_shipped(name, data) for name, data in typefaces.INDEX.items())
