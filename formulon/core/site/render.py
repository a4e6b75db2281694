"""render(site, system): the pages as static files. Pure: plain data in, file names and bytes out."""

from collections.abc import Callable, Sequence
from dataclasses import dataclass
from functools import cache
from pathlib import Path
from typing import Any, NamedTuple

import jinja2
from markupsafe import Markup

from formulon.core.site import fonts, missing, pictures, structured, thanks, touch_icons
from formulon.core.site import motif_drawn as motif
from formulon.core.site.addresses import data_address
from formulon.core.site.attached import action_note, file_of, file_path, is_file, noted
from formulon.core.site.cards import item_grounds, region_ground
from formulon.core.site.catalogue import CATALOGUE, class_of_layout
from formulon.core.site.header import entries as header_entries
from formulon.core.site.header import footer_ways, has_strip, has_ways, leaves, more, strip_ways
from formulon.core.site.icons import icon
from formulon.core.site.image_sizes import image_sizes
from formulon.core.site.kind import Slot
from formulon.core.site.languages import LanguageLink, greeting, language_links
from formulon.core.site.layout import Region
from formulon.core.site.markup import breakable, emphasised, html, with_gaps
from formulon.core.site.orders import order_css, places
from formulon.core.site.phrases import phrases
from formulon.core.site.pictured import Images
from formulon.core.site.printing import page_feet
from formulon.core.site.regions import header_strip, section_html
from formulon.core.site.setting import set_in, step_of, tag_of
from formulon.core.site.sheets import fitted_css, minified, own_css, placed_css, placed_of, preview_tokens, style_css, used_in
from formulon.core.site.site import MenuEntry, Page, Redirect, Section, Site
from formulon.core.site.social import social_path
from formulon.core.site.telephone import dialled
from formulon.core.site.values import Picture, led_to, variant_of
from formulon.core.site.ways import Way
from formulon.core.system.css import tokens_css
from formulon.core.system.documents.identity import Mark
from formulon.core.system.facets.lockup import size_of
from formulon.core.system.facets.motif import symbol
from formulon.core.system.system import Scheme, System
from formulon.core.type.hyphens import hyphenated
from formulon.core.type.languages import right_to_left

_FOLDER = Path(__file__).parent
WIDTHS = (360, 768, 1280, 1920)
WIDTH_NAMES = {360: "phone", 768: "tablet", 1280: "desktop", 1920: "wide"}


@dataclass(frozen=True, slots=True)
class Preview:
    """How a page is drawn inside the studio: fonts from a path, marks inline, slots marked for editing, one scheme."""

    font_path: str
    picture_path: str = ""
    scheme: Scheme | None = None
    own_font_path: str = ""


def render(
    site: Site, system: System, open_blob: Callable[[str], bytes] | None = None, named: bool = False
) -> dict[str, bytes]:
    """Every file of the published site by its path: pages, site.css, tokens.css, fonts, marks and pictures. `open_blob`
    gives the bytes of a photograph's rendition by its SHA-256. With `named` sections and slots of pages carry what they are, as they do
    in previews, for whoever measures them; all else is the same to the byte."""
    files: dict[str, bytes] = {}
    for page in site.drawn:
        files[site.file_name(page)] = render_page(site, system, page, named=named).encode()
    files |= {
        one.path: moved_page(site, one).encode()
        for one in site.frame.redirects
        if one.path not in files and site.is_there(one.to)
    }
    files[f"{missing.ID}.html"] = render_page(site, system, missing.missing_page(site)).encode()
    if thanks.is_wanted(site) and thanks.FILE not in files:  # a page of that name thanks in its own words
        files[thanks.FILE] = render_page(site, system, thanks.thanks_page(site)).encode()
    own = own_css(section for page in site.drawn for section in page.sections)
    css = style_css(site, system) + order_css(site.drawn) + placed_css(site) + fitted_css(site, system) + page_feet(site) + own
    files["tokens.css"] = minified(fonts.face_rules(site, system) + tokens_css(system, used_in(css))).encode()
    files["site.css"] = minified(css).encode()
    files |= fonts.files(site) | structured.files(site)
    if open_blob:
        said = "".join(part.model_dump_json() for part in (site.frame, *site.drawn))
        files |= {file_path(one): open_blob(one.sha256) for one in site.identity.files if f"file:{one.id}" in said}
    icon_svg = favicon(site, system)
    files["favicon.svg"] = icon_svg.encode()
    files |= touch_icons.files(site, system, icon_svg)
    for mark in _marks_used(site, system):
        files[f"marks/{mark.id}.svg"] = mark.svg.encode()
    for asset in site.assets:
        if any(f"asset:{asset.id}" in page.model_dump_json() for page in site.drawn):
            if asset.svg:
                files[f"pictures/{asset.id}.svg"] = asset.svg.encode()
            if open_blob:
                files |= {f"pictures/{asset.id}-{one.width}.{one.form}": open_blob(one.sha256) for one in asset.renditions}
    return files


