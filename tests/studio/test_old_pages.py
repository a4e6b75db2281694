"""Pages of the old site by the API: found among the brand's files, shown by themselves, the start page first."""

import pytest

from formulon.studio.models import Brand, SourceFile
from formulon.studio.services import sources
from tests.core.site.test_attached import RIGHT
from tests.studio.conftest import Api


@pytest.fixture
def handed_in(brand: Brand) -> Brand:
    files = {
        "old.zip/site/about.html": b"<p>About</p>",
        "old.zip/site/deep/index.html": b"<p>Deeper</p>",
        "old.zip/site/index.html": b'<link rel="stylesheet" href="a.css"><h1>Old</h1><img src="moon.png" alt="Moon"><script>x()</script>',
        "old.zip/site/a.css": b"h1{color:#123456}",
        "old.zip/site/moon.png": RIGHT["png"],
        "notes.md": b"# Notes",
    }
    for name, data in files.items():
        stored = sources.store(brand.workspace_id, data)
        SourceFile.objects.create(brand=brand, name=name, stored=stored, size=len(data), state="read")
    return brand


def test_old_pages_are_listed_and_shown(handed_in: Brand, anna: Api, stranger: Api) -> None:
    at = f"brands/{handed_in.pk}/old-pages"
    pages = anna.get(at).json()["pages"]
    assert [one["name"] for one in pages] == [
        "old.zip/site/index.html",
        "old.zip/site/deep/index.html",
        "old.zip/site/about.html",
    ]
    html = anna.get(f"{at}/{pages[0]['id']}").json()["html"]
    assert "color:#123456" in html and 'src="data:image/png;base64,' in html and "x()" not in html
    other = SourceFile.objects.get(name="notes.md").pk
    assert anna.get(f"{at}/{other}").status_code == 404
    assert stranger.get(f"{at}/{pages[0]['id']}").status_code == 404


def test_a_sheet_that_is_handed_in_later_is_there_at_the_next_look(handed_in: Brand, anna: Api) -> None:
    at = f"brands/{handed_in.pk}/old-pages/{SourceFile.objects.get(name='old.zip/site/index.html').pk}"
    assert "#123456" in anna.get(at).json()["html"]
    stored = sources.store(handed_in.workspace_id, b"h1{color:#abcdef}")
    SourceFile.objects.filter(name="old.zip/site/a.css").update(stored=stored)
    assert "#abcdef" in anna.get(at).json()["html"]


def test_a_picture_that_only_a_larger_style_sheet_names_is_there(handed_in: Brand, anna: Api) -> None:
    sheet = b"/* " + b"x" * 400 + b" */ h1{background:url('night%20sky.png')}"
    for name, data in {"old.zip/site/night sky.png": RIGHT["png"], "old.zip/site/a.css": sheet}.items():
        values = {"stored": sources.store(handed_in.workspace_id, data), "size": len(data), "state": "read"}
        SourceFile.objects.update_or_create(brand=handed_in, name=name, defaults=values)
    html = anna.get(f"brands/{handed_in.pk}/old-pages/{SourceFile.objects.get(name='old.zip/site/index.html').pk}").json()[
        "html"
    ]
    assert 'h1{background:url("data:image/png;base64,' in html


def test_a_brand_without_an_old_site_has_none(brand: Brand, anna: Api) -> None:
    assert anna.get(f"brands/{brand.pk}/old-pages").json() == {"pages": []}
