"""The one page of the interface."""

from functools import cache

from django.conf import settings
from django.http import HttpRequest, HttpResponse
from django.views.decorators.csrf import ensure_csrf_cookie
from django.views.decorators.http import require_GET


@cache
def _index() -> bytes:
    path = settings.ROOT / "web" / "dist" / "index.html"
    return path.read_bytes() if path.exists() else b"The interface is not built. Run ./start, which builds it."


@require_GET
@ensure_csrf_cookie
def interface(request: HttpRequest) -> HttpResponse:
    """The interface, for every address that is not the API's."""
    return HttpResponse(_index(), headers={"Cache-Control": "no-cache"})
