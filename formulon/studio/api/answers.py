"""Building the answers out of models and services."""

from dataclasses import asdict
from typing import Any

from django.conf import settings
from django.contrib.auth.models import User
from django.http import HttpRequest
from django.http.response import HttpResponseBase
from pydantic import ValidationError

from formulon.core.checks.predict import predict
from formulon.core.checks.preflight import Preflight
from formulon.core.checks.reach import reach
from formulon.core.checks.rule import Rule
from formulon.core.color.vision import MATRICES
from formulon.core.errors import FormulonError
from formulon.core.formats.identity_files import FORMS
from formulon.core.formats.system_files import FORMS as SYSTEM_FORMS
from formulon.core.identity.brief import AXES, described, missing, open_questions
from formulon.core.identity.facts import GROUPS
from formulon.core.site.addresses import data_address
from formulon.core.site.catalogue import CATALOGUE, layout_of
from formulon.core.site.changes import explain
from formulon.core.site.composition import OWN
from formulon.core.site.documents import (
    CHECKS,
    CHOICES,
    DECISIONS,
    FRAME_DOCUMENT,
    IDENTITY,
    decisions_in,
    identity_in,
    of_site,
    page_document,
    page_of,
    planned,
)
from formulon.core.site.drawings import SUBJECTS
from formulon.core.site.kind import Kind
from formulon.core.site.layout import Layout
from formulon.core.site.phrases import offered
from formulon.core.site.pictures import ABSTRACT, sample
from formulon.core.site.render import WIDTHS
from formulon.core.site.sheets import preview_tokens
from formulon.core.site.site import Asset, Site
from formulon.core.site.sketch import sketch
from formulon.core.system.documents.choices import GROUNDS, Choices
from formulon.core.system.documents.identity import RULED_OUT, Mark
from formulon.core.system.documents.organisations import ORGANISATIONS
from formulon.core.system.resolve import resolve
from formulon.core.system.solving.logo import choose
from formulon.core.type.library import SHIPPED
from formulon.studio.api import library_shapes, preflight_shapes, shapes, source_shapes, source_states
from formulon.studio.api.problems import problem
from formulon.studio.models import Brand, Entry, Intake, Release, SourceFile
from formulon.studio.services import entries, sources
from formulon.studio.services.sites import blob_of, bodies_of, identity_of, library_of, preview_key, site_in, told_apart
from formulon.studio.services.workbench import differing, resolved, summary_of

_CARD = (251, 251, 250)  # the card's ground in web/src/styles


def address_of(request: HttpRequest, brand: Brand) -> str:
    """Where the published site stands: on the sites' host, at the port of this request."""
    port = request.get_port()
    end = "" if port in ("80", "443") else f":{port}"
    return f"{request.scheme}://{settings.SITES_HOST}{end}/{brand.slug}/"


def workbench(request: HttpRequest, brand: Brand, role: str) -> shapes.Workbench:
    """The whole state of a brand."""
    brand.refresh_from_db()
    bodies, revisions = bodies_of(brand)
    site, digests = told_apart(brand, bodies)
    summary = summary_of(site, blob_of(brand))
    back, forth = entries.steps(brand, _person(request))
    # Snapshots are whole sites: only the newest is needed, to tell whether anything has changed since.
    releases = list(brand.releases.select_related("author").defer("snapshot", "report"))
    newest = brand.releases.values_list("snapshot", flat=True).first()
    pages = [
        shapes.PageDocument(
            revision=revisions[page_document(page.id)],
            body=page,
            preview=preview_key(site, digests, page, summary),
            file=site.file_name(page),
        )
        for page in site.grounded
    ]
    return shapes.Workbench(
        state="",
        id=str(brand.pk),
        slug=brand.slug,
        role=role,
        address=address_of(request, brand),
        identity=shapes.IdentityDocument(revision=revisions[IDENTITY], body=site.identity),
        choices=shapes.ChoicesDocument(revision=revisions[CHOICES], body=site.choices),
        frame=shapes.FrameDocument(revision=revisions[FRAME_DOCUMENT], body=site.frame),
        checks=shapes.ChecksDocument(revision=revisions[CHECKS], body=site.checks),
        pages=pages,
        edited=planned(bodies) != brand.planned,
        changed_since_release=newest != of_site(bodies),
        history=shapes.History(undo=step_of(back), redo=step_of(forth)),
        pictures=[_picture(brand, asset) for asset in site.assets],
        system=shapes.Resolved.model_validate(summary),
        releases=[release_card(release, index == 0) for index, release in enumerate(releases)],
        layouts=own_layouts(site),
    )


