"""Three brands for tests of the whole catalogue (with long German words, in Greek, and from right to left), with what fills slots
that are neither texts nor pictures nor actions."""

from collections.abc import Callable
from dataclasses import dataclass
from typing import Any


@dataclass(frozen=True)
class Brand:
    """What a brand's slots are filled with: a short word, a long one, a sentence, a headline and its end, and labels."""

    language: str
    name: str
    word: str
    long: str
    words: str
    headline: str
    more: str
    label: str
    act: str
    phone: str


GERMAN = Brand(
    "de", "Moorweide", "Weide", "Donaudampfschifffahrtsgesellschaftskapitän",
    "Wir flechten Körbe aus Weiden, die wir selbst auf vier Hektar Moor schneiden, und liefern sie innerhalb einer Woche. ",
    "Körbe aus Weiden", " vom Moor", "Mehr", "Alle Körbe ansehen", "+49 30 901820",
)  # fmt: skip
GREEK = Brand(
    "el", "Καλάθια Δέλτα", "Ιτιά", "ωτορινολαρυγγολογικοανατομικός",
    "Πλέκουμε καλάθια από ιτιές που κόβουμε μόνοι μας στο δέλτα του ποταμού και τα παραδίδουμε μέσα σε μία εβδομάδα. ",
    "Καλάθια από ιτιά", " του ποταμού", "Άλλα", "Δείτε όλα τα καλάθια", "+30 21 0901 8200",
)  # fmt: skip
HEBREW = Brand(
    "he", "נגריית הזית", "כיסא", "וכשבהשתלשלויותיהם",
    "אנחנו בונים רהיטים מעץ זית, שאנחנו כורתים בעצמנו במטע בן ארבעים דונם, ומוסרים אותם בתוך שבוע אחד. ",
    "רהיטים מעץ זית", " מן הגליל", "עוד", "כל הרהיטים שלנו", "+972 2 555 0199",
)  # fmt: skip
LONG, WORDS = GERMAN.long, GERMAN.words


def blocks(brand: Brand) -> dict[str, Callable[[str, int], Any]]:
    """What slots hold that are neither texts nor pictures nor actions: of a word, and of a number of parts."""
    return {
        "rich_text": lambda word, count: f"{brand.words}\n\n- {word}\n\n[{word}](page:home) {brand.words * count}",
        "table": lambda word, count: {"head": [word] * count, "rows": [[word] * count] * count},
        "form": lambda word, count: {
            "fields": [{"label": word, "help": brand.words}] * count,
            "label": word,
            "to": "mailto:a@b.example",
        },
        "code": lambda word, count: {
            "html": f"<h3>{word}</h3><p>{brand.words * count}</p><ul>{f'<li>{word}</li>' * count}</ul>",
            "css": "ul { columns: 2 } h3 { color: var(--link) }",
        },
        "rating": lambda word, count: 4.5 if count > 2 else 3.0,
        "map": lambda word, count: {"ways": [{"text": word, "side": "ne"}] * count},
    }


BLOCKS = blocks(GERMAN)
