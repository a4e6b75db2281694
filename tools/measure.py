"""What ./bench measures. Run by it, with a database and the packages in place."""

import gzip
import io
import os
import random
import re
import statistics
import subprocess
import sys
import tempfile
import time
from collections import Counter
from collections.abc import Callable, Iterable, Iterator
from contextlib import contextmanager
from functools import partial
from itertools import islice
from pathlib import Path

import django
import lighthouse
import psycopg
from django.conf import settings
from lighthouse import FLAGS
from PIL import Image
from playwright.sync_api import Page, expect, sync_playwright
from psycopg.conninfo import make_conninfo

os.environ["DJANGO_ALLOW_ASYNC_UNSAFE"] = "true"
ROOT = Path(__file__).resolve().parent.parent
PASSWORD = "only-for-the-bench-run"
PAGES = 300
WIDE = 76  # characters of the first column
AXE_PAGES = 8
DEMOS = ("quillmoor-observatory", "sallowbeck")


def fresh_database() -> None:
    """An empty database of the bench's own."""
    at = {name: os.environ[f"FORMULON_DB_{name.upper()}"] for name in ("host", "port", "user", "password")}
    with psycopg.connect(make_conninfo(**at, dbname="postgres"), autocommit=True) as connection:
        connection.execute("drop database if exists formulon_bench with (force)")
        connection.execute("create database formulon_bench")


fresh_database()
django.setup()
settings.MEASURED_RELEASES = False  # here; the server that people are driven through has a worker that measures

import journey  # noqa: E402
import looks  # noqa: E402
import reads  # noqa: E402
import variety  # noqa: E402
import writes  # noqa: E402
from django.core.management import call_command  # noqa: E402

from formulon.config import memory  # noqa: E402
from formulon.core.checks.findings import Finding, PageChecks  # noqa: E402
from formulon.core.checks.predict import predict  # noqa: E402
from formulon.core.checks.preflight import Preflight  # noqa: E402
from formulon.core.checks.reach import reach  # noqa: E402
from formulon.core.color.overlay import least  # noqa: E402
from formulon.core.color.srgb import to_hex  # noqa: E402
from formulon.core.proposals.palettes import palettes  # noqa: E402
from formulon.core.proposals.propose import proposals  # noqa: E402
from formulon.core.site.behind import TextBlock, behind, cropped  # noqa: E402
from formulon.core.site.composing.composer import Composer  # noqa: E402
from formulon.core.site.geometry import box_of, box_width  # noqa: E402
from formulon.core.site.layout import HEADINGS  # noqa: E402
from formulon.core.site.planning import planner  # noqa: E402
from formulon.core.site.planning.planner import plan  # noqa: E402
from formulon.core.site.render import WIDTHS, render, render_page  # noqa: E402
from formulon.core.site.site import Frame, Site  # noqa: E402
from formulon.core.site.site import Page as SitePage  # noqa: E402
from formulon.core.site.slots import slot_values  # noqa: E402
from formulon.core.system.documents.choices import GROUNDS, Choices  # noqa: E402
from formulon.core.system.documents.identity import BrandColor, Identity  # noqa: E402
from formulon.core.system.resolve import resolve  # noqa: E402
from formulon.core.type.fit import fit  # noqa: E402
from formulon.core.type.library import SHIPPED  # noqa: E402
from formulon.core.type.lines import balanced, pieces  # noqa: E402
from formulon.core.type.shaping import advance  # noqa: E402
from formulon.studio.models import Brand, Document  # noqa: E402
from formulon.studio.services import deciding, releases, sites, sources  # noqa: E402

Row = tuple[str, str, str, bool]
memory.settle()  # as the server does


def timed(work: Callable[[], object]) -> float:
    start = time.perf_counter()
    work()
    return time.perf_counter() - start


def percentile(values: list[float], share: float) -> float:
    return sorted(values)[min(len(values) - 1, int(len(values) * share))]


def solver() -> Row:
    dice = random.Random(4)
    times = []
    for _ in range(220):
        colors = [
            BrandColor(name=f"C{i}", value=to_hex((dice.randrange(256), dice.randrange(256), dice.randrange(256))))
            for i in range(6)
        ]
        identity = Identity(name="Bench", colors=colors)
        times.append(timed(partial(resolve, identity)) * 1000)
    times = times[20:]  # the first ones also warm the interpreter up
    median = statistics.median(times)
    return (
        "resolve(), 6 colours never seen before",
        f"{median:.1f} ms median, {percentile(times, 0.95):.1f} ms p95",
        "10 ms",
        median <= 10,
    )


