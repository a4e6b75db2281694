"""Marks are rebuilt from an allow-list; hostile files are refused with file, cause and remedy."""

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from formulon.core.errors import MarkError
from formulon.core.identity.svg import MOST_BYTES, rebuild

HEAD = '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 40 20">'
SHAPE = '<path d="M0 0h40v20H0z" fill="#1B2147"/>'


def svg(body: str, head: str = HEAD) -> bytes:
    return f"{head}{body}</svg>".encode()


@pytest.mark.parametrize(
    ("data", "cause"),
    [
        (svg("<script>alert(1)</script>" + SHAPE), "script"),
        (svg('<path onload="alert(1)" d="M0 0"/>'), "script"),
        (svg('<path onClick="alert(1)" d="M0 0"/>'), "script"),
        (svg('<image href="http://example.org/x.png"/>'), "picture"),
        (svg('<image href="file:///etc/passwd"/>'), "picture"),
        (svg('<use href="http://example.org/x.svg#a"/>'), "outside"),
        (svg('<use xmlns:xlink="http://www.w3.org/1999/xlink" xlink:href="x.svg#a"/>'), "outside"),
        (svg('<path d="M0 0" fill="url(http://example.org/#a)"/>'), "outside"),
        (svg('<path d="M0 0" style="fill:url(https://example.org/a)"/>'), "outside"),
        (svg("<style>@import 'http://example.org/a.css';</style>"), "imports"),
        (svg("<style>.a{fill:url(http://example.org/a)}</style><path class='a' d='M0 0'/>"), "outside"),
        (svg('<a href="javascript:alert(1)"><path d="M0 0"/></a>'), "<a>"),
        (svg('<animate attributeName="href" values="javascript:alert(1)"/>'), "<animate>"),
        (svg("<foreignObject><p/></foreignObject>"), "foreignObject"),
        (svg("<text>Quillmoor</text>"), "live text"),
        (svg('<filter id="f"/>'), "<filter>"),
        (svg(SHAPE, '<svg xmlns="http://www.w3.org/2000/svg" width="60000" height="60000">'), "60,000"),
        (svg(SHAPE, '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 60000 60000">'), "60,000"),
        (svg(SHAPE, '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 0 0">'), "no area"),
        (svg(SHAPE, '<svg xmlns="http://www.w3.org/2000/svg">'), "no size"),
        (b'<!DOCTYPE svg [<!ENTITY a "b">]>' + svg(SHAPE), "entities"),
        (b"", "cannot be read"),
        (b"{}", "cannot be read"),
        (b"<html xmlns='http://www.w3.org/1999/xhtml'/>", "no SVG"),
        (svg("<g>" * 40 + "</g>" * 40), "too many parts"),
        (svg("<g/>" * 6000), "too many parts"),
        (svg('<g id="a"><use href="#b"/></g><g id="b"><use href="#a"/></g><use href="#a"/>'), "repeats"),
        (b" " * (MOST_BYTES + 1), "kB"),
    ],
)
def test_hostile_and_broken_files(data: bytes, cause: str) -> None:
    with pytest.raises(MarkError) as caught:
        rebuild(data, "logo.svg")
    assert str(caught.value).startswith("logo.svg: ")
    assert cause in str(caught.value)


def test_plain_drawing_is_kept() -> None:
    read = rebuild(svg('<g transform="scale(2)"><circle cx="5" cy="5" r="4" fill="#F2A93B"/></g>'), "a.svg")
    assert (read.width, read.height) == (40, 20)
    assert 'fill="#F2A93B"' in read.svg and 'transform="scale(2)"' in read.svg
    assert read.notes == ()


def test_class_styles_become_attributes_and_others_are_noted() -> None:
    read = rebuild(svg("<style>.a{fill:#1B2147} path{stroke:red}</style><path class='a' d='M0 0h1'/>"), "a.svg")
    assert 'fill="#1B2147"' in read.svg and "style" not in read.svg
    assert len(read.notes) == 1 and "path" in read.notes[0]


def test_editor_data_is_left_out() -> None:
    data = svg('<metadata>x</metadata><x:y xmlns:x="urn:x"/><path d="M0 0" data-z="1" x:w="2" xmlns:x="urn:x"/>')
    assert rebuild(data, "a.svg").svg.count("<") == 3


def test_rebuilding_is_stable() -> None:
    once = rebuild(svg("<defs><linearGradient id='g'><stop offset='0'/></linearGradient></defs>" + SHAPE), "a.svg").svg
    assert rebuild(once.encode(), "a.svg").svg == once


@settings(max_examples=300)
@given(st.data())
def test_mutated_files_never_crash_the_reader(data: st.DataObject) -> None:
    """A flipped, cut or doubled file is either rebuilt or refused in words."""
    raw = bytearray(svg("<style>.a{fill:red}</style><g id='g'>" + SHAPE + "</g><use href='#g' x='3'/>"))
    for _ in range(data.draw(st.integers(1, 6))):
        place = data.draw(st.integers(0, len(raw) - 1))
        raw[place] = data.draw(st.integers(0, 255))
    cut = data.draw(st.integers(0, len(raw)))
    try:
        text = rebuild(bytes(raw[:cut]), "logo.svg").svg
    except MarkError as error:
        assert str(error).startswith("logo.svg: ")
    else:
        assert "script" not in text
