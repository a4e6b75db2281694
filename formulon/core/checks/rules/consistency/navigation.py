"""The menu is the same on all pages (WCAG 2.2 SC 3.2.3)."""

from collections import Counter
from collections.abc import Iterator, Mapping

from formulon.core.checks.page_facts import Destination
from formulon.core.checks.rule import Ref, Verdict, rule
from formulon.core.checks.views import PageView, SiteView

_PARTS = ("header", "nav")


def _menu(page: PageView) -> tuple[str, ...]:
    found = (one for section in page.sections if section.head.frame and section.head.kind in _PARTS for one in section.facts)
    return tuple(" ".join(one.label.casefold().split()) for one in found if isinstance(one, Destination))


@rule(
    id="consistency/navigation",
    title="The menu is the same on all pages",
    standard=Ref("WCAG 2.2", "3.2.3", "AA"),
    severity="note",
    looks_at=SiteView,
    applies_if=lambda site: len(site.pages) > 2,
    rationale="People learn a menu once. Where it changes its order, they look for each entry anew.",
    messages={
        "moved": "The menu has the same entries as on other pages in another order.",
        "lacks": "The menu lacks “{entry}”, which other pages have.",
    },
)
def navigation(site: SiteView, _: Mapping[str, float]) -> Iterator[Verdict]:
    menus = {page: menu for page in site.pages if (menu := _menu(page))}
    counts = Counter(menus.values())
    if len(counts) < 2:
        return
    usual, count = counts.most_common(1)[0]
    if count * 2 <= len(menus):
        return
    for page, menu in menus.items():
        if menu != usual and sorted(menu) == sorted(usual):
            yield Verdict("moved", values={"text": page.place.page}, place=page.place)
        elif lacking := [entry for entry in usual if entry not in menu]:
            yield Verdict("lacks", values={"entry": lacking[0][:60], "text": page.place.page}, place=page.place)
