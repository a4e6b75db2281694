"""What no patch may bring into an identity: drawings, typefaces and files come through their readers alone."""

import json
from typing import Any

from formulon.studio.errors import UploadRefused
from formulon.studio.services.reading import read_mark

Body = dict[str, Any]


def refuse_unread_marks(before: Body, after: Body, read: frozenset[str]) -> None:
    """A mark that comes by a patch must be what the reader makes of it, as one that comes by upload is."""
    known = {mark["svg"] for mark in before["marks"]} | read
    for mark in after["marks"]:
        if mark["svg"] not in known and read_mark(mark["name"], mark["svg"].encode())["svg"] != mark["svg"]:
            raise UploadRefused(f"{mark['name']}: this drawing was not read by Formulon. Upload the file instead.")


def refuse_unread_fonts(before: Body, after: Body, fonts: frozenset[str]) -> None:
    """A typeface comes by upload alone; a patch may take it out, or say that its licence is held."""
    known = {json.dumps(font | {"declared": False}, sort_keys=True) for font in before.get("fonts", [])}
    for font in after.get("fonts", []):
        if font["id"] not in fonts and json.dumps(font | {"declared": False}, sort_keys=True) not in known:
            raise UploadRefused(f"{font['name']}: this typeface was not read by Formulon. Upload its files instead.")


def refuse_unknown_files(before: Body, after: Body, files: frozenset[str]) -> None:
    """A file to hand out comes by upload alone; a patch may take it out, or name it otherwise."""
    told = [{key: one[key] for key in ("id", "ending", "size", "sha256")} for one in before.get("files", [])]
    for one in after.get("files", []):
        if one["sha256"] not in files and {key: one[key] for key in ("id", "ending", "size", "sha256")} not in told:
            raise UploadRefused(f"{one['name']}: this file is not here. Upload it instead.")
