"""Forms of published sites: taken by the host, mailed, read in the inbox, taken out, erased; and all that must not get in."""

import csv
import email
import email.policy
import io
import zipfile
from datetime import timedelta
from pathlib import Path
from typing import Any

import pytest
from django.http import HttpResponse
from django.test import Client, override_settings
from django.utils import timezone

from formulon.core.site.documents import page_document
from formulon.core.system.documents.identity import Identity
from formulon.studio.models import Brand, Document, Enquiry, Workspace
from formulon.studio.services import enquiries, releases, sites
from formulon.studio.tasks import mail_enquiry
from tests.studio.conftest import Api

FIELDS = [
    {"label": "Name", "kind": "name", "required": True},
    {"label": "Email", "kind": "email", "required": True},
    {"label": "Party", "kind": "choice", "options": ["Two", "Four or more"]},
    {"label": "Message", "kind": "message", "required": True},
]
SENT = {"Name": "Ada Loew", "Email": "Ada@loew.example", "Party": "Two", "Message": "Is the terrace open?\nWe are two."}


@pytest.fixture(autouse=True)
def folder(tmp_path: Path) -> Any:
    with override_settings(MAIL_FOLDER=tmp_path, EMAIL_BACKEND="formulon.studio.mail.FolderBackend"):
        yield tmp_path


@pytest.fixture
def published(brand: Brand) -> Brand:
    """The demo with a form on its contact page, live."""
    write(brand, "page:contact", {"form": {"fields": FIELDS, "label": "Send", "to": "mailto:desk@quillmoor.example"}})
    releases.publish(brand, None)
    return brand


def write(brand: Brand, name: str, content: dict[str, Any], section: str = "ask") -> None:
    document = Document.objects.get(brand=brand, name=name)
    made = {"id": section, "kind": "contact", "layout": "desk", "ground": "tint", "content": {"heading": "Ask *us*", **content}}
    document.body["sections"] = [one for one in document.body["sections"] if one["id"] != section] + [made]
    document.save()


def post(
    brand: Brand, body: dict[str, str], path: str = "contact/ask", address: str = "203.0.113.7", **headers: str
) -> HttpResponse:
    from urllib.parse import urlencode

    return Client(REMOTE_ADDR=address).post(  # type: ignore[return-value]
        f"/{brand.slug}/send/{path}",
        urlencode(body),
        content_type="application/x-www-form-urlencoded",
        headers={"host": "127.0.0.1", **headers},
    )


def inbox(api: Api, brand: Brand, query: str = "") -> dict[str, Any]:
    return dict(api.get(f"brands/{brand.pk}/enquiries{query}").json())


def test_from_a_form_to_an_answer(published: Brand, anna: Api, folder: Path) -> None:
    sent = post(published, SENT)
    assert (sent.status_code, sent["Location"]) == (303, f"/{published.slug}/thanks.html")
    thanks = Client().get(sent["Location"], headers={"host": "127.0.0.1"})
    assert thanks.status_code == 200 and b"Thank you" in thanks.content and b'content="noindex"' in thanks.content
    assert anna.get(f"brands/{published.pk}/enquiries/count").json() == {"count": 1}
    shown = inbox(anna, published)
    (one,) = shown["enquiries"]
    assert (one["person"], one["email"], one["form"], one["page"], one["state"]) == (
        "Ada Loew",
        "Ada@loew.example",
        "Ask us",
        "Contact",
        "new",
    )
    assert [answer["value"] for answer in one["answers"]] == list(SENT.values()) and shown["days"] == 180 and not one["mailed"]
    mail_enquiry(one["id"])
    (file,) = folder.glob("*.eml")
    message = email.message_from_bytes(file.read_bytes(), policy=email.policy.default)
    assert (message["To"], message["Reply-To"], message["Subject"]) == (
        "desk@quillmoor.example",
        "ada@loew.example",
        "Ask us – Ada Loew",
    )
    assert message["Date"] and message["From"] and "We are two." in message.get_content() and not message.defects
    mail_enquiry(one["id"])  # a job that is taken up again sends nothing twice
    assert len(list(folder.glob("*.eml"))) == 1 and inbox(anna, published)["enquiries"][0]["mailed"]
    assert anna.post(f"brands/{published.pk}/enquiries/marks", {"ids": [one["id"]], "state": "answered"}).json() == {"count": 1}
    assert inbox(anna, published)["counts"] == {"new": 0, "read": 0, "answered": 1}
    assert anna.post(f"brands/{published.pk}/enquiries/erasures", {"person": "ADA@loew.example "}).json() == {"count": 1}
    assert not Enquiry.objects.exists() and not list(folder.glob("*.eml"))


def test_what_is_wrong_comes_back_with_what_was_written(published: Brand) -> None:
    sent = post(published, {**SENT, "Email": "ada", "Message": ""})
    text = sent.content.decode()
    assert sent.status_code == 422 and not Enquiry.objects.exists() and sent["Cache-Control"] == "no-store"
    assert 'value="Ada Loew"' in text and "This is not an email address." in text and "Please fill this in." in text
    assert f'href="/{published.slug}/site.css' in text and "form-action 'self'" in sent["Content-Security-Policy"]
    assert f'action="/{published.slug}/send/contact/ask"' in text


