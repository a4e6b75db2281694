"""A form is sent to somebody (common practice)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.page_facts import FormFact
from formulon.core.checks.rule import COMMON_PRACTICE, Remedy, Verdict, rule
from formulon.core.checks.rules.content.slots import change_slot
from formulon.core.site.mail import mail_to
from formulon.core.site.site import Site
from formulon.core.system.system import System


def mend(site: Site, _: System, form: FormFact, verdict: Verdict, __: Mapping[str, float]) -> Iterator[Remedy]:
    own = site.identity.contact.email
    if own:
        yield Remedy(f"Send it to {own}", change_slot(site, form.place, "to", mail_to(own)))
    yield Remedy("Take the form out", change_slot(site, form.place, None, None))


@rule(
    id="forms/recipient",
    title="Every form is sent to somebody",
    standard=COMMON_PRACTICE,
    severity="stop",
    looks_at=FormFact,
    rationale="Who writes waits for an answer; what is sent to nobody gets none.",
    messages={
        "empty": "The form “{label}” is sent to nobody.",
        "no-address": "The form “{label}” is sent to “{to}”, which is neither a mail address nor a service.",
    },
    mend=mend,
)
def recipient(form: FormFact, _: Mapping[str, float]) -> Iterator[Verdict]:
    values = {"label": form.label[:60], "to": form.to[:60]}
    if not form.to:
        yield Verdict("empty", values=values)
    elif not form.to.startswith(("mailto:", "https://", "http://")):
        yield Verdict("no-address", values=values)
