"""Enquiries: what visitors send through the forms of published sites. Taken, mailed, read, marked, searched, taken out, erased."""

import csv
import io
import ipaddress
from collections.abc import Iterable
from dataclasses import dataclass
from datetime import timedelta
from enum import Enum
from uuid import UUID

from django.conf import settings
from django.core.mail import EmailMessage
from django.db import transaction
from django.db.models import Count, QuerySet, Sum
from django.http import QueryDict
from django.utils import timezone
from django.utils.crypto import salted_hmac
from procrastinate.contrib.django import app

from formulon.core.site.documents import site_of
from formulon.core.site.forms import Sent, form_of, read
from formulon.core.site.languages import in_language
from formulon.core.site.site import Page, Section, Site
from formulon.core.site.slot_types.form import FormValue
from formulon.core.site.thanks import FILE
from formulon.core.site.values import led_to
from formulon.core.type.emphasis import plain
from formulon.studio import mail
from formulon.studio.models import Brand, Enquiry, Release

SPAN = timedelta(minutes=10)  # in which one sender may send so many
DAYS = (30, 90, 180, 365, 730)  # how long enquiries may be kept


class Taken(Enum):
    """What became of what was sent."""

    KEPT = "kept"
    WRONG = "wrong"  # something is to be corrected
    TOO_MANY = "too_many"
    NO_ROOM = "no_room"


@dataclass(frozen=True, slots=True)
class Form:
    """A form of a release."""

    site: Site
    page: Page
    section: Section
    slot: str
    value: FormValue

    @property
    def name(self) -> str:
        """Its id on the page."""
        return f"{self.section.id}-{self.slot}"

    @property
    def file(self) -> str:
        return self.site.file_name(self.page)

    @property
    def after(self) -> str:
        """The file that follows it."""
        page = self.site.page(led_to(self.site.led(self.value.after))[0]) if self.value.after else None
        return self.site.file_name(page) if page else FILE


def form_in(release: Release, page_id: str, section_id: str, language: str = "") -> Form | None:
    """The form of a published section that is sent here, in a language of the site or its own; None where there is none."""
    site = site_of(release.snapshot, [])
    if language:
        if language not in site.in_languages()[1:]:
            return None
        site = in_language(site, language)
    page = site.page(page_id)
    section = next((one for one in page.sections if one.id == section_id), None) if page else None
    found = form_of(section) if section else None
    if page is None or section is None or found is None or not found[1].recipient:
        return None
    return Form(site, page, section, *found)


@transaction.atomic
def take(release: Release, form: Form, data: QueryDict, address: str) -> tuple[Taken, Sent]:
    """Keeps what was sent and has it mailed. What fills the trap in is thanked and forgotten."""
    sent = read(form.value, dict(data.lists()))
    if sent.trapped:
        return Taken.KEPT, sent
    if sent.problems:
        return Taken.WRONG, sent
    brand = Brand.objects.select_for_update().get(pk=release.brand_id)
    sender, now = _sender(brand, address), timezone.now()
    lately = brand.enquiries.filter(received__gt=now - SPAN, sender=sender).count()
    today = brand.enquiries.filter(received__gt=now - timedelta(days=1)).count()
    if lately >= settings.ENQUIRIES_BY_SENDER or today >= settings.ENQUIRIES_A_DAY:
        return Taken.TOO_MANY, sent
    answers = [{"label": one.label, "kind": one.kind, "value": one.value} for one in sent.answers]
    words = "\n".join(f"{one.label} {one.value}" for one in sent.answers).casefold()
    size = len(words.encode())
    count, used = used_by(brand)
    if count >= settings.ENQUIRIES_KEPT or used + size > settings.ENQUIRIES_BYTES:
        return Taken.NO_ROOM, sent
    heading = plain(str(form.section.content.get("heading") or "")).replace("\n", " ")
    enquiry = Enquiry.objects.create(
        brand=brand,
        page=form.page.name[:200],
        form=(heading or form.value.label)[:200],
        recipient=form.value.recipient[:400],
        answers=answers,
        person=sent.person.casefold(),
        words=words,
        size=size,
        sender=sender,
    )
    app.configure_task("mail_enquiry", queue="reading").defer(enquiry_id=str(enquiry.pk))
    return Taken.KEPT, sent


def _sender(brand: Brand, address: str) -> str:
    """A network address as a keyed hash, of an IPv6 address the network of its customer; it tells nobody who it was."""
    try:
        known = ipaddress.ip_address(address)
        network = str(ipaddress.ip_network(f"{known}/64", strict=False)) if known.version == 6 else str(known)
    except ValueError:
        network = address
    return salted_hmac("formulon.enquiries", f"{brand.pk} {network}").hexdigest()


