"""The rhythm of grounds: a recipe for all pages, departures, and nothing lost when it is taken off."""

import pytest

from formulon.core.checks.effect import effect
from formulon.core.site.changes import Change, apply
from formulon.core.site.documents import documents
from formulon.core.site.planning.planner import plan
from formulon.core.site.planning.rhythms import BEATS, Beat, in_proportion
from formulon.core.site.planning.rhythms import grounds as spread
from formulon.core.site.render import render
from formulon.core.site.site import Site
from formulon.core.system.documents.choices import Choices, Rhythm
from formulon.core.system.documents.identity import Identity
from formulon.core.system.resolve import resolve

RHYTHM = Rhythm(opening="brand", middle=["paper", "tint", "deep"], closing="accent")


def grounds(site: Site) -> dict[str, list[str]]:
    return {page.id: [section.ground for section in page.sections] for page in site.drawn}


def test_sections_take_their_grounds_by_place(site: Site) -> None:
    made = grounds(site.with_choices(Choices(rhythm=RHYTHM)))
    for page in site.pages:
        count = len(page.sections)
        wanted = ["brand", *(["paper", "tint", "deep"] * 3)[: max(0, count - 2)], "accent"][:count]
        assert made[page.id] == wanted
    assert grounds(site) != made


def test_a_section_departs_and_the_own_grounds_come_back(site: Site) -> None:
    first = site.pages[0]
    departs = Change(
        document=f"page:{first.id}",
        patch=[{"op": "add", "path": "/sections/1/departs", "value": True}],
    )
    changed = apply(site.with_choices(Choices(rhythm=RHYTHM)), [departs])
    assert grounds(changed)[first.id][1] == first.sections[1].ground != "brand"
    assert grounds(changed)[first.id][0] == "brand"
    assert grounds(changed.with_choices(Choices())) == grounds(site)
    # What is stored are the sections' own grounds.
    assert documents(changed)[f"page:{first.id}"]["sections"][0]["ground"] == first.sections[0].ground


def test_pages_and_the_effect_follow_the_rhythm(site: Site) -> None:
    after = site.with_choices(Choices(rhythm=RHYTHM))
    html = render(after, resolve(after.identity, after.choices))["index.html"].decode()
    assert f'class="hero hero--{site.pages[0].sections[0].layout}" data-ground="brand"' in html
    found = effect(site, after)
    assert found.tokens == [] and {use.page for use in found.sections} == {page.id for page in site.drawn}


COLORS = [("Night", "#1B2147"), ("Lamp", "#F2A93B"), ("Heather", "#8E5A9B"), ("Chalk", "#F6F1E7")]


def proportioned(values: dict[str, float]) -> Identity:
    rules = [{"rule": "proportions", "values": values, "text": "As stated."}] if values else []
    return Identity.model_validate({
        "name": "Quill", "does": "Evenings.", "audience": "All.", "proof": ["40 nights", "3 domes"], "rules": rules,
        "colors": [{"name": name, "value": value} for name, value in COLORS], "offers": [{"name": "A", "text": "B"}] * 2,
    })  # fmt: skip


@pytest.mark.parametrize(("values", "opening"), [
    ({"Night": 70, "Chalk": 20, "Lamp": 10}, "deep"), ({"Heather": 50, "Chalk": 40, "Night": 10}, "accent"),
    ({"Lamp": 50, "Chalk": 35, "Night": 15}, "brand"),
])  # fmt: skip
def test_a_page_opens_on_the_colour_that_the_guideline_wants_most_of(values: dict[str, float], opening: str) -> None:
    assert plan(proportioned(values), composed=False).pages[0].sections[0].ground == opening


def test_no_rhythm_comes_nearer_to_the_stated_proportions_than_the_one_that_is_taken() -> None:
    identity = proportioned({"Chalk": 60, "Night": 25, "Lamp": 10, "Heather": 5})
    system = resolve(identity)
    stated = {"chalk": 0.6, "night": 0.25, "lamp": 0.1, "heather": 0.05}
    colors = {"paper": "chalk", "tint": "chalk", "brand": "lamp", "accent": "heather", "deep": "night"}

    def apart(beat: Beat) -> float:
        areas = dict.fromkeys(stated, 0.0) | {"chalk": 0.15, "night": 0.6}  # header and footer
        for index, ground in enumerate(spread(beat.rhythm, 5, True)):
            areas[colors[ground]] += 1.4 if index == 0 else 1.0
        return sum(abs(areas[name] / sum(areas.values()) - share) for name, share in stated.items())

    taken = in_proportion({name: 100 * share for name, share in stated.items()}, identity, system, frozenset(), 3)
    assert taken is not None and apart(taken) <= min(map(apart, BEATS)) + 0.021
    assert in_proportion({}, identity, system, frozenset(), 3) is None


def test_a_rhythm_of_ones_own_goes_before_proportions() -> None:
    made = plan(proportioned({"Night": 90, "Chalk": 10}), Choices(rhythm=RHYTHM), composed=False)
    assert made.pages[0].sections[0].ground == "brand"
