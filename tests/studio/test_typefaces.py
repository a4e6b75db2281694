"""A brand's own typefaces: uploads, families, licences, history and what leaves the house."""

import io
import zipfile

import pytest
from django.core.files.uploadedfile import SimpleUploadedFile
from fontTools.ttLib import TTFont

from formulon.core.errors import FontError
from formulon.core.site.documents import site_of
from formulon.core.type.features import plain
from formulon.core.type.library import SHIPPED
from formulon.studio.models import Blob, Brand
from formulon.studio.services import releases, sites
from tests.studio.conftest import Api


def font(name: str, source: str = "spectral", face: int = 0, bits: int = 0, copyright: str = "", italic: bool = False) -> bytes:
    faces = SHIPPED[source].italics if italic else SHIPPED[source].faces
    latin = [one for one in faces if one.asked(ord("A"))]  # by weight
    made = TTFont(io.BytesIO(plain(latin[face].open())))
    for number in (1, 4, 16):
        made["name"].setName(name, number, 3, 1, 0x409)
    if copyright:
        made["name"].setName(copyright, 0, 3, 1, 0x409)
    made["OS/2"].fsType = bits
    out = io.BytesIO()
    made.save(out)
    return out.getvalue()


def upload(api: Api, brand: Brand, *files: bytes):  # type: ignore[no-untyped-def]
    revision = api.get(f"brands/{brand.pk}").json()["identity"]["revision"]
    data = {"revision": revision, "files": [SimpleUploadedFile(f"f{i}.ttf", one) for i, one in enumerate(files)]}
    return api.client.post(f"/api/brands/{brand.pk}/fonts", data)


def identity_of(api: Api, brand: Brand):  # type: ignore[no-untyped-def]
    return api.get(f"brands/{brand.pk}").json()["identity"]


def use(api: Api, brand: Brand, family_id: str):  # type: ignore[no-untyped-def]
    revision = identity_of(api, brand)["revision"]
    return api.change(brand, "identity", revision, {"op": "replace", "path": "/typefaces/heading", "value": family_id})


def test_files_of_one_family_join_and_each_draws_its_weight(anna: Api, brand: Brand) -> None:
    assert upload(anna, brand, font("Quill", face=0), font("Quill", face=1)).status_code == 200
    (own,) = identity_of(anna, brand)["body"]["fonts"]
    assert [(file["lightest"], file["heaviest"]) for file in own["files"]] == [(400, 400), (600, 600)]
    assert use(anna, brand, own["id"]).status_code == 200
    made = sites.load(brand).library.family(own["id"])
    assert made.nearest_weight(700) == 600 and made.at(600)[0].key == own["files"][1]["sha256"][:16]
    served = anna.get(f"brands/{brand.pk}/fonts/{own['files'][0]['sha256'][:16]}.woff2")
    assert served.content[:4] == b"wOF2" and served["Content-Type"] == "font/woff2"
    assert anna.get(f"brands/{brand.pk}/fonts/0123456789abcdef.woff2").status_code == 404


def test_a_later_file_joins_and_what_was_set_in_the_family_stays(anna: Api, brand: Brand) -> None:
    upload(anna, brand, font("Quill"))
    first = identity_of(anna, brand)["body"]["fonts"][0]["id"]
    use(anna, brand, first)
    upload(anna, brand, font("Quill", face=1))
    body = identity_of(anna, brand)["body"]
    assert len(body["fonts"]) == 1 and body["fonts"][0]["id"] != first
    assert body["typefaces"]["heading"] == body["fonts"][0]["id"]
    anna.undo(brand)
    assert identity_of(anna, brand)["body"]["typefaces"]["heading"] == first


def test_a_restricted_font_waits_for_a_licence_and_stays_out_of_downloads(anna: Api, brand: Brand) -> None:
    upload(anna, brand, font("Quill", bits=0x2))
    own = identity_of(anna, brand)["body"]["fonts"][0]
    assert own["restricted"]
    refused = use(anna, brand, own["id"])
    assert refused.status_code == 422 and "licence" in refused.json()["title"]
    declare = {"op": "replace", "path": "/fonts/0/declared", "value": True}
    assert anna.change(brand, "identity", identity_of(anna, brand)["revision"], declare).status_code == 200
    assert use(anna, brand, own["id"]).status_code == 200
    release = releases.publish(brand, None)
    fonts = [path for path in release.files if path.startswith(f"fonts/{own['id']}/")]
    assert {path.rsplit(".", 1)[1] for path in fonts} == {"woff2", "txt"}
    names = zipfile.ZipFile(io.BytesIO(releases.archive(release, "https://sites.example/q/"))).namelist()
    assert f"fonts/{own['id']}/LICENCE.txt" in names
    assert not [name for name in names if name.startswith(f"fonts/{own['id']}/") and name.endswith(".woff2")]


