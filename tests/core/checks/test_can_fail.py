"""Preflight can fail: every rule is failed by something that people do, be it in the studio or on a site of any making. Rules that look at one
page of any making are failed by the seeded defects (tools/seeded.py), which a browser sees in tests/core/measure/test_looking.py."""

import re
from collections.abc import Callable
from typing import Any

import pytest
import seeded

from formulon.core.checks.preflight import check_site
from formulon.core.checks.rule import rules
from formulon.core.measure.files import SiteFiles
from formulon.core.measure.foreign import allowed_in, check_files
from formulon.core.measure.own import own_site
from formulon.core.measure.own_checks import OwnChecks
from formulon.core.measure.resident import Resident
from formulon.core.site.planning.planner import plan
from formulon.core.site.site import Asset, Rendition, Section, Site
from formulon.core.system.documents.identity import BrandRule, Identity

Change = Callable[[Site], Site | None]
PICTURE = {"source": "drawn:arcs/1", "alt": "", "decorative": True}
LONG = "The long night of the short summer is spent on the hill with blankets, tea and a lamp that is turned to the ground. "


def hero(**content: Any) -> Change:
    """Something else in the first section of the first page."""

    def change(site: Site) -> None:
        site.pages[0].sections[0].content.update(content)

    return change


def more(kind: str, layout: str, page: int = 0, ground: str = "paper", departs: bool = False, **content: Any) -> Change:
    """A section at the end of a page."""

    def change(site: Site) -> None:
        made = {
            "id": f"more-{len(site.pages[page].sections)}",
            "kind": kind,
            "layout": layout,
            "ground": ground,
            "departs": departs,
        }
        site.pages[page].sections.append(Section.model_validate(made | {"content": {"heading": "And more"} | content}))

    return change


def code(html: str, css: str = "") -> Change:
    return more("own_code", "measure", code={"html": html, "css": css})


def both(*changes: Change) -> Change:
    def change(site: Site) -> Site:
        for one in changes:
            site = one(site) or site
        return site

    return change


def choice(**chosen: Any) -> Change:
    def change(site: Site) -> Site:
        body = site.model_dump()
        body["choices"] |= chosen
        return Site.model_validate(body)

    return change


def ruling(rule: str, text: str, **values: Any) -> Change:
    def change(site: Site) -> None:
        site.identity.rules.append(BrandRule.model_validate({"rule": rule, "text": text, "values": values}))

    return change


def photograph(width: int, height: int, colors: dict[str, float] | None = None, size: int = 0) -> Change:
    """A photograph behind the first words."""

    def change(site: Site) -> None:
        sizes = [Rendition(width=width, sha256="0" * 64, size=size)]
        site.assets.append(Asset(id="photo", name="Photo", width=width, height=height, renditions=sizes, colors=colors or {}))
        first = site.pages[0].sections[0]
        first.layout = "backcloth"
        first.content["picture"] = {"source": "asset:photo", "alt": "A hill", "decorative": False}

    return change


def brand(**identity: Any) -> Change:
    return lambda _: plan(
        Identity.model_validate({"name": "Quill", "colors": [{"name": "Night", "value": "#1b2147"}]} | identity)
    )


def named(name: str) -> Change:
    """Another name for the second page."""

    def change(site: Site) -> None:
        site.pages[1].name = name

    return change


def forbidden(site: Site) -> Site:
    """A pair that the guideline rules out, pinned by hand."""
    ink = site.identity.colors[0]
    paper = site.system().tokens["ground/paper/background"].css
    site.identity.colors.append(ink.model_copy(update={"id": "ground-of-it", "name": "Ground of it", "value": paper}))
    ruling("forbidden pair", "Never the one on the other.", ink=ink.name, ground="Ground of it")(site)
    return choice(pins={"ground/paper/heading": ink.value})(site) or site


def faded(site: Site) -> None:
    """Marks in a colour that is hardly seen on the paper."""
    for one in site.identity.marks:
        one.svg = re.sub(r"#[0-9a-fA-F]{6}", "#efe6d6", one.svg)


def moved(site: Site) -> None:
    site.pages[0].order_on = {"phone": [one.id for one in reversed(site.pages[0].sections)]}


