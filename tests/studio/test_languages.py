"""The languages of a brand's site by the API: added, translated, undone, published on the host, asked in, taken out."""

from typing import Any
from urllib.parse import urlencode

import pytest
from django.db import connection
from django.db.migrations.executor import MigrationExecutor
from django.test import Client

from formulon.studio.models import Brand, Document, Enquiry
from formulon.studio.services import releases
from tests.studio.conftest import Api
from tests.studio.test_enquiries import FIELDS, SENT, write

HOST = {"host": "127.0.0.1"}


def of(brand: Brand, code: str = "") -> str:
    return f"brands/{brand.pk}/languages{f'/{code}/texts' if code else ''}"


def waiting(api: Api, brand: Brand, code: str) -> dict[str, str]:
    lines = api.get(of(brand, code)).json()["lines"]
    return {one["source"]: f"{one['source']} ({code})"[:110] for one in lines if one["state"] == "missing"}


def translated(api: Api, brand: Brand, code: str) -> None:
    assert api.post(of(brand), {"code": code}).status_code == 200
    assert api.put(of(brand, code), {"texts": waiting(api, brand, code)}).status_code == 200


def test_a_language_is_added_translated_undone_and_taken_out(brand: Brand, anna: Api) -> None:
    assert anna.get(of(brand)).json() == {"own": "en-GB", "own_name": "English (United Kingdom)", "further": [], "wanted": []}
    assert anna.post(of(brand), {"code": "de"}).status_code == 200
    (card,) = anna.get(of(brand)).json()["further"]
    assert (card["code"], card["name"], card["published"]) == ("de", "Deutsch", False) and card["states"]["missing"] > 20
    lines = anna.get(of(brand, "de")).json()["lines"]
    assert {one["source"]: one["text"] for one in lines}["Contact"] == "Kontakt"
    source = next(one["source"] for one in lines if one["state"] == "missing")
    assert anna.put(of(brand, "de"), {"texts": {source: "Ein Satz auf Deutsch."}}).status_code == 200
    state = lambda: next(one for one in anna.get(of(brand, "de")).json()["lines"] if one["source"] == source)  # noqa: E731
    assert (state()["state"], state()["text"]) == ("done", "Ein Satz auf Deutsch.")
    entry = anna.get(f"brands/{brand.pk}/history").json()["entries"][0]
    assert entry["label"] == "Deutsch: “Ein Satz auf Deutsch.” written"
    assert anna.undo(brand).status_code == 200 and state()["state"] == "missing"
    assert anna.redo(brand).status_code == 200 and state()["state"] == "done"
    assert anna.delete(of(brand, "de")).status_code == 200
    assert anna.get(of(brand, "de")).status_code == 422
    assert anna.undo(brand).status_code == 200 and state()["state"] == "done"


def test_what_a_text_is_at_one_place_goes_with_it_and_comes_back(brand: Brand, anna: Api) -> None:
    def asked(**operation: Any) -> None:
        planned = anna.post(f"brands/{brand.pk}/structure", {"operations": [operation]}).json()
        held = {one.name: one.revision for one in brand.documents.all()}
        edits = [one | {"revision": held[one["document"]]} for one in planned["changes"]]
        assert anna.post(f"brands/{brand.pk}/changes", {"label": planned["label"], "edits": edits}).status_code == 200

    def said() -> dict[str, str]:
        found = next(one for one in anna.get(of(brand, "de")).json()["lines"] if one["source"] == heading)
        return {one["place"]: one["text"] for one in found["places"] if one["text"]}

    page, other = (one["body"] for one in anna.get(f"brands/{brand.pk}").json()["pages"][:2])
    section = next(one for one in page["sections"] if one["content"].get("heading"))
    heading = section["content"]["heading"]
    assert anna.post(of(brand), {"code": "de"}).status_code == 200
    asked(do="duplicate", page=page["id"], section=section["id"])
    line = next(one for one in anna.get(of(brand, "de")).json()["lines"] if one["source"] == heading)
    copy = next(one for one in line["places"] if one["page"] == page["id"] and one["section"] != section["id"])
    place = copy["place"]
    wanted = {"texts": {heading: "So"}, "at": {heading: {place: "Anders"}}}
    assert anna.put(of(brand, "de"), wanted).status_code == 200 and said() == {place: "Anders"}
    asked(do="move", page=page["id"], section=copy["section"], to=other["id"])
    there = place.replace(f"page:{page['id']}/", f"page:{other['id']}/")
    assert said() == {there: "Anders"}
    assert anna.undo(brand).status_code == 200 and said() == {place: "Anders"}
    assert anna.redo(brand).status_code == 200 and said() == {there: "Anders"}


