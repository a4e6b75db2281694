"""Rules that look at a section, a page or the whole site: below, at and above what they allow, each fix applied and checked."""

from dataclasses import replace
from typing import Any

import pytest

from formulon.core.checks.findings import Finding
from formulon.core.checks.page_facts import Destination, PageHead, PagePlace, SectionHead
from formulon.core.checks.predict import predict
from formulon.core.checks.preflight import Preflight, check_site
from formulon.core.checks.profiles import PROFILES, Profile, profile_of
from formulon.core.checks.rule import Verdict, rules
from formulon.core.checks.rules.content.sentences import sentences
from formulon.core.checks.runner import SiteChecks, check
from formulon.core.checks.views import Held, PageView, SectionView, SiteView, pages_of, site_of
from formulon.core.site.catalogue import CATALOGUE
from formulon.core.site.changes import Change, apply
from formulon.core.site.geometry import rows_of
from formulon.core.site.site import Section, Site
from formulon.core.system.resolve import resolve

LINK = {"label": "Read on", "to": "page:about"}


def section(name: str, layout: str = "column", ground: str = "paper", **content: Any) -> Section:
    content = {"heading": f"On {name}", "text": "It is quiet."} | content
    return Section.model_validate(
        {"id": name, "kind": "picture_text", "layout": layout, "ground": ground, "content": content, "departs": True}
    )


def with_sections(site: Site, *sections: Section, page: int = 0) -> Site:
    """The site with the page's opening and some sections after it."""
    body = site.model_dump()
    kept = body["pages"][page]["sections"][:1]
    body["pages"][page]["sections"] = [kept[0] | {"ground": "paper", "departs": True}, *(one.model_dump() for one in sections)]
    return Site.model_validate(body)


def found(site: Site, name: str) -> list[Finding]:
    """The findings of a rule; every fix of theirs is applied and checked again."""
    findings = [one for one in check_site(site).findings if one.rule == name]
    for finding in findings:
        for fix in finding.fixes:
            changed = apply(site, [Change.model_validate(change) for change in fix.changes])
            system = resolve(changed.identity, changed.choices)
            after = [one for one in check(predict(changed, system), system).findings if one.rule == name]
            assert len(after) < len(findings), (finding.message, fix.label)
    return findings


# Pages and sections out of facts


def test_facts_are_gathered_by_page_and_section(site: Site) -> None:
    facts = predict(site, resolve(site.identity, site.choices))
    pages = list(pages_of(facts))
    assert [page.place.page for page in pages] == [page.id for page in site.pages]
    for page, own in zip(pages, site.pages, strict=True):
        assert [one.place.section for one in page.own] == [one.id for one in own.sections]
        assert page.frame == {"header", "footer"} and len(page.sections) == len(page.own) + 2
        assert sum(len(one.facts) for one in page.sections) == sum(
            fact.place.page == own.id and bool(fact.place.section) for fact in facts
        )
    whole = site_of([Held.of(facts)])
    assert whole is not None and len(whole.pages) == len(pages) and site_of([]) is None


def test_rules_look_at_four_kinds_of_things() -> None:
    seen = {one.looks_at for one in rules().values()}
    assert {SectionView, PageView, SiteView} < seen and len(seen) > 6


# Links


def test_one_label_leads_to_one_place_on_a_page(site: Site) -> None:
    name = "links/one-destination"
    same = with_sections(site, section("a", link=LINK), section("b", link=LINK))
    assert found(same, name) == []
    nowhere = with_sections(site, section("a", link=LINK), section("b", link=LINK | {"to": ""}))
    assert found(nowhere, name) == [], "what leads nowhere is another rule's matter"
    (one,) = found(
        with_sections(site, section("a", link=LINK), section("b", link={"label": "READ  on", "to": "page:contact"})), name
    )
    assert (one.section, one.target) == ("b", "link") and "page:about" in one.message and "page:contact" in one.message
    assert [fix.label for fix in one.fixes] == ["Call it “Contact”"]


