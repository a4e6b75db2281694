"""What is written in forms: by the published rules of each type of field, and any brand's form back as it was written."""

from typing import Any

import pytest
from hypothesis import given
from hypothesis import strategies as st
from lxml import html as documents

from formulon.core.checks.page_facts import FormFact, PagePlace
from formulon.core.checks.preflight import check_site
from formulon.core.checks.rule import rules
from formulon.core.site.changes import Change, apply
from formulon.core.site.forms import MOST_LONG, NoForm, corrected, forms, read
from formulon.core.site.phrases import phrases, whole
from formulon.core.site.planning.planner import plan
from formulon.core.site.render import render
from formulon.core.site.site import Site
from formulon.core.site.slot_types.form import SENT, TRAP, FormField, FormValue
from formulon.core.system.documents.choices import Choices
from formulon.core.system.documents.identity import Identity

CONTACT = {"email": "post@weber.example", "phone": "+49 30 901820", "address": "Am Wehr 3"}
BRANDS = {
    "de": Identity(name="Steinmetzbetrieb Weber & Töchter", language="de", contact=CONTACT),  # type: ignore[arg-type]
    "ru": Identity(name="Чайная на Неве", language="ru", contact={"email": "chai@neva.example"}),  # type: ignore[arg-type]
    "ar": Identity(name="دار الورق", language="ar", contact={"email": "warraq@dar.example"}),  # type: ignore[arg-type]
}


def form(*fields: dict[str, Any]) -> FormValue:
    return FormValue.model_validate({"fields": list(fields), "label": "Send", "to": "mailto:post@weber.example"})


def problem(kind: str, value: str, **more: Any) -> str:
    asked = form({"label": "It", "kind": kind, **({"options": ["Hall", "Garden"]} if kind == "choice" else {}), **more})
    return read(asked, {"It": [value]}).problems.get(0, "")


# WHATWG HTML: "valid email address" with its examples' shape; dates and times of RFC 3339 as HTML takes them; "valid floating-point number".
@pytest.mark.parametrize(
    ("kind", "good", "bad"),
    [
        (
            "email",
            ["a@b", "ada.l+x@post.weber.example", "o'neill@x.example"],
            ["a", "a@", "@b", "a@b..c", "a b@c", "a@-b.c", "ü@b.c"],
        ),
        ("date", ["2026-11-29", "2024-02-29"], ["2025-02-29", "29.11.2026", "20261129", "2026-W01-1"]),
        ("time", ["09:30", "23:59:59"], ["24:00", "9:30", "0930"]),
        ("number", ["3", "-0.5", ".5", "1e3"], ["1.", "1,5", "٣", "0x1", "nan"]),
        ("tel", ["+49 30 901820", "(030) 90-18", "112"], ["call me", "12", "+49 30 901820 or 901821"]),
        ("choice", ["Hall", "Garden"], ["hall", "Cellar"]),
        ("text", ["=1+1", "<b>", "日本語"], []),
    ],
)
def test_each_kind_of_field_takes_what_its_standard_has(kind: str, good: list[str], bad: list[str]) -> None:
    assert [one for one in good if problem(kind, one)] == []
    assert [one for one in bad if not problem(kind, one)] == []
    assert problem(kind, "") == "" and problem(kind, "", required=True) == "fill_in"


@pytest.mark.parametrize("kind", ["text", "name", "email", "tel", "date"])
def test_no_line_of_a_message_can_be_added_through_a_field(kind: str) -> None:
    """A field that ends up in the head of a message must not bring another line of it (RFC 5322, 2.2)."""
    for ending in ("\r\n", "\n", "\r", "\u2028", "\x0b"):
        assert problem(kind, f"a@b.example{ending}Bcc: all@x.example") == "one_line", repr(ending)
    assert problem("message", "Two\r\nlines") == ""
    assert read(form({"label": "M", "kind": "message"}), {"M": ["Two\r\nlines\x00"]}).answers[0].value == "Two\nlines"


def test_what_is_too_long_is_told_and_a_trap_takes_all() -> None:
    assert problem("message", "x" * MOST_LONG) == "" and problem("message", "x" * (MOST_LONG + 1)) == "too_long"
    assert problem("text", "x" * 301) == "too_long"
    caught = read(form({"label": "It"}), {"It": ["Buy"], TRAP: ["https://spam.example"]})
    assert caught.trapped and not caught.answers


def test_fields_of_one_label_are_sent_apart() -> None:
    asked = form({"label": "Child"}, {"label": "Child"}, {"label": "Child 2"}, {"label": TRAP})
    assert len(set(asked.names())) == 4 and TRAP not in asked.names()
    sent = read(asked, {name: [str(index)] for index, name in enumerate(asked.names())})
    assert [one.value for one in sent.answers] == ["0", "1", "2", "3"]


def test_a_choice_has_something_to_choose_from() -> None:
    with pytest.raises(ValueError, match="nothing to choose"):
        FormField(label="Room", kind="choice")
    assert FormField(label="Room", kind="choice", options=["A", "A ", "B"]).options == ["A", "B"]


