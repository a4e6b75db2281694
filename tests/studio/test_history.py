"""Documents: one entry per change, undo and redo, stale writes with what changed."""

import pytest

from formulon.core.site.documents import documents as documents_of
from formulon.core.site.documents import of_site
from formulon.core.type.alike import writes
from formulon.core.type.library import SHIPPED
from formulon.studio.models import Brand, Entry
from formulon.studio.services import sites
from formulon.studio.services.places import meeting, places
from tests.studio.conftest import Api

REPLACE = {"op": "replace", "path": "/radius", "value": 14}


def bodies(brand: Brand) -> dict:
    return sites.bodies_of(brand)[0]


def test_a_change_is_one_entry_and_raises_one_revision(brand: Brand, anna: Api) -> None:
    answer = anna.change(brand, "choices", 1, REPLACE, label="Rounder")
    assert answer.status_code == 200
    state = answer.json()
    assert state["choices"]["body"]["radius"] == 14 and state["choices"]["revision"] == 2
    assert state["identity"]["revision"] == 1 and state["history"]["redo"] is None
    assert state["history"]["undo"]["label"] == "Rounder"
    assert Entry.objects.count() == 1


def test_undo_and_redo_are_exact_and_survive(brand: Brand, anna: Api) -> None:
    before = bodies(brand)
    anna.change(brand, "choices", 1, REPLACE)
    anna.change(brand, "page:home", 1, {"op": "replace", "path": "/sections/0/content/heading", "value": "Look up"})
    after = bodies(brand)
    anna.undo(brand)
    anna.undo(brand)
    assert bodies(brand) == before
    assert anna.undo(brand).json()["code"] == "nothing-to-undo"
    anna.redo(brand)
    state = anna.redo(brand).json()
    assert bodies(brand) == after
    assert state["choices"]["revision"] == 4  # revisions only rise
    assert anna.redo(brand).status_code == 409


def test_a_new_change_ends_redo(brand: Brand, anna: Api) -> None:
    anna.change(brand, "choices", 1, REPLACE)
    anna.undo(brand)
    state = anna.change(brand, "choices", 3, {"op": "replace", "path": "/radius", "value": 2}).json()
    assert state["history"]["redo"] is None
    assert anna.redo(brand).status_code == 409


def test_two_people_on_one_document(brand: Brand, anna: Api, ben: Api) -> None:
    anna.change(brand, "page:home", 1, {"op": "replace", "path": "/title", "value": "Anna’s"}, label="Title written")
    answer = ben.change(brand, "page:home", 1, {"op": "replace", "path": "/title", "value": "Ben’s"})
    assert answer.status_code == 409
    problem = answer.json()
    assert problem["code"] == "stale" and "Anna" in problem["title"]
    (since,) = problem["changed"]
    assert (since["label"], since["author"]) == ("Title written", "Anna")
    assert since["patch"] == [{"op": "replace", "path": "/title", "value": "Anna’s"}]
    assert problem["documents"]["page:home"]["revision"] == 2
    # Nothing is lost: on the newest revision it goes through, and Anna's can be had back by undo.
    assert ben.change(brand, "page:home", 2, {"op": "replace", "path": "/title", "value": "Ben’s"}).status_code == 200
    ben.undo(brand)
    assert bodies(brand)["page:home"]["title"] == "Anna’s"


def test_the_history_is_only_appended_to(brand: Brand, anna: Api) -> None:
    anna.change(brand, "choices", 1, REPLACE, label="Rounder")
    kept = list(Entry.objects.values())
    anna.undo(brand)
    anna.redo(brand)
    assert list(Entry.objects.values())[:1] == kept, "nothing is rewritten"
    told = [(one.number, one.kind, one.label, one.of_id) for one in Entry.objects.all()]
    first = kept[0]["id"]
    assert told == [
        (1, "change", "Rounder", None),
        (2, "undo", "Taken back: Rounder", first),
        (3, "redo", "Made again: Rounder", first),
    ]
    times = list(Entry.objects.values_list("created", flat=True))
    assert times == sorted(times)
    entries = anna.get(f"brands/{brand.pk}/history").json()["entries"]
    assert [(one["step"], one["holds"]) for one in entries] == [("redo", True), ("undo", True), ("change", True)]
    anna.undo(brand)
    assert anna.get(f"brands/{brand.pk}/history").json()["entries"][-1]["holds"] is False


