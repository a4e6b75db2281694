"""Dates, times, telephone numbers and quotations are written in one way (common practice)."""

from collections import Counter, defaultdict
from collections.abc import Iterator, Mapping

from formulon.core.checks.page_facts import Spelling
from formulon.core.checks.rule import COMMON_PRACTICE, Remedy, Verdict, rule
from formulon.core.checks.rules.content.slots import change_text
from formulon.core.checks.views import SiteView
from formulon.core.site.site import Site
from formulon.core.system.system import System


def _as_most(site: Site, _: System, __: SiteView, verdict: Verdict, ___: Mapping[str, float]) -> Iterator[Remedy]:
    """A number as it is written elsewhere, words in the other quotation marks; dates and times are for people to write."""
    sample, usual = str(verdict.values["sample"]), str(verdict.values["usual"])
    new = (
        usual if verdict.code == "telephone" else f"{usual[0]}{sample[1:-1]}{usual[-1]}" if verdict.code == "quotation" else ""
    )
    changes = change_text(site, verdict.place, sample, new) if verdict.place and new else ()
    if changes:
        yield Remedy(f"Write {new}", changes)


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
    mend=_as_most,
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
