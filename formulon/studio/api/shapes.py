"""The forms of requests and answers. The TypeScript client's types are generated from them."""

from datetime import datetime
from typing import TYPE_CHECKING, Any, Literal

from pydantic import BaseModel, ConfigDict, Field, create_model

from formulon.core.site.site import Frame, Page
from formulon.core.site.sketch import What
from formulon.core.system.documents.checks import Checks
from formulon.core.system.documents.choices import Choices
from formulon.core.system.documents.identity import Identity
from formulon.core.system.facets.near_duplicates import NearDuplicates
from formulon.core.system.facets.proportions import Proportions
from formulon.core.system.system import Conflict, Pair, Scheme, Token
from formulon.studio.services.phones import Opened


class Shape(BaseModel):
    model_config = ConfigDict(extra="forbid")


class BrandCard(Shape):
    id: str
    name: str
    strapline: str
    colors: list[str]
    mark: str | None
    pages: int
    release: int | None
    address: str | None


class BrandList(Shape):
    brands: list[BrandCard]


class NewBrand(Shape):
    name: str = Field(min_length=1, max_length=80)


class IdentityDocument(Shape):
    revision: int
    body: Identity


class ChoicesDocument(Shape):
    revision: int
    body: Choices


class FrameDocument(Shape):
    revision: int
    body: Frame


class ChecksDocument(Shape):
    revision: int
    body: Checks


class PageDocument(Shape):
    revision: int
    body: Page
    preview: str
    file: str


class HistoryStep(Shape):
    """The person's own change that undo or redo takes next."""

    entry: int
    label: str


class History(Shape):
    undo: HistoryStep | None
    redo: HistoryStep | None


class StepRequest(Shape):
    """Which change is meant, and whether it is to be taken although somebody has changed the same place since."""

    entry: int
    anyway: bool = False


class HistoryEntry(Shape):
    """An entry of the history: a change, or one that takes a change back or makes it again. `holds` tells of a change whether it
    is in effect."""

    entry: int
    label: str
    author: str
    at: datetime
    step: Literal["change", "undo", "redo"]
    holds: bool
    name: str


class HistoryList(Shape):
    """The newest entries, the newest first."""

    entries: list[HistoryEntry]


class PointRequest(Shape):
    """What a point of the history is called; empty for nothing."""

    name: str = Field(max_length=80)


class InkUse(Shape):
    ground: str
    ink: str
    count: int


class Step(Shape):
    """A step of the type scale, its family by id: sizes in px at 360 and 1280 px of viewport, line height as a factor."""

    name: str
    family: str
    weight: int
    small: float
    large: float
    line_height: float
    tracking: float
    case: str
    role: str


class Resolved(Shape):
    schemes: list[Scheme]
    tokens: list[Token]
    dark: list[Token]
    pairs: list[Pair]
    conflicts: list[Conflict]
    css: str
    css_dark: str
    steps: list[Step]
    marks: dict[str, str | None]
    dark_marks: dict[str, str | None]
    palette: dict[str, str]
    fits: dict[str, dict[str, float]]
    uses: list[InkUse]
    sections: dict[str, int]
    drawn: dict[str, str]
    counts: dict[str, int]
    near: list[NearDuplicates]
    proportions: Proportions


class ReleaseCard(Shape):
    number: int
    created: datetime
    author: str
    files: int
    passed: int
    waived: int
    measured: bool
    live: bool


class PictureCard(Shape):
    """A picture of the brand's own, to choose on pages; `address` is where it can be seen, `width` and `height` are those of its largest
    size in px and `size` the bytes of that, 0 for a drawing or where that was not kept."""

    id: str
    name: str
    address: str
    width: int
    height: int
    size: int


class PieceCard(Shape):
    """A part of a layout's sketch on a board of 48 by 30."""

    x: float
    y: float
    width: float
    height: float
    what: What


class LayoutCard(Shape):
    """A layout with its sketch; `shows` has the paths of the slots that it shows, those of items without their number, and
    `on_picture` tells whether texts stand on the section's picture."""

    id: str
    label: str
    about: str
    on_picture: bool
    shows: list[str]
    sketch: list[PieceCard]


