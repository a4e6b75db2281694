"""The colour system over the API: reach, effects, drafts that hold only what differs, files, and picking."""

import io
from typing import Any

import numpy as np
import pytest
from django.core.files.uploadedfile import SimpleUploadedFile
from PIL import Image

from formulon.core.color.contrast import contrast_ratio
from formulon.core.color.srgb import from_hex
from formulon.core.system.documents.choices import Choices
from formulon.studio.models import Blob, Brand, Document
from formulon.studio.services import sites
from tests.studio.conftest import Api


def test_reach_counts_every_token(brand: Brand, anna: Api) -> None:
    found = anna.get(f"brands/{brand.pk}/reach").json()
    bench = anna.get(f"brands/{brand.pk}").json()
    assert set(found["uses"]) == {token["path"] for token in bench["system"]["tokens"]}
    heading = {(use["page"], use["section"]) for use in found["uses"]["ground/deep/heading"]}
    assert ("home", "hero") in heading
    assert found["ink_areas"]["ground/deep/heading"] > 0 and found["uses"]["ground/paper/field/fill/rest"] == []


def test_an_effect_is_told_before_and_after_and_stores_nothing_before(brand: Brand, anna: Api) -> None:
    assert anna.get(f"brands/{brand.pk}/effect").json() == {"label": "", "effect": None}
    patch = [{"op": "add", "path": "/wires/deep~1heading", "value": "lamp"}]
    before = anna.post(f"brands/{brand.pk}/effect", {"patch": patch}).json()["effect"]
    assert {change["path"] for change in before["tokens"]} >= {"ground/deep/heading"}
    assert anna.get(f"brands/{brand.pk}").json()["history"]["undo"] is None
    revision = anna.get(f"brands/{brand.pk}").json()["choices"]["revision"]
    assert anna.change(brand, "choices", revision, *patch, label="Lamp leads").status_code == 200
    after = anna.get(f"brands/{brand.pk}/effect").json()
    assert after["label"] == "Lamp leads" and after["effect"] == before
    anna.undo(brand)
    back = anna.get(f"brands/{brand.pk}/effect").json()
    turned = [(change["path"], change["after"], change["before"]) for change in after["effect"]["tokens"]]
    assert back["label"] == "Taken back: Lamp leads"
    assert [(change["path"], change["before"], change["after"]) for change in back["effect"]["tokens"]] == turned


def test_a_patch_that_does_not_fit_is_refused_in_words(brand: Brand, anna: Api) -> None:
    patch = [{"op": "add", "path": "/pins/ground~1paper~1link", "value": "no colour"}]
    answer = anna.post(f"brands/{brand.pk}/effect", {"patch": patch})
    assert answer.status_code == 422 and "is not a colour" in answer.json()["title"]


def test_of_choices_that_have_changed_meanwhile_no_reach_is_told(brand: Brand, anna: Api) -> None:
    """The interface asks for what it shows while a change is on its way."""
    anna.change(brand, "choices", 1, {"op": "add", "path": "/wires/paper~1link", "value": "night"})
    patch = [{"op": "remove", "path": "/wires/paper~1link"}]
    told = anna.post(f"brands/{brand.pk}/effect", {"patch": patch, "revision": 2})
    assert told.status_code == 200 and told.json()["effect"]["tokens"]
    anna.undo(brand)
    late = anna.post(f"brands/{brand.pk}/effect", {"patch": patch, "revision": 2})
    assert (late.status_code, late.json()["effect"]) == (200, None)
    assert anna.post(f"brands/{brand.pk}/effect", {"patch": patch}).status_code == 422


def test_a_write_that_lands_while_a_reach_is_asked_for_does_not_disturb_it(
    brand: Brand, anna: Api, monkeypatch: pytest.MonkeyPatch
) -> None:
    """The revision that is asked about is looked for in what the patch is laid on, and in no other reading."""
    anna.change(brand, "choices", 1, {"op": "add", "path": "/wires/paper~1link", "value": "night"})
    read = sites.bodies_of

    def late(one: Brand) -> tuple[sites.Bodies, dict[str, int]]:
        assert Document.objects.filter(brand=one, name="choices").update(body=Choices().model_dump(), revision=3) == 1
        return read(one)

    monkeypatch.setattr(sites, "bodies_of", late)
    told = anna.post(f"brands/{brand.pk}/effect", {"patch": [{"op": "remove", "path": "/wires/paper~1link"}], "revision": 2})
    assert (told.status_code, told.json()["effect"]) == (200, None)


