"""Files to hand out, by the API: added, linked, published on the host, undone, and swept only when nothing needs them."""

from datetime import timedelta

import pytest
from django.core.files.uploadedfile import SimpleUploadedFile
from django.test import Client

from formulon.studio.models import Brand, StoredFile
from formulon.studio.services import releases, sweeping
from tests.core.site.test_attached import RIGHT
from tests.studio.conftest import Api


def added(api: Api, brand: Brand, name: str, data: bytes, revision: int | None = None) -> object:
    known = api.get(f"brands/{brand.pk}").json()["identity"]["revision"] if revision is None else revision
    body = {"file": SimpleUploadedFile(name, data), "revision": str(known)}
    return api.client.post(f"/api/brands/{brand.pk}/files-to-hand-out", body)


def test_a_file_is_added_linked_published_and_stays_what_it_is(brand: Brand, anna: Api) -> None:
    answer = added(anna, brand, "Prices 2027.pdf", RIGHT["pdf"])
    assert answer.status_code == 200 and answer.json()["id"] == "prices-2027"
    page = anna.get(f"brands/{brand.pk}").json()["pages"][0]
    index = next(n for n, one in enumerate(page["body"]["sections"]) if (one["content"].get("primary") or {}).get("to"))
    patch = {"op": "replace", "path": f"/sections/{index}/content/primary/to", "value": "file:prices-2027"}
    assert anna.change(brand, f"page:{page['body']['id']}", page["revision"], patch).status_code == 200
    assert "(PDF,\u00a01\u00a0kB)" in anna.get(f"brands/{brand.pk}/pages/{page['body']['id']}/preview").json()["html"]

    kept = anna.get(f"brands/{brand.pk}/files-to-hand-out/prices-2027")
    assert b"".join(kept.streaming_content) == RIGHT["pdf"]
    assert "attachment" in kept["Content-Disposition"] and "Prices 2027.pdf" in kept["Content-Disposition"]

    releases.publish(brand, None)
    visitor = Client(headers={"host": "127.0.0.1"})
    answer = visitor.get(f"/{brand.slug}/files/prices-2027.pdf")
    assert (answer.content, answer["Content-Type"]) == (RIGHT["pdf"], "application/pdf")
    assert answer["X-Content-Type-Options"] == "nosniff"
    assert visitor.get(f"/{brand.slug}/files/prices-2027.pdf", headers={"range": "bytes=0-4"}).content == b"%PDF-"

    # Taken out, the link leads nowhere, which stops a release; what may come back by undo is not swept.
    identity = anna.get(f"brands/{brand.pk}").json()["identity"]
    assert anna.change(brand, "identity", identity["revision"], {"op": "remove", "path": "/files/0"}).status_code == 200
    findings = anna.get(f"brands/{brand.pk}/preflight").json()["findings"]
    assert any(one["severity"] == "stop" and one["rule"].startswith("links/") for one in findings), {
        one["rule"] for one in findings
    }
    sweeping.sweep(timedelta(0))
    assert anna.undo(brand).status_code == 200
    assert b"".join(anna.get(f"brands/{brand.pk}/files-to-hand-out/prices-2027").streaming_content) == RIGHT["pdf"]
    assert StoredFile.objects.filter(workspace=brand.workspace, size=len(RIGHT["pdf"])).count() == 1


@pytest.mark.parametrize(
    ("name", "data"), [("a.html", b"<p>"), ("a.pdf", b"<!doctype html>"), ("a.svg", b"<svg/>"), ("a.pdf", b""), ("a", b"x")]
)
def test_what_cannot_be_handed_out_is_refused_in_a_sentence(brand: Brand, anna: Api, name: str, data: bytes) -> None:
    answer = added(anna, brand, name, data)
    assert answer.status_code == 422 and answer.json()["title"].endswith(".")
    assert anna.get(f"brands/{brand.pk}").json()["identity"]["body"]["files"] == []


def test_a_file_comes_by_upload_alone_and_of_the_newest_identity(brand: Brand, anna: Api, reviewer: Api, stranger: Api) -> None:
    revision = anna.get(f"brands/{brand.pk}").json()["identity"]["revision"]
    forged = {"id": "a", "name": "a.pdf", "ending": "pdf", "size": 3, "sha256": "0" * 64}
    answer = anna.change(brand, "identity", revision, {"op": "add", "path": "/files/-", "value": forged})
    assert answer.status_code == 422 and "Upload it" in answer.json()["title"]
    assert added(anna, brand, "a.pdf", RIGHT["pdf"], revision - 1 or 99).status_code == 409
    assert added(reviewer, brand, "a.pdf", RIGHT["pdf"], revision).status_code == 403
    assert added(stranger, brand, "a.pdf", RIGHT["pdf"], revision).status_code == 404
    assert added(anna, brand, "a.pdf", RIGHT["pdf"]).status_code == 200
    now = anna.get(f"brands/{brand.pk}").json()["identity"]["revision"]
    renamed = anna.change(brand, "identity", now, {"op": "replace", "path": "/files/0/name", "value": "Prices.pdf"})
    assert renamed.status_code == 200
    swapped = {"op": "replace", "path": "/files/0/ending", "value": "png"}
    assert anna.change(brand, "identity", now + 1, swapped).status_code == 422
    assert stranger.get(f"brands/{brand.pk}/files-to-hand-out/a").status_code == 404
    assert anna.get(f"brands/{brand.pk}/files-to-hand-out/b").status_code == 404
