"""The style sheet of layouts, written from their declaration. Phones first; wider classes say what is otherwise.

The grid has 14 tracks: the margins, which give way, and 12 columns between them, so that a region that runs to an edge of the
viewport needs no negative margin and no width of the viewport. Tracks grow to their limits before the margins take the rest.
"""

import itertools
from collections.abc import Iterable, Mapping
from dataclasses import dataclass, field
from functools import cache
from math import gcd

from formulon.core.site.layout import CLASSES, COLUMNS, GRID_FROM, WIDE_FROM, Class, Collection, Layout, Place, Region, Room

Declarations = Mapping[str, str]

GRID_CSS = f""".grid {{
  display: grid;
  grid-template-columns: minmax(var(--space-gutter), 1fr) minmax(0, var(--space-container)) minmax(var(--space-gutter), 1fr);
}}

.region,
.part {{
  min-width: 0;
}}

@media (min-width: {GRID_FROM}px) {{
  .grid {{
    --column: calc((var(--space-container) - 11 * var(--space-4)) / 12);
    --margin: minmax(calc(var(--space-gutter) - var(--space-4)), 1fr);
    grid-template-columns: var(--margin) repeat(12, minmax(0, var(--column))) var(--margin);
    column-gap: var(--space-4);
  }}
}}
"""
_FROM = {"phone": "", "tablet": f"(min-width: {GRID_FROM}px)", "desktop": f"(min-width: {WIDE_FROM}px)"}
_STACK = "minmax(0, 1fr)"
# The margin of the page, inside what runs to an edge of the viewport: its words stay in line with the grid.
_MARGIN = "max(var(--space-gutter), (100vw - var(--space-container)) / 2)"
# What takes a declaration back in a wider class.
_INITIAL = {
    "align-content": "normal",
    "align-items": "normal",
    "align-self": "auto",
    "aspect-ratio": "auto",
    "column-gap": "normal",
    "display": "block",
    "grid-column": "auto",
    "grid-row": "auto",
    "grid-template-rows": "none",
    "inset": "auto",
    "justify-content": "normal",
    "max-width": "none",
    "position": "static",
    "text-align": "start",
    "grid-template-columns": _STACK,
}
_CORNERS = {"start": ("start-start", "end-start"), "end": ("start-end", "end-end"), "top": ("start-start", "start-end"), "bottom": ("end-start", "end-end")}  # fmt: skip
_MARGINS: dict[str, dict[str, str]] = {"start": {}, "center": {"margin-inline": "auto"}, "end": {"margin-inline": "auto 0"}}
Edge = str


@dataclass
class _Sheet:
    """Rules by selector, each with its declarations in every class of widths. A selector may narrow another (`wider`), whose
    declarations it then overrides where it must."""

    rules: dict[str, dict[Class, dict[str, str]]] = field(default_factory=dict)
    narrows: dict[str, str] = field(default_factory=dict)

    def add(self, selector: str, width: Class, declarations: Declarations, narrows: str = "") -> None:
        found = self.rules.setdefault(selector, {name: {} for name in CLASSES})
        found[width] |= declarations
        if narrows:
            self.narrows[selector] = narrows

    def text(self) -> str:
        """The sheet: what each class says otherwise than those before."""
        blocks: dict[Class, dict[tuple[tuple[str, str], ...], list[str]]] = {name: {} for name in CLASSES}
        for selector, by_class in self.rules.items():
            base = self.rules.get(self.narrows.get(selector, ""), {})
            said: dict[str, str] = {}  # by this selector so far; it goes before what it narrows in any class
            for width in CLASSES:
                wanted, stands = by_class[width], {**base.get(width, {}), **said}
                new = {name: value for name, value in wanted.items() if stands.get(name) != value}
                new |= {name: initial(name) for name in stands if name not in wanted and stands[name] != initial(name)}
                said |= new
                if new:
                    blocks[width].setdefault(tuple(sorted(new.items())), []).append(selector)
        made = {width: "\n".join(rule(",\n".join(on), dict(new)) for new, on in blocks[width].items()) for width in CLASSES}
        wider = [f"@media {_FROM[width]} {{\n{indented(made[width])}}}\n" for width in CLASSES[1:] if made[width]]
        return "\n".join([made["phone"], *wider])


