"""Which of the client's texts stand on pages, and what of them waits; and that what is said twice is told once, in the order of time."""

from typing import Any

import pytest
from clients import DEMO, FOLDERS
from folders import Folder, read
from hypothesis import given, settings
from hypothesis import strategies as st

from formulon.core.identity.decide import suggested
from formulon.core.identity.facts import facts_of
from formulon.core.site.documents import IDENTITY, documents
from formulon.core.site.planning.material import in_time, once
from formulon.core.site.planning.planner import plan
from formulon.core.site.waiting import standing
from formulon.core.system.documents.identity import ClientText, Identity
from formulon.core.system.documents.passages import Passage, day_of, passages


@pytest.mark.parametrize("folder", (*FOLDERS, DEMO), ids=lambda folder: folder.name)
def test_nothing_of_a_folder_that_was_taken_waits(folder: Folder) -> None:
    identity = suggested(facts_of(read(folder.files)), folder.name)
    identity = identity.model_copy(update={"language": "de" if folder.language == "de" else "en-GB"})
    assert identity.texts
    for one in standing(documents(plan(identity))):
        assert one.places and one.waits == (), identity.texts[one.number]


@pytest.mark.parametrize("folder", FOLDERS, ids=lambda folder: folder.name)
def test_no_guideline_and_no_letter_is_told_on_pages(folder: Folder) -> None:
    identity = suggested(facts_of(read(folder.files)), folder.name)
    said = "\n".join(f"{text.heading}\n{text.text}" for text in identity.texts)
    for strange in (
        "CMYK",
        "exclusion zone",
        "Schutzraum",
        "Never print",
        "Banned words",
        "Radius von",
        "Dear Jo",
        "Clarendon",
        "Lerche",
    ):
        assert strange not in said
    # They are still among the facts, to be taken by whoever wants them.
    facts = facts_of(read(folder.files))
    aside = [one for one in facts if one.group == "texts" and one.sure < 0.5]
    assert aside and all(one.usable for one in aside)


def identity_of(*texts: dict[str, str], **more: Any) -> Identity:
    return Identity.model_validate({"name": "Ashlock", "does": "We print.", "texts": list(texts)} | more)


def test_what_is_taken_off_a_page_waits_and_stands_where_it_is_put_again() -> None:
    text = {
        "heading": "Our paper",
        "text": "Cotton from the mill at Tarn.\nIt is made without chlorine.\nEvery sheet has four torn edges.",
    }
    bodies = documents(plan(identity_of(text)))
    (one,) = standing(bodies)
    assert one.waits == () and one.places
    page, section = one.places[0]
    bare = {
        name: body | {"sections": [s for s in body["sections"] if s["id"] != section]} if "sections" in body else body
        for name, body in bodies.items()
    }
    (gone,) = standing(bare)
    assert gone.places == () and list(gone.waits) == text["text"].split("\n")
    short = {
        name: body | {"sections": [s | {"content": s["content"] | {"text": "It is made without chlorine."}} if s["id"] == section else s for s in body["sections"]]}
        if "sections" in body else body
        for name, body in bodies.items()
    }  # fmt: skip
    (part,) = standing(short)
    assert part.places[0] == (page, section) and part.waits == (text["text"].split("\n")[0], text["text"].split("\n")[2])


@pytest.mark.parametrize(
    "lines",
    [
        "Ein Ruderboot, eine Stunde: 9 €\nJolle, ein halber Tag: 38 €", "“The only place where I was slow enough.” — Maud Arkle, bookbinder",
        "1911 – The pier is built\n1954 – Eight rooms\n2008 – A new roof", "1. You bring words.\n2. We set and proof them.",
        "Can I bring my own paper?\nYes, if it is uncoated.\nDo you post?\nWithin the country, flat.", "Φέρτε μαζί σας έναν φακό.\nΗ είσοδος είναι δωρεάν.",
        "我们从一九八二年开始印书。", "קורסים בכל יום שלישי בערב.", "5 June 2027: Wayzgoose\n18 September 2027: Type sale",
    ],
)  # fmt: skip
def test_lines_of_every_kind_and_script_are_found_where_they_are_told(lines: str) -> None:
    for one in standing(documents(plan(identity_of({"heading": "A heading", "text": lines})))):
        assert one.places and one.waits == ()


