"""The brand's files: kept by content within the workspace, read by the worker, decided on as entries of the history."""

import io
import json
import re
import zipfile
from typing import Any

import pytest
from django.core.files.uploadedfile import SimpleUploadedFile
from django.db import connection
from PIL import Image
from procrastinate.contrib.django import app

from formulon.core.formats.documents import load_identity
from formulon.core.site.documents import site_of
from formulon.core.site.render import render
from formulon.core.system.documents.identity import Identity
from formulon.core.system.resolve import resolve
from formulon.studio.errors import UploadRefused
from formulon.studio.models import Brand, Entry, Intake, Picture, SourceFile, StoredFile, Workspace
from formulon.studio.services import deciding, sites, sources
from tests.studio.conftest import Api

GPL = b"GIMP Palette\n 27  33  71\tNight\n242 169  59\tLamp\n"


@pytest.fixture(autouse=True)
def no_jobs(db: None) -> None:
    with connection.cursor() as cursor:
        cursor.execute("TRUNCATE procrastinate_jobs CASCADE")


@pytest.fixture
def fresh(workspace: Workspace) -> Brand:
    return sites.create(workspace, Identity(name="Hilltop"))


def send(api: Api, brand: Brand, *files: tuple[str, bytes]) -> Any:
    body = {
        "files": [SimpleUploadedFile(name.rsplit("/", 1)[-1], data) for name, data in files],
        "paths": [name for name, _ in files],
    }
    return api.client.post(f"/api/brands/{brand.pk}/sources", body)


def read(brand: Brand, *files: tuple[str, bytes]) -> None:
    sources.read_intake(sources.add(brand, None, files).pk)


def act(api: Api, brand: Brand, *requests: dict[str, Any]) -> Any:
    state = api.get(f"brands/{brand.pk}").json()
    decisions = api.get(f"brands/{brand.pk}/sources").json()["revision"]
    return api.post(
        f"brands/{brand.pk}/facts", {"identity": state["identity"]["revision"], "decisions": decisions, "requests": requests}
    )


@pytest.mark.django_db(transaction=True)
def test_the_worker_reads_what_was_added(fresh: Brand, anna: Api) -> None:
    answer = send(anna, fresh, ("palette/q.gpl", GPL), ("bad.png", b"\x89PNG\r\n\x1a\n"))
    assert answer.status_code == 200 and answer.json()["progress"] == {"state": "waiting", "done": 0, "total": 2}
    with app.replace_connector(app.connector.get_worker_connector()) as with_worker:  # type: ignore[attr-defined]
        with_worker.run_worker(wait=False, install_signal_handlers=False, listen_notify=False)
    state = anna.get(f"brands/{fresh.pk}/sources").json()
    assert state["progress"]["state"] == "idle"
    assert {(file["name"], file["state"]) for file in state["files"]} == {("palette/q.gpl", "read"), ("bad.png", "failed")}
    assert [fact["label"] for fact in state["facts"]] == ["Night", "Lamp"]


def test_files_are_kept_once_by_content_and_apart_by_workspace(fresh: Brand) -> None:
    read(fresh, ("a.gpl", GPL), ("copy of a.gpl", GPL))
    other = sites.create(Workspace.objects.create(name="Elsewhere"), sites.load(fresh).identity)
    read(other, ("a.gpl", GPL))
    assert StoredFile.objects.count() == 2 and SourceFile.objects.count() == 3


def test_a_file_again_takes_the_place_of_the_earlier_one_and_decisions_stay(fresh: Brand, anna: Api) -> None:
    read(fresh, ("a.gpl", GPL))
    night = anna.get(f"brands/{fresh.pk}/sources").json()["facts"][0]
    assert act(anna, fresh, {"fact": night["id"], "action": "lock", "name": "Deep"}).status_code == 200
    read(fresh, ("a.gpl", b"GIMP Palette\n 28  34  72\tNight\n"))
    (fact,) = anna.get(f"brands/{fresh.pk}/sources").json()["facts"]
    assert (fact["id"], fact["state"], fact["label"], fact["taken"]) == (night["id"], "locked", "Deep", ["#1B2147"])
    assert [one["value"] for one in fact["variants"]] == ["#1C2248"]
    colors = anna.get(f"brands/{fresh.pk}").json()["identity"]["body"]["colors"]
    assert [(color["name"], color["value"], color["locked"]) for color in colors] == [("Deep", "#1B2147", True)]


