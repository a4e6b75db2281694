"""Pictures of a brand's own: added where they are wanted, and worked on."""

from typing import Any, ClassVar

from django.http import Http404, HttpResponse
from django.http.response import HttpResponseBase
from drf_spectacular.types import OpenApiTypes
from drf_spectacular.utils import extend_schema
from rest_framework.parsers import MultiPartParser
from rest_framework.request import Request

from formulon.core.site.picture_edits import Edits
from formulon.studio.api import picture_shapes, shapes, states
from formulon.studio.api.access import brand_of
from formulon.studio.api.base import FILE, STATE, View, multipart
from formulon.studio.errors import UploadRefused
from formulon.studio.models import Brand, Picture
from formulon.studio.services import pictures


class PicturesView(View):
    parser_classes: ClassVar[list[Any]] = [MultiPartParser]

    @extend_schema(request=multipart(["file"], file=FILE), responses={200: picture_shapes.PictureMade, 422: shapes.Problem})
    def post(self, request: Request, brand_id: str) -> HttpResponseBase:
        """Adds a picture out of a file, one at once."""
        brand = brand_of(request, brand_id, write=True)
        file = request.FILES.get("file")
        if file is None:
            raise UploadRefused("There is no file in the upload. Choose a photograph, or a drawing as SVG.")
        return _made(self, request, brand, pictures.add(brand, file.name or "picture", file.read()))


class EditsView(View):
    @extend_schema(request=Edits, responses={200: picture_shapes.PictureMade, 404: shapes.Problem, 422: shapes.Problem})
    def post(self, request: Request, brand_id: str, key: str) -> HttpResponseBase:
        """Makes another picture of one, with light work done on it."""
        brand = brand_of(request, brand_id, write=True)
        try:
            made = pictures.edit(brand, key, Edits.model_validate(request.data))
        except LookupError:
            raise Http404 from None
        return _made(self, request, brand, made)


class TriedView(View):
    @extend_schema(
        request=Edits, responses={(200, "image/webp"): OpenApiTypes.BINARY, 404: shapes.Problem, 422: shapes.Problem}
    )
    def post(self, request: Request, brand_id: str, key: str) -> HttpResponseBase:
        """How a picture would look with light work done on it. Nothing is stored."""
        brand = brand_of(request, brand_id)
        try:
            data = pictures.tried(brand, key, Edits.model_validate(request.data))
        except LookupError:
            raise Http404 from None
        return HttpResponse(data, content_type="image/webp")


def _made(view: View, request: Request, brand: Brand, picture: Picture) -> HttpResponseBase:
    held = request.headers.get(STATE, "")
    return view.drawn(
        request,
        brand,
        lambda bench: picture_shapes.PictureMade(
            id=picture.key,
            name=picture.name,
            width=picture.width,
            height=picture.height,
            workbench=states.changed(bench, held),
        ),
    )
