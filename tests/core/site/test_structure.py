"""Pages and sections added, moved, duplicated, copied, parked, hidden, turned into other kinds and taken out, in any order, on sites of
brands that are nothing alike: the site stays whole, everything leads somewhere, and every change can be taken back."""

import json
import re
from functools import cache
from typing import Any

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from pydantic import TypeAdapter

from formulon.core.checks.predict import predict
from formulon.core.errors import ChangeError
from formulon.core.site.catalogue import CATALOGUE
from formulon.core.site.changes import Change, apply, edited, pointer
from formulon.core.site.documents import documents, located
from formulon.core.site.patches import difference
from formulon.core.site.planning.planner import plan
from formulon.core.site.render import render
from formulon.core.site.site import FRAME, Site
from formulon.core.site.structure import Operation, arranged
from formulon.core.system.documents.identity import Identity

BAKERY = {
    "name": "Φούρνος της Ανηφόρας", "does": "Ψωμί με προζύμι κάθε πρωί.", "language": "el", "organisation": "restaurant",
    "offers": [{"name": "Καρβέλι", "text": "Σκούρο και βαρύ."}, {"name": "Κουλούρι", "text": ""}],
    "contact": {"email": "psomi@fournos.example", "phone": "2310 555 010", "address": "Ανηφόρα 3"},
    "texts": [{"heading": "Τιμές", "text": "Καρβέλι 4,20 €\nΚουλούρι 0,80 €\nΠίτα 3 €", "source": "times.txt"}],
}  # fmt: skip
CLINIC = {
    "name": "מרפאת הדקל", "does": "רופאים לכל המשפחה.", "language": "he", "extent": "one page", "organisation": "practice",
    "offers": [{"name": f"טיפול {n}", "text": "שלושים דקות."} for n in range(1, 6)],
    "contact": {"email": "a@dekel.example", "phone": "03-5550101", "address": "רחוב הדקל 4"},
}  # fmt: skip
BARE = {"name": "Trà", "language": "vi"}
BRANDS = {"bakery": BAKERY, "clinic": CLINIC, "bare": BARE}
LAYOUTS = [(kind, layout) for kind, one in CATALOGUE.items() if kind not in FRAME for layout in one.layouts]


@cache
def planned(name: str) -> Site:
    return plan(Identity.model_validate(BRANDS[name]))


def do(site: Site, *operations: dict[str, Any]) -> Site:
    """The site after operations, which are handed over as data."""
    return apply(site, arranged(site, TypeAdapter(list[Operation]).validate_python(list(operations))).changes)


def pick(draw: Any, values: Any) -> Any:
    return draw(st.sampled_from(list(values)))


@st.composite
def operation(draw: st.DrawFn, site: Site) -> dict[str, Any]:
    """Anything that can be asked for in the state that a site is in."""
    page = pick(draw, site.pages)
    after = draw(st.none() | st.just("") | st.sampled_from([one.id for one in page.sections] or [""]))
    pages = draw(st.none() | st.sampled_from(["", *(one.id for one in site.pages)]))
    kind, layout = pick(draw, LAYOUTS)
    always: list[dict[str, Any]] = [
        {"do": "add", "page": page.id, "after": after, "kind": kind, "layout": layout},
        {"do": "add_page", "name": pick(draw, ["Τιμές", "Prices", "שאלות", "漢字", "A"]), "after": pages},
        {"do": "rename_page", "page": page.id, "name": pick(draw, ["Nghệ", "Straße", "x" * 60]), "address": pick(draw, [None, "", "neu"])},
        {"do": "move_page", "page": page.id, "after": pages}, {"do": "duplicate_page", "page": page.id},
        {"do": "remove_page", "page": page.id, "lead_to": pick(draw, ["", "mailto:a@b.example"])},
    ]  # fmt: skip
    if page.sections:
        one = {"page": page.id, "section": pick(draw, page.sections).id}
        to = pick(draw, site.pages)
        always += [
            {"do": "move", **one, "after": after}, {"do": "move", **one, "to": to.id, "after": None}, {"do": "duplicate", **one},
            {"do": "copy", **one, "to": to.id, "after": ""}, {"do": "take_out", **one}, {"do": "park", **one, "copy": draw(st.booleans())},
            {"do": "bring_back", **one}, {"do": "hide", **one, "hidden": draw(st.booleans())},
            {"do": "widths", **one, "hidden_on": pick(draw, [[], ["phone"], ["desktop", "phone"]])},
            {"do": "change_kind", **one, "kind": kind, "layout": pick(draw, ["", layout])},
            {"do": "depart", **one, "ground": pick(draw, [None, "deep", "accent"]), "reason": "loud once"},
        ]  # fmt: skip
    return pick(draw, always)


