"""The pages of a brand measured in a browser, and laid over what was predicted of them."""

from django.conf import settings

from formulon.core.checks.findings import Cause, PageChecks, Report
from formulon.core.measure.facts import Scheme
from formulon.core.measure.files import SiteFiles
from formulon.core.measure.glanced import HIGH
from formulon.core.measure.looking import Views
from formulon.core.measure.own import OwnSite, own_site
from formulon.core.measure.own_checks import OwnChecks, laid_over
from formulon.core.measure.packed import unpacked
from formulon.core.measure.seen import GlanceSeen
from formulon.core.site.languages import published
from formulon.core.site.site import Site
from formulon.studio.models import Brand
from formulon.studio.services import before, measurements, sites
from formulon.studio.services.kept import Kept
from formulon.studio.services.measurements import Progress

_sites: Kept[int, tuple[Site, OwnSite]] = Kept(4)  # by the object that a site is
_files: Kept[int, tuple[Site, OwnSite]] = Kept(1)  # the same with photographs, in a worker
_checks: Kept[str, PageChecks] = Kept(600)  # pages, over all brands of a process


def _own(site: Site) -> OwnSite:
    """The pages of a site with their keys; kept, since every look at the progress asks for them."""
    known = _sites.get(id(site))
    if known is None or known[0] is not site:
        known = _sites[id(site)] = site, own_site(site)
    return known[1]


def named(brand: Brand) -> dict[str, str]:
    """The pages of a brand as it is now by their keys: one for each language and scheme."""
    return {one.key: one.page for one in _own(sites.load(brand)).pages}


def progress(brand: Brand) -> Progress:
    """How far measuring a brand as it is now has come."""
    return measurements.progress_of(brand, named(brand))


def awaited(brand: Brand) -> bool:
    """Whether a release waits until a browser has seen all pages."""
    return bool(settings.MEASURED_RELEASES) and sites.load(brand).checks.measured


def ask(brand: Brand) -> Progress:
    """Has everything measured that is not yet."""
    measurements.ask_for(brand, named(brand), before.keys(brand))
    return progress(brand)


def cancel(brand: Brand) -> Progress:
    """Lets go of what waits."""
    measurements.drop(brand, named(brand))
    return progress(brand)


def found(brand: Brand, key: str) -> tuple[SiteFiles, str, Views] | None:
    """The page with a key, to be looked at; None where the site has none any more."""
    site = sites.load(brand)
    known = _files.get(id(site))
    if known is None or known[0] is not site:
        known = _files[id(site)] = site, own_site(site, sites.blob_of(brand))
    page = next((one for one in known[1].pages if one.key == key), None)
    return (known[1].files, page.path, page.views) if page else None


def over(brand: Brand, site: Site, predicted: Report, folder: str = "") -> Report:
    """What was predicted of a site in the language of a folder, with what was measured of it laid over it."""
    work = _seen(brand, site, folder)
    return laid_over(predicted, work.report()) if work.pages else predicted


def _seen(brand: Brand, site: Site, folder: str) -> OwnChecks:
    """The checks of all pages in the language of a folder that a browser has seen as they are now."""
    own = _own(site)
    pages = [one for one in own.pages if one.folder == folder]
    work = OwnChecks(published(site)[folder], own, _checks)
    there = measurements.there(brand, {one.key for one in pages})
    seen = measurements.seen_under(brand, {one.key for one in pages if one.key in there and not work.knows(one)})
    for one in pages:
        if one.key in there:
            data = seen.get(one.key)
            work.add(one, unpacked(data, one.page) if data else None)
    return work


def cause(brand: Brand, site: Site, page_id: str, key: str) -> Cause | None:
    """What a finding that a browser saw is about, of a page or of all pages together; None where there is none."""
    work = _seen(brand, site, "")
    those = (one for one in work.own.pages if (one.folder, one.page) == ("", page_id))
    return next((made for one in those if (made := work.cause(one, key))), None) or work.whole_cause(key)


def first_screens(brand: Brand, page_id: str, scheme: Scheme) -> dict[int, list[GlanceSeen]] | None:
    """What draws the eye first on a page in the site's own language, by width; None where no browser has seen it as it is now."""
    own = _own(sites.load(brand))
    page = next((one for one in own.pages if (one.folder, one.page, one.scheme) == ("", page_id, scheme)), None)
    data = measurements.seen_under(brand, [page.key]).get(page.key) if page else None
    if data is None:
        return None
    return {width: seen.glances for width, seen in unpacked(data).seen.items() if width in HIGH}
