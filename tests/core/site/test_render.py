"""Pages: planned without inventions, rendered whole, safe and with tokens only."""

import re
from html.parser import HTMLParser

import pytest

from formulon.core.site.catalogue import CATALOGUE
from formulon.core.site.motif_drawn import motif_css
from formulon.core.site.pictures import KINDS, draw
from formulon.core.site.planning.planner import plan
from formulon.core.site.render import Preview, render, render_page
from formulon.core.site.sheets import minified, shared_css, site_css, used_names
from formulon.core.site.site import Frame, Page, Section, Site
from formulon.core.system.documents.choices import Choices
from formulon.core.system.documents.identity import Contact, Identity
from formulon.core.system.resolve import resolve


class Links(HTMLParser):
    def __init__(self, html: str) -> None:
        super().__init__()
        self.found: list[str] = []
        self.ids: list[str] = []
        self.feed(html)

    def handle_starttag(self, tag: str, attrs: list[tuple[str, str | None]]) -> None:
        for name, value in attrs:
            if name in ("href", "src") and value:
                self.found.append(value)
            if name == "id" and value:
                self.ids.append(value)


def files_of(site: Site) -> dict[str, bytes]:
    return render(site, resolve(site.identity, site.choices))


def test_every_reference_is_a_file_of_the_site(site: Site) -> None:
    files = files_of(site)
    assert {"index.html", "about.html", "offer.html", "contact.html", "site.css", "tokens.css"} <= set(files)
    for name in (name for name in files if name.endswith(".html")):
        for link in Links(files[name].decode()).found:
            if not link.startswith(("mailto:", "tel:", "https:", "#")):
                assert link in files, (name, link)
    for path in re.findall(r"url\(([^)]+)\)", files["tokens.css"].decode()):
        assert path in files


def test_fonts_come_with_their_licence(site: Site) -> None:
    files = files_of(site)
    fonts = {name.rsplit("/", 1)[0] for name in files if name.endswith(".woff2")}
    assert fonts and all(f"{folder}/OFL.txt" in files for folder in fonts)


def test_extended_latin_is_delivered_only_where_it_is_used(site: Site) -> None:
    assert not any("latin-ext" in name for name in files_of(site))
    site.identity.contact = Contact(address="Łódź")
    site.frame.footer.content["note"] = "Łódź"
    assert any("latin-ext" in name for name in files_of(site))


def test_no_script_and_no_outside_address(site: Site) -> None:
    for name, data in files_of(site).items():
        if name.endswith((".html", ".css")):
            text = data.decode()
            assert not re.search(r"<script(?! type=\"application/ld\+json\">)", text) and "javascript:" not in text
            assert not re.search(r"(?:src|href)=\"https?://|url\(https?:", text)


def test_css_of_sections_holds_no_literal_color_or_font() -> None:
    """Every visual value is a token: no hex, no rgb(), no font name, in any section's style sheet."""
    css = minified(site_css())
    assert not re.search(r"#[0-9a-fA-F]{3,8}\b|rgba?\(|hsla?\(|font-family:(?!var)", css)
    # What is painted is a token, or follows from one; black is for paper alone.
    screen = css.replace(minified(shared_css("print")), "")
    painted = re.findall(r"(?<![\w-])(?:color|background|fill|stroke|border-color)\s*:\s*([^;}]+)", screen)
    assert len(painted) > 60
    for value in painted:
        assert re.match(
            r"var\(|none\b|inherit\b|currentColor\b|color-mix\(in srgb,currentColor|url\(\"data:image", value.strip()
        ), value


def test_every_token_that_css_uses_exists(site: Site) -> None:
    from formulon.core.system.css import tokens_css

    kinds = {name: {"ratio": "1:1", "corners": 4} for name in ("opening", "text", "card")}
    chosen = site.with_choices(Choices.model_validate({"motif": {"shape": "ring"}, "picture_kinds": kinds}))
    system = resolve(chosen.identity, chosen.choices)
    declared = set(re.findall(r"(--[\w-]+)\s*:", tokens_css(system, used_names())))
    # Where a picture is cropped and overlaid, how a motif is drawn, and the places of sections in orders of their own.
    own = set(re.findall(r"(?<=[{;])(--[\w-]+)\s*:", minified(site_css() + motif_css(chosen, system))))
    plain = {
        "--focus-x",
        "--focus-y",
        "--on-phone",
        "--on-tablet",
        "--on-desktop",
        "--across",
        "--down",
        "--overlay",
        "--moves",
        "--corner",
        "--column",
        "--margin",
        "--space-gutter",
    }
    assert own == plain | {"--motif-wide", "--motif-whole", "--motif-down"}
    assert set(re.findall(r"var\((--[\w-]+)", site_css())) <= declared | own