class OwnLayout(LayoutCard):
    """A layout of the brand's own of a kind, which its pages have or which was kept under a name."""

    kind: str
    kept: bool


class Workbench(Shape):
    """Everything of a brand that the interface shows. `state` names what is held with it, for the answers to writes."""

    state: str
    id: str
    slug: str
    role: str
    address: str
    identity: IdentityDocument
    choices: ChoicesDocument
    frame: FrameDocument
    checks: ChecksDocument
    pages: list[PageDocument]
    edited: bool
    changed_since_release: bool
    history: History
    pictures: list[PictureCard]
    system: Resolved
    releases: list[ReleaseCard]
    layouts: list[OwnLayout]


def _without_default(schema: dict[str, Any]) -> None:
    schema.pop("default", None)


def _parts(shape: type[Shape], name: str, **others: Any) -> Any:
    """A shape of which each part may be left out."""
    left_out = Field(default=None, json_schema_extra=_without_default)
    fields = {part: (info.annotation, left_out) for part, info in shape.model_fields.items()}
    return create_model(name, __base__=Shape, **(fields | {part: (made, left_out) for part, made in others.items()}))


if TYPE_CHECKING:
    _BenchParts = Workbench
else:
    _BenchParts = _parts(Workbench, "BenchParts", system=_parts(Resolved, "ResolvedParts"))


class Changed(_BenchParts):
    """What a write changed of the workbench that its asker holds, which is said by the header “Formulon-State”. Parts that are
    as they were are left out, and entries of the lists of pages, pictures, releases, tokens and pairs; `gone` names the
    entries that are no more and `order` has all of a list whose order changed, both by list. `base` is the state that this
    is laid over; empty where everything is here."""

    base: str = ""
    gone: dict[str, list[str]] = Field(default_factory=dict)
    order: dict[str, list[str]] = Field(default_factory=dict)


class ChangeCard(Shape):
    document: str
    patch: list[dict[str, Any]]


class EditShape(ChangeCard):
    revision: int


class ChangeRequest(Shape):
    label: str = Field(min_length=1, max_length=200)
    edits: list[EditShape] = Field(min_length=1, max_length=20)


class DraftRequest(Shape):
    choices: Choices


class Styles(Shape):
    """The tokens of choices as CSS, in each scheme; `css_dark` is empty where there is one scheme."""

    schemes: list[Scheme]
    css: str
    css_dark: str


class ForeseenRequest(Shape):
    """Changes that are not stored yet, and the scheme in which a page is to be drawn with them."""

    scheme: Scheme = "light"
    changes: list[ChangeCard] = Field(min_length=1, max_length=20)


class Foreseen(Shape):
    """A page drawn with changes; the key of its preview begins with `content` once these, and no others, are stored."""

    page: str
    scheme: Scheme
    html: str
    content: str


class Preview(Shape):
    html: str


class PagePreview(Preview):
    """A page as it was drawn, and the key of what it was drawn from: what was asked for may have changed meanwhile."""

    key: str


class ColorText(Shape):
    text: str = Field(max_length=20_000)


class ReadColor(Shape):
    name: str
    value: str
    hex: str


class ReadColors(Shape):
    colors: list[ReadColor]
    problems: list[str]


class MarkUploaded(Shape):
    workbench: Changed
    notes: list[str]


class PhonePreviewState(Shape):
    """Where a brand's site can be looked at in the local network; nothing where it cannot."""

    opened: Opened | None


class OldPageCard(Shape):
    """A page of the site that a brand has had, by its path among the files."""

    id: int
    name: str


class OldPages(Shape):
    pages: list[OldPageCard]


class OldPage(Shape):
    """Such a page as one document that runs nothing and asks for nothing."""

    html: str


class FileAdded(Shape):
    """The id of a file that links can lead to."""

    id: str
    workbench: Changed


class Problem(Shape):
    type: str
    title: str
    status: int
    code: str


class Unopened(Problem):
    """A brand that cannot be drawn as it is: why, and the change that can be taken back."""

    undo: HistoryStep | None = None
