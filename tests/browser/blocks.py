"""Contents of slots that are neither texts nor pictures nor actions, for tests of the whole catalogue."""

from collections.abc import Callable
from typing import Any

LONG = "Donaudampfschifffahrtsgesellschaftskapitän"
WORDS = "Wir flechten Körbe aus Weiden, die wir selbst auf vier Hektar Moor schneiden, und liefern sie innerhalb einer Woche. "
# What slots hold that are neither texts nor pictures nor actions: of a word, and of a number of parts.
BLOCKS: dict[str, Callable[[str, int], Any]] = {
    "rich_text": lambda word, count: f"{WORDS}\n\n- {word}\n\n[{word}](page:home) {WORDS * count}",
    "table": lambda word, count: {"head": [word] * count, "rows": [[word] * count] * count},
    "form": lambda word, count: {
        "fields": [{"label": word, "help": WORDS}] * count,
        "label": word,
        "to": "mailto:a@b.example",
    },
    "rating": lambda word, count: 4.5 if count > 2 else 3.0,
    "map": lambda word, count: {"ways": [{"text": word, "side": "ne"}] * count},
}
