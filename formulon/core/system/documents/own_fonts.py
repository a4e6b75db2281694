"""A brand's own families out of its identity, for all that sets type."""

import hashlib
from collections.abc import Callable, Iterable, Iterator
from functools import partial

from formulon.core.system.documents.identity import FontFile, OwnFont
from formulon.core.type.library import OWN, Face, Family


def font_id(files: Iterable[FontFile]) -> str:
    """The id of a family: made of its files, so that the same id means the same letters everywhere."""
    joined = "".join(sorted(file.sha256 for file in files))
    return OWN + hashlib.sha256(joined.encode()).hexdigest()[:12]


def families_of(fonts: Iterable[OwnFont], open_file: Callable[[str], bytes]) -> Iterator[Family]:
    """The families of a brand's own; `open_file` gives the bytes of a file by its SHA-256."""
    for font in fonts:
        upright, slanted = (
            tuple(
                Face(file.sha256[:16], (file.lightest, file.heaviest), "", partial(open_file, file.sha256))
                for file in sorted(font.files, key=lambda file: (file.lightest, file.heaviest))
                if file.italic == italic
            )
            for italic in (False, True)
        )
        yield Family(
            font.id, font.name, font.category, upright, font.measured, tuple(font.languages),
            tuple(font.axes), slanted, font.licence, reserved_name=font.reserved_name, own=True,
        )  # fmt: skip
