"""What can be asked of words: more of them, others, another tone, so many of them, as many as their neighbours have. A rewriter words
them (core/writing); what it used is told, and lines are measured."""

import re
from collections.abc import Iterator, Sequence
from itertools import islice

from formulon.core.asking import About, Meant, NotUnderstood
from formulon.core.asking.grammar import NUMBER, form, number_of
from formulon.core.asking.sections import name_of, section_of
from formulon.core.asking.texts import WIDTHS, lines_of, lines_said, text_of, written
from formulon.core.site.changes import Change
from formulon.core.site.site import Page, Section
from formulon.core.site.slots import slot_values
from formulon.core.site.values import PLACEHOLDER
from formulon.core.type.emphasis import plain
from formulon.core.writing import TONES, Task, Tone, Wording
from formulon.core.writing.sentences import ENDING, sentences

_TONE = rf"(a bit |much |more )?(?P<tone>{'|'.join(TONES)})(er)?"
_EVEN = 0.12  # by how much the lengths of texts that stand side by side may differ
_FILLED = 0.6  # of a length that is asked for, from which a text is as long as that
_RUNNING = ("text", "intro", "body", "quote")
_OFFERED = 12  # wordings that are looked at


def task_of(about: About, text: str = "", seed: int = 0) -> Task:
    return Task(about.site, about.page, section_of(about), text or text_of(about), seed)


def _taken(about: About, one: Wording) -> Meant:
    used = "; ".join(dict.fromkeys(f"“{plain(known.text)[:60]}” from {known.where}" for known in one.used))
    if used:
        return written(about, one.text, f"It uses {used}.")
    old = text_of(about)
    more = one.text[len(old) :].strip() if one.text.startswith(old) else ""
    return written(about, one.text, f"“{plain(more)[:80]}” is added." if more else f"It reads “{plain(one.text)[:80]}”.")


def _first(about: About, offered: Iterator[Wording], sorry: str, near: Sequence[str]) -> Meant:
    text = text_of(about)
    found = next((one for one in offered if one.text != text), None)
    if found is None:
        raise NotUnderstood(sorry, list(near))
    return _taken(about, found)


@form(
    "text",
    r"(a bit |much )?(longer|more( words| text)?|lengthen( it)?)",
    "longer",
    "adds a sentence of the brief or the client's texts that belongs to it and is not on its page",
)
def longer(about: About, found: re.Match[str]) -> Meant:
    sorry = "Nothing that is known belongs to it and is not said on this page already."
    return _first(about, about.rewriter.longer(task_of(about)), sorry, ["another wording"])


@form(
    "text",
    r"(another wording|other words|say it (differently|otherwise|another way)|rewrite( it)?|reword( it)?)",
    "another wording",
    "puts sentences of the brief or the client's texts in its place that belong to it",
)
def another(about: About, found: re.Match[str]) -> Meant:
    sorry = "There are no other words for it in the brief or the client's texts."
    return _first(about, about.rewriter.another(task_of(about)), sorry, ["shorter", "inviting"])


@form(
    "text",
    _TONE,
    "warmer",
    "gives it a tone (plain, warm, ceremonial, inviting) by a greeting or an invitation that states nothing",
)
def toned(about: About, found: re.Match[str]) -> Meant:
    tone, text = _tone(found), text_of(about)
    offered = list(about.rewriter.toned(task_of(about), tone))
    if any(one.text == text for one in offered):
        return Meant("It is so already.")
    return _first(about, iter(offered), _no_tone(about), ["shorter", "say come at dusk"])


def _tone(found: re.Match[str]) -> Tone:
    return next(one for one in TONES if one == found["tone"].lower())


def _no_tone(about: About) -> str:
    known = list(about.rewriter.toned(Task(about.site, about.page, section_of(about), "Words. More words."), "warm"))
    return (
        "A name or a headline has no tone of its own; write it yourself."
        if known
        else "Formulon has no greetings in the language of this site."
    )


