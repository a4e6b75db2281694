"""Reach: everywhere that a token is used, by page and section, from predicted facts.

A use is one element that draws with the token: a text with an ink, a button with a fill, a section with a ground. Tokens
that a whole section is laid out with (spaces, radii) count once for each section whose style sheet names them.
"""

import re
from collections import Counter, defaultdict
from collections.abc import Iterable
from dataclasses import dataclass
from functools import cache

from formulon.core.checks.page_facts import Fact, PagePlace, PictureFact, TextRun
from formulon.core.site import pictures
from formulon.core.site.cards import card_counts
from formulon.core.site.catalogue import CATALOGUE, kind_file, layout_of
from formulon.core.site.motif_drawn import places
from formulon.core.site.sheets import layouts_css, shared_css, sheet_of
from formulon.core.site.site import Section, Site
from formulon.core.system.documents.choices import Choices
from formulon.core.system.parts import PARTS, drawn_with
from formulon.core.system.system import System
from formulon.core.type.ink import ink_area

_GLOBAL = re.compile(r"var\(--((?:space|shape|button|link|type|card|elevation|motion|icon)-[a-z0-9-]+)[,)]")


@dataclass(frozen=True, slots=True)
class Use:
    """How often a token is used in a section of a page. Header and footer are sections of every page."""

    page: str
    section: str
    count: int


Reach = dict[str, list[Use]]


def reach(site: Site, system: System, facts: Iterable[Fact]) -> Reach:
    """The uses of every token of the system by its path; an unused token has an empty list. A brand colour, a ramp step
    and a neutral are used where a token that is their alias is."""
    found: dict[str, Counter[tuple[str, str]]] = defaultdict(Counter)
    first = system.schemes[0]
    for fact in facts:
        if isinstance(fact, TextRun) and fact.scheme == first:
            _text(found, fact)
            _pressed(found, fact, site)
        elif isinstance(fact, PictureFact):
            _picture(found, fact)
            asset = site.asset(fact.source[6:]) if fact.source.startswith("asset:") else None
            if asset and not asset.svg:
                _treated(found, fact, site.choices)
    for page in site.drawn:
        motifs = places(site, page)
        for section in (site.frame.header, *page.sections, site.frame.footer):
            _motif(found, page.id, section, motifs.get(section.id))
            _section(found, page.id, section, system, site.choices)
    for token in system.tokens.values():
        if token.alias and token.path in found:  # a step's family counts for the brand's typeface that it is
            found[token.alias].update(found[token.path])
    for token in system.tokens.values():  # a ramp's own step hands its uses on to the brand colour
        if token.alias and token.path.startswith("ramp/") and token.path in found:
            found[token.alias].update(found[token.path])
    return {
        path: [Use(page, section, count) for (page, section), count in found.get(path, Counter()).items() if count]
        for path in system.tokens
    }


def _text(found: dict[str, Counter[tuple[str, str]]], run: TextRun) -> None:
    at, ground = (run.place.page, run.place.section), f"ground/{run.ground}"
    drawn = PARTS[run.ink]
    if not drawn.ink:
        if drawn.variant != "text" and drawn.state == "rest":
            found["button/arrow"][at] += 1
        for path in drawn_with(drawn):
            found[f"{ground}/{path}"][at] += 1
        if drawn.state != "rest":
            return
        found[f"{ground}/focus"][at] += 1
        found[f"{ground}/focus-inner"][at] += 1
        if drawn.variant == "text":
            found[f"{ground}/link-visited"][at] += 1
    else:
        found[f"{ground}/{run.ink}"][at] += 1
        if run.tag == "a":
            found[f"{ground}/focus"][at] += 1
            found[f"{ground}/focus-inner"][at] += 1
    found[f"{ground}/selection"][at] += 1
    found[f"{ground}/selection-ink"][at] += 1
    if run.placeholder:
        found[f"{ground}/boundary"][at] += 1
    for part in ("size", "line-height", "weight", "tracking", "family", "case"):
        found[f"type/{run.step}/{part}"][at] += 1


def _pressed(found: dict[str, Counter[tuple[str, str]]], run: TextRun, site: Site) -> None:
    """The measures that a button or a link is drawn with, which base.css gives to all of them."""
    at, choices = (run.place.page, run.place.section), site.choices
    drawn = PARTS[run.ink]
    if run.tag != "a" or drawn.state not in ("", "rest"):
        return
    paths = ["button/least", "link/padding-block"]
    if drawn.variant in ("primary", "secondary"):
        small = choices.buttons.small_in_header and run.place.section == site.frame.header.id
        size = "button/small-padding" if small else "button/padding"
        paths = ["button/least", f"{size}-block", f"{size}-inline", "shape/button-radius", "shape/border"]
        paths += ["shape/radius"] if choices.corners.button is None else []
        paths += ["button/phone-width"] if run.place.section != site.frame.header.id else []
        paths += ["icon/stroke", "icon/cap", "icon/join"] if choices.buttons.arrow != "none" else []
        raised = choices.buttons.raised and drawn.variant == "primary"
        paths += [f"elevation/{part}" for part in ("across", "down", "blur", "strength")] if raised else []
    paths += ["motion/duration", "motion/easing"] if choices.motion != "none" else []
    for path in paths:
        found[path][at] += 1


