"""The brand motif: its measures, and the colour that it has on each ground.

A motif never stands behind words: it has a row or columns of its own, with room around it. So it may have the brand's own
colours; it needs to be seen, and no more than was asked for.
"""

from collections.abc import Iterator, Mapping

import numpy as np

from formulon.core.color.contrast import contrast_ratio, relative_luminance, shown
from formulon.core.color.oklab_scalar import oklab
from formulon.core.color.parse import parse_color
from formulon.core.color.srgb import RGB, from_hex, to_hex
from formulon.core.system.documents.choices import DARK, GROUNDS, Choices
from formulon.core.system.documents.identity import Identity, Mark
from formulon.core.system.facets.lockup import clear_space, least_height
from formulon.core.system.fluid import fluid
from formulon.core.system.solving.costs import Costs
from formulon.core.system.solving.scene import made_for_here
from formulon.core.system.solving.search import EXACT, NEUTRAL, PURE, RAMP, Swatch
from formulon.core.system.system import Alternative, Conflict, Origin, Scheme, Token

WISHES = {"quiet": 1.2, "clear": 1.6, "strong": 3.0}  # contrast with the ground (common practice for ornaments)
SEEN = 1.08  # below that an ornament is taken for a stain (common practice)
LEAST = 24.0  # px, of a shape that is no mark
ROOM = 0.25  # of a motif's height between it and its like, and above and below a band, as for a mark
_LARGE = (5.0, 11.0)  # height of a large motif on phones and desktops, in heights of a small one
_FOREIGN = 2.0  # in ln of the ratio, for each unit between their hues and chromas in OKLab
_WEAKER = {EXACT: 0.0, RAMP: 0.12, NEUTRAL: 0.5, PURE: 0.9}  # in ln of the ratio: what a swatch's class counts against it


def symbol(identity: Identity) -> Mark | None:
    """The mark that can serve as a motif: a symbol."""
    return next((mark for mark in identity.marks if mark.kind == "symbol"), None)


def measures(identity: Identity, choices: Choices) -> Iterator[Token]:
    """Shape, heights in px and the room between; none where there is no motif."""
    motif = choices.motif
    if motif.shape == "none":
        return
    mark = symbol(identity) if motif.shape == "symbol" else None
    least, why = (least_height(identity, mark)) if mark else (LEAST, f"Shapes are at least {LEAST:g} px.")
    room, whence = clear_space(identity) if mark else (ROOM, "A quarter of its height, as common practice has it for marks.")
    size = max(motif.size, least)
    said = f"Set to {motif.size:g} px." if size == motif.size else f"{motif.size:g} px is too small: {least:g} px. {why}"
    yield Token("motif/shape", "keyword", motif.shape, motif.shape, "chosen", f"The motif is the brand's {motif.shape}.")
    yield _px("motif/size", size, "chosen" if size == motif.size else "derived", said)
    small, large = (size * factor for factor in _LARGE)
    value = {"small": small, "large": large, "unit": "px"}
    yield Token(
        "motif/large", "dimension", value, fluid(small, large), "derived", "A large motif, in step with the small ones."
    )
    said = f"The room around each motif, as a share of its height. {whence}"
    order = f"Order {motif.seed} of its shapes; another number is another order."
    yield Token("motif/order", "number", motif.seed, f"{motif.seed}", "chosen", order)
    yield Token("motif/room", "number", round(room, 3), f"{room:.3g}", "derived", said)


def colors(costs: Costs, tokens: Mapping[str, Token], choices: Choices, scheme: Scheme) -> Iterator[Token]:
    """The motif's colour on every ground; none where there is no motif."""
    if choices.motif.shape == "none":
        return
    wish = WISHES[choices.motif.strength]
    pins = {path.removeprefix(DARK): text for path, text in choices.pins.items() if path.startswith(DARK) == (scheme == "dark")}
    for ground in GROUNDS:
        path = f"ground/{ground}/motif"
        if path in pins:
            yield _color(path, made_for_here(parse_color(pins[path]).rgb, pins[path]), "pinned", f"Pinned at {pins[path]}.")
            continue
        back = from_hex(tokens[f"ground/{ground}/background"].css)
        found = _best(costs, back, wish)
        ratio = shown(contrast_ratio(found.rgb, back))
        reason = f"{found.label} is {ratio} on the ground; a {choices.motif.strength} motif asks for {wish:g}:1."
        yield _color(path, found, "exact" if found.kind == EXACT else "derived", reason)


def conflicts(identity: Identity, choices: Choices) -> Iterator[Conflict]:
    """A motif that is to be the symbol of a brand that has none."""
    if choices.motif.shape == "symbol" and symbol(identity) is None:
        ways = tuple(
            Alternative(label, ({"op": "replace", "path": "/motif/shape", "value": value},))
            for label, value in (("The initial of the name", "initial"), ("No motif", "none"))
        )
        yield Conflict(
            "motif-without-symbol", "motif/shape", "", "", "", "", None, None,
            "The motif is to be the brand's symbol, and the brand has none. Nothing is drawn.", ways, unit="",
        )  # fmt: skip


def _best(costs: Costs, back: RGB, wish: float) -> Swatch:
    """The swatch whose contrast with the ground is nearest to the wish, exact colours before steps of their ramps, and those
    before neutrals; among what is seen at all."""
    own = relative_luminance(back) + 0.05
    light, palette = costs.whole.lifted, costs.palette
    ratios = np.maximum(light, own) / np.minimum(light, own)
    away_by = np.abs(np.log(ratios / wish)) + np.array([_WEAKER[int(kind)] for kind in palette.kind])
    away = np.hypot(*(palette.lab[:, 1:] - np.array(oklab(back))[1:]).T)  # a step of a foreign hue is nobody's colour there
    away_by += np.where(palette.kind == EXACT, 0.0, _FOREIGN * away)
    return palette.swatches[int(np.argmin(np.where(ratios >= SEEN, away_by, np.inf)))]


def _color(path: str, swatch: Swatch, origin: Origin, reason: str) -> Token:
    text = to_hex(swatch.rgb)
    return Token(path, "color", text, text, origin, reason, swatch.alias)


def _px(path: str, value: float, origin: Origin, reason: str) -> Token:
    return Token(path, "dimension", {"value": value, "unit": "px"}, f"{value:g}px", origin, reason)
