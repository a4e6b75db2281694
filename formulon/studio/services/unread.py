"""What no patch may bring into documents: drawings, typefaces and files come through their readers alone, and whoever waives a finding does
so in their own name, today."""

import json
from datetime import date, timedelta
from typing import Any

from django.utils import timezone

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


def refuse_unsigned(before: Body, after: Body, name: str) -> None:
    """A waiver is given in one's own name, on the day on which it is given, wherever on earth one is."""
    known = before.get("waivers", [])
    today = timezone.now().date()
    for one in after.get("waivers", []):
        if one not in known and (one["by"] != name or abs(date.fromisoformat(one["on"]) - today) > timedelta(days=1)):
            raise UploadRefused("A finding is waived in one’s own name, and on the day on which that is done.")
