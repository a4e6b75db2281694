"""Looking at the pages of a site with a browser: every page at every width, with progress, and ended when nobody waits for it."""

import asyncio
import base64
import contextlib
import time
from collections.abc import Callable, Sequence
from concurrent.futures import ThreadPoolExecutor
from dataclasses import dataclass, field
from importlib import resources
from typing import Any
from urllib.parse import quote

from playwright.async_api import Browser, BrowserContext, CDPSession, Error
from playwright.async_api import Page as Tab
from pydantic import ValidationError

from formulon.core.errors import BrowserError
from formulon.core.measure.behind import read_pixels
from formulon.core.measure.chromium import browsing
from formulon.core.measure.edges import SHEET, edges
from formulon.core.measure.facts import Page, Pair, Scheme
from formulon.core.measure.files import MOST_PAGES, SiteFiles
from formulon.core.measure.glanced import HIGH, glanced
from formulon.core.measure.seen import (
    Besides,
    Box,
    EdgeSeen,
    GlanceSeen,
    KeysSeen,
    LargestSeen,
    PageSeen,
    PointerSeen,
    TextSeen,
)
from formulon.core.measure.serving import START, served

WIDTHS = (320, 360, 768, 1280, 1920)
HEIGHT = 900
_PAGE_SECONDS = 20.0
_SHOTS = 2  # of a screen some of whose texts are not told
_ROUNDED = 1.02  # how much larger a box may be than what browsers tell of it
_PAINT_SECONDS = 1.0  # until a browser tells of what it has painted; of some pictures it never does
_MOST_SCREENS = 24  # of a page and a width on which pixels are read
_PROBE = (resources.files("formulon.core.measure") / "probe.js").read_text(encoding="utf-8")
_NAMES = "// (names)"  # around what both scripts have
_BESIDES = (
    (resources.files("formulon.core.measure") / "besides.js")
    .read_text(encoding="utf-8")
    .replace(_NAMES, _PROBE.split(_NAMES)[1])
)
_DESK = 1280  # px at which controls are gone through, and the widest at which texts are spaced
_TAB = {"key": "Tab", "code": "Tab", "windowsVirtualKeyCode": 9, "nativeVirtualKeyCode": 9}
_MOST_SAID = 20  # complaints of a browser about a page
_PLAIN = """() => { const sheet = new CSSStyleSheet(); sheet.replaceSync(`
  *, ::before, ::after { animation: none !important; transition: none !important; scroll-behavior: auto !important; caret-color: transparent !important; }
  * { pointer-events: auto !important; }
  html.formulon-bare *, html.formulon-bare ::before, html.formulon-bare ::after, html.formulon-bare ::marker { color: transparent !important;
    -webkit-text-fill-color: transparent !important; -webkit-text-stroke-color: transparent !important; text-shadow: none !important;
    text-decoration-color: transparent !important; }
  html.formulon-spaced body * { line-height: 1.5 !important; letter-spacing: 0.12em !important; word-spacing: 0.16em !important; }
  html.formulon-spaced body p { margin-bottom: 2em !important; }`);
  document.adoptedStyleSheets = [...document.adoptedStyleSheets, sheet]; }"""
_BARE = "on => document.documentElement.classList.toggle('formulon-bare', on)"
_SPACED = "on => document.documentElement.classList.toggle('formulon-spaced', on)"  # as WCAG 2.2, 1.4.12 has it

_Part = tuple[int, int, int, int]  # left, top, right, bottom in px
Progress = Callable[[int, int], None]
Gone = Callable[[], bool]


@dataclass(frozen=True, slots=True)
class Views:
    """How a page is looked at: at which widths, beside which widths its layout is looked at alone, in which scheme, whether it is told
    what draws the eye first, and whether it is looked at on paper, with wider spacing, under pointer and keyboard."""

    widths: tuple[int, ...] = WIDTHS
    edges: tuple[int, ...] = ()
    scheme: Scheme = "light"
    glances: bool = False
    besides: bool = True

    @property
    def seconds(self) -> float:
        """How long a page may take, in s."""
        return _PAGE_SECONDS * (1 + (len(self.widths) + len(self.edges) / 2) / 2)