@pytest.mark.parametrize("kind", sorted(CATALOGUE))
def test_every_layout_renders_with_all_slots_and_with_none(kind: str, quillmoor: Identity) -> None:
    full: dict = {}
    for name, slot in CATALOGUE[kind].slots.items():
        full[name] = _value(slot)
    for layout in CATALOGUE[kind].layouts:
        for content in (full, {}):
            section = Section(id="x", kind=kind, layout=layout, ground="tint", content=content)
            made = plan(quillmoor)
            if kind in ("header", "footer"):
                setattr(made.frame, kind, section)
            else:
                made.pages[0].sections = [section]
            html = render_page(made, resolve(quillmoor), made.pages[0])
            assert f"{kind.replace('_', '-')}--{layout}" in html
            if content and "heading" in full:
                assert "Some words" in html


def _value(slot):  # type: ignore[no-untyped-def]
    if slot.type == "items":
        return [{name: _value(inner) for name, inner in slot.items.items()}] * 3
    if slot.type == "action":
        return {"label": "Go", "to": "page:home"}
    if slot.type == "picture":
        return {"source": "drawn:hills/3", "alt": "Hills", "decorative": False}
    return "Some words" if slot.type in ("text", "rich_text") else slot.of.blank(slot)


def test_text_is_escaped_everywhere(quillmoor: Identity) -> None:
    hostile = "<img src=x onerror=alert(1)>\"'"
    body = quillmoor.model_dump() | {
        "name": hostile,
        "strapline": hostile,
        "does": hostile,
        "audience": hostile,
        "place": hostile,
    }
    body["offers"] = [{"name": hostile, "text": hostile}]
    body["contact"]["address"] = hostile
    made = plan(Identity.model_validate(body))
    made.pages[0].title = made.pages[0].description = hostile
    for data in files_of(made).values():
        assert b"<img src=x" not in data


@pytest.mark.parametrize(
    "to", ["javascript:alert(1)", "data:text/html,x", "//evil.example", "page:../x", "vbscript:x", " https://a b"]
)
def test_destinations_have_an_allow_list(to: str) -> None:
    with pytest.raises(ValueError, match="destination"):
        Section(id="x", kind="hero", layout="words", content={"primary": {"label": "Go", "to": to}})


def test_content_that_a_kind_does_not_have_is_refused() -> None:
    with pytest.raises(ValueError, match="no place for"):
        Section(id="x", kind="hero", layout="words", content={"video": "x"})
    with pytest.raises(ValueError, match="no layout"):
        Section(id="x", kind="hero", layout="spiral")


def test_planner_uses_the_brief_and_invents_nothing() -> None:
    """Every text of a bare brand is a placeholder, or one of the planner's own fixed words."""
    bare = plan(Identity(name="Bare"))
    text = "".join(page.model_dump_json() for page in bare.pages)
    assert text.count("[[") >= 12
    assert not re.search(r"\d{3,}|@|£|\$|€", re.sub(r"drawn:\w+/\d+|own:[^\"]+", "", text))


def test_planned_words_come_from_the_brief(quillmoor: Identity) -> None:
    made = plan(quillmoor)
    home = made.pages[0].model_dump_json()
    assert quillmoor.strapline in home and quillmoor.offers[0].name in home
    assert "[[" not in "".join(page.model_dump_json() for page in made.pages)
    assert plan(quillmoor) == made


def test_placeholders_are_marked(quillmoor: Identity) -> None:
    made = plan(Identity(name="Bare"))
    html = render_page(made, resolve(made.identity), made.pages[0])
    assert '<span class="placeholder">' in html and "[[" not in html


def test_preview_marks_slots_and_needs_no_file(site: Site) -> None:
    html = render_page(site, resolve(site.identity), site.pages[0], Preview("/static/fonts/"))
    assert 'data-slot="heading"' in html and '<style id="tokens">' in html
    assert "data-slot" not in render_page(site, resolve(site.identity), site.pages[0])
    assert [link for link in Links(html).found if link.endswith((".css", ".svg"))] == []


@pytest.mark.parametrize("kind", sorted(KINDS))
def test_drawings_are_deterministic_and_differ_by_seed(kind: str) -> None:
    assert draw(f"drawn:{kind}/1") == draw(f"drawn:{kind}/1")
    assert draw(f"drawn:{kind}/1") != draw(f"drawn:{kind}/2")


