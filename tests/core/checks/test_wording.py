"""What is asked of all words of a site together. Forms of dates follow CLDR by ICU; the examples are written down by hand from memory of
letters and timetables (common practice)."""

from dataclasses import replace
from typing import Any

import pytest
from hypothesis import given
from hypothesis import strategies as st

from formulon.core.checks.mending import all_of, mendings, weighed
from formulon.core.checks.page_facts import (
    ColorsDrawn,
    Fact,
    Heading,
    PageHead,
    PagePlace,
    Passage,
    SectionHead,
    Spelling,
    TextRun,
)
from formulon.core.checks.preflight import Preflight, check_site
from formulon.core.checks.profiles import profile_of
from formulon.core.checks.rule import rules
from formulon.core.checks.views import Held, site_of
from formulon.core.checks.wording import with_wording
from formulon.core.site.changes import Change, apply
from formulon.core.site.site import Site
from formulon.core.system.documents.checks import Checks, Waiver

RUN = TextRun(PagePlace("home", "a", "text"), "", "p", "body", "paper", "body", "#111111", "#ffffff", 400, {360: 16.0})


def said(text: str, language: str = "en", name: str = "") -> list[tuple[str, str]]:
    made = with_wording([replace(RUN, text=text)], language, name)
    return [(one.what, one.form) for one in made if isinstance(one, Spelling)]


@pytest.mark.parametrize(
    ("text", "language", "found"),
    [
        ("We open on 12 May 2026.", "en", [("date", "day first")]), ("From May 12 on", "en", [("date", "month first")]),
        ("Am 3. Oktober", "de", [("date", "day first")]), ("le 1er mars", "fr", [("date", "day first")]), ("2026-05-12", "en", [("date", "year first")]),
        ("bis 12.05.2026", "de", [("date", "with points")]), ("by 12/05/26", "en", [("date", "with slashes")]), ("doors 18:00", "en", [("time", "24 hours")]),
        ("doors 6 pm", "en", [("time", "12 hours")]), ("at 6:30 p.m. sharp", "en", [("time", "12 hours")]), ("Ring 01632 960147", "en", [("telephone", "01632 960147")]),
        ("He said “never”.", "en", [("quotation", "“”")]), ('He said "never".', "en", [("quotation", '""')]), ("Er sagt „nie“.", "de", [("quotation", "„“")]),
        ("It costs 12.50 and 3 may come.", "en", []), ("Open 2019–2024, 10 to 4", "en", []), ("The May fair, 5 boats", "en", []), ("Room 12/5", "en", []),
        ("5'10\" and 6'2\"", "en", []), ("", "en", []), ("12 May", "english_uk", []), ("v. 1.2.3", "en", []),
    ],
)  # fmt: skip
def test_forms_are_told(text: str, language: str, found: list[tuple[str, str]]) -> None:
    assert said(text, language) == found


def test_a_name_in_other_capitals_is_told_and_a_text_all_in_capitals_is_not() -> None:
    assert said("Come to Quill Moor, quill moor, QUILL MOOR or QuillMoor", name="Quill Moor") == []
    assert said("The Quill moor", name="Quill Moor") == [("name", "Quill moor")]
    assert said("Der Moorweg", "de", name="Moor") == [], "a part of a word is no name"


@given(st.text(max_size=300), st.sampled_from(["en", "de", "ja", "ar", "", "x", "zz-ZZ"]), st.text(max_size=12))
def test_any_text_in_any_language_is_looked_through(text: str, language: str, name: str) -> None:
    made = list(with_wording([replace(RUN, text=text)], language, name))
    assert all(one.sample for one in made if isinstance(one, Spelling))


def site_with(*facts: Fact) -> Any:
    head = PageHead(PagePlace("home", "", ""), "Home", "Home", "-", "en", True)
    made = site_of([Held.of([head, SectionHead(PagePlace("home", "a", ""), "text", "", ""), *facts])])
    assert made
    return made


def verdicts(rule: str, *facts: Fact) -> list[str]:
    return [str(one.values.get("text", one.code)) for one in rules()[rule].verdicts(site_with(*facts))[1]]


def headings(*texts: str, level: int = 2) -> list[Heading]:
    return [Heading(PagePlace("home", "a", f"items/{n}/title"), text, level) for n, text in enumerate(texts)]


@pytest.mark.parametrize(
    ("texts", "found"),
    [
        (("One", "Two", "Three", "Four", "Five."), ["Five."]), (("One.", "Two.", "Three.", "Four.", "Five"), ["Five"]),
        (("One.", "Two", "Three.", "Four"), []), (("One", "Two."), []), (("One", "Two", "Three", "Four", "And so on..."), []), ((), []),
        (("Eins", "Zwei", "Drei", "四。", "Fünf"), ["四。"]),
    ],
)  # fmt: skip
def test_headings_end_alike(texts: tuple[str, ...], found: list[str]) -> None:
    assert verdicts("consistency/full-stops", *headings(*texts)) == found


def test_headings_begin_their_words_alike() -> None:
    plain = [
        "What people usually bring",
        "Where everybody gathers slowly",
        "Helping neighbours every winter",
        "Prices covering travel costs",
    ]
    assert verdicts("consistency/capitals-of-words", *headings(*plain, "Our Wonderful Winter Market")) == [
        "Our Wonderful Winter Market"
    ]
    assert verdicts("consistency/capitals-of-words", *headings(*plain)) == []
    assert verdicts("consistency/capitals-of-words", *headings(*plain, "HELLO THERE EVERYBODY WAITING")) == []


def spelled(what: str, *forms: tuple[str, str]) -> list[Spelling]:
    return [Spelling(PagePlace("home", "a", f"t{n}"), what, form, sample) for n, (form, sample) in enumerate(forms)]


