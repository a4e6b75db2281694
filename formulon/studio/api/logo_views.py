"""The logo: what its shape asks for, how it is seen on each ground, and variants that could be made of it."""

from django.http import Http404, HttpResponseBase
from drf_spectacular.utils import extend_schema
from rest_framework.request import Request

from formulon.core.color.srgb import from_hex
from formulon.core.identity.variants import Adjustment, MadeMark, adjusted, built, reversed_mark, single_ink, trimmed, turned
from formulon.core.system.documents.choices import GROUNDS
from formulon.core.system.facets.lockup import clear_space, least_height, shape
from formulon.core.system.solving.logo import visibility
from formulon.studio.api import logo_shapes as shapes
from formulon.studio.api.access import brand_of
from formulon.studio.api.base import View, answer
from formulon.studio.api.shapes import Problem
from formulon.studio.services import sites


class LogoView(View):
    @extend_schema(responses=shapes.LogoSheet)
    def get(self, request: Request, brand_id: str) -> HttpResponseBase:
        site = sites.load(brand_of(request, brand_id))
        identity, system = site.identity, site.system()
        light, dark = (from_hex(system.css(f"ground/{name}/background")) for name in ("paper", "deep"))
        ink, accent = (from_hex(system.css(path)) for path in ("ground/paper/heading", "ground/brand/background"))
        marks, made = [], []
        for mark in identity.marks:
            found = shape(mark)
            height, why = least_height(identity, mark)
            left, top, right, bottom = found.box
            seen = {ground: visibility(mark.svg, from_hex(system.css(f"ground/{ground}/background"))) for ground in GROUNDS}
            marks.append(
                shapes.MarkSheet(
                    id=mark.id, least_height=height, why=why, thinnest=found.thinnest, counter=found.counter,
                    seen=seen, trimmed=trimmed(mark.svg, mark.name).svg if (right - left) * (bottom - top) < 0.97 else "",
                    turned=turned(mark.svg, mark.name).svg,
                )
            )  # fmt: skip
        names = {mark.name for mark in identity.marks}
        for mark in [one for one in identity.marks if one.meant_for != "dark"]:
            made += [reversed_mark(mark, dark, light), single_ink(mark, ink, "light"), single_ink(mark, light, "dark")]
        if not identity.marks:
            step = system.steps["h1"]
            made = built(identity.name, step.family, step.weight, ink, accent, light)
        share, why = clear_space(identity)
        return answer(
            shapes.LogoSheet(
                marks=marks, clear_space=share, clear_why=why,
                made=[_card(one) for one in _distinct(made) if one.name not in names],
            )
        )  # fmt: skip


class AdjustedView(View):
    """A mark turned and cropped, to be looked at before it is taken."""

    @extend_schema(request=shapes.AdjustRequest, responses={200: shapes.Adjusted, 422: Problem})
    def post(self, request: Request, brand_id: str) -> HttpResponseBase:
        identity = sites.load(brand_of(request, brand_id)).identity
        wanted = shapes.AdjustRequest.model_validate(request.data)
        mark = next((one for one in identity.marks if one.id == wanted.mark), None)
        if mark is None:
            raise Http404
        by = Adjustment(wanted.turn, wanted.left, wanted.top, wanted.right, wanted.bottom)
        return answer(shapes.Adjusted(svg=adjusted(mark.svg, mark.name, by).svg))


def _distinct(made: list[MadeMark]) -> list[MadeMark]:
    """Each drawing once."""
    return list({one.svg: one for one in made}.values())


def _card(one: MadeMark) -> shapes.MadeCard:
    return shapes.MadeCard(name=one.name, kind=one.kind, meant_for=one.meant_for, svg=one.svg, why=one.why)
