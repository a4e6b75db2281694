"""What a client's text is made of: lines by how they are written, in several languages, and nothing else taken for them."""

import time

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from formulon.core.identity.readers.text import read
from formulon.core.identity.sightings import TextSeen
from formulon.core.system.documents.identity import ClientText
from formulon.core.system.documents.passages import figure_in, passages


def found(language: str, heading: str, text: str) -> list[tuple[str, list[dict[str, str]]]]:
    return [(one.kind, list(one.items)) for one in passages(ClientText(heading=heading, text=text), language)]


@pytest.mark.parametrize(
    ("language", "heading", "text", "kind", "items"),
    [
        ("en", "Prices", "Adults £12\nChildren under twelve (with an adult): £6.50", "prices",
         [{"title": "Adults", "price": "£12"}, {"title": "Children under twelve", "text": "with an adult", "price": "£6.50"}]),
        ("de", "Preise", "Kinder bis 12 Jahre . . . . 6,50 €\nJahreskarte: 85,– €", "prices",
         [{"title": "Kinder bis 12 Jahre", "price": "6,50 €"}, {"title": "Jahreskarte", "price": "85,– €"}]),
        ("vi", "Giá", "Phở bò 65.000 ₫\nBún chả 70.000 ₫", "prices",
         [{"title": "Phở bò", "price": "65.000 ₫"}, {"title": "Bún chả", "price": "70.000 ₫"}]),
        ("de", "Zeiten", "Montag bis Freitag: 9–17 Uhr\nSamstag 10:00–14:00\nSonntag geschlossen", "hours",
         [{"when": "Montag bis Freitag", "what": "9–17 Uhr"}, {"when": "Samstag", "what": "10:00–14:00"}, {"when": "Sonntag", "what": "geschlossen"}]),
        ("pl", "Godziny", "poniedziałek–piątek 8:00–16:00\nsobota 9–13", "hours",
         [{"when": "poniedziałek–piątek", "what": "8:00–16:00"}, {"when": "sobota", "what": "9–13"}]),
        ("en", "On", "Fri 3 May, 7.30 pm: The rings\n12 June – Midsummer opening", "dates",
         [{"when": "Fri 3 May, 7.30 pm", "what": "The rings"}, {"when": "12 June", "what": "Midsummer opening"}]),
        ("fr", "Agenda", "samedi 4 mai à 18h30 : Soirée d’ouverture\n12 juin : Concert", "dates",
         [{"when": "samedi 4 mai à 18h30", "what": "Soirée d’ouverture"}, {"when": "12 juin", "what": "Concert"}]),
        ("en", "History", "1962: Built.\n1988 – Roof repaired. A storm had taken it.\n2004 The library opens", "moments",
         [{"when": "1962", "title": "Built"}, {"when": "1988", "title": "Roof repaired", "text": "A storm had taken it."},
          {"when": "2004", "title": "The library opens"}]),
        ("en", "How", "1. Call us: we listen.\n2. We come by", "steps",
         [{"number": "1", "title": "Call us", "text": "we listen."}, {"number": "2", "title": "We come by"}]),
        ("el", "Ερωτήσεις", "Πότε ανοίγετε;\nΚάθε πρωί στις έξι.\nΈχετε θέσεις;\nΝαι.", "questions",
         [{"title": "Πότε ανοίγετε;", "text": "Κάθε πρωί στις έξι."}, {"title": "Έχετε θέσεις;", "text": "Ναι."}]),
        ("en", "Team", "Mara Quist, astronomer. She built the mirror.\nIan Bell – keeper of the dome", "people",
         [{"name": "Mara Quist", "role": "astronomer", "text": "She built the mirror."}, {"name": "Ian Bell", "role": "keeper of the dome"}]),
        ("de", "Stimmen", "„Der schönste Abend seit Jahren.“ — Ruth Amsel, Lehrerin", "quotes",
         [{"text": "Der schönste Abend seit Jahren.", "name": "Ruth Amsel", "role": "Lehrerin"}]),
        ("en", "Getting here", "By train: Quillmoor Halt, then on foot.\nBy car: leave the A9 at Quill Cross.", "ways",
         [{"title": "By train", "text": "Quillmoor Halt, then on foot."}, {"title": "By car", "text": "leave the A9 at Quill Cross."}]),
    ],
)  # fmt: skip
def test_lines_are_read_by_how_they_are_written(
    language: str, heading: str, text: str, kind: str, items: list[dict[str, str]]
) -> None:
    assert found(language, heading, text) == [(kind, items)]


@pytest.mark.parametrize(
    ("heading", "text"),
    [
        ("About", "In 1902 he said “this is the place where we stay” and stayed.\nWe have been here since."),
        ("x", "Mondays are quiet here.\nTuesdays are not so quiet."),
        ("Notes", "Call us: we listen.\nWrite: we answer."),  # no team and no way, by its heading
        ("One", "Adults £12"),
        ("Steps", "2. We come by\n3. You get a drawing."),  # a list that begins in the middle
        ("Asked", "Is it cold?"),
    ],
)
def test_what_only_looks_like_a_list_stays_words(heading: str, text: str) -> None:
    assert [kind for kind, _ in found("en", heading, text)] == ["words"]


