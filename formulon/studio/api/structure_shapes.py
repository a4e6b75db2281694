"""Shapes of changes to the structure of a site."""

from typing import Any
from uuid import UUID

from pydantic import Field

from formulon.core.site.composing.shaped import PartShape
from formulon.core.site.replan import Difference
from formulon.core.site.searching import MOST_PLACES, Occurrence
from formulon.core.site.structure import Operation
from formulon.core.site.structure.leads import Lead
from formulon.core.system.system import Scheme
from formulon.studio.api.shapes import ChangeCard, Foreseen, Shape


class Drawing(Shape):
    """A page that is to be drawn, and the scheme."""

    page: str
    scheme: Scheme = "light"


class StructureRequest(Shape):
    """What is to be done, one after the other, and the page to be drawn with it, if any."""

    operations: list[Operation] = Field(min_length=1, max_length=40)
    draw: Drawing | None = None


class Arranged(Shape):
    """What operations come to: the changes, what led to what they take away, which page and section are to be open then, and the
    page that was asked for as it will be drawn."""

    label: str
    changes: list[ChangeCard]
    leads: list[Lead]
    page: str
    section: str
    foreseen: Foreseen | None = None


class SectionParts(Shape):
    """The parts of a section's layout that can be shaped; none where it has what cannot."""

    parts: list[PartShape]


class OfferCard(Shape):
    """A section that can be added; `said_on` is the page on which its words stand already."""

    id: str
    layout: str
    label: str
    about: str
    content: dict[str, Any]
    said_on: str


class Additions(Shape):
    """What can be added of a kind, and a page that shows it all in the order of the list."""

    offers: list[OfferCard]
    html: str


class InstructionRequest(Shape):
    """A few words about a page, one of its sections, or one text of that."""

    text: str = Field(max_length=500)
    page: str
    section: str = ""
    slot: str = ""


class Answered(Shape):
    """What an instruction comes to; without changes, why there are none, with instructions that are near."""

    said: str
    label: str
    changes: list[ChangeCard]
    differences: list[Difference]
    leads: list[Lead]
    page: str
    section: str
    suggestions: list[str]


class SearchRequest(Shape):
    """Words to be searched; with `by`, what takes their place, everywhere or only in some texts."""

    words: str = Field(min_length=1, max_length=200)
    by: str | None = Field(default=None, max_length=200)
    only: list[tuple[str, str]] | None = Field(default=None, max_length=MOST_PLACES)
    cases: bool = False
    whole: bool = False


class SearchResult(Shape):
    """The texts in which the words stand, and the changes that put others in their place, where that was asked."""

    places: list[Occurrence]
    changes: list[ChangeCard]


class StatedPlace(Shape):
    """A text in which a fact of the brand stands, with what stands around it."""

    page: str
    section: str
    label: str
    before: str
    match: str
    after: str


class StatedFact(Shape):
    """A fact of the identity, by its JSON Pointer there, and the texts that state it."""

    path: str
    label: str
    places: list[StatedPlace]


class Stated(Shape):
    facts: list[StatedFact]


class TextStanding(Shape):
    """A text of the client's by its number: the sections that tell some of it, as page and section, and the lines that wait."""

    number: int
    places: list[tuple[str, str]]
    waits: list[str]


class Material(Shape):
    texts: list[TextStanding]


class CopyRequest(Shape):
    """The brand that a section is copied to."""

    brand: UUID


class Copied(Shape):
    """Where a section was copied to: the brand and its page."""

    brand: str
    page: str


class FormStartCard(Shape):
    """A form to begin with, as a value of its slot."""

    id: str
    name: str
    value: dict[str, Any]


class FormStarts(Shape):
    starts: list[FormStartCard]


class LinesRequest(Shape):
    """A text as it is being written in a slot of a section."""

    page: str
    section: str
    slot: str
    text: str = Field(max_length=20_000)


class Lines(Shape):
    """How many lines it takes, by class of widths; without those at which that cannot be told."""

    lines: dict[str, int]


class Listing(Shape):
    """How a page is listed: its whole address as far as it is known, and titles and descriptions proposed from its words."""

    address: str
    titles: list[str]
    descriptions: list[str]
