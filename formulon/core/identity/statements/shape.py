"""Rules for corners, buttons and links."""

from dataclasses import dataclass

from formulon.core.identity.statements import sentence
from formulon.core.identity.statements.forms import LENGTH, forms, matches, pixels

_PLACES = (("length", LENGTH),)
# Of a form's part: what it states. A radius of 40 px is fully round, as choices have it.
_MEANS: dict[str, tuple[tuple[str, str | float], ...]] = {
    "button square": (("button radius", 0.0),), "button round": (("button radius", 40.0),), "square": (("radius", 0.0),),
    "both buttons": (("button", "filled"), ("second button", "outlined")),
    "button outlined": (("button", "outlined"),), "button filled": (("button", "filled"),),
    "no capitals": (("button capitals", "no"),), "capitals": (("button capitals", "yes"),),
    "links plain": (("links", "plain"),), "links underlined": (("links", "underlined"),),
}  # fmt: skip
_MEASURED = ("button radius", "radius")  # parts whose forms give a length


@dataclass(frozen=True, slots=True)
class ShapeStated:
    """What a sentence states: "radius" and "button radius" in CSS px; "button" and "second button": filled or outlined; "button
    capitals": yes or no; "links": underlined or plain."""

    values: dict[str, str | float | list[str]]
    text: str


def shapes_stated(text: str) -> list[ShapeStated]:
    """The rules of a text, in its order; of two of one kind in a sentence the first form counts."""
    made: list[tuple[int, int, ShapeStated]] = []
    for part in (*_MEASURED, *_MEANS):
        for match in matches(text, forms("shape", part, _PLACES)):
            if any(match.start() < end and start < match.end() for start, end, _ in made):
                continue
            values: dict[str, str | float | list[str]] = (
                {part: pixels(match["length"])} if part in _MEASURED else dict(_MEANS[part])
            )
            made.append((*match.span(), ShapeStated(values, sentence(text, *match.span()))))
    return [one for _, _, one in sorted(made, key=lambda each: each[0])]