def test_undo_takes_back_ones_own_last_change(brand: Brand, anna: Api, ben: Api) -> None:
    """Whoever has changed something else since."""
    anna.change(brand, "choices", 1, REPLACE, label="Rounder")
    ben.change(brand, "page:home", 1, {"op": "replace", "path": "/title", "value": "Ben’s"}, label="Title written")
    assert anna.get(f"brands/{brand.pk}").json()["history"]["undo"]["label"] == "Rounder"
    assert ben.get(f"brands/{brand.pk}").json()["history"]["undo"]["label"] == "Title written"
    assert anna.undo(brand).status_code == 200
    assert bodies(brand)["choices"]["radius"] == 6 and bodies(brand)["page:home"]["title"] == "Ben’s"
    assert ben.get(f"brands/{brand.pk}").json()["history"]["redo"] is None, "that of another is theirs to make again"
    assert anna.redo(brand).status_code == 200 and bodies(brand)["choices"]["radius"] == 14
    assert ben.undo(brand).status_code == 200 and bodies(brand)["page:home"]["title"] != "Ben’s"
    assert ben.post(f"brands/{brand.pk}/undo", {"entry": Entry.objects.get(number=1).pk}).json()["code"] == "nothing-to-undo"


def test_undo_says_where_somebody_has_changed_the_same_place_and_asks(brand: Brand, anna: Api, ben: Api) -> None:
    anna.change(brand, "page:home", 1, {"op": "replace", "path": "/title", "value": "Anna’s"}, label="Title written")
    before = ben.change(brand, "page:home", 2, {"op": "replace", "path": "/title", "value": "Ben’s"}, label="Title mended")
    assert before.status_code == 200
    answer = anna.undo(brand)
    problem = answer.json()
    assert answer.status_code == 409 and (problem["code"], problem["possible"]) == ("changed-since", True)
    assert "Ben has changed the same place since “Title written”: “Title mended”" in problem["title"]
    assert [(one["label"], one["author"]) for one in problem["changed"]] == [("Title mended", "Ben")]
    assert bodies(brand)["page:home"]["title"] == "Ben’s", "nothing was changed"
    step = anna.get(f"brands/{brand.pk}").json()["history"]["undo"]["entry"]
    assert anna.post(f"brands/{brand.pk}/undo", {"entry": step, "anyway": True}).status_code == 200
    assert bodies(brand)["page:home"]["title"] not in ("Ben’s", "Anna’s")


def test_what_was_changed_and_taken_back_since_is_in_nobodys_way(brand: Brand, anna: Api, ben: Api) -> None:
    anna.change(brand, "page:home", 1, {"op": "replace", "path": "/title", "value": "Anna’s"})
    ben.change(brand, "page:home", 2, {"op": "replace", "path": "/title", "value": "Ben’s"})
    ben.undo(brand)
    assert anna.undo(brand).status_code == 200


def test_a_list_that_was_changed_in_its_order_is_not_taken_apart(brand: Brand, anna: Api, ben: Api) -> None:
    """Pointers into it mean something else then, so going on all the same is not offered."""
    anna.change(brand, "page:home", 1, {"op": "replace", "path": "/sections/1/content/heading", "value": "Look up"})
    ben.change(brand, "page:home", 2, {"op": "remove", "path": "/sections/0"}, label="Hero taken out")
    problem = anna.undo(brand).json()
    assert problem["code"] == "changed-since" and problem["possible"] is False
    step = anna.get(f"brands/{brand.pk}").json()["history"]["undo"]["entry"]
    assert anna.post(f"brands/{brand.pk}/undo", {"entry": step, "anyway": True}).status_code == 409
    ben.undo(brand)
    assert anna.undo(brand).status_code == 200


