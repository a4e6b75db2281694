"""Facts that pages state, by the API: told by place, and changed in one entry with everything that says them."""

from formulon.studio.models import Brand
from tests.studio.conftest import Api


def places(api: Api, brand: Brand, path: str) -> list[dict[str, str]]:
    facts = api.get(f"brands/{brand.pk}/stated").json()["facts"]
    return next((one["places"] for one in facts if one["path"] == path), [])


def test_a_fact_changes_on_edited_pages_in_one_entry_and_comes_back_whole(brand: Brand, anna: Api) -> None:
    known = anna.get(f"brands/{brand.pk}").json()
    email = known["identity"]["body"]["contact"]["email"]
    start = known["pages"][0]
    # One's own words, so that the pages do not follow the plan any more.
    document = f"page:{start['body']['id']}"
    patch = {"op": "replace", "path": "/description", "value": f"Write to {email}, whatever the weather."}
    assert anna.change(brand, document, start["revision"], patch).status_code == 200
    before = anna.get(f"brands/{brand.pk}").json()
    there = places(anna, brand, "/contact/email")
    assert len(there) > 1 and {"page": start["body"]["id"], "section": "", "label": "Description"}.items() <= there[0].items()
    assert all(email in one["match"] for one in there)

    patch = {"op": "replace", "path": "/contact/email", "value": "post@elsewhere.example"}
    revision = before["identity"]["revision"]
    assert anna.change(brand, "identity", revision, patch, label="Email changed").status_code == 200
    assert len(places(anna, brand, "/contact/email")) == len(there)
    after = anna.get(f"brands/{brand.pk}").json()
    assert after["pages"][0]["body"]["description"] == "Write to post@elsewhere.example, whatever the weather."
    assert email not in str([page["body"] for page in after["pages"]])
    assert anna.get(f"brands/{brand.pk}/history").json()["entries"][0]["label"] == "Email changed"

    assert anna.undo(brand).status_code == 200
    back = anna.get(f"brands/{brand.pk}").json()
    assert [page["body"] for page in back["pages"]] == [page["body"] for page in before["pages"]]
    assert anna.redo(brand).status_code == 200
    assert len(places(anna, brand, "/contact/email")) == len(there)


def test_a_stranger_is_not_told(brand: Brand, stranger: Api) -> None:
    assert stranger.get(f"brands/{brand.pk}/stated").status_code == 404


def test_material_is_told_to_stand_to_wait_and_to_stand_again_where_it_is_put(brand: Brand, anna: Api) -> None:
    known = anna.get(f"brands/{brand.pk}").json()
    text = {
        "heading": "Our paper",
        "text": "Cotton from the mill at Tarn.\nEvery sheet has four torn edges.",
        "source": "paper.md",
    }
    patch = {"op": "add", "path": "/texts/-", "value": text}
    assert anna.change(brand, "identity", known["identity"]["revision"], patch).status_code == 200
    told = anna.get(f"brands/{brand.pk}/material").json()["texts"]
    number = told[-1]["number"]
    page = known["pages"][0]
    if told[-1]["places"]:  # the pages followed the plan
        where = told[-1]["places"][0]
        page = next(one for one in anna.get(f"brands/{brand.pk}").json()["pages"] if one["body"]["id"] == where[0])
        index = next(i for i, one in enumerate(page["body"]["sections"]) if one["id"] == where[1])
        gone = {"op": "remove", "path": f"/sections/{index}"}
        assert anna.change(brand, f"page:{where[0]}", page["revision"], gone).status_code == 200
    waiting = anna.get(f"brands/{brand.pk}/material").json()["texts"][number]
    assert waiting == {"number": number, "places": [], "waits": text["text"].split("\n")}
    content = {"heading": text["heading"], "body": "\n\n".join(waiting["waits"])}
    add = {"do": "add", "page": page["body"]["id"], "kind": "long_text", "layout": "essay", "content": content}
    made = anna.post(f"brands/{brand.pk}/structure", {"operations": [add]})
    assert made.status_code == 200
    body = anna.get(f"brands/{brand.pk}").json()
    held = {f"page:{one['body']['id']}": one["revision"] for one in body["pages"]} | {"frame": body["frame"]["revision"]}
    for change in made.json()["changes"]:
        assert anna.change(brand, change["document"], held[change["document"]], *change["patch"]).status_code == 200
    standing = anna.get(f"brands/{brand.pk}/material").json()["texts"][number]
    assert standing["waits"] == [] and standing["places"][0][0] == page["body"]["id"]
