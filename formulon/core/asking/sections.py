"""What can be asked of a section: its place, its ground, its layout, what it shows and how much of it."""

import re
from typing import Any, cast, get_args

from formulon.core.asking import About, Meant, NotUnderstood
from formulon.core.asking.grammar import NUMBER, form, number_of
from formulon.core.site.catalogue import CATALOGUE
from formulon.core.site.changes import Change, pointer
from formulon.core.site.composing.turned import in_a_row, in_rows_of, mirrored
from formulon.core.site.composition import OWN
from formulon.core.site.documents import located
from formulon.core.site.layout import COLUMNS
from formulon.core.site.planning.material import nearness
from formulon.core.site.signature import likeness, signature
from formulon.core.site.site import FRAME, Page, Section, Site, Width
from formulon.core.site.structure.needs import kinds_for
from formulon.core.site.structure.operations import (
    BringBack,
    ChangeKind,
    Copy,
    Depart,
    Duplicate,
    Hide,
    Move,
    Park,
    TakeOut,
    Widths,
)  # fmt: skip
from formulon.core.system.documents.choices import SECTION_GROUNDS, GroundName
from formulon.core.type.languages import right_to_left

_WIDTHS = r"(?P<widths>(phone|tablet|desktop)s?( or (phone|tablet|desktop)s?)*)"
_ORDER = ("first", "second", "third", "fourth", "fifth", "sixth")
_GROUND = rf"(?P<ground>{'|'.join(SECTION_GROUNDS)})"


def at(about: About) -> dict[str, str]:
    """The section that an instruction is about, as operations name it. Raises NotUnderstood for one that stands on every page."""
    section = section_of(about)
    if section.kind in FRAME:
        raise NotUnderstood(f"{CATALOGUE[section.kind].label} stands on every page and stays where it is.")
    return {"page": about.page.id, "section": section.id}


def section_of(about: About) -> Section:
    if about.section is None:
        raise NotUnderstood("Choose a section first.")
    return about.section


def name_of(about: About) -> str:
    """What a section is called."""
    return section_of(about).catalogue.label


def changed(about: About, key: tuple[str | int, ...], value: Any, said: str) -> Meant:
    """A value of the section put in the place of another."""
    section = section_of(about)
    document, base, _ = located(about.site, about.page.id, section.id) or ("", (), section)
    patch: dict[str, Any] = {"op": "add", "path": pointer(*base, *key), "value": value}
    return Meant(said, changes=[Change(document=document, patch=[patch])])


def page_called(site: Site, name: str) -> Page:
    """The page of a name, or one near it. Raises NotUnderstood, with the pages that there are."""
    near = sorted(site.pages, key=lambda page: -nearness(page.name, name))
    if near and nearness(near[0].name, name) > 0:
        return near[0]
    found = next((page for page in site.pages if page.name.casefold().startswith(name)), None)
    if found is None:
        there = ", ".join(page.name for page in site.pages[:8])
        raise NotUnderstood(f"There is no page “{name}”. There are {there}.")
    return found


def section_called(about: About, name: str) -> Section:
    """The section of the page with a headline or of a kind of a name. Raises NotUnderstood."""
    others = [one for one in about.page.sections if about.section is None or one.id != about.section.id]
    for one in others:
        if nearness(str(one.content.get("heading", "")), name) > 0.5 or nearness(one.catalogue.label, name) > 0.5:
            return one
    raise NotUnderstood(f"No other section of {about.page.name} is called “{name}”.")


@form(
    "section",
    rf"(on|ground) (the )?{_GROUND}( ground)?",
    "on deep",
    "stands it on that ground, apart from the rhythm of the site",
)
def on_ground(about: About, found: re.Match[str]) -> Meant:
    ground = cast(GroundName, found["ground"].lower())
    return Meant(f"{name_of(about)} stands on {ground}.", [Depart(**at(about), ground=ground)])


@form("section", r"(in|follow|with) the rhythm( again)?", "follow the rhythm", "gives it the ground of its place again")
def in_rhythm(about: About, found: re.Match[str]) -> Meant:
    return Meant(f"{name_of(about)} follows the rhythm of the site.", [Depart(**at(about))])


@form("section", r"hide", "hide", "no visitor sees it; it stays at its place")
def hide(about: About, found: re.Match[str]) -> Meant:
    return Meant(f"{name_of(about)} is hidden.", [Hide(**at(about))])


