"""Files that links lead to: added, and looked at."""

import io
from typing import Any, ClassVar

from django.http import FileResponse, Http404
from django.http.response import HttpResponseBase
from drf_spectacular.types import OpenApiTypes
from drf_spectacular.utils import extend_schema
from rest_framework.parsers import MultiPartParser
from rest_framework.request import Request

from formulon.core.site.attached import FORMS, file_of
from formulon.studio.api import shapes, states
from formulon.studio.api.access import brand_of, user_of
from formulon.studio.api.base import FILE, STATE, View, multipart
from formulon.studio.errors import UploadRefused
from formulon.studio.services import uploads
from formulon.studio.services.sites import blob_of, identity_of


class FilesView(View):
    parser_classes: ClassVar[list[Any]] = [MultiPartParser]

    @extend_schema(
        request=multipart(["file", "revision"], file=FILE, revision={"type": "integer"}),
        responses={200: shapes.FileAdded, 409: shapes.Problem, 422: shapes.Problem},
    )
    def post(self, request: Request, brand_id: str) -> HttpResponseBase:
        """Adds a file that links can lead to, based on a revision of the identity."""
        brand = brand_of(request, brand_id, write=True)
        file, revision = request.FILES.get("file"), str(request.data.get("revision", ""))
        if file is None or not revision.isdigit():
            raise UploadRefused("There is no file in the upload. Choose one.")
        made = uploads.add_file(brand, user_of(request), file.name or "file", file.read(), int(revision))
        held = request.headers.get(STATE, "")
        return self.drawn(request, brand, lambda bench: shapes.FileAdded(id=made, workbench=states.changed(bench, held)))


class FileView(View):
    @extend_schema(responses={(200, "application/octet-stream"): OpenApiTypes.BINARY, 404: shapes.Problem})
    def get(self, request: Request, brand_id: str, file_id: str) -> HttpResponseBase:
        """A file as visitors get it. It is handed over to be kept, and not shown on the studio's own address."""
        brand = brand_of(request, brand_id)
        one = file_of(identity_of(brand), f"file:{file_id}")
        if one is None:
            raise Http404
        return FileResponse(
            io.BytesIO(blob_of(brand)(one.sha256)), as_attachment=True, filename=one.name, content_type=FORMS[one.ending].media
        )
