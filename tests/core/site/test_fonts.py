"""The typefaces of a published site: cut down, and still enough for whatever its pages show."""

import io

import pytest
from fontTools.ttLib import TTFont

from formulon.core.site.editions import rendered_all
from formulon.core.site.fonts import codes_of, lean
from formulon.core.site.languages import published
from formulon.core.site.planning.planner import plan
from formulon.core.site.site import Section, Site
from formulon.core.system.documents.identity import Identity
from formulon.core.type.library import SHIPPED
from formulon.core.type.shaping import coverage


def made_of(site: Site) -> tuple[dict[str, bytes], dict[str, bytes]]:
    """The files of a site, whole and lean."""
    in_all = published(site)
    whole = rendered_all(in_all)
    return whole, lean(in_all, whole)


def held(data: bytes) -> set[int]:
    return set(TTFont(io.BytesIO(data)).getBestCmap())


@pytest.mark.parametrize("language", ["en-GB", "de", "cs", "el", "he", "uk"])
def test_a_typeface_keeps_what_pages_show_and_people_type(language: str) -> None:
    site = plan(Identity(name="Žofie Łąka & Söhne Ωμέγα", language=language, does="“£5 ½ — ¿Qué?” № 7"))
    whole, left = made_of(site)
    shown = {ord(char) for path, data in whole.items() if path.endswith(".html") for char in data.decode()}
    assert whole.keys() == left.keys()
    faces = {f"fonts/{font.id}/{key}.woff2": codes for font in site.families() for key, codes in coverage(font).items()}
    for path in (path for path in whole if path.endswith(".woff2")):
        asked = faces[path] & (shown | codes_of(site))
        assert held(left[path]) == held(whole[path]) & asked and len(left[path]) <= len(whole[path])
    assert {path for path in whole if whole[path] != left[path]} == {path for path in whole if path.endswith(".woff2")}


def test_a_name_that_is_reserved_keeps_its_file() -> None:
    """The Open Font License 1.1, condition 3: a modified version may not carry a reserved font name."""
    name = next(one.id for one in SHIPPED.values() if one.reserved_name)
    whole, left = made_of(plan(Identity(name="N", typefaces={"body": name, "heading": name})))  # type: ignore[arg-type]
    assert {path: data for path, data in whole.items() if path.startswith(f"fonts/{name}/")}
    assert whole == left


def test_own_code_finds_the_weights_and_characters_that_it_asks_for() -> None:
    site = plan(Identity(name="Weighty"))
    html, css = '<p style="font-weight:850">Heavy &#230;</p>', "p{font-weight:900}p::after{content:'\\f8'}"
    site.pages[0].sections.append(
        Section(id="own", kind="own_code", layout="measure", content={"code": {"html": html, "css": css}})
    )
    body = f"fonts/{site.families()[-1].id}/latin.woff2"
    left = TTFont(io.BytesIO(made_of(site)[1][body]))
    assert {ord("æ"), ord("ø")} <= set(left.getBestCmap())
    assert [one.maxValue for one in left["fvar"].axes if one.axisTag == "wght"] == [900]
