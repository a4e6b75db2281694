"""Documents as structure: what HTML, DOCX, ODT, PDF, Markdown and plain text hold, in one model. PDF are made by ReportLab, DOCX by
python-docx, ODT by hand after OpenDocument 1.3 (see tools/folders.py)."""

import pytest
from folders import odt, pdf, word
from lxml import html

from formulon.core.identity.documents import Block, row_line, sections
from formulon.core.identity.documents.markup import blocks_of
from formulon.core.identity.documents.office import of_docx, of_odt
from formulon.core.identity.documents.written import of_markdown, of_plain
from formulon.core.identity.facts import facts_of
from formulon.core.identity.reading import read_file
from formulon.core.identity.sightings import ColorSeen, TextSeen, WordSeen


def page(markup: str) -> list[Block]:
    return blocks_of(html.document_fromstring(f"<!doctype html><html><body>{markup}</body></html>"))


def told(blocks: list[Block]) -> list[str]:
    """Parts as their kinds' first letters and lines; what is no content says so."""
    return [f"{'' if one.region == 'content' else one.region + ' '}{one.kind[0]} {one.line}" for one in blocks]


MARKUP: list[tuple[str, list[str]]] = [
    ("<div>One<div>two</div>three</div>", ["p One", "p two", "p three"]),
    ("<p>One <b>and</b> <a href='#'>two</a>.</p>", ["p One and two."]),
    ("<ul><li>One</li><li>Two<ul><li>inner</li></ul></li></ul>", ["i One", "i Two", "i inner"]),
    ("<ol><li>First</li><li>Then</li></ol>", ["i 1. First", "i 2. Then"]),
    ("<ol start='3'><li>Third</li></ol>", ["i 3. Third"]),
    ("<table><tr><th>Day</th><th>Open</th></tr><tr><td>Monday</td><td>9–17</td></tr></table>", ["r Day: Open", "r Monday: 9–17"]),
    ("<table><caption>Prices</caption><tr><td>Tour</td><td>one hour</td><td>£9</td></tr></table>", ["h Prices", "r Tour, one hour: £9"]),
    ("<dl><dt>Monday</dt><dd>9–12</dd><dd>14–17</dd><dt>Friday</dt><dd>closed</dd></dl>", ["r Monday: 9–12; 14–17", "r Friday: closed"]),
    ("<dl><div><dt>Where</dt><dd>Mill Row</dd></div></dl>", ["r Where: Mill Row"]),
    ("<blockquote><p>Slow and good.</p><footer>— Maud Arkle, bookbinder</footer></blockquote>", ["q “Slow and good.” — Maud Arkle, bookbinder"]),
    ("<figure><blockquote>Calm.</blockquote><figcaption>Peter Lowden</figcaption></figure>", ["q “Calm.” — Peter Lowden"]),
    ("<blockquote><p>“Calm.”</p><p>– Peter Lowden</p></blockquote>", ["q “Calm.” — Peter Lowden"]),
    ("<figure><img src='a.png'><figcaption>The mill</figcaption></figure>", ["p The mill"]),
    ("<p>Mon 9–5<br>Tue 9–5</p>", ["p Mon 9–5", "p Tue 9–5"]),
    ("<p>A long line that goes on and on, well past what anybody breaks off by hand, to the edge of it all,<br>and ends.</p>",
     ["p A long line that goes on and on, well past what anybody breaks off by hand, to the edge of it all, and ends."]),
    ("<header><h1>Site</h1></header><main><article><header><h2>Title</h2></header><p>Words</p></article></main>",
     ["navigation h Site", "h Title", "p Words"]),
    ("<nav><ul><li>Home</li></ul></nav><footer><p>Mill Row</p></footer>", ["navigation i Home", "footer p Mill Row"]),
    ("<div class='cookie-banner'><p>We use cookies.</p></div><p>Words</p>", ["notice p We use cookies.", "p Words"]),
    ("<script>var a</script><style>p{}</style><p hidden>no</p><template><p>no</p></template><p>yes</p>", ["p yes"]),
    ("<details><summary>Can I come?</summary><p>Yes.</p></details>", ["p Can I come?", "p Yes."]),
    ("", []),
    ("<p></p><div> </div><h2></h2><table></table><ul><li></li></ul>", []),
]  # fmt: skip


