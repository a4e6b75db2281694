"""The forms of requests and answers about colours."""

from typing import Any

from pydantic import Field

from formulon.core.checks.effect import Effect
from formulon.core.checks.on_picture import AtWidth
from formulon.core.checks.reach import Use
from formulon.core.site.values import Focus, Overlay
from formulon.studio.api.shapes import Shape


class EffectRequest(Shape):
    patch: list[dict[str, Any]] = Field(min_length=1, max_length=40, description="A JSON Patch on the choices.")
    revision: int | None = Field(
        default=None,
        description="That of the choices which the patch is for. Of others nothing is said: they have changed meanwhile.",
    )


class LastEffect(Shape):
    """What the newest entry of the history reached; nothing where there is none."""

    label: str
    effect: Effect | None


class ReachOfTokens(Shape):
    """Uses by token; px² that the glyphs of an ink cover at 1280 px; of each drawing the share of each picture token."""

    uses: dict[str, list[Use]]
    ink_areas: dict[str, float]
    drawn: dict[str, dict[int, float]]


class PickRequest(Shape):
    value: str = Field(max_length=80)
    background: str = Field(max_length=80)
    required: float = Field(ge=0, le=21)


class TrackCard(Shape):
    axis: str
    low: float
    high: float
    colors: list[str]
    passes: list[bool]


class Picked(Shape):
    """A colour, its verdict, and where its three sliders lead."""

    value: str
    hex: str
    mapped: bool
    lch: list[float]
    ratio: float
    tracks: list[TrackCard]
    darker: str
    lighter: str


class AnotherRequest(Shape):
    brand: list[str] = Field(default_factory=list, max_length=12)
    background: str = Field(max_length=80)
    required: float = Field(ge=0, le=21)
    seed: int = Field(ge=0, le=1_000_000)


class OneColor(Shape):
    hex: str


class WordsRequest(Shape):
    text: str = Field(max_length=200)
    seed: int = Field(default=0, ge=0, le=1_000_000)


class WordColors(Shape):
    colors: list[str]
    known: list[str]
    unknown: list[str]


class PictureColor(Shape):
    hex: str
    share: float


class PageManner(Shape):
    """How a page sets type and leaves space: in a sentence, and as the choices that come to it."""

    says: str
    density: float | None
    ratio_small: float | None
    ratio_large: float | None


class PictureColors(Shape):
    """The colours of a reference with their shares; of a page or a style sheet also its manner."""

    colors: list[PictureColor]
    manner: PageManner | None


class OverlayRequest(Shape):
    """An overlay and a focus to be tried; what is left out is taken as it is stored."""

    overlay: Overlay | None = None
    focus: Focus | None = None


class LeastOverlay(Shape):
    """The least opacity of an overlay of a shape at which every text passes; none where there is none."""

    shape: str
    opacity: float | None


class OverlayReport(Shape):
    """What texts on a picture have, by width and scheme. `read` is false where the picture cannot be read. `picture` is
    the whole picture and `worst` the surroundings of the worst spot, as data addresses."""

    read: bool
    overlay: Overlay
    focus: Focus
    texts: list[AtWidth]
    least: list[LeastOverlay]
    picture: str
    worst: str
