"""Loads the demo: a person, a workspace and its two brands, each read out of the folder that its client handed over. Run again, it
keeps all."""

import json
import os
from functools import cache
from pathlib import Path
from typing import Any

from django.conf import settings
from django.contrib.auth.models import User
from django.core.management.base import BaseCommand, CommandError
from django.db import transaction

from formulon.core.identity.decide import Request
from formulon.core.identity.evidence import Fact
from formulon.core.identity.isolated import readers
from formulon.core.identity.reading import beside
from formulon.core.site.documents import DECISIONS, IDENTITY
from formulon.core.system.documents.decisions import Decisions
from formulon.core.system.documents.identity import Identity
from formulon.studio.models import Brand, Membership, SourceFile, Workspace
from formulon.studio.services import deciding, history, sites, sources

USERNAME = "designer"
BRANDS = ("sallowbeck", "quillmoor")  # folders; the last one is listed first


class Command(BaseCommand):
    """See the module."""

    help = __doc__

    @transaction.atomic
    def handle(self, *args: Any, **options: Any) -> None:
        password = os.environ.get("FORMULON_DEMO_PASSWORD", "")
        if len(password) < 12:
            raise CommandError("Set FORMULON_DEMO_PASSWORD to a password of 12 characters or more; ./start makes one.")
        person, fresh = User.objects.get_or_create(username=USERNAME, defaults={"first_name": "Demo", "last_name": "designer"})
        if fresh:  # later the password is the person's own
            person.set_password(password)
            person.save()
        workspace, made = Workspace.objects.get_or_create(name="Demo studio")
        Membership.objects.get_or_create(workspace=workspace, user=person, defaults={"role": Membership.Role.OWNER})
        if made:  # a demo that was deleted stays deleted
            for name in BRANDS:
                load_folder(settings.ROOT / "demo" / name, workspace)


@transaction.atomic
def load_folder(folder: Path, workspace: Workspace) -> Brand:
    """A brand out of a client's folder: its files are read, and facts decided on as <folder>-decisions.json says, which also
    holds what the designer has learnt from the client. The history begins afterwards."""
    said = json.loads(folder.with_name(f"{folder.name}-decisions.json").read_text(encoding="utf-8"))
    brand = sites.create(workspace, Identity.model_validate(said["brief"]))
    for name, data, reading in _read(folder):
        stored = sources.store(workspace, data)
        state = SourceFile.State.FAILED if reading["problem"] else SourceFile.State.READ
        SourceFile.objects.create(brand=brand, name=name, stored=stored, size=len(data), state=state, reading=reading)
    known = sources.facts(brand, Decisions())
    requests = [
        Request(fact=fact.id, action=wanted["action"]) for wanted in said["decisions"] for fact in known if _meant(fact, wanted)
    ]
    deciding.act(brand, None, {IDENTITY: 1, DECISIONS: 1}, requests)
    history.replan(brand, None)
    brand.entries.all().delete()
    return brand


def _meant(fact: Fact, wanted: dict[str, Any]) -> bool:
    return fact.usable and fact.group == wanted["group"] and ("label" not in wanted or fact.label in wanted["label"])


@cache
def _read(folder: Path) -> list[tuple[str, bytes, dict[str, Any]]]:
    """Name, bytes and reading of every file of a folder. Kept, since a folder is read once in a process."""
    files = {str(file.relative_to(folder)): file.read_bytes() for file in sorted(folder.rglob("*")) if file.is_file()}
    return [
        (name, data, readers().read(name, data, beside(name, files)).model_dump(mode="json")) for name, data in files.items()
    ]
