"""Facts about pages: plain data that rules look at, whether predicted or measured."""

import math
from collections.abc import Mapping
from dataclasses import dataclass, field

from formulon.core.checks.drawn_facts import DRAWN, DrawnFact
from formulon.core.checks.place import PagePlace as PagePlace
from formulon.core.site.backdrop import Demand
from formulon.core.system.policy import AA, Policy
from formulon.core.type.fit import Fit
from formulon.core.type.library import Family

LARGE_PX, LARGE_BOLD_PX, BOLD = 24.0, 56 / 3, 700  # WCAG 2.2, "large scale": 18 pt, or 14 pt and bold; 1 pt is 4/3 px


@dataclass(frozen=True, slots=True)
class TextRun:
    """A text as drawn. Sizes in px and fits are by viewport width; fits are empty where they are not predicted."""

    place: PagePlace
    text: str
    tag: str
    step: str
    ground: str
    ink: str
    foreground: str
    background: str
    weight: int
    sizes: dict[int, float]
    fits: dict[int, Fit] = field(default_factory=dict)
    family: Family | None = None
    unknown_glyphs: str = ""
    placeholder: bool = False  # some of it is still to be written
    scheme: str = "light"
    policy: Policy = AA  # what the site is held to
    styles: frozenset[str] = frozenset()  # emphasis in it: "em", "strong"
    on_picture: bool = False  # stands on a picture, over an overlay in the ground's colour
    free: bool = False  # stands in a free part of its layout at some width: how it fits there cannot be told without a browser
    scale: float = 1.0  # of the step's size: below 1 where a word is too long, above where it may grow; see site/setting.py

    @property
    def level(self) -> int:
        """The level of a heading, 1 to 6; 0 for any other text."""
        return int(self.tag[1]) if self.tag in ("h1", "h2", "h3", "h4", "h5", "h6") else 0

    @property
    def lines(self) -> dict[int, int]:
        return {width: one.lines for width, one in self.fits.items()}


@dataclass(frozen=True, slots=True)
class OnPicture:
    """One text of those that stand on a picture: what each width demands of it, empty where the picture cannot be read."""

    run: TextRun
    demands: dict[int, Demand]


@dataclass(frozen=True, slots=True)
class TextsOnPicture:
    """The texts of a section that stand on its picture, in every scheme, over an overlay of an opacity and a shape."""

    place: PagePlace  # of the picture
    opacity: float
    shape: str
    texts: tuple[OnPicture, ...]


@dataclass(frozen=True, slots=True)
class Target:
    """Something to press: width and height in px by viewport width, and the gap to its like."""

    place: PagePlace
    label: str
    kind: str  # "button", "link" or "mark"
    sizes: dict[int, tuple[float, float]]
    gap_across: float
    gap_down: float


@dataclass(frozen=True, slots=True)
class PictureFact:
    """A picture: its text alternative, whether it only decorates, and whether its source exists."""

    place: PagePlace
    source: str
    alt: str
    decorative: bool
    found: bool
    colors: dict[str, float] = field(default_factory=dict)  # of a photograph: its dominant colours and their shares
    palette: tuple[str, ...] = ()  # the brand's colours
    treatment: str = "natural"
    pixels: int = 0  # across, of a photograph's largest size
    drawn: dict[int, float] = field(default_factory=dict)  # how wide it is drawn in px, by viewport width
    weights: dict[int, int] = field(default_factory=dict)  # bytes of what is asked for there, where they are known


@dataclass(frozen=True, slots=True)
class Destination:
    """Where a button or link leads, and whether that is somewhere."""

    place: PagePlace
    label: str
    to: str
    alive: bool
    variant: str = "text"  # of a button: "primary" or "secondary"


@dataclass(frozen=True, slots=True)
class Words:
    """The raw text of one slot, which words in it the guideline avoids, and which numbers and addresses in it are nearly the brand's, with
    the brand's."""

    place: PagePlace
    label: str
    text: str
    avoided: tuple[str, ...] = ()
    slips: tuple[tuple[str, str], ...] = ()


