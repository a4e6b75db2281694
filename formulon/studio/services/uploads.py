"""Uploads: files that people add to a brand."""

import hashlib
import re

from django.contrib.auth.models import User

from formulon.core.site.attached import MOST_FILES, attached
from formulon.core.site.documents import IDENTITY
from formulon.core.system.documents.identity import free_id, slug
from formulon.studio.errors import UploadRefused
from formulon.studio.models import Brand
from formulon.studio.services import history, sources
from formulon.studio.services.reading import read_mark


def add_mark(brand: Brand, author: User, file_name: str, data: bytes, revision: int, meant_for: str) -> list[str]:
    """Adds an uploaded mark to the identity; returns notes on what was left out of it."""
    name = re.sub(r"[\x00-\x1f<>]", "", file_name)[-80:] or "logo.svg"
    read = read_mark(name, data)
    marks = brand.documents.get(name=IDENTITY).body["marks"]
    base = slug(name.rsplit(".", 1)[0], "mark")
    mark_id = free_id(base, (mark["id"] for mark in marks), 60)
    wide = read["width"] / read["height"]
    kind = "symbol" if wide < 1.4 else "full"
    mark = {"id": mark_id, "name": name, "kind": kind, "meant_for": meant_for, "svg": read["svg"]}
    edit = history.Edit(IDENTITY, revision, [{"op": "add", "path": "/marks/-", "value": mark}])
    history.write(brand, author, f"Add the mark {name}", [edit], frozenset([read["svg"]]))
    return list(read["notes"])


def add_file(brand: Brand, author: User, file_name: str, data: bytes, revision: int) -> str:
    """Adds a file that links can lead to, and gives its id. Raises UploadRefused with what is wrong."""
    taken = [one["id"] for one in brand.documents.get(name=IDENTITY).body.get("files", [])]
    if len(taken) >= MOST_FILES:
        raise UploadRefused(f"The brand hands out {MOST_FILES} files, which is as many as it may. Take one out first.")
    try:
        made = attached(file_name, data, hashlib.sha256(data).hexdigest(), taken)
    except ValueError as error:
        raise UploadRefused(str(error)) from error
    sources.store(brand.workspace_id, data)
    value = made.model_dump()
    known = "files" in brand.documents.get(name=IDENTITY).body  # documents from before there were any have no list
    patch = {"op": "add", "path": "/files/-", "value": value} if known else {"op": "add", "path": "/files", "value": [value]}
    edit = history.Edit(IDENTITY, revision, [patch])
    history.write(brand, author, f"File {made.name} added", [edit], files=frozenset([made.sha256]))
    return made.id
