"""What a process remembers of the newest things that it worked out, so that the same is not worked out twice."""

from collections import OrderedDict
from collections.abc import Iterator, MutableMapping
from threading import Lock
from typing import TypeVar

K = TypeVar("K")
V = TypeVar("V")


class Kept(MutableMapping[K, V]):
    """At most so many values, those asked for least lately first to go. Threads share it."""

    def __init__(self, most: int) -> None:
        self.most, self.lock = most, Lock()
        self.values_by_key: OrderedDict[K, V] = OrderedDict()

    def __getitem__(self, key: K) -> V:
        with self.lock:
            self.values_by_key.move_to_end(key)
            return self.values_by_key[key]

    def __setitem__(self, key: K, value: V) -> None:
        with self.lock:
            self.values_by_key[key] = value
            self.values_by_key.move_to_end(key)
            while len(self.values_by_key) > self.most:
                self.values_by_key.popitem(last=False)

    def __delitem__(self, key: K) -> None:
        with self.lock:
            del self.values_by_key[key]

    def __iter__(self) -> Iterator[K]:
        return iter(list(self.values_by_key))

    def __len__(self) -> int:
        return len(self.values_by_key)
