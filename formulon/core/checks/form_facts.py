"""What is known of a form without a browser."""

from collections.abc import Iterator
from typing import Any

from formulon.core.checks.page_facts import Destination, Fact, FormFact, PagePlace
from formulon.core.site.kind import Slot
from formulon.core.site.site import Section
from formulon.core.site.slot_types.base import Work


def form_facts(
    work: Work, place: PagePlace, section: Section, slot: Slot, value: dict[str, Any], ground: str
) -> Iterator[Fact]:
    """The form, its button, and the page that follows. That it has no recipient is told of the form and not of its button."""
    yield FormFact(place, value["label"], value["to"], tuple((one["label"], one["kind"]) for one in value["fields"]))
    for fact in work.action(place, section, slot, value, ground):
        if value["to"] or not isinstance(fact, Destination):
            yield fact
    if value.get("after"):
        yield Destination(place, value["label"], value["after"], work.alive(value["after"]))
