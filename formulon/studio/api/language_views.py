"""The languages of a site: added, translated side by side, published, taken out."""

from collections import Counter

from django.http.response import HttpResponseBase
from drf_spectacular.utils import extend_schema
from rest_framework.request import Request

from formulon.core.checks.findings import Finding
from formulon.core.site.languages import lines, own_name
from formulon.core.site.phrases import base
from formulon.studio.api import language_shapes, shapes
from formulon.studio.api.access import brand_of, user_of
from formulon.studio.api.base import View, answer, gone
from formulon.studio.services import languages, sites


class LanguagesView(View):
    @extend_schema(responses=language_shapes.SiteLanguages)
    def get(self, request: Request, brand_id: str) -> HttpResponseBase:
        """The languages of the site, with how far each has come."""
        site = sites.load(brand_of(request, brand_id))
        own, further = site.identity.language, site.languages.further
        cards = []
        for code, one in further.items():
            counted = Counter(line.state for line in lines(site, code))
            cards.append(
                language_shapes.FurtherLanguage(code=code, name=own_name(code), published=one.published, states=dict(counted))
            )
        wanted = [one for one in site.identity.languages if one not in further and base(one) != base(own)]
        return answer(language_shapes.SiteLanguages(own=own, own_name=own_name(own), further=cards, wanted=wanted))

    @extend_schema(request=language_shapes.LanguageRequest, responses={200: shapes.Changed, 422: shapes.Problem})
    def post(self, request: Request, brand_id: str) -> HttpResponseBase:
        """Adds a language. Nothing of it is published until that is said."""
        brand = brand_of(request, brand_id, write=True)
        wanted = language_shapes.LanguageRequest.model_validate(request.data)
        languages.add(brand, user_of(request), wanted.code)
        return self.changed(request, brand)


class GatesView(View):
    @extend_schema(responses=language_shapes.LanguageGates)
    def get(self, request: Request, brand_id: str) -> HttpResponseBase:
        """What holds a release back in each language that is to be published."""
        found = languages.gates(brand_of(request, brand_id), gone(request))
        return answer(
            language_shapes.LanguageGates(
                languages=[
                    language_shapes.LanguageGate(
                        code=one.code, name=one.name, missing=one.missing, stops=_findings(one.stops), notes=one.notes
                    )
                    for one in found
                ]
            )
        )


def _findings(found: list[Finding]) -> list[language_shapes.LanguageFinding]:
    return [
        language_shapes.LanguageFinding(page=one.page, section=one.section, message=one.message, stops=one.stops)
        for one in found
    ]


class LanguageView(View):
    @extend_schema(responses={200: language_shapes.LanguageTexts, 422: shapes.Problem})
    def get(self, request: Request, brand_id: str, code: str) -> HttpResponseBase:
        """Every text of the site beside what it is in the language, and what the checks find there."""
        brand = brand_of(request, brand_id)
        told, findings = languages.told(brand, code)
        return answer(
            language_shapes.LanguageTexts(
                code=code,
                name=own_name(code),
                published=sites.load(brand).languages.further[code].published,
                lines=told,
                findings=_findings(findings),
            )
        )

    @extend_schema(request=language_shapes.TextsRequest, responses={200: shapes.Changed, 422: shapes.Problem})
    def put(self, request: Request, brand_id: str, code: str) -> HttpResponseBase:
        """Writes translations."""
        brand = brand_of(request, brand_id, write=True)
        wanted = language_shapes.TextsRequest.model_validate(request.data)
        languages.put(brand, user_of(request), code, wanted.texts, wanted.at)
        return self.changed(request, brand)

    @extend_schema(request=language_shapes.PublishedRequest, responses={200: shapes.Changed, 422: shapes.Problem})
    def post(self, request: Request, brand_id: str, code: str) -> HttpResponseBase:
        """Has a language published with the next release, or not."""
        brand = brand_of(request, brand_id, write=True)
        wanted = language_shapes.PublishedRequest.model_validate(request.data)
        languages.publish(brand, user_of(request), code, wanted.published)
        return self.changed(request, brand)

    @extend_schema(request=None, responses={200: shapes.Changed, 422: shapes.Problem})
    def delete(self, request: Request, brand_id: str, code: str) -> HttpResponseBase:
        """Takes a language out, with its texts; undo brings them back."""
        brand = brand_of(request, brand_id, write=True)
        languages.remove(brand, user_of(request), code)
        return self.changed(request, brand)
