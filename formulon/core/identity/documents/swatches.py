"""Colours in the rows of tables: a row that states one colour names it in its first cell that states none."""

import re
from collections.abc import Iterable, Iterator

from formulon.core.identity.documents import Block
from formulon.core.identity.notations import Stated, notations, stated


def in_rows(blocks: Iterable[Block]) -> Iterator[tuple[str, Stated]]:
    """The colours of rows with their names. Where names stand in a row of their own, the row of values names none."""
    for block in blocks:
        found = stated(" ".join(block.cells)) if block.kind == "row" else []
        name = next((cell for cell in block.cells if _is_name(cell)), "")
        if len(found) == 1 and name:
            yield name, found[0]


def _is_name(cell: str) -> bool:
    return 1 < len(cell) <= 40 and not notations(cell) and re.match(r"[^\W\d]", cell) is not None and "%" not in cell
