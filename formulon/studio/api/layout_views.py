"""Compositions for a section, by what it says."""

from dataclasses import asdict

from django.http import Http404, HttpResponseBase
from drf_spectacular.utils import OpenApiParameter, extend_schema
from rest_framework.request import Request

from formulon.core.site.catalogue import CATALOGUE, layout_of
from formulon.studio.api import layout_shapes, shapes
from formulon.studio.api.access import brand_of
from formulon.studio.api.answers import layout_card
from formulon.studio.api.base import View, answer
from formulon.studio.services import compositions

_MOST_SEED = 999


class CompositionsView(View):
    @extend_schema(
        parameters=[OpenApiParameter("seed", int, description="Another number gives others; 0 if left out.")],
        responses={200: layout_shapes.Compositions, 404: shapes.Problem},
    )
    def get(self, request: Request, brand_id: str, page_id: str, section_id: str) -> HttpResponseBase:
        """Compositions for what a section says, the best first, each with what it was ranked by."""
        brand = brand_of(request, brand_id)
        asked = request.query_params.get("seed", "0")
        found = compositions.offered(brand, page_id, section_id, min(int(asked), _MOST_SEED) if asked.isdigit() else 0)
        if found is None:
            raise Http404
        name, made = found
        kind = CATALOGUE[name]
        return answer(
            layout_shapes.Compositions(
                offered=[
                    layout_shapes.ComposedCard(
                        **layout_card(kind, one.layout, layout_of(kind, one.layout), about=one.about),
                        score=round(one.score, 3),
                        measures=[layout_shapes.MeasureCard(**asdict(measure)) for measure in one.measures],
                    )
                    for one in made
                ]
            )
        )
