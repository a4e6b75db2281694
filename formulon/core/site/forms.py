"""What a visitor has written in a form: read by its fields, and the page that says what is wrong with it. Pure.

A form works without a script. Browsers look at what is written first, by the types of the fields; what they let pass, or what comes from
elsewhere, is looked at here once more. What is wrong stands beside its field, in the style's own parts, with all that was written
(WCAG 2.2, 3.3.1 and 3.3.3).
"""

import re
from collections.abc import Iterator, Mapping, Sequence
from dataclasses import dataclass
from datetime import date, time

from lxml import html as documents
from lxml.html import HtmlElement
from markupsafe import escape

from formulon.core.errors import FormulonError
from formulon.core.site.icons import icon
from formulon.core.site.phrases import MODEL, phrases
from formulon.core.site.site import Page, Section, Site
from formulon.core.site.slot_types.form import SENT, TRAP, FormField, FormValue
from formulon.core.site.slots import slot_values

MOST_LONG, MOST_SHORT, MOST_MAIL = 8000, 300, 254  # characters; 254 octets of a mail address by RFC 5321, 4.5.3.1.3
MOST_ANY = 40_000  # bytes of everything that is sent
# Source: WHATWG HTML, "valid email address".
_LABEL = r"[a-zA-Z0-9](?:[a-zA-Z0-9-]{0,61}[a-zA-Z0-9])?"
_MAIL = re.compile(rf"[a-zA-Z0-9.!#$%&'*+/=?^_`{{|}}~-]+@{_LABEL}(?:\.{_LABEL})*")
# Source: WHATWG HTML, "valid floating-point number".
_NUMBER = re.compile(r"-?(\d+(\.\d+)?|\.\d+)([eE][+-]?\d+)?", re.ASCII)
_PHONE = re.compile(r"[+(]?[\d\s()+./x–-]{2,39}", re.IGNORECASE)
_ACTION = re.compile(rb'(<form class="form [^>]*action=")(' + SENT.encode() + rb'[^"]*)')
_KEPT = "\n\t\u200c\u200d"  # lines, and what joins and parts letters
_BROKEN = re.compile(r"[\r\n\x00\x0b\x0c\x1c-\x1e\x85\u2028\u2029]")


class NoForm(FormulonError):
    """There is no such form on the site."""

    code = "no-form"


@dataclass(frozen=True, slots=True)
class Answer:
    """What was written in one field."""

    label: str
    kind: str
    value: str


@dataclass(frozen=True, slots=True)
class Sent:
    """What was written in a form, and the phrase that says what is wrong by the number of its field; both empty where the trap was
    filled in."""

    answers: tuple[Answer, ...]
    problems: Mapping[int, str]
    trapped: bool = False

    @property
    def person(self) -> str:
        """The mail address that can be answered; empty where none was asked for or given."""
        return next((one.value for one in self.answers if one.kind == "email" and one.value), "")


def form_of(section: Section) -> tuple[str, FormValue] | None:
    """The form of a section: its slot and its value."""
    for path, (slot, value) in slot_values(section).items():
        if slot.type == "form" and path in section.declared.drawn:
            return path, FormValue.model_validate(value)
    return None


def forms(site: Site) -> Iterator[tuple[Page, Section, FormValue]]:
    """Every form of a site as it is drawn."""
    for page in site.drawn:
        for section in page.sections:
            found = form_of(section)
            if found:
                yield page, section, found[1]


def read(form: FormValue, sent: Mapping[str, Sequence[str]]) -> Sent:
    """What was sent, field by field. What the form does not ask for is left out."""
    if any(value.strip() for value in sent.get(TRAP, ())):
        return Sent((), {}, trapped=True)
    answers, problems = [], {}
    for index, (field, name) in enumerate(zip(form.fields, form.names(), strict=True)):
        written = (sent.get(name) or [""])[0]
        value = _tidy(field, written)
        answers.append(Answer(field.label, field.kind, value))
        wrong = _wrong(field, value, written)
        if wrong:
            problems[index] = wrong
    return Sent(tuple(answers), problems)


def most(field: FormField) -> int:
    """How many characters a field takes."""
    return {"message": MOST_LONG, "email": MOST_MAIL}.get(field.kind, MOST_SHORT)


def _tidy(field: FormField, written: str) -> str:
    """As it is kept: without what cannot be seen, and lines ending alike."""
    if field.kind == "tick":
        return "yes" if written else ""
    text = written.replace("\r\n", "\n").replace("\r", "\n") if field.kind == "message" else written
    return "".join(char for char in text if char.isprintable() or char in _KEPT).strip()