def long_hero(site: Site) -> None:
    site.pages[0].sections[0].layout = "words"
    site.pages[0].sections[0].content["text"] = "A long proposition that goes on and on. " * 14


LINK = {"label": "Read on", "to": "page:about"}
STUDIO: dict[str, Change] = {
    "brand/colors-present": brand(colors=[{"name": "Night", "value": "#1b2147"}, {"name": "Rust", "value": "#8a3d11"}, {"name": "Moss", "value": "#3a5a40"}]),
    "brand/forbidden-pair": forbidden,
    "brand/mark-variant": faded,
    "brand/motif": choice(motif={"shape": "wave", "places": {}}),
    "brand/mark-size": choice(logo={"header_small": 18, "header_large": 20}),
    "brand/ruled-out": both(ruling("not used", "No italics.", what=["italics"]), hero(heading="The *dark*")),
    "code/left-out": code("<p>Words</p><script>alert(1)</script>"),
    "code/own-colors": code('<p class="odd">Words</p>', ".odd { color: #7a1fa2 }"),
    "code/untold": code('<p class="veil">Words</p>', ".veil { background: linear-gradient(red, blue) }"),
    "consistency/unused-tokens": choice(pins={"ground/tint/primary/fill/rest": "#202020"}),
    "consistency/departures": more("text", "statement", ground="deep", departs=True, text="Quiet."),
    "content/lengths-alike": more("features", "rows", items=[{"title": "A", "text": "Short."}, {"title": "B", "text": LONG * 3}]),
    "content/missing-phrase": brand(language="bo"),
    "content/name-spelling": hero(text="The QUILLMOOR observatory is dark."),
    "content/own-language": brand(language="bo"),
    "content/placeholder-left": hero(text="[To be written]"),
    "content/purpose": both(named("Prices"), more("text", "statement", page=1, text="We like our work.")),
    "content/sentences": hero(text="One is said. Two is said. Three is said."),
    "content/slips": hero(text="Ring 01632 960148 today."),
    "content/strongest-first": more(
        "offers", "shelf", items=[{"title": "A", "text": "B"}, {"title": "C", "text": "D", "price": "£ 4", "picture": PICTURE}]
    ),
    "content/usual-number": more("quotes", "voices", items=[{"text": "It is quiet.", "name": "A. Miller"}]),
    "content/words-to-avoid": both(ruling("words to avoid", "Never “stargazing”.", words=["stargazing"]), hero(text="Stargazing at eight.")),
    "contrast/text-enhanced": choice(policy="own", pins={"ground/paper/body": "#6b6b6b"}),
    "contrast/text-on-picture": photograph(1600, 1000),
    "forms/can-be-answered": more("contact", "desk", form={"fields": [{"label": "Name", "kind": "name"}], "label": "Send", "to": "mailto:a@b.example"}),
    "forms/labels-apart": more("contact", "desk", form={"fields": [{"label": "Mail", "kind": "email"}, {"label": "mail ", "kind": "text"}], "label": "Send", "to": "mailto:a@b.example"}),
    "forms/recipient": more("contact", "desk", form={"fields": [{"label": "Mail", "kind": "email"}], "label": "Send", "to": ""}),
    "layout/first-screen": both(long_hero, choice(scale={"steps": {"intro": {"small": 24, "large": 24}}})),
    "layout/rows-of-items": more("logos", "register", items=[{"picture": PICTURE, "name": f"Mark {number}"} for number in range(12)]),
    "layout/same-again": both(*[more("picture_text", "column", departs=True, text="Quiet.")] * 3),
    "layout/strong-grounds": both(more("picture_text", "column", ground="brand", departs=True), more("picture_text", "offset", ground="deep", departs=True)),
    "links/label-across-pages": both(more("picture_text", "column", link=LINK), more("picture_text", "column", 1, link=LINK | {"to": "page:contact"})),
    "pictures/palette": photograph(1600, 1000, {"#2f9e2f": 0.9}),
    "pictures/too-heavy": photograph(1600, 1000, size=900_000),
    "structure/main-actions": hero(primary={"label": "Come", "to": "page:about"}, secondary={"label": "Ask", "to": "page:contact", "drawn_as": "primary"}),
    "structure/order-by-width": moved,
    "type/headline-lines": hero(heading=LONG),
    "type/missing-glyphs": hero(heading="ᚠᛇᚻ᛫ᛒᛦᚦ"),
    "type/orphan": both(brand(), *[more("picture_text", "sill", heading=(LONG.replace(",", "")[:-2] + " below the old tower " + "x" * count)[:158]) for count in range(1, 24, 3)]),
    "type/real-emphasis": hero(heading="The *dark*"),
    "type/word-fits": both(brand(), more("text", "statement", text=LONG.strip().replace(" ", "\u00a0"))),  # as pasted out of a letter
}  # fmt: skip


