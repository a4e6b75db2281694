"""The style sheets of a site: of what it uses, of its header and motif, of its pictures and its long words."""

import re
from collections.abc import Iterable, Iterator
from functools import cache
from pathlib import Path

import rcssmin

from formulon.core.site import missing, thanks
from formulon.core.site import motif_drawn as motif
from formulon.core.site.catalogue import CATALOGUE, class_of_layout, kind_css, kind_file, layout_of
from formulon.core.site.header import header_css
from formulon.core.site.layout import HEADINGS
from formulon.core.site.layout_css import GRID_CSS, layout_css
from formulon.core.site.own import scope_of
from formulon.core.site.own.css import scoped
from formulon.core.site.setting import set_in, step_of
from formulon.core.site.site import FRAME, Section, Site
from formulon.core.site.slots import slot_values
from formulon.core.site.values import PLACEHOLDER, Picture
from formulon.core.system.css import drawn_css
from formulon.core.system.documents.choices import STEPS
from formulon.core.system.system import Scheme, System

_FOLDER = Path(__file__).parent
# The parts of the style sheet, in their order. A site carries those that it uses, a preview all of them.
PARTS = (
    "base", "buttons", "pictures", "credits", "behind", "photographs", "drawings", "cards", "unfold", "large", "rating", "prose", "table", "own", "map", "parts", "form",
    "motif", "gaps", "widths", "order",
)  # fmt: skip
_SET = ("family", "size", "line-height", "weight", "tracking", "case")  # what a class of a step sets, as tokens
_AS = ("font-family", "font-size", "line-height", "font-weight", "letter-spacing", "text-transform")  # and as what
_BODY_SETS = "case"  # the rest of the body's is the page's own

Used = tuple[str, str, int]  # kind, layout, number of items


def used(site: Site) -> frozenset[Used]:
    """The layouts on the pages of a site, each with every number of items that it has."""
    found = {sheet_of(section) for page in site.drawn for section in page.sections}
    return frozenset(
        found | {sheet_of(site.frame.header), sheet_of(site.frame.footer), sheet_of(missing.missing_page(site).sections[0])}
    )


def sheet_of(section: Section) -> Used:
    """What the style sheet of a section is written for."""
    collection = section.declared.collection
    return section.kind, section.layout, len(section.content.get(collection[0], ())) if collection else 0


def every_layout() -> frozenset[Used]:
    """Every layout of the catalogue with every number of items that there can be."""
    return frozenset(
        (kind, name, count)
        for kind, one in CATALOGUE.items()
        for name, layout in one.layouts.items()
        for count in range(1, (one.slots[layout.collection[0]].most if layout.collection else 1) + 1)
    )


@cache
def layouts_css(uses: frozenset[Used]) -> str:
    """The style sheets of layouts, as they are declared, and of their kinds."""
    made = [GRID_CSS]
    for kind in CATALOGUE:
        layouts = {name for own, name, _ in uses if own == kind}
        for name, layout in CATALOGUE[kind].layouts.items():
            if name in layouts:
                made.append(layout_css(kind, name, layout, [count for *own, count in uses if own == [kind, name]]))
                made.append(kind_css(kind, name))
        for name in sorted(layouts - CATALOGUE[kind].layouts.keys()):
            counts = [count for *own, count in uses if own == [kind, name]]
            made.append(layout_css(kind, class_of_layout(name), layout_of(CATALOGUE[kind], name), counts))
        if layouts and kind_css(kind):
            made.append(kind_css(kind))
    return "\n".join(filter(None, made))


@cache
def step_css(steps: frozenset[str]) -> str:
    """The classes of the steps of the scale."""
    made = ""
    for step in (*STEPS, "intro", "fine", "body"):
        if step in steps:
            lines = [
                f"  {name}: var(--type-{step}-{part});\n"
                for name, part in zip(_AS, _SET, strict=True)
                if step != "body" or part == _BODY_SETS
            ]
            lines += ["  text-wrap: balance;\n"] if step in HEADINGS else []
            made += f".t-{step} {{\n{''.join(lines)}}}\n\n"
    return made


ALL_STEPS = frozenset((*STEPS, "intro", "fine", "body"))


@cache
def site_css() -> str:
    """The style sheet of everything that a site can have; every visual value in it is a token."""
    return _joined(PARTS, ALL_STEPS, every_layout())


def _joined(parts: tuple[str, ...], steps: frozenset[str], uses: frozenset[Used]) -> str:
    return "\n".join(
        (shared_css(parts[0]), step_css(steps), *map(shared_css, parts[1:]), layouts_css(uses), shared_css("print"))
    )


def style_css(site: Site, system: System, whole: bool = False) -> str:
    """The style sheet of what a site uses, with what is measured for it: the rows of its header and its motif. `whole` has
    every part that a change of choices can bring, for previews."""
    parts, steps = (PARTS, ALL_STEPS) if whole else (parts_of(site), steps_of(site))
    own = _joined(parts, steps, used(site))
    return own + "\n" + header_css(kind_file("header", "rows.css"), site, system) + motif.motif_css(site, system)


