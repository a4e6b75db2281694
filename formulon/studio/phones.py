"""What a phone in the local network gets: the site of a brand as it is now, under a token that holds for an hour. It answers nothing else,
neither the studio nor what is published, and takes nothing."""

import logging
import re
from collections.abc import Callable, Iterable
from typing import Any

from django.db import close_old_connections
from django.utils import timezone

from formulon.core.site.editions import rendered
from formulon.studio.host import media_of
from formulon.studio.models import Brand, PhonePreview
from formulon.studio.services.sites import assets_of, blob_of, bodies_of, site_in

log = logging.getLogger("formulon")
Start = Callable[[str, list[tuple[str, str]]], Any]
_HEADERS = [
    ("Content-Security-Policy", "default-src 'none'; style-src 'self'; img-src 'self' data:; font-src 'self'; base-uri 'none'; form-action 'none'"),
    ("X-Content-Type-Options", "nosniff"),
    ("Referrer-Policy", "no-referrer"),
    ("X-Robots-Tag", "noindex"),
    ("Cache-Control", "no-store"),
]  # fmt: skip
_TOKEN = re.compile(r"[A-Za-z0-9_-]{16,40}")
_known: dict[Any, tuple[object, dict[str, bytes]]] = {}
_MOST_KNOWN = 4


def application(environ: dict[str, Any], start: Start) -> Iterable[bytes]:
    """The WSGI application (PEP 3333)."""
    close_old_connections()
    try:
        return _answer(environ, start)
    finally:
        close_old_connections()


def _answer(environ: dict[str, Any], start: Start) -> Iterable[bytes]:
    if environ["REQUEST_METHOD"] not in ("GET", "HEAD"):
        return _text(start, "405 Method Not Allowed", "This is a preview: nothing is sent from here.")
    token, slash, name = environ.get("PATH_INFO", "").lstrip("/").partition("/")
    open_now = PhonePreview.objects.select_related("brand").filter(until__gt=timezone.now())
    preview = open_now.filter(token=token).first() if _TOKEN.fullmatch(token) else None
    if preview is None:
        return _text(
            start, "404 Not Found", "There is nothing here. A preview lasts for an hour; ask for a new one in the studio."
        )
    if not slash:
        start("302 Found", [*_HEADERS, ("Location", f"/{token}/")])
        return [b""]
    try:
        files = _files(preview.brand)
    except Exception:
        log.exception("The preview of %s cannot be drawn", preview.brand)
        return _text(start, "503 Service Unavailable", "The site cannot be drawn as it is. Look at it in the studio.")
    name = f"{name}index.html" if not name or name.endswith("/") else name
    data, status = files.get(name), "200 OK"
    if data is None:
        data, name, status = files["404.html"], "404.html", "404 Not Found"
    start(status, [*_HEADERS, ("Content-Type", media_of(name.rpartition(".")[2])), ("Content-Length", str(len(data)))])
    return [b"" if environ["REQUEST_METHOD"] == "HEAD" else data]


def _text(start: Start, status: str, said: str) -> Iterable[bytes]:
    data = f"{said}\n".encode()
    start(status, [*_HEADERS, ("Content-Type", "text/plain; charset=utf-8"), ("Content-Length", str(len(data)))])
    return [data]


def _files(brand: Brand) -> dict[str, bytes]:
    """Every file of the site as it is now, drawn once for a state of its documents and pictures."""
    bodies, revisions = bodies_of(brand)
    assets = assets_of(brand)
    state = (revisions, [(one.id, len(one.renditions)) for one in assets])
    known = _known.get(brand.pk)
    if known is None or known[0] != state:
        known = _known[brand.pk] = (state, rendered(site_in(brand, bodies, assets), blob_of(brand)))
        for other in list(_known)[:-_MOST_KNOWN]:
            del _known[other]
    return known[1]