def look(
    files: SiteFiles, each: Callable[[Page], None], widths: Sequence[int] = WIDTHS, progress: Progress = lambda done, all_: None,
    gone: Gone = lambda: False,
) -> dict[str, str]:  # fmt: skip
    """Hands over each page of a site as it was seen; those that could not be, each with a sentence. Raises BrowserError where there is no
    browser, or it ends several times over one page after another."""
    with ThreadPoolExecutor(1) as apart:  # the caller may have an event loop of its own
        return apart.submit(lambda: asyncio.run(_all(files, each, sorted(set(widths)), progress, gone))).result()


async def _all(
    files: SiteFiles, each: Callable[[Page], None], widths: list[int], progress: Progress, gone: Gone
) -> dict[str, str]:
    pages, failed = files.pages[:MOST_PAGES], dict[str, str]()
    for path in files.pages[MOST_PAGES:]:
        failed[path] = f"{path}: only the first {MOST_PAGES} pages are looked at."
    left, starts = list(pages), 0
    with served(files) as server:
        while left and not gone():
            if starts > 3 + len(pages) // 20:
                raise BrowserError("The browser ends again and again over these pages. Take out what is special about them.")
            starts += 1
            async with browsing(server.server_address[1]) as browser:
                tab = await (await opened(browser, widths[0])).new_page()
                while left and browser.is_connected() and not gone():
                    path, well = left.pop(0), True
                    try:
                        views = Views(tuple(widths), edges(files, path))
                        each(await asyncio.wait_for(looked(tab, path, views), views.seconds))
                    except (TimeoutError, Error, ValidationError) as error:
                        failed[path] = undrawn(path, error)
                        well = False
                    progress(len(pages) - len(left), len(pages))
                    if not well:  # whatever state it left is thrown away with its browser
                        break
    return failed


def undrawn(path: str, error: Exception) -> str:
    """The sentence for a page that a browser cannot draw."""
    late = isinstance(error, TimeoutError) or "Timeout" in str(error)
    why = "it takes too long" if late else str(error).split("\n")[0][:120]
    return f"{path}: the page cannot be drawn ({why})."


async def opened(browser: Browser, width: int) -> BrowserContext:
    """Where pages are drawn: without scripts, motion, downloads or anything that is kept."""
    return await browser.new_context(
        java_script_enabled=False, viewport={"width": width, "height": HEIGHT}, reduced_motion="reduce", color_scheme="light",
        service_workers="block", accept_downloads=False, device_scale_factor=1,
    )  # fmt: skip


async def looked(tab: Tab, path: str, views: Views) -> Page:
    """A page at all its widths, by resizing."""
    line = await tab.context.new_cdp_session(tab)
    try:
        return await _looked(tab, line, path, views)
    finally:
        with contextlib.suppress(Error):  # a browser that has ended has no line any more
            await line.detach()


async def _resize(line: CDPSession, width: int) -> None:
    """Another width of the window. The driver's own way waits for what nobody waits for here, and takes several times as long."""
    sizes = {"width": width, "height": HEIGHT, "deviceScaleFactor": 1, "mobile": False}
    await line.send("Emulation.setDeviceMetricsOverride", sizes)


