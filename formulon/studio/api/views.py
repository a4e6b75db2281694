"""The API's views: each a few lines over a service."""

from collections.abc import Callable
from typing import Any, ClassVar

from django.http import Http404, HttpResponse
from django.http.response import HttpResponseBase
from drf_spectacular.types import OpenApiTypes
from drf_spectacular.utils import OpenApiParameter, extend_schema
from rest_framework.parsers import MultiPartParser
from rest_framework.request import Request

from formulon.core.color.parse import parse_list
from formulon.core.site.render import Preview, render_page
from formulon.core.site.replan import differences
from formulon.core.site.site import Site
from formulon.core.system.documents.identity import Identity
from formulon.core.system.system import Scheme, System
from formulon.studio.api import answers, library_shapes, shapes, source_shapes
from formulon.studio.api.access import brand_of, user_of
from formulon.studio.api.base import FILE, View, answer, multipart
from formulon.studio.api.problems import problem
from formulon.studio.errors import UploadRefused
from formulon.studio.models import Brand, Membership, Workspace
from formulon.studio.services import brands, entries, foresight, history, languages, releases, sites, uploads
from formulon.studio.services.workbench import summary_of

FONTS = "/static/fonts/"
SCHEME = OpenApiParameter("scheme", str, enum=["light", "dark"], description="The first scheme of the site if left out.")


class LibraryView(View):
    @extend_schema(responses=library_shapes.Library)
    def get(self, request: Request) -> HttpResponseBase:
        return answer(answers.library())


class ColorsView(View):
    @extend_schema(request=shapes.ColorText, responses=shapes.ReadColors)
    def post(self, request: Request) -> HttpResponseBase:
        colors, problems = parse_list(shapes.ColorText.model_validate(request.data).text)
        read = [shapes.ReadColor(name=c.name, value=c.value, hex=c.hex) for c in colors]
        return answer(shapes.ReadColors(colors=read, problems=problems))


class BrandsView(View):
    @extend_schema(operation_id="brands_list", responses=shapes.BrandList)
    def get(self, request: Request) -> HttpResponseBase:
        brands = sites.brands_of(user_of(request)).prefetch_related("documents", "releases")
        return answer(shapes.BrandList(brands=[answers.brand_card(request._request, brand) for brand in brands]))

    @extend_schema(operation_id="brands_create", request=shapes.NewBrand, responses={201: shapes.BrandCard})
    def post(self, request: Request) -> HttpResponseBase:
        wanted = shapes.NewBrand.model_validate(request.data)
        user = user_of(request)
        writers = (Membership.Role.OWNER, Membership.Role.DESIGNER)
        workspace = Workspace.objects.filter(membership__user=user, membership__role__in=writers).order_by("id").first()
        if workspace is None:
            return problem(403, "no-workspace", "You are in no workspace where you may make a brand. Ask an owner to add you.")
        brand = sites.create(workspace, Identity(name=wanted.name))
        return answer(answers.brand_card(request._request, brand), 201)


class BrandView(View):
    @extend_schema(operation_id="brand_read", responses={200: shapes.Workbench, 409: shapes.Unopened})
    def get(self, request: Request, brand_id: str) -> HttpResponseBase:
        return self.bench(request, brand_of(request, brand_id))

    @extend_schema(operation_id="brand_delete", responses={204: None, 403: shapes.Problem})
    def delete(self, request: Request, brand_id: str) -> HttpResponseBase:
        brands.remove(brand_of(request, brand_id, write=True), user_of(request))
        return HttpResponse(status=204)


class ChangesView(View):
    @extend_schema(request=shapes.ChangeRequest, responses={200: shapes.Changed, 409: shapes.Problem, 422: shapes.Problem})
    def post(self, request: Request, brand_id: str) -> HttpResponseBase:
        brand = brand_of(request, brand_id, write=True)
        wanted = shapes.ChangeRequest.model_validate(request.data)
        edits = [history.Edit(edit.document, edit.revision, edit.patch) for edit in wanted.edits]
        history.write(brand, user_of(request), wanted.label, edits)
        return self.changed(request, brand)