@dataclass(frozen=True, slots=True)
class PageHead:
    """What search engines read of a page."""

    place: PagePlace
    name: str
    title: str
    description: str
    language: str = "en"
    first: bool = False  # whether it is the start page, at which what holds for the whole site is told
    ruled_out: tuple[tuple[str, str], ...] = ()  # what the guideline rules out on pages, each with its sentence
    drawn: frozenset[str] = frozenset()  # of what can be ruled out, what the style of the whole site has
    alone: bool = False  # need not be led to: it is in the menu, or meant to be found by nobody
    forbidden: tuple[
        tuple[str, str, str], ...
    ] = ()  # ink and ground as hex that the guideline rules out together, and its sentence
    motif: str = ""  # on the start page: the shape of the brand's motif, where it has one
    motifs: int = 0  # sections of the page in which it stands


@dataclass(frozen=True, slots=True)
class SectionHead:
    """A section: its kind, its layout and its ground; `frame` where it stands on every page.

    `items` are those of its collection and `rows` the rows that they take on a desktop. `foot` is how far down a phone's first
    screen its words reach, in px with the header, where it is a page's first and that can be told; else 0. `moved` has the classes of
    widths at which it stands elsewhere than it is written.
    """

    place: PagePlace
    kind: str
    layout: str
    ground: str
    frame: bool = False
    items: int = 0
    rows: int = 0
    foot: float = 0.0
    moved: tuple[str, ...] = ()
    departs: bool = False  # keeps a ground or layout of its own
    reason: str = ""  # why it does


@dataclass(frozen=True, slots=True)
class Heading:
    """The words of a heading of a level, or of a button at level 0, for what is asked of all of them; and the same without the brand's
    name, which has capitals of its own."""

    place: PagePlace
    text: str
    level: int
    bare: str = ""


@dataclass(frozen=True, slots=True)
class Passage:
    """A longer text of a page's own, for what is asked of all of them."""

    place: PagePlace
    text: str


@dataclass(frozen=True, slots=True)
class Spelling:
    """How something that a site names again and again is written at a place: what it is (“date”, “time”, “telephone”, “quotation”), in
    which form, and an example."""

    place: PagePlace
    what: str
    form: str
    sample: str


@dataclass(frozen=True, slots=True)
class ColorsDrawn:
    """The colours that a page's texts, controls and grounds are drawn in, as hex, and on the first page those that the brand has fixed.
    Of predicted texts also by which ground and ink ("paper/body"), and on the first page which tokens of grounds were fixed by hand."""

    place: PagePlace
    colors: frozenset[str]
    exact: tuple[tuple[str, str], ...] = ()
    tokens: frozenset[str] = frozenset()
    pinned: tuple[str, ...] = ()


@dataclass(frozen=True, slots=True)
class MarkDrawn:
    """A mark of the brand as it is drawn: its sizes in px by width of the viewport, the proportion of width to height that it was made in,
    its least height and why, the least room around it and the room that it needs, both in px at one width, what was done to it, and how much
    of it is seen."""

    place: PagePlace
    name: str
    sizes: Mapping[int, tuple[float, float]]
    proportion: float
    least: float
    why: str
    room: float = math.inf
    needed: float = 0.0
    altered: tuple[str, ...] = ()
    seen: float = 1.0  # share, 0–1, of its drawn area that has at least 3:1 on what it stands on
    ground: str = ""  # that, as hex, where it is known
    better: str = ""  # another mark of the brand's that is seen better there


@dataclass(frozen=True, slots=True)
class Areas:
    """How much of a page each ground takes, by its hex, in px²; and on the first page what the guideline wants, as name, hex and percent."""

    place: PagePlace
    areas: tuple[tuple[str, float], ...]
    wanted: tuple[tuple[str, str, float], ...] = ()


@dataclass(frozen=True, slots=True)
class OwnCode:
    """A section in the designer's own HTML and CSS: what of it is not taken, colours that are none of the system's, and texts
    whose colours cannot be told without a browser; and why its section departs from the system, where that is said."""

    place: PagePlace
    left_out: tuple[str, ...]
    colors: tuple[str, ...]
    untold: tuple[str, ...]
    reason: str = ""


@dataclass(frozen=True, slots=True)
class FormFact:
    """A form: the words on its button, whom it is sent to, empty where nobody is named, and its fields by label and kind."""

    place: PagePlace
    label: str
    to: str
    fields: tuple[tuple[str, str], ...]


