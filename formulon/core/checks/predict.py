"""predict(site, system): what is known of the pages without a browser."""

from collections.abc import Callable, Iterable, Iterator, Mapping
from dataclasses import fields, replace
from functools import cache, cached_property, partial
from itertools import chain
from operator import attrgetter
from types import MappingProxyType
from typing import Any

from formulon.core.checks.form_facts import form_facts
from formulon.core.checks.frame_facts import HOME, footer_facts, header_facts
from formulon.core.checks.guideline import drawn_everywhere, forbidden_pairs, ruled_out
from formulon.core.checks.own_code import code_facts
from formulon.core.checks.page_facts import (
    ColorsDrawn,
    Destination,
    Fact,
    OnPicture,
    PageHead,
    PagePlace,
    PictureFact,
    SectionHead,
    Target,
    TextRun,
    TextsOnPicture,
    Words,
    is_large,
)  # fmt: skip
from formulon.core.checks.picture_facts import picture_fact
from formulon.core.checks.wording import with_wording
from formulon.core.color.srgb import RGB, from_hex
from formulon.core.color.treatment import Treatment
from formulon.core.site.attached import action_note, noted
from formulon.core.site.backdrop import Demand, OpenBlob, backdrop, taken
from formulon.core.site.cards import ground_at, on_card
from formulon.core.site.extents import Extents
from formulon.core.site.geometry import GRID_FROM, Box, action_size, box_of, box_width, boxes_of, general, px, rows_of
from formulon.core.site.header import rows
from formulon.core.site.kind import Slot
from formulon.core.site.layout import HEADINGS, class_of
from formulon.core.site.motif_drawn import places
from formulon.core.site.orders import movers, ordered
from formulon.core.site.pictures import TOKENS
from formulon.core.site.render import WIDTHS
from formulon.core.site.setting import set_in, step_of, tag_of
from formulon.core.site.site import FRAME, Page, Section, Site
from formulon.core.site.slots import slot_values
from formulon.core.site.standing import stand
from formulon.core.site.stated import slips
from formulon.core.site.values import PLACEHOLDER, Picture, variant_of
from formulon.core.system.facets.motif import symbol
from formulon.core.system.parts import PARTS
from formulon.core.system.policy import policy_of
from formulon.core.system.system import Scheme, System
from formulon.core.type import emphasis
from formulon.core.type.fit import Fit, cased, fit
from formulon.core.type.hyphens import hyphenated
from formulon.core.type.shaping import missing
from formulon.core.writing.sentences import says, words_of_rule

PHONE = 360  # px; the narrow width that is checked
_STATES = ("rest", "hover", "pressed")


def _on_page(page: Page, fact: Fact) -> Fact:
    """A fact of header or footer, on a page. As dataclasses.replace does, in half its time, since every page has tens of them."""
    place = fact.place
    of: Any = type(fact)
    return fact if place.page == page.id else of(PagePlace(page.id, place.section, place.slot), *_besides_place(of)(fact))


@cache
def _besides_place(of: type[Any]) -> Callable[[Fact], tuple[Any, ...]]:
    """What gives the parts of a fact but its place, which is the first of them."""
    first, *rest = (part.name for part in fields(of))
    assert first == "place" and len(rest) > 1
    return attrgetter(*rest)


def predict_section(site: Site, system: System, page: Page, section: Section, open_blob: OpenBlob | None = None) -> list[Fact]:
    """The facts of one section of a page alone; see `predict`."""
    return list(Prediction(site, system, open_blob).section(page, section))


def predict(
    site: Site,
    system: System,
    pages: list[Page] | None = None,
    open_blob: OpenBlob | None = None,
    widths: tuple[int, ...] = WIDTHS,
) -> list[Fact]:
    """All facts of the given pages, or of every page, in the order of the site, at viewport widths in px. `open_blob` gives the
    bytes of a photograph by its SHA-256; without it, what a text on a photograph has cannot be told."""
    work = Prediction(site, system, open_blob, widths)
    return [fact for page in (site.drawn if pages is None else pages) for fact in work.page(page)]


