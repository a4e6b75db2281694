"""Sites looked at by a browser: every seeded defect is found and nothing else; the browser reaches nothing, runs nothing and comes back after
its end; and what it tells agrees with the site's own prediction."""

import asyncio
import json
import os
import signal
import threading
import time
import zipfile
from collections.abc import Iterator
from contextlib import suppress
from http.server import BaseHTTPRequestHandler, ThreadingHTTPServer
from pathlib import Path
from urllib.parse import urlsplit

import pytest
import seeded
from click.testing import CliRunner

from formulon.core.checks.drawn_facts import Overlap
from formulon.core.checks.preflight import check_site
from formulon.core.cli import main
from formulon.core.measure import looking
from formulon.core.measure.facts import Page
from formulon.core.measure.files import SiteFiles
from formulon.core.measure.foreign import HELD, allowed_by, allowed_in, check_files
from formulon.core.measure.serving import served
from formulon.core.measure.window import Window, opened
from formulon.core.site.editions import rendered_all
from formulon.core.site.languages import published
from formulon.core.site.planning.planner import plan
from formulon.core.site.versions import versioned
from formulon.core.system.documents.identity import Identity

pytestmark = pytest.mark.browser


def site(**pages: str) -> SiteFiles:
    head = '<!doctype html><html lang="en"><head><title>{0}</title><meta name="description" content="{0}"><meta name="viewport" content="width=device-width"></head><body><main><h1>{0}</h1>'
    data = {f"{name}.html": (head.format(name) + body + "</main></body></html>").encode() for name, body in pages.items()}
    return SiteFiles(None, {name: len(one) for name, one in data.items()}, data)


def test_every_seeded_defect_is_found_and_clean_pages_are_clean() -> None:
    """Each kind on one of three makings, alone and with up to three others, at two widths; ./bench has each on two."""
    found = seeded.measured(turns=1, widths=(320, 1280))
    assert found.defects >= 280 and max(map(len, seeded.together())) == 4 and len({one.rule for one in seeded.DEFECTS}) >= 24
    assert found.missed == []
    assert [f"{one.rule} {one.page} {one.target}" for one in found.alarms] == []
    # What one defect brings along: what is stretched is drawn larger, what is too wide is so on paper, three makings have three faces.
    assert {one.rule for one in found.beside} <= {
        "pictures/too-small", "consistency/many-fonts", "consistency/buttons", "consistency/spaces", "layout/on-paper", "publishing/missing-file",
        "contrast/dichromacy", "type/text-spacing", "layout/text-cut",
        "interaction/pointer-answered",  # a button's colours that are forced are so under the pointer, too
    }  # fmt: skip


def test_the_largest_paint_is_of_the_page_itself() -> None:
    """A browser tells again what it has painted of the page before; a smaller one after it has its own, and nobody waits for another."""
    large, small = (
        f'<img src="{name}.png" width="{wide}" height="{high}" alt="">'
        for name, wide, high in (("a", 280, 170), ("b", 200, 120))
    )
    within = '<iframe srcdoc="<h1>A page within the page</h1>" width="300" height="160"></iframe><iframe src="a.html"></iframe>'
    files = site(a=large, b=small, c="<p>Words alone.</p>", d=large + within)
    picture = seeded.png(280, 170, (214, 205, 190)) + bytes(20_000)  # browsers leave out pictures of next to no bytes
    sizes, data = (
        {**of, **dict.fromkeys(("a.png", "b.png"), one)} for of, one in ((files.sizes, len(picture)), (files.data, picture))
    )
    files = SiteFiles(None, sizes, data)

    async def all_of() -> list[str]:
        with served(files) as server:
            async with looking.browsing(server.server_address[1]) as browser:
                there = await opened(browser)
                seen = [await looking.looked(there, path, looking.Views((320,), besides=False)) for path in files.pages * 3]
        return [urlsplit(one.besides.largest.url).path if one.besides.largest else "none" for one in seen]

    assert asyncio.run(all_of()) == ["/a.png", "/b.png", "", "/a.png"] * 3


