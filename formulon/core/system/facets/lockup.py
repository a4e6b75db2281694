"""The logo's measures: its height in header and footer, the least height that its shape asks for, and its clear space."""

import math
from collections.abc import Iterable, Iterator, Mapping

from formulon.core.system.documents.choices import Choices
from formulon.core.system.documents.identity import Identity, Mark
from formulon.core.system.facets.mark_shapes import MarkShape, shape_of
from formulon.core.system.fluid import fluid
from formulon.core.system.system import Alternative, Conflict, Origin, Token

CLEAR = 0.25  # of the mark's height; where neither the guideline nor the brand says (common practice)
UNSEEN = 0.5  # CSS px; a stroke below that fades on any screen, also where two device pixels make one of CSS


def size_of(mark: Mark) -> tuple[float, float]:
    """Width and height of a rebuilt mark, in user units."""
    parts = mark.svg.partition('viewBox="')[2].partition('"')[0].split()
    return (float(parts[2]), float(parts[3])) if len(parts) == 4 else (1.0, 1.0)


def shape(mark: Mark) -> MarkShape:
    return shape_of(mark.svg, *size_of(mark))


def least_height(identity: Identity, mark: Mark) -> tuple[float, str]:
    """The least height in px at which a mark is to be drawn, and why: what the guideline says, else what its shape asks."""
    for rule in identity.rules:
        px = rule.values.get("px")
        meant = rule.values.get("mark", "") in ("", "logo", "mark", mark.kind)
        if rule.rule == "least size" and meant and isinstance(px, int | float) and px > 0:
            width, height = size_of(mark)
            across = str(rule.values.get("side", "")) == "width"
            return math.ceil(px * height / width if across else px), f"The guideline: {rule.text}"
    found = shape(mark)
    counters = f", its narrowest counter {found.counter * 100:.1f} %" if found.counter else ""
    return found.least_height, (
        f"Its thinnest stroke is {found.thinnest * 100:.1f} % of its height{counters}; below this height one of them takes less "
        "than one CSS pixel."
    )


def clear_space(identity: Identity) -> tuple[float, str]:
    """The room around a mark as a share of its height, and why."""
    for rule in identity.rules:
        share = rule.values.get("share")
        if rule.rule == "clear space" and isinstance(share, int | float) and share > 0:
            part = str(rule.values.get("of", ""))
            whole = (
                " Taken of the whole height, which is the safe side."
                if part and "logo" not in part and "mark" not in part
                else ""
            )
            return float(share), f"The guideline: {rule.text}{whole}"
    return CLEAR, "A quarter of the mark's height on every side (common practice)."


def tokens(identity: Identity, choices: Choices, mark: Mark | None) -> Iterator[Token]:
    """Heights and clear space, and the least height of the mark that stands in the header."""
    logo = choices.logo
    footer = (logo.footer if logo.footer_small is None else logo.footer_small, logo.footer)
    for place, (small, large), usual in (("header", (logo.header_small, logo.header_large), 44), ("footer", footer, 56)):
        css = f"{small:g}px" if small == large else fluid(small, large)
        value = {"small": small, "large": large, "unit": "px"}
        origin: Origin = "derived" if (small, large) == (usual, usual) else "chosen"
        yield Token(f"mark/{place}-height", "dimension", value, css, origin, f"The height of the mark in the {place}.")
    share, why = clear_space(identity)
    yield Token("mark/clear-space", "number", round(share, 3), f"{share:.3g}", "derived", why)
    if mark:
        height, why = least_height(identity, mark)
        yield _px("mark/least-height", height, "derived", why)


def conflicts(made: Mapping[str, Token], mark: Mark | None) -> Iterable[Conflict]:
    """A mark whose thinnest stroke is not seen at its height in the header, with the height from which it is."""
    header = made["mark/header-height"].value
    small = min(header["small"], header["large"])
    if mark:
        thin = shape(mark).thinnest
        if 0 < thin * small < UNSEEN:
            height = math.ceil(UNSEEN / thin)
            yield Conflict(
                "mark-too-small", "mark/header-height", "", "", "", "", round(thin * small, 3), UNSEEN,
                f"At {small:g} px the thinnest stroke of {mark.name} is {thin * small:.2f} px; below {UNSEEN:g} px it fades.",
                (
                    Alternative(
                        f"{height} px high in the header",
                        tuple(
                            {"op": "replace", "path": f"/logo/header_{end}", "value": max(height, header[end])}
                            for end in ("small", "large")
                        ),
                    ),
                ), unit="px",
            )  # fmt: skip


def _px(path: str, value: float, origin: str, reason: str) -> Token:
    return Token(
        path, "dimension", {"value": value, "unit": "px"}, f"{value:g}px", "chosen" if origin == "chosen" else "derived", reason
    )