def dead(site: Site) -> set[str]:
    """The destinations on a site that lead to a page or section that it does not have."""
    written = json.dumps(list(documents(site).values()))
    return {to for to in re.findall(r"page:[a-z0-9-]+(?:#[a-z0-9-]+)?", written) if not site.is_there(to)}


@settings(max_examples=60, deadline=None)
@given(data=st.data(), name=st.sampled_from(sorted(BRANDS)))
def test_any_order_of_operations_keeps_a_whole_site_whose_links_lead_somewhere(data: st.DataObject, name: str) -> None:
    site = planned(name)
    assert not dead(site)
    done: list[tuple[Site, Site]] = []
    for _ in range(data.draw(st.integers(2, 8))):
        asked = data.draw(operation(site))
        try:
            made = arranged(site, TypeAdapter(list[Operation]).validate_python([asked]))
        except ChangeError as refused:
            assert str(refused).endswith("."), "what cannot be done is told in a sentence"
            continue
        after = apply(site, made.changes)
        assert made.label and after.page(made.page) is not None
        assert not made.section or located(after, made.page, made.section)
        assert not dead(after), asked
        done.append((site, after))
        site = after
    files = render(site, site.system())
    assert {site.file_name(page) for page in site.pages} <= files.keys() and list(predict(site, site.system()))
    # Undo and redo: the patches that the history keeps lead there and back again.
    for before, after in reversed(done):
        one, two = documents(before), documents(after)
        for document in one.keys() | two.keys():
            if document in one and document in two:
                assert edited(document, two[document], difference(two[document], one[document])) == one[document]
                assert edited(document, one[document], difference(one[document], two[document])) == two[document]


@settings(max_examples=60, deadline=None)
@given(data=st.data(), name=st.sampled_from(sorted(BRANDS)))
def test_what_was_parked_comes_back_byte_for_byte(data: st.DataObject, name: str) -> None:
    site = planned(name)
    page = data.draw(st.sampled_from(site.pages))
    section = data.draw(st.sampled_from(page.sections))
    was, copied = section.model_dump_json(), data.draw(st.booleans())
    one = {"page": page.id, "section": section.id}
    after = do(site, {"do": "park", **one, "copy": copied})
    assert section.id not in [each.id for each in after.page(page.id).sections]  # type: ignore[union-attr]
    for _ in range(data.draw(st.integers(0, 3))):
        asked = data.draw(
            operation(after).filter(lambda asked: asked.get("section") != section.id and "_page" not in asked["do"])
        )
        try:
            after = do(after, asked)
        except ChangeError:
            continue
    back = do(after, {"do": "bring_back", **one})
    _, _, found = located(back, page.id, section.id) or pytest.fail("it is gone")
    assert found.model_dump_json() == was


@settings(max_examples=80, deadline=None)
@given(data=st.data(), name=st.sampled_from(sorted(BRANDS)))
def test_a_change_of_kind_loses_nothing_and_goes_back_whole(data: st.DataObject, name: str) -> None:
    site = planned(name)
    page = data.draw(st.sampled_from(site.pages))
    section = data.draw(st.sampled_from(page.sections))
    kind, _ = data.draw(st.sampled_from(LAYOUTS).filter(lambda pair: pair[0] != section.kind))
    one = {"page": page.id, "section": section.id}
    turned = do(site, {"do": "change_kind", **one, "kind": kind})
    middle = located(turned, page.id, section.id)[2]  # type: ignore[index]
    assert middle.kind == kind and middle.aside[section.kind].content == section.content
    heading = section.content.get("heading")
    if heading and "heading" in CATALOGUE[kind].slots:
        assert middle.content["heading"] == heading
    assert documents(do(turned, {"do": "change_kind", **one, "kind": section.kind})) == documents(site)


def test_what_was_changed_as_another_kind_comes_along_when_it_is_changed_back() -> None:
    site = planned("bakery")
    page = next(page for page in site.pages if any(one.kind == "prices" for one in page.sections))
    section = next(one for one in page.sections if one.kind == "prices")
    one = {"page": page.id, "section": section.id}
    turned = do(site, {"do": "change_kind", **one, "kind": "offers"})
    document, base, made = located(turned, page.id, section.id) or pytest.fail("it is gone")
    for name in ("title", "price"):
        assert [item[name] for item in made.content["items"]] == [item[name] for item in section.content["items"]]
    path = pointer(*base, "content", "items", 0, "price")
    changed = apply(turned, [Change(document=document, patch=[{"op": "replace", "path": path, "value": "4,40 €"}])])
    back = located(do(changed, {"do": "change_kind", **one, "kind": "prices"}), page.id, section.id) or pytest.fail(
        "it is gone"
    )
    assert back[2].content["items"][0]["price"] == "4,40 €" and back[2].layout == section.layout
    assert back[2].content["heading"] == section.content["heading"]
