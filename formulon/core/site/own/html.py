"""The designer's own HTML, as far as it is taken: an allow-list of elements and attributes, held by the nh3 library.

No script, no form, no frame, nothing fetched from elsewhere, no style attribute: published pages forbid all of these. Pictures are
the brand's own or drawings, by the names that slots give them; links lead where links may lead.
"""

import re
from collections.abc import Callable, Iterator
from dataclasses import dataclass
from functools import lru_cache
from html import unescape

import nh3
from lxml import etree
from lxml import html as lxml_html
from markupsafe import Markup
from pydantic import ValidationError

from formulon.core.site.values import Action, Picture
from formulon.core.system.documents.identity import CONTROLS
from formulon.core.type.hyphens import hyphenated

_PLAIN = [
    "a",
    "abbr",
    "address",
    "article",
    "aside",
    "b",
    "bdi",
    "bdo",
    "blockquote",
    "br",
    "caption",
    "cite",
    "code",
    "col",
    "colgroup",
    "data",
    "dd",
    "del",
    "details",
    "dfn",
    "div",
    "dl",
    "dt",
    "em",
    "figcaption",
    "figure",
    "h2",
    "h3",
    "h4",
    "h5",
    "h6",
    "hr",
    "i",
    "img",
    "ins",
    "kbd",
    "li",
    "mark",
    "ol",
    "p",
    "pre",
    "q",
    "rp",
    "rt",
    "ruby",
    "s",
    "samp",
    "section",
    "small",
    "span",
    "strong",
    "sub",
    "summary",
    "sup",
    "table",
    "tbody",
    "td",
    "tfoot",
    "th",
    "thead",
    "time",
    "tr",
    "u",
    "ul",
    "var",
    "wbr",
]
TAGS = frozenset({*_PLAIN, "h1"})  # a page has one headline of the first level: h1 becomes h2
_ANYWHERE = frozenset({"class", "id", "lang", "dir", "title", "role", "translate"})
_OF_TAG = {
    "a": {"href"},
    "img": {"src", "alt"},
    "ol": {"start", "reversed", "type"},
    "li": {"value"},
    "td": {"colspan", "rowspan", "headers"},
    "th": {"colspan", "rowspan", "headers", "scope", "abbr"},
    "col": {"span"},
    "colgroup": {"span"},
    "time": {"datetime"},
    "data": {"value"},
    "del": {"datetime"},
    "ins": {"datetime"},
    "details": {"open", "name"},
}
_ARIA = "aria-"
_NAMES_IDS = frozenset({"aria-labelledby", "aria-describedby", "aria-details", "headers"})
_WITH_CONTENT = {"script", "style", "template", "iframe", "object", "svg", "math", "noscript", "title", "textarea", "select"}
_IMAGE = re.compile(r"<img\b[^<>]*>")
_HREF = re.compile(r'(<a\b[^<>]*?) href="([^"<>]*)"')
_PARTS = re.compile(r"<[^<>]*>|[^<>]+")
_VERBATIM = re.compile(r"<(/?)(?:pre|code|kbd|samp)\b")
_MOST_TOLD = 12


@dataclass(frozen=True, slots=True)
class Cleaned:
    """HTML that may stand on a page, and what was left out of what was written, each thing once."""

    html: str
    left_out: tuple[str, ...]


@lru_cache(maxsize=256)
def cleaned(source: str, scope: str = "") -> Cleaned:
    """Own HTML as it is taken; ids in it begin with the scope."""
    source = CONTROLS.sub("", source)

    def attribute(tag: str, name: str, value: str) -> str | None:
        kept = _kept(name, value, scope) if _allowed(tag, name) else None
        return None if kept is None else re.sub(r"[<>]", "", kept)

    made = nh3.clean(
        source, tags=set(TAGS), clean_content_tags=_WITH_CONTENT,
        attributes={"*": {*_ANYWHERE}, **_OF_TAG}, generic_attribute_prefixes={_ARIA}, attribute_filter=attribute,
        url_schemes={"page", "http", "https", "mailto", "tel", "file", "asset", "drawn"}, link_rel=None, strip_comments=True,
    )  # fmt: skip
    made = re.sub(r"(</?)h1(?=[\s>])", r"\1h2", made)
    return Cleaned(made.strip(), tuple(dict.fromkeys(_left_out(source)))[:_MOST_TOLD])


def _allowed(tag: str, name: str) -> bool:
    return name in _ANYWHERE or name in _OF_TAG.get(tag, ()) or name.startswith(_ARIA)


def _kept(name: str, value: str, scope: str) -> str | None:
    """The value of an attribute as it is written, None where it is not taken."""
    if name == "id":
        return _scoped(value, scope) if re.fullmatch(r"[^\s<>\"']{1,60}", value) else None
    if name in _NAMES_IDS:
        return " ".join(_scoped(one, scope) for one in value.split())
    if name == "href":
        if re.fullmatch(r"#[^\s<>\"'#]{1,60}", value):
            return f"#{_scoped(value[1:], scope)}"
        try:
            return Action(label="", to=value).to or None
        except ValidationError:
            return None
    if name == "src":
        try:
            return Picture(source=value).source
        except ValidationError:
            return None
    return value


def _scoped(name: str, scope: str) -> str:
    return f"{scope}-{name}" if scope else name


def _left_out(source: str) -> Iterator[str]:
    """The elements and attributes of what was written that no page takes."""
    try:
        root = lxml_html.fragment_fromstring(source, create_parent="div")
    except (etree.ParserError, ValueError):
        return
    for one in root.iterdescendants():
        if not isinstance(one.tag, str) or any(up.tag in _WITH_CONTENT for up in one.iterancestors()):
            continue
        if one.tag not in TAGS:
            yield f"<{one.tag}>"
            continue
        if one.tag == "h1":
            yield "<h1>, which becomes <h2>: a page has one headline of the first level"
        for name, value in one.attrib.items():
            if not _allowed(one.tag, name) or _kept(name, value, "") is None:
                yield f"{name}=“{value[:60]}”"


def tree_of(html: str) -> lxml_html.HtmlElement:
    """Cleaned HTML as a tree, to be looked at."""
    return lxml_html.fragment_fromstring(html, create_parent="div")


def divided(html: str, language: str) -> str:
    """Cleaned HTML with soft hyphens in its long words, but for those that are to be copied as they are."""
    made, verbatim = "", 0
    for part in _PARTS.findall(html):
        if found := _VERBATIM.match(part):
            verbatim += -1 if found[1] else 1
        made += part if verbatim or part.startswith("<") else hyphenated(part, language)
    return made


def written(html: str, href: Callable[[str], str], picture: Callable[[str, str], Markup]) -> Markup:
    """Cleaned HTML with its links led and its pictures drawn; `picture` is handed a source and a text alternative."""

    def drawn(found: re.Match[str]) -> str:
        image = lxml_html.fragment_fromstring(found[0])
        return str(picture(image.get("src", ""), image.get("alt", ""))) if image.get("src") else ""

    def led(found: re.Match[str]) -> str:
        to = unescape(found[2])
        address = to if to.startswith("#") else href(to)
        return found[1] + (str(Markup(' href="{}"').format(address)) if address else "")

    return Markup(_HREF.sub(led, _IMAGE.sub(drawn, html)))
