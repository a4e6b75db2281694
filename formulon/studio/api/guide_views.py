"""The matrix of buttons, fields and cards, and the style guide."""

from django.http import HttpResponse, HttpResponseBase
from drf_spectacular.types import OpenApiTypes
from drf_spectacular.utils import OpenApiParameter, extend_schema
from rest_framework.request import Request

from formulon.core.site.guide import guide_page
from formulon.core.site.matrix import matrix_page
from formulon.studio.api import shapes
from formulon.studio.api.access import brand_of
from formulon.studio.api.base import View, answer
from formulon.studio.api.views import previewed
from formulon.studio.services import releases


class MatrixView(View):
    """Buttons, fields and cards on each ground in use, as a page."""

    @extend_schema(parameters=[OpenApiParameter("scheme", str, enum=["light", "dark"])], responses=shapes.Preview)
    def get(self, request: Request, brand_id: str) -> HttpResponseBase:
        site, system, preview = previewed(request, brand_id)
        return answer(shapes.Preview(html=matrix_page(site, system, preview)))


class GuideView(View):
    """The style guide, as a page."""

    @extend_schema(parameters=[OpenApiParameter("scheme", str, enum=["light", "dark"])], responses=shapes.Preview)
    def get(self, request: Request, brand_id: str) -> HttpResponseBase:
        site, system, preview = previewed(request, brand_id)
        return answer(shapes.Preview(html=guide_page(site, system, preview)))


class GuideZipView(View):
    """The style guide as files that stand by themselves."""

    @extend_schema(responses={(200, "application/zip"): OpenApiTypes.BINARY})
    def get(self, request: Request, brand_id: str) -> HttpResponse:
        brand = brand_of(request, brand_id)
        name = f'attachment; filename="{brand.slug}-style-guide.zip"'
        data = releases.guide_archive(brand)
        return HttpResponse(data, content_type="application/zip", headers={"Content-Disposition": name})


class GuidePdfView(View):
    """The style guide, printed."""

    @extend_schema(responses={(200, "application/pdf"): OpenApiTypes.BINARY, 422: shapes.Problem})
    def get(self, request: Request, brand_id: str) -> HttpResponse:
        brand = brand_of(request, brand_id)
        name = f'attachment; filename="{brand.slug}-style-guide.pdf"'
        data = releases.guide_print(brand)
        return HttpResponse(data, content_type="application/pdf", headers={"Content-Disposition": name})
