"""The structure of a site: what operations on it come to, and what can be added."""

from django.http import Http404, HttpResponse
from django.http.response import HttpResponseBase
from drf_spectacular.types import OpenApiTypes
from drf_spectacular.utils import extend_schema
from rest_framework.request import Request

from formulon.core.site.composing.shaped import parts_of
from formulon.core.site.listing import descriptions, titles
from formulon.core.site.planning.form_starts import form_starts
from formulon.core.site.render import render_page
from formulon.core.site.social import social_path, social_picture
from formulon.core.site.stated import path_of, statements
from formulon.core.site.structured import address
from formulon.core.site.waiting import standing
from formulon.studio.api import shapes, structure_shapes
from formulon.studio.api.access import brand_of, user_of
from formulon.studio.api.base import View, answer
from formulon.studio.api.views import SCHEME, foreseen, previewed
from formulon.studio.services import asking, copying, sites, structure
from formulon.studio.services.sites import blob_of, bodies_of, identity_of


class StructureView(View):
    @extend_schema(request=structure_shapes.StructureRequest, responses={200: structure_shapes.Arranged, 422: shapes.Problem})
    def post(self, request: Request, brand_id: str) -> HttpResponseBase:
        """What operations come to. Nothing is stored: the changes are made as any other."""
        brand = brand_of(request, brand_id)
        wanted = structure_shapes.StructureRequest.model_validate(request.data)
        made = structure.planned(brand, wanted.operations)
        changes = [shapes.ChangeCard(**one.model_dump()) for one in made.changes]
        draw = wanted.draw if changes else None
        return answer(
            structure_shapes.Arranged(
                label=made.label,
                changes=changes,
                foreseen=draw and foreseen(brand, draw.page, draw.scheme, changes),
                leads=made.leads,
                page=made.page,
                section=made.section,
            )
        )


class PartsView(View):
    @extend_schema(responses={200: structure_shapes.SectionParts, 404: shapes.Problem})
    def get(self, request: Request, brand_id: str, page_id: str, section_id: str) -> HttpResponseBase:
        """The parts of a section's layout, and where they stand, for pulling at them."""
        section = sites.load(brand_of(request, brand_id)).section(page_id, section_id)
        if section is None:
            raise Http404
        return answer(structure_shapes.SectionParts(parts=parts_of(section.catalogue, section.layout)))


class AdditionsView(View):
    @extend_schema(parameters=[SCHEME], responses={200: structure_shapes.Additions, 404: shapes.Problem})
    def get(self, request: Request, brand_id: str, kind: str) -> HttpResponseBase:
        """Sections of a kind that can be added, with words that fit, drawn in the brand's style."""
        site, system, preview = previewed(request, brand_id)
        found = structure.additions(site, kind)
        if found is None:
            raise Http404
        offers, shown = found
        cards = [
            structure_shapes.OfferCard(
                id=one.section.id,
                layout=one.section.layout,
                label=one.section.declared.label,
                about=one.section.declared.about,
                content=one.section.content,
                said_on=one.said_on,
            )
            for one in offers
        ]
        return answer(structure_shapes.Additions(offers=cards, html=render_page(shown, system, shown.drawn[0], preview)))


class InstructionsView(View):
    @extend_schema(request=structure_shapes.InstructionRequest, responses=structure_shapes.Answered)
    def post(self, request: Request, brand_id: str) -> HttpResponseBase:
        """What an instruction in words comes to. Nothing is stored: the changes are looked at first, and made as any other."""
        brand = brand_of(request, brand_id)
        wanted = structure_shapes.InstructionRequest.model_validate(request.data)
        made = asking.asked(brand, wanted.text, wanted.page, wanted.section, wanted.slot)
        return answer(
            structure_shapes.Answered(
                said=made.said,
                label=made.label,
                changes=[shapes.ChangeCard(**one.model_dump()) for one in made.changes],
                differences=made.differences,
                leads=made.leads,
                page=made.page,
                section=made.section,
                suggestions=made.suggestions,
            )
        )


class SearchView(View):
    @extend_schema(request=structure_shapes.SearchRequest, responses=structure_shapes.SearchResult)
    def post(self, request: Request, brand_id: str) -> HttpResponseBase:
        """Where words stand on the site, and what would put others in their place. Nothing is stored."""
        brand = brand_of(request, brand_id)
        wanted = structure_shapes.SearchRequest.model_validate(request.data)
        places, changes = structure.searched(brand, wanted.words, wanted.by, wanted.only, wanted.cases, wanted.whole)
        return answer(
            structure_shapes.SearchResult(places=places, changes=[shapes.ChangeCard(**one.model_dump()) for one in changes])
        )


