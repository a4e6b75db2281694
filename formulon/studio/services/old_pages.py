"""Pages of the site that a brand has had, where its files were handed in: by themselves, to look at beside the new ones."""

import base64
import re
from functools import lru_cache
from urllib.parse import unquote
from uuid import UUID

from formulon.core.identity.isolated import readers
from formulon.core.identity.reading import decode
from formulon.studio.errors import UploadRefused
from formulon.studio.models import Brand, SourceFile, StoredFile

_PAGE = re.compile(r"\.html?$", re.IGNORECASE)
_PICTURES = {
    "png": "png", "jpg": "jpeg", "jpeg": "jpeg", "gif": "gif", "webp": "webp", "avif": "avif", "svg": "svg+xml",
}  # fmt: skip
_MOST_PICTURE, _MOST_ALL = 2_000_000, 8_000_000  # bytes of a picture that is shown, and of all


def listed(brand: Brand) -> list[tuple[int, str]]:
    """The pages among the brand's files, by id and path; the start page first."""
    found = [(pk, name) for pk, name in brand.sources.values_list("pk", "name") if _PAGE.search(name)]
    return sorted(
        found,
        key=lambda one: (not re.search(r"(^|/)(index|home|start)\.html?$", one[1], re.IGNORECASE), one[1].count("/"), one[1]),
    )


def shown(brand: Brand, file_id: int) -> str:
    """A page as one document that asks for nothing. Raises LookupError for one that there is not, UploadRefused where it cannot be read."""
    source = brand.sources.select_related("stored").filter(pk=file_id).first()
    if source is None or not _PAGE.search(source.name):
        raise LookupError(file_id)
    names = tuple(sorted(brand.sources.values_list("name", "stored__sha256")))
    return _drawn(brand.pk, file_id, names)


@lru_cache(maxsize=24)
def _drawn(brand_id: UUID, file_id: int, _: tuple[tuple[str, str], ...]) -> str:
    """The page, drawn once for what lies with it."""
    source = SourceFile.objects.select_related("stored").get(pk=file_id)
    data = bytes(source.stored.data)
    others = SourceFile.objects.filter(brand_id=brand_id).exclude(pk=file_id).select_related("stored").order_by("size")
    sheets = others.filter(name__iendswith=".css", size__lte=_MOST_PICTURE)
    beside = {one.name: decode(bytes(one.stored.data)) or "" for one in sheets}
    said = unquote(" ".join([decode(data) or "", *beside.values()]))
    room = _MOST_ALL
    for name, size, pk in others.values_list("name", "size", "stored_id"):
        form = _PICTURES.get(name.rsplit(".", 1)[-1].lower())
        if form and size <= min(_MOST_PICTURE, room) and name.rsplit("/", 1)[-1] in said:
            room -= size
            picture = bytes(StoredFile.objects.values_list("data", flat=True).get(pk=pk))
            beside[name] = f"data:image/{form};base64,{base64.b64encode(picture).decode()}"
    made = readers().page(source.name, data, beside)
    if "error" in made:
        raise UploadRefused(made["error"])
    return str(made["html"])
