"""compose: compositions for what a section really says, which are in no catalogue.

Placements are drawn (candidates.py), laid out by shaping (site/extents.py), measured (measures.py) and ranked. Heights of parts are
worked out once for every number of columns that they are tried in, so that a placement costs little more than adding up.
"""

from collections.abc import Callable, Mapping, Sequence
from dataclasses import dataclass, replace
from typing import Any

from formulon.core.site.catalogue import CATALOGUE, DeclarationError, layout_of
from formulon.core.site.composing.candidates import Candidates
from formulon.core.site.composing.described import described
from formulon.core.site.composing.measures import Measure, Seen, Wanted, measured, total
from formulon.core.site.composition import Composition, Part, built, read, written
from formulon.core.site.declaration import every_slot
from formulon.core.site.extents import Extent, Extents, Height
from formulon.core.site.geometry import content_width
from formulon.core.site.kind import Kind
from formulon.core.site.layout import COLUMNS, GRID_FROM, HEADINGS, Layout
from formulon.core.site.setting import MOST_LINES
from formulon.core.site.signature import Signature, likeness, signature_of
from formulon.core.site.site import Section
from formulon.core.system.documents.choices import Choices
from formulon.core.system.documents.identity import Identity
from formulon.core.system.system import System

Pick = tuple[str, str]  # kind and layout
DESKTOP, PHONE = 1280, 360
EVERY = (320, 360, 768, 1024, 1280, 1920)  # px of viewport
TRIED = 220  # placements
_LOOKED_AT = 10  # of the best, for each that is wanted, that are compared with their neighbours
# How alike two that are offered may be, and one that is offered to one of the catalogue; and whether lines keep to their bounds at
# every width. Less strict where little can be placed, and at last where words are too long for any place.
_STRICT = ((0.8, 0.9, True), (0.93, 0.96, True), (0.98, 0.98, True), (0.93, 0.96, False))
_SAID = ("lines", "white")  # of every composition; beside them what sets it apart from the others
_MOST_SAID = 4
_WEAK = 0.6
_LONGEST = 85.0  # characters to a line of running text; rules/type/measure.py speaks of more


@dataclass(frozen=True, slots=True)
class Composed:
    """A composition with its rank, 0–1, and what it was ranked by."""

    layout: str
    score: float
    measures: tuple[Measure, ...]
    what: str = ""  # what stands where, in words
    ahead: tuple[str, ...] = ()  # the measures in which it is ahead of the others that are offered, the furthest first

    def measure(self, name: str) -> float:
        """One of the measures that it was ranked by, 0–1."""
        return next(one.value for one in self.measures if one.name == name)

    @property
    def about(self) -> str:
        """What it was ranked by, in a sentence, and what speaks against it."""
        seen = {one.name: one for one in self.measures}
        worst = min(self.measures, key=lambda one: one.value)
        names = dict.fromkeys((*self.ahead, *_SAID))
        said = [seen[name].seen for name in names if seen[name] is not worst or worst.value > _WEAK][:_MOST_SAID]
        against = f"; but {worst.seen}" if worst.value <= _WEAK else ""
        text = ", ".join(said)
        return f"{self.what}. {text[:1].upper()}{text[1:]}{against}."


class _Tried(Section):
    """A section in a layout that has no name yet."""

    @property
    def declared(self) -> Layout:
        return self.__dict__["tried"]  # type: ignore[no-any-return]


