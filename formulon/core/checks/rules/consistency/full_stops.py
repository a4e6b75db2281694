"""Headings end alike, and so do labels of buttons (common practice)."""

from collections.abc import Iterator, Mapping, Sequence

from formulon.core.checks.page_facts import Heading
from formulon.core.checks.rule import COMMON_PRACTICE, Remedy, Verdict, rule
from formulon.core.checks.rules.content.slots import change_text
from formulon.core.checks.views import SiteView
from formulon.core.site.site import Site
from formulon.core.system.system import System

_STOPS = (".", "。", "।")
_SENTENCE = 6  # words from which a heading may be a sentence


def _as_the_others(site: Site, _: System, __: SiteView, verdict: Verdict, ___: Mapping[str, float]) -> Iterator[Remedy]:
    text, place = str(verdict.values["text"]), verdict.place
    if place is None:
        return
    label, new = (
        ("Leave the full stop out", text.rstrip().rstrip("".join(_STOPS)))
        if verdict.code == "stop"
        else ("Add a full stop", f"{text}.")
    )
    changes = change_text(site, place, text, new)
    if changes:
        yield Remedy(label, changes)


@rule(
    id="consistency/full-stops",
    title="Headings and labels end alike",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=SiteView,
    options={"least": 4, "most": 0.25},
    rationale="Whether headings end with a full stop is a choice; once it is made, the few that do otherwise look forgotten.",
    messages={
        "stop": "“{words}” ends with a full stop; {count} of {all} {what} do not.",
        "none": "“{words}” has no full stop; {count} of {all} {what} have one.",
    },
    mend=_as_the_others,
)
def full_stops(site: SiteView, options: Mapping[str, float]) -> Iterator[Verdict]:
    frames = site.frames
    held = [one for one in site.all_of(Heading) if one.place.section not in frames]
    for what, those in (
        ("headings", [one for one in held if one.level > 1 and len(one.text.split()) < _SENTENCE]),
        ("labels of buttons", [one for one in held if not one.level]),
    ):
        yield from _apart(those, what, options)


def _apart(those: Sequence[Heading], what: str, options: Mapping[str, float]) -> Iterator[Verdict]:
    parted: tuple[list[Heading], list[Heading]] = ([], [])
    for one in those:
        end = one.text.rstrip()
        parted[end.endswith(_STOPS) and not end.endswith("..")].append(one)
    for few, code in ((parted[True], "stop"), (parted[False], "none")):
        rest = len(those) - len(few)
        if few and rest >= options["least"] and len(few) <= options["most"] * len(those):
            for one in few:
                values = {"words": one.text[:60], "count": rest, "all": len(those), "what": what, "text": one.text}
                yield Verdict(code, values=values, place=one.place)
