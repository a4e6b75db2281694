"""Instructions in words: each form does what it says, joined ones are done in their order, what is not understood is answered with what
is near, and whatever is typed, nothing breaks."""

import re
from functools import cache
from typing import Any

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from formulon.core.asking import Answered, answered
from formulon.core.asking.grammar import FORMS
from formulon.core.asking.reader import READER, described
from formulon.core.checks.preflight import check_site
from formulon.core.site.catalogue import CATALOGUE
from formulon.core.site.changes import apply
from formulon.core.site.composing.turned import in_a_row, mirrored
from formulon.core.site.documents import located
from formulon.core.site.planning.planner import plan
from formulon.core.site.render import render
from formulon.core.site.site import FRAME, Site
from formulon.core.site.structure import arranged
from formulon.core.site.structure.needs import kinds_for
from formulon.core.site.structure.operations import Add
from formulon.core.system.documents.identity import Identity
from formulon.core.writing.sentences import shorter

FERRY = {
    "name": "Färgan", "language": "sv", "does": "En färja mellan två öar. Den går när isen bär av. Ta med varma kläder (det blåser).",
    "audience": "öbor och gäster", "place": "Norrfjärd", "extent": "pages",
    "offers": [{"name": f"Tur {n}", "text": f"Tur nummer {n}. Den tar tid. Hem igen, samma dag."} for n in range(1, 5)],
    "contact": {"email": "hej@fargan.example", "phone": "0911 555 01"},
    "texts": [
        {"heading": "Frågor", "text": "Kan man ta med hund?\nJa, i koppel.\nFinns det mat?\nNej.\nKostar det?\nJa.", "source": "f.txt"},
        {"heading": "Priser", "text": "Vuxen 90 kr\nBarn 40 kr\nCykel 20 kr", "source": "p.txt"},
    ],
}  # fmt: skip


@cache
def site() -> Site:
    return plan(Identity.model_validate(FERRY), composed=False)


def having(kind: str) -> tuple[Site, str, str]:
    """A site with a section of a kind, its page and its id; one that is added where there is none."""
    for page in site().pages:
        for section in page.sections:
            if section.kind == kind:
                return site(), page.id, section.id
    home, layout = site().pages[0].id, next(iter(CATALOGUE[kind].layouts))
    made = arranged(site(), [Add(page=home, kind=kind, layout=layout)])
    return apply(site(), made.changes), made.page, made.section


def ask(text: str, kind: str = "", slot: str = "", on: Site | None = None) -> tuple[Answered, Site]:
    now, page, section = having(kind) if kind else (site(), site().pages[0].id, "")
    now = on or now
    found = answered(READER, text, now, page, section, slot)
    return found, apply(now, found.changes)


def section(after: Site, kind: str) -> Any:
    return next(one for page in after.pages for one in page.sections if one.kind == kind)


def refused(text: str, kind: str = "", slot: str = "") -> Answered:
    found, _ = ask(text, kind, slot)
    assert not found.changes and found.said.endswith(".")
    return found


def test_of_a_section() -> None:
    found, after = ask("on deep", "prices")
    assert section(after, "prices").ground == "deep" and section(after, "prices").departs
    assert found.said == "Price list stands on deep." and found.label == "“on deep”"
    assert ("ground", "deep") in [(one.slot, one.after) for one in found.differences]
    _, after = ask("please hide it on phones or tablets", "prices")
    assert section(after, "prices").hidden_on == ["phone", "tablet"]
    _, after = ask("only on desktops", "prices")
    assert section(after, "prices").hidden_on == ["phone", "tablet"]
    assert section(ask("park", "prices")[1], "prices").parked
    assert sum(one.kind == "prices" for page in ask("duplicate", "prices")[1].pages for one in page.sections) == 2
    assert not any(one.kind == "prices" for page in ask("take out", "prices")[1].pages for one in page.sections)
    assert section(ask("as questions", "prices")[1], "questions").content["heading"]
    assert section(ask("turn it into cards", "quotes")[1], "cards").aside["quotes"]


def test_places_are_by_number_by_headline_and_by_kind() -> None:
    now, page, one = having("prices")
    ids = [each.id for each in now.page(page).sections]  # type: ignore[union-attr]
    for text, place in (
        ("move to the top", 0),
        ("to the end", len(ids) - 1),
        ("move up", ids.index(one) - 1),
        ("down by two", None),
    ):
        found, after = ask(text, "prices")
        got = [each.id for each in after.page(page).sections].index(one)  # type: ignore[union-attr]
        assert got == (min(ids.index(one) + 2, len(ids) - 1) if place is None else place) or found.said == "It is so already."
    other = next(each for each in now.page(page).sections if each.id != one)  # type: ignore[union-attr]
    _, after = ask(f"move before {other.catalogue.label}", "prices")
    moved = [each.id for each in after.page(page).sections]  # type: ignore[union-attr]
    assert moved.index(one) + 1 == moved.index(other.id)
    assert "No other section" in refused("move after the moon", "prices").said


