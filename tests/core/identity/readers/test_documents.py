"""PDF made by ReportLab, DOCX by python-docx, archives by zipfile, fonts by fontTools; CSS, HTML and Markdown by hand."""

import io
import zipfile
from collections.abc import Callable
from pathlib import Path

import docx
import pypdf
import pytest
from fontTools.fontBuilder import FontBuilder
from fontTools.pens.ttGlyphPen import TTGlyphPen
from reportlab.lib.colors import CMYKColor, CMYKColorSep, HexColor
from reportlab.pdfgen.canvas import Canvas

from formulon.core.identity.reading import read_file
from formulon.core.identity.sightings import (
    ColorSeen,
    MarkSeen,
    MeasureSeen,
    Reading,
    RuleSeen,
    TextSeen,
    TypefaceSeen,
    WordSeen,
)
from formulon.core.type.library import SHIPPED
from tests.core.identity.helpers import hexes, seen

Draw = Callable[[Canvas], None]


def pdf(draw: Draw, pages: int = 1) -> bytes:
    file = io.BytesIO()
    canvas = Canvas(file)
    for _ in range(pages):
        draw(canvas)
        canvas.showPage()
    canvas.save()
    return file.getvalue()


def lines(canvas: Canvas, *texts: str, x: float = 60, y: float = 700, size: float = 11) -> None:
    canvas.setFont("Helvetica", size)
    for index, text in enumerate(texts):
        canvas.drawString(x, y - 14 * index, text)


@pytest.mark.parametrize(
    ("notation", "hexa", "screen"),
    [
        ("#1B2147", "#1B2147", True),
        ("Hex 1B2147", "#1B2147", True),
        ("RGB 27 33 71", "#1B2147", True),
        ("rgb(27, 33, 71)", "#1B2147", True),
        ("R 27 G 33 B 71", "#1B2147", True),
        ("R:27 / G:33 / B:71", "#1B2147", True),
        ("HSL 232 45 19", "#1B2046", True),
        ("Lab 50 0 0", "#777777", False),
        ("CMYK 0 0 0 0", "#FFFFFF", False),
        ("C0 M0 Y0 K0", "#FFFFFF", False),
    ],
)
def test_values_in_every_usual_notation_with_the_nearest_name(notation: str, hexa: str, screen: bool) -> None:
    def draw(canvas: Canvas) -> None:
        lines(canvas, "Night", x=60, y=700, size=14)
        lines(canvas, notation, x=60, y=676, size=9)
        lines(canvas, "Lamp", x=300, y=700, size=14)
        lines(canvas, "#F2A93B", x=300, y=676, size=9)

    found = [one for one in seen(read_file("g.pdf", pdf(draw)), ColorSeen) if one.use == "swatch"]
    assert {(one.name, one.hex, one.indicative) for one in found} == {("Night", hexa, not screen), ("Lamp", "#F2A93B", False)}
    assert {one.place for one in found} == {"page 1"}


def test_notations_of_one_color_are_joined_and_cross_checked() -> None:
    def draw(canvas: Canvas) -> None:
        lines(canvas, "Night", "#1B2147", "RGB 27 33 72", "CMYK 95 88 35 42", "Spot Quill Blue")

    (one,) = (c for c in seen(read_file("g.pdf", pdf(draw)), ColorSeen) if c.use == "swatch")
    assert (one.hex, one.print) == ("#1B2147", ["CMYK 95 88 35 42", "spot Quill Blue"])
    assert "RGB 27 33 72" in one.note


def test_a_print_value_far_from_its_screen_value_is_told() -> None:
    def draw(canvas: Canvas) -> None:
        lines(canvas, "Lamp", "#F2A93B", "CMYK 80 0 20 0")

    (one,) = (c for c in seen(read_file("g.pdf", pdf(draw)), ColorSeen) if c.use == "swatch")
    assert one.hex == "#F2A93B" and "one of the two may be a mistake" in one.note


