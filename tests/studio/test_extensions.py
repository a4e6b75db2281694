"""What can be added, added from a folder that is not the project's, and seen through everything that follows: a slot type, a kind
with a layout, a rule and a form to export."""

import sys
from collections.abc import Iterator
from importlib.util import module_from_spec, spec_from_file_location
from pathlib import Path
from types import ModuleType
from typing import Any

import pytest

from formulon.core.checks import rule as registry
from formulon.core.checks.page_facts import TextRun, Words
from formulon.core.checks.predict import predict
from formulon.core.checks.preflight import check_site
from formulon.core.checks.reach import reach
from formulon.core.checks.rule import rules
from formulon.core.formats import system_files
from formulon.core.site import catalogue, sheets, slot_types
from formulon.core.site.catalogue import CATALOGUE, DeclarationError
from formulon.core.site.planning.planner import plan
from formulon.core.site.render import Preview, render, render_page
from formulon.core.site.signature import signature
from formulon.core.site.site import Section, Site
from formulon.core.system.documents.identity import Identity
from formulon.core.system.resolve import resolve
from formulon.studio.api import answers

KIND = """
from formulon.core.site.kind import Kind, Slot
from formulon.core.site.layout import Layout, Place, Region

KIND = Kind(
    "Ballad",
    {"heading": Slot("Headline", tag="h2", step="h2", ink="heading"), "stars": Slot("Rating", "stars"), "verse": Slot("Verse")},
    {
        "stanza": Layout("Stanza", "Words on a card beside a turned refrain.", {
            "words": Region(("heading", "verse"), Place((1, 6), row=1, inset="5"), card=True, caps={"verse": 30}),
            "stars": Region(("stars",), Place((8, 12), row=1)),
            "refrain": Region(("refrain",), Place((1, 12), row=2), free=True),
        }),
    },
    ground="tint",
)
"""
TEMPLATE = '{% macro refrain(view, section) %}<p class="refrain">Hey ho</p>{% endmacro %}'
STYLE = ".refrain {\n  rotate: 90deg;\n}\n"
SLOT_TYPE = """
from markupsafe import Markup
from formulon.core.site.slot_types.base import SlotType

class Stars(SlotType):
    def validate(self, slot, value):
        if not isinstance(value, int) or not 1 <= value <= 5:
            raise ValueError(f"{slot.label} takes a number from 1 to 5.")
        return value
    def blank(self, slot):
        return 3
    def render(self, view, section, path, slot):
        value = view.value(section, path)
        return Markup('<p class="stars">{}</p>').format("★" * value) if value else Markup("")
    def facts(self, work, place, section, slot, value, ground):
        yield work.words(place, slot.label, "★" * value)
        yield from work.loose(place, "★" * value, "body", ground, "body")
    def words(self, value):
        yield "★" * value

TYPE = Stars()
"""
RULE = """
from formulon.core.checks.page_facts import Words
from formulon.core.checks.rule import COMMON_PRACTICE, Verdict, rule

@rule(id="content/modesty", title="Nobody rates itself at five", standard=COMMON_PRACTICE, severity="note", looks_at=Words,
      rationale="It is not believed.", messages={"vain": "{stars} is as much as there is."})
def modesty(words, options):
    if words.text == "★" * 5:
        yield Verdict("vain", values={"stars": words.text})
"""
FORM = """
from formulon.core.formats.system_files import SystemForm
FORM = SystemForm("names", "Names of tokens", "txt", "text/plain", lambda system, name: "\\n".join(system.tokens).encode())
"""


def loaded(folder: Path, name: str, text: str) -> ModuleType:
    file = folder / f"{name}.py"
    file.write_text(text, encoding="utf-8")
    spec = spec_from_file_location(name, file)
    assert spec and spec.loader
    module = sys.modules[name] = module_from_spec(spec)
    spec.loader.exec_module(module)
    return module


