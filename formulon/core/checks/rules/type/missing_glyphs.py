"""The typeface has every character of the text (common practice; browsers fetch what is missing from another font)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.page_facts import TextRun
from formulon.core.checks.rule import COMMON_PRACTICE, Remedy, Verdict, rule
from formulon.core.checks.rules.content.slots import change_text
from formulon.core.site.changes import Change
from formulon.core.site.site import Site
from formulon.core.system.system import System
from formulon.core.type.alike import nearest


def mend(site: Site, system: System, run: TextRun, verdict: Verdict, options: Mapping[str, float]) -> Iterator[Remedy]:
    role = system.steps[run.step].role
    gone = set(map(ord, run.unknown_glyphs))
    old = run.family.measured if run.family else None
    near = nearest(old, gone) if old else None
    if near:
        patch = [{"op": "replace", "path": f"/typefaces/{role}", "value": near.id}]
        yield Remedy(f"{near.name} as the {role} typeface", (Change(document="identity", patch=patch),))
    kept = " ".join("".join(char for char in run.text if ord(char) not in gone).split())
    if kept and (changes := change_text(site, run.place, run.text, kept)):
        yield Remedy(f"“{kept[:60]}”", changes)


@rule(
    id="type/missing-glyphs",
    title="The typeface has every character",
    standard=COMMON_PRACTICE,
    severity="stop",
    looks_at=TextRun,
    applies_if=lambda run: not run.ink.endswith(("/hover", "/pressed")),  # said once for each text
    rationale="A character that the typeface lacks is drawn in another font, in the middle of a word.",
    messages={"lacks": "{family} lacks “{glyphs}”; browsers will draw it in another font."},
    mend=mend,
)
def missing_glyphs(run: TextRun, options: Mapping[str, float]) -> Iterator[Verdict]:
    if run.unknown_glyphs:
        yield Verdict("lacks", values={"glyphs": run.unknown_glyphs, "family": run.family.name if run.family else "It"})
