"""Addresses that hold a drawing themselves."""

from functools import lru_cache
from urllib.parse import quote


@lru_cache(maxsize=256)
def data_address(svg: str) -> str:
    """A drawing as a `data:` address (RFC 2397), which no quotation mark and no angle bracket can break out of."""
    return "data:image/svg+xml," + quote(svg, safe="~()*!.'/:=; ,")
