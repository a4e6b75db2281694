"""Slot types: what they take, what they show, and what is known of them."""

import math
import re
from pathlib import Path
from typing import Any

import pytest
from hypothesis import given
from hypothesis import strategies as st
from lxml import html as lxml_html
from markdown_it import MarkdownIt

from formulon.core.checks.page_facts import Destination, TextRun, Words
from formulon.core.checks.predict import predict_section
from formulon.core.site.catalogue import CATALOGUE
from formulon.core.site.kind import Kind, Slot
from formulon.core.site.layout import Layout, Place, Region
from formulon.core.site.planning.planner import plan
from formulon.core.site.render import Preview, render, render_page
from formulon.core.site.site import Section, Site
from formulon.core.site.slot_types import TYPES, SlotTypeError, take_in
from formulon.core.site.slot_types.rich_text import blocks, links, without_links
from formulon.core.system.documents.identity import Identity
from formulon.core.system.resolve import resolve

ROOT = Path(__file__).resolve().parent.parent.parent.parent
SLOTS = {
    "text": Slot("Text"), "rich_text": Slot("Story", "rich_text", most=4000), "action": Slot("Button", "action"),
    "picture": Slot("Picture", "picture"), "table": Slot("Prices", "table"),
    "code": Slot("Code", "code"), "form": Slot("Form", "form"), "map": Slot("Map", "map"), "rating": Slot("Stars", "rating"),
    "items": Slot("Items", "items", most=3, items={"title": Slot("Title"), "link": Slot("Link", "action", variant="text")}),
}  # fmt: skip
STORY = "We cut the willow *ourselves*, on\nfour acres of fen.\n\nAsk for:\n\n- baskets\n- **hurdles**\n\n1. Choose\n2. [Write to us](page:home)"


def test_every_type_is_found_and_has_an_editor_of_its_name_in_the_interface() -> None:
    files = {file.stem for file in (ROOT / "formulon/core/site/slot_types").glob("*.py")} - {"__init__", "base"}
    assert set(TYPES) == files == set(SLOTS)
    editors = (ROOT / "web/src/stages/pages/editors/index.ts").read_text(encoding="utf-8")
    assert set(re.findall(r"^  (\w+): ", editors, flags=re.MULTILINE)) == files


@pytest.mark.parametrize("name", SLOTS)
def test_what_is_blank_can_be_stored_and_shown(name: str) -> None:
    slot = SLOTS[name]
    blank = slot.of.blank(slot)
    assert slot.of.validate(slot, blank) is not None and slot.of.filled(blank)
    assert slot.of.validate(slot, slot.of.validate(slot, blank)) == slot.of.validate(slot, blank)
    assert list(slot.of.inner("x", slot, blank)) and not list(slot.of.inner("x", slot, None))
    assert all(isinstance(one, str) and one for one in slot.of.words(blank))


WRONG: list[tuple[str, Any, str]] = [
    ("text", 3, "takes a text"),
    ("text", "a" * 601, "at most 600"),
    ("rich_text", "[go](javascript:alert(1))", "no destination"),
    ("rich_text", ["a"], "takes a text"),
    ("action", {"label": "Go", "to": "javascript:x"}, "no destination"),
    ("picture", {"source": "https://example.org/a.png"}, "source"),
    ("rating", 6, "from 0 to 5"),
    ("rating", 4.2, "steps of a half"),
    ("rating", "5", "takes a number"),
    ("rating", True, "takes a number"),
    ("items", {}, "takes a list"),
    ("items", [{}] * 4, "at most 3"),
    ("items", ["a"], "list of objects"),
    ("items", [{"text": "a"}], "no place for “text”"),
    ("table", {"head": [], "rows": []}, "head"),
    ("table", {"head": ["a", "b"], "rows": [["1"]]}, "Row 1 has 1 cells"),
    ("table", {"head": ["a"] * 9, "rows": []}, "head"),
    ("table", {"head": ["a"], "rows": [["1"]] * 61}, "rows"),
    ("form", {"fields": [], "label": "Send"}, "fields"),
    ("form", {"fields": [{"label": "a"}], "label": "Send", "to": "javascript:x"}, "no destination"),
    ("form", {"fields": [{"label": "a", "kind": "file"}], "label": "Send"}, "kind"),
    ("code", {"html": "a" * 20_001}, "html"),
    ("code", {"html": "<p>a</p>", "js": "x"}, "js"),
    ("map", {"ways": [{"text": "a", "side": "up"}]}, "side"),
    ("map", {"ways": [{"text": "a"}] * 9}, "ways"),
]


