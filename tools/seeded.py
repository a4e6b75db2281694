"""Seeded defects: clean pages of three makings, and one page for each defect that is put into their HTML and CSS. `./bench seeded` prints how
many are found, and how many findings stand on pages without any. All made up."""

import re
import struct
import zlib
from collections.abc import Callable, Sequence
from dataclasses import dataclass
from importlib import resources
from random import Random

from formulon.core.checks.findings import Finding
from formulon.core.measure.files import SiteFiles
from formulon.core.measure.foreign import check_files

WIDTHS = (320, 1280)


def png(width: int, height: int, color: tuple[int, int, int]) -> bytes:
    """An even picture."""
    row = b"\0" + bytes(color) * width

    def part(kind: bytes, data: bytes) -> bytes:
        return struct.pack(">I", len(data)) + kind + data + struct.pack(">I", zlib.crc32(kind + data))

    head = struct.pack(">IIBBBBB", width, height, 8, 2, 0, 0, 0)
    return b"\x89PNG\r\n\x1a\n" + part(b"IHDR", head) + part(b"IDAT", zlib.compress(row * height)) + part(b"IEND", b"")


_CSS = {
    "weaver": """*{box-sizing:border-box}body{margin:0;font:17px/1.55 Georgia,serif;color:#2a241d;background:#fbf7ef}a{color:#7a3b12}
header{display:flex;flex-wrap:wrap;gap:8px 24px;padding:16px 20px;background:#2a241d}header a{color:#fbf7ef;padding:8px 0}
main{max-width:40rem;margin:0 auto;padding:32px 20px}h1{font-size:40px;line-height:1.15}h2{font-size:26px;line-height:1.2}
.go{display:inline-block;background:#7a3b12;color:#fff;padding:12px 20px;text-decoration:none}.go:hover{background:#4d240a}img{max-width:100%;height:auto;display:block}
ul{padding-left:20px}footer{padding:20px;background:#efe7d8}input{font:inherit;padding:10px;border:2px solid #2a241d;width:100%;max-width:20rem}label{display:block;margin-top:12px}""",
    "lab": """*{box-sizing:border-box}body{margin:0;font:16px/1.6 Arial,sans-serif;color:#e8eef7;background:#0d1524}a{color:#8fc4ff}
header{padding:14px 24px;border-bottom:1px solid #33435c}header a{display:inline-block;padding:8px 10px}main{padding:28px 24px;max-width:44rem}
h1{font-size:34px;line-height:1.2;color:#fff}h2{font-size:22px;line-height:1.3;color:#fff}.go{display:inline-block;border:2px solid #8fc4ff;padding:10px 18px;color:#8fc4ff;background:none}.go:hover{background:#8fc4ff;color:#0d1524}
.cards{display:grid;grid-template-columns:repeat(auto-fit,minmax(220px,1fr));gap:16px}.card{background:#18243a;padding:16px}img{max-width:100%;height:auto;display:block}
footer{padding:24px;color:#b8c6da}input{font:inherit;padding:10px;background:#fff;color:#111;border:1px solid #8fa;max-width:100%}label{display:block;margin-top:12px}""",
    "market": """*{box-sizing:border-box}body{margin:0;font:18px/1.5 Verdana,sans-serif;color:#10241a;background:#fff}a{color:#0b5d3b}
header{background:#f3c74b;padding:12px 18px}header a{color:#10241a;padding:10px 6px;display:inline-block}main{padding:24px 18px;max-width:46rem;margin:auto}
h1{font-size:30px;line-height:1.25}h2{font-size:24px;line-height:1.25}.go{display:inline-block;background:#0b5d3b;color:#fff;padding:14px 22px;border-radius:30px}.go:hover{background:#10241a}
.band{background:#0b5d3b;color:#fff;padding:20px}.band a{color:#fff}img{max-width:100%;height:auto;display:block}footer{padding:18px;background:#e9efe9}
input{font:inherit;padding:10px;max-width:100%;border:1px solid #10241a}label{display:block;margin-top:12px}""",
}  # fmt: skip
_HTML = """<!doctype html><html lang="en"><head><meta charset="utf-8"><title>{title}</title><meta name="description" content="What {title} tells.">
<meta name="viewport" content="width=device-width, initial-scale=1"><link rel="icon" href="reed.png"><link rel="stylesheet" href="{css}.css"><style>{style}</style></head><body>
<header><a href="{css}.html">Start</a><a href="{css}-about.html">About</a></header>
<main id="top"><h1>Reeds, cut by hand</h1><p id="first">In March the reeds are dry enough to be cut, and the whole village helps to carry them up from the
water before the birds come back to nest between them.</p><a class="go" href="{css}-about.html">How we cut</a>
<section id="work"><h2>The work of a year</h2><p id="second">Each bundle is tied three times, stood against the wind and turned every week until it sounds hollow.</p>
<div class="cards"><div class="card"><h3>Cutting</h3><p>With a short blade, from a boat.</p></div><div class="card"><h3>Drying</h3><p>Under the long roof.</p></div>
<div class="card"><h3>Thatching</h3><p>From the eaves upwards.</p></div></div></section>
<section id="seen" class="band"><h2>What it looks like</h2><img id="pic" src="reed.png" alt="Bundles of reed against a wall" width="480" height="320"><p>The wall faces south.</p></section>
<section id="ask"><h2>Ask us</h2><form action="#"><label for="name">Your name</label><input id="name"><p><button class="go">Send it</button></p></form></section></main>
<footer><p>Reed yard, Long Lane 4. <a href="mailto:yard@reed.example">Write to us</a> whenever you like.</p></footer></body></html>"""  # fmt: skip

