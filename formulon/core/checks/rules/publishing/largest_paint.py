"""The first screen is there soon (Core Web Vitals, largest contentful paint)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.drawn_facts import LargestPaint
from formulon.core.checks.rule import Ref, Verdict, rule


@rule(
    id="publishing/largest-paint",
    title="The first screen is there soon",
    standard=Ref("Core Web Vitals", "LCP"),
    severity="note",
    looks_at=LargestPaint,
    options={"most": 2.5},
    rationale="People wait for the largest thing of a first screen; what comes later than this on a slow line is often not waited for. The time is worked out of the bytes that come before it, at 1.6 Mbit/s with 150 ms there and back.",
    messages={
        "picture": "The largest picture of the first screen, “{picture}”, is there after some {measured} s on a slow line; {required} s is the most.",
        "text": "The first words are there after some {measured} s on a slow line; {required} s is the most.",
    },
    bound="most",
)
def largest_paint(one: LargestPaint, options: Mapping[str, float]) -> Iterator[Verdict]:
    if one.seconds > options["most"]:
        code = "picture" if one.picture else "text"
        yield Verdict(code, one.seconds, options["most"], "s", values={"picture": one.picture[:60]})
