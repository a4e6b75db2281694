"""When the largest thing of the first screen is there, for a phone on a slow line. On loopback everything comes at once: the browser tells
which thing is the largest, and the time is worked out of the bytes that have to come before it."""

import zlib
from collections.abc import Iterator
from pathlib import PurePosixPath
from urllib.parse import unquote

from formulon.core.checks.drawn_facts import LargestPaint
from formulon.core.checks.place import PagePlace
from formulon.core.measure.addresses import parted
from formulon.core.measure.files import SiteFiles
from formulon.core.measure.seen import LargestSeen, PageSeen
from formulon.core.measure.serving import HOST

# A slow mobile line as audits of pages assume it (common practice; figures from memory).
BYTES_A_SECOND = 1_600_000 / 8
ROUND_TRIP = 0.150  # s
_OPENING = 4  # round trips: name, connection, encryption, first answer


def seconds(page: int, sheets: int, picture: int) -> float:
    """The time in s for bytes on the line: the page, then its style sheets, then the picture, each asked for when the one before is there.
    0 bytes are not asked for. The slow start of a connection and what else is fetched meanwhile are left out, so that it is a least."""
    trips = _OPENING + bool(sheets) + bool(picture)
    return trips * ROUND_TRIP + (page + sheets + picture) / BYTES_A_SECOND


def largest_paint(
    place: PagePlace, path: str, largest: LargestSeen, seen: PageSeen, files: SiteFiles
) -> Iterator[LargestPaint]:
    """What the largest thing of a page's first screen is, and when it is there."""
    asked = {one.address: one for one in seen.requests}
    sheets = (unquote(parted(one).path).strip("/") for one in asked if parted(one).hostname == HOST and ".css" in one)
    picture = asked.get(largest.url)
    if largest.url and picture is None and not largest.url.startswith("data:"):
        return  # it comes from elsewhere, and nobody knows how much it is
    takes = seconds(_packed(files, path), sum(_packed(files, one) for one in sheets), int(picture.bytes) if picture else 0)
    name = PurePosixPath(parted(largest.url).path).name if picture else ""
    yield LargestPaint(place, name, round(takes, 2))


def _packed(files: SiteFiles, path: str) -> int:
    """The bytes of a text as servers send it, compressed."""
    return len(zlib.compress(files.read(path), 6)) if path in files.sizes else 0
