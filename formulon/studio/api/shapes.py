"""The forms of requests and answers. The TypeScript client's types are generated from them."""

from datetime import datetime
from typing import Any

from pydantic import BaseModel, ConfigDict, Field

from formulon.core.checks.runner import Finding
from formulon.core.site.model import Frame, Page
from formulon.core.system.choices import Choices
from formulon.core.system.identity import Identity
from formulon.core.system.model import Conflict, Pair, Step, Token


class Shape(BaseModel):
    model_config = ConfigDict(extra="forbid")


class Credentials(Shape):
    username: str = Field(max_length=150)
    password: str = Field(max_length=300)


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


class History(Shape):
    undo: str | None
    redo: str | None


class Use(Shape):
    ground: str
    ink: str
    count: int


class Headline(Shape):
    page: str
    text: str
    step: str
    lines: dict[str, int]


class Resolved(Shape):
    tokens: list[Token]
    pairs: list[Pair]
    conflicts: list[Conflict]
    css: str
    steps: list[Step]
    marks: dict[str, str | None]
    palette: dict[str, str]
    fits: dict[str, dict[str, float]]
    uses: list[Use]
    sections: dict[str, int]
    headlines: list[Headline]
    counts: dict[str, int]


class ReleaseCard(Shape):
    number: int
    created: datetime
    author: str
    files: int
    passed: int
    live: bool


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


class Preview(Shape):
    html: str


class Preflight(Shape):
    counts: dict[str, int]
    findings: list[Finding]
    rules: list["RuleCard"]
    stopped: bool


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


class FamilyCard(Shape):
    id: str
    name: str
    category: str
    licence: str
    lightest: int
    heaviest: int


class LayoutCard(Shape):
    id: str
    label: str
    about: str


class SlotCard(Shape):
    path: str
    label: str
    type: str


class KindCard(Shape):
    id: str
    label: str
    layouts: list[LayoutCard]
    slots: list[SlotCard]


class Library(Shape):
    """What does not change while the program runs: families and the section catalogue."""

    families: list[FamilyCard]
    kinds: list[KindCard]
    grounds: list[str]
    widths: list[int]


class MarkUploaded(Shape):
    workbench: Workbench
    notes: list[str]


class Problem(Shape):
    type: str
    title: str
    status: int
    code: str
