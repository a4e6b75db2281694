"""Changes to one slot of a section, for the fixes of several rules."""

import re
from collections.abc import Callable, Iterator
from html import escape
from typing import Any

from formulon.core.checks.page_facts import PagePlace
from formulon.core.checks.rule import Remedy
from formulon.core.site.changes import Change, pointer
from formulon.core.site.documents import located
from formulon.core.site.site import Site
from formulon.core.site.slot_types.rich_text import relinked as links_led
from formulon.core.type.emphasis import plain
from formulon.core.writing.sentences import sentences


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


_PARTS_LEFT = re.compile(r"(?m)^[ \t]*(?:[-*]|\d{1,3}[.)])?[ \t]*\n(?=[ \t]*(?:\n|$))|^[ \t]*(?:[-*]|\d{1,3}[.)])[ \t]*$\n?")


def value_at(site: Site, place: PagePlace) -> Any:
    """What stands in a slot; None where nothing does."""
    section = site.section(place.page, place.section)
    value: Any = section.content if section else None
    for part in place.slot.split("/"):
        if isinstance(value, list):
            value = value[int(part)] if part.isdigit() and int(part) < len(value) else None
        else:
            value = value.get(part) if isinstance(value, dict) else None
    return value


def change_text(site: Site, place: PagePlace, old: str, new: str) -> tuple[Change, ...]:
    """Puts other words in the place of some, and nothing else: of a text the whole or a passage, of a table a cell, of a button its label,
    of own HTML words. An empty text is taken out. Nothing where the words do not stand there as they are."""
    value = value_at(site, place)
    made = _with_words(value, old, new) if old else value
    if made == value:
        return ()
    return change_slot(site, place, None, made or None)


def _with_words(value: Any, old: str, new: str) -> Any:
    if isinstance(value, str):
        if old in (value, plain(value)):
            return new
        return tidy(value.replace(old, new))
    if not isinstance(value, dict):
        return value
    if "rows" in value:
        head, *rows = ([new if one == old else one for one in row] for row in (value["head"], *value["rows"]))
        return value | {"head": head, "rows": rows}
    if "html" in value:
        return value | {"html": value["html"].replace(escape(old, quote=False), escape(new, quote=False))}
    return value | {"label": new} if new and value.get("label") == old else value


def tidy(text: str) -> str:
    """A text without the spaces, the empty paragraphs and the empty items that passages leave which were taken out."""
    return re.sub(r"\n{3,}", "\n\n", re.sub(r"[ \t]{2,}", " ", _PARTS_LEFT.sub("", re.sub(r"(?m)[ \t]+$", "", text)))).strip()


def without_sentences(site: Site, place: PagePlace, text: str, bad: Callable[[str], bool]) -> Iterator[Remedy]:
    """Some sentences of a text taken out, or the whole of it."""
    gone, left = [one for one in sentences(text) if bad(one)], text
    for one in gone:
        left = left.replace(one, "")
    kept = tidy(left)
    if kept:
        changes = change_text(site, place, text, kept) or (change_text(site, place, gone[0], "") if len(gone) == 1 else ())
        if changes:
            yield Remedy("Leave the sentence out", changes)
    if (not kept or "\n" not in text) and (changes := change_text(site, place, text, "")):
        whole = text == value_at(site, place)
        yield Remedy("Take the text out" if whole else "Take the passage out", changes)


def relinked(site: Site, place: PagePlace, old: str, new: str) -> tuple[Change, ...]:
    """Leads what leads to one place to another: a button, or links in a longer text or in own HTML. With no other place, buttons are taken
    out, and of links the words are left."""
    value = value_at(site, place)
    if isinstance(value, dict) and "html" in value:
        to = re.escape(escape(old))
        made = value["html"]
        if new:
            made = re.sub(rf"(<a\b[^<>]*\bhref=)([\"']){to}\2", rf"\g<1>\g<2>{escape(new)}\2", made)
        else:
            made = re.sub(rf"<a\b[^<>]*\bhref=([\"']){to}\1[^<>]*>(.*?)</a>", r"\2", made, flags=re.DOTALL)
        return change_slot(site, place, "html", made) if made != value["html"] else ()
    if isinstance(value, str):
        made = links_led(value, old, new)
        return change_slot(site, place, None, made) if made != value else ()
    return change_slot(site, place, "to", new) if new else change_slot(site, place, None, None)


def is_text(site: Site, place: PagePlace) -> bool:
    """Whether a place is a text of a slot or of an item, which can be written anew as a whole."""
    section = site.section(place.page, place.section)
    return section is not None and isinstance(section.content.get(place.slot.split("/")[0]), str | list)


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