def wiring() -> Row:
    """What a drag of a wire costs: the same brand, another step led to one ground."""
    colors = [BrandColor(name=f"C{i}", value=value) for i, value in enumerate(
        ("#1B2147", "#F2A93B", "#8E5A9B", "#F6F1E7", "#3C7A5C", "#C4452F"))]  # fmt: skip
    identity = Identity(name="Bench", colors=colors)
    resolve(identity)
    times = []
    for index in range(54):
        wires = {"accent": f"c{index % 6}/{100 * (index // 6 + 1)}"}
        times.append(timed(partial(resolve, identity, Choices(wires=wires))) * 1000)
    median = statistics.median(times)
    said = f"{median:.1f} ms median, {percentile(times, 0.95):.1f} ms p95"
    return "resolve(), one colour led elsewhere", said, "10 ms", median <= 10


INKS = ("heading", "body", "quiet", "link", "boundary", "focus", "selection", "primary/fill/rest", "primary/label/rest",
        "secondary/label/rest", "field/label/rest", "field/border/rest")  # fmt: skip


def kinds(palettes: int = 500) -> Row:
    """Of which class inks and buttons are, over random palettes of 1 to 6 colours."""
    dice = random.Random(500)
    counts: Counter[str] = Counter()
    for number in range(palettes):
        values = [to_hex((dice.randrange(256), dice.randrange(256), dice.randrange(256))) for _ in range(1 + number % 6)]
        system = resolve(Identity(name="Bench", colors=[BrandColor(name=f"C{i}", value=v) for i, v in enumerate(values)]))
        for ground in GROUNDS:
            for ink in INKS:
                token = system.tokens[f"ground/{ground}/{ink}"]
                family = token.alias.split("/")[0]
                counts[family or ("pure" if token.css in ("#000000", "#ffffff") else "made")] += 1
    share = {name: 100 * counts[name] / counts.total() for name in ("brand", "ramp", "neutral", "pure", "made")}
    said = (
        f"exact {share['brand']:.0f} %, ramp {share['ramp']:.0f} %, neutral {share['neutral']:.0f} %, "
        f"black or white {share['pure']:.1f} %, made for one place {share['made']:.1f} %"
    )
    return f"inks and buttons over {palettes} palettes", said, "none stated", True


def overlaying() -> Row:
    """The least overlay for a headline and a text on one photograph of 12 megapixels, at three widths."""
    small = Image.effect_noise((120, 90), 90)
    photo = Image.merge("RGB", (small, small.rotate(180), small.transpose(Image.Transpose.FLIP_LEFT_RIGHT))).resize(
        (4000, 3000), Image.Resampling.BICUBIC
    )
    night, chalk = (27, 33, 71), (246, 241, 231)

    def once() -> None:
        for width, size in ((360, 40), (768, 60), (1280, 80)):
            crop = cropped(photo, width, 640)
            blocks = [
                TextBlock(("The dark is worth", "the drive."), 40, 260, SHIPPED.family("young-serif"), 400, size, size * 1.05),
                TextBlock(("Evenings under the clearest sky.",), 40, 480, SHIPPED.family("figtree"), 400, 18, 29),
            ]
            for block, required in zip(blocks, (3.0, 4.5), strict=True):
                least(behind(crop, [block]).pixels, chalk, night, required)

    once()
    milliseconds = statistics.median(timed(once) for _ in range(5)) * 1000
    return "least overlay, 12 megapixels, 3 widths", f"{milliseconds:.0f} ms", "300 ms", milliseconds <= 300


def reaching(site: Site) -> Row:
    system = resolve(site.identity, site.choices)
    facts = predict(site, system)
    seconds = timed(lambda: reach(site, system, facts))
    return f"reach of every token, {PAGES} pages", f"{seconds * 1000:.0f} ms", "none stated", True


SHEET = 12  # pages on the sheet, as the budgets have it


