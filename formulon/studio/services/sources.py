"""The brand's files: kept by content, read in the background one by one, and what they say together."""

import base64
import hashlib
import re
from collections.abc import Iterable, Sequence
from concurrent.futures import FIRST_COMPLETED, Future, ThreadPoolExecutor, wait
from functools import lru_cache, reduce
from operator import or_
from typing import Any

from django.contrib.auth.models import User
from django.db import transaction
from django.db.models import Q, QuerySet
from django.utils import timezone
from procrastinate.contrib.django import app

from formulon.core.identity.evidence import Fact
from formulon.core.identity.facts import facts_of
from formulon.core.identity.isolated import AT_ONCE, readers
from formulon.core.identity.reading import MOST_BESIDE, MOST_BYTES, MOST_BYTES_BESIDE, READERS, beside, read_with
from formulon.core.identity.sightings import Reading
from formulon.core.system.documents.decisions import Decisions
from formulon.studio.errors import UploadRefused
from formulon.studio.models import Brand, Intake, SourceFile, StoredFile, Workspace
from formulon.studio.services.sweeping import refuse_over_quota

MOST_FILES = 300
MOST_TOGETHER = 200_000_000


def add(brand: Brand, author: User | None, files: Iterable[tuple[str, bytes]]) -> Intake:
    """Keeps the files and asks the worker to read them. A file of the same name takes the place of the earlier one.

    Raises UploadRefused where they are too many or too large; nothing is kept then."""
    given = [(safe_name(name), data) for name, data in files]
    if not given:
        raise UploadRefused("There is no file in the upload. Drop the brand’s files, a folder or a ZIP.")
    if brand.sources.count() + len(given) > MOST_FILES:
        raise UploadRefused(f"A brand may have {MOST_FILES} files. Take some out, or add fewer.")
    if sum(len(data) for _, data in given) > MOST_TOGETHER:
        raise UploadRefused(f"The files have more than {MOST_TOGETHER // 1_000_000} MB together. Add them in parts.")
    for name, data in given:
        if len(data) > MOST_BYTES:
            raise UploadRefused(
                f"{name}: the file has {len(data) // 1_000_000} MB; {MOST_BYTES // 1_000_000} is the most. Make it smaller."
            )
    with transaction.atomic():
        intake = Intake.objects.create(brand=brand, author=author)
        for name, data in given:
            _keep(brand, intake, name, data)
        app.configure_task("read_intake", queue="reading").defer(intake_id=intake.pk)
    return intake


def safe_name(name: str) -> str:
    """A file's path without control characters and without anything that leads out of its folder."""
    plain = re.sub(r"[\x00-\x1f\x7f<>\"]", "", name.replace("\\", "/"))
    return "/".join(part for part in plain.split("/") if part not in ("", ".", ".."))[-200:] or "file"


def rendition(workspace: int, width: int, form: str, data: bytes) -> dict[str, Any]:
    """One size of a photograph, kept, as its picture lists it."""
    return {"width": width, "form": form, "sha256": store(workspace, data).sha256, "size": len(data)}


def store(workspace: Workspace | int, data: bytes) -> StoredFile:
    """The workspace's copy of these bytes."""
    key = workspace if isinstance(workspace, int) else workspace.pk
    digest = hashlib.sha256(data).hexdigest()
    known = StoredFile.objects.filter(workspace_id=key, sha256=digest).defer("data").first()
    if known:
        StoredFile.objects.filter(pk=known.pk).update(touched=timezone.now())
        return known
    refuse_over_quota(key, len(data))
    made = {"data": data, "size": len(data)}
    return StoredFile.objects.get_or_create(workspace_id=key, sha256=digest, defaults=made)[0]


def _keep(brand: Brand, intake: Intake, name: str, data: bytes) -> SourceFile:
    stored = store(brand.workspace_id, data)
    values = {"intake": intake, "stored": stored, "size": len(data), "state": SourceFile.State.WAITING, "reading": None}
    known = SourceFile.objects.filter(brand=brand, name=name).first()
    if known and known.stored_id == stored.pk and known.state == SourceFile.State.READ:
        known.intake = intake
        known.save(update_fields=["intake"])
        return known
    return SourceFile.objects.update_or_create(brand=brand, name=name, defaults=values)[0]


def cancel(brand: Brand) -> None:
    """Stops reading. What has been read stays; the rest is marked and can be read later."""
    going = brand.intakes.filter(state__in=(Intake.State.WAITING, Intake.State.READING))
    waiting = brand.sources.filter(intake__in=going, state=SourceFile.State.WAITING)
    waiting.filter(reading__isnull=False).update(state=SourceFile.State.READ)  # what was seen before holds on
    waiting.update(state=SourceFile.State.CANCELLED)
    going.update(state=Intake.State.CANCELLED)


def again(brand: Brand, author: User | None) -> Intake | None:
    """Reads what was cancelled, once more what failed, and what earlier readers have read. What those saw is shown until then, and
    what was decided stays."""
    with transaction.atomic():
        left = brand.sources.filter(state__in=(SourceFile.State.CANCELLED, SourceFile.State.FAILED))
        earlier = outdated(brand)
        if not left.exists() and not earlier.exists():
            return None
        intake = Intake.objects.create(brand=brand, author=author)
        left.update(intake=intake, state=SourceFile.State.WAITING, reading=None)
        earlier.update(intake=intake, state=SourceFile.State.WAITING)
        app.configure_task("read_intake", queue="reading").defer(intake_id=intake.pk)
    return intake


