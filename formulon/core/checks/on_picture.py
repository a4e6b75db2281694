"""What texts on a picture have: by text and width, the least overlay, and a picture of the worst spot."""

import base64
import io
from dataclasses import dataclass

from PIL import Image

from formulon.core.checks.page_facts import OnPicture, TextsOnPicture
from formulon.core.color.overlay import SHARE, Laid, Pixels
from formulon.core.site.backdrop import judged, least_opacity, scene_around

SPOT = (168, 84)  # px of a picture of the worst spot


def judge(fact: TextsOnPicture, text: OnPicture, width: int) -> Laid:
    """What a text has on its picture at a width."""
    one = text.demands[width]
    return judged(one, fact.opacity, fact.shape)


def measure(fact: TextsOnPicture) -> float:
    """The least ratio, over all texts and widths, that all but SHARE of the pixels have."""
    return min((judge(fact, text, width).deciding for text in fact.texts for width in text.demands), default=21.0)


def least(fact: TextsOnPicture, shape: str) -> float | None:
    """The least opacity of an overlay of a shape at which every text passes at every width and in every scheme."""
    return least_opacity(tuple(one for text in fact.texts for one in text.demands.values()), shape)


@dataclass(frozen=True, slots=True)
class AtWidth:
    """What one text has at a width in a scheme. `ratio` is what all but SHARE of the pixels behind it have; `spot` is where
    the worst of them lies, 0–1 of the section's width and height."""

    slot: str
    scheme: str
    width: int
    ratio: float
    required: float
    share: float
    worst: float
    spot: tuple[float, float]
    passes: bool


def by_width(fact: TextsOnPicture) -> list[AtWidth]:
    """What every text has at every width, in every scheme."""
    made = []
    for text in fact.texts:
        for width, demand in text.demands.items():
            found, what = judge(fact, text, width), demand.what
            x, y = what.places[found.spot] if found.spot >= 0 else (what.width // 2, what.height // 2)
            spot = ((float(x) + 0.5) / what.width, (float(y) + 0.5) / what.height)
            made.append(
                AtWidth(
                    text.run.place.slot, text.run.scheme, width, found.deciding, demand.required, found.share, found.worst,
                    spot, found.share <= SHARE,
                )
            )  # fmt: skip
    return made


def picture_of_worst(fact: TextsOnPicture) -> str:
    """The surroundings of the worst spot as they are drawn, SPOT px, the spot in the middle: a PNG as a data address.
    Empty where nothing can be read."""
    found = [
        (made.deciding / text.demands[width].required, text, width, made)
        for text in fact.texts
        for width in text.demands
        if (made := judge(fact, text, width)).spot >= 0
    ]
    if not found:
        return ""
    _, text, width, made = min(found, key=lambda one: one[0])
    demand = text.demands[width]
    drawn = scene_around(demand, fact.opacity, fact.shape, made.spot, SPOT)
    return address(drawn)


def address(pixels: Pixels) -> str:
    """Pixels, shape (height, width, 3), as a PNG in a data address."""
    out = io.BytesIO()
    Image.fromarray(pixels).save(out, "PNG")
    return "data:image/png;base64," + base64.b64encode(out.getvalue()).decode()