def test_a_draft_holds_only_what_differs(brand: Brand, anna: Api) -> None:
    stored = anna.get(f"brands/{brand.pk}").json()
    choices = stored["choices"]["body"] | {"radius": 11}
    draft = anna.post(f"brands/{brand.pk}/draft", {"choices": choices}).json()
    changed = {token["path"] for token in draft["tokens"]}
    assert "shape/radius" in changed and not any(path.startswith("ground/") for path in changed)
    assert draft["pairs"] == [] and draft["fits"] == {} and "--shape-button-radius: 11px;" in draft["css"]
    wired = stored["choices"]["body"] | {"wires": {"accent": "night"}}
    draft = anna.post(f"brands/{brand.pk}/draft", {"choices": wired}).json()
    assert {pair["ground"] for pair in draft["pairs"]} == {"accent"} and draft["fits"]["accent"]["night"] == 1.0


def test_with_both_schemes_previews_come_in_each(brand: Brand, anna: Api) -> None:
    bench = anna.get(f"brands/{brand.pk}").json()
    change = {"op": "add", "path": "/scheme", "value": "both"}
    bench = anna.change(brand, "choices", bench["choices"]["revision"], change).json()
    assert bench["system"]["schemes"] == ["light", "dark"] and bench["system"]["dark"]
    pages = {
        scheme: anna.get(f"brands/{brand.pk}/pages/home/preview?scheme={scheme}").json()["html"] for scheme in ("light", "dark")
    }
    paper = '[data-ground="paper"] {{\n  --background: {};'.format
    assert paper("#f6f1e7") in pages["light"] and paper("#1b2147") in pages["dark"]


@pytest.mark.parametrize("form", ["tokens", "css", "scss", "gpl", "ase", "json"])
def test_every_form_is_given_and_others_are_not(brand: Brand, anna: Api, form: str) -> None:
    answer = anna.get(f"brands/{brand.pk}/system/{form}")
    assert answer.status_code == 200 and brand.slug in answer["Content-Disposition"]
    assert anna.get(f"brands/{brand.pk}/system/docx").status_code == 404


def test_a_color_is_picked_with_its_verdicts(anna: Api) -> None:
    asked = {"value": "#1B2147", "background": "#F6F1E7", "required": 4.5}
    found = anna.post("colors/pick", asked).json()
    assert found["value"] == "#1B2147" and found["hex"] == "#1b2147"  # never rounded
    assert found["ratio"] == contrast_ratio((27, 33, 71), (246, 241, 231))
    assert [track["axis"] for track in found["tracks"]] == ["lightness", "chroma", "hue"]
    for track in found["tracks"]:
        for color, passes in zip(track["colors"], track["passes"], strict=True):
            assert passes == (contrast_ratio(from_hex(color), (246, 241, 231)) >= 4.5)
    assert anna.post("colors/pick", asked | {"value": "nothing"}).status_code == 422
    another = anna.post("colors/another", {"brand": ["#8E5A9B"], "background": "#F6F1E7", "required": 4.5, "seed": 3}).json()
    assert contrast_ratio(from_hex(another["hex"]), (246, 241, 231)) >= 4.5


def test_colors_of_words_and_of_a_picture(anna: Api) -> None:
    words = anna.post("colors/words", {"text": "stormy and blorpy", "seed": 1}).json()
    assert len(words["colors"]) == 5 and words["known"] == ["stormy"] and words["unknown"] == ["blorpy"]
    grain = np.random.default_rng(4).integers(-9, 10, (240, 400, 3))
    pixels = np.zeros((240, 400, 3), dtype=int)
    pixels[:, :300], pixels[:, 300:] = (40, 90, 160), (230, 170, 60)
    file = io.BytesIO()
    Image.fromarray((pixels + grain).clip(0, 255).astype(np.uint8)).save(file, "PNG")
    found = sent(anna, file.getvalue()).json()
    blue = sum(c["share"] for c in found["colors"] if from_hex(c["hex"])[2] > from_hex(c["hex"])[0])
    assert blue == pytest.approx(0.75, abs=0.05)
    refused = sent(anna, b"no picture at all")
    assert refused.status_code == 422 and "sea.png" in refused.json()["title"]


def sent(api: Api, data: bytes) -> Any:
    """The answer to a reference picture."""
    return api.client.post("/api/colors/picture", {"file": SimpleUploadedFile("sea.png", data)})


