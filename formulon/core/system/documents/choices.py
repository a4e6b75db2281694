"""Choices: the designer's decisions. A small JSON document; all of it has defaults."""

import re
from typing import Any, Literal, get_args

from pydantic import Field, field_validator

from formulon.core.system.documents.identity import Model
from formulon.core.system.documents.pins import check_pin
from formulon.core.system.parts import ROLES
from formulon.core.system.system import Scheme

# What a section can stand on; navigation and footer have grounds of their own.
SECTION_GROUNDS = ("paper", "tint", "brand", "accent", "deep")
GROUNDS = (*SECTION_GROUNDS, "navigation", "footer")
SectionGround = Literal["paper", "tint", "brand", "accent", "deep"]
StepName = Literal["display", "h1", "h2", "h3", "h4", "h5", "h6", "intro", "body", "fine", "label"]
PictureKindName = Literal["opening", "text", "card"]
StylePart = Literal[
    "type",
    "layouts",
    "order",
    "rhythm",
    "scale",
    "space",
    "corners",
    "cards",
    "buttons",
    "pictures",
    "motif",
    "header",
    "footer",
    "motion",
]
SectionOrder = Literal["usual", "offers", "proof", "people"]
STYLE_PARTS: tuple[StylePart, ...] = get_args(StylePart)
GroundName = Literal["paper", "tint", "brand", "accent", "deep", "navigation", "footer"]
DARK = "dark:"
_ROLE = re.compile(rf"({DARK})?({'|'.join(GROUNDS)})(/({'|'.join(ROLES)}))?")
_REFERENCE = re.compile(r"[a-z0-9-]{1,40}(/[1-9]\d{1,2})?")
_TOKEN = re.compile(rf"({DARK})?[a-z0-9-]{{1,60}}(/[a-z0-9-]{{1,60}}){{1,4}}")


STEPS: tuple[StepName, ...] = get_args(StepName)


class StepChoice(Model):
    """What was set for one step of the scale; what is empty follows the scale and the family. Sizes are in px at 360 and
    1280 px of viewport, tracking is in em."""

    font: Literal["heading", "body", "third"] | None = None
    small: float | None = Field(default=None, ge=9, le=160)
    large: float | None = Field(default=None, ge=9, le=240)
    weight: int | None = Field(default=None, ge=1, le=1000)
    line_height: float | None = Field(default=None, ge=0.8, le=2.4)
    tracking: float | None = Field(default=None, ge=-0.1, le=0.4)
    case: Literal["none", "uppercase", "lowercase"] | None = None


class Scale(Model):
    """The type scale: size of running text in px and ratio of neighbouring steps, at 360 and at 1280 px; a factor on all
    sizes; and what was set for single steps."""

    base_small: float = Field(default=17, ge=12, le=24)
    base_large: float = Field(default=18, ge=12, le=28)
    ratio_small: float = Field(default=1.2, ge=1.05, le=1.5)
    ratio_large: float = Field(default=1.32, ge=1.05, le=1.6)
    size: float = Field(default=1, ge=0.75, le=1.4)
    steps: dict[StepName, StepChoice] = Field(default_factory=dict)

    @field_validator("steps")
    @classmethod
    def _body(cls, value: dict[StepName, StepChoice]) -> dict[StepName, StepChoice]:
        if value.get("body", StepChoice()).font:
            raise ValueError("Running text is set in the body typeface. Choose another body typeface instead.")
        return value


class Buttons(Model):
    """How the main one is drawn; padding in em of the label, above and below it and at its sides; the border in px; an arrow beside
    the label; whether they take the whole width on phones; and the least size of anything to press, in px (WCAG 2.2, 2.5.8 and 2.5.5)."""

    main: Literal["filled", "outlined"] = "filled"
    padding_block: float = Field(default=0.8, ge=0, le=2)
    padding_inline: float = Field(default=1.35, ge=0.2, le=3)
    border: float = Field(default=2, ge=0, le=4)
    arrow: Literal["none", "before", "after"] = "none"
    full_on_phones: bool = False
    least: Literal[24, 44] = 24
    small_in_header: bool = Field(default=False, description="The header's button is a small one.")
    raised: bool = Field(default=False, description="The main button casts the shadow of the elevation.")


