"""Header and footer say the same on all pages (WCAG 2.2 SC 3.2.4; common practice)."""

from collections import Counter
from collections.abc import Iterator, Mapping

from formulon.core.checks.drawn_facts import FrameTexts
from formulon.core.checks.rule import COMMON_PRACTICE, Verdict, rule
from formulon.core.checks.views import SiteView


@rule(
    id="consistency/frame",
    title="Header and footer say the same on all pages",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=SiteView,
    rationale="What stands on every page is changed on every page, or on none: a footer that says otherwise is older than the others.",
    messages={"other": "The {part} of this page says “{here}”; on most pages that is “{there}”."},
)
def frame(site: SiteView, _: Mapping[str, float]) -> Iterator[Verdict]:
    held = site.all_of(FrameTexts)
    for part in ("header", "footer"):
        those = [one for one in held if one.place.slot == part]
        counts = Counter(one.texts for one in those)
        if len(those) < 3 or len(counts) < 2:
            continue
        usual, count = counts.most_common(1)[0]
        if count * 2 <= len(those):
            continue
        for one in those:
            if one.texts != usual and len(one.texts) == len(usual):
                here, there = next((a, b) for a, b in zip(one.texts, usual, strict=True) if a != b)
                values = {"part": part, "here": here[:50], "there": there[:50], "text": here}
                yield Verdict("other", values=values, place=one.place)
