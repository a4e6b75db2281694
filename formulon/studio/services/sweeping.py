"""Giving space back: files and blobs to which nothing refers any more; and how much a workspace may keep."""

import re
from datetime import timedelta

from django.conf import settings
from django.db.models import Sum, TextField
from django.db.models.functions import Cast
from django.utils import timezone

from formulon.core.site.documents import IDENTITY
from formulon.studio.errors import UploadRefused
from formulon.studio.models import Blob, Document, Entry, Picture, Release, SourceFile, StoredFile

_DIGEST = re.compile(r"[0-9a-f]{64}")
FRESH = timedelta(minutes=10)  # what has just been kept may belong to a change that is not stored yet


def sweep(fresh: timedelta = FRESH) -> tuple[int, int]:
    """Deletes files and blobs that no brand, history or release names; returns how many of each."""
    before = timezone.now() - fresh
    used = set(SourceFile.objects.values_list("stored__sha256", flat=True))
    for renditions in Picture.objects.values_list("renditions", flat=True):
        used |= {one["sha256"] for one in renditions}
    # Typefaces and files to hand out are named by the identity, as it is, as it was, and as it was published.
    for part in ("fonts", "files"):
        named = Document.objects.filter(name=IDENTITY).annotate(text=Cast(f"body__{part}", TextField()))
        published_with = Release.objects.annotate(text=Cast(f"snapshot__identity__{part}", TextField()))
        for text in (*named.values_list("text", flat=True), *published_with.values_list("text", flat=True)):
            used |= set(_DIGEST.findall(text or ""))
    entries = Entry.objects.annotate(text=Cast("edits", TextField())).filter(text__contains="sha256")
    for text in entries.values_list("text", flat=True).iterator():
        used |= set(_DIGEST.findall(text))
    files = StoredFile.objects.filter(touched__lt=before).exclude(sha256__in=used).delete()[0]
    published: set[str] = set()
    for paths in Release.objects.values_list("files", flat=True).iterator():
        published |= set(paths.values())
    blobs = Blob.objects.filter(made__lt=before).exclude(pk__in=published).delete()[0]
    return files, blobs


def used_by(workspace_id: int) -> int:
    """Bytes that a workspace keeps: its files, and those of its releases, each once."""
    files = StoredFile.objects.filter(workspace_id=workspace_id).aggregate(sum=Sum("size"))["sum"] or 0
    published: set[str] = set()
    for paths in Release.objects.filter(brand__workspace_id=workspace_id).values_list("files", flat=True).iterator():
        published |= set(paths.values())
    return int(files) + int(Blob.objects.filter(pk__in=published).aggregate(sum=Sum("size"))["sum"] or 0)


def refuse_over_quota(workspace_id: int, more: int) -> None:
    """Raises UploadRefused where a workspace would keep more than settings.WORKSPACE_QUOTA bytes."""
    most, used = settings.WORKSPACE_QUOTA, used_by(workspace_id)
    if used + more > most:
        raise UploadRefused(
            f"The workspace keeps {used / 1e6:,.0f} MB of {most / 1e6:,.0f} MB, and this has {more / 1e6:,.1f} MB. "
            "Take files, old brands or releases out first, or ask for more room."
        )
