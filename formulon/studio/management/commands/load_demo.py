"""Loads the demo: a person, a workspace and the Quillmoor Observatory, out of the files in demo/. Run again, it keeps all."""

import json
import os
from pathlib import Path
from typing import Any

from django.conf import settings
from django.contrib.auth.models import User
from django.core.management.base import BaseCommand, CommandError
from django.db import transaction

from formulon.core.identity.svg import rebuild
from formulon.core.site.model import Asset
from formulon.core.system.identity import Identity, slug
from formulon.studio.models import Brand, Membership, Workspace
from formulon.studio.services import sites

USERNAME = "designer"


class Command(BaseCommand):
    """See the module."""

    help = __doc__

    @transaction.atomic
    def handle(self, *args: Any, **options: Any) -> None:
        password = os.environ.get("FORMULON_DEMO_PASSWORD", "")
        if len(password) < 12:
            raise CommandError("Set FORMULON_DEMO_PASSWORD to a password of 12 characters or more; ./start makes one.")
        person, fresh = User.objects.get_or_create(username=USERNAME, defaults={"first_name": "Demo", "last_name": "designer"})
        if fresh or not person.check_password(password):
            person.set_password(password)
            person.save()
        workspace, _ = Workspace.objects.get_or_create(name="Demo studio")
        Membership.objects.get_or_create(workspace=workspace, user=person, defaults={"role": Membership.Role.OWNER})
        if not Brand.objects.filter(workspace=workspace, slug="quillmoor-observatory").exists():
            load_folder(settings.ROOT / "demo" / "quillmoor", workspace)


def load_folder(folder: Path, workspace: Workspace) -> Brand:
    """A brand out of a folder with identity.json, marks/, pictures/ and pictures.json, which says what they show."""
    body = json.loads((folder / "identity.json").read_text(encoding="utf-8"))
    body["marks"] = [_mark(file) for file in sorted((folder / "marks").glob("*.svg"))]
    names = json.loads((folder / "pictures.json").read_text(encoding="utf-8"))
    assets = [_picture(file, names[file.stem]) for file in sorted((folder / "pictures").glob("*.svg"))]
    return sites.create(workspace, Identity.model_validate(body), assets)


def _mark(file: Path) -> dict[str, str]:
    kind = "symbol" if "symbol" in file.stem else "full"
    meant_for = "dark" if "reversed" in file.stem else "any"
    svg = rebuild(file.read_bytes(), file.name).svg
    return {"id": slug(file.stem), "name": file.name, "kind": kind, "meant_for": meant_for, "svg": svg}


def _picture(file: Path, name: str) -> Asset:
    read = rebuild(file.read_bytes(), file.name)
    return Asset(id=slug(file.stem), name=name, svg=read.svg, width=read.width, height=read.height)
