"""Published pages judged by outside tools and against what was predicted: Nu HTML checker, axe-core, Chromium's layout."""

import hashlib
import io
from collections.abc import Iterator
from pathlib import Path
from typing import Any

import numpy as np
import pytest
from PIL import Image
from playwright.sync_api import Browser, Page

from formulon.core.checks.page_facts import Target, TextRun, TextsOnPicture
from formulon.core.checks.predict import predict
from formulon.core.site.behind import profile
from formulon.core.site.catalogue import CATALOGUE
from formulon.core.site.planning.planner import plan
from formulon.core.site.render import WIDTHS, render
from formulon.core.site.sheets import style_css, used_names
from formulon.core.site.site import FRAME, Asset, Rendition, Section, Site
from formulon.core.site.standing import stand
from formulon.core.system.css import tokens_css
from formulon.core.system.documents.choices import Choices
from formulon.core.system.resolve import resolve
from tests.browser.blocks import BLOCKS
from tests.browser.conftest import violations
from tests.browser.nu import Nu
from tests.conftest import quillmoor_identity, quillmoor_pictures


def filled_content(kind: str) -> dict[str, Any]:
    """Contents for a kind that stands on none of the demo's pages."""
    content: dict[str, Any] = {}
    for name, slot in CATALOGUE[kind].slots.items():
        if slot.of.collection:
            content[name] = [
                {key: f"{inner.label} {n}" for key, inner in slot.items.items() if inner.of.set_in_type} for n in range(3)
            ]
        elif slot.type in BLOCKS:
            content[name] = BLOCKS[slot.type](slot.label, 3)
        elif slot.of.set_in_type:
            content[name] = f"{slot.label} of the observatory"
    return content


def every_layout(header: str = "bar", footer: str = "columns", kinds: tuple[str, ...] = tuple(CATALOGUE)) -> Site:
    """A page for each of some kinds, on which each of its layouts stands with the demo's contents, and the demo's own pages."""
    site = plan(quillmoor_identity(), assets=quillmoor_pictures())
    known = {section.kind: section for page in reversed(site.pages) for section in page.sections}
    for kind, one in CATALOGUE.items():
        if kind in FRAME or kind not in kinds:
            continue
        page = site.pages[0].model_copy(
            deep=True, update={"id": f"kind-{kind.replace('_', '-')}", "name": one.label, "sections": []}
        )
        if kind != "hero":  # a page has one headline of its own
            page.sections.append(site.pages[1].sections[0].model_copy(deep=True, update={"id": "opening"}))
        for index, layout in enumerate(one.layouts):
            content = known[kind].model_copy(deep=True).content if kind in known else filled_content(kind)
            if "picture" in one.slots:
                content.setdefault("picture", {"source": f"drawn:arcs/{index}", "alt": "", "decorative": True})
            ground = ("paper", "tint", "deep", "brand", "accent")[index % 5]
            page.sections.append(Section(id=layout, kind=kind, layout=layout, ground=ground, content=content))  # type: ignore[arg-type]
        site.pages.append(page)
    site.frame.header.layout, site.frame.footer.layout = header, footer
    return Site.model_validate(site.model_dump())


@pytest.fixture(scope="module", params=[("bar", "columns"), ("masthead", "line")], ids="-".join)
def site(request: pytest.FixtureRequest) -> Site:
    """The whole catalogue once; another header and footer around the kind that they meet first."""
    return every_layout(*request.param, *([] if request.param[0] == "bar" else [("hero",)]))


def test_every_layout_of_the_catalogue_stands_on_a_page(site: Site, folder: Path) -> None:
    html = "".join((folder / site.file_name(page)).read_text() for page in site.pages)
    kinds = {page.id.removeprefix("kind-").replace("-", "_") for page in site.pages if page.id.startswith("kind-")}
    assert kinds in ({"hero"}, CATALOGUE.keys() - set(FRAME))
    for kind, one in CATALOGUE.items():
        if kind not in kinds and kind not in FRAME:
            continue
        shown = [f"{kind.replace('_', '-')}--{layout}" in html for layout in one.layouts]
        assert any(shown) if kind in FRAME else all(shown), kind


@pytest.fixture(scope="module")
def folder(site: Site, tmp_path_factory: pytest.TempPathFactory) -> Path:
    out = tmp_path_factory.mktemp("published")
    for name, data in render(site, resolve(site.identity, site.choices)).items():
        (out / name).parent.mkdir(parents=True, exist_ok=True)
        (out / name).write_bytes(data)
    return out


@pytest.fixture(scope="module")
def tab(chromium: Browser) -> Iterator[Page]:
    context = chromium.new_context(java_script_enabled=True)
    yield context.new_page()
    context.close()


