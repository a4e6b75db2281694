"""Pages measured in a browser: asked for, done by whatever worker is free, kept by what they are drawn from, and laid over what was
predicted."""

from collections.abc import Iterable, Iterator
from dataclasses import dataclass
from datetime import timedelta
from functools import cache

from django.db import transaction
from django.utils import timezone
from procrastinate.contrib.django import app

from formulon.core.checks.findings import PageChecks, Report
from formulon.core.errors import BrowserError
from formulon.core.measure.own import OwnSite, own_site
from formulon.core.measure.own_checks import OwnChecks, laid_over
from formulon.core.measure.packed import packed, unpacked
from formulon.core.measure.resident import Resident
from formulon.core.site.languages import published
from formulon.core.site.site import Site
from formulon.studio.models import Brand, Measurement
from formulon.studio.services import sites
from formulon.studio.services.kept import Kept

QUEUE = "measuring"
STUCK = timedelta(minutes=3)  # after which a page that somebody began to measure may be measured by another
OLD = timedelta(days=14)  # after which what nobody has looked at is let go
LOOKED_AT = timedelta(days=1)  # within which looking again is not written down
State = Measurement.State

_sites: Kept[int, tuple[Site, OwnSite]] = Kept(4)  # by the object that a site is
_checks: Kept[str, PageChecks] = Kept(600)  # pages, over all brands of a process


@dataclass(frozen=True, slots=True)
class Unmeasured:
    """A page that could not be measured, and why."""

    page: str
    problem: str


@dataclass(frozen=True, slots=True)
class Progress:
    """How many views of pages there are (a page in a scheme and a language is one), how many of them are measured as they are now, how
    many wait or are being measured, and which could not be."""

    total: int
    done: int
    waiting: int
    failed: tuple[Unmeasured, ...]

    @property
    def whole(self) -> bool:
        return self.done == self.total


def _own(site: Site) -> OwnSite:
    """The pages of a site with their keys; kept, since every look at the progress asks for them."""
    known = _sites.get(id(site))
    if known is None or known[0] is not site:
        known = _sites[id(site)] = site, own_site(site)
    return known[1]


def progress(brand: Brand) -> Progress:
    """How far measuring a brand as it is now has come."""
    return _progress(brand, _own(sites.load(brand)))


def _progress(brand: Brand, own: OwnSite) -> Progress:
    held = {row.key: row for row in brand.measurements.filter(key__in={one.key for one in own.pages}).defer("seen")}
    keys = {one.key: one.page for one in own.pages}
    states = [held[key].state for key in keys if key in held]
    failed = tuple(
        Unmeasured(page, held[key].problem) for key, page in keys.items() if key in held and held[key].state == State.FAILED
    )
    return Progress(len(keys), states.count(State.DONE), states.count(State.WAITING) + states.count(State.MEASURING), failed)


def ask(brand: Brand) -> Progress:
    """Has everything measured that is not yet. What waited for pages that are otherwise by now is let go."""
    own = _own(sites.load(brand))
    keys = list(dict.fromkeys(one.key for one in own.pages))
    with transaction.atomic():
        brand.measurements.filter(state=State.WAITING).exclude(key__in=keys).delete()
        stuck = brand.measurements.filter(key__in=keys, state=State.MEASURING, since__lt=timezone.now() - STUCK)
        again = brand.measurements.filter(key__in=keys, state=State.FAILED) | stuck
        again.delete()
        known = set(brand.measurements.filter(key__in=keys).values_list("key", flat=True))
        Measurement.objects.bulk_create(
            (Measurement(brand=brand, key=key) for key in keys if key not in known), ignore_conflicts=True
        )
        # Whoever asks at the same time has the same rows; a row is measured by whoever claims it first.
        for pk in (
            brand.measurements.filter(key__in=keys, state=State.WAITING)
            .exclude(key__in=known)
            .order_by("pk")
            .values_list("pk", flat=True)
        ):
            app.configure_task("measure_page", queue=QUEUE).defer(measurement_id=pk)
    return _progress(brand, own)


def cancel(brand: Brand) -> Progress:
    """Lets go of what waits. What is being measured is finished, and what was measured stays."""
    brand.measurements.filter(state=State.WAITING).delete()
    return progress(brand)


@cache
def _browser() -> Resident:
    """The browser of this process."""
    return Resident()


_files: Kept[int, tuple[Site, OwnSite]] = Kept(1)


def _drawn(brand: Brand, site: Site) -> OwnSite:
    """The site with its photographs; kept for as long as it is the one that is measured."""
    known = _files.get(id(site))
    if known is None or known[0] is not site:
        known = _files[id(site)] = site, own_site(site, sites.blob_of(brand))
    return known[1]


def measure(measurement_id: int, again: bool = False) -> None:
    """Measures one page, if nobody else does, and its brand is still as it was. Runs in a worker; `again` says that the worker that began
    with it has died."""
    states = [State.WAITING, State.MEASURING] if again else [State.WAITING]
    claimed = Measurement.objects.filter(pk=measurement_id, state__in=states)
    if not claimed.update(state=State.MEASURING, since=timezone.now()):
        return
    row = Measurement.objects.select_related("brand").get(pk=measurement_id)
    own = _drawn(row.brand, sites.load(row.brand))
    page = next((one for one in own.pages if one.key == row.key), None)
    if page is None:  # overtaken by a change
        row.delete()
        return
    found = Measurement.objects.filter(pk=measurement_id, state=State.MEASURING)
    try:
        seen = packed(_browser().look(own.files, page.path, page.views))
        found.update(state=State.DONE, since=timezone.now(), seen=seen, problem="")
    except BrowserError as error:
        found.update(state=State.FAILED, since=timezone.now(), problem=str(error)[:300])


def over(brand: Brand, site: Site, predicted: Report, folder: str = "") -> Report:
    """What was predicted of a site in the language of a folder, with what was measured of it laid over it."""
    own = _own(site)
    pages = [one for one in own.pages if one.folder == folder]
    work = OwnChecks(published(site)[folder], own, _checks)
    done = brand.measurements.filter(state=State.DONE, key__in={one.key for one in pages})
    done.filter(since__lt=timezone.now() - LOOKED_AT).update(since=timezone.now())
    there = set(done.values_list("key", flat=True))
    wanted = {one.key for one in pages if one.key in there and not work.knows(one)}
    seen = dict(_unpacked(done.filter(key__in=wanted).values_list("key", "seen")))
    for one in pages:
        if one.key in there:
            data = seen.get(one.key)
            work.add(one, unpacked(data, one.page) if data else None)
    return laid_over(predicted, work.report()) if work.pages else predicted


def _unpacked(rows: Iterable[tuple[str, bytes | memoryview]]) -> Iterator[tuple[str, bytes]]:
    return ((key, bytes(data)) for key, data in rows)


def let_go() -> int:
    """Deletes what nobody has looked at for long."""
    return int(Measurement.objects.filter(since__lt=timezone.now() - OLD).delete()[0])