def test_addresses_that_are_none_hinder_nothing() -> None:
    """RFC 3986, 3.2.2: what begins with a bracket has to be an address of numbers."""
    broken = "http://[bad"
    files = site(
        link=f'<p><a href="{broken}">Nowhere</a></p>', picture=f'<img src="{broken}" alt="Reed" width="50" height="50">',
        background=f'<p style="background:url({broken})">Words.</p>',
        face=f'<style>@font-face{{font-family:Bad;src:url({broken})}}@font-face{{font-family:Reed;src:url(gone.woff2)}}p{{font-family:Reed}}</style><p>Words.</p>',
        base=f'<base href="{broken}"><a href="x">Words.</a>',
    )  # fmt: skip
    data = {
        name: page.replace(
            b"<title>", f'<link rel="icon" href="{broken}"><link rel="canonical" href="{broken}"><title>'.encode()
        )
        for name, page in files.data.items()
    }
    found = check_files(SiteFiles(None, {name: len(one) for name, one in data.items()}, data), (360,))
    assert found.pages == 5 and not found.failed
    assert [one.page for one in found.report.findings if one.rule == "type/font-drawn"] == ["face.html"]
    assert "link.html" in {one.page for one in found.report.findings if one.rule == "links/dead-destination"}


class Late(SiteFiles):
    """Files of which one comes late."""

    def read(self, path: str) -> bytes:
        if path == "late.png":
            time.sleep(0.6)  # s, in which all else has been painted
        return super().read(path)


def test_what_moves_while_a_page_is_loaded_is_told_with_its_score() -> None:
    """Layout Instability, 2.2: the share of the screen of what moves, where it was and is, times how far it moves of the longer side."""
    picture = '<img src="late.png" alt="Reed" style="display:block" {}>'
    words = '<div id="all" style="height:400px;width:320px;background:#ddd"><p>Words that are read.</p></div>'
    style = "<style>body{margin:0}p{margin:0}</style>"
    files = site(moves=style + picture.format("") + words, stays=style + picture.format('width="280" height="170"') + words)
    data = {**files.data, "late.png": seeded.png(280, 170, (214, 205, 190))}
    late = Late(None, {name: len(one) for name, one in data.items()}, data)
    pages: dict[str, Page] = {}
    assert not looking.look(late, lambda page: pages.update({page.path: page}), (320,))
    assert pages["stays.html"].besides.shift is None
    shift = pages["moves.html"].besides.shift
    expected = (400 + 170) / looking.HEIGHT * 170 / looking.HEIGHT
    assert shift and shift.score == pytest.approx(expected, rel=0.02)
    (told,) = [one for one in check_files(late, (320,)).report.findings if one.rule == "layout/moves"]
    assert (
        told.page == "moves.html"
        and told.measured == pytest.approx(expected, abs=0.005)
        and "Words that are read." in told.message
    )


def test_pages_of_our_own_are_clean_and_agree_with_what_was_predicted(quillmoor: Identity) -> None:
    planned = plan(quillmoor)
    files = versioned(rendered_all(published(planned)))
    found = check_files(SiteFiles(None, {name: len(one) for name, one in files.items()}, files), (320, 1280))
    assert found.pages >= len(planned.pages) and found.failed == ()
    predicted = {(one.page, one.rule) for one in check_site(planned, most=0).findings if one.rule in HELD}
    measured = {(one.page.removesuffix(".html").replace("index", "home"), one.rule) for one in found.report.findings}
    # Whether a photograph or a mark is fine enough depends on the file; all else has to agree.
    assert {one for one in measured if one[1] != "pictures/too-small"} == {
        one for one in predicted if one[1] != "pictures/too-small"
    }


@pytest.fixture
def elsewhere() -> Iterator[tuple[int, list[str]]]:
    asked: list[str] = []

    class Handler(BaseHTTPRequestHandler):
        def do_GET(self) -> None:
            asked.append(self.path)
            self.send_response(200)
            self.end_headers()

        do_POST = do_GET

        def log_message(self, format: str, *args: object) -> None:
            pass

    server = ThreadingHTTPServer(("127.0.0.1", 0), Handler)
    threading.Thread(target=server.serve_forever, daemon=True).start()
    yield server.server_address[1], asked
    server.shutdown()
    server.server_close()


