"""Sites of our own as they are measured: by what each page is drawn from, kept whole, and held to what was predicted of them."""

import os
import re
import signal
import subprocess
import sys
import time
from contextlib import suppress
from dataclasses import replace
from pathlib import Path
from typing import Literal

import pytest

from formulon.core.checks.findings import Finding, Report, Waived, recounted
from formulon.core.checks.page_facts import Fact, TextRun
from formulon.core.checks.predict import predict
from formulon.core.checks.preflight import Preflight, check_site
from formulon.core.measure.agreement import disagreements
from formulon.core.measure.edges import ZOOMED, breaks, edges
from formulon.core.measure.files import SiteFiles
from formulon.core.measure.foreign import check_files
from formulon.core.measure.looking import Views
from formulon.core.measure.own import own_site
from formulon.core.measure.own_checks import MEASURED_RULES, OwnChecks, laid_over
from formulon.core.measure.own_marks import mark_facts
from formulon.core.measure.packed import packed, unpacked
from formulon.core.measure.resident import Resident
from formulon.core.site.catalogue import CATALOGUE
from formulon.core.site.changes import Change, apply
from formulon.core.site.editions import rendered
from formulon.core.site.planning.planner import plan
from formulon.core.site.site import Site
from formulon.core.system.documents.choices import Choices
from formulon.core.system.documents.identity import BrandRule, Identity
from tests.conftest import quillmoor_identity, quillmoor_pictures

BRANDS = [
    Identity(name="Gwinllan Pen-y-Bryn", language="cy", colors=[{"name": "Gwin", "value": "#6b1f3a"}, {"name": "Dail", "value": "#5c7a29"}]),  # type: ignore[list-item]
    Identity(name="山鳥製本所", language="ja", colors=[{"name": "朱", "value": "#c73e2a"}]),  # type: ignore[list-item]
    Identity(name="Brauerei Dreiflüsseeck", language="de", colors=[{"name": "Kupfer", "value": "#b5651d"}, {"name": "Nacht", "value": "#14213d"}]),  # type: ignore[list-item]
]  # fmt: skip


@pytest.fixture(scope="module")
def demo() -> Site:
    return plan(quillmoor_identity(), None, quillmoor_pictures())


def changed(site: Site, document: str, path: str, value: object) -> Site:
    return apply(site, [Change(document=document, patch=[{"op": "add", "path": path, "value": value}])])


def other_keys(before: Site, after: Site) -> set[str]:
    old = {one.path: one.key for one in own_site(before).pages}
    return {one.path for one in own_site(after).pages if old.get(one.path) != one.key}


@pytest.mark.browser
def test_texts_are_really_drawn_in_the_typefaces_of_the_system() -> None:
    """In alphabets that files of their own hold, and where the chosen typeface has no letters for them: that is known before."""
    looker = Resident(idle=5)
    for language, name, lacks in (
        ("el", "Ξύλο και Λυγαριά", False),
        ("pl", "Żółta Łódź", False),
        ("uk", "Їжак і Ґава", False),
        ("ja", "山鳥製本所", True),
    ):
        site = plan(Identity(name=name, language=language, does="Żółć, ğ, ő, ș" if language == "pl" else ""))
        own, predicted = own_site(site), predict(site, site.system())
        checks = OwnChecks(site, own)
        for page in own.pages:
            seen = looker.look(own.files, page.path, page.views)
            asked = [text for text in seen.seen[1280].texts if text.fonts]
            assert asked or not any(
                char > "\u00ff" for text in seen.seen[1280].texts for char in text.text if char.isalpha()
            ), page.path
            assert lacks or all(font.brought for text in asked for font in text.fonts), [
                (text.text, text.fonts) for text in asked
            ]
            checks.add(page, seen)
        assert any(isinstance(one, TextRun) and one.unknown_glyphs for one in predicted) == lacks, language
        assert not [one for one in checks.report().findings if one.rule in ("type/font-drawn", "layout/moves")], language
    looker.close()


