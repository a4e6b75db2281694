"""Where a brand is found elsewhere: addresses of its own pages on networks, by their form and by what stands around them. No list of
networks is kept; a handle is "@name" in a path, or "@name@host" (RFC 7565 writes the latter acct:name@host)."""

import re
from collections.abc import Iterable
from urllib.parse import urlsplit

from formulon.core.identity.statements import phrases

_URL = re.compile(r"https?://[\w.-]+\.\w{2,}/@[\w.-]{1,60}\b/?")
_HANDLE = re.compile(r"(?<![\w@./])@([\w.-]{1,60})@([\w-]+(?:\.[\w-]+)+)\b")
_MARKED = re.compile(r"(?i)social|follow")


def handles(text: str) -> list[str]:
    """The addresses that a text names."""
    made = [match[0].rstrip("/") for match in _URL.finditer(text)]
    made += [f"https://{match[2]}/@{match[1]}" for match in _HANDLE.finditer(text)]
    return list(dict.fromkeys(made))


def is_own(address: str, around: Iterable[str], classes: str) -> bool:
    """Whether a link leads to a page of the brand's own on a network: by its handle; or by one step of a path, where what stands
    above it, or the class of what it is in, speaks of following."""
    try:
        parts = urlsplit(address)
    except ValueError:
        return False
    steps = [one for one in parts.path.split("/") if one]
    if parts.scheme not in ("http", "https") or len(steps) != 1 or parts.query or re.search(r"\.\w{2,4}$", steps[0]):
        return False
    if steps[0].startswith("@"):
        return True
    words = "|".join(one for table in phrases("networks") for one in table["follow"])
    return bool(_MARKED.search(classes)) or any(re.search(rf"\b(?:{words})\b", one, re.IGNORECASE) for one in around)
