"""No request damages a brand, grows without bound or ends in a server error that says nothing."""

import threading
from datetime import timedelta
from typing import Any

import pytest
from django.db import connection
from django.test import Client
from django.utils import timezone

from formulon.studio.models import Blob, Brand, Document, Entry, StoredFile, Workspace
from formulon.studio.services import releases, sites, sources, sweeping
from tests.studio.conftest import Api, person


def bodies(brand: Brand) -> dict[str, Any]:
    return sites.bodies_of(brand)[0]


def test_a_page_keeps_its_id(brand: Brand, anna: Api) -> None:
    answer = anna.change(brand, "page:home", 1, {"op": "replace", "path": "/id", "value": "start"})
    assert answer.status_code == 422 and "keeps its id" in answer.json()["title"]
    assert anna.get(f"brands/{brand.pk}").status_code == 200


@pytest.mark.parametrize(
    ("document", "patch"),
    [
        ("frame", {"op": "replace", "path": "/header/kind", "value": "hero"}),
        ("frame", {"op": "replace", "path": "/footer", "value": {"id": "f", "kind": "cards", "layout": "lead"}}),
        ("page:home", {"op": "replace", "path": "/sections/0", "value": {"id": "h", "kind": "header", "layout": "bar"}}),
        ("page:home", {"op": "replace", "path": "/sections/1/content/items", "value": [5]}),
        ("page:home", {"op": "replace", "path": "/sections/1/content/items", "value": [{"title": None}]}),
        ("page:home", {"op": "replace", "path": "/sections/0/content/heading", "value": {"deep": 1}}),
    ],
)
def test_what_would_not_open_is_refused(brand: Brand, anna: Api, document: str, patch: dict[str, Any]) -> None:
    before = bodies(brand)
    answer = anna.change(brand, document, 1, patch)
    assert answer.status_code == 422, answer.content[:300]
    assert bodies(brand) == before and Entry.objects.count() == 0


def test_a_change_that_breaks_the_drawing_is_refused_whole(brand: Brand, anna: Api, monkeypatch: pytest.MonkeyPatch) -> None:
    """Whatever fails while the pages are drawn with a change, the change is not kept."""

    def fails(*_: object) -> None:
        raise KeyError("latin")

    monkeypatch.setattr("formulon.studio.services.keeping.render_page", fails)
    before = bodies(brand)
    answer = anna.change(brand, "page:home", 1, {"op": "replace", "path": "/title", "value": "T"})
    assert answer.status_code == 422 and answer.json()["code"] == "unopenable" and "KeyError" in answer.json()["title"]
    assert bodies(brand) == before and Entry.objects.count() == 0


def test_a_brand_that_does_not_open_offers_to_take_the_change_back(brand: Brand, anna: Api) -> None:
    """A document that an earlier version, or a hand in the database, has left: the newest change can still be undone."""
    anna.change(brand, "page:home", 1, {"op": "replace", "path": "/title", "value": "Mine"}, label="Title written")
    document = Document.objects.get(brand=brand, name="page:home")
    document.body["sections"][0]["kind"] = "spiral"
    document.save()
    entry = Entry.objects.get()
    entry.edits[0]["backward"].append({"op": "replace", "path": "/sections/0/kind", "value": "hero"})
    entry.save()
    answer = anna.get(f"brands/{brand.pk}")
    assert answer.status_code == 409 and answer["Content-Type"] == "application/problem+json"
    told = answer.json()
    assert told["code"] == "unopenable" and "spiral" in told["title"] and told["undo"]["label"] == "Title written"
    assert anna.post(f"brands/{brand.pk}/undo", {"entry": told["undo"]["entry"]}).status_code == 200
    assert anna.get(f"brands/{brand.pk}").json()["pages"][0]["body"]["title"] != "Mine"


