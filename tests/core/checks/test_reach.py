"""Reach against the pages themselves: selectors of the real style sheet matched on the rendered HTML, element by element,
by cssselect2 and tinycss2; and the effect of a change."""

import re
from collections import Counter

import cssselect2
import pytest
import tinycss2
from lxml import html as lxml_html

from formulon.core.checks.effect import effect
from formulon.core.checks.page_facts import Target
from formulon.core.checks.predict import predict
from formulon.core.checks.reach import reach
from formulon.core.site.catalogue import CATALOGUE
from formulon.core.site.changes import Change, apply
from formulon.core.site.planning.planner import plan
from formulon.core.site.render import Preview, render_page
from formulon.core.site.sheets import site_css
from formulon.core.site.site import Site
from formulon.core.system.documents.choices import Choices
from formulon.core.system.documents.identity import Identity
from formulon.core.system.resolve import resolve
from formulon.core.system.system import System

Counts = dict[str, Counter[tuple[str, str]]]
# States that no rendered element is in: their rules are matched without the state.
_STATES = re.compile(r":(hover|active|visited|focus-visible|focus)(?![\w-])|::(selection|before|after|backdrop)")
# Rules that only draw what the studio or the browser adds: the skip link is no part of a section.
_LEFT_OUT = re.compile(r"\.skip|:root|^body$|^html$")


def colors_in_the_pages(site: Site, system: System) -> Counts:
    """For each colour token of a ground: elements by page and section that a rule with it applies to."""
    rules = []
    for rule in flat(tinycss2.parse_stylesheet(site_css(), skip_whitespace=True, skip_comments=True)):
        names = set(re.findall(r"var\(--([a-z0-9-]+)\)", tinycss2.serialize(rule.content)))
        for part in tinycss2.serialize(rule.prelude).split(","):
            text = part.strip()
            if text == "[data-ground]":
                names = names - {"body"}  # inherited by texts, which have their own ink; the container draws none
            if names and not _LEFT_OUT.search(text):
                rules += [(s, names) for s in cssselect2.compile_selector_list(_STATES.sub("", text) or "*")]
    found: Counts = {path: Counter() for path in system.tokens}
    short = {
        path.split("/", 2)[2].replace("/", "-"): path.split("/", 2)[2] for path in system.tokens if path.startswith("ground/")
    }
    for page in site.pages:
        root = lxml_html.fromstring(render_page(site, system, page, Preview("/fonts/")))
        wrapper = cssselect2.ElementWrapper.from_html_root(root)
        for element in wrapper.iter_subtree():
            section = next((a for a in [element, *element.ancestors[::-1]] if a.etree_element.get("data-section")), None)
            ground = next((a for a in [element, *element.ancestors[::-1]] if a.etree_element.get("data-ground")), None)
            if section is None or ground is None:
                continue
            names = {name for selector, names in rules if selector.test(element) for name in names}
            at = page.id, section.etree_element.get("data-section")
            for name in names:
                if name in short:
                    found[f"ground/{ground.etree_element.get('data-ground')}/{short[name]}"][at] += 1
                elif re.fullmatch(r"picture-\d", name):
                    found[name.replace("-", "/")][at] += 1
    return found


def flat(rules: list) -> list:  # type: ignore[type-arg]
    """The qualified rules of a style sheet, those in media queries included."""
    made = []
    for rule in rules:
        if rule.type == "qualified-rule":
            made.append(rule)
        elif rule.type == "at-rule" and rule.content and rule.lower_at_keyword == "media":
            made += flat(tinycss2.parse_rule_list(rule.content, skip_whitespace=True, skip_comments=True))
    return made


def every_layout(site: Site) -> Site:
    """The site with each of its sections in every layout of its kind, so that no layout is left out."""
    body = site.model_dump()
    for page in body["pages"]:
        made = []
        for section in page["sections"]:
            for layout in CATALOGUE[section["kind"]].layouts:
                made.append(section | {"id": f"{section['id']}-{layout}"[:60], "layout": layout})
        page["sections"] = made
    return Site.model_validate(body)


