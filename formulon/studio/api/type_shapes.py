"""Shapes of what the type facet shows."""

from formulon.studio.api.shapes import Shape


class TypePair(Shape):
    """A proposal: heading and body family, and why."""

    heading: str
    body: str
    reasons: list[str]


class FitOfText(Shape):
    """A text as it stands, by viewport width: lines, characters in a line, and room in px beside its longest word."""

    page: str
    section: str
    slot: str
    text: str
    lines: dict[str, int]
    characters: dict[str, float]
    room: dict[str, float]
    orphan: str
    unknown: str


class FitOfStep(Shape):
    """The texts of a step; how many texts take so many lines, by width; and the largest size in px with which no headline
    takes more than three lines on a phone, 0 where there is none or where the step is no headline's."""

    step: str
    texts: list[FitOfText]
    lines: dict[str, dict[str, int]]
    largest: float


class Lacking(Shape):
    """What a family in use lacks: of a language's letters."""

    family: str
    language: str
    characters: str


class Without(Shape):
    """Letters of the brand's own words that a family lacks, whether it is in use or not."""

    family: str
    characters: str


class TypeSheet(Shape):
    pairs: list[TypePair]
    steps: list[FitOfStep]
    lacking: list[Lacking]
    without: list[Without]
