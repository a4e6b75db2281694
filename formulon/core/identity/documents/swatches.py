"""Colours in the rows of tables: a row that states one colour names it in its first cell that states none."""

import re
from collections.abc import Iterable, Iterator

from formulon.core.identity.documents import Block
from formulon.core.identity.notations import Stated, notations, stated


def in_rows(blocks: Iterable[Block]) -> Iterator[tuple[str, Stated]]:
    """The colours of rows with their names, which are empty where no cell can be one."""
    for block in blocks:
        found = stated(" ".join(block.cells)) if block.kind == "row" else []
        if len(found) == 1:
            yield next((cell for cell in block.cells if _is_name(cell)), ""), found[0]


def _is_name(cell: str) -> bool:
    return 1 < len(cell) <= 40 and not notations(cell) and re.match(r"[^\W\d]", cell) is not None and "%" not in cell
