"""The built-in host: published sites, under another host name than the studio.

A file of a release never changes, so what asks for it by its content ("?v=" and the beginning of its hash) may keep it for a
year; everything else is asked for again, and answered with 304 where it is the same. Texts are sent compressed.
"""

import gzip
import re
from collections.abc import Callable
from functools import lru_cache
from urllib.parse import urlsplit

import brotli
from django.conf import settings
from django.http import Http404, HttpRequest, HttpResponse, HttpResponseNotAllowed, HttpResponseRedirect, QueryDict
from django.http.request import split_domain_port

from formulon.core.site.attached import FORMS
from formulon.core.site.forms import MOST_ANY, corrected
from formulon.core.site.slot_types.form import SENT
from formulon.studio.models import Blob, Release
from formulon.studio.services import enquiries
from formulon.studio.services.enquiries import Taken

_TYPES = {
    "html": "text/html; charset=utf-8",
    "css": "text/css; charset=utf-8",
    "svg": "image/svg+xml",
    "png": "image/png",
    "ico": "image/x-icon",
    "webmanifest": "application/manifest+json",
    "webp": "image/webp",
    "avif": "image/avif",
    "woff2": "font/woff2",
    "txt": "text/plain; charset=utf-8",
    "xml": "application/xml; charset=utf-8",
}
_TEXTS = ("html", "css", "svg", "webmanifest", "txt", "xml")
_LEAST = 400  # bytes from which compressing is worth it
_HEADERS = {
    "Content-Security-Policy": (
        "default-src 'none'; style-src 'self'; img-src 'self' data:; font-src 'self'; manifest-src 'self'; base-uri 'none'; "
        "form-action 'self' https:; connect-src 'self'"  # pages have no scripts; audits of a page fetch its robots.txt
    ),
    "X-Content-Type-Options": "nosniff",
    "Referrer-Policy": "strict-origin-when-cross-origin",
}
_YEAR = "public, max-age=31536000, immutable"
_NOT_FOUND = "404.html"
_LANGUAGE = r"([a-z]{2,3}(?:-[A-Za-z0-9]{2,8})*)/"
_SENT = re.compile(rf"/([a-z0-9-]+)/(?:{_LANGUAGE})?{SENT}([a-z0-9-]{{1,60}})/([a-z0-9-]{{1,60}})")
_FORM = "application/x-www-form-urlencoded"  # as browsers send forms that say nothing else


def name_of(request: HttpRequest) -> str:
    """The host that is asked for, as names are compared: in lower case, without port and without the full stop at its end."""
    return split_domain_port(request.get_host())[0].rstrip(".")


class SitesHostMiddleware:
    """Hands requests for the sites' host name to addresses of their own, past sessions and sign-in. The studio answers under
    its own name only."""

    def __init__(self, get_response: Callable[[HttpRequest], HttpResponse]) -> None:
        self.get_response = get_response

    def __call__(self, request: HttpRequest) -> HttpResponse:
        name = name_of(request)
        if name == settings.STUDIO_HOST:
            return self.get_response(request)
        if name != settings.SITES_HOST:
            return HttpResponse("There is nothing at this name.", status=404, content_type=_TYPES["txt"])
        sent = _SENT.fullmatch(request.path)
        if request.method == "POST" and sent:
            return _take(request, *sent.groups())
        if request.method not in ("GET", "HEAD"):
            return HttpResponseNotAllowed(["GET", "HEAD"])
        if sent:  # an address that somebody keeps, or comes back to
            return HttpResponseRedirect(f"/{sent[1]}/")
        return _serve(request)


def _take(request: HttpRequest, slug: str, language: str | None, page: str, section: str) -> HttpResponse:
    """What a visitor sends through a form: kept and thanked for, or the page once more with what is wrong."""
    try:
        release = _whole_release(slug)
        form = enquiries.form_in(release, page, section, language or "")
    except Http404:
        form = None
    if form is None:
        return not_found(request)
    if int(request.META.get("CONTENT_LENGTH") or 0) > MOST_ANY or request.content_type != _FORM:
        return HttpResponse("That is more than a form holds.", status=413, content_type=_TYPES["txt"], headers=_HEADERS)
    taken, sent = enquiries.take(release, form, QueryDict(request.body, encoding="utf-8"), request.META.get("REMOTE_ADDR", ""))
    folder = f"{language}/" if language else ""
    root = f"/{slug}/{folder}"
    if taken is Taken.KEPT:
        own = form.site.frame.address
        if own and request.headers.get("Origin", "-") == own[: len(own) - len(urlsplit(own).path)]:
            root = own  # sent from where the site stands, which is elsewhere
        return HttpResponse(status=303, headers={**_HEADERS, "Location": root + form.after, "Cache-Control": "no-store"})
    status = {Taken.WRONG: 422, Taken.TOO_MANY: 429, Taken.NO_ROOM: 503}[taken]
    whole = "" if taken is Taken.WRONG else taken.value
    shown = _bytes(release.files[folder + form.file])
    made = corrected(shown, form.name, form.value, sent, form.site.identity.language, root, whole)
    return _whole(made, "html", {**_HEADERS, "Cache-Control": "no-store"}, status)


def _serve(request: HttpRequest) -> HttpResponse:
    slug, _, name = request.path.lstrip("/").partition("/")
    try:
        if not slug:
            return front(request)
        return site_file(request, slug, name) if "/" in request.path[1:] else site_root(request, slug)
    except Http404:
        return not_found(request)


