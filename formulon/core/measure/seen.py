"""What the probe saw of a page at one width, as it comes out of the browser."""

from pydantic import BaseModel, ConfigDict, Field

Box = tuple[float, float, float, float]  # left, top, width, height in px of the page


class At(BaseModel):
    """Something at a place of a page."""

    model_config = ConfigDict(extra="ignore")

    at: str = Field(description="A selector that finds it again.")


class SeenAt(At):
    """`slot` is what a page of Formulon's own says that it is; empty elsewhere."""

    section: str
    slot: str = ""


class FontSeen(BaseModel):
    """A font in which letters of a text are drawn: its own name, whether the page brings it, and how many letters."""

    name: str
    brought: bool
    letters: int


class TextSeen(SeenAt):
    """The own words of an element. `backs` are the colours behind its ends, where they can be told without pixels."""

    tag: str
    level: int
    headed: str
    text: str
    color: tuple[float, float, float, float] | None
    size: float
    weight: int
    family: str
    italic: bool
    line: float
    lines: int
    box: Box
    room: float
    disabled: bool
    told: bool
    veiled: bool
    backs: list[tuple[float, float, float]] = Field(default_factory=list)
    inline: bool
    led: bool = Field(description="Stands in a link or button, which has colours of its own.")
    upper: bool
    block: str
    cut: bool
    beyond: bool = Field(default=False, description="Some of it is not in sight: cut off, folded away, or to be scrolled to.")
    lang: str = Field(default="", description="Of the element or one around it, where that is not the page's.")
    fonts: list[FontSeen] = Field(default_factory=list, description="In which it is really drawn, where that was asked.")

    @property
    def first_family(self) -> str:
        """The typeface that it asks for before any other."""
        return self.family.split(",")[0].strip("\"' ")


class TargetSeen(SeenAt):
    label: str
    kind: str
    box: Box
    inline: bool


class LinkSeen(SeenAt):
    label: str
    to: str
    address: str


class FieldSeen(SeenAt):
    label: str
    type: str
    hint: str


class PictureSeen(SeenAt):
    source: str
    alt: str | None
    named: str
    hidden: bool
    led: str | None
    natural: tuple[float, float]
    box: Box
    inside: tuple[float, float]
    fit: str
    broken: bool
    lazy: bool = Field(default=False, description="Is asked for only when it comes near what is in sight.")
    reserved: bool = Field(default=True, description="Has its room before it is there.")
    altered: list[str] = Field(default_factory=list, description="What is done to it as it is drawn.")
    ground: tuple[float, float, float] | None = Field(default=None, description="The even colour under a mark.")


class InTextSeen(SeenAt):
    """A link within a sentence; `drawn` says that more than a colour tells it."""

    label: str
    color: tuple[float, float, float, float] | None
    around: tuple[float, float, float, float] | None
    drawn: bool


class EmptySeen(SeenAt):
    """A heading without words."""


class OutSeen(SeenAt):
    right: float


class PartSeen(At):
    """A part of a page. `box` and its even ground are told of the sections of our own pages, where pixels need not tell."""

    kind: str
    frame: bool
    box: Box | None = None
    ground: tuple[float, float, float] | None = None


class RequestSeen(BaseModel):
    address: str
    bytes: float
    kind: str
    status: int = 0


Color = tuple[float, float, float, float]


class LookSeen(SeenAt):
    """A button or field as it is drawn at rest. `ground` is the even colour that it stands on, None where only pixels tell; lengths in px."""

    label: str
    kind: str
    filled: Color | None
    ground: tuple[float, float, float] | None
    plain: bool
    edge: float
    edged: Color | None
    radius: float
    high: float
    family: str
    hint: Color | None


class ValueSeen(SeenAt):
    """A value of style that some boxes of a page have, with the first of them."""

    value: str
    count: int


class WordsSeen(SeenAt):
    """Words of a control in a state in which they are otherwise than at rest: ink, even ground, size in px and weight."""

    text: str
    ink: Color
    ground: tuple[float, float, float]
    size: float
    weight: int


class StillSeen(SeenAt):
    """A button that does not answer the pointer."""

    label: str


class GrownSeen(SeenAt):
    """A control that is larger under the pointer, in px."""

    label: str
    across: float
    down: float


class AlikeSeen(SeenAt):
    """A button that cannot be pressed and looks like one that can, with its label."""

    label: str
    like: str


class PointerSeen(BaseModel):
    """Controls as they are under the pointer, where that is told, and those that are out of use."""

    words: list[WordsSeen] = Field(default_factory=list)
    still: list[StillSeen] = Field(default_factory=list)
    grown: list[GrownSeen] = Field(default_factory=list)
    alike: list[AlikeSeen] = Field(default_factory=list)