# What only a browser tells.


@dataclass(frozen=True, slots=True)
class PageBox:
    """How wide a page is scrolled at each width of the viewport, in px, and what sticks out farthest there: its selector, or empty."""

    place: PagePlace
    scrolled: dict[int, int]
    out: dict[int, str]


@dataclass(frozen=True, slots=True)
class CutText:
    """A text of which something lies outside a box that hides it, with the widths at which that is so."""

    place: PagePlace
    text: str
    widths: tuple[int, ...]


@dataclass(frozen=True, slots=True)
class Named:
    """A link, a button or a field with the name that is read out for it; `hint` is what stands in an empty field."""

    place: PagePlace
    kind: str
    name: str
    hint: str = ""


@dataclass(frozen=True, slots=True)
class PictureBox:
    """A picture as it is drawn: its own size and that of its box in px, how it fills that, and whether its file is there."""

    place: PagePlace
    source: str
    natural: tuple[float, float]
    drawn: tuple[float, float]
    fit: str
    there: bool


@dataclass(frozen=True, slots=True)
class PageForm:
    """What a page says of itself to browsers."""

    place: PagePlace
    title: str
    language: str
    viewport: str
    mains: int
    twice: tuple[str, ...]  # ids that several elements have
    robots: str = ""
    icons: int = 0
    bytes: int = 0  # of all that is asked for to draw it, itself included
    first: bool = False  # whether it is the start page
    canonical: str = ""  # the address that it gives as its own


@dataclass(frozen=True, slots=True)
class Style:
    """How a text is set: as a heading of a level, or as running text of level 0; size and line height in px at the widest measured width."""

    place: PagePlace
    text: str
    level: int
    size: float
    line: float
    lines: int
    weight: int
    family: str
    ink: str
    ground: str
    frame: bool
    capitals: bool = False


@dataclass(frozen=True, slots=True)
class LinkInText:
    """A link within a sentence: its colour and that of the words around it; `drawn` says that more than a colour tells it."""

    place: PagePlace
    label: str
    ink: str
    around: str
    drawn: bool


@dataclass(frozen=True, slots=True)
class EmptyHeading:
    """A heading without words."""

    place: PagePlace


@dataclass(frozen=True, slots=True)
class OtherHosts:
    """Hosts besides its own that a site asks for something."""

    place: PagePlace
    hosts: tuple[str, ...]


@dataclass(frozen=True, slots=True)
class Allowed:
    """What a site may be made of, where somebody has said so: colours by name, as sRGB, and families of typefaces; no families for any.
    `handed` says that these are all the tokens that were handed over, so that each should be in use."""

    place: PagePlace
    colors: tuple[tuple[str, str], ...]
    families: tuple[str, ...] = ()
    handed: bool = False


@dataclass(frozen=True, slots=True)
class Differs:
    """What a browser sees otherwise than was predicted: lines, size, colour or ground of a text, at a width where it goes by that."""

    place: PagePlace
    what: str
    width: int | None
    predicted: str
    measured: str


# What a browser alone tells of a page.
MEASURED = (
    PageBox,
    CutText,
    Named,
    PictureBox,
    PageForm,
    Style,
    Allowed,
    LinkInText,
    EmptyHeading,
    OtherHosts,
    Differs,
    Areas,
    *DRAWN,
)

Fact = (
    TextRun | TextsOnPicture | Target | PictureFact | Destination | Words | PageHead | SectionHead | OwnCode | FormFact
    | Heading | Passage | Spelling | ColorsDrawn | MarkDrawn | Areas
    | PageBox | CutText | Named | PictureBox | PageForm | Style | Allowed | LinkInText | EmptyHeading | OtherHosts | Differs | DrawnFact
)  # fmt: skip


def is_large(run: TextRun, width: int) -> bool:
    """Whether a text is large at a width, as WCAG has it."""
    return large_text(run.sizes[width], run.weight)


def large_text(size: float, weight: int) -> bool:
    """Whether a text of a size, in px, and weight is large (WCAG 2.2, “large scale”)."""
    return size >= (LARGE_BOLD_PX if weight >= BOLD else LARGE_PX)