def render_page(site: Site, system: System, page: Page, preview: Preview | None = None, named: bool = False) -> str:
    """One page as HTML. In a preview the style sheets stand inside it, and slots carry where they come from, as with `named`."""
    view = View(site, system, page, preview, named)
    css = tokens = ""
    if preview:
        own = own_css(page.sections)
        tokens = preview_tokens(system, preview.scheme or system.schemes[0], used_in(own))
        faces = fonts.preview_rules(site, preview.font_path, preview.own_font_path)
        css = faces + style_css(site, system, whole=True) + own
    return environment().get_template("page.html").render(
        site=site, page=page, view=view, css=Markup(css), tokens=Markup(tokens),
        preview=preview
    )  # fmt: skip


def moved_page(site: Site, redirect: Redirect) -> str:
    """A page for an address that the site once had: it leads on by itself, without a script, and by a link."""
    target = led_to(redirect.to)[0]
    page = site.page(target)
    view = View(site, site.system(), missing.missing_page(site), None)  # none of the pages, so that every address has its file
    whole = view.whole(f"page:{target}" if target else redirect.to)
    name = page.name if page else redirect.to
    return (
        environment().get_template("moved.html").render(site=site, name=name, to=view.href(redirect.to), whole=whole, view=view)
    )


def favicon(site: Site, system: System) -> str:
    """The site's icon: the brand's symbol, or a disc in its colours where it has none."""
    mark = symbol(site.identity)
    if mark:
        return mark.svg
    deep, brand = system.css("ground/deep/background"), system.css("ground/brand/background")
    return (
        '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 32 32">'
        f'<rect width="32" height="32" fill="{deep}"/><circle cx="16" cy="16" r="9" fill="{brand}"/></svg>'
    )


def _marks_used(site: Site, system: System) -> list[Mark]:
    used = {chosen.mark for chosen in (*system.marks.values(), *system.dark_marks.values())}
    return [mark for mark in site.identity.marks if mark.id in used]


@cache
def environment() -> jinja2.Environment:
    """The templates of pages. Everything that is filled in is escaped."""
    environment = jinja2.Environment(
        loader=jinja2.FileSystemLoader(_FOLDER / "templates"),
        autoescape=True,
        undefined=jinja2.StrictUndefined,
        trim_blocks=True,
        lstrip_blocks=True,
    )
    environment.filters["tel"] = dialled
    return environment


class Entry(NamedTuple):
    """An entry of a menu as it is drawn: its name, its address, whether it is this page, and what unfolds under it."""

    name: str
    address: str
    current: bool
    under: tuple["Entry", ...] = ()


