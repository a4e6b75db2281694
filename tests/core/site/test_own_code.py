"""The designer's own HTML and CSS: what is taken, what is left out, that it stays where it is, and what is known of its colours."""

import re
from typing import Any

import cssselect2
import pytest
import tinycss2
from hypothesis import given
from hypothesis import strategies as st
from lxml import html as lxml_html

from formulon.core.checks.findings import Fix
from formulon.core.checks.own_cascade import own_colors, own_texts, resolved
from formulon.core.checks.own_code import as_at_rest, from_system
from formulon.core.checks.page_facts import Destination, Fact, OwnCode, PagePlace, PictureFact, TextRun
from formulon.core.checks.predict import predict, predict_section
from formulon.core.checks.preflight import Preflight, check_site
from formulon.core.checks.rule import SAID
from formulon.core.checks.runner import check
from formulon.core.site.changes import Change, apply
from formulon.core.site.own.css import scoped
from formulon.core.site.own.html import TAGS, cleaned, divided
from formulon.core.site.planning.planner import plan
from formulon.core.site.render import Preview, render, render_page
from formulon.core.site.site import Section, Site
from formulon.core.system.documents.choices import Choices
from formulon.core.system.documents.identity import BrandColor, Identity

SCOPE = "own-1"
# Ways in which a script gets into a page, of the kinds that the OWASP cheat sheet on filter evasion lists (from memory).
HOSTILE = [
    "<script>alert(1)</script>",
    "<img src=x onerror=alert(1)>",
    "<svg/onload=alert(1)>",
    "<a href=javascript:alert(1)>x</a>",
    "<a href=' java\tscript:alert(1)'>x</a>",
    "<a href='&#106;avascript:alert(1)'>x</a>",
    "<a href='data:text/html,<script>alert(1)</script>'>x</a>",
    "<iframe src='https://elsewhere.example'></iframe>",
    "<form action='https://elsewhere.example'><input name=a><button>Go</button></form>",
    "<p style='background:url(https://elsewhere.example)'>x</p>",
    "<style>@import 'https://elsewhere.example';</style>",
    "<math><mtext><table><mglyph><style><img src=x onerror=alert(1)>",
    "<noscript><p title='</noscript><img src=x onerror=alert(1)>'>",
    "<p title='</p><script>alert(1)</script>'>x</p>",
    "<template><script>alert(1)</script></template>",
    "<base href='https://elsewhere.example'><meta http-equiv=refresh content=0><link rel=stylesheet href=x>",
    "<div popover onbeforetoggle=alert(1)>x</div>",
    "<video><source onerror=alert(1)></video>",
    "<img src='asset:a' alt='\"><script>alert(1)</script>'>",
    "<!--><script>alert(1)</script>-->",
]


def assert_harmless(html: str) -> None:
    for one in lxml_html.fragment_fromstring(html, create_parent="div").iterdescendants():
        assert one.tag in TAGS - {"h1"}, html
        assert not any(name.startswith("on") or name in ("style", "srcdoc", "action", "popover") for name in one.attrib), html
        assert re.match(r"(#|page:|https?:|mailto:|tel:)", one.get("href", "#")), html
        assert re.match(r"(asset|drawn):", one.get("src", "asset:")), html


@pytest.mark.parametrize("source", HOSTILE)
def test_no_way_into_a_page_is_taken(source: str) -> None:
    made = cleaned(f"<p>Before</p>{source}<p>After</p>", SCOPE)
    assert_harmless(made.html)
    assert made.html.startswith("<p>Before</p>") and "alert(1)" not in re.sub(r'alt="[^"]*"|title="[^"]*"', "", made.html)
    assert made.left_out or source.startswith(("<!--", "<p title")) or "alt=" in source


_PIECES = st.lists(
    st.one_of(
        st.sampled_from(HOSTILE), st.sampled_from(["<p>", "</p>", "<h1>", "</h1>", "<ul><li>", "</ul>", "<table>", "<td>", '"', "'", "<", ">", "&lt;", "<!--"]),
        st.text(max_size=12), st.sampled_from(['<a href="page:home" ', 'id="a"', 'class="b"', "onclick=x", "/>"]),
    ),
    max_size=12,
).map("".join)  # fmt: skip