def test_an_archive_brings_its_files(fresh: Brand) -> None:
    file = io.BytesIO()
    with zipfile.ZipFile(file, "w") as package:
        package.writestr("site/s.css", ":root{--night:#1B2147} p{color:var(--night)}")
        package.writestr(
            "site/index.html", '<html lang="en"><link rel="stylesheet" href="s.css"><p>Words that are long enough.</p></html>'
        )
    read(fresh, ("old.zip", file.getvalue()))
    read_ones = {one.name: one for one in fresh.sources.all()}
    assert set(read_ones) == {"old.zip", "old/site/s.css", "old/site/index.html"}
    # The page was read with the sheet that lies beside it.
    page = read_ones["old/site/index.html"].reading
    assert page and any(one["kind"] == "color" and one["use"] == "text" for one in page["sightings"])


def test_cancel_and_again(fresh: Brand, anna: Api) -> None:
    intake = sources.add(fresh, None, [("a.gpl", GPL)])
    state = anna.post(f"brands/{fresh.pk}/sources/cancel").json()
    assert state["files"][0]["state"] == "cancelled" and state["progress"]["state"] == "idle"
    sources.read_intake(intake.pk)  # the job comes up all the same
    assert fresh.sources.get().state == "cancelled"
    anna.post(f"brands/{fresh.pk}/sources/again")
    sources.read_intake(Intake.objects.latest("id").pk)
    assert fresh.sources.get().state == "read"
    anna.client.delete(f"/api/brands/{fresh.pk}/sources/{fresh.sources.get().pk}")
    assert fresh.sources.count() == 0


def test_what_earlier_readers_have_read_can_be_read_again_and_decisions_stay(fresh: Brand, anna: Api) -> None:
    path = f"brands/{fresh.pk}/sources"
    sources.read_intake(sources.add(fresh, None, [("a.gpl", GPL), ("b.md", b"# Words\n\nNever set Night on Lamp.\n")]).pk)
    first = anna.get(path).json()
    assert first["outdated"] == 0
    fact = next(one for one in first["facts"] if one["group"] == "colors")
    wanted = {"fact": fact["id"], "action": "accept", "values": [], "name": "Deepest", "role": ""}
    anna.post(f"brands/{fresh.pk}/facts", {"identity": 1, "decisions": 1, "requests": [wanted]})
    # As an earlier version kept it: without a number, and without the rule that it did not understand.
    source = fresh.sources.get(name="b.md")
    source.reading = {key: value for key, value in source.reading.items() if key != "readers"} | {"sightings": []}
    source.save()
    assert anna.get(path).json()["outdated"] == 1
    state = anna.post(f"{path}/again").json()
    assert state["progress"]["state"] == "waiting" and state["outdated"] == 0
    assert {one["state"] for one in state["files"]} == {"read", "waiting"}
    # Cancelled, it is as it was; read, it says what it did not say before.
    assert anna.post(f"{path}/cancel").json()["outdated"] == 1
    anna.post(f"{path}/again")
    sources.read_intake(Intake.objects.latest("id").pk)
    after = anna.get(path).json()
    assert after["outdated"] == 0 and any(one["label"] == "Forbidden pair" for one in after["facts"])
    assert next(one for one in after["facts"] if one["id"] == fact["id"])["state"] == "accepted"


