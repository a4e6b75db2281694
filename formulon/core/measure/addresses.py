"""Addresses as pages write them, which need not be any."""

from urllib.parse import SplitResult, urljoin, urlsplit

NOWHERE = SplitResult("", "", "", "", "")


def parted(address: str, base: str = "") -> SplitResult:
    """The parts of an address, seen from another; nothing of one that is none (RFC 3986 has no “http://[x”)."""
    try:
        return urlsplit(urljoin(base, address) if base else address)
    except ValueError:
        return NOWHERE
