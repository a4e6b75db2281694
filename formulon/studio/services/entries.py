"""Reading the history: its entries, what holds, and what undo and redo would take next."""

from typing import Any

from django.contrib.auth.models import User
from django.db.models import OuterRef, Subquery

from formulon.core.site.changes import patched
from formulon.studio.models import Brand, Entry

Body = dict[str, Any]
PLAN = "(plan)"
_FEW = 40  # entries that are fetched at a time, newest first, where only the newest are wanted


def name_of(person: User | None) -> str:
    """What a person is called; empty where an entry has no author."""
    return (person.get_full_name() or person.get_username()) if person else ""


def in_effect_since(brand: Brand, point: Entry, own: set[int | None]) -> list[Entry]:
    """The entries of other people after a point that still hold. What was changed and taken back since cancels out."""
    later = list(brand.entries.select_related("author", "of").filter(number__gt=point.number).order_by("number"))
    last = {entry.of_id: entry for entry in later if entry.of_id}
    made = []
    for entry in later:
        if entry.author_id in own:
            continue
        root = entry.of or entry
        if root.number > point.number and (entry.of_id or (root.pk in last and last[root.pk].kind == Entry.Kind.UNDO)):
            continue
        made.append(entry)
    return made


def listed(brand: Brand, before: int | None = None, most: int = 100) -> list[tuple[Entry, bool]]:
    """The newest entries, or those before a number, each with whether it holds."""
    newest = Entry.objects.filter(of=OuterRef("pk")).order_by("-number").values("kind")[:1]
    found = brand.entries.select_related("author").defer("edits").annotate(last=Subquery(newest)).order_by("-number")
    found = found.filter(number__lt=before) if before else found
    return [(entry, entry.last != Entry.Kind.UNDO) for entry in found[:most]]


def before_last(brand: Brand, bodies: dict[str, Body]) -> tuple[str, dict[str, Body]] | None:
    """The label of the newest entry, and the bodies as they were before it; None where there is no entry."""
    entry = brand.entries.order_by("-number").first()
    if entry is None:
        return None
    before = dict(bodies)
    for part in entry.edits:
        name = part["document"]
        if name == PLAN:
            continue
        if "created" in part:
            before.pop(name, None)
        elif "removed" in part:
            before[name] = part["removed"]
        else:
            before[name] = patched(name, bodies[name], part["backward"])
    return entry.label, before


def steps(brand: Brand, person: User | None) -> tuple[Entry | None, Entry | None]:
    """The changes that undo and redo would take for a person next: the newest of their own that holds; and what they have taken
    back last, unless they have made another change since."""
    last: dict[int, str] = {}  # of a change, what was done with it last
    back = made = taken = None
    walked = brand.entries.order_by("-number").values_list("pk", "kind", "of_id", "author_id")
    for pk, kind, of, author in walked.iterator(chunk_size=_FEW):
        own = author is None or (person is not None and author == person.pk)
        if of is not None:
            if own and kind == Entry.Kind.UNDO and made is None and taken is None and of not in last:
                taken = of
            last.setdefault(of, kind)
        elif own and kind == Entry.Kind.CHANGE:
            made = made or pk
            if last.get(pk) != Entry.Kind.UNDO:
                back = pk
                break
    found = brand.entries.select_related("author").in_bulk([one for one in (back, taken) if one])
    return found.get(back), found.get(taken)
