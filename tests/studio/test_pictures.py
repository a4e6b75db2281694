"""Pictures that are added where they are wanted, and light work on them: what is done gives another picture, and nothing is lost."""

import io
from typing import Any

import numpy as np
import pytest
from django.core.files.uploadedfile import SimpleUploadedFile
from PIL import Image, ImageDraw

from formulon.studio.models import Brand, Picture
from formulon.studio.services import pictures, sites
from formulon.studio.services.deciding import encode_picture
from formulon.studio.services.sweeping import sweep
from tests.studio.conftest import Api


def photograph(width: int = 1200, height: int = 800, form: str = "JPEG") -> bytes:
    picture = Image.new("RGB", (width, height), (244, 244, 240))
    ImageDraw.Draw(picture).ellipse((width * 0.3, height * 0.2, width * 0.7, height * 0.8), fill=(30, 60, 110))
    file = io.BytesIO()
    picture.save(file, form, **({"quality": 92} if form == "JPEG" else {}))
    return file.getvalue()


def upload(api: Api, brand: Brand, name: str, data: bytes) -> Any:
    return api.client.post(f"/api/brands/{brand.pk}/pictures", {"file": SimpleUploadedFile(name, data)})


def seen(api: Api, brand: Brand, key: str) -> Image.Image:
    width = max(one["width"] for one in Picture.objects.get(brand=brand, key=key).renditions)
    return Image.open(io.BytesIO(api.client.get(f"/api/brands/{brand.pk}/pictures/{key}-{width}.webp").content))


def test_pictures_are_added_by_their_names_and_stand_in_the_workbench(brand: Brand, anna: Api) -> None:
    made = upload(anna, brand, "03 - Läufer im Nebel.JPG", photograph()).json()
    assert (made["id"], made["name"], made["width"], made["height"]) == ("03-laufer-im-nebel", "Läufer im Nebel", 1200, 800)
    again = upload(anna, brand, "03 - Läufer im Nebel.JPG", photograph(3000, 2000)).json()
    assert (again["id"], again["width"]) == ("03-laufer-im-nebel-2", 2560)
    drawn = upload(
        anna, brand, "月.svg", b'<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 9 9"><path d="M0 0h9v9z"/></svg>'
    ).json()
    assert drawn["name"] == "月" and Picture.objects.get(brand=brand, key=drawn["id"]).svg
    assert {one["id"] for one in drawn["workbench"]["pictures"]} >= {drawn["id"]} or drawn["workbench"]


@pytest.mark.parametrize(
    ("name", "data"),
    [
        ("a.jpg", b""),
        ("b.jpg", b"\xff\xd8\xff\xe0 cut short"),
        ("c.svg", b"<svg"),
        ("d.exe", b"MZ\x90\x00"),
        ("e.png", photograph()[:400]),
    ],
)
def test_what_is_no_picture_is_refused_in_a_sentence(brand: Brand, anna: Api, name: str, data: bytes) -> None:
    refused = upload(anna, brand, name, data)
    assert (
        refused.status_code == 422
        and refused.json()["title"].endswith(".")
        and not Picture.objects.exclude(key="moon").filter(key__startswith=name[0] + "-").exists()
    )
    assert anna.client.post(f"/api/brands/{brand.pk}/pictures", {}).status_code == 422


def test_work_on_one_makes_another_and_the_first_stays(brand: Brand, anna: Api) -> None:
    key = upload(anna, brand, "bowl.jpg", photograph()).json()["id"]
    edits = {"turn": 90, "crop": {"x": 0, "y": 0.25, "width": 1, "height": 0.5}}
    made = anna.post(f"brands/{brand.pk}/pictures/{key}/edits", edits).json()
    assert (made["id"], made["width"], made["height"]) == ("bowl-2", 800, 600)
    assert seen(anna, brand, key).size == (1200, 800) and seen(anna, brand, "bowl-2").size == (800, 600)
    clear = anna.post(f"brands/{brand.pk}/pictures/{key}/edits", {"plain": 0.08}).json()
    alpha = np.asarray(seen(anna, brand, clear["id"]).convert("RGBA"))[..., 3]
    assert (alpha[:60] < 20).mean() > 0.98 and alpha[400, 600] > 250
    tried = anna.post(f"brands/{brand.pk}/pictures/{key}/tried", {"exposure": -1})
    assert tried["Content-Type"] == "image/webp" and Image.open(io.BytesIO(tried.content)).size == (900, 600)


def test_what_cannot_be_worked_on_says_why(brand: Brand, anna: Api, reviewer: Api) -> None:
    svg = upload(
        anna, brand, "sign.svg", b'<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 9 9"><path d="M0 0h9v9z"/></svg>'
    ).json()["id"]
    noise = Image.effect_noise((300, 200), 90).convert("RGB")
    file = io.BytesIO()
    noise.save(file, "PNG")
    key = upload(anna, brand, "noise.png", file.getvalue()).json()["id"]
    for path, body, status in (
        (f"{svg}/edits", {"turn": 90}, 422),
        (f"{key}/edits", {"plain": 0.05}, 422),
        (f"{key}/edits", {"turn": 45}, 422),
        (f"{key}/tried", {"exposure": 9}, 422),
        ("none/edits", {"turn": 90}, 404),
    ):
        assert anna.post(f"brands/{brand.pk}/pictures/{path}", body).status_code == status, path
    assert reviewer.post(f"brands/{brand.pk}/pictures/{key}/edits", {"turn": 90}).status_code == 403


def test_the_worker_makes_smaller_forms_of_what_was_done_and_not_of_a_file_of_that_name(brand: Brand, anna: Api) -> None:
    key = upload(anna, brand, "bowl.jpg", photograph()).json()["id"]
    made = anna.post(f"brands/{brand.pk}/pictures/{key}/edits", {"turn": 90}).json()["id"]
    encode_picture(Picture.objects.get(brand=brand, key=made).pk)
    renditions = Picture.objects.get(brand=brand, key=made).renditions
    forms = {one["form"] for one in renditions}
    assert forms == {"webp", "avif"}
    for one in renditions:
        data = sites.blob_of(brand)(one["sha256"])
        picture = Image.open(io.BytesIO(data))
        assert picture.width == one["width"] and picture.height > picture.width, "turned, in every form"
    sweep()
    assert sites.blob_of(brand)(renditions[0]["sha256"]), "nothing of it is swept away"


def test_names_of_cameras_are_no_names() -> None:
    assert [pictures._called(name) for name in ("IMG_2041.jpg", "dsc-0012_harbour.JPG", "2-the-shed.png", "Über uns.webp")] == [
        "", "Harbour", "The shed", "Über uns",
    ]  # fmt: skip
