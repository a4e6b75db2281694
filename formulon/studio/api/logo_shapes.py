"""Shapes of what the logo facet shows."""

from typing import Annotated, Literal

from pydantic import Field

from formulon.studio.api.shapes import Shape


class MarkSheet(Shape):
    """A mark's measures: its least height in px, thinnest stroke and narrowest counter as shares of its height, the share of it
    that is seen on each ground; and its drawing trimmed (empty where there is nothing to trim) and turned by a quarter."""

    id: str
    least_height: float
    why: str
    thinnest: float
    counter: float
    seen: dict[str, float]
    trimmed: str
    turned: str


class MadeCard(Shape):
    """A variant that could be taken."""

    name: str
    kind: Literal["full", "symbol", "wordmark"]
    meant_for: Literal["any", "light", "dark"]
    svg: str
    why: str


class LogoSheet(Shape):
    marks: list[MarkSheet]
    made: list[MadeCard]
    clear_space: float
    clear_why: str


Cut = Annotated[float, Field(default=0, ge=0, le=0.95)]


class AdjustRequest(Shape):
    """A mark, the degrees by which it is turned clockwise, and what is then cut off its sides, as shares."""

    mark: str = Field(max_length=60)
    turn: float = Field(default=0, ge=-180, le=180)
    left: Cut
    top: Cut
    right: Cut
    bottom: Cut


class Adjusted(Shape):
    svg: str
