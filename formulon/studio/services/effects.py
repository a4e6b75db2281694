"""What a change reaches: one that is proposed, and the newest of the history. And where every token is used."""

from typing import Any

from formulon.core.checks.effect import Effect, effect
from formulon.core.checks.predict import predict
from formulon.core.checks.reach import Reach, drawn_shares, ink_areas, reach
from formulon.core.site.changes import patched
from formulon.core.site.documents import CHOICES
from formulon.core.system.documents.choices import Choices
from formulon.studio.models import Brand
from formulon.studio.services import entries, sites

AREA_WIDTH = 1280


def of_patch(brand: Brand, patch: list[dict[str, Any]], revision: int | None = None) -> Effect | None:
    """What a patch on the choices would reach; None where those of the given revision are no longer the newest. Nothing is
    stored."""
    bodies, revisions = sites.bodies_of(brand)  # read once: between two readings another write may land
    if revision is not None and revisions[CHOICES] != revision:
        return None
    site = sites.site_in(brand, bodies, sites.assets_of(brand))
    choices = Choices.model_validate(patched(CHOICES, site.choices.model_dump(), patch))
    return effect(site, site.with_choices(choices), sites.blob_of(brand))


def of_last(brand: Brand) -> tuple[str, Effect] | None:
    """The newest entry's label and what it reached; None before the first."""
    bodies, _ = sites.bodies_of(brand)
    found = entries.before_last(brand, bodies)
    if found is None:
        return None
    label, before = found
    assets = sites.assets_of(brand)
    return label, effect(sites.site_in(brand, before, assets), sites.site_in(brand, bodies, assets), sites.blob_of(brand))


def reach_of(brand: Brand) -> tuple[Reach, dict[str, float], dict[str, dict[int, float]]]:
    """The uses of every token on the pages as they are; the area of each ink's glyphs at AREA_WIDTH; and what drawings are
    made of. With the boxes that the interface measures in the pages, these are the painted area."""
    site = sites.load(brand)
    system = site.system()
    facts = predict(site, system)
    return reach(site, system, facts), ink_areas(system, facts, AREA_WIDTH), drawn_shares(facts)
