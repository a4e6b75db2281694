"""Looking at the pages of a site with a browser: every page at every width, with progress, and ended when nobody waits for it."""

import asyncio
import time
from collections.abc import Callable, Sequence
from concurrent.futures import ThreadPoolExecutor
from dataclasses import dataclass

from playwright.async_api import Error
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
    EdgeSeen,
    GlanceSeen,
    KeysSeen,
    PageSeen,
    PointerSeen,
    RestSeen,
    TextSeen,
)
from formulon.core.measure.serving import served
from formulon.core.measure.window import HEIGHT, Part, Window, opened

WIDTHS = (320, 360, 768, 1280, 1920)
_PAGE_SECONDS = 20.0
_SHOTS = 2  # of a screen some of whose texts are not told
_PAINT_SECONDS = 1.0  # until a browser tells of what it has painted; of some pictures it never does
_MOST_SCREENS = 24  # of a page and a width on which pixels are read
_USUAL = "\u00ff"  # the last letter that nearly all typefaces for Latin have (ISO 8859-1)
_MOST_FONTS = 40  # texts of a page
_DESK = 1280  # px at which controls are gone through, and the widest at which texts are spaced

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
    handing: asyncio.Future[None] | None = None  # of the last page, while the browser goes on to the next
    with served(files) as server:
        while left and not gone():
            if starts > 3 + len(pages) // 20:
                raise BrowserError("The browser ends again and again over these pages. Take out what is special about them.")
            starts += 1
            async with browsing(server.server_address[1]) as browser:
                there = await opened(browser)
                while left and browser.is_connected() and not gone():
                    path, page = left.pop(0), None
                    try:
                        views = Views(tuple(widths), edges(files, path))
                        page = await asyncio.wait_for(looked(there, path, views), views.seconds)
                    except (TimeoutError, Error, ValidationError) as error:
                        failed[path] = undrawn(path, error)
                    if handing:
                        await handing
                    if page:
                        handing = asyncio.get_running_loop().run_in_executor(None, each, page)
                    progress(len(pages) - len(left), len(pages))
                    if not page:  # whatever state it left is thrown away with its browser
                        break
    if handing:
        await handing
    return failed


def undrawn(path: str, error: Exception) -> str:
    """The sentence for a page that a browser cannot draw."""
    late = isinstance(error, TimeoutError) or "Timeout" in str(error)
    why = "it takes too long" if late else str(error).split("\n")[0][:120]
    return f"{path}: the page cannot be drawn ({why})."


async def looked(there: Window, path: str, views: Views) -> Page:
    """A page at all its widths."""
    widths = views.widths
    began = time.monotonic()
    await there.fits(max(*widths, *views.edges, SHEET))
    await there.goes_to(path, widths[0], views.scheme, _PAGE_SECONDS)
    patience = max(_PAINT_SECONDS, 4 * (time.monotonic() - began))  # a busy machine takes longer for all
    desk = max((width for width in widths if width <= _DESK), default=widths[0])
    # It is painted while it is asked, so that what is painted is told soon.
    _, seen = await asyncio.gather(there.screen((0, 0, 8, 8)), _wholly(there, widths[:1], desk))
    await there.heard.painted(seen[widths[0]], HEIGHT, patience)
    seen |= await _wholly(there, widths[1:], desk)
    if views.besides:
        texts = _doubtful(seen[desk])
        for text, fonts in zip(texts, await there.fonts([one.at for one in texts]), strict=True):
            text.fonts = fonts
    pixels: dict[int, dict[str, Pair]] = {}
    glancing: dict[int, asyncio.Task[list[GlanceSeen]]] = {}
    for width in widths:
        glanced_at = views.glances and width in HIGH
        untold = [text for text in seen[width].texts if not text.told and not text.disabled]
        if glanced_at or untold:
            await there.takes(width)
        if glanced_at:  # worked out while the browser goes on
            apart = asyncio.to_thread(glanced, await there.screen((0, 0, width, HIGH[width])), seen[width], width)
            glancing[width] = asyncio.create_task(apart)
        if untold:
            pixels[width] = await _pixels(there, width, untold)
    asked = _briefly(there, [width for width in views.edges if width not in seen])
    beside, besides = await asyncio.gather(asked, _besides(there, desk, views) if views.besides else _nothing())
    besides.largest, besides.shift, besides.console = there.heard.largest, there.heard.shift, there.heard.complaints
    for width, task in glancing.items():
        seen[width].glances = await task
    return Page(path, seen, pixels, beside, scheme=views.scheme, besides=besides)


