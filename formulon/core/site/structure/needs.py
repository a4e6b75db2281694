"""Kinds of section by what they are needed for."""

from formulon.core.site.catalogue import CATALOGUE
from formulon.core.site.planning.material import words_of
from formulon.core.site.site import FRAME


def kinds_for(need: str) -> list[str]:
    """The kinds that answer a need ("prices", "who we are"): those that are called so first, then those that are looked for by it."""
    asked = words_of(need) or {need.casefold().strip()}
    ranked = []
    for name, kind in CATALOGUE.items():
        if name in FRAME:
            continue
        called, wanted = words_of(kind.label), words_of(kind.needs)
        phrases = [part.strip() for part in kind.needs.split(",")]
        rank = 3 if asked <= called else 2 if need.casefold().strip() in phrases else 1 if asked <= called | wanted else 0
        if rank:
            ranked.append((-rank, len(called), kind.label, name))
    return [name for *_, name in sorted(ranked)]