def full_sheet() -> str:
    """Pages of the demo once more, so that as many stand on the sheet as the budgets speak of. Gives the name of the last."""
    brand = Brand.objects.get(slug="quillmoor-observatory")
    pages = sites.load(brand).pages
    name = pages[-1].name
    for page in pages[: SHEET - len(pages)]:
        name = f"{page.name} more"
        body = page.model_dump() | {"id": f"{page.id}-more", "name": name, "menu": False}
        Document.objects.create(brand=brand, name=f"page:{page.id}-more", body=body)
    return name


def large_site() -> Site:
    """The demo with 300 pages of differing words, so that no cache of texts helps twice."""
    brand = Brand.objects.get(slug="quillmoor-observatory")
    site = sites.load(brand)
    known = [page.id for page in site.pages]

    def led(text: str) -> str:
        """A text that leads to the first of the many that are like a page."""
        return re.sub(r"page:([a-z0-9-]+)", lambda found: f"page:page-{known.index(found[1])}", text)

    pages = []
    for number in range(PAGES):
        page = site.pages[number % len(known)].model_copy(deep=True)
        page.id, page.menu = f"page-{number}", number < 6
        page = SitePage.model_validate_json(led(page.model_dump_json()))
        for section in page.sections:
            if "heading" in section.content:
                section.content["heading"] = f"{section.content['heading']} {number}"
        pages.append(page)
    frame = Frame.model_validate_json(led(site.frame.model_dump_json()))
    frame = frame.model_copy(update={"order": [page.id for page in pages]})
    return site.model_copy(update={"pages": pages, "frame": frame})


def fitting_texts(site: Site) -> Row:
    """Shaping, breaking and fit of every text at every width, from cold caches."""
    system = resolve(site.identity, site.choices)
    texts = [
        (section, path, slot, value)
        for page in site.drawn
        for section in page.sections
        for path, (slot, value) in slot_values(section).items()
        if slot.type == "text"
    ]
    for kept in (fit, advance, pieces, balanced):
        kept.cache_clear()

    def work() -> None:
        for section, path, slot, value in texts:
            step = system.steps[section.declared.steps.get(path, slot.step)]
            for width in WIDTHS:
                size = step.size(width)
                box = box_of(section, path, width)
                if box is None:
                    continue
                room = box_width(system, box, width, size)
                headline = step.name in HEADINGS
                fit(step.family, step.weight, value, size, room, step.tracking, site.identity.language, headline)

    seconds = timed(work)
    what = f"shaping and fit of {len(texts)} texts at 4 widths, {PAGES} pages"
    return what, f"{seconds * 1000:.0f} ms", "1 s", seconds <= 1


def rendering(site: Site) -> Row:
    system = resolve(site.identity, site.choices)
    seconds = timed(lambda: [render_page(site, system, page) for page in site.drawn])
    return f"render {PAGES} pages", f"{seconds:.2f} s", "2 s", seconds <= 2


def checking(site: Site, axe_per_page: float) -> list[Row]:
    # As the studio does it: header and footer once, and no text is shaped anew that was on a page before.
    first, seconds = (timed(lambda: Preflight(site).report()) for _ in range(2))
    ratio = axe_per_page * PAGES / seconds
    said = f"{seconds:.2f} s, of texts never seen {first:.2f} s"
    return [
        (f"predicted checks, {PAGES} pages", said, "0.6 s", seconds <= 0.6),
        ("the same against axe-core in Chromium", f"{ratio:.0f} × faster", "50 ×", ratio >= 50),
    ]


def axe_time(page: Page, site: Site) -> float:
    """Seconds that axe-core takes for a page at the four widths that are predicted, navigation included."""
    axe = (ROOT / "web" / "node_modules" / "axe-core" / "axe.min.js").read_text(encoding="utf-8")
    with tempfile.TemporaryDirectory() as name:
        folder = Path(name)
        part = site.model_copy(update={"pages": site.drawn[:AXE_PAGES]})
        part.frame.order = [one.id for one in part.pages]
        for path, data in render(part, resolve(part.identity, part.choices)).items():
            (folder / path).parent.mkdir(parents=True, exist_ok=True)
            (folder / path).write_bytes(data)
        start = time.perf_counter()
        for one in part.pages:
            for width in (360, 768, 1280, 1920):
                page.set_viewport_size({"width": width, "height": 900})
                page.goto((folder / part.file_name(one)).as_uri())
                page.evaluate(axe)
                page.evaluate("axe.run().then(r => r.violations.length)")
        return (time.perf_counter() - start) / len(part.pages)