def test_links_of_items_are_called_by_what_the_item_is(site: Site) -> None:
    items = [{"title": "Domes", "link": LINK}, {"title": "Visits", "link": LINK | {"to": "page:contact"}}]
    cards = Section.model_validate(
        {"id": "cards", "kind": "cards", "layout": "terrace", "content": {"heading": "Both", "items": items}}
    )
    (one,) = found(with_sections(site, cards), "links/one-destination")
    assert one.target == "items/1/link" and [fix.label for fix in one.fixes] == ["Call it “Visits”", "Call it “Contact”"]


def test_one_label_leads_to_one_place_across_pages(site: Site) -> None:
    name = "links/label-across-pages"
    assert found(with_sections(site, section("a", link=LINK)), name) == []
    two = with_sections(with_sections(site, section("a", link=LINK)), section("b", link=LINK | {"to": "page:contact"}), page=1)
    (one,) = found(two, name)
    assert (one.page, one.section) == (site.pages[1].id, "b") and "on Home" in one.message
    assert [fix.label for fix in one.fixes] == ["Lead “Read on” to page:about here too"]
    three = with_sections(two, section("c", link=LINK), section("d", link=LINK | {"to": "https://example.org/"}), page=2)
    assert len(found(three, name)) == 1, "what differs within a page is told there"


# Headings


def test_headings_descend_step_by_step(site: Site) -> None:
    name = "structure/heading-order"
    assert found(site, name) == []
    lone = Section.model_validate({"id": "x", "kind": "cards", "layout": "terrace", "content": {"items": [{"title": "Domes"}]}})
    assert found(with_sections(site, lone), name) == [], "titles of items take the level that their section leaves"
    system = resolve(site.identity, site.choices)
    page = next(pages_of(predict(with_sections(site, lone), system)))
    assert [run.level for run in page.headings] == [1, 2]
    one = rules()[name]
    first, second = page.headings
    deep = replace(second, tag="h3")

    def codes(*runs: Any) -> list[str]:
        head = SectionHead(PagePlace("home", "x", ""), "k", "l", "paper")
        made = PageView(page.place, page.head, (SectionView(head.place, head, runs),), frozenset())
        return [verdict.code for verdict in one.verdicts(made)[1]]

    assert codes(first, second, deep, second) == [] == codes(first)
    assert codes(first, deep) == ["left-out"] and codes(second) == ["no-first"]
    assert codes(first, replace(first, place=second.place)) == ["two-firsts"]


# Actions


@pytest.mark.parametrize(
    ("variants", "many"), [((), 0), (("primary",), 0), (("primary", "secondary"), 0), (("primary", "primary"), 1)]
)
def test_a_section_has_one_main_action(variants: tuple[str, ...], many: int) -> None:
    head = SectionHead(PagePlace("home", "x", ""), "k", "l", "paper")
    facts = tuple(Destination(PagePlace("home", "x", f"a{n}"), f"Go {n}", "", True, one) for n, one in enumerate(variants))
    outcome, verdicts = rules()["structure/main-actions"].verdicts(SectionView(head.place, head, facts))
    assert len(verdicts) == many and outcome == ("fail" if many else "pass")
    if many:
        assert verdicts[0].place == PagePlace("home", "x", "a1") and verdicts[0].measured == 2


# Grounds and layouts


@pytest.mark.parametrize(("grounds", "many"), [
    (("paper", "tint", "paper"), 0), (("brand", "paper", "deep"), 0), (("paper", "brand", "accent"), 1), (("deep", "deep", "brand"), 2),
])  # fmt: skip
def test_strong_grounds_are_set_apart(site: Site, grounds: tuple[str, ...], many: int) -> None:
    made = with_sections(site, *(section(f"s{n}", ("column", "offset")[n % 2], one) for n, one in enumerate(grounds)))
    findings = found(made, "layout/strong-grounds")
    assert len(findings) == many and all(one.fixes for one in findings)