def _picture(found: dict[str, Counter[tuple[str, str]]], fact: PictureFact) -> None:
    if fact.source.startswith("drawn:"):
        for number in set(re.findall(r'class="f(\d)"', pictures.draw(fact.source))):
            found[f"picture/{number}"][fact.place.page, fact.place.section] += 1


def _treated(found: dict[str, Counter[tuple[str, str]]], fact: PictureFact, choices: Choices) -> None:
    """A photograph is drawn by the site's treatment, and with its colours."""
    used = {"duotone": ("shadow", "highlight"), "tint": ("tint",)}.get(choices.pictures, ())
    for path in ("photo/treatment", "photo/grain", *(f"picture/{name}" for name in used)):
        found[path][fact.place.page, fact.place.section] += 1


def _section(found: dict[str, Counter[tuple[str, str]]], page: str, section: Section, system: System, choices: Choices) -> None:
    at = (page, section.id)
    found[f"ground/{section.ground}/background"][at] += 1
    for ground, count in card_counts(section, choices).items():
        found[f"ground/{ground}/background"][at] += count
    layout = section.declared
    if layout.styled and layout.collection:
        found["card/style"][at] += len(section.content.get(layout.collection[0], []))
    lines = _lines(section, choices)
    if lines:
        found[f"ground/{section.ground}/line"][at] += lines
    if section.kind in ("header", "footer"):
        found[f"logo/{section.ground}"][at] += 1
        chosen = system.mark(section.ground)
        if chosen.mark:
            found[f"mark/{section.kind}-height"][at] += 1
            found["mark/clear-space"][at] += bool(chosen.plate or choices.logo.name_beside)
        found[f"ground/{section.ground}/focus"][at] += section.kind == "header"
        found[f"ground/{section.ground}/focus-inner"][at] += section.kind == "header"
    if "arcs" in layout.drawn and not found["motif/large"][at]:
        for number in set(pictures.seen_on(system, section.ground, pictures.SWEEP)):
            found[f"picture/{number}"][at] += 1
    for path in _measures(*sheet_of(section)) & system.tokens.keys():
        found[path][at] += 1
        part = path.removeprefix("shape/").removesuffix("-radius")
        found["shape/radius"][at] += path.endswith("-radius") and getattr(choices.corners, part, 0) is None


def _motif(found: dict[str, Counter[tuple[str, str]]], page: str, section: Section, how: str | None) -> None:
    if how:
        size = "large" if how == "accent" else "size"
        for path in (f"ground/{section.ground}/motif", f"motif/{size}", "motif/room", "motif/shape", "motif/order"):
            found[path][page, section.id] += 1


def _lines(section: Section, choices: Choices) -> int:
    """How many elements of a section are ruled with the line ink."""
    layout, slots = section.declared, section.catalogue.slots
    regions = [one for one in layout.regions.values() if one.ruled]
    ruled = sum(any(slot not in slots or section.content.get(slot) for slot in one.slots) for one in regions)
    if layout.measured:
        return 1  # under its menu, or around its row of names
    if layout.collection is None:
        return ruled
    name, _, items = layout.collection
    lined = items.ruled or (items.card == "site" and choices.cards == "lined")
    return ruled + (len(section.content.get(name, [])) if lined else 0)


@cache
def _measures(kind: str, layout: str, count: int) -> frozenset[str]:
    """Paths of the measures that the style sheet of a layout names: space/4, shape/radius."""
    css = layouts_css(frozenset({(kind, layout, count)})) + (kind_file("header", "rows.css") if kind == "header" else "")
    css += shared_css("cards") if layout_of(CATALOGUE[kind], layout).styled else ""
    return frozenset(name.replace("-", "/", 1) for name in _GLOBAL.findall(css))


def ink_areas(system: System, facts: Iterable[Fact], width: int) -> dict[str, float]:
    """Area in px² that the glyphs of each ink cover over all pages at a viewport width, by the ink's token."""
    made: dict[str, float] = defaultdict(float)
    for fact in facts:
        if isinstance(fact, TextRun) and fact.scheme == system.schemes[0] and not fact.ink.endswith(("/hover", "/pressed")):
            family = system.steps[fact.step].family
            size = fact.sizes.get(width, 0.0)  # 0 where it is not shown
            made[f"ground/{fact.ground}/{fact.ink}"] += ink_area(family, fact.weight, fact.text) * size**2
    return dict(made)


def drawn_shares(facts: Iterable[Fact]) -> dict[str, dict[int, float]]:
    """Of each drawing in use, the share of its area by the number of the picture token."""
    sources = {fact.source for fact in facts if isinstance(fact, PictureFact) and fact.source.startswith("drawn:")}
    return {source: pictures.shares(source) for source in sorted(sources)}


def places_of(found: Reach, paths: Iterable[str]) -> list[PagePlace]:
    """The sections that use any of the tokens, each once."""
    seen = dict.fromkeys((use.page, use.section) for path in paths for use in found.get(path, []))
    return [PagePlace(page, section, "") for page, section in seen]
