"""Running text has few weights (common practice)."""

from collections import Counter
from collections.abc import Iterator, Mapping

from formulon.core.checks.own_mends import WEIGHTS, own_css
from formulon.core.checks.page_facts import Style
from formulon.core.checks.rule import COMMON_PRACTICE, Verdict, rule
from formulon.core.checks.views import SiteView


@rule(
    id="consistency/weights",
    title="Type has few weights",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=SiteView,
    options={"most": 4},
    bound="most",
    rationale="Weights tell what matters; with many of them everything matters a little.",
    messages={"many": "Texts are set in {measured} weights ({weights}); {required} are the most that are told apart."},
    mend=own_css(WEIGHTS),
)
def weights(site: SiteView, options: Mapping[str, float]) -> Iterator[Verdict]:
    counts = Counter(one.weight for one in site.all_of(Style))
    if len(counts) > options["most"]:
        said = ", ".join(map(str, sorted(counts)))
        yield Verdict("many", float(len(counts)), options["most"], "", values={"weights": said})
