"""What a browser tells by itself while it loads a page: what it painted as the largest thing, what moved, and what its console says."""

import asyncio
import time
from collections.abc import Callable
from typing import Any

from playwright.async_api import CDPSession

from formulon.core.measure.seen import Box, LargestSeen, PageSeen, ShiftSeen

_ROUNDED = 1.02  # how much larger a box may be than what browsers tell of it
_MOST_SAID = 20  # complaints of a browser about a page


class Heard:
    """What is told of the page that is there now; what is told once it is `ended` is of another width."""

    def __init__(self, frame: str) -> None:
        self._frame = frame  # in which the page stands; pages within the page are not spoken of
        self.begins()

    def begins(self) -> None:
        """Another page comes."""
        self.largest: LargestSeen | None = None
        self.shift: ShiftSeen | None = None
        self.said: list[str] = []
        self.ended = False

    @property
    def complaints(self) -> list[str]:
        return list(dict.fromkeys(self.said))

    async def painted(self, seen: PageSeen, high: int, seconds: float) -> None:
        """Waits until the largest thing of a first screen is told, which is `high` px, at most so long."""
        end = time.monotonic() + seconds
        while self._waits(seen, high) and time.monotonic() < end:
            await asyncio.sleep(0.005)
        self.ended = True

    def _waits(self, seen: PageSeen, high: int) -> bool:
        """Whether nothing was painted so far, or a picture of the first screen is larger than that, by more than browsers round."""
        size = self.largest.size if self.largest else 0.0
        return (not size and bool(seen.texts)) or any(
            _in_sight(one.box, seen.inner, high) > size * _ROUNDED + 1 and not one.broken for one in seen.pictures
        )

    def _moved(self, told: dict[str, Any]) -> None:
        """Another page is there: what was painted of the last one, all of which is told again at first, is of no account."""
        if told["frame"]["id"] == self._frame:
            self.largest = self.shift = None

    def _timeline(self, told: dict[str, Any]) -> None:
        event = told["event"]
        if self.ended or event["frameId"] != self._frame:
            return
        if painted := event.get("lcpDetails"):
            self.largest = LargestSeen(url=painted.get("url", ""), size=painted["size"])
        if (moved := event.get("layoutShiftDetails")) and moved["sources"]:
            most = max((one["currentRect"] for one in moved["sources"]), key=lambda rect: rect["width"] * rect["height"])
            before = self.shift.score if self.shift else 0.0
            self.shift = ShiftSeen(score=before + moved["value"], box=(most["x"], most["y"], most["width"], most["height"]))

    def _logged(self, told: dict[str, Any]) -> None:
        entry = told["entry"]
        # What is not there is told by the requests themselves.
        if entry["level"] == "error" and entry["source"] != "network" and len(self.said) < _MOST_SAID:
            self.said.append(entry["text"][:300])


async def hearing(line: CDPSession) -> Heard:
    """Has a browser tell of what stands in the one frame of a page, on a line of its own."""
    tree = (await line.send("Page.getFrameTree"))["frameTree"]
    heard = Heard(tree["childFrames"][0]["frame"]["id"])
    told: dict[str, Callable[[dict[str, Any]], None]] = {
        "PerformanceTimeline.timelineEventAdded": heard._timeline,
        "Log.entryAdded": heard._logged,
        "Page.frameNavigated": heard._moved,
    }
    for name, take in told.items():
        line.on(name, take)
    await line.send("Page.enable")
    await line.send("PerformanceTimeline.enable", {"eventTypes": ["largest-contentful-paint", "layout-shift"]})
    await line.send("Log.enable")
    return heard


def _in_sight(box: Box, wide: int, high: int) -> float:
    """How much of a box stands on the first screen, in px²."""
    left, top, across, down = box
    return max(0.0, min(wide, left + across) - max(0.0, left)) * max(0.0, min(high, top + down) - max(0.0, top))