def initial(name: str) -> str:
    """What takes a declaration back. A corner is again what all are."""
    if name.startswith("border-") and name.endswith("-radius") and name != "border-radius":
        return "var(--corner)"
    return _INITIAL.get(name, "0")


def rule(selector: str, declarations: Declarations) -> str:
    """A rule as people write it."""
    return (
        selector + " {\n" + "".join(f"  {name}: {value};\n" for name, value in sorted(declarations.items(), key=_order)) + "}\n"
    )


def _order(declaration: tuple[str, str]) -> tuple[bool, str]:
    """In the alphabet, but what all corners have before what one has."""
    return declaration[0] not in ("--corner", "border-radius"), declaration[0]


def indented(css: str) -> str:
    return "".join(f"  {line}\n" if line else "\n" for line in css.rstrip("\n").split("\n"))


def layout_css(kind: str, name: str, layout: Layout, counts: Iterable[int] = ()) -> str:
    """The style sheet of a layout; `counts` are the numbers of items for which there is to be a rule."""
    return _written(kind, name, layout, tuple(sorted(set(counts))))


@cache
def _written(kind: str, name: str, layout: Layout, counts: tuple[int, ...]) -> str:
    if layout.measured:
        return ""
    sheet, root = _Sheet(), f".{kind.replace('_', '-')}--{name} > .grid"
    behind = any(region.behind for region in layout.regions.values())
    for width in CLASSES:
        frame = layout.frame_at(width)
        sheet.add(root, width, _frame(frame, width))
        rows, flows = 0, _flows(layout, width)
        for part, region in layout.regions.items():
            place, selector = region.place(width), f"{root} > .region--{part}"
            if region.behind:
                sheet.add(selector, width, {"position": "absolute", "inset": "0", "z-index": "-1"})
                continue
            row = 0 if flows else place.row or rows + 1
            rows = max(rows, row + place.rows - 1)
            sheet.add(selector, width, _place(region, place, width, frame) | _rows(place, row))
            _inside(sheet, selector, region, width, COLUMNS, frame)
            if region.items:
                _collection(sheet, selector, region, region.items, width, counts)
    lead = (
        f"{root[: -len(' > .grid')]} {{\n  isolation: isolate;\n  overflow: hidden;\n  position: relative;\n}}\n\n"
        if behind
        else ""
    )
    return lead + sheet.text()


def _flows(layout: Layout, width: Class) -> bool:
    """Whether regions come to stand one under another by themselves, so that one that is empty leaves no row behind."""
    if width == "phone":
        return True
    places = [one.place(width) for one in layout.regions.values() if not one.behind and not one.free]
    within = [place.within() for place in places]
    below = all(first <= last for (_, last), (first, _) in itertools.pairwise(within))
    return below and not any(place.row for place in places)


def _frame(frame: Room, width: Class) -> dict[str, str]:
    made = {"padding-block": f"{space(frame.top)} {space(frame.bottom)}", "row-gap": space(frame.gap)}
    if frame.least:
        low, share, high = frame.least
        middle = f"{share * 100:g}vw"
        made["min-height"] = f"clamp({low:g}px, {middle}, {high:g}px)" if low else f"min({middle}, {high:g}px)"
    if frame.content != "start":
        made["align-content"] = frame.content
    if frame.rows and width != "phone":
        made["align-items"] = frame.rows
    if frame.last and width != "phone":
        made["grid-template-rows"] = "auto 1fr"
    return made


def _rows(place: Place, row: int) -> dict[str, str]:
    if not row:
        return {}
    return {"grid-row": f"{row} / {row + place.rows}" if place.rows > 1 else str(row)}


