"""Decisions on facts: one entry of the history for each; pictures that are taken become the brand's own."""

import base64
from collections.abc import Sequence
from concurrent.futures import ThreadPoolExecutor
from typing import Any

from django.contrib.auth.models import User
from django.db import transaction
from procrastinate.contrib.django import app

from formulon.core.identity.applied import applied
from formulon.core.identity.decide import Request, asset_id, decide
from formulon.core.identity.evidence import Fact
from formulon.core.identity.isolated import AT_ONCE, readers
from formulon.core.site.documents import CHOICES, DECISIONS, IDENTITY, choices_in, decisions_in, identity_in
from formulon.core.system.documents.identity import slug
from formulon.studio.errors import UploadRefused
from formulon.studio.models import Brand, Picture, SourceFile
from formulon.studio.services import history, sources
from formulon.studio.services.reading import read_mark
from formulon.studio.services.sites import blob_of, bodies_of

_DONE = {"accept": "taken over", "lock": "locked", "unlock": "unlocked", "reject": "rejected", "reopen": "opened again"}


@transaction.atomic
def act(brand: Brand, author: User | None, revisions: dict[str, int], requests: Sequence[Request]) -> None:
    """Meets the requests as one entry. Raises IdentityError where one cannot be met, Stale where a document has moved on."""
    bodies, now = bodies_of(brand)
    decisions = decisions_in(bodies)
    known = sources.facts(brand, decisions)
    was = identity_in(bodies)
    identity, after = decide(was, decisions, known, requests)
    by_id = {fact.id: fact for fact in known}
    chosen = [by_id[request.fact] for request in requests if request.action in ("accept", "lock")]
    keep_pictures(brand, [fact for fact in chosen if fact.group == "pictures"])
    new = {IDENTITY: identity.model_dump(), DECISIONS: after.model_dump()}
    choices = applied(choices_in(bodies), was, identity).model_dump()
    if choices != bodies[CHOICES]:
        new[CHOICES], revisions = choices, {CHOICES: now[CHOICES], **revisions}
    svgs = frozenset(str(fact.data["svg"]) for fact in chosen if fact.group == "marks")
    history.replace(brand, author, _label(requests, by_id), {name: (revisions[name], body) for name, body in new.items()}, svgs)


def _label(requests: Sequence[Request], facts: dict[str, Fact]) -> str:
    done = _DONE[requests[0].action]
    if len(requests) == 1:
        return f"{(requests[0].name or facts[requests[0].fact].label)[:80]} {done}"
    return f"{len(requests)} facts {done}"


def keep_pictures(brand: Brand, facts: Sequence[Fact]) -> None:
    """The pictures of facts as the brand's own: a drawing rebuilt, a photograph in sizes, all encoded anew, as many at a time as there
    are readers. The database is asked by this thread alone."""
    wanted: dict[str, tuple[Fact, SourceFile]] = {}
    for fact in facts:
        source = brand.sources.select_related("stored").filter(name=fact.data["file"]).first()
        if source is not None and not Picture.objects.filter(brand=brand, key=asset_id(fact)).exists():
            wanted.setdefault(asset_id(fact), (fact, source))
    with ThreadPoolExecutor(AT_ONCE) as pool:
        made = pool.map(lambda one: _encoded(one[1]), wanted.values())
        for (key, (fact, source)), sizes in zip(wanted.items(), made, strict=True):
            _keep(brand, key, fact, source, sizes)


def _encoded(source: SourceFile) -> dict[str, Any]:
    """The sizes of a photograph, or a drawing rebuilt. Raises UploadRefused."""
    data = bytes(source.stored.data)
    if source.reading and source.reading["format"] == "SVG":
        return read_mark(source.name, data)
    sizes = readers().picture(source.name, data, "draft")  # the worker makes better ones
    if "error" in sizes:
        raise UploadRefused(sizes["error"])
    return sizes


def _keep(brand: Brand, key: str, fact: Fact, source: SourceFile, made: dict[str, Any]) -> None:
    picture = Picture(brand=brand, key=key, name=fact.label[:300], width=made["width"], height=made["height"])
    picture.svg = made.get("svg", "")
    picture.colors = dict(made.get("colors", ()))
    picture.renditions = [
        sources.rendition(brand.workspace_id, width, "webp", base64.b64decode(text)) for width, text in made.get("sizes", ())
    ]
    picture.save()
    if picture.renditions:
        app.configure_task("encode_picture", queue="reading").defer(picture_id=picture.pk)


def encode_picture(picture_id: int) -> None:
    """Adds the sizes of a photograph as AVIF, which take longer to make than a request may. Runs in the worker; where there is no file
    that it came from, or it is gone, they are made of its largest size."""
    picture = Picture.objects.select_related("brand").filter(pk=picture_id).first()
    if picture is None or not picture.renditions or any(one.get("form") == "avif" for one in picture.renditions):
        return
    source = _source_of(picture) if picture.from_file else None
    largest = max(picture.renditions, key=lambda one: int(one["width"]))
    data = bytes(source.stored.data) if source else blob_of(picture.brand)(largest["sha256"])
    forms = ("webp", "avif") if source else ("avif",)
    made = {form: readers().picture(source.name if source else f"{picture.key}.webp", data, form) for form in forms}
    if any("error" in sizes for sizes in made.values()):
        return
    renditions = [
        sources.rendition(picture.brand.workspace_id, width, form, base64.b64decode(text))
        for form, sizes in made.items()
        for width, text in sizes["sizes"]
    ]
    kept = [] if source else picture.renditions
    Picture.objects.filter(pk=picture_id).update(renditions=[*kept, *renditions])


def unencoded() -> list[int]:
    """Photographs that an earlier version kept, which have no AVIF yet."""
    kept = [one for one in Picture.objects.exclude(renditions=[]) if not any(r.get("form") == "avif" for r in one.renditions)]
    return [one.pk for one in kept]


def _source_of(picture: Picture) -> SourceFile | None:
    """The file that a picture came from, by what its key was made of."""
    stem = picture.key.rpartition("-")[0]
    found = picture.brand.sources.select_related("stored").defer("stored__data")
    return next((one for one in found if slug(one.name.rsplit("/", 1)[-1].rsplit(".", 1)[0], "picture") == stem), None)


def leave_open(brand: Brand, author: User | None, revision: int, question: str, left: bool) -> None:
    """Leaves a question open on purpose, or asks it again."""
    bodies, _ = bodies_of(brand)
    decisions = decisions_in(bodies)
    kept = [one for one in decisions.left_open if one != question]
    decisions.left_open = [*kept, question] if left else kept
    label = "Question left open" if left else "Question asked again"
    history.replace(brand, author, label, {DECISIONS: (revision, decisions.model_dump())})
