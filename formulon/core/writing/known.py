"""The rewriter that ships: it words a text with what is known, and with nothing else.

A text gets longer by whole sentences of the brief and of the client's texts that belong to it and are not on its page yet; it is worded
otherwise with such sentences in its place; a tone is a greeting or an invitation, which states nothing. The same asked of the same is
answered the same.
"""

import hashlib
import json
import re
from collections.abc import Iterator, Mapping
from functools import cache
from pathlib import Path

from formulon.core.site.phrases import base
from formulon.core.type.emphasis import plain
from formulon.core.writing import TONES, Known, Task, Tone, Wording
from formulon.core.writing.sentences import ENDED, known, said_on, says, sentences, shorter, stems, texts_of, words_of_rule

_FILE = Path(__file__).parent / "tones.json"
_MOST_MORE = 4  # sentences that are added at most
_LIKED = 0.5  # what a word that the guideline uses is worth, in words that belong to what is told


@cache
def tones() -> Mapping[str, Mapping[str, list[str]]]:
    """Sentences by language and tone."""
    return dict(json.loads(_FILE.read_text(encoding="utf-8")))


class KnownWords:
    """Words texts with what is known."""

    def shorter(self, task: Task) -> Iterator[Wording]:
        """Cut at its joints, the longest first."""
        for text in shorter(task.text):
            yield Wording(text)

    def longer(self, task: Task) -> Iterator[Wording]:
        """With one sentence more, then with two, and so on."""
        made, used = task.text.rstrip(), list[Known]()
        if not ENDED.search(made):
            return  # a name or a headline: nothing can follow it
        for one in self._belonging(task)[:_MOST_MORE]:
            made, used = f"{made} {one.text}", [*used, one]
            yield Wording(made, tuple(used))

    def another(self, task: Task) -> Iterator[Wording]:
        """Other sentences of as many words or fewer, those that belong to it first."""
        own = sentences(task.text)
        if not ENDED.search(task.text.rstrip()):
            return
        most = max(1.4 * len(task.text), 60)
        found = [one for one in self._belonging(task) if len(one.text) <= most]
        for index, one in enumerate(found):
            text, used = one.text, [one]
            for more in found[index + 1 :]:
                if len(text) + len(more.text) < most and len(used) < len(own):
                    text, used = f"{text} {more.text}", [*used, more]
            yield Wording(text, tuple(used))

    def toned(self, task: Task, tone: Tone) -> Iterator[Wording]:
        """In a tone. What gave it another tone before goes; what is plain says what it says and nothing more."""
        table = tones().get(base(task.site.identity.language))
        if table is None or not any(ENDED.search(one.rstrip()) for one in task.text.split("\n")):
            return  # a name, a headline, an address: it has no tone
        of_ours = {one for told in table.values() for one in told}
        bare = _without(task.text, of_ours)
        if tone == "plain":
            yield Wording(re.sub(r"!+(?=\s|$)", ".", bare))
            return
        avoided = words_of_rule(task.site.identity, "words to avoid")
        offered = [one for one in table[tone] if not says(one, avoided)]
        start = _number(f"{bare}{task.seed}", len(offered)) if offered else 0
        between = " " if ENDED.search(bare) else "\n\n"
        for one in (*offered[start:], *offered[:start]):
            yield Wording(f"{bare}{between}{one}")

    def _belonging(self, task: Task) -> list[Known]:
        """What is known, belongs to the section and is not on its page: what shares most words first."""
        language, liked = task.site.identity.language, words_of_rule(task.site.identity, "words to use")
        near = stems(" ".join(texts_of(task.section)), language) - stems(task.site.identity.name, language)
        there = said_on(task.page) | {plain(one) for one in sentences(task.text)}
        ranked = []
        for place, one in enumerate(known(task.site.identity)):
            shared = len(stems(one.text, language) & near)
            if shared and plain(one.text) not in there:
                rank = shared + _LIKED * len(says(one.text, liked))
                ranked.append((-rank, _number(f"{one.text}{task.seed}", 97) if task.seed else 0, place, one))
        return [one for *_, one in sorted(ranked, key=lambda found: found[:3])]


def _without(text: str, gone: set[str]) -> str:
    """A text without some sentences; its paragraphs and lines stay."""
    parts = re.split(r"(\n+)", text)
    kept = [one if one.startswith("\n") else " ".join(part for part in sentences(one) if part not in gone) for one in parts]
    return re.sub(r"\n{3,}", "\n\n", "".join(kept)).strip()


def _number(text: str, most: int) -> int:
    """A number below `most` that a text tells."""
    return int.from_bytes(hashlib.blake2b(text.encode(), digest_size=4).digest()) % most if most else 0


REWRITER = KnownWords()
assert TONES[0] == "plain"  # which is told by taking away