def _place(region: Region, place: Place, width: Class, frame: Room) -> dict[str, str]:
    """Where a region stands in its section."""
    to_start, to_end = place.edges
    if width == "phone":
        made = {"grid-column": f"{1 if to_start else 2} / {4 if to_end else 3}"}
    else:
        first, last = place.cols or (1, COLUMNS)
        made = {"grid-column": f"{first + 1} / {last + 2}"}
    above = [space(place.uncover)] if place.uncover else []
    above += [f"-1 * {space(place.rise)}"] if place.rise else []
    above += [f"-1 * {space(frame.top)}"] if "top" in place.bleed and frame.top else []
    made |= _sum("margin-block-start", above)
    under = [f"-1 * {space(place.drop)}"] if place.drop else []
    under += [f"-1 * {space(frame.bottom)}"] if "bottom" in place.bleed and frame.bottom else []
    made |= _sum("margin-block-end", under)
    if place.inset:
        inset = space(place.inset)
        margin = space("gutter") if width == "phone" else _MARGIN
        sides = [margin if edge else inset for edge in place.edges]
        made |= {"padding-block": inset, "padding-inline": sides[0] if sides[0] == sides[1] else " ".join(sides)}
    if place.above or place.below:
        made["padding-block"] = f"{space(place.above)} {space(place.below)}"
    if place.down:
        made["align-self"] = place.down
    if place.height:
        made["min-height"] = f"{place.height * 100:g}vw"
    if region.card:
        made |= {"z-index": "1"} | _corners("var(--shape-card-radius)", touched(region, place, frame))
    return made


def _sum(name: str, terms: list[str]) -> dict[str, str]:
    if not terms:
        return {}
    return {name: f"calc({' + '.join(terms)})" if len(terms) > 1 or "*" in terms[0] else terms[0]}


def touched(region: Region, place: Place, frame: Room) -> tuple[Edge, ...]:
    """The edges of the viewport and of its section that a region runs along."""
    start, end = place.edges
    top = "top" in place.bleed or (not region.card and not frame.top and place.row == 1)
    bottom = "bottom" in place.bleed or (region.picture and not place.ratio and not frame.bottom)
    return tuple(name for name, there in (("start", start), ("end", end), ("top", top), ("bottom", bottom)) if there)


def _corners(radius: str, edges: tuple[Edge, ...]) -> dict[str, str]:
    """The corners of a card or a picture: square along an edge that it runs along."""
    square = {corner for edge in edges for corner in _CORNERS[edge]}
    made = {"--corner": radius, "border-radius": "var(--corner)"}
    return made | {f"border-{corner}-radius": "0" for corner in sorted(square)}


def _inside(sheet: _Sheet, selector: str, region: Region, width: Class, columns: int, frame: Room, narrows: str = "") -> None:
    """How what a region holds stands in it."""
    place = region.place(width)

    def add(end: str, declarations: Declarations) -> None:
        sheet.add(selector + end, width, declarations, narrows + end if narrows else "")

    if region.picture:
        own: dict[str, str] = {}
        own |= {"max-width": f"{place.most:g}px"} if place.most else {}
        radius, ratio = "var(--shape-picture-radius)", f"{place.ratio[0]:g} / {place.ratio[1]:g}" if place.ratio else ""
        if region.picture != "portrait":  # which is of no kind that the site's choices are about
            radius = f"var(--shape-{region.picture}-picture-radius, {radius})"
            ratio = ratio and f"var(--shape-{region.picture}-picture-ratio, {ratio})"
        if ratio:
            own["aspect-ratio"] = ratio
        else:
            own |= {"position": "absolute", "inset": "0"}
            add("", {"position": "relative"})
        if len(region.slots) == 1:
            add(" > .picture", own | _corners(radius, touched(region, place, frame)))
            return
        add(" > .picture", own | _corners(radius, ()))
    if region.items:
        return
    add("", {"display": "grid", "grid-template-columns": _STACK, "row-gap": space(place.gap), "align-content": "start"})
    if region.flow == "row" and width != "phone":
        row = {"display": "flex", "flex-wrap": "wrap", "gap": f"0 {space('4')}"}
        add(" .links", row | ({"justify-content": place.across} if place.across != "start" else {}))
    if place.across != "start":
        add("", {"text-align": place.across})
        add(" > .actions", {"justify-content": place.across})
    for slot in region.slots:
        limits = [f"{region.caps[slot]:g}em"] if slot in region.caps else []
        if width != "phone" and slot in place.spans:
            of, wide, gap = place.columns(columns), place.spans[slot], space("4")
            limits.append(f"(100% - {of - 1} * {gap}) / {of} * {wide} + {wide - 1} * {gap}")
        if limits:
            limit = f"min({', '.join(limits)})" if len(limits) > 1 else _one(limits[0])
            add(f" > .slot--{slot}", {"max-width": limit} | _MARGINS[place.across])


