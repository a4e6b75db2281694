"""HTML: styles by the elements that they reach, the pages' texts and pictures as material, facts in words, the header's logo."""

import re
from collections.abc import Callable
from itertools import islice
from typing import Any

import cssselect2
from lxml import html

from formulon.core.errors import MarkError, ReadError
from formulon.core.identity.documents import Block, flowing
from formulon.core.identity.documents.markup import blocks_of, plain
from formulon.core.identity.material import material
from formulon.core.identity.readers import svg
from formulon.core.identity.readers.styles import Declarations, collect, declared, report
from formulon.core.identity.sightings import MANY, MarkSeen, OtherSeen, Reading, WordField, WordSeen
from formulon.core.identity.statements.networks import is_own
from formulon.core.identity.words import facts, rules

MOST_ELEMENTS = 20_000
MOST_TEXTS = 60


def read(name: str, text: str, sheets: dict[str, str] | None = None) -> Reading:
    """A page. `sheets` are the style sheets that lie beside it, by path. Scripts are never run, addresses never asked."""
    reading = Reading(file=name, format="HTML")
    try:
        root = html.document_fromstring(text, parser=html.HTMLParser(no_network=True, remove_comments=True, remove_pis=True))
    except (ValueError, AssertionError) as error:
        raise ReadError(f"{name}: the page cannot be read ({str(error)[:80]}). Save it again as HTML.") from error
    except Exception as error:  # lxml's parser errors share no public base
        raise ReadError(f"{name}: the page is empty or cannot be read. Save it again as HTML.") from error
    elements = [element for element in root.iter() if isinstance(element.tag, str)]
    if len(elements) > MOST_ELEMENTS:
        raise ReadError(f"{name}: the page has more than {MOST_ELEMENTS:,} elements. Save a smaller one.")
    blocks = blocks_of(root)
    _words(root, blocks, reading)
    reading.sightings += material(blocks, MOST_TEXTS)
    reading.sightings += rules(flowing(blocks, "content"), "text")
    _styles(root, reading, sheets or {})
    _logo(root, name, reading)
    _pictures(root, reading)
    return reading


def _words(root: Any, blocks: list[Block], reading: Reading) -> None:
    def add(key: WordField, words: str | None, place: str, sure: float) -> None:
        plain = " ".join((words or "").split())
        if plain and not any(isinstance(s, WordSeen) and s.field == key and s.text == plain for s in reading.sightings):
            reading.sightings.append(WordSeen(field=key, text=plain[:600], place=place, sure=sure))

    add("language", root.get("lang"), "lang", 0.9)
    title = root.findtext(".//title") or ""
    site = root.xpath("string(//meta[@property='og:site_name']/@content)")
    add("name", site, "og:site_name", 0.9)
    parts = [part.strip() for part in re.split(r"\s+[|–—·-]\s+", " ".join(title.split())) if part.strip()]
    for part in parts[-1:] if len(parts) > 1 else parts:
        add("name", part, "title", 0.6)
    add("does", root.xpath("string(//meta[@name='description']/@content)"), "description", 0.7)
    for element in root.xpath("//*[contains(@class,'strapline') or contains(@class,'tagline') or contains(@class,'claim')]")[
        :2
    ]:
        add("strapline", plain(element), f".{element.get('class')}", 0.8)
    for element in root.iter("address"):
        if not element.xpath(".//a") or len(plain(element)) < 200:
            lines = [line for line in re.split(r"<br\s*/?>|\n", html.tostring(element, encoding="unicode")) if line.strip()]
            joined = ", ".join(filter(None, (" ".join(re.sub(r"<[^>]*>", " ", line).split()) for line in lines)))
            add("address", re.sub(r"[\w.+-]+@[\w.-]+|(?:\+?\d[\d ()/-]{6,})", "", joined).strip(" ,;"), "address", 0.8)
    for link in root.iter("a"):
        target = (link.get("href") or "").strip()
        if target.lower().startswith("mailto:"):
            add("email", target[7:].split("?")[0], "mailto link", 0.9)
        elif target.lower().startswith("tel:"):
            shown = plain(link)
            add("phone", shown if re.search(r"\d{3}", shown) else target[4:], "tel link", 0.9)
        elif "me" in (link.get("rel") or "").split() and target.startswith("http"):
            add("social", target[:200], "link marked as one’s own", 0.9)
        elif is_own(target, _above(link), _classes(link)):
            add("social", target[:200], "link", 0.7)
    for element in root.xpath("//*[contains(@class,'hours') or contains(@class,'opening')]")[:2]:
        add("hours", re.sub(r"(?i)^(?:opening )?hours:?\s*", "", plain(element)), f".{element.get('class')}", 0.8)
    for fact in facts(flowing(blocks, "content", "navigation", "footer", heads=False), "text", 0.7):
        if fact.field in ("email", "phone", "hours", "address", *MANY):
            add(fact.field, fact.text, fact.place, fact.sure)