@pytest.mark.parametrize(("name", "value", "told"), WRONG)
def test_what_a_type_does_not_take_is_told_of(name: str, value: Any, told: str) -> None:
    with pytest.raises(ValueError, match=re.escape(told)):
        SLOTS[name].of.validate(SLOTS[name], value)


def test_a_type_is_taken_in_once_and_only_if_it_is_one() -> None:
    with pytest.raises(SlotTypeError, match="already"):
        take_in("text", TYPES["text"])
    with pytest.raises(SlotTypeError, match="does not derive"):
        take_in("other", object())


# Rich text against a reference implementation of CommonMark (markdown-it-py).


def reference(text: str) -> list[tuple[str, list[str]]]:
    root = lxml_html.fragment_fromstring(MarkdownIt("commonmark").render(text), create_parent="div")
    made = []
    for block in root:
        texts = [" ".join(item.text_content().split()) for item in (block if block.tag != "p" else [block])]
        made.append((str(block.tag), texts))
    return made


def mine(text: str) -> list[tuple[str, list[str]]]:
    return [(one.kind, [re.sub(r"\*+", "", without_links(part)) for part in one.texts]) for one in blocks(text)]


WORD = st.text("abcdefghij", min_size=1, max_size=8)
LINE = st.lists(
    st.one_of(WORD, WORD.map("*{}*".format), WORD.map("**{}**".format), WORD.map("[{}](page:home)".format)), min_size=1, max_size=6
).map(" ".join)  # fmt: skip
BULLETS = st.lists(LINE.map("- {}".format), min_size=1, max_size=4).map("\n".join)
NUMBERS = st.lists(LINE, min_size=1, max_size=4).map(lambda lines: "\n".join(f"{n}. {line}" for n, line in enumerate(lines, 1)))
PARAGRAPH = st.lists(LINE, min_size=1, max_size=3).map("\n".join)


@given(st.lists(st.tuples(st.sampled_from("pbn"), PARAGRAPH, BULLETS, NUMBERS), min_size=1, max_size=5))
def test_blocks_are_those_of_commonmark(parts: list[tuple[str, str, str, str]]) -> None:
    kinds = [kind for kind, *_ in parts]
    for index in range(1, len(kinds)):  # two lists of a kind in succession are one there, too
        if kinds[index] == kinds[index - 1]:
            kinds[index] = "p"
    text = "\n\n".join({"p": p, "b": b, "n": n}[kind] for kind, (_, p, b, n) in zip(kinds, parts, strict=True))
    assert mine(text) == reference(text)


@given(st.text(max_size=300))
def test_any_text_has_blocks_and_keeps_its_words(text: str) -> None:
    made = [part for block in blocks(text) for part in block.texts]
    assert all(made) and sum(len(part.split()) for part in made) <= len(text.split()) + text.count("\n") + 1
    assert all(label and to for label, to in links(text))


# On a page


def with_section(kind: str, layout: str, **content: Any) -> Site:
    """A site whose start page has one section."""
    body = plan(Identity(name="Willow")).model_dump()
    section = {"id": "one", "kind": kind, "layout": layout, "content": content}
    body["pages"][0]["sections"] = [Section.model_validate(section).model_dump()]
    return Site.model_validate(body)