@contextmanager
def server() -> Iterator[str]:
    from machine import free_port, wait_for

    port = free_port()
    process = subprocess.Popen([sys.executable, "-m", "formulon.config.serve", "--port", str(port)], cwd=ROOT)
    try:
        wait_for(port, process, 30)
        yield f"http://localhost:{port}"
    finally:
        process.terminate()
        process.wait(20)


# In the page: sets a slider as a drag does, and waits until every frame on the sheet has been painted with it.
DRAG = """async (values) => {
  const slider = document.querySelector('input[type=range]');
  const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set;
  const seen = f => { const r = f.parentElement.getBoundingClientRect(); return r.bottom > 0 && r.top < innerHeight; };
  const frames = [...document.querySelectorAll('iframe')].filter(seen);
  const frame = () => new Promise(requestAnimationFrame);
  const times = [];
  for (const value of values) {
    const start = performance.now();
    set.call(slider, value);
    slider.dispatchEvent(new Event('input', {bubbles: true}));
    const shown = () => frames.every(f => f.contentDocument.getElementById('tokens').sheet.cssRules[0].style
      .getPropertyValue('--shape-button-radius').trim() === `${value}px`);
    while (!shown()) {
      if (performance.now() - start > 30000) throw new Error('not painted within 30 s: ' + value);
      await new Promise(r => setTimeout(r, 1));
    }
    await frame(); await frame();
    times.push(performance.now() - start);
  }
  return times;
}"""


# In the page: leads one step of a ramp after the other to the accent ground, each stored, and waits as above.
WIRES = """async (count) => {
  const swatches = [...document.querySelectorAll('.why-ramp .swatch')].slice(0, 18);
  const seen = f => { const r = f.parentElement.getBoundingClientRect(); return r.bottom > 0 && r.top < innerHeight; };
  const frames = [...document.querySelectorAll('iframe')].filter(seen);
  const frame = () => new Promise(requestAnimationFrame);
  const times = [];
  for (let i = 0; i < count; i++) {
    const swatch = swatches[(i * 7) % swatches.length];
    const hex = swatch.getAttribute('aria-label').match(/#[0-9a-f]{6}/)[0];
    const start = performance.now();
    swatch.click();
    const shown = () => frames.every(f => [...f.contentDocument.getElementById('tokens').sheet.cssRules].find(r => (r.selectorText || '').includes('accent')).style
      .getPropertyValue('--background').trim().toLowerCase() === hex);
    while (!shown()) {
      if (performance.now() - start > 30000) throw new Error('not painted within 30 s: ' + swatch.getAttribute('aria-label') + document.querySelector('.notices').innerText);
      await new Promise(r => setTimeout(r, 1));
    }
    await frame(); await frame();
    times.push(performance.now() - start);
    // The next one when this one is stored and told, as a person would.
    while (!document.querySelector('header').innerText.includes('All saved')) await new Promise(r => setTimeout(r, 10));
    await new Promise(r => setTimeout(r, 300));
  }
  return times;
}"""


# In the page: a section moved down and up again by keys, until it stands there on the page.
MOVES = """async (count) => {
  const stand = () => [...document.querySelector('.edit-paper iframe').contentDocument.querySelectorAll('main > [data-section]')]
    .map(e => e.dataset.section).join();
  const frame = () => new Promise(requestAnimationFrame);
  const times = [];
  for (let i = 0; i < count; i++) {
    document.querySelectorAll('[data-row] .section-row')[1 + i % 2].focus();
    const before = stand(), start = performance.now();
    const key = { key: i % 2 ? 'ArrowUp' : 'ArrowDown', altKey: true, bubbles: true };
    document.activeElement.dispatchEvent(new KeyboardEvent('keydown', key));
    while (stand() === before) {
      if (performance.now() - start > 30000) throw new Error('not moved within 30 s');
      await new Promise(r => setTimeout(r, 1));
    }
    await frame(); await frame();
    times.push(performance.now() - start);
    while (!document.querySelector('header').innerText.includes('All saved')) await new Promise(r => setTimeout(r, 10));
    await new Promise(r => setTimeout(r, 300));
  }
  return times;
}"""


