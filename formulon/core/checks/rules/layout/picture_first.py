"""A phone shows words before a screen of pictures is over (common practice)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.drawn_facts import PictureFirst
from formulon.core.checks.rule import COMMON_PRACTICE, Remedy, Verdict, rule
from formulon.core.checks.rules.content.slots import in_other_layouts
from formulon.core.site.site import Site
from formulon.core.system.system import System


def mend(site: Site, _: System, one: PictureFirst, __: Verdict, ___: Mapping[str, float]) -> Iterator[Remedy]:
    yield from in_other_layouts(site, one.place)


@rule(
    id="layout/picture-first",
    title="On phones words come before a screen of pictures is over",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=PictureFirst,
    options={"most": 520},
    bound="most",
    rationale="Who scrolls past a picture that fills the screen does not know whether it belongs to what was before or to what comes.",
    messages={"high": "On a phone {measured} px of pictures come before “{text}”; {required} are the most."},
    mend=mend,
)
def picture_first(one: PictureFirst, options: Mapping[str, float]) -> Iterator[Verdict]:
    if one.high > options["most"]:
        yield Verdict("high", one.high, options["most"], "px", one.width, {"text": one.text[:60]})