def test_a_page_has_another_key_when_something_that_it_is_drawn_from_changes(demo: Site) -> None:
    pages = {one.path for one in own_site(demo).pages}
    assert len(pages) == len(demo.pages) > 2 and other_keys(demo, demo.model_copy(deep=True)) == set()
    second = demo.pages[1]
    words = changed(demo, f"page:{second.id}", "/sections/0/content/heading", "Wörter, die nirgends standen")
    assert other_keys(demo, words) == {demo.file_name(second)}
    assert other_keys(demo, changed(demo, "choices", "/radius", 17)) == pages
    assert (
        other_keys(demo, changed(demo, "frame", "/header/content/action", {"label": "Come", "to": f"page:{second.id}"}))
        == pages
    )
    assert other_keys(demo, changed(demo, f"page:{second.id}", "/description", "Otherwise described.")) == {
        demo.file_name(second)
    }
    both = demo.with_choices(demo.choices.model_copy(update={"scheme": "both"}))
    assert [one.scheme for one in own_site(both).pages] == ["light", "dark"] * len(demo.pages)


def test_a_layout_that_one_page_takes_measures_that_page_alone(demo: Site) -> None:
    """It brings rules into the one style sheet, of which the other pages have nothing."""
    second = demo.pages[1]
    items = [{"text": "Fine.", "name": "A"}, {"text": "Good.", "name": "B"}]
    content = {"heading": "Said", "items": items}
    cards = {"id": "more", "kind": "quotes", "layout": "chorus", "ground": "paper", "departs": True, "content": content}
    after = changed(demo, f"page:{second.id}", "/sections/-", cards)
    assert demo.file_name(second) in other_keys(demo, after) and len(other_keys(demo, after)) == 1


def test_pages_that_are_measured_are_those_that_are_published_but_for_their_names(demo: Site) -> None:
    plain, named = rendered(demo), own_site(demo).files
    for path, data in plain.items():
        if path.endswith(".html"):
            stripped = re.sub(r' data-(?:section|slot)="[^"]*"', "", named.read(path).decode())
            assert stripped == data.decode(), path
        else:
            assert named.read(path) == data, path


@pytest.mark.browser
@pytest.mark.parametrize("brand", [*BRANDS, None], ids=["welsh", "japanese", "german", "demo"])
def test_what_a_browser_sees_of_any_brand_is_what_was_predicted(brand: Identity | None, demo: Site) -> None:
    site = plan(brand, Choices(scheme="both" if brand is BRANDS[0] else "light")) if brand else demo
    own, looker = own_site(site), Resident(idle=5)
    work = OwnChecks(site, own)
    try:
        # Of a brand that is planned alike, two pages tell as much as four.
        for page in own.pages if brand in (BRANDS[0], None) else own.pages[::2]:
            seen = looker.look(own.files, page.path, page.views)
            again = unpacked(packed(seen), page.page)
            assert again.seen == seen.seen and again.edges == seen.edges and again.besides == seen.besides
            if brand is None:  # the one orange button is in its header
                assert "Ask us" in [one.label for one in seen.seen[1280].glances if one.kind == "action"]
            work.add(page, again)
    finally:
        looker.close()
    report = work.report()
    assert [
        f"{one.page} {one.section} {one.target}: {one.message}" for one in report.findings if one.rule == "layout/as-predicted"
    ] == []
    predicted = check_site(site, most=0)
    stops = {(one.rule, one.page) for one in predicted.findings if one.stops}
    assert {(one.rule, one.page) for one in report.findings if one.stops} <= stops, (
        "a bare brand has no description of its pages"
    )
    assert len({(one.page, one.key) for one in report.findings}) == len(report.findings), "in two schemes told once"
    both = laid_over(predicted, report)
    assert both.counts["pass"] == predicted.counts["pass"] + report.counts["pass"]
    assert {one.rule for one in both.findings if one.basis == "measured"} <= MEASURED_RULES


def of_ratio(ratio: float, outcome: Literal["fail", "cannot-tell"] = "fail", waived: bool = False) -> Report:
    accepted = Waived("As it is.", "Anna", "2026-03-01") if waived else None
    one = Finding(
        "contrast/text-minimum",
        "too-low",
        outcome,
        "stop",
        "home",
        "hero",
        360,
        "text",
        ratio,
        4.5,
        ":1",
        "It.",
        waived=accepted,
    )
    return recounted([one], {"pass": 1})


