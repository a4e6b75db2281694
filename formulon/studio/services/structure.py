"""The structure of a brand's site: what operations come to, and what can be added. Nothing is stored; the interface makes the changes."""

from collections.abc import Sequence

from formulon.core.site.site import Page, Site
from formulon.core.site.structure import Arranged, Operation, arranged
from formulon.core.site.structure.offered import Offer, offered_page, offers
from formulon.studio.models import Brand
from formulon.studio.services import sites


def planned(brand: Brand, operations: Sequence[Operation]) -> Arranged:
    """What operations come to, as changes. Raises ChangeError for what cannot be done."""
    return arranged(sites.load(brand), operations)


def additions(site: Site, kind: str) -> tuple[list[Offer], Page] | None:
    """What can be added of a kind, and a page that shows it; None for a kind that there is not."""
    try:
        return offers(site, kind), offered_page(site, kind)
    except KeyError:
        return None
