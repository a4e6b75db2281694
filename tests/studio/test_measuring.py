"""Pages measured by workers: shared out, each once, kept by what it is drawn from; a release that waits for it; and waivers."""

import threading
from collections.abc import Iterator
from typing import Any

import pytest
from django.db import connection, connections
from django.utils import timezone

from formulon.core.errors import BrowserError
from formulon.core.measure.facts import Page
from formulon.core.measure.files import SiteFiles
from formulon.core.measure.looking import Views
from formulon.core.measure.resident import Resident
from formulon.studio.models import Brand, Measurement, Release, SourceFile
from formulon.studio.services import before, looking, measurements, measuring, sources
from formulon.studio.tasks import measure_page
from tests.studio.conftest import Api

pytestmark = pytest.mark.browser
PATH = "preflight/measuring"


@pytest.fixture(autouse=True)
def no_jobs(db: None) -> Iterator[None]:
    with connection.cursor() as cursor:
        cursor.execute("TRUNCATE procrastinate_jobs CASCADE")
    yield
    looking.browser().close()


def jobs() -> list[int]:
    with connection.cursor() as cursor:
        cursor.execute(
            "select (args->>'measurement_id')::int from procrastinate_jobs where task_name = 'measure_page' order by id"
        )
        return [int(one) for (one,) in cursor.fetchall()]


def worked(brand: Brand | None = None, page: str = "") -> None:
    """Does what the queue holds, as a worker does; only what is of one page where one is named."""
    keys = {key for key, name in measuring.named(brand).items() if name == page} if brand else None
    for pk in jobs():
        if keys is None or Measurement.objects.filter(pk=pk, key__in=keys).exists():
            looking.measure(pk)


def edited(api: Api, brand: Brand, page: int, section: int, slot: str, value: Any) -> None:
    body = api.get(f"brands/{brand.pk}").json()["pages"][page]
    path = f"/sections/{section}/content/{slot}"
    answer = api.change(brand, f"page:{body['body']['id']}", body["revision"], {"op": "add", "path": path, "value": value})
    assert answer.status_code == 200, answer.json()


def test_pages_are_measured_once_and_after_a_change_only_what_changed(brand: Brand, anna: Api) -> None:
    told = anna.get(f"brands/{brand.pk}/{PATH}").json()
    pages = brand.documents.filter(name__startswith="page:").count()
    assert told == {"total": pages, "done": 0, "waiting": 0, "failed": [], "awaited": False}
    assert anna.post(f"brands/{brand.pk}/{PATH}").json()["waiting"] == pages
    assert anna.post(f"brands/{brand.pk}/{PATH}").json()["waiting"] == pages and len(jobs()) == pages, (
        "asked twice, queued once"
    )
    worked()
    assert anna.get(f"brands/{brand.pk}/{PATH}").json() == {
        "total": pages,
        "done": pages,
        "waiting": 0,
        "failed": [],
        "awaited": False,
    }
    report = anna.get(f"brands/{brand.pk}/preflight").json()
    assert report["measuring"]["done"] == pages and report["counts"]["pass"] > 300
    assert not [one for one in report["findings"] if one["rule"] == "layout/as-predicted"], "what a browser sees was predicted"

    first = f"brands/{brand.pk}/preflight/first-screens"
    home = {one["width"]: one["glances"] for one in anna.get(f"{first}/home").json()["screens"]}
    assert set(home) == {360, 1280} and home[360][0]["label"] == "The dark is worth the drive."
    assert all(0 < one["strength"] <= 1 and one["x"] <= width for width, all_of in home.items() for one in all_of)
    assert {one["label"] for one in home[1280] if one["main"]} == {"See what we offer", "Get in touch"}, (
        "and that of the header"
    )
    assert anna.get(f"{first}/gone").status_code == 404 and anna.get(f"{first}/home?scheme=dark").json() == {"screens": []}

    edited(anna, brand, 1, 0, "heading", "Wörds that nobody had written before")
    changed = measuring.named(brand).keys() - set(Measurement.objects.filter(brand=brand).values_list("key", flat=True))
    (page,) = (measuring.named(brand)[key] for key in changed)
    assert anna.get(f"{first}/{page}").json() == {"screens": []}, "not yet seen as it is now"
    assert anna.get(f"brands/{brand.pk}/{PATH}").json()["done"] == pages - 1
    with connection.cursor() as cursor:
        cursor.execute("TRUNCATE procrastinate_jobs CASCADE")
    assert anna.post(f"brands/{brand.pk}/{PATH}").json()["waiting"] == 1 and len(jobs()) == 1
    assert anna.undo(brand).status_code == 200
    assert anna.get(f"brands/{brand.pk}/{PATH}").json()["done"] == pages, "what was measured before holds again"