def test_drawn_fills_keep_print_values_and_spot_names() -> None:
    def draw(canvas: Canvas) -> None:
        for index, fill in enumerate(
            (HexColor("#8E5A9B"), CMYKColor(0.5, 0.73, 0.05, 0), CMYKColorSep(0.03, 0.38, 0.85, 0, spotName="Quill Lamp"))
        ):
            canvas.setFillColor(fill)
            canvas.rect(50, 600 - 120 * index, 100, 100, stroke=0, fill=1)

    exact, cmyk, spot = sorted(seen(read_file("g.pdf", pdf(draw)), ColorSeen), key=lambda one: (one.indicative, one.name))
    assert (exact.hex, exact.print, exact.indicative) == ("#8E5A9B", [], False)
    assert (cmyk.print, cmyk.indicative) == (["CMYK 50 73 5 0"], True)
    assert spot.name == "Quill Lamp" and spot.print[0] == "spot Quill Lamp"
    assert {round(one.share or 0, 2) for one in (exact, cmyk, spot)} == {0.33}


def test_fonts_by_share_and_a_vector_mark_taken_out_whole() -> None:
    def draw(canvas: Canvas) -> None:
        if not canvas.hasForm("mark"):
            canvas.beginForm("mark", 0, 0, 40, 40)
            canvas.setFillColor(HexColor("#1B2147"))
            canvas.circle(20, 20, 18, stroke=0, fill=1)
            canvas.endForm()
        canvas.doForm("mark")
        canvas.setFont("Times-Roman", 30)
        canvas.drawString(60, 740, "Big")
        lines(canvas, "Much more running text in another face than that", y=700, size=10)

    reading = read_file("g.pdf", pdf(draw, 2))
    (mark,) = seen(reading, MarkSeen)
    assert mark.shape == "symbol" and 'viewBox="0 0 40 40"' in mark.svg and mark.place == "page 1, vector drawing"
    assert [(one.family, one.use) for one in sorted(seen(reading, TypefaceSeen), key=lambda one: one.family)] == [
        ("Helvetica", "running text"),
        ("Times", "headings"),
    ]


def test_rules_of_the_guideline() -> None:
    def draw(canvas: Canvas) -> None:
        lines(
            canvas, "What we never do", "Never set Lamp on Chalk.", "The logo is never smaller than 24 mm wide.", "Keep a clear space of half the height of the dome.",
            "60 % Chalk, 30 % Night and 10 % Lamp.", "Words we avoid: unique, stunning.", "Words we use: sky, evening.",
        )  # fmt: skip

    rules = seen(read_file("g.pdf", pdf(draw)), RuleSeen)
    assert "Never set Lamp on Chalk." in {one.text for one in rules}
    found = {one.rule: one.values for one in rules}
    assert found == {
        "forbidden pair": {"ink": "Lamp", "ground": "Chalk"},
        "least size": {"px": 90.71, "side": "width", "mark": "full"},  # 24 mm at 96 px an inch (CSS Values 4, section 6.2)
        "clear space": {"share": 0.5, "of": "height"},
        "proportions": {"Chalk": 60.0, "Night": 30.0, "Lamp": 10.0},
        "words to avoid": {"words": ["unique", "stunning"]},
        "words to use": {"words": ["sky", "evening"]},
    }


def test_an_encrypted_and_a_cut_pdf_are_told() -> None:
    data = pdf(lambda canvas: lines(canvas, "#1B2147"))
    writer = pypdf.PdfWriter(io.BytesIO(data))
    writer.encrypt("secret", algorithm="RC4-128")
    locked = io.BytesIO()
    writer.write(locked)
    assert "password" in read_file("g.pdf", locked.getvalue()).problem
    assert read_file("g.pdf", data[:60]).problem.startswith("g.pdf: ")


CSS = """
:root { --brand-night: #1C2248; --radius: 6px; }
body { color: var(--brand-night); background: #fff; font: 17px/1.5 "Figtree", sans-serif; }
h1, h2 { font-family: 'Young Serif', serif; font-size: 2rem; }
.button { border-radius: var(--radius); padding: 12px 24px; background: rgb(0 0 0 / 50%); border: 1px solid transparent; }
@media (min-width: 40em) { .button { border-color: hsl(0 100% 50%); } }
@font-face { font-family: "Young Serif"; src: url(fonts/ys.woff2) format("woff2"); font-weight: 400 }
"""