def _one(limit: str) -> str:
    return limit if limit.endswith("em") and " " not in limit else f"calc({limit})"


def _collection(sheet: _Sheet, selector: str, region: Region, items: Collection, width: Class, counts: tuple[int, ...]) -> None:
    """The tracks of a collection, its items, and those of each number that stand otherwise."""
    columns = COLUMNS if width == "phone" else region.place(width).columns()
    tracks = items.tracks(width)
    spans = {tracks.span, *(one for count in counts for one in tracks.spans(count))}
    unit = gcd(columns, *spans)
    number = columns // unit
    sheet.add(
        selector,
        width,
        {
            "display": "grid",
            "grid-template-columns": _STACK if number == 1 else f"repeat({number}, minmax(0, 1fr))",
            "row-gap": space(items.gap),
        }
        | ({"column-gap": space("4"), "align-items": "stretch" if items.even else "start"} if number > 1 else {}),
    )
    usual = f"{selector} > .item"
    sheet.add(usual, width, _item(items, tracks.span // unit))
    held = " > .unfold" if items.unfolds else ""
    for part, inner in items.usual.items():
        _part(sheet, usual + held, part, inner, width, tracks.span)
    for count in counts:
        steps = tracks.steps(count, columns)
        deepest = max(steps, default=0)
        room = {"padding-block-end": _times(tracks.step, deepest)} if deepest else {}
        sheet.add(f"{selector}.items--{count}", width, sheet.rules[selector][width] | room, selector)
        for index, own in enumerate(tracks.spans(count)):
            where = f"{selector}.items--{count} > :nth-child({index + 1})"
            form = items.form(width, index, count)
            declarations = _item(items, own // unit)
            if steps[index]:
                declarations |= {
                    "margin-block-start": _times(tracks.step, steps[index]),
                    "margin-block-end": _times(tracks.step, -steps[index]),
                }
            sheet.add(where, width, declarations, usual)
            for part, inner in form.items():
                _part(sheet, where + held, part, inner, width, own, usual + held)


def _times(step: str, factor: int) -> str:
    return space(step) if factor == 1 else f"calc({factor} * {space(step)})"


def _item(items: Collection, tracks: int) -> dict[str, str]:
    """An item in its tracks, with the space inside it."""
    made = {"display": "grid", "grid-template-columns": _STACK, "row-gap": space(items.inner), "align-content": "start"}
    if items.card == "site":
        made["padding"] = "var(--card-padding)"
    if tracks > 1:
        made["grid-column"] = f"span {tracks}"
    if items.inset:
        made |= {"padding": space(items.inset), "--corner": "var(--shape-card-radius)", "border-radius": "var(--corner)"}
    if items.pad:
        made["padding-block"] = space(items.pad)
    return made


def _part(sheet: _Sheet, item: str, part: str, region: Region, width: Class, span: int, usual: str = "") -> None:
    """A part of an item in the columns that its item spans."""
    place, selector, narrows = region.place(width), f"{item} > .part--{part}", f"{usual} > .part--{part}" if usual else ""
    declarations = _rows(place, place.row) if width != "phone" else {}
    if place.cols and place.columns(span) < span:
        sheet.add(item, width, {"grid-template-columns": f"repeat({span}, minmax(0, 1fr))", "column-gap": space("4")})
        first, last = place.within(span)
        declarations["grid-column"] = f"{first} / {last + 1}"
    else:
        declarations["grid-column"] = "1 / -1"
    if place.down:
        declarations["align-self"] = place.down
    sheet.add(selector, width, declarations, narrows)
    _inside(sheet, selector, region, width, span, Room(), narrows)


def space(name: str) -> str:
    """A step of the space scale as a custom property; 0 for none."""
    return f"var(--space-{name})" if name else "0"
