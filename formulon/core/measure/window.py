"""A page in a browser, in a frame that takes any width: within one question the frame is set to width after width and asked at each, and
nothing is painted between them. A window of its own would paint each of them, and be waited for."""

import asyncio
import base64
from collections.abc import Sequence
from importlib import resources
from typing import Any, Literal
from urllib.parse import quote

from playwright.async_api import Browser, CDPSession
from playwright.async_api import Page as Tab

from formulon.core.measure.facts import Scheme
from formulon.core.measure.heard import Heard, hearing
from formulon.core.measure.seen import FontSeen
from formulon.core.measure.serving import FRAME, START

HEIGHT = 900  # px
_WIDEST = 1920  # px that a window is made for
Part = tuple[int, int, int, int]  # left, top, right, bottom in px
_PROBE = (resources.files("formulon.core.measure") / "probe.js").read_text(encoding="utf-8")
_NAMES = "// (names)"  # around what both scripts have
_BESIDES = (
    (resources.files("formulon.core.measure") / "besides.js")
    .read_text(encoding="utf-8")
    .replace(_NAMES, _PROBE.split(_NAMES)[1])
)
_AT_EACH = f"""({{ widths, brief, whole, spaced }}) => {{
  const probe = {_PROBE};
  document.documentElement.classList.toggle('formulon-spaced', spaced);
  const seen = widths.map((width) => {{ frameElement.style.width = `${{width}}px`; return probe({{ brief, whole: width === whole }}); }});
  document.documentElement.classList.remove('formulon-spaced');
  return seen;
}}"""
_WIDE = "width => { document.querySelector('iframe').style.width = `${width}px`; }"
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
_TAB = {"key": "Tab", "code": "Tab", "windowsVirtualKeyCode": 9, "nativeVirtualKeyCode": 9}


async def opened(browser: Browser) -> "Window":
    """A window in which nothing runs or moves, and nothing is loaded down or kept."""
    context = await browser.new_context(
        java_script_enabled=False, viewport={"width": _WIDEST, "height": HEIGHT}, reduced_motion="reduce", color_scheme="light",
        service_workers="block", accept_downloads=False, device_scale_factor=1,
    )  # fmt: skip
    tab = await context.new_page()
    await tab.goto(FRAME)
    line = await context.new_cdp_session(tab)
    return Window(tab, line, await hearing(line))


class Window:
    """A tab with the frame, the line on which it is spoken to, and what is heard of the page."""

    def __init__(self, tab: Tab, line: CDPSession, heard: Heard) -> None:
        (self.frame,) = tab.main_frame.child_frames
        self.tab, self.line, self.heard = tab, line, heard
        self._widest = _WIDEST

    async def close(self) -> None:
        """Throws it away, with all that its pages have left there."""
        await self.tab.context.close()

    async def fits(self, width: int) -> None:
        """Has room for pages of a width, in px."""
        if width > self._widest:
            await self.tab.set_viewport_size({"width": width, "height": HEIGHT})
            self._widest = width

    async def goes_to(self, path: str, width: int, scheme: Scheme, seconds: float) -> None:
        """Has a page of the site stand in the frame, at a width, once all of it is loaded, without motion."""
        self.heard.begins()
        await asyncio.gather(self.tab.emulate_media(media="screen", color_scheme=scheme), self.takes(width))
        await self.frame.goto(START + quote(path), wait_until="load", timeout=seconds * 1000)
        await self.frame.evaluate(_PLAIN)

    async def takes(self, width: int) -> None:
        """Gives the page another width, in px."""
        await self.tab.evaluate(_WIDE, width)

    async def seen(self, widths: Sequence[int], *, brief: bool = False, whole: int = 0, spaced: bool = False) -> list[str]:
        """What the probe tells at each width, as JSON: only of the layout, or all, and at one width of controls, too; `spaced` as WCAG 2.2,
        1.4.12 has it. The page stays at the last one."""
        how = {"widths": list(widths), "brief": brief, "whole": whole, "spaced": spaced}
        told: list[str] = await self.frame.evaluate(_AT_EACH, how) if widths else []
        return told

    async def fonts(self, selectors: Sequence[str]) -> list[list[FontSeen]]:
        """In which fonts the words of each element are really drawn, as the browser's inspector has it."""
        if not selectors:
            return []
        send = self.line.send
        ready = send("DOM.enable"), send("CSS.enable"), send("DOM.getDocument", {"depth": 4, "pierce": True})
        whole: list[dict[str, Any]] = list(await asyncio.gather(*ready))
        root = _inner(whole[-1]["root"])
        found = await asyncio.gather(*(send("DOM.querySelector", {"nodeId": root, "selector": one}) for one in selectors))
        told = await asyncio.gather(*(send("CSS.getPlatformFontsForNode", {"nodeId": one["nodeId"]}) for one in found))
        await asyncio.gather(send("CSS.disable"), send("DOM.disable"))
        return [
            [
                FontSeen(name=font["familyName"], brought=font["isCustomFont"], letters=round(font["glyphCount"]))
                for font in one["fonts"]
            ]
            for one in told
        ]

    async def besides(self, what: Literal["rest", "pointer", "focus"]) -> str:
        """What is seen of controls in their states, as JSON (besides.js)."""
        told: str = await self.frame.evaluate(_BESIDES, what)
        return told

    async def presses_tab(self) -> None:
        """Has the keyboard in the page."""
        await self.frame.evaluate("() => frameElement.focus()")
        await asyncio.gather(
            *(self.line.send("Input.dispatchKeyEvent", {"type": way, **_TAB}) for way in ("rawKeyDown", "keyUp"))
        )

    async def seen_on_paper(self, width: int) -> str:
        """What the probe tells of the layout of the page as it is printed, as JSON, at a width. It is the last that is seen of the page:
        what is there of it is taken away, else it would be laid out again while the next one comes."""
        await self.tab.emulate_media(media="print")
        (told,) = await self.seen([width], brief=True)
        await self.frame.evaluate("() => document.documentElement.replaceChildren()")
        return told

    async def scrolls_to(self, y: float) -> int:
        """How far down the page stands then, in px."""
        return int(await self.frame.evaluate("y => { scrollTo(0, y); return scrollY; }", max(0.0, y)))

    async def bare(self, on: bool) -> None:
        """Takes the page's words away, or gives them back."""
        await self.frame.evaluate(_BARE, on)

    async def screen(self, part: Part) -> bytes:
        """A part of what is in sight, as PNG. The smaller, the sooner."""
        left, top, right, below = part
        clip = {"x": left, "y": top, "width": max(1, right - left), "height": max(1, below - top), "scale": 1}
        shot: dict[str, Any] = await self.line.send(
            "Page.captureScreenshot", {"format": "png", "optimizeForSpeed": True, "clip": clip}
        )
        return base64.b64decode(shot["data"])


def _inner(node: dict[str, Any]) -> int:
    """The number of the document within the frame, from the tree around it."""
    if "contentDocument" in node:
        return int(node["contentDocument"]["nodeId"])
    return next((found for one in node.get("children", ()) if (found := _inner(one))), 0)