@pytest.mark.parametrize("kind", ["cards", "features", "figures", "steps", "quotes"])
@pytest.mark.parametrize("number", [1, 2, 3, 4])
def test_so_many_stand_in_a_row_as_they_do_in_the_layout(kind: str, number: int) -> None:
    now, page, one = having(kind)
    kept = located(now, page, one) or pytest.fail("it is gone")
    slot = next(name for name, each in kept[2].catalogue.slots.items() if each.of.collection)
    count = 4
    items = (kept[2].content[slot] * count)[:count]
    body = now.model_dump()
    next(s for p in body["pages"] for s in p["sections"] if s["id"] == one and p["id"] == page)["content"][slot] = items
    now = Site.model_validate(body)
    found = answered(READER, f"{number} columns", now, page, one)
    after = located(apply(now, found.changes), page, one) or pytest.fail("it is gone")
    if found.changes or found.said == "It is so already.":
        assert in_a_row(after[2].declared, count) == number
        assert after[2].content == (located(now, page, one) or kept)[2].content
    else:
        assert "less than three columns" in found.said


def test_sides_are_swapped_there_and_back_wherever_a_layout_has_two() -> None:
    swapped = 0
    for name, kind in CATALOGUE.items():
        for layout in kind.layouts if name not in FRAME else ():
            other = mirrored(kind, layout)
            if other is None:
                continue
            swapped += 1
            back = mirrored(kind, other)
            assert back is not None and mirrored(kind, back) == other, (name, layout)
    assert swapped >= 15
    found, after = ask("swap sides", "picture_text")
    if found.changes:
        assert section(after, "picture_text").layout.startswith("own:")
        again, _ = ask("picture on the left", "picture_text", on=after)
        assert bool(again.changes) != (ask("picture on the right", "picture_text", on=after)[0].changes != [])
    said = refused("picture on the left on phones", "picture_text").said
    assert "On phones nothing stands beside anything" in said


def test_items_are_added_and_taken_out() -> None:
    _, after = ask("add three questions", "questions")
    now = located(*having("questions")[:1], *having("questions")[1:]) or pytest.fail("it is gone")
    made = section(after, "questions").content["items"]
    assert made[: len(now[2].content["items"])] == now[2].content["items"] and len(made) == len(now[2].content["items"]) + 3
    assert all("[[" in str(item) for item in made[-3:]), "what is not known is marked"
    _, after = ask("remove the last", "questions")
    assert section(after, "questions").content["items"] == now[2].content["items"][:-1]
    found, _ = ask("add two people", "team")
    assert found.said == "2 more people, still to be written."
    shown = next(one for one in found.differences if one.slot == "items")
    assert shown.after.count("[[Name]]") >= 2, "what differs is told in words"
    assert refused("add three elephants", "questions").suggestions
    assert "at most" in refused("add 90 questions", "questions").said


def test_texts_are_cut_at_their_joints_and_to_lines_that_are_measured() -> None:
    _, page, one = having("hero")
    kept = located(site(), page, one) or pytest.fail("it is gone")
    text = kept[2].content["text"]
    found, after = ask("shorter", "hero", "text")
    short = section(after, "hero").content["text"]
    assert text.startswith(short.rstrip(".")) and len(short) < len(text) and found.changes
    found, after = ask("in one line", "hero", "text")
    assert len(section(after, "hero").content["text"]) < len(text) or not found.changes
    assert refused("in one line on phones", "hero", "heading").said
    _, after = ask("say Följ med i gryningen.", "hero", "heading")
    assert section(after, "hero").content["heading"] == "Följ med i gryningen."
    _, after = ask('change to: "Ö och hav, och vind"', "hero", "heading")
    assert section(after, "hero").content["heading"] == "Ö och hav, och vind"
    assert section(ask("leave it out", "hero", "text")[1], "hero").content["text"] == ""


@pytest.mark.parametrize(
    ("text", "cuts"),
    [
        ("One. Two. Three.", ["One. Two.", "One."][:1]),
        ("Bread (with seeds) from the hill", ["Bread from the hill"]),
        ("Open on Mondays, by appointment; and in the dark", ["Open on Mondays, by appointment", "Open on Mondays"]),
        ("First part.\n\nSecond part.", ["First part."]),
        ("It is *very late, very* dark – indeed", ["It is *very late, very* dark"]),
        ("Word", []),
        ("", []),
    ],
)
def test_cuts(text: str, cuts: list[str]) -> None:
    assert list(shorter(text)) == cuts


