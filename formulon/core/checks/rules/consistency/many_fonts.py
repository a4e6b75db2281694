"""A site has few typefaces (common practice)."""

from collections import Counter
from collections.abc import Iterator, Mapping

from formulon.core.checks.own_mends import FACES, own_css
from formulon.core.checks.rule import COMMON_PRACTICE, Verdict, rule
from formulon.core.checks.views import SiteView


@rule(
    id="consistency/many-fonts",
    title="A site has few typefaces",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=SiteView,
    options={"most": 3},
    rationale="Each typeface is a voice; more than three talk across one another, and each is a file to wait for.",
    messages={"many": "{measured} typefaces are used, {families}; {required} is the most."},
    bound="most",
    mend=own_css(FACES),
)
def many_fonts(site: SiteView, options: Mapping[str, float]) -> Iterator[Verdict]:
    counts = Counter(one.family for one in site.styles if one.family)
    if len(counts) > options["most"]:
        rarest = min(counts, key=lambda family: counts[family])
        where = next(one for one in site.styles if one.family == rarest)
        values = {"families": ", ".join(family for family, _ in counts.most_common(6)), "text": ""}
        yield Verdict("many", len(counts), options["most"], "", values=values, place=where.place)
