"""Brands, the workbench, drafts, previews, preflight, uploads, releases and the host."""

import io
import zipfile

import pytest
from django.core.files.uploadedfile import SimpleUploadedFile
from django.test import Client

from formulon.core.checks.rule import rules
from formulon.studio.models import Blob, Brand
from tests.studio.conftest import Api

SVG = b'<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 90 30"><path d="M0 0h90v30H0z" fill="#F6F1E7"/></svg>'


def test_a_new_brand_has_four_planned_pages(anna: Api) -> None:
    card = anna.post("brands", {"name": "Osier & Reed"}).json()
    state = anna.get(f"brands/{card['id']}").json()
    assert [page["body"]["name"] for page in state["pages"]] == ["Home", "About", "What we offer", "Contact"]
    assert state["slug"] == "osier-reed" and state["history"] == {"undo": None, "redo": None}
    assert anna.post("brands", {"name": "Osier & Reed"}).status_code == 201
    assert anna.post("brands", {"name": ""}).status_code == 422


def test_the_list_shows_the_mark_that_is_seen_on_its_card(brand: Brand, anna: Api) -> None:
    (card,) = anna.get("brands").json()["brands"]
    marks = {mark["id"]: mark["svg"] for mark in anna.get(f"brands/{brand.pk}").json()["identity"]["body"]["marks"]}
    assert card["mark"] == marks["quillmoor-full"] and card["mark"] != marks["quillmoor-full-reversed"]


def test_draft_shows_and_stores_nothing(brand: Brand, anna: Api) -> None:
    state = anna.get(f"brands/{brand.pk}").json()
    drafted = anna.post(f"brands/{brand.pk}/draft", {"choices": state["choices"]["body"] | {"radius": 21}}).json()
    assert "--shape-button-radius: 21px;" in drafted["css"] and "--shape-button-radius: 6px;" in state["system"]["css"]
    assert anna.get(f"brands/{brand.pk}").json()["choices"] == state["choices"]


def test_preview_is_the_page(brand: Brand, anna: Api) -> None:
    html = anna.get(f"brands/{brand.pk}/pages/home/preview").json()["html"]
    assert "The dark is worth the drive." in html and "<script" not in html
    assert anna.get(f"brands/{brand.pk}/pages/gone/preview").status_code == 404


def test_preview_key_changes_with_html_only(brand: Brand, anna: Api) -> None:
    keys = [page["preview"] for page in anna.get(f"brands/{brand.pk}").json()["pages"]]
    restyled = anna.change(brand, "choices", 1, {"op": "replace", "path": "/radius", "value": 20}).json()
    assert [page["preview"] for page in restyled["pages"]] == keys
    edited = anna.change(brand, "page:home", 1, {"op": "replace", "path": "/title", "value": "T"}).json()
    assert [page["preview"] == key for page, key in zip(edited["pages"], keys, strict=True)] == [False, True, True, True]


def test_colors_are_read(anna: Api) -> None:
    read = anna.post("colors", {"text": "Night #1B2147\nblurp"}).json()
    assert read["colors"] == [{"name": "Night", "value": "#1B2147", "hex": "#1b2147"}]
    assert len(read["problems"]) == 1


def upload(api: Api, brand: Brand, data: bytes, name: str = "logo.svg", revision: int = 1):  # type: ignore[no-untyped-def]
    file = SimpleUploadedFile(name, data, "image/svg+xml")
    return api.client.post(f"/api/brands/{brand.pk}/marks", {"file": file, "revision": str(revision)})


def test_a_mark_is_rebuilt_shown_and_undone(brand: Brand, anna: Api) -> None:
    answer = upload(anna, brand, SVG, "Osier & Reed.svg")
    assert answer.status_code == 200, answer.content
    marks = answer.json()["workbench"]["identity"]["body"]["marks"]
    assert marks[-1]["id"] == "osier-reed" and "#F6F1E7" in marks[-1]["svg"]
    assert len(anna.undo(brand).json()["identity"]["body"]["marks"]) == len(marks) - 1


@pytest.mark.parametrize(
    ("data", "says"),
    [
        (SVG.replace(b"<path", b"<script>1</script><path"), "script"),
        (SVG.replace(b'fill="#F6F1E7"', b'fill="url(http://example.org/x)"'), "outside"),
        (SVG.replace(b'viewBox="0 0 90 30"', b'width="60000" height="60000"'), "60,000"),
        (b"\x89PNG\r\n", "cannot be read"),
        (b" " * 1_200_000, "kB"),
    ],
)
def test_bad_uploads_are_named(brand: Brand, anna: Api, data: bytes, says: str) -> None:
    answer = upload(anna, brand, data)
    assert answer.status_code == 422 and says in answer.json()["title"] and "logo.svg" in answer.json()["title"]
    assert anna.get(f"brands/{brand.pk}").json()["identity"]["revision"] == 1