class Logo(Model):
    """Heights of the mark in px, at 360 and at 1280 px of viewport: in the header, and in the footer, where the first follows
    the second unless it is set; whether the name stands as
    text beside a symbol; and the grounds on which the mark stands on a plate of another colour."""

    header_small: float = Field(default=44, ge=16, le=120)
    header_large: float = Field(default=44, ge=16, le=160)
    footer: float = Field(default=56, ge=16, le=200)
    footer_small: float | None = Field(default=None, ge=16, le=160)
    name_beside: bool = False
    plates: list[str] = Field(default_factory=list, max_length=7)

    @field_validator("plates")
    @classmethod
    def _grounds(cls, value: list[str]) -> list[str]:
        for ground in value:
            if ground not in GROUNDS:
                raise ValueError(f"There is no ground “{ground[:60]}”.")
        return value


class Corners(Model):
    """The corner radius in px of one part; what is empty follows the site's radius."""

    button: float | None = Field(default=None, ge=0, le=40)
    field: float | None = Field(default=None, ge=0, le=40)
    card: float | None = Field(default=None, ge=0, le=40)
    picture: float | None = Field(default=None, ge=0, le=40)


class PictureKind(Model):
    """Proportions, as width by height, and corner radius in px of the pictures of one kind; what is empty follows the layout
    and the site's radius."""

    ratio: Literal["1:1", "4:3", "3:2", "16:9", "3:4", "2:3"] | None = None
    corners: float | None = Field(default=None, ge=0, le=40)


class Motif(Model):
    """The brand motif: its shape, where it stands, its height in px in a band, how strongly it is seen, and a seed for its order.

    In a place stands one large motif ("accent") or a row of small ones ("band"), never behind words.
    """

    shape: Literal["none", "symbol", "initial", "ring", "arch", "wave", "weave", "ray"] = "none"
    places: dict[Literal["opening", "middle", "closing", "footer"], Literal["accent", "band"]] = Field(
        default={"closing": "accent", "footer": "band"}
    )
    size: float = Field(default=48, ge=16, le=160)
    strength: Literal["quiet", "clear", "strong"] = "clear"
    seed: int = Field(default=1, ge=0, le=9999)


class Links(Model):
    """Links: padding in em above and below those of navigation and footer, and whether links in running text are underlined."""

    padding_block: float = Field(default=0.45, ge=0, le=1.5)
    underlined: bool = True


class Thresholds(Model):
    """Contrast ratios of one's own, from those of AA upwards: of text, of large text (from 24 px, or 18.66 px and bold), and
    of boundaries and focus. The last two stay below 4.58:1, which black or white reaches on any ground."""

    text: float = Field(default=5.5, ge=4.5, le=12)
    large: float = Field(default=4.0, ge=3, le=4.5)
    boundary: float = Field(default=3.0, ge=3, le=4.5)


class Rhythm(Model):
    """Which ground each section of a page takes, in order: the first, on pages besides the start page another where one is set,
    those between in turn, and the last."""

    opening: SectionGround = "deep"
    middle: list[SectionGround] = Field(default=["paper", "tint"], min_length=1, max_length=6)
    closing: SectionGround = "accent"
    inner: SectionGround | None = None

    def ground(self, index: int, count: int, home: bool = True) -> SectionGround:
        """The ground of a section by its place among `count`, on the start page or on another."""
        if index == 0:
            return self.opening if home else self.inner or self.opening
        return self.closing if index == count - 1 else self.middle[(index - 1) % len(self.middle)]


class OwnLayout(Model):
    """A layout of the brand's own under a name: of which kind of section, and as its composition says it (site/composition.py)."""

    name: str = Field(min_length=1, max_length=40)
    kind: str = Field(max_length=40)
    layout: str = Field(max_length=400)


