"""Type families: those that ship with Formulon, out of the Fontsource packages, and a brand's own.

A family is known by its id. A brand's own has an id made of its files' content, so that it can be kept in one place for
all brands of a process; its bytes are asked for when they are first needed.
"""

import json
from collections.abc import Callable
from dataclasses import dataclass, field
from functools import cache
from pathlib import Path
from typing import Any

from formulon.core.errors import FontError

FOLDER = Path(__file__).parent / "library"
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


@dataclass(frozen=True, slots=True)
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
    licence_text: str = field(default="", repr=False)
    reserved_name: bool = False
    own: bool = False
    codes: str = field(default="", repr=False)  # spans of its code points; empty where the files have to tell

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


_own: dict[str, Family] = {}


def register(family: Family) -> None:
    """Makes a brand's own family known in this process."""
    _own[family.id] = family


@cache
def families() -> dict[str, Family]:
    """Every family of the library by id."""
    return {folder.name: _read(folder) for folder in sorted(FOLDER.iterdir()) if folder.is_dir()}


def family(family_id: str) -> Family:
    """The family of that id. Raises FontError."""
    found = families().get(family_id) or _own.get(family_id)
    if found is None and family_id.startswith(OWN):
        raise FontError(f"The files of the typeface “{family_id}” are not at hand. Give the folder that holds them.")
    if found is None:
        known = ", ".join(sorted(families()))
        raise FontError(f"There is no typeface “{family_id}”. Choose one of: {known}.")
    return found


def _read(folder: Path) -> Family:
    data: dict[str, Any] = json.loads((folder / "family.json").read_text(encoding="utf-8"))
    faces, italics = (
        tuple(
            Face(one["key"], tuple(one["weights"]), one["ranges"], (folder / f"{one['key']}.woff2").read_bytes, one["codes"])
            for one in data[part]
        )
        for part in ("faces", "italics")
    )
    return Family(
        id=folder.name, name=data["name"], category=data["category"], faces=faces, measured=Measured(**data["measured"]),
        languages=tuple(data["languages"]), axes=tuple(data["axes"]), italics=italics, licence=data["licence"],
        attribution=data["attribution"], licence_text=(folder / "OFL.txt").read_text(encoding="utf-8"),
        reserved_name=data["reserved_name"], codes=data["codes"],
    )  # fmt: skip
