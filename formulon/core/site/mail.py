"""Mail addresses as links."""

from urllib.parse import quote


def mail_to(address: str) -> str:
    """An address as a link: what a URI cannot hold is written in per cent (RFC 6068, 2)."""
    return f"mailto:{quote(address, safe='@!$*+-._~')}"
