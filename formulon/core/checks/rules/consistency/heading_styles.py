"""Headings of one level that stand in one part of a page are set in one way (common practice)."""

from collections import Counter
from collections.abc import Iterator, Mapping

from formulon.core.checks.own_mends import HEADINGS, own_css
from formulon.core.checks.page_facts import Style
from formulon.core.checks.rule import COMMON_PRACTICE, Verdict, rule
from formulon.core.checks.views import SectionView


def _set(one: Style, inked: bool) -> tuple[float, int, str, str]:
    return round(one.size, 1), one.weight, one.family.casefold(), one.ink if inked else ""


@rule(
    id="consistency/heading-styles",
    title="Headings of one level are set in one way",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=SectionView,
    options={"few": 0.34},
    rationale="What stands side by side on one level is seen as alike. One that looks otherwise seems to be something else.",
    messages={"otherwise": "“{text}” is set at {size}; the other headings of level {level} here are set at {usual}."},
    mend=own_css(HEADINGS),
)
def heading_styles(section: SectionView, options: Mapping[str, float]) -> Iterator[Verdict]:
    """Those that are set as few of their level are, each way once."""
    leveled = [one for one in section.facts if isinstance(one, Style) and 2 <= one.level <= 6]
    for level in sorted({one.level for one in leveled}):
        held = [one for one in leveled if one.level == level]
        # On another ground the same heading has another ink.
        one_ground = len({one.ground for one in held}) == 1
        counts = Counter(_set(one, one_ground) for one in held)
        if len(held) < 3 or len(counts) < 2:
            continue
        usual, most = counts.most_common(1)[0]
        for way, count in counts.items():
            if way != usual and count <= options["few"] * len(held) and count < most:
                one = next(each for each in held if _set(each, one_ground) == way)
                values = {"text": one.text[:60], "size": _said(way), "level": level, "usual": _said(usual)}
                yield Verdict("otherwise", values=values, place=one.place)


def _said(way: tuple[float, int, str, str]) -> str:
    return f"{way[0]:g} px, weight {way[1]}, {way[2]}{f', {way[3]}' if way[3] else ''}"
