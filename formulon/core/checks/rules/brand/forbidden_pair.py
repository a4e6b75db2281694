"""No text stands in a pair of colours that the guideline rules out (common practice)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.own_code import from_system
from formulon.core.checks.page_facts import TextRun
from formulon.core.checks.rule import COMMON_PRACTICE, Remedy, Verdict, rule
from formulon.core.checks.views import PageView
from formulon.core.site.changes import Change, pointer
from formulon.core.site.documents import CHOICES
from formulon.core.site.site import Site
from formulon.core.system.system import System


def mend(site: Site, system: System, _: PageView, verdict: Verdict, __: Mapping[str, float]) -> Iterator[Remedy]:
    if verdict.place:
        yield from from_system(site, system, verdict.place)
    pinned = [
        name
        for name in site.choices.pins
        if name.removeprefix("dark:") == f"ground/{verdict.values['under']}/{verdict.values['ink']}"
    ]
    if pinned:
        patch = [{"op": "remove", "path": pointer("pins", name)} for name in pinned]
        yield Remedy("The ink that the system works out", (Change(document=CHOICES, patch=patch),))


@rule(
    id="brand/forbidden-pair",
    title="No text stands in a pair that the guideline rules out",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=PageView,
    applies_if=lambda page: bool(page.head.forbidden),
    rationale="Two colours of a brand that may each be used can be forbidden together, whatever their contrast.",
    messages={"pair": "“{text}” is {ink_color} on {ground_color}. The guideline says: “{said}”"},
    mend=mend,
)
def forbidden_pair(page: PageView, _: Mapping[str, float]) -> Iterator[Verdict]:
    told = set()
    for section in page.sections:
        for fact in section.facts:
            if not isinstance(fact, TextRun) or fact.on_picture:
                continue
            ink, ground = fact.foreground.lower(), fact.background.lower()
            said = next((said for one, other, said in page.head.forbidden if (one, other) == (ink, ground)), None)
            if said is not None and fact.place not in told:  # told once for all states and schemes
                told.add(fact.place)
                values = {
                    "text": fact.text[:60], "ink_color": ink, "ground_color": ground, "said": said, "under": fact.ground, "ink": fact.ink,
                }  # fmt: skip
                yield Verdict("pair", values=values, place=fact.place)
