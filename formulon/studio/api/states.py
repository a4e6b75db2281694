"""What an asker holds already, so that the answer to a write leaves it out.

Every workbench that is answered gets the name of a state; of the newest states each part is remembered by a mark. A process
that does not know a state (another one answered, or it was long ago) answers with everything.
"""

import secrets
from collections.abc import Callable, Iterator
from typing import Any

from formulon.studio.api import shapes
from formulon.studio.services.kept import Kept

Entry = dict[str, Any]

# Lists of which only the entries are answered that changed, each with what names an entry; and those whose order is shown.
LISTS: dict[str, Callable[[Entry], str]] = {
    "pages": lambda page: str(page["body"]["id"]),
    "pictures": lambda picture: str(picture["id"]),
    "releases": lambda release: str(release["number"]),
    "system/tokens": lambda token: str(token["path"]),
    "system/dark": lambda token: str(token["path"]),
    "system/pairs": lambda pair: f"{pair['scheme']} {pair['ground']} {pair['ink']}",
}
ORDERED = ("pages", "pictures", "releases")
_Marks = dict[str, int | dict[str, int]]

MOST = 64  # states of all brands
_known: Kept[tuple[str, str], _Marks] = Kept(MOST)


def _fields(data: Entry) -> Iterator[tuple[str, Any]]:
    """The parts of a workbench by name, those of its system one by one."""
    for name, value in data.items():
        if name == "system":
            yield from ((f"system/{part}", one) for part, one in value.items())
        else:
            yield name, value


def _mark(value: Any) -> int:
    return hash(repr(value))  # plain data, of which this is the quickest text


def _marks(data: Entry) -> _Marks:
    made: _Marks = {}
    for name, value in _fields(data):
        key = LISTS.get(name)
        made[name] = {key(one): _mark(one) for one in value} if key else _mark(value)
    return made


def named(bench: shapes.Workbench) -> shapes.Workbench:
    """The workbench with the name of its state, which is remembered."""
    _remembered(bench)
    return bench


def _remembered(bench: shapes.Workbench) -> tuple[Entry, _Marks]:
    """Names the state of a workbench and remembers its marks. The workbench as JSON has it, and the marks."""
    bench.state = secrets.token_hex(8)
    data = bench.model_dump(mode="json")
    made = _marks(data)
    _known[bench.id, bench.state] = made
    return data, made


def changed(bench: shapes.Workbench, held: str) -> shapes.Changed:
    """What a workbench has otherwise than the state that its asker holds; everything where that is not known."""
    old = _known.get((bench.id, held))
    data, new = _remembered(bench)
    if old is None:
        return shapes.Changed.model_validate(data | {"base": ""})
    made: Entry = {"id": bench.id, "state": bench.state, "base": held, "gone": {}, "order": {}}
    for name, value in _fields(data):
        was, now = old.get(name), new.get(name)
        if was == now and not (name in ORDERED and list(was or ()) != list(now or ())):  # type: ignore[arg-type]
            continue
        if isinstance(was, dict) and isinstance(now, dict):
            key = LISTS[name]
            value = [one for one in value if was.get(key(one)) != now[key(one)]]
            if gone := [one for one in was if one not in now]:
                made["gone"][name] = gone
            if name in ORDERED and list(was) != list(now):
                made["order"][name] = list(now)
        field, _, part = name.partition("/")
        if part:
            made.setdefault(field, {})[part] = value
        else:
            made[field] = value
    return shapes.Changed.model_validate(made)