def layout_card(kind: Kind, name: str, layout: Layout, label: str = "", about: str = "") -> dict[str, Any]:
    """What is told of a layout of a kind."""
    return {
        "id": name,
        "label": label or layout.label,
        "about": about or layout.about,
        "on_picture": bool(layout.on_picture),
        "shows": sorted(layout.drawn),
        "sketch": [shapes.PieceCard.model_validate(asdict(piece)) for piece in sketch(kind, layout)],
    }


def own_layouts(site: Site) -> list[shapes.OwnLayout]:
    """The layouts of a brand's own: those that it keeps, by their names, and the others that its pages have."""
    kept = {(one.kind, one.layout): one.name for one in site.choices.compositions}
    there = {(one.kind, one.layout) for page in site.pages for one in page.sections if one.layout.startswith(OWN)}
    return [
        shapes.OwnLayout(
            **layout_card(CATALOGUE[kind], name, layout_of(CATALOGUE[kind], name), kept.get((kind, name), "")),
            kind=kind, kept=(kind, name) in kept,
        )
        for kind, name in (*kept, *sorted(there - kept.keys()))
    ]  # fmt: skip


def _person(request: HttpRequest) -> User | None:
    return request.user if isinstance(request.user, User) else None


def step_of(entry: Entry | None) -> shapes.HistoryStep | None:
    """What undo or redo would take next."""
    return shapes.HistoryStep(entry=entry.pk, label=entry.label) if entry else None


def history_entry(entry: Entry, holds: bool) -> shapes.HistoryEntry:
    return shapes.HistoryEntry(
        entry=entry.pk, label=entry.label, author=entries.name_of(entry.author), at=entry.created,
        step=entry.kind, holds=holds, name=entry.name,
    )  # fmt: skip


def unopened(request: HttpRequest, brand: Brand, error: Exception) -> HttpResponseBase:
    """Why a brand cannot be drawn, and the newest change, which can be taken back all the same."""
    why = explain(error) if isinstance(error, ValidationError) else str(error) if isinstance(error, FormulonError) else ""
    why = why or type(error).__name__
    undo = step_of(entries.steps(brand, _person(request))[0])
    told = f"This brand cannot be drawn as it is: {why}" + ("." if not why.endswith(".") else "")
    return problem(409, "unopenable", told, undo=undo.model_dump() if undo else None)


def _picture_address(brand: Brand, asset: Asset) -> str:
    """The smallest size of a photograph, or a drawing as a data address."""
    if asset.svg:
        return data_address(asset.svg)
    smallest = asset.sizes("webp")[0]
    return f"/api/brands/{brand.pk}/pictures/{asset.id}-{smallest.width}.webp"


def styles(brand: Brand, choices: Choices) -> shapes.Styles:
    """The tokens under choices that are not stored."""
    identity = identity_of(brand)
    system = resolve(identity, choices, library_of(brand, identity))
    schemes = list(system.schemes)
    css = [preview_tokens(system, scheme) for scheme in schemes]
    return shapes.Styles(schemes=schemes, css=css[0], css_dark=css[1] if system.dark else "")


