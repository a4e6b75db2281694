"""The browser driver: pages printed by Chromium. The only module of core that runs another program."""

import subprocess
import tempfile
from collections.abc import Mapping
from pathlib import Path

from formulon.core.errors import BrowserError

CHROMIUM = Path("/usr/bin/chromium")
_SECONDS = 60
# No window, no profile but one of its own, and no network: a printed page has all that it needs beside it.
_FLAGS = (
    "--headless", "--disable-gpu", "--no-first-run", "--disable-extensions", "--disable-background-networking",
    "--host-resolver-rules=MAP * ~NOTFOUND", "--no-pdf-header-footer", "--no-sandbox", "--disable-sync",
    "--disable-component-update", "--disable-default-apps", "--no-default-browser-check", "--disable-dev-shm-usage",
)  # fmt: skip


def printed(files: Mapping[str, bytes], page: str) -> bytes:
    """One of some files, by its path, as PDF. The files are Formulon's own; no script runs in them. Raises BrowserError."""
    if not CHROMIUM.exists():
        raise BrowserError("Chromium is not on this machine. Install the package “chromium”, or print from your own browser.")
    with tempfile.TemporaryDirectory() as name:
        folder = Path(name)
        for path, data in files.items():
            (folder / "site" / path).parent.mkdir(parents=True, exist_ok=True)
            (folder / "site" / path).write_bytes(data)
        out = folder / "out.pdf"
        address = (folder / "site" / page).as_uri()
        command = [str(CHROMIUM), *_FLAGS, f"--user-data-dir={folder / 'profile'}", f"--print-to-pdf={out}", address]
        try:
            subprocess.run(command, check=True, capture_output=True, timeout=_SECONDS, cwd=folder)
            return out.read_bytes()
        except (subprocess.SubprocessError, OSError) as error:
            raise BrowserError("Chromium could not print the page. Try again, or print from your own browser.") from error
