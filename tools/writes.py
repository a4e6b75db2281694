"""What a write takes and answers: a word of one page, and another radius, of the demo with 8 and with 60 pages."""

import gzip
import json
import statistics
import time
from typing import Any

from django.contrib.auth.models import User
from django.test import Client

from formulon.studio.models import Brand, Document, Membership

Row = tuple[str, str, str, bool]
COUNTS, TIMES = (8, 60), 20


def rows() -> list[Row]:
    brand = Brand.objects.get(slug="quillmoor-observatory")
    owner = Membership.objects.filter(workspace=brand.workspace_id, role=Membership.Role.OWNER).values("user_id")
    client = Client(headers={"host": "localhost"})
    client.force_login(User.objects.get(pk=owner[0]["user_id"]))
    made = []
    for count in COUNTS:
        grown(brand, count)
        made += [row(client, brand, count, what) for what in ("a word of one page", "another radius")]
    return made


def grown(brand: Brand, count: int) -> None:
    """Gives the brand so many pages."""
    pages = [one for one in brand.documents.order_by("pk") if one.name.startswith("page:")]
    for number in range(len(pages), count):
        body = pages[number % 4].body | {"id": f"grown-{number}", "name": f"Grown {number}", "menu": number < 12}
        Document.objects.create(brand=brand, name=f"page:grown-{number}", body=body)


def row(client: Client, brand: Brand, count: int, what: str) -> Row:
    held = client.get(f"/api/brands/{brand.pk}").json()
    state, page = held["state"], held["pages"][2]
    document = f"page:{page['body']['id']}" if what == "a word of one page" else "choices"
    revision = page["revision"] if document != "choices" else held["choices"]["revision"]
    times, sizes = [], []
    for number in range(TIMES):
        patch: dict[str, Any] = {"op": "replace", "path": "/title", "value": f"Word {number}"}
        if document == "choices":
            patch = {"op": "replace", "path": "/radius", "value": number + 1}
        edit: dict[str, Any] = {"document": document, "revision": revision, "patch": [patch]}
        start = time.perf_counter()
        answer = client.post(
            f"/api/brands/{brand.pk}/changes", {"label": what, "edits": [edit]}, content_type="application/json",
            headers={"Formulon-State": state, "accept-encoding": "gzip"},
        )  # fmt: skip
        times.append((time.perf_counter() - start) * 1000)
        sizes.append(len(answer.content) / 1000)
        state, revision = _state(answer), revision + 1
    p50, p95 = statistics.median(times), sorted(times)[int(TIMES * 0.95) - 1]
    said = f"{p50:.0f} ms p50, {p95:.0f} ms p95, {max(sizes[1:]):.1f} kB"
    return f"a write, {count} pages: {what}", said, "100 ms, 30 kB", p50 <= 100 and max(sizes[1:]) <= 30


def _state(answer: Any) -> str:
    packed = answer.get("Content-Encoding") == "gzip"
    return str(json.loads(gzip.decompress(answer.content) if packed else answer.content)["state"])
