"""The mark is the same on all pages (WCAG 2.2 SC 3.2.4; common practice)."""

from collections import Counter
from collections.abc import Iterator, Mapping

from formulon.core.checks.drawn_facts import FrameTexts
from formulon.core.checks.rule import COMMON_PRACTICE, Verdict, rule
from formulon.core.checks.views import SiteView


@rule(
    id="consistency/mark",
    title="The mark is the same on all pages",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=SiteView,
    options={"px": 2},
    rationale="A mark that jumps or changes from page to page says that these pages belong to different houses.",
    messages={
        "other": "The {part} of this page shows {here}; on most pages it shows {there}.",
        "size": "In the {part} of this page {here} is {wide} × {high} px; on most pages it is {usual}.",
    },
)
def mark(site: SiteView, options: Mapping[str, float]) -> Iterator[Verdict]:
    held = site.all_of(FrameTexts)
    for part in ("header", "footer"):
        those = [one for one in held if one.place.slot == part and one.mark]
        if len(those) < 3:
            continue
        ((file, count),) = Counter(one.mark for one in those).most_common(1)
        if count * 2 <= len(those):
            continue
        usual = Counter(one.size for one in those if one.mark == file).most_common(1)[0][0]
        for one in those:
            values = {"part": part, "here": one.mark, "there": file, "text": one.mark}
            if one.mark != file:
                yield Verdict("other", values=values, place=one.place)
            elif max(abs(a - b) for a, b in zip(one.size, usual, strict=True)) > options["px"]:
                sizes = {"wide": one.size[0], "high": one.size[1], "usual": f"{usual[0]} × {usual[1]}"}
                yield Verdict("size", values=values | sizes, place=one.place)
