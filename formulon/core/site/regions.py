"""A section as HTML, region by region, from what its layout declares."""

from collections.abc import Mapping
from functools import cache
from itertools import groupby
from typing import TYPE_CHECKING, Any

import jinja2
from markupsafe import Markup

from formulon.core.site.catalogue import kind_file
from formulon.core.site.kind import Slot
from formulon.core.site.layout import Collection, Region
from formulon.core.site.markup import html
from formulon.core.site.site import Section

if TYPE_CHECKING:
    from formulon.core.site.render import View


@cache
def _template(environment: jinja2.Environment, kind: str) -> Any:
    """What a kind draws beside its slots: its template's macros."""
    source = kind_file(kind, "section.html")
    return environment.from_string(source).module if source else None


def section_html(view: "View", environment: jinja2.Environment, section: Section) -> Markup:
    """A section with its regions in reading order. A kind may draw the whole of it itself."""
    own, kind = _template(environment, section.kind), section.catalogue
    if hasattr(own, "section"):
        return Markup(own.section(view, section).strip())
    drawn = _Drawn(view, own, section)
    layout, motif = section.declared, view.motif(section)
    regions = [drawn.region(name, region) for name, region in layout.regions.items()]
    behind = Markup("").join(one for one, region in zip(regions, layout.regions.values(), strict=True) if region.behind)
    inside = Markup("\n").join(
        one for one, region in zip(regions, layout.regions.values(), strict=True) if one and not region.behind
    )
    return html(
        '%s\n%s%s<div class="grid">\n%s\n</div>\n%s</%s>',
        view.open(section),
        motif if kind.motif_first else "",
        behind,
        inside,
        "" if kind.motif_first else motif,
        kind.tag,
    )


def header_strip(view: "View", environment: jinja2.Environment) -> Markup:
    """The ways to reach the brand that stand over the header."""
    return Markup(_template(environment, "header").strip(view).strip() + "\n")


def _lines(region: Region, items: Collection) -> str:
    """The classes of a ruled collection; one under another, the last has a line under it too."""
    closed = " items--closed" if items.at.span >= region.at.columns() else ""
    return f" items--ruled{closed}" if items.ruled else ""


class _Drawn:
    def __init__(self, view: "View", own: Any, section: Section) -> None:
        self.view, self.own, self.section = view, own, section
        self.slots = section.catalogue.slots

    def region(self, name: str, region: Region) -> Markup:
        """A region of the section; nothing where it would be empty."""
        if region.items:
            return self.items(name, region, region.items)
        inner = self.parts(region, "", self.slots)
        ruled = " region--ruled" if region.ruled else ""
        card = self.view.card(self.section, region)
        return html('<div class="region region--%s%s"%s>\n%s\n</div>', name, ruled, card, inner) if inner else inner

    def items(self, name: str, region: Region, items: Collection) -> Markup:
        slot = region.slots[0]
        values = self.section.content.get(slot) or []
        if not values:
            return Markup("")
        made = [
            html(
                '<li class="item%s"%s>\n%s\n</li>',
                " card" if items.card == "site" else "",
                self.view.item_card(self.section, index),
                self.item(slot, index, items),
            )
            for index in range(len(values))
        ]
        return html(
            '<ul class="region region--%s items items--%s%s"%s>\n%s\n</ul>',
            name,
            len(values),
            _lines(region, items),
            self.view.card(self.section, region),
            Markup("\n").join(made),
        )

    def item(self, slot: str, index: int, items: Collection) -> Markup:
        made = []
        for part, region in items.usual.items():
            inner = self.parts(region, f"{slot}/{index}/", self.slots[slot].items)
            if inner and items.opens and region.picture:
                inner += self.view.opened(self.section, f"{slot}/{index}/{region.slots[0]}")
            summary = items.unfolds and part == next(iter(items.usual))
            tag = "summary" if summary else "div"
            if inner:
                made.append(html('<%s class="part part--%s">%s</%s>', tag, part, inner, tag))
        inside = Markup("\n").join(made)
        return html('<details class="unfold">%s</details>', inside) if items.unfolds else inside

    def parts(self, region: Region, prefix: str, slots: Mapping[str, Slot]) -> Markup:
        """What a region holds, in its order; buttons that follow one another stand together."""
        made: list[Markup] = []
        for group, names in groupby(region.slots, lambda name: slots[name].of.group(slots[name]) if name in slots else ""):
            own = [self.part(name, prefix, slots) for name in names]
            inside = [one for one in own if one]
            made += [html('<div class="%s">%s</div>', group, Markup("").join(inside))] if group and inside else inside
        return Markup("\n").join(made)

    def part(self, name: str, prefix: str, slots: Mapping[str, Slot]) -> Markup:
        """A slot, or a part that the kind draws itself."""
        slot = slots.get(name)
        if slot is None:
            return Markup(getattr(self.own, name)(self.view, self.section).strip())
        return slot.of.render(self.view, self.section, prefix + name, slot)
