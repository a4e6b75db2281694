"""Facts of pages as they are drawn, which only a browser tells: controls, focus, paper, wider spacing, files, and how parts lie."""

from dataclasses import dataclass

from formulon.core.checks.place import PagePlace


@dataclass(frozen=True, slots=True)
class Control:
    """A button, field or choice at rest. Colours are hex, empty where there is none or only pixels tell; lengths in px."""

    place: PagePlace
    kind: str  # "button", "field" or "choice"
    label: str
    filled: str
    ground: str
    edge: float
    edged: str
    radius: float
    high: float
    family: str
    hint: str


@dataclass(frozen=True, slots=True)
class PageValues:
    """The values of one kind (“corner”, “shadow” or “space”) that boxes of a page have, each with how many."""

    place: PagePlace
    kind: str
    values: tuple[tuple[str, int], ...]


@dataclass(frozen=True, slots=True)
class Focused:
    """A control under the keyboard: what of its style changes, its outline with its colour and width in px, the even colour around it,
    and whether it is covered."""

    place: PagePlace
    label: str
    changed: tuple[str, ...]
    ring: str
    wide: float
    ground: str
    covered: bool


@dataclass(frozen=True, slots=True)
class StateText:
    """Words of a control in a state (“under the pointer” or “in focus”) in which their colours are otherwise than at rest; hex, size in px."""

    place: PagePlace
    text: str
    state: str
    ink: str
    ground: str
    size: float
    weight: int


@dataclass(frozen=True, slots=True)
class Still:
    """The labels of a page's buttons that look under the pointer as they do at rest."""

    place: PagePlace
    labels: tuple[str, ...]


@dataclass(frozen=True, slots=True)
class Grown:
    """A control that takes more or less room under the pointer, in px."""

    place: PagePlace
    label: str
    across: float
    down: float


@dataclass(frozen=True, slots=True)
class OutOfUse:
    """A button that cannot be pressed and is drawn like one that can."""

    place: PagePlace
    label: str
    like: str


@dataclass(frozen=True, slots=True)
class Graphic:
    """A control that says with a drawing alone what it does, or a drawing with a name: the colours that it is drawn in and its ground, hex."""

    place: PagePlace
    label: str
    inks: tuple[str, ...]
    ground: str


@dataclass(frozen=True, slots=True)
class Selected:
    """Words as they are when they are selected, where the page has colours of its own for that; hex, size in px."""

    place: PagePlace
    text: str
    ink: str
    ground: str
    size: float
    weight: int


@dataclass(frozen=True, slots=True)
class Faked:
    """Words that browsers have “slanted” or “smeared” by themselves, since the site's own typeface has no such file."""

    place: PagePlace
    text: str
    family: str
    what: str


@dataclass(frozen=True, slots=True)
class Divided:
    """A text with words divided at the ends of lines on a desktop: how many, and in how many lines one below the other."""

    place: PagePlace
    text: str
    headed: bool
    words: int
    run: int


@dataclass(frozen=True, slots=True)
class WideRow:
    """A row of which two parts stand apart, in px at a width, with nothing that leads the eye across."""

    place: PagePlace
    text: str
    other: str
    gap: float
    width: int


@dataclass(frozen=True, slots=True)
class PictureFirst:
    """A section that begins with pictures on a phone: how high they are, in px at a width, before its first words."""

    place: PagePlace
    text: str
    high: float
    width: int


@dataclass(frozen=True, slots=True)
class Unreached:
    """A control that the keyboard does not come to."""

    place: PagePlace
    label: str


@dataclass(frozen=True, slots=True)
class Printed:
    """A page on paper: how wide it is and how wide a sheet is, in px, what sticks out farthest, and texts that are cut."""

    place: PagePlace
    wide: int
    sheet: int
    out: str
    cut: tuple[str, ...]
    kept: tuple[
        tuple[PagePlace, str, str, str], ...
    ] = ()  # words whose colours are kept there: where, and ink and ground as hex


