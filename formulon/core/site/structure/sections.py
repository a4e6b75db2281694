"""Sections of pages: added, moved, duplicated, copied, parked, hidden, changed in their kind, taken out. On documents, so that every
page of a site is at hand, also what is not drawn."""

from typing import Any

from formulon.core.errors import ChangeError
from formulon.core.site.catalogue import CATALOGUE, layout_of
from formulon.core.site.composing.shaped import proportioned, shaped
from formulon.core.site.documents import FRAME_DOCUMENT, Bodies, Body, page_bodies, page_document
from formulon.core.site.kind import Kind
from formulon.core.site.orders import moved
from formulon.core.site.site import FRAME, MOST_SECTIONS, Page, Section
from formulon.core.site.structure.leads import leading_somewhere
from formulon.core.site.structure.operations import (
    Add,
    BringBack,
    ChangeKind,
    Copy,
    Depart,
    Duplicate,
    Hide,
    Move,
    OnSection,
    Park,
    Reorder,
    Reshape,
    SectionOperation,
    TakeOut,
    Widths,
)  # fmt: skip
from formulon.core.site.structure.other_kind import as_kind
from formulon.core.system.documents.identity import free_id

_ITEMS = 3  # of a section of which nothing is known
_STANDING = {"parked": False, "instead": "", "hidden": False}


class Work:
    """Documents on their way from one state to another, what is open afterwards, and what is said of it."""

    def __init__(self, bodies: Bodies) -> None:
        self.bodies: dict[str, Body] = dict(bodies)
        self.label = ""
        self.page = self.section = ""

    def of(self, page: str) -> Body:
        """The body of a page. Raises ChangeError where there is none."""
        body = self.bodies.get(page_document(page))
        if body is None:
            raise ChangeError("This page is not there any more.")
        return body

    def order(self) -> list[str]:
        """The ids of the pages in their order, with those that the order does not name."""
        there = [body["id"] for body in page_bodies(self.bodies)]
        named = [one for one in self.bodies[FRAME_DOCUMENT]["order"] if one in there]
        return named + [one for one in there if one not in named]

    def put(self, page: str, sections: list[Body]) -> None:
        """Gives a page its sections. Raises ChangeError for more than a page has."""
        if len(sections) > MOST_SECTIONS:
            raise ChangeError(f"A page has {MOST_SECTIONS} sections at most. Take one out, or make another page.")
        self.bodies[page_document(page)] = self.of(page) | {"sections": sections}

    def done(self, label: str, page: str, section: str = "") -> None:
        self.label, self.page, self.section = label, page, section


def place_after(ids: list[str], after: str | None) -> int:
    """The place after an id in a list: the first for an empty one, the last for None. Raises ChangeError where it is not there."""
    if after and after not in ids:
        raise ChangeError("What it is to stand after is not there any more.")
    return len(ids) if after is None else ids.index(after) + 1 if after else 0


def done(work: Work, operation: SectionOperation) -> None:
    """Does an operation. Raises ChangeError, in a sentence for people, for what cannot be done."""
    if isinstance(operation, Add):
        _add(work, operation)
        return
    found = _At(work, operation)
    if isinstance(operation, Move | Copy):
        _elsewhere(found, operation)
    elif isinstance(operation, Duplicate):
        made = _again(found.one, found.sections)
        found.sections.insert(found.place + 1, made)
        found.done(f"{found.name} duplicated on {found.on}", made["id"])
    elif isinstance(operation, TakeOut):
        found.taken_out()
        found.done(f"{found.name} taken out of {found.on}", "")
    elif isinstance(operation, Park):
        _park(found, operation)
    elif isinstance(operation, BringBack):
        _bring_back(found)
    elif isinstance(operation, Reorder):
        _reorder(work, found, operation)
    else:
        change, label = _changed(found, operation)
        found.sections[found.place] = found.one | change
        found.done(f"{found.name} {label}", found.one["id"])


