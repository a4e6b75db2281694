"""Writing documents: every change is one entry of the history, based on a revision, and can be undone."""

import json
from dataclasses import dataclass
from typing import Any

import jsonpatch
from django.contrib.auth.models import User
from django.db import transaction
from django.utils import timezone

from formulon.core.errors import ChangeError
from formulon.core.identity.decide import broken_lock
from formulon.core.site.changes import checked, patched
from formulon.core.site.changes import documents as documents_of
from formulon.core.site.planner import plan
from formulon.core.site.replan import replanned
from formulon.core.system.choices import Choices
from formulon.core.system.decisions import Decisions
from formulon.core.system.identity import Identity
from formulon.core.type.alike import defaults
from formulon.studio.errors import NothingToUndo, NotYours, Stale, StudioError, UploadRefused
from formulon.studio.models import Brand, Document, Entry
from formulon.studio.services.keeping import know_fonts, refuse_unopenable
from formulon.studio.services.reading import read_mark
from formulon.studio.services.sites import assets_of, bodies_of, pages_of

Body = dict[str, Any]
# The name under which an entry keeps what was planned last; no document has it.
_PLAN = "(plan)"


@dataclass(frozen=True, slots=True)
class Edit:
    """A patch on a document, and the revision that it was based on."""

    document: str
    revision: int
    patch: list[dict[str, Any]]


@transaction.atomic
def write(brand: Brand, author: User | None, label: str, edits: list[Edit], read: frozenset[str] = frozenset()) -> Entry | None:
    """Applies edits as one entry. Raises Stale where a document has moved on; None where nothing changed.

    `read` are drawings that the reader has just made, which need not be read again.

    A change of the identity plans the pages anew while nobody has edited them.
    """
    brand = Brand.objects.select_for_update().get(pk=brand.pk)
    stored = {document.name: document for document in brand.documents.select_for_update()}
    _refuse_stale(brand, stored, edits)
    before = {name: document.body for name, document in stored.items()}
    after = dict(before)
    for edit in edits:
        after[edit.document] = patched(edit.document, after[edit.document], edit.patch)
    return _settle(brand, author, label, stored, before, after, read)


@transaction.atomic
def replace(
    brand: Brand, author: User | None, label: str, bodies: dict[str, tuple[int, Body]], read: frozenset[str] = frozenset(),
    fonts: frozenset[str] = frozenset(),
) -> Entry | None:  # fmt: skip
    """Puts whole bodies in the place of documents, each based on a revision, as one entry. As `write` otherwise."""
    brand = Brand.objects.select_for_update().get(pk=brand.pk)
    stored = {document.name: document for document in brand.documents.select_for_update()}
    _refuse_stale(brand, stored, [Edit(name, revision, []) for name, (revision, _) in bodies.items()])
    before = {name: document.body for name, document in stored.items()}
    after = before | {name: checked(name, body) for name, (_, body) in bodies.items()}
    return _settle(brand, author, label, stored, before, after, read, fonts)


def _settle(
    brand: Brand, author: User | None, label: str, stored: dict[str, Document], before: dict[str, Body], after: dict[str, Body],
    read: frozenset[str], fonts: frozenset[str] = frozenset(),
) -> Entry | None:  # fmt: skip
    """Checks what no patch may do, lets untouched pages follow the brief, and records the entry."""
    _refuse_unread_marks(before["identity"], after["identity"], read)
    _refuse_unread_fonts(before["identity"], after["identity"], fonts)
    base = brand.planned
    after = _in_its_letters(before, after)
    know_fonts(brand, after["identity"])
    if after["identity"] != before["identity"]:
        old, new = (Identity.model_validate(state["identity"]) for state in (before, after))
        was, now = (Decisions.model_validate(state.get("decisions", {})) for state in (before, after))
        broken = broken_lock(old, new, was, now)
        if broken:
            raise StudioError(broken)
        if pages_of(before) == base:
            planned = _planned(brand, after)
            after = {name: body for name, body in after.items() if not _is_page(name)} | planned
            base = planned
    refuse_unopenable(brand, before, after)
    return _record(brand, author, label, stored, before, after, base)


def _in_its_letters(before: dict[str, Body], after: dict[str, Body]) -> dict[str, Body]:
    """Where language or name change and the typefaces are those that a brand has by itself, those with the letters of both."""
    old, new = before["identity"], after["identity"]
    asked, now = ((one["language"], one["name"]) for one in (old, new))
    if asked == now or old["typefaces"] != new["typefaces"]:
        return after
    if (old["typefaces"]["heading"], old["typefaces"]["body"]) not in (defaults(*asked), defaults(asked[0])):
        return after
    heading, body = defaults(*now)
    return after | {"identity": new | {"typefaces": new["typefaces"] | {"heading": heading, "body": body}}}


