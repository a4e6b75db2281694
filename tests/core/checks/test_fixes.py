"""The whole way: a site with a defect of every kind, every fix applied, and the place checked again."""

import json
from dataclasses import replace

import pytest

from formulon.core.checks.findings import Finding, Report
from formulon.core.checks.page_facts import MEASURED, PagePlace
from formulon.core.checks.predict import predict
from formulon.core.checks.preflight import Preflight, check_site
from formulon.core.checks.rule import Verdict, rules
from formulon.core.checks.runner import check
from formulon.core.checks.views import Held, PageView, SectionView, SiteView, pages_of, site_of
from formulon.core.site.changes import Change, apply
from formulon.core.site.documents import page_document
from formulon.core.site.planning.planner import plan
from formulon.core.site.site import Site
from formulon.core.system.documents.identity import Identity
from formulon.core.system.resolve import resolve

OWN = {
    "id": "own",
    "kind": "own_code",
    "layout": "measure",
    "content": {
        "heading": "By hand",
        "code": {
            "html": "<script>go()</script><p>Plain</p><p class='veil'>Veiled</p>",
            "css": "@import 'x'; p { color: #123456 } .veil { background: linear-gradient(red, blue); animation: turn 2s }",
        },
    },
}
FORMS = [
    {
        "id": f"form-{number}",
        "kind": "contact",
        "layout": "desk",
        "content": {"heading": "Ask", "form": {"fields": [{"label": "Child"}, {"label": label}], "label": "Send", "to": to}},
    }
    for number, (label, to) in enumerate((("child", ""), ("Name", "tel:112")))
]


def broken(site: Site) -> Site:
    wires = {"accent/heading": "lamp", "paper/primary": "chalk"}
    changes = [
        Change(document="choices", patch=[{"op": "add", "path": "/wires", "value": wires}]),
        Change(
            document="choices",
            patch=[
                {"op": "replace", "path": "/links/padding_block", "value": 0},
                {"op": "add", "path": "/pins/button~1least", "value": "10px"},  # else the system sees to it
                {"op": "replace", "path": "/scale/base_small", "value": 14},
                {"op": "add", "path": "/logo/header_small", "value": 18},
                {"op": "replace", "path": "/scale/ratio_small", "value": 1.45},
                {"op": "add", "path": "/scale/steps/intro", "value": {"small": 64, "large": 64}},
            ],
        ),
        Change(
            document="identity",
            patch=[
                {
                    "op": "add",
                    "path": "/rules/-",
                    "value": {"rule": "words to avoid", "text": "", "values": {"words": ["cheap"]}},
                }
            ],
        ),
        Change(
            document="page:home",
            patch=[
                {"op": "replace", "path": "/title", "value": ""},
                {"op": "replace", "path": "/description", "value": ""},
                {"op": "replace", "path": "/sections/0/content/primary/to", "value": "page:gone"},
                {"op": "replace", "path": "/sections/0/content/secondary/to", "value": ""},
                {"op": "replace", "path": "/sections/0/content/text", "value": "Open to [[whom]] on clear nights."},
                {
                    "op": "replace",
                    "path": "/sections/0/content/heading",
                    "value": "The *dark*, as our visitors **say**, is worth the drive",
                },
                {"op": "replace", "path": "/sections/0/content/picture/alt", "value": ""},
                {"op": "replace", "path": "/sections/2/content/picture/source", "value": "asset:lost"},
                {"op": "replace", "path": "/sections/2/content/text", "value": "Made with Ж"},
                {
                    "op": "replace",
                    "path": "/sections/1/content/items/1/text",
                    "value": "[Forty-five minutes]",
                },
                {
                    "op": "replace",
                    "path": "/sections/1/content/items/0/text",
                    "value": "It is cheap. TODO: a price. Ring 01632 960147. Quillmoor observatory.",
                },
                {"op": "add", "path": "/sections/-", "value": OWN},
                *({"op": "add", "path": "/sections/-", "value": one} for one in FORMS),
                {"op": "replace", "path": "/order_on", "value": {"phone": ["form-1", "form-0"]}},
            ],
        ),
    ]
    return apply(site, changes)


def test_a_site_with_every_defect(site: Site) -> None:
    made = broken(site)
    report = check_site(made)
    found = {(finding.rule, finding.code) for finding in report.findings}
    # One rule asks for something only of a site that is held to more than AA; another is in test_on_picture.py.
    for policy in ("AAA", "own"):
        strict = check_site(made.with_choices(made.choices.model_copy(update={"policy": policy})))
        found |= {(finding.rule, finding.code) for finding in strict.findings if finding.rule == "contrast/text-enhanced"}
    found = {(name, code) for name, code in found if name != "type/orphan"}
    assert found == {
        (name, code)
        for name, one in rules().items()
        for code in one.messages
        # What sections, pages and the site as a whole are asked for is in test_views.py.
        if one.looks_at not in (SectionView, PageView, SiteView)
        # What a browser alone tells is in tests/core/measure.
        and one.looks_at not in MEASURED
        and name not in ("brand/mark-clear", "brand/mark-unaltered", "brand/mark-variant")
        # Boxes and balanced headlines see to the last two, but for rare typefaces and words.
        and name not in ("contrast/text-on-picture", "type/measure", "type/orphan", "content/own-language")
        # Photographs are in test_rules.py and tests/browser/test_pictures_drawn.py.
        and not name.startswith("pictures/")
        and code not in ("glyphs-unknown", "box-unknown")
    }
    assert report.stopped
    for finding in report.findings:
        assert finding.fixes, f"{finding.rule} {finding.target} has no fix"
        for fix in finding.fixes:
            changed = apply(made, [Change.model_validate(change) for change in fix.changes])
            system = resolve(changed.identity, changed.choices)
            after = check(predict(changed, system), system)
            assert count(after, finding) < count(report, finding), (finding.message, fix.label)