async def _looked(tab: Tab, line: CDPSession, path: str, views: Views) -> Page:
    widths = views.widths
    await _resize(line, widths[0])
    await tab.emulate_media(color_scheme=views.scheme)
    heard = await _listen(line)
    began = time.monotonic()
    await tab.goto(START + quote(path), wait_until="load", timeout=_PAGE_SECONDS * 1000)
    patience = max(_PAINT_SECONDS, 4 * (time.monotonic() - began))  # a busy machine takes longer for all
    await tab.evaluate(_PLAIN)
    desk = max((width for width in widths if width <= _DESK), default=widths[0])
    seen: dict[int, PageSeen] = {}
    pixels: dict[int, dict[str, Pair]] = {}
    glancing: dict[int, asyncio.Task[list[GlanceSeen]]] = {}
    for width in widths:
        how = {"brief": False, "whole": width == desk}
        await _resize(line, width)
        seen[width] = PageSeen.model_validate_json(await tab.evaluate(_PROBE, how))
        if not heard.ended:
            await _painted(line, heard, seen[width], patience)
        if views.glances and width in HIGH:  # worked out while the browser goes on
            apart = asyncio.to_thread(glanced, await _screen(line, (0, 0, width, HIGH[width]), 0), seen[width], width)
            glancing[width] = asyncio.create_task(apart)
        untold = [text for text in seen[width].texts if not text.told and not text.disabled]
        if untold:
            pixels[width] = await _pixels(tab, line, width, untold)
    beside: dict[int, EdgeSeen] = {}
    for width in views.edges:
        if width not in seen:
            beside[width] = await _briefly(tab, line, width)
    besides = await _besides(tab, line, desk, views) if views.besides else Besides()
    besides.largest, besides.console = heard.largest, list(dict.fromkeys(heard.said))
    for width, task in glancing.items():
        seen[width].glances = await task
    return Page(path, seen, pixels, beside, scheme=views.scheme, besides=besides)


@dataclass
class _Heard:
    """What a browser tells while it loads a page."""

    largest: LargestSeen | None = None
    said: list[str] = field(default_factory=list)
    ended: bool = False

    def waits(self, seen: PageSeen) -> bool:
        """Whether nothing was painted so far, or a picture of the first screen is larger than that, by more than browsers round."""
        size = self.largest.size if self.largest else 0.0
        return (not size and bool(seen.texts)) or any(
            _in_sight(one.box, seen.inner) > size * _ROUNDED + 1 and not one.broken for one in seen.pictures
        )

    def moved(self, told: dict[str, Any]) -> None:
        """Another page is there: what was painted of the last one, all of which is told again at first, is of no account."""
        if "parentId" not in told["frame"]:
            self.largest = None

    def painted(self, told: dict[str, Any]) -> None:
        details = told["event"].get("lcpDetails")
        if details and not self.ended:
            self.largest = LargestSeen(url=details.get("url", ""), size=details["size"])

    def logged(self, told: dict[str, Any]) -> None:
        entry = told["entry"]
        # What is not there is told by the requests themselves.
        if entry["level"] == "error" and entry["source"] != "network" and len(self.said) < _MOST_SAID:
            self.said.append(entry["text"][:300])


def _in_sight(box: Box, wide: int) -> float:
    """How much of a box stands on the first screen, in px²."""
    left, top, across, down = box
    return max(0.0, min(wide, left + across) - max(0.0, left)) * max(0.0, min(HEIGHT, top + down) - max(0.0, top))


async def _listen(line: CDPSession) -> _Heard:
    heard = _Heard()
    line.on("PerformanceTimeline.timelineEventAdded", heard.painted)
    line.on("Log.entryAdded", heard.logged)
    line.on("Page.frameNavigated", heard.moved)
    await line.send("Page.enable")
    await line.send("PerformanceTimeline.enable", {"eventTypes": ["largest-contentful-paint"]})
    await line.send("Log.clear")  # what was said of the page before
    await line.send("Log.enable")
    return heard


async def _painted(line: CDPSession, heard: _Heard, seen: PageSeen, seconds: float) -> None:
    """Waits until a browser has told of the largest thing that it painted on a first screen; what it tells later is of another width."""
    if heard.waits(seen):
        await _screen(line, (0, 0, 8, 8), 0)  # which has it painted
    end = time.monotonic() + seconds
    while heard.waits(seen) and time.monotonic() < end:
        await asyncio.sleep(0.005)
    heard.ended = True


async def _screen(line: CDPSession, part: _Part, top: int) -> bytes:
    """A part (left, top, right, bottom in px) of what is in sight, as PNG; the page is scrolled to `top`. The smaller, the sooner."""
    left, above, right, below = part
    clip = {"x": left, "y": above + top, "width": max(1, right - left), "height": max(1, below - above), "scale": 1}
    shot = await line.send("Page.captureScreenshot", {"format": "png", "optimizeForSpeed": True, "clip": clip})
    return base64.b64decode(shot["data"])


