"""Emphasis in texts: CommonMark's own examples, measuring, what is served, and the rule on it."""

import io

import pytest
from fontTools.ttLib import TTFont

from formulon.core.checks.predict import predict
from formulon.core.checks.preflight import check_site
from formulon.core.site import fonts
from formulon.core.site.planning.planner import plan
from formulon.core.site.render import render
from formulon.core.site.site import Site
from formulon.core.system.resolve import resolve
from formulon.core.type.emphasis import decoded, encoded, parts, plain, runs
from formulon.core.type.features import plain as opened
from formulon.core.type.library import SHIPPED
from formulon.core.type.lines import broken, text_width
from formulon.core.type.shaping import advance
from tests.conftest import quillmoor_identity


@pytest.mark.parametrize(
    ("text", "expected"),
    [
        # CommonMark 0.31.2, examples 350, 351, 353, 378, 379, 391 and 402 (from memory).
        ("*foo bar*", [("em", "foo bar")]),
        ("a * foo bar*", [("", "a * foo bar*")]),
        ("*\u00a0a *", [("", "*\u00a0a *")]),
        ("**foo bar**", [("strong", "foo bar")]),
        ("** foo bar**", [("", "** foo bar**")]),
        ("**foo bar **", [("", "**foo bar **")]),
        ("foo *\\**", [("", "foo *\\**")]),
        # Ours: in a sentence, beside punctuation, twice, and asterisks that mark nothing.
        (
            "The *dark* is, *truly*, worth it.",
            [("", "The "), ("em", "dark"), ("", " is, "), ("em", "truly"), ("", ", worth it.")],
        ),
        ("(**now**)", [("", "("), ("strong", "now"), ("", ")")]),
        ("5* hotels and 4* hotels", [("", "5* hotels and 4* hotels")]),
        ("2*3*4", [("", "2*3*4")]),
        ("*one\ntwo*", [("", "*one\ntwo*")]),
    ],
)
def test_what_is_emphasised(text: str, expected: list[tuple[str, str]]) -> None:
    assert list(parts(text)) == expected


@pytest.mark.parametrize("text", ["The *dark blue* sky", "**half-past** *seven*", "*a*b", "no marks", "*café, naïve*"])
def test_measured_texts_are_read_as_the_plain_one(text: str) -> None:
    assert decoded(encoded(text)) == plain(text)
    assert len(encoded(text)) == len(plain(text))


def test_what_stands_between_two_letters_of_a_style_is_drawn_in_it() -> None:
    assert runs(encoded("The *half-past seven*, **now**.")) == [
        ("", "The "), ("em", "half-past seven"), ("", ", "), ("strong", "now"), ("", "."),
    ]  # fmt: skip


@pytest.mark.parametrize("family_id", ["spectral", "playfair-display", "inter"])
def test_italics_are_measured_in_the_real_italic(family_id: str) -> None:
    """Against the italic file's own advances, read with fontTools at its default weight."""
    face = SHIPPED[family_id].italics[0]
    font = TTFont(io.BytesIO(opened(face.open())))
    names, upem = font.getBestCmap(), font["head"].unitsPerEm
    for letter in "anfgv":
        own = font["hmtx"][names[ord(letter)]][0] / upem
        weight = 400
        if "fvar" in font:
            weight = int(next(axis.defaultValue for axis in font["fvar"].axes if axis.axisTag == "wght"))
        assert advance(SHIPPED[family_id], weight, encoded(f"*{letter}*")) == pytest.approx(own, abs=0.002)


def test_emphasis_changes_widths_and_not_where_lines_may_break() -> None:
    words = "The dark is worth the half-past seven drive from anywhere at all"
    for width in (90, 140, 220):
        plainly = broken(SHIPPED["inter"], 400, words, 16, width)
        stressed = [decoded(line) for line in broken(SHIPPED["inter"], 400, encoded(f"*{words}*"), 16, width)]
        assert " ".join(stressed).replace("- ", "-") == " ".join(plainly).replace("- ", "-") == words
    assert text_width(SHIPPED["inter"], 400, encoded(f"**{words}**"), 16) > text_width(SHIPPED["inter"], 400, words, 16) * 1.02


def stressed_site(body: str = "figtree", text: str = "The *darkest* sky in the county.") -> Site:
    identity = quillmoor_identity()
    identity.typefaces.body = body
    site = plan(identity)
    section = site.pages[0].sections[0]
    section.content["text"] = text
    return Site.model_validate(site.model_dump())


def test_pages_stress_with_elements_and_serve_the_italic_only_then() -> None:
    site = stressed_site()
    files = render(site, resolve(site.identity))
    assert "The <em>darkest</em> sky" in files["index.html"].decode()
    assert "fonts/figtree/latin-italic.woff2" in files
    assert "font-style:italic" in files["tokens.css"].decode()
    calm = stressed_site(text="The darkest sky in the county, 5* and no more.")
    assert not [name for name in render(calm, resolve(calm.identity)) if "italic" in name]
    assert not fonts.slanted(calm)


def test_marks_are_escaped_like_all_else() -> None:
    site = stressed_site(text="*<b>x</b>* & **“q”**")
    html = render(site, resolve(site.identity))["index.html"].decode()
    assert "<em>&lt;b&gt;x&lt;/b&gt;</em> &amp; <strong>“q”</strong>" in html


@pytest.mark.parametrize(
    ("body", "text", "codes"),
    [
        ("figtree", "The *darkest* **sky**", set()),
        ("lexend", "The *darkest* sky", {"no-italic"}),
        ("young-serif", "The *darkest* **sky**", {"no-italic", "no-bold"}),
    ],
)
def test_a_note_where_emphasis_would_not_be_seen(body: str, text: str, codes: set[str]) -> None:
    site = stressed_site(body, text)
    found = [one for one in check_site(site).findings if one.rule == "type/real-emphasis" and one.code]
    assert {one.code for one in found} == codes
    assert all(one.fixes for one in found)  # each was applied and checked again before it is offered


def test_facts_hold_what_is_read() -> None:
    site = stressed_site()
    run = next(f for f in predict(site, resolve(site.identity)) if getattr(f, "styles", None))
    assert (run.text, run.styles) == ("The darkest sky in the county.", {"em"})