class StatedView(View):
    @extend_schema(responses=structure_shapes.Stated)
    def get(self, request: Request, brand_id: str) -> HttpResponseBase:
        """Where the facts of the brand stand on its pages. When a fact changes, what states it changes in the same entry."""
        bodies, _ = bodies_of(brand_of(request, brand_id))
        found: dict[str, structure_shapes.StatedFact] = {}
        for one in statements(bodies):
            path = path_of(one.fact)
            told = found.setdefault(path, structure_shapes.StatedFact(path=path, label=one.fact.label, places=[]))
            told.places.append(
                structure_shapes.StatedPlace(
                    page=one.at.page,
                    section=one.at.section,
                    label=one.at.label,
                    before=one.before,
                    match=one.match,
                    after=one.after,
                )
            )
        return answer(structure_shapes.Stated(facts=list(found.values())))


class MaterialView(View):
    @extend_schema(responses=structure_shapes.Material)
    def get(self, request: Request, brand_id: str) -> HttpResponseBase:
        """Which of the client's texts stand on pages, and what of them waits."""
        bodies, _ = bodies_of(brand_of(request, brand_id))
        found = [
            structure_shapes.TextStanding(number=one.number, places=list(one.places), waits=list(one.waits))
            for one in standing(bodies)
        ]
        return answer(structure_shapes.Material(texts=found))


class CopyView(View):
    @extend_schema(request=structure_shapes.CopyRequest, responses={200: structure_shapes.Copied, 404: shapes.Problem})
    def post(self, request: Request, brand_id: str, page_id: str, section_id: str) -> HttpResponseBase:
        """Copies a section to the end of another brand's start page. Whoever asks must be allowed to write there."""
        brand = brand_of(request, brand_id)
        wanted = structure_shapes.CopyRequest.model_validate(request.data)
        other = brand_of(request, str(wanted.brand), write=True)
        page = copying.copy_to(brand, page_id, section_id, other, user_of(request))
        return answer(structure_shapes.Copied(brand=identity_of(other).name, page=page))


class FormStartsView(View):
    @extend_schema(responses=structure_shapes.FormStarts)
    def get(self, request: Request, brand_id: str) -> HttpResponseBase:
        """Forms to begin with, in the site's language."""
        made = form_starts(identity_of(brand_of(request, brand_id)))
        cards = [structure_shapes.FormStartCard(id=one.id, name=one.name, value=one.value) for one in made]
        return answer(structure_shapes.FormStarts(starts=cards))


class LinesView(View):
    @extend_schema(request=structure_shapes.LinesRequest, responses=structure_shapes.Lines)
    def post(self, request: Request, brand_id: str) -> HttpResponseBase:
        """How many lines a text would take, by shaping. Nothing is stored."""
        brand = brand_of(request, brand_id)
        wanted = structure_shapes.LinesRequest.model_validate(request.data)
        made = asking.lines(brand, wanted.page, wanted.section, wanted.slot, wanted.text)
        return answer(structure_shapes.Lines(lines=made))


class ListingView(View):
    @extend_schema(responses={200: structure_shapes.Listing, 404: shapes.Problem})
    def get(self, request: Request, brand_id: str, page_id: str) -> HttpResponseBase:
        """What search results and cards show of a page, and what is proposed for them."""
        site = sites.load(brand_of(request, brand_id))
        page = site.page(page_id)
        if page is None:
            raise Http404
        made = structure_shapes.Listing(
            address=address(site, page), titles=titles(site, page), descriptions=descriptions(site, page)
        )
        return answer(made)


class SocialView(View):
    @extend_schema(responses={(200, "image/png"): OpenApiTypes.BINARY, 404: shapes.Problem})
    def get(self, request: Request, brand_id: str, page_id: str) -> HttpResponseBase:
        """The picture that places show with a link to a page."""
        brand = brand_of(request, brand_id)
        site = sites.load(brand)
        page = site.page(page_id)
        if page is None:
            raise Http404
        kind = "image/jpeg" if social_path(site, site.system(), page).endswith(".jpg") else "image/png"
        return HttpResponse(social_picture(site, site.system(), page, blob_of(brand)), content_type=kind)
