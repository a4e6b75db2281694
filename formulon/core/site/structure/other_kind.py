"""A section as one of another kind: what both have is taken over by name and by what it is, and what it said is kept, so that the change
can be taken back whole."""

from collections.abc import Mapping
from typing import Any

from formulon.core.site.catalogue import CATALOGUE, layout_of
from formulon.core.site.kind import Kind, Slot
from formulon.core.site.site import Section, SetAside
from formulon.core.site.values import placeholder

Content = dict[str, Any]
# Slots that hold the same under other names, the nearest first. Names that no slot has cost nothing.
_LIKE: dict[str, tuple[str, ...]] = {
    "heading": ("title",),
    "text": ("body", "quote", "answer", "label", "value"),
    "body": ("text", "quote", "answer"),
    "title": ("name", "label", "question", "what", "heading", "figure", "text"),
    "name": ("title", "label", "question"),
    "label": ("title", "name", "text", "what"),
    "question": ("title", "name"),
    "answer": ("text", "body", "quote"),
    "quote": ("text", "body", "answer"),
    "what": ("title", "name", "label"),
    "figure": ("value", "price"),
    "value": ("price", "figure", "when", "text"),
    "price": ("value", "figure"),
    "when": ("date", "value", "label"),
    "date": ("when", "value"),
    "role": ("label", "value"),
    "link": ("primary", "action"),
    "primary": ("link", "action", "secondary"),
    "picture": ("portrait", "logo"),
    "portrait": ("picture",),
    "logo": ("picture",),
    "items": ("people", "rows"),
}


def as_kind(section: Section, kind: str, layout: str = "") -> Section:
    """The section as one of another kind. Raises KeyError for a kind that there is not, ValueError for a layout of it."""
    to = CATALOGUE[kind]
    if kind == section.kind:
        return section.model_copy(update={"layout": layout or section.layout})
    aside = dict(section.aside)
    back = aside.pop(kind, None)
    chosen = layout or (back.layout if back else next(iter(to.layouts)))
    layout_of(to, chosen)
    now = dict(section.content)
    if back is None:
        content = taken_over(section.catalogue, to, now, chosen)
    elif now == back.became:
        content = back.content
    else:
        was, made = (taken_over(section.catalogue, to, one, chosen) for one in (back.became, now))
        content = back.content | {name: value for name, value in made.items() if was.get(name) != value}
    if back is None or now != back.became or section.layout != _first(section.kind):
        aside[section.kind] = SetAside(layout=section.layout, content=now, became=content)
    return Section.model_validate(
        section.model_dump() | {"kind": kind, "layout": chosen, "content": content, "aside": {k: v.model_dump() for k, v in aside.items()}}
    )  # fmt: skip


def _first(kind: str) -> str:
    return next(iter(CATALOGUE[kind].layouts))


def taken_over(old: Kind, new: Kind, content: Mapping[str, Any], layout: str) -> Content:
    """What a kind's content says in the slots of another. What the layout shows and nothing fills is marked as to be written."""
    made: Content = {}
    left = dict(content)
    shown = {path.partition("/")[0] for path in layout_of(new, layout).drawn}
    for exact in (True, False):
        for name, slot in new.slots.items():
            if name not in made and (found := _found(name, slot, old.slots, left, exact)) is not None:
                made[name] = found
    for name, slot in new.slots.items():
        if name not in made and name in shown and not slot.spare and slot.type not in ("picture", "action"):
            made[name] = slot.of.blank(slot)
    return {name: made[name] for name in new.slots if name in made}


def _found(name: str, slot: Slot, slots: Mapping[str, Slot], left: Content, exact: bool) -> Any:
    """A value for a slot out of what is left, which is taken from there; None where there is none that it can hold."""
    for other in (name,) if exact else _LIKE.get(name, ()):
        if other in left and other in slots and (value := _fitting(slot, slots[other], left[other])) is not None:
            del left[other]
            return value
    return None


def _fitting(slot: Slot, other: Slot, value: Any) -> Any:
    """A value of one slot as another holds it; None where it cannot, or would be cut."""
    if not other.of.filled(value):
        return None
    if slot.of.collection and other.of.collection:
        items = [_item(slot, other, item) for item in value[: slot.most]]
        return _valid(slot, items) if items else None
    if slot.type == other.type or (slot.of.set_in_type and other.of.set_in_type and isinstance(value, str)):
        return _valid(slot, value)
    return None


def _item(slot: Slot, other: Slot, item: Mapping[str, Any]) -> Content:
    left, made = dict(item), dict[str, Any]()
    for exact in (True, False):
        for name, part in slot.items.items():
            if name not in made and (found := _found(name, part, other.items, left, exact)) is not None:
                made[name] = found
    first = next(iter(slot.items))
    if not made and slot.items[first].of.set_in_type:
        made[first] = placeholder(slot.items[first].label)
    return made


def _valid(slot: Slot, value: Any) -> Any:
    try:
        return slot.of.validate(slot, value)
    except ValueError:
        return None