class Composer:
    """Compositions in one style and language, for the character of one brand."""

    def __init__(self, system: System, choices: Choices, identity: Identity) -> None:
        self.system, self.identity = system, identity
        self.extents = Extents(system, choices, identity.language)
        self.wanted = Wanted.of(identity.character)
        loud = (identity.character.quiet_loud or 0) + (identity.character.calm_lively or 0)
        self.airs = ("7", "8") if loud < 0 else ("7", "6") if loud > 1 else ("7", "7", "8")

    def compose(
        self, kind: str, content: Mapping[str, Any], *, before: Pick | None = None, after: Pick | None = None, seed: int = 0,
        number: int = 3, tried: int = TRIED, passes: Callable[[str], bool] = lambda _: True,
    ) -> list[Composed]:  # fmt: skip
        """So many compositions, the best first, none like another or like one of the catalogue. `before` and `after` are what stands
        around the section; `passes` may refuse a layout by its name. Fewer where there are no more."""
        work = _Work(self, CATALOGUE[kind], content, [one for one in (before, after) if one])
        drawn = list(Candidates(CATALOGUE[kind], content, seed, self.airs).drawn(tried))
        laid = [one for one in (work.laid(composition) for composition in drawn) if one]
        least = min((one.high for one in laid), default=1.0)
        best = sorted((work.judged(one, least) for one in laid), key=lambda one: (-one.score, one.layout))[
            : _LOOKED_AT * number
        ]
        best = sorted((work.among(one) for one in best), key=lambda one: (-one.score, one.layout))
        known = [signature_of(work.kind, layout) for layout in work.kind.layouts.values()]
        made: list[Composed] = []
        for apart, new, strict in _STRICT:
            for one in best:
                own = work.signature(one.layout)
                if len(made) == number or any(likeness(own, two) >= new for two in known):
                    continue
                if any(likeness(own, work.signature(two.layout)) >= apart for two in made):
                    continue
                if work.holds(one.layout, strict) and passes(one.layout):
                    made.append(one)
        return [replace(one, ahead=_ahead(one, made)) for one in made]

    def judged(
        self, kind: str, content: Mapping[str, Any], layout: str, *, before: Pick | None = None, after: Pick | None = None
    ) -> Composed | None:
        """A composition by its name as it would be ranked by itself; None where it cannot stand so: what is read first must stand
        first, and nothing on something else."""
        work = _Work(self, CATALOGUE[kind], content, [one for one in (before, after) if one])
        try:
            layout_of(work.kind, layout)
        except DeclarationError:
            return None
        laid = work.laid(read(layout))
        return work.among(work.judged(laid, laid.high)) if laid else None


def _ahead(one: Composed, offered: Sequence[Composed]) -> tuple[str, ...]:
    """The measures in which one is ahead of the mean of all that are offered, the furthest first."""
    means = {each.name: sum(two.measure(each.name) for two in offered) / len(offered) for each in one.measures}
    ahead = {each.name: each.value - means[each.name] for each in one.measures if each.value > means[each.name] + 0.02}
    return tuple(sorted(ahead, key=lambda name: -ahead[name]))


@dataclass(frozen=True, slots=True)
class _Laid:
    """A placement with its boxes at the width of a desktop and of a phone."""

    composition: Composition
    layout: Layout
    desktop: tuple[Seen, ...]
    phone: Mapping[str, Extent]
    high: float