@given(_PIECES)
def test_whatever_is_written_what_is_taken_is_harmless_and_stays_as_it_is(source: str) -> None:
    made = cleaned(source, "")
    assert_harmless(made.html)
    again = cleaned(made.html, "").html
    assert re.sub(r'( id="|href="#)-+', r"\1", again) == re.sub(r'( id="|href="#)-+', r"\1", made.html)


def test_what_a_page_needs_is_kept() -> None:
    source = (
        '<h3 id="way">The way</h3><p class="lead" lang="de">Von <strong>Rand</strong> <a href="page:home#shop">hier</a> '
        '<a href="#way">da</a></p><table><tr><th scope="col" colspan="2">A</th></tr></table>'
        '<details open><summary>Mehr</summary>Ja</details><p aria-labelledby="way">x</p><img src="drawn:boat/3" alt="">'
    )
    made = cleaned(source, SCOPE)
    assert made.left_out == ()
    assert made.html == source.replace('id="way"', 'id="own-1-way"').replace("#way", "#own-1-way").replace(
        'labelledby="way"', 'labelledby="own-1-way"'
    ).replace("<table><tr>", "<table><tbody><tr>").replace("</tr></table>", "</tr></tbody></table>").replace("<details open>", '<details open="">')  # fmt: skip


def test_a_second_headline_is_one_of_the_second_level() -> None:
    made = cleaned('<h1 class="a">One</h1><p title="<h1">x</p>')
    assert made.html == '<h2 class="a">One</h2><p title="h1">x</p>' and "<h1>" in made.left_out[0]


CSS = [
    ("p { color: red }", ".own-1 p { color: red; }"),
    ("body, html, :root { margin: 0 }", ".own-1, .own-1, .own-1 { margin: 0; }"),
    ("body > p, html.dark a { margin: 0 }", ".own-1 > p, .own-1.dark a { margin: 0; }"),
    ("#a:is(#b, .c) { margin: 0 }", ".own-1 #own-1-a:is(#own-1-b, .c) { margin: 0; }"),
    ("@media (width < 40rem) { p { margin: 0 } }", "@media (width < 40rem) {\n.own-1 p { margin: 0; }\n}"),
    ("p { animation: turn 2s } @keyframes turn { to { rotate: 1turn } }",
     ".own-1 p { animation: own-1-turn 2s; }\n@keyframes own-1-turn {\nto { rotate: 1turn; }\n}"),
    ('p::before { content: "</style>" }', '.own-1 p::before { content: "<\\/style>"; }'),
]  # fmt: skip


@pytest.mark.parametrize(("source", "wanted"), CSS)
def test_css_is_confined_to_its_section(source: str, wanted: str) -> None:
    assert scoped(source, SCOPE).css == wanted


@pytest.mark.parametrize(
    "source",
    [
        "@import url(https://elsewhere.example);", "@font-face { font-family: x; src: url(x) }", "@page { margin: 0 }",
        "@property --x { syntax: '*'; inherits: true }", "p { background: url(https://elsewhere.example/a.png) }",
        "p { background: image-set('a.png' 1x) }", "p { --a: url(a) }", "+ p { color: red }", "body + p { color: red }",
        ":root ~ footer { color: red }", "& p { color: red }", "svg|a { color: red }", "p { behavior: url(x) }",
        "@supports (background: url(x)) { p { color: red } }", "@namespace x 'y';", "@layer a;", "> p { color: red }",
    ],
)  # fmt: skip
def test_css_that_reaches_outside_is_left_out_and_told(source: str) -> None:
    made = scoped(source, SCOPE)
    assert made.css == "" and made.left_out


