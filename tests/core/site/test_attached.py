"""Files that links lead to: taken by their content, told by form and size on the page, and there in what is published."""

import csv
import hashlib
import io
import re
import zipfile
from typing import Any

import pytest
from hypothesis import given
from hypothesis import strategies as st
from lxml import html as lxml_html
from PIL import Image
from pypdf import PdfWriter

from formulon.core.checks.page_facts import Destination, TextRun
from formulon.core.checks.predict import predict
from formulon.core.site.attached import FORMS, MOST_BYTES, attached, size_text
from formulon.core.site.catalogue import CATALOGUE
from formulon.core.site.planning.planner import plan
from formulon.core.site.render import render
from formulon.core.site.site import Site
from formulon.core.system.documents.identity import Identity


def pdf() -> bytes:
    file = io.BytesIO()
    writer = PdfWriter()
    writer.add_blank_page(200, 200)
    writer.write(file)
    return file.getvalue()


def package(*names: str) -> bytes:
    file = io.BytesIO()
    with zipfile.ZipFile(file, "w") as made:
        for name in names:
            made.writestr(name, "x")
    return file.getvalue()


def picture(form: str) -> bytes:
    file = io.BytesIO()
    Image.new("RGB", (4, 4)).save(file, form)
    return file.getvalue()


RIGHT: dict[str, bytes] = {
    "pdf": pdf(), "docx": package("[Content_Types].xml", "word/document.xml"), "xlsx": package("xl/workbook.xml"),
    "pptx": package("ppt/presentation.xml"), "odt": package("mimetype", "content.xml"), "ods": package("content.xml"),
    "odp": package("content.xml"), "epub": package("META-INF/container.xml"), "zip": package("a.txt"),
    "csv": b"Brot;4,20\n", "txt": "Заметка\n".encode(), "ics": b"BEGIN:VCALENDAR\r\nEND:VCALENDAR\r\n",
    "vcf": b"BEGIN:VCARD\r\nEND:VCARD\r\n", "mp3": b"ID3\x04\x00", "jpg": picture("JPEG"), "png": picture("PNG"),
}  # fmt: skip


def taken(name: str, data: bytes, *ids: str) -> Any:
    return attached(name, data, hashlib.sha256(data).hexdigest(), list(ids))


def test_every_form_is_taken_by_its_content_and_by_no_other() -> None:
    assert set(RIGHT) == set(FORMS)
    for ending, data in RIGHT.items():
        assert taken(f"Preise 2027.{ending.upper()}", data).ending == ending
        for wrong in (
            b"<!doctype html><script>1</script>",
            b"<svg xmlns='http://www.w3.org/2000/svg'/>",
            b"\x00\x01",
            b"MZ\x90\x00",
        ):
            with pytest.raises(ValueError, match="is not what its ending says"):
                taken(f"a.{ending}", wrong)


@pytest.mark.parametrize("name", ["page.html", "drawing.svg", "run.exe", "x.js", "noending", ".pdf.html", "a.xhtml", "a.xml"])
def test_what_a_browser_would_run_is_not_handed_out(name: str) -> None:
    with pytest.raises(ValueError, match="cannot be handed out"):
        taken(name, b"<html></html>")


def test_what_is_empty_or_too_large_says_so() -> None:
    with pytest.raises(ValueError, match="empty"):
        taken("a.txt", b"")
    with pytest.raises(ValueError, match="25 MB is the most"):
        taken("a.txt", b"a" * (MOST_BYTES + 1))


def test_ids_are_of_latin_letters_and_each_there_once() -> None:
    first = taken("Прайс-лист.pdf", RIGHT["pdf"])
    assert (first.id, first.name) == ("prajs-list", "Прайс-лист.pdf")
    assert taken("прайс лист.pdf", RIGHT["pdf"], first.id).id == "prajs-list-2"
    assert taken("../../etc/passwd.txt", b"x").name == "....etcpasswd.txt"
    assert taken("<b>\x00\n.txt", b"x").id == "b"


