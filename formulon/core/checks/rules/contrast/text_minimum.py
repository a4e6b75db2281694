"""Text contrast (WCAG 2.2 SC 1.4.3)."""

from collections.abc import Iterator, Mapping
from typing import Any

from formulon.core.checks.own_code import from_system
from formulon.core.checks.page_facts import TextRun, is_large
from formulon.core.checks.rule import Ref, Remedy, Verdict, rule
from formulon.core.color.contrast import contrast_ratio, shown
from formulon.core.color.srgb import from_hex
from formulon.core.site.changes import Change, pointer
from formulon.core.site.documents import CHOICES, FRAME_DOCUMENT, located
from formulon.core.site.site import Site
from formulon.core.system.documents.choices import SECTION_GROUNDS
from formulon.core.system.system import System


def measure(run: TextRun) -> float:
    return contrast_ratio(from_hex(run.foreground), from_hex(run.background))


def below(run: TextRun, text: float, large: float) -> Iterator[Verdict]:
    """The first width at which a text has less than it needs for its size there."""
    ratio = measure(run)
    for width in run.sizes:
        required = large if is_large(run, width) else text
        if not ratio >= required:
            values = {"text": run.text[:60], "ratio": shown(ratio), "ground": run.ground, "needed": f"{required:g}"}
            yield Verdict("too-low", ratio, required, ":1", width, values)
            return


def mend(site: Site, system: System, run: TextRun, verdict: Verdict, _: Mapping[str, float]) -> Iterator[Remedy]:
    yield from from_system(site, system, run.place)
    yield from ways_out(system, run)
    yield from other_grounds(site, run)
    if site.choices.policy != "AA":
        patch = {"op": "replace", "path": "/policy", "value": "AA"}
        yield Remedy("Hold the site to AA", (Change(document=CHOICES, patch=[patch]),))


def ways_out(system: System, run: TextRun) -> Iterator[Remedy]:
    """What the conflicts of a text's ground and scheme offer."""
    for conflict in system.conflicts:
        if conflict.ground == run.ground and conflict.scheme == run.scheme:
            for way in conflict.alternatives:
                label = f"{way.label}, {shown(way.ratio)}" if way.color else way.label
                yield Remedy(label, (Change(document=CHOICES, patch=list(way.patch)),))


def other_grounds(site: Site, run: TextRun) -> Iterator[Remedy]:
    """A text's section on each other ground."""
    found, drawn = located(site, run.place.page, run.place.section), site.section(run.place.page, run.place.section)
    if found is None or drawn is None or found[0] == FRAME_DOCUMENT:
        return
    document, base, _ = found
    for ground in SECTION_GROUNDS:
        if ground != drawn.ground:
            moved: list[dict[str, Any]] = [{"op": "replace", "path": pointer(*base, "ground"), "value": ground}]
            if site.choices.rhythm:
                moved.append({"op": "add", "path": pointer(*base, "departs"), "value": True})
            yield Remedy(f"Stand it on {ground}", (Change(document=document, patch=moved),))


@rule(
    id="contrast/text-minimum",
    title="Text can be read on its ground",
    standard=Ref("WCAG 2.2", "1.4.3", "AA"),
    severity="stop",
    looks_at=TextRun,
    applies_if=lambda run: bool(run.text.strip()) and not run.on_picture,
    options={"normal": 4.5, "large": 3.0},
    rationale="Below this ratio people with moderately low vision cannot read text without contrast-enhancing aids.",
    messages={"too-low": "“{text}” is {ratio} on {ground}; it needs {needed}:1."},
    mend=mend,
    measure=measure,
)
def text_minimum(run: TextRun, options: Mapping[str, float]) -> Iterator[Verdict]:
    yield from below(run, options["normal"], options["large"])
