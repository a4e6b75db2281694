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

from formulon.core.checks.fitting import fitting
from formulon.core.checks.page_facts import TextRun
from formulon.core.checks.predict import predict
from formulon.core.checks.preflight import check_site
from formulon.core.checks.reach import ink_areas, reach
from formulon.core.checks.runner import check
from formulon.core.errors import ChangeError
from formulon.core.site.catalogue import CATALOGUE
from formulon.core.site.changes import Change, apply, edited, pointer
from formulon.core.site.documents import documents, located
from formulon.core.site.orders import ordered
from formulon.core.site.patches import difference
from formulon.core.site.planning.planner import plan
from formulon.core.site.render import Preview, render, render_page
from formulon.core.site.site import FRAME, Site
from formulon.core.site.structure import Operation, arranged
from formulon.core.site.structure.offered import offers, shown
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
            {"do": "reorder", **one, "width": pick(draw, ["phone", "tablet", "desktop"]), "by": draw(st.integers(-3, 3))},
            {"do": "change_kind", **one, "kind": kind, "layout": pick(draw, ["", layout])},
            {"do": "reshape", **one, "part": draw(st.integers(0, 3)), "cols": draw(st.none() | st.just((1, 6))), "row": draw(st.none() | st.integers(1, 3))},
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
    assert {site.file_name(page) for page in site.pages} <= files.keys()
    facts = predict(site, site.system())
    assert check(facts, site.system()).counts and fitting(site, site.system(), facts) and reach(site, site.system(), facts)
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


@pytest.mark.parametrize("name", sorted(BRANDS))
def test_everything_that_can_be_added_is_offered_with_words_and_can_be_drawn(name: str) -> None:
    site = planned(name)
    for kind, declared in CATALOGUE.items():
        if kind in FRAME:
            with pytest.raises(KeyError):
                offers(site, kind)
            continue
        assert declared.needs, "it can be looked for by what it is needed for"
        made = offers(site, kind)
        assert [one.section.layout for one in made] == list(declared.layouts)
        drawn = shown(site, made)
        html = render_page(drawn, drawn.system(), drawn.drawn[0], Preview("/fonts/"))
        assert all(f'data-section="{one.section.id}"' in html for one in made)
        slots = [slot for slot, each in declared.slots.items() if each.of.collection]
        assert name != "bare" or all(len(each.section.content.get(slot, "ab")) >= 2 for each in made for slot in slots), kind
        one = made[0].section
        after = do(site, {"do": "add", "page": site.pages[0].id, "kind": kind, "layout": one.layout, "content": one.content})
        assert after.pages[0].sections[-1].content == one.content and not dead(after)


def test_what_the_brief_knows_is_offered_and_where_it_stands_already_is_told() -> None:
    site = planned("bakery")
    prices = offers(site, "prices")[0]
    assert [item["price"] for item in prices.section.content["items"]] == ["4,20 €", "0,80 €", "3 €"]
    page = next(page for page in site.pages if any(one.kind == "prices" for one in page.sections))
    assert prices.said_on == page.name
    without = do(
        site, *({"do": "take_out", "page": page.id, "section": one.id} for one in page.sections if one.kind == "prices")
    )
    again = offers(without, "prices")[0]
    assert again.section.content["items"] == prices.section.content["items"] and not again.said_on


