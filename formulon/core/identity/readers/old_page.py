"""A page of the site that a brand has had, by itself: its style sheets and pictures within it, and nothing that runs or that asks for an
address. For looking at beside the new one."""

import posixpath
import re
from collections.abc import Mapping
from typing import Any
from urllib.parse import unquote, urlsplit

from lxml import html

from formulon.core.errors import ReadError
from formulon.core.system.documents.identity import CONTROLS

MOST_ELEMENTS, MOST_BYTES = 20_000, 12_000_000
_GONE = frozenset(("script", "iframe", "frame", "frameset", "object", "embed", "applet", "base", "link", "meta", "template", "portal", "video", "audio", "source", "track"))  # fmt: skip
_ADDRESSES = ("src", "href", "srcset", "poster", "background", "data", "action", "formaction", "xlink:href", "ping", "manifest", "cite", "longdesc")  # fmt: skip
_URL = re.compile(r"url\(\s*(?:\"([^\"]*)\"|'([^']*)'|([^)\s]*))\s*\)", re.IGNORECASE)
_IMPORT = re.compile(r"@import\s+(?:url\(\s*)?[\"']?([^\"')\s;]+)[\"']?\s*\)?[^;]*;", re.IGNORECASE)
_DATA = re.compile(r"data:image/(?:png|jpe?g|gif|webp|avif|svg\+xml)[;,]", re.IGNORECASE)
_DEEP = 4


def alone(name: str, text: str, beside: Mapping[str, str]) -> str:
    """The page as one document. `beside` has the style sheets (their text) and pictures (as `data:` addresses) that lie with it, by path.
    Raises ReadError."""
    try:
        root = html.document_fromstring(
            CONTROLS.sub("", text), parser=html.HTMLParser(no_network=True, remove_comments=True, remove_pis=True)
        )
    except Exception as error:  # lxml's parser errors share no public base
        raise ReadError(f"{name}: the page cannot be read. Save it again as HTML.") from error
    if sum(1 for _ in root.iter()) > MOST_ELEMENTS:
        raise ReadError(f"{name}: the page has more than {MOST_ELEMENTS:,} elements. Save a smaller one.")
    files = _Beside(name, beside)
    for element in list(root.iter()):
        _cleaned(element, files)
    head = root.find("head")
    if head is None:
        head = html.Element("head")
        root.insert(0, head)
    charset = html.Element("meta", charset="utf-8")
    head.insert(0, charset)
    made = str(html.tostring(root, doctype="<!doctype html>", encoding="unicode"))
    if len(made) > MOST_BYTES:
        raise ReadError(f"{name}: the page is too large with its pictures to be shown beside the new one.")
    return made


class _Beside:
    """What lies with a page, found by the addresses that it uses."""

    def __init__(self, name: str, files: Mapping[str, str]) -> None:
        self.name, self.files = name, {path.lower(): text for path, text in files.items()}

    def find(self, address: str, at: str = "") -> tuple[str, str] | None:
        """The path and the content that an address means from a file; None where it is not there."""
        parts = urlsplit(address.strip())
        wanted = unquote(parts.path).lower()
        if not wanted:
            return None
        if parts.scheme or parts.netloc or wanted.startswith("/"):
            paths = [wanted.lstrip("/")]
        else:
            paths = [posixpath.normpath(posixpath.join(posixpath.dirname((at or self.name).lower()), wanted))]
        for path in paths:
            if path in self.files:
                return path, self.files[path]
            # A site that was saved lies in a folder of its own, whatever its addresses begin with.
            ends = [one for one in self.files if one.endswith(f"/{path.removeprefix('../').lstrip('/')}")]
            if ends:
                return ends[0], self.files[ends[0]]
        return None

    def picture(self, address: str, at: str = "") -> str:
        """A picture as a `data:` address; empty where it is not there."""
        if _DATA.match(address.strip()):
            return address.strip()
        found = self.find(address, at)
        return found[1] if found and found[1].startswith("data:image/") else ""

    def css(self, text: str, at: str = "", seen: frozenset[str] = frozenset()) -> str:
        """A style sheet with what it imports and refers to, and without any address."""

        def imported(found: re.Match[str]) -> str:
            other = self.find(found[1], at)
            if other is None or other[0] in seen or other[1].startswith("data:") or len(seen) > _DEEP:
                return ""
            return self.css(other[1], other[0], seen | {other[0]})

        def placed(found: re.Match[str]) -> str:
            picture = self.picture(found[1] or found[2] or found[3] or "", at)
            return f'url("{picture}")' if picture else "none"

        plain = re.sub(r"/\*.*?\*/", "", text, flags=re.DOTALL)
        return _URL.sub(placed, _IMPORT.sub(imported, plain)).replace("</", "<\\/")


def _cleaned(element: Any, files: _Beside) -> None:
    """Takes from an element what runs or asks for something."""
    tag = element.tag if isinstance(element.tag, str) else ""
    if tag == "link" and "stylesheet" in str(element.get("rel", "")).lower():
        found = files.find(element.get("href") or "")
        style = html.Element("style")
        style.text = files.css(found[1], found[0], frozenset([found[0]])) if found and not found[1].startswith("data:") else ""
        media = element.get("media")
        if media and not re.search(r"[<>\"]", media):
            style.set("media", media)
        _replaced(element, style)
        return
    if tag in _GONE or not tag:
        _dropped(element)
        return
    if tag == "style":
        element.text = files.css(element.text or "")
    if tag == "noscript":
        element.tag = "div"  # what a browser without scripts shows
    for key, value in list(element.attrib.items()):
        low = key.lower()
        if low.startswith("on") or low in _ADDRESSES or "javascript:" in re.sub(r"\s", "", value.lower()):
            del element.attrib[key]
            if low == "src" and tag in ("img", "input"):
                element.set("src", files.picture(value))
            if low in ("href", "xlink:href") and value.startswith("#"):
                element.set(key, value)
        elif low == "style":
            element.set(key, files.css(value))
        elif low in ("target", "autofocus", "contenteditable", "http-equiv"):
            del element.attrib[key]


def _dropped(element: Any) -> None:
    parent = element.getparent()
    if parent is None:
        return
    tail, before = element.tail or "", element.getprevious()
    if before is not None:
        before.tail = (before.tail or "") + tail
    else:
        parent.text = (parent.text or "") + tail
    parent.remove(element)


def _replaced(element: Any, other: Any) -> None:
    other.tail = element.tail
    parent = element.getparent()
    if parent is not None:
        parent.replace(element, other)
