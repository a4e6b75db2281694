"""Headlines that fit their places: at most three lines on a phone, as shaping has them."""

from collections.abc import Iterable, Mapping
from typing import Any

from formulon.core.site.catalogue import CATALOGUE, layout_of
from formulon.core.site.geometry import box_of, box_width
from formulon.core.site.layout import HEADINGS
from formulon.core.site.planning.writer import shorten
from formulon.core.site.setting import set_in, step_of
from formulon.core.site.site import Section
from formulon.core.site.values import PLACEHOLDER
from formulon.core.system.system import System
from formulon.core.type.emphasis import encoded
from formulon.core.type.fit import cased, fit

_MOST_LINES = 3  # common practice; rules/type/headline_lines.py stops more
_PHONE = 360
_SHORTEST = 12  # characters


class Headlines:
    """Headlines in one system and language."""

    def __init__(self, system: System, language: str) -> None:
        self.system, self.language = system, language
        self.known: dict[tuple[str, str, str, str], int] = {}

    def first(self, candidates: Iterable[str], kind: str, layout: str) -> tuple[str, bool]:
        """The first that takes no more than three lines on a phone, and True; the last, cut, and False, where none does."""
        last = ""
        for text in filter(None, candidates):
            last = shorten(text, CATALOGUE[kind].slots["heading"].most)
            if self._lines(kind, layout, last) <= _MOST_LINES:
                return last, True
        words, cut = last.split(), last
        while len(words) > 1 and self._lines(kind, layout, cut) > _MOST_LINES:
            words.pop()
            cut = " ".join(words).rstrip(" ,;:–-") + "…"
        while len(cut) > _SHORTEST and self._lines(kind, layout, cut) > _MOST_LINES:  # one word as long as a sentence
            cut = cut[: -1 - len(cut) // 8].rstrip("…") + "…"
        return cut, not last

    def excess(self, kind: str, layout: str, content: Mapping[str, Any]) -> int:
        """By how many lines what is set as headlines in the items of a content goes over three, all together."""
        declared, section = CATALOGUE[kind], Section.model_construct(id="short", kind=kind, layout=layout, content={})
        over = 0
        for name, value in content.items():
            parts = declared.slots[name].items if name in declared.slots and isinstance(value, list) else {}
            for part, slot in parts.items():
                path = f"{name}/0/{part}"
                drawn = f"{name}/{part}" in layout_of(declared, layout).drawn and slot.of.set_in_type
                if drawn and step_of(section, path) in HEADINGS:
                    texts = [str(item[part]) for item in value if item.get(part)]
                    over += sum(max(0, self._lines(kind, layout, text, path) - _MOST_LINES) for text in texts)
        return over

    def _lines(self, kind: str, layout: str, text: str, path: str = "heading") -> int:
        asked = kind, layout, text, path
        if asked not in self.known:
            self.known[asked] = self._fitted(kind, layout, text, path)
        return self.known[asked]

    def _fitted(self, kind: str, layout: str, text: str, path: str) -> int:
        content: dict[str, Any] = {path.partition("/")[0]: [{}]} if "/" in path else {}
        section = Section.model_construct(id="short", kind=kind, layout=layout, content=content)
        step = self.system.steps[step_of(section, path)]
        put, scale = set_in(self.system, section, path, text, self.language)
        size = step.size(_PHONE) * scale
        box = box_of(section, path, _PHONE)
        if box is None:
            return 1
        room = box_width(self.system, box, _PHONE, size)
        drawn = encoded(cased(PLACEHOLDER.sub(r"[\1]", put), step.case, self.language))
        return fit(step.family, step.weight, drawn, size, room, step.tracking, self.language, True).lines
