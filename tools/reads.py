"""The bench's rows of reading: how long many files take, and what of folders is found; see folders.py and clients.py."""

import time
from collections import Counter

import clients
import folders

from formulon.core.system.documents.identity import Identity
from formulon.studio.models import Brand
from formulon.studio.services import sites, sources

Row = tuple[str, str, str, bool]


def many() -> list[Row]:
    """The files of all invented clients, over and over under other names."""
    workspace = Brand.objects.get(slug="quillmoor-observatory").workspace
    held = [(f"{one.name}/{name}", data) for one in (*clients.FOLDERS, clients.DEMO) for name, data in one.files.items()]
    rows = []
    for count, budget in ((30, 2.0), (60, 4.0)):
        files = [
            (f"{number // len(held)} {held[number % len(held)][0]}", held[number % len(held)][1]) for number in range(count)
        ]
        brand = sites.create(workspace, Identity(name=f"{count} files"))
        intake = sources.add(brand, None, files)
        seconds = _timed(intake.pk)
        failed = brand.sources.exclude(state="read").count()
        said = f"{seconds:.1f} s, {failed} failed"
        rows.append((f"read {count} files of clients", said, f"{budget:.0f} s", seconds <= budget and not failed))
    return rows


def found() -> list[Row]:
    """What of folders a careful person's list has is found, by kind: found and in its place of all that there are."""
    there, seen, placed = Counter[str](), Counter[str](), Counter[str]()
    wrong, taken, rows = 0, 0, []
    for folder in (*clients.FOLDERS, clients.DEMO):
        one = folders.score(folder)
        whole = sum(one.there.values())
        share, used = sum(one.found.values()) / whole, sum(one.placed.values()) / whole
        least = 1.0 if folder is clients.DEMO else 0.9
        said = f"{share:.0%} of {whole} found, {used:.0%} in place, {len(one.wrong)} of {one.taken} wrong"
        kept = share >= least and used >= least - 0.05 and len(one.wrong) <= 0.1 * one.taken
        rows.append((f"facts of {folder.name}", said, f"{least:.0%}, {least - 0.05:.0%}, 10 %", kept))
        if folder is not clients.DEMO:
            there, seen, placed = there + one.there, seen + one.found, placed + one.placed
            wrong, taken = wrong + len(one.wrong), taken + one.taken
    for kind in there:
        said = f"{seen[kind]} found, {placed[kind]} in place, of {there[kind]}"
        rows.append((f"  {kind}", said, "80 %, 80 %", seen[kind] >= 0.8 * there[kind] and placed[kind] >= 0.8 * there[kind]))
    return rows


def _timed(intake: int) -> float:
    start = time.perf_counter()
    sources.read_intake(intake)
    return time.perf_counter() - start