def show(tab: Page, folder: Path, name: str, width: int) -> None:
    tab.set_viewport_size({"width": width, "height": 900})
    tab.goto((folder / name).as_uri())
    tab.evaluate("document.fonts.ready.then(() => Promise.all([...document.fonts].map(f => f.load().catch(() => 0))))")


def test_nu_html_checker_finds_no_error(folder: Path, nu: Nu) -> None:
    assert [error for page in sorted(folder.glob("*.html")) for error in nu.errors(page)] == []


@pytest.mark.parametrize("width", [360, 1280])
def test_axe_finds_no_violation(site: Site, folder: Path, tab: Page, width: int) -> None:
    for page in site.pages:
        show(tab, folder, site.file_name(page), width)
        assert violations(tab) == [], (page.id, width)


# What Chromium shows of the texts: colour, ground, size, lines.
READ = """() => [...document.querySelectorAll('h1,h2,h3,p:not(.more),a.button,.links a')].filter(e => e.checkVisibility()).map(e => {
  const s = getComputedStyle(e);
  let ground = e; while (getComputedStyle(ground).backgroundColor === 'rgba(0, 0, 0, 0)') ground = ground.parentElement;
  const range = document.createRange(); range.selectNodeContents(e);
  const tops = new Set([...range.getClientRects()].filter(r => r.width > 0).map(r => Math.round(r.top)));
  return {text: e.innerText.trim().replaceAll('\\u00ad', ''), color: s.color, background: getComputedStyle(ground).backgroundColor,
          size: parseFloat(s.fontSize), weight: Number(s.fontWeight), lines: tops.size, tag: e.tagName,
          height: e.getBoundingClientRect().height, width: e.getBoundingClientRect().width,
          button: e.matches('.button--primary,.button--secondary')};
})"""


def rgb(color: str) -> str:
    r, g, b = (int(part) for part in color.removeprefix("rgb(").removesuffix(")").split(","))
    return f"#{r:02x}{g:02x}{b:02x}"


@pytest.mark.parametrize("width", WIDTHS)
def test_predicted_facts_are_what_chromium_shows(site: Site, folder: Path, tab: Page, width: int) -> None:
    system = resolve(site.identity, site.choices)
    pairs = {(pair.foreground, pair.background) for pair in system.pairs}
    wrong_lines = total = 0
    for page in site.pages:
        show(tab, folder, site.file_name(page), width)
        assert tab.evaluate("document.documentElement.scrollWidth") <= width, page.id
        seen = [run for run in tab.evaluate(READ) if run["text"]]
        facts = predict(site, system, [page])
        for run in seen:
            # Every pair on the page is one that resolve() listed, with the colours really used.
            assert (rgb(run["color"]), rgb(run["background"])) in pairs, run
            known = [f for f in facts if isinstance(f, TextRun) and f.text == run["text"]]
            assert known, run
            assert any(
                (f.foreground, f.background) == (rgb(run["color"]), rgb(run["background"]))
                and f.weight == run["weight"]
                and abs(f.sizes[width] - run["size"]) < 0.05
                for f in known
            ), (run, known)
            told = [f.lines[width] for f in known if f.fits and f.tag == run["tag"].lower()]
            if told:
                total += 1
                wrong_lines += run["lines"] not in told
    assert total >= 40
    assert wrong_lines == 0, f"{wrong_lines} of {total} texts at {width}"


def test_predicted_targets_are_what_chromium_shows(site: Site, folder: Path, tab: Page) -> None:
    system = resolve(site.identity, site.choices)
    for width in (360, 1280):
        page = site.pages[0]
        show(tab, folder, site.file_name(page), width)
        seen = {(run["text"], run["button"]): run for run in tab.evaluate(READ)}
        targets = [f for f in predict(site, system, [page]) if isinstance(f, Target) and f.kind != "mark"]
        assert len(targets) > 8
        for target in targets:
            run = seen.get((target.label, target.kind == "button"))
            if run is None:
                assert target.place.section == "header" and width == 360, target  # behind the menu
                continue
            wide, high = target.sizes[width]
            assert run["height"] == pytest.approx(high, abs=0.6), target
            assert run["width"] == pytest.approx(wide, rel=0.01, abs=1), target


@pytest.mark.parametrize("arrow", ["none", "after"])
def test_a_small_button_in_the_header_is_as_large_as_predicted(site: Site, tmp_path: Path, tab: Page, arrow: str) -> None:
    choices = Choices.model_validate({"buttons": {"small_in_header": True, "arrow": arrow}})
    small = site.with_choices(choices)
    system = resolve(small.identity, choices)
    for name, data in render(small, system).items():
        (tmp_path / name).parent.mkdir(parents=True, exist_ok=True)
        (tmp_path / name).write_bytes(data)
    facts = predict(small, system, [small.pages[0]])
    (target,) = [f for f in facts if isinstance(f, Target) and f.kind == "button" and f.place.section == "header"]
    for width in (768, 1280):
        show(tab, tmp_path, small.file_name(small.pages[0]), width)
        wide, high, others = tab.evaluate(
            "(([a, b]) => [a.offsetWidth, a.offsetHeight, b.offsetHeight])([...document.querySelectorAll('.header-action .button, .hero .button')])"
        )
        assert (wide, high) == pytest.approx(target.sizes[width], abs=1) and high < others


