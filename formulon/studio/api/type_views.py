"""Type: pairs for the brand's character, how its texts fit, and typefaces of the brand's own."""

from dataclasses import asdict
from typing import Any, ClassVar

from django.http import HttpResponse, HttpResponseBase
from drf_spectacular.types import OpenApiTypes
from drf_spectacular.utils import extend_schema
from rest_framework.parsers import MultiPartParser
from rest_framework.request import Request

from formulon.core.checks.fitting import fitting
from formulon.core.checks.predict import predict
from formulon.core.system.facets.type_pairs import proposals
from formulon.core.type import alike
from formulon.core.type.languages import LANGUAGES, letters
from formulon.core.type.shaping import known
from formulon.studio.api import type_shapes as shapes
from formulon.studio.api.access import brand_of, user_of
from formulon.studio.api.base import FILE, View, answer, multipart
from formulon.studio.api.shapes import MarkUploaded, Problem
from formulon.studio.api.views import material
from formulon.studio.errors import UploadRefused
from formulon.studio.services import sites, typefaces


class TypeView(View):
    @extend_schema(responses=shapes.TypeSheet)
    def get(self, request: Request, brand_id: str) -> HttpResponseBase:
        site = sites.load(brand_of(request, brand_id))
        identity, system = site.identity, site.system()
        languages = list(dict.fromkeys((identity.language, *identity.languages)))
        own = [site.library[font.id] for font in identity.fonts if font.declared or not font.restricted]
        words = f"{identity.name} {identity.strapline} {identity.does}"
        without = [
            shapes.Without(family=one.id, characters=letters_gone)
            for one in site.library.values()
            if (letters_gone := alike.lacking(one, words))
        ]
        lacking = []
        for font in site.families():
            for code in languages:
                gone = sorted(letters(code) - known(font))
                if gone:
                    name = LANGUAGES.get(code.partition("-")[0], code)
                    lacking.append(shapes.Lacking(family=font.id, language=name, characters="".join(map(chr, gone))))
        return answer(
            shapes.TypeSheet(
                pairs=[
                    shapes.TypePair(heading=one.heading, body=one.body, reasons=list(one.reasons))
                    for one in proposals(identity.character, languages, own, identity.name)
                ],
                steps=[
                    shapes.FitOfStep.model_validate(_by_text(asdict(one)))
                    for one in fitting(site, system, predict(site, system))
                ],
                lacking=lacking,
                without=without,
            )
        )


def _by_text(value: object) -> object:
    """With texts for keys, as JSON has them."""
    if isinstance(value, dict):
        return {str(key): _by_text(part) for key, part in value.items()}
    return [_by_text(part) for part in value] if isinstance(value, list | tuple) else value


class FontsView(View):
    """The brand's own typefaces, as files; those of one upload become one entry of the history."""

    parser_classes: ClassVar[list[Any]] = [MultiPartParser]

    @extend_schema(
        request=multipart(["files", "revision"], files={"type": "array", "items": FILE}, revision={"type": "integer"}),
        responses={200: MarkUploaded, 409: Problem, 422: Problem},
    )
    def post(self, request: Request, brand_id: str) -> HttpResponseBase:
        brand = brand_of(request, brand_id, write=True)
        revision = str(request.data.get("revision", ""))
        if not revision.isdigit():
            raise UploadRefused("The upload names no revision. Load the page again.")
        files = [(file.name or "font", file.read()) for file in request.FILES.getlist("files")]
        typefaces.add(brand, user_of(request), int(revision), files)
        return self.uploaded(request, brand, [])


class FontView(View):
    """One file of the brand's own typefaces, for previews. It was rebuilt by the reader's process."""

    @extend_schema(responses={(200, "font/woff2"): OpenApiTypes.BINARY})
    def get(self, request: Request, brand_id: str, name: str) -> HttpResponse:
        return material(typefaces.file_of(brand_of(request, brand_id), name), "font/woff2")
