"""A real server on a real PostgreSQL, and headless Chromium, driven as a person would."""

import os
import re
import subprocess
import sys
import time
from collections.abc import Callable, Iterator, Sequence
from copy import copy
from pathlib import Path
from threading import Condition
from typing import Any
from uuid import uuid4

import pytest
from django.apps import apps
from django.conf import settings
from django.contrib.auth.models import User
from django.core.handlers.base import BaseHandler
from django.db import connection, connections, transaction
from django.db.models import Model
from django.db.models.base import ModelState
from django.test import Client, override_settings
from django.test.client import ClientHandler
from playwright.sync_api import Browser, Locator, Page, expect, sync_playwright

from formulon.studio.management.commands.load_demo import load_folder
from formulon.studio.models import Blob, Brand, Document, Membership, Picture, SourceFile, StoredFile, Workspace
from tests.browser.nu import Nu
from tests.studio.conftest import settled

# The driver runs an event loop in this thread, which Django would otherwise take for asynchronous code.
os.environ["DJANGO_ALLOW_ASYNC_UNSAFE"] = "true"
ROOT = Path(__file__).resolve().parent.parent.parent
AXE = (ROOT / "web" / "node_modules" / "axe-core" / "axe.min.js").read_text(encoding="utf-8")
FLAGS = [
    "--no-sandbox",
    "--disable-gpu",
    "--disable-quic",
    "--no-first-run",
    "--disable-background-networking",
    "--disable-component-update",
    "--disable-sync",
    "--font-render-hinting=none",
]
PASSWORD = "a long password indeed"
expect.set_options(timeout=120_000)  # files are read in processes of their own, which start slowly on a busy machine


def pytest_collection_modifyitems(items: list[pytest.Item]) -> None:
    for item in items:
        if "tests/browser" in str(item.path):
            item.add_marker(pytest.mark.browser)


@pytest.fixture(scope="session")
def chromium() -> Iterator[Browser]:
    with sync_playwright() as playwright:
        browser = playwright.chromium.launch(executable_path="/usr/bin/chromium", args=FLAGS)
        yield browser
        browser.close()


@pytest.fixture(scope="session")
def nu() -> Iterator[Nu]:
    checker = Nu()
    yield checker
    checker.close()


@pytest.fixture
def designer(transactional_db: None) -> User:
    user = User.objects.create_user("anna", password=PASSWORD, first_name="Anna")
    Membership.objects.create(workspace=Workspace.objects.create(name="Studio"), user=user, role="owner")
    return user


@pytest.fixture
def demo(designer: User) -> str:
    workspace = Workspace.objects.get(name="Studio")
    if not _DEMO:
        settled(load_folder(ROOT / "demo" / "quillmoor", workspace), "demo")
        _DEMO.update({model: list(model.objects.all()) for model in _OF_A_BRAND})
        others = set(apps.get_app_config("studio").get_models()) - {*_OF_A_BRAND, Workspace, Membership}
        assert not [model for model in others if model.objects.exists()], "they would be missing from the next"
        return str(_DEMO[Brand][0].pk)
    return str(_again(workspace).pk)


# In the order in which they are made.
_OF_A_BRAND: tuple[type[Model], ...] = (Brand, Blob, StoredFile, Document, Picture, SourceFile)
_DEMO: dict[type[Model], list[Any]] = {}  # what is stored of the demo once it was read, since every test has one of its own


@transaction.atomic
def _again(workspace: Workspace) -> Brand:
    """Another brand with all that the demo has, so that nothing that is kept of one is taken for the other's."""
    brand, stored = Brand(), {}
    for model in _OF_A_BRAND:
        made = [copy(one) for one in _DEMO[model]]
        for one in made:
            one._state = ModelState()
            old = one.pk
            if model is Brand:
                one.pk, one.workspace, brand = uuid4(), workspace, one
            elif model is not Blob:
                one.pk = None
            if model is StoredFile:
                one.workspace, stored[old] = workspace, one
            if model in (Document, Picture, SourceFile):
                one.brand = brand
            if model is SourceFile:
                one.stored = stored[one.stored_id]
        model.objects.bulk_create(made)  # type: ignore[attr-defined]
    return brand


def _until_it_works() -> None:
    """Waits for the worker's first sign of life: to start takes it long on a busy machine, and a page waits for what it does."""
    for _ in range(600):
        with connection.cursor() as cursor:
            cursor.execute("SELECT count(*) FROM procrastinate_workers")
            if (cursor.fetchone() or (0,))[0]:
                return
        time.sleep(0.2)
    raise AssertionError("the worker does not start")


def working(queue: str, *more: str) -> Iterator[None]:
    """The real worker of a queue, in a process of its own, on the tests' database."""
    connection.ensure_connection()
    with connection.cursor() as cursor:
        cursor.execute("TRUNCATE procrastinate_jobs CASCADE")
    env = {**os.environ, "FORMULON_DB_NAME": str(connection.settings_dict["NAME"])}
    command = [sys.executable, "manage.py", "procrastinate", "worker", "--queues", queue, *more]
    with connection.cursor() as cursor:
        cursor.execute("DELETE FROM procrastinate_workers")  # of workers that have ended
    process = subprocess.Popen(command, cwd=ROOT, env=env, stdout=subprocess.DEVNULL, stderr=subprocess.DEVNULL)
    _until_it_works()
    yield
    process.terminate()
    process.wait(30)


