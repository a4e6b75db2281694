"""Shapes of the library: what there is to choose from, the same for every brand."""

from typing import Any

from formulon.core.type.library import Measured
from formulon.studio.api.shapes import LayoutCard, Shape


class FaceCard(Shape):
    """A file of a family; `ranges` is a CSS unicode-range, empty for all characters."""

    key: str
    lightest: int
    heaviest: int
    ranges: str


class FamilyCard(Shape):
    """A family of the library. Measures are in em; see core/type/library.py."""

    id: str
    name: str
    category: str
    licence: str
    lightest: int
    heaviest: int
    italic: bool
    axes: list[str]
    languages: list[str]
    faces: list[FaceCard]
    measured: Measured


class SlotCard(Shape):
    """A slot: its type, which an editor of the same name edits; what it holds when it is added; the most that it takes, in
    characters or items; what one of its items is called; and as which button it is drawn."""

    path: str
    label: str
    type: str
    blank: Any
    most: int
    one: str
    variant: str


class DrawingCard(Shape):
    """A drawing of the library: what it shows, the words by which it is found, its season, and a sample as the inner SVG of a board of
    160 by 120, whose fills are classes f1 to f6 for the tokens picture/1 to picture/6."""

    id: str
    says: str
    words: list[str]
    season: str
    svg: str


class KindCard(Shape):
    id: str
    label: str
    needs: str
    layouts: list[LayoutCard]
    slots: list[SlotCard]


class OrganisationCard(Shape):
    id: str
    name: str
    about: str
    pages: list[str]


class AxisCard(Shape):
    id: str
    first: str
    second: str


class VisionCard(Shape):
    """A kind of vision, with its matrix on linear sRGB."""

    id: str
    matrix: list[list[float]]


class FormCard(Shape):
    id: str
    label: str


class LanguageCard(Shape):
    """A language to write a site in: its name in English and in itself, and whether Formulon has words and sentences in it."""

    code: str
    name: str
    own: str
    words: bool
    sentences: bool


class Library(Shape):
    """What does not change while the program runs: families and the section catalogue."""

    families: list[FamilyCard]
    kinds: list[KindCard]
    drawings: list[DrawingCard]
    grounds: list[str]
    widths: list[int]
    organisations: list[OrganisationCard]
    axes: list[AxisCard]
    forms: list[FormCard]
    system_forms: list[FormCard]
    visions: list[VisionCard]
    languages: list[LanguageCard]
    ruled_out: list[str]