def outdated(brand: Brand) -> QuerySet[SourceFile]:
    """The files that earlier readers have read, in which those of today may find more."""
    earlier = Q(reading__readers__lt=READERS) | Q(reading__readers__isnull=True)
    return brand.sources.filter(earlier, state=SourceFile.State.READ)


def remove(brand: Brand, file_id: int) -> None:
    """Takes a file and its evidence out. What was decided on it stays."""
    brand.sources.filter(pk=file_id).delete()


def read_intake(intake_id: int) -> None:
    """Reads the files of an intake, two at a time, archives first and style sheets before pages. Runs in the worker."""
    intake = Intake.objects.select_related("brand").filter(pk=intake_id).first()
    if intake is None or intake.state == Intake.State.CANCELLED:
        return
    Intake.objects.filter(pk=intake_id, state=Intake.State.WAITING).update(state=Intake.State.READING)
    with ThreadPoolExecutor(AT_ONCE) as pool:
        # Archives first, since they bring files of their own, archives among them; pages last, since they are read with the
        # style sheets of all.
        while waiting := _waiting(intake):
            archives = [file for file in waiting if _is_archive(file.name)]
            if not _round(pool, intake, archives or [file for file in waiting if not _is_page(file.name)] or waiting):
                return
    Intake.objects.filter(pk=intake_id, state=Intake.State.READING).update(state=Intake.State.DONE)


def _waiting(intake: Intake) -> list[SourceFile]:
    return list(intake.files.filter(state=SourceFile.State.WAITING).order_by("name"))


def _is_archive(name: str) -> bool:
    return name.lower().endswith(".zip")


def _is_page(name: str) -> bool:
    return name.lower().endswith((".html", ".htm"))


def _beside(brand: Brand, files: Sequence[SourceFile]) -> dict[str, bytes]:
    """The brand's files that some of these are read together with."""
    endings = {ending for file in files for ending in read_with(file.name)}
    if not endings:
        return {}
    wanted = reduce(or_, (Q(name__iendswith=ending) for ending in sorted(endings)))
    found = brand.sources.filter(wanted, size__lte=MOST_BYTES_BESIDE).select_related("stored").order_by("name")
    return {one.name: bytes(one.stored.data) for one in found[: 2 * MOST_BESIDE]}


def _cancelled(intake: Intake) -> bool:
    return not Intake.objects.filter(pk=intake.pk, state=Intake.State.READING).exists()


def _round(pool: ThreadPoolExecutor, intake: Intake, files: list[SourceFile]) -> bool:
    """Reads files; False where the intake was cancelled meanwhile. The database is asked by this thread alone."""
    data_beside = _beside(intake.brand, files)
    queue = list(files)
    running: dict[Future[Reading], SourceFile] = {}
    while queue or running:
        if _cancelled(intake):
            for future in running:
                future.cancel()
            return False
        while queue and len(running) < AT_ONCE:
            file = queue.pop(0)
            data = bytes(StoredFile.objects.values_list("data", flat=True).get(pk=file.stored_id))
            future = pool.submit(readers().read, file.name, data, beside(file.name, data_beside))
            running[future] = file
        done, _ = wait(running, timeout=0.5, return_when=FIRST_COMPLETED)
        for future in done:
            _finish(intake, running.pop(future), future.result())
    return True


def _finish(intake: Intake, file: SourceFile, reading: Reading) -> None:
    """Keeps what was read. Files out of an archive join the intake."""
    folder = file.name.rsplit(".", 1)[0]
    with transaction.atomic():
        for part in reading.parts:
            if intake.brand.sources.count() >= MOST_FILES:
                reading.notes.append(f"A brand may have {MOST_FILES} files; the rest of the archive was left out.")
                break
            _keep(intake.brand, intake, safe_name(f"{folder}/{part.name}"), base64.b64decode(part.data))
        reading.parts = []
        state = SourceFile.State.FAILED if reading.problem else SourceFile.State.READ
        body = _storable(reading.model_dump(mode="json"))
        SourceFile.objects.filter(pk=file.pk, state=SourceFile.State.WAITING).update(state=state, reading=body)


def _storable(value: object) -> object:
    """Without what PostgreSQL's JSON cannot hold: zero characters and halves of surrogate pairs."""
    if isinstance(value, str):
        return value.replace("\x00", "").encode("utf-8", "replace").decode()
    if isinstance(value, dict):
        return {key: _storable(part) for key, part in value.items()}
    return [_storable(part) for part in value] if isinstance(value, list) else value


def readings_of(brand: Brand) -> list[Reading]:
    """What was read so far, by file name."""
    seen = Q(state=SourceFile.State.READ) | Q(state=SourceFile.State.WAITING, reading__isnull=False)
    rows = brand.sources.filter(seen).order_by("name").values_list("pk", "stored_id", "reading")
    return [_reading(pk, stored, int((body or {}).get("readers", 1)), _Held(body)) for pk, stored, body in rows]


class _Held:
    """A reading's body that takes no part in the key of the cache."""

    def __init__(self, body: object) -> None:
        self.body = body

    def __eq__(self, other: object) -> bool:
        return isinstance(other, _Held)

    def __hash__(self) -> int:
        return 0


@lru_cache(maxsize=600)
def _reading(pk: int, stored: int, readers: int, held: _Held) -> Reading:
    return Reading.model_validate(held.body)


def facts(brand: Brand, decisions: Decisions) -> list[Fact]:
    """The candidate facts of the brand's files, with what was decided on them."""
    return facts_of(readings_of(brand), decisions)
