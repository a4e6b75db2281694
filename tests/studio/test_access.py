"""Nobody sees or changes what is not theirs."""

import pytest
from django.test import Client
from django.urls import get_resolver

from formulon.studio.models import Brand
from tests.studio.conftest import Api

PATHS = [
    ("get", ""),
    ("post", "/changes"),
    ("post", "/undo"),
    ("post", "/redo"),
    ("get", "/history"),
    ("put", "/history/9"),
    ("post", "/plan"),
    ("post", "/draft"),
    ("post", "/style"),
    ("get", "/styles"),
    ("post", "/styles"),
    ("get", "/styles/1/preview"),
    ("post", "/pages/home/sections/hero/overlay"),
    ("get", "/pages/home/sections/hero/compositions"),
    ("post", "/palettes"),
    ("post", "/palettes/preview"),
    ("get", "/pages/home/preview"),
    ("post", "/pages/home/foreseen"),
    ("get", "/pages/home/listing"),
    ("get", "/pages/home/social"),
    ("get", "/preflight"),
    ("post", "/preflight/fixes"),
    ("get", "/preflight/mendings"),
    ("post", "/preflight/all-of"),
    ("post", "/preflight/weigh"),
    ("get", "/preflight/report.html"),
    ("get", "/preflight/first-screens/home"),
    ("get", "/preflight/before"),
    ("post", "/preflight/before"),
    ("delete", "/preflight/before"),
    ("get", "/preflight/report.pdf"),
    ("get", "/preflight/measuring"),
    ("post", "/preflight/measuring"),
    ("delete", "/preflight/measuring"),
    ("post", "/structure"),
    ("post", "/pages/home/sections/hero/copy"),
    ("post", "/search"),
    ("post", "/lines"),
    ("get", "/pages/home/sections/hero/parts"),
    ("post", "/instructions"),
    ("get", "/additions/text"),
    ("get", "/languages"),
    ("post", "/languages"),
    ("get", "/languages/de/texts"),
    ("put", "/languages/de/texts"),
    ("post", "/languages/de/texts"),
    ("delete", "/languages/de/texts"),
    ("get", "/form-starts"),
    ("get", "/stated"),
    ("get", "/material"),
    ("get", "/preflight/languages"),
    ("get", "/old-pages"),
    ("get", "/old-pages/7"),
    ("post", "/files-to-hand-out"),
    ("get", "/files-to-hand-out/prices"),
    ("get", "/phone"),
    ("post", "/phone"),
    ("delete", "/phone"),
    ("get", "/enquiries"),
    ("get", "/enquiries/count"),
    ("get", "/enquiries/csv"),
    ("post", "/enquiries/marks"),
    ("post", "/enquiries/erasures"),
    ("post", "/enquiries/days"),
    ("post", "/marks"),
    ("post", "/releases"),
    ("get", "/releases/1/zip"),
    ("get", "/plan"),
    ("get", "/sources"),
    ("post", "/sources"),
    ("post", "/sources/cancel"),
    ("post", "/sources/again"),
    ("delete", "/sources/7"),
    ("post", "/facts"),
    ("post", "/questions"),
    ("get", "/identity/json"),
    ("get", "/system/tokens"),
    ("get", "/reach"),
    ("get", "/effect"),
    ("post", "/effect"),
    ("get", "/pictures/moon-480.webp"),
    ("post", "/pictures"),
    ("post", "/pictures/moon/edits"),
    ("post", "/pictures/moon/tried"),
    ("post", "/fonts"),
    ("get", "/type"),
    ("get", "/matrix"),
    ("get", "/logo"),
    ("post", "/logo/adjusted"),
    ("get", "/guide"),
    ("get", "/guide/zip"),
    ("get", "/guide/pdf"),
    ("get", "/fonts/0123456789abcdef.woff2"),
]


def test_the_list_of_paths_is_whole() -> None:
    api = next(p for p in get_resolver("formulon.config.urls").url_patterns if str(p.pattern) == "api/")
    known = {str(p.pattern).removeprefix("brands/<uuid:brand_id>") for p in api.url_patterns if "brand_id" in str(p.pattern)}
    assert known == {_pattern(path) for _, path in PATHS}


