"""The one page of the interface."""

from functools import cache

from django.conf import settings
from django.db import DatabaseError, connection
from django.http import HttpRequest, HttpResponse, JsonResponse
from django.views.decorators.csrf import ensure_csrf_cookie
from django.views.decorators.http import require_GET

_SILENT = 60  # seconds without a heartbeat, after which a worker counts as gone; it beats every ten


@cache
def _index() -> bytes:
    path = settings.ROOT / "web" / "dist" / "index.html"
    return path.read_bytes() if path.exists() else b"The interface is not built. Run ./start, which builds it."


@require_GET
def health(request: HttpRequest) -> JsonResponse:
    """Whether the server reaches its database, and when a worker was last heard of: 200 where all is well, else 503."""
    told: dict[str, object] = {"database": False, "worker": None}
    seconds = None
    try:
        with connection.cursor() as cursor:
            cursor.execute("select extract(epoch from now() - max(last_heartbeat)) from procrastinate_workers")
            seconds = (cursor.fetchone() or [None])[0]
        told = {"database": True, "worker": None if seconds is None else round(float(seconds), 1)}
    except DatabaseError:
        pass
    well = told["database"] and seconds is not None and seconds < _SILENT
    return JsonResponse({"well": bool(well), **told}, status=200 if well else 503, headers={"Cache-Control": "no-store"})


@require_GET
@ensure_csrf_cookie
def interface(request: HttpRequest) -> HttpResponse:
    """The interface, for every address that is not the API's."""
    return HttpResponse(_index(), headers={"Cache-Control": "no-cache"})
