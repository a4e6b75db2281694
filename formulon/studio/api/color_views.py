"""The API's views on colours: picking them, where they are used, what a change reaches, and text on pictures."""

from typing import Any, ClassVar

from django.http import Http404, HttpResponse
from django.http.response import HttpResponseBase
from drf_spectacular.types import OpenApiTypes
from drf_spectacular.utils import extend_schema
from rest_framework.parsers import MultiPartParser
from rest_framework.request import Request

from formulon.core.color.moods import propose
from formulon.core.color.srgb import to_hex
from formulon.core.formats.system_files import FORMS as SYSTEM_FORMS
from formulon.studio.api import color_shapes as colors
from formulon.studio.api import shapes
from formulon.studio.api.access import brand_of
from formulon.studio.api.base import FILE, View, answer, multipart
from formulon.studio.errors import UploadRefused
from formulon.studio.services import effects, overlays, picking, sites

FONTS = "/static/fonts/"


class PickView(View):
    @extend_schema(request=colors.PickRequest, responses={200: colors.Picked, 422: shapes.Problem})
    def post(self, request: Request) -> HttpResponseBase:
        wanted = colors.PickRequest.model_validate(request.data)
        found = picking.picked(wanted.value, wanted.background, wanted.required)
        return answer(colors.Picked.model_validate(found))


class AnotherView(View):
    @extend_schema(request=colors.AnotherRequest, responses={200: colors.OneColor, 422: shapes.Problem})
    def post(self, request: Request) -> HttpResponseBase:
        wanted = colors.AnotherRequest.model_validate(request.data)
        return answer(colors.OneColor(hex=picking.alternative(wanted.brand, wanted.background, wanted.required, wanted.seed)))


class WordsView(View):
    @extend_schema(request=colors.WordsRequest, responses=colors.WordColors)
    def post(self, request: Request) -> HttpResponseBase:
        wanted = colors.WordsRequest.model_validate(request.data)
        found = propose(wanted.text, wanted.seed)
        return answer(colors.WordColors(colors=list(map(to_hex, found.colors)), known=found.known, unknown=found.unknown))


class PictureColorsView(View):
    """The colours of a reference picture, which is not kept."""

    parser_classes: ClassVar[list[Any]] = [MultiPartParser]

    @extend_schema(
        request=multipart(["file"], file=FILE),
        responses={200: colors.PictureColors, 422: shapes.Problem},
    )
    def post(self, request: Request) -> HttpResponseBase:
        file = request.FILES.get("file")
        if file is None:
            raise UploadRefused("There is no file in the upload. Choose a picture.")
        found, told = picking.of_picture(file.name or "picture", file.read())
        own = colors.PageManner(
            says=told.says, density=told.density, ratio_small=told.ratio_small, ratio_large=told.ratio_large
        )
        return answer(
            colors.PictureColors(
                colors=[colors.PictureColor(hex=h, share=s) for h, s in found], manner=own if told.says else None
            )
        )


class ReachView(View):
    @extend_schema(responses=colors.ReachOfTokens)
    def get(self, request: Request, brand_id: str) -> HttpResponseBase:
        uses, inks, drawn = effects.reach_of(brand_of(request, brand_id))
        return answer(colors.ReachOfTokens(uses=uses, ink_areas=inks, drawn=drawn))


class EffectView(View):
    """What the newest change reached, and what a change of the choices would reach."""

    @extend_schema(responses=colors.LastEffect)
    def get(self, request: Request, brand_id: str) -> HttpResponseBase:
        found = effects.of_last(brand_of(request, brand_id))
        label, effect = found if found else ("", None)
        return answer(colors.LastEffect(label=label, effect=effect))

    @extend_schema(request=colors.EffectRequest, responses={200: colors.LastEffect, 422: shapes.Problem})
    def post(self, request: Request, brand_id: str) -> HttpResponseBase:
        brand = brand_of(request, brand_id)
        wanted = colors.EffectRequest.model_validate(request.data)
        return answer(colors.LastEffect(label="", effect=effects.of_patch(brand, wanted.patch, wanted.revision)))


class SystemFileView(View):
    """The system taken out in an open form."""

    @extend_schema(responses={(200, "application/octet-stream"): OpenApiTypes.BINARY})
    def get(self, request: Request, brand_id: str, form: str) -> HttpResponse:
        brand = brand_of(request, brand_id)
        if form not in SYSTEM_FORMS:
            raise Http404
        wanted, site = SYSTEM_FORMS[form], sites.load(brand)
        data = wanted.write(site.system(), site.identity.name)
        headers = {"Content-Disposition": f'attachment; filename="{brand.slug}-system.{wanted.ending}"'}
        return HttpResponse(data, content_type=wanted.media_type, headers=headers)


class OverlayView(View):
    """What the texts of a section have on its picture, as it is stored or under an overlay that is tried."""

    @extend_schema(
        request=colors.OverlayRequest,
        responses={200: colors.OverlayReport, 404: shapes.Problem, 422: shapes.Problem},
    )
    def post(self, request: Request, brand_id: str, page_id: str, section_id: str) -> HttpResponseBase:
        brand = brand_of(request, brand_id)
        wanted = colors.OverlayRequest.model_validate(request.data)
        found = overlays.report(brand, page_id, section_id, wanted.overlay, wanted.focus)
        if found is None:
            raise Http404
        return answer(colors.OverlayReport.model_validate(found))