@pytest.mark.parametrize(
    ("predicted", "seen", "bases", "stops"),
    [
        (of_ratio(4.41), of_ratio(4.4), ["both"], 1), (of_ratio(4.41), of_ratio(1.2), ["measured", "predicted"], 2),
        (of_ratio(1.0, "cannot-tell"), of_ratio(1.2), ["measured", "predicted"], 1), (of_ratio(4.41, waived=True), of_ratio(4.4), ["both"], 0),
        (of_ratio(4.41, waived=True), of_ratio(1.2), ["measured", "predicted"], 1), (Report({"pass": 1}, []), of_ratio(2.0), ["measured"], 1),
        (of_ratio(2.0), Report({"pass": 1}, []), ["predicted"], 1),
    ],
)  # fmt: skip
def test_no_prediction_and_no_waiver_hides_what_was_seen_to_be_worse(
    predicted: Report, seen: Report, bases: list[str], stops: int
) -> None:
    made = laid_over(predicted, seen)
    assert sorted(one.basis for one in made.findings) == bases and made.counts["stop"] == stops


@pytest.mark.browser
def test_what_was_predicted_wrongly_is_told(demo: Site) -> None:
    """Predictions that are bent on purpose: a line more, another size, another colour."""
    own, looker = own_site(demo), Resident(idle=5)
    try:
        seen = looker.look(own.files, own.pages[0].path, Views((360, 1280)))
    finally:
        looker.close()
    seen.name = demo.pages[0].id
    facts = predict(demo, demo.system(), [demo.drawn[0]])
    assert list(disagreements(facts, seen, lambda _: ())) == []

    def bent(fact: Fact) -> Fact:
        if not isinstance(fact, TextRun) or fact.place.slot != "heading" or not fact.fits:
            return fact
        fits = {width: replace(fit, lines=fit.lines + 1) for width, fit in fact.fits.items()}
        return replace(fact, fits=fits, foreground="#ff00ff", sizes={width: size + 1 for width, size in fact.sizes.items()})

    told = {one.what for one in disagreements([bent(one) for one in facts], seen, lambda _: ())}
    assert told == {"lines", "size", "colour"}


def test_edges_are_those_of_the_style_sheets() -> None:
    css = b"@media (min-width: 48em){} @media(max-width:599px){} @media (width >= 1200px){} @media print{} @media (max-width: 47.99em){}"
    assert breaks(css) == (768, 600, 1200, 768)
    html = b'<link href="a/b.css?v=1" rel="stylesheet"><style>@media (width < 400px){}</style>'
    files = SiteFiles(None, {"x/p.html": 1, "x/a/b.css": 1}, {"x/p.html": html, "x/a/b.css": css})
    assert edges(files, "x/p.html") == (399, 400, 599, 600, ZOOMED, 767, 768, 1199, 1200)
    assert edges(SiteFiles(None, {"p.html": 1}, {"p.html": b"<p>"}), "p.html") == (ZOOMED,)


ODD = """<a role="link" aria-disabled="true">Nowhere</a><svg width="40" height="40" viewBox="0 0 9 9"><a href="#x"><text y="9">In it</text></a></svg>
<div role="button" tabindex="0">Made by hand</div><input><input type="image" src="x.png"><select><option>One</option></select><summary>Alone</summary>
<img><h2></h2><a name="old"></a><area href="x"><custom-part tabindex="0">Own</custom-part><math><mi>x</mi></math><details><summary>More</summary>Hidden</details>
<table><tr><td></td></tr></table><p style="color:color(display-p3 1 0 0);background:lab(50% 40 20 / .4)">Wide</p><p style="color:oklch(60% .2 20)">Far</p>"""


@pytest.mark.browser
def test_pages_of_any_elements_are_told() -> None:
    found = check_files(whole(index=("", f"<main><h1>Odd</h1>{ODD}</main>")), (320, 1280))
    assert found.failed == () and {"links/dead-destination", "interaction/names"} <= {one.rule for one in found.report.findings}


PAGE = '<!doctype html><html lang="en"><head><title>{0}</title><meta name="description" content="{0}"><meta name="viewport" content="width=device-width">{1}</head><body>{2}</body></html>'


def whole(**pages: tuple[str, str]) -> SiteFiles:
    data = {f"{name}.html": PAGE.format(name, *parts).encode() for name, parts in pages.items()}
    return SiteFiles(None, {name: len(one) for name, one in data.items()}, data)