Change = Callable[[str], str]


@dataclass(frozen=True, slots=True)
class Defect:
    """A defect by its name: the rule that finds it, how it is put into a page, or the style that makes it; and what else it may bring."""

    name: str
    rule: str
    change: Change = lambda html: html
    style: str = ""
    also: tuple[str, ...] = ()


def _swap(old: str, new: str) -> Change:
    def change(html: str) -> str:
        if old not in html:
            raise ValueError(f"{old} stands nowhere")
        return html.replace(old, new, 1)

    return change


def _contrast(name: str, style: str, change: Change = lambda html: html, also: tuple[str, ...] = ()) -> Defect:
    return Defect(f"contrast-{name}", "contrast/text-minimum", change, style, also)


_NEAR = ("consistency/near-colors",)
_FACE = "@font-face{{font-family:Reedface;src:url({}.woff2)}}#second{{font-family:Reedface,Georgia,serif}}"
_ICON = '<a class="icon" href="#top" aria-label="To the top"><svg width="32" height="32" viewBox="0 0 32 32"><path d="M4 24 16 8l12 16z" fill="{}"/></svg></a>'
_ON_WHITE = "#ask{background:#fff}#ask *{color:#111}#ask button{background:#0b5d3b!important;color:#fff!important}"
DEFECTS = (
    _contrast("grey", "#first{color:#999;background:#fff}"), _contrast("thin", "#first{color:rgba(0,0,0,.35);background:#fff}"),
    _contrast("tint", "#second{color:#c8a06a;background:#fdf6ea}"), _contrast("dark", "#second{color:#3a4a63;background:#0d1524}"),
    _contrast("veil", "#second{opacity:.35}"), _contrast("veiled-part", "#work{opacity:.4}"), _contrast("button", ".go{background:#ffd84d!important;color:#fff!important}"),
    _contrast("inherited", "#work{color:#aaa;background:#fff}#work h2,#work h3{color:inherit}"),
    _contrast("gradient", "#second{background:linear-gradient(#fff,#333);color:#fff;padding-bottom:60px}"),
    _contrast("gradient-across", "#second{background:linear-gradient(90deg,#111,#eee);color:#fff}"),
    _contrast("picture", "#second{background:url(reed.png);color:#fff}"),
    _contrast("over-image", "#seen{position:relative}#over{position:absolute;left:30px;top:90px;margin:0;color:#fff}", _swap('<p>The wall faces south.</p>', '<p id="over">On the wall</p>')),
    _contrast("pseudo", "#second{position:relative;z-index:0;color:#fff}#second::before{content:'';position:absolute;inset:0;background:#f4f4f4;z-index:-1}"),
    _contrast("translucent-stack", "#work{background:#fff}#second{background:rgba(0,0,0,.2);color:#888}"),
    _contrast("link", "#extra a{color:#9ad}#extra{background:#fff}", _swap('</section>\n<section id="seen"', '<p id="extra"><a href="#top">A link that hardly shows</a></p></section>\n<section id="seen"')),
    _contrast("small-only", "#second{color:#8a8a8a;background:#fff;font-size:18px}"), _contrast("large", "h1{color:#b8b8b8!important;background:#fff}"),
    _contrast("bold-not-large", "#second{color:#8a8a8a;background:#fff;font-size:17px;font-weight:700}"),
    _contrast("color-function", "#second{color:color(srgb .7 .7 .7);background:#fff}"), _contrast("oklch", "#second{color:oklch(75% .02 90);background:#fff}"),
    _contrast("filter", "#second{filter:opacity(.3)}"), _contrast("blend", "#second{background:#fff;color:#777}#work{filter:brightness(1.6)}"),
    _contrast("only-wide", "@media(min-width:900px){#second{color:#bbb;background:#fff}}"), _contrast("only-narrow", "@media(max-width:500px){#second{color:#bbb;background:#fff}}"),
    Defect("name-link", "interaction/names", _swap("</main>", '<a href="#top"><img src="reed.png" alt="" width="30" height="20"></a></main>'), also=("content/alternative-text",)),
    Defect("name-button", "interaction/names", _swap("Send it", "<svg width=\"20\" height=\"20\" aria-hidden=\"true\"><circle r=\"9\"/></svg>"), also=("contrast/graphic",)),
    Defect("name-icon-only", "interaction/names", _swap(">How we cut<", "><i></i><"), ".go i{display:inline-block;width:30px;height:24px}"),
    Defect("name-empty-label", "interaction/names", _swap('<label for="name">Your name</label>', "")),
    Defect("name-hint-alone", "interaction/names", _swap('<label for="name">Your name</label><input id="name">', '<input id="name" placeholder="Your name">')),
    Defect("name-label-elsewhere", "interaction/names", _swap('for="name"', 'for="nome"')),
    Defect("target-dense", "interaction/target-size", _swap("</main>", '<ul class="dense"><li><a href="#top">One</a></li><li><a href="#work">Two</a></li><li><a href="#ask">Three</a></li></ul></main>'), ".dense{list-style:none;padding:0;line-height:1.05}.dense a{display:block;font-size:14px}"),
    Defect("target-icon", "interaction/target-size", _swap("Send it</button>", 'Send it</button><button aria-label="Close" class="x">×</button>'), ".x{width:16px;height:16px;padding:0;border:0;margin:0;font-size:12px;line-height:1;color:#000;background:#fff}", ("type/least-size",)),
    Defect("wide-box", "layout/reflow", style="#second{width:620px}"), Defect("wide-table", "layout/reflow", _swap("</form>", "</form><table><tr>" + "<td>nowrapwords</td>" * 9 + "</tr></table>")),
    Defect("wide-word", "layout/reflow", _swap("Reeds, cut by hand", "Donaudampfschifffahrtsgesellschaftskapitänsmützenabzeichen")),
    Defect("wide-picture", "layout/reflow", style="#pic{max-width:none;width:480px}"), Defect("wide-margin", "layout/reflow", style="#work{margin-right:-60px}"),
    Defect("wide-nowrap", "layout/reflow", style="#second{white-space:nowrap}"), Defect("wide-positioned", "layout/reflow", style="#seen{position:relative;left:40px}"),
    Defect("cut-width", "layout/text-cut", style="h2{overflow:hidden;white-space:nowrap;width:90px}"), Defect("cut-height", "layout/text-cut", style="#second{height:30px;overflow:hidden}"),
    Defect("cut-card", "layout/text-cut", style=".card{height:40px;overflow:hidden}"), Defect("cut-ellipsis", "layout/text-cut", style="#first{white-space:nowrap;overflow:hidden;text-overflow:ellipsis}"),
    Defect("no-viewport", "layout/viewport", _swap('<meta name="viewport" content="width=device-width, initial-scale=1">', ""), also=("type/measure", "layout/reflow")),
    Defect("fixed-viewport", "layout/viewport", _swap("initial-scale=1", "initial-scale=1, user-scalable=no")), Defect("most-viewport", "layout/viewport", _swap("initial-scale=1", "maximum-scale=1")),
    Defect("desktop-viewport", "layout/viewport", _swap("width=device-width", "width=1024")),
    Defect("dead-page", "links/dead-destination", _swap('class="go" href="', 'class="go" href="gone-')), Defect("dead-anchor", "links/dead-destination", _swap("</main>", '<p><a href="#nowhere">Back to the price list</a></p></main>')),
    Defect("dead-empty", "links/dead-destination", _swap("</main>", '<p><a href="">More of it here</a></p></main>')), Defect("dead-hash", "links/dead-destination", _swap("</main>", '<p><a href="#">More of it here</a></p></main>')),
    Defect("dead-script", "links/dead-destination", _swap("</main>", '<p><a href="javascript:void(0)">More of it here</a></p></main>')), Defect("dead-far-anchor", "links/dead-destination", _swap("</main>", '<p><a href="weaver.html#nowhere">The list of the weaver</a></p></main>')),
    Defect("one-label", "links/one-destination", _swap("</main>", '<p><a href="#work">More on that</a> and <a href="#ask">More on that</a></p></main>'), also=("interaction/target-size",)),
    Defect("alt-missing", "content/alternative-text", _swap(' alt="Bundles of reed against a wall"', "")), Defect("alt-blank", "content/alternative-text", _swap('alt="Bundles of reed against a wall"', 'alt="   "')),
    Defect("picture-gone", "content/alternative-text", _swap('src="reed.png"', 'src="rede.png"'), also=("pictures/stretched",)),
    Defect("stretched-high", "pictures/stretched", style="#pic{height:300px!important;width:200px}"), Defect("stretched-attributes", "pictures/stretched", _swap('width="480" height="320"', 'width="300" height="300"'), "#pic{height:auto;aspect-ratio:1;width:300px}"),
    Defect("stretched-wide", "pictures/stretched", style="#pic{width:100%!important;height:120px!important}"),
    Defect("too-small", "pictures/too-small", _swap('src="reed.png"', 'src="dot.png"'), "#pic{width:280px}"),
    Defect("no-title", "publishing/title-description", _swap("<title>{title}</title>", "<title></title>")), Defect("no-description", "publishing/title-description", _swap('<meta name="description" content="What {title} tells.">', "")),
    Defect("no-h1", "structure/heading-order", lambda html: html.replace("h1>", "h2>")), Defect("two-h1", "structure/heading-order", _swap("<h2>Ask us</h2>", "<h1>Ask us</h1>")),
    Defect("skipped", "structure/heading-order", _swap("<h2>Ask us</h2>", "<h5>Ask us</h5>")), Defect("skipped-aria", "structure/heading-order", _swap("<h2>Ask us</h2>", '<div role="heading" aria-level="5">Ask us</div>')),
    Defect("id-twice", "structure/ids-apart", _swap('id="second"', 'id="first"')), Defect("no-main", "structure/landmarks", lambda html: html.replace("<main ", "<div ").replace("</main>", "</div>")),
    Defect("two-mains", "structure/landmarks", _swap("<footer>", "<main><p>Another one.</p></main><footer>")),
    Defect("no-language", "structure/language", _swap(' lang="en"', "")), Defect("odd-language", "structure/language", _swap('lang="en"', 'lang="english_uk"')),
    Defect("tiny-text", "type/least-size", style="#second{font-size:10px}"), Defect("tiny-em", "type/least-size", style=".card p{font-size:.6em}"),
    Defect("tight-lines", "type/line-height", style="#first{line-height:1.05}"), Defect("tight-fixed", "type/line-height", style="#first{line-height:16px;font-size:16px}"),
    Defect("long-lines", "type/measure", _swap('id="first">', 'id="first">' + "Where the water is deep the reed grows tall and thin, and where it is shallow short and thick. " * 5), "main{max-width:none!important}"),
    Defect("odd-heading", "consistency/heading-styles", style=".card:nth-child(2) h3{font-size:26px}"), Defect("odd-heading-weight", "consistency/heading-styles", style=".card:nth-child(3) h3{font-weight:300}"),
    Defect("odd-heading-face", "consistency/heading-styles", style=".card:nth-child(1) h3{font-family:monospace}"),
    Defect("link-by-color", "links/told-in-text", _swap('id="second">', 'id="second">Before that <a href="#ask">ask us</a> for the day. '), "#second a{text-decoration:none;color:inherit}"),
    Defect("link-by-hue", "links/told-in-text", _swap('id="second">', 'id="second">Before that <a href="#ask">ask us</a> for the day. '), "#second{color:#333;background:#fff}#second a{text-decoration:none;color:#7a1f1f}"),
    Defect("empty-heading", "structure/empty-heading", _swap("<h2>Ask us</h2>", "<h2>Ask us</h2><h3 style='height:20px'></h3>")), Defect("empty-heading-picture", "structure/empty-heading", _swap("<h2>Ask us</h2>", "<h2>Ask us</h2><h3><img src='reed.png' alt='' width='60' height='40'></h3>")),
    Defect("lorem", "content/sample-text", _swap("Under the long roof.", "Lorem ipsum dolor sit amet.")), Defect("todo", "content/sample-text", _swap("Under the long roof.", "TODO: what about the roof")),
    Defect("goes-here", "content/sample-text", _swap("<h2>Ask us</h2>", "<h2>Headline goes here</h2>")), Defect("german-sample", "content/sample-text", _swap("Under the long roof.", "Hier steht Blindtext über das Dach.")),
    Defect("capitals", "type/capitals", style="#second{text-transform:uppercase}"), Defect("capitals-typed", "type/capitals", _swap("Each bundle is tied three times, stood against the wind", "EACH BUNDLE IS TIED THREE TIMES, STOOD AGAINST THE WIND AND TURNED</p><p>so")),
    Defect("heavy", "publishing/weight", _swap('src="reed.png"', 'src="heavy.png"'), also=("publishing/picture-forms",)),
    Defect("hint", "contrast/hint", _swap('<input id="name">', '<input id="name" placeholder="Ada Reed">'), "input{background:#fff!important}input::placeholder{color:#b5b5b5}"),
    Defect("hint-default", "contrast/hint", _swap('<input id="name">', '<input id="name" placeholder="Ada Reed">'), "input{background:#333!important}"),
    Defect("field-edge", "contrast/field-edge", style="#ask{background:#fff}#ask *{color:#111}#ask button{background:#0b5d3b!important;color:#fff!important}input{background:#fff!important;border:1px solid #e6e6e6!important}"),
    Defect("field-without-edge", "contrast/field-edge", style="#ask{background:#fff}#ask *{color:#111}#ask button{background:#0b5d3b!important;color:#fff!important}input{background:#f7f7f7!important;border:0!important}"),
    Defect("focus-taken", "interaction/focus-seen", style="a:focus,button:focus,input:focus{outline:none}"), Defect("focus-taken-of-one", "interaction/focus-seen", style=".go:focus-visible{outline:0}"),
    Defect("focus-see-through", "interaction/focus-seen", style=".go:focus-visible{outline:2px solid transparent}"),
    Defect("focus-faint", "contrast/focus-ring", style="#ask{background:#fff}#ask *{color:#111}#ask button{background:#0b5d3b!important;color:#fff!important}button:focus-visible{outline:3px solid #ddd!important;outline-offset:2px}", also=("contrast/field-edge",)),
    Defect("focus-thin", "contrast/focus-ring", style="#ask{background:#fff}#ask *{color:#111}#ask button{background:#0b5d3b!important;color:#fff!important}button:focus-visible{outline:1px solid #000!important}", also=("contrast/field-edge",)),
    Defect("focus-shadow", "interaction/focus-forced", style="a:focus,button:focus,input:focus{outline:none;box-shadow:0 0 0 3px #888}"), Defect("focus-by-ground", "interaction/focus-forced", style=".go:focus{outline:none;background:#222!important;color:#fff!important}"),
    Defect("focus-under-footer", "interaction/focus-covered", _swap("</main>", "</main><div id=\"bar\"></div>"), "#bar{position:fixed;bottom:0;left:0;right:0;height:48vh;background:#888;z-index:9}"),
    Defect("faint-under-pointer", "contrast/states", style=".go:hover{background:#e2e2e2!important;color:#fff!important}"),
    Defect("faint-by-veil-under-pointer", "contrast/states", style="a:hover{color:rgba(128,128,128,.5)!important;background:#fff!important}"),
    Defect("faint-in-focus", "contrast/states", style=".go:focus-visible{background:#e2e2e2!important;color:#fff!important;outline:3px solid #d33!important}", also=("contrast/focus-ring",)),
    Defect("faint-by-its-part", "contrast/states", style="#ask{background:#fff}#ask form:hover .go{background:#fafafa!important;color:#ccc!important}", also=("contrast/text-minimum", "contrast/field-edge")),
    Defect("still-button", "interaction/pointer-answered", style=".go:hover{background:unset;color:unset}.go,.go:hover{background:#0b5d3b!important;color:#fff!important}"),
    Defect("grows-bold", "layout/still-under-pointer", style="header a:hover{font-weight:700;letter-spacing:.05em}"),
    Defect("grows-edge", "layout/still-under-pointer", style=".go:hover{border:4px solid #888!important}"),
    Defect("out-of-use-alike", "interaction/out-of-use", _swap("Send it</button>", 'Send it</button> <button class="go" type="submit" disabled>Send later</button>'), ".go{color:#fff!important;background:#0b5d3b!important;border:0!important}.go:hover{background:#10241a!important}"),
    Defect("out-of-use-told", "interaction/out-of-use", _swap("Send it</button>", 'Send it</button> <button class="go" aria-disabled="true">Send later</button>')),
    Defect("late-picture", "publishing/largest-paint", _swap("<h1>", '<img src="big.png" alt="Reed" width="280" height="187"><h1>'), also=("publishing/picture-forms",)),
    Defect("late-sheet", "publishing/largest-paint", _swap("<style>", '<link rel="stylesheet" href="long.css"><style>')),
    Defect("refused-style", "publishing/complaints", _swap("<title>", """<meta http-equiv="Content-Security-Policy" content="style-src 'self'"><title>"""), "h1{color:red}"),
    Defect("forgotten-german", "content/mixed-languages", _swap('id="second">Each bundle is tied three times, stood against the wind and turned every week until it sounds hollow.', 'id="second">Jedes Bündel wird dreimal gebunden, gegen den Wind gestellt und jede Woche gewendet, bis es hohl klingt.')),
    Defect("forgotten-french", "content/mixed-languages", _swap('<p id="first">', '<p>Chaque botte est liée trois fois, dressée contre le vent et tournée toutes les semaines jusqu’à ce qu’elle sonne creux.</p><p id="first">')),
    Defect("wrong-language", "content/mixed-languages", _swap('lang="en"', 'lang="pl"')),
    Defect("not-reached", "interaction/reached", _swap('class="go" href', 'class="go" tabindex="-1" href')), Defect("not-reached-button", "interaction/reached", _swap("<button", '<button tabindex="-1"')),
    Defect("spaced-cut", "type/text-spacing", _swap(">How we cut<", '><span class="tight">How we cut</span><'), ".tight{display:inline-block;width:9.6ch;overflow:hidden;white-space:nowrap;vertical-align:bottom}"),
    Defect("zoom-cut", "type/zoom", style="@media(min-width:600px) and (max-width:700px){#second{height:20px;overflow:hidden}}"),
    Defect("over-another", "layout/overlap", style="#second{position:relative;top:-50px}"), Defect("over-by-margin", "layout/overlap", style="#second{margin-top:-58px}"),
    Defect("far-apart", "layout/gap", style="#seen{margin-top:1000px}"), Defect("empty-height", "layout/gap", style="#seen{min-height:1500px}"),
    Defect("ragged", "layout/left-edges", _swap("</main>", "<section>" + "".join(f'<p style="margin-left:{step * 9}px">Line by line.</p>' for step in range(13)) + "</section></main>")),
    Defect("no-room", "layout/shift", _swap(' width="480" height="320"', "")),
    Defect("uneven-row", "pictures/row-proportions", _swap("</main>", '<div class="row"><img src="reed.png" alt="Reed" width="130" height="87"><img src="reed.png" alt="Reed again" width="130" height="130"></div></main>'), ".row{display:flex;gap:8px;align-items:start}.row img{object-fit:cover;height:auto}.row img+img{height:130px}.row img{flex:none;max-width:none}"),
    Defect("strange-form", "publishing/picture-forms", _swap('src="reed.png"', 'src="reed.bmp"')), Defect("heavy-form", "publishing/picture-forms", _swap('src="reed.png"', 'src="big.png"')),
    Defect("first-late", "publishing/first-picture-late", _swap("<h1>", '<img src="reed.png" alt="Reed" width="240" height="160" loading="lazy"><h1>')),
    Defect("font-unread", "type/font-drawn", style=_FACE.format("unread"), also=("publishing/complaints",)), Defect("font-gone", "type/font-drawn", style=_FACE.format("gone"), also=("publishing/missing-file",)),
    Defect("font-lacks", "type/font-drawn", _swap("<p id=\"second\">", "<p id=\"second\">Λίγα λόγια. "), _FACE.format("latin")), Defect("font-of-heading", "type/font-drawn", style=_FACE.format("unread").replace("#second", "h2"), also=("publishing/complaints",)),
    Defect("icon-gone", "publishing/missing-file", _swap('rel="icon" href="reed.png"', 'rel="icon" href="gone.png"')),
    Defect("no-sheet", "publishing/missing-file", _swap("<style>", '<link rel="stylesheet" href="gone.css"><style>')), Defect("no-background", "publishing/missing-file", style="#work{background-image:url(gone.png)}"),
    Defect("wide-on-paper", "layout/on-paper", style="@media print{#second{width:1100px}}"), Defect("cut-on-paper", "layout/on-paper", style="@media print{#second{height:12px;overflow:hidden}}"),
    Defect("graphic-faint", "contrast/graphic", _swap("</form>", "</form>" + _ICON.format("#c9d2d9")), _ON_WHITE, also=("contrast/field-edge",)),
    Defect("graphic-stroke", "contrast/graphic", _swap("</form>", "</form>" + _ICON.format("none").replace("<path", '<path stroke="#00000030" stroke-width="3"')), _ON_WHITE, also=("contrast/field-edge",)),
    Defect("graphic-named", "contrast/graphic", _swap("</form>", '</form><svg role="img" aria-label="Open all day" width="40" height="40"><circle cx="20" cy="20" r="18" fill="#f1e3a0"/></svg>'), _ON_WHITE, also=("contrast/field-edge",)),
    Defect("selected-faint", "contrast/selection", style="::selection{background:#f3c74b;color:#fff}"), Defect("selected-veil", "contrast/selection", style="#second{background:#fff;color:#222}#second::selection{background:rgba(0,0,0,.75);color:#333}"),
    Defect("white-on-paper", "contrast/on-paper", style="@media print{#second{background:none;color:#eee;print-color-adjust:exact}#work,main,body{background:#fff!important}}"),
    Defect("pale-on-paper", "contrast/on-paper", style="@media print{*{background:#fff!important}#first{color:#dcdcdc!important;-webkit-print-color-adjust:exact}}"),
    Defect("slanted", "type/slanted-smeared", style=_FACE.format("latin") + "#second{font-style:italic}"), Defect("smeared", "type/slanted-smeared", style=_FACE.format("latin") + "#second{font-weight:700}"),
    Defect("slanted-in-text", "type/slanted-smeared", _swap("tied three times", "tied <em>three</em> times"), _FACE.format("latin")),
    Defect("ladder", "type/hyphenation", _swap('id="second">', 'id="second">The water\u00adreed\u00adcutters\u00adguild\u00adhall\u00adroof stands. '), "#second{max-width:9ch}"),
    Defect("ladder-of-words", "type/hyphenation", _swap("From the eaves upwards.", "Moor\u00adland\u00adwater\u00adreed\u00adfarm\u00adhouse under\u00adwater\u00adgardens over\u00adwinter\u00adstores."), ".card:last-child p{max-width:6.5ch}"),
    Defect("headline-divided", "type/hyphenation", _swap("<h2>Ask us</h2>", "<h2 class='narrow'>Ask the under\u00adwater\u00adgardeners</h2>"), ".narrow{max-width:9ch}"),
    Defect("picture-first", "layout/picture-first", _swap("<h2>What it looks like</h2>", ""), "#pic{height:700px!important;width:100%;object-fit:cover}"),
    Defect("pictures-first", "layout/picture-first", _swap("<h2>What it looks like</h2>", "".join(f'<img src="reed.png" alt="Reed {n}" width="480" height="320">' for n in "abc"))),
    Defect("row-apart", "layout/wide-rows", _swap("</main>", '<ul class="apart"><li><span>A bundle</span><span>9 €</span></li><li><span>A rope</span><span>4 €</span></li><li><span>A roof</span><span>900 €</span></li></ul></main>'), ".apart{padding:0;list-style:none}.apart li{display:flex;justify-content:space-between}main{max-width:70rem!important}#first,#second{max-width:60ch}"),
    Defect("row-of-table", "layout/wide-rows", _swap("</main>", '<table class="apart"><tr><td>Bundle</td><td class="end">9 €</td></tr><tr><td>Rope</td><td class="end">4 €</td></tr><tr><td>Roof</td><td class="end">900 €</td></tr></table></main>'), ".apart{width:100%}.apart .end{text-align:right}main{max-width:70rem!important}#first,#second{max-width:60ch}"),
)  # fmt: skip