class _Work:
    """What is worked out for one section."""

    def __init__(self, composer: Composer, kind: Kind, content: Mapping[str, Any], around: Sequence[Pick]) -> None:
        self.composer, self.kind, self.content = composer, kind, dict(content)
        self.around = [signature_of(CATALOGUE[name], layout_of(CATALOGUE[name], layout)) for name, layout in around]
        self.heights: dict[tuple[Part, int], Height | None] = {}
        self.signatures: dict[str, Signature] = {}
        texts = {
            name: slot for name, slot in kind.slots.items() if slot.of.set_in_type and slot.of.filled(self.content.get(name))
        }
        self.headings = [name for name, slot in texts.items() if slot.step in HEADINGS]
        self.running = [name for name, slot in texts.items() if slot.step not in HEADINGS]
        self.pictures = {path for path, slot in every_slot(kind.slots).items() if slot.of.picture and self._filled(path)}
        wide = content_width(composer.system, DESKTOP)
        self.inside = (DESKTOP - wide) / 2, (DESKTOP + wide) / 2

    def _filled(self, path: str) -> bool:
        """Whether a slot, or that of any item, holds something."""
        name, _, part = path.partition("/")
        value = self.content.get(name)
        return any(item.get(part) for item in value or ()) if part else bool(value)

    def laid(self, composition: Composition) -> _Laid | None:
        """A placement with its boxes; None where it cannot be built."""
        try:
            layout = built(self.kind, composition)
        except ValueError:
            return None
        extents, names = self.composer.extents, list(layout.regions)
        at = {}
        for width in (DESKTOP, PHONE):
            heights = {name: self.height(part, width) for name, part in zip(names, composition.parts, strict=True)}
            at[width] = extents.placed(layout, {name: one for name, one in heights.items() if one}, width)
        boxes, high = at[DESKTOP]
        whats = {name: self.what(part) for name, part in zip(names, composition.parts, strict=True)}
        desktop = tuple(self._seen(box, whats[name], layout.regions[name].at.across == "center") for name, box in boxes.items())
        return _Laid(composition, layout, desktop, at[PHONE][0], high) if desktop else None

    def _seen(self, box: Extent, what: str, middle: bool) -> Seen:
        filled = replace(box, filled=box.height) if what == "picture" and not box.filled else box
        return Seen(filled, what, min(box.wide or box.width, box.width), middle)

    def what(self, part: Part) -> str:
        """What a part is to the measures."""
        slot = self.kind.slots[part.slots[0]]
        if slot.of.picture:
            return "picture"
        if slot.of.collection:
            return "items"
        return "heading" if "heading" in part.slots else "words" if slot.of.set_in_type else "part"

    def height(self, part: Part, width: int) -> Height | None:
        """How high a part is in its columns."""
        cols = (1, COLUMNS) if width < GRID_FROM and self.what(part) in ("heading", "words") else self._moved(part.cols)
        alone = replace(part, row=1, rows=1, down="", rise="", cols=cols)
        if width < GRID_FROM and part.made:  # on phones items stand under one another, however many stand in a row elsewhere
            alone = replace(alone, cols=(1, COLUMNS), by=1)
        key = alone, width
        if key not in self.heights:
            layout = built(self.kind, Composition((alone,)))
            section = _Tried.model_construct(id="tried", kind=self._name(), layout="", content=self.content)
            section.__dict__["tried"] = layout
            self.heights[key] = self.composer.extents.region(section, layout.regions["r1"], width)
        return self.heights[key]

    def _name(self) -> str:
        return next(name for name, kind in CATALOGUE.items() if kind is self.kind)

    def _moved(self, cols: tuple[int, int]) -> tuple[int, int]:
        """The same number of columns at the start; what runs to an edge stays there."""
        first, last = cols
        return cols if first == 0 or last > COLUMNS else (1, last - first + 1)

    def judged(self, laid: _Laid, least: float) -> Composed:
        """A placement with its measures, as if nothing stood around it."""
        measures = measured(
            laid.desktop, laid.high, self.inside, laid.phone, laid.layout, self.headings, self.running, 0.0, least, self.composer.wanted,
            self.pictures <= laid.layout.drawn,
        )  # fmt: skip
        return Composed(written(laid.composition), total(measures), tuple(measures), described(self.kind, laid.composition))

    def among(self, one: Composed) -> Composed:
        """The same with what stands around it."""
        if not self.around:
            return one
        alike = max(likeness(self.signature(one.layout), two) for two in self.around)
        measures = tuple(
            Measure("apart", 1 - alike, f"{100 * alike:.0f} % like its neighbours") if two.name == "apart" else two
            for two in one.measures
        )
        return Composed(one.layout, total(measures), measures, one.what)

    def signature(self, layout: str) -> Signature:
        if layout not in self.signatures:
            self.signatures[layout] = signature_of(self.kind, built(self.kind, read(layout)))
        return self.signatures[layout]

    def holds(self, layout: str, lines: bool = True) -> bool:
        """Whether a composition may be declared, and keeps to what is asked of lines at every width, where that is asked."""
        try:
            layout_of(self.kind, layout)
        except DeclarationError:
            return False
        words = [part for part in read(layout).parts if self.what(part) in ("heading", "words")] if lines else []
        for width in EVERY:
            told = {slot: one for part in words if (found := self.height(part, width)) for slot, one in found.lines.items()}
            if any(told[slot][0] > MOST_LINES for slot in self.headings if slot in told):
                return False
            if any(told[slot][1] > _LONGEST for slot in self.running if slot in told and told[slot][0] > 1):
                return False
        return True
