"""Brands, the workbench, drafts, previews, preflight, uploads, releases and the host."""

import gzip
import io
import re
import zipfile

import brotli
import pytest
from django.contrib.auth.models import User
from django.core.files.uploadedfile import SimpleUploadedFile
from django.test import Client

from formulon.core.checks.rule import rules
from formulon.studio.models import Blob, Brand
from tests.studio.conftest import Api

SVG = b'<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 90 30"><path d="M0 0h90v30H0z" fill="#F6F1E7"/></svg>'


def test_a_new_brand_has_the_pages_that_there_is_something_to_tell_on(anna: Api) -> None:
    card = anna.post("brands", {"name": "Osier & Reed"}).json()
    state = anna.get(f"brands/{card['id']}").json()
    assert [page["body"]["name"] for page in state["pages"]] == ["Home", "Contact"]
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
    assert "The dark is worth the drive." in html and not re.search(r"<script(?! type=\"application/ld\+json\">)", html)
    assert anna.get(f"brands/{brand.pk}/pages/gone/preview").status_code == 404


def test_preview_key_changes_with_html_only(brand: Brand, anna: Api) -> None:
    keys = [page["preview"] for page in anna.get(f"brands/{brand.pk}").json()["pages"]]
    restyled = anna.change(brand, "choices", 1, {"op": "replace", "path": "/radius", "value": 20}).json()
    assert [page["preview"] for page in restyled["pages"]] == keys
    edited = anna.change(brand, "page:home", 1, {"op": "replace", "path": "/title", "value": "T"}).json()
    assert [page["preview"] == key for page, key in zip(edited["pages"], keys, strict=True)] == [False, True, True, True]
    # A preview tells of which key it is: that it was asked for may be of what was there a moment before.
    for page in edited["pages"]:
        drawn = anna.get(f"brands/{brand.pk}/pages/{page['body']['id']}/preview").json()
        assert drawn["key"] == page["preview"]


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
    fix = anna.fixes(brand, found["findings"][0])[0]
    edits = [{**change, "revision": 2} for change in fix["changes"]]
    anna.post(f"brands/{brand.pk}/changes", {"label": fix["label"], "edits": edits})
    assert anna.get(f"brands/{brand.pk}/preflight").json()["findings"] == []


def test_fixes_of_a_finding_that_is_gone_are_not_there(brand: Brand, anna: Api) -> None:
    answer = anna.post(f"brands/{brand.pk}/preflight/fixes", {"page": "home", "key": "none"})
    assert answer.status_code == 200 and answer.json() == {"fixes": [], "there": False}


def test_work_on_fixes_ends_when_nobody_waits(brand: Brand, anna: Api) -> None:
    anna.change(brand, "page:home", 1, {"op": "replace", "path": "/description", "value": ""})
    (finding,) = anna.get(f"brands/{brand.pk}/preflight").json()["findings"]
    body = {"page": finding["page"], "key": finding["key"]}
    address = f"/api/brands/{brand.pk}/preflight/fixes"
    left = anna.client.post(address, body, content_type="application/json", **{"waitress.client_disconnected": lambda: True})
    assert left.status_code == 422 and left.json()["code"] == "abandoned"


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
    for missing in (
        "/",
        f"/{brand.slug}/gone.html",
        f"/{brand.slug}/a/b/gone.html",
        "/gone/",
        f"/{brand.slug}/../../etc/passwd",
        "/api/brands",
        "/admin/",
    ):
        answer = site(missing)
        assert answer.status_code == (200 if missing == "/" else 404), missing
        assert "sessionid" not in answer.cookies
    answer = anna.get(f"brands/{brand.pk}/releases/1/zip")
    package = zipfile.ZipFile(io.BytesIO(answer.content))
    assert package.testzip() is None
    assert package.read("index.html") == page.content
    assert anna.get(f"brands/{brand.pk}/releases/9/zip").status_code == 404


