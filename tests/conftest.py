"""Shared fixtures: brands and sites as plain data."""

import json
from collections.abc import Iterator
from pathlib import Path
from typing import Any

import pytest
from django.test import override_settings
from hypothesis import HealthCheck, settings

from formulon.core.identity.svg import rebuild
from formulon.core.site.documents import CHOICES, IDENTITY, site_of
from formulon.core.site.site import Asset, Site
from formulon.core.system.documents.choices import Choices
from formulon.core.system.documents.identity import Identity

# A deadline, and the check for slow data, would measure the machine; speed is ./bench's.
# The same examples on every machine: a change is judged by what it changes, not by luck.
settings.register_profile("formulon", deadline=None, derandomize=True, suppress_health_check=[HealthCheck.too_slow])
settings.load_profile("formulon")

DATA = Path(__file__).resolve().parent / "data"
DEMO = Path(__file__).resolve().parent.parent / "demo" / "quillmoor"


# Files that take longest in a browser, which go first, so that no worker is left with one of them alone.
LONGEST = (
    "test_layouts", "test_looking", "test_agreement", "test_structure", "test_published", "test_studio", "test_measuring", "test_composed",
    "test_own", "test_any_brand", "test_colors", "test_preflight", "test_keyboard", "test_type", "test_files", "test_shape", "test_new_brand",
    "test_header", "test_lighthouse", "test_motif",
)  # fmt: skip


def pytest_collection_modifyitems(items: list[pytest.Item]) -> None:
    order = {name: place for place, name in enumerate(LONGEST)}
    items.sort(key=lambda item: order.get(item.path.stem, len(LONGEST)))


def quillmoor_identity(marks: bool = True) -> Identity:
    """The demo brand's identity, out of its files."""
    body = json.loads((DATA / "quillmoor.json").read_text(encoding="utf-8"))
    if marks:
        body["marks"] = [
            {
                "id": file.stem,
                "name": file.name,
                "kind": "symbol" if "symbol" in file.stem else "full",
                "svg": rebuild(file.read_bytes(), file.name).svg,
            }
            for file in sorted((DEMO / "logo").glob("*.svg"))
        ]
    return Identity.model_validate(body)


def quillmoor_pictures() -> list[Asset]:
    """The demo brand's own pictures, with what they show."""
    names = json.loads((DATA / "quillmoor-pictures.json").read_text(encoding="utf-8"))
    made = []
    for file in sorted((DEMO / "pictures").glob("*.svg")):
        read = rebuild(file.read_bytes(), file.name)
        made.append(Asset(id=file.stem, name=names[file.stem], svg=read.svg, width=read.width, height=read.height))
    return made


@pytest.fixture(scope="session", autouse=True)
def quick_settings() -> Iterator[None]:
    """To hash a password as the studio does takes most of a second, and nearly every test of it has people who sign in; and releases wait
    for a browser only where that is what a test is about."""
    with override_settings(PASSWORD_HASHERS=["django.contrib.auth.hashers.MD5PasswordHasher"], MEASURED_RELEASES=False):
        yield


@pytest.fixture
def quillmoor() -> Identity:
    return quillmoor_identity()


def known_pages(name: str) -> dict[str, Any]:
    """Frame and pages that tests know, whatever the planner would make of the brand: the four usual pages in compositions that have
    a button of each kind, pictures, cards and arcs. By document; "site", "studio" and "demo" differ in their pictures and texts."""
    return dict(json.loads((DATA / "pages" / f"{name}.json").read_text(encoding="utf-8")))


@pytest.fixture
def site(quillmoor: Identity) -> Site:
    """The demo's site in known compositions, with one picture of its own."""
    read = rebuild((DEMO / "pictures" / "5-moon-for-members.svg").read_bytes(), "moon.svg")
    asset = Asset(id="moon", name="A crescent moon and three stars", svg=read.svg, width=read.width, height=read.height)
    bodies = {IDENTITY: quillmoor.model_dump(), CHOICES: Choices().model_dump(), **known_pages("site")}
    return site_of(bodies, [asset])