def _pattern(path: str) -> str:
    parts = {
        "/home/": "/<slug:page_id>/",
        "/hero/": "/<slug:section_id>/",
        "/first-screens/home": "/first-screens/<slug:page_id>",
        "/1/": "/<int:number>/",
        "/7": "/<int:file_id>",
        "/9": "/<int:entry_id>",
    }
    parts |= {
        "/identity/json": "/identity/<slug:form>",
        "/system/tokens": "/system/<slug:form>",
        "/additions/text": "/additions/<str:kind>",
        "/files-to-hand-out/prices": "/files-to-hand-out/<slug:file_id>",
        "/old-pages/7": "/old-pages/<int:file_id>",
        "/languages/de/texts": "/languages/<str:code>/texts",
        "/pictures/moon/": "/pictures/<slug:key>/",
        "moon-480.webp": "<str:name>",
    }
    parts |= {"0123456789abcdef.woff2": "<str:name>"}
    for example, pattern in parts.items():
        path = path.replace(example, pattern)
    return path


@pytest.mark.parametrize(("method", "path"), PATHS)
def test_only_members_are_answered(method: str, path: str, brand: Brand, stranger: Api, nobody: Api) -> None:
    address = f"brands/{brand.pk}{path}"
    for api, status in ((stranger, 404), (nobody, 401)):
        response = getattr(api, method)(address)
        assert response.status_code == status
        assert response["Content-Type"] == "application/problem+json"
        assert b"Quillmoor" not in response.content


@pytest.mark.parametrize(
    "path",
    [
        *[
            "/changes",
            "/undo",
            "/redo",
            "/plan",
            "/marks",
            "/releases",
            "/sources",
            "/sources/cancel",
            "/sources/again",
            "/facts",
            "/questions",
        ]
    ],
)
def test_reviewers_only_read(path: str, brand: Brand, reviewer: Api) -> None:
    assert reviewer.get(f"brands/{brand.pk}").json()["role"] == "reviewer"
    response = reviewer.post(f"brands/{brand.pk}{path}")
    if path in ("/marks", "/sources"):
        response = reviewer.client.post(f"/api/brands/{brand.pk}{path}")
    assert response.status_code == 403 and response.json()["code"] == "forbidden"


def test_lists_hold_only_ones_own(brand: Brand, anna: Api, stranger: Api) -> None:
    assert [b["name"] for b in anna.get("brands").json()["brands"]] == ["Quillmoor Observatory"]
    assert stranger.get("brands").json()["brands"] == []


def test_a_reviewer_makes_no_brand(reviewer: Api) -> None:
    assert reviewer.post("brands", {"name": "Mine"}).status_code == 403


def test_sign_in_and_out(anna: Api) -> None:
    client = Client(headers={"host": "localhost"}, enforce_csrf_checks=True)
    assert client.get("/api/session").json() == {"person": None}
    token = client.cookies["csrftoken"].value
    send = {"content_type": "application/json", "headers": {"X-CSRFToken": token}}
    wrong = client.post("/api/session", {"username": "anna", "password": "no"}, **send)
    assert wrong.status_code == 403 and wrong.json()["code"] == "sign-in-failed"
    right = client.post("/api/session", {"username": "anna", "password": "a long password indeed"}, **send)
    assert right.json() == {"person": {"username": "anna", "name": "Anna"}}
    send["headers"]["X-CSRFToken"] = client.cookies["csrftoken"].value
    assert client.delete("/api/session", **send).json() == {"person": None}


def test_writes_need_the_csrf_token(brand: Brand) -> None:
    client = Client(headers={"host": "localhost"}, enforce_csrf_checks=True)
    client.force_login(brand.workspace.members.create(username="carl"))
    assert client.post(f"/api/brands/{brand.pk}/undo").status_code in (403, 404)
    without = Client(headers={"host": "localhost"}, enforce_csrf_checks=True)
    assert without.post("/api/session", {}, content_type="application/json").status_code == 403


def test_other_hosts_are_refused(anna: Api) -> None:
    assert anna.client.get("/api/session", headers={"host": "evil.example"}).status_code == 400


def test_headers_of_the_interface(anna: Api) -> None:
    response = anna.client.get("/")
    policy = response["Content-Security-Policy"]
    assert "default-src 'self'" in policy and "script-src" not in policy and "frame-ancestors 'none'" in policy
    assert response["X-Content-Type-Options"] == "nosniff"