# What of a page a style or change speaks of; where two defects speak of one thing, one may take the other away.
_PART = re.compile(r"#[a-z]+|\.[a-z]+|\b(?:h[1-6]|main|body|input|img|header|footer|button|a)\b|\*|@media")
# These take others' styles away, or stand in the header, of which one page tells for all.
_ALONE = frozenset(("id-twice", "refused-style", "grows-bold"))


def together(most: int = 4) -> list[list[Defect]]:
    """Defects that stand on one page, so many at most, of different rules and about different parts of it."""
    made: list[list[Defect]] = []
    for one in DEFECTS:
        home = next((those for those in made if len(those) < most and _get_on(those, one)), None)
        if home is None:
            made.append([one])
        else:
            home.append(one)
    return [those for those in made if len(those) > 1]


def _get_on(those: Sequence[Defect], one: Defect) -> bool:
    rules, spoken = {one.rule, *one.also}, _spoken(one)
    if one.name in _ALONE or any(other.name in _ALONE for other in those):
        return False
    if any(rules & {other.rule, *other.also} or spoken & _spoken(other) for other in those):
        return False
    try:
        _changed((*those, one))
    except ValueError:
        return False
    return True


def _spoken(one: Defect) -> set[str]:
    return set(_PART.findall(" ".join(re.findall(r"([^{}]+)\{", one.style))))


