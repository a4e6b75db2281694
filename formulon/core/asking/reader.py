"""The reader that ships, with every form of words taken in."""

from formulon.core.asking import Reader, pages, sections, texts, words
from formulon.core.asking.grammar import FORMS, Grammar

READER: Reader = Grammar()
ABOUT = {"text": (texts, words), "section": (sections, words), "page": (pages, words)}

_HEAD = """# Instructions

A chosen text, section or page takes an instruction of a few words. The grammar below turns it into ordinary changes: what it means, and
what it would change, is shown before it is taken, and it is one entry of the history. What is not understood is answered with
instructions that are near. Several may be joined by “and” or a comma; they are done one after the other, all or none.

What can be asked of a section can be asked of a text in it, and what can be asked of a page of both. Numbers may be figures or words
up to ten. Words in quotation marks are taken as they stand. Nothing is made up: a text is cut at its joints, made longer or
worded otherwise with sentences that the brief and the client's texts have, and what is added and not known is marked as still to be
written. What was used is told.

A language service can take the grammar's place: `Reader` in `formulon/core/asking/__init__.py` is the protocol.

This page is made of the grammar by `tools/schemas.py`.
"""


def described() -> str:
    """The grammar as docs/instructions.md has it."""
    parts = [_HEAD]
    for about in ABOUT:
        parts.append(f"\n## Of a {about}\n\n| For example | What it does |\n|---|---|\n")
        parts += [f"| {one.example} | {one.does} |\n" for one in FORMS if one.about == about]
    return "".join(parts)
