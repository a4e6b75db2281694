"""The shape facet: corners, space, and the measures of buttons and links."""

from collections.abc import Iterator

from formulon.core.system.choices import Choices
from formulon.core.system.fluid import fluid
from formulon.core.system.model import Token

ROUND = 40  # px; from here on buttons are fully round
# Space scale in px at 360 and 1280 px of viewport, before density.
SPACE = {"1": (4, 4), "2": (8, 8), "3": (12, 14), "4": (16, 20), "5": (24, 32), "6": (36, 56), "7": (56, 112), "8": (80, 176)}
GUTTER = (20, 56)
CONTAINER = 1200
_FIXED = ("1", "2")  # the finest spaces keep parts of one thing together at any density


def space(choices: Choices) -> dict[str, tuple[float, float]]:
    """The space scale in px, at 360 and 1280 px, with density applied."""
    return {
        name: pair if name in _FIXED else (pair[0] * choices.density, pair[1] * choices.density) for name, pair in SPACE.items()
    }


def tokens(choices: Choices) -> Iterator[Token]:
    """Corners, spaces, container, and the padding of buttons and links."""
    radius = choices.radius
    chosen = f"One radius for the whole site, {radius:g} px, was set."
    origin = "derived" if radius == 6 else "chosen"
    yield _px(
        "shape/radius", radius, origin, chosen if origin == "chosen" else f"One radius for the whole site, {radius:g} px."
    )
    button = 999 if radius >= ROUND else radius
    yield _px("shape/button-radius", button, "derived", "Buttons take the site's radius; from 40 px on they are fully round.")
    yield _px("shape/picture-radius", min(radius * 1.0, 24), "derived", "Pictures take the site's radius, up to 24 px.")
    yield _px("shape/border", 2, "derived", "One border width for buttons and fields.")
    for name, (small, large) in space(choices).items():
        reason = f"Step {name} of the space scale at density {choices.density:g}."
        value = {"small": small, "large": large, "unit": "px"}
        css = fluid(small, large) if small != large else f"{small / 16:g}rem"
        yield Token(f"space/{name}", "dimension", value, css, "derived", reason)
    gutter = {"small": GUTTER[0], "large": GUTTER[1], "unit": "px"}
    yield Token("space/gutter", "dimension", gutter, fluid(*GUTTER), "derived", "The margin at the sides of a page.")
    yield _px("space/container", CONTAINER, "derived", "The widest that content runs.")
    block, inline = choices.buttons.padding_block, choices.buttons.padding_inline
    yield _em("button/padding-block", block, "Padding above and below a label.")
    yield _em("button/padding-inline", inline, "Padding at the sides of a label.")
    yield _em("link/padding-block", choices.links.padding_block, "Padding above and below a link in navigation and footer.")


def _px(path: str, value: float, origin: str, reason: str) -> Token:
    css = f"{value:g}px"
    return Token(path, "dimension", {"value": value, "unit": "px"}, css, "chosen" if origin == "chosen" else "derived", reason)


def _em(path: str, value: float, reason: str) -> Token:
    return Token(path, "dimension", {"value": value, "unit": "em"}, f"{value:g}em", "derived", reason)
