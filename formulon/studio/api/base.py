"""What all views of the API share."""

import logging
from collections.abc import Callable
from typing import Any

from django.http import HttpResponse
from django.http.response import HttpResponseBase
from pydantic import BaseModel
from rest_framework.request import Request
from rest_framework.views import APIView

from formulon.studio.api import answers, states
from formulon.studio.api.access import user_of
from formulon.studio.api.shapes import Changed, MarkUploaded, Workbench
from formulon.studio.models import Brand
from formulon.studio.services import sites

STATE = "Formulon-State"  # the header that names what an asker of a write holds
log = logging.getLogger(__name__)


def answer(shape: BaseModel, status: int = 200) -> HttpResponse:
    """A shape as JSON, written by pydantic, which is faster than a renderer over dictionaries."""
    return HttpResponse(
        shape.model_dump_json(exclude_unset=isinstance(shape, Changed) or hasattr(shape, "workbench")),
        status=status,
        content_type="application/json",
    )


FILE = {"type": "string", "format": "binary"}


def multipart(required: list[str], **parts: dict[str, Any]) -> dict[str, Any]:
    """The description of an upload for the API's schema: its parts, and which of them there must be."""
    return {"multipart/form-data": {"type": "object", "properties": parts, "required": required}}


class View(APIView):
    """Common helpers."""

    def bench(self, request: Request, brand: Brand) -> HttpResponseBase:
        """The whole workbench; or, where the brand cannot be drawn as it is, why, and what can be taken back."""
        return self.drawn(request, brand, states.named)

    def changed(self, request: Request, brand: Brand) -> HttpResponseBase:
        """What a write changed of the workbench that its asker holds."""
        return self.drawn(request, brand, lambda made: states.changed(made, request.headers.get(STATE, "")))

    def uploaded(self, request: Request, brand: Brand, notes: list[str]) -> HttpResponseBase:
        """The same after an upload, with what there is to say of it."""
        held = request.headers.get(STATE, "")
        return self.drawn(request, brand, lambda made: MarkUploaded(workbench=states.changed(made, held), notes=notes))

    def drawn(self, request: Request, brand: Brand, shape: Callable[[Workbench], BaseModel]) -> HttpResponseBase:
        """A shape made of the workbench, or why the brand cannot be drawn."""
        role = sites.role_of(user_of(request), brand)
        try:
            return answer(shape(answers.workbench(request._request, brand, role)))
        except Exception as error:
            log.exception("The brand %s cannot be opened", brand.pk)
            return answers.unopened(request._request, brand, error)


def gone(request: Request) -> Callable[[], bool]:
    """Whether who asked has left, as the server can tell; it never can in tests."""
    left = request._request.META.get("waitress.client_disconnected")
    return left if callable(left) else lambda: False
