"""Preflight: what is found, what mends it, and how far a browser has looked at the pages."""

from dataclasses import asdict

from django.http import Http404, HttpResponse
from django.http.response import HttpResponseBase
from drf_spectacular.types import OpenApiTypes
from drf_spectacular.utils import extend_schema
from rest_framework.request import Request

from formulon.core.checks.mending import Mending
from formulon.core.checks.rule import rules
from formulon.core.errors import ChangeError
from formulon.core.measure.glanced import HIGH
from formulon.core.measure.own_checks import needs_browser
from formulon.core.measure.seen import GlanceSeen
from formulon.core.site.changes import Change
from formulon.core.site.site import Site
from formulon.core.system.system import Scheme
from formulon.studio.api import answers, preflight_shapes, shapes
from formulon.studio.api.access import brand_of
from formulon.studio.api.base import View, answer, gone
from formulon.studio.api.views import SCHEME
from formulon.studio.models import Brand
from formulon.studio.services import before, measuring, preflight, sites
from formulon.studio.services.measurements import Progress


class PreflightView(View):
    @extend_schema(responses=preflight_shapes.Preflight)
    def get(self, request: Request, brand_id: str) -> HttpResponseBase:
        """What is found on all pages, predicted and as far as they are measured."""
        brand = brand_of(request, brand_id)
        work = preflight.of(brand, gone(request))
        report = preflight.report(brand, work)
        return answer(
            preflight_shapes.Preflight(
                counts=report.counts, findings=report.findings, rules=_cards(work.site), stopped=report.stopped,
                schemes=list(work.system.schemes), undrawn=answers.undrawn(work), measuring=_of(brand, measuring.progress(brand)),
            )
        )  # fmt: skip


def _cards(site: Site) -> list[preflight_shapes.RuleCard]:
    weighed = {one.id: one.severity for one in preflight.rules_of(site)}
    return [
        preflight_shapes.RuleCard(
            id=one.id,
            title=one.title,
            references={code: answers.reference(one, code) for code in one.messages},
            severity=weighed.get(one.id, "off"),
            own=one.severity,
            fixed=one.fixed,
            browser=needs_browser(one),
            bound=one.bound,
            rationale=one.rationale,
        )
        for one in rules().values()
    ]


def _measuring(progress: Progress, awaited: bool = False) -> preflight_shapes.Measuring:
    failed = [preflight_shapes.UnmeasuredCard(page=one.page, problem=one.problem) for one in progress.failed]
    return preflight_shapes.Measuring(
        total=progress.total, done=progress.done, waiting=progress.waiting, failed=failed, awaited=awaited
    )


def _of(brand: Brand, progress: Progress) -> preflight_shapes.Measuring:
    return _measuring(progress, measuring.awaited(brand))


class FixesView(View):
    """The fixes of one finding, each applied and checked again before it is offered."""

    @extend_schema(request=preflight_shapes.FixesRequest, responses={200: preflight_shapes.Fixes})
    def post(self, request: Request, brand_id: str) -> HttpResponseBase:
        brand = brand_of(request, brand_id)
        wanted = preflight_shapes.FixesRequest.model_validate(request.data)
        found = preflight.fixes(brand, wanted.page, wanted.key, gone(request))
        return answer(preflight_shapes.Fixes(fixes=found or [], there=found is not None))


class MendingsView(View):
    @extend_schema(responses=preflight_shapes.Mendings)
    def get(self, request: Request, brand_id: str) -> HttpResponseBase:
        """The changes that would mend most, each with what it comes to on the whole site."""
        made = preflight.mendings(brand_of(request, brand_id), gone(request))
        return answer(preflight_shapes.Mendings(mendings=[_mending(one) for one in made]))


class AllOfView(View):
    @extend_schema(request=preflight_shapes.AllOfRequest, responses={200: preflight_shapes.MendingCard})
    def post(self, request: Request, brand_id: str) -> HttpResponseBase:
        """The first fix of every finding of a rule, as one change that is not stored."""
        brand = brand_of(request, brand_id)
        wanted = preflight_shapes.AllOfRequest.model_validate(request.data)
        return answer(_mending(preflight.all_of(brand, wanted.rule, gone(request))))


class WeighView(View):
    @extend_schema(request=preflight_shapes.WeighRequest, responses={200: preflight_shapes.MendingCard, 422: shapes.Problem})
    def post(self, request: Request, brand_id: str) -> HttpResponseBase:
        """What changes would come to on the whole site; nothing is stored."""
        brand = brand_of(request, brand_id)
        wanted = preflight_shapes.WeighRequest.model_validate(request.data)
        changes = [Change.model_validate(one.model_dump()) for one in wanted.changes]
        found = preflight.weighed(brand, wanted.label, changes, gone(request))
        if found is None:
            raise ChangeError("These changes do not fit the site as it is now.")
        return answer(_mending(found))


