"""How the site's texts fit, by step of the scale; and the largest size with which its headlines stay short."""

from collections import defaultdict
from collections.abc import Iterable
from dataclasses import dataclass

from formulon.core.checks.page_facts import Fact, TextRun
from formulon.core.site.geometry import box_of, box_width
from formulon.core.site.layout import HEADINGS
from formulon.core.site.setting import set_in, step_of
from formulon.core.site.site import Page, Section, Site
from formulon.core.site.slots import slot_values
from formulon.core.system.documents.choices import STEPS
from formulon.core.system.system import System
from formulon.core.type.emphasis import encoded
from formulon.core.type.fit import cased, fit

PHONE, MOST_LINES = 360, 3
_FINEST = 0.5  # px
_SMALLEST, _LARGEST = 12.0, 96.0


@dataclass(frozen=True, slots=True)
class TextFit:
    """A text as it stands: lines, characters in a line and room left for the widest word, in px, by viewport width."""

    page: str
    section: str
    slot: str
    text: str
    lines: dict[int, int]
    characters: dict[int, float]
    room: dict[int, float]
    orphan: str  # at 1280 px
    unknown: str


@dataclass(frozen=True, slots=True)
class StepFit:
    """The texts of a step, the longest first; how many take one, two, three and more lines at each width; and for headlines
    the largest size in px on a phone with which none takes more than three lines, 0 where there is none."""

    step: str
    texts: tuple[TextFit, ...]
    lines: dict[int, dict[int, int]]
    largest: float


def fitting(site: Site, system: System, facts: Iterable[Fact]) -> list[StepFit]:
    """The fit of every step in use, in the order of the scale."""
    by_step: dict[str, list[TextRun]] = defaultdict(list)
    for fact in facts:
        if isinstance(fact, TextRun) and fact.scheme == system.schemes[0] and fact.fits:
            by_step[fact.step].append(fact)
    made = []
    for step in STEPS:
        runs = sorted(by_step[step], key=lambda run: (-run.lines.get(PHONE, 0), -len(run.text)))
        if runs:
            widths = sorted({width for run in runs for width in run.fits})  # sections may not be shown at some
            counts = {width: _counts(run.lines[width] for run in runs if width in run.lines) for width in widths}
            most = largest(site, system, step) if step in HEADINGS else 0.0
            made.append(StepFit(step, tuple(map(_text, _distinct(runs))), counts, most))
    return made


def _distinct(runs: Iterable[TextRun]) -> list[TextRun]:
    """Each text once: header and footer stand on every page."""
    return list({(run.place.section, run.place.slot, run.text): run for run in runs}.values())


def _counts(lines: Iterable[int]) -> dict[int, int]:
    made: dict[int, int] = defaultdict(int)
    for count in lines:
        made[count] += 1
    return dict(sorted(made.items()))


def _text(run: TextRun) -> TextFit:
    return TextFit(
        run.place.page, run.place.section, run.place.slot, run.text, run.lines,
        {width: round(one.characters, 1) for width, one in run.fits.items()},
        {width: round(one.box - one.widest, 1) for width, one in run.fits.items()},
        run.fits[1280].orphan if 1280 in run.fits else "", run.unknown_glyphs,
    )  # fmt: skip


def largest(site: Site, system: System, step: str, lines: int = MOST_LINES, width: int = PHONE) -> float:
    """The largest size in px at a width with which no text of a step takes more than some lines; 0 where none does."""
    of, language = system.steps[step], site.identity.language
    texts = [(section, path, value) for page in site.drawn for section, path, value in _texts(page, step)]

    def holds(size: float) -> bool:
        for section, path, value in texts:
            put, scale = set_in(system, section, path, value, language)
            box = box_of(section, path, width)
            if box is None:
                continue
            room = box_width(system, box, width, size * scale)
            text = encoded(cased(put, of.case, language))
            if fit(of.family, of.weight, text, size * scale, room, of.tracking, language, True).lines > lines:
                return False
        return True

    if not texts or not holds(_SMALLEST):
        return 0.0
    low, high = _SMALLEST, _LARGEST  # lines only grow with size, as boxes do not
    while high - low > _FINEST / 2:
        middle = (low + high) / 2
        low, high = (middle, high) if holds(middle) else (low, middle)
    return round(low // _FINEST * _FINEST, 1)


def _texts(page: Page, step: str) -> Iterable[tuple[Section, str, str]]:
    for section in page.sections:
        for path, (slot, value) in slot_values(section).items():
            if slot.of.set_in_type and value and step_of(section, path) == step:
                yield section, path, value