@dataclass(frozen=True, slots=True)
class SpacedText:
    """A text that is cut once its lines, letters and words stand wider apart, with the widths at which that is so."""

    place: PagePlace
    text: str
    widths: tuple[int, ...]


@dataclass(frozen=True, slots=True)
class PictureFile:
    """A picture's file: its form by its ending, its bytes, its size in px; whether it stands on the first screen and is asked for late; and
    whether its room is kept until it is there."""

    place: PagePlace
    source: str
    form: str
    bytes: int
    natural: tuple[float, float]
    first_late: bool
    reserved: bool


@dataclass(frozen=True, slots=True)
class MissingFile:
    """A file that a page asks for and that is not there."""

    place: PagePlace
    address: str


@dataclass(frozen=True, slots=True)
class Overlap:
    """Two texts that lie over each other at a width."""

    place: PagePlace
    text: str
    other: str
    width: int


@dataclass(frozen=True, slots=True)
class Gap:
    """The highest stretch of a page without anything to see, in px, at a width."""

    place: PagePlace
    height: float
    width: int


@dataclass(frozen=True, slots=True)
class LeftEdges:
    """How many left edges the texts of a section have at a width, those within a few px of each other being one."""

    place: PagePlace
    count: int
    width: int


@dataclass(frozen=True, slots=True)
class PictureRow:
    """Pictures side by side, by the proportion of width to height in which each is drawn."""

    place: PagePlace
    proportions: tuple[float, ...]


@dataclass(frozen=True, slots=True)
class FrameTexts:
    """The words of header or footer as a page has them, and its first picture, the mark: by its file, and its size in px."""

    place: PagePlace
    texts: tuple[str, ...]
    mark: str = ""
    size: tuple[int, int] = (0, 0)


@dataclass(frozen=True, slots=True)
class Spoken:
    """A running text with the language that it is said to be in, by its own element, one around it, or its page."""

    place: PagePlace
    text: str
    language: str


@dataclass(frozen=True, slots=True)
class LargestPaint:
    """The largest thing of a first screen, a picture by its file or a text where that is empty, and the s until it is there on a slow line."""

    place: PagePlace
    picture: str
    seconds: float


@dataclass(frozen=True, slots=True)
class Moved:
    """How much of a first screen moves while a page is loaded, and how far (the score of Cumulative Layout Shift), with the words of what
    moves most."""

    place: PagePlace
    score: float
    text: str


@dataclass(frozen=True, slots=True)
class FontDrawn:
    """A text that asks for a typeface which the site brings: the fonts of the browser's own in which letters of it are drawn instead, and how
    many of all these are. Signs that few typefaces have do not count."""

    place: PagePlace
    text: str
    asked: str
    drawn: str
    letters: int
    all_letters: int


@dataclass(frozen=True, slots=True)
class Complaint:
    """What a browser has to say of a page, as its console has it."""

    place: PagePlace
    text: str


@dataclass(frozen=True, slots=True)
class SiteRoot:
    """What lies at the root of a site for search engines, and what its file for robots forbids."""

    place: PagePlace
    sitemap: bool
    robots: bool
    forbids_all: bool
    pages: int


DrawnFact = (
    Control | PageValues | StateText | Still | Grown | OutOfUse | Focused | Unreached | Printed | SpacedText | PictureFile | MissingFile | Overlap | Gap | LeftEdges | PictureRow
    | Graphic | Selected | Faked | Divided | WideRow | PictureFirst | FrameTexts | Spoken | LargestPaint | Moved | FontDrawn | Complaint | SiteRoot
)  # fmt: skip
DRAWN = (
    Control, PageValues, StateText, Still, Grown, OutOfUse, Focused, Unreached, Printed, SpacedText, PictureFile, MissingFile, Overlap, Gap, LeftEdges, PictureRow,
    Graphic, Selected, Faked, Divided, WideRow, PictureFirst, FrameTexts, Spoken, LargestPaint, Moved, FontDrawn, Complaint, SiteRoot,
)  # fmt: skip
