"""Near-duplicates, the brand's own proportions, and what drawings are made of."""

import pytest
from coloraide import Color

from formulon.core.checks.predict import predict
from formulon.core.checks.reach import drawn_shares, ink_areas
from formulon.core.site.pictures import KINDS, shares
from formulon.core.site.site import Site
from formulon.core.system.documents.identity import BrandColor, BrandRule, Identity
from formulon.core.system.facets.near_duplicates import TOLERANCE, near_duplicates
from formulon.core.system.facets.proportions import GUIDE, proportions
from formulon.core.system.resolve import resolve


def brand(*values: str) -> Identity:
    return Identity(name="B", colors=[BrandColor(id=f"c{i}", name=f"C{i}", value=v) for i, v in enumerate(values)])


def test_colors_below_the_tolerance_are_offered_nearest_first() -> None:
    values = ("#8E5A9B", "#905B9C", "#8E5A9B", "#1B2147", "#9A66A7")
    found = near_duplicates(brand(*values))
    assert [(one.first, one.second) for one in found] == [("c0", "c2"), ("c0", "c1"), ("c1", "c2")]
    for one in found:  # coloraide as the reference
        a, b = (values[int(name[1])] for name in (one.first, one.second))
        assert one.delta_e == pytest.approx(Color(a).delta_e(b, method="2000"), abs=0.01) and one.delta_e < TOLERANCE


def test_proportions_are_the_guidelines_own_or_a_guide() -> None:
    rule = BrandRule(rule="proportions", text="60 % Chalk, 30 % Night, 10 % lamp", values={"C0": 60, "c1": 30, "Nobody": 10})
    identity = brand("#F6F1E7", "#1B2147").model_copy(update={"rules": [rule]})
    assert proportions(identity).stated == {"c0": 60.0, "c1": 30.0}
    assert proportions(brand("#123456")).stated == {} and proportions(brand()).guide == GUIDE == (60.0, 30.0, 10.0)


@pytest.mark.parametrize("kind", KINDS)
def test_shares_of_a_drawing_fill_it(kind: str) -> None:
    for seed in (1, 7, 300):
        assert sum(shares(f"drawn:{kind}/{seed}").values()) == pytest.approx(1, abs=1e-6)


def test_ink_areas_are_by_token_and_grow_with_the_width(site: Site) -> None:
    system = resolve(site.identity, site.choices)
    facts = predict(site, system)
    small, large = (ink_areas(system, facts, width) for width in (360, 1280))
    assert set(small) == set(large) <= set(system.tokens)
    assert large["ground/deep/heading"] > small["ground/deep/heading"] > 0
    drawn = {p["source"] for page in site.pages for s in page.sections for p in [s.content.get("picture")] if p}
    assert {source for source in drawn if source.startswith("drawn:")} <= set(drawn_shares(facts))
