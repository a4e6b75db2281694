"""Compositions for a section over the API: offered, taken, kept under a name, used again, published; and what is refused."""

import pytest

from formulon.core.site.catalogue import class_of_layout
from formulon.studio.models import Brand
from tests.studio.conftest import Api


def test_three_are_offered_taken_kept_and_used_on_another_page(planned_brand: Brand, anna: Api) -> None:
    path = f"brands/{planned_brand.pk}"
    bench = anna.get(path).json()
    first = bench["pages"][0]["body"]["sections"][0]
    listed = anna.get(f"{path}/pages/home/sections/{first['id']}/compositions").json()["offered"]
    assert len(listed) == 3 and len({one["id"] for one in listed}) == 3
    assert all(one["about"].endswith(".") and one["sketch"] and one["measures"] for one in listed)
    assert listed == anna.get(f"{path}/pages/home/sections/{first['id']}/compositions?seed=0").json()["offered"]
    assert listed != anna.get(f"{path}/pages/home/sections/{first['id']}/compositions?seed=1").json()["offered"]
    layout = listed[0]["id"]
    taken = anna.change(
        planned_brand,
        "page:home",
        bench["pages"][0]["revision"],
        {"op": "replace", "path": "/sections/0/layout", "value": layout},
    )
    assert taken.status_code == 200
    own = {one["id"]: one for one in anna.get(path).json()["layouts"]}
    assert own[layout]["kept"] is False and own[layout]["label"] == "Own" and own[layout]["kind"] == first["kind"]
    html = anna.get(f"{path}/pages/home/preview").json()["html"]
    assert f"{first['kind']}--{class_of_layout(layout)}" in html.replace("_", "-")
    kept = {"name": "Shore", "kind": first["kind"], "layout": layout}
    revision = anna.get(path).json()["choices"]["revision"]
    assert (
        anna.change(planned_brand, "choices", revision, {"op": "add", "path": "/compositions/-", "value": kept}).status_code
        == 200
    )
    assert [one["label"] for one in anna.get(path).json()["layouts"] if one["kept"]] == ["Shore"]
    anna.undo(planned_brand)
    anna.undo(planned_brand)
    assert anna.get(path).json()["layouts"] == bench["layouts"]
    assert anna.get(path).json()["pages"][0]["body"]["sections"][0]["layout"] == first["layout"]


@pytest.mark.parametrize(
    ("value", "said"),
    [
        ({"name": "A", "kind": "hero", "layout": "own:heading@1-99.1"}, "none of the grid's"),
        ({"name": "A", "kind": "nothing", "layout": "own:heading@1-8.1"}, "no composition of a kind"),
        ({"name": "A", "kind": "hero", "layout": "type"}, "no composition of a kind"),
        ({"name": "", "kind": "hero", "layout": "own:heading@1-8.1"}, "name"),
        ({"name": "A", "kind": "hero", "layout": "own:" + "heading@1-8.1;" * 60}, "400"),
    ],
)  # fmt: skip
def test_a_layout_that_is_none_is_not_kept(brand: Brand, anna: Api, value: dict[str, str], said: str) -> None:
    answer = anna.change(brand, "choices", 1, {"op": "add", "path": "/compositions/-", "value": value})
    assert answer.status_code == 422 and said in str(answer.json()).replace("’", "'")


def test_two_of_a_kind_do_not_have_one_name(brand: Brand, anna: Api) -> None:
    one = {"name": "Shore", "kind": "hero", "layout": "own:heading+text+primary+secondary@1-8.1"}
    other = one | {"name": "shore", "layout": "own:heading+text+primary+secondary@1-7.1"}
    assert anna.change(brand, "choices", 1, {"op": "add", "path": "/compositions/-", "value": one}).status_code == 200
    assert anna.change(brand, "choices", 2, {"op": "add", "path": "/compositions/-", "value": other}).status_code == 422
    assert anna.change(brand, "choices", 2, {"op": "add", "path": "/compositions/-", "value": other | {"kind": "text", "layout": "own:heading+text+link@2-9.1"}}).status_code == 200  # fmt: skip


def test_a_section_that_is_not_there_and_a_layout_that_is_not_its_kinds(brand: Brand, anna: Api, stranger: Api) -> None:
    path = f"brands/{brand.pk}/pages"
    assert anna.get(f"{path}/home/sections/lost/compositions").status_code == 404
    assert anna.get(f"{path}/lost/sections/hero/compositions").status_code == 404
    assert stranger.get(f"{path}/home/sections/hero/compositions").status_code == 404
    wrong = anna.change(
        brand, "page:home", 1, {"op": "replace", "path": "/sections/0/layout", "value": "own:heading@1-8.1;quote@1-8.2"}
    )
    assert wrong.status_code == 422 and "no place for “quote”" in str(wrong.json())


def test_an_overlay_that_is_tried_leaves_the_brand_as_it_is(brand: Brand, anna: Api) -> None:
    """The site is kept between requests; what is tried on it must not stay there."""
    path = f"brands/{brand.pk}"
    before = anna.get(path).json()["pages"]
    address = f"{path}/pages/home/sections/hero/overlay"
    stored = anna.post(address, {}).json()
    assert anna.post(address, {"overlay": {"opacity": 0.1, "shape": "even"}}).json() != stored
    assert anna.post(address, {}).json() == stored and anna.get(path).json()["pages"] == before
