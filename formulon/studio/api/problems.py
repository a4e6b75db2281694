"""Errors as `application/problem+json` (RFC 9457)."""

import json
from typing import Any

from django.conf import settings
from django.core.exceptions import BadRequest, PermissionDenied, RequestDataTooBig, SuspiciousOperation
from django.http import Http404, HttpRequest, HttpResponse
from django.http.response import HttpResponseBase
from pydantic import ValidationError
from rest_framework.exceptions import APIException
from rest_framework.response import Response
from rest_framework.views import exception_handler

from formulon.core.errors import FormulonError
from formulon.core.site.changes import explain
from formulon.studio.errors import StudioError


def problem(status: int, code: str, title: str, **extra: Any) -> HttpResponseBase:
    """A problem document; `title` is a sentence for people, `code` is stable."""
    body = {"type": f"urn:formulon:{code}", "title": title, "status": status, "code": code, **extra}
    made: HttpResponseBase = Response(body, status=status, content_type="application/problem+json")
    return made


def handle(error: Exception, context: dict[str, Any]) -> HttpResponseBase | None:
    """DRF's hook: every expected error becomes a problem document."""
    if isinstance(error, StudioError):
        return problem(error.status, error.code, str(error), **error.extra)
    if isinstance(error, FormulonError):
        return problem(422, error.code, str(error))
    if isinstance(error, ValidationError):
        return problem(422, "invalid", explain(error))
    if isinstance(error, Http404):
        return problem(404, "not-found", "There is nothing here, or it is not yours to see.")
    if isinstance(error, PermissionDenied):
        return problem(403, "forbidden", "Your role in this workspace does not allow that.")
    if isinstance(error, RequestDataTooBig):
        return problem(413, "too-large", "The request is larger than this address takes. Send less at once.")
    if isinstance(error, BadRequest | SuspiciousOperation):
        return problem(400, "bad-request", "The request cannot be read.")
    if isinstance(error, APIException):
        response = exception_handler(error, context)
        code = str(error.get_codes()) if isinstance(error.get_codes(), str) else "invalid"
        made = problem(error.status_code, code, _sentence(error))
        for name, value in response.headers.items() if response else ():
            if name.lower() in ("retry-after", "www-authenticate"):
                made[name] = value
        return made
    return None


def plain(status: int, code: str, title: str) -> HttpResponse:
    """A problem document outside of Django REST framework's views."""
    body = {"type": f"urn:formulon:{code}", "title": title, "status": status, "code": code}
    return HttpResponse(json.dumps(body), status=status, content_type="application/problem+json")


def locked_out(request: HttpRequest, original: Any = None, credentials: Any = None) -> HttpResponse:
    """After too many wrong passwords, everywhere one can sign in."""
    minutes = int(settings.AXES_COOLOFF_TIME.total_seconds() // 60)
    title = f"There were too many wrong passwords for this name, or from this address. Try again in {minutes} minutes."
    made = _told(request, 429, "too-many-tries", title)
    made["Retry-After"] = str(minutes * 60)
    return made


def bad_request(request: HttpRequest, exception: Exception) -> HttpResponse:
    """handler400: problem documents under /api/ as everywhere in it, a sentence elsewhere."""
    return _told(request, 400, "bad-request", "The request cannot be read.")


def not_found(request: HttpRequest, exception: Exception) -> HttpResponse:
    return _told(request, 404, "not-found", "There is nothing here, or it is not yours to see.")


def server_error(request: HttpRequest) -> HttpResponse:
    return _told(
        request, 500, "server-error", "Formulon failed at this, and has written down why. Nothing was changed. Try again."
    )


def _told(request: HttpRequest, status: int, code: str, title: str) -> HttpResponse:
    if request.path.startswith("/api/"):
        return plain(status, code, title)
    return HttpResponse(title, status=status, content_type="text/plain; charset=utf-8")


def _sentence(error: APIException) -> str:
    detail = error.detail
    return str(detail) if isinstance(detail, str) else "The request does not have the form that is asked for."
