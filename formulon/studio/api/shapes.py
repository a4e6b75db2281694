"""The forms of requests and answers. The TypeScript client's types are generated from them."""

from datetime import datetime
from typing import Any

from pydantic import BaseModel, ConfigDict, Field

from formulon.core.checks.runner import Finding, Fix
from formulon.core.identity.brief import Missing, Question
from formulon.core.identity.decide import Request
from formulon.core.identity.evidence import Fact
from formulon.core.site.model import Frame, Page
from formulon.core.site.replan import Difference
from formulon.core.system.choices import Choices
from formulon.core.system.duplicates import NearDuplicates
from formulon.core.system.identity import Identity
from formulon.core.system.model import Conflict, Pair, Scheme, Step, Token
from formulon.core.system.proportions import Proportions
from formulon.core.type.library import Measured


class Shape(BaseModel):
    model_config = ConfigDict(extra="forbid")


class Credentials(Shape):
    username: str = Field(max_length=150)
    password: str = Field(max_length=300)


class NewPassword(Shape):
    current: str = Field(max_length=300)
    new: str = Field(max_length=300)


class Person(Shape):
    username: str
    name: str


class Session(Shape):
    person: Person | None


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


class PageDocument(Shape):
    revision: int
    body: Page
    preview: str
    file: str


class HistoryStep(Shape):
    """An entry that undo or redo takes next; `own` says whether the person may have it taken."""

    entry: int
    label: str
    author: str
    own: bool


class History(Shape):
    undo: HistoryStep | None
    redo: HistoryStep | None


class StepRequest(Shape):
    """Which entry is meant."""

    entry: int


class InkUse(Shape):
    ground: str
    ink: str
    count: int


class Headline(Shape):
    page: str
    text: str
    step: str
    lines: dict[str, int]


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
    headlines: list[Headline]
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
    live: bool


class PictureCard(Shape):
    """A picture of the brand's own, to choose on pages; `address` is where it can be seen."""

    id: str
    name: str
    address: str


class Workbench(Shape):
    """Everything of a brand that the interface shows."""

    id: str
    slug: str
    role: str
    address: str
    identity: IdentityDocument
    choices: ChoicesDocument
    frame: FrameDocument
    pages: list[PageDocument]
    edited: bool
    changed_since_release: bool
    history: History
    pictures: list[PictureCard]
    system: Resolved
    releases: list[ReleaseCard]


class EditShape(Shape):
    document: str
    revision: int
    patch: list[dict[str, Any]]


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


class Preview(Shape):
    html: str


class Preflight(Shape):
    counts: dict[str, int]
    findings: list[Finding]
    rules: list["RuleCard"]
    stopped: bool
    schemes: list[Scheme]
    undrawn: list[str]


class FixesRequest(Shape):
    """Which finding is meant: its page, and its key."""

    page: str = Field(max_length=60)
    key: str = Field(max_length=40)


class Fixes(Shape):
    """The fixes of a finding. `there` is false where the pages have changed and there is no such finding any more."""

    fixes: list[Fix]
    there: bool


class Reference(Shape):
    standard: str
    clause: str
    level: str


class RuleCard(Shape):
    id: str
    title: str
    references: dict[str, Reference]
    severity: str
    rationale: str


class ColorText(Shape):
    text: str = Field(max_length=20_000)


class ReadColor(Shape):
    name: str
    value: str
    hex: str


class ReadColors(Shape):
    colors: list[ReadColor]
    problems: list[str]


class FaceCard(Shape):
    """A file of a family; `ranges` is a CSS unicode-range, empty for all characters."""

    key: str
    lightest: int
    heaviest: int
    ranges: str


class FamilyCard(Shape):
    """A family of the library. Measures are in em; see core/type/library.py."""

    id: str
    name: str
    category: str
    licence: str
    lightest: int
    heaviest: int
    italic: bool
    axes: list[str]
    languages: list[str]
    faces: list[FaceCard]
    measured: Measured


class LayoutCard(Shape):
    """A layout; `on_picture` tells whether texts stand on the section's picture."""

    id: str
    label: str
    about: str
    on_picture: bool


class SlotCard(Shape):
    path: str
    label: str
    type: str


class KindCard(Shape):
    id: str
    label: str
    layouts: list[LayoutCard]
    slots: list[SlotCard]


class OrganisationCard(Shape):
    id: str
    name: str
    about: str
    pages: list[str]


class AxisCard(Shape):
    id: str
    first: str
    second: str


class VisionCard(Shape):
    """A kind of vision, with its matrix on linear sRGB."""

    id: str
    matrix: list[list[float]]


class FormCard(Shape):
    id: str
    label: str


class Library(Shape):
    """What does not change while the program runs: families and the section catalogue."""

    families: list[FamilyCard]
    kinds: list[KindCard]
    grounds: list[str]
    widths: list[int]
    organisations: list[OrganisationCard]
    axes: list[AxisCard]
    forms: list[FormCard]
    system_forms: list[FormCard]
    visions: list[VisionCard]


class MarkUploaded(Shape):
    workbench: Workbench
    notes: list[str]


class SourceCard(Shape):
    """A file of the brand's, and how reading it went."""

    id: int
    name: str
    format: str
    size: int
    state: str
    found: int
    problem: str
    notes: list[str]


class Progress(Shape):
    """How far reading has come. `state` is idle, waiting, reading or cancelled."""

    state: str
    done: int
    total: int


class FactGroup(Shape):
    id: str
    label: str


class Sources(Shape):
    """The brand's files, what they say, what is missing and what is still open."""

    revision: int
    files: list[SourceCard]
    progress: Progress
    groups: list[FactGroup]
    facts: list[Fact]
    missing: list[Missing]
    questions: list[Question]
    character: str


class FactsRequest(Shape):
    """What is wanted of facts; the revisions are those that it was based on."""

    identity: int
    decisions: int
    requests: list[Request] = Field(min_length=1, max_length=200)


class LeaveOpen(Shape):
    """A question that stays open on purpose, or is asked again."""

    decisions: int
    question: str = Field(max_length=80)
    left: bool


class Proposal(Shape):
    """What planning anew would change."""

    differences: list[Difference]


class Problem(Shape):
    type: str
    title: str
    status: int
    code: str


class Unopened(Problem):
    """A brand that cannot be drawn as it is: why, and the change that can be taken back."""

    undo: HistoryStep | None = None