def test_css_by_use() -> None:
    reading = read_file("s.css", CSS.encode())
    assert {(one.hex, one.use, one.name) for one in seen(reading, ColorSeen)} == {
        ("#1C2248", "named", "Night"), ("#1C2248", "text", ""), ("#FFFFFF", "background", ""), ("#000000", "background", ""), ("#FF0000", "border", ""),
    }  # fmt: skip
    assert {(one.family, one.use, tuple(one.files)) for one in seen(reading, TypefaceSeen)} == {
        ("Figtree", "running text", ()), ("Young Serif", "headings", ("fonts/ys.woff2",)),
    }  # fmt: skip
    assert {(one.measure, one.px) for one in seen(reading, MeasureSeen)} == {
        ("radius", 6),
        ("spacing", 12),
        ("spacing", 24),
        ("text size", 32),
    }


PAGE = """<!doctype html><html lang="en-GB"><head><title>Visit | Quillmoor</title><link rel="stylesheet" href="s.css">
<meta name="description" content="Evenings under the sky."></head><body><header><svg viewBox="0 0 10 10" width="10" height="10">
<circle cx="5" cy="5" r="4" fill="#8E5A9B"/></svg><p class="tagline">Look up.</p></header><main><h1>Finding us</h1>
<p>Turn off at the mill and follow the lane.</p><p>Bring a torch, a red one if you can.</p><script>document.title = "no"</script></main>
<footer><address>Upper Lane 1<br>Quillmoor</address><a href="tel:+441632960174">01632 960174</a>
<a href="mailto:hello@quillmoor.example?subject=x">write</a><a rel="me" href="https://social.example/quillmoor">elsewhere</a></footer></body></html>"""


def test_html_with_the_sheets_that_lie_beside_it() -> None:
    reading = read_file("site/index.html", PAGE.encode(), {"site/s.css": "p { color: #123456 } .nowhere { color: #999999 }"})
    words = {one.field: one.text for one in seen(reading, WordSeen)}
    assert words == {
        "language": "en-GB", "name": "Quillmoor", "does": "Evenings under the sky.", "strapline": "Look up.", "address": "Upper Lane 1, Quillmoor",
        "phone": "01632 960174", "email": "hello@quillmoor.example", "social": "https://social.example/quillmoor",
    }  # fmt: skip
    assert [(one.heading, one.text) for one in seen(reading, TextSeen)] == [
        ("Finding us", "Turn off at the mill and follow the lane.\nBring a torch, a red one if you can.")
    ]
    # Three paragraphs are reached by the rule; what reaches none counts for nothing.
    counts = {one.hex: one.count for one in seen(reading, ColorSeen) if one.use == "text"}
    assert counts["#123456"] == 3 and counts.get("#999999", 1) == 1
    assert seen(reading, MarkSeen)[0].place.startswith("header")


def test_markdown_text_and_docx_are_split_by_headings() -> None:
    markdown = "# About\n\nWe *make* [baskets](http://x.example).\n\n- one\n- two\n\n## Visit\n\nCome by.\n"
    found = [(one.heading, one.text) for one in seen(read_file("a.md", markdown.encode()), TextSeen)]
    assert found == [("About", "We make baskets.\none\ntwo"), ("Visit", "Come by.")]
    (phone,) = seen(read_file("a.txt", b"Tel: 01632 960 233, open Tuesday to Saturday\n\nMore words\n"), WordSeen)
    assert (phone.field, phone.text) == ("phone", "01632 960 233")
    plain = "About the workshop\n\nWe make baskets of willow that we cut ourselves, every winter.\n\nPhone: 01632 960174\n"
    reading = read_file("a.txt", plain.encode())
    assert [(one.heading, one.text) for one in seen(reading, TextSeen)] == [
        ("About the workshop", "We make baskets of willow that we cut ourselves, every winter.")
    ]
    assert [(one.field, one.text) for one in seen(reading, WordSeen)] == [("phone", "01632 960174")]
    document = docx.Document()
    document.add_heading("Courses", 1)
    document.add_paragraph("Two days, six people.")
    file = io.BytesIO()
    document.save(file)
    assert [(one.heading, one.text) for one in seen(read_file("a.docx", file.getvalue()), TextSeen)] == [
        ("Courses", "Two days, six people.")
    ]


