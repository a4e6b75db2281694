"""Tokens that were fixed by hand, given back to the system."""

from collections.abc import Iterator

from formulon.core.checks.rule import Remedy
from formulon.core.site.changes import Change, pointer
from formulon.core.site.documents import CHOICES
from formulon.core.site.site import Site


def without_pins(site: Site, under: str) -> Iterator[Remedy]:
    """The pins of a path and of all below it released, in both schemes."""
    held = [path for path in site.choices.pins if path.rpartition(":")[2].startswith(under.rpartition(":")[2])]
    if held:
        patch = [{"op": "remove", "path": pointer("pins", path)} for path in held]
        yield Remedy("Leave it to the system", (Change(document=CHOICES, patch=patch),))
