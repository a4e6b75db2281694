"""A page is drawn as a change will leave it, before it is stored: what is seen then is what is there afterwards."""

from collections.abc import Callable
from typing import Any

import pytest

from formulon.studio.models import Brand, Membership
from tests.studio.conftest import Api

Changes = list[dict[str, Any]]


def patch(document: str, op: str, path: str, value: Any = None) -> Changes:
    return [{"document": document, "patch": [{"op": op, "path": path} | ({} if op == "remove" else {"value": value})]}]


def arranged(*operations: dict[str, Any]) -> Callable[[Api, Brand], Changes]:
    def ask(api: Api, brand: Brand) -> Changes:
        first = api.get(f"brands/{brand.pk}").json()["pages"][0]["body"]["sections"][0]["id"]
        for one in operations:
            one |= {"section": first} if one["do"] != "add" else {}
        return list(api.post(f"brands/{brand.pk}/structure", {"operations": operations}).json()["changes"])

    return ask


def said(*changes: Changes) -> Callable[[Api, Brand], Changes]:
    return lambda api, brand: [one for change in changes for one in change]


HOME = {"page": "home"}
CHANGES = {
    "words": said(patch("page:home", "replace", "/sections/0/content/heading", "Weit & *still* – Ταξίδι")),
    "ground": said(patch("page:home", "replace", "/sections/1/ground", "deep")),
    "gone": said(patch("page:home", "remove", "/sections/1")),
    "menu": said(patch("frame", "replace", "/order", ["contact", "home"])),
    "fact": said(patch("identity", "replace", "/contact/phone", "+43 1 5550190")),
    "name": said(patch("identity", "replace", "/name", "Σταθμός Αυγής")),
    "two documents": said(patch("page:home", "replace", "/title", "T"), patch("identity", "replace", "/strapline", "Zu sehen")),
    "duplicated": arranged({"do": "duplicate", **HOME}),
    "parked": arranged({"do": "park", **HOME}),
    "hidden": arranged({"do": "hide", **HOME, "hidden": True}),
    "added": arranged(
        {"do": "add", **HOME, "after": None, "kind": "text", "layout": "statement", "content": {"heading": "Added"}}
    ),
}


@pytest.mark.parametrize("edited", [False, True], ids=["as planned", "edited before"])
@pytest.mark.parametrize("make", CHANGES.values(), ids=CHANGES)
def test_what_is_foreseen_is_what_is_stored(
    make: Callable[[Api, Brand], Changes], edited: bool, brand: Brand, anna: Api
) -> None:
    if edited:
        anna.change(brand, "page:home", 1, {"op": "replace", "path": "/description", "value": "By hand"})
    changes = make(anna, brand)
    assert changes
    before = anna.get(f"brands/{brand.pk}").json()
    shown = anna.get(f"brands/{brand.pk}/pages/home/preview").json()["html"]
    foreseen = anna.post(f"brands/{brand.pk}/pages/home/foreseen", {"changes": changes}).json()
    assert foreseen["html"] != shown or changes[0]["document"] == "frame"
    assert anna.get(f"brands/{brand.pk}").json() | {"state": ""} == before | {"state": ""}
    held = {one["body"]["id"]: one["revision"] for one in before["pages"]}
    revisions = {"identity": before["identity"]["revision"], "frame": before["frame"]["revision"]} | {
        f"page:{name}": number for name, number in held.items()
    }
    edits = [one | {"revision": revisions[one["document"]]} for one in changes]
    stored = anna.post(f"brands/{brand.pk}/changes", {"label": "Change", "edits": edits})
    assert stored.status_code == 200, stored.content
    assert anna.get(f"brands/{brand.pk}/pages/home/preview").json()["html"] == foreseen["html"]
    after = anna.get(f"brands/{brand.pk}").json()
    key = {one["body"]["id"]: one["preview"] for one in after["pages"]}
    assert key["home"].startswith(foreseen["content"])
    # What is taken back is drawn already, and so is what is made again.
    keys = [{one["body"]["id"]: one["preview"] for one in step(brand).json()["pages"]} for step in (anna.undo, anna.redo)]
    was = {one["body"]["id"]: one["preview"] for one in before["pages"]}
    assert [keys[0]["home"], keys[1]["home"]] == [was["home"], key["home"]]


def test_what_cannot_be_drawn_is_refused(brand: Brand, anna: Api) -> None:
    ask = f"brands/{brand.pk}/pages/home/foreseen"
    assert anna.post(ask, {"changes": patch("page:home", "replace", "/sections/99/ground", "deep")}).status_code == 422
    assert anna.post(ask, {"changes": patch("page:home", "remove", "")}).status_code == 404
    assert anna.post(ask, {"changes": []}).status_code == 422
    assert anna.post(
        f"brands/{brand.pk}/pages/gone/foreseen", {"changes": patch("page:home", "remove", "/title")}
    ).status_code in (404, 422)


def test_nobody_foresees_what_they_cannot_write(brand: Brand, anna: Api) -> None:
    Membership.objects.filter(workspace=brand.workspace).update(role=Membership.Role.REVIEWER)
    asked = anna.post(f"brands/{brand.pk}/pages/home/foreseen", {"changes": patch("page:home", "replace", "/title", "T")})
    assert asked.status_code == 403