def test_a_form_has_a_label_for_every_field_and_says_where_it_goes() -> None:
    fields = [
        {"label": "Email", "kind": "email", "required": True, "help": "We answer within a day."},
        {"label": 'What <is> "it"?', "kind": "message"},
    ]
    site = with_section("contact", "desk", heading="Ask", form={"fields": fields, "label": "Send", "to": "mailto:a@b.example"})
    html = render(site, site.system())["index.html"].decode()
    (form,) = lxml_html.fromstring(html).findall(".//form")
    assert form.get("action") == "send/home/one" and form.get("method") == "post" and "a@b.example" not in html
    controls = {one.get("id"): one for one in form.iter("input", "textarea")}
    labels = {one.get("for"): "".join(one.itertext()) for one in form.iter("label")}
    assert controls.keys() == labels.keys() and list(labels.values())[:2] == ["Email", 'What <is> "it"?']
    email, words, trap = controls.values()
    assert trap.get("tabindex") == "-1" and form.find_class("leave")[0].get("aria-hidden") == "true"
    assert email.get("required") is not None and email.get("type") == email.get("autocomplete") == "email"
    assert form.get_element_by_id(email.get("aria-describedby")).text == "We answer within a day." and words.tag == "textarea"
    page = site.pages[0]
    facts = predict_section(site, site.system(), page, page.sections[0])
    assert [one.to for one in facts if isinstance(one, Destination)] == ["mailto:a@b.example"]
    told = {one.text: one for one in facts if isinstance(one, TextRun)}
    assert told["Email"].step == "label" and told["Send"].ink.startswith("primary/label/") and not told["Email"].fits


def test_a_map_draws_each_way_from_its_side_and_lists_it() -> None:
    ways = [{"text": "From the quay", "side": "s", "how": "boat"}, {"text": "From the road", "side": "e", "how": "car"}] * 2
    site = with_section("place", "survey", heading="Here", map={"ways": ways})
    html = render(site, site.system())["index.html"].decode()
    (box,) = lxml_html.fromstring(html).find_class("map")
    assert ["".join(one.itertext()) for one in box.iter("li")] == [way["text"] for way in ways]
    numbers = [(int(one.get("x")), int(one.get("y"))) for one in box.find_class("map-number")]
    assert len(set(numbers)) == 4, "two ways from one side do not begin at one place"
    middle = 240, 180
    assert all(y > middle[1] for _, y in numbers[::2]) and all(x > middle[0] for x, _ in numbers[1::2])
    assert len(box.find_class("map-way--boat")) == 2
    assert not lxml_html.fromstring(
        render(with_section("place", "survey", heading="Here", map={"ways": []}), site.system())["index.html"].decode()
    ).find_class("map-ways")


def test_questions_unfold_and_pictures_open_without_a_script() -> None:
    asked = with_section("questions", "margin", heading="Asked", items=[{"title": "Why willow?", "text": "It bends."}])
    root = lxml_html.fromstring(render(asked, asked.system())["index.html"].decode())
    (one,) = root.findall(".//main//details")
    assert "".join(one.find("summary").itertext()) == "Why willow?" and "It bends." in "".join(one.itertext())
    drawn = {"source": "drawn:arcs/1", "alt": "A basket", "decorative": False}
    hung = with_section(
        "gallery", "salon", heading="Seen", items=[{"picture": drawn}, {"picture": {**drawn, "decorative": True}}]
    )
    files = render(hung, hung.system())
    root = lxml_html.fromstring(files["index.html"].decode())
    buttons, views = root.find_class("opens"), root.find_class("large")
    assert [one.get("aria-label") for one in buttons] == ["Enlarge: A basket", "Enlarge"]
    assert [one.get("popovertarget") for one in buttons] == [one.get("id") for one in views]
    assert all(one.get("popover") is not None and one.find_class("large-close") for one in views)
    assert ".large" in files["site.css"].decode() and ".unfold" not in files["site.css"].decode()


@pytest.fixture
def page(monkeypatch: pytest.MonkeyPatch) -> Site:
    regions = {
        "lead": Region(("heading",)),
        "words": Region(("story", "prices"), Place((1, 7)), caps={"story": 34}),
    }
    slots = {
        "heading": Slot("Headline", tag="h1", step="h1", ink="heading"),
        "story": SLOTS["rich_text"],
        "prices": SLOTS["table"],
    }
    monkeypatch.setitem(CATALOGUE, "story", Kind("Story", slots, {"one": Layout("One", "One.", regions)}))  # type: ignore[arg-type]
    site = plan(Identity(name="Willow"))
    content = {
        "heading": "Ours",
        "story": STORY,
        "prices": {"head": ["What", "Price"], "rows": [["Basket", "48 €"], ["Hurdle", "120 €"]]},
    }
    section = Section(id="story", kind="story", layout="one", content=content)
    body = site.model_dump()
    body["pages"][0]["sections"] = [section.model_dump()]
    return Site.model_validate(body)