class UndoView(View):
    @extend_schema(request=shapes.StepRequest, responses={200: shapes.Changed, 409: shapes.Problem})
    def post(self, request: Request, brand_id: str) -> HttpResponseBase:
        return self.step(request, brand_id, history.undo)

    def step(self, request: Request, brand_id: str, take: Callable[..., object]) -> HttpResponseBase:
        brand, wanted = brand_of(request, brand_id, write=True), shapes.StepRequest.model_validate(request.data)
        take(brand, user_of(request), wanted.entry, wanted.anyway)
        return self.changed(request, brand)


class RedoView(UndoView):
    @extend_schema(request=shapes.StepRequest, responses={200: shapes.Changed, 409: shapes.Problem})
    def post(self, request: Request, brand_id: str) -> HttpResponseBase:
        return self.step(request, brand_id, history.redo)


class HistoryView(View):
    @extend_schema(responses=shapes.HistoryList)
    def get(self, request: Request, brand_id: str) -> HttpResponseBase:
        """The newest hundred entries, the newest first."""
        found = entries.listed(brand_of(request, brand_id))
        return answer(shapes.HistoryList(entries=[answers.history_entry(entry, holds) for entry, holds in found]))


class PointView(View):
    @extend_schema(request=shapes.PointRequest, responses={200: shapes.HistoryEntry, 409: shapes.Problem})
    def put(self, request: Request, brand_id: str, entry_id: int) -> HttpResponseBase:
        """Names a point of the history."""
        brand, wanted = brand_of(request, brand_id, write=True), shapes.PointRequest.model_validate(request.data)
        named = history.name_point(brand, entry_id, wanted.name)
        holds = next((holds for entry, holds in entries.listed(brand, named.number + 1, 1)), True)
        return answer(answers.history_entry(named, holds))


class PictureView(View):
    """A size of one of the brand's photographs, for previews. It was encoded anew; it is served as nothing but a picture."""

    @extend_schema(responses={(200, "image/webp"): OpenApiTypes.BINARY})
    def get(self, request: Request, brand_id: str, name: str) -> HttpResponse:
        found = sites.rendition(brand_of(request, brand_id), name)
        return material(*(found or (None, "image/webp")))


def material(data: bytes | None, kind: str) -> HttpResponse:
    """Uploaded material, which may be nothing but what it is served as."""
    if data is None:
        raise Http404
    headers = {
        "Content-Security-Policy": "default-src 'none'; sandbox",
        "X-Content-Type-Options": "nosniff",
        "Cache-Control": "private, max-age=86400",
    }
    return HttpResponse(data, content_type=kind, headers=headers)


class PlanView(View):
    @extend_schema(responses=source_shapes.Planned)
    def get(self, request: Request, brand_id: str) -> HttpResponseBase:
        mine, merged, _ = history.proposal(brand_of(request, brand_id))
        return answer(source_shapes.Planned(differences=differences(mine, merged)))

    @extend_schema(request=None, responses=shapes.Changed)
    def post(self, request: Request, brand_id: str) -> HttpResponseBase:
        brand = brand_of(request, brand_id, write=True)
        history.replan(brand, user_of(request))
        return self.changed(request, brand)


class DraftView(View):
    @extend_schema(request=shapes.DraftRequest, responses=shapes.Resolved)
    def post(self, request: Request, brand_id: str) -> HttpResponseBase:
        brand = brand_of(request, brand_id)
        return answer(answers.draft(brand, shapes.DraftRequest.model_validate(request.data).choices))


class StyleView(View):
    """The tokens alone, ahead of everything that a draft tells."""

    @extend_schema(request=shapes.DraftRequest, responses={200: shapes.Styles, 422: shapes.Problem})
    def post(self, request: Request, brand_id: str) -> HttpResponseBase:
        brand = brand_of(request, brand_id)
        return answer(answers.styles(brand, shapes.DraftRequest.model_validate(request.data).choices))


class PreviewView(View):
    @extend_schema(
        parameters=[SCHEME, OpenApiParameter("language", str, description="One of the site's further languages.")],
        responses=shapes.PagePreview,
    )
    def get(self, request: Request, brand_id: str, page_id: str) -> HttpResponseBase:
        brand = brand_of(request, brand_id)
        site, digests = sites.told_apart(brand, sites.bodies_of(brand)[0])
        page = site.page(page_id)
        if page is None:
            raise Http404
        key = sites.preview_key(site, digests, page, summary_of(site, sites.blob_of(brand)))
        site = languages.shown(site, request.query_params.get("language", ""))
        system = site.system()
        preview = drawn_in(brand_id, system, request.query_params.get("scheme"))
        return answer(shapes.PagePreview(html=render_page(site, system, site.page(page_id) or page, preview), key=key))


