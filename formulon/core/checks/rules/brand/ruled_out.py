"""Pages have nothing that the brand's guideline rules out (common practice)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.page_facts import Fact, TextRun, TextsOnPicture
from formulon.core.checks.rule import COMMON_PRACTICE, Remedy, Verdict, rule
from formulon.core.checks.rules.content.slots import change_slot
from formulon.core.checks.views import PageView
from formulon.core.site.changes import Change
from formulon.core.site.documents import CHOICES, located
from formulon.core.site.site import Site
from formulon.core.site.slots import slot_values
from formulon.core.system.system import System
from formulon.core.type.emphasis import plain

Patch = list[dict[str, object]]


def mend(site: Site, _: System, page: PageView, verdict: Verdict, __: Mapping[str, float]) -> Iterator[Remedy]:
    what = verdict.values["what"]
    if what == "italics" and verdict.place:
        found = located(site, verdict.place.page, verdict.place.section)
        if found is not None:
            text = str(slot_values(found[2])[verdict.place.slot][1])
            yield Remedy("Without emphasis", change_slot(site, verdict.place, None, plain(text)))
    patch = _without(site, str(what))
    if patch:
        yield Remedy(f"The whole site without {what}", (Change(document=CHOICES, patch=patch),))


def _without(site: Site, what: str) -> Patch:
    """The choices without something, as operations."""
    choices = site.choices
    if what == "shadows":
        made: Patch = [
            {"op": "add", "path": "/elevation", "value": "none"},
            {"op": "add", "path": "/buttons/raised", "value": False},
        ]
        return made + ([{"op": "add", "path": "/cards", "value": "lined"}] if choices.cards == "lifted" else [])
    if what == "round corners":
        kinds = {name: one.model_dump() | {"corners": None} for name, one in choices.picture_kinds.items()}
        return [
            {"op": "add", "path": "/radius", "value": 0}, {"op": "add", "path": "/corners", "value": {}},
            {"op": "add", "path": "/picture_kinds", "value": kinds},
        ]  # fmt: skip
    if what == "capitals":
        return [
            {"op": "add", "path": f"/scale/steps/{name}/case", "value": "none"}
            for name, step in choices.scale.steps.items() if step.case == "uppercase"
        ]  # fmt: skip
    if what == "treated photographs":
        return [{"op": "add", "path": "/pictures", "value": "natural"}, {"op": "add", "path": "/grain", "value": 0}]
    return [{"op": "add", "path": "/motion", "value": "none"}] if what == "motion" else []


@rule(
    id="brand/ruled-out",
    title="Pages have nothing that the guideline rules out",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=PageView,
    applies_if=lambda page: bool(page.head.ruled_out),
    rationale="What a guideline forbids was decided once, with reasons; a site that has it anyway is another brand's.",
    messages={
        "has": "The site has {what}. The guideline says: “{said}”",
        "there": "“{text}” has italics. The guideline says: “{said}”",
        "gradient": "What lies under “{text}” is a gradient. The guideline says: “{said}”",
        "on-picture": "“{text}” stands on a picture. The guideline says: “{said}”",
    },
    mend=mend,
)
def ruled_out(page: PageView, _: Mapping[str, float]) -> Iterator[Verdict]:
    for what, said in page.head.ruled_out:
        values = {"what": what, "said": said}
        if what in page.head.drawn:
            yield Verdict("has", values=values)
        seen = set()
        for fact in (one for section in page.own for one in section.facts):
            text = _shown(what, fact)
            if text and (fact.place, text) not in seen:  # told once for both schemes
                seen.add((fact.place, text))
                values |= {"text": text[:60]}
                if what == "gradients":
                    yield Verdict("gradient", values=values, place=fact.place)
                elif what == "text on pictures":
                    yield Verdict("on-picture", values=values, place=fact.place)
                else:
                    yield Verdict("there", values=values, place=fact.place)


def _shown(what: str, fact: Fact) -> str:
    """The words of a fact that has something; empty where it does not."""
    if what == "italics" and isinstance(fact, TextRun) and "em" in fact.styles:
        return fact.text
    if isinstance(fact, TextsOnPicture) and (what == "text on pictures" or (what == "gradients" and fact.shape != "even")):
        return fact.texts[0].run.text
    return ""
