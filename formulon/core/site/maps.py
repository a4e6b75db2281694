"""A map drawn from what is known and from nothing else: the place in the middle, and the ways to it from where they come, by the
compass and by how one goes. It has no scale and says so by having no streets."""

import math
from collections.abc import Iterable
from typing import Literal

from markupsafe import Markup

from formulon.core.site.markup import html

WIDTH, HEIGHT = 480, 360
From = Literal["n", "ne", "e", "se", "s", "sw", "w", "nw"]
How = Literal["foot", "bike", "bus", "tram", "train", "car", "boat"]
_ANGLES = {name: index * math.pi / 4 for index, name in enumerate(("n", "ne", "e", "se", "s", "sw", "w", "nw"))}
_STOP = 0.72  # of the way out at which a way begins


def _at(direction: str, share: float, bend: float = 0.0) -> tuple[float, float]:
    """A point in a direction, as a share of the distance to the edge."""
    angle = _ANGLES[direction] + bend
    return WIDTH / 2 + share * WIDTH / 2 * math.sin(angle), HEIGHT / 2 - share * HEIGHT / 2 * math.cos(angle)


def draw(ways: Iterable[tuple[From, How]]) -> Markup:
    """The map as SVG, in the colours of drawings; ways are numbered in their order."""
    made = [
        html('<rect width="%s" height="%s" class="f1"/>', WIDTH, HEIGHT),
        *(html('<circle cx="%s" cy="%s" r="%s" class="map-ring"/>', WIDTH // 2, HEIGHT // 2, r) for r in (60, 110, 160)),
    ]
    taken: dict[str, int] = {}
    for number, (direction, how) in enumerate(ways, 1):
        turn = taken.get(direction, 0) * 0.22
        taken[direction] = taken.get(direction, 0) + 1
        (x, y), (cx, cy), (ox, oy) = _at(direction, _STOP, turn), _at(direction, 0.4, turn + 0.3), _at(direction, 1.1, turn)
        line = f"M{ox:.0f} {oy:.0f}L{x:.0f} {y:.0f}Q{cx:.0f} {cy:.0f} {WIDTH // 2} {HEIGHT // 2}"
        made.append(html('<path d="%s" class="map-way map-way--%s"/>', line, how))
        made.append(html('<circle cx="%s" cy="%s" r="15" class="map-stop"/>', round(x), round(y)))
        made.append(html('<text x="%s" y="%s" class="map-number">%s</text>', round(x), round(y), number))
    made.append(html('<circle cx="%s" cy="%s" r="20" class="map-place"/>', WIDTH // 2, HEIGHT // 2))
    made.append(html('<circle cx="%s" cy="%s" r="7" class="map-dot"/>', WIDTH // 2, HEIGHT // 2))
    return html('<svg viewBox="0 0 %s %s" aria-hidden="true">%s</svg>', WIDTH, HEIGHT, Markup("").join(made))