def test_preflight_tells_what_holds_a_language_back(brand: Brand, anna: Api) -> None:
    at = f"brands/{brand.pk}/preflight/languages"
    assert anna.post(of(brand), {"code": "de"}).status_code == 200
    assert anna.get(at).json() == {"languages": []}, "one that is not published holds nothing back"
    assert anna.post(of(brand, "de"), {"published": True}).status_code == 200
    (gate,) = anna.get(at).json()["languages"]
    assert (gate["code"], gate["name"], gate["stops"]) == ("de", "Deutsch", []) and gate["missing"] > 20
    assert anna.put(of(brand, "de"), {"texts": waiting(anna, brand, "de")}).status_code == 200
    assert anna.get(at).json()["languages"][0]["missing"] == 0
    heading = next(one["content"]["heading"] for one in anna.get(f"brands/{brand.pk}").json()["pages"][0]["body"]["sections"])
    assert anna.put(of(brand, "de"), {"texts": {heading: "[[noch zu schreiben]]"}}).status_code == 200
    (stop, *_) = anna.get(at).json()["languages"][0]["stops"]
    assert stop["page"] and stop["stops"] and "noch zu schreiben" in stop["message"]


def test_what_cannot_be_is_refused_in_a_sentence(brand: Brand, anna: Api, reviewer: Api) -> None:
    assert anna.post(of(brand), {"code": "de"}).status_code == 200
    for asked, status in (
        (lambda: anna.post(of(brand), {"code": "de"}), 422),
        (lambda: anna.post(of(brand), {"code": "en-GB"}), 422),
        (lambda: anna.post(of(brand), {"code": "../x"}), 422),
        (lambda: anna.put(of(brand, "fr"), {"texts": {"Contact": "x"}}), 422),
        (lambda: anna.put(of(brand, "de"), {"texts": {"Contact": "x" * 900}}), 422),
        (lambda: anna.put(of(brand, "de"), {"texts": {"Not there": "x"}}), 422),
        (lambda: reviewer.post(of(brand), {"code": "fr"}), 403),
        (lambda: reviewer.put(of(brand, "de"), {"texts": {"Contact": "x"}}), 403),
        (lambda: reviewer.delete(of(brand, "de")), 403),
    ):
        refused = asked()
        assert refused.status_code == status and len(refused.json()["title"]) > 20, refused.json()
    assert reviewer.get(of(brand, "de")).status_code == 200


def test_a_page_is_seen_in_its_language(brand: Brand, anna: Api) -> None:
    translated(anna, brand, "he")
    html = anna.get(f"brands/{brand.pk}/pages/home/preview?language=he").json()["html"]
    assert 'lang="he" dir="rtl"' in html and "(he)" in html
    assert anna.get(f"brands/{brand.pk}/pages/home/preview?language=fr").status_code == 422
    assert "(he)" not in anna.get(f"brands/{brand.pk}/pages/home/preview").json()["html"]


def test_a_release_waits_for_a_language_that_is_to_be_published(brand: Brand, anna: Api) -> None:
    assert anna.post(of(brand), {"code": "de"}).status_code == 200
    assert anna.post(f"brands/{brand.pk}/releases").status_code == 200, "what is not to be published holds nothing back"
    assert anna.post(of(brand, "de"), {"published": True}).status_code == 200
    refused = anna.post(f"brands/{brand.pk}/releases")
    assert refused.status_code == 409 and "not translated into Deutsch" in refused.json()["title"]
    assert anna.put(of(brand, "de"), {"texts": waiting(anna, brand, "de")}).status_code == 200
    made = anna.post(f"brands/{brand.pk}/releases")
    assert made.status_code == 200, made.json()
    slot = next(
        one["source"]
        for one in anna.get(of(brand, "de")).json()["lines"]
        if one["label"] == "Hero, Text" or "Hero" in one["label"]
    )
    gap = {"texts": {slot: "[[Noch zu schreiben]]"}}
    assert anna.put(of(brand, "de"), gap).status_code == 200
    refused = anna.post(f"brands/{brand.pk}/releases")
    assert refused.status_code == 409 and "held back in Deutsch" in refused.json()["title"]
    assert any(one["stops"] for one in anna.get(of(brand, "de")).json()["findings"])