def test_points_of_the_history_have_names(brand: Brand, anna: Api, ben: Api) -> None:
    anna.change(brand, "choices", 1, REPLACE, label="Rounder")
    entry = Entry.objects.get()
    answer = ben.put(f"brands/{brand.pk}/history/{entry.pk}", {"name": "  As shown on Monday "})
    assert answer.status_code == 200 and answer.json()["name"] == "As shown on Monday"
    (told,) = anna.get(f"brands/{brand.pk}/history").json()["entries"]
    assert (told["name"], told["label"], told["author"], told["step"], told["holds"]) == (
        "As shown on Monday",
        "Rounder",
        "Anna",
        "change",
        True,
    )
    gone = anna.put(f"brands/{brand.pk}/history/{entry.pk}", {"name": ""})
    assert gone.json()["name"] == "" and Entry.objects.get().created == entry.created
    assert anna.put(f"brands/{brand.pk}/history/0", {"name": "x"}).status_code == 409


@pytest.mark.parametrize(
    ("mine", "theirs", "met"),
    [
        ("/title", "/title", True), ("/title", "/description", False), ("/sections/0/content", "/sections/0/content/heading", True),
        ("/sections/0/ground", "/sections/1/ground", False), ("/a/b", "/a/bc", False),
    ],
)  # fmt: skip
def test_places_meet_where_one_lies_in_the_other(mine: str, theirs: str, met: bool) -> None:
    def part(pointer: str, document: str = "page:home") -> list[dict]:
        operation = {"op": "replace", "path": pointer, "value": 1}
        return [{"document": document, "forward": [operation], "backward": [operation]}]

    assert bool(meeting(places(part(mine)), places(part(theirs)))) == met
    assert not meeting(places(part(mine)), places(part(theirs, "page:about")))


def test_two_people_on_two_documents(brand: Brand, anna: Api, ben: Api) -> None:
    assert anna.change(brand, "page:home", 1, {"op": "replace", "path": "/title", "value": "A"}).status_code == 200
    assert ben.change(brand, "page:about", 1, {"op": "replace", "path": "/title", "value": "B"}).status_code == 200
    assert ben.change(brand, "choices", 1, REPLACE).status_code == 200


@pytest.mark.parametrize(
    ("document", "patch", "status"),
    [
        ("nowhere", [REPLACE], 400),
        ("identity", [{"op": "replace", "path": "/name", "value": "a\x00b"}], 422),
        ("choices", [{"op": "replace", "path": "/radius", "value": 4000}], 422),
        ("choices", [{"op": "replace", "path": "/nope", "value": 1}], 422),
        ("choices", [{"op": "replace", "path": "", "value": []}], 422),
        ("choices", [{"op": "shout", "path": "/radius"}], 422),
        ("choices", [{}], 422),
        ("choices", [{"op": "add", "path": "/wires/nowhere", "value": "night"}], 422),
        ("identity", [{"op": "replace", "path": "/typefaces/heading", "value": "comic"}], 422),
        ("identity", [{"op": "add", "path": "/colors/-", "value": {"name": "X", "value": "blurp"}}], 422),
        ("page:home", [{"op": "replace", "path": "/sections/0/content/primary/to", "value": "javascript:1"}], 422),
        ("page:home", [{"op": "replace", "path": "/sections/0/kind", "value": "spiral"}], 422),
    ],
)
def test_what_does_not_fit_is_refused_whole(brand: Brand, anna: Api, document: str, patch: list, status: int) -> None:
    before = bodies(brand)
    answer = anna.change(brand, document, 1, *patch)
    assert answer.status_code == status, answer.content
    assert answer["Content-Type"] == "application/problem+json" and answer.json()["title"]
    assert bodies(brand) == before and Entry.objects.count() == 0


def test_a_body_that_is_not_json_is_a_problem(brand: Brand, anna: Api) -> None:
    answer = anna.client.post(f"/api/brands/{brand.pk}/changes", "not json", content_type="application/json")
    assert answer.status_code == 400 and answer["Content-Type"] == "application/problem+json"


def test_marks_cannot_be_smuggled_past_the_reader(brand: Brand, anna: Api) -> None:
    """A mark that comes by a patch, and not by upload, is rebuilt or refused like an upload."""
    mark = {"id": "x", "name": "x", "svg": "<svg viewBox='0 0 9 9' onload='alert(1)'/>"}
    answer = anna.change(brand, "identity", 1, {"op": "add", "path": "/marks/-", "value": mark})
    assert answer.status_code == 422