_SELECTORS = st.sampled_from(["p", ".a", "#b", "body", "html", ":root", "p > a", "a + b", "*", ":not(.a)", "a:hover", "p::after", "+ p", "body ~ p", "& x", "a, b"])  # fmt: skip
_DECLARED = st.sampled_from(["color: red", "background: url(x)", "position: fixed", "--a: 1", "margin: 0 !important", "color", "{}", "content: '}'"])  # fmt: skip
_RULES = st.builds("{} {{ {} }}".format, _SELECTORS, st.lists(_DECLARED, max_size=3).map("; ".join))
_SHEETS = st.lists(
    st.one_of(_RULES, _RULES.map("@media (width > 1px) {{ {} }}".format), st.text("{}()[]@;:'\"/*\\<>&a ", max_size=14)), max_size=6
).map(" ".join)  # fmt: skip


@given(_SHEETS)
def test_whatever_css_is_written_nothing_outside_is_found_by_it(source: str) -> None:
    css = scoped(source, SCOPE).css
    page = lxml_html.document_fromstring(
        '<body><p class="a" id="own-1-b">x</p><main><div class="own"><div class="own-1"><p><a>y</a></p></div></div><b>z</b></main><p></p>'
    )
    inside = {one for box in page.find_class("own-1") for one in box.iter()}
    assert "</" not in css and "url(" not in css

    def look(rules: list[Any]) -> None:
        for rule in rules:
            assert rule.type in ("qualified-rule", "at-rule"), css
            if rule.type == "at-rule":
                look(tinycss2.parse_rule_list(rule.content, skip_comments=True, skip_whitespace=True))
                continue
            assert all(
                part.strip().startswith(".own-1") for part in re.split(r",(?![^(]*\))", tinycss2.serialize(rule.prelude))
            )
            try:
                selectors = cssselect2.compile_selector_list(rule.prelude)
            except cssselect2.SelectorError:
                continue  # of no use to a browser either
            for selector in selectors:
                tree = cssselect2.ElementWrapper.from_html_root(page).iter_subtree()
                assert {one.etree_element for one in tree if selector.test(one)} <= inside, css

    look(tinycss2.parse_stylesheet(css, skip_comments=True, skip_whitespace=True))


# On a page


def with_code(html: str, css: str = "", ground: str = "paper", **choices: Any) -> Site:
    site = plan(Identity(name="Willow", colors=[{"name": "Moor", "value": "#3a5a40"}]), Choices.model_validate(choices))  # type: ignore[list-item]
    section = Section.model_validate({
        "id": "own", "kind": "own_code", "layout": "measure", "ground": ground,
        "content": {"heading": "Own", "code": {"html": html, "css": css}},
    })  # fmt: skip
    home = site.pages[0].model_copy(update={"sections": [*site.pages[0].sections, section]})
    return site.model_copy(update={"pages": [home, *site.pages[1:]]})


def facts_of(site: Site) -> list[Fact]:
    return predict_section(site, site.system(), site.pages[0], site.pages[0].sections[-1])


def test_it_is_drawn_with_links_led_pictures_drawn_and_its_style_in_the_site_s_own() -> None:
    html = (
        '<p>Go <a href="page:contact">there</a> or <a href="page:nowhere">nowhere</a></p><img src="drawn:boat/3" alt="A boat">'
    )
    site = with_code(html, "p { color: var(--ground-brand-background) }")
    files = render(site, site.system())
    (own,) = lxml_html.fromstring(files["index.html"].decode()).find_class("own")
    assert [one.get("href") for one in own.iter("a")] == ["contact.html", None]
    (svg,) = own.iter("svg")
    assert svg.get("aria-label") == "A boat"
    scope = own[0].get("class").split()[-1]
    assert f".{scope} p{{color:var(--ground-brand-background)}}" in files["site.css"].decode()
    assert "--ground-brand-background:" in files["tokens.css"].decode()
    shown = render_page(site, site.system(), site.pages[0], Preview("/fonts/"))
    assert f".{scope} p" in shown and 'data-slot="code"' in shown and "--ground-brand-background:" in shown
    assert all(
        ".own" not in data.decode() for name, data in render(plan(site.identity), site.system()).items() if name == "site.css"
    )