@form("section", r"show( again)?", "show again", "visitors see it again, at every width")
def show(about: About, found: re.Match[str]) -> Meant:
    return Meant(f"{name_of(about)} is shown.", [Hide(**at(about), hidden=False), Widths(**at(about))])


@form("section", rf"(hide|not|hidden)( it)? on {_WIDTHS}", "hide on phones", "does not show it at those widths")
def hide_on(about: About, found: re.Match[str]) -> Meant:
    off = [*section_of(about).hidden_on, *_widths(found)]
    return Meant(
        f"{name_of(about)} is not shown on {_listed(_widths(found))}.",
        [Widths(**at(about), hidden_on=list(dict.fromkeys(off)))],
    )


@form("section", rf"(show )?only on {_WIDTHS}", "only on phones", "shows it at those widths alone")
def only_on(about: About, found: re.Match[str]) -> Meant:
    shown = _widths(found)
    return Meant(
        f"{name_of(about)} is shown on {_listed(shown)} alone.",
        [Widths(**at(about), hidden_on=[one for one in get_args(Width) if one not in shown])],
    )


def _widths(found: re.Match[str]) -> list[Width]:
    return [one for one in get_args(Width) if one in found["widths"].lower()]


def _listed(widths: list[Width]) -> str:
    return " and ".join(f"{one}s" for one in widths)


@form(
    "section",
    r"park( it)?(?P<copy>( and| to)? (keep|go on with|work on) a copy| with a copy)?",
    "park",
    "keeps it whole, unpublished, beside the page",
)
def park(about: About, found: re.Match[str]) -> Meant:
    copied = bool(found["copy"])
    said = f"{name_of(about)} is parked" + (", and a copy stands in its place." if copied else ".")
    return Meant(said, [Park(**at(about), copy=copied)])


@form("section", r"(bring (it )?back|unpark)", "bring back", "stands it in its place again; what stands there is parked")
def bring_back(about: About, found: re.Match[str]) -> Meant:
    return Meant(f"{name_of(about)} stands in its place again.", [BringBack(**at(about))])


@form("section", r"(duplicate|once more|copy)( it)?", "duplicate", "stands it once more, after itself")
def duplicate(about: About, found: re.Match[str]) -> Meant:
    return Meant(f"{name_of(about)} stands twice.", [Duplicate(**at(about))])


@form("section", r"(take (it )?out|remove|delete)( (it|this|this section))?", "take out", "takes it off the page")
def take_out(about: About, found: re.Match[str]) -> Meant:
    return Meant(f"{name_of(about)} is taken out of {about.page.name}.", [TakeOut(**at(about))])


@form(
    "section",
    rf"(move )?(it )?(?P<way>up|down)( (by )?{NUMBER}( places?)?)?",
    "move up",
    "moves it one place, or as many as are said",
)
def move_by(about: About, found: re.Match[str]) -> Meant:
    way = found["way"].lower()
    by = number_of(found) * (-1 if way == "up" else 1)
    ids = [one.id for one in about.page.sections]
    where = at(about)
    place = ids.index(where["section"])
    target = max(0, min(len(ids) - 1, place + by))
    rest = [one for one in ids if one != where["section"]]
    after = rest[target - 1] if target else ""
    return Meant(f"{name_of(about)} moves {way}.", [Move(**where, after=after)])


@form(
    "section",
    r"(move )?(it )?to the (?P<end>top|start|beginning|end|bottom|foot)",
    "move to the top",
    "moves it to the top or the end of the page",
)
def move_to_end(about: About, found: re.Match[str]) -> Meant:
    top = found["end"].lower() in ("top", "start", "beginning")
    return Meant(f"{name_of(about)} stands at the {'top' if top else 'end'}.", [Move(**at(about), after="" if top else None)])


@form(
    "section",
    r"(move )?(it )?(?P<side>after|before|under|below|above|over) (the )?(?P<name>.+)",
    "move after quotes",
    "moves it beside another section, by its headline or its kind",
)
def move_beside(about: About, found: re.Match[str]) -> Meant:
    other = section_called(about, found["name"])
    ids = [one.id for one in about.page.sections if one.id != at(about)["section"]]
    place = ids.index(other.id)
    before = found["side"].lower() in ("before", "above", "over")
    after = other.id if not before else ids[place - 1] if place else ""
    return Meant(
        f"{name_of(about)} stands {'before' if before else 'after'} {other.catalogue.label}.", [Move(**at(about), after=after)]
    )


