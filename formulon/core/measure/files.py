"""A static site as files: a folder or a ZIP, within bounds. What lies outside of it, or leads there by a symbolic link, is refused."""

import io
import os
import stat
import zipfile
from collections.abc import Iterator, Mapping
from dataclasses import dataclass, field
from functools import lru_cache
from pathlib import Path, PurePosixPath

from lxml import etree, html

from formulon.core.errors import SiteError

MOST_FILES, MOST_PAGES = 20_000, 500
MOST_BYTES, MOST_EACH = 500_000_000, 60_000_000
_PAGES = (".html", ".htm", ".xhtml")


@dataclass(frozen=True, slots=True, eq=False)
class SiteFiles:
    """The files of a site by their paths, with "/" between folders."""

    root: Path | None
    sizes: Mapping[str, int]
    data: Mapping[str, bytes] = field(default_factory=dict)

    def read(self, path: str) -> bytes:
        """A file. Raises KeyError where there is none."""
        if path not in self.sizes:
            raise KeyError(path)
        return self.data[path] if self.root is None else (self.root / path).read_bytes()

    def marks(self, path: str) -> frozenset[str]:
        """What anchors of a page can name: its ids and the old names of anchors. Kept for a while."""
        return _marks(self, path)

    @property
    def pages(self) -> list[str]:
        """The pages, start pages before others, by path."""
        found = [path for path in self.sizes if path.lower().endswith(_PAGES)]
        return sorted(found, key=lambda path: (path.count("/"), PurePosixPath(path).stem != "index", path))

    def at(self, path: str) -> str:
        """The file at an address: itself, the start page of a folder, or a page without its ending. Empty where there is none."""
        plain = path.strip("/")
        folder = f"{plain}/" if plain else ""
        tried = (plain, *(f"{folder}index{end}" for end in _PAGES), *(f"{plain}{end}" for end in _PAGES))
        return next((one for one in tried if one in self.sizes), "")


@lru_cache(maxsize=256)
def _marks(files: SiteFiles, path: str) -> frozenset[str]:
    try:
        tree = html.document_fromstring(files.read(path) or b"<p>")
    except (etree.ParserError, ValueError):
        return frozenset()
    named = ((one.get("id"), one.get("name") if one.tag == "a" else None) for one in tree.iter(etree.Element))
    return frozenset(str(mark) for both in named for mark in both if mark)


def of_folder(folder: Path) -> SiteFiles:
    """The files of a folder. Raises SiteError where it is none, holds no page, or is too much."""
    if not folder.is_dir():
        raise SiteError(f"{folder}: there is no such folder. Name the folder of a site, or a ZIP of it.")
    root = folder.resolve()
    sizes: dict[str, int] = {}
    for path, size in _walked(root, folder):
        sizes[path] = size
        _bounded(str(folder), sizes)
    return _with_pages(SiteFiles(root, dict(sorted(sizes.items()))), str(folder))


def _walked(root: Path, said: Path) -> Iterator[tuple[str, int]]:
    for at, folders, names in os.walk(root, followlinks=False):
        folders[:] = sorted(one for one in folders if not one.startswith("."))
        for name in (*folders, *sorted(names)):
            path = Path(at) / name
            inside = path.relative_to(root).as_posix()
            about = path.lstat()
            if stat.S_ISLNK(about.st_mode):
                raise SiteError(f"{said}: “{inside}” is a symbolic link. Put the file itself in its place.")
            if stat.S_ISREG(about.st_mode) and not name.startswith("."):
                yield inside, about.st_size


def of_zip(name: str, data: bytes) -> SiteFiles:
    """The files of a ZIP; a folder that all of them are in is left away. Raises SiteError."""
    try:
        with zipfile.ZipFile(io.BytesIO(data)) as archive:
            held: dict[str, bytes] = {}
            sizes: dict[str, int] = {}
            for info in archive.infolist():
                path = PurePosixPath(info.filename.replace("\\", "/"))
                if (
                    info.is_dir()
                    or any(part.startswith(".") and part != ".." for part in path.parts)
                    or "__MACOSX" in path.parts
                ):
                    continue
                if path.is_absolute() or ".." in path.parts:
                    raise SiteError(
                        f"{name}: “{info.filename[:80]}” would lie outside of the archive. Pack the folder of the site anew."
                    )
                if stat.S_ISLNK(info.external_attr >> 16):
                    raise SiteError(f"{name}: “{info.filename[:80]}” is a symbolic link. Put the file itself in its place.")
                sizes[path.as_posix()] = info.file_size
                _bounded(name, sizes)
                with archive.open(info) as file:  # what an entry says of its size may be false
                    held[path.as_posix()] = file.read(MOST_EACH + 1)
                sizes[path.as_posix()] = len(held[path.as_posix()])
                _bounded(name, sizes)
    except (zipfile.BadZipFile, NotImplementedError, RuntimeError, EOFError, OSError) as error:
        raise SiteError(f"{name}: the archive is broken, locked or of a kind that cannot be read. Pack it anew.") from error
    top = {path.split("/")[0] for path in held}
    if len(top) == 1 and all("/" in path for path in held):
        held = {path.partition("/")[2]: one for path, one in held.items()}
    return _with_pages(SiteFiles(None, {path: len(one) for path, one in sorted(held.items())}, held), name)


def _bounded(name: str, sizes: Mapping[str, int]) -> None:
    if len(sizes) > MOST_FILES:
        raise SiteError(f"{name}: there are more than {MOST_FILES:,} files. Take a part of the site.")
    if max(sizes.values()) > MOST_EACH or sum(sizes.values()) > MOST_BYTES:
        raise SiteError(
            f"{name}: files of more than {MOST_EACH // 1_000_000} MB, or of {MOST_BYTES // 1_000_000} MB together, are not looked at. "
            "Take them out."
        )


def _with_pages(files: SiteFiles, name: str) -> SiteFiles:
    if not files.pages:
        raise SiteError(f"{name}: there is no page in it (.html). Name the folder that has the pages.")
    return files
