"""Other words for a text: made of what is known and of nothing else, in any language, as long as it was asked for."""

import json
import re
from functools import cache
from typing import Any

import pytest
from hypothesis import given
from hypothesis import strategies as st

from formulon.core.asking import About, Answered, answered
from formulon.core.asking.reader import READER
from formulon.core.asking.texts import WIDTHS, lines_of
from formulon.core.checks.preflight import check_site
from formulon.core.site.changes import apply
from formulon.core.site.phrases import whole
from formulon.core.site.planning.planner import plan
from formulon.core.site.site import Page, Section, Site
from formulon.core.site.slots import slot_values
from formulon.core.system.documents.identity import Identity
from formulon.core.type.emphasis import plain
from formulon.core.writing import TONES, Task
from formulon.core.writing.known import REWRITER, tones
from formulon.core.writing.sentences import known, said_on, says, sentences, shorter

AVIARY = {
    "name": "Vogelwarte Nordsand", "language": "de", "does": "Wir beringen Zugvögel. Seit 1931 zählt die Warte jeden Herbst.",
    "audience": "Schulen und Vogelkundige", "organisation": "cause", "contact": {"email": "warte@nordsand.example"},
    "offers": [
        {"name": "Führung", "text": "Zwei Stunden durch die Dünen."},
        {"name": "Beringung", "text": "Im Morgengrauen am Netz, mit Handschuhen und einem Fernglas, das wir verleihen. Kinder dürfen halten."},
        {"name": "Vortrag", "text": "Ein Abend über den Zug der Knutts von der Arktis bis Mauretanien, mit 40 Bildern."},
    ],
    "texts": [{"heading": "Zugvögel", "source": "warte.txt", "text":
        "Die Führung beginnt am Deich. Bei der Führung sehen Sie 60 Arten. Beringung verrät, wie alt Zugvögel werden.\n"
        "Preise\nFührung 8 €\nKinder 4 €\n"
        "Unser billiger Kaffee wartet in der Hütte."}],
    "rules": [{"rule": "words to avoid", "text": "", "values": {"words": ["billiger", "Schnäppchen"]}}],
}  # fmt: skip
TEAHOUSE = {
    "name": "茶屋 しずく", "language": "ja", "does": "山の水でお茶をいれます。庭を見ながら飲めます。", "contact": {"email": "cha@shizuku.example"},
    "offers": [{"name": "お茶会", "text": "庭でのお茶会です。"}, {"name": "お菓子", "text": "季節のお菓子があります。"}],
    "texts": [{"heading": "お茶会", "text": "お茶会は毎月十五日に開きます。お茶は三種類あります。", "source": "cha.txt"}],
}  # fmt: skip
BARE = {"name": "Brod", "language": "hr"}
BRANDS = {"aviary": AVIARY, "teahouse": TEAHOUSE, "bare": BARE}


@cache
def site(name: str) -> Site:
    return plan(Identity.model_validate(json.loads(json.dumps(BRANDS[name]).replace("\\\n", "\n"))), composed=False)


def texts(made: Site) -> list[tuple[Page, Section, str, str]]:
    """Every text that is drawn and written: its page, its section, its slot and what it says."""
    return [
        (page, section, path, value)
        for page in made.drawn
        for section in page.sections
        for path, (slot, value) in slot_values(section).items()
        if slot.of.set_in_type and isinstance(value, str) and "[[" not in value
        and re.sub(r"/\d+/", "/", path) in section.declared.drawn
    ]  # fmt: skip


def task(made: Site, page: Page, section: Section, text: str, seed: int = 0) -> Task:
    return Task(made, page, section, text, seed)


def everything_known(made: Site) -> str:
    body = made.identity.model_dump_json() + "".join(json.dumps(one, ensure_ascii=False) for one in tones().values())
    return json.dumps(json.loads(made.identity.model_dump_json()), ensure_ascii=False) + body


