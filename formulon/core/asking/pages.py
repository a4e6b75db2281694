"""What can be asked of a page: sections for what is needed, its name, its place, the menu, and other pages."""

import re
from typing import Any

from formulon.core.asking import About, Meant, NotUnderstood
from formulon.core.asking.grammar import form
from formulon.core.asking.sections import page_called
from formulon.core.site.catalogue import CATALOGUE
from formulon.core.site.changes import Change
from formulon.core.site.documents import page_document
from formulon.core.site.structure.needs import kinds_for
from formulon.core.site.structure.offered import offers
from formulon.core.site.structure.operations import Add, AddPage, DuplicatePage, MovePage, RemovePage, RenamePage


def _put(about: About, key: str, value: Any, said: str) -> Meant:
    patch = [{"op": "add", "path": f"/{key}", "value": value}]
    return Meant(said, changes=[Change(document=page_document(about.page.id), patch=patch)])


@form(
    "page",
    r"add (a )?(new )?page (called |for |named )?(?P<name>.+)",
    "add a page workshops",
    "adds a page with what the brief knows for it",
)
def add_page(about: About, found: re.Match[str]) -> Meant:
    name = found["name"][:1].upper() + found["name"][1:60]
    return Meant(f"A page “{name}” is added.", [AddPage(name=name, after=about.page.id)])


@form(
    "page",
    r"add (a |the )?(section )?(for |with |about |on )?(?P<need>.+)",
    "add prices",
    "adds a section for what is needed, with what is known of it",
)
def add_section(about: About, found: re.Match[str]) -> Meant:
    kinds = kinds_for(found["need"])
    if not kinds:
        raise NotUnderstood(
            f"There is no section for “{found['need']}”.",
            ["add prices", "add opening hours", "add questions", "add a page workshops"],
        )
    offer = offers(about.site, kinds[0])[0]
    after = about.section.id if about.section and about.section in about.page.sections else None
    section = offer.section
    said = f"{CATALOGUE[kinds[0]].label} is added" + (
        f"; its words stand on {offer.said_on} already." if offer.said_on else "."
    )
    return Meant(
        said, [Add(page=about.page.id, after=after, kind=section.kind, layout=section.layout, content=section.content)]
    )


@form(
    "page",
    r"(rename (it |this page |the page )?(to|as)?|call (it|this page|the page)) (?P<name>.+)",
    "call it come and see",
    "gives the page another name",
)
def rename(about: About, found: re.Match[str]) -> Meant:
    name = found["name"].strip()
    return Meant(f"{about.page.name} is called “{name}”.", [RenamePage(page=about.page.id, name=name[:60])])


@form(
    "page",
    r"(take (out )?|remove |delete )(this|the) page( out)?",
    "take this page out",
    "takes the page out; what led there leads to the start page",
)
def remove(about: About, found: re.Match[str]) -> Meant:
    return Meant(f"{about.page.name} is taken out.", [RemovePage(page=about.page.id)])


@form("page", r"duplicate (this|the) page", "duplicate this page", "stands the page once more, not in the menu")
def duplicate(about: About, found: re.Match[str]) -> Meant:
    return Meant(f"{about.page.name} is duplicated.", [DuplicatePage(page=about.page.id)])


@form(
    "page",
    r"(move )?(this|the) page (?P<side>after|before) (the )?(?P<name>.+)",
    "this page after contact",
    "moves the page in the order of pages",
)
def move(about: About, found: re.Match[str]) -> Meant:
    other = page_called(about.site, found["name"])
    order = [page.id for page in about.site.pages if page.id != about.page.id]
    if other.id not in order:
        raise NotUnderstood("A page cannot stand beside itself.")
    place = order.index(other.id)
    before = found["side"].lower() == "before"
    after = other.id if not before else order[place - 1] if place else ""
    side = "before" if before else "after"
    return Meant(f"{about.page.name} stands {side} {other.name}.", [MovePage(page=about.page.id, after=after)])


@form("page", r"(?P<no>not in|out of|in|into) the menu", "not in the menu", "has the menu lead to it, or not")
def in_menu(about: About, found: re.Match[str]) -> Meant:
    there = found["no"].lower() in ("in", "into")
    return _put(about, "menu", there, f"The menu {'leads' if there else 'does not lead'} to {about.page.name}.")


@form(
    "page",
    r"((?P<no>keep|hide|not) |found )(it )?(from|by|for|in) search( engines)?",
    "keep from search engines",
    "lets search engines list it, or not",
)
def searched(about: About, found: re.Match[str]) -> Meant:
    there = not found["no"]
    return _put(about, "searched", there, f"{about.page.name} is {'found by' if there else 'kept from'} search engines.")