def test_pages_are_sent_packed_kept_and_in_parts(brand: Brand, anna: Api) -> None:
    """RFC 9110: 8.4 codings, 13.1.2 If-None-Match, 14.2 Range; RFC 8246: immutable."""
    anna.post(f"brands/{brand.pk}/releases")
    plain = site(f"/{brand.slug}/", **{"accept-encoding": ""})
    packed = site(f"/{brand.slug}/", **{"accept-encoding": "gzip, br;q=0.9"})
    zipped = site(f"/{brand.slug}/", **{"accept-encoding": "br;q=0, gzip"})
    assert packed["Content-Encoding"] == "br" and brotli.decompress(packed.content) == plain.content
    assert zipped["Content-Encoding"] == "gzip" and gzip.decompress(zipped.content) == plain.content
    assert len({plain["ETag"], packed["ETag"], zipped["ETag"]}) == 3 and packed["Vary"] == "Accept-Encoding"
    assert plain["Cache-Control"] == "no-cache"
    # A style sheet is asked for by its content, and may be kept for a year; under another version it may not.
    sheet = re.search(r'href="(site\.css\?v=[0-9a-f]{12})"', plain.content.decode())[1]
    assert site(f"/{brand.slug}/{sheet}")["Cache-Control"] == "public, max-age=31536000, immutable"
    assert site(f"/{brand.slug}/site.css?v=000000000000")["Cache-Control"] == "no-cache"
    font = re.search(r"url\((fonts/[^)]+)\)", site(f"/{brand.slug}/tokens.css").content.decode())[1]
    whole = site(f"/{brand.slug}/{font}")
    assert whole["Accept-Ranges"] == "bytes" and "immutable" in whole["Cache-Control"] and "Content-Encoding" not in whole
    part = site(f"/{brand.slug}/{font}", range="bytes=4-9")
    assert part.status_code == 206 and part.content == whole.content[4:10]
    assert part["Content-Range"] == f"bytes 4-9/{len(whole.content)}"
    assert site(f"/{brand.slug}/{font}", range="bytes=-3").content == whole.content[-3:]
    assert site(f"/{brand.slug}/{font}", range="bytes=999999999-").status_code == 416
    assert site(f"/{brand.slug}/{font}", range="bytes=0-1,4-5").status_code == 200
    head = Client().head(f"/{brand.slug}/", headers={"host": "127.0.0.1"})
    assert head.status_code == 200 and head.content == b"" and int(head["Content-Length"]) > 1000
    assert Client().post(f"/{brand.slug}/", headers={"host": "127.0.0.1"})["Allow"] == "GET, HEAD"


def test_what_is_not_there_is_answered_by_the_brands_own_page(brand: Brand, anna: Api) -> None:
    anna.post(f"brands/{brand.pk}/releases")
    gone = site(f"/{brand.slug}/deep/down/gone.html")
    assert gone.status_code == 404 and "This page is not here" in gone.content.decode()
    links = re.findall(r'(?:href|src)="([^"#]+)"', gone.content.decode())
    assert links and all(one.startswith((f"/{brand.slug}/", "mailto:", "tel:")) for one in links)
    assert all(site(one).status_code == 200 for one in links if one.startswith("/"))
    assert 'name="robots" content="noindex"' in gone.content.decode()


def test_the_start_page_weighs_little_as_it_is_served(brand: Brand, anna: Api) -> None:
    """The budget of docs/architecture.md: 80 kB without photographs, with fonts, as a browser asks for them."""
    anna.post(f"brands/{brand.pk}/releases")
    page = site(f"/{brand.slug}/", **{"accept-encoding": "br"})
    html = brotli.decompress(page.content).decode()
    paths = set(re.findall(r'<link rel="(?:stylesheet|preload)" href="([^"]+)"', html))
    assert any("fonts/" in path for path in paths) and any("site.css" in path for path in paths)
    weight = len(page.content) + sum(len(site(f"/{brand.slug}/{path}", **{"accept-encoding": "br"}).content) for path in paths)
    assert weight <= 80_000, weight


