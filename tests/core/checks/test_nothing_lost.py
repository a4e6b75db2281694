"""A fix takes away what it is about and nothing else: every slot has a defect and, beside it, words that have to stay."""

import re
from typing import Any

import pytest

from formulon.core.checks.page_facts import PagePlace
from formulon.core.checks.preflight import check_site
from formulon.core.checks.rules.content.slots import value_at
from formulon.core.site.catalogue import CATALOGUE
from formulon.core.site.changes import Change, apply
from formulon.core.site.site import FRAME, Section, Site
from formulon.core.system.documents.identity import BrandRule

# Each in a sentence of its own, beside others that are well.
DEFECTS = {
    "links/dead-destination": "We tell [what we know](page:gone) to whoever asks.",
    "content/sample-text": "Lorem ipsum dolor sit amet.",
    "content/words-to-avoid": "It is cheap.",
    "content/placeholder-left": "Come at [[an hour]] or later.",
    "content/slips": "Ring 01632 960175 today.",
    "type/missing-glyphs": "Made with ᚠ of old.",
}
WHOLE = re.compile(r"^(Take the (section|form|picture) out|Take this card out|The layout |Keep the first)")


TEXT = ("Take the text out", "Leave the text out", "Take the passage out")


def kept(site: Site) -> list[str]:
    return kept_in(site.model_dump_json())


def kept_in(text: str) -> list[str]:
    return sorted(re.findall(r"STAYS\d+", text))


def with_section(site: Site, kind: str, content: dict[str, Any], layout: str = "") -> Site:
    layout = layout or next(iter(CATALOGUE[kind].layouts))
    section = Section.model_validate({"id": "own", "kind": kind, "layout": layout, "content": content, "departs": True})
    page = site.pages[0]
    pages = [page.model_copy(update={"sections": [*page.sections, section]}), *site.pages[1:]]
    return Site.model_validate(site.model_copy(update={"pages": pages}).model_dump())


def lost(site: Site, expected: set[str]) -> list[tuple[str, str, list[str]]]:
    """The fixes after which words are gone that are no part of what is told."""
    site.identity.rules.append(
        BrandRule.model_validate({"rule": "words to avoid", "text": "Never “cheap”.", "values": {"words": ["cheap"]}})
    )
    site = Site.model_validate(site.model_dump())
    had, found = kept(site), []
    findings = [one for one in check_site(site).findings if one.section == "own"]
    assert {one.rule for one in findings} >= expected, expected - {one.rule for one in findings}
    for finding in findings:
        for fix in finding.fixes:
            after = kept(apply(site, [Change.model_validate(change) for change in fix.changes]))
            # “The text” is a text of one paragraph, “the passage” a paragraph or an item of a longer one.
            value = value_at(site, PagePlace(finding.page, finding.section, finding.target)) if fix.label in TEXT else ""
            told = [one for one in str(value).split("\n") if any(bad in one for bad in DEFECTS.values())]
            own = kept_in(told[0]) if told and (fix.label == TEXT[-1] or "\n" not in str(value)) else []
            if sorted([*after, *own]) != had and after != had and not WHOLE.match(fix.label):
                found.append((finding.rule, fix.label, after))
    return found


@pytest.mark.parametrize("rule", DEFECTS)
def test_in_a_longer_text(site: Site, rule: str) -> None:
    text = f"The first stays, STAYS1. So does this.\n\nSTAYS2 is before. {DEFECTS[rule]} After it, STAYS3.\n\n- An item, STAYS4\n- {DEFECTS[rule]}\n\nSTAYS5."
    assert lost(with_section(site, "long_text", {"heading": "STAYS0", "body": text}), {rule}) == []


def test_in_a_text_and_in_items(site: Site) -> None:
    bad = " ".join(one for name, one in DEFECTS.items() if not name.startswith("links/"))
    items = [{"title": f"STAYS{number}", "text": f"STAYS{number + 10}. {bad}"} for number in range(3)]
    content = {"heading": "STAYS20", "items": items}
    assert lost(with_section(site, "features", content), {name for name in DEFECTS if not name.startswith("links/")}) == []


def test_in_a_table(site: Site) -> None:
    rows = [
        ["STAYS1", "Lorem ipsum dolor sit amet."],
        ["STAYS2", "It is cheap."],
        ["STAYS3", "At [[an hour]]."],
        ["STAYS4", "[[A price]]"],
        ["STAYS5", "ᚠ"],
    ]
    tables = [(name, slot) for name, one in CATALOGUE.items() for slot, of in one.slots.items() if of.type == "table"]
    for kind, slot in tables:
        made = with_section(
            site.model_copy(deep=True), kind, {"heading": "STAYS0", slot: {"head": ["STAYS6", "STAYS7"], "rows": rows}}
        )
        assert lost(made, {"content/sample-text", "content/words-to-avoid", "content/placeholder-left"}) == []
    assert tables


def test_in_own_html(site: Site) -> None:
    html = (
        "<p>STAYS1 <a class='on' href='page:gone'>and a link STAYS2</a></p><p>Lorem ipsum dolor sit amet.</p><p>STAYS3. It is cheap.</p>"
        "<p>At [[an hour]] STAYS4</p><figure><img src='drawn:arcs/3'><figcaption>STAYS5</figcaption></figure><p>Ring 01632 960175 today.</p>"
    )
    made = with_section(
        site, "own_code", {"heading": "STAYS0", "code": {"html": html, "css": ".STAYS6 { margin: 0 }"}}, "measure"
    )
    assert lost(made, {"links/dead-destination", "content/words-to-avoid", "content/alternative-text"}) == []


def test_every_kind_with_sample_text_in_each_slot_of_it(site: Site) -> None:
    """What stands in one slot is not taken out with what stands in another."""
    for kind, one in CATALOGUE.items():
        texts = [name for name, slot in one.slots.items() if slot.type in ("text", "rich_text") and not slot.spare]
        if kind in FRAME or len(texts) < 2:
            continue
        content = {name: f"STAYS{number}" for number, name in enumerate(texts)} | {
            texts[-1]: "STAYS99. Lorem ipsum dolor sit amet."
        }
        try:
            made = with_section(site.model_copy(deep=True), kind, content)
        except ValueError:
            continue  # a form or a map has to be whole
        assert lost(made, set()) == [], kind