def test_what_is_between_runs_stays_in_its_order() -> None:
    text = "We take cards.\nAdults £12\nChildren £6\nDogs are welcome.\nFri 3 May: Opening\nSat 4 May: Closing"
    assert [kind for kind, _ in found("en", "", text)] == ["words", "prices", "words", "dates"]


@pytest.mark.parametrize(
    ("line", "figure"),
    [("42 rooms", ("42", "Rooms")), ("98 % come back", ("98 %", "Come back")), ("12,000 visitors a year", ("12,000", "Visitors a year")),
     ("Since 1902", None), ("ISO 9001 certified", None), ("4.8 of 5 stars", None), ("Three generations", None), ("7", None)],
)  # fmt: skip
def test_a_fact_with_one_number_in_front_is_a_figure(line: str, figure: tuple[str, str] | None) -> None:
    assert figure_in(line) == figure


_PARTS = st.sampled_from(
    [".", ":", " ", "–", "1", "12", "€", "£", "Mo", "Fri", "May", "“", "”", "—", "a", "字", "?", "\n", "\n", "1.", "2019"]
)


@settings(max_examples=150)
@given(st.lists(_PARTS, min_size=1, max_size=400).map("".join), st.sampled_from(["", "Team", "Anfahrt"]))
def test_any_text_is_read_soon_and_no_line_is_lost(text: str, heading: str) -> None:
    text = text[:4000]
    if not text.strip():
        return
    started = time.monotonic()
    made = passages(ClientText(heading=heading, text=text), "de")
    assert time.monotonic() - started < 5  # no expression runs away; speed is the bench's
    lines = [line.strip() for line in ClientText(text=text).text.split("\n") if line.strip()]
    assert [line for one in made for line in one.text.split("\n")] == lines


@pytest.mark.parametrize(
    "line", [" .: " * 60, "1 " * 150, "€1 " * 100, "“a, b – " * 38, "Mo–" * 100, "1.1.1. " * 44, "a: " * 100]
)
def test_hostile_lines_are_read_soon(line: str) -> None:
    started = time.monotonic()
    for heading in ("Team", "Anfahrt", ""):
        passages(ClientText(heading=heading, text="\n".join(["x", *[line] * 12])[:4000]), "de")
    assert time.monotonic() - started < 5


def test_lists_in_files_keep_their_lines() -> None:
    markdown = (
        "# Prices\n\nAdults £12\nChildren £6.50\n\n## How\n\n1. Call us\n2. We come\n\n## About\n\nWe are here\nsince long ago.\n\n"
        "| Day | Hours |\n|---|---|\n| Monday | 9–17 |\n| Saturday | 10–14 |\n"
    )
    texts = {one.heading: one.text for one in read("a.md", markdown, True).sightings if isinstance(one, TextSeen)}
    assert texts == {
        "Prices": "Adults £12\nChildren £6.50", "How": "1. Call us\n2. We come",
        "About": "We are here since long ago.\nMonday: 9–17\nSaturday: 10–14",
    }  # fmt: skip
    plain = "Preise\n\nErwachsene: 12 €\nKinder: 6 €\n\nÜber uns\n\nSeit 1994 sind wir hier\nund bleiben auch hier.\n"
    texts = {one.heading: one.text for one in read("b.txt", plain, False).sightings if isinstance(one, TextSeen)}
    assert texts["Preise"] == "Erwachsene: 12 €\nKinder: 6 €" and "\n" not in texts["Über uns"]


@pytest.mark.parametrize(
    ("line", "rating"),
    [
        ("★★★★★ “It has held coal since I was married.” — Edie Marlow", "5"),
        ("“It has held coal since I was married.” — Edie Marlow ★★★★☆", "4"),
        ("★★★½ “It has held coal since I was married.” — Edie Marlow", "3.5"),
        ("“It has held coal since I was married.” — Edie Marlow", None),
    ],
)
def test_stars_beside_a_quote_are_what_was_given(line: str, rating: str | None) -> None:
    (found,) = [one for one in passages(ClientText(text=line), "en") if one.kind == "quotes"]
    assert found.items[0].get("rating") == rating
    assert found.items[0]["text"] == "It has held coal since I was married." and found.items[0]["name"] == "Edie Marlow"


@pytest.mark.parametrize(("text", "items"), [
    ("Evening: £9\nShow: £6\nMembers: free", [("Evening", "£9"), ("Show", "£6"), ("Members", "free")]),
    ("Erwachsene: 9 €\nSchüler: 4 €\nKinder: kostenlos", [("Erwachsene", "9 €"), ("Schüler", "4 €"), ("Kinder", "kostenlos")]),
    ("Ενήλικες: 9 €\nΠαιδιά: δωρεάν", [("Ενήλικες", "9 €"), ("Παιδιά", "δωρεάν")]),
])  # fmt: skip
def test_what_costs_nothing_stays_in_its_price_list(text: str, items: list[tuple[str, str]]) -> None:
    (found,) = passages(ClientText(text=text), "de")
    assert found.kind == "prices" and [(one["title"], one["price"]) for one in found.items] == items


def test_a_list_of_what_is_free_is_no_price_list() -> None:
    assert [one.kind for one in passages(ClientText(text="Entry: free\nGarden: free\nSugar: free"), "en-GB")] == ["words"]
