"""The designer's own HTML and CSS in Chromium: texts have the colours that the cascade tells, and nothing outside the section moves,
changes its colour or is painted over."""

import random
from collections.abc import Iterator
from pathlib import Path

import pytest
from playwright.sync_api import Browser, Page

from formulon.core.checks.own_cascade import own_texts
from formulon.core.checks.own_code import properties
from formulon.core.site.own import scope_of
from formulon.core.site.site import Section, Site
from tests.browser.conftest import violations
from tests.browser.test_layouts import site, write
from tests.browser.test_published import show

HTML = """<h2 id="one">Rim</h2><p class="a">Rod <a href="page:home">link</a> <em class="b">stressed</em></p>
<div class="c"><h3>Deep</h3><p class="a b">Inner <strong>strong</strong></p><ul><li class="d">Item</li><li>Other</li></ul></div>
<figure class="e"><figcaption>Under</figcaption></figure>"""
SELECTORS = ["p", "h2", ".a", ".b", ".c", ".c p", ".c > h3", "#one", "li", ".d", "body", ":root", "a", "em, strong", ".a.b", "ul li:first-child", ":is(h2, h3)", "figcaption", "p:not(.b)", ".c *"]  # fmt: skip
VALUES = ["#102030", "tomato", "rgb(200 210 220)", "var(--heading)", "var(--link)", "inherit", "var(--own)", "var(--none, #345)", "currentcolor"]  # fmt: skip
HOSTILE = """body, html, :root { position: fixed; inset: 0; z-index: 99999; background: #f0f; contain: none; overflow: visible }
* { position: fixed; inset: 0; z-index: 99999; color: #0f0 !important; margin: 0 !important; --heading: #f00 }
p { position: absolute; top: -900px; width: 4000px; height: 4000px; background: #ff0 }
body ~ *, body + section, header, footer { display: none }"""
# Of every text outside own HTML: its colour, ground and box; and what is painted at places over the page.
READ = """() => [...document.querySelectorAll('h1,h2,h3,p,a,li')].filter(e => !e.closest('.own') && e.checkVisibility()).map(e => {
  const s = getComputedStyle(e), r = e.getBoundingClientRect();
  return [e.textContent.slice(0, 30), s.color, s.position, Math.round(r.left), Math.round(r.width), Math.round(r.height)];
})"""
PAINTED = """() => [...document.querySelectorAll('main > section')].filter(e => !e.querySelector('.own')).slice(0, 12).map(e => {
  e.scrollIntoView({block: 'center'});
  const r = e.getBoundingClientRect();
  return [0.1, 0.5, 0.9].map(x => document.elementFromPoint(r.left + x * r.width, r.top + Math.min(r.height, 400) / 2)?.closest('.own') ? 'own' : '');
})"""
# Every text of own HTML with its colour and what lies behind it; none where that is the section's own.
SEEN = """scope => { const found = [], root = document.querySelector('.' + scope);
  const walker = document.createTreeWalker(root, NodeFilter.SHOW_TEXT);
  while (walker.nextNode()) {
    const e = walker.currentNode.parentElement, text = walker.currentNode.data.trim().replace(/\\s+/g, ' ');
    if (!text) continue;
    let ground = e;
    while (ground !== root.parentElement && getComputedStyle(ground).backgroundColor === 'rgba(0, 0, 0, 0)') ground = ground.parentElement;
    found.push([text, getComputedStyle(e).color, ground === root.parentElement ? null : getComputedStyle(ground).backgroundColor]);
  }
  return found; }"""


@pytest.fixture(scope="module")
def tab(chromium: Browser) -> Iterator[Page]:
    context = chromium.new_context(java_script_enabled=True)
    yield context.new_page()
    context.close()


def with_css(sheets: list[str], others: int = 0) -> Site:
    """A page with a section for each style sheet, after as many others of the catalogue."""
    made = site("few", "columns")
    own = [
        Section.model_validate({
            "id": f"own-{number}", "kind": "own_code", "layout": ("measure", "aside", "edges")[number % 3],
            "ground": ("paper", "tint", "deep")[number % 3], "content": {"code": {"html": HTML, "css": css}},
        })
        for number, css in enumerate(sheets)
    ]  # fmt: skip
    sections = made.pages[0].sections[:others]
    home = made.pages[0].model_copy(update={"sections": [*sections[: others // 2], *own, *sections[others // 2 :]]})
    return made.model_copy(update={"pages": [home, *made.pages[1:]]})


def random_sheets(count: int) -> list[str]:
    dice = random.Random(5)
    made = []
    for _ in range(count):
        rules = []
        for _ in range(dice.randrange(2, 7)):
            said = [f"color: {dice.choice(VALUES)}{' !important' * (dice.random() < 0.2)}"] if dice.random() < 0.8 else []
            said += [f"background-color: {dice.choice(VALUES[:5])}"] if dice.random() < 0.4 else []
            said += [f"--own: {dice.choice(VALUES[:4])}"] if dice.random() < 0.3 else []
            rule = f"{dice.choice(SELECTORS)} {{ {'; '.join(said)} }}"
            rules.append(f"@media (width > 1px) {{ {rule} }}" if dice.random() < 0.15 else rule)
        made.append("\n".join(rules))
    return made


def hexadecimal(color: str | None) -> str | None:
    return color and "#" + "".join(f"{int(part):02x}" for part in color[4:-1].split(","))


def test_texts_have_the_colours_that_the_cascade_tells(tab: Page, tmp_path: Path) -> None:
    """Sixty random style sheets with importance, specificity, inheritance, custom properties and media queries that hold."""
    sheets = random_sheets(60)
    made = with_css(sheets)
    system = made.system()
    write(made, tmp_path)
    show(tab, tmp_path, "index.html", 1280)
    compared = own = 0
    for section, css in zip(made.pages[0].sections, sheets, strict=True):
        scope, known = scope_of(section.id, HTML, css), properties(system, section.ground, "light")
        # Blocks that hold add another colour to a text; the last told is the one with all blocks of this test's single one.
        told: dict[str, list[tuple[str | None, str | None]]] = {}
        for one in own_texts(HTML, css, scope, known):
            ink = one.color if one.color is not None else known[f"--{one.ink}"]
            told.setdefault(one.text, []).append((ink, one.behind))
        for text, color, behind in tab.evaluate(SEEN, scope):
            compared, own = (
                compared + 1,
                own + (hexadecimal(color) not in (known["--body"], known["--heading"], known["--link"])),
            )
            if css.count("@media") <= 1:
                assert (hexadecimal(color), hexadecimal(behind)) in told[text], (css, text, color, behind, told[text])
    assert compared > 500 and own > 150


@pytest.mark.parametrize("width", [360, 1280])
def test_nothing_outside_is_reached(tab: Page, tmp_path: Path, width: int) -> None:
    read = []
    for name, css in (("without", ""), ("with", HOSTILE)):
        write(with_css([css, css, css], 24), tmp_path / name)
        show(tab, tmp_path / name, "index.html", width)
        read.append(tab.evaluate(READ))
        assert tab.evaluate("document.documentElement.scrollWidth") == width
        assert all(one == ["", "", ""] for one in tab.evaluate(PAINTED))
    assert read[0] == read[1] and len(read[0]) > 60


def test_its_html_stands_like_any(tab: Page, tmp_path: Path) -> None:
    write(with_css([""]), tmp_path)
    show(tab, tmp_path, "index.html", 1280)
    assert violations(tab, ".own") == []