def test_whoever_holds_facts_is_told_of_those_that_changed(fresh: Brand, anna: Api) -> None:
    def asked(held: str) -> dict[str, Any]:
        answer = anna.client.get(f"/api/brands/{fresh.pk}/sources", headers={"Formulon-State": held})
        return dict(answer.json())

    sources.read_intake(sources.add(fresh, None, [("a.gpl", GPL)]).pk)
    first = asked("")
    assert first["base"] == "" and [one["id"] for one in first["facts"]] == first["order"] != []
    same = asked(first["state"])
    assert (same["state"], same["base"], same["facts"], same["order"]) == (first["state"], first["state"], [], first["order"])
    sources.read_intake(sources.add(fresh, None, [("b.md", b"# Words\n\nNever set Night on Lamp.\n")]).pk)
    more = asked(first["state"])
    assert more["base"] == first["state"] and 0 < len(more["facts"]) < len(more["order"])
    assert {one["id"] for one in more["facts"]} >= set(more["order"]) - set(first["order"])
    unknown = asked("what nobody knows")
    assert unknown["base"] == "" and len(unknown["facts"]) == len(unknown["order"])


@pytest.mark.parametrize("files", [(), (("huge.png", b"x" * 60_000_001),), tuple((f"{n}.txt", b"x") for n in range(301))])
def test_too_much_is_refused_whole(files: tuple[tuple[str, bytes], ...], fresh: Brand) -> None:
    with pytest.raises(UploadRefused):
        sources.add(fresh, None, files)
    assert SourceFile.objects.count() == 0 and Intake.objects.count() == 0


def test_names_lead_out_of_no_folder() -> None:
    assert sources.safe_name("../../a/./b\x00\\c<.svg") == "a/b/c.svg"


def test_a_decision_is_one_entry_and_undone(fresh: Brand, anna: Api) -> None:
    read(fresh, ("a.gpl", GPL))
    facts = anna.get(f"brands/{fresh.pk}/sources").json()["facts"]
    state = act(anna, fresh, *({"fact": fact["id"], "action": "accept"} for fact in facts)).json()
    assert [c["name"] for c in state["identity"]["body"]["colors"]] == ["Night", "Lamp"]
    assert Entry.objects.count() == 1 and state["history"]["undo"]["label"] == "2 facts taken over"
    state = anna.undo(fresh).json()
    assert state["identity"]["body"]["colors"] == []
    assert {fact["state"] for fact in anna.get(f"brands/{fresh.pk}/sources").json()["facts"]} == {"open"}


def test_a_stale_decision_is_refused(fresh: Brand, anna: Api) -> None:
    read(fresh, ("a.gpl", GPL))
    fact = anna.get(f"brands/{fresh.pk}/sources").json()["facts"][0]["id"]
    body = {"identity": 1, "decisions": 1, "requests": [{"fact": fact, "action": "accept"}]}
    assert anna.post(f"brands/{fresh.pk}/facts", body).status_code == 200
    answer = anna.post(f"brands/{fresh.pk}/facts", body)
    assert answer.status_code == 409 and answer.json()["code"] == "stale"


def test_a_locked_color_is_kept_from_every_change(fresh: Brand, anna: Api) -> None:
    read(fresh, ("a.gpl", GPL))
    fact = anna.get(f"brands/{fresh.pk}/sources").json()["facts"][0]["id"]
    state = act(anna, fresh, {"fact": fact, "action": "lock"}).json()
    revision = state["identity"]["revision"]
    for patch in ({"op": "remove", "path": "/colors/0"}, {"op": "replace", "path": "/colors/0/value", "value": "#000000"}):
        answer = anna.change(fresh, "identity", revision, patch)
        assert answer.status_code == 400 and "locked" in answer.json()["title"]


def photograph() -> bytes:
    file = io.BytesIO()
    Image.effect_noise((64, 48), 80).resize((1200, 900)).convert("RGB").save(file, "JPEG", quality=80)
    return file.getvalue()