class Choices(Model):
    """The designer's decisions.

    `wires` leads a role to a colour. A role is a ground ("accent"), an ink on a ground ("paper/link") or a button
    on a ground ("deep/primary"); in the dark scheme it begins with "dark:". A colour is the id of a brand colour
    ("night"), a step of its ramp ("lamp/200"), a step of the neutral ramp ("neutral/700"), "white" or "black".

    `pins` fixes a token by hand, by its path ("ground/paper/primary/fill/hover", "dark:ground/paper/link",
    "space/4"); see core/system/documents/pins.py for the forms of values.
    """

    policy: Literal["AA", "AAA", "own"] = "AA"
    thresholds: Thresholds = Field(default_factory=Thresholds, description="What the policy “own” asks for.")
    scheme: Literal["light", "dark", "both"] = Field(default="light", description="With both, pages follow the visitor.")
    wires: dict[str, str] = Field(default_factory=dict, max_length=400)
    pins: dict[str, str] = Field(default_factory=dict, max_length=400)
    large_only: list[str] = Field(
        default_factory=list, max_length=14, description="Grounds for large text only, where nothing reaches what text needs."
    )
    rhythm: Rhythm | None = Field(default=None, description="Without one, every section has the ground that it was given.")
    radius: float = Field(default=6, ge=0, le=40, description="Corner radius in px; 40 is fully round on buttons.")
    logo: Logo = Field(default_factory=Logo)
    corners: Corners = Field(default_factory=Corners)
    elevation: Literal["none", "soft", "crisp"] = "none"
    cards: Literal["plain", "lined", "lifted", "solid"] = "plain"
    pictures: Literal["natural", "duotone", "tint", "monochrome"] = Field(
        default="natural", description="How photographs are treated on the whole site."
    )
    grain: float = Field(default=0, ge=0, le=1, description="Film grain over photographs, where no text stands on them.")
    picture_kinds: dict[PictureKindName, PictureKind] = Field(
        default_factory=dict, description="Proportions and corners of pictures in openings, beside texts and on cards."
    )
    motif: Motif = Field(default_factory=Motif)
    motion: Literal["none", "calm", "lively"] = Field(default="none", description="Never where a visitor asks for less of it.")
    header: str = Field(
        default="", max_length=40, description="The layout that the planner gives the header; its own pick where empty."
    )
    footer: str = Field(default="", max_length=40, description="The same for the footer.")
    header_strip: bool = Field(default=False, description="Telephone, mail and address stand over the header.")
    header_stays: bool = Field(default=False, description="The header stays in sight while a page is scrolled.")
    order: SectionOrder = Field(
        default="usual",
        description="What the start page tells first after its opening; “usual” as the kind of organisation has it.",
    )
    arrangement: int = Field(default=0, ge=0, le=9999, description="Which of the planner's arrangements the pages have.")
    density: float = Field(default=1, ge=0.6, le=1.5, description="Factor on the space between and in sections.")
    scale: Scale = Field(default_factory=Scale)
    taken: dict[StylePart, dict[str, Any]] = Field(
        default_factory=dict, description="Parts of the style that came with a proposal, as they came."
    )
    settled: list[StylePart] = Field(
        default_factory=list, max_length=14, description="Parts of the style that no proposal changes."
    )
    compositions: list[OwnLayout] = Field(
        default_factory=list, max_length=60, description="Layouts of the brand's own, to be used again on its pages."
    )
    publish_guide: bool = Field(default=False, description="The style guide is published with the site, outside its menu.")
    buttons: Buttons = Field(default_factory=Buttons)
    links: Links = Field(default_factory=Links)

    @field_validator("wires")
    @classmethod
    def _wires(cls, value: dict[str, str]) -> dict[str, str]:
        for role, reference in value.items():
            if not _ROLE.fullmatch(role):
                raise ValueError(f"There is no role “{role[:60]}” for a colour.")
            if not _REFERENCE.fullmatch(reference):
                raise ValueError(f"“{reference[:60]}” does not name a colour of the system.")
        return value

    @field_validator("pins")
    @classmethod
    def _pins(cls, value: dict[str, str]) -> dict[str, str]:
        for path, text in value.items():
            if not _TOKEN.fullmatch(path) or path.removeprefix(DARK).startswith("brand/"):
                raise ValueError(f"“{path[:60]}” cannot be pinned. Pin a token by its path; brand colours are exact already.")
            check_pin(path.removeprefix(DARK), text)
        return value

    @field_validator("large_only")
    @classmethod
    def _large(cls, value: list[str]) -> list[str]:
        for ground in value:
            if ground.removeprefix(DARK) not in GROUNDS:
                raise ValueError(f"There is no ground “{ground[:60]}”.")
        return value

    def schemes(self) -> tuple[Scheme, ...]:
        """The schemes to be solved, the one that pages start from first."""
        return ("light", "dark") if self.scheme == "both" else (self.scheme,)