class Prediction:
    def __init__(self, site: Site, system: System, open_blob: OpenBlob | None, widths: tuple[int, ...] = WIDTHS) -> None:
        self.site, self.system, self.open_blob, self.widths = site, system, open_blob, widths
        self.policy, self.language = policy_of(site.choices), site.identity.language
        self.avoided = words_of_rule(site.identity, "words to avoid")
        self.ruled_out, self.forbidden = ruled_out(site.identity), forbidden_pairs(site.identity)
        self.classes = {width: class_of(width) for width in widths}
        self.sizes = {name: {w: step.size(w) for w in self.widths} for name, step in system.steps.items()}
        self.small_space = px(system, "space/4", PHONE)
        self.least = px(system, "button/least", 360)
        self.colors: dict[tuple[str, str], list[tuple[Scheme, str, str]]] = {}
        self.links_known: dict[tuple[str, int, int], tuple[float, float]] = {}
        self.rows = rows(site, system)
        self.extents = Extents(system, site.choices, self.language)
        self.rooms: dict[tuple[Box, int, float], float] = {}
        self.link_padding = float(system.tokens["link/padding-block"].value["value"])

    def page(self, page: Page) -> Iterator[Fact]:
        """All facts of a page, in the order in which it is read."""
        return self.worded(self._page(page))

    def worded(self, facts: Iterable[Fact]) -> Iterator[Fact]:
        """The same with what is asked of all their words together."""
        return with_wording(facts, self.language, self.site.identity.name)

    def _page(self, page: Page) -> Iterator[Fact]:
        above, below = self.around
        yield from self.head(page)
        yield from map(partial(_on_page, page), above)
        yield from self.sections(page)
        yield from map(partial(_on_page, page), below)

    @cached_property
    def motif(self) -> str:
        """The shape of the brand's motif; empty where it has none."""
        shape = self.site.choices.motif.shape
        return "" if shape == "none" or (shape == "symbol" and not symbol(self.site.identity)) else shape

    @cached_property
    def around(self) -> tuple[list[Fact], list[Fact]]:
        """The facts of header and footer, which are the same on every page but for where they are."""
        first = self.site.drawn[0]
        return list(header_facts(self, first)), list(footer_facts(self, first))

    def own(self, page: Page) -> Iterator[Fact]:
        """The facts of a page without header and footer, which are the same on every page."""
        return self.worded(chain(self.head(page), self.sections(page)))

    def frame(self, page: Page) -> Iterator[Fact]:
        """The facts of header and footer, placed on a page."""
        return self.worded(chain(header_facts(self, page), footer_facts(self, page)))

    def head(self, page: Page) -> Iterator[Fact]:
        first = page.id == self.site.drawn[0].id
        yield PageHead(
            PagePlace(page.id, "", ""), page.name, page.title, page.description, self.language, first, self.ruled_out,
            drawn_everywhere(self.site.choices, self.system) if first and self.ruled_out else frozenset(),
            page.menu or not page.searched, self.forbidden, self.motif if first else "", len(places(self.site, page)) if self.motif else 0,
        )  # fmt: skip
        if first:
            exact = tuple((color.name, color.parsed.hex) for color in self.site.identity.colors)
            pinned = tuple(path for path in self.site.choices.pins if path.rpartition(":")[2].startswith("ground/"))
            yield ColorsDrawn(PagePlace(page.id, "", ""), frozenset(), exact, pinned=pinned)
        grounds = frozenset(self.system.css(f"ground/{one.ground}/background") for one in page.sections if one.ground)
        yield ColorsDrawn(PagePlace(page.id, "", ""), grounds)

    def sections(self, page: Page) -> Iterator[Fact]:
        for section in page.sections:
            yield from self.section(page, section)

    def section(self, page: Page, section: Section) -> Iterator[Fact]:
        place = PagePlace(page.id, section.id, "")
        layout = section.declared
        held = section.content.get(layout.collection[0]) if layout.collection else ()
        first = next((one.id for one in ordered(page, "phone") if "phone" not in one.hidden_on), "")
        foot = self.foot(section) if section.id == first else 0.0
        yield SectionHead(
            place, section.kind, section.layout, section.ground, section.kind in FRAME, len(held or ()), rows_of(section), foot,
            tuple(movers(page).get(section.id, ())), section.departs, section.reason,
        )  # fmt: skip
        standing, cards = list[TextRun](), on_card(section, self.site.choices)
        for path, (slot, value) in slot_values(section).items():
            own = general(path)
            if own not in layout.drawn:
                continue  # kept for another layout
            ground = ground_at(section, cards, path)
            place = PagePlace(page.id, section.id, path)
            on_picture = slot.of.set_in_type and own in layout.on_picture and self.has_picture(section)
            for fact in self.shown(section, slot.of.facts(self, place, section, slot, value, ground)):
                if on_picture and isinstance(fact, TextRun):
                    standing.append(replace(fact, on_picture=True))
                    fact = standing[-1]
                yield fact
        if standing:
            yield self.on_picture(page, section, standing)

    def shown(self, section: Section, facts: Iterable[Fact]) -> Iterator[Fact]:
        """Facts of a section without the widths at which it is not shown."""
        off = {width for width, of_width in self.classes.items() if of_width in section.hidden_on}
        for fact in facts:
            if off and isinstance(fact, TextRun | Target) and off.issuperset(fact.sizes):
                continue
            if off and isinstance(fact, TextRun):
                sizes = {width: size for width, size in fact.sizes.items() if width not in off}
                yield replace(fact, sizes=sizes, fits={width: one for width, one in fact.fits.items() if width not in off})
            elif off and isinstance(fact, Target):
                yield replace(fact, sizes={width: size for width, size in fact.sizes.items() if width not in off})
            else:
                yield fact

    def foot(self, section: Section) -> float:
        """How far down a phone's screen the words of a page's first section reach, in px; 0 where that cannot be told."""
        regions = section.declared.regions
        heights = {name: self.extents.region(section, region, PHONE) for name, region in regions.items()}
        if section.declared.on_picture or any(one is not None and not one.told for one in heights.values()):
            return 0.0
        feet = []
        stand = {name: one for name, one in heights.items() if one and not (regions[name].behind or regions[name].free)}
        for name, box in self.extents.placed(section.declared, stand, PHONE)[0].items():
            words = [index for index, slot in enumerate(regions[name].slots) if slot in ("heading", "text")]
            upper = regions[name].slots[: words[-1] + 1] if words else ()
            held = stand[name] if upper == regions[name].slots else None
            if upper and not held:
                held = self.extents.region(section, replace(regions[name], slots=upper), PHONE)
            if upper and held:
                place = regions[name].place("phone")
                under = self.extents.space(place.inset, PHONE) + self.extents.space(place.below, PHONE)
                feet.append(box.top + held.px - under)
        # The header's row is as high as what can be pressed in it, within its space above and below.
        header = max(HOME, self.least) + 2 * self.extents.space("3", PHONE)
        return header + max(feet) if feet else 0.0

    def has_picture(self, section: Section) -> bool:
        """Whether the picture that texts would stand on is there."""
        value = section.content.get("picture")
        source = value["source"] if value else ""
        return bool(source) and (source.startswith("drawn:") or self.site.asset(source[6:]) is not None)

    def on_picture(self, page: Page, section: Section, runs: list[TextRun]) -> TextsOnPicture:
        """What lies behind the texts of a section at each width, in the colours of each scheme."""
        picture = Picture.model_validate(section.content["picture"])
        behind = backdrop(self.site, picture, self.open_blob)
        focus = (picture.focus.x, picture.focus.y)
        widths = [width for width in self.widths if class_of(width) not in section.hidden_on]
        boxes = {width: stand(self.system, section, width, self.language) for width in widths} if behind else {}
        paints: dict[str, tuple[RGB, ...]] = {scheme: self.paints(scheme) for scheme in self.system.schemes}
        ways: dict[str, Treatment] = {scheme: self.treatment(scheme) for scheme in self.system.schemes}
        texts = []
        for run in runs:
            ink, under = from_hex(run.foreground), from_hex(run.background)
            demands = {}
            for width, box in boxes.items():
                if behind and run.place.slot in box.texts:
                    what = taken(behind, box, run.place.slot, focus)
                    required = self.policy.large if is_large(run, width) else self.policy.text
                    demands[width] = Demand(what, paints[run.scheme], under, ink, required, ways[run.scheme])
            texts.append(OnPicture(run, demands))
        place = PagePlace(page.id, section.id, "picture")
        return TextsOnPicture(place, picture.overlay.opacity, picture.overlay.shape, tuple(texts))

    def treatment(self, scheme: Scheme) -> Treatment:
        """How photographs are drawn in a scheme."""
        colors = (from_hex(self.system.css(f"picture/{name}", scheme)) for name in ("shadow", "highlight", "tint"))
        return Treatment(self.site.choices.pictures, *colors)

    def paints(self, scheme: Scheme) -> tuple[RGB, ...]:
        """The colours in which drawings are drawn in a scheme."""
        return tuple(from_hex(self.system.css(f"picture/{number}", scheme)) for number in range(1, TOKENS + 1))

    def words(self, place: PagePlace, label: str, text: str) -> Words:
        """The raw text of a slot."""
        avoided = tuple(says(text, self.avoided)) if self.avoided else ()
        return Words(place, label, text, avoided, slips(self.site.identity.contact, self.language, text))

    def loose(self, place: PagePlace, text: str, step: str, ground: str, ink: str) -> Iterator[TextRun]:
        """A text whose box cannot be told without a browser."""
        yield from self.runs(place, PLACEHOLDER.sub(r"[\1]", text), "td", step, ground, ink)

    def link(self, place: PagePlace, slot: Slot, label: str, to: str, ground: str) -> Iterator[Fact]:
        """A link within a text: in the ink of links, in the step of the text around it."""
        shown = emphasis.plain(label) + self.noted(to)
        yield from self.runs(place, shown, "a", slot.step, ground, "link")
        yield Destination(place, label, to, self.alive(to))

    def noted(self, to: str) -> str:
        """What stands after the label of a link to a file."""
        return noted(self.site.identity, to, self.language)

    def alive(self, to: str) -> bool:
        """Whether a destination leads anywhere that is known."""
        return self.site.is_there(to)

    def text(
        self, place: PagePlace, section: Section, slot: Slot, value: str, ground: str, indent: float = 0.0
    ) -> Iterator[TextRun]:
        """A text in its box, which is narrower by an indent in em of its size."""
        name = step_of(section, place.slot)
        step = self.system.steps[name]
        put, scale = set_in(self.system, section, place.slot, value, self.language)
        marked, put = PLACEHOLDER.sub(r"[\1]", value), PLACEHOLDER.sub(r"[\1]", put)
        shown, styles = emphasis.plain(marked), emphasis.styles(marked)
        fits = {}
        drawn, headline = emphasis.encoded(cased(put, step.case, self.language)), name in HEADINGS
        sizes = self.sizes[name] if scale == 1 else {width: size * scale for width, size in self.sizes[name].items()}
        boxes = boxes_of(section, place.slot)
        for width, of_width in self.classes.items():
            size = sizes[width]
            room = self.room(boxes[of_width], width, size)
            if room is None:
                continue
            fits[width] = fit(
                step.family, step.weight, drawn, size, room - indent * size, step.tracking, self.language, headline
            )
        unwritten, free = marked != value, len(fits) < len(self.widths)
        more = {"placeholder": unwritten, "styles": styles, "free": free, "scale": scale}
        yield from self.runs(place, shown, tag_of(section, place.slot), name, ground, slot.ink, fits, sizes, more)

    def runs(
        self,
        place: PagePlace,
        text: str,
        tag: str,
        step: str,
        ground: str,
        ink: str,
        fits: dict[int, Fit] | None = None,
        sizes: dict[int, float] | None = None,
        more: Mapping[str, Any] = MappingProxyType({}),
    ) -> Iterator[TextRun]:
        """The text as drawn, once for each scheme; `more` are further parts of the facts."""
        of = self.system.steps[step]
        unknown = missing(of.family, cased(text, of.case, self.language))
        for scheme, drawn, behind in self.colors.get((ground, ink)) or self.seen(ground, ink):
            yield TextRun(
                place, text, tag, step, ground, ink, drawn, behind,
                of.weight, sizes or self.sizes[step], fits or {}, of.family, unknown, scheme=scheme, policy=self.policy, **more,
            )  # fmt: skip

    def seen(self, ground: str, ink: str) -> list[tuple[Scheme, str, str]]:
        """The colours of an ink and of what lies behind it, in each scheme."""
        paths = [f"ground/{ground}/{part}" for part in (ink, PARTS[ink].under)]
        found = self.colors[ground, ink] = [
            (scheme, *(self.system.css(path, scheme) for path in paths))  # type: ignore[misc]
            for scheme in self.system.schemes
        ]
        return found

    def room(self, box: Box | None, width: int, size: float) -> float | None:
        """Width in px of a box, worked out once; None where there is none to be told."""
        if box is None:
            return None
        key = (box, width, size)
        if key not in self.rooms:
            self.rooms[key] = box_width(self.system, box, width, size)
        return self.rooms[key]

    def action_size(self, place: PagePlace, section: Section, variant: str, label: str, width: int) -> tuple[float, float]:
        arrow = self.site.choices.buttons.arrow != "none" and variant != "text"
        small = section.kind == "header" and self.site.choices.buttons.small_in_header
        label = hyphenated(label, self.language)
        wide, high = action_size(self.system, variant, label, width, language=self.language, arrow=arrow, small=small)
        if self.site.choices.buttons.full_on_phones and width < GRID_FROM and section.kind != "header" and variant != "text":
            box = box_of(section, place.slot, width)
            wide = self.room(box, width, 0) or wide
        return wide, high

    def action(self, place: PagePlace, section: Section, slot: Slot, value: dict[str, Any], ground: str) -> Iterator[Fact]:
        to, variant = value["to"], variant_of(slot.variant, value)
        label = value["label"] + action_note(self.site, section, place.slot, to)
        for state in _STATES:
            yield from self.runs(place, label, "a", "label", ground, f"{variant}/label/{state}")
        sizes = {width: self.action_size(place, section, variant, label, width) for width in self.widths}
        gap = px(self.system, "space/3", 360)
        yield Target(place, label, "button" if variant != "text" else "link", sizes, gap, gap)
        yield Destination(place, label, to, self.alive(to), variant)

    def form(self, place: PagePlace, section: Section, slot: Slot, value: dict[str, Any], ground: str) -> Iterator[Fact]:
        """A form: whom it is sent to, and its button."""
        yield from form_facts(self, place, section, slot, value, ground)

    def code(self, place: PagePlace, section: Section, slot: Slot, value: dict[str, str], ground: str) -> Iterator[Fact]:
        """The designer's own HTML and CSS."""
        yield from code_facts(self, place, section, slot, value, ground)

    def picture(self, place: PagePlace, value: dict[str, Any]) -> PictureFact:
        return picture_fact(self.site, self.system, self.widths, place, value)