def test_dates_and_numbers_that_are_written_otherwise_than_most() -> None:
    dates = spelled("date", ("day first", "12 May"), ("day first", "3 June"), ("year first", "2026-05-12"))
    assert verdicts("content/written-alike", *dates) == ["2026-05-12"]
    phones = spelled("telephone", ("01632 960147", "2960147"), ("01632 960147", "2960147"), ("01632/960147", "2960147"))
    assert verdicts("content/written-alike", *phones) == ["01632/960147"]
    assert (
        verdicts("content/written-alike", *spelled("telephone", ("01632 960147", "2960147"), ("01632 960148", "2960148"))) == []
    )


def test_a_passage_that_stands_again_and_a_colour_that_stands_nowhere() -> None:
    again = [Passage(PagePlace(page, "a", "text"), "A long passage " * 8) for page in ("home", "about", "more")]
    assert len(verdicts("content/repeated", *again)) == 2 and verdicts("content/repeated", *again[:1]) == []
    exact = ColorsDrawn(PagePlace("home", "", ""), frozenset(), (("Lamp", "#f2a93b"), ("Night", "#1b2147")))
    drawn = ColorsDrawn(PagePlace("home", "", ""), frozenset(("#1B2147", "#ffffff")))
    assert verdicts("brand/colors-present", exact, drawn) == ["#f2a93b"]


# What changes would come to


def dead(site: Site, *pages: int) -> Site:
    changes = []
    for number in pages:
        page = site.pages[number]
        index = next(at for at, one in enumerate(page.sections) if one.content.get("primary"))
        path = f"/sections/{index}/content/primary/to"
        changes.append(Change(document=f"page:{page.id}", patch=[{"op": "replace", "path": path, "value": ""}]))
    return apply(site, changes)


def unreadable(site: Site) -> Site:
    return site.with_choices(site.choices.model_copy(update={"pins": {"ground/paper/heading": "#f6f1e7"}}))


def test_one_change_that_mends_most_comes_first_and_makes_no_stop(site: Site) -> None:
    work = Preflight(unreadable(site))
    before = work.report()
    found = mendings(work)
    assert found and len(found[0].ends) == max(len(one.ends) for one in found) > 2
    for one in found:
        after = check_site(apply(work.site, [Change.model_validate(change) for change in one.changes]), most=0)
        left = {(finding.page, finding.key) for finding in after.findings}
        assert not {(place.page, place.key) for place in one.ends} & left, "what it ends is not found any more"
        assert after.counts["stop"] == one.stops < before.counts["stop"]


def test_the_effect_of_a_change_is_that_of_making_it(site: Site) -> None:
    bad = [Change(document="choices", patch=[{"op": "add", "path": "/pins/ground~1paper~1heading", "value": "#f6f1e7"}])]
    told = weighed(Preflight(site), "Pale", bad)
    assert told and not told.ends and told.stops == len([one for one in told.makes if one.stops]) > 2
    assert told.stops == check_site(apply(site, bad), most=0).counts["stop"]
    assert (
        weighed(Preflight(site), "Nowhere", [Change(document="page:nowhere", patch=[{"op": "remove", "path": "/x"}])]) is None
    )


def test_all_findings_of_a_rule_are_mended_as_one_change(site: Site) -> None:
    made = dead(unreadable(site), 0)
    told = all_of(Preflight(made), "links/dead-destination")
    assert [change["document"] for change in told.changes] == [f"page:{made.pages[0].id}"] and told.left == 0
    after = check_site(apply(made, [Change.model_validate(change) for change in told.changes]), most=0)
    assert (
        not [one for one in after.findings if one.rule == "links/dead-destination"] and after.counts["stop"] == told.stops > 0
    )
    nothing = all_of(Preflight(site), "links/dead-destination")
    assert nothing.changes == [] and nothing.ends == []


# Waivers and weights


def waiver(mark: str) -> Waiver:
    return Waiver(
        rule="links/dead-destination", page="home", mark=mark, message="It.", reason="In May.", by="Anna", on="2026-03-01"
    )


def test_a_waiver_holds_for_what_it_waives_alone(site: Site) -> None:
    made = dead(site, 0)
    (found,) = [one for one in check_site(made, most=0).findings if one.rule == "links/dead-destination"]
    waived = made.model_copy(update={"checks": Checks(waivers=[waiver(found.mark)])})
    report = check_site(waived, most=0)
    assert not report.stopped and report.counts["waived"] == 1 and report.counts["stop"] == 0
    assert [one.waived.by for one in report.findings if one.waived] == ["Anna"]
    renamed = apply(
        waived,
        [
            Change(
                document="page:home",
                patch=[{"op": "replace", "path": "/sections/0/content/primary/label", "value": "Elsewhere"}],
            )
        ],
    )
    assert check_site(renamed, most=0).stopped
    with pytest.raises(ValueError, match="waived twice"):
        Checks(waivers=[waiver(found.mark), waiver(found.mark)])


def test_weights_go_before_rules_but_not_before_standards(site: Site) -> None:
    checks = Checks(
        weights={"links/dead-destination": "note", "type/orphan": "off", "contrast/text-minimum": "off", "gone/rule": "stop"}
    )
    weighed_rules = {one.id: one.severity for one in profile_of(site.choices, checks).rules()}
    assert weighed_rules["links/dead-destination"] == "note" and "type/orphan" not in weighed_rules
    assert weighed_rules["contrast/text-minimum"] == "stop"
    assert not check_site(dead(site, 0).model_copy(update={"checks": checks}), most=0).stopped
    strict = {one.severity for one in profile_of(site.choices, Checks(notes_hold=True)).rules()}
    assert strict == {"stop"}
