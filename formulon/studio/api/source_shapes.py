"""Shapes of a client's files and of the facts that were read in them."""

from pydantic import Field

from formulon.core.identity.brief import Missing, Question
from formulon.core.identity.decide import Request
from formulon.core.identity.evidence import Fact
from formulon.core.site.replan import Difference
from formulon.studio.api.shapes import Shape


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
    """The brand's files, what they say, what is missing and what is still open. `state` names the facts as they are; an asker that says
    which state it holds gets those that are otherwise than in that one, `base`, and `order` has the ids of all in their order."""

    state: str
    base: str
    order: list[str]
    revision: int
    files: list[SourceCard]
    outdated: int = Field(description="Files that earlier readers have read, in which those of today may find more.")
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


class Planned(Shape):
    """What planning anew would change."""

    differences: list[Difference]
