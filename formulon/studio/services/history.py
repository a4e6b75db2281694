"""Writing documents: every change is one entry of the history, based on a revision, and can be undone."""

from collections.abc import Callable
from dataclasses import dataclass
from typing import Any

import jsonpatch
import jsonpointer
from django.contrib.auth.models import User
from django.db import transaction

from formulon.core.errors import ChangeError
from formulon.core.identity.decide import broken_lock
from formulon.core.site.changes import checked, edited, patched
from formulon.core.site.documents import (
    CHECKS,
    FRAME_DOCUMENT,
    IDENTITY,
    choices_in,
    decisions_in,
    identity_in,
    page_of,
)
from formulon.core.site.documents import documents as documents_of
from formulon.core.site.documents import planned as planned_of
from formulon.core.site.patches import difference
from formulon.core.site.placed import kept_at_places
from formulon.core.site.planning.planner import plan
from formulon.core.site.replan import replanned
from formulon.core.site.site import FRAME, Asset
from formulon.core.site.stated import followed
from formulon.core.type.alike import defaults
from formulon.core.type.library import Library
from formulon.studio.errors import ChangedSince, NothingToUndo, NotYours, Stale, StudioError
from formulon.studio.models import Brand, Document, Entry
from formulon.studio.services.entries import PLAN, in_effect_since, name_of, steps
from formulon.studio.services.keeping import refuse_unopenable
from formulon.studio.services.places import meeting, places
from formulon.studio.services.sites import assets_of, bodies_of, library_of
from formulon.studio.services.unread import refuse_unknown_files, refuse_unread_fonts, refuse_unread_marks, refuse_unsigned

Body = dict[str, Any]
# The name under which an entry keeps what was planned last; no document has it.


@dataclass(frozen=True, slots=True)
class Edit:
    """A patch on a document, and the revision that it was based on."""

    document: str
    revision: int
    patch: list[dict[str, Any]]


@transaction.atomic
def write(
    brand: Brand, author: User | None, label: str, edits: list[Edit], read: frozenset[str] = frozenset(),
    files: frozenset[str] = frozenset(),
) -> Entry | None:  # fmt: skip
    """Applies edits as one entry. Raises Stale where a document has moved on; None where nothing changed.

    `read` are drawings that the reader has just made, which need not be read again, and `files` those that have just been added to hand
    out, by SHA-256.

    A change of the identity plans the pages anew while nobody has edited them; afterwards, what they state of it follows.
    """
    brand = Brand.objects.select_for_update().get(pk=brand.pk)
    stored = {document.name: document for document in brand.documents.select_for_update().order_by("pk")}
    _refuse_stale(brand, stored, edits)
    before = {name: document.body for name, document in stored.items()}
    return _settle(brand, author, label, stored, before, _edited(before, edits), read, files=files)


@transaction.atomic
def replace(
    brand: Brand, author: User | None, label: str, bodies: dict[str, tuple[int, Body]], read: frozenset[str] = frozenset(),
    fonts: frozenset[str] = frozenset(),
) -> Entry | None:  # fmt: skip
    """Puts whole bodies in the place of documents, each based on a revision, as one entry. As `write` otherwise."""
    brand = Brand.objects.select_for_update().get(pk=brand.pk)
    stored = {document.name: document for document in brand.documents.select_for_update().order_by("pk")}
    _refuse_stale(brand, stored, [Edit(name, revision, []) for name, (revision, _) in bodies.items()])
    before = {name: document.body for name, document in stored.items()}
    after = before | {name: checked(name, body) for name, (_, body) in bodies.items()}
    return _settle(brand, author, label, stored, before, after, read, fonts)


def _settle(
    brand: Brand, author: User | None, label: str, stored: dict[str, Document], before: dict[str, Body], after: dict[str, Body],
    read: frozenset[str], fonts: frozenset[str] = frozenset(), files: frozenset[str] = frozenset(),
) -> Entry | None:  # fmt: skip
    """Checks what no patch may do, lets untouched pages follow the brief, and records the entry."""
    refuse_unread_marks(before[IDENTITY], after[IDENTITY], read)
    refuse_unread_fonts(before[IDENTITY], after[IDENTITY], fonts)
    refuse_unknown_files(before[IDENTITY], after[IDENTITY], files)
    refuse_unsigned(before.get(CHECKS, {}), after.get(CHECKS, {}), name_of(author))
    after, base = _followed(brand, before, after)
    refuse_unopenable(brand, before, after)
    return _record(brand, author, label, stored, before, after, base)