@settings(max_examples=25, deadline=None)
@given(st.integers(1, 60), st.integers(0, 999))
def test_of_many_texts_each_stands_or_waits_whole(count: int, seed: int) -> None:
    texts = [
        {"heading": f"Matter {n}", "text": f"Word{seed}a{n} word{n}b of matter number{n} that nobody else tells."}
        for n in range(count)
    ]
    bodies = documents(plan(identity_of(*texts)))
    said = str([body for name, body in bodies.items() if name != IDENTITY])
    found = standing(bodies)
    assert [one.number for one in found] == list(range(count))
    for one, text in zip(found, texts, strict=True):
        assert bool(one.places) != bool(one.waits)
        assert bool(one.places) == (text["text"] in said)


def passage(*lines: str, heading: str = "", language: str = "en") -> Passage:
    (found,) = passages(ClientText(heading=heading, text="\n".join(lines)), language)
    return found


def test_what_a_sentence_says_once_more_is_told_once() -> None:
    team = passage("Ines Carver, printer", "Tom Ashlock, founder", heading="Team")
    told = passage("Tom Ashlock, the founder of it", "Rhona Bell, apprentice", heading="Team")
    made = once("people", [team, told])
    assert [[item["name"] for item in one.items] for one in made] == [["Ines Carver", "Tom Ashlock"], ["Rhona Bell"]]
    years = passage("1911 – The pier is built", "1954 – Eight rooms", "2008 – A new roof")
    again = passage("1911 – In that year the pier is built", "1954 – A great flood", "1990 – A fire")
    assert [[item["title"] for item in one.items] for one in once("moments", [years, again])][1] == ["A great flood", "A fire"]
    # What is alike in one list is two, and what is said of nothing else stays as it is.
    twice = passage("5 June 2027: Open press", "5 June 2027: Open press")
    assert once("dates", [twice]) == [twice] and once("steps", [team, team]) == [team, team]
    assert once("people", [team, team]) == [team]


def test_years_and_days_of_several_files_are_one_history_and_one_programme() -> None:
    first, second = passage("1911 – A", "1954 – B", "2008 – C"), passage("1931 – D", "1990 – E", "2020 – F", heading="History")
    (made,) = in_time("moments", [first, second], "en")
    assert [item["when"] for item in made.items] == [
        "1911",
        "1931",
        "1954",
        "1990",
        "2008",
        "2020",
    ] and made.heading == "History"
    one, other = (
        passage("12. Mai 2027: Singen", "9. Juni 2027: Lesen", language="de"),
        passage("16. April 2027: Tag", "3. Oktober 2027: Meer", language="de"),
    )
    (made,) = in_time("dates", [one, other], "de")
    assert [item["what"] for item in made.items] == ["Tag", "Singen", "Lesen", "Meer"]
    # What does not go by time, or has no year, stays as it was written.
    back = passage("2008 – C", "1954 – B", "1911 – A")
    assert in_time("moments", [back, second], "en") == [back, second]
    weekly = passage("Monday: 10:00 Choir", "Thursday: 18:00 Reading")
    assert in_time("dates", [weekly, other], "en") == [weekly, other]


@pytest.mark.parametrize(
    ("when", "language", "day"),
    [
        ("5 June 2027", "en", (2027, 6, 5)), ("Saturday, 3 July 2027", "en", (2027, 7, 3)), ("June 5, 2027", "en", (2027, 6, 5)),
        ("14. Juni 2027", "de", (2027, 6, 14)), ("12.5.2027", "de", (2027, 5, 12)), ("1 juillet 2027", "fr", (2027, 7, 1)),
        ("3 June", "en", None), ("June 2027", "en", None), ("Monday", "en", None), ("5 czerwca 2027", "pl", (2027, 6, 5)),
    ],
)  # fmt: skip
def test_the_day_of_a_date(when: str, language: str, day: tuple[int, int, int] | None) -> None:
    assert day_of(when, language) == day
