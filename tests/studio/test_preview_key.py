"""The key of a preview changes with its HTML, so that the studio fetches it again, and with nothing that tokens alone show."""

import re
from typing import Any

import pytest

from formulon.core.site.planning.planner import plan
from formulon.core.site.render import Preview, render_page
from formulon.core.site.site import Site
from formulon.core.system.documents.choices import Choices
from formulon.core.system.resolve import resolve
from formulon.studio.services.sites import preview_key
from formulon.studio.services.workbench import resolved
from tests.conftest import quillmoor_identity

MOTIF = {"shape": "ring", "places": {"closing": "band"}}
CHANGES: list[dict[str, Any]] = [
    {"cards": "solid"}, {"cards": "lined"}, {"pictures": "duotone"}, {"grain": 0.4}, {"buttons": {"arrow": "after"}},
    {"buttons": {"raised": True}}, {"buttons": {"small_in_header": True}}, {"logo": {"name_beside": True}},
    {"logo": {"plates": ["navigation"]}}, {"wires": {"navigation": "night"}}, {"pins": {"logo/footer": "quillmoor-symbol"}},
    {"rhythm": {"middle": ["brand"]}}, {"motif": MOTIF}, {"motif": MOTIF | {"seed": 7}}, {"motif": MOTIF | {"shape": "ray"}},
    {"motif": MOTIF | {"places": {"footer": "accent"}}},
    {"motif": MOTIF, "pins": {"motif/order": "9", "motif/room": "0.5"}},
    # What is shown by tokens alone.
    {"radius": 20}, {"density": 1.2}, {"motion": "calm"}, {"scale": {"size": 1.2}}, {"buttons": {"border": 3}},
    {"picture_kinds": {"card": {"ratio": "1:1"}}}, {"wires": {"paper/link": "night"}}, {"logo": {"header_large": 60}},
    {"elevation": "soft"}, {"links": {"padding_block": 1}},
]  # fmt: skip


def html_and_key(site: Site) -> tuple[str, str]:
    """Of the first page, without the tokens, which are set by themselves."""
    system, page = resolve(site.identity, site.choices), site.pages[0]
    html = render_page(site, system, page, Preview("/fonts/"))
    digests = {"identity": "1", "frame": "1"} | {f"page:{one.id}": "1" for one in site.pages}
    return re.sub(r'<style id="tokens">.*?</style>', "", html, flags=re.DOTALL), preview_key(
        site, digests, page, resolved(site)
    )


@pytest.mark.parametrize("symbol_only", [False, True])
@pytest.mark.parametrize("change", CHANGES, ids=str)
def test_the_key_follows_what_is_drawn(change: dict[str, Any], symbol_only: bool) -> None:
    identity = quillmoor_identity()
    if symbol_only:
        identity.marks = [mark for mark in identity.marks if mark.kind == "symbol"]
    before = html_and_key(plan(identity))
    after = html_and_key(plan(identity, Choices.model_validate(change)))
    # A page is fetched again where its HTML is another, and not for what tokens alone show: a drag of those fetches nothing.
    assert (before[1] != after[1]) == (before[0] != after[0])
