"""Compositions for a section of a brand, by what it says: sought, checked, and offered. Nothing is stored."""

from formulon.core.checks.predict import predict_section
from formulon.core.checks.runner import check
from formulon.core.site.composing.composer import Composed, Composer
from formulon.core.site.site import Page, Section, Site
from formulon.studio.models import Brand
from formulon.studio.services import sites

OFFERED = 3  # at once


def offered(brand: Brand, page_id: str, section_id: str, seed: int) -> tuple[str, list[Composed]] | None:
    """The kind of a section and compositions for it, the best first, by a number; None where there is no such section. None of them has a stop of preflight
    more than the section has as it is."""
    site = sites.load(brand)
    page = site.page(page_id)
    place = next((index for index, one in enumerate(page.sections) if one.id == section_id), None) if page else None
    if page is None or place is None:
        return None
    section, around = page.sections[place], _around(page, place)
    now = _stops(site, page, section)

    def passes(layout: str) -> bool:
        return _stops(site, page, section.model_copy(update={"layout": layout})) <= now

    composer = Composer(site.system(), site.choices, site.identity)
    return section.kind, composer.compose(
        section.kind, section.content, before=around[0], after=around[1], seed=seed, number=OFFERED, passes=passes
    )  # fmt: skip


def _around(page: Page, place: int) -> list[tuple[str, str] | None]:
    """What stands before and after a section."""
    beside = (place - 1, place + 1)
    return [
        (page.sections[at].kind, page.sections[at].layout) if 0 <= at < len(page.sections) else None for at in beside
    ]  # fmt: skip


def _stops(site: Site, page: Page, section: Section) -> int:
    """How many stops a section has by itself."""
    system = site.system()
    return sum(one.stops for one in check(predict_section(site, system, page, section), system).findings)
