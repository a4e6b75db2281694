"""Shapes of style proposals."""

from pydantic import Field

from formulon.core.system.documents.choices import STYLE_PARTS, StylePart
from formulon.studio.api.shapes import Shape


class PartState(Shape):
    """A part of the style: what it is called; why no proposal changes it, empty where one may; whether it is still as it came;
    whether it was settled; and its share, 0–1, of what is seen of the pages, first screens counting three times."""

    id: StylePart
    name: str
    decided: str
    as_it_came: bool
    settled: bool
    seen: float


class ProposedPart(Shape):
    part: StylePart
    says: str


class StyleCard(Shape):
    """A whole style: its number, a few words on it, its parts with their reasons."""

    number: int
    name: str
    parts: list[ProposedPart]


class StyleProposals(Shape):
    """Proposals side by side, the state of each part, what is seen most first, and the number from which the next are counted; 0 where
    there are no more."""

    proposals: list[StyleCard]
    parts: list[PartState]
    next: int


class StyleTaken(Shape):
    """Which parts of which proposal are taken, based on a revision of the choices."""

    number: int = Field(ge=1, le=64)
    parts: list[StylePart] = Field(min_length=1, max_length=len(STYLE_PARTS))
    revision: int