def draft(brand: Brand, choices: Choices) -> shapes.Resolved:
    """The system under choices that are not stored, for a drag: of tokens, pairs and fits those that differ."""
    bodies, _ = bodies_of(brand)
    site = site_in(brand, bodies)
    drafted = site.with_choices(choices)
    return shapes.Resolved.model_validate(differing(resolved(drafted, blob_of(brand)), site.system()))


def release_card(release: Release, live: bool) -> shapes.ReleaseCard:
    return shapes.ReleaseCard(
        number=release.number,
        created=release.created,
        author=entries.name_of(release.author),
        files=len(release.files),
        passed=release.counts.get("pass", 0),
        waived=release.counts.get("waived", 0),
        measured=release.measured,
        live=live,
    )


def brand_card(request: HttpRequest, brand: Brand) -> shapes.BrandCard:
    documents = list(brand.documents.all())
    identity = next(document.body for document in documents if document.name == IDENTITY)
    release = brand.releases.first()
    return shapes.BrandCard(
        id=str(brand.pk),
        name=identity["name"],
        strapline=identity["strapline"],
        colors=[color["value"] for color in identity["colors"]],
        mark=_mark_on_light(identity["marks"]),
        pages=sum(page_of(document.name) is not None for document in documents),
        release=release.number if release else None,
        address=address_of(request, brand) if release else None,
    )


def undrawn(work: Preflight) -> list[str]:
    """The conflicts of the system at which nothing stops on a page, each with why: System counts them, preflight does not."""
    system, site = work.system, work.site
    used = reach(site, system, predict(site, system))
    stopped = {(finding.section, finding.page) for finding in work.report().findings if finding.stops}
    made = []
    for conflict in system.conflicts:
        if conflict.cause:
            continue
        uses = used.get(conflict.path, [])
        if not uses:
            made.append(f"{conflict.message} No page draws it.")
        elif not any((use.section, use.page) in stopped for use in uses):
            made.append(f"{conflict.message} Where pages draw it, no check stops: it is no text there, or is large.")
    return made


def reference(rule: Rule, code: str) -> preflight_shapes.Reference:
    """What a code of a rule rests on."""
    ref = rule.reference(code)
    return preflight_shapes.Reference(standard=ref.name, clause=ref.clause, level=ref.level)


def _mark_on_light(marks: list[dict[str, str]]) -> str | None:
    """The mark that is seen best on the light card of the list."""
    found = [Mark.model_validate(mark) for mark in marks]
    chosen = choose(found, "card", _CARD).mark
    return next((mark.svg for mark in found if mark.id == chosen), None)


def library() -> library_shapes.Library:
    """Families and catalogue."""
    return library_shapes.Library(
        families=[
            library_shapes.FamilyCard(
                id=f.id,
                name=f.name,
                category=f.category,
                licence=f.licence,
                lightest=f.weights[0],
                heaviest=f.weights[1],
                italic=f.italic,
                axes=list(f.axes),
                languages=list(f.languages),
                faces=[
                    library_shapes.FaceCard(key=one.key, lightest=one.weights[0], heaviest=one.weights[1], ranges=one.ranges)
                    for one in f.faces
                ],
                measured=f.measured,
            )
            for f in SHIPPED.values()
        ],
        kinds=[
            library_shapes.KindCard(
                id=name,
                label=kind.label,
                needs=kind.needs,
                layouts=[shapes.LayoutCard(**layout_card(kind, i, one)) for i, one in kind.layouts.items()],
                slots=[
                    library_shapes.SlotCard(
                        path=path,
                        label=slot.label,
                        type=slot.type,
                        blank=slot.of.blank(slot),
                        most=slot.most,
                        one=slot.one,
                        variant=slot.variant if slot.type == "action" else "",
                    )
                    for base, outer in kind.slots.items()
                    for path, slot in [(base, outer), *((f"{base}/{k}", s) for k, s in outer.items.items())]
                ],
            )
            for name, kind in CATALOGUE.items()
        ],
        drawings=drawing_cards(),
        grounds=list(GROUNDS),
        widths=list(WIDTHS),
        organisations=[
            library_shapes.OrganisationCard(id=one.id, name=one.name, about=one.about, pages=list(one.pages))
            for one in ORGANISATIONS.values()
        ],
        axes=[library_shapes.AxisCard(id=key, first=first, second=second) for key, first, second in AXES],
        forms=[library_shapes.FormCard(id=form.id, label=form.label) for form in FORMS.values()],
        visions=[library_shapes.VisionCard(id=name, matrix=matrix.tolist()) for name, matrix in MATRICES.items()],
        languages=[library_shapes.LanguageCard(**one._asdict()) for one in offered()],
        system_forms=[library_shapes.FormCard(id=form.id, label=form.label) for form in SYSTEM_FORMS.values()],
        ruled_out=list(RULED_OUT),
    )


