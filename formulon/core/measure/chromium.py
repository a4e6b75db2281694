"""Debian's headless Chromium, driven over its own protocol by Playwright: no window, no network but a proxy on loopback, no script of
pages, a profile of its own that is thrown away, and the rights of nobody where the studio has those of root."""

import asyncio
import contextlib
import ctypes
import os
import pwd
import shutil
import signal
import subprocess
import tempfile
from collections.abc import AsyncIterator
from contextlib import asynccontextmanager
from pathlib import Path

from playwright.async_api import Browser, async_playwright

from formulon.core.errors import BrowserError

CHROMIUM = Path("/usr/bin/chromium")
_STARTS = 20.0  # seconds
_FLAGS = (
    "--headless", "--disable-gpu", "--no-first-run", "--disable-extensions", "--disable-background-networking", "--disable-sync",
    "--disable-component-update", "--disable-default-apps", "--no-default-browser-check", "--disable-dev-shm-usage", "--no-sandbox",
    "--proxy-bypass-list=<-loopback>", "--host-resolver-rules=MAP * ~NOTFOUND, EXCLUDE 127.0.0.1", "--force-color-profile=srgb",
    "--font-render-hinting=none", "--hide-scrollbars", "--disable-frame-rate-limit", "--disable-features=WebRtcHideLocalIpsWithMdns,DialMediaRouteProvider",
    "--webrtc-ip-handling-policy=disable_non_proxied_udp", "--remote-debugging-port=0", "about:blank",
)  # fmt: skip


@asynccontextmanager
async def browsing(proxy: int) -> AsyncIterator[Browser]:
    """A browser that asks a proxy at a port of loopback for everything. Raises BrowserError where it does not start."""
    if not CHROMIUM.exists():
        raise BrowserError("Chromium is not on this machine. Install the package “chromium”.")
    profile = Path(tempfile.mkdtemp(prefix="formulon-chromium-"))
    options: dict[str, object] = {}
    if os.geteuid() == 0:
        nobody = pwd.getpwnam("nobody")
        os.chown(profile, nobody.pw_uid, nobody.pw_gid)
        options = {"user": nobody.pw_uid, "group": nobody.pw_gid, "extra_groups": []}
    command = [
        str(CHROMIUM),
        *_FLAGS[:-1],
        f"--proxy-server=http://127.0.0.1:{proxy}",
        f"--user-data-dir={profile}",
        _FLAGS[-1],
    ]
    environment = {"PATH": os.environ.get("PATH", "/usr/bin:/bin"), "HOME": str(profile), "LANG": "C.UTF-8"}
    program = subprocess.Popen(
        command, stdin=subprocess.DEVNULL, stdout=subprocess.DEVNULL, stderr=subprocess.DEVNULL, env=environment, cwd=profile,
        start_new_session=True, preexec_fn=_ends_with_us, **options,
    )  # type: ignore[call-overload]  # fmt: skip
    try:
        port = await _port(program, profile / "DevToolsActivePort")
        async with async_playwright() as tool:
            yield await tool.chromium.connect_over_cdp(f"http://127.0.0.1:{port}")
    finally:
        with contextlib.suppress(ProcessLookupError):
            os.killpg(program.pid, signal.SIGKILL)
        program.wait(10)
        shutil.rmtree(profile, ignore_errors=True)


_PR_SET_PDEATHSIG = 1  # prctl(2)
_LIBC = ctypes.CDLL(None, use_errno=True)


def _ends_with_us() -> None:
    """Has the browser end when the thread that started it does, however that ends. Runs in the new process, as whom the browser is."""
    _LIBC.prctl(_PR_SET_PDEATHSIG, signal.SIGKILL)


async def _port(program: "subprocess.Popen[bytes]", file: Path) -> int:
    end = asyncio.get_running_loop().time() + _STARTS
    while asyncio.get_running_loop().time() < end:
        if program.poll() is not None:
            break
        with contextlib.suppress(OSError, ValueError, IndexError):
            return int(file.read_text().splitlines()[0])
        await asyncio.sleep(0.05)
    raise BrowserError("Chromium does not start here. Look whether it runs from a terminal.")
