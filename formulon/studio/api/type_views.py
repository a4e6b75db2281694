"""Type: pairs for the brand's character, and how its texts fit."""

from dataclasses import asdict

from django.http import HttpResponseBase
from drf_spectacular.utils import extend_schema
from rest_framework.request import Request

from formulon.core.checks.fitting import fitting
from formulon.core.checks.predict import predict
from formulon.core.system.pairing import proposals
from formulon.core.system.resolve import resolve
from formulon.core.type.languages import LANGUAGES, letters
from formulon.core.type.library import family
from formulon.core.type.shaping import known
from formulon.studio.api import type_shapes as shapes
from formulon.studio.api.access import brand_of
from formulon.studio.api.base import View, answer
from formulon.studio.services import sites


class TypeView(View):
    @extend_schema(responses=shapes.TypeSheet)
    def get(self, request: Request, brand_id: str) -> HttpResponseBase:
        site = sites.load(brand_of(request, brand_id))
        identity, system = site.identity, resolve(site.identity, site.choices)
        languages = list(dict.fromkeys((identity.language, *identity.languages)))
        own = [family(font.id) for font in identity.fonts if font.declared or not font.restricted]
        lacking = []
        for font in map(family, identity.typefaces.used()):
            for code in languages:
                gone = sorted(letters(code) - known(font.id))
                if gone:
                    name = LANGUAGES.get(code.partition("-")[0], code)
                    lacking.append(shapes.Lacking(family=font.id, language=name, characters="".join(map(chr, gone))))
        return answer(
            shapes.TypeSheet(
                pairs=[
                    shapes.TypePair(heading=one.heading, body=one.body, reasons=list(one.reasons))
                    for one in proposals(identity.character, languages, own)
                ],
                steps=[
                    shapes.FitOfStep.model_validate(_by_text(asdict(one)))
                    for one in fitting(site, system, predict(site, system))
                ],
                lacking=lacking,
            )
        )


def _by_text(value: object) -> object:
    """With texts for keys, as JSON has them."""
    if isinstance(value, dict):
        return {str(key): _by_text(part) for key, part in value.items()}
    return [_by_text(part) for part in value] if isinstance(value, list | tuple) else value