def test_grain_is_seen_and_leaves_a_photograph_as_light_as_it_was(tmp_path: Path, tab: Page) -> None:
    shades = []
    Image.new("RGB", (300, 200), (120, 90, 140)).save(tmp_path / "photo.png")
    for grain in (0.0, 0.6):
        choices = Choices.model_validate({"grain": grain})
        site = plan(quillmoor_identity(), choices)
        system = resolve(site.identity, choices)
        (tmp_path / "tokens.css").write_text(tokens_css(system, used_names()))
        (tmp_path / "site.css").write_text(style_css(site, system, whole=True))
        (tmp_path / "page.html").write_text(
            "<!doctype html><link rel=stylesheet href=tokens.css><link rel=stylesheet href=site.css>"
            f"<body class='pictures-natural {'pictures-grained' if grain else ''}'><div class='picture picture--photo'>"
            "<img src=photo.png></div>"
        )
        tab.set_viewport_size({"width": 400, "height": 300})
        tab.goto((tmp_path / "page.html").as_uri())
        shades.append(np.asarray(Image.open(io.BytesIO(tab.screenshot())).convert("RGB"), dtype=float)[40:260, 40:360])
    calm, grained = shades
    assert calm.std(axis=(0, 1)).max() < 0.5 < 5 < grained.std(axis=(0, 1)).min()
    assert grained.mean(axis=(0, 1)) == pytest.approx(calm.mean(axis=(0, 1)), abs=6)


# Each line of the texts that stand on a picture: words, left edge, the middle of its box, in px of the section.
LINES = """() => [...document.querySelectorAll('.hero--backcloth')].map(section => {
  const box = section.getBoundingClientRect();
  const lines = [...section.querySelectorAll('.region > .i-heading, .region > .i-body')].map(e => {
    const walker = document.createTreeWalker(e, NodeFilter.SHOW_TEXT), found = [];
    while (walker.nextNode()) {
      const node = walker.currentNode;
      for (let i = 0; i < node.length; i++) {
        const range = document.createRange(); range.setStart(node, i); range.setEnd(node, i + 1);
        const rect = range.getClientRects()[0]; if (!rect) continue;
        const middle = (rect.top + rect.bottom) / 2 - box.top, last = found[found.length - 1];
        if (last && Math.abs(last.middle - middle) < 2) last.text += node.data[i];
        else found.push({text: node.data[i], left: rect.left - box.left, middle});
      }
    }
    return found;
  });
  return {height: box.height, width: box.width, lines};
})"""


@pytest.mark.parametrize("width", WIDTHS)
@pytest.mark.parametrize("words", ["short", "long", "two lines"])
def test_texts_on_pictures_stand_where_they_are_predicted(tab: Page, tmp_path: Path, width: int, words: str) -> None:
    """Chromium's layout, text-wrap: balance included, against the places from which pixels are taken."""
    site = plan(quillmoor_identity(), assets=quillmoor_pictures())
    hero = site.pages[0].sections[0]
    hero.layout = "backcloth"
    if words != "short":
        hero.content["heading"] = "Under the darkest sky within an hour of the coast, every clear evening until Easter"
        hero.content["text"] = "Bring a coat. " * 12 + "The dome is not heated, and the moon does not wait."
        hero.content["secondary"] = {"label": "Everything about school visits in spring", "to": "mailto:a@example.org"}
    if words == "two lines":
        hero.content["heading"] = "The dark\nis worth the drive"
    site = Site.model_validate(site.model_dump())
    system = resolve(site.identity, site.choices)
    for name, data in render(site, system).items():
        (tmp_path / name).parent.mkdir(parents=True, exist_ok=True)
        (tmp_path / name).write_bytes(data)
    show(tab, tmp_path, "index.html", width)
    (seen,) = tab.evaluate(LINES)
    box = stand(system, site.pages[0].sections[0], width)
    assert seen["width"] == width and seen["height"] == pytest.approx(box.height, abs=1.5)
    assert [len(lines) for lines in seen["lines"]] == [len(block.lines) for block in box.texts.values()]
    for lines, block in zip(seen["lines"], box.texts.values(), strict=True):
        for index, (line, predicted) in enumerate(zip(lines, block.lines, strict=True)):
            assert line["text"].strip() == predicted
            assert line["left"] == pytest.approx(block.left, abs=1)
            assert line["middle"] == pytest.approx(block.top + (index + 0.5) * block.line_height, abs=1.5)