@form(
    "text",
    r"(in|to|at most|up to|no more than) (?P<most>\d{1,4}) (?P<unit>words?|characters?|letters?)",
    "in 20 words",
    "cuts it, or adds what is known, so that it has at most so many words or characters",
)
def to_length(about: About, found: re.Match[str]) -> Meant:
    most, by_words, text = int(found["most"]), found["unit"].lower().startswith("word"), text_of(about)

    def length(one: str) -> int:
        return len(plain(one).split()) if by_words else len(plain(one))

    fitting = [one for one in _all(about) if length(one.text) <= most]
    best = max(fitting, key=lambda one: length(one.text), default=None)
    if best is None:
        shortest = min(length(one.text) for one in _all(about))
        raise NotUnderstood(f"No part of it that stands by itself is as short; its shortest has {shortest}.", ["shorter"])
    if best.text == text:
        short = length(text) < _FILLED * most
        said = "Nothing that is known belongs to it and would make it as long." if short else "It is so already."
        return Meant(said)
    return _taken(about, best)


def _all(about: About) -> list[Wording]:
    """A text as it is, cut, and with more."""
    task = task_of(about)
    return [Wording(task.text), *about.rewriter.shorter(task), *islice(about.rewriter.longer(task), _OFFERED)]


@form(
    "text",
    rf"fill(s|ing)? {NUMBER} lines?( on (?P<width>phone|tablet|desktop)s?)?",
    "fill three lines",
    "cuts it, or adds what is known, until it takes just so many lines at that width, as they are measured",
)
def fill_lines(about: About, found: re.Match[str]) -> Meant:
    wanted, text = number_of(found), text_of(about)
    width = WIDTHS[(found["width"] or "desktop").lower()]
    near = 0
    for one in sorted(_all(about), key=lambda one: abs(len(one.text) - len(text))):
        lines = lines_of(about, one.text, width)
        if lines is None:
            raise NotUnderstood("How many lines it takes cannot be told here: its place is drawn freely.")
        if lines == wanted:
            return Meant("It is so already.") if one.text == text else _taken(about, one)
        near = lines if abs(lines - wanted) < abs(near - wanted) or not near else near
    raise NotUnderstood(f"It cannot take {lines_said(wanted)} at {width} px; it can take {near}.", [f"in {near} lines"])


@form(
    "section",
    r"(a bit |much )?(longer|more (words|text)|lengthen( it)?)",
    "longer",
    "adds to its running text what is known of it",
)
def longer_section(about: About, found: re.Match[str]) -> Meant:
    for one in _running(about):
        made = next(about.rewriter.longer(task_of(one)), None)
        if made is not None and _usual(one, made.text):
            return _taken(one, made)
    raise NotUnderstood("Nothing that is known belongs to it and is not said on this page already.", ["add questions"])


@form("section", _TONE, "more inviting", "gives its running text a tone")
def toned_section(about: About, found: re.Match[str]) -> Meant:
    meant = _toned(about, _tone(found))
    if meant is None:
        raise NotUnderstood(f"{name_of(about)} has no running text that could have a tone.", ["shorter", "on deep"])
    return meant


@form(
    "section",
    r"(all |the texts? )?(the same length|as long as each other|of one length|(to )?equal lengths?|even lengths?)",
    "the same length",
    "brings the texts of its items to about one length, and to as many lines, by cutting and adding what is known",
)
def same_length(about: About, found: re.Match[str]) -> Meant:
    rows: dict[str, list[About]] = {}
    for one in _texts(about):
        parts = one.slot.split("/")
        if len(parts) == 3 and ENDING.search(text_of(one) + " "):
            rows.setdefault(parts[2], []).append(one)
    changes: list[Change] = []
    for row in rows.values():
        if len(row) > 1:
            changes += _evened(row)
    if not changes:
        if any(len(row) > 1 and not _even([text_of(one) for one in row]) for row in rows.values()):
            raise NotUnderstood(
                "They have no length in common: what is known is too little, and a cut would leave no sense.", ["shorter"]
            )
        return Meant("It is so already.")
    return Meant(
        f"{len(changes)} text{'s' * (len(changes) != 1)} of {name_of(about)} become as long as the others.", changes=changes
    )


