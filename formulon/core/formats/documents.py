"""Reading the project's own JSON documents: IDENTITY.json, CHOICES.json and SITE.json."""

import json
from collections.abc import Callable
from typing import Any, TypeVar

from pydantic import ValidationError

from formulon.core.errors import FormulonError, IdentityError, SiteError
from formulon.core.identity.svg import rebuild
from formulon.core.site.changes import explain
from formulon.core.site.planning.planner import plan
from formulon.core.site.site import Asset, Frame, Page, Site
from formulon.core.site.translations import Languages
from formulon.core.system.documents.checks import Checks
from formulon.core.system.documents.choices import Choices
from formulon.core.system.documents.identity import Identity, Model

M = TypeVar("M", bound=Model)
Opener = Callable[[str], bytes]
_MOST_BYTES = 20_000_000


def parse(data: bytes, name: str) -> dict[str, Any]:
    """The JSON object of a file. Raises SiteError that names the file, the place and the remedy."""
    if len(data) > _MOST_BYTES:
        raise SiteError(f"{name}: the file has {len(data) // 1_000_000} MB; {_MOST_BYTES // 1_000_000} MB is the most.")
    try:
        found = json.loads(data)
    except RecursionError as error:
        raise SiteError(f"{name}: the JSON is nested too deeply. Write it flat, as docs/formats.md shows.") from error
    except ValueError as error:
        raise SiteError(f"{name}: this is not JSON ({error}). Save it as UTF-8 JSON, as docs/formats.md shows.") from error
    if not isinstance(found, dict):
        raise SiteError(f"{name}: the file holds no JSON object. See docs/formats.md for its form.")
    return found


def load_identity(data: bytes, name: str) -> Identity:
    """The identity of IDENTITY.json, its marks rebuilt. Raises IdentityError."""
    return _identity(parse(data, name), name)


def load_choices(data: bytes, name: str) -> Choices:
    """The choices of CHOICES.json. Raises SiteError."""
    return _fit(Choices, parse(data, name), name, SiteError)


def load_site(data: bytes, name: str, open_file: Opener) -> Site:
    """The site of SITE.json. `identity`, `choices`, `frame`, `languages`, `checks` and each page may be the name of another file, which
    `open_file` reads; without pages the planner makes four. Raises SiteError or IdentityError."""
    body = parse(data, name)
    unknown = set(body) - {"identity", "choices", "frame", "pages", "assets", "languages", "checks"}
    if unknown:
        raise SiteError(f"{name}: “{sorted(unknown)[0]}” is not known. See docs/formats.md for the form of a site.")

    def part(value: Any, what: str) -> tuple[Any, str]:
        return (parse(open_file(value), value), value) if isinstance(value, str) else (value, f"{name}, {what}")

    if "identity" not in body:
        raise SiteError(f"{name}: the site has no identity. Write it in, or name its file.")
    identity = _identity(*part(body["identity"], "identity"))
    choices = _fit(Choices, *part(body.get("choices", {}), "choices"), SiteError)
    assets = [_asset(asset, f"{name}, picture {index + 1}") for index, asset in enumerate(_list(body, "assets", name))]
    if "pages" in body and not body["pages"] and isinstance(body["pages"], list):
        raise SiteError(f"{name}: the site has no page. Leave “pages” out to have four planned.")
    planned = plan(identity, choices, assets)
    pages = [_fit(Page, *part(page, f"page {index + 1}"), SiteError) for index, page in enumerate(_list(body, "pages", name))]
    frame = _fit(Frame, *part(body["frame"], "frame"), SiteError) if "frame" in body else planned.frame
    languages = _fit(Languages, *part(body.get("languages", {}), "languages"), SiteError)
    checks = _fit(Checks, *part(body.get("checks", {}), "checks"), SiteError)
    try:
        return Site(
            identity=identity, choices=choices, frame=frame, pages=pages or planned.pages, assets=assets, languages=languages,
            checks=checks,
        )  # fmt: skip
    except ValidationError as error:
        raise SiteError(f"{name}: {explain(error)}") from error


def _list(body: dict[str, Any], key: str, name: str) -> list[Any]:
    found = body.get(key, [])
    if not isinstance(found, list):
        raise SiteError(f"{name}: “{key}” takes a list. See docs/formats.md for the form of a site.")
    return found


def _identity(body: Any, name: str) -> Identity:
    marks = body.get("marks") if isinstance(body, dict) else None
    for index, mark in enumerate(marks if isinstance(marks, list) else []):
        if isinstance(mark, dict) and isinstance(mark.get("svg"), str):
            mark["svg"] = rebuild(mark["svg"].encode(), f"{name}, mark {index + 1}").svg
    return _fit(Identity, body, name, IdentityError)


def _asset(body: Any, name: str) -> Asset:
    if not isinstance(body, dict) or not isinstance(body.get("svg"), str):
        raise SiteError(f"{name}: a picture needs an id, a name and its svg.")
    read = rebuild(body["svg"].encode(), name)
    return _fit(Asset, {**body, "svg": read.svg, "width": read.width, "height": read.height}, name, SiteError)


def _fit(model: type[M], body: Any, name: str, error_type: type[FormulonError]) -> M:
    try:
        return model.model_validate(body)
    except ValidationError as error:
        raise error_type(f"{name}: {explain(error)}") from error