def test_first_page_is_the_start_page(site: Site) -> None:
    assert site.file_name(site.pages[0]) == "index.html"
    assert [page.id for page in site.pages] == site.frame.order


def test_pages_without_order_are_appended(quillmoor: Identity) -> None:
    made = plan(quillmoor)
    made.frame.order = ["contact"]
    again = Site.model_validate(made.model_dump())
    assert again.frame.order == ["contact", "home", "offer"]


def test_two_pages_of_one_id_are_refused(quillmoor: Identity) -> None:
    body = plan(quillmoor).model_dump()
    body["pages"].append(Page(id="home", name="Again").model_dump())
    with pytest.raises(ValueError, match="same id"):
        Site.model_validate(body)


def test_pages_say_where_they_stand(site: Site) -> None:
    """The Open Graph protocol (ogp.me) wants whole addresses; RFC 6596 defines the canonical link."""
    frame = Frame.model_validate(site.frame.model_dump() | {"address": "https://quillmoor.example/sky"})
    placed = site.model_copy(update={"frame": frame})
    files = files_of(placed)
    home, about = files["index.html"].decode(), files["about.html"].decode()
    assert '<link rel="canonical" href="https://quillmoor.example/sky/">' in home
    assert '<meta property="og:url" content="https://quillmoor.example/sky/about.html">' in about
    found = re.search(r'property="og:image" content="https://quillmoor\.example/sky/(social/home-[0-9a-f]{12}\.png)"', home)
    assert found, home
    assert "canonical" not in files_of(site)["index.html"].decode()


@pytest.mark.parametrize(
    "address", ["quillmoor.example", "javascript:alert(1)", 'https://a.example/"><script>', "https://a.example?x"]
)
def test_what_is_no_address_is_turned_away(site: Site, address: str) -> None:
    with pytest.raises(ValueError, match="no address of a site"):
        Frame.model_validate(site.frame.model_dump() | {"address": address})


def header_of(html: str) -> str:
    return html[html.index("<header") : html.index("</header>")]


@pytest.mark.parametrize(("language", "twice"), [("en-GB", False), ("nb", True), ("fi", True), ("de", False)])
def test_the_header_names_a_page_once(language: str, twice: bool) -> None:
    """Where the button has no words of its own, it is called as the page is, which then stands in no list beside it."""
    site = plan(Identity(name="Q", language=language, pages=["Sivu"]))
    action = site.frame.header.content["action"]
    contact = next(page for page in site.pages if f"page:{page.id}" == action["to"])
    assert (action["label"] == contact.name) is twice
    system = resolve(site.identity)
    for page in site.pages:
        html = render_page(site, system, page)
        names = re.findall(r'<li><a href="[^"]*"(?: aria-current="page")?>([^<]*)</a>', header_of(html))
        alone = len(site.menu()) == 1  # which stays, under whatever name
        assert (contact.name in names) is (alone or not twice) and len(names) == len(site.menu()) - (twice and not alone)
        assert contact.name in html[html.index("<footer") :].replace("\u00ad", "")


def test_a_header_whose_only_page_is_that_of_its_button_keeps_it() -> None:
    site = plan(Identity(name="Q", language="nb"))
    hidden = [page.model_copy(update={"menu": page.id == "contact"}) for page in site.pages]
    site = Site(identity=site.identity, choices=site.choices, frame=site.frame, pages=hidden)
    assert [entry.page for entry in site.header_menu()] == ["contact"]


@pytest.mark.parametrize("layout", CATALOGUE["footer"].layouts)
def test_words_of_a_footer_that_are_set_smaller_have_their_rule(layout: str) -> None:
    identity = Identity(
        name="Natursteinrestaurierungsarbeiten", strapline="Natursteinrestaurierungsarbeiten an Fassaden", language="de"
    )
    site = plan(identity)
    footer = site.frame.footer.model_copy(update={"layout": layout, "content": {"text": identity.strapline}})
    site = site.model_copy(update={"frame": site.frame.model_copy(update={"footer": footer})})
    files = {
        name: data.decode() for name, data in render(site, resolve(identity)).items() if name in ("index.html", "site.css")
    }
    foot = files["index.html"].partition("<footer")[2]
    for step, scale in re.findall(r'class="t-(\w+)[^>]* data-fit="(\d+)"', foot):
        assert f'.t-{step}[data-fit="{scale}"]{{' in files["site.css"]
    assert ("data-fit" in foot) == (layout == "plinth")
