"""Site, pages and sections: the content of a site, apart from how it looks."""

import json
import re
from collections import Counter
from collections.abc import Mapping
from functools import cached_property
from typing import Any, Literal, NamedTuple, Self, get_args

from pydantic import Field, PrivateAttr, field_validator, model_validator

from formulon.core.site.attached import file_of, is_file
from formulon.core.site.catalogue import CATALOGUE, layout_of
from formulon.core.site.kind import Kind
from formulon.core.site.layout import Layout
from formulon.core.site.translations import Languages
from formulon.core.site.values import Destination, Focus, led_to
from formulon.core.system.documents.checks import Checks
from formulon.core.system.documents.choices import Choices, GroundName, Rhythm
from formulon.core.system.documents.identity import Identity, Model
from formulon.core.system.resolve import resolve
from formulon.core.system.system import System
from formulon.core.type.library import SHIPPED, Family, Library

_ADDRESS = re.compile(r"https?://[A-Za-z0-9.-]{1,200}(:\d{1,5})?(/[A-Za-z0-9._~-]{0,80}){0,6}")
MOST_SECTIONS, MOST_ENTRIES = 60, 20  # of a page, and of a menu
FRAME = ("header", "footer")  # kinds that stand on every page
Width = Literal["phone", "tablet", "desktop"]  # classes of widths of the viewport, as layouts have them
_FILE = r"[a-z0-9]+(-[a-z0-9]+)*"
# Files that every published site has besides its pages.
TAKEN = frozenset({"index", "404", "style-guide", "robots", "sitemap"})


class SetAside(Model):
    """What a section said as another kind, and what that became, so that a change of kind can be taken back whole."""

    layout: str
    content: dict[str, Any] = Field(default_factory=dict)
    became: dict[str, Any] = Field(default_factory=dict, description="The content that was made of it.")


class Section(Model):
    """One section: its kind and layout out of the catalogue, its ground, and its content by slot."""

    id: str = Field(pattern=r"^[a-z0-9-]{1,60}$")
    kind: str
    layout: str
    ground: GroundName = "paper"
    content: dict[str, Any] = Field(default={})
    locked: bool = Field(default=False, description="Kept as it is when the pages are planned anew.")
    departs: bool = Field(default=False, description="Stands on its own ground, whatever the rhythm of the site.")
    menu: str = Field(default="", max_length=60, description="What it is called in the menu of a site of one page.")
    source: str = Field(default="", max_length=200, description="The client's file that its words come from.")
    # Plain defaults: pydantic copies them, and asks the signature of a factory each time that a section is made without being read.
    hidden: bool = Field(default=False, description="Not drawn; it stays at its place.")
    parked: bool = Field(default=False, description="Put aside: kept whole and not drawn.")
    instead: str = Field(default="", max_length=60, description="The section that stands in its place while it is parked.")
    hidden_on: list[Width] = Field(default=[], max_length=3, description="Widths at which it is not shown.")
    reason: str = Field(default="", max_length=200, description="Why it departs from the system.")
    aside: dict[str, SetAside] = Field(default={}, description="What it said as other kinds, by kind.")

    @model_validator(mode="after")
    def _fits_catalogue(self) -> Self:
        kind = CATALOGUE.get(self.kind)
        if kind is None:
            raise ValueError(f"There is no section kind “{self.kind}”. Kinds: {', '.join(CATALOGUE)}.")
        layout_of(kind, self.layout)
        self.content = check_content(kind, self.content)
        self.hidden_on = [width for width in get_args(Width) if width in self.hidden_on]
        if len(self.hidden_on) == len(get_args(Width)):
            raise ValueError("A section that no width shows is hidden. Hide it instead.")
        return self

    @property
    def out(self) -> bool:
        """Whether it is not drawn at any width."""
        return self.hidden or self.parked

    @property
    def catalogue(self) -> Kind:
        return CATALOGUE[self.kind]

    @property
    def declared(self) -> Layout:
        """Its layout, as it is declared in the catalogue or written as a composition of one's own."""
        return layout_of(CATALOGUE[self.kind], self.layout)