@pytest.mark.parametrize("name", BRANDS)
def test_no_fact_is_invented_and_names_and_numbers_stay(name: str) -> None:
    made, worded = site(name), 0
    there = everything_known(made)
    for page, section, _, text in texts(made):
        asked = task(made, page, section, text)
        offered = [*REWRITER.shorter(asked), *REWRITER.longer(asked), *REWRITER.another(asked)]
        offered += [one for tone in TONES for one in REWRITER.toned(asked, tone)]
        for one in offered:
            worded += 1
            for sentence in sentences(one.text):
                assert sentence in text or sentence in there, (text, one.text)
            for token in re.findall(r"\d+", one.text):
                assert token in text or token in there
            assert not says(one.text, ["billiger"]) or says(text, ["billiger"])
            assert all(known_.text in one.text and known_.where for known_ in one.used)
        assert offered == [*REWRITER.shorter(asked), *REWRITER.longer(asked), *REWRITER.another(asked)] + [
            one for tone in TONES for one in REWRITER.toned(asked, tone)
        ], "the same asked of the same is answered the same"
    assert worded > {"aviary": 60, "teahouse": 2, "bare": -1}[name]


def test_what_is_added_belongs_there_and_is_not_on_the_page_yet() -> None:
    made = site("aviary")
    page = next(one for one in made.pages if any("Führung" in str(section.content) for section in one.sections))
    section = next(one for one in page.sections if "Führung" in str(one.content))
    longer = next(REWRITER.longer(task(made, page, section, "Zwei Stunden durch die Dünen.")), None)
    assert longer is not None and longer.text.startswith("Zwei Stunden durch die Dünen. ")
    assert plain(longer.used[0].text) not in said_on(page) and longer.used[0].where in ("warte.txt", "the brief, what you do")


def test_sentences_that_are_known_are_whole_and_no_prices_lists_or_gaps() -> None:
    found = [one.text for one in known(site("aviary").identity)]
    assert "Wir beringen Zugvögel." in found and "Die Führung beginnt am Deich." in found
    assert not any("€" in one or "billiger" in one or "[[" in one for one in found)
    assert "お茶会は毎月十五日に開きます。" in "".join(one.text for one in known(site("teahouse").identity))
    assert known(site("bare").identity) == []


@pytest.mark.parametrize("language", sorted(whole()))
def test_a_tone_is_given_in_every_language_that_has_sentences_and_goes_without_a_trace(language: str) -> None:
    made = plan(Identity.model_validate(AVIARY | {"language": language, "texts": []}), composed=False)
    page, section = made.pages[0], made.pages[0].sections[0]
    text = "Ena dva tri. Four five.\n\nSix seven eight."
    seen = set()
    for tone in TONES:
        toned = [one.text for one in REWRITER.toned(task(made, page, section, text), tone)]
        assert len(toned) >= 1 and all(plain(text.split("\n")[0]) in one for one in toned)
        seen.add(toned[0])
        assert [one.text for one in REWRITER.toned(task(made, page, section, toned[0]), "plain")] == [text]
        again = next(REWRITER.toned(task(made, page, section, toned[0]), tone))
        assert again.text == toned[0], "what is warm already gets no second greeting"
    assert len(seen) == len(TONES)
    assert set(tones()[language]) == set(TONES) - {"plain"}
    assert all(one[-1] in ".!" and not set(one) & set("\"'{}") for told in tones()[language].values() for one in told)


def test_a_language_without_greetings_and_a_headline_say_so() -> None:
    made = site("bare")
    assert not list(REWRITER.toned(task(made, made.pages[0], made.pages[0].sections[0], "Kruh. Svaki dan."), "warm"))
    assert list(REWRITER.toned(task(made, made.pages[0], made.pages[0].sections[0], "Kruh"), "plain")) == []


def ask(made: Site, at: tuple[Page, Section, str, str], text: str, slot: bool = True) -> tuple[Answered, Site]:
    page, section, path, _ = at
    found = answered(READER, text, made, page.id, section.id, path if slot else "")
    return found, apply(made, found.changes)


def value(made: Site, at: tuple[Page, Section, str, str]) -> str:
    section = made.section(at[0].id, at[1].id)
    assert section is not None
    return str(slot_values(section)[at[2]][1])


