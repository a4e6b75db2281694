"""A longer text: paragraphs, lists, links and emphasis, written as CommonMark 0.31 writes them (of which this takes paragraphs,
flat lists, inline links and the asterisks of emphasis).
"""

import re
from collections.abc import Callable, Iterator
from dataclasses import dataclass
from typing import TYPE_CHECKING, Any, Literal

from markupsafe import Markup

from formulon.core.site.markup import emphasised, html
from formulon.core.site.slot_types.base import SlotType, Work, text_of
from formulon.core.site.values import Action, placeholder
from formulon.core.type.hyphens import hyphenated

if TYPE_CHECKING:
    from formulon.core.site.kind import Slot
    from formulon.core.site.render import View
    from formulon.core.site.site import Section

INDENT_EM = 1.5  # of a list, in the style sheet as here
_LINK = re.compile(r"(?<!\[)\[([^\[\]\n]+)\]\(([^)\s]+)\)")
_BULLET, _NUMBER = re.compile(r"[-*] +"), re.compile(r"\d{1,3}[.)] +")


Kinds = Literal["p", "ul", "ol"]


@dataclass(frozen=True, slots=True)
class Block:
    """A paragraph, which has one text, or a list."""

    kind: Kinds
    texts: tuple[str, ...]


def blocks(text: str) -> list[Block]:
    """The blocks of a text. Lines in succession are one paragraph, unless they begin as those of a list do."""
    made: list[Block] = []
    for part in re.split(r"\n\s*\n", text.strip()):
        open_ = False  # whether the line before belongs to the same part
        for line in filter(None, map(str.strip, part.split("\n"))):
            kind: Kinds = "ul" if _BULLET.match(line) else "ol" if _NUMBER.match(line) else "p"
            last = made[-1] if made else None
            if kind == "p" and open_ and last:  # goes on with the paragraph, or with the last item
                made[-1] = Block(last.kind, (*last.texts[:-1], f"{last.texts[-1]} {line}"))
            elif kind == "p":
                made.append(Block(kind, (line,)))
            else:
                own = (_BULLET if kind == "ul" else _NUMBER).sub("", line, count=1)
                same = last is not None and last.kind == kind
                made[-1:] = [Block(kind, (*last.texts, own))] if same and last else [*made[-1:], Block(kind, (own,))]
            open_ = True
    return made


def links(text: str) -> list[tuple[str, str]]:
    """The label and the destination of every link in a text."""
    return [(found[1], found[2]) for found in _LINK.finditer(text)]


def with_notes(text: str, noted: Callable[[str], str]) -> str:
    """A text with the labels of its links, each with what is said of where it leads."""
    return _LINK.sub(lambda found: found[1] + noted(found[2]), text)


def without_links(text: str) -> str:
    """A text with the labels of its links alone."""
    return _LINK.sub(r"\1", text)


def relinked(text: str, old: str, new: str) -> str:
    """A text whose links to one place lead to another; with no other place their labels are left alone."""

    def put(found: re.Match[str]) -> str:
        return found[0] if found[2] != old else f"[{found[1]}]({new})" if new else found[1]

    return _LINK.sub(put, text)


class RichText(SlotType):
    drawn_as = "text"

    def validate(self, slot: "Slot", value: Any) -> str:
        text = text_of(slot, value)
        for label, to in links(text):
            Action(label=label[:120], to=to)
        return text

    def blank(self, slot: "Slot") -> str:
        return placeholder(slot.label)

    def parts(self, value: Any) -> tuple[str, ...]:
        return ("prose",)

    def render(self, view: "View", section: "Section", path: str, slot: "Slot") -> Markup:
        value = view.value(section, path)
        if not value:
            return Markup("")
        made = []
        for block in blocks(value):
            inner = [self._inline(view, text) for text in block.texts]
            if block.kind == "p":
                made.append(html('<p class="t-%s i-%s">%s</p>', slot.step, slot.ink, inner[0]))
            else:
                items = Markup("").join(html("<li>%s</li>", one) for one in inner)
                made.append(html('<%s class="t-%s i-%s">%s</%s>', block.kind, slot.step, slot.ink, items, block.kind))
        name = path.split("/")[-1]
        return html('<div class="prose slot--%s"%s>%s</div>', name, view.marks(path), Markup("\n").join(made))

    def _inline(self, view: "View", text: str) -> Markup:
        made, last = Markup(""), 0
        for found in _LINK.finditer(text):
            made += self._words(view, text[last : found.start()])
            to = view.href(found[2])
            href = html(' href="%s"', to) if to else Markup("")
            if view.preview is not None:  # where it leads as it is written, for whom it is edited there
                href += html(' data-to="%s"', found[2])
            note = view.noted(found[2])
            told = html('<span class="file-note">%s</span>', note) if note else ""
            made += html("<a%s>%s%s</a>", href, self._words(view, found[1]), told)
            last = found.end()
        return made + self._words(view, text[last:])

    def _words(self, view: "View", text: str) -> Markup:
        return emphasised(hyphenated(text, view.language), view.preview is not None)

    def facts(self, work: Work, place: Any, section: "Section", slot: "Slot", value: Any, ground: str) -> Iterator[Any]:
        yield work.words(place, slot.label, value)
        for block in blocks(value):
            for text in block.texts:
                less = INDENT_EM if block.kind != "p" else 0.0
                yield from work.text(place, section, slot, with_notes(text, work.noted), ground, less)
                for label, to in links(text):
                    yield from work.link(place, slot, label, to, ground)

    def words(self, value: Any) -> Iterator[str]:
        for block in blocks(value):
            yield from map(without_links, block.texts)


TYPE = RichText()
