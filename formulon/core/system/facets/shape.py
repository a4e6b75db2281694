"""The shape facet: corners, space, and the measures of buttons and links."""

from collections.abc import Iterator

from formulon.core.system.documents.choices import Choices
from formulon.core.system.fluid import fluid
from formulon.core.system.system import Origin, Token

ROUND = 40  # px; from here on buttons are fully round
# Space scale in px at 360 and 1280 px of viewport, before density.
SPACE = {"1": (4, 4), "2": (8, 8), "3": (12, 14), "4": (16, 20), "5": (24, 32), "6": (36, 56), "7": (56, 112), "8": (80, 176)}
GUTTER = (20, 56)
CONTAINER = 1200
ROUNDEST = 999
# Parts that have a corner radius, and the most that each takes of the site's.
CORNERS = {"button": ROUND, "field": 24.0, "card": 24.0, "picture": 24.0}
SMALL = 0.6  # share of a button's padding that a small one has
# Shadows: px across, px down, px of blur, and the share of the ground's ink in it.
ELEVATIONS = {"none": (0.0, 0.0, 0.0, 0.0), "soft": (0.0, 6.0, 24.0, 0.16), "crisp": (4.0, 4.0, 0.0, 1.0)}
# Motion: milliseconds, easing, and px by which what is pointed at rises (common practice: 100 to 300 ms).
MOTIONS: dict[str, tuple[int, tuple[float, float, float, float], float]] = {
    "none": (0, (0, 0, 1, 1), 0.0), "calm": (180, (0.2, 0, 0, 1), 0.0), "lively": (240, (0.3, 1.4, 0.5, 1), 3.0)
}  # fmt: skip
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
    for part, most in CORNERS.items():
        yield _corner(part, most, radius, getattr(choices.corners, part))
    border = choices.buttons.border
    yield _px("shape/border", border, "derived" if border == 2 else "chosen", "One border width for buttons and fields.")
    yield from _elevation(choices)
    yield from _cards(choices)
    yield from _pictures(choices)
    yield from _motion(choices)
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
    yield _em("button/small-padding-block", round(block * SMALL, 3), f"A small button has {SMALL:g} of a button's padding.")
    yield _em("button/small-padding-inline", round(inline * SMALL, 3), f"A small button has {SMALL:g} of a button's padding.")
    arrow = choices.buttons.arrow
    said = "Buttons have no arrow." if arrow == "none" else f"Buttons have an arrow {arrow} their label."
    yield Token("button/arrow", "keyword", arrow, arrow, _origin(arrow != "none"), said)
    full = choices.buttons.full_on_phones
    reason = "Buttons take the whole width on phones." if full else "Buttons are as wide as their label on phones, too."
    yield Token("button/phone-width", "keyword", "100%" if full else "auto", "100%" if full else "auto", _origin(full), reason)
    least = choices.buttons.least
    clause = "2.5.5, level AAA" if least == 44 else "2.5.8, level AA"
    yield _px("button/least", least, "derived" if least == 24 else "chosen", f"The least size to press (WCAG 2.2, {clause}).")
    yield _em("link/padding-block", choices.links.padding_block, "Padding above and below a link in navigation and footer.")
    yield from _icons(choices)


def _origin(chosen: bool) -> Origin:
    return "chosen" if chosen else "derived"


def _corner(part: str, most: float, radius: float, own: float | None) -> Token:
    wanted = radius if own is None else own
    value = ROUNDEST if part == "button" and wanted >= ROUND else min(wanted, most)
    if own is not None:
        return _px(f"shape/{part}-radius", value, "chosen", f"Set to {own:g} px for {part}s alone.")
    until = "; from 40 px on they are fully round" if part == "button" else f", up to {most:g} px"
    return _px(f"shape/{part}-radius", value, "derived", f"{part.capitalize()}s take the site's radius{until}.")


