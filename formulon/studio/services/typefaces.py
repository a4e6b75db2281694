"""A brand's own typefaces: files read in a process of their own, kept by content, and grouped into families."""

import base64
from collections import defaultdict
from typing import Any

from django.contrib.auth.models import User
from django.db import transaction

from formulon.core.identity.isolated import readers
from formulon.core.site.documents import IDENTITY, identity_in
from formulon.core.system.documents.identity import FontFile, Identity, OwnFont
from formulon.core.system.documents.own_fonts import font_id
from formulon.core.type.library import Measured
from formulon.studio.errors import UploadRefused
from formulon.studio.models import Brand, StoredFile
from formulon.studio.services import history
from formulon.studio.services.sites import bodies_of
from formulon.studio.services.sources import store

MOST_FILES = 24


def add(brand: Brand, author: User | None, revision: int, files: list[tuple[str, bytes]]) -> None:
    """Takes font files into the identity, as one entry. Files of a family that is there already join it.

    Raises UploadRefused where a file is no font or broken; nothing is kept then."""
    if not files:
        raise UploadRefused("There is no file in the upload. Choose fonts as TTF, OTF, WOFF or WOFF2.")
    if len(files) > MOST_FILES:
        raise UploadRefused(f"{MOST_FILES} font files at once are the most. Add them in parts.")
    made = [_read(name, data) for name, data in files]
    with transaction.atomic():
        identity = identity_in(bodies_of(brand)[0])
        added = []
        groups: dict[str, list[dict[str, Any]]] = defaultdict(list)
        for one in made:
            groups[one["family"]].append(one)
        for family, parts in groups.items():
            if all(part["italic"] for part in parts) and all(font.name != family for font in identity.fonts):
                names = ", ".join(part["file"] for part in parts)
                raise UploadRefused(f"{names}: {family} is here in italics only. Add the upright files as well.")
            added.append(_join(brand, identity, family, parts))
        label = f"{added[0].name} added" if len(added) == 1 else f"{len(added)} typefaces added"
        body = identity.model_dump()
        history.replace(brand, author, label, {IDENTITY: (revision, body)}, fonts=frozenset(f.id for f in added))


def _read(name: str, data: bytes) -> dict[str, Any]:
    answer = readers().font(name, data)
    if "error" in answer:
        raise UploadRefused(answer["error"])
    return answer | {"file": name}


def _join(brand: Brand, identity: Identity, family: str, parts: list[dict[str, Any]]) -> OwnFont:
    """The family with these files, in the place of the one of that name. What was set in it stays set in it."""
    before = next((font for font in identity.fonts if font.name == family), None)
    files = {(file.lightest, file.heaviest, file.italic): file for file in before.files} if before else {}
    for part in parts:
        data = base64.b64decode(part["woff2"])
        light, heavy = part["weights"]
        stored = store(brand.workspace_id, data)
        files[light, heavy, part["italic"]] = FontFile(
            sha256=stored.sha256, lightest=light, heaviest=heavy, size=len(data), italic=part["italic"]
        )
    upright = [part for part in parts if not part["italic"]]
    if before and not upright:  # italics join a family, whose looks are those of its upright letters
        return _replaced(identity, before, before.model_copy(update=_of_files(files, parts, before)))
    first = min(upright, key=lambda part: abs(part["weights"][0] - 400))
    font = OwnFont(
        name=family,
        category=first["category"],
        measured=Measured(**first["measured"]),
        languages=first["languages"],
        axes=first["axes"],
        embedding=first["embedding"],
        licence=first["licence"],
        declared=bool(before and before.declared),
        **_of_files(files, parts, before),
    )
    return _replaced(identity, before, font)


def _of_files(
    files: dict[tuple[int, int, bool], FontFile], parts: list[dict[str, Any]], before: OwnFont | None
) -> dict[str, Any]:
    """What follows from all the files of a family."""
    said = {
        name: any(part[name] for part in parts) or bool(before and getattr(before, name))
        for name in ("restricted", "no_subsetting", "reserved_name")
    }
    return said | {
        "id": font_id(files.values()),
        "files": [file for _, file in sorted(files.items(), key=lambda one: one[0])],
        "italic": any(italic for _, _, italic in files),
    }


def _replaced(identity: Identity, before: OwnFont | None, font: OwnFont) -> OwnFont:
    """The family in the identity, in the place of the one that it was."""
    if before is None:
        identity.fonts.append(font)
        return font
    identity.fonts[identity.fonts.index(before)] = font
    for role in ("heading", "body", "third"):
        if getattr(identity.typefaces, role) == before.id:
            setattr(identity.typefaces, role, font.id)
    return font


def file_of(brand: Brand, name: str) -> bytes | None:
    """The bytes of "<first sixteen digits>.woff2", one of the brand's fonts; None where it has no such file."""
    identity = identity_in(bodies_of(brand)[0])
    stem = name.removesuffix(".woff2")
    wanted = next((file for font in identity.fonts for file in font.files if file.sha256[:16] == stem), None)
    if wanted is None:
        return None
    return bytes(StoredFile.objects.values_list("data", flat=True).get(workspace_id=brand.workspace_id, sha256=wanted.sha256))