def test_nobody_picks_without_signing_in(nobody: Api) -> None:
    for path in ("colors/pick", "colors/another", "colors/words", "colors/picture"):
        assert nobody.post(path, {}).status_code == 401


def test_text_on_a_picture_is_told_and_tried_without_storing(brand: Brand, anna: Api) -> None:
    address = f"brands/{brand.pk}/pages/home/sections/hero/overlay"
    nothing = anna.post(address, {}).json()  # no text of it stands on a picture
    assert (nothing["read"], nothing["texts"], nothing["least"]) == (False, [], [])
    anna.change(brand, "page:home", 1, {"op": "replace", "path": "/sections/0/layout", "value": "backcloth"})
    stored = anna.post(address, {}).json()
    assert stored["read"] and stored["overlay"] == {"opacity": 0.75, "shape": "even"}
    assert {(text["slot"], text["width"]) for text in stored["texts"]} == {
        (slot, width) for slot in ("heading", "text") for width in (360, 768, 1280, 1920)
    }
    assert all(text["passes"] for text in stored["texts"])
    bare = anna.post(address, {"overlay": {"opacity": 0, "shape": "even"}}).json()
    assert not all(text["passes"] for text in bare["texts"]) and bare["least"] == stored["least"]
    least = next(one["opacity"] for one in bare["least"] if one["shape"] == "even")
    tried = anna.post(address, {"overlay": {"opacity": least, "shape": "even"}}).json()
    assert all(text["passes"] for text in tried["texts"])
    moved = anna.post(address, {"focus": {"x": 0, "y": 0}}).json()
    assert moved["texts"] != stored["texts"] and moved["picture"] == stored["picture"]
    assert anna.get(f"brands/{brand.pk}").json()["pages"][0]["revision"] == 2
    assert anna.post(address, {"overlay": {"opacity": 2, "shape": "even"}}).status_code == 422
    assert anna.post(f"brands/{brand.pk}/pages/home/sections/lost/overlay", {}).status_code == 404


def test_a_stop_on_a_picture_holds_the_release_back(brand: Brand, anna: Api) -> None:
    value = {"opacity": 0.05, "shape": "even"}
    anna.change(
        brand, "page:home", 1,
        {"op": "replace", "path": "/sections/0/layout", "value": "backcloth"},
        {"op": "add", "path": "/sections/0/content/picture/overlay", "value": value},
    )  # fmt: skip
    assert anna.post(f"brands/{brand.pk}/releases").status_code == 409
    finding = anna.get(f"brands/{brand.pk}/preflight").json()["findings"][0]
    assert finding["rule"] == "contrast/text-on-picture"
    fix = anna.fixes(brand, finding)[0]
    edits = [{**change, "revision": 2} for change in fix["changes"]]
    taken = anna.post(f"brands/{brand.pk}/changes", {"label": fix["label"], "edits": edits})
    assert taken.status_code == 200, taken.json()
    assert anna.post(f"brands/{brand.pk}/releases").status_code == 200
    release = brand.releases.get()
    css = bytes(Blob.objects.get(pk=release.files["site.css"]).data).decode()
    assert '.picture[data-overlay="0.49"]{--overlay:0.49}' in css
    page = bytes(Blob.objects.get(pk=release.files["index.html"]).data).decode()
    assert 'data-overlay="0.49" data-shape="even"' in page and "style=" not in page


def test_the_style_of_choices_is_theirs_and_stores_nothing(brand: Brand, anna: Api) -> None:
    choices = anna.get(f"brands/{brand.pk}").json()["choices"]["body"]
    styles = anna.post(f"brands/{brand.pk}/style", {"choices": choices | {"radius": 23, "scheme": "both"}}).json()
    assert styles["schemes"] == ["light", "dark"]
    assert "--shape-button-radius: 23px;" in styles["css"] and "--shape-button-radius: 23px;" in styles["css_dark"]
    draft = anna.post(f"brands/{brand.pk}/draft", {"choices": choices | {"radius": 23, "scheme": "both"}}).json()
    assert (draft["css"], draft["css_dark"]) == (styles["css"], styles["css_dark"])
    assert anna.get(f"brands/{brand.pk}").json()["choices"]["body"] == choices
    refused = anna.post(f"brands/{brand.pk}/style", {"choices": choices | {"radius": 99}})
    assert refused.status_code == 422 and refused["Content-Type"] == "application/problem+json"
