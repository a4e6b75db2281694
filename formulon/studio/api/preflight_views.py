"""Preflight: what is found, what mends it, and how far a browser has looked at the pages."""

from django.http.response import HttpResponseBase
from drf_spectacular.utils import extend_schema
from rest_framework.request import Request

from formulon.core.checks.rule import rules
from formulon.core.site.site import Site
from formulon.studio.api import answers, preflight_shapes
from formulon.studio.api.access import brand_of
from formulon.studio.api.base import View, answer, gone
from formulon.studio.services import measuring, preflight
from formulon.studio.services.measuring import Progress


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
                schemes=list(work.system.schemes), undrawn=answers.undrawn(work), measuring=_measuring(measuring.progress(brand)),
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
            rationale=one.rationale,
        )
        for one in rules().values()
    ]


def _measuring(progress: Progress) -> preflight_shapes.Measuring:
    failed = [preflight_shapes.UnmeasuredCard(page=one.page, problem=one.problem) for one in progress.failed]
    return preflight_shapes.Measuring(total=progress.total, done=progress.done, waiting=progress.waiting, failed=failed)


class FixesView(View):
    """The fixes of one finding, each applied and checked again before it is offered."""

    @extend_schema(request=preflight_shapes.FixesRequest, responses={200: preflight_shapes.Fixes})
    def post(self, request: Request, brand_id: str) -> HttpResponseBase:
        brand = brand_of(request, brand_id)
        wanted = preflight_shapes.FixesRequest.model_validate(request.data)
        found = preflight.fixes(brand, wanted.page, wanted.key, gone(request))
        return answer(preflight_shapes.Fixes(fixes=found or [], there=found is not None))


class MeasuringView(View):
    """Looking at the pages with a browser, which workers do."""

    @extend_schema(operation_id="measuring", responses=preflight_shapes.Measuring)
    def get(self, request: Request, brand_id: str) -> HttpResponseBase:
        """How far it has come."""
        return answer(_measuring(measuring.progress(brand_of(request, brand_id))))

    @extend_schema(operation_id="measuring_start", request=None, responses=preflight_shapes.Measuring)
    def post(self, request: Request, brand_id: str) -> HttpResponseBase:
        """Has measured what is not measured as it is now."""
        return answer(_measuring(measuring.ask(brand_of(request, brand_id, write=True))))

    @extend_schema(operation_id="measuring_stop", responses={200: preflight_shapes.Measuring})
    def delete(self, request: Request, brand_id: str) -> HttpResponseBase:
        """Lets go of what waits. What is measured stays."""
        return answer(_measuring(measuring.cancel(brand_of(request, brand_id, write=True))))
