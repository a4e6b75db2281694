"""Facts of a brand on its pages: three brands that are nothing like each other, a language without spaces, numbers written in many ways,
and properties over what may come in."""

import copy
import json
from typing import Any

import pytest
from hypothesis import given
from hypothesis import strategies as st

from formulon.core.checks.preflight import Preflight
from formulon.core.site.catalogue import CATALOGUE
from formulon.core.site.changes import Change, apply, checked
from formulon.core.site.documents import LANGUAGES, documents, page_document
from formulon.core.site.documents import site_of as site_from_bodies
from formulon.core.site.opening import openings, rows_of
from formulon.core.site.planning.form_starts import form_start
from formulon.core.site.planning.planner import plan
from formulon.core.site.site import Site
from formulon.core.site.stated import followed, path_of, slips, statements
from formulon.core.site.translations import key_of
from formulon.core.system.documents.identity import Contact, Identity

BRANDS: list[dict[str, Any]] = [
    {
        "name": "Thrum & Heddle", "language": "en-GB", "does": "Thrum & Heddle weaves blankets.", "place": "Bath",
        "contact": {"phone": "020 7946 0018", "email": "hello@thrum.example", "address": "3 Loom Yard, Bath", "hours": "Mon–Fri 9–17; Sat 10–14"},
        "social": ["https://social.example/@thrum/"],
    },
    {
        "name": "青空書店", "language": "ja", "does": "青空書店は古書を扱います。", "place": "松本市",
        "contact": {"phone": "03-1234-5678", "email": "kura@aozora.example", "address": "松本市中央1-2-3", "hours": "月曜日 9:00–17:00"},
    },
    {
        "name": "Bäckerei Öhmler", "language": "de", "does": "Bäckerei Öhmler backt Brot.", "place": "Ulm",
        "contact": {"phone": "+49 731 5550123", "email": "post@oehmler.example", "address": "Hafengasse 8, 89073 Ulm", "hours": "Di–So 7–18 Uhr"},
    },
]  # fmt: skip
NEW = {
    "name": "Weft House", "place": "Wells",
    "contact": {"phone": "020 7946 0999", "email": "post@weft.example", "address": "9 Reed Lane, Wells", "hours": "Tue–Thu 8–12; Fri 8–10"},
    "social": ["https://social.example/@weft/"],
}  # fmt: skip


def site_of(brand: dict[str, Any]) -> Site:
    return plan(Identity.model_validate(brand | {"colors": [{"name": "Ink", "value": "#123456"}]}))


def changed(before: dict[str, Any], **facts: Any) -> dict[str, Any]:
    identity = copy.deepcopy(before["identity"])
    identity |= {key: identity[key] | value if isinstance(value, dict) else value for key, value in facts.items()}
    return {**before, "identity": checked("identity", identity)}


def written(brand: dict[str, Any], *texts: str) -> dict[str, Any]:
    """The documents of a site on whose first page a section says some texts and has a link by mail and one by telephone."""
    site = site_of(brand)
    made = documents(site)
    first = page_document(site.pages[0].id)
    content = {
        "heading": texts[0],
        "text": "\n\n".join(texts),
        "primary": {"label": texts[0][:60], "to": "mailto:hello@thrum.example"},
    }
    own = {"id": "own", "kind": "call_to_action", "layout": next(iter(CATALOGUE["call_to_action"].layouts)), "content": content}
    form = {"form": form_start(site.identity, "enquiry")}
    table = {"table": {"head": ["When", "Hours"], "rows": [["Mon–Fri", "9–17"], ["Sat", "10–14"], ["Holidays", "closed"]]}}
    more = [("asks", "contact", form), ("hours", "programme", table)]
    sections = [own] + [
        {"id": name, "kind": kind, "layout": next(iter(CATALOGUE[kind].layouts)), "content": said} for name, kind, said in more
    ]
    page = checked(first, made[first] | {"sections": sections})
    made[first] = made[first] | {"sections": [*page["sections"], *made[first]["sections"]]}
    return made


def said(bodies: dict[str, Any]) -> str:
    return json.dumps({name: body for name, body in bodies.items() if name.startswith(("page:", "frame"))}, ensure_ascii=False)


