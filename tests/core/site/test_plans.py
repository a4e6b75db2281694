"""Plans for every kind of organisation, with all the material that a client can hand over, with some, and with none; as pages and as
one page. Nothing is lost, nothing is said twice, everything leads somewhere."""

import json
import re
from itertools import pairwise
from typing import Any

import pytest

from formulon.core.checks.preflight import check_site
from formulon.core.site.phrases import whole
from formulon.core.site.planning.planner import plan
from formulon.core.site.planning.plans import ELSEWHERE, PAGES, PLANS
from formulon.core.site.planning.rhythms import BEATS, STRONG, grounds
from formulon.core.site.render import render
from formulon.core.site.site import Asset, Rendition, Site
from formulon.core.system.documents.choices import Choices
from formulon.core.system.documents.identity import Identity
from formulon.core.system.documents.organisations import ORGANISATIONS

TEXTS = {
    "Prices": "Adults £12\nChildren under twelve: £6.50\nFamilies – from £30\nGroups of ten £90",
    "What is on": "Fri 3 May, 7.30 pm: The rings\nSat 4 May, 21:00: Meteors\n12 June: Midsummer\n13 June: Saturn\n14 June: Jupiter",
    "Opening hours": "Monday to Friday: 9–17\nSaturday: 10–14\nSunday: closed",
    "Getting here": "By train: Quill Halt, then twelve minutes on foot.\nBy car: leave the A9 at Quill Cross.\nBy bus: line 4, to the end.",
    "Questions": "Is there parking?\nYes, for forty cars.\nCan I bring a dog?\nOn the hill, not in the dome.\nIs it cold?\nColder than you think.",
    "How a visit goes": "1. Call us: we look at the sky with you.\n2. Come at dusk.\n3. Stay as long as it is clear.",
    "The people": "Mara Quist, astronomer. She ground the mirror herself.\nIan Bell, keeper of the dome\nRuth Amsel, teacher",
    "History": "1962: Built by a surveyor.\n1988: The roof is repaired.\n2004: The library opens.\n2019: The dome turns by motor.",
    "Voices": "“The best evening in years, and the coldest.” — Nora Veld, visitor\n“My class still talks of the rings.” — Tom Askew, teacher",
    "About us": "Quillmoor was built by a surveyor who wanted to see Saturn.\nThe dome has turned ever since, and whoever visits may turn it.",
    "If it clouds over": "The same sky, warm and dry, under the planetarium dome.",
}
PROOF = ["40 clear nights a year", "12,000 visitors a year", "3 telescopes", "Listed as a dark place by the county"]


def brand(organisation: str, texts: dict[str, str], **more: Any) -> Identity:
    return Identity.model_validate({
        "name": "Quill", "does": "Evenings under the clearest sky in the county.", "audience": "Families and classes", "place": "Quill",
        "offers": [{"name": f"Evening {n}", "text": f"Two hours, number {n} of the year."} for n in range(1, 6)],
        "contact": {"email": "hello@quill.example", "phone": "01632 960174", "address": "Upper Lane, Quill"},
        "proof": PROOF, "organisation": organisation, "texts": [{"heading": h, "text": t, "source": f"{h}.md"} for h, t in texts.items()],
    } | more)  # fmt: skip


def pictures(count: int) -> list[Asset]:
    sizes = [Rendition(width=960, sha256="0" * 64)]
    return [Asset(id=f"p{n}", name=f"Picture {n}", renditions=sizes, width=960, height=640) for n in range(count)]


def written(site: Site) -> str:
    return json.dumps([section.content for page in site.pages for section in page.sections], ensure_ascii=False)


def pieces() -> list[str]:
    """What must be on the site, once: the parts of every passage as the texts have them."""
    made = ["Adults", "£6.50", "from £30", "The rings", "Meteors", "Midsummer", "10–14", "closed", "Quill Halt", "Quill Cross"]
    made += [
        "forty cars",
        "not in the dome",
        "Come at dusk",
        "ground the mirror",
        "keeper of the dome",
        "Built by a surveyor."[:-1],
    ]
    return [*made, "The dome turns by motor", "and the coldest", "still talks", "whoever visits may turn it", "The same sky"]


@pytest.mark.parametrize("extent", ["pages", "one page"])
@pytest.mark.parametrize("organisation", ["", *ORGANISATIONS])
def test_all_that_a_client_hands_over_stands_once(organisation: str, extent: str) -> None:
    site = plan(brand(organisation, TEXTS, extent=extent), assets=pictures(12))
    found = written(site)
    assert {piece: found.count(piece) for piece in pieces() if found.count(piece) != 1} == {}
    for fact in PROOF:
        number = re.match(r"[\d,]+", fact)
        label = fact if number is None else fact[number.end() :].strip()
        assert (label[:1].upper() + label[1:]) in found or fact in found, fact
    pages = [page.id for page in site.pages]
    assert len(pages) == 1 if extent == "one page" else 4 <= len(pages) <= 12
    sources = {section.source for page in site.pages for section in page.sections if section.source}
    assert len(sources) >= 9, "the client's words say where they come from"


