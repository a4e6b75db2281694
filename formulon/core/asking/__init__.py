"""Asking for a change in words. What reads an instruction stands behind a protocol, which a language service could fill; the grammar
that ships (grammar.py, described in docs/instructions.md) turns it into ordinary changes, and suggests what is near where it does not
understand. Nothing is changed: what comes of it is looked at first."""

from dataclasses import dataclass, field
from typing import Protocol

from formulon.core.errors import ChangeError
from formulon.core.site.changes import Change, apply
from formulon.core.site.documents import documents
from formulon.core.site.replan import Difference, differences
from formulon.core.site.site import Page, Section, Site
from formulon.core.site.structure import Arranged, Operation, arranged, changes_between
from formulon.core.site.structure.leads import Lead
from formulon.core.writing import Rewriter
from formulon.core.writing.known import REWRITER


class NotUnderstood(Exception):
    """What is asked for cannot be done, or is not understood: a sentence, and instructions that are near."""

    def __init__(self, said: str, suggestions: list[str] | None = None) -> None:
        super().__init__(said)
        self.said, self.suggestions = said, suggestions or []


@dataclass(frozen=True, slots=True)
class About:
    """What an instruction is about: a page; one of its sections; one text of that."""

    site: Site
    page: Page
    section: Section | None = None
    slot: str = ""
    rewriter: Rewriter = REWRITER


@dataclass(frozen=True, slots=True)
class Meant:
    """What an instruction means, in a sentence, with what is to be done."""

    said: str
    operations: list[Operation] = field(default_factory=list)
    changes: list[Change] = field(default_factory=list)


class Reader(Protocol):
    """What reads an instruction: it says what is meant, part by part. Raises NotUnderstood."""

    def read(self, text: str, about: About) -> Meant: ...

    def parts(self, text: str) -> list[str]: ...


@dataclass(frozen=True, slots=True)
class Answered:
    """What an instruction comes to: what is meant, the changes, what differs then, what led to what is taken away, and what is to be
    open afterwards. Without changes, why there are none, with instructions that are near."""

    said: str
    label: str = ""
    changes: list[Change] = field(default_factory=list)
    differences: list[Difference] = field(default_factory=list)
    leads: list[Lead] = field(default_factory=list)
    page: str = ""
    section: str = ""
    suggestions: list[str] = field(default_factory=list)


def answered(reader: Reader, text: str, site: Site, page: str, section: str = "", slot: str = "") -> Answered:
    """What an instruction about a page, a section or a text comes to. Where it is several, they are done one after the other; where one is
    not understood, nothing is."""
    before, said, leads = documents(site), list[str](), list[Lead]()
    try:
        for part in _parts(reader, text, _about(site, page, section, slot)):
            meant = part if isinstance(part, Meant) else _read(reader, part, _about(site, page, section, slot))
            made = arranged(site, meant.operations) if meant.operations else Arranged("", meant.changes, [], page, section)
            site = apply(site, made.changes)
            page, section = made.page, made.section or (section if made.page == page else "")
            said.append(meant.said)
            leads += made.leads
    except NotUnderstood as refused:
        return Answered(refused.said, suggestions=refused.suggestions)
    except ChangeError as refused:
        return Answered(str(refused))
    after = documents(site)
    changes = changes_between(before, after)
    if not changes:
        return Answered("It is so already.")
    return Answered(" ".join(said), f"“{text.strip()[:80]}”", changes, differences(before, after), leads, page, section)


def _parts(reader: Reader, text: str, about: About) -> list[Meant | list[str]]:
    """An instruction as it is meant as a whole, else in its parts, each with what it may mean: as it stands, or with the verb of the one
    before (“add prices and questions”)."""
    try:
        return [reader.read(text, about)]
    except NotUnderstood:
        parts = reader.parts(text)
        if len(parts) < 2:
            raise
    return [[part] if not index else [part, f"{parts[0].split()[0]} {part}"] for index, part in enumerate(parts)]


def _read(reader: Reader, wordings: list[str], about: About) -> Meant:
    """The first of several wordings that is understood. Raises what the first raised."""
    refused: NotUnderstood | None = None
    for wording in wordings:
        try:
            return reader.read(wording, about)
        except NotUnderstood as problem:
            refused = refused or problem
    raise refused or NotUnderstood("Nothing is asked for.")


def _about(site: Site, page: str, section: str, slot: str) -> About:
    found = next((one for one in site.pages if one.id == page), None)
    if found is None:
        raise ChangeError("This page is not there any more.")
    if not section:
        return About(site, found)
    frame = (site.frame.header, site.frame.footer)
    one = next((one for one in (*found.sections, *frame) if one.id == section), None)
    if one is None:
        raise ChangeError("This section is not on its page any more.")
    return About(site, found, one, slot)
