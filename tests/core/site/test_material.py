"""The client's own texts and pictures come first, and planning anew keeps what was decided."""

import copy
from typing import Any

from hypothesis import given
from hypothesis import strategies as st

from formulon.core.site.documents import documents
from formulon.core.site.planning.planner import plan
from formulon.core.site.render import Preview, render, render_page
from formulon.core.site.replan import differences, replanned
from formulon.core.site.site import Asset, Rendition, Site
from formulon.core.system.documents.identity import ClientPicture, ClientText, Identity
from formulon.core.system.resolve import resolve


def identity(**more: Any) -> Identity:
    body: dict[str, Any] = {
        "name": "Q",
        "does": "We look up.",
        "offers": [{"name": "School visits"}, {"name": "Shows", "text": "Under the dome."}],
    }
    return Identity.model_validate(body | more)


TEXTS = [
    {"heading": "School visits", "text": "Mornings in term time, thirty pupils at most."},
    {"heading": "About us", "text": "Built by a surveyor."},
    {"heading": "Finding the hill", "text": "Turn off at the mill."},
    {"heading": "If it clouds over", "text": "The same sky, warm and dry."},
    {"heading": "Visit", "text": "Come at dusk.\nBring a torch."},
]


def words(site: Site, page: str) -> str:
    found = site.page(page)
    assert found
    return str([section.content for section in found.sections])


def test_own_texts_stand_where_they_belong_and_each_once() -> None:
    site = plan(identity(texts=TEXTS, pages=["Visit"]))
    assert "thirty pupils" in words(site, "home") and "[[A sentence on" not in words(site, "home")
    assert "surveyor" in words(site, "about") and "clouds over" in words(site, "about")
    assert "Turn off at the mill" in words(site, "visit")  # which tells how to get there
    assert "Come at dusk." in words(site, "visit") and "Bring a torch." in words(site, "visit")
    whole = "".join(words(site, page.id) for page in site.pages)
    assert whole.count("Built by a surveyor.") == whole.count("Turn off at the mill.") == whole.count("The same sky") == 1


def test_a_page_takes_no_text_of_another_thing() -> None:
    """“Visit” and “School visits” share a word and mean two things."""
    site = plan(identity(pages=["Visit"], texts=[{"heading": "School visits", "text": "Mornings in term time."}]))
    assert "[[What visitors should know about: Visit]]" in words(site, "visit")
    assert "Mornings in term time." in words(site, "home")


def test_a_wanted_page_without_material_is_a_marked_gap() -> None:
    site = plan(identity(pages=["Programme", "About", "Programme"]))
    assert [page.id for page in site.pages] == ["home", "programme", "about", "contact"]
    assert "[[What visitors should know about: Programme]]" in words(site, "programme")


def photo(key: str) -> Asset:
    return Asset(
        id=key,
        name=key,
        renditions=[Rendition(width=480, sha256="0" * 64), Rendition(width=960, sha256="1" * 64)],
        width=960,
        height=640,
    )


def test_own_pictures_come_first_in_the_order_and_words_of_the_identity() -> None:
    own = identity(pictures=[{"asset": "b", "alt": "A road"}, {"asset": "gone"}, {"asset": "a"}])
    assert own.pictures[0] == ClientPicture(asset="b", alt="A road")
    site = plan(own, assets=[photo("a"), photo("b"), photo("c")])
    hero, cards = site.pages[0].sections[:2]
    assert hero.content["picture"] == {"source": "asset:b", "alt": "A road", "decorative": False}
    assert cards.content["items"][0]["picture"]["source"] == "asset:a"
    assert cards.content["items"][1]["picture"]["source"].startswith("drawn:")  # c was not chosen


def test_photographs_are_rendered_in_sizes() -> None:
    site = plan(identity(), assets=[photo("a")])
    files = render(site, resolve(site.identity, site.choices), lambda digest: digest.encode())
    assert files["pictures/a-480.webp"] == b"0" * 64 and files["pictures/a-960.webp"] == b"1" * 64
    assert b'srcset="pictures/a-480.webp 480w, pictures/a-960.webp 960w"' in files["index.html"]
    preview = render_page(site, resolve(site.identity, site.choices), site.pages[0], Preview("/f/", "/api/p/"))
    assert 'src="/api/p/a-960.webp"' in preview


def pages(site: Site) -> dict[str, Any]:
    return {name: body for name, body in documents(site).items() if name == "frame" or name.startswith("page:")}


def test_what_nobody_touched_follows_and_what_was_edited_stays() -> None:
    base = pages(plan(identity(strapline="Look up.")))
    mine = copy.deepcopy(base)
    home = mine["page:home"]["sections"]
    home[0]["content"]["heading"] = "Mine"
    home[1]["layout"] = "ledger"
    del home[2]
    home.append({**home[0], "id": "added"})
    new = pages(plan(identity(strapline="Look higher.", does="We look higher than others.", pages=["Visit"])))
    made = replanned(base, mine, new)
    after = {section["id"]: section for section in made["page:home"]["sections"]}
    assert after["hero"]["content"]["heading"] == "Mine"
    assert after["hero"]["content"]["text"] == "We look higher than others."
    assert after["cards"]["layout"] == "ledger"
    assert "picture-text" not in after and "added" in after
    assert "page:visit" in made and made["frame"]["order"] == ["home", "visit", "contact"]
    assert made["frame"]["footer"]["content"]["text"] == "Look higher."
    shown = {(one.page, one.section, one.slot) for one in differences(mine, made)}
    order = next(one for one in differences(mine, made) if one.slot == "order")
    assert order.after == "home · visit · contact"
    assert ("Home", "hero", "text") in shown and ("Visit", "", "") in shown and ("Home", "hero", "heading") not in shown


def test_a_locked_section_stays_whole() -> None:
    base = pages(plan(identity(does="We look up.")))
    mine = copy.deepcopy(base)
    mine["page:home"]["sections"][0]["locked"] = True
    made = replanned(base, mine, pages(plan(identity(does="We look down."))))
    assert made["page:home"]["sections"][0]["content"]["text"] == "We look up."
    assert made["page:home"]["description"] == "We look down."


def test_a_page_that_is_no_longer_wanted_goes_unless_it_was_edited() -> None:
    base = pages(plan(identity(pages=["Visit"])))
    new = pages(plan(identity()))
    assert "page:visit" not in replanned(base, base, new)
    mine = copy.deepcopy(base)
    mine["page:visit"]["name"] = "My visit"
    assert "page:visit" in replanned(base, mine, new)


@given(st.text("abc ", max_size=10), st.lists(st.sampled_from(["Visit", "Prices", "Team"]), max_size=3))
def test_planning_again_without_a_change_changes_nothing_and_untouched_pages_are_the_new_plan(
    does: str, names: list[str]
) -> None:
    base = pages(plan(identity(does="We look up.", texts=[ClientText(text="Some words").model_dump()])))
    assert replanned(base, base, base) == base and differences(base, base) == []
    new = pages(plan(identity(does=does, pages=names)))
    assert replanned(base, base, new) == new
