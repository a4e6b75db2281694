"""The structure of a site, changed: what an operation comes to, as changes of documents, with what leads to what it takes away."""

from collections.abc import Sequence
from dataclasses import dataclass

from formulon.core.site.changes import Change
from formulon.core.site.documents import Bodies, Body, documents
from formulon.core.site.patches import difference
from formulon.core.site.site import Site
from formulon.core.site.structure import pages, sections
from formulon.core.site.structure.leads import Lead, leads, led_elsewhere
from formulon.core.site.structure.operations import Move, Operation, PageOperation, RemovePage, TakeOut
from formulon.core.site.structure.sections import Work


@dataclass(frozen=True, slots=True)
class Arranged:
    """What operations come to: what the entry of the history is called, the changes, what led to what they take away, and which page
    and section are to be open afterwards."""

    label: str
    changes: list[Change]
    leads: list[Lead]
    page: str
    section: str


def arranged(site: Site, operations: Sequence[Operation]) -> Arranged:
    """What operations on the structure of a site come to, one after the other. Raises ChangeError for what cannot be done."""
    before = documents(site)
    work, led, labels = Work(before), list[Lead](), list[str]()
    for operation in operations:
        led += _done(work, operation, site)
        labels.append(work.label)
    label = labels[0] if len(labels) == 1 else "; ".join(dict.fromkeys(labels))
    return Arranged(label[:200], changes_between(before, work.bodies), led, work.page, work.section)


def _done(work: Work, operation: Operation, site: Site) -> list[Lead]:
    """Does one operation, and gives what led to what it takes away."""
    if isinstance(operation, PageOperation):
        files = pages.files(work)
        led = leads(work.bodies, operation.page) if isinstance(operation, RemovePage) else []
        pages.done(work, operation, site)
        removed = operation.lead_to or f"page:{work.page}" if isinstance(operation, RemovePage) else ""
        pages.addressed(work, files, removed)
        return [one for one in led if one.page != getattr(operation, "page", "")]
    led = list[Lead]()
    if isinstance(operation, TakeOut):
        led = [one for one in leads(work.bodies, operation.page, operation.section) if one.section != operation.section]
        sections.done(work, operation)
        _lead(work, operation.page, operation.section, operation.lead_to or f"page:{operation.page}")
    elif isinstance(operation, Move) and operation.to not in (None, operation.page):
        sections.done(work, operation)
        _lead(work, operation.page, operation.section, f"page:{work.page}#{work.section}")
    else:
        sections.done(work, operation)
    return led


def _lead(work: Work, page: str, section: str, to: str) -> None:
    """Has what leads to a section lead elsewhere."""
    work.bodies |= led_elsewhere(work.bodies, page, section, lambda *_: to)


def changes_between(before: Bodies, after: dict[str, Body]) -> list[Change]:
    """The changes from one state of the documents to another: pages that are new or gone are made and taken away whole."""
    made = []
    for name in [*before, *(one for one in after if one not in before)]:
        if name not in after:
            made.append(Change(document=name, patch=[{"op": "remove", "path": ""}]))
        elif name not in before:
            made.append(Change(document=name, patch=[{"op": "add", "path": "", "value": after[name]}]))
        elif after[name] != before[name]:
            made.append(Change(document=name, patch=difference(before[name], after[name])))
    return made


__all__ = ["Arranged", "Operation", "arranged", "changes_between"]
