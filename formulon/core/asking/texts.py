"""What can be asked of a text: fewer words, so many lines, words of one's own. No fact is made up: a text is only cut at its joints.
Other words for it are in words.py."""

import re
from collections.abc import Iterator

from formulon.core.asking import About, Meant, NotUnderstood
from formulon.core.asking.grammar import NUMBER, form, number_of
from formulon.core.asking.sections import changed, name_of, section_of
from formulon.core.checks.page_facts import TextRun
from formulon.core.checks.predict import Prediction
from formulon.core.site.changes import Change, apply
from formulon.core.site.site import Site
from formulon.core.site.slots import slot_values
from formulon.core.site.values import PLACEHOLDER
from formulon.core.type.emphasis import plain
from formulon.core.writing.sentences import ENDING, shorter

WIDTHS = {"phone": 360, "tablet": 768, "desktop": 1280}


def text_of(about: About) -> str:
    """The text that an instruction is about. Raises NotUnderstood where it is none, or still to be written."""
    found = slot_values(section_of(about)).get(about.slot)
    value = found[1] if found else None
    if found is None or not isinstance(value, str) or not found[0].of.set_in_type:
        raise NotUnderstood("This is no text.")
    if PLACEHOLDER.search(value):
        raise NotUnderstood("This is still to be written; there is nothing to change yet.")
    return value


def written(about: About, text: str, said: str) -> Meant:
    parts: list[str | int] = [int(part) if part.isdigit() else part for part in about.slot.split("/")]
    return changed(about, ("content", *parts), text, said)


@form(
    "text",
    r"(a bit |much )?(shorter|less|fewer words|briefer)",
    "shorter",
    "cuts it at its last joint: a paragraph, a sentence, a clause",
)
def shorter_text(about: About, found: re.Match[str]) -> Meant:
    text = next(shorter(text_of(about)), None)
    if text is None:
        raise NotUnderstood("It cannot be cut without losing its sense. Write it shorter yourself.", ["in two lines"])
    return written(about, text, f"It reads “{plain(text)[:80]}”.")


@form(
    "text",
    rf"(in|to|on|fit(s|ting)?( in)?) {NUMBER} lines?( on (?P<width>phone|tablet|desktop)s?)?",
    "in two lines on phones",
    "cuts it at its joints until it takes so many lines at that width, as they are measured",
)
def in_lines(about: About, found: re.Match[str]) -> Meant:
    text, most = text_of(about), number_of(found)
    named = (found["width"] or "desktop").lower()
    width, least = WIDTHS[named], 0
    for one in (text, *shorter(text)):
        lines = lines_of(about, one, width)
        if lines is None:
            raise NotUnderstood("How many lines it takes cannot be told here: its place is drawn freely.")
        if lines <= most:
            if one == text:
                return Meant("It is so already.")
            return written(about, one, f"It takes {lines_said(lines)} at {width} px: “{plain(one)[:80]}”.")
        least = lines
    raise NotUnderstood(
        f"No part of it that stands by itself takes {lines_said(most)} at {width} px; its shortest takes {least}.", ["shorter"]
    )


def lines_said(count: int) -> str:
    return f"{count} line{'s' * (count != 1)}"


def lines_of(about: About, text: str, width: int) -> int | None:
    """How many lines a text would take in its place at a width, measured by shaping; None where that cannot be told."""
    meant = written(about, text, "")
    site = apply(about.site, meant.changes)
    for run in _runs(site, about, width):
        if run.place.slot == about.slot and width in run.fits:
            return run.fits[width].lines
    return None


def lines_by_width(site: Site, page: str, section: str, slot: str, text: str) -> dict[str, int]:
    """How many lines a text would take in its place on a phone, a tablet and a desktop; those are left out at which that cannot be
    told, and all of them where there is no such text."""
    found = next((one for one in site.pages if one.id == page), None)
    frame = (site.frame.header, site.frame.footer)
    own = next((one for one in (*(found.sections if found else ()), *frame) if one.id == section), None)
    if found is None or own is None or slot not in slot_values(own):
        return {}
    about = About(site, found, own, slot)
    told = {name: lines_of(about, text, width) for name, width in WIDTHS.items()}
    return {name: lines for name, lines in told.items() if lines is not None}


def _runs(site: Site, about: About, width: int) -> Iterator[TextRun]:
    page, wanted = site.page(about.page.id), section_of(about).id
    work = Prediction(site, site.system(), None, (width,))
    frame = (site.frame.header, site.frame.footer)
    for section in (*(page.sections if page else ()), *frame):
        if page and section.id == wanted:
            yield from (fact for fact in work.section(page, section) if isinstance(fact, TextRun))


@form(
    "text", r"(say|write|reads?|change (it )?to|becomes?):? (?P<words>.+)", "say come at dusk", "puts these words in its place"
)
def say(about: About, found: re.Match[str]) -> Meant:
    if about.slot not in slot_values(section_of(about)):
        raise NotUnderstood("This is no text.")
    words = re.sub(r"^[“\"](.+)[”\"]$", r"\1", found["words"].strip())
    return written(about, words, f"It reads “{words[:80]}”.")


@form(
    "text", r"(leave (it )?out|remove|delete|take (it )?out)( it| the text| this text)?", "leave it out", "takes the text away"
)
def leave_out(about: About, found: re.Match[str]) -> Meant:
    text_of(about)
    return written(about, "", "The text is left out.")


@form(
    "section",
    r"(a bit |much )?(shorter|less|fewer words|less text|briefer)",
    "shorter",
    "cuts every text of it that has more than one sentence",
)
def shorter_section(about: About, found: re.Match[str]) -> Meant:
    changes: list[Change] = []
    for path, (slot, value) in slot_values(section_of(about)).items():
        if not slot.of.set_in_type or not isinstance(value, str) or PLACEHOLDER.search(value) or len(ENDING.split(value)) < 2:
            continue
        text = next(shorter(value), None)
        if text is not None:
            changes += written(About(about.site, about.page, about.section, path), text, "").changes
    if not changes:
        raise NotUnderstood(f"No text of {name_of(about)} has more than one sentence.", ["another layout", "hide"])
    return Meant(f"{len(changes)} text{'s' * (len(changes) != 1)} of {name_of(about)} lose their last part.", changes=changes)
