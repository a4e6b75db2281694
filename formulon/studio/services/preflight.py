"""Preflight of a brand: findings of all pages, and the fixes of those that somebody looks at. What pages had is kept by content."""

from collections.abc import Callable

from formulon.core.checks.findings import Fix, PageChecks, Report
from formulon.core.checks.preflight import Preflight
from formulon.core.checks.profiles import profile_of
from formulon.core.checks.rule import Rule
from formulon.core.site.site import Site
from formulon.studio.models import Brand
from formulon.studio.services import measuring, sites
from formulon.studio.services.kept import Kept

KEPT: Kept[str, PageChecks] = Kept(600)  # pages, over all brands of a process


def of(brand: Brand, gone: Callable[[], bool] = lambda: False) -> Preflight:
    """The checks of a brand as it is now; `gone` tells whether who asked has left."""
    return Preflight(sites.load(brand), open_blob=sites.blob_of(brand), kept=KEPT, gone=gone)


def report(brand: Brand, work: Preflight) -> Report:
    """What is found on all pages: predicted, and as far as they are measured."""
    return measuring.over(brand, work.site, work.report())


def rules_of(site: Site) -> list[Rule]:
    """The rules that a site is checked by, as its people weigh them."""
    return list(profile_of(site.choices, site.checks).rules())


def fixes(brand: Brand, page: str, key: str, gone: Callable[[], bool]) -> list[Fix] | None:
    """The fixes of a finding; None where there is no such finding any more."""
    work = of(brand, gone)
    finding = work.finding(page, key)
    return work.fixes(finding) if finding else None
