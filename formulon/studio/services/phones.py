"""Previews on phones: allowed for an hour, closed at once, and where they are."""

import secrets
from dataclasses import dataclass
from datetime import timedelta

import segno
from django.contrib.auth.models import User
from django.utils import timezone

from formulon.config import phones
from formulon.studio.errors import StudioError
from formulon.studio.models import Brand, PhonePreview

LASTS = timedelta(hours=1)


@dataclass(frozen=True, slots=True)
class Opened:
    """A preview that is open: its address, the same as a QR code (ISO/IEC 18004) in a `data:` address, and the seconds that it lasts."""

    address: str
    code: str
    seconds: int


def allow(brand: Brand, author: User | None) -> Opened:
    """Opens the preview of a brand in the local network for an hour, under a new token. Raises StudioError where there is no network, or
    nothing that could open a socket."""
    if not phones.address():
        raise StudioError("This machine is in no local network, so no phone can reach it. Connect it, then try again.")
    made, _ = PhonePreview.objects.update_or_create(
        brand=brand, defaults={"token": secrets.token_urlsafe(16), "until": timezone.now() + LASTS, "author": author}
    )
    _say()
    if not phones.open_port():
        made.delete()
        _say()
        raise StudioError(
            "The preview cannot be opened: no port of this machine is free, or Formulon was not started by ./start."
        )
    found = opened(brand)
    assert found is not None
    return found


def close(brand: Brand) -> None:
    """Closes it at once."""
    PhonePreview.objects.filter(brand=brand).delete()
    _say()


def opened(brand: Brand) -> Opened | None:
    """The preview of a brand that is open; None where none is."""
    preview = PhonePreview.objects.filter(brand=brand, until__gt=timezone.now()).first()
    port, host = phones.open_port(0.0), phones.address()
    if preview is None or not port or not host:
        return None
    address = f"http://{host}:{port}/{preview.token}/"
    code = segno.make(address, error="m", micro=False).svg_data_uri(scale=6, border=4, light="#fff")
    return Opened(address, code, max(0, round((preview.until - timezone.now()).total_seconds())))


def _say() -> None:
    """Says until when any preview is wanted."""
    last = PhonePreview.objects.filter(until__gt=timezone.now()).order_by("-until").first()
    phones.want(last.until.timestamp() if last else 0.0)
