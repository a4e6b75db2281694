"""Forms to begin with: an enquiry, a booking request, a sign-up. Their labels are in the site's language; what Formulon has no word for
in it is left out."""

from dataclasses import dataclass
from typing import Any

from formulon.core.site.mail import mail_to
from formulon.core.site.phrases import MODEL, phrases
from formulon.core.site.slot_types.form import FormField, FormValue
from formulon.core.site.values import placeholder
from formulon.core.system.documents.identity import Identity

# The fields of each: the phrase that labels one, its kind, and whether it must be filled in (common practice: as few as will do).
_FIELDS = {
    "enquiry": (("your_name", "name", True), ("your_email", "email", True), ("message", "message", True)),
    "booking": (
        ("your_name", "name", True), ("your_email", "email", True), ("when", "date", True), ("how_many", "number", False),
        ("message", "message", False),
    ),
    "sign-up": (("your_email", "email", True),),
}  # fmt: skip
_NAMES = {"enquiry": "Enquiry", "booking": "Booking request", "sign-up": "Sign-up"}


@dataclass(frozen=True, slots=True)
class FormStart:
    """A form to begin with: its id, what it is called in the studio, and its value."""

    id: str
    name: str
    value: dict[str, Any]


def form_start(identity: Identity, which: str) -> dict[str, Any]:
    """One of them, as a value of a slot; it is sent to the brand's own address. Raises KeyError."""
    own, model = phrases(identity.language).say, phrases(MODEL).say
    fields = []
    for key, kind, required in _FIELDS[which]:
        # A form that can be answered has to ask for the address; what has no word yet is marked as still to be written.
        label = own(key) or (own("email") or placeholder(model(key)) if key == "your_email" else "")
        if label:
            fields.append(FormField.model_validate({"label": label, "kind": kind, "required": required}))
    email = identity.contact.email
    return FormValue(
        fields=fields, label=own("send") or placeholder(model("send")), to=mail_to(email) if email else ""
    ).stored()


def form_starts(identity: Identity) -> list[FormStart]:
    """All of them."""
    return [FormStart(key, name, form_start(identity, key)) for key, name in _NAMES.items()]