def _changed(those: Sequence[Defect]) -> str:
    html = _HTML
    for one in those:
        html = one.change(html)
    return html


_COPIES = frozenset(("consistency/near-colors", "content/repeated", "links/orphan-page"))


def site(turns: int = 2) -> SiteFiles:
    """The clean pages, those with a defect each, on all three makings in turn, each defect on so many of them, and those with several."""
    data: dict[str, bytes] = {
        "reed.png": png(480, 320, (214, 205, 190)),
        "dot.png": png(120, 80, (90, 80, 70)),
        "heavy.png": png(480, 320, (214, 205, 190)) + bytes(2_600_000),
        "big.png": png(480, 320, (214, 205, 190)) + bytes(400_000),
        "latin.woff2": (resources.files("formulon.typefaces") / "files" / "figtree" / "latin.woff2").read_bytes(),
        "unread.woff2": b"no font" * 99,
        "reed.bmp": png(480, 320, (214, 205, 190)),
        "long.css": f"/* {Random(7).randbytes(450_000).hex()} */".encode(),
    }
    for css, style in _CSS.items():
        data[f"{css}.css"] = style.encode()
        data[f"{css}.html"] = _HTML.format(title=f"The {css}", css=css, style="").encode()
        data[f"{css}-about.html"] = _HTML.format(title=f"About the {css}", css=css, style="").encode()
    for number, defect in enumerate(DEFECTS):
        for turn in range(turns):
            css = list(_CSS)[(number + turn) % 3]
            name = f"{defect.name}-{turn}"
            data[f"{name}.html"] = _page([defect], name, css)
    for number, those in enumerate(together()):
        name = f"together-{number}"
        data[f"{name}.html"] = _page(those, name, list(_CSS)[number % 3])
    return SiteFiles(None, {name: len(one) for name, one in sorted(data.items())}, data)


