"""The inbox: what visitors sent through the forms of a published site. Designers and owners read it; reviewers look at designs."""

from django.conf import settings
from django.db.models import QuerySet
from django.http import HttpResponse
from django.http.response import HttpResponseBase
from django.utils import timezone
from drf_spectacular.types import OpenApiTypes
from drf_spectacular.utils import OpenApiParameter, extend_schema
from rest_framework.request import Request

from formulon.studio.api import enquiry_shapes, shapes
from formulon.studio.api.access import brand_of
from formulon.studio.api.base import View, answer
from formulon.studio.errors import StudioError
from formulon.studio.models import Brand, Enquiry
from formulon.studio.services import enquiries

AT_ONCE = 50
_ASKED = [
    OpenApiParameter("words", str, description="Words, every one of which an enquiry holds."),
    OpenApiParameter("state", str, enum=Enquiry.State.values),
]


class NoSuchDays(StudioError):
    code = "no-such-days"
    status = 422


class EnquiriesView(View):
    @extend_schema(
        parameters=[*_ASKED, OpenApiParameter("start", int, description="How many are passed over.")],
        responses={200: enquiry_shapes.Enquiries, 403: shapes.Problem},
    )
    def get(self, request: Request, brand_id: str) -> HttpResponseBase:
        """What was sent, the newest first, fifty at once."""
        brand = brand_of(request, brand_id, write=True)
        found = _asked(request, brand)
        start = _start(request.query_params.get("start", "0"))
        kept, used = enquiries.used_by(brand)
        return answer(
            enquiry_shapes.Enquiries(
                enquiries=[_card(one) for one in found[start : start + AT_ONCE]],
                found=found.count(),
                counts=enquiry_shapes.EnquiryCounts(**enquiries.counts(brand)),
                kept=kept,
                most=settings.ENQUIRIES_KEPT,
                bytes=used,
                most_bytes=settings.ENQUIRIES_BYTES,
                days=brand.enquiries_days,
                days_offered=list(enquiries.DAYS),
                folder=not settings.EMAIL_HOST,
            )
        )


class CountView(View):
    @extend_schema(responses={200: enquiry_shapes.Counted, 403: shapes.Problem})
    def get(self, request: Request, brand_id: str) -> HttpResponseBase:
        """How many are new."""
        brand = brand_of(request, brand_id, write=True)
        return answer(enquiry_shapes.Counted(count=brand.enquiries.filter(state=Enquiry.State.NEW).count()))


class MarksView(View):
    @extend_schema(request=enquiry_shapes.Marking, responses={200: enquiry_shapes.Counted, 403: shapes.Problem})
    def post(self, request: Request, brand_id: str) -> HttpResponseBase:
        """Marks enquiries as new, read or answered."""
        brand = brand_of(request, brand_id, write=True)
        wanted = enquiry_shapes.Marking.model_validate(request.data)
        return answer(enquiry_shapes.Counted(count=enquiries.mark(brand, wanted.ids, wanted.state)))


class ErasuresView(View):
    @extend_schema(request=enquiry_shapes.Erasure, responses={200: enquiry_shapes.Counted, 403: shapes.Problem})
    def post(self, request: Request, brand_id: str) -> HttpResponseBase:
        """Erases enquiries for good: some, or all that one person sent."""
        brand = brand_of(request, brand_id, write=True)
        wanted = enquiry_shapes.Erasure.model_validate(request.data)
        return answer(enquiry_shapes.Counted(count=enquiries.erase(brand, wanted.ids, wanted.person)))


class DaysView(View):
    @extend_schema(request=enquiry_shapes.Keeping, responses={200: enquiry_shapes.Keeping, 403: shapes.Problem})
    def post(self, request: Request, brand_id: str) -> HttpResponseBase:
        """Says how long enquiries are kept. What is older goes within the hour."""
        brand = brand_of(request, brand_id, write=True)
        wanted = enquiry_shapes.Keeping.model_validate(request.data)
        if wanted.days not in enquiries.DAYS:
            raise NoSuchDays(f"Enquiries are kept for {', '.join(map(str, enquiries.DAYS))} days.")
        Brand.objects.filter(pk=brand.pk).update(enquiries_days=wanted.days)
        return answer(wanted)


class CsvView(View):
    @extend_schema(parameters=_ASKED, responses={(200, "text/csv"): OpenApiTypes.STR})
    def get(self, request: Request, brand_id: str) -> HttpResponse:
        """The same as CSV, all of it."""
        brand = brand_of(request, brand_id, write=True)
        name = f"{brand.slug}-enquiries-{timezone.localdate():%Y-%m-%d}.csv"
        text = "\ufeff" + enquiries.table(_asked(request, brand))  # the mark tells spreadsheets that it is UTF-8
        return HttpResponse(
            text, content_type="text/csv; charset=utf-8", headers={"Content-Disposition": f'attachment; filename="{name}"'}
        )


def _asked(request: Request, brand: Brand) -> QuerySet[Enquiry]:
    state = request.query_params.get("state", "")
    words = request.query_params.get("words", "")[:200].replace("\0", "")
    return enquiries.found(brand, words, state if state in Enquiry.State.values else "")


def _start(text: str) -> int:
    """How many are passed over; none where that is no number."""
    return min(int(text), 1_000_000) if text.isascii() and text.isdigit() and len(text) < 8 else 0


def _card(one: Enquiry) -> enquiry_shapes.EnquiryCard:
    answers = [enquiry_shapes.AnswerCard.model_validate(answer) for answer in one.answers]
    name = next((answer.value for answer in answers if answer.kind == "name" and answer.value), "")
    short = next((answer.value for answer in answers if answer.kind == "text" and answer.value), "")
    email = next((answer.value for answer in answers if answer.kind == "email" and answer.value), "")
    return enquiry_shapes.EnquiryCard(
        id=one.pk,
        received=one.received,
        page=one.page,
        form=one.form,
        recipient=one.recipient,
        person=name or short or email,
        email=email,
        state=one.state,
        mailed=one.mailed is not None,
        answers=answers,
    )
