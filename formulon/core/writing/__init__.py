"""Wording: other words for a text. What writes stands behind a protocol, which a language service could fill; the one that ships
(known.py) writes with what is known alone: the brief, the client's own texts, the text itself. It says which of it is used, and it
leaves names and numbers as they are, since it takes whole sentences or cuts at joints. What it cannot do, it does not do."""

from collections.abc import Iterator
from dataclasses import dataclass
from typing import Literal, Protocol, get_args

from formulon.core.site.site import Page, Section, Site

Tone = Literal["plain", "warm", "ceremonial", "inviting"]
TONES: tuple[Tone, ...] = get_args(Tone)


@dataclass(frozen=True, slots=True)
class Known:
    """A sentence that is known, and where it comes from, in words for people."""

    text: str
    where: str


@dataclass(frozen=True, slots=True)
class Wording:
    """A text in other words, and what of what is known it was made with, besides the text itself."""

    text: str
    used: tuple[Known, ...] = ()


@dataclass(frozen=True, slots=True)
class Task:
    """A text that is to be worded anew, and where it stands. `seed` tells one of several wordings that are as good."""

    site: Site
    page: Page
    section: Section
    text: str
    seed: int = 0


class Rewriter(Protocol):
    """What words a text anew. Each gives wordings in the order in which they are offered, and none for what it cannot do."""

    def shorter(self, task: Task) -> Iterator[Wording]: ...

    def longer(self, task: Task) -> Iterator[Wording]: ...

    def another(self, task: Task) -> Iterator[Wording]: ...

    def toned(self, task: Task, tone: Tone) -> Iterator[Wording]: ...
