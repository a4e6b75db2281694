"""Whole palettes over the API: proposed for a brand without colours, drawn on its own page, taken as one change, taken back by one undo."""

import pytest
from django.core.files.uploadedfile import SimpleUploadedFile

from formulon.core.system.documents.identity import Identity
from formulon.studio.models import Brand, Entry, Workspace
from formulon.studio.services import sites
from tests.studio.conftest import Api


def test_a_brand_without_colors_takes_a_palette_and_gives_it_back(planned_brand: Brand, anna: Api) -> None:
    workspace = Workspace.objects.get(pk=planned_brand.workspace_id)
    brand = sites.create(workspace, Identity(name="Reed & Rush", organisation="workshop"))
    path = f"brands/{brand.pk}"
    found = anna.post(f"{path}/palettes", {}).json()
    assert [one["number"] for one in found["proposals"]] == list(range(1, 9)) and found["next"] == 9
    chosen = found["proposals"][2]
    colors = [{"name": one["name"], "value": one["value"]} for one in chosen["colors"]]
    html = anna.post(f"{path}/palettes/preview", {"colors": colors, "rhythm": chosen["rhythm"]}).json()["html"]
    assert "Reed &amp; Rush" in html and colors[2]["value"].lower() in html.lower() and Entry.objects.count() == 0
    bench = anna.get(path).json()
    edits = [
        {"document": "identity", "revision": bench["identity"]["revision"], "patch": [{"op": "add", "path": "/colors", "value": colors}]},
        {"document": "choices", "revision": bench["choices"]["revision"], "patch": [{"op": "add", "path": "/rhythm", "value": chosen["rhythm"]}]},
    ]  # fmt: skip
    assert anna.post(f"{path}/changes", {"label": "Palette taken", "edits": edits}).status_code == 200
    after = anna.get(path).json()
    assert [one["value"] for one in after["identity"]["body"]["colors"]] == [one["value"] for one in colors]
    assert not after["system"]["conflicts"]
    anna.undo(brand)
    assert anna.get(path).json()["identity"]["body"]["colors"] == []


def test_words_say_which_of_them_are_known(brand: Brand, anna: Api, reviewer: Api) -> None:
    path = f"brands/{brand.pk}/palettes"
    told = anna.post(path, {"source": "words", "text": "stormy and zebra"}).json()
    assert (told["known"], told["unknown"]) == (["stormy"], ["zebra"]) and len(told["proposals"]) == 8
    assert anna.post(path, {"source": "words", "text": "ζέβρα"}).json() == {
        "proposals": [],
        "known": [],
        "unknown": ["ζέβρα"],
        "next": 0,
    }
    further = anna.post(path, {"source": "words", "text": "stormy and warm", "first": 9}).json()["proposals"]
    assert further[0]["number"] == 9
    assert reviewer.post(path, {}).status_code in (200, 403)


def test_what_is_no_palette_is_refused(brand: Brand, anna: Api) -> None:
    path = f"brands/{brand.pk}/palettes"
    assert anna.post(path, {"source": "stars"}).status_code == 422
    assert anna.post(path, {"source": "colors", "colors": [{"hex": "blue"}]}).status_code == 422
    rhythm = {"opening": "deep", "middle": ["paper"], "closing": "brand"}
    for colors in ([], [{"name": "A", "value": "no colour"}], [{"name": "", "value": "#000000"}]):
        assert anna.post(f"{path}/preview", {"colors": colors, "rhythm": rhythm}).status_code == 422, colors


def test_a_page_tells_its_manner_beside_its_colors(brand: Brand, anna: Api) -> None:
    css = b"h1{font-size:64px;color:#123456}p{font-size:16px}section{padding:160px 24px}.a{margin:120px}.b{gap:12px}"
    page = b"<html><body style='background:#ffeecc'><style>h1{font-size:64px;color:#123456}</style><h1>A</h1></body></html>"
    sent = anna.client.post("/api/colors/picture", {"file": SimpleUploadedFile("old.css", css)}).json()
    assert "#123456" in [one["hex"] for one in sent["colors"]]
    told = sent["manner"]
    assert told["says"] == "Headlines are 4.0 times the text and spaces are wide." and told["density"] > 1.2
    assert told["ratio_large"] ** 4.5 == pytest.approx(4.0, rel=0.02)
    assert (
        anna.client.post("/api/colors/picture", {"file": SimpleUploadedFile("old.html", page)}).json()["manner"]["density"]
        is None
    )
    colors, rhythm = [{"name": "A", "value": "#123456"}], {"opening": "deep", "middle": ["paper"], "closing": "brand"}
    path, body = f"brands/{brand.pk}/palettes/preview", {"colors": colors, "rhythm": rhythm}
    plain = anna.post(path, body).json()["html"]
    assert plain != anna.post(path, body | {"ratio_large": told["ratio_large"], "density": told["density"]}).json()["html"]
    assert anna.post(path, body | {"density": 9}).status_code == 422
