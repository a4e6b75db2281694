"""A form asks for a way to answer (common practice)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.page_facts import FormFact
from formulon.core.checks.rule import COMMON_PRACTICE, Remedy, Verdict, rule
from formulon.core.checks.rules.content.slots import change_slot
from formulon.core.site.phrases import phrases
from formulon.core.site.site import Site
from formulon.core.site.slot_types.form import FormField
from formulon.core.system.system import System


def mend(site: Site, _: System, form: FormFact, verdict: Verdict, __: Mapping[str, float]) -> Iterator[Remedy]:
    section, say = site.section(form.place.page, form.place.section), phrases(site.identity.language).say
    value = section.content.get(form.place.slot) if section else None
    label = say("your_email") or say("email")
    if value and label:
        asked = FormField(label=label, kind="email", required=True).stored()
        fields = [*value["fields"][:1], asked, *value["fields"][1:]]
        yield Remedy(f"Ask for “{label}”", change_slot(site, form.place, "fields", fields))


@rule(
    id="forms/can-be-answered",
    title="Every form asks for a way to answer",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=FormFact,
    rationale="A message without an address or a number cannot be answered, however much it asks.",
    messages={"no-way": "The form “{label}” asks for neither a mail address nor a telephone number."},
    mend=mend,
)
def can_be_answered(form: FormFact, _: Mapping[str, float]) -> Iterator[Verdict]:
    if not {"email", "tel"} & {kind for _, kind in form.fields}:
        yield Verdict("no-way", values={"label": form.label[:60]})