def check_content(kind: Kind, content: dict[str, Any]) -> dict[str, Any]:
    """The content with every value in the form of its slot. Raises ValueError for what the kind does not have."""
    unknown = set(content) - set(kind.slots)
    if unknown:
        raise ValueError(f"{kind.label} has no place for “{sorted(unknown)[0]}”.")
    return {name: kind.slots[name].of.validate(kind.slots[name], value) for name, value in content.items()}


class Card(Model):
    """A picture of the brand's own that links to a page show, and the point of it that stays in sight."""

    source: str = Field(pattern=r"^asset:[a-z0-9-]{1,60}$")
    focus: Focus = Field(default_factory=Focus)


class Page(Model):
    """A page: its name in the menu, its file, what search engines read, and its sections from the top."""

    id: str = Field(pattern=r"^[a-z0-9-]{1,60}$")
    name: str = Field(min_length=1, max_length=60)
    title: str = Field(default="", max_length=160)
    description: str = Field(default="", max_length=320)
    menu: bool = Field(default=True, description="Whether navigation and footer lead to it.")
    address: str = Field(
        default="", max_length=60, pattern=rf"^({_FILE})?$", description="The name of its file, where that is not its id."
    )
    searched: bool = Field(default=True, description="Whether search engines may list it.")
    card: Card | None = Field(default=None, description="What links to it show, instead of its title on the deep ground.")
    sections: list[Section] = Field(default_factory=list, max_length=MOST_SECTIONS)
    order_on: dict[Width, list[str]] = Field(
        default_factory=dict, description="Orders of sections, by id, at widths where they are not as written."
    )

    @model_validator(mode="after")
    def _sections(self) -> Self:
        frame = next((one.kind for one in self.sections if one.kind in FRAME), "")
        if frame:
            raise ValueError(f"{CATALOGUE[frame].label} stands on every page by itself and is no section of one.")
        ids = [section.id for section in self.sections]
        if len(ids) != len(set(ids)):
            raise ValueError(f"Two sections of the page {self.name} have the same id.")
        kept = {width: [one for one in dict.fromkeys(order) if one in ids] for width, order in self.order_on.items()}
        self.order_on = {width: order for width, order in kept.items() if order}
        return self


def grounded(pages: list[Page], rhythm: Rhythm | None) -> list[Page]:
    """Pages with the grounds that a rhythm gives the sections that are drawn; those that depart from it keep their own."""
    if rhythm is None:
        return pages
    made = []
    for number, page in enumerate(pages):
        there = [one.id for one in page.sections if not one.out]
        sections = [
            one
            if one.out or one.departs
            else one.model_copy(update={"ground": rhythm.ground(there.index(one.id), len(there), number == 0)})
            for one in page.sections
        ]
        made.append(page.model_copy(update={"sections": sections}))
    return made


class MenuItem(Model):
    """An entry of a menu of one's own: where it leads, and what stands under it. One with entries under it may lead nowhere."""

    label: str = Field(min_length=1, max_length=60)
    to: Destination = ""
    items: list["MenuItem"] = Field(default_factory=list, max_length=12)

    @model_validator(mode="after")
    def _two_levels(self) -> Self:
        if any(one.items for one in self.items):
            raise ValueError(f"“{self.label}” has entries under its entries. A menu has two levels.")
        if not self.to and not self.items:
            raise ValueError(f"“{self.label}” leads nowhere. Choose where it leads.")
        return self


class Redirect(Model):
    """An address that the site once had, and where it leads now."""

    path: str = Field(pattern=rf"^{_FILE}\.html$", max_length=80)
    to: Destination = Field(min_length=1)