def _reorder(work: Work, found: "_At", operation: Reorder) -> None:
    body = work.of(operation.page)
    orders = moved(Page.model_validate(body), operation.section, operation.width, operation.by)
    work.bodies[page_document(operation.page)] = body | {"order_on": orders}
    how = "earlier" if operation.by < 0 else "later" if operation.by else "as written"
    work.done(f"{found.name} {how} on a {operation.width}, {found.on}", operation.page, operation.section)


class _At:
    """A section at its place on a page. Raises ChangeError where it is not there."""

    def __init__(self, work: Work, operation: OnSection) -> None:
        self.work, self.page = work, operation.page
        body = work.of(operation.page)
        self.sections: list[Body] = list(body["sections"])
        self.on: str = body["name"]
        place = next((index for index, one in enumerate(self.sections) if one["id"] == operation.section), None)
        if place is None:
            raise ChangeError("This section is not on its page any more.")
        self.place, self.one = place, self.sections[place]
        self.name = CATALOGUE[self.one["kind"]].label

    def taken_out(self) -> None:
        """Off its page. What it stood instead of, parked, stands for nobody any more."""
        if self.one["locked"]:
            raise ChangeError(f"{self.name} is locked. Unlock it first.")
        del self.sections[self.place]
        gone = self.one["id"]
        self.sections = [one | {"instead": ""} if one["instead"] == gone else one for one in self.sections]

    def done(self, label: str, section: str) -> None:
        self.work.put(self.page, self.sections)
        self.work.done(label, self.page, section)


def _changed(found: _At, operation: Hide | Widths | Depart | ChangeKind | Reshape) -> tuple[Body, str]:
    """What differs of a section, and how that is called after its name."""
    if isinstance(operation, Hide):
        return {"hidden": operation.hidden}, f"hidden on {found.on}" if operation.hidden else f"shown again on {found.on}"
    if isinstance(operation, Widths):
        where = " and ".join(operation.hidden_on)
        return {"hidden_on": list(operation.hidden_on)}, f"not shown on {where}" if where else "shown at every width"
    if isinstance(operation, Depart):
        if operation.ground is None:
            return {"departs": False, "reason": ""}, "in the rhythm of the site again"
        return {"departs": True, "ground": operation.ground, "reason": operation.reason}, f"on {operation.ground}"
    if isinstance(operation, Reshape):
        kind, at = CATALOGUE[found.one["kind"]], operation
        layout = (
            proportioned(kind, found.one["layout"], at.part, at.ratio)
            if at.ratio
            else shaped(kind, found.one["layout"], at.part, at.width, at.cols, at.row, at.phone)
        )
        return {"layout": layout}, f"shaped on {found.on}"
    if operation.kind not in CATALOGUE or operation.kind in FRAME:
        raise ChangeError("There is no such kind of section.")
    try:
        made = as_kind(Section.model_validate(found.one), operation.kind, operation.layout)
    except ValueError as error:
        raise ChangeError(str(error)) from error
    return made.model_dump(), f"as {CATALOGUE[operation.kind].label}"


def blank(kind: Kind, layout: str) -> dict[str, Any]:
    """What the slots that a layout shows hold when nothing is known: marks of what is still to be written, of items as many as show what
    the layout makes of several."""
    shown = {path.partition("/")[0] for path in layout_of(kind, layout).drawn}
    made = {name: slot.of.blank(slot) for name, slot in kind.slots.items() if name in shown}
    for name, slot in kind.slots.items():
        if name in made and slot.of.collection:
            count = min(max(_ITEMS, kind.usual.least), kind.usual.most or slot.most, slot.most)
            made[name] = [dict(item) for _ in range(count) for item in made[name][:1]]
    return made


