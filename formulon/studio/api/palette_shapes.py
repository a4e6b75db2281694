"""Shapes of whole palettes that are proposed."""

from typing import Literal

from pydantic import Field

from formulon.core.system.documents.choices import Rhythm
from formulon.studio.api.shapes import Shape


class ReferenceColor(Shape):
    """A colour of a reference and its share, 0-1."""

    hex: str = Field(pattern=r"^#[0-9a-fA-F]{6}$")
    share: float = Field(default=0, ge=0, le=1)


class PalettesWanted(Shape):
    """What palettes are to follow: the brand's trade and name, words, or the colours of a reference; and from which number on."""

    source: Literal["trade", "words", "colors"] = "trade"
    text: str = Field(default="", max_length=200)
    colors: list[ReferenceColor] = Field(default_factory=list, max_length=40)
    first: int = Field(default=1, ge=1, le=64)


class PaletteColor(Shape):
    """A colour of a palette and what it is for."""

    name: str
    value: str
    what: str


class PaletteCard(Shape):
    """A palette: its number, its name, its colours, why it is so, and its rhythm of grounds."""

    number: int
    name: str
    colors: list[PaletteColor]
    says: str
    rhythm: Rhythm


class Palettes(Shape):
    """Palettes side by side; the words that they rest on and those that say nothing; the number from which the next are counted, 0 where
    there are no more."""

    proposals: list[PaletteCard]
    known: list[str]
    unknown: list[str]
    next: int


class NamedColor(Shape):
    name: str
    value: str


class PalettePreview(Shape):
    """A palette that the start page is drawn in; beside it ratios of the type scale and a density, as a reference has them."""

    colors: list[NamedColor] = Field(min_length=1, max_length=12)
    rhythm: Rhythm
    ratio_small: float | None = None
    ratio_large: float | None = None
    density: float | None = None