def test_nobody_undoes_what_another_has_done(brand: Brand, anna: Api, ben: Api) -> None:
    anna.change(brand, "page:home", 1, {"op": "replace", "path": "/title", "value": "A"}, label="Title written")
    assert ben.get(f"brands/{brand.pk}").json()["history"]["undo"] is None
    step = anna.get(f"brands/{brand.pk}").json()["history"]["undo"]["entry"]
    assert ben.post(f"brands/{brand.pk}/undo", {"entry": step}).json()["code"] == "nothing-to-undo"
    ben.change(brand, "choices", 1, {"op": "replace", "path": "/radius", "value": 3})
    answer = ben.post(f"brands/{brand.pk}/undo", {"entry": step})
    assert answer.status_code == 409 and answer.json()["code"] == "not-yours"
    assert "Title written" in answer.json()["title"] and "Anna" in answer.json()["title"]
    assert bodies(brand)["page:home"]["title"] == "A"
    assert anna.undo(brand).status_code == 200
    redo = ben.redo(brand)
    assert redo.status_code == 409 and anna.redo(brand).status_code == 200


def test_two_undos_of_one_entry_take_one_back(brand: Brand, anna: Api) -> None:
    for title in ("A", "B"):
        revision = next(p for p in anna.get(f"brands/{brand.pk}").json()["pages"] if p["body"]["id"] == "home")["revision"]
        anna.change(brand, "page:home", revision, {"op": "replace", "path": "/title", "value": title})
    step = anna.get(f"brands/{brand.pk}").json()["history"]["undo"]["entry"]
    statuses = [anna.post(f"brands/{brand.pk}/undo", {"entry": step}).status_code for _ in range(2)]
    assert statuses == [200, 409] and bodies(brand)["page:home"]["title"] == "A"


def test_a_patch_that_doubles_itself_is_stopped_before_it_grows(brand: Brand, anna: Api) -> None:
    doubling = [{"op": "copy", "from": "/sections/0/content", "path": f"/sections/0/content/x{n}"} for n in range(30)]
    answer = anna.change(brand, "page:home", 1, *doubling)
    assert answer.status_code == 422 and "grow" in answer.json()["title"]
    many = [{"op": "replace", "path": "/title", "value": "T"}] * 500
    assert "operations" in anna.change(brand, "page:home", 1, *many).json()["title"]


@pytest.mark.parametrize(
    ("body", "status"),
    [
        ('{"label": ' + "[" * 900 + "]" * 900 + "}", 400),
        ("[" * 200_000, 400),
        ('{"label": "a\\u0000b", "edits": []}', 422),
        ('{"label": "a\\ud800b", "edits": []}', 422),
        (b"\xff\xfe", 400),
        ("x" * 5_000_000, 413),
        ("[]", 422),
        ("null", 422),
    ],
)
def test_bad_bodies_are_problems_and_no_server_errors(brand: Brand, anna: Api, body: str | bytes, status: int) -> None:
    answer = anna.client.post(f"/api/brands/{brand.pk}/changes", body, content_type="application/json")
    assert answer.status_code == status and answer["Content-Type"] == "application/problem+json" and answer.json()["title"]


@pytest.mark.parametrize("path", ["nowhere", "brands/none", "brands/%00", "session?x=%00", "library/x"])
def test_addresses_that_lead_nowhere_are_problems(anna: Api, path: str) -> None:
    answer = anna.get(path)
    assert answer.status_code in (400, 404) and answer["Content-Type"] == "application/problem+json", path


def test_a_server_error_is_a_problem_and_says_nothing_of_its_inside(anna: Api, monkeypatch: pytest.MonkeyPatch) -> None:
    def fails(*_: object, **__: object) -> None:
        raise RuntimeError("secret inside")

    monkeypatch.setattr("formulon.studio.api.answers.library", fails)
    anna.client.raise_request_exception = False
    answer = anna.get("library")
    assert answer.status_code == 500 and answer["Content-Type"] == "application/problem+json"
    assert "secret" not in answer.content.decode()


@pytest.mark.django_db(transaction=True)
def test_eight_brands_of_one_name_at_once() -> None:
    workspace = Workspace.objects.create(name="Studio")
    user, statuses = person("dora", workspace), []

    def make() -> None:
        statuses.append(Api(user).post("brands", {"name": "Osier & Reed"}).status_code)
        connection.close()

    threads = [threading.Thread(target=make) for _ in range(8)]
    for thread in threads:
        thread.start()
    for thread in threads:
        thread.join()
    assert statuses == [201] * 8
    assert len(set(Brand.objects.values_list("slug", flat=True))) == 8


