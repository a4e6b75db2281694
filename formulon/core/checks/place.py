"""Where a fact is."""

from dataclasses import dataclass


@dataclass(frozen=True, slots=True)
class PagePlace:
    """Where a fact is: page, section and slot. Header and footer are sections of every page."""

    page: str
    section: str
    slot: str
