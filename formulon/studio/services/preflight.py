"""Preflight of a brand: findings of all pages, and the fixes of those that somebody looks at. What pages had is kept by content."""

from collections import OrderedDict
from collections.abc import Callable, Iterator, MutableMapping
from threading import Lock

from formulon.core.checks.runner import Fix, PageChecks, Preflight
from formulon.studio.models import Brand
from formulon.studio.services import sites

MOST_KEPT = 600  # pages, over all brands of a process


class Kept(MutableMapping[str, PageChecks]):
    """The checks of pages by their content, those asked for least lately first to go."""

    def __init__(self, most: int) -> None:
        self.most, self.lock = most, Lock()
        self.pages: OrderedDict[str, PageChecks] = OrderedDict()

    def __getitem__(self, key: str) -> PageChecks:
        with self.lock:
            self.pages.move_to_end(key)
            return self.pages[key]

    def __setitem__(self, key: str, value: PageChecks) -> None:
        with self.lock:
            self.pages[key] = value
            while len(self.pages) > self.most:
                self.pages.popitem(last=False)

    def __delitem__(self, key: str) -> None:
        with self.lock:
            del self.pages[key]

    def __iter__(self) -> Iterator[str]:
        return iter(list(self.pages))

    def __len__(self) -> int:
        return len(self.pages)


KEPT = Kept(MOST_KEPT)


def of(brand: Brand, gone: Callable[[], bool] = lambda: False) -> Preflight:
    """The checks of a brand as it is now; `gone` tells whether who asked has left."""
    return Preflight(sites.load(brand), open_blob=sites.blob_of(brand), kept=KEPT, gone=gone)


def fixes(brand: Brand, page: str, key: str, gone: Callable[[], bool]) -> list[Fix] | None:
    """The fixes of a finding; None where there is no such finding any more."""
    work = of(brand, gone)
    finding = work.finding(page, key)
    return work.fixes(finding) if finding else None
