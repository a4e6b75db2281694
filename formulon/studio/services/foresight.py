"""Pages as a change will leave them, drawn before it is stored. Nothing is stored."""

from collections.abc import Callable

from formulon.core.site.render import Preview, render_page
from formulon.core.system.system import System
from formulon.studio.models import Brand
from formulon.studio.services import history, sites
from formulon.studio.services.keeping import opening


def foreseen(
    brand: Brand, page_id: str, edits: list[history.Edit], preview: Callable[[System], Preview]
) -> tuple[str, str] | None:
    """The HTML of a page with edits, and what the key of its preview begins with once they are stored; None where there is no such
    page then. Of what a write refuses only what the page itself shows is refused."""
    with opening(brand):
        site, digests = sites.told_apart(brand, history.foreseen(brand, edits))
        page = site.page(page_id)
        if page is None:
            return None
        system = site.system()
        return render_page(site, system, page, preview(system)), sites.content_key(site, digests, page)