@pytest.fixture
def added(tmp_path: Path) -> Iterator[None]:
    folder = tmp_path / "ballad"
    folder.mkdir()
    for name, text in (("kind.py", KIND), ("section.html", TEMPLATE), ("section.css", STYLE)):
        (folder / name).write_text(text, encoding="utf-8")
    slot_types.take_in("stars", loaded(tmp_path, "extension_stars", SLOT_TYPE).TYPE)
    catalogue.add(folder)
    loaded(tmp_path, "extension_modesty", RULE)
    system_files.add(loaded(tmp_path, "extension_names", FORM).FORM)
    yield
    del slot_types.TYPES["stars"], CATALOGUE["ballad"], catalogue.FOLDERS["ballad"]
    del registry._RULES["content/modesty"], system_files.FORMS["names"]
    for cached in (sheets.layouts_css, sheets.site_css, sheets.used_names, catalogue.kind_css):
        cached.cache_clear()
    for name in ("extension_stars", "extension_modesty", "extension_names"):
        sys.modules.pop(name)


@pytest.fixture
def ballad(added: None) -> Site:
    body = plan(Identity(name="Willow")).model_dump()
    content: dict[str, Any] = {"heading": "Of the fen", "stars": 5, "verse": "The willow bends and does not break."}
    section = Section(id="ballad", kind="ballad", layout="stanza", ground="deep", content=content)
    body["pages"][0]["sections"].append(section.model_dump())
    return Site.model_validate(body)


def test_it_is_drawn_with_its_own_template_and_style(ballad: Site) -> None:
    system = resolve(ballad.identity, ballad.choices)
    files = render(ballad, system)
    html, css = files["index.html"].decode(), files["site.css"].decode()
    assert "★★★★★" in html and '<p class="refrain">Hey ho</p>' in html and 'region--words" data-ground="paper"' in html
    assert ".ballad--stanza>.grid>.region--stars{" in css and "rotate:90deg" in css
    assert 'data-slot="verse"' in render_page(ballad, system, ballad.pages[0], Preview("/fonts/"))


def test_it_is_predicted_checked_and_reached(ballad: Site) -> None:
    system = resolve(ballad.identity, ballad.choices)
    facts = [one for one in predict(ballad, system) if one.place.section == "ballad"]
    runs = {one.place.slot: one for one in facts if isinstance(one, TextRun)}
    assert set(runs) == {"heading", "verse", "stars"} and runs["verse"].ground == "paper" and runs["stars"].ground == "deep"
    assert runs["verse"].fits[1280].box < 6 / 12 * 1168 and runs["stars"].fits == {}
    assert [one.text for one in facts if isinstance(one, Words) and one.place.slot == "stars"] == ["★★★★★"]
    found = [one for one in check_site(ballad, system).findings if one.rule == "content/modesty"]
    assert [one.message for one in found] == ["★★★★★ is as much as there is."]
    uses = reach(ballad, system, predict(ballad, system))
    assert any(use.section == "ballad" for use in uses["ground/paper/background"]), "its card"
    assert any(use.section == "ballad" for use in uses["space/5"]) and not any(
        use.section == "ballad" for use in uses["space/8"]
    )


def test_it_is_in_the_lists_of_the_interface(ballad: Site) -> None:
    library = answers.library()
    (kind,) = [one for one in library.kinds if one.id == "ballad"]
    (layout,) = kind.layouts
    assert (kind.label, layout.label) == ("Ballad", "Stanza") and len(layout.sketch) >= 4
    assert {piece.what for piece in layout.sketch} >= {"card", "heading", "text"}
    assert {slot.path: (slot.type, slot.blank) for slot in kind.slots}["stars"] == ("stars", 3)
    assert "content/modesty" in rules() and "names" in system_files.FORMS
    assert signature(CATALOGUE["ballad"], "stanza").regions[0].over
    system = resolve(ballad.identity, ballad.choices)
    assert b"ground/paper/background" in system_files.FORMS["names"].write(system, "Willow")


def test_what_is_there_already_is_not_taken_in_again(added: None, tmp_path: Path) -> None:
    with pytest.raises(DeclarationError, match="already"):
        catalogue.add(tmp_path / "ballad")
    with pytest.raises(ValueError, match="already"):
        system_files.add(system_files.FORMS["names"])
    with pytest.raises(ValueError, match="two rules"):
        loaded(tmp_path, "extension_modesty", RULE)
    with pytest.raises(ValueError, match="Rating takes a number"):
        Section.model_validate({"id": "x", "kind": "ballad", "layout": "stanza", "content": {"stars": 7}})
