"""Fields of a form are told apart by their labels (WCAG 2.2 SC 2.4.6)."""

from collections import Counter
from collections.abc import Iterator, Mapping

from formulon.core.checks.page_facts import FormFact
from formulon.core.checks.rule import Ref, Remedy, Verdict, rule
from formulon.core.checks.rules.content.slots import change_slot
from formulon.core.site.site import Site
from formulon.core.system.system import System


def mend(site: Site, _: System, form: FormFact, verdict: Verdict, __: Mapping[str, float]) -> Iterator[Remedy]:
    section = site.section(form.place.page, form.place.section)
    fields = section.content[form.place.slot]["fields"] if section else []
    twice = str(verdict.values["label"]).casefold()
    same = [index for index, one in enumerate(fields) if one["label"].strip().casefold() == twice]
    if len(same) < 2:
        return
    numbered = [
        one | {"label": f"{one['label']} {same.index(index) + 1}"} if index in same[1:] else one
        for index, one in enumerate(fields)
    ]
    yield Remedy("Number them", change_slot(site, form.place, "fields", numbered))
    kept = [one for index, one in enumerate(fields) if index not in same[1:]]
    yield Remedy("Keep the first", change_slot(site, form.place, "fields", kept))


@rule(
    id="forms/labels-apart",
    title="No two fields of a form have the same label",
    standard=Ref("WCAG 2.2", "2.4.6", "AA"),
    severity="note",
    looks_at=FormFact,
    rationale="Who cannot see how fields stand to each other knows them by their labels alone, and so does whoever reads the message.",
    messages={"twice": "“{label}” is the label of {measured} fields."},
    mend=mend,
)
def labels_apart(form: FormFact, _: Mapping[str, float]) -> Iterator[Verdict]:
    for label, count in Counter(label.strip().casefold() for label, _ in form.fields).items():
        if count > 1:
            shown = next(one for one, _ in form.fields if one.strip().casefold() == label)
            yield Verdict("twice", count, 1, values={"label": shown.strip()})