@pytest.mark.django_db(transaction=True)
def test_two_workers_never_measure_one_page_twice(brand: Brand, monkeypatch: pytest.MonkeyPatch) -> None:
    looked: list[str] = []
    real = Resident.look

    def slow(self: Resident, files: SiteFiles, path: str, views: Views) -> Page:
        looked.append(path)
        return real(self, files, path, views)

    monkeypatch.setattr(Resident, "look", slow)
    measuring.ask(brand)
    held = jobs()

    def work() -> None:
        try:
            for pk in held:
                looking.measure(pk)
        finally:
            connections.close_all()

    workers = [threading.Thread(target=work) for _ in range(3)]
    for one in workers:
        one.start()
    for one in workers:
        one.join()
    assert len(looked) == len(set(looked)) == len(held) and measuring.progress(brand).whole


def test_a_page_that_was_changed_meanwhile_is_let_go(brand: Brand, anna: Api) -> None:
    measuring.ask(brand)
    first = jobs()[0]
    edited(anna, brand, 0, 0, "heading", "Something else by now")
    looking.measure(first)
    assert not Measurement.objects.filter(pk=first).exists()


def test_what_waits_is_let_go_when_it_is_cancelled_and_can_be_asked_for_again(brand: Brand, anna: Api, reviewer: Api) -> None:
    total = anna.post(f"brands/{brand.pk}/{PATH}").json()["total"]
    looking.measure(jobs()[0])
    assert reviewer.delete(f"brands/{brand.pk}/{PATH}").status_code == 403
    assert anna.delete(f"brands/{brand.pk}/{PATH}").json() == {
        "total": total,
        "done": 1,
        "waiting": 0,
        "failed": [],
        "awaited": False,
    }
    worked()  # the jobs that are left find nothing to do
    assert measuring.progress(brand).done == 1
    assert anna.post(f"brands/{brand.pk}/{PATH}").json()["waiting"] == total - 1


def test_a_job_of_a_worker_that_died_is_taken_up_again(brand: Brand) -> None:
    measuring.ask(brand)
    first = jobs()[0]
    Measurement.objects.filter(pk=first).update(state=Measurement.State.MEASURING)
    looking.measure(first)
    assert Measurement.objects.get(pk=first).state == Measurement.State.MEASURING, "another worker seems to be at it"
    looking.measure(first, again=True)
    assert Measurement.objects.get(pk=first).state == Measurement.State.DONE
    # Where even that is lost, asking again after a while has it measured.
    Measurement.objects.filter(pk=first).update(
        state=Measurement.State.MEASURING, since=timezone.now() - 2 * measurements.STUCK
    )
    measuring.ask(brand)
    assert (
        not Measurement.objects.filter(pk=first).exists()
        and measuring.progress(brand).waiting == measuring.progress(brand).total
    )
    assert measure_page.pass_context


