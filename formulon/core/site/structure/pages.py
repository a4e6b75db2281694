"""Pages of a site: added by purpose, named, ordered, duplicated, taken out. Addresses that a page once had lead on."""

from typing import Any

from formulon.core.errors import ChangeError
from formulon.core.site.documents import FRAME_DOCUMENT, Body, page_bodies, page_document
from formulon.core.site.phrases import page_named
from formulon.core.site.planning.material import NEAR, nearness, page_id
from formulon.core.site.planning.planner import plan
from formulon.core.site.site import MOST_ENTRIES, TAKEN, Page, Site
from formulon.core.site.structure.leads import leading_somewhere, led_elsewhere
from formulon.core.site.structure.operations import AddPage, DuplicatePage, MovePage, PageOperation, RemovePage, RenamePage
from formulon.core.site.structure.sections import Work, place_after
from formulon.core.site.values import led_to, placeholder
from formulon.core.system.documents.identity import free_id, slug

_MOST_PAGES = 60
_MOST_REDIRECTS = 200


def done(work: Work, operation: PageOperation, site: Site) -> None:
    """Does an operation on the documents of a site. Raises ChangeError, in a sentence for people, for what cannot be done."""
    if isinstance(operation, AddPage):
        return _add(work, operation, site)
    page = work.of(operation.page)
    if isinstance(operation, RenamePage):
        _rename(work, operation, page)
    elif isinstance(operation, MovePage):
        order = [one for one in work.order() if one != operation.page]
        order.insert(place_after(order, operation.after), operation.page)
        _put_order(work, order)
        work.done(f"{page['name']} moved", operation.page)
    elif isinstance(operation, DuplicatePage):
        made = _named(work, f"{page['name']} 2")
        twin = page | {"id": made, "name": f"{page['name'][:56]} 2", "address": "", "menu": False}
        # What leads to a section of the page leads within the copy to its own.
        twin = led_elsewhere({page_document(made): twin}, operation.page, "", lambda to, _: _within(to, made)).get(
            page_document(made), twin
        )
        _put(work, twin, operation.page)
        work.done(f"{page['name']} duplicated", made)
    elif isinstance(operation, RemovePage):
        _remove(work, operation, page)
    return None


def _within(to: str, page: str) -> str:
    section = led_to(to)[1]
    return f"page:{page}#{section}" if section else to


def _add(work: Work, operation: AddPage, site: Site) -> None:
    """A page by its purpose, out of what the brief knows; what nothing is known of is marked as to be written."""
    name = " ".join(operation.name.split())
    if len(list(page_bodies(work.bodies))) >= _MOST_PAGES:
        raise ChangeError(f"A site has {_MOST_PAGES} pages at most.")
    made = _known(name, site) or _bare(name, site)
    body = made.model_dump() | {"id": _named(work, name), "name": name, "address": ""}
    body["sections"] = leading_somewhere(body["sections"], work.bodies, work.order()[0])
    _put(work, body, operation.after)
    work.done(f"{name} added", body["id"])


def _known(name: str, site: Site) -> Page | None:
    """The page as it would be planned, where the brief wants it."""
    identity = site.identity
    wanted = [*identity.pages, name] if name not in identity.pages else identity.pages
    planned = plan(
        identity.model_copy(update={"pages": wanted, "extent": "pages"}),
        site.choices,
        site.assets,
        library=site.library,
        composed=False,
    )
    key = page_named(name)
    same = [one for one in planned.pages if one.name.casefold() == name.casefold() or (key and page_named(one.name) == key)]
    near = [one for one in planned.pages if nearness(one.name, name) > NEAR]
    return next(iter([*same, *near]), None)


def _bare(name: str, site: Site) -> Page:
    """A page that only opens."""
    content: dict[str, Any] = {"heading": name, "text": placeholder(f"What visitors should know about: {name}")}
    section = {"id": "hero", "kind": "hero", "layout": "words", "content": content}
    return Page.model_validate(
        {"id": "page", "name": name, "title": f"{name} – {site.identity.name}"[:160], "sections": [section]}
    )