def proposal(brand: Brand) -> tuple[dict[str, Body], dict[str, Body], dict[str, Body]]:
    """Frame and pages as they are, as they would be when planned anew around decisions and locks, and the bare new plan."""
    bodies, _ = bodies_of(brand)
    planned = _planned(brand, bodies)
    mine = pages_of(bodies)
    return mine, replanned(brand.planned, mine, planned), planned


@transaction.atomic
def replan(brand: Brand, author: User | None) -> Entry | None:
    """Plans the pages anew from the identity around what was edited or locked, as one entry."""
    brand = Brand.objects.select_for_update().get(pk=brand.pk)
    stored = {document.name: document for document in brand.documents.select_for_update()}
    before = {name: document.body for name, document in stored.items()}
    _, merged, planned = proposal(brand)
    after = {name: body for name, body in before.items() if not _is_page(name)} | merged
    refuse_unopenable(brand, before, after)
    return _record(brand, author, "Plan the pages from the brief", stored, before, after, planned)


def _is_page(name: str) -> bool:
    return name.startswith("page:")


@transaction.atomic
def undo(brand: Brand, person: User | None, entry_id: int) -> Entry:
    """Takes the newest entry back, which must be the one that is meant. Raises NothingToUndo; NotYours where the newest is
    another by now, or somebody else's."""
    brand = Brand.objects.select_for_update().get(pk=brand.pk)
    entry = _last(brand)
    if entry is None:
        raise NothingToUndo("There is nothing to undo.")
    _refuse_anothers(entry, person, entry_id, "taken back")
    _replay(brand, entry, "backward")
    entry.undone = True
    entry.save(update_fields=["undone"])
    return entry


@transaction.atomic
def redo(brand: Brand, person: User | None, entry_id: int) -> Entry:
    """Makes the entry undone last again, which must be the one that is meant. Raises NothingToUndo and NotYours as `undo`."""
    brand = Brand.objects.select_for_update().get(pk=brand.pk)
    entry = Entry.objects.select_for_update().filter(brand=brand, undone=True).order_by("number").first()
    if entry is None:
        raise NothingToUndo("There is nothing to redo.")
    _refuse_anothers(entry, person, entry_id, "made again")
    _replay(brand, entry, "forward")
    entry.undone = False
    entry.save(update_fields=["undone"])
    return entry


def name_of(person: User | None) -> str:
    """What a person is called; empty where an entry has no author."""
    return (person.get_full_name() or person.get_username()) if person else ""


def _refuse_anothers(entry: Entry, person: User | None, entry_id: int, done: str) -> None:
    author = entry.author
    whose = f"{name_of(author)} has made it" if author and author != person else "it was made meanwhile"
    if author and author != person:
        raise NotYours(f"“{entry.label}” is the newest change, and {whose}. Only {name_of(author)} can have it {done}.")
    if entry.pk != entry_id:
        raise NotYours(f"“{entry.label}” is the newest change, and {whose}. Look at it before it is {done}.")


def before_last(brand: Brand, bodies: dict[str, Body]) -> tuple[str, dict[str, Body]] | None:
    """The label of the newest entry, and the bodies as they were before it; None where there is no entry."""
    entry = brand.entries.filter(undone=False).order_by("-number").first()
    if entry is None:
        return None
    before = dict(bodies)
    for part in entry.edits:
        name = part["document"]
        if name == _PLAN:
            continue
        if "created" in part:
            before.pop(name, None)
        elif "removed" in part:
            before[name] = part["removed"]
        else:
            before[name] = patched(name, bodies[name], part["backward"])
    return entry.label, before


def steps(brand: Brand) -> tuple[Entry | None, Entry | None]:
    """The entries that undo and redo would take next."""
    entries = brand.entries.select_related("author").defer("edits")
    back = entries.filter(undone=False).order_by("-number").first()
    return back, entries.filter(undone=True).order_by("number").first()


def _planned(brand: Brand, bodies: dict[str, Body]) -> dict[str, Body]:
    site = plan(Identity.model_validate(bodies["identity"]), Choices.model_validate(bodies["choices"]), assets_of(brand))
    made = documents_of(site)
    made["frame"]["header"]["layout"] = bodies["frame"]["header"]["layout"]
    made["frame"]["footer"]["layout"] = bodies["frame"]["footer"]["layout"]
    return {name: body for name, body in made.items() if name == "frame" or name.startswith("page:")}


def _last(brand: Brand) -> Entry | None:
    return Entry.objects.select_for_update().filter(brand=brand, undone=False).order_by("-number").first()