class Frame(Model):
    """What all pages share: header, footer, and the order of the pages. The first page is the start page.

    Header and footer stand on grounds of their own, so that no other ground's colour lands there by surprise.
    """

    header: Section
    footer: Section
    order: list[str] = Field(default_factory=list)
    menu: list[MenuItem] = Field(
        default_factory=list,
        max_length=MOST_ENTRIES,
        description="Entries of one's own; empty where the menu follows the pages.",
    )
    redirects: list[Redirect] = Field(default_factory=list, max_length=200, description="Addresses that pages once had.")
    address: str = Field(
        default="", max_length=300, description="Where the site will stand, for search engines and links to it."
    )
    forms_at: str = Field(
        default="",
        max_length=300,
        description="What takes the forms of a site that stands elsewhere; empty where that is this host.",
    )

    @property
    def ids(self) -> tuple[str, str]:
        return self.header.id, self.footer.id

    @field_validator("address")
    @classmethod
    def _whole(cls, value: str) -> str:
        value = value.strip()
        if value and not _ADDRESS.fullmatch(value):
            raise ValueError(f"“{value[:60]}” is no address of a site. Write it whole, for example https://www.example.org/.")
        return value if not value or value.endswith("/") else f"{value}/"

    @field_validator("forms_at")
    @classmethod
    def _service(cls, value: str) -> str:
        value = value.strip()
        if value and not re.fullmatch(r"https?://[^\s<>\"'\\]+", value):
            raise ValueError(
                f"“{value[:60]}” takes no forms. Write its address whole, for example https://forms.example.org/take."
            )
        return value

    @model_validator(mode="after")
    def _grounds(self) -> Self:
        for part, section in (("header", self.header), ("footer", self.footer)):
            if section.kind != part:
                raise ValueError(f"The {part} of a site is of the kind “{part}”, not “{section.kind}”.")
        self.header.ground, self.footer.ground = "navigation", "footer"
        return self


class Rendition(Model):
    """One size of a photograph, encoded anew; its bytes lie with the host, by their SHA-256."""

    width: int = Field(gt=0)
    form: Literal["webp", "avif"] = "webp"
    sha256: str = Field(pattern=r"^[0-9a-f]{64}$")
    size: int = Field(default=0, ge=0, description="Bytes; 0 where that was not kept.")


class Asset(Model):
    """A picture of the brand's own: a drawing, whose `svg` has gone through identity.svg.rebuild, or a photograph in sizes."""

    id: str = Field(pattern=r"^[a-z0-9-]{1,60}$")
    name: str = Field(max_length=300)
    svg: str = ""
    renditions: list[Rendition] = Field(default_factory=list)
    colors: dict[str, float] = Field(default_factory=dict, description="Dominant colours of a photograph and their shares.")
    width: float = Field(gt=0)
    height: float = Field(gt=0)

    def sizes(self, form: str) -> list[Rendition]:
        """The sizes in one form, the smallest first."""
        return sorted((one for one in self.renditions if one.form == form), key=lambda one: one.width)

    @model_validator(mode="after")
    def _drawable(self) -> Self:
        if not self.svg and not self.renditions:
            raise ValueError(f"The picture {self.name} has neither a drawing nor a photograph.")
        return self


class MenuEntry(NamedTuple):
    """Something that the menu leads to, with what unfolds under it."""

    name: str
    to: str
    under: tuple["MenuEntry", ...] = ()

    @property
    def page(self) -> str:
        """The page that it leads to; empty where it is none of the site's."""
        return led_to(self.to)[0]

    @property
    def section(self) -> str:
        """The section that it leads to; empty where it leads to a whole page, or out of the site."""
        return led_to(self.to)[1]


class Edition(NamedTuple):
    """A language in which a site is published: its code, its name in itself, the folder in which it stands, empty for the site's own, and
    the files of its pages by their ids."""

    language: str
    name: str
    folder: str
    files: Mapping[str, str]