class View:
    """What the templates call. Everything that it returns as Markup is built from escaped parts."""

    def __init__(self, site: Site, system: System, page: Page, preview: Preview | None, named: bool = False) -> None:
        self.site, self.system, self.page, self.preview = site, system, page, preview
        self.named = named or preview is not None
        self.motifs, self.places = motif.places(site, page), places(page) if page.order_on else {}
        self.language = site.identity.language
        self.images = Images(site, preview)
        self.say = phrases(self.language).say

    def word(self, text: str) -> Markup:
        """A name in navigation and footer, with soft hyphens and places to break."""
        return breakable(hyphenated(text, self.language))

    def right_to_left(self) -> bool:
        return right_to_left(self.language)

    def section(self, section: Section) -> Markup:
        """A section of the page, header and footer among them."""
        return section_html(self, environment(), section)

    def open(self, section: Section) -> Markup:
        """The opening tag of a section."""
        mark = html(' data-section="%s"', section.id) if self.named else ""
        name = section.kind.replace("_", "-")
        also = " has-motif" if section.id in self.motifs else ""
        led = not self.preview and (self.page.id, section.id) in self.site.targets
        off = html(' data-off="%s"', " ".join(section.hidden_on)) if section.hidden_on else Markup("")
        on = self.places.get(section.id, {})
        off += Markup("").join(html(' data-on-%s="%s"', width, place) for width, place in on.items())
        if self.preview and on:
            off += html(' style="%s"', ";".join(f"--on-{width}:{place}" for width, place in on.items()))
        target = html(' id="%s"', anchor(section.id)) if led else Markup("")
        return html(
            '<%s%s class="%s %s--%s%s" data-ground="%s"%s%s>',
            section.catalogue.tag,
            target,
            name,
            name,
            class_of_layout(section.layout),
            also,
            section.ground,
            off,
            mark,
        )

    def sweep(self, section: Section) -> tuple[int, ...]:
        """The tokens of the arcs beside a call to action, the outermost first."""
        return pictures.seen_on(self.system, section.ground, pictures.SWEEP)

    def motif(self, section: Section) -> Markup:
        """The brand motif, where it stands in the section."""
        how = self.motifs.get(section.id)
        if how is None:
            return Markup("")
        share = Markup(' data-share="{:.3f}"').format(motif.painted(self.site, self.system, how)) if self.preview else ""
        return html('<div class="motif motif--%s" aria-hidden="true"%s></div>', how, share)

    def card(self, section: Section, region: Region) -> Markup:
        """The attribute that puts a region on another ground, where it is a card."""
        return html(' data-ground="%s"', region_ground(section, region)) if region.card else Markup("")

    def item_card(self, section: Section, index: int) -> Markup:
        """The attribute that puts an item on another ground, where items are cards."""
        grounds = item_grounds(section, self.site.choices)
        return html(' data-ground="%s"', grounds[index % len(grounds)]) if grounds else Markup("")

    def has(self, section: Section, slot: str) -> bool:
        return section.catalogue.slots[slot].of.filled(section.content.get(slot))

    def text(self, section: Section, path: str) -> Markup:
        """A text slot in its tag, step and ink; `path` is "heading" or "items/0/title"."""
        slot, value = self._find(section, path)
        if not value:
            return Markup("")
        step = step_of(section, path)
        value, scale = set_in(self.system, section, path, value, self.language)
        gaps = self.preview is not None
        body = Markup("<br>").join(emphasised(line, gaps) for line in value.split("\n"))
        smaller = Markup(' data-fit="{:.0f}"').format(scale * 100) if scale != 1 else Markup("")
        if self.preview and scale != 1:
            smaller += Markup(' style="font-size:calc({:g}*var(--type-{}-size))"').format(scale, step)
        tag, name = tag_of(section, path), path.split("/")[-1]
        return html(
            '<%s class="t-%s i-%s slot--%s"%s%s>%s</%s>', tag, step, slot.ink, name, self._slot(path), smaller, body, tag
        )

    def icon(self, name: str) -> Markup:
        return icon(name)

    def action(self, section: Section, path: str, again: bool = False) -> Markup:
        """A button or link; without a destination it is drawn and leads nowhere, which preflight stops. One that stands a
        second time, for other widths, is not edited there."""
        slot, value = self._find(section, path)
        if not value or not value["label"]:
            return Markup("")
        to = self.href(value["to"])
        href = html(' href="%s"', to) if to else ""
        variant = variant_of(slot.variant, value)
        arrow = self.site.choices.buttons.arrow if variant != "text" else "none"
        drawn = icon("arrow-right") if arrow != "none" else Markup("")
        small = " button--small" if section.kind == "header" and self.site.choices.buttons.small_in_header else ""
        marks = "" if again else self._slot(path + "/label")
        label = html("<span%s>%s</span>", marks, with_gaps(hyphenated(value["label"], self.language), self.preview is not None))
        note = action_note(self.site, section, path, value["to"])
        return html('<a class="button button--%s%s"%s%s>%s%s%s</a>',
            variant, small, href, Markup(' role="link" aria-disabled="true"') if not href else "",
            drawn if arrow == "before" else "", html("<span>%s%s</span>", label, note) if note else label,
            drawn if arrow == "after" else "",
        )  # fmt: skip

    def picture(self, section: Section, path: str) -> Markup:
        """A picture: the brand's own as an image, a drawing inline so that it follows the tokens. Where texts stand on it
        the overlay lies over it."""
        _, value = self._find(section, path)
        if not value:
            return Markup("")
        source, alt = value["source"], "" if value["decorative"] else value["alt"]
        inner = self.images.of(source, alt, lambda ratio: image_sizes(self.system, section, path, ratio))
        if not inner:
            return inner
        drawn = html(' data-source="%s"', source) if self.preview else Markup("")
        layout = section.declared
        placed = placed_of(Picture.model_validate(value), bool(layout.on_picture))
        written = Markup("").join(
            html(' data-%s="%s"', name, text) for name, (text, _) in placed.items()
        )  # fmt: skip
        if self.preview and placed:
            written += html(' style="%s"', ";".join(css for _, css in placed.values() if css))
        photo = " picture--photo" if self.images.is_photograph(source) else ""
        behind = " picture--behind" if any(one.behind and path in one.slots for one in layout.regions.values()) else ""
        credit = html('<small class="credit">%s</small>', value["credit"]) if value.get("credit") and not behind else Markup("")
        return html('<div class="picture%s%s"%s%s%s>%s%s</div>',
            behind, photo, self._slot(path), drawn, written, inner, credit
        )  # fmt: skip

    def own_picture(self, source: str, alt: str) -> Markup:
        """A picture within own HTML, as large as what it stands in."""
        return self.images.of(source, alt, lambda _: "100vw")

    def opened(self, section: Section, path: str) -> Markup:
        """What opens a picture large without a script: a button over it, and the picture by itself over the page."""
        picture = self.picture(section, path).replace(self._slot(path), "")
        if not picture:
            return Markup("")
        _, value = self._find(section, path)
        name, label = f"large-{section.id}-{path.replace('/', '-')}", self.say("enlarge")
        about = "" if value["decorative"] else value["alt"]
        return Markup(
            '<button type="button" class="opens" popovertarget="{0}" aria-label="{1}"></button>'
            '<div class="large" id="{0}" popover>{2}<button type="button" class="large-close" popovertarget="{0}" '
            'popovertargetaction="hide" aria-label="{3}">{4}</button></div>'
        ).format(name, f"{label}: {about}" if about else label, picture, self.say("shut"), self.icon("x"))

    def mark(self, section: Section, place: str) -> Markup:
        """The brand's mark for the section's ground, on a plate where that was chosen and with its name beside it where it is
        a symbol; or the name in type where there is no mark."""
        scheme = self.preview.scheme if self.preview else None
        chosen, mark = self.system.mark(section.ground, scheme), self._mark_of(section, scheme)
        name = self.site.identity.name
        if mark is None:
            return self._name(place)
        beside = names_beside(self.site, mark)
        drawn = self._drawn_mark(section, mark, place, "" if beside else name)
        if chosen.plate:
            drawn = html('<span class="plate plate--%s" data-ground="%s">%s</span>', place, chosen.plate, drawn)
        if not beside:
            return drawn
        return html('<span class="lockup">%s%s</span>', drawn, self._name(place))

    def _name(self, place: str) -> Markup:
        """The brand's name in type."""
        return html('<span class="mark-name mark-name--%s">%s</span>', place, self.word(self.site.identity.name))

    def _drawn_mark(self, section: Section, mark: Mark, place: str, alt: str) -> Markup:
        width, height = size_of(mark)
        address = address_of(mark, self.preview)
        image = Markup('<img class="mark mark--{}" src="{}" alt="{}" width="{:.0f}" height="{:.0f}">').format(
            place, address, alt, 48 * width / height, 48
        )
        dark = self._mark_of(section, "dark") if self.system.dark_marks and not self.preview else None
        if dark is None or dark.id == mark.id:
            return image
        return html('<picture><source media="(prefers-color-scheme: dark)" srcset="marks/%s.svg">%s</picture>', dark.id, image)

    def _mark_of(self, section: Section, scheme: Scheme | None) -> Mark | None:
        chosen = self.system.mark(section.ground, scheme).mark
        return next((m for m in self.site.identity.marks if m.id == chosen), None)

    def href(self, to: str) -> str:
        """The address of a destination; empty where it is none."""
        if to.startswith("page:"):
            page, section = led_to(self.site.led(to))
            target = self.site.page(page)
            if target is None:
                return ""
            name = "" if section and page == self.page.id else self.site.file_name(target)
            return f"{name}#{anchor(section)}" if section else name
        if is_file(to):
            found = file_of(self.site.identity, to)
            return file_path(found) if found else ""
        return dialled(to[4:], self.site.identity.language) if to.startswith("tel:") else to

    def noted(self, to: str) -> str:
        """What stands after the label of a link to a file."""
        return noted(self.site.identity, to, self.language)

    def listed(self) -> bool:
        """Whether the page is one of the site's that search engines may read; links to it show its picture."""
        return self.page.searched and self.site.page(self.page.id) is not None

    def navigation(self) -> list[Entry]:
        """What the menu leads to, each by itself."""
        return [self._entry(one) for one in leaves(self.site.menu())]

    def header_navigation(self) -> list[Entry]:
        """What stands in the header, with what unfolds under it."""
        return [self._entry(one) for one in header_entries(self.site)[0]]

    def header_folded(self) -> list[Entry]:
        """What unfolds there under a last entry, each by itself."""
        return [self._entry(one) for one in leaves(header_entries(self.site)[1])]

    def more(self) -> str:
        return more(self.site)

    def has_ways(self) -> bool:
        """Whether ways to reach the brand stand over the header."""
        return has_ways(self.site)

    def strip_ways(self) -> list[Way]:
        return strip_ways(self.site)

    def footer_ways(self) -> list[Way]:
        return footer_ways(self.site)

    def ways(self, several: Sequence[Way]) -> Markup:
        """Ways to reach the brand: as links, or as they are read where they lead nowhere."""
        return Markup("\n").join(
            html('<a href="%s">%s</a>', one.to, self.word(one.name)) if one.to else html("<span>%s</span>", self.word(one.name))
            for one in several
        )

    def languages(self) -> list[LanguageLink]:
        """The page in the languages of the site, its own first; none where it has but one."""
        return language_links(self.site, self.page.id)

    def languages_word(self) -> str:
        return greeting(self.site.identity.language)

    def strip(self) -> Markup:
        """Ways to reach the brand over the header, and the languages of the site; nothing where there are neither."""
        return header_strip(self, environment()) if has_strip(self.site) else Markup("")

    def _entry(self, entry: MenuEntry) -> Entry:
        current = entry.page == self.page.id and not entry.section
        under = tuple(self._entry(one) for one in leaves([entry])) if entry.under else ()
        return Entry(entry.name, self.href(entry.to), current, under)

    def home(self) -> str:
        return self.site.file_name(self.site.drawn[0])

    def theme_colors(self) -> list[tuple[str, str]]:
        """The colour of the browser's own bars, the navigation's, with the media query that it holds for."""
        path, schemes = "ground/navigation/background", self.system.schemes
        if len(schemes) == 1:
            return [(self.system.css(path), "")]
        return [(self.system.css(path, scheme), f"(prefers-color-scheme: {scheme})") for scheme in schemes]

    def social(self) -> str:
        """The address of the picture for links to the page: whole, as what reads it wants it, where the site's own is known."""
        return self.site.frame.address + social_path(self.site, self.system, self.page)

    def canonical(self) -> str:
        """The page's own whole address; empty where the site's is not known."""
        name = self.site.file_name(self.page)
        address = self.site.frame.address
        return address and address + ("" if name == "index.html" else name)

    def whole(self, to: str) -> str:
        """The whole address of a destination, where the site's own is known."""
        address = self.href(to)
        return address if "://" in address else self.site.frame.address and self.site.frame.address + address

    def structured(self) -> Markup:
        """What machines read of the page: a data block, which is no script."""
        return structured.structured(self.site, self.system, self.page)

    def preload(self) -> list[str]:
        return fonts.preloads(self.site, self.system)

    def value(self, section: Section, path: str) -> Any:
        """What a slot holds."""
        return self._find(section, path)[1]

    def marks(self, path: str) -> Markup:
        """What tells the studio which slot an element is."""
        return self._slot(path)

    def _find(self, section: Section, path: str) -> tuple[Slot, Any]:
        parts = path.split("/")
        slot, value = CATALOGUE[section.kind].slots[parts[0]], section.content.get(parts[0])
        if len(parts) > 1:
            slot = slot.items[parts[2]]
            value = value[int(parts[1])].get(parts[2]) if value else None
        return slot, value

    def _slot(self, path: str) -> Markup:
        return html(' data-slot="%s"', path) if self.named else Markup("")


def anchor(section: str) -> str:
    """The id of a section that something leads to, apart from those that pages have of their own."""
    return f"at-{section}"


def address_of(mark: Mark, preview: Preview | None) -> str:
    """Where a mark's drawing lies: inside a preview, or beside the published pages."""
    return data_address(mark.svg) if preview else f"marks/{mark.id}.svg"


def names_beside(site: Site, mark: Mark) -> bool:
    """Whether the brand's name stands as text beside a mark."""
    return site.choices.logo.name_beside and mark.kind == "symbol"