@pytest.mark.parametrize(("layouts", "many"), [
    (("column", "column"), 0), (("column", "column", "sill", "column"), 0), (("column",) * 3, 1), (("column",) * 5, 1), (("column",) * 7, 1),
])  # fmt: skip
def test_the_same_layout_does_not_stand_three_times(site: Site, layouts: tuple[str, ...], many: int) -> None:
    made = with_sections(site, *(section(f"s{n}", one) for n, one in enumerate(layouts)))
    findings = found(made, "layout/same-again")
    assert len(findings) == many
    if many:
        assert findings[0].measured == len(layouts) and f"{len(layouts)} times" in findings[0].message
        assert len(findings[0].fixes) == (2 if len(layouts) < 7 else 0), "one change leaves three on both sides of seven"


def test_what_is_told_of_the_whole_site_is_mended_where_it_stands(site: Site) -> None:
    """Each fix is tried by `found`; what it does to the site is told here."""
    passage = "Said at such length that it is a passage, and said once more on another page: " * 2
    twice = with_sections(with_sections(site, section("a", text=passage)), section("b", text=passage), page=1)
    (one,) = found(twice, "content/repeated")
    assert [fix.label for fix in one.fixes] == ["Take it out here"] and one.page == site.pages[1].id

    alike = site.model_copy(update={"pages": [page.model_copy(update={"title": "Alike "}) for page in site.pages]})
    (one,) = found(alike, "publishing/titles-apart")
    mended = apply(alike, [Change.model_validate(change) for change in one.fixes[0].changes])
    assert len({page.title for page in mended.pages}) == len(site.pages) and mended.pages[0].title.endswith(site.identity.name)

    alone = site.model_copy(deep=True)
    alone.pages[-1].menu = False
    for page in alone.pages:
        for each in page.sections:
            for value in each.content.values():
                if isinstance(value, dict) and value.get("to") == f"page:{alone.pages[-1].id}":
                    value["to"] = f"page:{alone.pages[0].id}"
    alone.frame.header.content.pop("action", None)
    lonely = [
        each for each in found(Site.model_validate(alone.model_dump()), "links/orphan-page") if each.page == alone.pages[-1].id
    ]
    assert [fix.label for each in lonely for fix in each.fixes] == ["Put it into the menu"]

    names = ("Come and see", "Ask us", "On to the hill", "Be there", "See for yourself", "Ask us")
    called = [
        Section.model_validate(
            {"id": f"l-{number}", "kind": "call_to_action", "layout": "sweep", "content": {"heading": "Come", "primary": {"label": label, "to": "page:offer"}}}
        )
        for number, label in enumerate(names)
    ]  # fmt: skip
    many = with_sections(site, *called)
    (one,) = found(many, "links/labels-for-one")
    assert one.fixes[0].label == "Call those of rare names “Ask us”"

    quiet = [section(f"q-{number}", heading=f"What we usually find there {number}") for number in range(5)]
    large = with_sections(site, *quiet, section("t", heading="What People Usually Bring To Quillmoor"))
    (one,) = found(large, "consistency/capitals-of-words")
    assert one.fixes[0].label == "Write “What people usually bring to Quillmoor”"


# Kept, and told once


OUTCOMES = ("pass", "fail", "cannot-tell", "does-not-apply")


def test_pages_that_are_kept_are_still_looked_at_together(site: Site) -> None:
    two = with_sections(with_sections(site, section("a", link=LINK)), section("b", link=LINK | {"to": "page:contact"}), page=1)
    kept: dict[str, Any] = {}
    first = Preflight(two, kept=kept).report()
    again = Preflight(two, kept=kept)
    assert again.report() == first and len(kept) == len(site.pages) + 2, (
        "every page, the frame once, and what is found over all"
    )
    (finding,) = [one for one in first.findings if one.rule == "links/label-across-pages"]
    assert again.finding(finding.page, finding.key) == finding and again.fixes(finding)
    assert again.finding(site.pages[0].id, finding.key) is None