@pytest.mark.parametrize(
    ("width", "shape", "focus", "treatment"),
    [
        (360, "even", (0.2, 0.5), "natural"),
        (1280, "foot", (0.5, 0.9), "natural"),
        (1280, "side", (0.5, 0.5), "natural"),
        (768, "even", (0.5, 0.5), "monochrome"),
        (768, "foot", (0.5, 0.5), "duotone"),
        (1280, "even", (0.5, 0.5), "tint"),
    ],
)
def test_pixels_behind_texts_are_what_chromium_paints(
    tab: Page, tmp_path: Path, width: int, shape: str, focus: tuple[float, float], treatment: str
) -> None:
    """Crop, focus, overlay and its gradient: the colours from which ratios are computed, against a picture of the page
    whose words are invisible. One pixel more or less of place is allowed for, since browsers scale with filters of their own."""
    across, down = np.meshgrid(np.arange(960), np.arange(720))
    waves = [(np.sin(across / step + shift) * np.cos(down / step) + 1) * 127 for step, shift in ((90, 0), (120, 1), (70, 2))]
    out = io.BytesIO()
    Image.fromarray(np.stack(waves, axis=-1).astype(np.uint8)).save(out, "WEBP", lossless=True)
    site = plan(quillmoor_identity())
    hero = site.pages[0].sections[0]
    hero.layout = "backcloth"
    hero.content["picture"] = {
        "source": "asset:waves", "alt": "Waves", "focus": {"x": focus[0], "y": focus[1]},
        "overlay": {"opacity": 0.6, "shape": shape},
    }  # fmt: skip
    size = Rendition(width=960, sha256=hashlib.sha256(out.getvalue()).hexdigest())
    site.assets.append(Asset(id="waves", name="Waves", width=960, height=720, renditions=[size]))
    site = Site.model_validate(site.model_dump() | {"choices": {"pictures": treatment}})
    system = resolve(site.identity, site.choices)
    for name, data in render(site, system, lambda _: out.getvalue()).items():
        (tmp_path / name).parent.mkdir(parents=True, exist_ok=True)
        (tmp_path / name).write_bytes(data)
    show(tab, tmp_path, "index.html", width)
    tab.add_style_tag(content=".hero--backcloth .region>:not(.picture){opacity:0}")
    tab.evaluate("document.querySelector('.hero--backcloth img').decode()")
    shot = np.asarray(Image.open(io.BytesIO(tab.locator(".hero--backcloth").screenshot())).convert("RGB")).astype(int)
    (fact,) = [f for f in predict(site, system, [site.pages[0]], lambda _: out.getvalue()) if isinstance(f, TextsOnPicture)]
    for text in fact.texts:
        demand = text.demands[width]
        x, y = demand.what.places.T
        inside = y < shot.shape[0]
        strength = profile(shape, demand.what.places, demand.what.width, demand.what.height)
        laid = 0.6 * (np.ones(len(x)) if strength is None else strength)[:, None]
        painted = (1 - laid) * demand.pixels() + laid * np.array(demand.under)
        far = np.abs(painted[inside] - shot[y[inside], x[inside]])
        assert inside.mean() > 0.99 and far.mean() < 1.5 and np.quantile(far, 0.99) <= 6, (far.mean(), far.max())


def test_pages_work_without_script_and_stay_light(site: Site, folder: Path, chromium: Browser) -> None:
    """The budget in docs/architecture.md: a page of the demo, without photographs, within 80 kB over the wire (gzip)."""
    import gzip

    context = chromium.new_context(java_script_enabled=False)
    page = context.new_page()
    wire: list[int] = []

    def weigh(response) -> None:  # type: ignore[no-untyped-def]
        data = Path(response.url.removeprefix("file://")).read_bytes()
        wire.append(len(data) if response.url.endswith(".woff2") else len(gzip.compress(data)))

    page.on("response", weigh)
    page.goto((folder / "index.html").as_uri())
    assert page.locator("h1").is_visible()
    if len([page for page in site.pages if page.id.startswith("kind-")]) == 1:  # no site has every kind
        assert sum(wire) <= 80_000, wire
    context.close()


def test_without_colors_pages_still_read(chromium: Browser, tmp_path: Path) -> None:
    site = plan(quillmoor_identity().model_copy(update={"colors": [], "marks": []}), Choices())
    for name, data in render(site, resolve(site.identity, site.choices)).items():
        (tmp_path / name).parent.mkdir(parents=True, exist_ok=True)
        (tmp_path / name).write_bytes(data)
    context = chromium.new_context()
    page = context.new_page()
    page.goto((tmp_path / "index.html").as_uri())
    assert violations(page) == []
    context.close()