@pytest.mark.browser
def test_what_is_asked_of_a_whole_site_is_found() -> None:
    """Four pages whose defects only show beside each other; a clean one of the same make has none of them."""

    def page(n: int, foot: str = "Long Lane 4", more: str = "", links: str = "") -> tuple[str, str]:
        style = "<style>a{padding:9px;display:inline-block}.b{background:#135;color:#fff}" + more + "</style>"
        if n < 3:
            style = f'<link rel="canonical" href="https://reed.example/same">{style}'
        body = (
            f'<header><a href="index.html">Reed yard</a><a href="p2.html">Second</a><a href="p3.html">Third</a></header><main><h1>Page number {n}</h1>'
            f"<h2>About reeds</h2><p>On {n} May 2026 the boats go out, and everybody who has hands comes along to help us for {n} hours in the cold.</p>{links}</main>"
            f"<footer><p>{foot}</p></footer>"
        )
        return style, body

    odd = "".join(
        f'<button class="b" style="border-radius:{r}px;width:90px;height:60px">Go {r}</button><p style="border-radius:{r}px;background:#eee;box-shadow:0 {r}px 4px #999;font-weight:{w};height:40px">Word</p>'
        for r, w in ((2, 200), (5, 300), (9, 400), (13, 600), (17, 800), (21, 900))
    )
    files = whole(
        index=page(1, links='<p>A passage that stands on two pages of this site, word for word, and is long enough to be one.</p>' + odd),
        p2=page(2, links='<p>A passage that stands on two pages of this site, word for word, and is long enough to be one.</p>'),
        p3=page(3, foot="Short Lane 5", links="<p>Not before 2026-05-12.</p>"), p4=page(4),
    )  # fmt: skip
    files.data["robots.txt"] = b"User-agent: *\nDisallow: /\n"  # type: ignore[index]
    files.sizes["robots.txt"] = 26  # type: ignore[index]
    found = {one.rule for one in check_files(files, (360, 1280)).report.findings}
    asked = {
        "publishing/canonical", "publishing/sitemap", "consistency/corners", "consistency/shadows", "consistency/weights", "consistency/buttons",
        "consistency/frame", "content/repeated", "content/written-alike", "links/orphan-page",
    }  # fmt: skip
    assert asked <= found, asked - found
    clean = whole(index=page(3), p2=page(5), p3=page(6))
    assert not {one.rule for one in check_files(clean, (360, 1280)).report.findings} & asked


@pytest.mark.browser
def test_the_browser_stays_is_started_anew_after_its_end_and_goes_by_itself() -> None:
    def ours(process: Path) -> bool:
        """Whether it was started by this process, or by one that was; others run tests with browsers of their own beside."""
        above = int(process.name)
        while above > 1 and above != os.getpid():
            above = int(Path(f"/proc/{above}/stat").read_text().rpartition(")")[2].split()[1])
        return above == os.getpid()

    def browsers() -> set[int]:
        found = set()
        for process in Path("/proc").glob("[0-9]*"):
            with suppress(OSError):
                line = (process / "cmdline").read_bytes()
                program = line.split(b"\0")[0]
                if (
                    b"formulon-chromium-" in line
                    and b"--type=" not in line
                    and program.endswith(b"/chromium")
                    and ours(process)
                ):
                    found.add(int(process.name))
        return found

    before, files, views = browsers(), whole(index=("", "<main><h1>One</h1></main>")), Views((360,))
    looker = Resident(idle=1.5)
    looker.look(files, "index.html", views)
    (first,) = browsers() - before
    looker.look(whole(index=("", "<main><h1>Another</h1></main>")), "index.html", views)
    assert browsers() - before == {first}, "one browser for one site after another"
    os.kill(first, signal.SIGKILL)
    assert looker.look(files, "index.html", views).widest.texts[0].text == "One"
    assert len(browsers() - before) == 1 and first not in browsers()
    end = time.monotonic() + 20
    while browsers() - before and time.monotonic() < end:
        time.sleep(0.2)
    assert browsers() - before == set(), "it goes when there is nothing to do"
    # And with a process that is killed.
    code = (
        "import time; from tests.core.measure.test_own import *\n"
        "Resident(60).look(whole(index=('', '<p>x</p>')), 'index.html', Views((360,))); print('on', flush=True); time.sleep(60)"
    )
    with subprocess.Popen([sys.executable, "-c", code], stdout=subprocess.PIPE, cwd=Path(__file__).parents[3]) as child:
        assert child.stdout and child.stdout.readline() == b"on\n" and browsers() - before
        child.kill()
    end = time.monotonic() + 20
    while browsers() - before and time.monotonic() < end:
        time.sleep(0.2)
    assert browsers() - before == set()


