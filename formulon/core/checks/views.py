"""What a rule can look at beside one fact: a section, a page, a site, each with its facts, whether predicted or measured. What
several rules ask of them is worked out once."""

from collections import defaultdict
from collections.abc import Iterable, Iterator, Mapping, Sequence
from dataclasses import dataclass, field
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

    @cached_property
    def styles(self) -> tuple[Style, ...]:
        """How its texts are set."""
        return tuple(one for section in self.sections for one in section.facts if isinstance(one, Style))


@dataclass(frozen=True, eq=False)
class SiteView:
    """All pages of a site, with what is kept of their facts. It notes the kinds of facts that it was asked for: a rule finds the same as
    long as they stay the same."""

    place: PagePlace
    every: tuple[PageView, ...]
    parts: tuple["Held", ...]
    asked: set[type] = field(default_factory=set)

    def all_of(self, kind: type[F]) -> tuple[F, ...]:
        """The facts of a kind, page by page."""
        self.asked.add(kind)
        return self._by_kind.get(kind, ())  # type: ignore[return-value]

    @cached_property
    def _by_kind(self) -> dict[type, tuple[Fact, ...]]:
        made: dict[type, list[Fact]] = defaultdict(list)
        for part in self.parts:
            for kind, those in part.by_kind.items():
                made[kind] += those
        return {kind: tuple(those) for kind, those in made.items()}

    @property
    def pages(self) -> tuple[PageView, ...]:
        """Its pages, with anything of them."""
        self.asked.update(KEPT)
        return self.every

    @property
    def heads(self) -> tuple[PageHead, ...]:
        """The heads of its pages, each once."""
        self.asked.add(PageHead)
        return tuple(page.head for page in self.every)

    @property
    def led(self) -> Iterator[tuple[PageHead, Mapping[str, tuple[Destination, ...]]]]:
        """Where the labels of each page lead."""
        self.asked.update((PageHead, SectionHead, Destination))
        return ((page.head, page.led) for page in self.every)

    @property
    def allowed(self) -> Allowed | None:
        return next(iter(self.all_of(Allowed)), None)

    @property
    def hosts(self) -> tuple[str, ...]:
        """Others that it asks for something."""
        return next((one.hosts for one in self.all_of(OtherHosts)), ())

    @property
    def frames(self) -> frozenset[str]:
        """The sections that every page has."""
        self.asked.add(SectionHead)
        return self._frames

    @cached_property
    def _frames(self) -> frozenset[str]:
        return frozenset(name for page in self.every for name in page.frame)

    @property
    def styles(self) -> tuple[Style, ...]:
        """How all texts are set, page by page."""
        self.asked.update((SectionHead, Style))
        return self._styles

    @cached_property
    def _styles(self) -> tuple[Style, ...]:
        return tuple(one for page in self.every for one in page.styles)


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

    @cached_property
    def by_kind(self) -> Mapping[type, Sequence[Fact]]:
        made: dict[type, list[Fact]] = defaultdict(list)
        for one in self.facts:
            made[type(one)].append(one)
        return made

    def same(self, other: "Held", kinds: Iterable[type]) -> bool:
        """Whether it has the same facts of some kinds."""
        return all(self.by_kind.get(kind, ()) == other.by_kind.get(kind, ()) for kind in kinds)


NOTHING_HELD = Held()


def site_of(parts: Iterable[Held]) -> SiteView | None:
    """The site that what is kept of its pages is about; None where there is no page."""
    parts = tuple(parts)
    pages = tuple(page for part in parts for page in part.pages)
    if len({page.place.page for page in pages}) < len(pages):  # one in two schemes is one page
        pages = tuple(pages_of(fact for part in parts for fact in part.facts))
    return SiteView(pages[0].place, pages, parts) if pages else None
