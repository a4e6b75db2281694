"""Where a browser sees a page of ours otherwise than was predicted: the lines and sizes of texts, and their colours. Each is a fault of
Formulon's."""

from collections.abc import Callable, Iterator, Sequence

from formulon.core.checks.page_facts import Differs, Fact, SectionHead, TextRun
from formulon.core.color.difference import difference
from formulon.core.color.srgb import from_hex
from formulon.core.measure.facts import Page

_SIZE = 0.06  # px: Chromium keeps sizes to a 64th, and tokens have four decimals
_COLOR = 1.0  # ΔE2000 that nobody sees; colours of our own are exact, and mixtures are rounded to eight bits once


def disagreements(predicted: Sequence[Fact], page: Page, beside: Callable[[int], Sequence[Fact]]) -> Iterator[Differs]:
    """What of a page's prediction does not hold. A text is compared where it is the only one of its slot on both sides, drawn by the
    scheme that was looked at, and where prediction says how it stands. `beside` predicts the page a px beside a width on either side: a
    text that breaks otherwise there just fits, or just does not, and a 64th of a px decides."""
    ours = _single([one for one in predicted if isinstance(one, TextRun) and one.scheme == page.scheme])
    theirs = _single([one for one in page.texts() if isinstance(one, TextRun)])
    heads = {one.place.section for one in predicted if isinstance(one, SectionHead)}
    for place, run in ours.items():
        drawn = theirs.get(place)
        # Letters that a typeface lacks are drawn in another, whose widths nobody knows.
        if drawn is None or place[0] not in heads or run.placeholder or run.unknown_glyphs:
            continue
        for one in _of_text(run, drawn):
            if one.what != "lines" or one.width is None or one.measured not in _lines(beside(one.width), run):
                yield one


def _single(runs: Sequence[TextRun]) -> dict[tuple[str, str], TextRun]:
    """Texts by section and slot, where it has one alone."""
    found: dict[tuple[str, str], list[TextRun]] = {}
    for run in runs:
        found.setdefault((run.place.section, run.place.slot.removesuffix("/label")), []).append(run)
    return {place: one[0] for place, one in found.items() if len(one) == 1 or len({(run.ink, run.text) for run in one}) == 1}


def _lines(facts: Sequence[Fact], run: TextRun) -> set[str]:
    """In how many lines a text is predicted to stand."""
    same = (
        one for one in facts if isinstance(one, TextRun) and (one.place, one.ink, one.text) == (run.place, run.ink, run.text)
    )
    return {str(fit.lines) for one in same for fit in one.fits.values()}


def _of_text(run: TextRun, drawn: TextRun) -> Iterator[Differs]:
    lines, sizes = [], []
    for width, fitted in run.fits.items():
        there = drawn.fits.get(width)
        if there is None:
            continue
        if not run.free and fitted.lines != there.lines:
            lines.append(Differs(run.place, "lines", width, f"{fitted.lines}", f"{there.lines}"))
        if (
            abs(run.sizes[width] * run.scale - drawn.sizes[width]) > _SIZE
            and abs(run.sizes[width] - drawn.sizes[width]) > _SIZE
        ):
            sizes.append(Differs(run.place, "size", width, f"{run.sizes[width]:g} px", f"{drawn.sizes[width]:g} px"))
    yield from lines
    yield from sizes[:1]
    if not run.on_picture and not drawn.on_picture:
        for what, ours, theirs in (("colour", run.foreground, drawn.foreground), ("ground", run.background, drawn.background)):
            if ours != theirs and difference(from_hex(ours), from_hex(theirs)) > _COLOR:
                yield Differs(run.place, what, None, ours, theirs)