def _refuse_stale(brand: Brand, stored: dict[str, Document], edits: list[Edit]) -> None:
    unknown = [edit.document for edit in edits if edit.document not in stored]
    if unknown:
        raise StudioError(f"There is no document “{unknown[0]}”.")
    stale = [edit for edit in edits if stored[edit.document].revision != edit.revision]
    if not stale:
        return
    since = []
    for entry in brand.entries.select_related("author").order_by("-number")[:200]:
        for part in entry.edits:
            for edit in stale:
                if part["document"] == edit.document and part["revision"] >= edit.revision:
                    since.append(
                        {
                            "document": edit.document,
                            "label": entry.label,
                            "author": name_of(entry.author),
                            "at": entry.created.isoformat(),
                            "patch": part["backward" if entry.undone else "forward"],
                        }
                    )
    documents = {e.document: {"revision": stored[e.document].revision, "body": stored[e.document].body} for e in stale}
    who = next((change["author"] for change in since if change["author"]), "Somebody")
    raise Stale(
        f"{who} has changed this meanwhile. Your change is not lost: look at theirs, then make yours again or leave it.",
        changed=since,
        documents=documents,
    )


def _refuse_unread_marks(before: Body, after: Body, read: frozenset[str]) -> None:
    """A mark that comes by a patch must be what the reader makes of it, as one that comes by upload is."""
    known = {mark["svg"] for mark in before["marks"]} | read
    for mark in after["marks"]:
        if mark["svg"] not in known and read_mark(mark["name"], mark["svg"].encode())["svg"] != mark["svg"]:
            raise UploadRefused(f"{mark['name']}: this drawing was not read by Formulon. Upload the file instead.")


def _refuse_unread_fonts(before: Body, after: Body, fonts: frozenset[str]) -> None:
    """A typeface comes by upload alone; a patch may take it out, or say that its licence is held."""
    known = {json.dumps(font | {"declared": False}, sort_keys=True) for font in before.get("fonts", [])}
    for font in after.get("fonts", []):
        if font["id"] not in fonts and json.dumps(font | {"declared": False}, sort_keys=True) not in known:
            raise UploadRefused(f"{font['name']}: this typeface was not read by Formulon. Upload its files instead.")


def _record(
    brand: Brand, author: User | None, label: str, stored: dict[str, Document], before: dict[str, Body], after: dict[str, Body],
    base: dict[str, Body],
) -> Entry | None:  # fmt: skip
    edits: list[dict[str, Any]] = []
    for name, body in before.items():
        if name not in after:
            edits.append({"document": name, "revision": stored[name].revision, "removed": body})
            stored[name].delete()
    for name, body in after.items():
        if name not in before:
            edits.append({"document": name, "revision": 0, "created": body})
            Document.objects.create(brand=brand, name=name, body=body)
            continue
        if body == before[name]:
            continue
        document = stored[name]
        edits.append(
            {
                "document": name,
                "revision": document.revision,
                "forward": jsonpatch.make_patch(before[name], body).patch,
                "backward": jsonpatch.make_patch(body, before[name]).patch,
            }
        )
        document.body = body
        document.revision += 1
        document.save(update_fields=["body", "revision"])
    if base != brand.planned:
        # What was planned last goes back and forth with the entry, so that undo knows again what was edited since.
        edits.append(
            {
                "document": _PLAN,
                "revision": 0,
                "forward": jsonpatch.make_patch(brand.planned, base).patch,
                "backward": jsonpatch.make_patch(base, brand.planned).patch,
            }
        )
        brand.planned = base
        brand.save(update_fields=["planned"])
    if not [edit for edit in edits if edit["document"] != _PLAN]:
        return None
    brand.entries.filter(undone=True).delete()
    number = (brand.entries.order_by("-number").values_list("number", flat=True).first() or 0) + 1
    return Entry.objects.create(brand=brand, number=number, label=label[:200], author=author, edits=edits)


def _replay(brand: Brand, entry: Entry, way: str) -> None:
    """Applies an entry forward or backward; revisions only ever rise."""
    stored = {document.name: document for document in brand.documents.select_for_update()}
    for part in entry.edits:
        if part["document"] == _PLAN:
            brand.planned = jsonpatch.apply_patch(brand.planned, part[way])
            brand.save(update_fields=["planned"])
            continue
        if "created" in part or "removed" in part:
            _make_or_drop(brand, stored, part, ("created" in part) == (way == "forward"))
            continue
        document = stored[part["document"]]
        document.body = _replayed(document.name, document.body, part[way])
        part["revision"] = document.revision
        document.revision += 1
        document.save(update_fields=["body", "revision"])
    entry.created = timezone.now()
    entry.save(update_fields=["edits", "created"])


def _replayed(name: str, body: Body, patch: list[dict[str, Any]]) -> Body:
    """A body after a patch of the history. One that cannot be read as it is may become whole by the patch itself."""
    try:
        return patched(name, body, patch)
    except ChangeError:
        return checked(name, jsonpatch.apply_patch(body, patch))


def _make_or_drop(brand: Brand, stored: dict[str, Document], part: dict[str, Any], make: bool) -> None:
    """Brings a document back or takes it away again; its revisions only ever rise."""
    name = part["document"]
    if make:
        part["revision"] += 1
        Document.objects.create(
            brand=brand, name=name, body=part.get("created", part.get("removed")), revision=part["revision"]
        )
    else:
        document = stored.pop(name)
        part["revision"] = document.revision
        part["created" if "created" in part else "removed"] = document.body
        document.delete()