def test_a_rule_for_the_whole_site_finds_the_same_with_nothing_but_what_it_asks_for(site: Site) -> None:
    """So it is not asked again while that stays the same. What has defects shows it."""
    bad = section(
        "a", link=LINK, heading="It is 5 pm. On 3/4/2026, at 17:30", text='It “said” "so" on 3 April 2026: 01632 960147. ' * 3
    )
    other = section("c", link=LINK | {"to": "page:contact"}, heading="A Heading Where Every Word Begins Large.")
    made = with_sections(with_sections(site, bad, *(section(f"s-{number}") for number in range(6))), bad, page=1)
    made = with_sections(made, other, page=2)
    made = made.model_copy(update={"pages": [page.model_copy(update={"title": "Alike"}) for page in made.pages]})
    facts = predict(made, made.system())
    held, found = [Held.of(facts)], set[str]()
    for one in (one for one in rules().values() if one.whole):
        view = site_of(held)
        assert view
        outcome, verdicts = one.verdicts(view)
        kinds = {*view.asked, PageHead}  # without which there is no page
        less = site_of([Held.of(fact for fact in facts if type(fact) in kinds)])
        assert less and one.verdicts(less) == (outcome, verdicts), one.id
        found |= {one.id} if verdicts else set()
    assert found >= {"content/repeated", "content/written-alike", "links/label-across-pages", "publishing/titles-apart"}


def test_only_rules_of_which_something_has_changed_are_asked_again(site: Site) -> None:
    kept: dict[str, Any] = {}
    made = with_sections(site, section("a", link=LINK), section("b", link=LINK | {"to": "page:contact"}))
    before = Preflight(made, kept=kept).whole()
    page = made.pages[0]
    texts = [page.model_copy(deep=True) for _ in range(3)]
    texts[0].sections[1].content["heading"] = "Another headline"
    texts[1].sections[1].content["link"] = LINK | {"to": "page:contact"}
    texts[2].sections[2].content["text"] = "Said at such length that it is a passage: " * 4
    asked_again = []
    for other in texts:
        job = Preflight(made.model_copy(update={"pages": [other, *made.pages[1:]]}), kept=kept)
        after = job.whole()
        assert isinstance(before, SiteChecks) and isinstance(after, SiteChecks)
        assert job.report() == Preflight(job.site).report()
        asked_again.append(
            {name for name, one in after.ruled.items() if one.checks.counts is not before.ruled[name].checks.counts}
        )
        before = after
    heading, link, passage = asked_again
    assert "consistency/full-stops" in heading and not heading & {
        "links/orphan-page",
        "content/repeated",
        "brand/colors-present",
    }
    assert {"links/orphan-page", "links/label-across-pages"} <= link and "content/repeated" not in link
    assert "content/repeated" in passage


def test_a_verdict_may_say_where_it_is() -> None:
    verdict = Verdict("code", place=PagePlace("a", "b", "c"))
    assert verdict.place is not None and verdict.place.slot == "c"
    assert PageHead(PagePlace("a", "", ""), "A", "", "").place.section == ""


# Profiles


def test_profiles_are_sets_of_rules_with_thresholds_and_severities(site: Site) -> None:
    names = {name: {one.id for one in profile.rules()} for name, profile in PROFILES.items()}
    assert names["AAA"] == names["own"] == set(rules()) == names["AA"] | {"contrast/text-enhanced"}
    assert profile_of(site.choices) is PROFILES["AA"]
    strict = Profile("Mine", "Mine.", severities={"layout/same-again": "stop"}, options={"layout/same-again": {"most": 1}})
    made = with_sections(site, section("a"), section("b"))
    facts, system = predict(made, resolve(made.identity, made.choices)), resolve(made.identity, made.choices)
    assert not check(facts, system, only=["layout/same-again"]).findings
    (finding,) = check(facts, system, only=["layout/same-again"], profile=strict).findings
    assert finding.stops and finding.required == 1
    assert rules()["layout/same-again"].options == {"most": 2}, "the rule itself stays as it is"


@pytest.mark.parametrize(
    "profile", [Profile("x", "x", frozenset({"no/rule"})), Profile("x", "x", options={"layout/same-again": {"least": 1.0}})]
)
def test_a_profile_names_rules_and_options_that_there_are(profile: Profile) -> None:
    with pytest.raises(LookupError):
        list(profile.rules())