async def _briefly(tab: Tab, line: CDPSession, width: int) -> EdgeSeen:
    """What is seen of the layout alone. The page is asked while its window is still taking the width, and again if it was asked too soon."""
    how = {"brief": True, "whole": False}
    _, told = await asyncio.gather(_resize(line, width), tab.evaluate(_PROBE, how))
    seen = EdgeSeen.model_validate_json(told)
    return seen if seen.inner == width else EdgeSeen.model_validate_json(await tab.evaluate(_PROBE, how))


async def _besides(tab: Tab, line: CDPSession, desk: int, views: Views) -> Besides:
    """What is seen of a page with wider spacing, under the pointer, under the keyboard and on paper."""
    made = Besides()
    await tab.evaluate(_SPACED, True)
    for width in dict.fromkeys((views.widths[0], desk)):
        made.spaced[width] = await _briefly(tab, line, width)
    await tab.evaluate(_SPACED, False)
    await tab.evaluate(_BESIDES, "rest")
    made.pointer = PointerSeen.model_validate_json(await tab.evaluate(_BESIDES, "pointer"))
    for way in ("rawKeyDown", "keyUp"):
        await line.send("Input.dispatchKeyEvent", {"type": way, **_TAB})
    keys = KeysSeen.model_validate_json(await tab.evaluate(_BESIDES, "focus"))
    made.focused, made.unreached = keys.focused, keys.unreached
    await tab.emulate_media(media="print")
    made.paper = await _briefly(tab, line, SHEET)
    await tab.emulate_media(media="screen")
    return made


async def _pixels(tab: Tab, line: CDPSession, width: int, texts: list[TextSeen]) -> dict[str, Pair]:
    """The pairs of texts on pictures, gradients and veils, screen by screen."""
    made: dict[str, Pair] = {}
    left = sorted(texts, key=lambda text: text.box[1])
    for _ in range(_MOST_SCREENS):
        if not left:
            break
        top = int(await tab.evaluate("y => { scrollTo(0, y); return scrollY; }", max(0, left[0].box[1] - 80)))
        inside = [one for one in left if one.box[1] + min(one.box[3], HEIGHT / 2) <= top + HEIGHT] or left[:1]
        left = [one for one in left if one not in inside]
        boxes = [_within(one, top, width) for one in inside]
        part = _around(boxes)
        boxes = [(left - part[0], above - part[1], right - part[0], low - part[1]) for left, above, right, low in boxes]
        inks = [_ink(one) for one in inside]
        for _ in range(_SHOTS):
            drawn = await _screen(line, part, top)
            await tab.evaluate(_BARE, True)
            bare = await _screen(line, part, top)
            await tab.evaluate(_BARE, False)
            pairs = read_pixels(drawn, bare, boxes, inks)
            made |= {text.at: pair for text, pair in zip(inside, pairs, strict=True) if pair}
            if all(pairs):
                break  # else it may be that a busy browser has not painted the one or the other yet
    await tab.evaluate("() => scrollTo(0, 0)")
    return made


def _around(boxes: Sequence[_Part]) -> _Part:
    lefts, tops, rights, lows = zip(*boxes, strict=True)
    return min(lefts), min(tops), max(rights), max(lows)


def _within(text: TextSeen, top: int, width: int) -> _Part:
    left, above, wide, high = text.box
    return (
        max(0, int(left)),
        max(0, int(above - top)),
        min(width, int(left + wide) + 1),
        min(HEIGHT, int(above - top + high) + 1),
    )


def _ink(text: TextSeen) -> tuple[int, int, int] | None:
    """An ink that is drawn as it is written; one of several that are mixed is told by its pixels."""
    if text.veiled or text.color is None or text.color[3] < 0.999:
        return None
    red, green, blue = (round(part) for part in text.color[:3])
    return red, green, blue
