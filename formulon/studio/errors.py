"""Errors of the studio's services; the API turns each into a problem document."""

from typing import Any

from formulon.core.errors import FormulonError


class StudioError(FormulonError):
    """Base of the studio's errors. `status` is the HTTP status that the API answers with."""

    code = "studio-error"
    status = 400

    def __init__(self, message: str, **extra: Any) -> None:
        super().__init__(message)
        self.extra = extra


class Stale(StudioError):
    """A write that was based on an older revision. `extra` holds what changed since and the documents as they are."""

    code = "stale"
    status = 409


class NothingToUndo(StudioError):
    code = "nothing-to-undo"
    status = 409


class Stopped(StudioError):
    """A release that preflight holds back."""

    code = "release-stopped"
    status = 409


class Unmeasured(StudioError):
    """A release that waits for pages to be measured."""

    code = "release-unmeasured"
    status = 409


class UploadRefused(StudioError):
    code = "upload-refused"
    status = 422


class Unopenable(StudioError):
    """A change with which the brand could not be opened any more."""

    code = "unopenable"
    status = 422


class ChangedSince(StudioError):
    """Undo or redo of what somebody else has changed since. `extra` holds what, and whether it is possible all the same."""

    code = "changed-since"
    status = 409


class NotYours(StudioError):
    """Undo or redo of what somebody else has done, or that is no longer the newest."""

    code = "not-yours"
    status = 409
