"""What leads to one place is called in one way (WCAG 2.2 SC 3.2.4)."""

from collections import Counter, defaultdict
from collections.abc import Iterator, Mapping

from formulon.core.checks.page_facts import Destination
from formulon.core.checks.rule import Ref, Remedy, Verdict, rule
from formulon.core.checks.rules.content.slots import change_slot
from formulon.core.checks.views import SiteView
from formulon.core.site.site import Site
from formulon.core.system.system import System


def _as_most(site: Site, _: System, whole: SiteView, verdict: Verdict, options: Mapping[str, float]) -> Iterator[Remedy]:
    """The buttons of the rarest names, called as most are."""
    led = [one for one in _buttons(whole) if one.to == verdict.values["text"]]
    usual = [label for label, _ in Counter(one.label for one in led).most_common()]
    rare = [one for one in led if one.label in usual[int(options["most"]) :]]
    if rare and all(site.section(one.place.page, one.place.section) for one in rare):
        changes = [change for one in rare for change in change_slot(site, one.place, "label", usual[0])]
        yield Remedy(f"Call {'it' if len(rare) == 1 else 'those of rare names'} “{usual[0]}”", tuple(changes))


def _buttons(site: SiteView) -> Iterator[Destination]:
    for one in site.all_of(Destination):
        if one.variant != "text" and one.alive and one.to and one.place.section not in site.frames:
            yield one


@rule(
    id="links/labels-for-one",
    title="What leads to one place is called in one way",
    standard=Ref("WCAG 2.2", "3.2.4", "AA"),
    severity="note",
    looks_at=SiteView,
    options={"most": 4},
    bound="most",
    rationale="One destination under many names looks like many destinations, and people press each of them.",
    messages={
        "many": "{measured} buttons of different names lead to {to}: {labels}. {required} are the most that are known for one."
    },
    mend=_as_most,
)
def labels_for_one(site: SiteView, options: Mapping[str, float]) -> Iterator[Verdict]:
    labels: dict[str, dict[str, Destination]] = defaultdict(dict)
    for one in _buttons(site):
        labels[one.to].setdefault(" ".join(one.label.casefold().split()), one)
    for to, named in labels.items():
        if len(named) > options["most"]:
            said = ", ".join(f"“{one.label[:30]}”" for one in list(named.values())[:6])
            values = {"to": to.removeprefix("page:"), "labels": said, "text": to}
            yield Verdict("many", float(len(named)), options["most"], "", values=values, place=list(named.values())[-1].place)