@pytest.mark.parametrize("host", ["127.0.0.1.", "127.0.0.1:8000", "127.0.0.1.:8000"])
def test_hosts_are_compared_as_names_are(brand: Brand, host: str) -> None:
    assert Client().get("/api/session", headers={"host": host}).status_code == 404
    assert Client().get("/", headers={"host": host}).content.startswith(b"Published sites")


@pytest.mark.parametrize("host", ["localhost.", "LOCALHOST", "localhost:8000"])
def test_the_studio_answers_under_its_name_however_it_is_written(db: None, host: str) -> None:
    assert Client().get("/api/session", headers={"host": host}).json() == {"person": None}


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

    from formulon.core.checks.preflight import check_site
    from formulon.studio.services.sites import load

    monkeypatch.setenv("FORMULON_DEMO_PASSWORD", "a long password indeed")
    call_command("load_demo")
    call_command("load_demo")
    willow, observatory = Brand.objects.order_by("slug").all()[::-1]
    assert (willow.slug, observatory.slug) == ("sallowbeck", "quillmoor-observatory")
    assert check_site(load(observatory)).findings == [] and not check_site(load(willow), most=0).stopped
    designer = User.objects.get(username="designer")
    assert designer.check_password("a long password indeed")
    # What people have changed stays: their password, and a demo that they took away.
    designer.set_password("another long password")
    designer.save()
    Brand.objects.all().delete()
    call_command("load_demo")
    assert User.objects.get(username="designer").check_password("another long password") and not Brand.objects.exists()


def test_the_two_demo_brands_are_not_of_one_template(db: None, monkeypatch: pytest.MonkeyPatch) -> None:
    """The willow workshop out of its folder: four pages, its own wide typeface, photographs, prices, dates and stars where they belong;
    and no section as the observatory has it."""
    from django.core.management import call_command

    from formulon.studio.services.sites import load

    monkeypatch.setenv("FORMULON_DEMO_PASSWORD", "a long password indeed")
    call_command("load_demo")
    willow, observatory = (load(Brand.objects.get(slug=slug)) for slug in ("sallowbeck", "quillmoor-observatory"))
    assert [page.name for page in observatory.pages] == [
        "Home",
        "Visit",
        "Programme",
        "Membership",
        "Schools",
        "About",
        "Contact",
    ]
    assert len(willow.pages) == 4 and willow.identity.typefaces.heading == "syne"
    assert {color.name for color in willow.identity.colors} == {"Straw", "River", "Ink", "Reed"}
    sections = [one for page in willow.pages for one in page.sections]
    kinds = {one.kind for one in sections}
    assert {"steps", "prices", "programme", "quotes"} <= kinds and len(willow.assets) >= 4
    quotes = next(one for one in sections if one.kind == "quotes")
    assert [one["rating"] for one in quotes.content["items"]] == [5.0, 4.5]
    own = {(one.kind, one.layout) for one in willow.pages[0].sections}
    assert not own & {(one.kind, one.layout) for one in observatory.pages[0].sections}
    assert willow.identity.typefaces != observatory.identity.typefaces and willow.choices.rhythm is None


def test_the_bar_and_preflight_count_the_same_stops(anna: Api) -> None:
    """A name without letters of the typeface is found in the header of every page, and is one finding."""
    card = anna.post("brands", {"name": "Οινοποιείο"}).json()
    report = anna.get(f"brands/{card['id']}/preflight").json()
    state = anna.get(f"brands/{card['id']}").json()
    stops = sum(one["severity"] == "stop" and one["outcome"] == "fail" for one in report["findings"])
    assert stops > 1 and state["system"]["counts"]["stop"] == report["counts"]["stop"] == stops
