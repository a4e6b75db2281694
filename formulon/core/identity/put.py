"""Putting facts in words into an identity, and taking them out: contact, hours, offers, figures, addresses elsewhere."""

import re
from collections.abc import Callable
from typing import Any

from formulon.core.errors import IdentityError
from formulon.core.identity.sightings import MANY
from formulon.core.identity.statements.told import is_seasonal
from formulon.core.system.documents.identity import Identity, Offer
from formulon.core.type.alike import defaults, for_language
from formulon.core.type.library import SHIPPED

CONTACT = ("address", "phone", "email", "hours")


def put_word(identity: Identity, field: str, value: str, only: str | None = None) -> None:
    """Sets a fact in words. With `only`, it is taken back where it still holds that."""
    if field in MANY:
        _MANY[field](identity, value or only or "", bool(value))
        return
    if field == "language":
        if value:
            codes = {"en": "en-GB", "english": "en-GB", "welsh": "cy", "french": "fr", "german": "de"}
            code = codes.get(value.lower(), value)
            if re.fullmatch(r"[a-zA-Z]{2,3}(-[a-zA-Z0-9]{2,8})*", code):
                follow_language(identity, code)
        return
    if field == "hours":
        _put_hours(identity, value, only)
        return
    holder: Any = identity.contact if field in CONTACT else identity
    if only is not None and getattr(holder, field) != only:
        return
    if field == "name" and not value:
        return
    _bounded(field, value)
    faces = identity.typefaces
    if field == "name" and (faces.heading, faces.body) == defaults(identity.language, identity.name):
        faces.heading, faces.body = defaults(identity.language, value)
    setattr(holder, field, value)


def _put_social(identity: Identity, value: str, stays: bool) -> None:
    identity.social = [*(one for one in identity.social if one != value), *([value] if stays else [])]


def _put_proof(identity: Identity, value: str, stays: bool) -> None:
    identity.proof = [*(one for one in identity.proof if one != value), *([value] if stays else [])]


def _put_offer(identity: Identity, value: str, stays: bool) -> None:
    """Adds an offer, "Name: what is said of it", or takes it out; one that has been written over since stays as it is."""
    offer = _offer(value)
    known = next((one for one in identity.offers if one.name.casefold() == offer.name.casefold()), None)
    if not stays:
        identity.offers = [one for one in identity.offers if one != offer]
    elif known is None:
        identity.offers.append(offer)
    elif not known.text:
        known.text = offer.text


def _offer(value: str) -> Offer:
    name, _, text = value.partition(": ")
    return Offer(name=name[:80], text=text[:600])


def _put_hours(identity: Identity, value: str, only: str | None) -> None:
    """Sets the hours before those of seasons, or takes them out where they are still those."""
    held = identity.contact.hours
    if only is not None and held != only and not held.startswith(f"{only}; "):
        return
    seasons = [one for one in held.removeprefix(only or "").split("; ") if one and is_seasonal(one) and one not in value]
    identity.contact.hours = _bounded("hours", "; ".join(filter(None, (value, *seasons))))


def _put_season(identity: Identity, value: str, stays: bool) -> None:
    """Hours of a season stand behind the others."""
    parts = [one for one in identity.contact.hours.split("; ") if one and one != value]
    identity.contact.hours = _bounded("hours", "; ".join([*parts, value] if stays else parts))


def _bounded(field: str, value: str) -> str:
    """The value. Raises IdentityError where it is longer than its field."""
    if len(value) > _LIMITS[field]:
        raise IdentityError(f"“{value[:40]}…” has {len(value)} characters; {_LIMITS[field]} are the most. Shorten it.")
    return value


_MANY: dict[str, Callable[[Identity, str, bool], None]] = {
    "social": _put_social, "proof": _put_proof, "offer": _put_offer, "season": _put_season,
}  # fmt: skip
_LIMITS = {
    "name": 80, "strapline": 160, "does": 600, "audience": 300, "place": 120, "address": 300, "phone": 40, "email": 120, "hours": 200,
}  # fmt: skip


def follow_language(identity: Identity, language: str) -> None:
    """Sets the language. Families of the library that lack its letters make way for such as have them."""
    identity.language = language
    for role in ("heading", "body", "third"):
        own = getattr(identity.typefaces, role)
        if own in SHIPPED:
            setattr(identity.typefaces, role, for_language(own, language))


def holds_word(identity: Identity, field: str, value: str) -> bool:
    """Whether one of several facts of a field stands in an identity."""
    held: dict[str, list[str]] = {
        "social": identity.social, "proof": identity.proof, "season": identity.contact.hours.split("; "),
        "offer": [one.name for one in identity.offers],
    }  # fmt: skip
    return (_offer(value).name if field == "offer" else value) in held[field]
