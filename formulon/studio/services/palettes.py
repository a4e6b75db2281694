"""Whole palettes for a brand: eight at a time, by its trade, by words or by the colours of a reference. Nothing is stored."""

import re
from collections.abc import Sequence
from itertools import islice

from formulon.core.color.moods import MOODS, known_moods
from formulon.core.color.srgb import from_hex
from formulon.core.proposals.palettes import PaletteProposal, Reference, Source, palettes
from formulon.core.site.site import Site
from formulon.core.system.documents.choices import Rhythm
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


def drawn(brand: Brand, colors: Sequence[BrandColor], rhythm: Rhythm) -> Site:
    """The site in other colours, in their rhythm."""
    site = sites.load(brand)
    choices = site.choices.model_copy(update={"rhythm": rhythm})
    return site.model_copy(update={"identity": site.identity.model_copy(update={"colors": list(colors)}), "choices": choices})