def _wrong(field: FormField, value: str, written: str) -> str:
    """The phrase that says what is wrong; empty where nothing is."""
    if not value:
        return "fill_in" if field.required else ""
    if field.kind != "message" and _BROKEN.search(written):
        return "one_line"
    if len(value) > most(field):
        return "too_long"
    if field.kind == "choice":
        return "" if value in field.options else "no_choice"
    tests = {"email": _is_mail, "tel": _is_phone, "date": _is_date, "time": _is_time, "number": _is_number}
    test = tests.get(field.kind)
    return "" if test is None or test(value) else f"no_{'phone' if field.kind == 'tel' else field.kind}"


def _is_mail(value: str) -> bool:
    return bool(_MAIL.fullmatch(value))


def _is_phone(value: str) -> bool:
    return bool(_PHONE.fullmatch(value)) and sum(char.isdigit() for char in value) >= 3


def _is_number(value: str) -> bool:
    return bool(_NUMBER.fullmatch(value))


def _is_date(value: str) -> bool:
    try:
        date.fromisoformat(value)
    except ValueError:
        return False
    return bool(re.fullmatch(r"\d{4}-\d{2}-\d{2}", value, re.ASCII))


def _is_time(value: str) -> bool:
    try:
        time.fromisoformat(value)
    except ValueError:
        return False
    return bool(re.fullmatch(r"\d{2}:\d{2}(:\d{2})?", value, re.ASCII))


def corrected(page: bytes, name: str, form: FormValue, sent: Sent, language: str, root: str, whole: str = "") -> bytes:
    """A published page with what was written in its form, what is wrong beside each field, and the first such field in focus. `name` is
    the form's id; addresses lead into `root`, the site's folder, since the page answers at another address. `whole` is the phrase that
    stands over the form, where nothing is wrong with its fields. Raises NoForm where the page does not have the form."""
    document = documents.document_fromstring(page, parser=documents.HTMLParser(encoding="utf-8"))
    elements = [one for one in document.iter() if isinstance(one, HtmlElement)]
    known = {one.get("id"): one for one in elements}
    if name not in known or known[name].tag != "form":
        raise NoForm("There is no such form on this page.")
    for index, one in enumerate(sent.answers):
        control = known.get(f"{name}-{index}")
        if control is not None:
            _put(control, one.value)
            if index in sent.problems:
                text, given = _said(language, sent.problems[index], most(form.fields[index]))
                _mark(control, f"{name}-{index}-error", text, given, index == min(sent.problems))
    text, given = _said(language, whole or "fix_these")
    told = _paragraph("", text, given)
    told.set("role", "alert")
    known[name].insert(0, told)
    for element in elements:
        if element.tag == "title":
            element.text = f"{text.rstrip('.')} – {element.text or ''}"
        for attribute in ("href", "src", "action", "srcset"):
            address = element.get(attribute)
            if address:
                element.set(attribute, _rooted(address, root, attribute == "srcset"))
    made: bytes = documents.tostring(document, encoding="utf-8", doctype="<!doctype html>")
    return made


def taken_at(page: bytes, stated: str, host: str) -> bytes:
    """A page that stands elsewhere than on the site's own host, with its forms sent to a stated address, else to the host."""

    def led(found: re.Match[bytes]) -> bytes:
        return found[1] + str(escape(stated or host + found[2].decode())).encode()

    return _ACTION.sub(led, page)


def _rooted(address: str, root: str, several: bool) -> str:
    if several:
        return ", ".join(_rooted(one.strip(), root, False) for one in address.split(","))
    return address if re.match(r"[a-z][a-z0-9+.-]*:|/|#", address, re.IGNORECASE) else root + address


def _put(control: HtmlElement, value: str) -> None:
    if control.tag == "textarea":
        control.text = f"\n{value}" if value.startswith("\n") else value
    elif control.tag == "select":
        for option in control.iter("option"):
            option.attrib.pop("selected", None)
            if (option.get("value") or option.text or "") == value:
                option.set("selected", "")
    elif control.get("type") == "checkbox":
        if value:
            control.set("checked", "")
    elif value:
        control.set("value", value)


def _mark(control: HtmlElement, name: str, text: str, given: str, first: bool) -> None:
    """Marks a control as wrong, and says why after it."""
    control.set("aria-invalid", "true")
    control.set("aria-describedby", " ".join(filter(None, (name, control.get("aria-describedby")))))
    if first:
        control.set("autofocus", "")
    field = control
    while field.getparent() is not None and "field" not in (field.get("class") or "").split():
        field = field.getparent()
    told = _paragraph(name, text, given)
    field.append(told)


def _paragraph(name: str, text: str, given: str) -> HtmlElement:
    made = documents.fragment_fromstring(f'<p class="said said--error">{icon("circle-alert")}<span></span></p>')
    made[-1].text = text
    if name:
        made.set("id", name)
    if given:
        made[-1].set("lang", given)
    return made


def _said(language: str, key: str, most: int = 0) -> tuple[str, str]:
    """A phrase and the language that it is in, where that is another than the page's."""
    own = phrases(language).say(key, most=most)
    return (own, "") if own else (phrases(MODEL).say(key, most=most), MODEL)