def test_header_and_footer_are_checked_once_however_many_pages_there_are(site: Site) -> None:
    many = site.model_copy(
        update={
            "pages": [*site.pages, *(site.pages[-1].model_copy(update={"id": f"more-{n}", "menu": False}) for n in range(9))]
        }
    )
    bad = many.model_copy(deep=True)
    bad.frame.header.content["action"] = {"label": "Nowhere", "to": ""}
    (finding,) = [
        one
        for one in Preflight(bad).report().findings
        if one.section == bad.frame.header.id and one.rule == "links/dead-destination"
    ]
    assert finding.page == site.pages[0].id
    work = Preflight(many)
    parts = [work.frame(), work.whole(), *(work.page(page) for page in many.drawn)]
    told = work.report().counts
    assert {name: told[name] for name in OUTCOMES} == {name: sum(part.counts[name] for part in parts) for name in OUTCOMES}
    assert len(parts) == len(many.pages) + 2 and work.frame().counts["pass"] > 20
    assert Preflight(bad).fixes(finding)


# The trade's measures


def of_kind(kind: str, layout: str, items: list[dict[str, Any]], **content: Any) -> Section:
    made = {
        "id": "own",
        "kind": kind,
        "layout": layout,
        "departs": True,
        "content": {"heading": "Own", "items": items} | content,
    }
    return Section.model_validate(made)


PICTURE = {"source": "drawn:arcs/1", "alt": "", "decorative": True}


@pytest.mark.parametrize(("count", "code"), [(1, "few"), (2, ""), (3, ""), (4, "many"), (7, "many")])
def test_two_or_three_quotes_convince(site: Site, count: int, code: str) -> None:
    quotes = [{"text": f"It is quiet at {number}.", "name": "A. Miller"} for number in range(count)]
    seen = found(with_sections(site, of_kind("quotes", "voices", quotes)), "content/usual-number")
    assert [one.code for one in seen] == [code] * bool(code)
    if code == "many":
        (fix,) = seen[0].fixes
        assert len(fix.changes[0]["patch"]) == count - 3


@pytest.mark.parametrize(("count", "odd"), [(1, False), (2, False), (3, True), (4, False), (9, True)])
def test_pictures_of_a_gallery_are_even_in_number(site: Site, count: int, odd: bool) -> None:
    layout = next(iter(CATALOGUE["gallery"].layouts))
    pictures = [{"picture": PICTURE}] * count
    seen = found(with_sections(site, of_kind("gallery", layout, pictures)), "content/usual-number")
    assert [(one.code, [fix.label for fix in one.fixes]) for one in seen] == [("odd", ["Leave the last one out"])] * odd


def test_marks_stand_in_two_rows_at_most(site: Site) -> None:
    for layout in CATALOGUE["logos"].layouts:
        for count in (2, 5, 12):
            marks = [{"picture": PICTURE, "name": f"Mark {number}"} for number in range(count)]
            section = of_kind("logos", layout, marks)
            seen = found(with_sections(site, section), "layout/rows-of-items")
            assert len(seen) == (rows_of(section) > 2), (layout, count)
            assert not seen or seen[0].measured == rows_of(section)


def test_rows_are_counted_by_the_spans_of_items(site: Site) -> None:
    three = [{"title": "A", "text": "B"}] * 7
    assert [rows_of(of_kind("features", "rows", three[:count])) for count in (1, 2, 3, 4, 6, 7)] == [1, 1, 1, 1, 2, 2]


@pytest.mark.parametrize(
    ("text", "many"),
    [
        ("Dark skies.", 0),
        ("Dark skies. Open at eight, e.g. on Fridays.", 0),
        ("One. Two. Three.", 1),
        ("Ein Satz. Noch einer! Drei?", 1),
    ],
)
def test_a_proposition_is_one_or_two_sentences(site: Site, text: str, many: int) -> None:
    body = site.model_dump()
    body["pages"][0]["sections"][0]["content"]["text"] = text
    seen = found(Site.model_validate(body), "content/sentences")
    assert [(one.target, one.required) for one in seen] == [("text", 2)] * many
    assert not seen or seen[0].fixes[0].changes[0]["patch"][0]["value"] == " ".join(sentences(text)[:2])