def test_a_page_that_cannot_be_measured_is_told_and_tried_again(
    brand: Brand, anna: Api, monkeypatch: pytest.MonkeyPatch
) -> None:
    def broken(self: Resident, files: SiteFiles, path: str, views: Views) -> Page:
        raise BrowserError(f"{path}: the page cannot be drawn (it takes too long).")

    anna.post(f"brands/{brand.pk}/{PATH}")
    with monkeypatch.context() as broke:
        broke.setattr(Resident, "look", broken)
        worked()
    told = anna.get(f"brands/{brand.pk}/{PATH}").json()
    assert told["done"] == told["waiting"] == 0 and len(told["failed"]) == told["total"]
    assert "takes too long" in told["failed"][0]["problem"]
    assert anna.post(f"brands/{brand.pk}/{PATH}").json()["waiting"] == told["total"]


def test_nobody_waits_for_a_page_for_ever_whatever_goes_wrong(brand: Brand, anna: Api, monkeypatch: pytest.MonkeyPatch) -> None:
    def strange(self: Resident, files: SiteFiles, path: str, views: Views) -> Page:
        raise ZeroDivisionError

    anna.post(f"brands/{brand.pk}/{PATH}")
    with monkeypatch.context() as broke:
        broke.setattr(Resident, "look", strange)
        worked()
    told = anna.get(f"brands/{brand.pk}/{PATH}").json()
    assert told["waiting"] == 0 and "ZeroDivisionError" in told["failed"][0]["problem"]


def test_pages_with_every_kind_of_gap_are_measured(brand: Brand, anna: Api) -> None:
    """A button that leads nowhere is a link without an address."""
    stopped(anna, brand)
    measuring.ask(brand)
    worked(brand, "home")
    assert measuring.progress(brand).done == 1 and measuring.progress(brand).failed == ()


def test_a_release_waits_until_its_pages_are_measured(brand: Brand, anna: Api, settings: Any) -> None:
    settings.MEASURED_RELEASES = True
    refused = anna.post(f"brands/{brand.pk}/releases")
    assert (refused.status_code, refused.json()["code"]) == (409, "release-unmeasured")
    anna.post(f"brands/{brand.pk}/{PATH}")
    worked()
    assert anna.post(f"brands/{brand.pk}/releases").status_code == 200
    made = Release.objects.get(brand=brand)
    assert made.measured and made.snapshot["checks"]["measured"] is True and made.report["counts"]["stop"] == 0
    # A site may choose not to wait, which is a change like any.
    edited(anna, brand, 0, 0, "heading", "Another word")
    assert anna.post(f"brands/{brand.pk}/releases").status_code == 409
    revision = anna.get(f"brands/{brand.pk}").json()["checks"]["revision"]
    assert anna.change(brand, "checks", revision, {"op": "replace", "path": "/measured", "value": False}).status_code == 200
    assert anna.post(f"brands/{brand.pk}/releases").status_code == 200
    assert not Release.objects.filter(brand=brand).first().measured  # type: ignore[union-attr]


def test_what_only_a_browser_sees_stops_a_release(brand: Brand, anna: Api) -> None:
    """Own code that cuts its words off, which nothing predicts."""
    code = {"html": "<div class='low'><p>One</p><p>Two</p></div>", "css": ".low { height: 30px; overflow: hidden; }"}
    body = anna.get(f"brands/{brand.pk}").json()["pages"][0]
    section = {"id": "own", "kind": "own_code", "layout": "measure", "ground": "paper", "content": {"code": code}}
    put = anna.change(
        brand, f"page:{body['body']['id']}", body["revision"], {"op": "add", "path": "/sections/1", "value": section}
    )
    assert put.status_code == 200, put.json()
    assert not [one for one in anna.get(f"brands/{brand.pk}/preflight").json()["findings"] if one["rule"] == "layout/text-cut"]
    measuring.ask(brand)
    worked(brand, "home")
    report = anna.get(f"brands/{brand.pk}/preflight").json()
    (found,) = [one for one in report["findings"] if one["rule"] == "layout/text-cut"]
    assert found["basis"] == "measured" and found["severity"] == "stop" and report["stopped"]
    assert anna.post(f"brands/{brand.pk}/releases").json()["code"] == "release-stopped"


