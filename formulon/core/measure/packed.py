"""What was seen of a page, as bytes that can be kept: JSON, compressed."""

import json
import zlib

from pydantic import BaseModel, TypeAdapter

from formulon.core.color.srgb import RGB
from formulon.core.measure.facts import Page, Scheme
from formulon.core.measure.seen import Besides, EdgeSeen, PageSeen


class _Packed(BaseModel):
    path: str
    scheme: Scheme
    seen: dict[int, PageSeen]
    pixels: dict[int, dict[str, tuple[RGB, RGB]]]
    edges: dict[int, EdgeSeen]
    besides: Besides


_FORM = TypeAdapter(_Packed)


def packed(page: Page) -> bytes:
    """A page as it was seen."""
    made = _Packed(
        path=page.path, scheme=page.scheme, seen=page.seen, edges=page.edges, besides=page.besides,
        pixels={width: dict(pairs) for width, pairs in page.pixels.items()},
    )  # fmt: skip
    return zlib.compress(json.dumps(made.model_dump(by_alias=True), ensure_ascii=False, separators=(",", ":")).encode(), 6)


def unpacked(data: bytes, name: str = "") -> Page:
    """The page, under a name."""
    made = _FORM.validate_json(zlib.decompress(data))
    return Page(made.path, made.seen, made.pixels, made.edges, name, made.scheme, made.besides)
