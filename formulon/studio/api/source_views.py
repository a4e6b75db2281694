"""A client's files, and what is decided of the facts in them."""

from typing import Any, ClassVar

from django.http import Http404, HttpResponse
from django.http.response import HttpResponseBase
from drf_spectacular.types import OpenApiTypes
from drf_spectacular.utils import extend_schema
from rest_framework.parsers import MultiPartParser
from rest_framework.request import Request

from formulon.core.formats.identity_files import FORMS
from formulon.core.site.documents import DECISIONS, IDENTITY
from formulon.studio.api import answers, shapes, source_shapes
from formulon.studio.api.access import brand_of, user_of
from formulon.studio.api.base import FILE, STATE, View, answer, multipart
from formulon.studio.services import deciding, sites, sources


class SourcesView(View):
    """The brand's files: added, listed with what they say."""

    parser_classes: ClassVar[list[Any]] = [MultiPartParser]

    @extend_schema(responses=source_shapes.Sources)
    def get(self, request: Request, brand_id: str) -> HttpResponseBase:
        """The files and their facts; only what changed for whoever names the state that they hold."""
        return answer(answers.sources_of(brand_of(request, brand_id), request.headers.get(STATE, "")))

    @extend_schema(
        request=multipart(
            ["files"], files={"type": "array", "items": FILE}, paths={"type": "array", "items": {"type": "string"}}
        ),
        responses={200: source_shapes.Sources, 422: shapes.Problem},
    )
    def post(self, request: Request, brand_id: str) -> HttpResponseBase:
        brand = brand_of(request, brand_id, write=True)
        files = request.FILES.getlist("files")
        paths = request.POST.getlist("paths")
        names = paths if len(paths) == len(files) else [file.name or "file" for file in files]
        sources.add(brand, user_of(request), ((name, file.read()) for name, file in zip(names, files, strict=True)))
        return answer(answers.sources_of(brand))


class SourceView(View):
    @extend_schema(responses={200: source_shapes.Sources})
    def delete(self, request: Request, brand_id: str, file_id: int) -> HttpResponseBase:
        brand = brand_of(request, brand_id, write=True)
        sources.remove(brand, file_id)
        return answer(answers.sources_of(brand))


class SourcesCancelView(View):
    @extend_schema(request=None, responses=source_shapes.Sources)
    def post(self, request: Request, brand_id: str) -> HttpResponseBase:
        brand = brand_of(request, brand_id, write=True)
        sources.cancel(brand)
        return answer(answers.sources_of(brand))


class SourcesAgainView(View):
    @extend_schema(request=None, responses=source_shapes.Sources)
    def post(self, request: Request, brand_id: str) -> HttpResponseBase:
        brand = brand_of(request, brand_id, write=True)
        sources.again(brand, user_of(request))
        return answer(answers.sources_of(brand))


class FactsView(View):
    @extend_schema(
        request=source_shapes.FactsRequest, responses={200: shapes.Changed, 409: shapes.Problem, 422: shapes.Problem}
    )
    def post(self, request: Request, brand_id: str) -> HttpResponseBase:
        brand = brand_of(request, brand_id, write=True)
        wanted = source_shapes.FactsRequest.model_validate(request.data)
        revisions = {IDENTITY: wanted.identity, DECISIONS: wanted.decisions}
        deciding.act(brand, user_of(request), revisions, wanted.requests)
        return self.changed(request, brand)


class QuestionsView(View):
    @extend_schema(request=source_shapes.LeaveOpen, responses={200: shapes.Changed, 409: shapes.Problem})
    def post(self, request: Request, brand_id: str) -> HttpResponseBase:
        brand = brand_of(request, brand_id, write=True)
        wanted = source_shapes.LeaveOpen.model_validate(request.data)
        deciding.leave_open(brand, user_of(request), wanted.decisions, wanted.question, wanted.left)
        return self.changed(request, brand)


class IdentityFileView(View):
    """The identity taken out in an open form."""

    @extend_schema(responses={(200, "application/octet-stream"): OpenApiTypes.BINARY})
    def get(self, request: Request, brand_id: str, form: str) -> HttpResponse:
        brand = brand_of(request, brand_id)
        site = sites.load(brand)
        if form not in FORMS:
            raise Http404
        wanted = FORMS[form]
        headers = {"Content-Disposition": f'attachment; filename="{brand.slug}.{wanted.ending}"'}
        return HttpResponse(wanted.write(site.identity, site.library), content_type=wanted.media_type, headers=headers)
