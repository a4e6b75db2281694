"""Whole palettes for a brand: eight at a time, by its trade, by words or by the colours of a reference. Nothing is stored."""

import re
from collections.abc import Mapping, Sequence
from itertools import islice

from formulon.core.color.moods import MOODS, known_moods
from formulon.core.color.srgb import from_hex
from formulon.core.proposals.palettes import PaletteProposal, Reference, Source, palettes
from formulon.core.site.site import Site
from formulon.core.system.documents.choices import Choices, Rhythm
from formulon.core.system.documents.identity import BrandColor
from formulon.studio.models import Brand
from formulon.studio.services import sites

SHOWN = 8  # at once, side by side
_SMALL = frozenset({"and", "but", "or", "a", "the", "very", "with"})


def listed(
    brand: Brand, source: Source, text: str, colors: Sequence[tuple[str, float]], first: int
) -> tuple[list[PaletteProposal], bool]:
    """Palettes from a number on, and whether there are more; fewer, or none, where there is nothing to go by."""
    references = [Reference(from_hex(value), share) for value, share in colors]
    found = list(islice(palettes(sites.load(brand), source, text, references, first), SHOWN + 1))
    return found[:SHOWN], len(found) > SHOWN


def words(text: str) -> tuple[list[str], list[str]]:
    """The words of a text that are moods, and those that say nothing."""
    asked = [one for one in dict.fromkeys(re.findall(r"[^\W\d_]+", text.lower())) if one not in _SMALL]
    return known_moods(text), [one for one in asked if one not in MOODS]


def drawn(brand: Brand, colors: Sequence[BrandColor], rhythm: Rhythm, manner: Mapping[str, float | None] | None = None) -> Site:
    """The site in other colours, in their rhythm; with the ratios and the density of a reference where it tells some. Raises
    ValidationError where they are out of bounds."""
    site = sites.load(brand)
    told = {name: value for name, value in (manner or {}).items() if value is not None}
    body = site.choices.model_dump() | {"rhythm": rhythm.model_dump()}
    body["density"] = told.pop("density", body["density"])
    body["scale"] |= told
    identity = site.identity.model_copy(update={"colors": list(colors)})
    return site.model_copy(update={"identity": identity, "choices": Choices.model_validate(body)})
