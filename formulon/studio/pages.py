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
    """Whether the server reaches its database, how many workers live, and when one was last heard of: 200 where all is well, else 503."""
    told: dict[str, object] = {"database": False, "worker": None, "workers": 0}
    live = 0
    try:
        with connection.cursor() as cursor:
            cursor.execute(
                "select extract(epoch from now() - max(last_heartbeat)), "
                "count(*) filter (where last_heartbeat > now() - make_interval(secs => %s)) from procrastinate_workers",
                [_SILENT],
            )
            seconds, live = cursor.fetchone() or (None, 0)
        told = {"database": True, "worker": None if seconds is None else round(float(seconds), 1), "workers": live}
    except DatabaseError:
        pass
    well = told["database"] and live >= settings.WORKERS
    return JsonResponse({"well": bool(well), **told}, status=200 if well else 503, headers={"Cache-Control": "no-store"})


@require_GET
@ensure_csrf_cookie
def interface(request: HttpRequest) -> HttpResponse:
    """The interface, for every address that is not the API's."""
    return HttpResponse(_index(), headers={"Cache-Control": "no-cache"})