def test_its_links_pictures_and_headings_are_checked_like_any() -> None:
    html = '<h4>Deep</h4><p>Go <a href="page:nowhere">nowhere</a></p><img src="asset:gone"><img src="drawn:boat/3" alt="">'
    site = with_code(html)
    report = check(predict(site, site.system()), site.system())
    rules = {one.rule for one in report.findings if one.section == "own"}
    assert {"links/dead-destination", "content/alternative-text", "structure/heading-order"} <= rules
    pictures = [one for one in facts_of(site) if isinstance(one, PictureFact)]
    assert [(one.decorative, one.found) for one in pictures] == [(False, False), (True, True)]
    assert [one.to for one in facts_of(site) if isinstance(one, Destination)] == ["page:nowhere"]


def test_colours_of_its_own_are_held_to_the_policy() -> None:
    css = ".low { color: #999 } .card { background: #111; color: #fff } .veil { background: linear-gradient(red, blue) }"
    html = '<p class="low">Low</p><div class="card"><p>Card</p></div><p class="veil">Veil</p><p>Plain</p>'
    site = with_code(html, css)
    report = check(predict(site, site.system()), site.system())
    found = [one for one in report.findings if one.section == "own"]
    assert [one.message[:30] for one in found if one.rule == "contrast/text-minimum"] == ["“Low” is 2.73:1 on paper; it n"]
    (veil,) = [one for one in found if one.rule == "code/untold"]
    assert "“Veil”" in veil.message and not veil.stops
    (written,) = [one for one in found if one.rule == "code/own-colors"]
    assert all(color in written.message for color in ("#999", "#111", "#fff", "red", "blue"))
    assert {one.text for one in facts_of(site) if isinstance(one, TextRun)} >= {"Low", "Card", "Plain"}


def test_a_colour_of_its_own_is_taken_from_the_system_made_the_brand_s_or_kept_with_a_reason() -> None:
    site = with_code('<p class="odd">Words</p>', ".odd { color: #7a1fa2; border-color: rgb(122 31 162) }")
    work = Preflight(site)
    (finding,) = [one for one in work.report().findings if one.rule == "code/own-colors"]
    nearest, made, kept = work.fixes(finding)
    assert made.label == "Make #7a1fa2 a colour of the brand" and kept.asks and not nearest.asks and not made.asks

    def after(fix: Fix) -> Site:
        return apply(site, [Change.model_validate(one) for one in fix.changes])

    for fix in (nearest, made, kept):
        assert [one for one in Preflight(after(fix)).report().findings if one.rule == "code/own-colors"] == []
    branded = after(made)
    assert branded.identity.colors[-1].value == "#7a1fa2"
    (run,) = {one.foreground for one in facts_of(branded) if isinstance(one, TextRun) and one.text == "Words"}
    assert run == "#7a1fa2", "what is drawn stays as it was"
    assert after(kept).pages[0].sections[-1].reason == SAID
    full = site.model_copy(deep=True)
    full.identity.colors += [BrandColor(id=f"c{n}", name=f"C{n}", value=f"#1000{n:02x}") for n in range(11)]
    work = Preflight(full)
    (finding,) = [one for one in work.report().findings if one.rule == "code/own-colors"]
    assert [fix.label[:4] for fix in work.fixes(finding)] == ["Take", "Keep"], "no brand has more than twelve"


def test_both_schemes_are_followed() -> None:
    site = with_code("<p>Both</p>", "p { color: var(--heading) }", scheme="both")
    system = site.system()
    runs = [one for one in facts_of(site) if isinstance(one, TextRun) and one.text == "Both"]
    assert [(one.scheme, one.foreground) for one in runs] == [
        (scheme, system.css("ground/paper/heading", scheme)) for scheme in system.schemes
    ]


def test_what_is_not_taken_is_told() -> None:
    (told,) = [one for one in facts_of(with_code("<h1>A</h1><script>x</script>", "@import 'x';")) if isinstance(one, OwnCode)]
    assert told.left_out[1:] == ("<script>", "@import")


@pytest.mark.parametrize(
    ("value", "wanted"),
    [
        ("#FFF", "#ffffff"), ("rgb(0 0 0)", "#000000"), ("tomato", "#ff6347"), ("var(--a)", "#102030"), ("var(--b, red)", "#ff0000"),
        ("var(--c)", ""), ("var(--loop)", ""), ("rgb(0 0 0 / 50%)", ""), ("color-mix(in srgb, red, blue)", ""), ("", ""),
    ],
)  # fmt: skip
def test_colours_are_followed_through_properties(value: str, wanted: str) -> None:
    assert resolved(value, {"--a": "#102030", "--loop": "var(--loop)"}) == wanted


