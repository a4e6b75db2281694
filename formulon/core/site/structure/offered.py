"""What can be added to a page: every composition of a kind with words that fit, out of what the brief and the client's texts say, those
first that stand nowhere yet."""

import json
import re
from collections.abc import Iterator, Sequence
from dataclasses import dataclass
from typing import Any

from formulon.core.site.catalogue import CATALOGUE, layout_of
from formulon.core.site.documents import documents
from formulon.core.site.kind import Kind
from formulon.core.site.opening import rows_of
from formulon.core.site.planning.form_starts import form_start
from formulon.core.site.planning.planner import plan
from formulon.core.site.planning.telling import Telling
from formulon.core.site.planning.writer import BriefWriter
from formulon.core.site.site import FRAME, Page, Section, Site
from formulon.core.site.structure.leads import leading_somewhere
from formulon.core.site.structure.sections import blank

Content = dict[str, Any]


@dataclass(frozen=True, slots=True)
class Offer:
    """A section that can be added, and the name of the page on which its words stand already, if there is one."""

    section: Section
    said_on: str


def offers(site: Site, kind: str) -> list[Offer]:
    """A section of a kind in each of its layouts, those of the brand's own last. Raises KeyError for a kind that there is not."""
    declared = CATALOGUE[kind]
    if kind in FRAME:
        raise KeyError(kind)
    content, said_on = _words(site, kind)
    content = leading_somewhere(content, documents(site), site.pages[0].id)
    own = [one.layout for one in site.choices.compositions if one.kind == kind]
    made = []
    for number, layout in enumerate((*declared.layouts, *own)):
        filled = content or blank(declared, layout)
        section = Section(
            id=f"offer-{number}",
            kind=kind,
            layout=layout,
            departs=True,
            content=_formed(site, kind, layout, _pictured(site, declared, layout, filled)),
        )
        made.append(Offer(section, said_on))
    return made


def _formed(site: Site, kind: str, layout: str, content: Content) -> Content:
    """A content with a form that can be sent, where the layout shows one and nobody has written any."""
    made = dict(content)
    for path in layout_of(CATALOGUE[kind], layout).drawn:
        if CATALOGUE[kind].has(path) and CATALOGUE[kind].slot(path).type == "form" and not (made.get(path) or {}).get("to"):
            made[path] = form_start(site.identity, "sign-up" if kind == "sign_up" else "enquiry")
    return made


def shown(site: Site, made: Sequence[Offer]) -> Site:
    """A site of one page that has what is offered, one under another, for looking at."""
    page = site.drawn[0].model_copy(update={"sections": [one.section for one in made]})
    return site.model_copy(update={"pages": [page], "frame": site.frame.model_copy(update={"order": [page.id]})})


def _words(site: Site, kind: str) -> tuple[Content, str]:
    """What a section of a kind could say, and where that is said already; nothing where nothing is known."""
    stands = {
        json.dumps(one.content, sort_keys=True): page.name for page in site.pages for one in page.sections if one.kind == kind
    }
    found = [one.content for page in _planned(site) for one in page.sections if one.kind == kind]
    found += [content for content in _of_facts(site, kind) if content]  # which the plan may have told otherwise
    fresh = next((one for one in found if json.dumps(one, sort_keys=True) not in stands), None)
    if fresh is not None and not _said(fresh, site):
        return fresh, ""
    for content in (*found, *(one.content for page in site.pages for one in page.sections if one.kind == kind)):
        return content, stands.get(json.dumps(content, sort_keys=True), "") or _said(content, site)
    return {}, ""