@pytest.mark.parametrize("brand", BRANDS, ids=lambda brand: brand["name"])
def test_every_fact_follows_on_every_page_and_comes_back_to_the_letter(brand: dict[str, Any]) -> None:
    before = written(brand, f"{brand['name']} — {brand['contact']['phone']}", brand["contact"]["email"].upper())
    new = {key: value for key, value in NEW.items() if key in brand}
    after = followed(before, changed(before, **new))
    text = said(after)
    for old in (brand["name"], brand["contact"]["phone"], brand["contact"]["email"]):
        assert old in said(before)
        assert old not in text.replace(brand["does"], ""), old
    assert NEW["name"] in text and NEW["contact"]["phone"] in text
    for name, body in after.items():
        checked(name, body)
    back = {key: value for key, value in brand.items() if key in new}
    again = followed(after, changed(after, **back))
    assert said(again) == said(before).replace(brand["contact"]["email"].upper(), brand["contact"]["email"])


@pytest.mark.parametrize(
    "text",
    ["Ring 020 7946 0018.", "Ring +44 20 7946 0018 now", "(020) 7946-0018", "[Ring](tel:02079460018)", "+44 (0)20 79460018"],
)
def test_a_number_is_known_however_it_is_written(text: str) -> None:
    before = written(BRANDS[0], text)
    after = followed(before, changed(before, contact={"phone": "020 7946 0999"}))
    first = after[page_document(site_of(BRANDS[0]).pages[0].id)]["sections"][0]["content"]["heading"]
    assert "0018" not in first and "0999" in first.replace(" ", "")
    assert ("tel:02079460999" in first) == ("tel:" in text)


@pytest.mark.parametrize(
    ("text", "why"),
    [
        ("Ring 020 7946 00187", "a longer number"),
        ("say.hello@thrum.example", "a longer address"),
        ("hello@thrum.example.org", "another domain"),
        ("Bathroom mats", "a longer word"),
        ("bath mats", "not as the place is written"),
        ("https://social.example/@thrum/blankets", "a page of it"),
    ],
)
def test_what_only_looks_like_a_fact_stays(text: str, why: str) -> None:
    before = written(BRANDS[0], text)
    after = followed(before, changed(before, **{key: value for key, value in NEW.items() if key != "name"}))
    assert after[page_document(site_of(BRANDS[0]).pages[0].id)]["sections"][0]["content"]["heading"] == text, why


@pytest.mark.parametrize(
    ("old", "new", "text", "told"),
    [
        ("The dark is worth it.", "Look up.", "The dark is worth it.", "Look up."),
        ("The dark is worth it.", "Look up", "The dark is worth it.", "Look up"),
        ("The dark is worth it.", "Look up.", "Thrum – The dark is worth it", "Thrum – Look up"),
        ("The dark is worth it.", "Look up.", "So: The dark is worth it. Come.", "So: Look up. Come."),
        ("The dark is worth it", "Look up.", "The dark is worth it. Come.", "Look up. Come."),
        ("The dark is worth it", "Look up.", "Is The dark is worth it true?", "Is Look up. true?"),
    ],
)
def test_full_stops_are_neither_doubled_nor_lost(old: str, new: str, text: str, told: str) -> None:
    before = written(BRANDS[0] | {"strapline": old}, text)
    after = followed(before, changed(before, strapline=new))
    assert after[page_document(site_of(BRANDS[0]).pages[0].id)]["sections"][0]["content"]["heading"] == told


@pytest.mark.parametrize("value", ["...", "—", ". . .", ",,,", "???"])
def test_a_fact_without_a_letter_is_stated_nowhere(value: str) -> None:
    before = written(BRANDS[0] | {"strapline": value}, "Come ... and — see, ,,, ??? . . .")
    assert not [one for one in statements(before) if one.fact.label == "Strapline" and one.at.section == "own"]
    after = followed(before, changed(before, strapline="Look up"))
    first = page_document(site_of(BRANDS[0]).pages[0].id)
    assert after[first]["sections"][0] == before[first]["sections"][0], "it is put where it stands alone, and nowhere else"


