"""Links of one label on a page lead to one place (WCAG 2.2 SC 2.4.9; SC 2.4.4 takes what stands around them into account)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.page_facts import Destination
from formulon.core.checks.rule import Ref, Remedy, Verdict, rule
from formulon.core.checks.rules.content.slots import change_slot
from formulon.core.checks.views import PageView
from formulon.core.site.documents import located
from formulon.core.site.site import Site
from formulon.core.site.values import led_to
from formulon.core.system.system import System


def differing(page: PageView) -> Iterator[tuple[Destination, Destination]]:
    """Of each label that leads to several places the first, and the first that leads elsewhere."""
    for those in page.led.values():
        first = next((one for one in those if one.to), None)
        other = next((one for one in those if one.to and first and one.to != first.to), None)
        if first and other:
            yield first, other


def mend(site: Site, system: System, page: PageView, verdict: Verdict, options: Mapping[str, float]) -> Iterator[Remedy]:
    """Says where the second leads: by what its item is called, or by the name of its page."""
    place = verdict.place
    found = located(site, place.page, place.section) if place else None
    if place is None or found is None:
        return
    parts = place.slot.split("/")
    item = found[2].content.get(parts[0], [{}])[int(parts[1])] if len(parts) == 3 else {}
    led = site.page(led_to(str(verdict.values["to"]))[0])
    for label in filter(None, (item.get("title"), led.name if led else "")):
        yield Remedy(f"Call it “{label}”", change_slot(site, place, "label", label[:120]))


@rule(
    id="links/one-destination",
    title="One label on a page leads to one place",
    standard=Ref("WCAG 2.2", "2.4.9", "AAA"),
    severity="note",
    looks_at=PageView,
    rationale="Links are listed and read out by themselves. Where two of a name lead elsewhere, nobody knows which is which.",
    messages={"two-places": "“{label}” leads to {first}, and below it to {to}."},
    mend=mend,
)
def one_destination(page: PageView, options: Mapping[str, float]) -> Iterator[Verdict]:
    for first, other in differing(page):
        values = {"label": other.label[:60], "first": first.to, "to": other.to, "text": other.label}
        yield Verdict("two-places", values=values, place=other.place)