def drawing_cards() -> list[library_shapes.DrawingCard]:
    """The drawings of the library: the abstract ones first."""
    abstract = [
        library_shapes.DrawingCard(id=name, says=name, words=[name, "abstract", *said.lower().split(",")[0].split()], season="", svg=sample(name))
        for name, (said, _) in ABSTRACT.items()
    ]  # fmt: skip
    subjects = [
        library_shapes.DrawingCard(
            id=one.id, says=one.says, words=[word for several in one.words.values() for word in several], season=one.season,
            svg=sample(one.id),
        )
        for one in SUBJECTS.values()
    ]  # fmt: skip
    return abstract + subjects


def sources_of(brand: Brand, held: str = "") -> source_shapes.Sources:
    """The brand's files and what they say; of the facts, those that are otherwise than in a state that is held."""
    bodies, revisions = bodies_of(brand)
    identity = identity_in(bodies)
    decisions = decisions_in(bodies)
    files = list(brand.sources.order_by("name"))
    facts = sources.facts(brand, decisions)
    state, base, changed = source_states.told(str(brand.pk), facts, held)
    return source_shapes.Sources(
        state=state,
        base=base,
        order=[fact.id for fact in facts],
        revision=revisions[DECISIONS],
        files=[_source_card(file) for file in files],
        outdated=sources.outdated(brand).count(),
        progress=_progress(brand, files),
        groups=[source_shapes.FactGroup(id=key, label=label) for key, label in GROUPS],
        facts=changed,
        missing=missing(identity),
        questions=open_questions(identity, decisions.left_open),
        character=described(identity.character),
    )


def _source_card(file: SourceFile) -> source_shapes.SourceCard:
    reading = file.reading or {}
    return source_shapes.SourceCard(
        id=file.pk, name=file.name, format=reading.get("format", ""), size=file.size, state=file.state,
        found=len(reading.get("sightings", [])), problem=reading.get("problem", ""), notes=reading.get("notes", []),
    )  # fmt: skip


def _progress(brand: Brand, files: list[SourceFile]) -> source_shapes.Progress:
    """Of the newest intake that still goes on; idle where none does."""
    going = brand.intakes.filter(state__in=(Intake.State.WAITING, Intake.State.READING)).last()
    if going is None:
        return source_shapes.Progress(state="idle", done=0, total=0)
    own = [file for file in files if file.intake_id == going.pk]
    done = sum(file.state != SourceFile.State.WAITING for file in own)
    return source_shapes.Progress(state=going.state, done=done, total=len(own))


def _picture(brand: Brand, asset: Asset) -> shapes.PictureCard:
    largest = max(asset.renditions, key=lambda one: (one.width, one.form == "webp"), default=None)
    width = largest.width if largest else round(asset.width)
    height = round(width * asset.height / asset.width)
    address, size = _picture_address(brand, asset), largest.size if largest else 0
    return shapes.PictureCard(id=asset.id, name=asset.name, address=address, width=width, height=height, size=size)
