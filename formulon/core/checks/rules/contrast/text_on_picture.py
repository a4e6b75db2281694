"""Contrast of text on a picture (WCAG 2.2 SC 1.4.3, 1.4.6), on the pixels that lie behind its glyphs."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.on_picture import judge, least, measure
from formulon.core.checks.page_facts import TextsOnPicture
from formulon.core.checks.rule import COMMON_PRACTICE, Ref, Remedy, Verdict, rule
from formulon.core.checks.rules.contrast.text_minimum import other_grounds, ways_out
from formulon.core.color.contrast import shown
from formulon.core.color.overlay import SHARE
from formulon.core.site.behind import SHAPES
from formulon.core.site.changes import Change, pointer
from formulon.core.site.documents import located
from formulon.core.site.site import Site
from formulon.core.system.system import System

_BELOW = "“{text}” on its picture: {share} of what lies behind it is below {needed}:1, at the worst {worst}."
_CODES = {"AA": "too-low", "AAA": "too-low-enhanced", "own": "below-own"}
SHAPE_WORDS = {"even": "evenly", "foot": "from the foot", "side": "from the left"}


def mend(site: Site, system: System, fact: TextsOnPicture, verdict: Verdict, _: Mapping[str, float]) -> Iterator[Remedy]:
    found = located(site, fact.place.page, fact.place.section)
    if found is None:
        return
    document, base, __ = found
    if verdict.code != "not-read":
        ground = fact.texts[0].run.ground
        for shape in (fact.shape, *(one for one in SHAPES if one != fact.shape)):
            opacity = least(fact, shape)
            if opacity is not None:
                path = pointer(*base, "content", *fact.place.slot.split("/"), "overlay")
                patch = {"op": "add", "path": path, "value": {"opacity": opacity, "shape": shape}}
                label = f"Lay {ground} over it {SHAPE_WORDS[shape]} at {opacity:.0%}"
                yield Remedy(label, (Change(document=document, patch=[patch]),))
        for run in {text.run.scheme: text.run for text in fact.texts}.values():
            yield from ways_out(system, run)
        yield from other_grounds(site, fact.texts[0].run)


@rule(
    id="contrast/text-on-picture",
    title="Text on a picture can be read",
    standard=Ref("WCAG 2.2", "1.4.3", "AA"),
    severity="stop",
    looks_at=TextsOnPicture,
    options={"share": SHARE},
    rationale="A picture is light in one place and dark in another, and is cropped differently at every width.",
    messages={
        "too-low": _BELOW,
        "too-low-enhanced": _BELOW,
        "below-own": _BELOW,
        "not-read": "“{text}” stands on a photograph that cannot be read here.",
    },
    refs={"too-low-enhanced": Ref("WCAG 2.2", "1.4.6", "AAA"), "below-own": COMMON_PRACTICE},
    mend=mend,
    measure=measure,
)
def text_on_picture(fact: TextsOnPicture, options: Mapping[str, float]) -> Iterator[Verdict]:
    """One verdict for each text, at the width where it is worst."""
    for text in fact.texts:
        words = text.run.text[:60].rstrip()
        if not text.demands:
            yield Verdict("not-read", values={"text": words, "scheme": text.run.scheme}, outcome="cannot-tell")
            continue
        found = {width: judge(fact, text, width) for width in text.demands}
        failing = [w for w, made in found.items() if made.share > options["share"]]
        if failing:
            width = max(failing, key=lambda w: found[w].share)
            made, required = found[width], text.demands[width].required
            values = {"text": words, "share": f"{made.share:.1%}", "worst": shown(made.worst), "needed": f"{required:g}"}
            values["scheme"] = text.run.scheme
            yield Verdict(_CODES[text.run.policy.name], made.deciding, required, ":1", width, values)