@pytest.mark.parametrize("field", ["Name", "Email"])
def test_no_head_of_a_message_can_be_written_by_a_visitor(published: Brand, field: str) -> None:
    sent = post(published, {**SENT, field: "a@b.example\r\nBcc: everybody@x.example"})
    assert sent.status_code == 422 and not Enquiry.objects.exists()


def test_machines_and_floods_are_kept_out(published: Brand) -> None:
    assert post(published, {**SENT, "leave-empty": "https://spam.example"}).status_code == 303 and not Enquiry.objects.exists()
    with override_settings(ENQUIRIES_BY_SENDER=2):
        assert [post(published, SENT, address="203.0.113.9").status_code for _ in range(3)] == [303, 303, 429]
        assert post(published, SENT, address="2001:db8:0:1::1").status_code == 303
        assert [post(published, SENT, address=f"2001:db8:0:1::{end}").status_code for end in ("2", "3")] == [303, 429]
        assert post(published, SENT, address="2001:db8:0:2::1").status_code == 303
    assert not Enquiry.objects.filter(sender__contains="203.0").exists()
    with override_settings(ENQUIRIES_A_DAY=Enquiry.objects.count()):
        assert post(published, SENT, address="198.51.100.1").status_code == 429
    with override_settings(ENQUIRIES_KEPT=Enquiry.objects.count()):
        full = post(published, SENT, address="198.51.100.1")
        assert (
            full.status_code == 503
            and "Please write or call us." in full.content.decode()
            and "Is the terrace open?" in full.content.decode()
        )
    with override_settings(ENQUIRIES_BYTES=enquiries.used_by(published)[1] + 10):
        assert post(published, SENT, address="198.51.100.1").status_code == 503


def test_only_forms_that_are_live_take_anything(published: Brand) -> None:
    for path in ("contact/none", "home/ask", "contact/hero", "nowhere/ask"):
        assert post(published, SENT, path).status_code == 404, path
    write(published, "page:contact", {"form": {"fields": FIELDS, "label": "Send", "to": "https://forms.example/take"}})
    releases.publish(published, None)
    assert post(published, SENT).status_code == 404, "it is sent to another service"
    page = Client().get(f"/{published.slug}/contact.html", headers={"host": "127.0.0.1"}).content
    assert b'action="https://forms.example/take"' in page
    other = Client().post(f"/{published.slug}/send/contact/ask", {"Name": "x"}, headers={"host": "127.0.0.1"})
    assert other.status_code == 404
    assert (
        Client().get(f"/{published.slug}/send/contact/ask", headers={"host": "127.0.0.1"})["Location"] == f"/{published.slug}/"
    )


def test_what_is_no_form_or_too_much_is_refused(published: Brand) -> None:
    host = {"host": "127.0.0.1"}
    path = f"/{published.slug}/send/contact/ask"
    assert Client().post(path, {"Name": "x"}, headers=host).status_code == 413  # with a file, as it were
    assert post(published, {**SENT, "Message": "x" * 50_000}).status_code == 413
    assert post(published, {**SENT, "Message": "x" * 8001}).status_code == 422
    assert (
        Client().post(path, b"\xff\xfe=%ff", content_type="application/x-www-form-urlencoded", headers=host).status_code == 422
    )


def test_a_page_of_ones_own_may_follow_and_an_exported_site_sends_here_or_where_it_is_said(published: Brand, anna: Api) -> None:
    form = {"fields": FIELDS, "label": "Send", "to": "mailto:desk@quillmoor.example", "after": "page:home"}
    write(published, "page:contact", {"form": form})
    release = releases.publish(published, None)
    assert post(published, SENT)["Location"] == f"/{published.slug}/index.html" and "thanks.html" not in release.files
    shipped = contents(anna, published, release.number)
    assert f'action="http://127.0.0.1/{published.slug}/send/contact/ask"' in shipped["contact.html"]
    frame = Document.objects.get(brand=published, name="frame")
    frame.body |= {"forms_at": "https://take.example/?a=1&b=2", "address": "https://www.quillmoor.example/"}
    frame.save()
    release = releases.publish(published, None)
    assert 'action="https://take.example/?a=1&amp;b=2"' in contents(anna, published, release.number)["contact.html"]
    away = post(published, SENT, origin="https://www.quillmoor.example")
    assert away["Location"] == "https://www.quillmoor.example/index.html"
    assert post(published, SENT, origin="https://other.example")["Location"].startswith("/")


def contents(api: Api, brand: Brand, number: int) -> dict[str, str]:
    package = zipfile.ZipFile(io.BytesIO(api.get(f"brands/{brand.pk}/releases/{number}/zip").content))
    return {name: package.read(name).decode() for name in package.namelist() if name.endswith(".html")}


