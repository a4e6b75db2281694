"""Changes to one slot of a section, for the fixes of several rules."""

from collections.abc import Iterator
from typing import Any

from formulon.core.checks.page_facts import PagePlace
from formulon.core.checks.rule import Remedy
from formulon.core.site.changes import Change, pointer
from formulon.core.site.documents import located
from formulon.core.site.site import Site


def change_slot(site: Site, place: PagePlace, key: str | None, value: Any) -> tuple[Change, ...]:
    """Sets one key of a slot's value, or the whole slot where `key` is None; takes the slot out for None as value."""
    found = located(site, place.page, place.section)
    if found is None:
        return ()
    document, base, _ = found
    parts: list[str | int] = [int(part) if part.isdigit() else part for part in place.slot.split("/")]
    path = pointer(*base, "content", *parts, *([key] if key else []))
    if value is None:
        return (Change(document=document, patch=[{"op": "remove", "path": path}]),)
    return (Change(document=document, patch=[{"op": "replace", "path": path, "value": value}]),)


def is_text(site: Site, place: PagePlace) -> bool:
    """Whether a place is a text of a slot or of an item, which can be written anew as a whole."""
    section = site.section(place.page, place.section)
    return section is not None and isinstance(section.content.get(place.slot.split("/")[0]), str | list)


def rewritten(site: Site, place: PagePlace, old: str, new: str) -> tuple[Change, ...]:
    """Writes something else in the place of words of a text; nothing where they do not stand there as they are."""
    section = site.section(place.page, place.section)
    value: Any = section.content if section else None
    for part in place.slot.split("/"):
        if isinstance(value, list):
            value = value[int(part)] if part.isdigit() and int(part) < len(value) else None
        else:
            value = value.get(part) if isinstance(value, dict) else None
    if not isinstance(value, str) or old not in value:
        return ()
    return change_slot(site, place, None, value.replace(old, new))


def other_layouts(site: Site, place: PagePlace) -> Iterator[tuple[str, tuple[Change, ...]]]:
    """Every other layout of a place's section: its label, and the change."""
    found = located(site, place.page, place.section)
    if found is None:
        return
    document, base, section = found
    for name, layout in section.catalogue.layouts.items():
        if name != section.layout:
            patch = [{"op": "replace", "path": pointer(*base, "layout"), "value": name}]
            yield layout.label, (Change(document=document, patch=patch),)


def in_other_layouts(site: Site, place: PagePlace) -> Iterator[Remedy]:
    """Every other layout of a place's section, as a remedy."""
    for label, changes in other_layouts(site, place):
        yield Remedy(f"The layout “{label}”", changes)


def remove_section(site: Site, place: PagePlace) -> tuple[Change, ...]:
    """Takes the section of a place off its page; header and footer stay."""
    found = located(site, place.page, place.section)
    if found is None or found[0] == "frame":
        return ()
    return (Change(document=found[0], patch=[{"op": "remove", "path": pointer(*found[1])}]),)


def without_items(site: Site, place: PagePlace, gone: range) -> tuple[Change, ...]:
    """Leaves items of a place's section out, by their numbers."""
    found = located(site, place.page, place.section)
    slot = found[2].declared.collection if found else None
    if found is None or slot is None:
        return ()
    document, base, _ = found
    patch = [{"op": "remove", "path": pointer(*base, "content", slot[0], index)} for index in reversed(gone)]
    return (Change(document=document, patch=patch),)


def item_first(site: Site, place: PagePlace, index: int) -> tuple[Change, ...]:
    """Moves an item of a place's section to the first place."""
    found = located(site, place.page, place.section)
    slot = found[2].declared.collection if found else None
    if found is None or slot is None:
        return ()
    document, base, _ = found
    source, target = (pointer(*base, "content", slot[0], number) for number in (index, 0))
    return (Change(document=document, patch=[{"op": "move", "from": source, "path": target}]),)