@given(st.binary(max_size=400), st.sampled_from(sorted(FORMS)), st.text(max_size=30))
def test_any_bytes_are_taken_or_refused_in_a_sentence(data: bytes, ending: str, stem: str) -> None:
    try:
        one = taken(f"{stem}.{ending}", data)
    except ValueError as error:
        assert str(error).endswith(".")
        return
    assert one.size == len(data) and not re.match(rb"\s*<", data)


@pytest.mark.parametrize(
    ("size", "language", "told"),
    [
        (1, "en-GB", "1 kB"),
        (999_499, "en", "999 kB"),
        (999_500, "en", "1 MB"),
        (1_240_000, "de", "1,2 MB"),
        (2_000, "fr", "2 ko"),
    ],
)
def test_sizes_are_decimal_and_in_the_words_of_the_language(size: int, language: str, told: str) -> None:
    """IEC 80000-13: k is 1,000 and M is 1,000,000. Words by CLDR, as PyICU has it; French by CLDR 42 from memory."""
    assert size_text(size, language).replace("\u00a0", " ").replace("KB", "kB") == told


def linked(to: str = "file:prices") -> Site:
    identity = Identity.model_validate(
        {
            "name": "Öhmler", "language": "de", "colors": [{"name": "Korn", "value": "#8a5a1a"}],
            "files": [taken("prices.pdf", RIGHT["pdf"]).model_dump(), taken("unused.csv", RIGHT["csv"]).model_dump()],
        }
    )  # fmt: skip
    site = plan(identity)
    body = site.model_dump()
    items = [
        {"title": "Preise", "size": "PDF, alt", "link": {"label": "Laden", "to": to}},
        {"title": "Preise", "link": {"label": "Holen", "to": to}},
    ]
    body["pages"][0]["sections"] = [
        {"id": "down", "kind": "downloads", "layout": "lines", "content": {"heading": "Dateien", "items": items}},
        {"id": "long", "kind": "long_text", "layout": "column", "content": {"heading": "Lang", "body": f"Alles [zum Lesen]({to}) und mehr."}},
        {"id": "call", "kind": "call_to_action", "layout": "band", "content": {"heading": "Da", "primary": {"label": "Karte", "to": to}}},
        {"id": "own", "kind": "own_code", "layout": "column", "content": {"code": {"html": f'<p><a href="{to}">Eigen</a></p>', "css": ""}}},
    ]  # fmt: skip
    for one in body["pages"][0]["sections"]:
        kind = CATALOGUE[one["kind"]]
        one["layout"] = one["layout"] if one["layout"] in kind.layouts else next(iter(kind.layouts))
    return Site.model_validate(body)


def test_links_to_files_say_what_comes_and_the_file_is_published() -> None:
    site = linked()
    files = render(site, site.system(), {hashlib.sha256(one).hexdigest(): one for one in RIGHT.values()}.__getitem__)
    assert files["files/prices.pdf"] == RIGHT["pdf"] and "files/unused.csv" not in files
    page = lxml_html.fromstring(files["index.html"].decode())
    told = {" ".join(one.text_content().split()) for one in page.xpath("//main//a[@href='files/prices.pdf']")}
    assert {"Laden", "Holen (PDF, 1 kB)", "zum Lesen (PDF, 1 kB)", "Karte (PDF, 1 kB)"} <= told
    facts = predict(site, site.system())
    assert {"Holen (PDF,\u00a01\u00a0kB)", "zum Lesen (PDF,\u00a01\u00a0kB)"} <= {
        one.text for one in facts if isinstance(one, TextRun)
    }
    assert any("Alles zum Lesen (PDF,\u00a01\u00a0kB) und mehr." in one.text for one in facts if isinstance(one, TextRun))
    assert all(one.alive for one in facts if isinstance(one, Destination) and one.to == "file:prices")


def test_a_file_that_is_gone_is_a_dead_link() -> None:
    site = linked("file:gone")
    gone = [one for one in predict(site, site.system()) if isinstance(one, Destination) and one.to == "file:gone"]
    assert len(gone) >= 4 and not any(one.alive for one in gone)
    assert "file:gone" not in render(site, site.system())["index.html"].decode()


def test_the_csv_is_one() -> None:
    assert list(csv.reader(io.StringIO(RIGHT["csv"].decode()), delimiter=";")) == [["Brot", "4,20"]]
