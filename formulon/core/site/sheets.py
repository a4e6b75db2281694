"""The style sheets of a site: of its sections, of its header and motif, of its pictures and its long words."""

import re
from functools import cache
from pathlib import Path

from formulon.core.site import motif
from formulon.core.site.catalogue import CATALOGUE, kind_css
from formulon.core.site.header import header_css
from formulon.core.site.model import Picture, Site
from formulon.core.site.setting import HEADINGS, set_in, step_of
from formulon.core.site.slots import slot_values
from formulon.core.system.css import drawn_css
from formulon.core.system.model import Scheme, System

_FOLDER = Path(__file__).parent


@cache
def site_css() -> str:
    """The style sheet of all sections; every visual value in it is a token."""
    return "\n".join([shared_css("base"), *(kind_css(name) for name in CATALOGUE)])


def style_css(site: Site, system: System) -> str:
    """The style sheet of all sections with what is measured for the site: the rows of its header and its motif."""
    return site_css() + header_css(shared_css("header_rows"), site, system) + motif.motif_css(site, system)


@cache
def used_names() -> frozenset[str]:
    """The custom properties that the style sheet of sections names."""
    return used_in(site_css())


def used_in(css: str) -> frozenset[str]:
    """The custom properties that a style sheet names."""
    return frozenset(re.findall(r"var\((--[\w-]+)", css))


def preview_tokens(system: System, scheme: Scheme) -> str:
    """The tokens of one scheme that pages draw with. A drag sets them in every frame, so no other is among them."""
    return drawn_css(system, scheme, used_names())


@cache
def shared_css(name: str) -> str:
    """A style sheet that all kinds share, by its name."""
    return (_FOLDER / "styles" / f"{name}.css").read_text(encoding="utf-8")


def placed_css(site: Site) -> str:
    """How pictures are cropped and overlaid, by the values of their attributes. Published pages carry no style attributes,
    so that the host's policy can forbid them."""
    rules: dict[str, None] = {}
    for page in site.pages:
        for section in page.sections:
            standing = bool(section.catalogue.layouts[section.layout].on_picture)
            for slot, value in slot_values(section).values():
                if slot.type == "picture":
                    for name, (text, css) in placed_of(Picture.model_validate(value), standing).items():
                        if css:
                            rules[f'.picture[data-{name}="{text}"]{{{css}}}\n'] = None
    return "".join(rules)


def fitted_css(site: Site, system: System) -> str:
    """The sizes of headlines that are drawn smaller so that their longest word fits, by the values of their attribute."""
    rules: dict[str, None] = {}
    for section in (section for page in site.pages for section in page.sections):
        for path, (slot, value) in slot_values(section).items():
            step = step_of(section, path) if slot.type == "text" else ""
            if step in HEADINGS:
                scale = set_in(system, section, path, value, site.identity.language)[1]
                if scale < 1:
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
    if standing:
        made["overlay"] = f"{picture.overlay.opacity:.2f}", f"--overlay:{picture.overlay.opacity:.2f}"
        made["shape"] = picture.overlay.shape, ""
    return made
