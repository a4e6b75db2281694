"""The preview of a brand on phones in the local network."""

from django.http.response import HttpResponseBase
from drf_spectacular.utils import extend_schema
from rest_framework.request import Request

from formulon.studio.api import shapes
from formulon.studio.api.access import brand_of, user_of
from formulon.studio.api.base import View, answer
from formulon.studio.services import phones


class PhoneView(View):
    @extend_schema(responses=shapes.PhonePreviewState)
    def get(self, request: Request, brand_id: str) -> HttpResponseBase:
        """Whether the preview is open, and where."""
        return answer(shapes.PhonePreviewState(opened=phones.opened(brand_of(request, brand_id))))

    @extend_schema(request=None, responses={200: shapes.PhonePreviewState, 400: shapes.Problem})
    def post(self, request: Request, brand_id: str) -> HttpResponseBase:
        """Opens it for an hour, at a new address."""
        brand = brand_of(request, brand_id, write=True)
        return answer(shapes.PhonePreviewState(opened=phones.allow(brand, user_of(request))))

    @extend_schema(request=None, responses=shapes.PhonePreviewState)
    def delete(self, request: Request, brand_id: str) -> HttpResponseBase:
        """Closes it at once."""
        phones.close(brand_of(request, brand_id, write=True))
        return answer(shapes.PhonePreviewState(opened=None))