def test_a_photograph_becomes_the_brands_own_and_is_published(fresh: Brand, anna: Api, stranger: Api) -> None:
    read(fresh, ("pictures/hill-road.jpg", photograph()))
    (fact,) = anna.get(f"brands/{fresh.pk}/sources").json()["facts"]
    state = act(anna, fresh, {"fact": fact["id"], "action": "accept", "name": "The road to the hill"}).json()
    picture = Picture.objects.get()
    assert [one["width"] for one in picture.renditions] == [480, 768, 1200] and (picture.width, picture.height) == (1200, 900)
    # It stands on the pages before any stand-in, with its words.
    hero = state["pages"][0]["body"]["sections"][0]["content"]["picture"]
    assert hero == {"source": f"asset:{picture.key}", "alt": "The road to the hill", "decorative": False}
    html = anna.get(f"brands/{fresh.pk}/pages/home/preview").json()["html"]
    address = f"/api/brands/{fresh.pk}/pictures/{picture.key}-480.webp"
    assert f"{address} 480w" in html
    answer = anna.client.get(address)
    assert answer["Content-Type"] == "image/webp" and "sandbox" in answer["Content-Security-Policy"]
    assert Image.open(io.BytesIO(answer.content)).size == (480, 360)
    assert stranger.client.get(address).status_code == 404
    files = site_of(sites.bodies_of(fresh)[0], sites.assets_of(fresh))
    made = render(files, resolve(files.identity, files.choices), sites.blob_of(fresh))
    assert made[f"pictures/{picture.key}-768.webp"][8:12] == b"WEBP"
    # The worker makes the smaller form, which browsers take where they read it.
    deciding.encode_picture(picture.pk)
    files = site_of(sites.bodies_of(fresh)[0], sites.assets_of(fresh))
    made = render(files, resolve(files.identity, files.choices), sites.blob_of(fresh))
    for width in (480, 768, 1200):
        sized = Image.open(io.BytesIO(made[f"pictures/{picture.key}-{width}.avif"]))
        assert (sized.format, sized.width) == ("AVIF", width)
    first, *rest = re.findall(r"<picture>.*?</picture>", made["index.html"].decode())
    assert f'<source type="image/avif" srcset="pictures/{picture.key}-480.avif 480w' in first
    assert 'fetchpriority="high"' in first and "lazy" not in first and not rest
    assert deciding.unencoded() == []


def test_the_identity_is_taken_out_and_reads_back(brand: Brand, anna: Api) -> None:
    answer = anna.client.get(f"/api/brands/{brand.pk}/identity/json")
    assert 'filename="quillmoor-observatory.json"' in answer["Content-Disposition"]
    assert load_identity(answer.content, "x.json") == sites.load(brand).identity
    assert json.loads(anna.client.get(f"/api/brands/{brand.pk}/identity/tokens").content)["color"]["night"]
    for form in ("css", "gpl", "ase"):
        assert anna.client.get(f"/api/brands/{brand.pk}/identity/{form}").status_code == 200
    assert anna.client.get(f"/api/brands/{brand.pk}/identity/nothing").status_code == 404


def test_a_question_is_left_open_and_undone(fresh: Brand, anna: Api) -> None:
    state = anna.get(f"brands/{fresh.pk}/sources").json()
    first = state["questions"][0]["id"]
    anna.post(f"brands/{fresh.pk}/questions", {"decisions": state["revision"], "question": first, "left": True})
    assert first not in {one["id"] for one in anna.get(f"brands/{fresh.pk}/sources").json()["questions"]}
    anna.undo(fresh)
    assert anna.get(f"brands/{fresh.pk}/sources").json()["questions"][0]["id"] == first


def test_a_wanted_page_comes_and_goes_with_undo_and_redo(fresh: Brand, anna: Api) -> None:
    revision = anna.get(f"brands/{fresh.pk}").json()["identity"]["revision"]
    state = anna.change(fresh, "identity", revision, {"op": "add", "path": "/pages/-", "value": "Visit"}).json()
    assert [page["body"]["id"] for page in state["pages"]] == ["home", "visit", "contact"]
    assert state["edited"] is False
    for way, count in (("undo", 2), ("redo", 3), ("undo", 2), ("redo", 3)):
        state = anna.step(fresh, way).json()
        assert len(state["pages"]) == count and state["edited"] is False