def test_what_only_a_browser_sees_is_mended_where_its_rule_knows_how() -> None:
    made = plan(BRANDS[2])
    css = ".veil { background: linear-gradient(#ffffff, #fefefe); color: #c9c9c9 } .odd { color: #7a1fa2 }"
    section = {"id": "own", "kind": "own_code", "layout": "measure", "content": {"heading": "Own", "code": {"html": '<p class="veil">Words on a veil</p><p class="odd">Odd</p>', "css": css}}}  # fmt: skip
    site = apply(made, [Change(document=f"page:{made.pages[0].id}", patch=[{"op": "add", "path": "/sections/-", "value": section}])])  # fmt: skip
    looker = Resident(idle=5)

    def looked(one: Site) -> tuple[OwnChecks, list[Finding]]:
        own = own_site(one)
        checks = OwnChecks(one, own)
        seen = looker.look(own.files, own.pages[0].path, own.pages[0].views)
        checks.add(own.pages[0], unpacked(packed(seen), own.pages[0].page))
        return checks, [finding for finding in checks.report().findings if "veil" in finding.message]

    checks, (finding,) = looked(site)
    assert finding.rule == "contrast/text-minimum" and Preflight(site).finding(finding.page, finding.key) is None
    cause = checks.cause(checks.own.pages[0], finding.key)
    assert cause is not None and checks.cause(checks.own.pages[0], "no such key") is None
    (fix,) = Preflight(site).untried(cause)
    assert fix.predicted is None
    # A departure with its reason has no stray colours, and is another thing to look at than one without.
    strays = [one for one in checks.report().findings if one.rule == "consistency/stray-colors"]
    seen = looker.look(checks.own.files, checks.own.pages[0].path, checks.own.pages[0].views)
    kept = apply(site, [Change(document=f"page:{made.pages[0].id}", patch=[{"op": "add", "path": f"/sections/{len(made.pages[0].sections)}/reason", "value": "A jubilee"}])])  # fmt: skip
    again = OwnChecks(kept, own_site(kept), checks.kept)
    assert again.own.pages[0].key == checks.own.pages[0].key and not again.knows(again.own.pages[0])
    again.add(again.own.pages[0], unpacked(packed(seen), again.own.pages[0].page))
    left = [one for one in again.report().findings if one.rule == "consistency/stray-colors"]
    assert strays and left == []
    _, after = looked(apply(site, [Change.model_validate(change) for change in fix.changes]))
    looker.close()
    assert after == []


@pytest.mark.parametrize("share", [0.5, 1.0])
def test_marks_keep_the_clear_space_that_a_guideline_asks_for(share: float) -> None:
    """In every header and footer, at half of the mark's height on every side, and at the whole of it: at 320 px that leaves the mark of a
    header less room than it has to have, which brand/mark-size tells."""
    identity = quillmoor_identity()
    identity.rules.append(BrandRule(rule="clear space", text="That much around it.", values={"share": share}))
    site, looker = plan(identity, None, quillmoor_pictures()), Resident(idle=5)
    pairs = [("bar", foot) for foot in CATALOGUE["footer"].layouts]
    for header, footer in [*pairs, *((head, "columns") for head in CATALOGUE["header"].layouts if head != "bar")]:
        site.frame.header.layout, site.frame.footer.layout = header, footer
        own = own_site(site)
        seen = looker.look(own.files, own.pages[0].path, Views((320, 768, 1280), besides=False))
        marks = list(mark_facts(identity, seen))
        assert len(marks) == 2
        assert [(one.place.section, one.room, one.needed) for one in marks if one.room < one.needed - 0.5] == [], (
            header,
            footer,
        )
        least = [min(high for _, high in one.sizes.values()) / one.least for one in marks if share < 1]
        assert [one for one in marks if one.altered] == [] and all(size >= 0.9 for size in least), (header, footer)
    looker.close()