def _add(work: Work, operation: Add) -> None:
    kind = CATALOGUE.get(operation.kind)
    if kind is None or operation.kind in FRAME:
        raise ChangeError("There is no such kind of section to add.")
    sections = list(work.of(operation.page)["sections"])
    try:
        content = blank(kind, operation.layout) if operation.content is None else operation.content
    except ValueError as error:
        raise ChangeError(str(error)) from error
    content = leading_somewhere(content, work.bodies, work.order()[0])
    place = place_after([each["id"] for each in sections], operation.after)
    made: Body = {
        "id": _id_for(operation.kind, sections),
        "kind": operation.kind,
        "layout": operation.layout,
        "content": content,
    }
    sections.insert(place, _checked(made | {"ground": _quiet(sections, place)}))
    work.put(operation.page, sections)
    work.done(f"{kind.label} added to {work.of(operation.page)['name']}", operation.page, made["id"])


def _elsewhere(found: _At, operation: Move | Copy) -> None:
    """To another place, or once more there. What leads to a section that changes its page is led along by `arranged`."""
    to, moved = operation.to or found.page, isinstance(operation, Move)
    if moved and to == found.page:
        del found.sections[found.place]
        found.sections.insert(place_after([each["id"] for each in found.sections], operation.after), found.one)
        found.done(f"{found.name} moved on {found.on}", found.one["id"])
        return
    there = list(found.work.of(to)["sections"])
    made = (
        found.one
        | ({} if moved else _STANDING)
        | {"instead": "", "id": free_id(found.one["id"], [one["id"] for one in there], 60)}
    )
    if moved:
        found.taken_out()
        found.work.put(found.page, found.sections)
    there.insert(place_after([each["id"] for each in there], operation.after), made)
    found.work.put(to, there)
    found.work.done(f"{found.name} {'moved' if moved else 'copied'} to {found.work.of(to)['name']}", to, made["id"])


def _park(found: _At, operation: Park) -> None:
    if found.one["parked"]:
        raise ChangeError("This section is parked already.")
    if operation.copied:
        made = _again(found.one, found.sections)
        found.sections[found.place : found.place + 1] = [made, found.one | {"parked": True, "instead": made["id"]}]
        found.done(f"{found.name} parked beside a copy on {found.on}", made["id"])
        return
    found.sections[found.place] = found.one | {"parked": True, "instead": ""}
    found.done(f"{found.name} parked on {found.on}", found.one["id"])


def _bring_back(found: _At) -> None:
    """What was parked takes the place of what stands instead of it, which is parked in turn."""
    if not found.one["parked"]:
        raise ChangeError("This section is not parked.")
    sections, instead = found.sections, found.one["instead"]
    del sections[found.place]
    at = next((index for index, one in enumerate(sections) if one["id"] == instead and not one["parked"]), None)
    back = found.one | {"parked": False, "instead": ""}
    if at is None:
        sections.insert(found.place, back)
    else:
        sections[at : at + 1] = [back, sections[at] | {"parked": True, "instead": found.one["id"]}]
    found.done(f"{found.name} brought back on {found.on}", found.one["id"])


def _quiet(sections: list[Body], place: int) -> str:
    """The ground of a section that is added where the site has no rhythm: a quiet one, another than its neighbours' if there is."""
    there = [one for one in sections[:place] if not (one["parked"] or one["hidden"])][-1:]
    there += [one for one in sections[place:] if not (one["parked"] or one["hidden"])][:1]
    beside = [one["ground"] for one in there]
    return min(("paper", "tint"), key=lambda ground: (beside.count(ground), ground != "paper"))


def _again(one: Body, sections: list[Body]) -> Body:
    """The same once more, which stands under a name of its own."""
    return one | _STANDING | {"id": free_id(one["id"], [each["id"] for each in sections], 60), "menu": ""}


def _checked(body: Body) -> Body:
    try:
        return Section.model_validate(body).model_dump()
    except ValueError as error:
        raise ChangeError(f"This section cannot be added: {error}") from error


def _id_for(kind: str, sections: list[Body]) -> str:
    return free_id(kind.replace("_", "-"), [one["id"] for one in sections], 60)
