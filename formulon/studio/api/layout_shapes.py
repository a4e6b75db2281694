"""Shapes of compositions that are offered for a section."""

from formulon.studio.api.shapes import LayoutCard, Shape


class MeasureCard(Shape):
    """One measure of a composition: its value, 0-1, and what was seen."""

    name: str
    value: float
    seen: str


class ComposedCard(LayoutCard):
    """A composition with its rank, 0-1, and what it was ranked by."""

    score: float
    measures: list[MeasureCard]


class Compositions(Shape):
    """Compositions for a section, the best first."""

    offered: list[ComposedCard]
