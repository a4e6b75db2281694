"""Style proposals through the API: eight side by side on one's own pages, taken with one click, taken back with one undo."""

from formulon.studio.models import Brand, Entry
from tests.studio.conftest import Api


def test_eight_styles_are_seen_taken_and_taken_back(planned_brand: Brand, anna: Api) -> None:
    brand = planned_brand
    before = anna.get(f"brands/{brand.pk}").json()
    listed = anna.get(f"brands/{brand.pk}/styles").json()
    assert [one["number"] for one in listed["proposals"]] == list(range(1, 9)) and listed["next"] == 9
    came = {one["id"] for one in listed["parts"] if one["as_it_came"]}
    assert {"rhythm", "scale", "corners"} <= came
    pages = [anna.get(f"brands/{brand.pk}/styles/{number}/preview").json()["html"] for number in range(1, 9)]
    assert len(set(pages)) == 8 and all("The dark is worth the drive." in html and "<script" not in html for html in pages)
    proposal = listed["proposals"][2]
    parts = [one["part"] for one in proposal["parts"]]
    asked = {"number": 3, "parts": parts, "revision": before["choices"]["revision"]}
    state = anna.post(f"brands/{brand.pk}/styles", asked).json()
    assert Entry.objects.count() == 1 and proposal["name"] in state["history"]["undo"]["label"]
    after = anna.get(f"brands/{brand.pk}").json()
    assert set(after["choices"]["body"]["taken"]) == set(parts)
    assert after["edited"] is False, "pages go on following the brief"
    assert anna.post(f"brands/{brand.pk}/styles", asked).status_code == 409  # the choices have moved on
    anna.undo(brand)
    again = anna.get(f"brands/{brand.pk}").json()
    for part in ("choices", "identity", "frame"):
        assert again[part]["body"] == before[part]["body"]
    assert [page["body"] for page in again["pages"]] == [page["body"] for page in before["pages"]]


def test_styles_are_asked_for_within_bounds_and_taken_by_writers(
    planned_brand: Brand, anna: Api, reviewer: Api, stranger: Api
) -> None:
    path = f"brands/{planned_brand.pk}/styles"
    assert [one["number"] for one in anna.get(f"{path}?first=57").json()["proposals"]] == list(range(57, 65))
    assert anna.get(f"{path}?first=57").json()["next"] == 0
    for first in ("0", "65", "x", "-1"):
        assert anna.get(f"{path}?first={first}").status_code == 400, first
    assert anna.get(f"{path}/0/preview").status_code == 404 and anna.get(f"{path}/65/preview").status_code == 404
    body = {"number": 1, "parts": ["type"], "revision": 1}
    assert reviewer.get(path).status_code == 200 and reviewer.post(path, body).status_code == 403
    assert stranger.get(path).status_code == 404 and stranger.post(path, body).status_code == 404
    assert anna.post(path, body | {"parts": ["nothing"]}).status_code == 422
    assert anna.post(path, body | {"parts": []}).status_code == 422


def test_a_settled_part_is_not_taken(planned_brand: Brand, anna: Api) -> None:
    path = f"brands/{planned_brand.pk}"
    anna.change(planned_brand, "choices", 1, {"op": "add", "path": "/settled", "value": ["rhythm"]})
    listed = anna.get(f"{path}/styles").json()
    state = next(one for one in listed["parts"] if one["id"] == "rhythm")
    assert 0.5 < state.pop("seen") <= 1
    assert state == {
        "id": "rhythm",
        "name": "Rhythm of grounds",
        "decided": "You have settled it.",
        "as_it_came": False,
        "settled": True,
    }
    assert all("rhythm" not in [part["part"] for part in one["parts"]] for one in listed["proposals"])
    answer = anna.post(f"{path}/styles", {"number": 1, "parts": ["rhythm"], "revision": 2})
    assert answer.status_code == 400 and "decided already" in answer.json()["title"]