def test_pages_reach_nothing_and_run_nothing(elsewhere: tuple[int, list[str]]) -> None:
    port, asked = elsewhere
    out = f"http://127.0.0.1:{port}"
    body = (
        f'<img src="{out}/img" alt="x"><img src="http://localhost:{port}/local" alt="x"><link rel="stylesheet" href="{out}/css"><iframe src="{out}/frame"></iframe>'
        f"<style>@import url({out}/import);@font-face{{font-family:F;src:url({out}/font)}}p{{font-family:F;background:url({out}/bg)}}</style><p>Words</p>"
        f'<script>document.body.innerHTML="gone";fetch("{out}/fetch")</script><script src="{out}/script"></script><body onload="fetch(\'{out}/onload\')">'
        f'<object data="{out}/object"></object><embed src="{out}/embed"><video src="{out}/video" autoplay></video><link rel="prefetch" href="{out}/prefetch">'
        f'<link rel="dns-prefetch" href="//elsewhere.example"><meta http-equiv="refresh" content="0;url={out}/refresh"><iframe src="file:///etc/passwd"></iframe>'
        '<img src="file:///etc/hostname" alt="x"><a href="/../../etc/passwd">up</a>'
    )
    found = check_files(site(index=body, other="<p>Fine.</p>"), (360,))
    assert asked == []
    # Nothing leads to the other page, which is true of this site; it has nothing else.
    assert {one.rule for one in found.report.findings if one.page == "other.html"} == {"links/orphan-page"}
    up = [one for one in found.report.findings if one.rule == "links/dead-destination"]
    assert [one.message for one in up] == ["“up” leads to the page “/../../etc/passwd”, which does not exist."]


def test_the_browser_has_the_rights_of_nobody(monkeypatch: pytest.MonkeyPatch) -> None:
    if os.geteuid():
        pytest.skip("only root has rights to give up")
    seen: list[int] = []
    plain = looking.looked

    async def spied(*arguments: object) -> object:
        for process in Path("/proc").glob("[0-9]*"):
            with suppress(OSError):
                if b"formulon-chromium-" in (process / "cmdline").read_bytes():
                    seen.append(process.stat().st_uid)
        return await plain(*arguments)  # type: ignore[arg-type]

    monkeypatch.setattr(looking, "looked", spied)
    check_files(site(index="<p>Fine.</p>"), (360,))
    assert seen and 0 not in seen


def test_a_page_that_ends_the_browser_is_told_and_the_others_are_looked_at(monkeypatch: pytest.MonkeyPatch) -> None:
    plain = looking.looked

    async def breaking(there: Window, path: str, views: looking.Views) -> Page:
        if path == "b.html":
            await there.tab.goto("chrome://crash")
        return await plain(there, path, views)

    monkeypatch.setattr(looking, "looked", breaking)
    done: list[tuple[int, int]] = []
    found = check_files(site(a="<p>One.</p>", b="<p>Two.</p>", c="<p>Three.</p>"), (360,), lambda *at: done.append(at))
    assert found.pages == 2 and len(found.failed) == 1 and found.failed[0].startswith("b.html: the page cannot be drawn")
    assert done == [(1, 3), (2, 3), (3, 3)]


def test_a_page_over_which_the_browser_ends_is_told_and_the_others_come_in_their_order(monkeypatch: pytest.MonkeyPatch) -> None:
    plain = looking.looked

    async def breaking(there: Window, path: str, views: looking.Views) -> Page:
        if path == "c.html":
            (one,) = [
                int(process.name) for process in Path("/proc").glob("[0-9]*")
                if b"formulon-chromium-" in _command(process) and b"--type=" not in _command(process) and _parent(process) == os.getpid()
            ]  # fmt: skip
            os.kill(one, signal.SIGKILL)
        return await plain(there, path, views)

    monkeypatch.setattr(looking, "looked", breaking)
    names = [f"{name}.html" for name in "abcdef"]
    handed: list[str] = []
    failed = looking.look(site(**dict.fromkeys("abcdef", "<p>Words.</p>")), lambda page: handed.append(page.path), (360,))
    assert list(failed) == ["c.html"] and handed == [one for one in names if one != "c.html"]


def _command(process: Path) -> bytes:
    with suppress(OSError):
        return (process / "cmdline").read_bytes()
    return b""


def _parent(process: Path) -> int:
    with suppress(OSError):
        return int((process / "stat").read_text().rpartition(")")[2].split()[1])
    return 0


