"""What is written must open again: it is planned, resolved, predicted and rendered before it is accepted."""

import logging
from collections.abc import Iterator
from contextlib import contextmanager
from typing import Any

from pydantic import ValidationError

from formulon.core.errors import ChangeError, FormulonError
from formulon.core.site import fonts
from formulon.core.site.changes import explain
from formulon.core.site.documents import IDENTITY, page_document, page_of
from formulon.core.site.planning.planner import plan
from formulon.core.site.render import Preview, render_page
from formulon.studio.errors import Unopenable
from formulon.studio.models import Brand
from formulon.studio.services.sites import blob_of, site_in
from formulon.studio.services.workbench import summary_of

log = logging.getLogger(__name__)
Body = dict[str, Any]


def refuse_unopenable(brand: Brand, before: dict[str, Body], after: dict[str, Body]) -> None:
    """Raises Unopenable where the site that documents would make cannot be planned, resolved, predicted or rendered."""
    with opening(brand):
        _open(brand, before, after)


@contextmanager
def opening(brand: Brand) -> Iterator[None]:
    """Raises Unopenable for whatever goes wrong within that is no fault of what was asked for."""
    try:
        yield
    except ValidationError as error:
        raise ChangeError(explain(error)) from error
    except FormulonError:
        raise
    except Exception as error:
        log.exception("A change of %s was refused, since the brand would not open", brand.pk)
        raise Unopenable(
            f"This change cannot be kept: the pages could not be drawn with it ({type(error).__name__}). Nothing was changed."
        ) from error


def _open(brand: Brand, before: dict[str, Body], after: dict[str, Body]) -> None:
    identity = after[IDENTITY]
    site = site_in(brand, after)
    summary_of(site, blob_of(brand))
    changed = {name for name in after if before.get(name) != after[name]}
    system = site.system()
    if IDENTITY in changed:
        plan(site.identity, site.choices, site.assets, library=site.library, composed=False)
        if any(before.get(IDENTITY, {}).get(part) != identity.get(part) for part in ("fonts", "typefaces")):
            fonts.files(site)
    shared = any(page_of(name) is None for name in changed)  # what the start page is drawn anew with, too
    pages = [page for index, page in enumerate(site.drawn) if (shared and index == 0) or page_document(page.id) in changed]
    for page in pages:
        render_page(site, system, page, Preview("/", "/", system.schemes[0], "/"))
