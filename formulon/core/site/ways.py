"""How a brand is reached, as links: by telephone and mail, and where else it is on the web. The strip over the header, the footer and what
is planned all take it from here."""

from collections.abc import Sequence
from typing import NamedTuple
from urllib.parse import urlsplit

from formulon.core.site.mail import mail_to
from formulon.core.site.telephone import dialled
from formulon.core.system.documents.identity import Identity

MOST_NETWORKS = 6  # that stand in a strip or a footer


class Way(NamedTuple):
    """A way to reach the brand: what it is called and where it leads; empty where it can be read alone."""

    name: str
    to: str


def direct(identity: Identity) -> list[Way]:
    """Mail and telephone, as far as they are known."""
    contact = identity.contact
    made = [Way(contact.email, mail_to(contact.email)), Way(contact.phone, dialled(contact.phone, identity.language))]
    return [one for one in made if one.name]


def networks(addresses: Sequence[str]) -> list[Way]:
    """Where else the brand is on the web: by host, and by the whole address where two have one host."""
    hosts = [_host(one) for one in addresses]
    return [
        Way(host if hosts.count(host) == 1 else f"{host}{urlsplit(one).path.rstrip('/')}", one)
        for host, one in zip(hosts, addresses, strict=True)
    ][:MOST_NETWORKS]


def handle(address: str) -> str:
    """What the brand is called there: the last part of the path, else the host."""
    path = urlsplit(address).path.strip("/")
    return path.rpartition("/")[2] or _host(address)


def _host(address: str) -> str:
    return (urlsplit(address).hostname or address).removeprefix("www.")