def test_what_can_be_scrolled_to_or_unfolded_is_not_cut() -> None:
    """CSS Overflow 3, 3.1: each direction is clipped or scrolled for itself."""
    line = "A line of words that is far longer than the narrow box in which it stands and is not broken"
    boxes = {
        "scrolled": "overflow:auto;overflow-y:hidden", "within": "overflow-x:scroll", "folded": "overflow:hidden;max-height:0",
        "clipped": "overflow:hidden", "clip": "overflow-x:clip", "low": "overflow-y:hidden;overflow-x:auto;height:8px",
    }  # fmt: skip
    body = "".join(
        f'<div id="{name}" style="width:120px;white-space:nowrap;{style}"><p style="margin:0;overflow:visible">{name}: {line}</p></div>'
        for name, style in boxes.items()
    )
    body = f'<div style="overflow:hidden;width:140px">{body}</div><p style="position:relative;top:-20px">Words below all of it.</p>'
    cut: dict[int, set[str]] = {}

    def each(page: Page) -> None:
        assert not [fact for fact in page.facts(site(index=body), True) if isinstance(fact, Overlap)], (
            "nothing of them is seen there"
        )
        cut.update({width: {one.text.partition(":")[0] for one in seen.texts if one.cut} for width, seen in page.seen.items()})

    assert not looking.look(site(index=body), each, (360, 1280))
    assert cut == {360: {"clipped", "clip", "low"}, 1280: {"clipped", "clip", "low"}}


def test_a_check_that_nobody_waits_for_ends() -> None:
    pages = site(**{f"p{number}": "<p>Words.</p>" for number in range(30)})
    seen: list[int] = []
    found = check_files(pages, (360,), lambda done, _: seen.append(done), lambda: len(seen) >= 3)
    assert len(seen) == 3 and found.pages == 3


@pytest.mark.parametrize(
    ("style", "ratio"),
    [
        # Composites of the sRGB values, as CSS Color 4 and Compositing 1 have them; ratios by WCAG 2.2, worked out by hand.
        ("color:#777;background:#fff", 4.47), ("color:rgba(0,0,0,.5);background:#fff", 3.94), ("color:#767676;background:#fff", None),
        ("color:#fff;background:rgba(0,0,0,.5)", 3.94), ("color:#000;opacity:.5;background:#fff", 3.94), ("color:#999;background:linear-gradient(#fff,#fff)", 2.84),
    ],
)  # fmt: skip
def test_ratios_are_those_of_what_is_drawn(style: str, ratio: float | None) -> None:
    files = site(index=f'<p style="font-size:20px;{style}">MMMMMMMM these words are looked at</p>')
    found = [one for one in check_files(files, (1280,)).report.findings if one.rule == "contrast/text-minimum"]
    if ratio is None:
        assert found == []
    else:
        (one,) = found
        assert one.measured == pytest.approx(ratio, abs=0.13) and one.section == "main" and one.target.endswith("p")


def test_a_brand_s_own_site_has_no_stray_and_another_s_has(quillmoor: Identity) -> None:
    planned = plan(quillmoor)
    files = versioned(rendered_all(published(planned)))
    own = SiteFiles(None, {name: len(one) for name, one in files.items()}, files)
    strays = [one for one in check_files(own, (1280,), allowed=allowed_by(quillmoor)).report.findings if "/stray-" in one.rule]
    assert strays == []
    css = next(name for name in files if name.endswith(".css"))
    changed = files | {css: files[css] + b" h2{color:#1c2349!important;font-family:serif!important}"}
    other = SiteFiles(None, {name: len(one) for name, one in changed.items()}, changed)
    found = [one for one in check_files(other, (1280,), allowed=allowed_by(quillmoor)).report.findings if "/stray-" in one.rule]
    color = next(one for one in found if one.rule == "consistency/stray-colors")
    assert (
        "#1c2349 is no colour of the system; the nearest is brand/night, #1b2147" in color.message
        and 0 < (color.measured or 0) < 2
    )
    assert any("are set in serif" in one.message for one in found if one.rule == "consistency/stray-fonts")


