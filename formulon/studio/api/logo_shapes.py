"""Shapes of what the logo facet shows."""

from typing import Literal

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
