"""HTML as a document: parts by their elements. Navigation, notices about cookies and the footer of a page are known for what they are;
the header of an article is its heading. (The elements' meanings are those of the HTML Living Standard, sections 4.3 to 4.5.)
"""

import re
from collections.abc import Callable
from typing import Any

from formulon.core.identity.documents import MOST_BLOCKS, Block, Region

_UNSEEN = {"script", "style", "noscript", "template", "svg", "iframe", "object", "head", "select", "button", "math"}
_INLINE = {
    "a", "abbr", "b", "bdi", "bdo", "cite", "code", "data", "del", "dfn", "em", "font", "i", "ins", "kbd", "label", "mark", "q", "ruby",
    "s", "samp", "small", "span", "strong", "sub", "sup", "time", "u", "var", "wbr", "tt", "img",
}  # fmt: skip
_HEADINGS = {f"h{level}": level for level in range(1, 7)}
_ROOTS = {"article", "section", "main", "blockquote", "figure", "aside", "dialog"}
_NOTICE = re.compile(r"(?i)cookie|consent|gdpr|privacy-banner")
_SHORT = 90  # characters of a line that is broken off by hand
_DEEP = 200
_SOFT = "\v"


def blocks_of(root: Any, apart: Callable[[list[str]], bool] = lambda lines: False) -> list[Block]:
    """The parts of a parsed page (lxml), at most as many as a document may have. Lines that an element `soft` parts, as Markdown's do,
    run on unless `apart` says of them that each stands for itself."""
    made = _Walk(apart)
    made.into(root, "content", 0)
    made.flush("content")
    return made.blocks[:MOST_BLOCKS]


def plain(element: Any) -> str:
    """The words of an element; what is set as a block of its own stands apart from what is beside it."""
    return " ".join(_flat(element).split())


def _flat(element: Any, depth: int = 0) -> str:
    if not isinstance(element.tag, str) or element.tag in _UNSEEN or depth > _DEEP:
        return ""
    inner = (element.text or "") + "".join(_flat(one, depth + 1) + (one.tail or "") for one in element)
    if element.tag == "br":
        return "\n"
    return inner if element.tag in _INLINE else f" {inner} "