def used_by(brand: Brand) -> tuple[int, int]:
    """How many enquiries a brand keeps, and their bytes."""
    made = brand.enquiries.aggregate(count=Count("pk"), sum=Sum("size"))
    return int(made["count"]), int(made["sum"] or 0)


def send(enquiry_id: str) -> None:
    """Mails an enquiry to whom its form names, to be answered to who wrote it."""
    enquiry = Enquiry.objects.select_related("brand").filter(pk=enquiry_id, mailed=None).first()
    if enquiry is None:
        return  # erased meanwhile, or gone already
    name = _line(next((one["value"] for one in enquiry.answers if one["kind"] == "name" and one["value"]), enquiry.person))
    lines = [
        f"{one['label']}:\n{one['value']}" if one["kind"] == "message" else f"{one['label']}: {one['value'] or '–'}"
        for one in enquiry.answers
    ]
    foot = f"-- \nSent through the form “{enquiry.form}” on the page “{enquiry.page}”, {enquiry.received:%d %B %Y, %H:%M} UTC."
    EmailMessage(
        subject=_line(f"{enquiry.form} – {name}" if name else enquiry.form),
        body="\n\n".join([*lines, foot]),
        to=[enquiry.recipient],
        reply_to=[enquiry.person] if enquiry.person else [],
        headers={
            "Message-ID": f"<{enquiry.pk}@{settings.DEFAULT_FROM_EMAIL.rpartition('@')[2]}>",
            "Auto-Submitted": "auto-generated",
        },
    ).send()
    Enquiry.objects.filter(pk=enquiry.pk).update(mailed=timezone.now())


def _line(text: str) -> str:
    """On one line, and no longer than the head of a message takes."""
    return " ".join(text.split())[:150]


def found(brand: Brand, words: str = "", state: str = "") -> QuerySet[Enquiry]:
    """Enquiries that hold every one of some words, the newest first."""
    made = brand.enquiries.all()
    for word in words.casefold().split()[:10]:
        made = made.filter(words__contains=word)
    return made.filter(state=state) if state else made


def counts(brand: Brand) -> dict[str, int]:
    """How many there are of each state."""
    made = dict(brand.enquiries.order_by().values_list("state").annotate(count=Count("pk")))
    return {str(state): made.get(state, 0) for state in Enquiry.State.values}


def mark(brand: Brand, ids: Iterable[UUID], state: str) -> int:
    return brand.enquiries.filter(pk__in=list(ids)).update(state=state)


def erase(brand: Brand, ids: Iterable[UUID] = (), person: str = "") -> int:
    """Erases enquiries for good, with the messages that were written of them: some, or all that one person sent. How many."""
    chosen = brand.enquiries.filter(person=person.strip().casefold()) if person else brand.enquiries.filter(pk__in=list(ids))
    return _erased(chosen)


def erase_all(brand: Brand) -> int:
    return _erased(brand.enquiries.all())


def erase_old() -> int:
    """Erases what was kept for as long as its brand says."""
    count = 0
    for brand in Brand.objects.filter(enquiries__isnull=False).distinct():
        count += _erased(brand.enquiries.filter(received__lt=timezone.now() - timedelta(days=brand.enquiries_days)))
    return count


def _erased(chosen: QuerySet[Enquiry]) -> int:
    ids = list(chosen.values_list("pk", flat=True))
    Enquiry.objects.filter(pk__in=ids).delete()
    mail.forget(map(str, ids))
    return len(ids)


def table(enquiries: Iterable[Enquiry]) -> str:
    """Enquiries as CSV (RFC 4180), in the order that they are given: a column for each label that any form has. What a spreadsheet
    would take for a formula is marked as text. Source: OWASP, “CSV Injection”."""
    rows = list(enquiries)
    labels = list(dict.fromkeys(one["label"] for row in rows for one in row.answers))
    out = io.StringIO()
    writer = csv.writer(out, quoting=csv.QUOTE_ALL, lineterminator="\r\n")
    writer.writerow(map(_cell, ["Received (UTC)", "State", "Page", "Form", *labels]))
    for row in rows:
        values: dict[str, str] = {}
        for one in row.answers:
            values[one["label"]] = f"{values[one['label']]}; {one['value']}" if one["label"] in values else one["value"]
        head = [f"{row.received:%Y-%m-%d %H:%M}", row.state, row.page, row.form]
        writer.writerow(map(_cell, [*head, *(values.get(label, "") for label in labels)]))
    return out.getvalue()


def _cell(text: str) -> str:
    return f"'{text}" if text[:1] in ("=", "+", "-", "@", "\t", "\r", "\n", "＝", "＋", "－", "＠") else text