def test_texts_are_told_once_for_each_colour_that_they_may_have() -> None:
    css = "p { color: #111 } @media (width < 600px) { p { color: #222 } } p:hover { color: #333 } p { color: #444 !important }"
    assert [one.color for one in own_texts("<p>A</p>", css, SCOPE, {})] == ["#444444"]
    assert [one.color for one in own_texts("<p>A</p>", css.replace("!important", ""), SCOPE, {})] == ["#444444", "#222222"]
    assert own_colors(css, SCOPE) == ("#111", "#444", "#222", "#333") or set(own_colors(css, SCOPE)) == {
        "#111",
        "#222",
        "#333",
        "#444",
    }


def test_long_words_are_divided_but_for_what_is_copied() -> None:
    made = divided(cleaned("<p>Handwerkskammerpräsident &amp; <code>handwerkskammerpraesident</code></p>").html, "de")
    assert "\u00ad" in made.partition("<code>")[0] and "<code>handwerkskammerpraesident</code>" in made
    assert made.replace("\u00ad", "") == "<p>Handwerkskammerpräsident &amp; <code>handwerkskammerpraesident</code></p>"


@pytest.mark.parametrize("scheme", ["light", "both"])
@pytest.mark.parametrize("policy", ["AA", "AAA"])
@pytest.mark.parametrize("css", [
    ".b { background: #1b2147; color: #ffffff } p { color: #888 }",
    "@media (width > 300px) { .b { background: #fff; color: #ddd } } p { color: #999 }",
    ".b { background-color: #f0a830; color: #ffefd0 } p { color: #777 }",
])  # fmt: skip
def test_words_on_a_background_of_their_own_can_be_read_when_they_take_the_systems_colours(
    css: str, policy: str, scheme: str
) -> None:
    """An ink of the section's ground is one that is read on that ground, and not on whatever a rule lays behind its words."""
    site = with_code(
        '<p>Low</p><p><a class="b" href="page:home">On a ground of its own</a></p>', css, policy=policy, scheme=scheme
    )

    def failing(one: Site) -> list[str]:
        found = check_site(one).findings
        return [f.message for f in found if f.section == "own" and f.rule.startswith("contrast/text") and f.outcome == "fail"]

    assert failing(site)
    (change,) = next(from_system(site, site.system(), PagePlace(site.pages[0].id, "own", "code"))).changes
    assert not failing(apply(site, [change])), change


def test_what_a_state_does_to_colours_is_taken_out_and_nothing_else() -> None:
    css = ".b { color: #111 } .b:hover, .b:focus-visible { color: #eee; opacity: 0.5; outline: 2px solid } .b, .c:hover { color: #222 }"
    site = with_code('<p><a class="b" href="page:home">There</a></p>', css)
    (change,) = next(as_at_rest(site, PagePlace(site.pages[0].id, "own", "code"))).changes
    kept = apply(site, [change]).pages[0].sections[-1].content["code"]["css"]
    assert kept == ".b { color: #111; }\n.b:hover, .b:focus-visible { outline: 2px solid; }\n.b, .c:hover { color: #222; }"


def test_a_colour_that_fails_is_led_back_to_the_system() -> None:
    site = with_code("<p>Low</p>", "p { color: #888; border: 1px solid #777 }")
    (low,) = [one for one in check_site(site).findings if one.rule == "contrast/text-minimum" and one.section == "own"]
    fix = next(one for one in low.fixes if one.label == "Take the nearest colours of the system")
    mended = apply(site, [Change.model_validate(one) for one in fix.changes])
    css = mended.pages[0].sections[-1].content["code"]["css"]
    assert re.fullmatch(r"p \{ color: var\(--[\w-]+\); border: 1px solid var\(--[\w-]+\); \}", css)
    assert not [one for one in check_site(mended).findings if one.section == "own" and one.rule != "content/placeholder-left"]
