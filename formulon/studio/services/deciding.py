"""Decisions on facts: one entry of the history for each; pictures that are taken become the brand's own."""

import base64
from collections.abc import Sequence

from django.contrib.auth.models import User
from django.db import transaction

from formulon.core.identity.decide import Request, asset_id, decide
from formulon.core.identity.evidence import Fact
from formulon.core.identity.isolated import readers
from formulon.core.system.decisions import Decisions
from formulon.core.system.identity import Identity
from formulon.studio.errors import UploadRefused
from formulon.studio.models import Brand, Picture
from formulon.studio.services import history, sources
from formulon.studio.services.reading import read_mark
from formulon.studio.services.sites import bodies_of

_DONE = {"accept": "taken over", "lock": "locked", "unlock": "unlocked", "reject": "rejected", "reopen": "opened again"}


@transaction.atomic
def act(brand: Brand, author: User | None, revisions: dict[str, int], requests: Sequence[Request]) -> None:
    """Meets the requests as one entry. Raises IdentityError where one cannot be met, Stale where a document has moved on."""
    bodies, _ = bodies_of(brand)
    decisions = Decisions.model_validate(bodies["decisions"])
    known = sources.facts(brand, decisions)
    identity, after = decide(Identity.model_validate(bodies["identity"]), decisions, known, requests)
    by_id = {fact.id: fact for fact in known}
    chosen = [by_id[request.fact] for request in requests if request.action in ("accept", "lock")]
    for fact in chosen:
        if fact.group == "pictures":
            keep_picture(brand, fact)
    new = {"identity": identity.model_dump(), "decisions": after.model_dump()}
    svgs = frozenset(str(fact.data["svg"]) for fact in chosen if fact.group == "marks")
    history.replace(brand, author, _label(requests, by_id), {name: (revisions[name], body) for name, body in new.items()}, svgs)


def _label(requests: Sequence[Request], facts: dict[str, Fact]) -> str:
    done = _DONE[requests[0].action]
    if len(requests) == 1:
        return f"{(requests[0].name or facts[requests[0].fact].label)[:80]} {done}"
    return f"{len(requests)} facts {done}"


def keep_picture(brand: Brand, fact: Fact) -> None:
    """The picture of a fact as one of the brand's own: a drawing rebuilt, a photograph in sizes, all encoded anew."""
    key = asset_id(fact)
    source = brand.sources.select_related("stored").filter(name=fact.data["file"]).first()
    if source is None or Picture.objects.filter(brand=brand, key=key).exists():
        return
    data = bytes(source.stored.data)
    picture = Picture(brand=brand, key=key, name=fact.label[:300], width=fact.data["width"], height=fact.data["height"])
    if source.reading and source.reading["format"] == "SVG":
        made = read_mark(source.name, data)
        picture.svg, picture.width, picture.height = made["svg"], made["width"], made["height"]
    else:
        sizes = readers().picture(source.name, data)
        if "error" in sizes:
            raise UploadRefused(sizes["error"])
        picture.width, picture.height = sizes["width"], sizes["height"]
        picture.colors = dict(sizes["colors"])
        picture.renditions = [
            {"width": width, "sha256": sources.store(brand.workspace_id, base64.b64decode(text)).sha256}
            for width, text in sizes["sizes"]
        ]
    picture.save()


def leave_open(brand: Brand, author: User | None, revision: int, question: str, left: bool) -> None:
    """Leaves a question open on purpose, or asks it again."""
    bodies, _ = bodies_of(brand)
    decisions = Decisions.model_validate(bodies["decisions"])
    kept = [one for one in decisions.left_open if one != question]
    decisions.left_open = [*kept, question] if left else kept
    label = "Question left open" if left else "Question asked again"
    history.replace(brand, author, label, {"decisions": (revision, decisions.model_dump())})