@pytest.mark.parametrize("organisation", ["", *ORGANISATIONS])
def test_every_plan_passes_preflight_and_leads_somewhere(organisation: str) -> None:
    for texts in (TEXTS, dict(list(TEXTS.items())[:4]), {}):
        for extent in ("pages", "one page"):
            site = plan(brand(organisation, texts, extent=extent))
            stops = {(one.rule, one.code, one.page, one.message) for one in check_site(site).findings if one.stops}
            assert stops == set(), (organisation, extent)


def test_kinds_of_organisation_have_sites_of_their_own() -> None:
    sites = {one: plan(brand(one, TEXTS)) for one in ORGANISATIONS}
    orders = {one: tuple(section.id for section in site.pages[0].sections) for one, site in sites.items()}
    assert len(set(orders.values())) >= 8
    assert len({tuple(page.id for page in site.pages) for site in sites.values()}) >= 9


def test_plans_name_topics_and_pages_that_there_are() -> None:
    assert set(PLANS) == set(ORGANISATIONS)
    for one in PLANS.values():
        assert set(one.home) <= set(ELSEWHERE) and set(one.pages) <= set(PAGES) and len(set(one.home)) == len(one.home)


def test_sixty_of_everything_stand_all_of_them() -> None:
    """More than a section holds is told in as many as there need be."""
    texts = {
        "Prices": "\n".join(f"Ware{n}x £{n}" for n in range(1, 61)),
        "Voices": "\n".join(f"“A sentence that visitor {n}x has said.” — Person{n}y" for n in range(1, 8)),
        "Questions": "\n".join(f"Is it number {n}q?\nIt is number {n}a." for n in range(1, 41)),
        "History": "\n".join(f"{1900 + n}: Year {n}z." for n in range(1, 61)),
        "How": "\n".join(f"{n}. Step {n}s." for n in range(1, 13)),
        "Team": "\n".join(f"Person Name{chr(64 + n)}, role {n}r" for n in range(1, 27)),
    } | {f"Story {n}": f"Words of story {n}w." for n in range(1, 13)}
    site = plan(brand("", texts))
    found = written(site)
    wanted = (
        [f"Ware{n}x" for n in range(1, 61)] + [f"visitor {n}x" for n in range(1, 8)] + [f"number {n}a" for n in range(1, 41)]
    )
    wanted += [f"Year {n}z" for n in range(1, 61)] + [f"Step {n}s" for n in range(1, 13)] + [f"role {n}r" for n in range(1, 27)]
    wanted += [f"story {n}w" for n in range(1, 13)]
    assert {one: found.count(one) for one in wanted if found.count(one) != 1} == {}
    priced = [section for page in site.pages for section in page.sections if section.kind == "prices"]
    assert len(priced) == 3 and len({(one.layout, one.ground) for one in priced}) == 1, "a list that goes on looks as it began"
    assert [bool(one.content.get("heading")) for one in priced] == [True, False, False]
    whole = plan(brand("", texts, extent="one page"))
    assert len({entry.name for entry in whole.menu()}) == len(whole.menu()) <= 7


def test_thin_material_makes_sections_and_no_pages() -> None:
    few = plan(
        brand("visit", {"About us": "Built by a surveyor."}, offers=[{"name": "Evenings", "text": "Two hours."}], proof=[])
    )
    assert [page.id for page in few.pages] == ["home", "contact"] and "Built by a surveyor." in written(few)
    assert [page.id for page in plan(Identity(name="Quill")).pages] == ["home", "contact"]


def test_one_page_leads_to_its_sections() -> None:
    site = plan(brand("visit", TEXTS, extent="one page"))
    entries = site.menu()
    assert 3 <= len(entries) <= 7 and {entry.section for entry in entries} <= {section.id for section in site.pages[0].sections}
    html = render(site, site.system())["index.html"].decode()
    for entry in entries:
        assert f'href="#at-{entry.section}"' in html and html.count(f'id="at-{entry.section}"') == 1, entry


@pytest.mark.parametrize("language", sorted(whole()))
def test_every_whole_language_has_its_site(language: str) -> None:
    """Pages are called in the language, and nothing that Formulon says is left in English."""
    site = plan(brand("school", TEXTS, language=language))
    english = {page.name for page in plan(brand("school", TEXTS)).pages}
    names = {page.name for page in site.pages}
    assert len(site.pages) >= 5 and (language == "en" or len(names & english) <= 2), names


@pytest.mark.parametrize("count", range(1, 12))
def test_no_two_strong_grounds_meet(count: int) -> None:
    for beat in BEATS:
        for home in (True, False):
            made = grounds(beat.rhythm, count, home)
            assert len(made) == count
            assert not any(one in STRONG and other in STRONG for one, other in pairwise(made)), (
                beat.id,
                made,
            )
            assert not any(one == other for one, other in pairwise(made)), (beat.id, made)