def test_tokens_say_what_is_allowed() -> None:
    text = '{"c":{"$type":"color","ink":{"$value":"#112233"},"paper":{"$value":"#ffffff"}},"f":{"$type":"fontFamily","$value":["Reed Sans","serif"]}}'
    allowed = allowed_in("a.tokens", text)
    assert [color.lower() for _, color in allowed.colors] == ["#112233", "#ffffff"] and allowed.families == ("Reed Sans",)
    pages = site(
        index='<style>body{color:#112233;background:#fff;font-family:"Reed Sans"}p{color:#112244}</style><p>Words of it.</p>'
    )
    found = [one for one in check_files(pages, (1280,), allowed=allowed).report.findings if "/stray-" in one.rule]
    assert [one.message.split(" is no")[0] for one in found] == ["#112244"]


def test_the_command_checks_folders_and_archives(tmp_path: Path) -> None:
    pages = site(index='<p style="color:#999;background:#fff">Grey words on white.</p>', fine="<p>Words.</p>")
    (tmp_path / "site").mkdir()
    with zipfile.ZipFile(tmp_path / "site.zip", "w") as archive:
        for name in pages.sizes:
            (tmp_path / "site" / name).write_bytes(pages.read(name))
            archive.writestr(f"site/{name}", pages.read(name))
    run = CliRunner()
    for given in ("site", "site.zip"):
        made = run.invoke(main, ["check", str(tmp_path / given), "--format", "json", "--widths", "1280"])
        assert made.exit_code == 1
        (finding,) = (one for one in json.loads(made.stdout)["findings"] if one["severity"] == "stop")
        assert (finding["page"], finding["rule"], finding["section"]) == ("index.html", "contrast/text-minimum", "main")
    (tmp_path / "site" / "index.html").unlink()
    assert run.invoke(main, ["check", str(tmp_path / "site"), "--widths", "360,1280"]).exit_code == 0
    for wrong, said in ((["--widths", "12"], "no list of widths"), (["--tokens", "a", "--identity", "b"], "not both")):
        refused = run.invoke(main, ["check", str(tmp_path / "site"), *wrong])
        assert refused.exit_code == 2 and said in refused.stderr


NAV = '<header><nav><a href="a.html">One</a><a href="b.html">Two</a><a href="c.html">Three</a></nav></header>'
SIZES = "".join(f'<p style="font-size:{13 + number * 0.9:.1f}px">Words of this size.</p>' for number in range(8))
FACES = "".join(
    f'<p style="font-family:{family}">Words in this face.</p>' for family in ("Georgia", "Arial", "Verdana", "monospace")
)
WHOLE = {
    "consistency/many-sizes": {"a": SIZES}, "consistency/many-fonts": {"a": FACES},
    "consistency/near-colors": {"a": '<p style="color:#1b2147">Dark.</p><p style="color:#1c2248">Darker.</p>'},
    "publishing/titles-apart": {"a": "<title>Twin</title>", "b": "<title>Twin</title>"},
    "publishing/icon": {"a": "<p>Words.</p>"}, "publishing/kept-away": {"a": '<meta name="robots" content="noindex, follow">'},
    "publishing/other-hosts": {"a": '<img src="https://elsewhere.example/a.png" alt="x">'},
    "consistency/navigation": {"a": NAV, "b": NAV, "c": NAV.replace('<a href="b.html">Two</a>', "")},
}  # fmt: skip


@pytest.mark.parametrize("rule", WHOLE)
def test_what_is_wrong_with_a_site_as_a_whole_is_told(rule: str) -> None:
    pages = site(**WHOLE[rule])
    if rule == "publishing/titles-apart":
        pages = SiteFiles(
            None,
            pages.sizes,
            {
                name: pages.read(name).replace(b"<title>a</title>", b"").replace(b"<title>b</title>", b"")
                for name in pages.sizes
            },
        )
    if rule == "consistency/navigation":  # the menu stands outside of the main part
        data = {
            name: pages.read(name).replace(b"<main><h1>", b"<h1>").replace(b"</main>", b"<main></main>") for name in pages.sizes
        }
        pages = SiteFiles(None, pages.sizes, data)
    found = {one.rule: one for one in check_files(pages, (1280,)).report.findings}
    assert rule in found
    if rule == "consistency/navigation":
        assert (found[rule].page, found[rule].message) == ("c.html", "The menu lacks “two”, which other pages have.")
    if rule == "publishing/other-hosts":
        assert found[rule].page == "" and "elsewhere.example" in found[rule].message
