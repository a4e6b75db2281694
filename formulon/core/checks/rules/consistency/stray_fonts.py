"""Texts are set in the typefaces of the system (common practice)."""

from collections import Counter
from collections.abc import Iterator, Mapping

from formulon.core.checks.own_mends import FACES, own_css
from formulon.core.checks.rule import COMMON_PRACTICE, Verdict, rule
from formulon.core.checks.views import SiteView


@rule(
    id="consistency/stray-fonts",
    title="Typefaces are those of the system",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=SiteView,
    applies_if=lambda site: bool(site.allowed and site.allowed.families),
    rationale="A typeface that nobody has chosen speaks with another voice, and costs a file more.",
    messages={
        "one": "One text is set in {family}; the system has {known}.",
        "stray": "{count} texts are set in {family}; the system has {known}.",
    },
    mend=own_css(FACES),
)
def stray_fonts(site: SiteView, _: Mapping[str, float]) -> Iterator[Verdict]:
    families = site.allowed.families if site.allowed else ()
    known = {one.casefold() for one in families}
    for family, count in Counter(one.family for one in site.styles).items():
        if family.casefold() not in known:
            where = next(one for one in site.styles if one.family == family)
            values = {"count": count, "family": family, "known": ", ".join(families), "text": family}
            yield Verdict("stray" if count > 1 else "one", values=values, place=where.place)