FILES = {
    "membership.md": [("Membership", "Come on any clear night."), ("What it costs", "Single: £38\nHousehold: £60\nChildren: £12")],
    "for-schools.md": [("For schools", "Mornings in term time."), ("", "1. Arrive: in coats.\n2. Measure: a crater.\n3. Draw: what you see."),
                       ("Asked", "Is it cold?\nYes.\nIs it dark?\nNot in the morning.")],
    "shop.md": [("Shop", "Books and lenses."), ("Open", "Monday to Friday: 9–17\nSaturday: 10–14")],
}  # fmt: skip


@pytest.mark.parametrize("organisation", ["", *ORGANISATIONS])
def test_a_file_that_is_called_as_a_page_stands_on_it_whole(organisation: str) -> None:
    texts = [
        {"heading": heading, "text": text, "source": f"texts/{name}"}
        for name, parts in FILES.items()
        for heading, text in parts
    ]
    identity = brand(organisation, {}, pages=["Membership", "For schools", "Shop"]).model_dump()
    more = [{"heading": "Getting here", "text": TEXTS["Getting here"], "source": "ways.md"},
            {"heading": "More prices", "text": "Evening: £9\nShow: £6\nChildren: £3", "source": "prices-2026.md"}]  # fmt: skip
    site = plan(Identity.model_validate(identity | {"texts": texts + more}), assets=pictures(6))
    said = {page.name: json.dumps([one.content for one in page.sections], ensure_ascii=False) for page in site.pages}
    assert all(one in said["Membership"] for one in ("any clear night", "Single", "£60"))
    assert all(one in said["For schools"] for one in ("term time", "a crater", "Not in the morning"))
    assert "Books and lenses" in said["Shop"] and "10–14" not in said["Shop"], "hours are the brand's"
    whole = written(site)
    for piece in ("any clear night", "£60", "a crater", "Not in the morning", "10–14", "Quill Halt", "£9"):
        assert whole.count(piece) == 1, piece
    assert [one for one in check_site(site).findings if one.stops] == []


def test_a_file_with_too_little_for_a_page_makes_none() -> None:
    site = plan(brand("workshop", {"Courses": "Ask us about courses."}))
    assert "Courses" not in [page.name for page in site.pages] and "Ask us about courses." in written(site)
    site = plan(
        brand(
            "workshop",
            {"Courses": "Saturday 14 March, 10:00 – Rims\nSunday 5 April, 10:00 – Handles\n12 May: Frames\n13 May: Fences"},
        )
    )
    assert "Courses" in [page.name for page in site.pages]


@pytest.mark.parametrize("extent", ["pages", "one page"])
def test_offers_with_pages_of_their_own_need_no_page_for_all(extent: str) -> None:
    names = ["Evenings", "Shows", "School visits", "Membership"]
    offers = [{"name": name, "text": f"{name}, in a sentence."} for name in names]
    many = plan(brand("visit", {}, offers=offers, extent=extent))
    own = plan(brand("visit", {}, offers=offers, extent=extent, pages=["Membership"]))
    assert ("What we offer" in [page.name for page in many.pages]) == (extent == "pages")
    assert "What we offer" not in [page.name for page in own.pages]
    assert all(f"{name}, in a sentence." in written(own) for name in names)


@pytest.mark.parametrize(
    ("proof", "figure"), [("92 % come back", "92\u00a0%"), ("12 000 visitors", "12\u00a0000"), ("5 kg of seeds", "5\u00a0kg")]
)
def test_a_number_keeps_to_its_unit(proof: str, figure: str) -> None:
    site = plan(brand("practice", {}, proof=[proof, "3 telescopes", "40 clear nights"]))
    figures = [
        item["figure"]
        for page in site.pages
        for one in page.sections
        for item in one.content.get("items", [])
        if "figure" in item
    ]
    assert figure in [*figures, *(str(one.content.get("figure")) for page in site.pages for one in page.sections)]


@pytest.mark.parametrize(
    ("order", "first"), [("usual", None), ("offers", "cards"), ("proof", "figures"), ("people", "picture-text")]
)
@pytest.mark.parametrize("organisation", ["", "cause", "practice"])
def test_an_order_of_sections_tells_something_first_and_loses_nothing(organisation: str, order: str, first: str | None) -> None:
    few = [{"name": "Evenings", "text": "Two hours."}, {"name": "Shows", "text": "Under the dome."}]
    identity = brand(organisation, TEXTS, offers=few)
    usual, made = plan(identity, composed=False), plan(identity, Choices.model_validate({"order": order}), composed=False)
    names = [section.id for section in made.pages[0].sections]
    assert sorted(names) == sorted(section.id for section in usual.pages[0].sections)
    assert names[1].startswith(first) if first else names == [section.id for section in usual.pages[0].sections]
    assert {piece: written(made).count(piece) for piece in pieces() if written(made).count(piece) != 1} == {}


def test_a_teaser_of_offers_keeps_its_place_in_the_order() -> None:
    identity = brand("visit", TEXTS, pages=["Visit", "What we offer"])
    at = {
        order: [
            one.id for one in plan(identity, Choices.model_validate({"order": order}), composed=False).pages[0].sections
        ].index("cards")
        for order in ("usual", "offers", "people")
    }
    assert at["usual"] == at["offers"] == 1 < at["people"]
