"""Both demos as they are published, judged by Lighthouse. How quickly they show is measured in ./bench."""

from collections.abc import Iterator
from pathlib import Path

import lighthouse
import pytest
from django.contrib.auth.models import User
from playwright.sync_api import Browser

from formulon.studio.management.commands.load_demo import load_folder
from formulon.studio.models import Brand, Workspace
from formulon.studio.services import releases

ROOT = Path(__file__).parents[2]


@pytest.fixture(scope="module")
def port(chromium: Browser) -> Iterator[int]:
    with lighthouse.driven(chromium.browser_type) as number:
        yield number


@pytest.mark.parametrize(("name", "device"), [("quillmoor", "phone"), ("sallowbeck", "desktop")])
def test_a_demo_as_published_is_all_that_lighthouse_asks_for(
    name: str, device: str, studio: str, designer: User, port: int
) -> None:
    brand = load_folder(ROOT / "demo" / name, Workspace.objects.get(name="Studio"))
    releases.publish(Brand.objects.get(pk=brand.pk), designer)
    address = f"{studio.replace('localhost', lighthouse.HOST)}/{brand.slug}/"
    categories = lighthouse.CATEGORIES[1:]
    scores, below = lighthouse.judged(address, device, port, categories)
    assert scores == dict.fromkeys(categories, 100), below
