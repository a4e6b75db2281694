"""What a guideline rules out is told where a site has it, and its fix takes it away."""

from typing import Any

import pytest

from formulon.core.checks.findings import Fix
from formulon.core.checks.preflight import check_site
from formulon.core.site.changes import Change, apply
from formulon.core.site.planning.planner import plan
from formulon.core.site.site import Asset, Rendition, Site
from formulon.core.system.documents.choices import Choices
from formulon.core.system.documents.identity import RULED_OUT, BrandRule, Identity

BARE: dict[str, Any] = {"radius": 0, "cards": "plain"}
HAVING: dict[str, dict[str, Any]] = {
    "shadows": {"elevation": "crisp"},
    "round corners": {"corners": {"card": 4}},
    "capitals": {"scale": {"steps": {"label": {"case": "uppercase", "weight": 700}}}},
    "treated photographs": {"pictures": "duotone"},
    "motion": {"motion": "lively"},
}


def ruling(identity: Identity, *what: str) -> Identity:
    rule = BrandRule(rule="not used", text=f"No {' and no '.join(what)}, ever.", values={"what": list(what)})
    return identity.model_copy(update={"rules": [rule]})


def mended_by(site: Site, fix: Fix) -> Site:
    return apply(site, [Change.model_validate(change) for change in fix.changes])


def told(site: Site) -> list[Any]:
    return [one for one in check_site(site).findings if one.rule == "brand/ruled-out"]


@pytest.mark.parametrize("what", HAVING)
def test_what_the_style_has_is_told_once_and_taken_away(quillmoor: Identity, what: str) -> None:
    assert told(plan(ruling(quillmoor, *RULED_OUT), Choices.model_validate(BARE))) == []
    site = plan(ruling(quillmoor, *RULED_OUT), Choices.model_validate(BARE | HAVING[what]))
    (finding,) = told(site)
    assert what in finding.message and "ever.”" in finding.message and finding.page == site.pages[0].id
    (fix,) = finding.fixes
    mended = mended_by(site, fix)
    assert told(mended) == []
    if what == "capitals":
        assert mended.choices.scale.steps["label"].weight == 700
    # Nothing is said where the guideline does not rule it out.
    assert told(plan(quillmoor, Choices.model_validate(BARE | HAVING[what]))) == []


@pytest.mark.parametrize(
    "shadows", [{"cards": "lifted"}, {"buttons": {"raised": True}}, {"cards": "lifted", "elevation": "soft"}]
)
def test_every_way_to_a_shadow_is_one(quillmoor: Identity, shadows: dict[str, Any]) -> None:
    (finding,) = told(site := plan(ruling(quillmoor, "shadows"), Choices.model_validate(BARE | shadows)))
    assert told(mended_by(site, finding.fixes[0])) == []


def test_italics_are_told_where_they_stand(quillmoor: Identity) -> None:
    site = plan(ruling(quillmoor, "italics"), Choices.model_validate(BARE))
    assert told(site) == []
    section = next(one for one in site.pages[0].sections if "heading" in one.content)
    section.content["heading"] = "The *dark* is worth it"
    (finding,) = told(site)
    assert finding.section == section.id and "dark" in finding.message
    mended = mended_by(site, finding.fixes[0])
    assert told(mended) == [] and "The dark is worth it" in mended.model_dump_json()


@pytest.mark.parametrize(("shape", "what"), [("foot", {"gradient", "on-picture"}), ("even", {"on-picture"})])
def test_texts_on_pictures_and_their_gradients_are_told(quillmoor: Identity, shape: str, what: set[str]) -> None:
    site = plan(ruling(quillmoor, "gradients", "text on pictures"), Choices.model_validate(BARE))
    hero = site.pages[0].sections[0]
    hero.layout = "backcloth"
    hero.content["picture"] = {
        "source": "asset:photo",
        "alt": "A photograph",
        "decorative": False,
        "overlay": {"opacity": 0.8, "shape": shape},
    }
    site.assets.append(
        Asset(id="photo", name="Photo", width=160, height=120, renditions=[Rendition(width=160, sha256="0" * 64)])
    )
    found = {one.code for one in told(site)}
    assert found == what


def test_what_cannot_be_told_cannot_be_ruled_out() -> None:
    with pytest.raises(ValueError, match="cannot be told"):
        BrandRule(rule="not used", text="No kittens.", values={"what": ["kittens"]})
    with pytest.raises(ValueError, match="cannot be told"):
        BrandRule(rule="not used", text="No kittens.", values={})
