"""Preflight of a brand: findings of all pages, and the fixes of those that somebody looks at. What pages had is kept by content."""

from collections.abc import Callable

from formulon.core.checks.runner import Fix, PageChecks, Preflight
from formulon.studio.models import Brand
from formulon.studio.services import sites
from formulon.studio.services.kept import Kept

KEPT: Kept[str, PageChecks] = Kept(600)  # pages, over all brands of a process


def of(brand: Brand, gone: Callable[[], bool] = lambda: False) -> Preflight:
    """The checks of a brand as it is now; `gone` tells whether who asked has left."""
    return Preflight(sites.load(brand), open_blob=sites.blob_of(brand), kept=KEPT, gone=gone)


def fixes(brand: Brand, page: str, key: str, gone: Callable[[], bool]) -> list[Fix] | None:
    """The fixes of a finding; None where there is no such finding any more."""
    work = of(brand, gone)
    finding = work.finding(page, key)
    return work.fixes(finding) if finding else None