@pytest.mark.parametrize(
    ("lengths", "told"), [((80, 90, 100), False), ((20, 60, 70), False), ((30, 60, 200), True), ((90, 300), True)]
)
def test_texts_side_by_side_are_about_as_long(site: Site, lengths: tuple[int, ...], told: bool) -> None:
    items = [{"title": "A", "text": ("word " * 60)[:length].strip()} for length in lengths]
    seen = found(with_sections(site, of_kind("features", "rows", items)), "content/lengths-alike")
    assert len(seen) == told
    stacked = next(name for name in CATALOGUE["features"].layouts if rows_of(of_kind("features", name, items)) == len(items))
    assert found(with_sections(site, of_kind("features", stacked, items)), "content/lengths-alike") == []


def test_the_offer_with_most_to_show_stands_first(site: Site) -> None:
    plain, priced = {"title": "A", "text": "B"}, {"title": "C", "text": "D", "price": "£ 4", "picture": PICTURE}
    layout = next(iter(CATALOGUE["offers"].layouts))
    assert found(with_sections(site, of_kind("offers", layout, [priced, plain])), "content/strongest-first") == []
    assert found(with_sections(site, of_kind("offers", layout, [plain, plain])), "content/strongest-first") == []
    shown = next(name for name, one in CATALOGUE["offers"].layouts.items() if {"items/price", "items/picture"} & one.drawn)
    (one,) = found(with_sections(site, of_kind("offers", shown, [plain, priced])), "content/strongest-first")
    (fix,) = one.fixes
    assert fix.label == "Put it first" and fix.changes[0]["patch"][0]["op"] == "move"


def test_the_opening_is_read_on_a_phone_s_first_screen(site: Site) -> None:
    assert found(site, "layout/first-screen") == []
    body = site.model_dump()
    body["pages"][0]["sections"][0] |= {"layout": "words"}
    body["pages"][0]["sections"][0]["content"]["text"] = "A long proposition that goes on and on. " * 14
    body["choices"]["scale"]["steps"]["intro"] = {"small": 24, "large": 24}
    (one,) = found(Site.model_validate(body), "layout/first-screen")
    assert one.measured is not None and one.measured > 640 and one.width == 360


@pytest.mark.parametrize(
    ("name", "kind", "layout", "content", "kept"),
    [
        ("Prices", "text", "statement", {"text": "A basket from 24 € up."}, True), ("Preise", "text", "statement", {"text": "Ab 24 Euro."}, True),
        ("料金", "text", "statement", {"text": "ひとつ2400円。"}, True), ("Prices", "text", "statement", {"text": "Ask us what it costs."}, False),
        ("Team", "text", "statement", {"text": "We are many."}, False), ("Questions", "questions", "margin", {"items": [{"title": "Why?", "text": "So."}]}, True),
        ("History", "text", "statement", {"text": "Begun in 1907, rebuilt in 1952."}, True), ("History", "text", "statement", {"text": "A long one."}, False),
        ("Contact", "text", "statement", {"text": "Come by."}, False), ("Contact", "picture_text", "column", {"link": {"label": "Write", "to": "mailto:a@b.example"}}, True),
        ("Contact", "own_code", "measure", {"code": {"html": "<p>Anything</p>", "css": ""}}, True), ("What the moor says", "text", "statement", {"text": "Nothing."}, True),
        ("Programme", "text", "statement", {"text": "12 May at 19:30"}, True), ("Programme", "text", "statement", {"text": "In spring."}, False),
    ],
)  # fmt: skip
def test_a_page_shows_what_its_name_promises(
    site: Site, name: str, kind: str, layout: str, content: dict[str, Any], kept: bool
) -> None:
    made = with_sections(site, page=1)
    made.pages[1].sections = [
        Section.model_validate({"id": "only", "kind": kind, "layout": layout, "content": {"heading": "Here", **content}})
    ]
    made.pages[1].name = name
    seen = found(Site.model_validate(made.model_dump()), "content/purpose")
    assert [one.page for one in seen] == [made.pages[1].id] * (not kept)