@given(st.text(max_size=300))
def test_a_cut_is_shorter_and_says_nothing_new(text: str) -> None:
    for one in shorter(text):
        assert len(one) < len(text) and one.count("*") % 2 == 0
        assert set(re.findall(r"\w+", one)) <= set(re.findall(r"\w+", text))


def test_of_a_page() -> None:
    _, after = ask("add a page Öppet hus")
    assert "Öppet hus" in [page.name for page in after.pages]
    found, after = ask("call it Hem och hamn")
    assert after.pages[0].name == "Hem och hamn" and found.said.endswith("is called “Hem och hamn”.")
    found, after = ask("add prices and questions")
    kinds = [one.kind for one in after.pages[0].sections]
    assert {"prices", "questions"} <= set(kinds) and "is added" in found.said
    _, after = ask("keep from search engines")
    assert not after.pages[0].searched
    _, after = ask("take this page out")
    assert len(after.pages) == len(site().pages) - 1
    assert "no section for" in refused("add zeppelins").said


def test_several_are_done_in_their_order_all_or_none() -> None:
    found, after = ask("on accent, hide on phones and move to the top", "prices")
    page = next(page for page in after.pages if any(one.kind == "prices" for one in page.sections))
    assert page.sections[0].kind == "prices" and page.sections[0].ground == "accent" and page.sections[0].hidden_on == ["phone"]
    assert found.said == "Price list stands on accent. Price list is not shown on phones. Price list stands at the top."
    assert refused("on deep and dance", "prices").suggestions


def test_what_is_not_understood_is_answered_with_what_is_near() -> None:
    assert "hide on phones" in refused("hide from phone", "prices").suggestions
    assert "two columns" in refused("2 collums", "prices").suggestions
    assert refused("funnier", "hero", "text").suggestions
    assert refused("", "prices").said and refused("on deep").suggestions
    assert "stands on every page" in answered(READER, "hide", site(), "home", site().frame.header.id).said


def test_every_example_of_the_documents_is_understood_and_described() -> None:
    kinds = {
        "add three questions": "questions",
        "two columns": "cards",
        "as a price list": "cards",
        "bring back": "",
        "move after quotes": "",
    }
    for one in FORMS:
        if one.about == "page":
            found, _ = ask(one.example)
        else:
            kind = kinds.get(one.example, "prices" if one.about == "section" else "hero") or "prices"
            found, _ = ask(one.example, kind, "text" if one.about == "text" else "")
        assert "not understood" not in found.said, one.example
        assert f"| {one.example} | {one.does} |" in described()


WORDS = st.sampled_from(
    ["add", "three", "on", "deep", "hide", "phones", "and", ",", "move", "to", "the", "top", "as", "prices", "page", "call", "it", "Ö",
     "'", "“", "”", "remove", "last", "columns", "swap", "shorter", "in", "two", "lines", "say", "漢字", "take", "out", "copy", "999999999"]
)  # fmt: skip


@settings(max_examples=120, deadline=None)
@given(
    st.lists(WORDS, max_size=7).map(" ".join) | st.text(max_size=60),
    st.sampled_from(["", "hero", "prices", "questions", "cards"]),
)
def test_whatever_is_typed_nothing_breaks(text: str, kind: str) -> None:
    found, after = ask(text, kind, "heading" if kind == "hero" else "")
    assert found.said
    if found.changes:
        assert render(after, after.system())


def test_what_is_asked_for_passes_as_what_was_there() -> None:
    """A layout that an instruction makes stops no release that was not stopped before."""
    stops = {(one.rule, one.code) for one in check_site(site()).findings if one.stops}
    for text in ("swap sides", "two columns", "another layout", "on brand", "as cards"):
        for kind in ("cards", "picture_text", "prices", "quotes"):
            _, after = ask(text, kind)
            new = {(one.rule, one.code) for one in check_site(after).findings if one.stops} - stops
            assert not {one for one in new if one[0].split("/")[0] in ("contrast", "structure", "type", "interaction")}, (
                text,
                kind,
                new,
            )


def test_kinds_are_found_by_what_they_are_needed_for() -> None:
    assert kinds_for("prices")[0] == "prices" and kinds_for("opening hours")[0] == "programme"
    assert kinds_for("how to find us")[0] == "place" and kinds_for("quotes")[0] == "quotes"
    assert kinds_for("zeppelins") == [] and not set(kinds_for("footer")) & set(FRAME)