@pytest.mark.parametrize("name", STUDIO)
def test_what_people_do_in_the_studio_fails_it(site: Site, name: str) -> None:
    before = {one.key for one in check_site(site, most=0).findings if one.rule == name}
    changed = STUDIO[name](site) or site
    found = [one for one in check_site(Site.model_validate(changed.model_dump()), most=0).findings if one.rule == name]
    assert [one for one in found if one.key not in before and one.message], name


# What is done to a site's files on its way to a browser, by whoever hands them over.
AFTERWARDS = """
.mark--header { transform: rotate(9deg); margin-inline-end: -40px; box-shadow: 0 2px 4px #000 }
.mark--footer { width: 300px; height: 40px; object-fit: fill }
.footer .mark { margin-bottom: -50px }
main h1.t-h1 { font-size: 90px }
main .button { background: none !important; border-color: transparent !important }
"""
SEEN = {"contrast/main-button", "brand/mark-clear", "brand/mark-unaltered", "brand/proportions", "layout/as-predicted"}


@pytest.mark.browser
def test_what_a_browser_sees_of_a_brand_fails_it(site: Site) -> None:
    night = site.identity.colors[0]
    ruling("proportions", "Nearly everything is night.", **{night.name: 95})(site)
    own = own_site(site)
    page, data = own.pages[0], dict(own.files.data)
    checks, looker = OwnChecks(site, own), Resident(idle=5)
    for sheet in [name for name in data if name.endswith("site.css")]:
        data[sheet] += AFTERWARDS.encode()
    changed = SiteFiles(None, {name: len(one) for name, one in data.items()}, data)
    checks.add(page, looker.look(changed, page.path, page.views))
    looker.close()
    found = {one.rule: one.message for one in checks.report().findings}
    assert found.keys() >= SEEN, sorted(SEEN - found.keys())


