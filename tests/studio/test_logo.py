"""The logo's sheet, a mark turned and cropped, and the pages of buttons and of the style guide, on brands with and without marks."""

import io
import re
import zipfile

import pytest

from formulon.core.identity.svg import rebuild
from formulon.core.system.documents.choices import GROUNDS
from formulon.core.system.documents.identity import Identity
from formulon.studio.models import Brand, Workspace
from formulon.studio.services import sites
from tests.studio.conftest import Api

WIDE = b'<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 200 100"><path d="M80 40h40v20h-40z" fill="#123456"/></svg>'


@pytest.fixture
def marked(workspace: Workspace) -> Brand:
    """A brand whose one mark has much room around it."""
    mark = {"id": "m", "name": "m.svg", "kind": "full", "svg": rebuild(WIDE, "m.svg").svg}
    colors = [{"name": "Nacht", "value": "#123456"}, {"name": "Sand", "value": "#e8d9b5"}]
    return sites.create(workspace, Identity.model_validate({"name": "Weidling", "marks": [mark], "colors": colors}))


@pytest.fixture
def bare(workspace: Workspace) -> Brand:
    return sites.create(workspace, Identity.model_validate({"name": "Παρατηρητήριο"}))


def sheet(api: Api, brand: Brand) -> dict:
    answer = api.get(f"brands/{brand.pk}/logo")
    assert answer.status_code == 200
    return dict(answer.json())


def test_a_mark_is_told_with_what_its_shape_asks_for(marked: Brand, anna: Api) -> None:
    told = sheet(anna, marked)
    (mark,) = told["marks"]
    assert mark["id"] == "m" and mark["least_height"] > 0 and mark["why"] and told["clear_space"] > 0 and told["clear_why"]
    assert set(mark["seen"]) == set(GROUNDS)
    box = [float(part) for part in re.search(r'viewBox="([^"]+)"', mark["trimmed"])[1].split()]  # type: ignore[index]
    assert box[2:] == pytest.approx([40, 20], abs=2)  # the room around the mark is gone
    assert {one["meant_for"] for one in told["made"]} >= {"light", "dark"} and len({one["svg"] for one in told["made"]}) == len(
        told["made"]
    )


def test_without_a_mark_some_are_made_of_the_name(bare: Brand, anna: Api) -> None:
    told = sheet(anna, bare)
    assert told["marks"] == [] and len(told["made"]) >= 3
    for one in told["made"]:
        assert one["why"] and "<path" in one["svg"] and "<text" not in one["svg"]  # outlines, whatever fonts a visitor has


@pytest.mark.parametrize(
    ("by", "wide"),
    [({"turn": 90}, False), ({"turn": 0, "left": 0.3, "right": 0.3}, False), ({"turn": 0, "top": 0.3, "bottom": 0.3}, True)],
)
def test_a_mark_is_turned_and_cropped_before_it_is_taken(marked: Brand, anna: Api, by: dict, wide: bool) -> None:
    body = {"mark": "m", "turn": 0, "left": 0, "top": 0, "right": 0, "bottom": 0} | by
    made = anna.post(f"brands/{marked.pk}/logo/adjusted", body)
    assert made.status_code == 200
    _, _, width, height = (float(part) for part in re.search(r'viewBox="([^"]+)"', made.json()["svg"])[1].split())  # type: ignore[index]
    assert (width > 2 * height) is wide and (width < height or not by.get("turn"))


def test_no_mark_of_another_name_is_adjusted(marked: Brand, anna: Api, stranger: Api) -> None:
    body = {"mark": "other", "turn": 0, "left": 0, "top": 0, "right": 0, "bottom": 0}
    assert anna.post(f"brands/{marked.pk}/logo/adjusted", body).status_code == 404
    assert stranger.post(f"brands/{marked.pk}/logo/adjusted", body | {"mark": "m"}).status_code == 404


@pytest.mark.parametrize("view", ["matrix", "guide"])
def test_buttons_and_the_guide_are_pages_in_the_brands_tokens(marked: Brand, bare: Brand, anna: Api, view: str) -> None:
    for brand in (marked, bare):
        html = anna.get(f"brands/{brand.pk}/{view}").json()["html"]
        assert "<script" not in html and "--ground" not in html.split("<body")[0][:100] and html.count("<body") == 1
    assert "Weidling" in anna.get(f"brands/{marked.pk}/guide").json()["html"]


def test_the_guide_stands_by_itself_when_it_is_downloaded(bare: Brand, anna: Api) -> None:
    answer = anna.get(f"brands/{bare.pk}/guide/zip")
    assert answer.status_code == 200 and answer["Content-Type"] == "application/zip"
    assert re.fullmatch(r'attachment; filename="[a-z0-9-]+-style-guide\.zip"', answer["Content-Disposition"])
    with zipfile.ZipFile(io.BytesIO(answer.content)) as files:
        names = set(files.namelist())
        (page,) = [files.read(name).decode() for name in names if name.endswith(".html")]
    linked = {one for one in re.findall(r'(?:href|src)="([^"#:]+)"', page) if not one.startswith("data:")}
    assert linked and linked <= names