# Waivers


def stopped(anna: Api, brand: Brand) -> dict[str, Any]:
    """A stop that is put on the start page: a button that leads nowhere."""
    body = anna.get(f"brands/{brand.pk}").json()["pages"][0]
    sections = body["body"]["sections"]
    index = next(at for at, one in enumerate(sections) if one["content"].get("primary"))
    edited(anna, brand, 0, index, "primary", {"label": "Go there", "to": ""})
    return finding(anna, brand)


def finding(anna: Api, brand: Brand) -> dict[str, Any]:
    findings = anna.get(f"brands/{brand.pk}/preflight").json()["findings"]
    return next(one for one in findings if one["rule"] == "links/dead-destination")


def waive(api: Api, brand: Brand, found: dict[str, Any], **other: Any) -> Any:
    day = timezone.now().date().isoformat()
    value = {key: found[key] for key in ("rule", "page", "section", "mark", "message")}
    value |= {"reason": "The shop opens in May.", "by": "Anna", "on": day, **other}
    revision = api.get(f"brands/{brand.pk}").json()["checks"]["revision"]
    return api.change(brand, "checks", revision, {"op": "add", "path": "/waivers/-", "value": value}, label="Waived")


def test_a_waived_stop_holds_nothing_back_is_told_everywhere_and_can_be_taken_back(brand: Brand, anna: Api) -> None:
    found = stopped(anna, brand)
    assert anna.post(f"brands/{brand.pk}/releases").status_code == 409
    assert waive(anna, brand, found).status_code == 200
    again = finding(anna, brand)
    assert again["waived"] == {"reason": "The shop opens in May.", "by": "Anna", "on": timezone.now().date().isoformat()}
    report = anna.get(f"brands/{brand.pk}/preflight").json()
    assert not report["stopped"] and report["counts"]["waived"] == 1 and report["counts"]["stop"] == 0
    assert anna.get(f"brands/{brand.pk}").json()["system"]["counts"]["stop"] == 0
    assert anna.post(f"brands/{brand.pk}/releases").status_code == 200
    kept = Release.objects.get(brand=brand)
    assert [one["waived"]["by"] for one in kept.report["findings"] if one["waived"]] == ["Anna"]
    assert anna.undo(brand).status_code == 200
    assert finding(anna, brand)["waived"] is None and anna.post(f"brands/{brand.pk}/releases").status_code == 409
    assert anna.redo(brand).status_code == 200 and finding(anna, brand)["waived"]


def test_a_waiver_falls_away_when_what_it_waives_changes_and_holds_when_something_else_does(brand: Brand, anna: Api) -> None:
    waive(anna, brand, stopped(anna, brand))
    edited(anna, brand, 1, 0, "heading", "Words elsewhere")
    assert finding(anna, brand)["waived"]
    body = anna.get(f"brands/{brand.pk}").json()["pages"][0]["body"]
    index = next(at for at, one in enumerate(body["sections"]) if one["content"].get("primary"))
    edited(anna, brand, 0, index, "primary", {"label": "Go elsewhere", "to": ""})
    assert finding(anna, brand)["waived"] is None


@pytest.mark.parametrize(
    ("other", "status"),
    [
        ({"by": "Ben"}, 422),
        ({"on": "2020-01-01"}, 422),
        ({"on": "2026-99-99"}, 422),
        ({"reason": ""}, 422),
        ({"mark": "x"}, 422),
        ({"reason": "x" * 401}, 422),
    ],
)
def test_a_waiver_has_a_reason_and_is_given_in_ones_own_name_today(
    brand: Brand, anna: Api, other: dict[str, str], status: int
) -> None:
    assert waive(anna, brand, stopped(anna, brand), **other).status_code == status