def test_an_upload_without_a_file(brand: Brand, anna: Api) -> None:
    answer = anna.client.post(f"/api/brands/{brand.pk}/marks", {"revision": "1"})
    assert answer.status_code == 422 and "no file" in answer.json()["title"]


def test_preflight_offers_fixes_that_can_be_taken(brand: Brand, anna: Api) -> None:
    anna.change(brand, "page:home", 1, {"op": "replace", "path": "/description", "value": ""})
    found = anna.get(f"brands/{brand.pk}/preflight").json()
    assert found["stopped"] and len(found["findings"]) == 1
    assert {card["id"] for card in found["rules"]} == set(rules())
    fix = found["findings"][0]["fixes"][0]
    edits = [{**change, "revision": 2} for change in fix["changes"]]
    anna.post(f"brands/{brand.pk}/changes", {"label": fix["label"], "edits": edits})
    assert anna.get(f"brands/{brand.pk}/preflight").json()["findings"] == []


def test_a_stop_holds_the_release_back(brand: Brand, anna: Api) -> None:
    anna.change(brand, "page:home", 1, {"op": "replace", "path": "/title", "value": ""})
    answer = anna.post(f"brands/{brand.pk}/releases")
    assert answer.status_code == 409 and answer.json()["code"] == "release-stopped"
    assert brand.releases.count() == 0 and Blob.objects.count() == 0


def site(path: str, **headers: str):  # type: ignore[no-untyped-def]
    return Client().get(path, headers={"host": "127.0.0.1", **headers})


def test_publish_serve_and_download(brand: Brand, anna: Api) -> None:
    state = anna.post(f"brands/{brand.pk}/releases").json()
    assert state["releases"][0]["number"] == 1 and state["releases"][0]["live"]
    assert state["address"].startswith("http://127.0.0.1") and not state["changed_since_release"]
    page = site(f"/{brand.slug}/")
    assert page.status_code == 200 and b"The dark is worth the drive." in page.content
    assert "script-src" not in page["Content-Security-Policy"] and "default-src 'none'" in page["Content-Security-Policy"]
    assert site(f"/{brand.slug}/about.html").status_code == 200
    assert site(f"/{brand.slug}/fonts/figtree/latin.woff2")["Content-Type"] == "font/woff2"
    assert site(f"/{brand.slug}").headers["Location"] == f"/{brand.slug}/"
    assert site(f"/{brand.slug}/", **{"if-none-match": page["ETag"]}).status_code == 304
    for missing in ("/", f"/{brand.slug}/gone.html", "/gone/", f"/{brand.slug}/../../etc/passwd", "/api/brands", "/admin/"):
        answer = site(missing)
        assert answer.status_code == (200 if missing == "/" else 404), missing
        assert "sessionid" not in answer.cookies
    answer = anna.get(f"brands/{brand.pk}/releases/1/zip")
    package = zipfile.ZipFile(io.BytesIO(answer.content))
    assert package.testzip() is None
    assert package.read("index.html") == page.content
    assert anna.get(f"brands/{brand.pk}/releases/9/zip").status_code == 404


def test_publishing_again_keeps_the_old_release_and_its_files(brand: Brand, anna: Api) -> None:
    anna.post(f"brands/{brand.pk}/releases")
    first = anna.get(f"brands/{brand.pk}/releases/1/zip").content
    blobs = Blob.objects.count()
    heading = {"op": "replace", "path": "/sections/0/content/heading", "value": "Look up."}
    assert anna.change(brand, "page:home", 1, heading).json()["changed_since_release"]
    state = anna.post(f"brands/{brand.pk}/releases").json()
    assert [(r["number"], r["live"]) for r in state["releases"]] == [(2, True), (1, False)]
    assert b"Look up." in site(f"/{brand.slug}/").content
    assert anna.get(f"brands/{brand.pk}/releases/1/zip").content == first
    assert Blob.objects.count() == blobs + 2  # only what changed is stored anew: the page, and its picture for links


def test_the_studio_is_not_on_the_sites_host(brand: Brand) -> None:
    assert Client().post("/api/session", headers={"host": "127.0.0.1"}).status_code == 405


def test_demo_loads_once_and_passes(db: None, monkeypatch: pytest.MonkeyPatch) -> None:
    from django.core.management import call_command

    from formulon.core.checks.runner import check_site
    from formulon.studio.services.sites import load

    monkeypatch.setenv("FORMULON_DEMO_PASSWORD", "a long password indeed")
    call_command("load_demo")
    call_command("load_demo")
    (brand,) = Brand.objects.all()
    assert check_site(load(brand)).findings == []
    assert Client(headers={"host": "localhost"}).login(username="designer", password="a long password indeed")
