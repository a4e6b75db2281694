"""The grammar of instructions: forms of words, each with what it comes to. docs/instructions.md is made of the same table.

An instruction is a few words in English, the language of the studio; what it names (pages, headlines) may be in any. Small words and
punctuation do not count, numbers may be written out, and several instructions may be joined by “and” or a comma.
"""

import difflib
import re
from collections.abc import Callable, Iterator
from dataclasses import dataclass

from formulon.core.asking import About, Meant, NotUnderstood

Make = Callable[[About, re.Match[str]], Meant]
NUMBERS = {
    word: number
    for number, word in enumerate(("one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten"), 1)
}
NUMBERS |= {"a": 1, "an": 1, "another": 1}
NUMBER = rf"(?P<number>\d{{1,2}}|{'|'.join(NUMBERS)})"
_FILLER = re.compile(
    r"^(please|can you|could you|make (it|this|them) |let it |put (it|this) |set (it|this) |show (it|this) )\s*|\s+please$",
    re.IGNORECASE,
)


@dataclass(frozen=True, slots=True)
class Form:
    """A form of words: what it is about ("text", "section", "page"), what it reads like, what it does, and an example."""

    about: str
    pattern: re.Pattern[str]
    example: str
    does: str
    make: Make


FORMS: list[Form] = []  # in the order in which they are tried


def form(about: str, pattern: str, example: str, does: str) -> Callable[[Make], Make]:
    """Takes a function in as what a form of words comes to."""

    def register(make: Make) -> Make:
        FORMS.append(Form(about, re.compile(pattern, re.IGNORECASE), example, does, make))
        return make

    return register


def number_of(found: re.Match[str]) -> int:
    """The number in an instruction; 1 where it has none."""
    text = (found["number"] or "1").lower()
    return int(text) if text.isdigit() else NUMBERS[text]


class Grammar:
    """The reader that ships."""

    def parts(self, text: str) -> list[str]:
        """An instruction in its parts. Words in quotation marks stay together."""
        held: list[str] = []

        def hold(found: re.Match[str]) -> str:
            held.append(found[1])
            return f"\x00{len(held) - 1}\x00"

        put = re.sub(r"[“\"']([^”\"']+)[”\"']", hold, text.strip())
        parts = re.split(r"\s*(?:[,;.]|\band\b|\bthen\b)\s*", put)
        return [re.sub(r"\x00(\d+)\x00", lambda found: held[int(found[1])], part) for part in parts if part.strip()] or [text]

    def read(self, text: str, about: About) -> Meant:
        """What one instruction means. Raises NotUnderstood."""
        plain, whole = _plain(text), " ".join(text.split())
        for one in _forms(about):
            found = one.pattern.fullmatch(whole) or one.pattern.fullmatch(plain)  # words of one's own keep their full stop
            if found:
                return one.make(about, found)
        raise NotUnderstood(f"“{text.strip()[:80]}” is not understood.", nearest(plain, about))


def _plain(text: str) -> str:
    put = " ".join(text.replace("’", "'").strip(" .!?").split())
    while (less := _FILLER.sub("", put)) != put:
        put = less
    return put


def _forms(about: About) -> Iterator[Form]:
    """The forms for what an instruction is about, the nearest first; what is asked of a section can be asked of its page."""
    order = ["text", "section", "page"] if about.slot else ["section", "page"] if about.section else ["page"]
    for kind in order:
        yield from (one for one in FORMS if one.about == kind)


def nearest(plain: str, about: About, most: int = 4) -> list[str]:
    """Instructions that read like one that was not understood; else some that are often wanted."""
    examples, plain = [one.example for one in _forms(about)], plain.lower()
    words = set(plain.split())
    near = difflib.get_close_matches(plain, examples, most, 0.45)
    near += sorted((one for one in examples if words & set(one.split())), key=lambda one: -len(words & set(one.split())))
    return list(dict.fromkeys([*near, *examples]))[:most]