def foreseen(brand: Brand, edits: list[Edit]) -> dict[str, Body]:
    """The documents as edits will leave them once they are stored, whatever else may be refused then. Raises ChangeError."""
    before, _ = bodies_of(brand)
    return _followed(brand, before, _edited(before, edits))[0]


def _edited(before: dict[str, Body], edits: list[Edit]) -> dict[str, Body]:
    after = dict(before)
    for edit in edits:
        body = edited(edit.document, after.get(edit.document), edit.patch)
        if body is None:
            del after[edit.document]
        else:
            after[edit.document] = body
    return after


def _followed(brand: Brand, before: dict[str, Body], after: dict[str, Body]) -> tuple[dict[str, Body], dict[str, Body]]:
    """What a change leads to: the documents with all that follows from it, and what was planned last."""
    base = brand.planned
    after = _in_its_letters(before, after)
    if after[IDENTITY] != before[IDENTITY]:
        old, new = (identity_in(state) for state in (before, after))
        was, now = (decisions_in(state) for state in (before, after))
        broken = broken_lock(old, new, was, now)
        if broken:
            raise StudioError(broken)
        if planned_of(before) == base:
            base = _planned(brand, after)
            after = {name: body for name, body in after.items() if page_of(name) is None} | base
        else:
            after = followed(before, after)
    return kept_at_places(before, after), base


def _in_its_letters(before: dict[str, Body], after: dict[str, Body]) -> dict[str, Body]:
    """Where language or name change and the typefaces are those that a brand has by itself, those with the letters of both."""
    old, new = before[IDENTITY], after[IDENTITY]
    asked, now = ((one["language"], one["name"]) for one in (old, new))
    if asked == now or old["typefaces"] != new["typefaces"]:
        return after
    if (old["typefaces"]["heading"], old["typefaces"]["body"]) not in (defaults(*asked), defaults(asked[0])):
        return after
    heading, body = defaults(*now)
    return after | {IDENTITY: new | {"typefaces": new["typefaces"] | {"heading": heading, "body": body}}}


def proposal(brand: Brand) -> tuple[dict[str, Body], dict[str, Body], dict[str, Body]]:
    """Frame and pages as they are, as they would be when planned anew around decisions and locks, and the bare new plan."""
    bodies, _ = bodies_of(brand)
    planned = _planned(brand, bodies)
    mine = planned_of(bodies)
    return mine, replanned(brand.planned, mine, planned), planned


@transaction.atomic
def replan(brand: Brand, author: User | None) -> Entry | None:
    """Plans the pages anew from the identity around what was edited or locked, as one entry."""
    brand = Brand.objects.select_for_update().get(pk=brand.pk)
    stored = {document.name: document for document in brand.documents.select_for_update().order_by("pk")}
    before = {name: document.body for name, document in stored.items()}
    _, merged, planned = proposal(brand)
    after = {name: body for name, body in before.items() if page_of(name) is None} | merged
    refuse_unopenable(brand, before, after)
    return _record(brand, author, "Plan the pages from the brief", stored, before, after, planned)


Restyled = Callable[[dict[str, Body], Body, list[Asset], Library], tuple[dict[str, Body], dict[str, Body]]]


@transaction.atomic
def restyle(brand: Brand, author: User | None, label: str, revisions: dict[str, int], made: Restyled) -> Entry | None:
    """Puts identity, choices and pages in the place of those that were, as one entry: `made` gives all documents, and what was planned
    anew, from the documents, the last plan, pictures and typefaces. Raises Stale where a document has moved on."""
    brand = Brand.objects.select_for_update().get(pk=brand.pk)
    stored = {document.name: document for document in brand.documents.select_for_update().order_by("pk")}
    _refuse_stale(brand, stored, [Edit(name, revision, []) for name, revision in revisions.items()])
    before = {name: document.body for name, document in stored.items()}
    after, planned = made(before, brand.planned, assets_of(brand), library_of(brand, identity_in(before)))
    after = {name: checked(name, body) for name, body in after.items()}
    broken = broken_lock(identity_in(before), identity_in(after), decisions_in(before), decisions_in(after))
    if broken:
        raise StudioError(broken)
    refuse_unopenable(brand, before, after)
    return _record(brand, author, label, stored, before, after, planned)