@form(
    "section",
    r"(?P<way>move|copy) (it )?(to|on) (the )?(page )?(?P<name>.+)",
    "copy to visit",
    "moves or copies it to another page",
)
def to_page(about: About, found: re.Match[str]) -> Meant:
    page = page_called(about.site, found["name"])
    moved = found["way"].lower() == "move"
    operation = Move(**at(about), to=page.id) if moved else Copy(**at(about), to=page.id)
    return Meant(f"{name_of(about)} is {'moved' if moved else 'copied'} to {page.name}.", [operation])


@form(
    "section",
    r"(as|turn (it )?into|change (it )?(in)?to|a|an)( an?)? (?P<kind>.+)",
    "as a price list",
    "turns it into another kind; what it said is kept for when it is turned back",
)
def as_kind(about: About, found: re.Match[str]) -> Meant:
    section = section_of(about)
    kinds = [name for name in kinds_for(found["kind"]) if name != section.kind]
    layouts = [name for name, one in section.catalogue.layouts.items() if nearness(one.label, found["kind"]) == 1]
    if layouts:
        return changed(about, ("layout",), layouts[0], f"{name_of(about)} as {section.catalogue.layouts[layouts[0]].label}.")
    if not kinds:
        raise NotUnderstood(
            f"There is no kind of section for “{found['kind']}”.", ["as cards", "as a price list", "as questions", "as text"]
        )
    return Meant(f"{name_of(about)} becomes {CATALOGUE[kinds[0]].label}.", [ChangeKind(**at(about), kind=kinds[0])])


@form(
    "section",
    r"((an)?other|next|a different) layout",
    "another layout",
    "takes the layout of its kind that is least like the present one",
)
def other_layout(about: About, found: re.Match[str]) -> Meant:
    section, kind = section_of(about), section_of(about).catalogue
    own = signature(kind, section.layout)
    others = [name for name in kind.layouts if name != section.layout]
    if not others:
        raise NotUnderstood(f"{kind.label} has one layout.")
    name = min(others, key=lambda one: (likeness(own, signature(kind, one)), one))
    return changed(about, ("layout",), name, f"{kind.label} as {kind.layouts[name].label}.")


@form("section", r"(the )?layout (?P<name>.+)", "layout ledger", "takes the layout of that name")
def layout_called(about: About, found: re.Match[str]) -> Meant:
    section, kind = section_of(about), section_of(about).catalogue
    own = [(one.layout, one.name) for one in about.site.choices.compositions if one.kind == section.kind]
    known = [*((name, one.label) for name, one in kind.layouts.items()), *own]
    name = next((name for name, label in known if nearness(label, found["name"]) > 0.5 or name == found["name"]), None)
    if name is None:
        raise NotUnderstood(
            f"{kind.label} has no layout “{found['name']}”.", [f"layout {label.lower()}" for _, label in known[:4]]
        )
    return changed(about, ("layout",), name, f"{kind.label} as {dict(known)[name]}.")


@form(
    "section",
    rf"(in )?{NUMBER} (columns?|in a row|beside each other|side by side)",
    "two columns",
    "so many items stand in a row, in a layout of the kind or one of one's own",
)
def columns(about: About, found: re.Match[str]) -> Meant:
    section, kind, number = section_of(about), section_of(about).catalogue, number_of(found)
    if section.declared.collection is None and not any(one.collection for one in kind.layouts.values()):
        raise NotUnderstood(f"{kind.label} has no items to stand in columns.", ["swap sides", "another layout"])
    slot = next(one.collection for one in (section.declared, *kind.layouts.values()) if one.collection)[0]
    count = len(section.content.get(slot) or ())
    if number > count:
        raise NotUnderstood(f"There are {count} items; {number} cannot stand in a row.", [f"add {number - count} items"])
    if in_a_row(section.declared, count) == number:
        return Meant("It is so already.")
    own = signature(kind, section.layout)
    fitting = [
        name
        for name, one in kind.layouts.items()
        if in_a_row(one, count) == number and one.collection and one.collection[0] == slot
    ]
    name = max(fitting, key=lambda one: likeness(own, signature(kind, one)), default=None) or in_rows_of(
        kind, section.layout, number
    )
    if name is None:
        found_for = (in_rows_of(kind, one, number) for one in kind.layouts)
        name = next((one for one in found_for if one), None)
    if name is None:
        raise NotUnderstood(
            f"{number} items do not stand in a row of {kind.label}: they would have less than three columns each."
        )
    called = "in a layout of its own" if name.startswith(OWN) else f"as {kind.layouts[name].label}"
    return changed(about, ("layout",), name, f"{kind.label} with {number} in a row, {called}.")