@pytest.mark.parametrize(("markup", "parts"), MARKUP)
def test_pages_by_their_elements(markup: str, parts: list[str]) -> None:
    assert told(page(markup)) == parts


def test_a_page_may_be_nested_as_deep_as_it_likes() -> None:
    assert page("<div>" * 3000 + "deep" + "</div>" * 3000) == []


PARTS = [
    "# Prices", "What things cost.", [["What", "Long", "Price"], ["Tour", "one hour", "£9"], ["Talk", "an evening", "£5"]], "After the table.",
    "# List", "- first", "- second",
]  # fmt: skip
AS_READ = [
    "h Prices", "p What things cost.", "r What: Long, Price", "r Tour, one hour: £9", "r Talk, an evening: £5", "p After the table.",
    "h List", "i first", "i second",
]  # fmt: skip


def test_office_documents_keep_tables_where_they_stand() -> None:
    assert told(of_docx(word(PARTS))) == AS_READ
    assert told(of_odt(odt(PARTS))) == AS_READ


def test_the_row_that_names_columns_is_no_line_of_a_text() -> None:
    made = list(sections(of_docx(word(PARTS))))
    assert [(one.heading, one.lines) for one in made] == [
        ("Prices", ["What things cost.", "Tour, one hour: £9", "Talk, an evening: £5", "After the table."]),
        ("List", ["first", "second"]),
    ]


def test_markdown_is_read_as_commonmark_has_it() -> None:
    text = (
        "---\ntitle: x\n---\n# Press\n\nOne line\nthat goes on.\n\n1. Bring words\n2. Proof\n\n| Day | Open |\n| --- | --- |\n| Mon | 9–5 |\n\n"
        "> Calm.\n\nTour £9\nTalk £5\n\n- *one*\n- [two](x.html)\n"
    )
    assert told(of_markdown(text)) == [
        "h Press", "p One line that goes on.", "i 1. Bring words", "i 2. Proof", "r Day: Open", "r Mon: 9–5", "q “Calm.”", "p Tour £9",
        "p Talk £5", "i one", "i two",
    ]  # fmt: skip


def test_plain_text_keeps_lists_columns_and_lines_of_a_kind() -> None:
    text = (
        "Opening hours\n=============\nMon\t9–5\nTue\t9–5\n\nPrices\n\nTour £9\nTalk £5\n\nWe have been here\nsince long.\n\n- one\n- two goes\n  on\n\n"
        "Day      Open\nWed      9–12\n"
    )
    assert told(of_plain(text)) == [
        "h Opening hours", "r Mon: 9–5", "r Tue: 9–5", "h Prices", "p Tour £9", "p Talk £5", "p We have been here since long.", "i one",
        "i two goes on", "r Day: Open", "r Wed: 9–12",
    ]  # fmt: skip


def test_rows_as_lines() -> None:
    assert [row_line(cells) for cells in (("Mon", "9–12", "14–17"), ("Tour", "one hour", "£9"), ("alone",), ("", "x"), ())] == [
        "Mon: 9–12, 14–17", "Tour, one hour: £9", "alone", "x", "",
    ]  # fmt: skip


def test_a_printed_page_has_headings_tables_and_columns() -> None:
    left = ["Ashlock sets type by hand in", "a granary above the beck, and", "has done so for forty years."]
    right = ["Commissions take three weeks,", "of which two are spent with", "proofs that go to and fro."]
    made = pdf(
        [(60, 60, 22, "Ashlock Letterpress")]
        + [(60, 100 + 14 * n, 11, line) for n, line in enumerate(left)]
        + [(320, 100 + 14 * n, 11, line) for n, line in enumerate(right)]
        + [(60, 190, 16, "Prices"), (60, 215, 11, "First forme"), (320, 215, 11, "£95"), (60, 231, 11, "Wood type weekend"), (320, 231, 11, "£180")]
    )  # fmt: skip
    texts = {one.heading: one.text.split("\n") for one in read_file("a.pdf", made).sightings if isinstance(one, TextSeen)}
    assert texts["Prices"] == ["First forme: £95", "Wood type weekend: £180"]
    assert " ".join(left) in texts["Ashlock Letterpress"] and " ".join(right) in texts["Ashlock Letterpress"]


