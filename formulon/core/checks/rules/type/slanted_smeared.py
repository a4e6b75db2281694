"""Italics and bolds are drawn ones (common practice)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.drawn_facts import Faked
from formulon.core.checks.rule import COMMON_PRACTICE, Verdict, rule


@rule(
    id="type/slanted-smeared",
    title="Italics and bolds are drawn ones",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=Faked,
    rationale="Browsers slant and thicken letters for which they have no file, each in another way: curves break, counters fill in.",
    messages={
        "slanted": "“{text}” is slanted by the browser: the site has no italic of {family}.",
        "smeared": "“{text}” is thickened by the browser: the site has no bold of {family}.",
    },
)
def slanted_smeared(one: Faked, _: Mapping[str, float]) -> Iterator[Verdict]:
    code = "slanted" if one.what == "slanted" else "smeared"
    yield Verdict(code, values={"text": one.text[:60], "family": one.family})
