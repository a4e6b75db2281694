"""What a worker does: looks at one page with its browser, if nobody else does and the page is still as it was."""

from functools import cache

from django.utils import timezone

from formulon.core.errors import BrowserError
from formulon.core.measure.packed import packed
from formulon.core.measure.resident import Resident
from formulon.studio.models import Measurement
from formulon.studio.services import before, measuring

State = Measurement.State


@cache
def browser() -> Resident:
    """The browser of this process."""
    return Resident()


def measure(measurement_id: int, again: bool = False) -> None:
    """Measures one page; `again` says that the worker that began with it has died."""
    states = [State.WAITING, State.MEASURING] if again else [State.WAITING]
    claimed = Measurement.objects.filter(pk=measurement_id, state__in=states)
    if not claimed.update(state=State.MEASURING, since=timezone.now()):
        return
    row = Measurement.objects.select_related("brand").get(pk=measurement_id)
    page = measuring.found(row.brand, row.key) or before.found(row.brand, row.key)
    if page is None:  # overtaken by a change
        row.delete()
        return
    found = Measurement.objects.filter(pk=measurement_id, state=State.MEASURING)
    try:
        seen = packed(browser().look(*page))
        found.update(state=State.DONE, since=timezone.now(), seen=seen, problem="")
    except BrowserError as error:
        found.update(state=State.FAILED, since=timezone.now(), problem=str(error)[:300])
