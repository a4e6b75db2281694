"""Pictures of a brand's own that are added where they are wanted, and light work on them, which gives another picture beside the one that
it was done on: what stands on pages changes only when the other is put there, and can be taken back."""

import base64
import io
import re

from PIL import Image
from procrastinate.contrib.django import app

from formulon.core.identity.isolated import readers
from formulon.core.identity.readers.raster import WIDTHS
from formulon.core.site.picture_edits import Edits, edited
from formulon.core.system.documents.identity import free_id, slug
from formulon.studio.errors import UploadRefused
from formulon.studio.models import Brand, Picture
from formulon.studio.services import sources
from formulon.studio.services.reading import read_mark
from formulon.studio.services.sites import blob_of

MOST_PICTURES = 400  # of a brand
_TRIED = 900  # px of the longer side of what is looked at while it is tried


def add(brand: Brand, file_name: str, data: bytes) -> Picture:
    """A picture out of a file: a drawing rebuilt, a photograph in sizes, encoded anew. Raises UploadRefused with what is wrong."""
    name = re.sub(r"[\x00-\x1f<>]", "", file_name)[-120:] or "picture"
    _refuse_too_many(brand)
    if data.lstrip()[:1] == b"<" or name.lower().endswith(".svg"):
        made = read_mark(name, data)
        return Picture.objects.create(
            brand=brand,
            key=_key(brand, name),
            name=_called(name),
            svg=made["svg"],
            width=made["width"],
            height=made["height"],
            from_file=False,
        )
    return _kept(brand, _key(brand, name), _called(name), name, data)


def edit(brand: Brand, key: str, edits: Edits) -> Picture:
    """Another picture, with light work done on one. Raises LookupError for one that there is not, UploadRefused for a drawing, and
    NotPlain."""
    picture = _photograph(brand, key)
    _refuse_too_many(brand)
    made = edited(_whole(picture), edits)
    file = io.BytesIO()
    (made if made.getchannel("A").getextrema() != (255, 255) else made.convert("RGB")).save(file, "PNG", compress_level=1)
    return _kept(brand, _key(brand, picture.key), picture.name, f"{picture.key}.png", file.getvalue())


def tried(brand: Brand, key: str, edits: Edits) -> bytes:
    """How it would look, as a small WebP."""
    picture = _whole(_photograph(brand, key))
    picture.thumbnail((_TRIED, _TRIED))
    file = io.BytesIO()
    edited(picture, edits).save(file, "WEBP", quality=80, method=0)
    return file.getvalue()


def _photograph(brand: Brand, key: str) -> Picture:
    picture = brand.pictures.filter(key=key).first()
    if picture is None:
        raise LookupError(key)
    if not picture.renditions:
        raise UploadRefused("This is a drawing: it has no pixels that could be worked on. Draw it otherwise, and add it anew.")
    return picture


def _whole(picture: Picture) -> Image.Image:
    """The largest size of a photograph, which was encoded here."""
    largest = max((one for one in picture.renditions if one.get("form") != "avif"), key=lambda one: int(one["width"]))
    return Image.open(io.BytesIO(blob_of(picture.brand)(largest["sha256"])))


def _kept(brand: Brand, key: str, called: str, name: str, data: bytes) -> Picture:
    sizes = readers().picture(name, data, "draft")  # the worker makes better ones
    if "error" in sizes:
        raise UploadRefused(sizes["error"])
    renditions = [
        sources.rendition(brand.workspace_id, width, "webp", base64.b64decode(text)) for width, text in sizes["sizes"]
    ]
    scale = min(1.0, WIDTHS[-1] / sizes["width"])
    picture = Picture.objects.create(
        brand=brand, key=key, name=called, renditions=renditions, colors=dict(sizes["colors"]), from_file=False,
        width=max(1, round(sizes["width"] * scale)), height=max(1, round(sizes["height"] * scale)),
    )  # fmt: skip
    app.configure_task("encode_picture", queue="reading").defer(picture_id=picture.pk)
    return picture


def _refuse_too_many(brand: Brand) -> None:
    if brand.pictures.count() >= MOST_PICTURES:
        raise UploadRefused(f"The brand has {MOST_PICTURES} pictures, which is as many as it may have.")


def _key(brand: Brand, name: str) -> str:
    stem = slug(name.rsplit("/", 1)[-1].rsplit(".", 1)[0], "picture")
    return free_id(stem, brand.pictures.values_list("key", flat=True), 60)


def _called(name: str) -> str:
    """What a picture shows, as its file says: without numbers in front and without hyphens."""
    stem = name.rsplit("/", 1)[-1].rsplit(".", 1)[0]
    words = re.sub(r"[-_\s]+", " ", re.sub(r"^(img|dsc|p)?[-_ ]?\d+[-_ ]*", "", stem, flags=re.IGNORECASE)).strip()
    return (words[:1].upper() + words[1:])[:300]