@form(
    "section",
    r"(swap|mirror|flip|turn)( the)?( sides?| it| round)?",
    "swap sides",
    "what stands left stands right, as a layout of one's own",
)
def swap(about: About, found: re.Match[str]) -> Meant:
    section, kind = section_of(about), section_of(about).catalogue
    name = mirrored(kind, section.layout)
    if name is None:
        raise NotUnderstood(f"{section.declared.label} has no two sides that could be swapped.", ["another layout"])
    return changed(about, ("layout",), name, f"The sides of {kind.label} are swapped.")


@form(
    "section",
    r"(the )?(?P<what>picture|words|text|headline|items?) (on|to) the (?P<side>left|right)( on (?P<width>phones?|tablets?|desktops?))?",
    "picture on the left",
    "swaps the sides where it stands on the other one",
)
def on_side(about: About, found: re.Match[str]) -> Meant:
    section = section_of(about)
    if (found["width"] or "").lower().startswith("phone"):
        raise NotUnderstood(
            "On phones nothing stands beside anything: parts stand under one another, in the order in which they are read.",
            ["swap sides", "hide on phones"],
        )
    what = found["what"].lower().rstrip("s") if found["what"].lower().startswith("item") else found["what"].lower()
    place = _side_of(section, what)
    if place is None:
        raise NotUnderstood(f"{section.declared.label} has no {what} to one side.", ["another layout", "swap sides"])
    wanted = (found["side"].lower() == "left") != right_to_left(about.site.identity.language)
    if (place < 0) == wanted:
        return Meant("It is so already.")
    return swap(about, found)


def _side_of(section: Section, what: str) -> float | None:
    """On which side of the middle a part stands: below 0 towards the start; None where it is not to one side."""
    slots = {"picture": ("picture",), "headline": ("heading",), "item": ("items",)}.get(what, ("text", "body", "heading"))
    for region in section.declared.regions.values():
        if any(slot in region.slots for slot in slots) and region.at.cols:
            middle = (region.at.cols[0] + region.at.cols[1]) / 2 - (COLUMNS + 1) / 2
            return middle or None
    return None


@form("section", rf"add {NUMBER} (?P<what>[a-z ]+)", "add three questions", "adds so many items, marked as to be written")
def add_items(about: About, found: re.Match[str]) -> Meant:
    section, kind, number = section_of(about), section_of(about).catalogue, number_of(found)
    slot = _list_of(section)
    if slot is None:
        raise NotUnderstood(f"{kind.label} has no items to add to.")
    declared, wanted = kind.slots[slot], found["what"].strip().lower()
    names = {"item", (declared.one or "item").lower(), kind.label.lower().rstrip("s"), declared.label.lower().rstrip("s")}
    if wanted.rstrip("s") not in names and not any(nearness(wanted, name) > 0 for name in names):
        raise NotUnderstood(f"{kind.label} has no {wanted}.", [f"add {found['number']} {(declared.one or 'item').lower()}s"])
    values = list(section.content.get(slot) or ())
    if len(values) + number > declared.most:
        raise NotUnderstood(f"{kind.label} has {len(values)} of at most {declared.most}.")
    blank = [item for _ in range(number) for item in declared.of.blank(declared)[:1]]
    one = (declared.one or "item").lower()
    return changed(
        about,
        ("content", slot),
        [*values, *blank],
        f"{number} more {one if number == 1 else declared.label.lower()}, still to be written.",
    )


@form(
    "section",
    rf"(remove|take out|delete|without) (the )?(?P<which>last|{'|'.join(_ORDER)})( [a-z]+)?",
    "remove the last",
    "takes one item out",
)
def remove_item(about: About, found: re.Match[str]) -> Meant:
    section = section_of(about)
    slot = _list_of(section)
    values = list(section.content.get(slot) or ()) if slot else []
    which = found["which"].lower()
    place = len(values) - 1 if which == "last" else _ORDER.index(which)
    if slot is None or len(values) < 2 or place >= len(values):
        raise NotUnderstood(f"{name_of(about)} has no such item to take out, or only one.")
    said = f"The {which} {(section.catalogue.slots[slot].one or 'item').lower()} is taken out."
    return changed(about, ("content", slot), [one for index, one in enumerate(values) if index != place], said)


def _list_of(section: Section) -> str | None:
    return next(
        (name for name, slot in section.catalogue.slots.items() if slot.of.collection and section.content.get(name)), None
    ) or next((name for name, slot in section.catalogue.slots.items() if slot.of.collection and not slot.spare), None)
