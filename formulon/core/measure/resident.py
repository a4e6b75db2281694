"""A browser that stays: one of a process, which looks at one page after another, of whatever site, and is started anew when it ends. It
goes by itself when it has had nothing to do for a while, and with its process."""

import asyncio
import threading
from collections.abc import Coroutine
from concurrent.futures import Future
from contextlib import AsyncExitStack, ExitStack
from typing import Any, TypeVar

from playwright.async_api import Browser, Error
from pydantic import ValidationError

from formulon.core.errors import BrowserError
from formulon.core.measure.chromium import browsing
from formulon.core.measure.facts import Page
from formulon.core.measure.files import SiteFiles
from formulon.core.measure.looking import Views, looked, undrawn
from formulon.core.measure.serving import Served, served
from formulon.core.measure.window import Window, opened

T = TypeVar("T")
_IDLE = 60.0  # seconds after which a browser without work goes
_TRIES = 2  # browsers over one page


class Resident:
    """Looks at pages for any number of threads, one after the other."""

    def __init__(self, idle: float = _IDLE) -> None:
        self._idle = idle
        self._asked = threading.Lock()  # one page at a time
        self._loop: asyncio.AbstractEventLoop | None = None
        self._running: AsyncExitStack | None = None
        self._browser: Browser | None = None
        self._server: Served | None = None
        self._window: Window | None = None
        self._goes: asyncio.TimerHandle | None = None
        self._leaving: asyncio.Task[None] | None = None

    def look(self, files: SiteFiles, path: str, views: Views) -> Page:
        """A page as it is seen. Raises BrowserError where no browser starts, or where the page cannot be drawn."""
        with self._asked:
            return self._run(self._look(files, path, views))

    def close(self) -> None:
        """Ends the browser; the next page starts another."""
        with self._asked:
            if self._loop:
                self._run(self._end())

    def _run(self, work: Coroutine[Any, Any, T]) -> T:
        if self._loop is None:
            self._loop = asyncio.new_event_loop()
            # A thread of its own for as long as the process runs: Chromium ends with the thread that started it.
            threading.Thread(target=self._loop.run_forever, name="browser", daemon=True).start()
        done: Future[T] = asyncio.run_coroutine_threadsafe(work, self._loop)
        return done.result()

    async def _look(self, files: SiteFiles, path: str, views: Views) -> Page:
        if self._goes:
            self._goes.cancel()
        try:
            return await self._tried(files, path, views)
        finally:
            self._goes = asyncio.get_running_loop().call_later(self._idle, self._leave)

    async def _tried(self, files: SiteFiles, path: str, views: Views) -> Page:
        said = ""
        for _ in range(_TRIES):
            try:
                there = await self._window_for(files)
                return await asyncio.wait_for(looked(there, path, views), views.seconds)
            except (TimeoutError, Error, ValidationError) as error:  # whatever state it left is thrown away with its browser
                said = undrawn(path, error)
                await self._end()
        raise BrowserError(said)

    async def _window_for(self, files: SiteFiles) -> Window:
        if self._browser is None or not self._browser.is_connected():
            await self._end()
            running = AsyncExitStack()
            servers = ExitStack()
            running.callback(servers.close)
            self._running = running
            self._server = servers.enter_context(served(files))
            self._browser = await running.enter_async_context(browsing(self._server.server_address[1]))
        assert self._server is not None
        if self._window is None or self._server.files is not files:
            if self._window is not None:
                await self._window.close()
            self._server.files = files
            self._window = await opened(self._browser)  # what one site has asked for is kept apart from the next
        return self._window

    def _leave(self) -> None:
        self._leaving = asyncio.get_running_loop().create_task(self._end())

    async def _end(self) -> None:
        running, self._running, self._browser, self._window, self._server = self._running, None, None, None, None
        if running:
            await running.aclose()