def test_pages_follow_the_brief_until_they_are_edited(planned_brand: Brand, anna: Api) -> None:
    brand = planned_brand
    rename = {"op": "replace", "path": "/strapline", "value": "Look up more."}
    state = anna.change(brand, "identity", 1, rename).json()
    assert state["pages"][0]["body"]["sections"][0]["content"]["heading"] == "Look up more."
    assert state["edited"] is False and Entry.objects.count() == 1
    state = anna.undo(brand).json()
    assert state["pages"][0]["body"]["sections"][0]["content"]["heading"] == "The dark is worth the drive."
    assert state["edited"] is False
    revision = state["pages"][0]["revision"]
    anna.change(brand, "page:home", revision, {"op": "replace", "path": "/sections/0/content/heading", "value": "Mine"})
    state = anna.change(brand, "identity", 3, rename).json()
    assert state["edited"] is True
    assert state["pages"][0]["body"]["sections"][0]["content"]["heading"] == "Mine"
    # A fact that pages state follows by itself, and nothing of it is left to be planned.
    assert state["frame"]["body"]["footer"]["content"]["text"] == "Look up more."
    assert anna.get(f"brands/{brand.pk}/plan").json()["differences"] == []
    more = {"op": "replace", "path": "/offers/0/text", "value": "One hour, and cocoa."}
    told = anna.get(f"brands/{brand.pk}").json()["identity"]["body"]["offers"][0]["text"]
    state = anna.change(brand, "identity", 4, more).json()
    assert told in str(state["pages"])
    shown = anna.get(f"brands/{brand.pk}/plan").json()["differences"]
    assert shown
    state = anna.post(f"brands/{brand.pk}/plan").json()
    # What was edited stays; what nobody touched follows.
    assert state["pages"][0]["body"]["sections"][0]["content"]["heading"] == "Mine"
    assert "One hour, and cocoa." in str(state["pages"]) and told not in str(state["pages"])
    state = anna.undo(brand).json()
    assert told in str(state["pages"])
    assert anna.get(f"brands/{brand.pk}/plan").json()["differences"] == shown


def test_documents_are_those_of_the_site(brand: Brand) -> None:
    assert documents_of(sites.load(brand)) == of_site(bodies(brand))


def renamed(api: Api, brand: Brand, name: str) -> dict:
    revision = api.get(f"brands/{brand.pk}").json()["identity"]["revision"]
    answer = api.change(brand, "identity", revision, {"op": "replace", "path": "/name", "value": name})
    assert answer.status_code == 200, answer.content
    return dict(answer.json()["identity"]["body"])


def test_a_new_name_brings_the_letters_that_it_is_written_in(anna: Api) -> None:
    brand = Brand.objects.get(pk=anna.post("brands", {"name": "Osier & Reed"}).json()["id"])
    first = anna.get(f"brands/{brand.pk}").json()["identity"]["body"]["typefaces"]
    greek = renamed(anna, brand, "Παρατηρητήριο")["typefaces"]
    assert greek != first and all(writes(SHIPPED[greek[role]], "en", "Παρατηρητήριο") for role in ("heading", "body"))
    report = anna.get(f"brands/{brand.pk}/preflight").json()
    assert [one["message"] for one in report["findings"] if one["rule"] == "type/missing-glyphs"] == []
    anna.undo(brand)  # one step, with the typefaces that came along
    state = anna.get(f"brands/{brand.pk}").json()
    assert state["identity"]["body"]["typefaces"] == first and state["identity"]["body"]["name"] == "Osier & Reed"
    assert state["history"]["undo"] is None


def test_a_new_name_never_changes_typefaces_that_were_chosen(anna: Api) -> None:
    brand = Brand.objects.get(pk=anna.post("brands", {"name": "Osier & Reed"}).json()["id"])
    revision = anna.get(f"brands/{brand.pk}").json()["identity"]["revision"]
    anna.change(brand, "identity", revision, {"op": "replace", "path": "/typefaces/heading", "value": "unbounded"})
    assert renamed(anna, brand, "Παρατηρητήριο")["typefaces"]["heading"] == "unbounded"