# In the page: a section duplicated, that taken back, made again and taken back, until each shows on the page; then one added.
SHOWN = """async ([rounds, add]) => {
  const paper = () => document.querySelector('.edit-paper iframe').contentDocument;
  const stand = () => paper().querySelectorAll('main > [data-section]:not([data-gone])').length;
  const frame = () => new Promise(requestAnimationFrame);
  const until = async (what) => {
    for (const start = performance.now(); !what(); await new Promise(r => setTimeout(r, 1)))
      if (performance.now() - start > 30000) throw new Error('not shown within 30 s: ' + what);
  };
  const button = (name) => [...document.querySelectorAll('button')].find(one =>
    !one.disabled && (one.ariaLabel || one.innerText).trim().split(/[:\\n]/)[0] === name);
  const calm = async () => {
    await until(() => document.querySelector('header').innerText.includes('All saved'));
    await new Promise(r => setTimeout(r, 400));
  };
  const press = async (find) => {
    await until(find);
    const before = stand(), start = performance.now();
    find().click();
    await until(() => stand() !== before);
    await frame(); await frame();
    const took = performance.now() - start;
    await calm();
    return took;
  };
  const times = [];
  for (let round = 0; round < rounds; round++) {
    if (add) {
      button('Add a section').click();
      await until(() => document.querySelector('.add-offer'));
      await calm();
      times.push(await press(() => document.querySelector('.add-offer')));
      await press(() => button('Undo'));
      continue;
    }
    document.querySelectorAll('[data-row] .section-row')[1].click();
    for (const name of ['Duplicate', 'Undo', 'Redo', 'Undo']) times.push(await press(() => button(name)));
  }
  return times;
}"""


def restyle(page: Page, address: str, last: str) -> list[Row]:
    page.set_viewport_size({"width": 1280, "height": 800})
    page.goto(address)
    page.get_by_label("Name").fill("designer")
    page.get_by_label("Password").fill(PASSWORD)
    page.get_by_role("button", name="Sign in").click()
    page.get_by_role("link", name="Quillmoor Observatory").click()
    page.get_by_role("navigation", name="Stages").get_by_role("link", name="System").click()
    page.get_by_role("tab", name="Shape and buttons").click()
    page.get_by_role("button", name="Pages", exact=True).click()
    page.locator(f"iframe[title='{last}, phone 360']").wait_for()
    expect(page.locator(".page-frame:not([data-ready=true])")).to_have_count(0, timeout=60_000)
    page.wait_for_timeout(1500)
    frames = page.locator("iframe").count()
    values = [7 + number % 30 for number in range(104)]
    rows = [_latency(f"a drag of the radius, {frames} frames, 100 moves", page.evaluate(DRAG, values)[4:])]
    page.get_by_role("tab", name="Colour").click()
    page.get_by_role("button", name="Accent ground").click()
    rows.append(_latency(f"a colour changed and stored, {frames} frames, 100 changes", page.evaluate(WIRES, 104)[4:]))
    page.get_by_role("navigation", name="Stages").get_by_role("link", name="Pages").click()
    page.locator(".edit-paper .page-frame[data-ready=true]").wait_for()
    page.wait_for_timeout(1500)
    rows.append(_latency("a section moved, 40 moves", page.evaluate(MOVES, 44)[4:]))
    rows.append(_latency("duplicated, undone, made again, 40 steps", page.evaluate(SHOWN, [11, False])[4:]))
    rows.append(_latency("a section added, 8 times", page.evaluate(SHOWN, [9, True])[1:]))
    return rows


def _latency(what: str, times: list[float]) -> Row:
    p50, p95 = percentile(times, 0.5), percentile(times, 0.95)
    return f"{what}, input to painted", f"{p50:.0f} ms p50, {p95:.0f} ms p95", "100 ms p95", p95 <= 100


def publishing(site: Site) -> Row:
    brand = Brand.objects.get(slug="quillmoor-observatory")
    brand.documents.exclude(name__in=["identity", "choices"]).delete()
    Document.objects.create(brand=brand, name="frame", body=site.frame.model_dump())
    Document.objects.bulk_create(Document(brand=brand, name=f"page:{p.id}", body=p.model_dump()) for p in site.drawn)
    first = timed(lambda: releases.publish(brand, None))
    again = timed(lambda: releases.publish(brand, None))
    return f"publish {PAGES} pages", f"{first:.2f} s, again unchanged {again:.2f} s", "5 s", max(first, again) <= 5


