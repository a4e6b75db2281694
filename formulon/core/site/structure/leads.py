"""What leads to a page or a section: buttons, links in texts and in own code, forms, entries of the menu and old addresses. Each can be
led elsewhere, so that nothing that is taken out leaves a dead link."""

import re
from collections.abc import Callable, Iterator
from dataclasses import dataclass, replace
from typing import Any, Literal

from formulon.core.site.documents import FRAME_DOCUMENT, Bodies, Body, page_document, page_of

_LED = re.compile(r"page:(?P<page>[a-z0-9-]+)(?:#(?P<section>[a-z0-9-]+))?")


KEPT = "\0kept"  # the label of what is kept and not drawn, which nobody is told of


@dataclass(frozen=True, slots=True)
class Lead:
    """Something that leads to a page or section: what it is, the page and the section that it stands in (no page for header and
    footer), what it says, and where it leads."""

    found_in: Literal["content", "menu", "address"]
    page: str
    section: str
    label: str
    to: str


def leads(bodies: Bodies, page: str, section: str = "") -> list[Lead]:
    """What leads to a page and its sections, or to one section, in the order of the documents."""
    found: list[Lead] = []

    def meet(to: str, at: Lead) -> str:
        if at.label != KEPT:
            found.append(at)
        return to

    led_elsewhere(bodies, page, section, meet)
    return found


def led_elsewhere(bodies: Bodies, page: str, section: str, lead: Callable[[str, Lead], str]) -> dict[str, Body]:
    """Frame and pages with what leads there leading to what `lead` gives for it; only those that differ."""
    made: dict[str, Body] = {}
    for name, body in bodies.items():
        own = page_of(name)
        if own is None and name != FRAME_DOCUMENT:
            continue
        changed = _Walk(page, section, lead).document(body, own or "")
        if changed != body:
            made[name] = changed
    return made


class _Walk:
    def __init__(self, page: str, section: str, lead: Callable[[str, Lead], str]) -> None:
        self.page, self.section, self.lead = page, section, lead

    def document(self, body: Body, page: str) -> Body:
        if "sections" in body:
            return body | {"sections": [self.sectioned(one, page) for one in body["sections"]]}
        parts = {part: self.sectioned(body[part], "") for part in ("header", "footer")}
        menu = [made for one in body.get("menu", []) for made in self.entry(one)]
        moved = [
            one | {"to": self.text(one["to"], Lead("address", "", "", one["path"], one["to"]))}
            for one in body.get("redirects", [])
        ]
        moved = [one for one in moved if one["to"]]
        return body | parts | ({"menu": menu} if "menu" in body else {}) | ({"redirects": moved} if "redirects" in body else {})

    def sectioned(self, section: Body, page: str) -> Body:
        made = section | {"content": self.value(section["content"], page, section["id"], "")}
        if section.get("aside"):  # what it said as another kind comes back, and is not to lead nowhere then
            made["aside"] = self.value(section["aside"], page, section["id"], KEPT)
        return made

    def entry(self, item: Body) -> Iterator[Body]:
        """An entry of the menu; nothing where it would lead nowhere and has nothing under it."""
        under = [made for one in item.get("items", []) for made in self.entry(one)]
        to = self.text(item.get("to", ""), Lead("menu", "", "", item["label"], item.get("to", "")))
        if to or under:
            yield item | {"to": to, "items": under}

    def value(self, value: Any, page: str, section: str, label: str) -> Any:
        if isinstance(value, dict):
            own = label if label == KEPT else str(value.get("label") or value.get("title") or label)
            return {key: self.value(one, page, section, own if key == "to" else label or own) for key, one in value.items()}
        if isinstance(value, list):
            return [self.value(one, page, section, label) for one in value]
        return self.text(value, Lead("content", page, section, (label or value)[:80], "")) if isinstance(value, str) else value

    def text(self, text: str, at: Lead) -> str:
        def led(found: re.Match[str]) -> str:
            if found["page"] != self.page or (self.section and found["section"] != self.section):
                return found[0]
            return self.lead(found[0], replace(at, to=found[0]))

        return _LED.sub(led, text) if "page:" in text else text


def leading_somewhere(content: Any, bodies: Bodies, start: str) -> Any:
    """A content that comes from elsewhere, whose links lead to what there is: to a page instead of a section that it does not have, and
    to the start page instead of a page that there is not."""
    if isinstance(content, dict):
        return {key: leading_somewhere(value, bodies, start) for key, value in content.items()}
    if isinstance(content, list):
        return [leading_somewhere(value, bodies, start) for value in content]

    def led(found: re.Match[str]) -> str:
        page = bodies.get(page_document(found["page"]))
        if page is None:
            return f"page:{start}"
        there = not found["section"] or any(one["id"] == found["section"] for one in page["sections"])
        return found[0] if there else f"page:{found['page']}"

    return _LED.sub(led, content) if isinstance(content, str) and "page:" in content else content
