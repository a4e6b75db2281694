"""The built-in host: published sites, under another host name than the studio."""

from collections.abc import Callable

from django.conf import settings
from django.http import Http404, HttpRequest, HttpResponse, HttpResponseRedirect

from formulon.studio.models import Blob, Release

_TYPES = {
    "html": "text/html; charset=utf-8",
    "css": "text/css; charset=utf-8",
    "svg": "image/svg+xml",
    "png": "image/png",
    "ico": "image/x-icon",
    "webmanifest": "application/manifest+json",
    "webp": "image/webp",
    "woff2": "font/woff2",
    "txt": "text/plain; charset=utf-8",
}
_HEADERS = {
    "Content-Security-Policy": (
        "default-src 'none'; style-src 'self'; img-src 'self' data:; font-src 'self'; manifest-src 'self'; base-uri 'none'; "
        "form-action 'none'"
    ),
    "X-Content-Type-Options": "nosniff",
    "Referrer-Policy": "strict-origin-when-cross-origin",
}


class SitesHostMiddleware:
    """Hands requests for the sites' host name to addresses of their own, past sessions and sign-in."""

    def __init__(self, get_response: Callable[[HttpRequest], HttpResponse]) -> None:
        self.get_response = get_response

    def __call__(self, request: HttpRequest) -> HttpResponse:
        name = request.get_host().rsplit(":", 1)[0]
        if name != settings.SITES_HOST:
            return self.get_response(request)
        if request.method not in ("GET", "HEAD"):
            return HttpResponse(status=405)
        return _serve(request)


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
    """A file of the live release; the folder itself is its start page."""
    release = _live(slug)
    path = name or "index.html"
    digest = release.files.get(path)
    if digest is None:
        raise Http404
    etag = f'"{digest[:32]}"'
    headers = {**_HEADERS, "ETag": etag, "Cache-Control": "no-cache"}
    if request.headers.get("If-None-Match") == etag:
        return HttpResponse(status=304, headers=headers)
    data = Blob.objects.get(pk=digest).data
    kind = _TYPES.get(path.rsplit(".", 1)[-1], "application/octet-stream")
    return HttpResponse(bytes(data), content_type=kind, headers=headers)


def not_found(request: HttpRequest) -> HttpResponse:
    """There is no such page."""
    return HttpResponse("There is no page here.", status=404, content_type="text/plain; charset=utf-8", headers=_HEADERS)


def _live(slug: str) -> Release:
    release = Release.objects.filter(brand__slug=slug).order_by("-number").first()
    if release is None:
        raise Http404
    return release