@pytest.mark.parametrize("name", BRANDS)
def test_a_form_of_every_kind_stands_on_its_page_and_comes_back_with_what_was_written(name: str) -> None:
    """A brand without Latin letters, one in a language that has no sentences of ours, and one that is written to the left."""
    site, page, section, path = with_form(BRANDS[name])
    files = render(site, site.system())
    written = files[site.file_name(page)]
    assert f'action="{SENT}{page.id}/{section}"'.encode() in written
    assert b"thanks.html" not in written and "thanks.html" in files
    asked = FormValue.model_validate(page.sections[-1].content["form"])
    sent = read(
        asked, {"Text": ["<script>alert(1)</script>"], "email": ["nobody"], "date": ["2026-02-30"], "message": ["\n“Ja”"]}
    )
    assert dict(sent.problems) == {1: "no_email", 2: "no_date", 5: "fill_in", 6: "fill_in"}
    made = corrected(written, f"{section}-{path}", asked, sent, site.identity.language, "/weber/")
    document = documents.document_fromstring(made.decode())
    control = lambda index: document.get_element_by_id(f"{section}-{path}-{index}")  # noqa: E731
    assert control(0).get("value") == "<script>alert(1)</script>" and not document.xpath("//script[not(@type)]")
    assert control(1).get("aria-invalid") == "true" and control(1).get("autofocus") == ""
    assert [index for index in range(7) if control(index).get("aria-invalid")] == [1, 2, 5, 6]
    for index in (1, 2, 5, 6):
        told = document.get_element_by_id(control(index).get("aria-describedby").split()[0])
        own = phrases(site.identity.language).say(sent.problems[index])
        assert told[-1].text == own or (not own and told[-1].get("lang") == "en" and told[-1].text)
    assert document.xpath("//form//*[@role='alert']") and document.xpath("//form/@action") == [
        f"/weber/{SENT}{page.id}/{section}"
    ]
    assert all(one.startswith(("/weber/", "#", "mailto:", "tel:", "https:")) for one in document.xpath("//@href"))
    with pytest.raises(NoForm):
        corrected(written, "no-such-form", asked, sent, "de", "/weber/")


def with_form(identity: Identity) -> tuple[Site, Any, str, str]:
    """A brand's site with a form that has a field of every kind at the end of its first page."""
    site = plan(identity, Choices())
    kinds = [
        {"label": "Text"},
        {"label": "email", "kind": "email", "required": True},
        {"label": "date", "kind": "date"},
        {"label": "message", "kind": "message"},
        {"label": "number", "kind": "number"},
        {"label": "choice", "kind": "choice", "options": ["A", "B & C"], "required": True},
        {"label": "tick", "kind": "tick", "required": True, "help": "We keep it for a year."},
    ]
    content = {"heading": "?", "form": {"fields": kinds, "label": "OK", "to": "mailto:post@weber.example"}}
    section = {"id": "form-of-all", "kind": "contact", "layout": "desk", "ground": "tint", "content": content}
    made = apply(
        site, [Change(document=f"page:{site.pages[0].id}", patch=[{"op": "add", "path": "/sections/-", "value": section}])]
    )
    return made, made.pages[0], "form-of-all", "form"


@given(
    values=st.lists(st.text(max_size=60), min_size=3, max_size=3),
    kinds=st.lists(st.sampled_from(["text", "message", "name"]), min_size=3, max_size=3),
)
def test_whatever_is_written_is_read_tidily(values: list[str], kinds: list[Any]) -> None:
    asked = form(*({"label": f"Field {index}", "kind": kind} for index, kind in enumerate(kinds)))
    sent = read(asked, {name: [value] for name, value in zip(asked.names(), values, strict=True)})
    for one, kind in zip(sent.answers, kinds, strict=True):
        assert "\0" not in one.value and one.value == one.value.strip()
        assert kind == "message" or "\n" not in one.value or sent.problems
    again = read(asked, {name: [one.value] for name, one in zip(asked.names(), sent.answers, strict=True)})
    if not sent.problems:
        assert again.answers == sent.answers and not again.problems


def test_phrases_of_forms_are_in_every_whole_language() -> None:
    keys = (
        "thanks",
        "fix_these",
        "fill_in",
        "no_email",
        "no_phone",
        "no_date",
        "no_time",
        "no_number",
        "no_choice",
        "one_line",
    )
    for language in whole():
        assert all(phrases(language).say(key) for key in keys), language


PLACE = PagePlace("home", "hero", "form")


@pytest.mark.parametrize(
    ("rule", "fact", "codes"),
    [
        ("recipient", FormFact(PLACE, "Send", "", (("Mail", "email"),)), ["empty"]),
        ("recipient", FormFact(PLACE, "Send", "tel:112", (("Mail", "email"),)), ["no-address"]),
        ("recipient", FormFact(PLACE, "Send", "mailto:a@b.example", (("Mail", "email"),)), []),
        ("recipient", FormFact(PLACE, "Send", "https://forms.example/x", (("Mail", "email"),)), []),
        ("can-be-answered", FormFact(PLACE, "Send", "mailto:a@b", (("Name", "name"), ("Words", "message"))), ["no-way"]),
        ("can-be-answered", FormFact(PLACE, "Send", "mailto:a@b", (("Number", "tel"),)), []),
        (
            "labels-apart",
            FormFact(PLACE, "Send", "mailto:a@b", (("Child", "text"), ("child ", "text"), ("Mail", "email"))),
            ["twice"],
        ),
        ("labels-apart", FormFact(PLACE, "Send", "mailto:a@b", (("Child", "text"), ("Mail", "email"))), []),
    ],
)
def test_rules_of_forms(rule: str, fact: FormFact, codes: list[str]) -> None:
    assert [one.code for one in rules()[f"forms/{rule}"].verdicts(fact)[1]] == codes


def test_a_form_without_a_recipient_stops_a_release_until_it_has_one() -> None:
    site, page, section, _ = with_form(BRANDS["de"])
    page.sections[-1].content["form"]["to"] = ""
    report = check_site(site)
    found = [one for one in report.findings if one.rule == "forms/recipient"]
    assert (
        len(found) == 1
        and found[0].stops
        and not [one for one in report.findings if one.rule == "links/dead-destination" and one.place.section == section]
    )
    assert [one.label for _, _, one in forms(site)].count("OK") == 1
