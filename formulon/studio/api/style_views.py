"""Style proposals: listed, drawn on the brand's own pages, taken."""

from django.http import Http404, HttpResponseBase
from drf_spectacular.utils import OpenApiParameter, extend_schema
from rest_framework.request import Request

from formulon.core.proposals.seen import shares
from formulon.core.proposals.style import PARTS, decided, still_as_it_came
from formulon.core.site.render import Preview, render_page
from formulon.studio.api import shapes, style_shapes
from formulon.studio.api.access import brand_of, user_of
from formulon.studio.api.base import View, answer
from formulon.studio.api.views import FONTS
from formulon.studio.services import sites, styles


class StylesView(View):
    @extend_schema(
        parameters=[OpenApiParameter("first", int, description="The number of the first; 1 if left out.")],
        responses={200: style_shapes.StyleProposals, 400: shapes.Problem},
    )
    def get(self, request: Request, brand_id: str) -> HttpResponseBase:
        """Eight proposals, and which parts of the style are open."""
        brand = brand_of(request, brand_id)
        first = request.query_params.get("first", "1")
        found = styles.listed(brand, int(first) if first.isdigit() else 0)
        site = sites.load(brand)
        came = {part.id for part in still_as_it_came(site)}
        seen = shares(site, site.system())
        following = found[-1].number + 1
        return answer(
            style_shapes.StyleProposals(
                proposals=[
                    style_shapes.StyleCard(
                        number=one.number,
                        name=one.name,
                        parts=[style_shapes.ProposedPart(part=part.part, says=part.says) for part in one.parts],
                    )
                    for one in found
                ],
                parts=[
                    style_shapes.PartState(
                        id=part.id, name=part.name, decided=decided(site, part.id), as_it_came=part.id in came,
                        settled=part.id in site.choices.settled, seen=seen[part.id],
                    )
                    for part in sorted(PARTS.values(), key=lambda part: -seen[part.id])
                ],
                next=following if following <= styles.MOST else 0,
            )
        )  # fmt: skip

    @extend_schema(request=style_shapes.StyleTaken, responses={200: shapes.Changed, 409: shapes.Problem, 422: shapes.Problem})
    def post(self, request: Request, brand_id: str) -> HttpResponseBase:
        """Takes a proposal, whole or in parts."""
        brand, wanted = brand_of(request, brand_id, write=True), style_shapes.StyleTaken.model_validate(request.data)
        styles.take(brand, user_of(request), wanted.number, wanted.parts, wanted.revision)
        return self.changed(request, brand)


class StylePreviewView(View):
    @extend_schema(responses={200: shapes.Preview, 404: None})
    def get(self, request: Request, brand_id: str, number: int) -> HttpResponseBase:
        """The start page once the whole of a proposal was taken."""
        brand = brand_of(request, brand_id)
        if not 1 <= number <= styles.MOST:
            raise Http404
        site = styles.drawn(brand, number)
        system, base = site.system(), f"/api/brands/{brand_id}"
        preview = Preview(FONTS, f"{base}/pictures/", system.schemes[0], f"{base}/fonts/")
        return answer(shapes.Preview(html=render_page(site, system, site.drawn[0], preview)))