def _mending(one: Mending) -> preflight_shapes.MendingCard:
    return preflight_shapes.MendingCard.model_validate(asdict(one))


class ReportView(View):
    """The report as a page that a client can be shown."""

    @extend_schema(responses={(200, "text/html"): str})
    def get(self, request: Request, brand_id: str) -> HttpResponseBase:
        page = preflight.client_page(brand_of(request, brand_id), gone(request))
        # A page of its own, which asks for nothing and runs nothing.
        policy = "default-src 'none'; style-src 'unsafe-inline'; img-src data:; sandbox"
        return HttpResponse(page, headers={"Content-Security-Policy": policy})


class ReportPdfView(View):
    """The same, printed."""

    @extend_schema(responses={(200, "application/pdf"): OpenApiTypes.BINARY, 422: shapes.Problem})
    def get(self, request: Request, brand_id: str) -> HttpResponseBase:
        brand = brand_of(request, brand_id)
        name = f'attachment; filename="{brand.slug}-preflight.pdf"'
        data = preflight.client_print(brand, gone(request))
        return HttpResponse(data, content_type="application/pdf", headers={"Content-Disposition": name})


class MeasuringView(View):
    """Looking at the pages with a browser, which workers do."""

    @extend_schema(operation_id="measuring", responses=preflight_shapes.Measuring)
    def get(self, request: Request, brand_id: str) -> HttpResponseBase:
        """How far it has come."""
        brand = brand_of(request, brand_id)
        return answer(_of(brand, measuring.progress(brand)))

    @extend_schema(operation_id="measuring_start", request=None, responses=preflight_shapes.Measuring)
    def post(self, request: Request, brand_id: str) -> HttpResponseBase:
        """Has measured what is not measured as it is now."""
        brand = brand_of(request, brand_id, write=True)
        return answer(_of(brand, measuring.ask(brand)))

    @extend_schema(operation_id="measuring_stop", responses={200: preflight_shapes.Measuring})
    def delete(self, request: Request, brand_id: str) -> HttpResponseBase:
        """Lets go of what waits. What is measured stays."""
        brand = brand_of(request, brand_id, write=True)
        return answer(_of(brand, measuring.cancel(brand)))


class FirstScreensView(View):
    @extend_schema(parameters=[SCHEME], responses={200: preflight_shapes.FirstScreens, 404: shapes.Problem})
    def get(self, request: Request, brand_id: str, page_id: str) -> HttpResponseBase:
        """What draws the eye first on a page, as is predicted from its pixels."""
        brand = brand_of(request, brand_id)
        if sites.load(brand).page(page_id) is None:
            raise Http404
        scheme: Scheme = "dark" if request.query_params.get("scheme") == "dark" else "light"
        found = measuring.first_screens(brand, page_id, scheme) or {}
        screens = [
            preflight_shapes.FirstScreen(width=width, height=HIGH[width], glances=[_glance(one) for one in all_of])
            for width, all_of in found.items()
        ]
        return answer(preflight_shapes.FirstScreens(screens=screens))


def _glance(one: GlanceSeen) -> preflight_shapes.GlanceCard:
    made = one.model_dump(include={"section", "slot", "kind", "label", "x", "y", "strength"})
    return preflight_shapes.GlanceCard(**made, main=one.main)


class BeforeView(View):
    """The site that the brand has had, checked by the same means."""

    @extend_schema(operation_id="before", responses=preflight_shapes.Before)
    def get(self, request: Request, brand_id: str) -> HttpResponseBase:
        """What is found on its pages, as far as they are measured."""
        return answer(_before(brand_of(request, brand_id)))

    @extend_schema(operation_id="before_start", request=None, responses=preflight_shapes.Before)
    def post(self, request: Request, brand_id: str) -> HttpResponseBase:
        """Has its pages measured."""
        brand = brand_of(request, brand_id, write=True)
        before.ask(brand, list(measuring.named(brand)))
        return answer(_before(brand))

    @extend_schema(operation_id="before_stop", responses={200: preflight_shapes.Before})
    def delete(self, request: Request, brand_id: str) -> HttpResponseBase:
        """Lets go of what waits."""
        brand = brand_of(request, brand_id, write=True)
        before.cancel(brand)
        return answer(_before(brand))


_MOST_FINDINGS = 200


def _before(brand: Brand) -> preflight_shapes.Before:
    progress = before.progress(brand)
    report = before.report(brand)
    return preflight_shapes.Before(
        measuring=_measuring(progress),
        counts=report.counts,
        findings=report.findings[:_MOST_FINDINGS],
        found=len(report.findings),
    )
