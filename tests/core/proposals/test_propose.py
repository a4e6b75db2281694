"""Style proposals over brands that are nothing like the demo: eight that truly differ, each with reasons, each passing preflight, and
nothing of them where somebody has decided."""

from collections.abc import Sequence
from itertools import combinations, islice
from typing import Any

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from formulon.core.checks.preflight import check_site
from formulon.core.proposals.aims import aims
from formulon.core.proposals.propose import LAST, apart, applied, proposals, unlike
from formulon.core.proposals.seen import shares
from formulon.core.proposals.style import PARTS, StyleProposal, decided, still_as_it_came, values_of
from formulon.core.site.catalogue import CATALOGUE
from formulon.core.site.documents import CHOICES, FRAME_DOCUMENT, IDENTITY, documents, planned, site_of
from formulon.core.site.planning.planner import plan
from formulon.core.site.planning.rhythms import BEATS
from formulon.core.site.signature import likeness, signature
from formulon.core.site.site import Section, Site
from formulon.core.system.documents.choices import Choices, Scale
from formulon.core.system.documents.identity import Character, Identity
from formulon.core.system.facets.type_pairs import AXES
from formulon.core.type.alike import writes
from tests.core.site.test_plans import TEXTS, pictures
from tests.core.site.test_plans import brand as material

BRANDS: dict[str, dict[str, Any]] = {
    "German stonemasons, calm": {
        "name": "Steinmetzwerkstätten Weßling", "language": "de", "strapline": "Natursteinrestaurierung aus Überzeugung",
        "does": "Wir restaurieren Portale, Maßwerke und Gewölbe.", "organisation": "trade",
        "colors": [{"name": "Kalk", "value": "#E9E4D6"}, {"name": "Moos", "value": "#5B7038"}, {"name": "Schiefer", "value": "#2C353B"}],
        "offers": [{"name": "Denkmalpflege", "text": "Gutachten vor jedem Schlag."}, {"name": "Treppen", "text": "Muschelkalk."}],
        "character": {"calm_lively": -1, "classical_modern": -1, "quiet_loud": -1},
    },
    "a loud climbing hall": {
        "name": "Voltcellar", "strapline": "Climb in the dark.", "does": "A bouldering hall under ultraviolet light.",
        "colors": [{"name": "Volt", "value": "#39FF14"}, {"name": "Magenta", "value": "#FF00CC"}, {"name": "Night", "value": "#0B0C10"}],
        "offers": [{"name": "Open climb", "text": "Until midnight."}, {"name": "Kids", "text": "Saturday mornings."}],
        "character": {"calm_lively": 2, "quiet_loud": 2, "classical_modern": 2}, "organisation": "school",
    },
    "a Greek oven that says nothing of itself": {
        "name": "Φούρνος Αμυγδαλιά", "language": "el", "does": "Ψωμί με προζύμι, κάθε πρωί.",
        "colors": [{"name": "Φούρνος", "value": "#8A4B1F"}], "offers": [{"name": "Χωριάτικο", "text": "Στα ξύλα."}],
    },
    "no colours": {"name": "Osier", "does": "We weave baskets.", "offers": [{"name": "Baskets", "text": "Of brown willow."}]},
}  # fmt: skip


def site(brand: str, choices: Choices | None = None, **more: Any) -> Site:
    return plan(Identity.model_validate(BRANDS[brand] | more), choices)


def eight(of: Site, first: int = 1) -> list[StyleProposal]:
    return list(islice(proposals(of, first), LAST))


def taken(of: Site, proposal: StyleProposal, parts: Sequence[Any] | None = None) -> Site:
    bodies = documents(of)
    made, _ = applied(bodies, planned(bodies), proposal, parts or [one.part for one in proposal.parts], of.assets)
    return site_of(made, of.assets)


def sections_of(of: Site) -> list[tuple[str, str]]:
    return [(one.kind, one.layout) for one in of.pages[0].sections]


def alike(one: Site, other: Site) -> float:
    """How alike two start pages are, 0–1: each section of one with the most like of the other, by their signatures."""
    firsts, others = (
        [signature(section.catalogue, section.layout) for section in page.pages[0].sections] for page in (one, other)
    )
    return sum(max(likeness(a, b) for b in others) for a in firsts) / len(firsts)


@pytest.mark.parametrize("brand", BRANDS)
def test_eight_styles_truly_differ(brand: str) -> None:
    of = site(brand)
    found = eight(of)
    assert [one.number for one in found] == list(range(1, 9)) and len({one.name for one in found}) == 8
    assert min(unlike(a.parts, b.parts) for a, b in combinations(found, 2)) >= 0.4
    headings = [one.values["typefaces"]["heading"] for made in found for one in made.parts if one.part == "type"]
    assert len(set(headings)) == 8
    made = [taken(of, one) for one in found]
    assert sum(alike(a, b) for a, b in combinations(made, 2)) / 28 <= 0.85
    assert len({tuple(sections_of(one)) for one in made}) >= 7


