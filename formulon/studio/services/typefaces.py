"""A brand's own typefaces: files read in a process of their own, kept by content, and grouped into families."""

import base64
from collections import defaultdict
from typing import Any

from django.contrib.auth.models import User
from django.db import transaction

from formulon.core.identity.isolated import readers
from formulon.core.system.identity import FontFile, Identity, OwnFont
from formulon.core.system.own_fonts import font_id
from formulon.core.type.library import Measured
from formulon.studio.errors import UploadRefused
from formulon.studio.models import Brand, StoredFile
from formulon.studio.services import history
from formulon.studio.services.sites import bodies_of
from formulon.studio.services.sources import store

MOST_FILES = 24


def add(brand: Brand, author: User | None, revision: int, files: list[tuple[str, bytes]]) -> list[str]:
    """Takes font files into the identity, as one entry. Files of a family that is there already join it. Gives notes.

    Raises UploadRefused where a file is no font or broken; nothing is kept then."""
    if not files:
        raise UploadRefused("There is no file in the upload. Choose fonts as TTF, OTF, WOFF or WOFF2.")
    if len(files) > MOST_FILES:
        raise UploadRefused(f"{MOST_FILES} font files at once are the most. Add them in parts.")
    made = [_read(name, data) for name, data in files]
    with transaction.atomic():
        identity = Identity.model_validate(bodies_of(brand)[0]["identity"])
        notes, added = [], []
        groups: dict[str, list[dict[str, Any]]] = defaultdict(list)
        for one in made:
            if one["italic"]:
                notes.append(f"{one['file']} is an italic. Pages set no italics, so it is left aside.")
            else:
                groups[one["family"]].append(one)
        for family, parts in groups.items():
            added.append(_join(brand, identity, family, parts))
        if not added:
            raise UploadRefused("Every file is an italic. Pages set no italics; add the upright ones.")
        label = f"{added[0].name} added" if len(added) == 1 else f"{len(added)} typefaces added"
        body = identity.model_dump()
        history.replace(brand, author, label, {"identity": (revision, body)}, fonts=frozenset(f.id for f in added))
    return notes


def _read(name: str, data: bytes) -> dict[str, Any]:
    answer = readers().font(name, data)
    if "error" in answer:
        raise UploadRefused(answer["error"])
    return answer | {"file": name}


def _join(brand: Brand, identity: Identity, family: str, parts: list[dict[str, Any]]) -> OwnFont:
    """The family with these files, in the place of the one of that name. What was set in it stays set in it."""
    before = next((font for font in identity.fonts if font.name == family), None)
    files = {(file.lightest, file.heaviest): file for file in before.files} if before else {}
    for part in parts:
        data = base64.b64decode(part["woff2"])
        light, heavy = part["weights"]
        stored = store(brand.workspace_id, data)
        files[light, heavy] = FontFile(sha256=stored.sha256, lightest=light, heaviest=heavy, size=len(data))
    first = min(parts, key=lambda part: abs(part["weights"][0] - 400))
    font = OwnFont(
        id=font_id(files.values()),
        name=family,
        category=first["category"],
        files=[file for _, file in sorted(files.items())],
        measured=Measured(**first["measured"]),
        languages=first["languages"],
        axes=first["axes"],
        embedding=first["embedding"],
        restricted=any(part["restricted"] for part in parts) or bool(before and before.restricted),
        no_subsetting=any(part["no_subsetting"] for part in parts) or bool(before and before.no_subsetting),
        reserved_name=any(part["reserved_name"] for part in parts) or bool(before and before.reserved_name),
        licence=first["licence"],
        declared=bool(before and before.declared),
    )
    if before:
        identity.fonts[identity.fonts.index(before)] = font
        for role in ("heading", "body", "third"):
            if getattr(identity.typefaces, role) == before.id:
                setattr(identity.typefaces, role, font.id)
    else:
        identity.fonts.append(font)
    return font


def file_of(brand: Brand, name: str) -> bytes | None:
    """The bytes of "<first sixteen digits>.woff2", one of the brand's fonts; None where it has no such file."""
    identity = Identity.model_validate(bodies_of(brand)[0]["identity"])
    stem = name.removesuffix(".woff2")
    wanted = next((file for font in identity.fonts for file in font.files if file.sha256[:16] == stem), None)
    if wanted is None:
        return None
    return bytes(StoredFile.objects.values_list("data", flat=True).get(workspace_id=brand.workspace_id, sha256=wanted.sha256))