def _elevation(choices: Choices) -> Iterator[Token]:
    lifted = choices.elevation == "none" and choices.cards == "lifted"
    across, down, blur, strength = ELEVATIONS["soft" if lifted else choices.elevation]
    chosen = choices.elevation != "none"
    said = f"Elevation is {choices.elevation}: the shadow of what lies above the page, in its ground's own ink."
    if lifted:
        said = "Cards are lifted, and nothing else was chosen: a soft shadow in their ground's own ink."
    for name, value in (("across", across), ("down", down), ("blur", blur)):
        yield _px(f"elevation/{name}", value, "chosen" if chosen else "derived", said)
    yield Token("elevation/strength", "number", strength, f"{strength:g}", _origin(chosen), said)


def _cards(choices: Choices) -> Iterator[Token]:
    """What a card is drawn with. A solid one stands on another ground, which is the pages' affair."""
    style = choices.cards
    said = f"Cards are {style}."
    yield Token("card/style", "keyword", style, style, _origin(style != "plain"), said)
    lined = 1.0 if style == "lined" else 0.0
    yield _px("card/border", lined, "chosen" if lined else "derived", said)
    spaced = style != "plain"
    yield Token(
        "card/padding", "dimension", {"small": 20.0, "large": 28.0, "unit": "px"} if spaced else {"value": 0.0, "unit": "px"},
        fluid(20, 28) if spaced else "0px", _origin(spaced), said,
    )  # fmt: skip


def _pictures(choices: Choices) -> Iterator[Token]:
    kind = choices.pictures
    said = "Photographs are drawn as they are." if kind == "natural" else f"Photographs are drawn in {kind}, on the whole site."
    yield Token("photo/treatment", "keyword", kind, kind, _origin(kind != "natural"), said)
    grain = choices.grain
    said = f"Photographs have {grain:.0%} of grain, where no text stands on them." if grain else "Photographs have no grain."
    yield Token("photo/grain", "number", grain, f"{grain:g}", _origin(grain > 0), said)
    for name, own in sorted(choices.picture_kinds.items()):
        if own.ratio:
            wide, high = own.ratio.split(":")
            said = f"Pictures of this kind ({name}) are {own.ratio}, where their layout leaves it open."
            css = f"{wide}/{high}"
            yield Token(f"shape/{name}-picture-ratio", "keyword", css, css, "chosen", said)
        if own.corners is not None:
            said = f"Set to {own.corners:g} px for pictures of this kind ({name}) alone."
            yield _px(f"shape/{name}-picture-radius", min(own.corners, CORNERS["picture"]), "chosen", said)


def _motion(choices: Choices) -> Iterator[Token]:
    duration, easing, lift = MOTIONS[choices.motion]
    chosen = choices.motion != "none"
    said = f"Motion is {choices.motion}; it is off where a visitor asks for less."
    yield Token("motion/duration", "duration", {"value": duration, "unit": "ms"}, f"{duration}ms", _origin(chosen), said)
    css = f"cubic-bezier({', '.join(f'{value:g}' for value in easing)})"
    yield Token("motion/easing", "cubicBezier", list(easing), css, _origin(chosen), said)
    yield _px("motion/lift", lift, "chosen" if chosen else "derived", said)


def _icons(choices: Choices) -> Iterator[Token]:
    """How icons are drawn: their ends are round where corners are."""
    end, joint = ("round", "round") if choices.radius > 2 else ("butt", "miter")
    reason = f"Corners of {choices.radius:g} px make {'round' if end == 'round' else 'square'} ends of lines."
    yield Token("icon/cap", "keyword", end, end, "derived", reason)
    yield Token("icon/join", "keyword", joint, joint, "derived", reason)


def _px(path: str, value: float, origin: str, reason: str) -> Token:
    css = f"{value:g}px"
    return Token(path, "dimension", {"value": value, "unit": "px"}, css, "chosen" if origin == "chosen" else "derived", reason)


def _em(path: str, value: float, reason: str) -> Token:
    return Token(path, "dimension", {"value": value, "unit": "em"}, f"{value:g}em", "derived", reason)