@pytest.mark.parametrize("name", ["aviary", "teahouse"])
def test_a_length_is_kept_to_and_lines_are_filled_as_they_are_measured(name: str) -> None:
    made, kept, filled = site(name), 0, 0
    for at in texts(made)[:24]:
        for most in (6, 12, 25):
            found, after = ask(made, at, f"in {most} words" if name == "aviary" else f"in {most} characters")
            if found.changes:
                kept += 1
                assert len(plain(value(after, at)).split() if name == "aviary" else plain(value(after, at))) <= most
        for count in (1, 2, 3):
            found, after = ask(made, at, f"fill {count} lines on phones")
            if found.changes:
                filled += 1
                about = About(after, after.page(at[0].id), after.section(at[0].id, at[1].id), at[2])  # type: ignore[arg-type]
                assert lines_of(about, value(after, at), WIDTHS["phone"]) == count
            else:
                assert found.said
    assert filled > 2 and kept > 2


def test_texts_that_stand_in_a_row_become_as_long_as_each_other() -> None:
    made = site("aviary")
    at = next(one for one in texts(made) if re.fullmatch(r"items/\d/text", one[2]) and "Stunden" in one[3])
    found, after = ask(made, at, "the same length", slot=False)
    section = after.section(at[0].id, at[1].id)
    assert section is not None
    lengths = [len(plain(item["text"])) for item in section.content["items"]]
    if found.changes:
        assert max(lengths) - min(lengths) <= 0.12 * max(lengths)
        assert answered(READER, "the same length", after, at[0].id, at[1].id).said == "It is so already."
    else:
        assert found.said.startswith("They have no length in common") and found.suggestions


def test_texts_of_one_length_are_found_where_there_is_one() -> None:
    made = site("aviary")
    at = next(one for one in texts(made) if re.fullmatch(r"items/\d/text", one[2]))
    section = at[1].model_copy(deep=True)
    section.content["items"] = [
        {"title": "A", "text": "Wir zählen im Herbst."},
        {"title": "B", "text": "Wir zählen im Winter. Dazu gibt es Tee aus der Hütte."},
        {"title": "C", "text": "Wir zählen im Juni. Auch nachts."},
    ]
    page = at[0].model_copy(update={"sections": [section if one.id == section.id else one for one in at[0].sections]})
    own = made.model_copy(update={"pages": [page if one.id == page.id else one for one in made.pages]})
    found, after = ask(own, (page, section, at[2], ""), "the same length", slot=False)
    done = after.section(page.id, section.id)
    assert found.changes and done is not None
    assert [item["text"] for item in done.content["items"]] == [
        "Wir zählen im Herbst.",
        "Wir zählen im Winter.",
        "Wir zählen im Juni.",
    ]


def test_a_page_and_the_whole_site_take_a_tone_and_give_it_up() -> None:
    made = site("aviary")
    at = texts(made)[0]
    found, after = ask(made, at, "inviting everywhere", slot=False)
    told = [one for one in tones()["de"]["inviting"] if one in after.model_dump_json()]
    assert found.changes and told and "text" in found.said
    assert {one.rule for one in check_site(after).findings} <= {one.rule for one in check_site(made).findings}
    _, back = ask(after, at, "plain everywhere", slot=False)
    assert [page.model_dump() for page in back.pages] == [page.model_dump() for page in made.pages]


@given(text=st.text(max_size=200))
def test_whatever_a_text_is_it_is_worded_or_left(text: str) -> None:
    made = site("aviary")
    asked = task(made, made.pages[0], made.pages[0].sections[0], text)
    for one in (*shorter(text), *(made_.text for made_ in REWRITER.longer(asked)), *(x.text for x in REWRITER.another(asked))):
        assert one.strip()
    for tone in TONES:
        assert all(isinstance(one.text, str) for one in REWRITER.toned(asked, tone))


def test_another_asked_of_a_text_says_what_it_uses() -> None:
    made: Any = site("aviary")
    used = []
    for at in texts(made):
        for wanted in ("another wording", "longer"):
            found, after = ask(made, at, wanted)
            if found.changes and "It uses “" in found.said:
                used.append(found.said)
                assert value(after, at) != at[3]
    assert used and all(" from " in one for one in used)