def test_the_table_starts_no_formula_and_holds_every_label(published: Brand, anna: Api) -> None:
    post(published, {**SENT, "Name": '=HYPERLINK("http://x.example";"y")', "Message": "@SUM(1)\n\t-2"})
    Enquiry.objects.create(brand=published, page="Home", form="Join", recipient="a@b.example", words="", size=1, sender="",
                           answers=[{"label": "Telephone", "kind": "tel", "value": "+49 30 1"}, {"label": "Telephone", "kind": "tel", "value": "2"}])  # fmt: skip
    answer = anna.get(f"brands/{published.pk}/enquiries/csv")
    assert answer["Content-Type"].startswith("text/csv") and answer.content.startswith("\ufeff".encode())
    head, *rows = csv.reader(io.StringIO(answer.content.decode("utf-8-sig")))
    assert head == ["Received (UTC)", "State", "Page", "Form", "Telephone", "Name", "Email", "Party", "Message"]
    assert rows[0][4] == "'+49 30 1; 2" and rows[1][5].startswith("'=HYPERLINK") and rows[1][8].startswith("'@SUM")
    assert not any(cell[:1] in "=+-@\t\r" for row in rows for cell in row if cell)


def test_they_are_searched_by_words_in_any_script_and_paged(published: Brand, anna: Api) -> None:
    for name, message in (("Ölaf", "Führung am Freitag"), ("Анна", "Экскурсия в пятницу"), ("דנה", "סיור ביום שישי")):
        post(published, {**SENT, "Name": name, "Message": message})
    assert [one["person"] for one in inbox(anna, published, "?words=führung+ÖLAF")["enquiries"]] == ["Ölaf"]
    assert [one["person"] for one in inbox(anna, published, "?words=ЭКСКУРСИЯ")["enquiries"]] == ["Анна"]
    assert inbox(anna, published, "?words=שישי")["found"] == 1 and inbox(anna, published, "?words=xyz")["enquiries"] == []
    assert inbox(anna, published, "?state=read")["found"] == 0 and inbox(anna, published, "?start=2")["found"] == 3
    assert len(inbox(anna, published, "?start=2")["enquiries"]) == 1 and inbox(anna, published, "?start=x")["found"] == 3


def test_what_is_old_goes_by_itself_with_its_message(published: Brand, anna: Api, folder: Path) -> None:
    post(published, SENT)
    one = Enquiry.objects.get()
    mail_enquiry(str(one.pk))
    assert anna.post(f"brands/{published.pk}/enquiries/days", {"days": 30}).status_code == 200
    assert anna.post(f"brands/{published.pk}/enquiries/days", {"days": 31}).status_code == 422
    Enquiry.objects.update(received=timezone.now() - timedelta(days=29))
    assert enquiries.erase_old() == 0
    Enquiry.objects.update(received=timezone.now() - timedelta(days=31))
    assert enquiries.erase_old() == 1 and not Enquiry.objects.exists() and not list(folder.glob("*.eml"))


def test_nobody_else_reads_the_inbox(published: Brand, reviewer: Api, stranger: Api, nobody: Api, ben: Api) -> None:
    post(published, SENT)
    one = str(Enquiry.objects.get().pk)
    asks = {"marks": {"ids": [one], "state": "read"}, "erasures": {"ids": [one]}, "days": {"days": 30}}
    for api, status in ((reviewer, 403), (stranger, 404), (nobody, 401)):
        for path in ("", "/count", "/csv"):
            assert api.get(f"brands/{published.pk}/enquiries{path}").status_code == status
        for path, body in asks.items():
            assert api.post(f"brands/{published.pk}/enquiries/{path}", body).status_code == status
    assert Enquiry.objects.filter(state="new").count() == 1 and inbox(ben, published)["found"] == 1


def test_one_brand_does_not_reach_another_ones(published: Brand, anna: Api, workspace: Workspace) -> None:
    post(published, SENT)
    one = str(Enquiry.objects.get().pk)
    other = sites.create(workspace, Identity(name="Another"))
    assert anna.post(f"brands/{other.pk}/enquiries/erasures", {"ids": [one]}).json() == {"count": 0}
    assert anna.post(f"brands/{other.pk}/enquiries/marks", {"ids": [one], "state": "read"}).json() == {"count": 0}
    assert anna.post(f"brands/{other.pk}/enquiries/erasures", {}).status_code == 422
    assert anna.delete(f"brands/{published.pk}").status_code == 204 and not Enquiry.objects.exists()


def test_a_form_without_a_recipient_holds_a_release_back(brand: Brand, anna: Api) -> None:
    write(brand, page_document("contact"), {"form": {"fields": FIELDS, "label": "Send", "to": ""}})
    refused = anna.post(f"brands/{brand.pk}/releases")
    assert refused.status_code == 409 and refused.json()["code"] == "release-stopped"
    found = next(one for one in anna.get(f"brands/{brand.pk}/preflight").json()["findings"] if one["rule"] == "forms/recipient")
    fix = anna.fixes(brand, found)[0]
    assert fix["label"].startswith("Send it to ")
