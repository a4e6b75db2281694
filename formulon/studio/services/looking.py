"""What a worker does: looks at one page with its browser, if nobody else does and the page is still as it was."""

import logging
from functools import cache

from django.utils import timezone

from formulon.core.errors import BrowserError
from formulon.core.measure.packed import packed
from formulon.core.measure.resident import Resident
from formulon.studio.models import Measurement
from formulon.studio.services import before, measuring

State = Measurement.State
log = logging.getLogger(__name__)


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
    found = Measurement.objects.filter(pk=measurement_id, state=State.MEASURING)
    try:
        page = measuring.found(row.brand, row.key) or before.found(row.brand, row.key)
        if page is None:  # overtaken by a change
            row.delete()
            return
        seen = packed(browser().look(*page))
        found.update(state=State.DONE, since=timezone.now(), seen=seen, problem="")
    except BrowserError as error:
        found.update(state=State.FAILED, since=timezone.now(), problem=str(error)[:300])
    except Exception as error:  # whatever it is, nobody waits for a page for ever
        log.exception("Measuring %s of %s failed", row.key, row.brand_id)
        told = f"The page could not be looked at ({type(error).__name__}). The log of the worker says more."
        found.update(state=State.FAILED, since=timezone.now(), problem=told)
