"""A site put together of parts that were read before is the site that reading all of it makes, and is refused where that is."""

from typing import Any

import pytest
from pydantic import ValidationError

from formulon.core.site.site import Site


def parts(site: Site) -> dict[str, Any]:
    return {name: getattr(site, name) for name in Site.model_fields}


def test_it_is_the_same_site(site: Site) -> None:
    made, read = Site.of_parts(**parts(site)), Site(**parts(site))
    assert made == read and made.model_dump() == site.model_dump()
    assert made.drawn == read.drawn and made.targets == read.targets


def test_pages_stand_in_the_order_of_the_frame_and_each_once(site: Site) -> None:
    ids = [page.id for page in site.pages]
    site.frame.order = [ids[-1], "gone", ids[-1]]
    made = Site.of_parts(**parts(site))
    assert [page.id for page in made.pages] == made.frame.order == [ids[-1], *ids[:-1]]


@pytest.mark.parametrize(
    ("change", "said"),
    [({"id": "home"}, "Two pages have the same id"), ({"address": "about"}, "Two pages have the address"), ({"address": "404"}, "is not free")],
)  # fmt: skip
def test_what_does_not_go_together_is_refused_alike(site: Site, change: dict[str, str], said: str) -> None:
    last = site.pages[-1].model_copy(update=change)
    held = parts(site) | {"pages": [*site.pages[:-1], last]}
    for make in (Site.of_parts, Site):
        with pytest.raises(ValidationError, match=said):
            make(**held)