class FocusSeen(SeenAt):
    """A control under the keyboard. `changed` names what of its style is otherwise than at rest; `ring` is the colour of an outline and
    `wide` its width in px; `covered` says that something else lies over all of it."""

    label: str
    changed: list[str]
    ring: Color | None
    wide: float
    ground: tuple[float, float, float] | None
    covered: bool
    words: list[WordsSeen] = Field(default_factory=list)


class GraphicSeen(SeenAt):
    """A control that says with a drawing alone what it does, or a drawing with a name: its colours, and the even ground under it."""

    label: str
    inks: list[Color]
    ground: tuple[float, float, float]


class FakedSeen(SeenAt):
    """Words that the browser has “slanted” or “smeared” by itself, since the site's own typeface has no such file."""

    text: str
    family: str
    what: str


class DividedSeen(SeenAt):
    """A text with words divided at the ends of lines: how many, and in how many lines one below the other."""

    text: str
    headed: bool
    divided: int
    run: int


class RowSeen(SeenAt):
    """A row of which two parts stand apart, in px, with nothing that leads the eye across; `to` is the selector of the other part."""

    text: str
    other: str
    to: str
    gap: float


class RestSeen(BaseModel):
    """What is asked of a page once, at the width of a desktop."""

    graphics: list[GraphicSeen] = Field(default_factory=list)
    selected: list[WordsSeen] = Field(default_factory=list)
    spaces: list[ValueSeen] = Field(default_factory=list)
    faked: list[FakedSeen] = Field(default_factory=list)
    divided: list[DividedSeen] = Field(default_factory=list)
    rows: list[RowSeen] = Field(default_factory=list)


class KeysSeen(BaseModel):
    """Controls under the keyboard, and those that it does not come to."""

    focused: list[FocusSeen]
    unreached: list[FocusSeen]


class CutSeen(SeenAt):
    """A text of which something is hidden."""

    text: str


class EdgeSeen(BaseModel):
    """A page at a width beside that at which its layout changes."""

    inner: int
    wide: int
    out: list[OutSeen]
    cut: list[CutSeen]
    printed: list[WordsSeen] = Field(default_factory=list, description="On paper: words whose colours are to be kept there.")


class LargestSeen(BaseModel):
    """The largest thing of the first screen as it was painted: a picture's address, or empty for a text, and its area in px²."""

    url: str
    size: float


class ShiftSeen(BaseModel):
    """What moved on the first screen while the page was loaded: its score (Layout Instability, 2.2), and where what moved most came to."""

    score: float
    box: Box


class Besides(BaseModel):
    """What was seen of a page beside its widths: with wider spacing by width, on paper, under the pointer and under the keyboard.
    `unreached` are controls that the keyboard did not come to, `largest` is what was painted largest at the narrowest width, `shift` what moved there, and `console`
    what the browser said while the page was loaded."""

    spaced: dict[int, EdgeSeen] = Field(default_factory=dict)
    paper: EdgeSeen | None = None
    rest: RestSeen = Field(default_factory=RestSeen)
    pointer: PointerSeen = Field(default_factory=PointerSeen)
    focused: list[FocusSeen] = Field(default_factory=list)
    unreached: list[FocusSeen] = Field(default_factory=list)
    largest: LargestSeen | None = None
    shift: ShiftSeen | None = None
    console: list[str] = Field(default_factory=list)


class GlanceSeen(SeenAt):
    """A place of the first screen that draws the eye, in px of the page, and how strongly beside the first (0–1). `kind` is what stands
    there: "action", "text" or "picture"."""

    kind: str
    label: str
    x: float
    y: float
    strength: float
    box: Box

    @property
    def main(self) -> bool:
        """Whether it is the main action of its section, or of the header."""
        return self.kind == "action" and self.slot.split("/")[0] in ("primary", "action")


class PageSeen(BaseModel):
    """A page at one width."""

    texts: list[TextSeen]
    in_text: list[InTextSeen] = Field(alias="inText")
    empty: list[EmptySeen]
    targets: list[TargetSeen]
    pictures: list[PictureSeen]
    links: list[LinkSeen]
    fields: list[FieldSeen]
    parts: list[PartSeen]
    out: list[OutSeen]
    lang: str
    title: str
    description: str
    robots: str
    viewport: str
    canonical: str
    icons: list[str] = Field(description="Addresses of the icons that the page names.")
    mains: int
    ids: list[str]
    twice: list[str]
    inner: int
    wide: int
    high: int
    requests: list[RequestSeen] = Field(default_factory=list)
    looks: list[LookSeen] = Field(default_factory=list)
    corners: list[ValueSeen] = Field(default_factory=list)
    shadows: list[ValueSeen] = Field(default_factory=list)
    faces: list[str] = Field(default_factory=list, description="Families whose files are the site's own.")
    unread: list[str] = Field(default_factory=list, description="Families of whose files one cannot be had or read.")
    drawn: list[Box] = Field(default_factory=list)
    glances: list[GlanceSeen] = Field(default_factory=list)
