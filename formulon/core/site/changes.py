"""Changes: structured edits of a site's documents, as JSON Patch (RFC 6902).

A site is cut into documents that are revised apart: "identity", "choices", "frame" and "page:<id>" for each page.
"""

import copy
import json
from collections.abc import Iterable
from typing import Any, cast

import jsonpatch
import jsonpointer
from pydantic import ValidationError

from formulon.core.errors import ChangeError
from formulon.core.site.model import Frame, Page, Site
from formulon.core.system.choices import Choices
from formulon.core.system.decisions import Decisions
from formulon.core.system.identity import Identity, Model


class Change(Model):
    """A JSON Patch on one document."""

    document: str
    patch: list[dict[str, Any]]


def model_of(document: str) -> type[Model]:
    """The model that a document must fit. Raises ChangeError for a name that is none."""
    if document.startswith("page:"):
        return Page
    models: dict[str, type[Model]] = {"identity": Identity, "choices": Choices, "frame": Frame, "decisions": Decisions}
    try:
        return models[document]
    except KeyError:
        raise ChangeError(f"There is no document “{document}”.") from None


MOST_OPERATIONS = 400
MOST_BYTES = 4_000_000  # of a document, as JSON: a mark of a megabyte fits, what copies itself over and over does not


def patched(document: str, body: dict[str, Any], patch: list[dict[str, Any]]) -> dict[str, Any]:
    """The body after a patch, checked and in its full form. Raises ChangeError with what does not fit: more than
    MOST_OPERATIONS, a document that grows over MOST_BYTES on the way, or a page that would get another id."""
    if len(patch) > MOST_OPERATIONS:
        raise ChangeError(f"A change has {MOST_OPERATIONS} operations at most; this one has {len(patch)}. Make it in parts.")
    if document == "choices" or document.startswith("page:"):
        body = checked(document, body)  # so that a patch finds what an older document does not have yet
    try:
        changed = _applied(document, body, patch)
    except (jsonpatch.JsonPatchException, jsonpointer.JsonPointerException, TypeError, ValueError, KeyError) as error:
        raise ChangeError(f"The change does not fit the document “{document}” as it is now: {error}") from error
    made = checked(document, changed)
    if document.startswith("page:") and made["id"] != document.removeprefix("page:"):
        raise ChangeError("A page keeps its id, since links lead to it. Give the page another name instead.")
    return made


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
        return model_of(document).model_validate(body).model_dump()
    except ValidationError as error:
        raise ChangeError(explain(error)) from error


def explain(error: ValidationError) -> str:
    """The first problem of a validation, as a sentence that names its place."""
    first = error.errors()[0]
    place = ".".join(str(part) for part in first["loc"])
    message = first["msg"].removeprefix("Value error, ")
    more = f" ({error.error_count() - 1} more)" if error.error_count() > 1 else ""
    return f"{place}: {message}{more}" if place else f"{message}{more}"


def documents(site: Site) -> dict[str, dict[str, Any]]:
    """The documents of a site by name."""
    made = {
        "identity": site.identity.model_dump(),
        "choices": site.choices.model_dump(),
        "frame": site.frame.model_dump(),
    }
    return made | {f"page:{page.id}": page.model_dump() for page in site.own_pages()}


def apply(site: Site, changes: Iterable[Change]) -> Site:
    """The site after changes; what they leave alone is taken over as it is. Raises ChangeError where one does not fit."""
    parts: dict[str, Model] = {"identity": site.identity, "choices": site.choices, "frame": site.frame}
    parts |= {f"page:{page.id}": page for page in site.own_pages()}
    for change in changes:
        if change.document not in parts:
            raise ChangeError(f"There is no document “{change.document}”.")
        body = patched(change.document, parts[change.document].model_dump(), change.patch)
        parts[change.document] = model_of(change.document).model_validate(body)
    return Site(
        identity=cast(Identity, parts["identity"]),
        choices=cast(Choices, parts["choices"]),
        frame=cast(Frame, parts["frame"]).model_copy(deep=True),
        pages=[cast(Page, part) for name, part in parts.items() if name.startswith("page:")],
        assets=site.assets,
    )


def pointer(*parts: str | int) -> str:
    """A JSON Pointer (RFC 6901) of the given parts."""
    return str(jsonpointer.JsonPointer.from_parts(parts).path)