# Four pages of one site that go different ways.
_STYLE = """*{box-sizing:border-box}body{margin:0;font:17px/1.5 Georgia,serif;color:#222;background:#fff}main{padding:24px;max-width:40rem}a{color:#0b5d3b}
header,footer{padding:16px}h1{font-size:34px;line-height:1.2}h2{font-size:24px;line-height:1.2}.go{display:inline-block;padding:12px 18px;background:#0b5d3b;color:#fff}.go:hover{background:#000}
.box{padding:16px;border:1px solid #888;border-radius:6px;box-shadow:0 1px 2px #888}"""
_SHAPES = "".join(
    f'<div class="box" style="border-radius:{n}px;box-shadow:0 {n}px {2 * n}px #777">Box {n}</div>' for n in range(3, 22, 2)
)
_SIZES = "".join(
    f'<p style="font-size:{size}px;margin-bottom:{3 * size}px">Words of their own size, {size}.</p>' for size in range(13, 33)
)
_FACES = "".join(
    f'<p style="font-family:{face}">Words in another face.</p>'
    for face in ("Arial", "Verdana", "'Courier New'", "'DejaVu Serif'", "'DejaVu Sans Mono'", "Georgia")
)
_THICK = "".join(
    f'<p style="font-weight:{weight}">Words as thick as {weight}.</p>'
    for weight in (100, 200, 300, 400, 500, 600, 700, 800, 900)
)
_PARTS = {
    "index": ("Reed", f'<p>{LONG * 2}</p><h2>Where reeds usually grow</h2><p>On 12 May 2026 we cut. Again on 3 June 2026.</p><h2>Who gathers every winter</h2><a class="go" href="two.html">See the yard</a>{_SHAPES}'),
    "two": ("Reed", f'<p>{LONG * 2}</p><h2>How bundles slowly dry</h2><p>Cut on 2026-07-01.</p><h2>What bundles usually cost.</h2><a class="go" style="border-radius:30px;background:#a33;font-family:Arial" href="three.html">On to the prices</a>{_SIZES}'),
    "three": ("Prices", f'<h2>When people usually come</h2><h2>Our Wonderful Winter Prices</h2><p style="color:#0b5d3b">The green.</p><p style="color:#0b5d3d">Nearly the green.</p>'
        f'<a class="go" style="border-radius:9px" href="two.html">Visit us</a><p><a class="go" href="two.html">Back to the drying</a> <a class="go" href="two.html">Up the yard</a> <a class="go" href="two.html">To the roof</a> <a class="go" href="two.html">To the bundles</a></p>{_FACES}'),
    "alone": ("Alone", f'<p style="color:#8a2b0e">Nobody leads here but <a style="color:#4f6410;text-decoration:none" href="index.html">whoever knows it</a> by heart.</p><img src="https://elsewhere.example/pixel.png" alt="A pixel" width="60" height="40">{_THICK}'),
}  # fmt: skip
WHOLE = {
    "brand/typefaces", "consistency/mark", "consistency/spaces", "consistency/buttons", "consistency/capitals-of-words", "consistency/corners", "consistency/frame", "consistency/full-stops",
    "consistency/many-fonts", "consistency/many-sizes", "consistency/navigation", "consistency/near-colors", "consistency/shadows",
    "consistency/stray-colors", "consistency/stray-fonts", "consistency/weights", "content/repeated", "content/written-alike",
    "contrast/dichromacy", "links/labels-for-one", "links/orphan-page", "publishing/canonical", "publishing/icon", "publishing/kept-away",
    "publishing/other-hosts", "publishing/sitemap", "publishing/titles-apart",
}  # fmt: skip
TOKENS = '{"green": {"$type": "color", "$value": "#0b5d3b"}, "face": {"$type": "fontFamily", "$value": "Georgia"}, "other": {"$type": "fontFamily", "$value": "Reed Sans"}}'


@pytest.mark.browser
def test_what_whole_sites_do_fails_it() -> None:
    data = {"robots.txt": b"User-agent: *\nDisallow: /\n"} | {
        f"{name}.png": seeded.png(60, 20, (9, 90, 60)) for name in ("mark", "old")
    }
    for name, (title, body) in _PARTS.items():
        menu = "".join(f'<a href="{to}.html">{to.title()}</a> ' for to in ("index", "two", "three")[name == "three" :])
        canonical = '<link rel="canonical" href="https://reed.example/else.html">' if name in ("two", "three") else ""
        robots = '<meta name="robots" content="noindex">' if name == "index" else ""
        data[f"{name}.html"] = (
            f'<!doctype html><html lang="en"><head><meta charset="utf-8"><title>{title}</title>{canonical}{robots}<meta name="description" content="{name}">'
            f'<meta name="viewport" content="width=device-width, initial-scale=1"><style>{_STYLE}</style></head><body><header><img src="{"old" if name == "two" else "mark"}.png" alt="Reed" width="60" height="20">{menu}</header><main><h1>{title} {name}</h1>{body}'
            f'</main><footer><p>{"Reed yard, The Lane" if name == "two" else "Reed yard, Long Lane 4"}</p></footer></body></html>'
        ).encode()  # fmt: skip
    files = SiteFiles(None, {name: len(one) for name, one in data.items()}, data)
    found = {one.rule for one in check_files(files, (360, 1280), allowed=allowed_in("t.json", TOKENS)).report.findings}
    assert found >= WHOLE, sorted(WHOLE - found)


LATE = {"layout/moves"}  # by a file that comes late: tests/core/measure/test_looking.py


def test_each_rule_is_failed_by_something() -> None:
    failed = {*STUDIO, *WHOLE, *SEEN, *LATE, *(one.rule for one in seeded.DEFECTS)}
    assert failed == set(rules()), sorted(failed ^ set(rules()))
