"""Mail addresses as links."""

from urllib.parse import quote

_PLAIN = "@!$*+-._~"


def mail_to(address: str) -> str:
    """An address as a link: of ASCII, what a URI cannot hold is written in per cent (RFC 6068, 2); other letters stand as they
    are, as IRIs have it (RFC 3987)."""
    return "mailto:" + "".join(char if not char.isascii() else quote(char, safe=_PLAIN) for char in address)
