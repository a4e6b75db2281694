"""The structure of a brand's site: what operations come to, and what can be added. Nothing is stored; the interface makes the changes."""

from collections.abc import Sequence

from formulon.core.site.changes import Change
from formulon.core.site.searching import Occurrence, replaced, search
from formulon.core.site.site import Site
from formulon.core.site.structure import Arranged, Operation, arranged
from formulon.core.site.structure.offered import Offer, offers, shown
from formulon.studio.models import Brand
from formulon.studio.services import sites


def planned(brand: Brand, operations: Sequence[Operation]) -> Arranged:
    """What operations come to, as changes. Raises ChangeError for what cannot be done."""
    return arranged(sites.load(brand), operations)


def additions(site: Site, kind: str) -> tuple[list[Offer], Site] | None:
    """What can be added of a kind, and a site that shows it; None for a kind that there is not."""
    try:
        made = offers(site, kind)
    except KeyError:
        return None
    return made, shown(site, made)


def searched(
    brand: Brand, words: str, by: str | None, only: Sequence[tuple[str, str]] | None, cases: bool, whole: bool
) -> tuple[list[Occurrence], list[Change]]:
    """Where words stand on a brand's site, and, with `by`, the changes that put others in their place."""
    site = sites.load(brand)
    changes = [] if by is None else replaced(site, words, by, None if only is None else set(only), cases, whole)
    return search(site, words, cases, whole), changes