@pytest.mark.parametrize(("bits", "copyright", "whole"), [(0, "", False), (0x100, "", True), (0, "Reserved Font Name Q", True)])
def test_a_file_is_cut_unless_its_licence_forbids(anna: Api, brand: Brand, bits: int, copyright: str, whole: bool) -> None:
    upload(anna, brand, font("Quill", source="inter", bits=bits, copyright=copyright))
    own = identity_of(anna, brand)["body"]["fonts"][0]
    use(anna, brand, own["id"])
    release = releases.publish(brand, None)
    path = next(path for path in release.files if path.startswith(f"fonts/{own['id']}/") and path.endswith(".woff2"))
    published = TTFont(io.BytesIO(bytes(Blob.objects.get(pk=release.files[path]).data)))
    original = TTFont(io.BytesIO(font("Quill", source="inter")))
    assert (set(published.getBestCmap()) == set(original.getBestCmap())) is whole
    assert set(map(ord, "abcXYZ019€£")) <= set(published.getBestCmap())


def test_no_patch_brings_a_typeface(anna: Api, brand: Brand) -> None:
    upload(anna, brand, font("Quill"))
    document = identity_of(anna, brand)
    forged = document["body"]["fonts"][0] | {"id": "own-000000000000", "name": "Forged"}
    answer = anna.change(brand, "identity", document["revision"], {"op": "add", "path": "/fonts/-", "value": forged})
    assert answer.status_code == 422 and "Upload its files" in answer.json()["title"]


def test_italics_join_their_family_and_are_served_where_texts_stress(anna: Api, brand: Brand) -> None:
    slanted = font("Quill", italic=True)
    assert "italics only" in upload(anna, brand, slanted).json()["title"]
    assert upload(anna, brand, font("Quill"), slanted).status_code == 200
    (own,) = identity_of(anna, brand)["body"]["fonts"]
    assert [(file["lightest"], file["italic"]) for file in own["files"]] == [(400, False), (400, True)] and own["italic"]
    use(anna, brand, own["id"])
    site = sites.load(brand)
    made = site.library.family(site.identity.typefaces.heading)
    assert made.italic and made.at(400, slanted=True)[0].key == own["files"][1]["sha256"][:16]
    assert upload(anna, brand, font("Quill", face=1)).status_code == 200  # another weight joins both
    (own,) = identity_of(anna, brand)["body"]["fonts"]
    assert [file["italic"] for file in own["files"]].count(True) == 1 and len(own["files"]) == 3


def test_rubbish_is_refused(anna: Api, brand: Brand) -> None:
    assert upload(anna, brand, b"no font at all").status_code == 422
    assert upload(anna, brand).status_code == 422
    assert identity_of(anna, brand)["body"]["fonts"] == []


def test_type_sheet_tells_pairs_fit_and_letters_that_lack(anna: Api, brand: Brand) -> None:
    revision = identity_of(anna, brand)["revision"]
    anna.change(brand, "identity", revision, {"op": "replace", "path": "/languages", "value": ["ru"]})
    sheet = anna.get(f"brands/{brand.pk}/type").json()
    assert any(one["language"] == "Russian" and "Ж" in one["characters"].upper() for one in sheet["lacking"])
    assert sheet["pairs"] and all("ru" in SHIPPED[pair["heading"]].languages for pair in sheet["pairs"])
    steps = {one["step"]: one for one in sheet["steps"]}
    assert steps["display"]["largest"] > 20 and sum(steps["display"]["lines"]["360"].values()) >= 1
    revision = identity_of(anna, brand)["revision"]
    anna.change(brand, "identity", revision, {"op": "replace", "path": "/languages", "value": ["ja"]})
    assert anna.get(f"brands/{brand.pk}/type").json()["pairs"] == []  # no family of the library writes Japanese
    revision = identity_of(anna, brand)["revision"]
    anna.change(brand, "identity", revision, {"op": "replace", "path": "/languages", "value": []})
    assert len(anna.get(f"brands/{brand.pk}/type").json()["pairs"]) == 8


def test_the_type_sheet_tells_which_families_lack_letters_of_the_brands_words(anna: Api) -> None:
    brand = Brand.objects.get(pk=anna.post("brands", {"name": "Ξύλο & Korb"}).json()["id"])
    sheet = anna.get(f"brands/{brand.pk}/type").json()
    without = {one["family"]: one["characters"] for one in sheet["without"]}
    assert without and set("".join(without.values())) <= set("Ξύλο")
    assert not {one for pair in sheet["pairs"] for one in (pair["heading"], pair["body"])} & without.keys()
    plain = Brand.objects.get(pk=anna.post("brands", {"name": "Osier & Reed 24"}).json()["id"])
    assert anna.get(f"brands/{plain.pk}/type").json()["without"] == []


def test_a_brands_own_family_is_known_where_its_site_is_and_nowhere_else(anna: Api, brand: Brand) -> None:
    upload(anna, brand, font("Quill"))
    (own,) = identity_of(anna, brand)["body"]["fonts"]
    assert use(anna, brand, own["id"]).status_code == 200
    assert sites.load(brand).system().steps["h1"].family.name == "Quill"
    assert own["id"] not in SHIPPED
    bodies, _ = sites.bodies_of(brand)
    with pytest.raises(FontError, match="not at hand"):
        site_of(bodies, []).system()