def _page(those: Sequence[Defect], name: str, css: str) -> bytes:
    style = " ".join(one.style for one in those)
    return _changed(those).replace("{title}", name).replace("{css}", css).replace("{style}", style).encode()


@dataclass(frozen=True, slots=True)
class Seeded:
    """Defects that are missed, findings on clean pages, findings beside a defect that it does not bring, and how many there were of each."""

    missed: list[str]
    alarms: list[Finding]
    beside: list[Finding]
    defects: int
    clean: int
    seconds: float


def measured(turns: int = 2, widths: Sequence[int] = WIDTHS) -> Seeded:
    """What is found on the pages of `site` at some widths."""
    import time

    begun = time.perf_counter()
    found = check_files(site(turns), widths)
    seconds = time.perf_counter() - begun
    by_page: dict[str, list[Finding]] = {}
    for one in found.report.findings:
        by_page.setdefault(one.page, []).append(one)
    # Much is compared over the whole site, which here is of three makings, and of copies with all defects.
    clean = [f"{css}{more}.html" for css in _CSS for more in ("", "-about")]
    alarms = [one for page in clean for one in by_page.get(page, ()) if one.rule not in _COPIES]
    missed, beside = [], []
    for defect in DEFECTS:
        for turn in range(turns):
            page = f"{defect.name}-{turn}.html"
            rules = {one.rule for one in by_page.get(page, ())}
            if defect.rule not in rules:
                missed.append(page)
            beside += [one for one in by_page.get(page, ()) if one.rule not in (defect.rule, *defect.also, *_COPIES)]
    held = [(f"together-{number}.html", one) for number, those in enumerate(together()) for one in those]
    missed += [f"{one.name} on {page}" for page, one in held if one.rule not in {each.rule for each in by_page.get(page, ())}]
    return Seeded(missed, alarms, beside, turns * len(DEFECTS) + len(held), len(clean), seconds)
