"""Patches between two states of a document, as JSON Patch (RFC 6902), that say what was meant: a section that was moved is moved, and
not written over by the next one. Two people who change two sections of a page then do not meet in the history."""

from collections.abc import Iterator
from typing import Any

import jsonpatch
from jsonpointer import JsonPointer

Patch = list[dict[str, Any]]


def difference(before: Any, after: Any) -> Patch:
    """The operations that make `after` of `before`. Lists whose entries all have an id of their own are compared by it."""
    return list(_difference(before, after, ()))


def _difference(before: Any, after: Any, path: tuple[str | int, ...]) -> Iterator[dict[str, Any]]:
    if before == after and type(before) is type(after):
        return
    if isinstance(before, dict) and isinstance(after, dict):
        for key in before:
            if key not in after:
                yield {"op": "remove", "path": _pointer(*path, key)}
        for key, value in after.items():
            if key in before:
                yield from _difference(before[key], value, (*path, key))
            else:
                yield {"op": "add", "path": _pointer(*path, key), "value": value}
    elif (ids := _ids(before)) is not None and (wanted := _ids(after)) is not None:
        yield from _by_id(before, after, ids, wanted, path)
    elif isinstance(before, list) and isinstance(after, list):
        prefix = _pointer(*path)
        for operation in jsonpatch.make_patch(before, after).patch:
            moved = {str(key): prefix + operation[key] for key in ("path", "from") if key in operation}
            yield operation | moved
    else:
        yield {"op": "replace", "path": _pointer(*path), "value": after}


def _by_id(
    before: list[Any], after: list[Any], ids: list[str], wanted: list[str], path: tuple[str | int, ...]
) -> Iterator[dict[str, Any]]:
    known, there = dict(zip(ids, before, strict=True)), list(ids)
    for index in reversed(range(len(ids))):
        if ids[index] not in wanted:
            del there[index]
            yield {"op": "remove", "path": _pointer(*path, index)}
    for index, (one, value) in enumerate(zip(wanted, after, strict=True)):
        if one not in known:
            there.insert(index, one)
            yield {"op": "add", "path": _pointer(*path, index), "value": value}
        elif there[index] != one:
            at = there.index(one)
            there.insert(index, there.pop(at))
            yield {"op": "move", "from": _pointer(*path, at), "path": _pointer(*path, index)}
    for index, (one, value) in enumerate(zip(wanted, after, strict=True)):
        if one in known:
            yield from _difference(known[one], value, (*path, index))


def _ids(value: Any) -> list[str] | None:
    """The ids of a list's entries; None where they are not all of one kind, each with its own."""
    if not isinstance(value, list) or not all(isinstance(one, dict) and isinstance(one.get("id"), str) for one in value):
        return None
    ids = [one["id"] for one in value]
    return ids if len(set(ids)) == len(ids) else None


def _pointer(*parts: str | int) -> str:
    return str(JsonPointer.from_parts(parts).path)
