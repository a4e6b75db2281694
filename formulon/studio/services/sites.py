"""Brands and the sites that their documents make."""

import hashlib
import json
from collections.abc import Callable
from dataclasses import dataclass
from typing import Any, cast

from django.contrib.auth.models import User
from django.db import IntegrityError, transaction
from django.http import Http404

from formulon.core.site.documents import (
    DECISIONS,
    FRAME_DOCUMENT,
    IDENTITY,
    of_site,
    page_document,
    parts_of,
    planned,
    site_from,
)
from formulon.core.site.documents import documents as documents_of
from formulon.core.site.planning.planner import plan
from formulon.core.site.site import Asset, Page, Rendition, Site
from formulon.core.system.documents.choices import Choices
from formulon.core.system.documents.decisions import Decisions
from formulon.core.system.documents.identity import Identity, Model, free_id, slug
from formulon.core.system.documents.own_fonts import families_of
from formulon.core.type.library import SHIPPED, Library
from formulon.studio.models import Brand, Document, Membership, Picture, StoredFile, Workspace
from formulon.studio.services.kept import Kept

Bodies = dict[str, dict[str, Any]]


@dataclass(frozen=True, slots=True)
class _Held:
    """A site with what it was read from. None of it is altered."""

    bodies: Bodies
    assets: list[Asset]
    parts: dict[str, tuple[dict[str, Any], Model]]
    site: Site
    digests: dict[str, str]


_STATES = 3  # that are kept of a brand: as it is, as a change would make it, and as it was
_held: Kept[Any, tuple[_Held, ...]] = Kept(8)


def brands_of(user: User) -> Any:
    """The brands of a person's workspaces, and no other."""
    return Brand.objects.filter(workspace__members=user)


def role_of(user: User, brand: Brand) -> str:
    """The person's role in the brand's workspace. Raises Http404 where there is none any more."""
    role = Membership.objects.values_list("role", flat=True).filter(user=user, workspace_id=brand.workspace_id).first()
    if role is None:
        raise Http404
    return role


@transaction.atomic
def create(
    workspace: Workspace, identity: Identity, assets: list[Asset] | None = None, choices: Choices | None = None,
    decisions: Decisions | None = None,
) -> Brand:  # fmt: skip
    """A new brand with a planned site."""
    brand = _made(workspace, identity.name)
    Picture.objects.bulk_create(
        Picture(
            brand=brand,
            key=a.id,
            name=a.name,
            svg=a.svg,
            width=a.width,
            height=a.height,
            renditions=[r.model_dump() for r in a.renditions],
            colors=a.colors,
        )
        for a in assets or []
    )
    bodies = documents_of(plan(identity, choices, assets)) | {DECISIONS: (decisions or Decisions()).model_dump()}
    Document.objects.bulk_create(Document(brand=brand, name=name, body=body) for name, body in bodies.items())
    brand.planned = planned(bodies)
    brand.save(update_fields=["planned"])
    return brand


def _made(workspace: Workspace, name: str) -> Brand:
    """A brand under the first address that is free, also where others ask for the same at once."""
    wanted = slug(name, "brand")
    while True:
        taken = Brand.objects.filter(slug__startswith=wanted[:30]).values_list("slug", flat=True)
        try:
            with transaction.atomic():
                return Brand.objects.create(workspace=workspace, slug=free_id(wanted, taken))
        except IntegrityError:
            continue  # somebody was faster; what they took is seen now


def identity_of(brand: Brand) -> Identity:
    """The identity alone."""
    return Identity.model_validate(brand.documents.get(name=IDENTITY).body)


def library_of(brand: Brand, identity: Identity) -> Library:
    """The families that a brand's type can be set in: those that ship, and its own."""
    return SHIPPED.with_own(families_of(identity.fonts, blob_of(brand)))


def bodies_of(brand: Brand) -> tuple[Bodies, dict[str, int]]:
    """The bodies of a brand's documents and their revisions, by name."""
    found = list(brand.documents.order_by("pk"))  # pages that no order names stand as they were made
    return {d.name: d.body for d in found}, {d.name: d.revision for d in found}


def assets_of(brand: Brand) -> list[Asset]:
    return [
        Asset.model_construct(
            id=p.key,
            name=p.name,
            svg=p.svg,
            width=p.width,
            height=p.height,
            renditions=[Rendition(**one) for one in p.renditions],
            colors=p.colors,
        )
        for p in brand.pictures.all()
    ]


def load(brand: Brand) -> Site:
    """The site of a brand as it is now."""
    return site_in(brand, bodies_of(brand)[0])