def test_facts_are_offered_as_sections() -> None:
    """Hours by day, every way to reach the brand with its networks, where it is, and what it hands out."""
    file = {"id": "preisliste-2027", "name": "Preisliste_2027.pdf", "ending": "pdf", "size": 210_000, "sha256": "c" * 64}
    facts = {
        "name": "Öhmler", "language": "de", "files": [file], "social": ["https://netz.example/@oehmler", "https://bild.example/oehmler"],
        "contact": {"email": "a@oehmler.example", "phone": "0731 5550123", "address": "Hafengasse 8, Ulm", "hours": "Di–Fr 7–18; Sa 7–12"},
    }  # fmt: skip
    site = plan(Identity.model_validate(facts))
    said = {kind: offers(site, kind)[0].section.content for kind in ("strip", "programme", "place", "downloads")}
    assert said["programme"]["table"]["rows"] == [["Di–Fr", "7–18"], ["Sa", "7–12"]]
    assert [one["link"]["to"] for one in said["strip"]["items"] if "link" in one] == [
        "mailto:a@oehmler.example", "tel:07315550123", "https://netz.example/@oehmler", "https://bild.example/oehmler",
    ]  # fmt: skip
    assert said["place"]["text"] == "Hafengasse 8, Ulm" and said["place"]["map"] == {"ways": []}
    assert said["downloads"]["items"] == [
        {"title": "Preisliste 2027", "link": {"label": "Preisliste 2027", "to": "file:preisliste-2027"}}
    ]
    page = shown(site, offers(site, "downloads"))
    assert "Preisliste 2027</span> (PDF,\u00a0210\u00a0kB)" in render_page(page, page.system(), page.drawn[0])
    bare = planned("bare")
    assert all(offers(bare, kind)[0].section.content for kind in said), "what is not known is marked, and not left out"


def menu(site: Site, entries: list[dict[str, Any]]) -> Site:
    patch = difference(documents(site)["frame"], documents(site)["frame"] | {"menu": entries})
    return apply(site, [Change(document="frame", patch=patch)])


def test_a_menu_of_ones_own_has_two_levels_leads_out_and_leaves_out_what_is_gone() -> None:
    site = planned("bakery")
    first, second = site.pages[0], site.pages[1]
    section = first.sections[1].id
    entries = [
        {"label": "Το μαγαζί", "to": f"page:{second.id}", "items": [
            {"label": "Ψωμιά", "to": f"page:{first.id}#{section}"}, {"label": "Κατάλογος", "to": "https://fournos.example/k.pdf"},
        ]},
        {"label": "Μόνο ανοίγει", "items": [{"label": "Γράψτε", "to": "mailto:psomi@fournos.example"}]},
        {"label": "Χαμένο", "to": "page:nowhere"},
    ]  # fmt: skip
    made = menu(site, entries)
    html = render_page(made, made.system(), first)
    for label, address in (("Ψωμιά", f"#at-{section}"), ("Κατάλογος", "https://fournos.example/k.pdf"), ("Γράψτε", "mailto:")):
        assert re.search(rf'<a href="{re.escape(address)}[^"]*"[^>]*>{label}', html), label
    assert html.count("<summary>") == 2 and "Χαμένο" not in html and f'id="at-{section}"' in html
    told = {run.text for run in predict(made, made.system()) if isinstance(run, TextRun) and run.place.section == "header"}
    assert {"Το μαγαζί", "Ψωμιά", "Κατάλογος", "Μόνο ανοίγει", "Γράψτε"} <= told
    gone = do(made, {"do": "remove_page", "page": second.id})
    assert [one.label for one in gone.frame.menu] == ["Το μαγαζί", "Μόνο ανοίγει", "Χαμένο"] and not gone.frame.menu[0].to
    for bad in ([{"label": "Α"}], [{"label": "Α", "items": [{"label": "Β", "items": [{"label": "Γ", "to": "tel:1"}]}]}]):
        with pytest.raises(ChangeError):
            menu(site, bad)


