"""What a rule can look at beside one fact: a section, a page, a site, each with its facts, whether predicted or measured. What
several rules ask of them is worked out once."""

from collections import defaultdict
from collections.abc import Iterable, Iterator, Mapping
from dataclasses import dataclass
from functools import cached_property
from typing import TypeVar

from formulon.core.checks.drawn_facts import Control, FrameTexts, PageValues, SiteRoot
from formulon.core.checks.page_facts import (
    Allowed,
    Areas,
    ColorsDrawn,
    Destination,
    Fact,
    Heading,
    OtherHosts,
    PageForm,
    PageHead,
    PagePlace,
    Passage,
    SectionHead,
    Spelling,
    Style,
    TextRun,
)

F = TypeVar("F")
# What is kept of a page for the rules that look at the whole site.
KEPT = (
    PageHead, PageForm, SectionHead, Destination, Style, Allowed, OtherHosts, Heading, Passage, Spelling, ColorsDrawn, PageValues, FrameTexts,
    SiteRoot, Control, Areas,
)  # fmt: skip


@dataclass(frozen=True, eq=False)
class SectionView:
    """A section of a page with its facts, in the order in which they are read."""

    place: PagePlace
    head: SectionHead
    facts: tuple[Fact, ...]

    @cached_property
    def destinations(self) -> tuple[Destination, ...]:
        return tuple(fact for fact in self.facts if isinstance(fact, Destination))

    @cached_property
    def headings(self) -> tuple[TextRun, ...]:
        """The headings, each once whatever the schemes."""
        found = [fact for fact in self.facts if isinstance(fact, TextRun) and fact.level]
        return tuple({fact.place: fact for fact in found}.values())


@dataclass(frozen=True, eq=False)
class PageView:
    """A page with its sections, those of its frame among them."""

    place: PagePlace
    head: PageHead
    sections: tuple[SectionView, ...]
    frame: frozenset[str]  # ids of header and footer

    @cached_property
    def own(self) -> tuple[SectionView, ...]:
        """The sections that are the page's own."""
        return tuple(one for one in self.sections if one.place.section not in self.frame)

    @cached_property
    def headings(self) -> tuple[TextRun, ...]:
        return tuple(run for section in self.own for run in section.headings)

    @cached_property
    def led(self) -> Mapping[str, tuple[Destination, ...]]:
        """The destinations of the page's own sections by their label, however it is written."""
        found: dict[str, list[Destination]] = defaultdict(list)
        for section in self.own:
            for one in section.destinations:
                found[" ".join(one.label.casefold().split())].append(one)
        return {label: tuple(those) for label, those in found.items()}


@dataclass(frozen=True, eq=False)
class SiteView:
    """All pages of a site, with what is kept of their facts."""

    place: PagePlace
    pages: tuple[PageView, ...]
    allowed: Allowed | None = None
    hosts: tuple[str, ...] = ()  # others that it asks for something
    held: tuple[Fact, ...] = ()  # all that is kept of it, in the order of the pages

    def all_of(self, kind: type[F]) -> tuple[F, ...]:
        """The facts of a kind, page by page."""
        return self._by_kind.get(kind, ())  # type: ignore[return-value]

    @cached_property
    def _by_kind(self) -> dict[type, tuple[Fact, ...]]:
        made: dict[type, list[Fact]] = defaultdict(list)
        for one in self.held:
            made[type(one)].append(one)
        return {kind: tuple(those) for kind, those in made.items()}

    @cached_property
    def frames(self) -> frozenset[str]:
        """The sections that every page has."""
        return frozenset(name for page in self.pages for name in page.frame)

    @cached_property
    def styles(self) -> tuple[Style, ...]:
        """How all texts are set, page by page."""
        held = (one for page in self.pages for section in page.sections for one in section.facts)
        return tuple(one for one in held if isinstance(one, Style))


View = SectionView | PageView | SiteView


def pages_of(facts: Iterable[Fact]) -> Iterator[PageView]:
    """Facts, in the order of the site, as pages with their sections."""
    heads: dict[str, PageHead] = {}
    sections: dict[str, dict[str, list[Fact]]] = defaultdict(lambda: defaultdict(list))
    known: dict[tuple[str, str], SectionHead] = {}
    for fact in facts:
        place = fact.place
        if isinstance(fact, PageHead):
            heads[place.page] = fact
        elif isinstance(fact, SectionHead):
            known[place.page, place.section] = fact
        if place.section:
            sections[place.page][place.section].append(fact)
    for page, head in heads.items():
        made = tuple(
            SectionView(known[page, name].place, known[page, name], tuple(those))
            for name, those in sections[page].items()
            if (page, name) in known
        )
        frame = frozenset(one.place.section for one in made if one.head.frame)
        yield PageView(head.place, head, made, frame)


@dataclass(frozen=True, eq=False)
class Held:
    """What is kept of a page, or of any facts, for the rules that look at the whole site; its views are made once, however often a
    site is looked at in which it stands."""

    facts: tuple[Fact, ...] = ()

    @classmethod
    def of(cls, facts: Iterable[Fact]) -> "Held":
        return cls(tuple(fact for fact in facts if isinstance(fact, KEPT)))

    @cached_property
    def pages(self) -> tuple[PageView, ...]:
        return tuple(pages_of(self.facts))


NOTHING_HELD = Held()


def site_of(parts: Iterable[Held]) -> SiteView | None:
    """The site that what is kept of its pages is about; None where there is no page."""
    parts = list(parts)
    held = tuple(fact for part in parts for fact in part.facts)
    pages = tuple(page for part in parts for page in part.pages)
    if len({page.place.page for page in pages}) < len(pages):  # one in two schemes is one page
        pages = tuple(pages_of(held))
    allowed = next((fact for fact in held if isinstance(fact, Allowed)), None)
    hosts = next((fact.hosts for fact in held if isinstance(fact, OtherHosts)), ())
    return SiteView(pages[0].place, pages, allowed, hosts, held) if pages else None
