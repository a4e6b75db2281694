"""An old page by itself: it keeps its look, and nothing of it runs or asks for an address."""

import base64
import re

import pytest
from hypothesis import given
from hypothesis import strategies as st
from lxml import html

from formulon.core.errors import ReadError
from formulon.core.identity.isolated import readers
from formulon.core.identity.readers.old_page import alone

PIXEL = "data:image/png;base64," + base64.b64encode(b"\x89PNG....").decode()
PAGE = """<!doctype html><html lang="de" class="wide"><head><meta charset="latin1"><base href="https://elsewhere.example/">
<link rel="stylesheet" href="../css/site.css?v=3" media="screen"><link rel="preload" href="x.woff2">
<style>h1{background:url('../img/fog.png')}</style><script>steal()</script></head>
<body onload="steal()" background="https://elsewhere.example/a.png"><h1 style="background:url(https://elsewhere.example/b.png)">Öhmler</h1>
<img src="../img/fog.png" alt="Fog" srcset="../img/fog.png 2x" onerror="steal()"><img src="https://elsewhere.example/c.png" alt="Else">
<a href="java\tscript:steal()">Go</a><a href="#foot">Foot</a><iframe src="//elsewhere.example"></iframe>Words after
<noscript><p>Without scripts</p></noscript><form action="https://elsewhere.example"><input name="a"></form><svg><use xlink:href="https://elsewhere.example/#x"/></svg>
<object data="a.swf"></object><meta http-equiv="refresh" content="0;url=https://elsewhere.example"></body></html>"""
BESIDE = {
    "site/css/site.css": "@import 'base.css'; body{background:url(../img/Fog.png)} .x{background:url(//elsewhere.example/z.png)} /* </style> */",
    "site/css/base.css": "@import url(site.css); p{color:#123456}",
    "site/img/fog.png": PIXEL,
}


def test_its_sheets_and_pictures_stand_within_it_and_nothing_runs_or_asks() -> None:
    made = alone("site/seiten/index.html", PAGE, BESIDE)
    root = html.document_fromstring(made)
    assert root.get("class") == "wide" and "Öhmler" in made and "Words after" in made
    css = " ".join(one.text or "" for one in root.iter("style"))
    assert "color:#123456" in css and css.count(PIXEL) == 2 and "@import" not in css
    assert root.xpath("//style/@media") == ["screen"]
    assert root.xpath("//img/@src") == [PIXEL, ""] and root.xpath("//img/@alt") == ["Fog", "Else"]
    assert "Without scripts" in root.text_content() and root.xpath("//a/@href") == ["#foot"]
    assert not re.search(r"elsewhere|steal|script:|http-equiv|<iframe|<object|<base|<link|srcset|onload|onerror", made)
    assert root.xpath("count(//script)") == 0


def test_a_sheet_that_is_not_there_leaves_the_page_as_it_is() -> None:
    made = alone("index.html", '<link rel="stylesheet" href="gone.css"><p>Words</p>', {})
    assert "Words" in made and "gone.css" not in made


def test_a_saved_site_is_found_in_its_folder_by_addresses_from_the_root() -> None:
    made = alone(
        "save/www/index.html", '<img src="/img/fog.png" alt=""><img src="img/fog.png" alt="">', {"save/www/img/fog.png": PIXEL}
    )
    assert made.count(PIXEL) == 2


def test_what_is_too_much_is_told() -> None:
    with pytest.raises(ReadError, match="elements"):
        alone("a.html", "<p>a</p>" * 20_001, {})
    with pytest.raises(ReadError, match="cannot be read"):
        alone("a.html", "", {})


def test_it_is_made_in_the_readers_process() -> None:
    made = readers().page("site/seiten/index.html", PAGE.encode(), BESIDE)
    assert PIXEL in made["html"] and "elsewhere" not in made["html"]
    assert "cannot be read" in readers().page("a.html", b"", {})["error"]


TAGS = st.sampled_from(["<div", "<a href=", "<img src=", "<style>", "</style>", "<script>", "</script>", "<svg", "<link rel=stylesheet href=", " on", "x=", "'", '"', ">", "url(", ")", "http://a.example/", "javascript:", "@import ", ";", "&#x6a;", "<!--", "-->", "<base href=", "<meta http-equiv=refresh content="])  # fmt: skip


@given(st.lists(TAGS | st.text(max_size=6), max_size=40))
def test_no_mixture_asks_for_anything(parts: list[str]) -> None:
    """Whatever is put together: no element that runs, and no attribute or style sheet with an address."""
    try:
        made = alone("a.html", "".join(parts), {})
    except ReadError:
        return
    root = html.document_fromstring(made)
    for one in root.iter():
        if not isinstance(one.tag, str):
            continue
        assert one.tag not in ("script", "iframe", "object", "embed", "base", "link") and not (
            one.tag == "meta" and one.get("http-equiv")
        )
        for key, value in one.attrib.items():
            assert not key.lower().startswith("on"), (key, value)
            assert key not in ("href", "src", "srcset", "action") or not value or value.startswith("#"), (key, value)
    for sheet in root.iter("style"):
        assert not re.search(r"url\(\s*[\"']?http|@import\s+[\"']?http", sheet.text or ""), sheet.text