class ForeseenView(View):
    @extend_schema(request=shapes.ForeseenRequest, responses={200: shapes.Foreseen, 404: shapes.Problem, 422: shapes.Problem})
    def post(self, request: Request, brand_id: str, page_id: str) -> HttpResponseBase:
        """A page as it will be drawn once changes are stored, for showing it before they are. Nothing is stored."""
        brand, wanted = brand_of(request, brand_id, write=True), shapes.ForeseenRequest.model_validate(request.data)
        drawn = foreseen(brand, page_id, wanted.scheme, wanted.changes)
        if drawn is None:
            raise Http404
        return answer(drawn)


def foreseen(brand: Brand, page_id: str, scheme: Scheme, changes: list[shapes.ChangeCard]) -> shapes.Foreseen | None:
    """A page of a brand with changes; None where there is no such page then."""
    edits = [history.Edit(one.document, 0, one.patch) for one in changes]
    drawn = foresight.foreseen(brand, page_id, edits, lambda system: drawn_in(str(brand.pk), system, scheme))
    return drawn and shapes.Foreseen(page=page_id, scheme=scheme, html=drawn[0], content=drawn[1])


def previewed(request: Request, brand_id: str) -> tuple[Site, System, Preview]:
    """A brand's site and system, and how its pages are drawn in the studio, in the scheme that was asked for."""
    site = sites.load(brand_of(request, brand_id))
    system = site.system()
    return site, system, drawn_in(brand_id, system, request.query_params.get("scheme"))


def drawn_in(brand_id: str, system: System, asked: str | None) -> Preview:
    """How a brand's pages are drawn in the studio, in the scheme that is asked for where there is one."""
    scheme = next((one for one in system.schemes if one == asked), system.schemes[0])
    base = f"/api/brands/{brand_id}"
    return Preview(FONTS, f"{base}/pictures/", scheme, f"{base}/fonts/")


class MarksView(View):
    parser_classes: ClassVar[list[Any]] = [MultiPartParser]

    @extend_schema(
        request=multipart(
            ["file", "revision"],
            file=FILE,
            revision={"type": "integer"},
            meant_for={"type": "string", "enum": ["any", "light", "dark"]},
        ),
        responses={200: shapes.MarkUploaded, 409: shapes.Problem, 422: shapes.Problem},
    )
    def post(self, request: Request, brand_id: str) -> HttpResponseBase:
        brand = brand_of(request, brand_id, write=True)
        file = request.FILES.get("file")
        revision, meant_for = str(request.data.get("revision", "")), str(request.data.get("meant_for", "any"))
        if file is None or not revision.isdigit() or meant_for not in ("any", "light", "dark"):
            raise UploadRefused("There is no file in the upload. Choose the logo as an SVG file.")
        notes = uploads.add_mark(brand, user_of(request), file.name or "logo.svg", file.read(), int(revision), meant_for)
        return self.uploaded(request, brand, notes)


class ReleasesView(View):
    @extend_schema(request=None, responses={200: shapes.Changed, 409: shapes.Problem})
    def post(self, request: Request, brand_id: str) -> HttpResponseBase:
        brand = brand_of(request, brand_id, write=True)
        releases.publish(brand, user_of(request))
        return self.changed(request, brand)


class ReleaseZipView(View):
    @extend_schema(responses={(200, "application/zip"): OpenApiTypes.BINARY})
    def get(self, request: Request, brand_id: str, number: int) -> HttpResponse:
        brand = brand_of(request, brand_id)
        release = brand.releases.filter(number=number).first()
        if release is None:
            raise Http404
        name = f"{brand.slug}-r{release.number}.zip"
        headers = {"Content-Disposition": f'attachment; filename="{name}"'}
        address = answers.address_of(request._request, brand)
        return HttpResponse(releases.archive(release, address), content_type="application/zip", headers=headers)
