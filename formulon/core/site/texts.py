"""Every text of a site that people read, with its place. Addresses, sources of pictures and own code are no words."""

from collections.abc import Iterator
from dataclasses import dataclass
from typing import Any

from formulon.core.site.catalogue import CATALOGUE
from formulon.core.site.documents import FRAME_DOCUMENT, IDENTITY, Bodies, Body, page_bodies, page_document
from formulon.core.site.site import FRAME

NO_WORDS = frozenset(
    {"to", "after", "source", "focus", "overlay", "html", "css", "kind", "sort", "side", "how", "drawn_as", "reason"}
)
# Facts of the brand that pages say.
_FACTS = {
    ("strapline",): "Strapline",
    ("does",): "What you do",
    ("place",): "Place",
    ("contact", "address"): "Address",
    ("contact", "hours"): "Opening hours",
}


@dataclass(frozen=True, slots=True)
class Text:
    """A text: its document and its path there, its page and section, where there are any, what its place is called, and what it says."""

    document: str
    path: tuple[str | int, ...]
    page: str
    section: str
    label: str
    text: str
    inner: tuple[str | int, ...] = ()  # its path within its section

    @property
    def place(self) -> str:
        """Its place by ids, which stays where sections are moved."""
        return "/".join(map(str, (self.document, self.section, *self.inner) if self.section else (self.document, *self.path)))


def texts(bodies: Bodies) -> Iterator[Text]:
    """Every text of frame and pages, in the order of the pages."""
    frame = bodies[FRAME_DOCUMENT]
    for part in FRAME:
        yield from _section(FRAME_DOCUMENT, (part,), frame[part], "")
    for index, item in enumerate(frame["menu"]):
        yield Text(FRAME_DOCUMENT, ("menu", index, "label"), "", "", "Menu", item["label"])
        for under, one in enumerate(item["items"]):
            yield Text(FRAME_DOCUMENT, ("menu", index, "items", under, "label"), "", "", "Menu", one["label"])
    for body in page_bodies(bodies):
        name = page_document(body["id"])
        for key, label in (("name", "Name"), ("title", "Title"), ("description", "Description")):
            yield Text(name, (key,), body["id"], "", label, body[key])
        for index, section in enumerate(body["sections"]):
            yield from _section(name, ("sections", index), section, body["id"])


def facts(bodies: Bodies) -> Iterator[Text]:
    """The texts of the identity that pages say, header and footer among them."""
    for path, label in _FACTS.items():
        value: Any = bodies[IDENTITY]
        for part in path:
            value = value[part]
        yield Text(IDENTITY, path, "", "", label, value)


def _section(document: str, base: tuple[str | int, ...], section: Body, page: str) -> Iterator[Text]:
    kind = CATALOGUE[section["kind"]]
    if section.get("menu"):
        yield Text(document, (*base, "menu"), page, section["id"], f"{kind.label}, in the menu", section["menu"], ("menu",))
    for slot, value in section["content"].items():
        for path, text in strings(value):
            inner = kind.slots[slot].items.get(str(path[1])) if len(path) > 1 and kind.slots[slot].items else None
            label = f"{kind.label}, {inner.label if inner else kind.slots[slot].label}{', in words' * (path[-1:] == ('alt',))}"
            yield Text(document, (*base, "content", slot, *path), page, section["id"], label, text, (slot, *path))


def strings(value: Any) -> Iterator[tuple[tuple[str | int, ...], str]]:
    """The words in a value of a slot, with their paths in it."""
    if isinstance(value, str):
        yield (), value
    elif isinstance(value, dict):
        for key, one in value.items():
            if key not in NO_WORDS:
                yield from (((key, *path), text) for path, text in strings(one))
    elif isinstance(value, list):
        for index, one in enumerate(value):
            yield from (((index, *path), text) for path, text in strings(one))