def test_colors_and_pages_without_latin_letters(brand: Brand, anna: Api) -> None:
    for name in ("青", "紺", "🌿", "🌾"):
        revision = anna.get(f"brands/{brand.pk}").json()["identity"]["revision"]
        value = {"name": name, "value": "#123456"}
        assert anna.change(brand, "identity", revision, {"op": "add", "path": "/colors/-", "value": value}).status_code == 200
    state = anna.get(f"brands/{brand.pk}").json()
    ids = [color["id"] for color in state["identity"]["body"]["colors"]]
    assert ids[4:] == ["qing", "gan", "color", "color-2"]
    names = ["Цены", "Цѣны", "🌿", "🌾", "Kontakt", "Über uns"]
    state = anna.change(
        brand, "identity", state["identity"]["revision"], {"op": "replace", "path": "/pages", "value": names}
    ).json()
    assert [page["body"]["name"] for page in state["pages"]] == ["Home", "What we offer", *names[:4], "Über uns", "Kontakt"]
    assert len({page["body"]["id"] for page in state["pages"]}) == 8


def test_a_brand_is_deleted_and_its_space_given_back(brand: Brand, anna: Api, reviewer: Api, stranger: Api) -> None:
    sources.store(brand.workspace, b"kept by nobody")
    releases.publish(brand, None)
    StoredFile.objects.update(touched=timezone.now() - timedelta(hours=1))
    Blob.objects.update(made=timezone.now() - timedelta(hours=1))
    assert sweeping.sweep() == (1, 0)  # what a release names stays
    assert stranger.delete(f"brands/{brand.pk}").status_code == 404
    assert reviewer.delete(f"brands/{brand.pk}").status_code == 403
    assert anna.delete(f"brands/{brand.pk}").status_code == 204
    assert not Brand.objects.exists() and Blob.objects.exists()
    sweeping.sweep()
    assert not Blob.objects.exists() and not StoredFile.objects.exists()


def test_what_is_fresh_or_undone_is_not_swept(brand: Brand, anna: Api) -> None:
    from tests.studio.test_typefaces import font, upload

    upload(anna, brand, font("Quill"))
    anna.undo(brand)  # the identity names the font no more; the history does
    StoredFile.objects.update(touched=timezone.now() - timedelta(hours=1))
    assert sweeping.sweep() == (0, 0)
    sources.store(brand.workspace, b"just kept")
    assert sweeping.sweep() == (0, 0)
    assert anna.redo(brand).status_code == 200


def test_where_there_are_owners_they_alone_delete(brand: Brand, anna: Api) -> None:
    owner = Api(person("olga", brand.workspace, "owner"))
    assert anna.delete(f"brands/{brand.pk}").status_code == 403
    assert owner.delete(f"brands/{brand.pk}").status_code == 204


def test_a_workspace_has_a_quota(brand: Brand, anna: Api, settings: Any) -> None:
    settings.WORKSPACE_QUOTA = 1000
    from formulon.studio.errors import UploadRefused

    sources.store(brand.workspace, b"x" * 800)
    with pytest.raises(UploadRefused, match="keeps"):
        sources.store(brand.workspace, b"y" * 300)
    answer = anna.post(f"brands/{brand.pk}/releases")
    assert answer.status_code == 422 and "workspace" in answer.json()["title"]


def test_health_tells_of_database_and_worker(db: None) -> None:
    client = Client(headers={"host": "localhost"})
    assert client.get("/health").status_code == 503  # no worker has ever been there
    with connection.cursor() as cursor:
        cursor.execute("insert into procrastinate_workers (last_heartbeat) values (now()), (now() - interval '2 minutes')")
        told = client.get("/health")
        assert (told.status_code, told.json()["workers"]) == (503, 1), "one of two has gone"
        cursor.execute("insert into procrastinate_workers (last_heartbeat) values (now())")
    assert client.get("/health").json()["well"] is True


def test_what_a_release_takes_up_again_is_not_swept(brand: Brand, anna: Api) -> None:
    """A blob to which nothing refers is reused by a release; a sweep that began before the release was stored leaves it."""
    release = releases.publish(brand, None)
    digests = set(release.files.values())
    release.delete()
    Blob.objects.update(made=timezone.now() - timedelta(days=1))
    began = timezone.now()
    again = releases.publish(brand, None)
    taken = set(again.files.values()) & digests
    assert taken and not Blob.objects.filter(pk__in=taken, made__lt=began).exists()