def test_the_host_serves_each_language_and_takes_its_forms(brand: Brand, anna: Api) -> None:
    write(brand, "page:contact", {"form": {"fields": FIELDS, "label": "Send", "to": "mailto:desk@quillmoor.example"}})
    translated(anna, brand, "de")
    assert anna.post(of(brand, "de"), {"published": True}).status_code == 200
    release = releases.publish(brand, None)
    client = Client()
    get: Any = lambda path: client.get(f"/{brand.slug}/{path}", headers=HOST)  # noqa: E731
    assert get("de")["Location"] == f"/{brand.slug}/de/" and get("de/").status_code == 200
    start = get("de/").content.decode()
    assert 'lang="de"' in start and 'href="../index.html"' in start and "site.css?v=" in start
    assert 'href="de/index.html"' in get("").content.decode()
    gone = get("de/nirgends.html")
    assert gone.status_code == 404 and "gibt es hier nicht" in gone.content.decode()
    assert f'href="/{brand.slug}/de/' in gone.content.decode() and 'href="site.css' not in gone.content.decode()
    page = next(path for path in release.files if path.startswith("de/") and b"<form" in get(path).content)
    asked = client.post(
        f"/{brand.slug}/de/send/contact/ask",
        urlencode({"Name (de)": "Ada", "Email (de)": "ada"}),
        content_type="application/x-www-form-urlencoded",
        headers=HOST,
    )
    assert asked.status_code == 422 and "keine E-Mail-Adresse" in asked.content.decode() and page
    names = [one for one in ("Name", "Name (de)") if f'name="{one}"' in get(page).content.decode()]
    answers = {f"{label} (de)" if names == ["Name (de)"] else label: value for label, value in SENT.items()}
    fields = {one: value for one, value in answers.items() if f'name="{one}"' in get(page).content.decode()}
    sent = client.post(
        f"/{brand.slug}/de/send/contact/ask",
        urlencode({**SENT, **fields, "E-Mail (de)": "", **_by_name(get(page).content.decode())}),
        content_type="application/x-www-form-urlencoded",
        headers=HOST,
    )
    assert sent.status_code == 303 and sent["Location"] == f"/{brand.slug}/de/thanks.html", sent.content.decode()[:2000]
    assert "Vielen Dank" in get("de/thanks.html").content.decode() and Enquiry.objects.count() == 1
    shipped = anna.get(f"brands/{brand.pk}/releases/{release.number}/zip")
    assert shipped.status_code == 200
    assert (
        client.post(
            f"/{brand.slug}/fr/send/contact/ask", "", content_type="application/x-www-form-urlencoded", headers=HOST
        ).status_code
        == 404
    )


def _by_name(page: str) -> dict[str, str]:
    """What a visitor fills in, by the names that the page gives its fields."""
    from lxml import html as documents

    filled = {}
    for control in documents.document_fromstring(page).xpath("//form//*[@name and not(@tabindex)]"):
        kind = control.get("type") or control.tag
        options = control.xpath(".//option[not(@value)]")
        filled[control.get("name")] = options[0].text if options else "ada@loew.example" if kind == "email" else "Ada"
    return filled


@pytest.mark.django_db(transaction=True)
def test_brands_from_before_there_were_languages_get_them(workspace: Any, quillmoor: Any) -> None:
    executor = MigrationExecutor(connection)
    executor.migrate([("studio", "0009_structure")])
    try:
        old = executor.loader.project_state([("studio", "0009_structure")]).apps
        brand = old.get_model("studio", "Brand").objects.create(
            workspace_id=workspace.pk, slug="osier", planned={"frame": {"order": []}}
        )
        old.get_model("studio", "Document").objects.create(brand=brand, name="frame", body={"order": []})
        old.get_model("studio", "Release").objects.create(
            brand=brand, number=1, files={}, snapshot={"frame": {"order": []}}, counts={}
        )
    finally:
        executor = MigrationExecutor(connection)
        executor.migrate(executor.loader.graph.leaf_nodes())
    made = Brand.objects.get(slug="osier")
    assert Document.objects.get(brand=made, name="languages").body == {"further": {}}
    frame = {"order": [], "forms_at": ""}
    assert made.planned["frame"] == frame == Document.objects.get(brand=made, name="frame").body
    checks = {"weights": {}, "notes_hold": False, "measured": True, "waivers": []}
    assert made.releases.get().snapshot == {"frame": frame, "languages": {"further": {}}, "checks": checks}
    assert Document.objects.get(brand=made, name="checks").body == checks
