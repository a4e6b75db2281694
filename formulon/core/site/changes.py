"""Changes: structured edits of a site's documents (documents.py), as JSON Patch (RFC 6902)."""

import copy
import json
from collections.abc import Iterable
from typing import Any

import jsonpatch
import jsonpointer
from pydantic import ValidationError

from formulon.core.errors import ChangeError
from formulon.core.site.documents import kind_of, models, page_of, site_from
from formulon.core.site.site import Site
from formulon.core.system.documents.identity import Model


class Change(Model):
    """A JSON Patch on one document."""

    document: str
    patch: list[dict[str, Any]]


MOST_OPERATIONS = 400
MOST_BYTES = 4_000_000  # of a document, as JSON: a mark of a megabyte fits, what copies itself over and over does not


def patched(document: str, body: dict[str, Any], patch: list[dict[str, Any]]) -> dict[str, Any]:
    """The body after a patch, checked and in its full form. Raises ChangeError with what does not fit: more than
    MOST_OPERATIONS, a document that grows over MOST_BYTES on the way, or a page that would get another id."""
    if len(patch) > MOST_OPERATIONS:
        raise ChangeError(f"A change has {MOST_OPERATIONS} operations at most; this one has {len(patch)}. Make it in parts.")
    if kind_of(document).completed:
        body = checked(document, body)  # so that a patch finds what an older document does not have yet
    try:
        changed = _applied(document, body, patch)
    except (jsonpatch.JsonPatchException, jsonpointer.JsonPointerException, TypeError, ValueError, KeyError) as error:
        raise ChangeError(f"The change does not fit the document “{document}” as it is now: {error}") from error
    made = checked(document, changed)
    if page_of(document) not in (None, made.get("id")):
        raise ChangeError("A page keeps its id, since links lead to it. Give the page another name instead.")
    return made


def edited(document: str, body: dict[str, Any] | None, patch: list[dict[str, Any]]) -> dict[str, Any] | None:
    """The body after a patch that may also make a page, by an `add` of the whole, or take one away, by a `remove` of the whole (RFC
    6901: the empty pointer is the whole document). None stands for a document that is not there. Raises ChangeError as `patched`."""
    whole = patch[0].get("op") if len(patch) == 1 and patch[0].get("path") == "" else None
    if whole == "remove" or body is None:
        if page_of(document) is None or (body is None and whole != "add"):
            raise ChangeError(f"There is no document “{document}”." if body is None else f"A brand always has “{document}”.")
        if whole == "remove":
            return None
        made = checked(document, patch[0].get("value"))
        if page_of(document) != made.get("id"):
            raise ChangeError("A page's document goes by the page's id.")
        return made
    return patched(document, body, patch)


def _applied(document: str, body: dict[str, Any], patch: list[dict[str, Any]]) -> Any:
    """The body after the operations, one after the other; what is copied counts before it is."""
    size, body = len(json.dumps(body)), copy.deepcopy(body)
    for operation in patch:
        if isinstance(operation, dict) and operation.get("op") == "copy":
            size += len(json.dumps(jsonpointer.resolve_pointer(body, str(operation.get("from", "")))))
        elif isinstance(operation, dict):
            size += len(json.dumps(operation.get("value")))
        if size > MOST_BYTES:
            raise ChangeError(f"The document “{document}” would grow over {MOST_BYTES // 1_000_000} MB. Make it smaller.")
        body = jsonpatch.JsonPatch([operation]).apply(body, in_place=True)
    return body


def checked(document: str, body: Any) -> dict[str, Any]:
    """A body in its full form. Raises ChangeError with the first thing that does not fit, in words."""
    try:
        return kind_of(document).model.model_validate(body).model_dump()
    except ValidationError as error:
        raise ChangeError(explain(error)) from error


def explain(error: ValidationError) -> str:
    """The first problem of a validation, as a sentence that names its place."""
    first = error.errors()[0]
    place = ".".join(str(part) for part in first["loc"])
    message = first["msg"].removeprefix("Value error, ")
    more = f" ({error.error_count() - 1} more)" if error.error_count() > 1 else ""
    return f"{place}: {message}{more}" if place else f"{message}{more}"


def apply(site: Site, changes: Iterable[Change]) -> Site:
    """The site after changes; what they leave alone is taken over as it is. Raises ChangeError where one does not fit."""
    parts = models(site)
    for change in changes:
        part = parts.get(change.document)
        body = edited(change.document, part.model_dump() if part else None, change.patch)
        if body is None:
            del parts[change.document]
        else:
            parts[change.document] = kind_of(change.document).model.model_validate(body)
    return site_from(parts, site.assets, site.library)


def pointer(*parts: str | int) -> str:
    """A JSON Pointer (RFC 6901) of the given parts."""
    return str(jsonpointer.JsonPointer.from_parts(parts).path)