@pytest.mark.parametrize("brand", BRANDS)
def test_each_passes_preflight_and_gives_its_reasons(brand: str) -> None:
    of = site(brand)
    before = {(one.rule, one.code) for one in check_site(of).findings if one.stops}
    for proposal in eight(of):
        made = taken(of, proposal)
        after = {(one.rule, one.code) for one in check_site(made).findings if one.stops}
        assert after <= before, (proposal.number, after - before)
        assert len(made.system().conflicts) <= len(of.system().conflicts), proposal.number
        assert all(one.says.endswith(".") and 12 <= len(one.says) <= 200 for one in proposal.parts)
        assert {one.part for one in proposal.parts} >= set(PARTS) - {"motif", "motion"}
        families = [made.library.family(one) for one in made.identity.typefaces.used()]
        assert all(writes(family, made.identity.language) for family in families)


FEATURES: dict[str, dict[str, Any]] = {
    "AAA in both schemes": {"policy": "AAA", "scheme": "both"},
    "dark, wired by hand": {"scheme": "dark", "wires": {"deep/heading": "white"}},
    "a size for everything, and 44 px to press": {"scale": {"size": 1.3}, "buttons": {"least": 44}},
    "ratios of one's own and a motif": {
        "policy": "own",
        "motif": {"shape": "wave", "places": {"opening": "accent", "middle": "band"}},
    },
}


@pytest.mark.parametrize("feature", FEATURES)
@pytest.mark.parametrize("brand", ["German stonemasons, calm", "a loud climbing hall"])
def test_styles_and_other_features_together(brand: str, feature: str) -> None:
    of = site(brand, Choices.model_validate(FEATURES[feature]))
    before = {(one.rule, one.code) for one in check_site(of).findings if one.stops}
    for proposal in eight(of):
        made = taken(of, proposal)
        assert {(one.rule, one.code) for one in check_site(made).findings if one.stops} <= before, proposal.number
        assert {one.path for one in made.system().conflicts} <= {one.path for one in of.system().conflicts}, proposal.number
        kept = of.choices.model_dump(include=set(FEATURES[feature]))
        assert made.choices.model_dump(include=set(FEATURES[feature])) == kept


@pytest.mark.parametrize("extent", ["pages", "one page"])
def test_styles_of_a_site_with_everything(extent: str) -> None:
    """All material that a client can hand over, twelve photographs, and one page or many."""
    of = plan(material("school", TEXTS, extent=extent, colors=BRANDS["a loud climbing hall"]["colors"]), assets=pictures(12))
    for proposal in eight(of):
        made = taken(of, proposal)
        assert not [one.message for one in check_site(made).findings if one.stops], proposal.number


def test_the_same_number_gives_the_same_and_the_next_are_others() -> None:
    of = site("a loud climbing hall")
    first, again = eight(of), eight(of)
    assert first == again and eight(of, 5)[0] == first[4]
    following = eight(of, 9)
    assert [one.number for one in following] == list(range(9, 17))
    assert min(unlike(following[0].parts, one.parts) for one in first) >= 0.3
    everything = [{one.part: str(one.values) for one in made.parts} for made in (*first, *following)]
    assert all(one != other for one, other in combinations(everything, 2))


def test_what_is_decided_pinned_settled_or_named_stays() -> None:
    kept = Choices(radius=11, settled=["rhythm"], pins={"space/4": "30px"}, wires={"deep": "night"})
    faces = [{"family": "Figtree", "role": "headings", "library": "figtree"}]
    of = site("a loud climbing hall", kept, faces=faces)
    assert {part for part in PARTS if decided(of, part)} == {"type", "corners", "rhythm"}
    for proposal in eight(of):
        assert not {"type", "corners", "rhythm"} & {one.part for one in proposal.parts}
        made = taken(of, proposal)
        assert (made.choices.radius, made.choices.pins, made.choices.wires) == (11, kept.pins, kept.wires)
        assert made.identity.typefaces == of.identity.typefaces and made.choices.rhythm is None
        assert made.system().css("space/4") == "1.875rem"  # 30 px


def test_sections_that_somebody_locked_or_wrote_stay() -> None:
    of = site("a loud climbing hall")
    bodies = documents(of)
    base = planned(documents(of))
    home = bodies["page:home"]["sections"]
    home[0]["locked"], home[1]["content"]["heading"] = True, "Mine"
    for proposal in eight(of):
        made, _ = applied(bodies, base, proposal, list(PARTS), of.assets)
        sections = made["page:home"]["sections"]
        assert sections[0] == home[0] and sections[1]["content"]["heading"] == "Mine"