def front(request: HttpRequest) -> HttpResponse:
    """The host's own front: it lists nothing."""
    return HttpResponse("Published sites stand under their own names here.", content_type="text/plain; charset=utf-8")


def site_root(request: HttpRequest, slug: str) -> HttpResponse:
    """The name without its slash, so that links within the site work."""
    _live(slug)
    return HttpResponseRedirect(f"/{slug}/")


def site_file(request: HttpRequest, slug: str, name: str) -> HttpResponse:
    """A file of the live release; the folder itself is its start page. What is not there is answered with the site's own page
    for that."""
    release = _live(slug)
    path = f"{name}index.html" if not name or name.endswith("/") else name
    digest = release.files.get(path)
    if digest is None and f"{name}/index.html" in release.files:
        return HttpResponseRedirect(f"/{slug}/{name}/")  # a language without its slash
    if digest is None:
        return _missing(request, slug, release, name)
    kind = path.rsplit(".", 1)[-1]
    packed = (kind in _TEXTS and _wanted(request)) or ""
    etag = f'"{digest[:32]}{"-" + packed if packed else ""}"'
    version = request.GET.get("v", "")
    headers = {**_HEADERS, "ETag": etag, "Cache-Control": _YEAR if version and digest.startswith(version) else "no-cache"}
    if kind in _TEXTS:
        headers["Vary"] = "Accept-Encoding"
    if etag in [one.strip().removeprefix("W/") for one in request.headers.get("If-None-Match", "").split(",")]:
        return HttpResponse(status=304, headers=headers)
    data = _bytes(digest)
    if packed and len(data) >= _LEAST:
        data, headers["Content-Encoding"] = _packed(digest, packed), packed
        return _whole(data, kind, headers)
    headers["Accept-Ranges"] = "bytes"
    part = _range(request.headers.get("Range", ""), len(data))
    if part is None or ("If-Range" in request.headers and request.headers["If-Range"] != etag):
        return _whole(data, kind, headers)
    first, last = part
    if first > last:
        return HttpResponse(status=416, headers={**headers, "Content-Range": f"bytes */{len(data)}"})
    headers["Content-Range"] = f"bytes {first}-{last}/{len(data)}"
    return _whole(data[first : last + 1], kind, headers, 206)


def _whole(data: bytes, kind: str, headers: dict[str, str], status: int = 200) -> HttpResponse:
    headers = {**headers, "Content-Length": str(len(data))}
    return HttpResponse(data, status=status, content_type=media_of(kind), headers=headers)


def media_of(ending: str) -> str:
    """The media type of a published file by its ending."""
    return _TYPES.get(ending) or (FORMS[ending].media if ending in FORMS else "application/octet-stream")


def _wanted(request: HttpRequest) -> str:
    """The compression that is asked for, the better one first; none where a part of the file is."""
    if "Range" in request.headers:
        return ""
    told = [part.strip().split(";") for part in request.headers.get("Accept-Encoding", "").split(",")]
    taken = {name[0].strip() for name in told if not any(re.fullmatch(r"\s*q=0(\.0*)?\s*", one) for one in name[1:])}
    return next((one for one in ("br", "gzip") if one in taken), "")


def _range(text: str, size: int) -> tuple[int, int] | None:
    """The first and the last byte of a range (RFC 9110, 14.1.2); the first is behind the last where it cannot be met. None
    where the whole is sent: without a range, and for several at once."""
    found = re.fullmatch(r"bytes=(\d*)-(\d*)", text.strip())
    if not found or found[1] == found[2] == "":
        return None
    if not found[1]:
        return max(0, size - int(found[2])), size - 1
    first, last = int(found[1]), min(int(found[2]) if found[2] else size - 1, size - 1)
    return (first, last) if first < size else (1, 0)


@lru_cache(maxsize=256)
def _bytes(digest: str) -> bytes:
    return bytes(Blob.objects.values_list("data", flat=True).get(pk=digest))


@lru_cache(maxsize=512)
def _packed(digest: str, how: str) -> bytes:
    data = _bytes(digest)
    return brotli.compress(data, quality=9) if how == "br" else gzip.compress(data, 9, mtime=0)


def _missing(request: HttpRequest, slug: str, release: Release, name: str) -> HttpResponse:
    """The site's own page for what is not there, in the language of the folder, its addresses made whole, since it answers in any."""
    folder = name.partition("/")[0] + "/" if f"{name.partition('/')[0]}/{_NOT_FOUND}" in release.files else ""
    digest = release.files.get(folder + _NOT_FOUND)
    if digest is None:
        raise Http404
    text = re.sub(r'(href|src|action)="(?![a-z]+:|/|#)', rf'\1="/{slug}/{folder}', _bytes(digest).decode())
    return _whole(text.encode(), "html", {**_HEADERS, "Cache-Control": "no-cache"}, 404)


def not_found(request: HttpRequest) -> HttpResponse:
    """There is no such page, and no site whose page could say so."""
    return HttpResponse("There is no page here.", status=404, content_type="text/plain; charset=utf-8", headers=_HEADERS)


def _whole_release(slug: str) -> Release:
    release = Release.objects.filter(brand__slug=slug).order_by("-number").first()
    if release is None:
        raise Http404
    return release


def _live(slug: str) -> Release:
    release = Release.objects.filter(brand__slug=slug).defer("snapshot").order_by("-number").first()
    if release is None:
        raise Http404
    return release