def test_what_is_not_shown_at_a_width_is_neither_drawn_nor_checked_there_and_what_is_hidden_leads_to_its_page() -> None:
    site = planned("bakery")
    page, section = site.pages[0], site.pages[0].sections[1]
    one = {"page": page.id, "section": section.id}
    phones = do(site, {"do": "widths", **one, "hidden_on": ["phone"]})
    assert 'data-off="phone"' in render_page(phones, phones.system(), phones.drawn[0])
    assert b'[data-off~="phone"]' in render(phones, phones.system())["site.css"]
    assert b"data-off" not in render(site, site.system())["site.css"]
    runs = [run for run in predict(phones, phones.system()) if isinstance(run, TextRun) and run.place.section == section.id]
    assert runs and all(set(run.sizes) == {768, 1280, 1920} >= set(run.fits) for run in runs)
    linked = menu(site, [{"label": "Εδώ", "to": f"page:{page.id}#{section.id}"}])
    hidden = do(linked, {"do": "hide", **one})
    assert hidden.is_there(f"page:{page.id}#{section.id}") and hidden.led(f"page:{page.id}#{section.id}") == f"page:{page.id}"
    parked = do(linked, {"do": "park", **one, "copy": True})
    assert parked.led(f"page:{page.id}#{section.id}") == f"page:{page.id}#{section.id}-2"
    with pytest.raises(ChangeError, match="Hide it instead"):
        do(site, {"do": "widths", **one, "hidden_on": ["phone", "tablet", "desktop"]})


def test_sections_stand_in_another_order_at_a_width_and_are_read_as_they_are_written() -> None:
    site = planned("bakery")
    page, ids = site.pages[0], [one.id for one in site.pages[0].sections]
    one = {"page": page.id, "section": ids[-1], "width": "phone"}
    moved = do(site, {"do": "reorder", **one, "by": -2})
    order = [one.id for one in ordered(moved.pages[0], "phone")]
    assert order == [*ids[:-3], ids[-1], *ids[-3:-1]] and [one.id for one in ordered(moved.pages[0], "desktop")] == ids
    html, files = render_page(moved, moved.system(), moved.drawn[0]), render(moved, moved.system())
    assert 'class="ordered"' in html and f'data-on-phone="{len(ids)}"' in html and "data-on-desktop" not in html
    assert b'[data-on-phone="1"]{--on-phone:1}' in files["site.css"].replace(b"; }", b"}").replace(b";}", b"}")
    assert 'class="ordered"' not in render_page(site, site.system(), site.drawn[0])
    assert b".ordered" not in render(site, site.system())["site.css"]
    notes = [one for one in check_site(moved, most=0).findings if one.rule == "structure/order-by-width"]
    assert [(one.section, one.severity) for one in notes] == [(ids[-1], "note")]
    # A section that is added stands after what it is written after, one that is taken out is gone, and back is back.
    added = do(moved, {"do": "duplicate", "page": page.id, "section": ids[0]})
    assert [one.id for one in ordered(added.pages[0], "phone")][:2] == [ids[0], added.pages[0].sections[1].id]
    gone = do(moved, {"do": "take_out", "page": page.id, "section": ids[-1]})
    assert [one.id for one in ordered(gone.pages[0], "phone")] == ids[:-1]
    assert do(moved, {"do": "reorder", **one, "by": 2}).pages[0].order_on == {}
    assert do(moved, {"do": "reorder", **one, "by": 0}).pages[0].order_on == {}
    # What the width does not show is passed over.
    off = do(
        site, {"do": "widths", "page": page.id, "section": ids[-2], "hidden_on": ["phone"]}, {"do": "reorder", **one, "by": -1}
    )
    assert [one.id for one in ordered(off.pages[0], "phone")].index(ids[-1]) == len(ids) - 3