@pytest.mark.parametrize("layouts", [False, True])
def test_colors_are_used_where_the_pages_draw_with_them(site: Site, layouts: bool) -> None:
    site = every_layout(site) if layouts else site
    system = resolve(site.identity, site.choices)
    mine, theirs = reach(site, system, predict(site, system)), colors_in_the_pages(site, system)
    for path in system.tokens:
        if not path.startswith("ground/") or path.endswith(("/selection", "/selection-ink", "/focus", "/focus-inner")):
            continue  # those four apply to every element alike; here they are counted by text and link
        wanted = {at for at, count in theirs[path].items() if count}
        assert {(use.page, use.section) for use in mine[path]} == wanted, path


def test_counts_of_inks_and_buttons(site: Site) -> None:
    system = resolve(site.identity, site.choices)
    mine, theirs = reach(site, system, predict(site, system)), colors_in_the_pages(site, system)
    for path in ("ground/paper/heading", "ground/deep/primary/fill/rest", "ground/paper/quiet", "ground/paper/text/label/rest"):
        assert {(use.page, use.section): use.count for use in mine[path]} == dict(theirs[path]), path


def test_a_brand_color_is_used_where_its_aliases_are(site: Site) -> None:
    system = resolve(site.identity, site.choices)
    found = reach(site, system, predict(site, system))
    aliases = [path for path, token in system.tokens.items() if token.alias == "brand/night"]
    assert sum(use.count for use in found["brand/night"]) >= sum(
        use.count for path in aliases if path.startswith("ground/") for use in found[path]
    )
    assert found["ground/paper/field/fill/rest"] == []  # no page has a form yet
    assert found["ground/paper/background"]


def test_the_effect_of_a_wire(site: Site) -> None:
    wire = Change(document="choices", patch=[{"op": "add", "path": "/wires/deep~1heading", "value": "lamp"}])
    found = effect(site, apply(site, [wire]))
    assert "ground/deep/heading" in {change.path for change in found.tokens}
    assert all(change.before != change.after for change in found.tokens)
    on_deep = {(p.id, s.id) for p in site.pages for s in p.sections if s.ground == "deep"}
    assert {(use.page, use.section) for use in found.sections} <= on_deep
    assert found.sections and found.turned == [] and found.conflicts_after == 0


def test_the_effect_of_a_wire_that_cannot_be_read(site: Site) -> None:
    wire = Change(document="choices", patch=[{"op": "add", "path": "/wires/paper~1heading", "value": "lamp"}])
    found = effect(site, apply(site, [wire]))
    turned = {(one.ground, one.ink): one for one in found.turned}["paper", "heading"]
    assert not turned.passes and turned.after == pytest.approx(1.77, abs=0.01) and turned.uses > 0
    assert found.conflicts_after > found.conflicts_before == 0 and found.stops_after > found.stops_before
    back = effect(apply(site, [wire]), site)
    assert {one.passes for one in back.turned} == {True}


def test_a_change_of_the_header_reaches_every_page(site: Site) -> None:
    layout = Change(document="frame", patch=[{"op": "replace", "path": "/header/layout", "value": "masthead"}])
    found = effect(site, apply(site, [layout]))
    assert [(use.page, use.section) for use in found.sections] == [(page.id, "header") for page in site.pages]


def test_no_change_has_no_effect(site: Site) -> None:
    found = effect(site, site)
    assert (found.tokens, found.sections, found.turned) == ([], [], [])


def test_measures_of_buttons_links_and_marks_are_used_where_those_stand(quillmoor: Identity) -> None:
    """A token that is listed as unused is named by no rule that anything on a page is drawn with."""
    site = plan(quillmoor)
    system = resolve(site.identity, site.choices)
    found = reach(site, system, predict(site, system))
    never = {path for path, uses in found.items() if not uses and path.split("/")[0] in ("button", "link", "shape", "mark")}
    assert never == {  # no field stands on these pages, no small button, and what a mark needs at least is no measure of it
        "shape/field-radius", "button/small-padding-block", "button/small-padding-inline", "mark/least-height", "mark/clear-space",
    }  # fmt: skip
    buttons = sum(1 for f in predict(site, system) if isinstance(f, Target) and f.kind == "button")
    assert sum(use.count for use in found["button/padding-inline"]) == buttons
    moving = site.with_choices(Choices.model_validate({"motion": "calm", "buttons": {"small_in_header": True}}))
    system = resolve(moving.identity, moving.choices)
    found = reach(moving, system, predict(moving, system))
    assert {use.section for use in found["button/small-padding-inline"]} == {"header"} and found["motion/duration"]
