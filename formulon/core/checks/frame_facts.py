"""What is known of header and footer without a browser: their links, names and marks."""

from collections.abc import Iterator
from typing import TYPE_CHECKING

from formulon.core.checks.page_facts import Fact, MarkDrawn, PagePlace, Target
from formulon.core.site.geometry import GRID_FROM, box_of, boxes_of, px
from formulon.core.site.header import entries as header_entries
from formulon.core.site.header import footer_ways, has_ways, head, leaves, more, name_room, name_scale, strip_ways
from formulon.core.site.languages import switch_names
from formulon.core.site.render import names_beside
from formulon.core.site.site import Page, Section
from formulon.core.system.facets.lockup import least_height, size_of
from formulon.core.type.fit import Fit, cased, fit
from formulon.core.type.hyphens import hyphenated
from formulon.core.type.lines import text_width
from formulon.core.type.shaping import missing

if TYPE_CHECKING:
    from formulon.core.checks.predict import Prediction

HOME = 44.0  # least width and height in px of the link that the header's mark is, by the style sheet


def footer_facts(work: "Prediction", page: Page) -> Iterator[Fact]:
    footer = work.site.frame.footer
    yield from work.section(page, footer)
    yield from _mark(work, page, footer)
    yield from _name(work, page, footer)
    regions = footer.declared.regions
    names = [work.site.drawn[0].name, *(one.name for one in leaves(work.site.menu()))]
    yield from _links(work, page, footer, names, regions["links"].flow == "row", "links")
    ways = [way.name for way in footer_ways(work.site)]
    yield from _links(work, page, footer, ways, regions["contact"].flow == "row", "contact")


def header_facts(work: "Prediction", page: Page) -> Iterator[Fact]:
    section = work.site.frame.header
    shown, folded = header_entries(work.site)
    yield from _links(work, page, section, [one.name for one in shown if not one.under], True, "links")
    unfolds = [(one.name, leaves([one])) for one in shown if one.under] + [(more(work.site), leaves(folded))]
    for number, (name, under) in enumerate(one for one in unfolds if one[1]):
        place = PagePlace(page.id, section.id, f"more/{number}")
        yield from work.runs(place, name, "summary", "label", section.ground, "body")
        yield from _links(work, page, section, [one.name for one in under], True, f"more/{number}/links")
    if work.site.in_languages():
        # A name that the typeface has no letters for is drawn in the visitor's own, as nothing else on the page is.
        names = [one for one in switch_names(work.site.in_languages()) if not missing(work.system.steps["label"].family, one)]
        yield from _links(work, page, section, names, True, "languages")
    if has_ways(work.site):
        yield from _links(work, page, section, [way.name for way in strip_ways(work.site)], True, "strip")
        address = work.site.identity.contact.address
        if address:
            place = PagePlace(page.id, section.id, "strip/address")
            yield from work.runs(place, address, "span", "label", section.ground, "body")
    chosen = work.system.mark(section.ground).mark
    mark = next((m for m in work.site.identity.marks if m.id == chosen), None)
    if mark:
        width, height = size_of(mark)
        heights = {viewport: px(work.system, "mark/header-height", viewport) for viewport in work.widths}
        sizes = {viewport: (max(HOME, high * width / height), max(HOME, high)) for viewport, high in heights.items()}
    else:
        step = work.system.steps["h3"]
        wide = text_width(step.family, step.weight, work.site.identity.name, step.small, step.tracking)
        sizes = dict.fromkeys(work.widths, (max(HOME, wide), HOME))
    place = PagePlace(page.id, section.id, "mark")
    yield Target(place, work.site.identity.name, "mark", sizes, 0, 0)
    yield from _mark(work, page, section)
    yield from _name(work, page, section)
    yield from work.section(page, section)


def _mark(work: "Prediction", page: Page, section: Section) -> Iterator[Fact]:
    """The mark of header or footer at its heights."""
    drawn = work.system.mark(section.ground)
    mark = next((one for one in work.site.identity.marks if one.id == drawn.mark), None)
    if mark is not None:
        width, height = size_of(mark)
        scale = head(work.site).mark if section.kind == "header" else 1.0
        heights = {viewport: scale * px(work.system, f"mark/{section.kind}-height", viewport) for viewport in work.widths}
        sizes = {viewport: (high * width / height, high) for viewport, high in heights.items()}
        least, why = least_height(work.site.identity, mark)
        ground = work.system.css(f"ground/{drawn.plate or section.ground}/background")
        place, proportion = PagePlace(page.id, section.id, "mark"), width / height
        yield MarkDrawn(place, mark.name, sizes, proportion, least, why, seen=drawn.visibility, ground=ground)


def _name(work: "Prediction", page: Page, section: Section) -> Iterator[Fact]:
    """The brand's name in type, where it has no mark for a section's ground, or only a symbol beside which it stands."""
    chosen = work.system.mark(section.ground).mark
    mark = next((one for one in work.site.identity.marks if one.id == chosen), None)
    if mark is None or names_beside(work.site, mark):
        place, name, step = PagePlace(page.id, section.id, "mark"), work.site.identity.name, work.system.steps["h3"]
        scale, put = name_scale(work.site, work.system), hyphenated(name, work.language)
        fits, sizes = {}, {}
        for width, whole in work.sizes["h3"].items():
            size = sizes[width] = whole * (scale if width < GRID_FROM else 1.0)
            if mark is not None:
                continue
            room: float | None
            if section.kind == "header":
                room = name_room(work.site, work.system, width, work.rows)
            else:
                room = work.room(box_of(section, "mark", width), width, size)
                if room is None:
                    continue
            fits[width] = fit(step.family, step.weight, put, size, room, step.tracking, work.language, False)
        yield from work.runs(place, name, "span", "h3", section.ground, "heading", fits, sizes)


def _links(work: "Prediction", page: Page, section: Section, names: list[str], across: bool, where: str) -> Iterator[Fact]:
    """The links of navigation and footer, in the body ink at the size of labels."""
    step = work.system.steps["label"]
    for index, name in enumerate(names):
        place = PagePlace(page.id, section.id, f"{where}/{index}")
        put = cased(hyphenated(name, work.language), step.case, work.language)
        fits, boxes = {}, boxes_of(section, where)
        for width, size in work.sizes["label"].items():
            room = work.room(boxes[work.classes[width]], width, size)
            if room is not None:
                fits[width] = fit(step.family, step.weight, put, size, room, step.tracking, work.language, False)
        yield from work.runs(place, name, "a", "label", section.ground, "body", fits)
        sizes = {width: _link_size(work, name, width, fits[width]) for width in fits}
        yield Target(place, name, "link", sizes, work.small_space if across else 0.0, 0.0)


def _link_size(work: "Prediction", name: str, width: int, found: Fit) -> tuple[float, float]:
    """Width and height in px of a link at a viewport width."""
    step, size = work.system.steps["label"], work.sizes["label"][width]
    key = (name, width, found.lines)
    if key not in work.links_known:
        text = cased(name, step.case, work.language)
        wide = text_width(step.family, step.weight, text, size, step.tracking) if found.lines < 2 else found.box
        high = max(work.least, size * (max(1, found.lines) * step.line_height + 2 * work.link_padding))
        work.links_known[key] = max(work.least, wide), high
    return work.links_known[key]