def _of_facts(site: Site, kind: str) -> Iterator[Content]:
    """What a section of a kind says of the brand's facts: how it is reached, when it is open, where it is, what it hands out."""
    identity = site.identity
    telling = Telling(identity, site.assets, BriefWriter(), identity.name, lambda key: "")
    contact = identity.contact
    if kind == "contact":
        heading = telling.say("write_to_us") or telling.name_of("contact")
        yield {"heading": heading, "items": telling.ways_to_reach(), "form": telling.form()}
    elif kind == "strip":
        ways = [one for one in telling.ways_to_reach() if one.get("link")]
        yield {"items": ways} if ways else {}
    elif kind == "programme":
        rows = [[one["when"], one["what"]] for one in rows_of(contact.hours, identity.language)]
        head = [telling.say("when") or telling.say("hours"), telling.say("hours")]
        yield {"heading": telling.say("hours"), "table": {"head": head, "rows": rows}} if rows and all(head) else {}
    elif kind == "place":
        where = contact.address or identity.place
        yield {"heading": telling.say("getting_here"), "text": where, "map": {"ways": []}} if where else {}
    elif kind == "downloads":
        most = CATALOGUE[kind].slots["items"].most
        items = [
            {"title": _called(one.name), "link": {"label": _called(one.name), "to": f"file:{one.id}"}}
            for one in identity.files[:most]
        ]
        slot = CATALOGUE[kind].slots["heading"]
        yield {"heading": slot.of.blank(slot), "items": items} if items else {}


def _called(file_name: str) -> str:
    """What a file is, as its name says."""
    stem = re.sub(r"[-_\s]+", " ", file_name.rpartition(".")[0]).strip()
    return (stem[:1].upper() + stem[1:])[:120]


def _said(content: Content, site: Site) -> str:
    """The page on which what a content says stands already, in whatever kind of section."""
    texts = {text for text in _texts(content) if len(text) > 12}
    for page in site.pages:
        there = {text for section in page.sections for text in _texts(section.content)}
        if texts and len(texts & there) * 2 > len(texts):
            return page.name
    return ""


def _texts(value: Any) -> Iterator[str]:
    if isinstance(value, str):
        yield value
    elif isinstance(value, dict):
        for key, one in value.items():
            if key not in ("to", "source", "heading"):
                yield from _texts(one)
    elif isinstance(value, list):
        for one in value:
            yield from _texts(one)


_KNOWN: dict[str, tuple[Page, ...]] = {}
_MOST_KNOWN = 8


def _planned(site: Site) -> tuple[Page, ...]:
    """What is planned of a site's brief, as pages and as one page; kept, since each kind is asked for by itself."""
    assets = [(one.id, one.name) for one in site.assets]
    key = f"{site.identity.model_dump_json()}{site.choices.model_dump_json()}{assets}"
    if key not in _KNOWN:
        made: list[Page] = []
        for extent in ("pages", "one page"):
            identity = site.identity.model_copy(update={"extent": extent})
            made += plan(identity, site.choices, site.assets, library=site.library, composed=False).pages
        _KNOWN[key] = tuple(made)
        for old in list(_KNOWN)[:-_MOST_KNOWN]:
            _KNOWN.pop(old, None)  # another request may have let it go already
    return _KNOWN[key]


def _pictured(site: Site, kind: Kind, layout: str, content: Content) -> Content:
    """A content with the brand's own pictures, or drawings, where the layout shows some and the content has none."""
    made, number = dict(content), 0
    for path in sorted(layout_of(kind, layout).drawn):
        if not kind.has(path) or not kind.slot(path).of.picture:
            continue
        slot, _, part = path.partition("/")
        if not part:
            made[slot] = made.get(slot) or _picture(site, kind, path, number)
        elif isinstance(made.get(slot), list):
            made[slot] = [
                item if item.get(part) else item | {part: _picture(site, kind, path, number + index)}
                for index, item in enumerate(made[slot])
            ]
        number += 1
    return made


def _picture(site: Site, kind: Kind, path: str, number: int) -> Content:
    if site.assets:
        asset = site.assets[number % len(site.assets)]
        return {"source": f"asset:{asset.id}", "alt": asset.name, "decorative": not asset.name}
    slot = kind.slot(path)
    found: Content = slot.of.blank(slot)
    return found