def test_addresses_that_pages_had_lead_on_through_renaming_reordering_and_removal() -> None:
    site = do(planned("bakery"), {"do": "add_page", "name": "Ιστορία"})
    first, second, third = (page.id for page in site.pages[:3])
    named = do(site, {"do": "rename_page", "page": second, "name": "Ποιοι είμαστε", "address": "Poioi Eimaste"})
    assert named.file_name(named.pages[1]) == "poioi-eimaste.html" and named.pages[1].name == "Ποιοι είμαστε"
    assert {one.path: one.to for one in named.frame.redirects} == {f"{second}.html": f"page:{second}"}
    moved = do(named, {"do": "move_page", "page": second, "after": ""})
    assert moved.pages[0].id == second and {one.path for one in moved.frame.redirects} == {
        f"{second}.html",
        "poioi-eimaste.html",
    }
    gone = do(moved, {"do": "remove_page", "page": third, "lead_to": "https://fournos.example/"})
    files = render(gone, gone.system())
    assert b'url=https://fournos.example/"' in files[f"{third}.html"] and b"url=index.html" in files[f"{second}.html"]
    back = do(gone, {"do": "move_page", "page": second, "after": first})
    assert "poioi-eimaste.html" not in {one.path for one in back.frame.redirects}, "a page is there again"
    for bad in ("404", "index", "!!"):
        with pytest.raises(ChangeError):
            do(site, {"do": "rename_page", "page": second, "address": bad})
    only = planned("clinic")
    with pytest.raises(ChangeError, match="at least one page"):
        do(only, {"do": "remove_page", "page": only.pages[0].id})


@pytest.mark.parametrize(
    "off", [["phone"], ["tablet"], ["desktop"], ["phone", "tablet"], ["phone", "desktop"], ["tablet", "desktop"]]
)
def test_what_some_widths_do_not_show_is_checked_measured_and_painted_at_the_others(off: list[str]) -> None:
    for name in sorted(BRANDS):
        site = planned(name)
        asked = [
            {"do": "widths", "page": page.id, "section": one.id, "hidden_on": off}
            for page in site.pages
            for one in page.sections
        ]
        made = do(site, *asked)
        report, facts = check_site(made, most=0), predict(made, made.system())
        assert report.counts and reach(made, made.system(), facts) is not None and fitting(made, made.system(), facts)
        assert ink_areas(made.system(), facts, 1280)
        widths = {"phone": 360, "tablet": 768}
        hidden = {widths[one] for one in off if one in widths} | ({1280, 1920} if "desktop" in off else set())
        frame = ("header", "footer")
        assert not {one.width for one in report.findings if one.section not in frame} & hidden, (
            "nothing is found where nothing is shown"
        )


def test_a_second_page_leaves_the_sections_of_a_site_of_one_page_in_its_menu() -> None:
    site = planned("clinic")
    before = [entry.to for entry in site.menu()]
    assert len(site.pages) == 1 and before
    made = do(site, {"do": "add_page", "name": "שאלות"})
    assert [entry.to for entry in made.menu()] == [*before, f"page:{made.pages[1].id}"]
    assert [entry.to for entry in do(site, {"do": "duplicate_page", "page": site.pages[0].id}).menu()] == before


def test_one_button_departs_from_the_system_with_its_reason_and_is_checked_as_it_is_drawn() -> None:
    site = planned("bakery")
    page, section = site.pages[0], next(one for one in site.pages[0].sections if one.content.get("primary"))
    document, base, _ = located(site, page.id, section.id) or pytest.fail("it is gone")
    value = section.content["primary"] | {"drawn_as": "secondary", "reason": "Μία φορά ήσυχα"}
    change = Change(document=document, patch=[{"op": "replace", "path": pointer(*base, "content", "primary"), "value": value}])
    made = apply(site, [change])
    assert located(made, page.id, section.id)[2].content["primary"] == value  # type: ignore[index]
    html = render_page(made, made.system(), made.pages[0])
    own = html.split(f"{section.kind.replace('_', '-')}--", 1)[1]
    assert "button--secondary" in own.split("</section>")[0] and "button--primary" not in own.split("</section>")[0]
    inks = {run.ink for run in predict(made, made.system()) if isinstance(run, TextRun) and run.place.slot == "primary"}
    assert {ink.split("/")[0] for ink in inks if inks} >= {"secondary"}
    back = apply(
        made,
        [
            Change(
                document=document,
                patch=[{"op": "replace", "path": pointer(*base, "content", "primary"), "value": section.content["primary"]}],
            )
        ],
    )
    assert documents(back) == documents(site)