def test_a_word_that_says_the_hours_is_not_put_into_sentences() -> None:
    brand = BRANDS[0] | {"contact": BRANDS[0]["contact"] | {"hours": "closed"}}
    before = written(brand, "The gate is closed at night")
    after = said(followed(before, changed(before, contact={"hours": "Mon–Fri 9–17"})))
    assert "The gate is closed at night" in after and "The gate is Mon" not in after


def test_a_text_that_has_no_room_for_the_new_words_keeps_the_old_and_the_rest_follows() -> None:
    """A button takes 120 characters; the name takes eighty."""
    label = f"{'Thrum & Heddle'} {'x' * 100}"
    before = written(BRANDS[0], label)
    first = page_document(site_of(BRANDS[0]).pages[0].id)
    before[first]["sections"][0]["content"]["primary"]["label"] = label
    after = followed(before, changed(before, name="W" * 80))
    for name, body in after.items():
        checked(name, body)
    content = after[first]["sections"][0]["content"]
    assert content["primary"]["label"] == label and "W" * 80 in str(content["text"])


def test_links_form_and_table_follow_too() -> None:
    before = written(BRANDS[0], "Come")
    assert '["Sat", "10–14"]' in said(before) and '"to": "mailto:hello@thrum.example"' in said(before)
    after = followed(before, changed(before, **NEW))
    text = said(after)
    assert '[["Tue–Thu", "8–12"], ["Fri", "8–10"], ["Holidays", "closed"]]' in text and "10–14" not in text
    assert "hello@thrum" not in text and "mailto:post@weft.example" in text and "https://social.example/@weft/" in text


def test_what_is_not_known_any_more_stays_as_it_is_written() -> None:
    before = written(BRANDS[0], "020 7946 0018")
    assert said(followed(before, changed(before, contact={"phone": "", "email": ""}))) == said(before)


def test_values_are_exchanged_at_once_and_not_one_after_the_other() -> None:
    """The name becomes the place, and the place the name."""
    before = written(BRANDS[0] | {"name": "Weft House", "does": "", "place": "Wells"}, "Weft House in Wells")
    after = followed(before, changed(before, name="Wells", place="Weft House"))
    assert "Wells in Weft House" in said(after)


def test_translations_that_state_a_fact_stay_translations() -> None:
    before = written(BRANDS[0], "Ring 020 7946 0018", "Sorry, we are out")
    texts = {"Ring 020 7946 0018": "Ffoniwch 020 7946 0018", "Come to Bath": "Dewch i Gaerfaddon"}
    entries = {key_of(one): {"source": one, "text": text, "places": []} for one, text in texts.items()}
    before[LANGUAGES] = checked(LANGUAGES, {"further": {"cy": {"published": True, "texts": entries}}})
    after = followed(before, changed(before, place="Wells", contact={"phone": "020 7946 0999"}))[LANGUAGES]["further"]["cy"][
        "texts"
    ]
    new = "Ring 020 7946 0999"
    assert after[key_of(new)] == {"source": new, "text": "Ffoniwch 020 7946 0999", "places": [], "at": {}}
    assert after[key_of("Come to Bath")]["source"] == "Come to Bath", "it is told to be older than its text"


def test_where_facts_stand_is_told_by_text() -> None:
    bodies = written(BRANDS[0], "Thrum & Heddle, 020 7946 0018")
    found = {(path_of(one.fact), one.at.label) for one in statements(bodies) if one.at.section == "own"}
    assert ("/name", "Call to action, Headline") in found and ("/contact/phone", "Call to action, Headline") in found
    assert all(one.match in one.at.text for one in statements(bodies))


@given(
    st.text(max_size=80), st.text(min_size=3, max_size=40).filter(str.strip), st.text(min_size=1, max_size=40).filter(str.strip)
)
def test_any_name_in_any_text_is_put_once_and_nothing_else_moves(around: str, old: str, new: str) -> None:
    """Whatever letters come in: documents stay valid, and a text that does not hold the name is left alone."""
    bodies = {"identity": Identity.model_validate({"name": "A"}).model_dump() | {"name": old}}
    page = {"id": "p", "name": "P", "title": around[:160], "description": "", "sections": []}
    before = bodies | {"page:p": page}
    after = followed(before, before | {"identity": bodies["identity"] | {"name": new}})["page:p"]["title"]
    if old.split()[0] not in around:
        assert after == around[:160]


