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