def test_an_old_address_leads_to_a_section_of_another_page_and_out_of_the_site() -> None:
    site = do(planned("bakery"), {"do": "add_page", "name": "Ιστορία"})
    first, second, third = site.pages[:3]
    section = first.sections[1].id
    gone = do(site, {"do": "remove_page", "page": third.id, "lead_to": f"page:{first.id}#{section}"})
    files = render(gone, gone.system())
    moved, home = files[f"{third.id}.html"].decode(), files["index.html"].decode()
    assert f'url=index.html#at-{section}"' in moved and f'id="at-{section}"' in home and first.name in moved
    again = do(gone, {"do": "add_page", "name": third.name})
    assert f"{third.id}.html" in {one.path for one in again.frame.redirects}, "an old address is nobody else's"
    with pytest.raises(ChangeError, match="is not free"):
        do(site, {"do": "rename_page", "page": third.id, "address": second.id})


def test_what_is_added_or_turned_back_leads_to_what_there_is() -> None:
    """Words out of the brief, and what a section said as another kind, may lead to pages that are gone by now."""
    site = planned("bakery")
    second = site.pages[1]
    page, section = next((page, one) for page in site.pages[:1] for one in page.sections if second.id in one.model_dump_json())
    one = {"page": page.id, "section": section.id}
    turned = do(site, {"do": "change_kind", **one, "kind": "timeline"})
    gone = do(turned, {"do": "remove_page", "page": second.id})
    assert not dead(gone) and not dead(do(gone, {"do": "change_kind", **one, "kind": section.kind}))
    for kind in CATALOGUE:
        for offer in offers(gone, kind)[:1] if kind not in FRAME else ():
            own = offer.section
            after = do(gone, {"do": "add", "page": page.id, "kind": kind, "layout": own.layout, "content": own.content})
            assert not dead(after), kind


def test_sixty_sections_are_worked_on_and_the_sixty_first_is_refused_in_a_sentence() -> None:
    site = planned("clinic")
    page = site.pages[0]
    one = page.sections[1]
    many = [one.model_copy(update={"id": f"part-{number}", "menu": f"חלק {number}"}) for number in range(60)]
    site = Site.model_validate(site.model_dump() | {"pages": [page.model_copy(update={"sections": many}).model_dump()]})
    at = {"page": page.id, "section": "part-59"}
    moved = do(site, {"do": "move", **at, "after": ""})
    assert [each.id for each in moved.pages[0].sections[:2]] == ["part-59", "part-0"]
    patch = arranged(site, TypeAdapter(list[Operation]).validate_python([{"do": "move", **at, "after": ""}])).changes[0].patch
    assert [each["op"] for each in patch] == ["move"], "it is one move, and not sixty sections written over"
    for asked in (
        {"do": "duplicate", **at},
        {"do": "park", **at, "copy": True},
        {"do": "add", "page": page.id, "kind": "text", "layout": "aside"},
    ):
        with pytest.raises(ChangeError, match="60 sections at most"):
            arranged(site, TypeAdapter(list[Operation]).validate_python([asked]))
    second = do(site, {"do": "add_page", "name": "עוד"})
    assert len(second.frame.menu) == 20 and second.frame.menu[-1].label == "עוד"


def test_a_layout_that_there_is_not_is_refused_in_a_sentence_whatever_is_done_with_it() -> None:
    site = planned("bakery")
    page, section = site.pages[0].id, site.pages[0].sections[1]
    other = next(kind for kind in CATALOGUE if kind not in (*FRAME, section.kind))
    for layout in ("nowhere", "own:", "own:heading@9-2.1"):
        for asked in (
            {"do": "add", "page": page, "kind": "text", "layout": layout},
            {"do": "add", "page": page, "kind": "text", "layout": layout, "content": {}},
            {"do": "change_kind", "page": page, "section": section.id, "kind": other, "layout": layout},
        ):
            with pytest.raises(ChangeError):
                do(site, asked)
