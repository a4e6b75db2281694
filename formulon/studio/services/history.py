"""Writing documents: every change is one entry of the history, based on a revision, and can be undone."""

from dataclasses import dataclass
from typing import Any

import jsonpatch
from django.contrib.auth.models import User
from django.db import transaction
from django.utils import timezone

from formulon.core.site.changes import documents as documents_of
from formulon.core.site.changes import patched
from formulon.core.site.planner import plan
from formulon.core.system.choices import Choices
from formulon.core.system.identity import Identity
from formulon.studio.errors import NothingToUndo, Stale, StudioError, UploadRefused
from formulon.studio.models import Brand, Document, Entry
from formulon.studio.services.reading import read_mark
from formulon.studio.services.sites import assets_of, pages_digest

Body = dict[str, Any]


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
    _refuse_unread_marks(before["identity"], after["identity"], read)
    if after["identity"] != before["identity"] and pages_digest(before) == brand.planned:
        after |= _planned(brand, after)
        brand.planned = pages_digest(after)
        brand.save(update_fields=["planned"])
    return _record(brand, author, label, stored, before, after)


@transaction.atomic
def replan(brand: Brand, author: User | None) -> Entry | None:
    """Plans the pages anew from the identity, as one entry."""
    brand = Brand.objects.select_for_update().get(pk=brand.pk)
    stored = {document.name: document for document in brand.documents.select_for_update()}
    before = {name: document.body for name, document in stored.items()}
    after = before | _planned(brand, before)
    brand.planned = pages_digest(after)
    brand.save(update_fields=["planned"])
    return _record(brand, author, "Plan the pages from the brief", stored, before, after)


@transaction.atomic
def undo(brand: Brand) -> Entry:
    """Takes the newest entry back. Raises NothingToUndo."""
    entry = _last(brand, undone=False)
    if entry is None:
        raise NothingToUndo("There is nothing to undo.")
    _replay(brand, entry, "backward")
    entry.undone = True
    entry.save(update_fields=["undone"])
    return entry


@transaction.atomic
def redo(brand: Brand) -> Entry:
    """Makes the entry undone last again. Raises NothingToUndo."""
    entry = Entry.objects.select_for_update().filter(brand=brand, undone=True).order_by("number").first()
    if entry is None:
        raise NothingToUndo("There is nothing to redo.")
    _replay(brand, entry, "forward")
    entry.undone = False
    entry.save(update_fields=["undone"])
    return entry


def labels(brand: Brand) -> tuple[str | None, str | None]:
    """What undo and redo would do next."""
    back = brand.entries.filter(undone=False).order_by("-number").values_list("label", flat=True).first()
    forth = brand.entries.filter(undone=True).order_by("number").values_list("label", flat=True).first()
    return back, forth


def _planned(brand: Brand, bodies: dict[str, Body]) -> dict[str, Body]:
    site = plan(Identity.model_validate(bodies["identity"]), Choices.model_validate(bodies["choices"]), assets_of(brand))
    made = documents_of(site)
    made["frame"]["header"]["layout"] = bodies["frame"]["header"]["layout"]
    made["frame"]["footer"]["layout"] = bodies["frame"]["footer"]["layout"]
    return {name: body for name, body in made.items() if name == "frame" or name.startswith("page:")}


def _last(brand: Brand, undone: bool) -> Entry | None:
    Brand.objects.select_for_update().get(pk=brand.pk)
    return Entry.objects.select_for_update().filter(brand=brand, undone=undone).order_by("-number").first()


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
                            "author": entry.author.get_full_name() or entry.author.get_username() if entry.author else "",
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


def _record(
    brand: Brand, author: User | None, label: str, stored: dict[str, Document], before: dict[str, Body], after: dict[str, Body]
) -> Entry | None:
    edits = []
    for name, body in after.items():
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
    if not edits:
        return None
    brand.entries.filter(undone=True).delete()
    number = (brand.entries.order_by("-number").values_list("number", flat=True).first() or 0) + 1
    return Entry.objects.create(brand=brand, number=number, label=label[:200], author=author, edits=edits)


def _replay(brand: Brand, entry: Entry, way: str) -> None:
    """Applies an entry forward or backward; revisions only ever rise."""
    stored = {document.name: document for document in brand.documents.select_for_update()}
    planned_before = pages_digest({name: document.body for name, document in stored.items()})
    for part in entry.edits:
        document = stored[part["document"]]
        document.body = patched(document.name, document.body, part[way])
        part["revision"] = document.revision
        document.revision += 1
        document.save(update_fields=["body", "revision"])
    entry.created = timezone.now()
    entry.save(update_fields=["edits", "created"])
    if planned_before == brand.planned and any(part["document"] == "identity" for part in entry.edits):
        brand.planned = pages_digest({name: document.body for name, document in stored.items()})
        brand.save(update_fields=["planned"])
