"""Mail without a mail server: each message is a file (RFC 5322) in a folder, which any mail program opens."""

import re
from collections.abc import Iterable, Sequence
from pathlib import Path

from django.conf import settings
from django.core.mail.backends.base import BaseEmailBackend
from django.core.mail.message import EmailMessage


def file_of(name: str) -> Path:
    """The file of a message by what its Message-ID begins with."""
    return Path(settings.MAIL_FOLDER) / f"{re.sub(r'[^A-Za-z0-9-]', '', name) or 'message'}.eml"


class FolderBackend(BaseEmailBackend):
    """Writes messages to settings.MAIL_FOLDER, each to the file that its Message-ID names."""

    def send_messages(self, email_messages: Sequence[EmailMessage]) -> int:
        for one in email_messages:
            made = one.message()
            file = file_of(str(made["Message-ID"]).strip("<>").partition("@")[0])
            file.parent.mkdir(parents=True, exist_ok=True, mode=0o700)
            file.write_bytes(made.as_bytes())
        return len(email_messages)


def forget(names: Iterable[str]) -> None:
    """Takes the files of messages away."""
    for name in names:
        file_of(name).unlink(missing_ok=True)