def test_rules_are_weighed_by_the_site_but_for_what_a_standard_asks_for(brand: Brand, anna: Api) -> None:
    stopped(anna, brand)
    revision = anna.get(f"brands/{brand.pk}").json()["checks"]["revision"]
    weights = {"links/dead-destination": "note", "contrast/text-minimum": "off", "no/rule": "stop"}
    assert anna.change(brand, "checks", revision, {"op": "add", "path": "/weights", "value": weights}).status_code == 200
    report = anna.get(f"brands/{brand.pk}/preflight").json()
    cards = {one["id"]: one for one in report["rules"]}
    assert cards["links/dead-destination"]["severity"] == "note" and cards["links/dead-destination"]["own"] == "stop"
    assert cards["contrast/text-minimum"]["severity"] == "stop" and cards["contrast/text-minimum"]["fixed"]
    assert not report["stopped"] and anna.post(f"brands/{brand.pk}/releases").status_code == 200
    revision = anna.get(f"brands/{brand.pk}").json()["checks"]["revision"]
    assert anna.change(brand, "checks", revision, {"op": "replace", "path": "/notes_hold", "value": True}).status_code == 200
    assert anna.get(f"brands/{brand.pk}/preflight").json()["stopped"]


# The site that the brand has had


def test_the_old_site_among_the_files_is_checked_by_the_same_means(brand: Brand, anna: Api, stranger: Api) -> None:
    address = f"brands/{brand.pk}/preflight/before"
    assert anna.get(address).json()["measuring"] == {"total": 0, "done": 0, "waiting": 0, "failed": [], "awaited": False}
    head = '<!doctype html><html lang="en"><head><title>Old</title><link rel="stylesheet" href="style.css"></head><body><main><h1>Old site</h1>'
    for name, data in (
        ("old/index.html", f'{head}<p class="pale">Pale words here.</p><a href="gone.html">The prices of the year</a></main></body></html>'),
        ("old/about.html", f"{head}<img src='dome.svg'></main></body></html>"), ("old/style.css", ".pale { color: #ccc } body { background: #fff }"),
        ("old/dome.svg", '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 9 9" width="90" height="90"><rect width="9" height="9"/></svg>'), ("brief.txt", "x"),
    ):  # fmt: skip
        stored = sources.store(brand.workspace, data.encode())
        SourceFile.objects.create(brand=brand, name=name, stored=stored, size=len(data), state="read", reading={})
    anna.post(f"brands/{brand.pk}/{PATH}")
    assert anna.post(address).json()["measuring"]["waiting"] == 2
    assert anna.get(f"brands/{brand.pk}/{PATH}").json()["waiting"] > 0, "what waits for the new site goes on waiting"
    for one in Measurement.objects.filter(key__in=before.keys(brand)):
        looking.measure(one.pk)
    told = anna.get(address).json()
    assert told["measuring"]["done"] == 2 and told["measuring"]["waiting"] == 0 and told["found"] == len(told["findings"])
    rules = {(one["rule"], one["page"]) for one in told["findings"]}
    assert ("contrast/text-minimum", "old/index.html") in rules and ("links/dead-destination", "old/index.html") in rules
    assert ("content/alternative-text", "old/about.html") in rules and ("layout/viewport", "old/about.html") in rules
    assert stranger.get(address).status_code == 404
    now = measuring.progress(brand)
    # Another style sheet draws both pages otherwise; the site of today is as it was.
    stored = sources.store(brand.workspace, b".pale { color: #222 }")
    SourceFile.objects.filter(brand=brand, name="old/style.css").update(stored=stored, size=21)
    assert anna.get(address).json()["measuring"]["done"] == 0 and measuring.progress(brand) == now
    anna.post(address)
    assert anna.delete(address).json()["measuring"]["waiting"] == 0 and before.progress(brand).done == 0
