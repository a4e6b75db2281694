"""The rhythm of grounds: a recipe for all pages, departures, and nothing lost when it is taken off."""

from formulon.core.checks.effect import effect
from formulon.core.site.changes import Change, apply
from formulon.core.site.documents import documents
from formulon.core.site.render import render
from formulon.core.site.site import Site
from formulon.core.system.documents.choices import Choices, Rhythm
from formulon.core.system.resolve import resolve

RHYTHM = Rhythm(opening="brand", middle=["paper", "tint", "deep"], closing="accent")


def grounds(site: Site) -> dict[str, list[str]]:
    return {page.id: [section.ground for section in page.sections] for page in site.drawn}


def test_sections_take_their_grounds_by_place(site: Site) -> None:
    made = grounds(site.with_choices(Choices(rhythm=RHYTHM)))
    for page in site.pages:
        count = len(page.sections)
        wanted = ["brand", *(["paper", "tint", "deep"] * 3)[: max(0, count - 2)], "accent"][:count]
        assert made[page.id] == wanted
    assert grounds(site) != made


def test_a_section_departs_and_the_own_grounds_come_back(site: Site) -> None:
    first = site.pages[0]
    departs = Change(
        document=f"page:{first.id}",
        patch=[{"op": "add", "path": "/sections/1/departs", "value": True}],
    )
    changed = apply(site.with_choices(Choices(rhythm=RHYTHM)), [departs])
    assert grounds(changed)[first.id][1] == first.sections[1].ground != "brand"
    assert grounds(changed)[first.id][0] == "brand"
    assert grounds(changed.with_choices(Choices())) == grounds(site)
    # What is stored are the sections' own grounds.
    assert documents(changed)[f"page:{first.id}"]["sections"][0]["ground"] == first.sections[0].ground


def test_pages_and_the_effect_follow_the_rhythm(site: Site) -> None:
    after = site.with_choices(Choices(rhythm=RHYTHM))
    html = render(after, resolve(after.identity, after.choices))["index.html"].decode()
    assert f'class="hero hero--{site.pages[0].sections[0].layout}" data-ground="brand"' in html
    found = effect(site, after)
    assert found.tokens == [] and {use.page for use in found.sections} == {page.id for page in site.drawn}