def again(site: Site) -> list[Row]:
    """The report of many pages once more after a text has changed, and the fixes of what then stands in sight."""
    kept: dict[str, PageChecks] = {}
    Preflight(site, kept=kept).report()
    system, reports, fixes = site.system(), list[float](), list[float]()
    for number in range(12):
        page = site.drawn[7 * number].model_copy(deep=True)
        section = next(one for one in page.sections if "heading" in one.content)
        section.content["heading"] = f"Another headline, number {number}, with [[a gap]] in it"
        pages = [page if one.id == page.id else one for one in site.pages]
        changed = site.model_copy(update={"pages": pages})
        job = Preflight(changed, system, kept=kept)
        made: list[Finding] = []
        reports.append(timed(lambda job=job, made=made: made.extend(job.report().findings)))  # type: ignore[misc]
        there = [one for one in made if one.page == page.id][:4]
        assert there
        fixes.append(timed(lambda job=job, there=there: [job.fixes(one) for one in there]))  # type: ignore[misc]
    return [
        _spread(f"preflight of {PAGES} pages after a text has changed", reports, 0.02),
        _spread("the same, and the fixes of what is in sight", [sum(both) for both in zip(reports, fixes, strict=True)], 0.1),
    ]


def preflight(site: Site) -> Row:
    """Preflight of many sections under AAA in both schemes: the report, and the fixes of twenty findings, the first that come."""

    def work(pages: int, sections: int) -> tuple[float, int]:
        every = [section for page in site.drawn[:4] for section in page.sections]
        made = [
            site.drawn[0].model_copy(
                update={"id": f"page-{page}", "sections": [
                    every[index % len(every)].model_copy(update={"id": f"section-{index}"}) for index in range(sections)
                ]}
            )
            for page in range(pages)
        ]  # fmt: skip
        choices = site.choices.model_copy(update={"policy": "AAA", "scheme": "both"})
        frame = site.frame.model_copy(update={"order": [page.id for page in made]})
        job = Preflight(site.model_copy(update={"pages": made, "choices": choices, "frame": frame}))
        start = time.perf_counter()
        findings = job.report().findings
        for finding in findings[:20]:
            job.fixes(finding)
        return time.perf_counter() - start, len(findings)

    small, large = work(4, 12), work(16, 60)
    said = f"4 × 12: {small[0]:.1f} s, {small[1]} findings; 16 × 60: {large[0]:.1f} s, {large[1]} findings"
    return "preflight and 20 fixes by pages × sections, AAA, both schemes", said, "3 s", large[0] <= 3


# In the page: the bytes of all answers, by whether they are photographs.
BYTES = """() => {
  const all = [...performance.getEntriesByType('navigation'), ...performance.getEntriesByType('resource')];
  const sum = list => list.reduce((total, one) => total + one.transferSize, 0);
  const photo = one => /\\.(webp|avif|jpg)(\\?|$)/.test(one.name);
  return [sum(all.filter(one => !photo(one))), sum(all.filter(photo)), all.length];
}"""


def weights(page: Page, address: str) -> list[Row]:
    """What Chromium is sent, headers included: a published page of the demo as the host serves it, and the studio's scripts."""
    scripts = sum(len(gzip.compress(file.read_bytes())) for file in (ROOT / "web" / "dist" / "assets").glob("*.js"))
    releases.publish(Brand.objects.get(slug="quillmoor-observatory"), None)
    page.set_viewport_size({"width": 1280, "height": 800})
    page.goto(f"{address.replace('localhost', '127.0.0.1')}/quillmoor-observatory/")
    page.wait_for_load_state("networkidle")
    size, photographs, requests = page.evaluate(BYTES)
    said = f"{size / 1000:.0f} kB in {requests} requests, photographs {photographs / 1000:.0f} kB"
    return [
        ("first load of the studio, script", f"{scripts / 1000:.0f} kB gzip", "300 kB", scripts <= 300_000),
        ("the demo's start page as served, without photographs", said, "80 kB", size <= 80_000),
    ]


