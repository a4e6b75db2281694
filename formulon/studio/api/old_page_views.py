"""Pages of the site that a brand has had, to look at beside the new ones."""

from django.http import Http404
from django.http.response import HttpResponseBase
from drf_spectacular.utils import extend_schema
from rest_framework.request import Request

from formulon.studio.api import shapes
from formulon.studio.api.access import brand_of
from formulon.studio.api.base import View, answer
from formulon.studio.services import old_pages


class OldPagesView(View):
    @extend_schema(operation_id="old_pages_list", responses=shapes.OldPages)
    def get(self, request: Request, brand_id: str) -> HttpResponseBase:
        """The pages among the brand's files."""
        found = old_pages.listed(brand_of(request, brand_id))
        return answer(shapes.OldPages(pages=[shapes.OldPageCard(id=pk, name=name) for pk, name in found]))


class OldPageView(View):
    @extend_schema(operation_id="old_page", responses={200: shapes.OldPage, 404: shapes.Problem, 422: shapes.Problem})
    def get(self, request: Request, brand_id: str, file_id: int) -> HttpResponseBase:
        """One of them by itself, without scripts and without anything that would be fetched."""
        try:
            made = old_pages.shown(brand_of(request, brand_id), file_id)
        except LookupError:
            raise Http404 from None
        return answer(shapes.OldPage(html=made))
