"""The writer's stand-in: words for a site out of the brief's facts alone.

It never invents a fact. What the brief does not hold becomes a placeholder, which preflight stops. A real writing
service takes its place behind the same protocol.
"""

import re
from typing import Protocol

from formulon.core.site.phrases import phrases
from formulon.core.site.values import PLACEHOLDER, placeholder
from formulon.core.system.documents.identity import Identity
from formulon.core.type.shaping import collapsed


class Writer(Protocol):
    """What the planner asks of a writer."""

    def headline(self, identity: Identity) -> str: ...
    def introduction(self, identity: Identity) -> str: ...
    def audience(self, identity: Identity) -> str: ...
    def description(self, text: str) -> str: ...


class BriefWriter:
    """Writes with the brief's own sentences."""

    def headline(self, identity: Identity) -> str:
        """The strapline, else the first clause of what the brand does."""
        if identity.strapline:
            return identity.strapline
        first = first_clause(identity.does)
        return first[:1].upper() + first[1:] if first else placeholder("A headline: what you do, in a few words")

    def introduction(self, identity: Identity) -> str:
        return identity.does or placeholder("What you do, in one or two sentences")

    def audience(self, identity: Identity) -> str:
        who, where = identity.audience.rstrip("."), identity.place
        place = phrases(identity.language).say("you_find_us", place=where) if where else ""
        first = f"{who[:1].upper()}{who[1:]}." if who else placeholder("Who you do it for, and what they get from it")
        return f"{first} {place}".strip()

    def description(self, text: str) -> str:
        """At most 155 characters of a text, cut after a sentence or else a word."""
        return shorten(text, 155)


def first_clause(text: str) -> str:
    """A text up to its first comma, colon, semicolon, dash or full stop; of a gap the same gap, asked for in fewer words."""
    if gap := PLACEHOLDER.fullmatch(text.strip()):
        return placeholder(first_clause(gap[1]))
    return re.split(r"[.,;:!?]\s|\s[–—-]\s|\.$", text.strip(), maxsplit=1)[0].strip()


def shorten(text: str, most: int) -> str:
    """A text of at most `most` characters: whole sentences where some fit, else whole words. Spaces at which no line may be broken
    stay."""
    text = collapsed(text)
    if len(text) <= most:
        return text
    sentences = re.split(r"(?<=[.!?]) ", text)
    kept = sentences[0]
    for sentence in sentences[1:]:
        if len(kept) + 1 + len(sentence) > most:
            break
        kept += " " + sentence
    if len(kept) <= most:
        return kept
    return text[: most - 1].rsplit(" ", 1)[0].rstrip(" ,;:–-") + "…" if most > 1 else text[:most]