def test_a_table_names_its_colors_whatever_its_order() -> None:
    rows = [["Name", "Screen", "Press"], ["Laid Paper", "#F6F0E4", "CMYK 3 4 11 0"], ["Soot", "#1F1B1A", "CMYK 70 67 64 74"]]
    turned = [[three, two, one] for one, two, three in rows]
    for table in (rows, turned):
        for name, data in (("a.docx", word([table])), ("a.odt", odt([table]))):
            colors = [one for one in read_file(name, data).sightings if isinstance(one, ColorSeen)]
            assert [(one.name, one.hex, one.print) for one in colors] == [
                ("Laid Paper", "#F6F0E4", ["CMYK 3 4 11 0"]), ("Soot", "#1F1B1A", ["CMYK 70 67 64 74"]),
            ]  # fmt: skip


def test_a_guideline_is_no_text_for_pages_and_a_leaflet_is() -> None:
    leaflet = pdf([(60, 60, 20, "Courses"), (60, 100, 11, "We teach in spring, and again when the rods are cut.")])
    guide = pdf(
        [
            (60, 60, 20, "Colours"),
            (60, 100, 11, "Soot #1F1B1A"),
            (60, 120, 11, "Madder #A8322D"),
            (60, 150, 11, "Never set Madder on Soot."),
        ]
    )
    kinds = [{type(one) for one in read_file("a.pdf", data).sightings} for data in (leaflet, guide)]
    assert TextSeen in kinds[0] and TextSeen not in kinds[1]


def test_the_head_of_a_table_labels_no_fact() -> None:
    rows = [["Name", "Phone", "Where"], ["Laid Paper", "none", "shelf"], ["Soot", "none", "drawer"]]
    cells = "".join(
        f"<tr>{''.join(f'<{tag}>{cell}</{tag}>' for cell in row)}</tr>"
        for row, tag in zip(rows, ("th", "td", "td"), strict=True)
    )
    page = f"<!doctype html><html><body><main><table>{cells}</table></main></body></html>"
    marked = "\n".join([f"| {' | '.join(rows[0])} |", "|---|---|---|", *(f"| {' | '.join(row)} |" for row in rows[1:])])
    files = {"a.docx": word([rows]), "a.odt": odt([rows]), "a.html": page.encode(), "a.md": f"# Papers\n\n{marked}\n".encode()}
    for name, data in files.items():
        assert [
            one.text
            for one in read_file(name, data).sightings
            if isinstance(one, WordSeen) and one.field in ("name", "phone", "place")
        ] == []


def test_a_broken_document_is_told() -> None:
    for name in ("a.odt", "a.docx"):
        data = (odt if name.endswith("odt") else word)(["# Words"])
        said = read_file(name, data[: len(data) // 2]).problem
        assert said.startswith(f"{name}: ") and said.endswith(".")
    assert "holds no text" in read_file("a.odt", odt([])).problem


@pytest.mark.parametrize(
    ("said", "name"),
    [
        ("Night #1B2147", "Night"), ("Deep Sea: #1B2147", "Deep Sea"), ("- Night (#1B2147)", "Night"), ("The ground is the #1B2147", ""),
        ("at the #1B2147", ""), ("Our ground is #1B2147", ""), ("we use #1B2147 for night", ""), ("Nacht – #1B2147", "Nacht"), ("Der Grund ist #1B2147", ""),
    ],
)  # fmt: skip
def test_a_name_is_no_piece_of_a_sentence(said: str, name: str) -> None:
    text = f"# Colours\n\nWe have few of them, and use them with care, as a house that is old enough to know.\n\n{said}\n\nThat is all of it."
    assert [one.name for one in read_file("a.md", text.encode()).sightings if isinstance(one, ColorSeen)] == [name]


def test_what_the_palette_says_comes_before_prose() -> None:
    palette = read_file("a.gpl", b"GIMP Palette\nName: Reed\n#\n 27  33  71\tNight\n")
    prose = read_file(
        "b.md",
        b"# Colours\n\nWe have few of them, and use them with care, in this house.\n\nBackgrounds and so #1B2147\n\nThat is all.",
    )
    assert [one.label for one in facts_of([prose, palette]) if one.group == "colors"] == ["Night"]
