"""Addresses that say which content is meant: "site.css?v=" and the beginning of its hash, so that browsers and hosts may keep
a file for as long as they like and still show the newest. Pages keep their plain addresses.
"""

import hashlib
import posixpath
import re
from collections.abc import Mapping

LENGTH = 12  # hexadecimal digits of SHA-256
_IN_CSS = re.compile(r"url\(([^)\"':?#]+)\)")
_IN_HTML = re.compile(r'(href|src|srcset)="([^"#:?]+)"')


def versioned(files: Mapping[str, bytes]) -> dict[str, bytes]:
    """The files with what style sheets and pages refer to named by its content. What a style sheet refers to is part of its
    own content."""
    made = dict(files)
    known = {path: _version(data) for path, data in files.items() if not path.endswith((".html", ".css"))}
    for path in [path for path in made if path.endswith(".css")]:
        made[path] = _in_css(path, made[path].decode(), known).encode()
    known |= {path: _version(data) for path, data in made.items() if path.endswith(".css")}
    for path in [path for path in made if path.endswith(".html")]:
        made[path] = _in_html(path, made[path].decode(), known).encode()
    return made


def _in_css(path: str, text: str, known: Mapping[str, str]) -> str:
    return _IN_CSS.sub(lambda found: f"url({_named(found[1], known, path)})", text)


def _in_html(path: str, text: str, known: Mapping[str, str]) -> str:
    return _IN_HTML.sub(lambda found: f'{found[1]}="{_listed(found[2], known, path)}"', text)


def _version(data: bytes) -> str:
    return hashlib.sha256(data).hexdigest()[:LENGTH]


def _named(path: str, known: Mapping[str, str], at: str) -> str:
    """An address as it stands in a file, which may lie in a folder."""
    whole = posixpath.normpath(posixpath.join(posixpath.dirname(at), path))
    return f"{path}?v={known[whole]}" if whole in known else path


def _listed(value: str, known: Mapping[str, str], at: str) -> str:
    """One address, or several with their widths as `srcset` has them."""
    parts = (part.strip().partition(" ") for part in value.split(","))
    return (
        ", ".join(_named(path, known, at) + gap + width for path, gap, width in parts)
        if " " in value
        else _named(value, known, at)
    )