def _evened(row: list[About]) -> list[Change]:
    """The changes that bring texts to one length, which is the one with which they take as many lines, and that changes fewest of them;
    none where there is no such length."""
    texts = [text_of(one) for one in row]
    if _even(texts):
        return []
    offered = [_all(one) for one in row]
    best: tuple[tuple[int, int, int], list[Wording]] | None = None
    measured: dict[tuple[str, str], int] = {}

    def lines(about: About, text: str) -> int:
        if (about.slot, text) not in measured:
            measured[about.slot, text] = lines_of(about, text, WIDTHS["desktop"]) or 0
        return measured[about.slot, text]

    for target in sorted({len(plain(one.text)) for wordings in offered for one in wordings}):
        chosen = [min(wordings, key=lambda one: abs(len(plain(one.text)) - target)) for wordings in offered]
        if not _even([one.text for one in chosen]):
            continue
        heights = len({lines(about, one.text) for about, one in zip(row, chosen, strict=True)})
        rank = heights, sum(one.text != text for one, text in zip(chosen, texts, strict=True)), -target
        if best is None or rank < best[0]:
            best = rank, chosen
    if best is None:
        return []
    return [
        change
        for about, one, text in zip(row, best[1], texts, strict=True)
        if one.text != text
        for change in written(about, one.text, "").changes
    ]


def _even(texts: Sequence[str]) -> bool:
    lengths = [len(plain(text)) for text in texts]
    return max(lengths) - min(lengths) <= _EVEN * max(lengths)


@form("page", _TONE, "warm", "gives the texts with which the page opens and closes a tone")
def toned_page(about: About, found: re.Match[str]) -> Meant:
    return _toned_pages(about, [about.page], _tone(found))


@form(
    "page",
    rf"{_TONE} (everywhere|on (all|every) pages?|(on )?the whole site)",
    "inviting everywhere",
    "gives the texts with which every page opens and closes a tone",
)
def toned_site(about: About, found: re.Match[str]) -> Meant:
    return _toned_pages(about, about.site.drawn, _tone(found))


def _toned_pages(about: About, pages: Sequence[Page], tone: Tone) -> Meant:
    changes: list[Change] = []
    for page in pages:
        shown = [About(about.site, page, one, "", about.rewriter) for one in page.sections if not (one.parked or one.hidden)]
        if tone == "plain":  # which is told by taking away, wherever it is
            changes += [change for one in shown for text in _running(one) for change in _plainly(text)]
            continue
        ends = [next((meant for one in order if (meant := _toned(one, tone))), None) for order in (shown, shown[::-1])]
        for index, meant in enumerate(ends):
            if meant and (not index or ends[0] is None or meant.changes != ends[0].changes):
                changes += meant.changes
    if not changes:
        raise NotUnderstood("There is no running text at its ends that could have another tone.", ["add questions"])
    return Meant(f"{len(changes)} text{'s' * (len(changes) != 1)} become {tone}.", changes=changes)


def _toned(about: About, tone: Tone) -> Meant | None:
    """A tone for the running text of a section; None where none of its texts can have one."""
    for one in _running(about):
        offered = list(about.rewriter.toned(task_of(one, seed=sum(map(ord, about.page.id))), tone))
        if any(made.text == text_of(one) for made in offered):
            return Meant("It is so already.")
        room = next((made for made in offered if _usual(one, made.text)), None)
        if room:
            return _taken(one, room)
    return None


def _plainly(about: About) -> list[Change]:
    """The changes that take a tone from a text; none where it has none."""
    made = next(about.rewriter.toned(task_of(about), "plain"), None)
    return [] if made is None or made.text == text_of(about) else written(about, made.text, "").changes


def _usual(about: About, text: str) -> bool:
    """Whether a text has no more sentences than are usual at its place, or no more than it had."""
    slot = re.sub(r"/\d+/", "/", about.slot)
    most = section_of(about).catalogue.usual.sentences.get(slot)
    return most is None or len(sentences(text)) <= max(most, len(sentences(text_of(about))))


def _running(about: About) -> Iterator[About]:
    """The running texts of a section that are written, its introduction first."""
    found = list(_texts(about))
    yield from (one for one in found if one.slot in _RUNNING)
    yield from (one for one in found if one.slot.rpartition("/")[2] in _RUNNING and one.slot not in _RUNNING)


def _texts(about: About) -> Iterator[About]:
    """The texts of a section that are drawn and written."""
    section: Section = section_of(about)
    for path, (slot, value) in slot_values(section).items():
        own = re.sub(r"/\d+/", "/", path)
        if slot.of.set_in_type and isinstance(value, str) and own in section.declared.drawn and not PLACEHOLDER.search(value):
            yield About(about.site, about.page, section, path, about.rewriter)
