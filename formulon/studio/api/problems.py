"""Errors as `application/problem+json` (RFC 9457)."""

from typing import Any

from django.core.exceptions import PermissionDenied
from django.http import Http404
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
    if isinstance(error, APIException):
        response = exception_handler(error, context)
        code = str(error.get_codes()) if isinstance(error.get_codes(), str) else "invalid"
        made = problem(error.status_code, code, _sentence(error))
        for name, value in response.headers.items() if response else ():
            if name.lower() in ("retry-after", "www-authenticate"):
                made[name] = value
        return made
    return None


def _sentence(error: APIException) -> str:
    detail = error.detail
    return str(detail) if isinstance(detail, str) else "The request does not have the form that is asked for."