def _above(link: Any) -> list[str]:
    """What stands right above a link or the list that it is in: the nearest heading or paragraph before it."""
    found = link.xpath(
        "(preceding::h1|preceding::h2|preceding::h3|preceding::h4|preceding::h5|preceding::h6|preceding::p)[last()]"
    )
    return [plain(one)[:200] for one in found]


def _classes(link: Any) -> str:
    return " ".join(
        f"{one.get('class') or ''} {one.get('aria-label') or ''}" for one in (link, *islice(link.iterancestors(), 3))
    )


def _styles(root: Any, reading: Reading, sheets: dict[str, str]) -> None:
    styles = Declarations()
    weigh = _weigher(root)
    missing = 0
    for link in root.iter("link"):
        if "stylesheet" in (link.get("rel") or "").lower():
            path = (link.get("href") or "").split("?")[0].split("#")[0]
            found = next((text for key, text in sheets.items() if key.endswith(path.lstrip("./"))), None) if path else None
            if found is not None:
                collect(found, styles, weigh)
            else:
                missing += 1
    for element in root.iter("style"):
        collect(element.text or "", styles, weigh)
    for element in root.iter():
        if isinstance(element.tag, str) and element.get("style"):
            declared(element.get("style"), f"{element.tag} style", styles)
    report(styles, reading)
    if missing:
        reading.notes.append(f"{missing} linked style sheet{'s' if missing > 1 else ''} lie elsewhere; add the file itself.")


def _weigher(root: Any) -> Callable[[str], int]:
    """How many elements of the page a selector reaches, 0 where none; states like :hover count as their element."""
    wrapper = cssselect2.ElementWrapper.from_html_root(root)
    known: dict[str, int] = {}

    def weigh(selector: str) -> int:
        if selector not in known and len(known) < 2000:
            plain = re.sub(
                r"::?(?:hover|focus(?:-visible|-within)?|active|visited|before|after|placeholder|selection|marker)",
                "",
                selector,
            )
            try:
                compiled = cssselect2.compile_selector_list(plain)
                known[selector] = sum(1 for _ in wrapper.query_all(*[one for one in compiled if one.pseudo_element is None]))
            except (cssselect2.SelectorError, NotImplementedError, ValueError):
                known[selector] = 1
        return known.get(selector, 1)

    return weigh


def _logo(root: Any, name: str, reading: Reading) -> None:
    """A drawing inside the header, or a picture there, is likely the logo."""
    for header in root.xpath(
        "//header | //*[contains(@class,'header') or contains(@class,'logo') or contains(@class,'brand')]"
    )[:6]:
        for drawing in header.iter("svg"):
            source = html.tostring(drawing, encoding="unicode", with_tail=False)
            if "xmlns" not in source[:400]:
                source = source.replace("<svg", '<svg xmlns="http://www.w3.org/2000/svg"', 1)
            source = source.replace("viewbox=", "viewBox=").replace("lineargradient", "linearGradient")
            try:
                seen = svg.read(f"{name}, logo in the header", source.encode())
            except MarkError as error:
                reading.notes.append(str(error))
                continue
            for sighting in seen.sightings:
                sighting.place = f"header, {sighting.place}"
                sighting.sure = round(sighting.sure * 0.9, 3)
                if isinstance(sighting, MarkSeen):
                    sighting.name = "logo in the header"
            reading.sightings += [s for s in seen.sightings if s not in reading.sightings]
            return
        for picture in header.iter("img"):
            source = (picture.get("src") or "")[:200]
            if source and not source.startswith("data:"):
                reading.sightings.append(
                    OtherSeen(name=source, type="logo in the header", value=source, place="header img", sure=0.8)
                )
                return


def _pictures(root: Any, reading: Reading) -> None:
    """What pictures show, in the words of the page; the files come by themselves."""
    for picture in list(root.iter("img"))[:80]:
        source, alt = (picture.get("src") or "")[:200], " ".join((picture.get("alt") or "").split())[:300]
        if source and alt and not source.startswith("data:"):
            reading.sightings.append(OtherSeen(name=source, type="picture text", value=alt, place="img", sure=0.9))
