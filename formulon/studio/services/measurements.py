"""Rows of what was measured: asked for, counted, read, let go. Whose pages they are is for others to say."""

from collections.abc import Iterable, Mapping
from dataclasses import dataclass
from datetime import timedelta

from django.db import transaction
from django.utils import timezone
from procrastinate.contrib.django import app

from formulon.studio.models import Brand, Measurement

QUEUE = "measuring"
STUCK = timedelta(minutes=3)  # after which a page that somebody began to measure may be measured by another
OLD = timedelta(days=14)  # after which what nobody has looked at is let go
LOOKED_AT = timedelta(days=1)  # within which looking again is not written down
State = Measurement.State


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


def progress_of(brand: Brand, pages: Mapping[str, str]) -> Progress:
    """How far measuring pages has come, which are called by their keys."""
    held = {row.key: row for row in brand.measurements.filter(key__in=pages).defer("seen")}
    states = [held[key].state for key in pages if key in held]
    failed = tuple(
        Unmeasured(page, held[key].problem) for key, page in pages.items() if key in held and held[key].state == State.FAILED
    )
    return Progress(len(pages), states.count(State.DONE), states.count(State.WAITING) + states.count(State.MEASURING), failed)


def ask_for(brand: Brand, keys: Iterable[str], beside: Iterable[str] = ()) -> None:
    """Has pages measured that are not yet, by their keys. What waited for pages that are otherwise by now, and are none of those `beside`,
    is let go."""
    wanted = list(dict.fromkeys(keys))
    with transaction.atomic():
        brand.measurements.filter(state=State.WAITING).exclude(key__in=[*wanted, *beside]).delete()
        stuck = brand.measurements.filter(key__in=wanted, state=State.MEASURING, since__lt=timezone.now() - STUCK)
        (brand.measurements.filter(key__in=wanted, state=State.FAILED) | stuck).delete()
        known = set(brand.measurements.filter(key__in=wanted).values_list("key", flat=True))
        fresh = [key for key in wanted if key not in known]
        Measurement.objects.bulk_create((Measurement(brand=brand, key=key) for key in fresh), ignore_conflicts=True)
        # Whoever asks at the same time has the same rows; a row is measured by whoever claims it first.
        rows = brand.measurements.filter(key__in=fresh, state=State.WAITING).order_by("pk")
        for pk in rows.values_list("pk", flat=True):
            app.configure_task("measure_page", queue=QUEUE).defer(measurement_id=pk)


def drop(brand: Brand, keys: Iterable[str]) -> None:
    """Lets go of what waits. What is being measured is finished, and what was measured stays."""
    brand.measurements.filter(state=State.WAITING, key__in=list(keys)).delete()


def there(brand: Brand, keys: Iterable[str]) -> set[str]:
    """Those of some keys under which something was seen, which is kept on since it was asked for."""
    done = brand.measurements.filter(state=State.DONE, key__in=list(keys))
    done.filter(since__lt=timezone.now() - LOOKED_AT).update(since=timezone.now())
    return set(done.values_list("key", flat=True))


def seen_under(brand: Brand, keys: Iterable[str]) -> dict[str, bytes]:
    """What was seen, packed, by key."""
    done = brand.measurements.filter(state=State.DONE, key__in=list(keys))
    return {key: bytes(data) for key, data in done.values_list("key", "seen")}


def let_go() -> int:
    """Deletes what nobody has looked at for long."""
    return int(Measurement.objects.filter(since__lt=timezone.now() - OLD).delete()[0])
