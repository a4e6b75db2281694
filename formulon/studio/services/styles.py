"""Style proposals of a brand: eight at a time, each seen on the brand's own pages, taken whole or in parts as one entry."""

from collections.abc import Sequence
from itertools import islice
from typing import Any

from django.contrib.auth.models import User

from formulon.core.proposals.propose import applied, proposals
from formulon.core.proposals.style import PARTS, StyleProposal
from formulon.core.site.documents import CHOICES, site_of
from formulon.core.site.site import Site
from formulon.core.system.documents.choices import StylePart
from formulon.studio.errors import StudioError
from formulon.studio.models import Brand
from formulon.studio.services import history, sites
from formulon.studio.services.kept import Kept

SHOWN = 8  # at once, side by side
MOST = 64  # a brand's proposals are counted up to here
_kept: Kept[tuple[Any, ...], tuple[StyleProposal, ...]] = Kept(64)


def listed(brand: Brand, first: int = 1, count: int = SHOWN) -> tuple[StyleProposal, ...]:
    """Proposals from a number on. Raises StudioError for a number that is none."""
    if not 1 <= first <= MOST:
        raise StudioError(f"Proposals are counted from 1 to {MOST}.")
    key = brand.pk, first, count, *sorted(sites.bodies_of(brand)[1].items())
    known = _kept.get(key)
    if known is None:
        known = _kept[key] = tuple(islice(proposals(sites.load(brand), first), count))
    return known


def numbered(brand: Brand, number: int) -> StyleProposal:
    """The proposal of that number."""
    place = (number - 1) % SHOWN
    return listed(brand, number - place)[place]


def drawn(brand: Brand, number: int) -> Site:
    """The site once the whole of a proposal was taken. Nothing is stored."""
    bodies, assets = sites.bodies_of(brand)[0], sites.assets_of(brand)
    proposal = numbered(brand, number)
    library = sites.library_of(brand, sites.load(brand).identity)
    made, _ = applied(bodies, brand.planned, proposal, [one.part for one in proposal.parts], assets, library)
    return site_of(made, assets, library)  # not kept: eight of them would drive out the brand as it is


def take(brand: Brand, author: User | None, number: int, parts: Sequence[StylePart], revision: int) -> None:
    """Takes a proposal, whole or in parts, as one entry. Raises Stale where the choices have moved on, StudioError where none of the
    parts is in it."""
    proposal = numbered(brand, number)
    chosen = [one.part for one in proposal.parts if one.part in parts]
    if not chosen:
        raise StudioError("Nothing of this style can be taken: what was chosen is decided already.")
    whole = len(chosen) == len(proposal.parts)
    names = ", ".join(PARTS[part].name.lower() for part in chosen)
    label = f"Style taken: {proposal.name}" if whole else f"Style taken in part: {names}"[:160]
    history.restyle(
        brand,
        author,
        label,
        {CHOICES: revision},
        lambda bodies, base, assets, library: applied(bodies, base, proposal, chosen, assets, library),
    )