@pytest.mark.parametrize("name", ["Quillmoor", "מצפה הכוכבים", "木霊工房", "Donaudampfschifffahrtsgesellschaft"])
def test_no_change_is_offered_twice(name: str) -> None:
    """Of a brand with nothing filled in, where what could be written instead is little."""
    bare = plan(Identity(name=name))
    empty = [{"op": "replace", "path": path, "value": ""} for path in ("/title", "/description")]
    made = apply(bare, [Change(document=page_document(page.id), patch=empty) for page in bare.pages])
    fixes = [finding.fixes for finding in check_site(made).findings if finding.rule == "publishing/title-description"]
    assert len(fixes) == 2 * len(made.pages) and all(fixes)
    for offered in fixes:
        assert len({json.dumps(fix.changes) for fix in offered}) == len({fix.label for fix in offered}) == len(offered)


def count(report: Report, finding: Finding) -> int:
    return sum(other.rule == finding.rule and other.page == finding.page for other in report.findings)


def test_taking_the_first_fix_again_and_again_ends_clean(site: Site) -> None:
    made = broken(site)
    for _ in range(60):
        report = check_site(made)
        if not report.findings:
            break
        made = apply(made, [Change.model_validate(change) for change in report.findings[0].fixes[0].changes])
    assert check_site(made).findings == []


def test_the_demo_passes_everything(site: Site) -> None:
    report = check_site(site)
    assert report.findings == []
    assert report.counts["pass"] > 150


def test_counts_add_up(site: Site) -> None:
    made = broken(site)
    facts = predict(made, resolve(made.identity, made.choices))
    report = check(facts, resolve(made.identity, made.choices))
    pages = list(pages_of(facts))
    looked = [*facts, *pages, *(section for page in pages for section in page.sections), site_of([Held.of(facts)])]
    outcomes = ("pass", "fail", "cannot-tell", "does-not-apply")
    assert sum(report.counts[name] for name in outcomes) == sum(
        sum(isinstance(one, rule.looks_at) for rule in rules().values()) for one in looked
    )
    assert report.counts["stop"] == sum(finding.stops for finding in report.findings)


def offers(texts: list[str]) -> Site:
    """A site whose brand offers things, each with what is said of it, or nothing yet."""
    offers = [{"name": f"Basket {index}", "text": text} for index, text in enumerate(texts)]
    return plan(Identity.model_validate({"name": "Osier & Reed", "offers": offers}))


def cards_of(site: Site) -> list[dict]:
    page = next(page for page in reversed(site.pages) if page.id in ("home", "offer"))
    return list(next(section for section in page.sections if section.kind in ("cards", "features", "offers")).content["items"])


def mended(site: Site, limit: int = 60) -> Site:
    """The site once the first fix of the first stop was taken again and again."""
    for _ in range(limit):
        report = check_site(site)
        stops = [finding for finding in report.findings if finding.severity == "stop" and finding.outcome == "fail"]
        if not stops:
            return site
        site = apply(site, [Change.model_validate(change) for change in stops[0].fixes[0].changes])
    raise AssertionError("it never ends")


def test_a_card_without_its_text_stays_with_its_name() -> None:
    """The least that mends a gap goes first: a text is left out before what it stood under."""
    site = offers(["", "Of brown willow.", "", ""])
    first = next(one for one in check_site(site).findings if one.target == "items/0/text" and one.page == "offer")
    assert [fix.label for fix in first.fixes][:2] == ["Leave the text out", "Take this card out"]
    clean = mended(site)
    before = [card["title"] for card in cards_of(site)]
    assert [card["title"] for card in cards_of(clean)] == before and len(before) >= 3
    assert [card.get("text") for card in cards_of(clean)][:3] == [None, "Of brown willow.", None]


def test_a_card_of_gaps_alone_goes_whole() -> None:
    site = plan(Identity(name="Bare"))
    gaps = [
        one for one in check_site(site).findings if one.target.startswith("items/") and one.rule == "content/placeholder-left"
    ]
    assert gaps and {one.fixes[0].label for one in gaps} == {"Take this card out"}


def test_what_a_browser_names_by_a_selector_gets_no_fix_and_no_error(site: Site) -> None:
    """Every rule with a way to mend, at a place that is no slot, in a section that is none, on a page that is none."""
    work, facts = Preflight(site), predict(site, site.system())
    for one in rules().values():
        of_it = [fact for fact in facts if isinstance(fact, one.looks_at)][:1]
        for fact in of_it:
            for section, slot in (("hero", "main > p:nth-of-type(2)"), ("none", "heading"), ("header", "nav > a")):
                placed = replace(fact, place=PagePlace(fact.place.page, section, slot))
                assert work.untried((one, placed, Verdict(next(iter(one.messages))))) == [], one.id