def font(family: str, style: str, weight: int = 400, characters: str = "abc", embedding: int = 0) -> bytes:
    builder = FontBuilder(1000, isTTF=True)
    names = [".notdef", *(f"g{ord(one)}" for one in characters)]
    builder.setupGlyphOrder(names)
    builder.setupCharacterMap({ord(one): f"g{ord(one)}" for one in characters})
    pen = TTGlyphPen(None)
    pen.moveTo((0, 0))
    pen.lineTo((500, 0))
    pen.lineTo((250, 700))
    pen.closePath()
    glyph = pen.glyph()
    builder.setupGlyf(dict.fromkeys(names, glyph))
    builder.setupHorizontalMetrics(dict.fromkeys(names, (600, 0)))
    builder.setupHorizontalHeader(ascent=950, descent=-250)
    builder.setupNameTable({"familyName": family, "styleName": style, "licenseDescription": "Free as air"})
    builder.setupOS2(
        usWeightClass=weight, fsType=embedding, sxHeight=500, sCapHeight=700, fsSelection=1 if style == "Italic" else 64
    )
    builder.setupPost()
    file = io.BytesIO()
    builder.save(file)
    return file.getvalue()


@pytest.mark.parametrize(
    ("bits", "said"),
    [(0, "installable"), (2, "restricted"), (4, "preview and print"), (8, "editable"), (0x108, "editable, no subsetting")],
)
def test_font_names_metrics_licence_and_embedding(bits: int, said: str) -> None:
    """Meaning of fsType: OpenType 1.9, OS/2."""
    (one,) = seen(read_file("f.ttf", font("Quill Sans", "Italic", 700, embedding=bits)), TypefaceSeen)
    assert (one.family, one.style, one.weights, one.italic) == ("Quill Sans", "Italic", [700], True)
    assert one.metrics == {"ascender": 0.95, "descender": -0.25, "line gap": 0.0, "x-height": 0.5, "cap height": 0.7}
    assert (one.embedding, one.licence, one.languages) == (said, "Free as air", [])


@pytest.mark.parametrize("family_id", sorted(SHIPPED))
def test_the_librarys_own_files_against_their_metadata(family_id: str) -> None:
    """Family, weights and axes as the packages' own metadata.json state them."""
    family = SHIPPED[family_id]
    (one,) = seen(read_file("f.woff2", family.faces[0].open()), TypefaceSeen)
    assert one.family == family.name
    assert {"en", "de", "es"} <= set(one.languages) and "ru" not in one.languages
    low, high = family.faces[0].weights
    if low != high:
        assert one.axes["wght"][0] == low and one.axes["wght"][2] == high


def archive(files: dict[str, bytes]) -> bytes:
    file = io.BytesIO()
    with zipfile.ZipFile(file, "w", zipfile.ZIP_DEFLATED) as package:
        for name, data in files.items():
            package.writestr(name, data)
    return file.getvalue()


def test_an_archive_brings_its_files_and_no_path_out_of_it() -> None:
    reading = read_file("s.zip", archive({"a/x.css": b"a{}", "../../etc/passwd": b"x", "__MACOSX/._a": b"x"}))
    assert [part.name for part in reading.parts] == ["a/x.css", "etc/passwd"]


def test_an_archive_that_grows_beyond_measure_is_not_unpacked() -> None:
    reading = read_file("s.zip", archive({"big.svg": b"<svg>" + b" " * 30_000_000, "a.css": b"a{}"}))
    assert [part.name for part in reading.parts] == ["a.css"] and "left out" in reading.notes[0]


def test_every_file_of_the_demo_is_read() -> None:
    folder = Path(__file__).resolve().parents[4] / "demo" / "quillmoor"
    problems: list[Reading] = [r for f in folder.rglob("*.*") if (r := read_file(f.name, f.read_bytes())).problem]
    assert problems == []
    assert "#1B2147" in hexes(read_file("g.pdf", (folder / "guideline" / "quillmoor-guideline.pdf").read_bytes()))


@pytest.mark.parametrize(
    ("name", "data"),
    [
        ("a.css", b"a{margin:0 auto}"),
        ("a.html", b"<html><body><script>1</script></body></html>"),
        ("a.svg", b"<svg viewBox='0 0 9 9' xmlns='http://www.w3.org/2000/svg'/>"),
    ],
)
def test_a_file_that_gives_nothing_says_so_and_why(name: str, data: bytes) -> None:
    reading = read_file(name, data)
    assert not reading.sightings and (reading.notes or reading.problem)