def parts_of(site: Site) -> tuple[str, ...]:
    """The parts of the style sheet that a site uses."""
    values = [(section, *one) for section in _sections(site) for one in slot_values(section).values()]
    layouts = [section.declared for section in _sections(site)]
    needed = {part for _, slot, value in values for part in slot.of.parts(value)}
    sources = [value["source"] for _, slot, value in values if slot.of.picture]
    photographs = any((asset := site.asset(one[6:])) and not asset.svg for one in sources if one.startswith("asset:"))
    there = {
        "base": True,
        "behind": any(layout.on_picture for layout in layouts),
        "photographs": photographs and (site.choices.pictures != "natural" or bool(site.choices.grain)),
        "drawings": any("arcs" in layout.regions for layout in layouts),
        "cards": any(layout.styled for layout in layouts),
        "unfold": any(layout.collection and layout.collection[2].unfolds for layout in layouts),
        "large": any(layout.collection and layout.collection[2].opens for layout in layouts),
        "motif": any(motif.places(site, page) for page in site.drawn),
        "widths": any(section.hidden_on for section in _sections(site)),
        "order": any(page.order_on for page in site.drawn),
        "gaps": any(PLACEHOLDER.search(str(value)) for _, _, value in values),
    }
    return tuple(name for name in PARTS if there.get(name) or name in needed)


def steps_of(site: Site) -> frozenset[str]:
    """The steps of the scale in which a site sets texts."""
    return frozenset(
        step_of(section, path)
        for section in _sections(site)
        for path, (slot, _) in slot_values(section).items()
        if slot.of.set_in_type
    )


def _sections(site: Site) -> Iterator[Section]:
    for page in (*site.drawn, missing.missing_page(site), thanks.thanks_page(site)):
        yield from page.sections
    yield from (getattr(site.frame, part) for part in FRAME)


def minified(css: str) -> str:
    """A style sheet as it is served."""
    return str(rcssmin.cssmin(css))


@cache
def used_names() -> frozenset[str]:
    """The custom properties that the style sheet of sections names."""
    return used_in(site_css())


def used_in(css: str) -> frozenset[str]:
    """The custom properties that a style sheet names."""
    return frozenset(re.findall(r"var\((--[\w-]+)", css))


def preview_tokens(system: System, scheme: Scheme, also: frozenset[str] = frozenset()) -> str:
    """The tokens of one scheme that pages draw with. A drag sets them in every frame, so no other is among them, but for those that own CSS names `also`."""
    return drawn_css(system, scheme, used_names() | also)


@cache
def shared_css(name: str) -> str:
    """A style sheet that all kinds share, by its name."""
    return (_FOLDER / "styles" / f"{name}.css").read_text(encoding="utf-8")


def placed_css(site: Site) -> str:
    """How pictures are cropped and overlaid, by the values of their attributes. Published pages carry no style attributes,
    so that the host's policy can forbid them."""
    rules: dict[str, None] = {}
    for page in site.drawn:
        for section in page.sections:
            standing = bool(section.declared.on_picture)
            for slot, value in slot_values(section).values():
                if slot.of.picture:
                    for name, (text, css) in placed_of(Picture.model_validate(value), standing).items():
                        if css:
                            rules[f'.picture[data-{name}="{text}"]{{{css}}}\n'] = None
    return "".join(rules)


def own_css(sections: Iterable[Section]) -> str:
    """The designer's own style of sections in own HTML and CSS, each confined to its section."""
    made: dict[str, None] = {}
    for section in sections:
        for slot, value in slot_values(section).values():
            if slot.type == "code" and value["css"]:
                made[scoped(value["css"], scope_of(section.id, value["html"], value["css"])).css + "\n"] = None
    return "".join(made)


def fitted_css(site: Site, system: System) -> str:
    """The sizes of headlines that are drawn smaller so that their longest word fits, by the values of their attribute."""
    rules: dict[str, None] = {}
    for section in (*(section for page in site.drawn for section in page.sections), site.frame.footer):
        for path, (slot, value) in slot_values(section).items():
            step = step_of(section, path) if slot.of.set_in_type else ""
            if step in HEADINGS:
                scale = set_in(system, section, path, value, site.identity.language)[1]
                if scale != 1:
                    rules[f'.t-{step}[data-fit="{scale * 100:.0f}"]{{font-size:calc({scale:g}*var(--type-{step}-size))}}\n'] = (
                        None
                    )
    return "".join(sorted(rules))


def placed_of(picture: Picture, standing: bool) -> dict[str, tuple[str, str]]:
    """What sets a picture apart from one in the middle without an overlay: by attribute its value and its CSS."""
    made = {}
    x, y = picture.focus.x, picture.focus.y
    if (x, y) != (0.5, 0.5):
        made["focus"] = f"{x:.2f} {y:.2f}", f"--focus-x:{x:.2f};--focus-y:{y:.2f}"
    if picture.fit == "whole" and not standing:  # what texts stand on has no empty edge
        made["fit"] = "whole", ""
    if standing:
        made["overlay"] = f"{picture.overlay.opacity:.2f}", f"--overlay:{picture.overlay.opacity:.2f}"
        made["shape"] = picture.overlay.shape, ""
    return made
