"""A section copied to another site: its words, its layout and the pictures that it shows. What it led to on its own site leads nowhere
there until that is chosen, which preflight stops."""

import json
import re
from typing import Any

from django.contrib.auth.models import User
from django.db import transaction

from formulon.core.errors import ChangeError
from formulon.core.site.documents import located
from formulon.core.site.structure import arranged
from formulon.core.site.structure.operations import Add
from formulon.core.system.documents.identity import free_id
from formulon.studio.models import Brand, Picture
from formulon.studio.services import history, sites

_ASSET = re.compile(r"asset:([a-z0-9-]+)")


@transaction.atomic
def copy_to(brand: Brand, page: str, section: str, other: Brand, author: User | None) -> str:
    """Puts a section at the end of another brand's start page, as one entry of that brand's history. Gives the page's name. Raises
    ChangeError where the section is not there any more."""
    found = located(sites.load(brand), page, section)
    if found is None or not found[1] or found[1][0] != "sections":
        raise ChangeError("This section is not on its page any more.")
    _, _, one = found
    text = json.dumps(one.content)
    keys = {key: _taken_over(brand, other, key) for key in set(_ASSET.findall(text))}
    content = json.loads(_ASSET.sub(lambda asset: f"asset:{keys[asset[1]]}", text))
    there = sites.load(other)
    add = Add(page=there.pages[0].id, kind=one.kind, layout=one.layout, content=_unled(content))
    made = arranged(there, [add])
    _, revisions = sites.bodies_of(other)
    edits = [history.Edit(change.document, revisions.get(change.document, 0), change.patch) for change in made.changes]
    history.write(other, author, f"{one.catalogue.label} copied from {brand}", edits)
    return there.pages[0].name


def _taken_over(brand: Brand, other: Brand, key: str) -> str:
    """The key of a picture at the other brand, which gets it where it has no such picture. One that is gone keeps its key, and is told as
    missing there as here."""
    own = brand.pictures.filter(key=key).first()
    if own is None:
        return key
    for picture in other.pictures.all():
        if (picture.svg, picture.renditions) == (own.svg, own.renditions):
            return str(picture.key)
    new = free_id(str(own.key), other.pictures.values_list("key", flat=True), 60)
    Picture.objects.create(
        brand=other,
        key=new,
        name=own.name,
        svg=own.svg,
        renditions=own.renditions,
        colors=own.colors,
        width=own.width,
        height=own.height,
    )
    return new


def _unled(value: Any) -> Any:
    """A content whose buttons and links to pages and files of its own site lead nowhere."""
    if isinstance(value, dict):
        return {
            key: "" if key == "to" and str(one).startswith(("page:", "file:")) else _unled(one) for key, one in value.items()
        }
    if isinstance(value, list):
        return [_unled(one) for one in value]
    return re.sub(r"\[([^\[\]\n]+)\]\((?:page|file):[^)\s]+\)", r"\1", value) if isinstance(value, str) else value
