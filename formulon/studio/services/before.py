"""The site that a brand has had, checked by the same means: the “before”. Its pages are among the brand's files."""

import hashlib
import re
from collections.abc import Iterator, Mapping
from dataclasses import replace
from functools import lru_cache
from uuid import UUID

from formulon.core.checks.findings import PageChecks, Report
from formulon.core.checks.runner import Pagewise
from formulon.core.measure.edges import edges
from formulon.core.measure.files import SiteFiles
from formulon.core.measure.foreign import allowed_of, profile
from formulon.core.measure.looking import WIDTHS, Views
from formulon.core.measure.own import LOOKER
from formulon.core.measure.packed import unpacked
from formulon.studio.models import Brand, SourceFile, StoredFile
from formulon.studio.services import measurements, sites
from formulon.studio.services.kept import Kept
from formulon.studio.services.measurements import Progress

_PAGE = re.compile(r"\.x?html?$", re.IGNORECASE)
_DRAWN = re.compile(r"\.(css|png|jpe?g|gif|webp|avif|svg|ico|bmp|woff2?|ttf|otf)$", re.IGNORECASE)
_checks: Kept[str, PageChecks] = Kept(300)


class _Sources(Mapping[str, bytes]):
    """The bytes of a brand's files by name, read when they are asked for."""

    def __init__(self, brand_id: UUID, stored: Mapping[str, int]) -> None:
        self.brand_id, self.stored = brand_id, stored

    def __getitem__(self, name: str) -> bytes:
        return bytes(StoredFile.objects.values_list("data", flat=True).get(pk=self.stored[name]))

    def __iter__(self) -> Iterator[str]:
        return iter(self.stored)

    def __len__(self) -> int:
        return len(self.stored)


def _files(brand: Brand) -> SiteFiles:
    """The files of the old site. Those of one state are one object, so that a browser asks for each of them once."""
    rows = SourceFile.objects.filter(brand=brand).order_by("name").values_list("name", "stored_id", "size")
    return _of_state(
        brand.pk, tuple((name, stored, size) for name, stored, size in rows if _PAGE.search(name) or _DRAWN.search(name))
    )


@lru_cache(maxsize=8)
def _of_state(brand_id: UUID, rows: tuple[tuple[str, int, int], ...]) -> SiteFiles:
    return SiteFiles(
        None, {name: size for name, _, size in rows}, _Sources(brand_id, {name: stored for name, stored, _ in rows})
    )


def _named(brand: Brand) -> dict[str, str]:
    """Its pages by their keys: all files that a page may ask for are a part of it."""
    rows = list(brand.sources.order_by("name").values_list("name", "stored__sha256"))
    drawn = "\n".join(f"{name} {digest}" for name, digest in rows if _DRAWN.search(name))
    pages = {name: digest for name, digest in rows if _PAGE.search(name)}
    made = {}
    for name in _files(brand).pages:
        of = "\0".join(("before", LOOKER, name, pages[name], drawn))
        made[hashlib.blake2b(of.encode(), digest_size=16).hexdigest()] = name
    return made


def keys(brand: Brand) -> list[str]:
    return list(_named(brand))


def progress(brand: Brand) -> Progress:
    """How far measuring it has come."""
    return measurements.progress_of(brand, _named(brand))


def ask(brand: Brand, beside: list[str]) -> Progress:
    """Has its pages measured; those `beside` go on waiting."""
    measurements.ask_for(brand, keys(brand), beside)
    return progress(brand)


def cancel(brand: Brand) -> Progress:
    measurements.drop(brand, keys(brand))
    return progress(brand)


@lru_cache(maxsize=1)
def _loaded(files: SiteFiles) -> SiteFiles:
    """The same with all bytes at hand: what hands them to a browser runs in threads that must not ask the database."""
    return SiteFiles(None, files.sizes, {name: files.read(name) for name in files.sizes})


def found(brand: Brand, key: str) -> tuple[SiteFiles, str, Views] | None:
    """The page with a key, to be looked at; None where there is none any more."""
    path = _named(brand).get(key)
    if path is None:
        return None
    files = _loaded(_files(brand))
    return files, path, Views(WIDTHS, edges(files, path))


def report(brand: Brand) -> Report:
    """What is found on the pages that were measured, by the rules of any site, held to the brand's own colours and typefaces."""
    site, files, named = sites.load(brand), _files(brand), _named(brand)
    system = site.system()
    work, frames = Pagewise(system, profile()), set[str]()
    allowed = allowed_of(site.identity, system)
    there = measurements.there(brand, named)
    state = hashlib.blake2b(repr((allowed, sorted(named))).encode(), digest_size=8).hexdigest()
    seen = measurements.seen_under(brand, {key for key in there if f"{state} {key}" not in _checks})
    for key, path in named.items():
        if key not in there:
            continue
        if f"{state} {key}" not in _checks:
            page = unpacked(seen[key], path)
            first = path == next(iter(named.values()))
            made = work.checks_of([*page.facts(files, first, site.identity.name), *([allowed] if first else [])])
            _checks[f"{state} {key}"] = made
        work.add(_checks[f"{state} {key}"])
        frames.update(part.place.section for part in _checks[f"{state} {key}"].kept.facts if getattr(part, "frame", False))
    report = work.report(sorted(frames))
    return Report(report.counts, [replace(one, basis="measured") for one in report.findings])