def test_rich_text_and_tables_are_drawn_with_their_parts(page: Site) -> None:
    system = resolve(page.identity, page.choices)
    files = render(page, system)
    html, css = files["index.html"].decode(), files["site.css"].decode()
    root = lxml_html.fromstring(html)
    (prose,) = root.find_class("prose")
    assert [one.tag for one in prose] == ["p", "p", "ul", "ol"] and prose.findall(".//strong")[0].text == "hurdles"
    assert prose.findall(".//a")[0].get("href") == "index.html" and len(prose.findall(".//li")) == 4
    (table,) = root.find_class("table")
    assert [one.text for one in table.findall("thead//th")] == ["What", "Price"]
    assert [one.text for one in table.findall("tbody//td")] == ["48 €", "120 €"]
    assert ".prose" in css and ".table" in css and ".button--primary" in css
    preview = render_page(page, system, page.pages[0], Preview("/fonts/"))
    assert 'data-slot="story"' in preview and 'data-slot="prices"' in preview


def test_facts_of_rich_text_and_tables(page: Site) -> None:
    system = resolve(page.identity, page.choices)
    facts = predict_section(page, system, page.pages[0], page.pages[0].sections[0])
    runs = {fact.text: fact for fact in facts if isinstance(fact, TextRun)}
    assert {"baskets", "hurdles", "Choose", "Write to us", "48 €"} <= set(runs)
    assert runs["baskets"].fits[1280].box == pytest.approx(runs["Ask for:"].fits[1280].box - 1.5 * runs["baskets"].sizes[1280])
    assert runs["48 €"].fits == {}, "the width of a cell cannot be told"
    inks = {fact.ink for fact in facts if isinstance(fact, TextRun) and fact.text == "Write to us"}
    assert inks == {"body", "link"}
    (led,) = [fact for fact in facts if isinstance(fact, Destination)]
    assert led.alive and led.to == "page:home"
    assert sum(isinstance(fact, Words) for fact in facts) == 2 + 6


@pytest.mark.parametrize(
    ("given", "language", "told"), [(4.5, "de", "4,5 von 5"), (3.0, "en", "3 out of 5"), (5.0, "hu", "5/5")]
)
def test_stars_are_drawn_and_told_in_the_language_of_the_page(given: float, language: str, told: str) -> None:
    made = plan(Identity(name="Weidling", language=language))
    items = [{"text": "It holds.", "rating": given}, {"text": "So does mine.", "rating": 0}]
    quotes = Section.model_validate({"id": "q", "kind": "quotes", "layout": "chorus", "content": {"items": items}})
    page = made.pages[0].model_copy(update={"sections": [quotes]})
    whole = made.model_copy(update={"pages": [page, *made.pages[1:]]})
    found = lxml_html.fromstring(render_page(whole, whole.system(), page)).find_class("rating")
    assert [one.get("aria-label") for one in found] == [told] and found[0].get("role") == "img"
    assert len(list(found[0].iter("g"))) == 5 and len(found[0].find_class("given")) == math.ceil(given)
    css = "".join(data.decode() for name, data in render(whole, whole.system()).items() if name.endswith(".css"))
    assert ".rating .given{fill:currentColor}" in css


def test_a_credit_stands_on_its_picture_and_is_checked_as_any_text() -> None:
    picture = {"source": "drawn:arcs/1", "alt": "Arcs", "decorative": False, "credit": "Zeichnung: O. <Weber>"}
    site = with_section("picture_text", "column", heading="Seen", text="Words.", picture=picture)
    files = render(site, site.system())
    html = files["index.html"].decode()
    (credit,) = lxml_html.fromstring(html).find_class("credit")
    assert credit.text == "Zeichnung: O. <Weber>" and b".credit" in files["site.css"]
    page = site.pages[0]
    told = [one for one in predict_section(site, site.system(), page, page.sections[0]) if isinstance(one, TextRun)]
    assert [one.ink for one in told if one.text == credit.text] == ["quiet"]
    plain = with_section("picture_text", "column", heading="Seen", text="Words.", picture=picture | {"credit": ""})
    bare = render(plain, plain.system())
    assert b".credit" not in bare["site.css"] and "credit" not in plain.pages[0].sections[0].content["picture"]