def site_in(brand: Brand, bodies: Bodies, assets: list[Asset] | None = None) -> Site:
    """The site that documents of a brand make, which need not be those that are stored. The newest are kept with all that was
    worked out of them: a write asks for its site before it is accepted, for its answer, and for every page drawn anew."""
    return _held_of(brand, bodies, assets).site


def told_apart(brand: Brand, bodies: Bodies) -> tuple[Site, dict[str, str]]:
    """As `site_in`, with what tells the bodies of its documents apart, by name: the same where they say the same."""
    held = _held_of(brand, bodies)
    return held.site, held.digests


def _held_of(brand: Brand, bodies: Bodies, assets: list[Asset] | None = None) -> _Held:
    bodies, assets = of_site(bodies), assets_of(brand) if assets is None else assets
    held = _held.get(brand.pk, ())
    for one in held:
        if one.bodies == bodies and list(one.bodies) == list(bodies) and one.assets == assets:
            return one
    parts = parts_of(bodies, held[0].parts if held else None)
    library = library_of(brand, cast(Identity, parts[IDENTITY]))
    site = site_from(parts, assets, library)
    if held:
        site.dressed_as(held[0].site)
    read = {name: (bodies[name], part) for name, part in parts.items()}
    made = _Held(bodies, assets, read, site, _digests(read, held))
    _held[brand.pk] = (made, *held[: _STATES - 1])
    return made


def _digests(read: dict[str, tuple[dict[str, Any], Model]], held: tuple[_Held, ...]) -> dict[str, str]:
    """What tells the bodies of documents apart, by name. What is the part that it was is not looked at again."""
    known = held[0] if held else None
    made = {}
    for name, (body, part) in read.items():
        was = known.parts.get(name) if known else None
        same = known is not None and was is not None and was[1] is part
        made[name] = known.digests[name] if known and same else _digest(body)
    return made


def blob_of(brand: Brand) -> Callable[[str], bytes]:
    """Gives the bytes of a photograph's sizes and of fonts, out of the brand's own workspace."""

    def open_blob(digest: str) -> bytes:
        return bytes(StoredFile.objects.values_list("data", flat=True).get(workspace_id=brand.workspace_id, sha256=digest))

    return open_blob


def preview_key(site: Site, digests: dict[str, str], page: Page, summary: dict[str, Any]) -> str:
    """Changes whenever the HTML of a page's preview does; a restyle alone changes only tokens and leaves it. What is undone has
    the key that it had, so that whoever has drawn it before need not ask again."""
    menu = [(one.id, one.name, one.menu) for one in site.pages]
    marks = [summary[name].get(ground) for name in ("marks", "dark_marks") for ground in ("navigation", "footer")]
    symbols = {mark.id for mark in site.identity.marks if mark.kind == "symbol"}
    grounds = [section.ground for section in page.sections]
    style = site.choices
    drawn = [
        style.cards,
        style.pictures,
        style.buttons.arrow,
        style.buttons.raised,
        style.buttons.small_in_header,
        style.logo.name_beside and bool(symbols & set(marks)),
        style.logo.plates,
        style.header_strip,
        style.header_stays,
        style.grain > 0,
        style.motif.model_dump(exclude={"size", "strength"}),
        [style.pins.get(path) for path in ("motif/order", "motif/room")],
    ]  # what pages are marked with, besides their tokens
    parts = [drawn, marks, grounds, menu, summary["drawn"][page.id]]
    return f"{content_key(site, digests, page)}-{_digest(parts)}"


def content_key(site: Site, digests: dict[str, str], page: Page) -> str:
    """What tells apart what a page is drawn from, whatever it looks like: that a preview's key begins with."""
    return _digest([list(site.languages.further), digests[IDENTITY], digests[FRAME_DOCUMENT], digests[page_document(page.id)]])


def _digest(of: Any) -> str:
    return hashlib.sha256(json.dumps(of).encode()).hexdigest()[:16]


def rendition(brand: Brand, name: str) -> tuple[bytes, str] | None:
    """The bytes of "<asset>-<width>.<form>" and what they are, or None where the brand has no such picture."""
    path, _, form = name.rpartition(".")
    stem, _, width = path.rpartition("-")
    picture = brand.pictures.filter(key=stem).first()
    sizes = picture.renditions if picture else []
    found = next((one for one in sizes if (str(one["width"]), one.get("form", "webp")) == (width, form)), None)
    return (blob_of(brand)(found["sha256"]), f"image/{form}") if found else None