OPEN = ("Monday", "Tuesday", "Wednesday", "Thursday", "Friday", "Saturday", "Sunday")


@pytest.mark.parametrize(
    ("text", "language", "told"),
    [
        ("Tuesday to Sunday, 10 am to 6 pm", "en", [(OPEN[1:], "10:00", "18:00")]),
        ("Mon–Fri 9–17, Sat 10–14", "en", [(OPEN[:5], "09:00", "17:00"), (OPEN[5:6], "10:00", "14:00")]),
        ("Di–So 10–18 Uhr; Montag geschlossen", "de", [(OPEN[1:], "10:00", "18:00")]),
        ("Lundi au vendredi : 9h–18h30", "fr", [(OPEN[:5], "09:00", "18:30")]),
        ("Sat 9:00–13:00 and 14:00–16:00", "en", [(OPEN[5:6], "09:00", "13:00"), (OPEN[5:6], "14:00", "16:00")]),
        ("月曜日〜金曜日 9:00〜17:00", "ja", [(OPEN[:5], "09:00", "17:00")]),
        ("الاثنين إلى الجمعة 9:00–17:00", "ar", [(OPEN[:5], "09:00", "17:00")]),
        ("Пн–Пт 9:00–18:00", "ru", [(OPEN[:5], "09:00", "18:00")]),
        ("Fri–Mon 20–24", "en", [((*OPEN[4:], OPEN[0]), "20:00", "23:59")]),
        ("daily 12 pm to 12 am", "en", [(OPEN, "12:00", "00:00")]),
        ("every clear Friday, from 9 pm", "en", []),
        ("Mon–Fri 9–5 pm", "en", []),
        ("Mon–Fri 25–27", "en", []),
        ("Thu 10–12 by appointment", "en", []),
        ("Mon–Fri 9–17, or ring us", "en", []),
    ],
)
def test_hours_are_told_to_machines_where_all_of_them_is_understood(text: str, language: str, told: list[Any]) -> None:
    """Expected values by reading the signs; twelve at noon and midnight as NIST has it for 12 a.m. and p.m. (from memory)."""
    assert [(one.days, one.opens, one.closes) for one in openings(text, language)] == told


def test_hours_as_rows() -> None:
    assert rows_of("Mon–Fri 9–17; Sat 10–14.", "en") == [{"when": "Mon–Fri", "what": "9–17"}, {"when": "Sat", "what": "10–14"}]
    assert rows_of("", "en") == []


@pytest.mark.parametrize(
    ("text", "found"),
    [
        ("Ring 020 7946 0081.", ["020 7946 0081"]),  # two digits exchanged
        ("Ring 020 7946 0018.", []),
        ("Ring +44 20 7946 0018.", []),
        ("Ring 020 7946 0555.", []),  # a number of somebody else
        ("hallo@thrum.example and hello@thrum.example", ["hallo@thrum.example"]),
        ("loom@thrum.example", []),  # an address of somebody else
        ("Open 9–17, 3 rooms", []),
    ],
)
def test_slips_of_the_pen_are_told_and_mended(text: str, found: list[str]) -> None:
    contact = Contact.model_validate(BRANDS[0]["contact"])
    assert [one for one, _ in slips(contact, "en-GB", text)] == found
    work = Preflight(site_from_bodies(written(BRANDS[0], text), []))
    own = [one for one in work.report().findings if one.rule == "content/slips" and one.section == "own"]
    assert bool(own) == bool(found)
    for one in own[:1]:
        fix = work.fixes(one)[0]
        changes = [Change.model_validate(change) for change in fix.changes]
        assert fix.label == "Write the brand’s own"
        left = said(documents(apply(work.site, changes))).count(found[0])
        assert left == said(documents(work.site)).count(found[0]) - 1, "one text is written anew, and no other"