class _Walk:
    """Goes through a page, and makes a part of what runs on until an element ends it."""

    def __init__(self, apart: Callable[[list[str]], bool]) -> None:
        self.apart = apart
        self.blocks: list[Block] = []
        self.running: list[str] = []

    def flush(self, region: Region) -> None:
        """Ends the paragraph that runs: lines that are broken off short are parts of their own."""
        lines = []
        for line in "".join(self.running).split("\n"):
            soft = [" ".join(one.split()) for one in line.split(_SOFT)]
            lines += soft if len(soft) > 1 and self.apart(soft) else [" ".join(soft)]
        self.running.clear()
        lines = [line for line in lines if line]
        if len(lines) > 1 and any(len(line) > _SHORT for line in lines):
            lines = [" ".join(lines)]
        self.blocks += [Block("paragraph", line, region=region) for line in lines]

    def into(self, element: Any, region: Region, depth: int) -> None:
        tag = element.tag
        if not isinstance(tag, str) or tag in _UNSEEN or depth > _DEEP or element.get("hidden") is not None:
            return
        if tag in ("br", "soft"):
            self.running.append("\n" if tag == "br" else _SOFT)
            return
        if tag in _INLINE:
            self.running.append(_spaced(element.text))
            self.children(element, region, depth)
            return
        region = _region(element, region)
        self.flush(region)
        level = _HEADINGS.get(tag)
        if level:
            words = plain(element)
            self.blocks += [Block("heading", words, level=level, region=region)] if words else []
        elif tag == "table":
            self.table(element, region)
        elif tag == "dl":
            self.terms(element, region)
        elif tag in ("blockquote", "figure") and (quote := _quote(element)):
            self.blocks.append(Block("quote", quote[0], by=quote[1], region=region))
        elif tag == "li":
            self.item(element, region, depth)
        else:
            self.running.append(_spaced(element.text))
            self.children(element, region, depth)
            self.flush(region)

    def children(self, element: Any, region: Region, depth: int) -> None:
        for child in element:
            self.into(child, region, depth + 1)
            self.running.append(_spaced(child.tail))

    def item(self, element: Any, region: Region, depth: int) -> None:
        """An item of a list; a list within it gives items of its own, paragraphs go with it."""
        within = [one for one in element if one.tag in ("ul", "ol", "table", "blockquote", "dl")]
        words = " ".join(
            (
                (element.text or "") + "".join((_flat(one) if one not in within else " ") + (one.tail or "") for one in element)
            ).split()
        )
        parent = element.getparent()
        if words and parent is not None and parent.tag == "ol":  # its number tells a step
            first = parent.get("start") or "1"
            number = int(first) if first.isdigit() else 1
            words = f"{number + sum(one.tag == 'li' for one in element.itersiblings(preceding=True))}. {words}"
        if words:
            self.blocks.append(Block("item", words, region=region))
        for one in within:
            self.into(one, region, depth + 1)
            self.flush(region)

    def table(self, element: Any, region: Region) -> None:
        """Rows with their cells. One that holds nothing but header cells, or stands in the head, names columns."""
        caption = element.find("caption")
        if caption is not None and (words := plain(caption)):
            self.blocks.append(Block("heading", words, level=6, region=region))
        for row in element.iter("tr"):
            found = [one for one in row if one.tag in ("td", "th")]
            cells = tuple(plain(one) for one in found)
            if not any(cells):
                continue
            head = len(cells) > 1 and (all(one.tag == "th" for one in found) or row.getparent().tag == "thead")
            self.blocks.append(Block("row", " ".join(filter(None, cells)), cells, head=head, region=region))

    def terms(self, element: Any, region: Region) -> None:
        """A term with what is said of it, as a row; `dl` may group them in `div`."""
        term, said = "", list[str]()

        def close() -> None:
            if term or said:
                cells = tuple(filter(None, (term, "; ".join(said))))
                self.blocks.append(Block("row", " ".join(cells), cells, region=region))

        for one in element.iter("dt", "dd"):
            if one.tag == "dt":
                if said or term:
                    close()
                term, said = plain(one), []
            else:
                said.append(plain(one))
        close()


def _spaced(text: str | None) -> str:
    """Words of the source, whose line ends are spaces; a line end that stays is one that an element made."""
    return (text or "").replace("\n", " ").replace("\r", " ")


def _region(element: Any, region: Region) -> Region:
    """What an element's words are there for, which is as around it where it does not say."""
    if region != "content":
        return region
    if element.tag == "nav" or element.get("role") == "navigation":
        return "navigation"
    if _NOTICE.search(f"{element.get('id') or ''} {element.get('class') or ''}"):
        return "notice"
    if element.tag in ("footer", "header") and not any(up.tag in _ROOTS for up in element.iterancestors()):
        return "footer" if element.tag == "footer" else "navigation"
    return region


def _quote(element: Any) -> tuple[str, str] | None:
    """What is quoted and by whom; None for a figure that quotes nothing."""
    quoted = element if element.tag == "blockquote" else next(element.iter("blockquote"), None)
    if quoted is None:
        return None
    named = [one for one in element.iter("footer", "cite", "figcaption") if plain(one)]
    by = re.sub(r"^[—–\-\s]+", "", plain(named[0])) if named else ""
    if element.tag == "blockquote" and not named:  # a line of its own that begins with a dash
        last = element[-1] if len(element) > 1 else None
        if last is not None and re.match(r"^\s*[—–-]\s*\S", plain(last)):
            named, by = [last], re.sub(r"^[—–\-\s]+", "", plain(last))
    inside = [one for one in named if quoted in one.iterancestors()]
    words = plain(quoted)
    for one in inside[:1]:
        words = words.replace(plain(one), "").strip(" —–-")
    return (words, by[:160]) if words else None
