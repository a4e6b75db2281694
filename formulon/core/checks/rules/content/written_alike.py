"""Dates, times, telephone numbers and quotations are written in one way (common practice)."""

from collections import Counter, defaultdict
from collections.abc import Iterator, Mapping

from formulon.core.checks.page_facts import Spelling
from formulon.core.checks.rule import COMMON_PRACTICE, Verdict, rule
from formulon.core.checks.views import SiteView


@rule(
    id="content/written-alike",
    title="Dates, times, numbers and quotations are written in one way",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=SiteView,
    rationale="A house writes a date in one way. Where there are two, visitors stop to ask whether they mean the same.",
    messages={
        "date": "“{sample}” is a date written {form}; most are written {usual}, as in “{example}”.",
        "time": "“{sample}” is a time of {form}; most are of {usual}, as in “{example}”.",
        "telephone": "{sample} is written {example} elsewhere.",
        "quotation": "{sample} stands in other quotation marks than {example}.",
    },
)
def written_alike(site: SiteView, _: Mapping[str, float]) -> Iterator[Verdict]:
    held: dict[tuple[str, str], list[Spelling]] = defaultdict(list)
    for one in site.all_of(Spelling):
        if one.what in ("date", "time", "quotation"):
            held[one.what, ""].append(one)
        elif one.what == "telephone":
            held[one.what, one.sample].append(one)
    for (what, _same), those in held.items():
        counts = Counter(one.form for one in those)
        if len(counts) < 2:
            continue
        usual = counts.most_common(1)[0][0]
        example = next(one for one in those if one.form == usual)
        for one in those:
            if one.form != usual:
                shown = one.form if what == "telephone" else one.sample
                like = usual if what == "telephone" else example.sample
                values = {"sample": shown, "form": one.form, "usual": usual, "example": like, "text": shown}
                yield Verdict(what, values=values, place=one.place)