class Answering:
    """How many requests are being answered. One whose browser has left goes on, and may still hold the database."""

    def __init__(self) -> None:
        self.count, self.changed = 0, Condition()

    def around(self, answer: Callable[..., Any]) -> Callable[..., Any]:
        def counted(handler: BaseHandler, request: Any) -> Any:
            if isinstance(handler, ClientHandler):  # a test's own, in its thread, whose connection holds what it will roll back
                return answer(handler, request)
            with self.changed:
                self.count += 1
            try:
                return answer(handler, request)
            finally:
                connections.close_all()  # this thread's
                with self.changed:
                    self.count -= 1
                    self.changed.notify_all()

        return counted

    def ended(self) -> None:
        with self.changed:
            assert self.changed.wait_for(lambda: self.count == 0, timeout=60), "a request is still being answered"


@pytest.fixture(scope="session")
def answering() -> Iterator[Answering]:
    made, answer = Answering(), BaseHandler.get_response
    BaseHandler.get_response = made.around(answer)  # type: ignore[method-assign]
    yield made
    BaseHandler.get_response = answer  # type: ignore[method-assign]


@pytest.fixture
def studio(live_server, transactional_db: None, answering: Answering) -> Iterator[str]:  # type: ignore[no-untyped-def]
    """The studio's address: `localhost`, while published sites stand at 127.0.0.1 on the same port. The database is emptied
    only when the last request was answered."""
    with override_settings(ALLOWED_HOSTS=["localhost", "127.0.0.1"]):
        yield f"http://localhost:{live_server.thread.port}"
        answering.ended()


def open_page(browser: Browser, touch: bool = False) -> tuple[Page, list[str]]:
    """A page, and what its console and its scripts complain of."""
    screen = {"width": 1280, "height": 800}
    context = browser.new_context(viewport=screen, locale="en-GB", accept_downloads=True, has_touch=touch)
    context.set_default_timeout(120_000)  # patience for slow machines; a failure waits, a success does not
    context.grant_permissions(["clipboard-write", "clipboard-read"])
    page = context.new_page()
    said: list[str] = []
    page.on("console", lambda message: said.append(f"{message.type}: {message.text}"))
    page.on("pageerror", lambda error: said.append(f"error: {error}"))
    return page, said


@pytest.fixture
def page(chromium: Browser, studio: str, designer: User) -> Iterator[Page]:
    """Signed in. At the end, nothing may stand in the console."""
    page, said = open_page(chromium)
    enter(page, studio, designer)
    yield page
    page.context.close()
    assert said == []


def enter(page: Page, studio: str, person: User) -> None:
    """Signed in without the form."""
    client = Client()
    client.force_login(person, "django.contrib.auth.backends.ModelBackend")
    session = client.cookies[settings.SESSION_COOKIE_NAME].value
    page.context.add_cookies([{"name": settings.SESSION_COOKIE_NAME, "value": session, "url": studio}])
    page.goto(studio)
    expect(page.get_by_role("heading", name="Brands")).to_be_visible()


def sign_in(page: Page, studio: str, name: str = "anna") -> None:
    page.goto(studio)
    page.get_by_label("Name").fill(name)
    page.get_by_label("Password").fill(PASSWORD)
    page.get_by_role("button", name="Sign in").click()
    expect(page.get_by_role("heading", name="Brands")).to_be_visible()


def saved(page: Page) -> None:
    """Waits until all is stored: what a page shows is ahead of it."""
    expect(page.get_by_text("All saved")).to_be_visible()


def open_demo(page: Page) -> None:
    page.goto(page.url)
    page.get_by_role("link", name="Quillmoor Observatory").click()
    expect(page.get_by_label("Name", exact=True)).to_have_value("Quillmoor Observatory")


def drag(page: Page, source: Locator, target: Locator) -> None:
    """Leads something by mouse from near its left upper corner to another thing."""
    first, last = source.bounding_box(), target.bounding_box()
    assert first and last
    page.mouse.move(first["x"] + 60, first["y"] + 20)
    page.mouse.down()
    page.mouse.move(first["x"] + 200, first["y"] + 60, steps=4)
    page.mouse.move(last["x"] + 20, last["y"] + 8, steps=6)
    page.mouse.up()


def stage(page: Page, name: str) -> None:
    page.get_by_role("navigation", name="Stages").get_by_role("link", name=re.compile(f"^{name}")).click()


def violations(page: Page, of: str = "", tags: Sequence[str] = ()) -> list[str]:
    """axe-core's violations of WCAG 2.2 A and AA and its best practices, or of its rules with some tags alone. Previews are judged on
    their own. A visitor's page, whose own policy lets no script in, is judged as well: the driver evaluates from outside."""
    page.evaluate(AXE)
    found = page.evaluate(
        "([of, tags]) => axe.run(of, {resultTypes: ['violations'], ...(tags.length ? {runOnly: tags} : {})})"
        ".then(r => r.violations.map(v => `${v.id}: ${v.nodes.map(n => n.target.join(' ') + ' ' + n.failureSummary).join(' | ')}`))",
        [of or {"exclude": [["iframe"]]}, list(tags)],
    )
    return list(found)


@pytest.fixture
def loud_page(chromium: Browser, studio: str, designer: User):  # type: ignore[no-untyped-def]
    """Signed in, where refused requests stand in the console on purpose."""
    page, _ = open_page(chromium)
    enter(page, studio, designer)
    yield page
    page.context.close()