class Site(Model):
    """Everything that a site is made of."""

    identity: Identity
    choices: Choices = Field(default_factory=Choices)
    frame: Frame
    pages: list[Page]
    assets: list[Asset] = Field(default_factory=list)
    languages: Languages = Field(default_factory=Languages)
    checks: Checks = Field(default_factory=Checks)
    _editions: tuple["Edition", ...] = PrivateAttr(default=())
    _library: Library = PrivateAttr(default_factory=lambda: SHIPPED)  # a default would be copied deeply

    @model_validator(mode="after")
    def _together(self) -> Self:
        return self.put_in_order()

    def put_in_order(self) -> Self:
        """Itself, once what is asked of its parts together was asked, with its pages in order. Raises ValueError."""
        by_id = {page.id: page for page in self.pages}
        if len(by_id) != len(self.pages):
            raise ValueError("Two pages have the same id.")
        order = dict.fromkeys(one for one in self.frame.order if one in by_id) | by_id
        self.frame.order = list(order)
        self.pages = [by_id[one] for one in self.frame.order]
        names = Counter(self.file_name(page) for page in self.pages)
        twice = next((name for name, count in names.items() if count > 1), "")
        if twice:
            raise ValueError(f"Two pages have the address {twice}. Give one of them another.")
        own = next((page for page in self.pages[1:] if page.address in TAKEN), None)
        if own:
            raise ValueError(f"The address {own.address}.html is not free. Give {own.name} another.")
        kept = self.choices.compositions
        for one in kept:
            if one.kind not in CATALOGUE or one.layout in CATALOGUE[one.kind].layouts:
                raise ValueError(f"“{one.name}” is no composition of a kind of section.")
            layout_of(CATALOGUE[one.kind], one.layout)
        if len({(one.kind, one.name.casefold()) for one in kept}) != len(kept):
            raise ValueError("Two layouts of one's own of a kind have the same name.")
        return self

    @classmethod
    def of_parts(cls, **parts: Any) -> "Site":
        """A site of parts that are each known to be in order: what is asked of them together is asked, and no page is read again. Raises
        ValidationError."""
        try:
            return cls.model_construct(**parts).put_in_order()
        except ValueError:
            return cls(**parts)  # says it as always

    @cached_property
    def grounded(self) -> list[Page]:
        """The pages with all their sections, on the grounds that the rhythm of the site gives."""
        return grounded(self.pages, self.choices.rhythm)

    @cached_property
    def drawn(self) -> list[Page]:
        """The pages as they are drawn: without what is hidden or parked, on the grounds that the rhythm of the site gives."""
        return [
            page.model_copy(update={"sections": [one for one in page.sections if not one.out]})
            if any(one.out for one in page.sections)
            else page
            for page in self.grounded
        ]

    @cached_property
    def _by_id(self) -> dict[str, Page]:
        return {page.id: page for page in reversed(self.drawn)}

    @cached_property
    def targets(self) -> frozenset[tuple[str, str]]:
        """The sections that a button, a link or the menu leads to, by page and section."""
        written = json.dumps([one.content for page in self.pages for one in page.sections] + [self.frame.header.content])
        entries = [one.to for entry in self.menu() for one in (entry, *entry.under)]
        found = [*re.findall(r"page:[a-z0-9-]+#[a-z0-9-]+", written), *entries, *(one.to for one in self.frame.redirects)]
        return frozenset(led for to in found if (led := led_to(self.led(to)))[1])

    def model_copy(self, *, update: Mapping[str, Any] | None = None, deep: bool = False) -> Self:
        made = super().model_copy(update=update, deep=deep)
        for derived in ("grounded", "drawn", "_by_id", "targets", "_system"):  # which follow from what may have been changed
            made.__dict__.pop(derived, None)
        return made

    def with_choices(self, choices: Choices) -> Self:
        """The same site under other choices."""
        return self.model_copy(update={"choices": choices})

    @property
    def library(self) -> Library:
        """The families that its type can be set in: those that ship, and those that were handed in."""
        return self._library

    def with_library(self, library: Library) -> Self:
        """The same site with other families at hand."""
        made = self.model_copy()
        made._library = library
        return made

    def in_languages(self) -> list[str]:
        """The languages in which it is published, its own first; none where it has but one."""
        further = [code for code, one in self.languages.further.items() if one.published]
        return [self.identity.language, *further] if further else []

    @property
    def editions(self) -> tuple["Edition", ...]:
        """The languages in which the site is published, its own first; none where there is but one."""
        return self._editions

    def with_editions(self, editions: tuple["Edition", ...]) -> Self:
        """The same site as one of several languages."""
        made = self.model_copy()
        made._editions = editions
        return made

    def families(self) -> list[Family]:
        """The families that its type is set in. Raises FontError where one is not at hand."""
        return [self.library.family(one) for one in self.identity.typefaces.used()]

    def system(self) -> System:
        """The style system of its identity under its choices."""
        return self._system

    @cached_property
    def _system(self) -> System:
        return resolve(self.identity, self.choices, self.library)

    def dressed_as(self, other: "Site") -> None:
        """Takes over the system of another site that has the very same identity and choices, and the same families."""
        if (other.identity, other.choices) == (self.identity, self.choices):
            self.__dict__["_system"] = other.system()

    def menu(self) -> list["MenuEntry"]:
        """What navigation and footer lead to: the entries of one's own, of which those whose page or section is not drawn stay
        out; else the pages besides the start page; of a site of one page, its sections that have a name in the menu."""
        own = [made for item in self.frame.menu if (made := self._entry(item))]
        if own:
            return own
        pages = [MenuEntry(page.name, f"page:{page.id}") for page in self.pages[1:] if page.menu]
        first = self.drawn[0]
        return pages or [MenuEntry(one.menu, f"page:{first.id}#{one.id}") for one in first.sections if one.menu]

    def _entry(self, item: MenuItem) -> "MenuEntry | None":
        under = tuple(made for one in item.items if (made := self._entry(one)))
        there = self.is_there(item.to)
        return MenuEntry(item.label, item.to if there else "", under) if there or under else None

    def led(self, to: str) -> str:
        """Where a destination leads as the site is drawn: what is hidden or parked leads to what stands in its place, else to its
        page, so that it may go and come back without a dead link."""
        page, section = led_to(to)
        stored = next((one for one in self.pages if one.id == page), None) if section else None
        one = next((one for one in stored.sections if one.id == section), None) if stored else None
        if one is None or not one.out:
            return to
        return f"page:{page}#{one.instead}" if one.instead and self.section(page, one.instead) else f"page:{page}"

    def is_there(self, to: str) -> bool:
        """Whether a destination leads anywhere that is known: to a page, section or file of the site, or out of it."""
        page, section = led_to(self.led(to))
        if not page:
            return file_of(self.identity, to) is not None if is_file(to) else bool(to)
        return self.section(page, section) is not None if section else self.page(page) is not None

    def header_menu(self) -> list["MenuEntry"]:
        """The entries of the menu as the header has them: without that which its own button leads to under the same name, unless
        there is no other."""
        action = self.frame.header.content.get("action") or {}
        led = action.get("to"), action.get("label")
        return [one for one in self.menu() if one.under or led != (one.to, one.name)] or self.menu()

    def page(self, page_id: str) -> Page | None:
        """The page of that id, as it is drawn."""
        return self._by_id.get(page_id)

    def asset(self, asset_id: str) -> Asset | None:
        return next((asset for asset in self.assets if asset.id == asset_id), None)

    def section(self, page_id: str, section_id: str) -> Section | None:
        """The section of that id on the page of that id."""
        page = self.page(page_id)
        return next((one for one in page.sections if one.id == section_id), None) if page else None

    def file_name(self, page: Page) -> str:
        """The page's file: the start page is index.html."""
        return "index.html" if page.id == self.frame.order[0] else f"{page.address or page.id}.html"
