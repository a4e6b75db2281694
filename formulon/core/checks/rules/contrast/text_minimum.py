"""Text contrast (WCAG 2.2 SC 1.4.3)."""

from collections.abc import Iterator, Mapping
from typing import Any

from formulon.core.checks.facts import TextRun
from formulon.core.checks.rule import Proposal, Ref, Verdict, rule
from formulon.core.color.contrast import contrast_ratio, shown
from formulon.core.color.srgb import from_hex
from formulon.core.site.changes import Change, pointer
from formulon.core.site.model import Site
from formulon.core.system.choices import SECTION_GROUNDS
from formulon.core.system.model import System


def measure(run: TextRun) -> float:
    return contrast_ratio(from_hex(run.foreground), from_hex(run.background))


def is_large(run: TextRun, width: int, options: Mapping[str, float]) -> bool:
    """Large text: at least 18 pt, or 14 pt and bold (1 pt is 4/3 px)."""
    bold = run.weight >= options["bold-weight"]
    return run.sizes[width] >= (options["large-bold-px"] if bold else options["large-px"])


def below(run: TextRun, options: Mapping[str, float]) -> Iterator[Verdict]:
    """The first width at which a text has less than it needs for its size there."""
    ratio = measure(run)
    for width in run.sizes:
        required = options["large"] if is_large(run, width, options) else options["normal"]
        if not ratio >= required:
            values = {"text": run.text[:60], "ratio": shown(ratio), "ground": run.ground, "needed": f"{required:g}"}
            yield Verdict("too-low", ratio, required, ":1", width, values)
            return


def mend(site: Site, system: System, run: TextRun, verdict: Verdict, _: Mapping[str, float]) -> Iterator[Proposal]:
    for conflict in system.conflicts:
        if conflict.ground == run.ground and conflict.scheme == run.scheme:
            for way in conflict.alternatives:
                label = f"{way.label}, {shown(way.ratio)}" if way.color else way.label
                yield Proposal(label, (Change(document="choices", patch=list(way.patch)),))
    page = site.page(run.place.page)
    for index, section in enumerate(page.sections if page else []):
        if section.id == run.place.section:
            for ground in SECTION_GROUNDS:
                if ground != section.ground:
                    moved: list[dict[str, Any]] = [
                        {"op": "replace", "path": pointer("sections", index, "ground"), "value": ground}
                    ]
                    if site.choices.rhythm:
                        moved.append({"op": "add", "path": pointer("sections", index, "departs"), "value": True})
                    yield Proposal(f"Stand it on {ground}", (Change(document=f"page:{page.id}", patch=moved),))  # type: ignore[union-attr]
    if site.choices.policy == "AAA":
        patch = {"op": "replace", "path": "/policy", "value": "AA"}
        yield Proposal("Hold the site to AA", (Change(document="choices", patch=[patch]),))


@rule(
    id="contrast/text-minimum",
    title="Text can be read on its ground",
    standard=Ref("WCAG 2.2", "1.4.3", "AA"),
    severity="stop",
    looks_at=TextRun,
    applies_if=lambda run: bool(run.text.strip()),
    options={"normal": 4.5, "large": 3.0, "large-px": 24.0, "large-bold-px": 56 / 3, "bold-weight": 700},
    rationale="Below this ratio people with moderately low vision cannot read text without contrast-enhancing aids.",
    messages={"too-low": "“{text}” is {ratio} on {ground}; it needs {needed}:1."},
    mend=mend,
)
def text_minimum(run: TextRun, options: Mapping[str, float]) -> Iterator[Verdict]:
    yield from below(run, options)


text_minimum.measure = measure  # type: ignore[attr-defined]
