"""Both demos as they are published, judged by Lighthouse: performance, accessibility, best practices and what search engines need."""

import json
import os
import subprocess
from pathlib import Path
from typing import Any

import pytest
from django.contrib.auth.models import User

from formulon.studio.management.commands.load_demo import load_folder
from formulon.studio.models import Brand, Workspace
from formulon.studio.services import releases

ROOT = Path(__file__).parents[2]
FLAGS = "--headless=new --no-sandbox --disable-gpu --disable-quic --no-first-run --disable-background-networking --disable-component-update --disable-sync"


def judged(address: str, out: Path, preset: str) -> dict[str, Any]:
    """What Lighthouse says of a page, on a phone unless the preset says otherwise."""
    command = [
        "node", str(ROOT / "web/node_modules/lighthouse/cli/index.js"), address, "--output=json", f"--output-path={out}", "--quiet",
        f"--chrome-flags={FLAGS}", "--max-wait-for-load=30000", *([f"--preset={preset}"] if preset else []),
    ]  # fmt: skip
    subprocess.run(command, check=True, env=os.environ | {"CHROME_PATH": "/usr/bin/chromium", "CI": "1"}, timeout=180)
    return dict(json.loads(out.read_text(encoding="utf-8")))


@pytest.mark.parametrize("name", ["quillmoor", "sallowbeck"])
def test_a_demo_as_published_has_a_hundred_in_all(name: str, studio: str, designer: User, tmp_path: Path) -> None:
    brand = load_folder(ROOT / "demo" / name, Workspace.objects.get(name="Studio"))
    releases.publish(Brand.objects.get(pk=brand.pk), designer)
    address = f"{studio.replace('localhost', '127.0.0.1')}/{brand.slug}/"
    for preset in ("", "desktop"):
        made = judged(address, tmp_path / "report.json", preset)
        scores = {key: round(100 * one["score"]) for key, one in made["categories"].items()}
        below = {
            key: (one["title"], one.get("displayValue")) for key, one in made["audits"].items()
            if one["score"] is not None and one["score"] < 0.9 and one["scoreDisplayMode"] != "informative"
        }  # fmt: skip
        Path("/tmp/lh.json").write_text(json.dumps(made))
        assert scores == dict.fromkeys(("performance", "accessibility", "best-practices", "seo"), 100), (preset, below)