@transaction.atomic
def undo(brand: Brand, person: User | None, entry_id: int, anyway: bool = False) -> Entry:
    """Takes back the person's own newest change, which must be the one that is meant, by an entry that is appended. Raises
    NothingToUndo; NotYours where the newest is another by now; ChangedSince where somebody has changed the same place since,
    unless it is to be taken back `anyway`."""
    brand = Brand.objects.select_for_update().get(pk=brand.pk)
    back, _ = steps(brand, person)
    if back is None:
        raise NothingToUndo("There is nothing of yours to undo.")
    _refuse_another(brand, back, entry_id, person, "taken back")
    return _step(brand, person, back, Entry.Kind.UNDO, "backward", anyway)


@transaction.atomic
def redo(brand: Brand, person: User | None, entry_id: int, anyway: bool = False) -> Entry:
    """Makes again what the person has taken back last. Raises as `undo`."""
    brand = Brand.objects.select_for_update().get(pk=brand.pk)
    _, forth = steps(brand, person)
    if forth is None:
        raise NothingToUndo("There is nothing of yours to redo.")
    _refuse_another(brand, forth, entry_id, person, "made again")
    return _step(brand, person, forth, Entry.Kind.REDO, "forward", anyway)


def name_point(brand: Brand, entry_id: int, name: str) -> Entry:
    """Gives a point of the history a name, or takes it away by an empty one. Raises NothingToUndo for an entry that is none."""
    entry = brand.entries.filter(pk=entry_id).first()
    if entry is None:
        raise NothingToUndo("There is no such point in the history.")
    entry.name = name.strip()[:80]
    entry.save(update_fields=["name"])
    return entry


def _refuse_another(brand: Brand, entry: Entry, entry_id: int, person: User | None, done: str) -> None:
    """Refuses a step of another entry than the person's own newest."""
    if entry.pk == entry_id:
        return
    meant = brand.entries.select_related("author").filter(pk=entry_id).first()
    if meant and meant.author and meant.author != person:
        who = name_of(meant.author)
        raise NotYours(f"“{meant.label}” is a change of {who}’s. Only {who} can have it {done}.")
    raise NotYours(f"“{entry.label}” is your newest change; it was made meanwhile. Look at it before it is {done}.")


def _step(brand: Brand, person: User | None, change: Entry, kind: Entry.Kind, way: str, anyway: bool) -> Entry:
    """Appends what takes a change back, or makes it again."""
    _refuse_changed_since(brand, person, change, anyway)
    stored = {document.name: document for document in brand.documents.select_for_update().order_by("pk")}
    before = {name: document.body for name, document in stored.items()}
    after, base = dict(before), brand.planned
    for part in change.edits:
        name = part["document"]
        if name == PLAN:
            base = _plan_after(base, part[way])
        elif "created" in part or "removed" in part:
            if ("created" in part) == (way == "forward"):
                after[name] = part.get("created", part.get("removed"))
            else:
                after.pop(name, None)
        else:
            after[name] = _replayed(name, after[name], part[way])
    label = ("Taken back: " if kind == Entry.Kind.UNDO else "Made again: ") + change.label
    entry = _record(brand, person, label, stored, before, after, base, kind, change)
    return entry or _append(brand, person, label, [], kind, change)


def _plan_after(base: Body, patch: list[dict[str, Any]]) -> Body:
    """What was planned last, as far as it is still what the entry knew."""
    try:
        return dict(jsonpatch.apply_patch(base, patch))
    except (jsonpatch.JsonPatchException, jsonpointer.JsonPointerException):
        return base


def _refuse_changed_since(brand: Brand, person: User | None, change: Entry, anyway: bool) -> None:
    """Raises ChangedSince where somebody else has changed the same place after a change, or after it was taken back. `possible` says whether it can be gone
    on with all the same: not where lists were changed in their order, since pointers into them mean something else then."""
    mine, met = places(change.edits), []
    possible = True
    newest = change.steps.order_by("-number").first() or change
    for entry in in_effect_since(brand, newest, {change.author_id, person.pk if person else None}):
        pairs = [(a, b) for a, b in meeting(mine, places(entry.edits)) if a.document != PLAN]
        if pairs:
            met.append(entry)
            possible = possible and not any(a.whole or b.whole for a, b in pairs)
    if not met or (anyway and possible):
        return
    told = [{"label": one.label, "author": name_of(one.author), "at": one.created.isoformat()} for one in met]
    who = name_of(met[-1].author) or "Somebody"
    how = (
        f"Go on, and what {who} has made of it is gone."
        if possible
        else "It cannot be taken apart from theirs any more: change it by hand, or let theirs be taken back first."
    )
    raise ChangedSince(
        f"{who} has changed the same place since “{change.label}”: “{met[-1].label}”. {how}", changed=told, possible=possible
    )


