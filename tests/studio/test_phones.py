"""The preview on phones: open for an hour under a token, the site as it is now, and nothing else."""

import base64
import io
from datetime import timedelta
from pathlib import Path
from typing import Any
from urllib.parse import unquote
from wsgiref.util import setup_testing_defaults

import pytest
import resvg_py
from django.utils import timezone
from PIL import Image

from formulon.config import phones as meeting
from formulon.studio.models import Brand, PhonePreview
from formulon.studio.phones import application
from tests.studio.conftest import Api


@pytest.fixture(autouse=True)
def folder(tmp_path: Path, monkeypatch: pytest.MonkeyPatch) -> None:
    monkeypatch.setattr(meeting, "FOLDER", tmp_path)
    monkeypatch.setattr(meeting, "_WAITED", 0.3)
    monkeypatch.setenv("FORMULON_PHONES_HOST", "192.0.2.7")


def asked(path: str, method: str = "GET") -> tuple[str, dict[str, str], bytes]:
    environ: dict[str, Any] = {}
    setup_testing_defaults(environ)
    environ |= {"PATH_INFO": path, "REQUEST_METHOD": method}
    said: list[Any] = []
    body = b"".join(application(environ, lambda status, headers: said.append((status, headers))))
    return said[0][0], dict(said[0][1]), body


def test_it_opens_for_an_hour_shows_what_is_there_now_and_closes(
    brand: Brand, anna: Api, monkeypatch: pytest.MonkeyPatch
) -> None:
    monkeypatch.setattr("formulon.studio.phones.close_old_connections", lambda: None)
    at = f"brands/{brand.pk}/phone"
    assert anna.get(at).json() == {"opened": None}
    meeting.opened(8123)  # as the process does that opens the socket
    opened = anna.post(at).json()["opened"]
    token = PhonePreview.objects.get(brand=brand).token
    assert opened["address"] == f"http://192.0.2.7:8123/{token}/" and 3590 < opened["seconds"] <= 3600
    assert meeting.wanted() == pytest.approx(timezone.now().timestamp() + 3600, abs=10)

    status, headers, body = asked(f"/{token}/")
    assert status == "200 OK" and b"Quillmoor" in body and headers["X-Robots-Tag"] == "noindex"
    assert asked(f"/{token}")[1]["Location"] == f"/{token}/"
    assert asked(f"/{token}/site.css")[1]["Content-Type"].startswith("text/css")
    assert asked(f"/{token}/nothing.html")[0] == "404 Not Found"
    assert asked(f"/{token}/", "HEAD")[2] == b"" and asked(f"/{token}/", "POST")[0].startswith("405")
    for wrong in ("/", "//", f"/{token}x/", "/../", "/\0/", f"/{token}\0/", f"/{token.lower()}a/", "/api/session"):
        assert asked(wrong)[0] == "404 Not Found", wrong

    # What is written meanwhile is there at the next look.
    page = anna.get(f"brands/{brand.pk}").json()["pages"][0]
    patch = {"op": "replace", "path": "/title", "value": "Tonight, perhaps"}
    assert anna.change(brand, f"page:{page['body']['id']}", page["revision"], patch).status_code == 200
    assert b"<title>Tonight, perhaps" in asked(f"/{token}/")[2]

    assert anna.delete(at).json() == {"opened": None}
    assert asked(f"/{token}/")[0] == "404 Not Found" and meeting.wanted() == 0


def test_a_token_ends_with_its_hour_and_a_new_one_takes_its_place(
    brand: Brand, anna: Api, monkeypatch: pytest.MonkeyPatch
) -> None:
    monkeypatch.setattr("formulon.studio.phones.close_old_connections", lambda: None)
    meeting.opened(8123)
    first = anna.post(f"brands/{brand.pk}/phone").json()["opened"]["address"]
    second = anna.post(f"brands/{brand.pk}/phone").json()["opened"]["address"]
    old, new = (one.split("/")[3] for one in (first, second))
    assert old != new and len(new) >= 20
    assert asked(f"/{old}/")[0] == "404 Not Found" and asked(f"/{new}/")[0] == "200 OK"
    PhonePreview.objects.update(until=timezone.now() - timedelta(seconds=1))
    assert asked(f"/{new}/")[0] == "404 Not Found"
    assert anna.get(f"brands/{brand.pk}/phone").json() == {"opened": None}


def test_the_code_is_a_picture_whose_modules_have_room_around(brand: Brand, anna: Api) -> None:
    """ISO/IEC 18004: a quiet zone of four modules on every side, and a finder pattern, seven modules wide, in three corners. The reading of
    the whole is segno's own tests' matter."""
    meeting.opened(8123)
    code = anna.post(f"brands/{brand.pk}/phone").json()["opened"]["code"]
    head, _, data = code.partition(",")
    svg = base64.b64decode(data).decode() if head.endswith("base64") else unquote(data)
    picture = Image.open(io.BytesIO(bytes(resvg_py.svg_to_bytes(svg_string=svg)))).convert("L")
    dark = lambda x, y: picture.getpixel((x * 6 + 3, y * 6 + 3)) < 128  # type: ignore[operator]  # noqa: E731
    side = picture.width // 6
    assert not any(dark(x, y) for x in range(side) for y in (0, 1, 2, 3, side - 1)), "quiet"
    assert [dark(4 + x, 4) for x in range(8)] == [True] * 7 + [False]
    assert [dark(side - 5 - x, 4 + 6) for x in range(8)] == [True] * 7 + [False]
    assert [dark(4, side - 5 - x) for x in range(8)] == [True] * 7 + [False]


def test_where_nothing_can_open_it_that_is_said(
    brand: Brand, anna: Api, reviewer: Api, monkeypatch: pytest.MonkeyPatch
) -> None:
    refused = anna.post(f"brands/{brand.pk}/phone")
    assert refused.status_code == 400 and "not started by ./start" in refused.json()["title"]
    assert not PhonePreview.objects.exists() and meeting.wanted() == 0
    monkeypatch.setattr(meeting, "address", lambda: "")
    assert "no local network" in anna.post(f"brands/{brand.pk}/phone").json()["title"]
    assert reviewer.post(f"brands/{brand.pk}/phone").status_code == 403