def judging() -> Iterator[Row]:
    """Both demos as published, on a phone and a desktop: the four categories of Lighthouse."""
    for pk in deciding.unencoded():  # as the worker does
        deciding.encode_picture(pk)
    for slug in DEMOS:
        releases.publish(Brand.objects.get(slug=slug), None)
    with sync_playwright() as playwright, server() as address, lighthouse.driven(playwright.chromium) as port:
        for slug in DEMOS:
            for device in lighthouse.PRESETS:
                scores = lighthouse.best(f"{address.replace('localhost', lighthouse.HOST)}/{slug}/", device, port)
                said = ", ".join(str(scores[one]) for one in lighthouse.CATEGORIES)
                yield f"Lighthouse: {slug}, {device}", said, "100 each", set(scores.values()) == {100}


def folder_files() -> list[tuple[str, bytes]]:
    """A client's folder of 30 files and about 20 MB: the demo's, and photographs as a camera makes them."""
    folder = ROOT / "demo" / "quillmoor"
    files = [(str(one.relative_to(folder)), one.read_bytes()) for one in sorted(folder.rglob("*")) if one.is_file()][:24]
    for number in range(30 - len(files)):
        small = Image.effect_noise((300 + number, 200), 60)
        photo = Image.merge("RGB", (small, small.rotate(180), small.transpose(Image.Transpose.FLIP_LEFT_RIGHT))).resize(
            (4000, 3000)
        )
        grain = Image.effect_noise((4000, 3000), 18).convert("RGB")
        file = io.BytesIO()
        Image.blend(photo, grain, 0.35).save(file, "JPEG", quality=80)
        files.append((f"photographs/IMG_{number}.jpg", file.getvalue()))
    return files


def reading() -> Row:
    """The worker's own function over a folder, with readers that have started."""
    files = folder_files()
    brand = sites.create(Brand.objects.get(slug="quillmoor-observatory").workspace, Identity(name="Folder"))
    sources.read_intake(sources.add(brand, None, [("first.css", b"a{color:red}"), ("second.css", b"a{color:blue}")]).pk)
    intake = sources.add(brand, None, files)
    seconds = timed(lambda: sources.read_intake(intake.pk))
    failed = brand.sources.exclude(state="read").count()
    size = sum(len(data) for _, data in files) / 1e6
    said = f"{seconds:.1f} s, {failed} failed"
    return f"read a folder of {len(files)} files, {size:.0f} MB", said, "5 s", seconds <= 5 and not failed


def main() -> None:
    os.environ["FORMULON_DEMO_PASSWORD"] = PASSWORD
    call_command("migrate", verbosity=0)
    call_command("load_demo")
    parts: dict[str, Callable[[], Iterable[Row]]] = {
        "reading": lambda: [reading(), *reads.many()],
        "folders": reads.found,
        "type": lambda: [fitting_texts(large_site())],
        "color": lambda: [solver(), wiring(), kinds(), overlaying(), reaching(large_site())],
        "restyle": restyling,
        "preflight": lambda: [*again(large_site()), preflight(large_site())],
        "measured": lambda: looks.rows(sites.load(Brand.objects.get(slug="quillmoor-observatory"))),
        "lighthouse": judging,
        "writes": writes.rows,
        "variety": varying,
        "proposals": proposing,
        "publish": lambda: [publishing(large_site())],
        "journey": journeying,
    }
    print(f"{'What':<{WIDE}}  {'Measured':<42}  {'Budget':<10}")
    for what, measured, budget, kept in parts.get(" ".join(sys.argv[1:]), every_row)():
        print(f"{what:<{WIDE}}  {measured:<42}  {budget:<10}  {'kept' if kept else 'MISSED'}", flush=True)


def varying() -> list[Row]:
    """How unlike 24 invented brands are; see tools/variety.py."""
    with sync_playwright() as playwright:
        browser = playwright.chromium.launch(executable_path="/usr/bin/chromium", args=FLAGS)
        found = variety.measured(browser.new_page(), variety.sites())
        browser.close()
    worst = f"{found.alike_worst:.0%} ({found.worst_pair[0]}, {found.worst_pair[1]})"
    return [
        ("start pages of 24 brands alike, mean", f"{found.alike_mean:.1%}", "20 %", found.alike_mean <= 0.2),
        ("start pages of 24 brands alike, worst", worst, "50 %", found.alike_worst <= 0.5),
        ("layouts in use by 24 brands", f"{found.layouts}, {found.composed} composed", "60", found.layouts >= 60),
        ("sentences that two brands share", f"{found.sentences:.1%}", "10 %", found.sentences <= 0.1),
        (
            "brands that pass but for marked gaps",
            f"{found.passing} of {found.brands}",
            "24 of 24",
            found.passing == found.brands,
        ),
    ]