def test_taken_in_parts_only_those_change() -> None:
    of = site("no colours")
    proposal = eight(of)[3]
    made = taken(of, proposal, ["corners", "header"])
    changed = {part for part in PARTS if values_of(made, part) != values_of(of, part)}
    assert changed <= {"corners", "header"} and set(made.choices.taken) == {"corners", "header"}
    header = next(one for one in proposal.parts if one.part == "header")
    assert made.frame.header.layout == header.values["header"]
    assert [one.content for one in made.pages[0].sections] == [one.content for one in of.pages[0].sections]


def test_another_can_follow_one_that_was_taken_and_what_was_changed_since_stays() -> None:
    of = site("no colours")
    first, second = eight(of)[:2]
    made = taken(of, first)
    assert all(not decided(made, part) for part in PARTS)
    again = taken(made, second)
    assert {one.part: dict(one.values) for one in second.parts} == {
        one.part: {path: value for path, value in values_of(again, one.part).items() if path in one.values}
        for one in second.parts
    }
    by_hand = made.with_choices(made.choices.model_copy(update={"density": 0.7}))
    assert decided(by_hand, "space") == "It was changed by hand." and not decided(by_hand, "scale")


def test_what_is_still_as_it_came_is_told() -> None:
    of = site("no colours")
    assert {one.id for one in still_as_it_came(of)} == set(PARTS)
    made = taken(of, eight(of)[0])
    assert {one.id for one in still_as_it_came(made)} == set(PARTS) - set(made.choices.taken)
    assert not still_as_it_came(of.with_choices(Choices(settled=list(PARTS))))


def test_how_much_is_seen_of_a_part_follows_from_the_pages() -> None:
    of = site("no colours")
    before = shares(of, of.system())
    assert set(before) == set(PARTS) and all(0 <= one <= 1 for one in before.values())
    assert (
        before["layouts"] == 1
        and before["motion"] == before["motif"] == before["cards"] == 0 < before["type"] < before["rhythm"]
    )
    gallery = {"picture": {"source": "drawn:arcs/1", "alt": "", "decorative": True}}
    layout = next(iter(CATALOGUE["gallery"].layouts))
    hung = Section.model_validate({"id": "hung", "kind": "gallery", "layout": layout, "content": {"items": [gallery] * 8}})

    def seen(at: int) -> dict[str, float]:
        home = of.pages[0].model_copy(update={"sections": [*of.pages[0].sections[:at], hung, *of.pages[0].sections[at:]]})
        made = of.model_copy(update={"pages": [home]})
        return dict(shares(made, made.system()))

    last, second = seen(len(of.pages[0].sections)), seen(0)
    assert second["pictures"] > last["pictures"] > before["pictures"], "a first screen counts more"
    assert last["type"] < before["type"] and last["corners"] >= last["pictures"]
    large = of.with_choices(of.choices.model_copy(update={"scale": Scale(size=1.3)}))
    assert shares(large, large.system())["scale"] > before["scale"]


_AXIS = st.one_of(st.none(), st.integers(-2, 2))


@settings(max_examples=60)
@given(st.builds(Character, **dict.fromkeys(AXES, _AXIS)), st.integers(0, 5000))
def test_aims_keep_to_the_side_that_is_decided(character: Character, seed: int) -> None:
    found = list(islice(aims(character, seed), 24))
    for axis in AXES:
        wanted, values = getattr(character, axis), [getattr(aim, axis) for aim in found]
        assert all(-2 <= value <= 2 for value in values)
        if wanted is None:
            assert max(values) - min(values) > 2.5, "what is open is spread"
        else:
            assert all(abs(value - wanted) <= 0.76 for value in values)
            assert wanted == 0 or all(value * wanted > 0 for value in values)


@pytest.mark.parametrize("beat", BEATS, ids=lambda beat: beat.id)
def test_every_rhythm_stands_on_some_page(beat: Any) -> None:
    """No rhythm of the list is one that could never be proposed."""
    assert any(apart(beat.rhythm, (home, 2, 3)) for home in range(3, 9))


def test_documents_are_whole_after_a_style_is_taken() -> None:
    of = site("German stonemasons, calm")
    bodies = documents(of)
    made, new = applied(bodies, planned(bodies), eight(of)[0], list(PARTS), of.assets)
    assert set(made) == set(bodies) and {IDENTITY, CHOICES, FRAME_DOCUMENT} <= set(made)
    assert set(new) == set(planned(made)) and planned(made) == new, "untouched pages are the new plan"


def test_the_order_of_sections_is_proposed_as_far_as_there_is_something_to_tell() -> None:
    full = [one for kind in ("visit", "practice", "cause") for one in eight(plan(material(kind, TEXTS), composed=False))]
    bare = [one for name in BRANDS for one in eight(site(name, audience="", proof=[]))]
    orders = [{str(part.values["order"]) for one in made if (part := one.part("order"))} for made in (full, bare)]
    assert orders[0] == {"usual", "offers", "proof", "people"} and orders[1] <= {"usual", "offers"}
