"""What a browser sees wrong with a designer's own HTML and CSS is gone after the fix that is offered for it: one site with all of it."""

import pytest

from formulon.core.checks.preflight import Preflight
from formulon.core.measure.own import own_site
from formulon.core.measure.own_checks import OwnChecks
from formulon.core.measure.resident import Resident
from formulon.core.site.changes import Change, apply
from formulon.core.site.site import Section, Site

pytestmark = pytest.mark.browser
LONG = "The long night of the short summer is spent on the hill with blankets, tea and a lamp that is turned to the ground. "
LINK = "<p>Whoever comes reads <a class='on' href='page:about'>what we say of it</a> before the night begins on the hill.</p>"
# What is wrong: the rule that tells it, HTML and CSS.
WRONG = {
    "interaction/focus-seen": (LINK, ".on:focus, .on:focus-visible { outline: none; box-shadow: none }"),
    "interaction/focus-forced": (LINK, ".on:focus, .on:focus-visible { outline: 0; box-shadow: 0 0 0 3px #000 }"),
    "contrast/focus-ring": (LINK, ".on:focus-visible { outline: 3px solid #fafafa; box-shadow: none }"),
    "links/told-in-text": (LINK, ".on { text-decoration: none; color: #444 } p { color: #222 }"),
    "contrast/dichromacy": (LINK, ".on { text-decoration: none; color: #2f4f2f } p { color: #4f2f2f }"),
    "type/line-height": (f"<p>{LONG * 3}</p>", "p { line-height: 1.05 }"),
    "type/least-size": (f"<p>{LONG}</p><p class='more'>{LONG}</p>", "p { font-size: 0.6rem } .more { font-size: x-small }"),
    "type/capitals": (f"<p class='loud'>{LONG}</p>", ".loud { text-transform: uppercase }"),
    "layout/text-cut": (f"<div class='box'>{LONG * 3}</div>", ".box { height: 30px; overflow: hidden }"),
    "type/text-spacing": (f"<div class='box'>{LONG * 2}</div>", ".box { max-height: 10rem; overflow: hidden; width: 18rem; font-size: 1rem; line-height: 1.25 }"),
    "consistency/heading-styles": ("<h3>One of four</h3><h3>Two of four</h3><h3>Three of four</h3><h3 class='x'>Another</h3>", "h3.x { font-size: 44px }"),
    "type/measure": (f"<p class='long'>{LONG * 4}</p>", ".long { width: 1100px }"),
    "layout/still-under-pointer": ("<p><a class='go' href='page:about'>Come along</a></p>", ".go:hover { font-weight: 800; padding: 1rem }"),
    "interaction/pointer-answered": ("<p><a class='go' href='page:about'>Come along</a></p>", ".go, .go:hover { display: inline-block; padding: 1rem; background: #123; color: #fff; text-decoration: none }"),
    "structure/empty-heading": ("<h3> </h3><p>Words.</p>", ""),
    "consistency/stray-fonts": ("<p class='other'>In another face.</p>", ".other { font-family: 'DejaVu Serif' }"),
    "consistency/stray-colors": ("<p class='odd'>In another colour.</p>", ".odd { color: #7a1f52 }"),
    "consistency/shadows": ("".join(f"<div class='s{n}'>Box {n} of them, large enough to be told</div>" for n in range(6)), "".join(f".s{n} {{ padding: 1rem; box-shadow: 0 {n + 1}px 4px #888 }} " for n in range(6))),
    "consistency/corners": ("".join(f"<div class='c{n}'>Box {n} of them, large enough to be told</div>" for n in range(6)), "".join(f".c{n} {{ padding: 1rem; background: #ddd; color: #111; border-radius: {2 * n + 1}px }} " for n in range(6))),
    "consistency/many-sizes": ("".join(f"<p class='z{n}'>Words of a size of their own.</p>" for n in range(7)), "".join(f".z{n} {{ font-size: {13 + n * 0.9}px }} " for n in range(7))),
    "consistency/weights": ("".join(f"<p class='w{n}'>Words of a weight of their own.</p>" for n in range(1, 8)), "".join(f".w{n} {{ font-weight: {n}00 }} " for n in range(1, 8))),
    "consistency/spaces": ("".join(f"<p class='d{n}'>Words that stand apart.</p>" for n in range(12)), "".join(f".d{n} {{ margin-top: {3 + 5 * n}px }} " for n in range(12))),
    "layout/wide-rows": ("<ul class='apart'>" + "".join(f"<li><span>Row {n}</span><span>{n} €</span></li>" for n in range(4)) + "</ul>", ".apart li { display: flex; justify-content: space-between; width: 1000px }"),
    "contrast/on-paper": ("<p class='pale'>Pale words, kept on paper.</p>", ".pale { background: #222; color: #fff } @media print { .pale { background: none; color: #eee; print-color-adjust: exact } }"),
}  # fmt: skip


def section(rule: str, html: str, css: str) -> Section:
    name = rule.replace("/", "-")
    return Section.model_validate(
        {"id": name, "kind": "own_code", "layout": "measure", "content": {"heading": f"Of {rule.split('/')[1]}", "code": {"html": html, "css": css}}}
    )  # fmt: skip


def seen(site: Site, looker: Resident) -> OwnChecks:
    own = own_site(site)
    checks = OwnChecks(site, own)
    for page in own.pages:
        if page.page == site.pages[0].id:
            found = looker.look(own.files, page.path, page.views)
            found.name = page.page
            checks.add(page, found)
    return checks


def test_what_a_browser_sees_is_gone_after_the_fix_that_is_offered(site: Site) -> None:
    page = site.pages[0]
    site = site.model_copy(
        update={
            "pages": [
                page.model_copy(update={"sections": [page.sections[0], *(section(name, *one) for name, one in WRONG.items())]}),
                *site.pages[1:],
            ]
        }
    )
    looker = Resident(idle=60)
    before = seen(site, looker)
    told = {one.rule: one for one in before.report().findings}
    assert told.keys() >= WRONG.keys(), sorted(WRONG.keys() - told.keys())
    made, labels = site, dict[str, str]()
    for rule in WRONG:
        # Each where it stands, on what the others have left.
        work = Preflight(made)
        for one in [
            one
            for one in before.report().findings
            if one.rule == rule and (one.section in ("hero", "", rule.replace("/", "-")))
        ]:
            first = next(each for each in before.own.pages if each.page == page.id)
            cause = before.cause(first, one.key) or before.whole_cause(one.key)
            fixes = work.untried(cause) if cause else []
            if fixes:
                made, labels[rule] = apply(made, [Change.model_validate(change) for change in fixes[0].changes]), fixes[0].label
                work = Preflight(made)
    assert labels.keys() == WRONG.keys(), sorted(WRONG.keys() - labels.keys())
    left = {(one.rule, one.section) for one in seen(made, looker).report().findings}
    looker.close()
    kept = {rule for rule, where in left if where in ("hero", "", rule.replace("/", "-"))}
    assert not kept & WRONG.keys(), sorted(kept & WRONG.keys())
    had = {(one.rule, one.section) for one in before.report().findings}
    assert left <= had, left - had
