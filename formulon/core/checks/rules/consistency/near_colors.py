"""Colours of texts and grounds that are nearly alike are one (common practice)."""

from collections import Counter
from collections.abc import Iterator, Mapping
from itertools import combinations

from formulon.core.checks.own_code import from_system_at
from formulon.core.checks.rule import COMMON_PRACTICE, Verdict, rule
from formulon.core.checks.views import SiteView
from formulon.core.color.difference import difference
from formulon.core.color.srgb import from_hex

_MOST = 60  # colours that are compared


@rule(
    id="consistency/near-colors",
    title="No two colours are nearly alike",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=SiteView,
    options={"near": 2.3},
    rationale="Two colours that hardly anybody can tell apart were meant to be one, and drift on from there.",
    messages={
        "near": "{first} and {second} are {measured} ΔE2000 apart; from {required} on two are told apart side by side. {count} texts use the second."
    },
    mend=from_system_at,
)
def near_colors(site: SiteView, options: Mapping[str, float]) -> Iterator[Verdict]:
    held = [one for one in site.styles if one.ink]
    for part in ("ink", "ground"):
        counts = Counter(getattr(one, part) for one in held)
        for first, second in combinations([color for color, _ in counts.most_common(_MOST)], 2):
            away = difference(from_hex(first), from_hex(second))
            if away < options["near"]:
                where = next(one for one in held if getattr(one, part) == second)
                values = {"first": first, "second": second, "count": counts[second], "text": f"{first} {second}"}
                yield Verdict("near", away, options["near"], "", values=values, place=where.place)