def _planned(brand: Brand, bodies: dict[str, Body]) -> dict[str, Body]:
    identity = identity_in(bodies)
    site = plan(identity, choices_in(bodies), assets_of(brand), library=library_of(brand, identity))
    made = documents_of(site)
    for part in FRAME:
        made[FRAME_DOCUMENT][part]["layout"] = bodies[FRAME_DOCUMENT][part]["layout"]
    return planned_of(made)


def _refuse_stale(brand: Brand, stored: dict[str, Document], edits: list[Edit]) -> None:
    unknown = [edit.document for edit in edits if edit.document not in stored and not _makes(edit)]
    twice = [edit for edit in edits if edit.document in stored and _makes(edit) and not edit.revision]
    if twice:
        raise StudioError("There is such a page already. Look at it, then add yours again.")
    if unknown:
        raise StudioError(f"There is no document “{unknown[0]}”.")
    stale = [edit for edit in edits if edit.document in stored and stored[edit.document].revision != edit.revision]
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
                            "patch": part.get("forward", []),
                        }
                    )
    documents = {e.document: {"revision": stored[e.document].revision, "body": stored[e.document].body} for e in stale}
    who = next((change["author"] for change in since if change["author"]), "Somebody")
    raise Stale(
        f"{who} has changed this meanwhile. Your change is not lost: look at theirs, then make yours again or leave it.",
        changed=since,
        documents=documents,
    )


def _makes(edit: Edit) -> bool:
    """Whether an edit makes a document that is not there yet."""
    return len(edit.patch) == 1 and edit.patch[0].get("op") == "add" and edit.patch[0].get("path") == ""


def _record(
    brand: Brand, author: User | None, label: str, stored: dict[str, Document], before: dict[str, Body], after: dict[str, Body],
    base: dict[str, Body], kind: Entry.Kind = Entry.Kind.CHANGE, of: Entry | None = None,
) -> Entry | None:  # fmt: skip
    edits: list[dict[str, Any]] = []
    for name, body in before.items():
        if name not in after:
            edits.append({"document": name, "revision": stored[name].revision, "removed": body})
            stored[name].delete()
    for name, body in after.items():
        if name not in before:
            revision = _last_revision(brand, name)
            edits.append({"document": name, "revision": revision, "created": body})
            Document.objects.create(brand=brand, name=name, body=body, revision=revision + 1)
            continue
        if body == before[name]:
            continue
        document = stored[name]
        edits.append(
            {
                "document": name,
                "revision": document.revision,
                "forward": difference(before[name], body),
                "backward": difference(body, before[name]),
            }
        )
        document.body = body
        document.revision += 1
        document.save(update_fields=["body", "revision"])
    if base != brand.planned:
        # What was planned last goes back and forth with the entry, so that undo knows again what was edited since.
        edits.append(
            {
                "document": PLAN,
                "revision": 0,
                "forward": difference(brand.planned, base),
                "backward": difference(base, brand.planned),
            }
        )
        brand.planned = base
        brand.save(update_fields=["planned"])
    if not [edit for edit in edits if edit["document"] != PLAN]:
        return None
    return _append(brand, author, label, edits, kind, of)


def _append(
    brand: Brand, author: User | None, label: str, edits: list[dict[str, Any]], kind: Entry.Kind, of: Entry | None
) -> Entry:
    number = (brand.entries.order_by("-number").values_list("number", flat=True).first() or 0) + 1
    return Entry.objects.create(brand=brand, number=number, label=label[:200], author=author, edits=edits, kind=kind, of=of)


def _last_revision(brand: Brand, name: str) -> int:
    """The revision that a document had last; 0 for one that there never was. Revisions only ever rise."""
    found = (
        brand.entries.filter(edits__contains=[{"document": name}]).order_by("-number").values_list("edits", flat=True).first()
    )
    return max((int(part["revision"]) + ("created" in part) for part in found or () if part["document"] == name), default=0)


def _replayed(name: str, body: Body, patch: list[dict[str, Any]]) -> Body:
    """A body after a patch of the history. One that cannot be read as it is may become whole by the patch itself."""
    try:
        return patched(name, body, patch)
    except ChangeError:
        return checked(name, jsonpatch.apply_patch(body, patch))