def proposing() -> list[Row]:
    """A style proposal, eight of them, and the plan of a site of many pages, for brands whose letters were shaped before."""
    one, eight, plans, composed, colors = [], [], [], [], []
    for identity in variety.identities():
        site = plan(identity)
        _proposed(site, 8)  # their typefaces are read
        one.append(timed(partial(_proposed, site, 1)))
        eight.append(timed(partial(_proposed, site, 8)))
        many = identity.model_copy(update={"pages": [f"{identity.offers[0].name} {n}" for n in range(1, 9)]})
        plan(many)
        planner.forget()  # what was composed for it
        plans.append(timed(partial(plan, many)))
        composer = Composer(site.system(), site.choices, identity)
        for section in site.pages[0].sections:
            composed.append(timed(partial(composer.compose, section.kind, section.content)))
        colorless = plan(identity.model_copy(update={"colors": []}))
        colors.append(timed(lambda site=colorless: list(islice(palettes(site, "trade"), 8))))  # type: ignore[misc]
    return [
        _spread("a whole style proposed", one, 0.15),
        _spread("eight styles proposed", eight, 1.0),
        _spread("planning of ten pages and more", plans, 0.2),
        _spread("three compositions for a section", composed, 0.3),
        _spread("eight palettes", colors, 1.0),
    ]


def _proposed(site: Site, count: int) -> None:
    list(islice(proposals(site), count))


def _spread(what: str, times: list[float], budget: float) -> Row:
    median, late = percentile(times, 0.5), percentile(times, 0.95)
    return what, f"{median * 1000:.0f} ms, p95 {late * 1000:.0f} ms", f"{budget * 1000:.0f} ms", late <= budget


def journeying() -> list[Row]:
    """The five-minute job; see tools/journey.py."""
    with sync_playwright() as playwright:
        browser = playwright.chromium.launch(executable_path="/usr/bin/chromium", args=FLAGS)
        with server() as address, journey.worker():
            page = browser.new_page(viewport={"width": 1280, "height": 800})
            actions, waited, site = journey.taken(page, address, PASSWORD)
            lacks = journey.lacking(site)
        browser.close()
    what = "from a folder to a released site"
    return [
        (f"{what}, actions", str(actions), str(journey.MOST_ACTIONS), actions <= journey.MOST_ACTIONS),
        (f"{what}, waiting", f"{waited:.1f} s", f"{journey.MOST_WAITING:.0f} s", waited <= journey.MOST_WAITING),
        (f"{what}, what it lacks", ", ".join(lacks) or "nothing", "nothing", not lacks),
    ]


def restyling() -> list[Row]:
    with sync_playwright() as playwright:
        browser = playwright.chromium.launch(executable_path="/usr/bin/chromium", args=FLAGS)
        last = full_sheet()
        with server() as address:
            page = browser.new_page()
            rows = weights(page, address) + restyle(page, address, last)
        browser.close()
    return rows


def every_row() -> Iterator[Row]:
    yield from (solver(), wiring(), kinds(), overlaying())
    demo = sites.load(Brand.objects.get(slug=DEMOS[0]))  # others leave it with many pages
    yield from judging()
    site = large_site()
    yield from (fitting_texts(site), reaching(site))
    with sync_playwright() as playwright:
        browser = playwright.chromium.launch(executable_path="/usr/bin/chromium", args=FLAGS)
        page = browser.new_page()
        axe = axe_time(page, site.model_copy(deep=True))
        yield from (rendering(site), *checking(site, axe))
        last = full_sheet()
        with server() as address:
            yield from weights(page, address)
            yield from restyle(page, address, last)
        browser.close()
    yield from writes.rows()
    yield from (*again(site), preflight(site))
    yield from looks.rows(demo)
    yield publishing(site)
    yield reading()
    yield from (*reads.many(), *reads.found())
    yield from proposing()
    yield from varying()
    yield from journeying()


if __name__ == "__main__":
    main()
