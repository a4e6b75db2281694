"""Words searched and replaced over a site, in five scripts; against ICU's rules of what letters are alike, and against Python's own search
where these do not matter."""

import re
from functools import cache

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from formulon.core.site.changes import apply
from formulon.core.site.planning.planner import plan
from formulon.core.site.searching import replaced, search
from formulon.core.site.site import MenuItem, Site
from formulon.core.system.documents.identity import Identity


@cache
def site(language: str, does: str, name: str = "Kilgour") -> Site:
    return plan(Identity.model_validate({"name": name, "language": language, "does": does, "pages": ["About"]}), composed=False)


def texts(one: Site) -> str:
    return one.model_dump_json(exclude={"identity", "choices"})


@pytest.mark.parametrize(
    ("language", "does", "words", "found"),
    [
        # Strength primary: accents and case do not count (UTS #10, 8, searching and matching).
        ("el", "Ψωμί κάθε πρωί. Το ψωμι, το ΨΩΜΊ.", "ψωμι", ["Ψωμί", "ψωμι", "ΨΩΜΊ"]),
        ("fr", "Un été à l’étang, ETE compris.", "ete", ["été", "ETE"]),
        ("vi", "Trà ngon. Tra cũng ngon 😀 trà.", "trà", ["Trà", "Tra", "trà"]),
        ("he", "לחם טרי, לחם שחור.", "לחם", ["לחם", "לחם"]),
        # In German “ß” is searched as “ss”, and “ä” is a base letter with a mark; in Swedish “ä” is a letter of its own (CLDR).
        ("de", "Die Straße, die STRASSE, die Gässchen.", "strasse", ["Straße", "STRASSE"]),
        ("sv", "Här är en hare.", "har", ["har"]),
    ],
)
def test_letters_are_alike_as_the_language_has_them(language: str, does: str, words: str, found: list[str]) -> None:
    one = site(language, does)
    place = next(each for each in search(one, words) if "Introduction" in each.label)
    assert place.count == len(found) and place.match == found[0]
    changed = apply(one, replaced(one, words, "※"))
    assert not search(changed, words) and texts(changed).count("※") >= len(found)


def test_capitals_accents_and_whole_words_count_where_that_is_asked() -> None:
    one = site("en", "A boat, boats and a Boat; lifeboats too.")

    def count(**how: bool) -> int:
        return next((each.count for each in search(one, "boat", **how) if "Introduction" in each.label), 0)

    assert (count(), count(cases=True), count(whole=True), count(cases=True, whole=True)) == (4, 3, 2, 1)
    changed = apply(one, replaced(one, "boat", "ferry", whole=True))
    assert "A ferry, boats and a Ferry; lifeboats too." in texts(changed)


def test_every_kind_of_text_is_searched_and_no_address_is() -> None:
    one = site("en", "Kilgour sails.")
    menu = [
        MenuItem.model_validate(
            {"label": "Kilgour now", "to": "https://kilgour.example/", "items": [{"label": "Old Kilgour", "to": "tel:1"}]}
        )
    ]
    one = one.model_copy(update={"frame": one.frame.model_copy(update={"menu": menu})})
    found = search(one, "kilgour")
    assert {"Title", "Menu"} <= {each.label for each in found} and any("Introduction" in each.label for each in found)
    changed = apply(one, replaced(one, "kilgour", "Quist"))
    assert changed.frame.menu[0].label == "Quist now" and changed.frame.menu[0].to == "https://kilgour.example/"
    assert changed.frame.menu[0].items[0].label == "Old Quist"
    some = [(each.document, each.path) for each in found if each.label == "Menu"]
    assert len([each for change in replaced(one, "kilgour", "Quist", some) for each in change.patch]) == 2
    assert search(one, " ") == [] and replaced(one, "", "x") == []


WORDS = st.text(alphabet="ab Ωé😀-.", max_size=40)


@settings(max_examples=150, deadline=None)
@given(WORDS, st.sampled_from(["a", "ab", "b", "é", "Ω", "😀", "a b"]))
def test_with_capitals_and_accents_it_finds_what_python_finds(text: str, words: str) -> None:
    one = site("en", "x")
    page = one.pages[0].model_copy(update={"title": " ".join(text.split())})
    one = one.model_copy(update={"pages": [page, *one.pages[1:]]})
    found = next((each for each in search(one, words, cases=True) if each.label == "Title" and each.page == page.id), None)
    expected = re.findall(re.escape(words), page.title)
    # ICU ignores nothing here: every one of these characters counts on the third level.
    assert (found.count if found else 0) == len(expected)
    changed = replaced(one, words, "ß", [(f"page:{page.id}", "/title")], cases=True)
    assert (changed[0].patch[0]["value"] if changed else page.title) == page.title.replace(words, "ß")
