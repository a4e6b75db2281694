"""What search results and cards show of a page is proposed from its own words, and from nothing else."""

import pytest

from formulon.core.site.listing import MOST_DESCRIPTION, descriptions, own_words, titles
from formulon.core.site.planning.planner import plan
from formulon.core.system.documents.identity import Identity
from formulon.core.type.emphasis import plain

QUARRY = {
    "name": "Steinbruch am Hang", "language": "de", "strapline": "Stein, der bleibt.", "does": "Wir brechen *roten* Sandstein. " * 12,
    "offers": [{"name": "Platten", "text": "Gesägt, nicht gebrochen."}], "contact": {"email": "stein@hang.example"},
}  # fmt: skip
TEA = {"name": "茶屋 しずく", "language": "ja", "does": "山の水でお茶をいれます。"}
BARE = {"name": "B" * 80, "language": "cy"}


@pytest.mark.parametrize("brand", [QUARRY, TEA, BARE])
def test_proposals_are_short_enough_plain_and_of_the_page(brand: dict[str, object]) -> None:
    site = plan(Identity.model_validate(brand), composed=False)
    for page in site.pages:
        assert titles(site, page) and descriptions(site, page)
        for title in titles(site, page):
            assert 0 < len(title) <= 70 and "[[" not in title and "*" not in title and title == title.strip()
            assert site.identity.name[:70] in title or title in site.identity.name
        for description in descriptions(site, page):
            assert 0 < len(description) <= max(MOST_DESCRIPTION, len(page.name) + len(site.identity.name) + 3)
            assert "[[" not in description and "*" not in description
            words = description.rstrip("…").rstrip()
            known = " ".join(
                plain(
                    f"{own_words(page)} {site.identity.does} {site.identity.strapline} {page.name}: {site.identity.name}."
                ).split()
            )
            assert words in known


def test_the_start_page_is_named_by_the_brand_and_the_others_by_what_they_are() -> None:
    site = plan(Identity.model_validate(QUARRY), composed=False)
    assert titles(site, site.pages[0])[0] == "Steinbruch am Hang – Stein, der bleibt"
    other = titles(site, site.pages[-1])
    assert other and all(one.endswith(" – Steinbruch am Hang") for one in other) and len(set(other)) == len(other)