def _rename(work: Work, operation: RenamePage, page: Body) -> None:
    name = " ".join(operation.name.split()) or page["name"]
    address = page["address"]
    if operation.address is not None:
        address = slug(operation.address, "") if operation.address else ""
        if operation.address and not address:
            raise ChangeError("An address is made of letters of the Latin alphabet, numbers and hyphens.")
        others = [file for one, file in files(work).items() if one != page["id"]]
        if address in TAKEN or f"{address or page['id']}.html" in others:
            raise ChangeError(f"The address {address}.html is not free. Choose another.")
    title = page["title"].replace(page["name"], name) if page["name"] in page["title"] else page["title"]
    work.bodies[page_document(page["id"])] = page | {"name": name, "address": address, "title": title[:160]}
    what = f"{page['name']} called {name}" if name != page["name"] else f"{name} at {address or page['id']}.html"
    work.done(what, page["id"])


def _remove(work: Work, operation: RemovePage, page: Body) -> None:
    order = work.order()
    if len(order) == 1:
        raise ChangeError("A site has at least one page. Add another before this one is taken out.")
    del work.bodies[page_document(page["id"])]
    order.remove(page["id"])
    _put_order(work, order)
    to = operation.lead_to or f"page:{order[0]}"
    if led_to(to)[0] == page["id"]:
        raise ChangeError("What led to this page cannot lead to it any longer. Choose another page.")
    moved = led_elsewhere(work.bodies, page["id"], "", lambda _, at: "" if at.found_in == "menu" else to)
    work.bodies |= moved
    work.done(f"{page['name']} taken out", order[0])


def addressed(work: Work, before: dict[str, str], removed: str) -> None:
    """Has addresses that pages had lead on: to where the page is now, or for one that is gone to `removed`."""
    now = files(work)
    frame = work.bodies[FRAME_DOCUMENT]
    kept = {one["path"]: one["to"] for one in frame["redirects"]}
    for page, file in before.items():
        if now.get(page) != file and file != "index.html":
            to = f"page:{page}" if page in now else removed
            if to:
                kept[file] = to
    taken = set(now.values())
    redirects = [{"path": path, "to": to} for path, to in kept.items() if path not in taken][-_MOST_REDIRECTS:]
    if redirects != frame["redirects"]:
        work.bodies[FRAME_DOCUMENT] = frame | {"redirects": redirects}


def files(work: Work) -> dict[str, str]:
    """The file of each page."""
    order = work.order()
    return {one: "index.html" if index == 0 else f"{work.of(one)['address'] or one}.html" for index, one in enumerate(order)}


def _put_order(work: Work, order: list[str]) -> None:
    work.bodies[FRAME_DOCUMENT] = work.bodies[FRAME_DOCUMENT] | {"order": order}


def _put(work: Work, body: Body, after: str | None) -> None:
    order = work.order()
    if len(order) == 1:
        _keep_menu(work, work.of(order[0]), body)
    order.insert(place_after(order, after), body["id"])
    work.bodies[page_document(body["id"])] = body
    _put_order(work, order)


def _keep_menu(work: Work, first: Body, second: Body) -> None:
    """A site of one page has its sections in the menu; with a second page they stay there, as entries of one's own."""
    frame = work.bodies[FRAME_DOCUMENT]
    named = [one for one in first["sections"] if one["menu"] and not (one["hidden"] or one["parked"])]
    if named and not frame["menu"]:
        entries = [{"label": one["menu"], "to": f"page:{first['id']}#{one['id']}", "items": []} for one in named]
        added = [{"label": second["name"], "to": f"page:{second['id']}", "items": []}] if second["menu"] else []
        work.bodies[FRAME_DOCUMENT] = frame | {"menu": [*entries[: MOST_ENTRIES - len(added)], *added]}


def _named(work: Work, name: str) -> str:
    """An id for a page, which is its file: none that a page, or the address of one that once was, has."""
    once = [one["path"].removesuffix(".html") for one in work.bodies[FRAME_DOCUMENT]["redirects"]]
    taken = [*work.order(), *(work.of(one)["address"] for one in work.order()), *once, *TAKEN]
    return free_id(page_id(name), taken, 60)
