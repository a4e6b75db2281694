"""Whole palettes for a brand without colours: proposed, and drawn on the brand's own start page. Taking one is a change like any other."""

from django.http import HttpResponseBase
from drf_spectacular.utils import extend_schema
from rest_framework.request import Request

from formulon.core.site.render import Preview, render_page
from formulon.core.system.documents.identity import BrandColor
from formulon.studio.api import palette_shapes as palettes
from formulon.studio.api import shapes
from formulon.studio.api.access import brand_of
from formulon.studio.api.base import View, answer
from formulon.studio.api.views import FONTS
from formulon.studio.services import palettes as service


class PalettesView(View):
    @extend_schema(request=palettes.PalettesWanted, responses={200: palettes.Palettes, 422: shapes.Problem})
    def post(self, request: Request, brand_id: str) -> HttpResponseBase:
        """Eight palettes from a number on. Nothing is stored."""
        brand = brand_of(request, brand_id)
        wanted = palettes.PalettesWanted.model_validate(request.data)
        found, more = service.listed(
            brand, wanted.source, wanted.text, [(one.hex, one.share) for one in wanted.colors], wanted.first
        )
        known, unknown = service.words(wanted.text) if wanted.source == "words" else ([], [])
        following = found[-1].number + 1 if more else 0
        return answer(
            palettes.Palettes(
                proposals=[
                    palettes.PaletteCard(
                        number=one.number,
                        name=one.name,
                        colors=[
                            palettes.PaletteColor(name=color.name, value=color.value, what=what)
                            for color, what in zip(one.colors, one.for_, strict=True)
                        ],
                        says=one.says,
                        rhythm=one.beat.rhythm,
                    )
                    for one in found
                ],
                known=known,
                unknown=unknown,
                next=following,
            )
        )


class PalettePreviewView(View):
    @extend_schema(request=palettes.PalettePreview, responses={200: shapes.Preview, 422: shapes.Problem})
    def post(self, request: Request, brand_id: str) -> HttpResponseBase:
        """The start page in a palette."""
        brand = brand_of(request, brand_id)
        wanted = palettes.PalettePreview.model_validate(request.data)
        manner = {
            "ratio_small": wanted.ratio_small, "ratio_large": wanted.ratio_large, "density": wanted.density,
        }  # fmt: skip
        colors = [BrandColor(name=one.name, value=one.value) for one in wanted.colors]
        site = service.drawn(brand, colors, wanted.rhythm, manner)
        system, base = site.system(), f"/api/brands/{brand_id}"
        preview = Preview(FONTS, f"{base}/pictures/", system.schemes[0], f"{base}/fonts/")
        return answer(shapes.Preview(html=render_page(site, system, site.drawn[0], preview)))