async def _wholly(there: Window, widths: Sequence[int], desk: int) -> dict[int, PageSeen]:
    """All that is seen of a page at each width, one after the other."""
    told = await there.seen(widths, whole=desk)
    return {width: PageSeen.model_validate_json(one) for width, one in zip(widths, told, strict=True)}


def _doubtful(page: PageSeen) -> list[TextSeen]:
    """The texts that are asked for the font in which they are drawn: those with letters that not every typeface has, and of each typeface
    that could not be read the longest. What else asks for a typeface that the site brings is drawn in it. To ask takes a tenth of the time
    that a page takes, so that no page is asked which need not be."""
    made: dict[tuple[object, ...], TextSeen] = {}
    for text in page.texts:
        if text.first_family not in page.faces:
            continue
        rare = any(char.isalpha() and char > _USUAL for char in text.text)
        if rare or text.first_family in page.unread:
            key = (text.at,) if rare else (text.family, text.weight, text.italic)
            if key not in made or len(made[key].text) < len(text.text):
                made[key] = text
    return list(made.values())[:_MOST_FONTS]


async def _briefly(there: Window, widths: Sequence[int], spaced: bool = False) -> dict[int, EdgeSeen]:
    """What is seen of the layout alone, at each width."""
    told = await there.seen(widths, brief=True, spaced=spaced)
    return {width: EdgeSeen.model_validate_json(one) for width, one in zip(widths, told, strict=True)}


async def _besides(there: Window, desk: int, views: Views) -> Besides:
    """What is seen of a page with wider spacing, under the pointer, under the keyboard and on paper. What needs no answer to what was asked
    before is asked at once: a page answers one after the other."""
    made = Besides()
    asked = _briefly(there, list(dict.fromkeys((views.widths[0], desk))), spaced=True)
    made.spaced, rest, pointer = await asyncio.gather(asked, there.besides("rest"), there.besides("pointer"))
    made.rest, made.pointer = RestSeen.model_validate_json(rest), PointerSeen.model_validate_json(pointer)
    await there.presses_tab()
    keys = KeysSeen.model_validate_json(await there.besides("focus"))
    made.focused, made.unreached = keys.focused, keys.unreached
    made.paper = EdgeSeen.model_validate_json(await there.seen_on_paper(SHEET))
    return made


async def _nothing() -> Besides:
    return Besides()


async def _pixels(there: Window, width: int, texts: list[TextSeen]) -> dict[str, Pair]:
    """The pairs of texts on pictures, gradients and veils, screen by screen."""
    made: dict[str, Pair] = {}
    left = sorted(texts, key=lambda text: text.box[1])
    for _ in range(_MOST_SCREENS):
        if not left:
            break
        top = await there.scrolls_to(left[0].box[1] - 80)
        inside = [one for one in left if one.box[1] + min(one.box[3], HEIGHT / 2) <= top + HEIGHT] or left[:1]
        left = [one for one in left if one not in inside]
        boxes = [_within(one, top, width) for one in inside]
        part = _around(boxes)
        boxes = [(left - part[0], above - part[1], right - part[0], low - part[1]) for left, above, right, low in boxes]
        inks = [_ink(one) for one in inside]
        for _ in range(_SHOTS):
            drawn = await there.screen(part)
            await there.bare(True)
            bare = await there.screen(part)
            await there.bare(False)
            pairs = read_pixels(drawn, bare, boxes, inks)
            made |= {text.at: pair for text, pair in zip(inside, pairs, strict=True) if pair}
            if all(pairs):
                break  # else it may be that a busy browser has not painted the one or the other yet
    await there.scrolls_to(0)
    return made


def _around(boxes: Sequence[Part]) -> Part:
    lefts, tops, rights, lows = zip(*boxes, strict=True)
    return min(lefts), min(tops), max(rights), max(lows)


def _within(text: TextSeen, top: int, width: int) -> Part:
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
