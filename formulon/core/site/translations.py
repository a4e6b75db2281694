"""What a site says in further languages, as a document: by each text what it is in the other language, and where it stood when that was
written. A text that stands in several places is translated once, unless it means something else at one of them; one that is moved,
duplicated or parked stays translated (placed.py)."""

import hashlib
from typing import Annotated

from pydantic import Field, StringConstraints

from formulon.core.system.documents.identity import Model

MOST_LANGUAGES, MOST_TEXTS, MOST_PLACES = 8, 6000, 60
Code = Annotated[str, StringConstraints(pattern=r"^[a-z]{2,3}(-[A-Za-z0-9]{2,8})*$", max_length=20)]
_Long = Annotated[str, StringConstraints(max_length=20_000)]
_Place = Annotated[str, StringConstraints(max_length=300)]


class Translation(Model):
    """A text, what it is in the other language, the places where it stood when that was written, and what it is at places where it means
    something else."""

    source: _Long
    text: _Long
    places: list[_Place] = Field(default_factory=list, max_length=MOST_PLACES)
    at: dict[_Place, _Long] = Field(default={}, max_length=MOST_PLACES)


class SiteLanguage(Model):
    """A further language: whether it is published, and its texts by `key_of` what they are translated from."""

    published: bool = False
    texts: dict[Annotated[str, StringConstraints(pattern=r"^[0-9a-f]{16}$")], Translation] = Field(
        default_factory=dict, max_length=MOST_TEXTS
    )


class Languages(Model):
    """The further languages of a site by their codes, in the order in which they were added."""

    further: dict[Code, SiteLanguage] = Field(default_factory=dict, max_length=MOST_LANGUAGES)


def key_of(source: str) -> str:
    """The key of a text: a hash of it, which a pointer can name."""
    return hashlib.blake2b(source.encode(), digest_size=8).hexdigest()
