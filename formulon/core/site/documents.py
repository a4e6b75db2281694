"""Which documents a brand has, and what each holds. Everybody else asks here.

A brand's site is cut into documents that are revised apart. What is to be added once (a second set of choices, texts in another
language, documents that only some people may change) is a kind of document here.
"""

from collections.abc import Iterator, Mapping
from dataclasses import dataclass
from typing import Any, cast

from formulon.core.errors import ChangeError
from formulon.core.site.site import FRAME, Asset, Frame, Page, Section, Site
from formulon.core.site.translations import Languages
from formulon.core.system.documents.checks import Checks
from formulon.core.system.documents.choices import Choices
from formulon.core.system.documents.decisions import Decisions
from formulon.core.system.documents.identity import Identity, Model
from formulon.core.type.library import SHIPPED, Library

Body = dict[str, Any]
Bodies = Mapping[str, Body]

IDENTITY, CHOICES, FRAME_DOCUMENT, DECISIONS, LANGUAGES = "identity", "choices", "frame", "decisions", "languages"
CHECKS = "checks"
_PAGE = "page:"


@dataclass(frozen=True, slots=True)
class DocumentKind:
    """A kind of document: its model; whether it is a part of the site, which a release is made from; whether it follows the plan
    until somebody edits it; and whether what an older version wrote is brought to its full form before it is patched."""

    model: type[Model]
    of_site: bool = True
    planned: bool = False
    completed: bool = False


_KINDS: dict[str, DocumentKind] = {
    IDENTITY: DocumentKind(Identity),
    CHOICES: DocumentKind(Choices, completed=True),
    FRAME_DOCUMENT: DocumentKind(Frame, planned=True, completed=True),
    DECISIONS: DocumentKind(Decisions, of_site=False),
    LANGUAGES: DocumentKind(Languages),
    CHECKS: DocumentKind(Checks),
}
_PAGES = DocumentKind(Page, planned=True, completed=True)


def page_document(page: str) -> str:
    """The name of a page's document by the page's id."""
    return _PAGE + page


def page_of(document: str) -> str | None:
    """The id of the page that a document is; None for any other document."""
    return document.removeprefix(_PAGE) if document.startswith(_PAGE) else None


def kind_of(document: str) -> DocumentKind:
    """What a document is. Raises ChangeError for a name that is none."""
    if page_of(document) is not None:
        return _PAGES
    try:
        return _KINDS[document]
    except KeyError:
        raise ChangeError(f"There is no document “{document}”.") from None


def page_bodies(bodies: Bodies) -> Iterator[Body]:
    """The bodies of the pages among documents."""
    return (body for name, body in bodies.items() if page_of(name) is not None)


def planned(bodies: Bodies) -> dict[str, Body]:
    """The documents that follow the plan: frame and pages."""
    return {name: body for name, body in bodies.items() if kind_of(name).planned}


def of_site(bodies: Bodies) -> dict[str, Body]:
    """The documents that a release is made from: decisions on facts are no part of the site."""
    return {name: body for name, body in bodies.items() if kind_of(name).of_site}


def identity_in(bodies: Bodies) -> Identity:
    return Identity.model_validate(bodies[IDENTITY])


def choices_in(bodies: Bodies) -> Choices:
    return Choices.model_validate(bodies[CHOICES])


def decisions_in(bodies: Bodies) -> Decisions:
    """The decisions on facts; none in documents from before there were any."""
    return Decisions.model_validate(bodies.get(DECISIONS, {}))


def documents(site: Site) -> dict[str, Body]:
    """The documents of a site by name."""
    return {name: part.model_dump() for name, part in models(site).items()}


def models(site: Site) -> dict[str, Model]:
    """The parts of a site by the name of their document."""
    parts: dict[str, Model] = {
        IDENTITY: site.identity,
        CHOICES: site.choices,
        FRAME_DOCUMENT: site.frame,
        LANGUAGES: site.languages,
        CHECKS: site.checks,
    }
    return parts | {page_document(page.id): page for page in site.pages}


def located(site: Site, page_id: str, section_id: str) -> tuple[str, tuple[str | int, ...], Section] | None:
    """The document that holds a section, the path to the section in it, and the section as it is stored; None where there is none.
    Header and footer are found on every page."""
    for part in FRAME:
        section: Section = getattr(site.frame, part)
        if section.id == section_id:
            return FRAME_DOCUMENT, (part,), section
    stored = next((page.sections for page in site.pages if page.id == page_id), ())
    for index, section in enumerate(stored):
        if section.id == section_id:
            return page_document(page_id), ("sections", index), section
    return None


def site_from(parts: Mapping[str, Model], assets: list[Asset], library: Library = SHIPPED) -> Site:
    """The site that parts make."""
    made = Site.of_parts(
        identity=cast(Identity, parts[IDENTITY]),
        choices=cast(Choices, parts[CHOICES]),
        frame=cast(Frame, parts[FRAME_DOCUMENT]).model_copy(deep=True),
        languages=cast(Languages, parts.get(LANGUAGES) or Languages()),
        checks=cast(Checks, parts.get(CHECKS) or Checks()),
        pages=[cast(Page, part) for name, part in parts.items() if page_of(name) is not None],
        assets=assets,
    )
    return made.with_library(library)


def site_of(bodies: Bodies, assets: list[Asset], library: Library = SHIPPED) -> Site:
    """The site that documents make, in families of a library."""
    return site_from(parts_of(bodies), assets, library)


def parts_of(bodies: Bodies, known: Mapping[str, tuple[Body, Model]] | None = None) -> dict[str, Model]:
    """The parts of a site by the name of their document. `known` has parts with the bodies that they were read from; what has
    the same body is not read again."""
    made = {}
    for name, body in of_site(bodies).items():
        read = (known or {}).get(name)
        made[name] = read[1] if read and read[0] == body else kind_of(name).model.model_validate(body)
    return made
