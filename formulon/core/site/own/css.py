"""The designer's own CSS, as far as it is taken, confined to its section: every selector begins with the section's class.

Parsed by the tinycss2 library (CSS Syntax 3). Nothing in it reaches outside: no address is fetched, no font is set up, no property
of the whole page is registered. The container keeps what is positioned inside it (site/styles/own.css: contain, CSS Containment 2).
"""

from collections.abc import Callable, Iterator, Mapping, Sequence
from dataclasses import dataclass
from functools import lru_cache
from typing import Any

import tinycss2
from tinycss2 import ast

_GROUPS = frozenset({"media", "supports", "container"})  # rules in which others stand
_FETCH = frozenset(
    {"url", "src", "image", "image-set", "-webkit-image-set", "cross-fade", "-webkit-cross-fade", "element", "expression"}
)
_NEVER = frozenset({"behavior", "-moz-binding"})
_WHOLE_PAGE = frozenset({"html", "body"})
_MOST_TOLD = 12


@dataclass(frozen=True, slots=True)
class Declared:
    """A declaration of own CSS, with its rule's selectors and all that the rule declares, by name."""

    name: str
    value: str
    selectors: str
    beside: Mapping[str, str]


Change = Callable[[Declared], str]


@dataclass(frozen=True, slots=True)
class Scoped:
    """CSS that reaches one section alone, and what was left out of what was written, each thing once."""

    css: str
    left_out: tuple[str, ...]


@lru_cache(maxsize=256)
def scoped(source: str, scope: str) -> Scoped:
    """Own CSS as it is taken, confined to the elements of a class."""
    work = _Work(scope)
    rules = tinycss2.parse_stylesheet(source, skip_comments=True, skip_whitespace=True)
    work.named = {
        tinycss2.serialize(one.prelude).strip()
        for one in rules
        if one.type == "at-rule" and one.lower_at_keyword == "keyframes"
    }
    css = "\n".join(work.rules(rules))
    # A style sheet within a page (a preview) ends at "</"; in CSS that can stand in a string alone, where it may be escaped.
    return Scoped(css.replace("</", "<\\/"), tuple(dict.fromkeys(work.left_out))[:_MOST_TOLD])


def tidied(source: str, change: Change = lambda one: one.value) -> str:
    """Own CSS without what is not taken, as it would be written; `change` is handed each declaration and gives its new value, empty to
    take it out."""
    rules = tinycss2.parse_stylesheet(source, skip_comments=True, skip_whitespace=True)
    return "\n".join(_Work("", change).rules(rules))


class _Work:
    """Rules made anew; without a scope they stay as wide as they are written."""

    def __init__(self, scope: str, change: Change = lambda one: one.value) -> None:
        self.scope, self.change, self.named, self.left_out = scope, change, set[str](), list[str]()

    def rules(self, nodes: Sequence[Any]) -> Iterator[str]:
        for node in nodes:
            if node.type == "qualified-rule":
                if made := self.rule(node):
                    yield made
            elif node.type == "at-rule":
                if made := self.at_rule(node):
                    yield made
            elif node.type == "error":
                self.left_out.append(f"what cannot be read in line {node.source_line}: {node.message}")

    def at_rule(self, node: ast.AtRule) -> str:
        name, prelude = node.lower_at_keyword, tinycss2.serialize(node.prelude).strip()
        if name == "keyframes" and node.content is not None:
            steps = [
                f"{tinycss2.serialize(one.prelude).strip()} {{ {self.declarations(one.content)} }}"
                for one in tinycss2.parse_rule_list(node.content, skip_comments=True, skip_whitespace=True)
                if one.type == "qualified-rule"
            ]
            return f"@keyframes {self.own(prelude)} {{\n" + "\n".join(steps) + "\n}"
        if name not in _GROUPS or node.content is None or _fetches(node.prelude):
            self.left_out.append(f"@{node.at_keyword}")
            return ""
        inner = list(self.rules(tinycss2.parse_rule_list(node.content, skip_comments=True, skip_whitespace=True)))
        return f"@{name} {prelude} {{\n" + "\n".join(inner) + "\n}" if inner else ""

    def rule(self, node: ast.QualifiedRule) -> str:
        selectors = ", ".join(one for one in map(self.selector, _parted(node.prelude)) if one)
        declared = self.declarations(node.content, selectors)
        return f"{selectors} {{ {declared} }}" if selectors and declared else ""

    def selector(self, tokens: list[Any]) -> str:
        """A selector that finds nothing but the section's container and what stands in it; empty where it is not taken."""
        while tokens and tokens[0].type == "whitespace":
            tokens = tokens[1:]
        if not tokens or (tokens[0].type == "literal" and tokens[0].value in "+~>") or _has(tokens, "&", "|"):
            self.left_out.append(f"the selector “{tinycss2.serialize(tokens).strip()[:60]}”")
            return ""
        if not self.scope:
            return self.text(tokens).rstrip()
        root, rest = f".{self.scope}", tokens
        if tokens[0].type == "ident" and tokens[0].lower_value in _WHOLE_PAGE:
            rest = tokens[1:]
        elif (
            _is(tokens[0], ":") and len(tokens) > 1 and tokens[1].type == "ident" and tokens[1].lower_value in ("root", "scope")
        ):
            rest = tokens[2:]
        else:
            return f"{root} {self.text(tokens).rstrip()}"
        if next((one.value for one in rest if one.type != "whitespace"), "") in ("+", "~"):  # what follows the section
            self.left_out.append(f"the selector “{tinycss2.serialize(tokens).strip()[:60]}”")
            return ""
        return root + self.text(rest).rstrip()

    def text(self, tokens: Sequence[Any]) -> str:
        """A selector as text, the ids in it as the section's elements have them."""
        made = ""
        for one in tokens:
            if one.type == "hash":
                made += "#" + self.own(tinycss2.serialize([one])[1:])
            elif one.type == "function":
                made += f"{one.name}({self.text(one.arguments)})"
            else:
                made += tinycss2.serialize([one])
        return made

    def own(self, name: str) -> str:
        """A name of an element or of a movement, as it is known in the section alone."""
        return f"{self.scope}-{name}" if self.scope else name

    def declarations(self, tokens: Sequence[Any], selectors: str = "") -> str:
        made = []
        nodes = tinycss2.parse_blocks_contents(tokens, skip_comments=True, skip_whitespace=True)
        beside = {one.lower_name: self.value(one) for one in nodes if one.type == "declaration"}
        for node in nodes:
            if node.type == "declaration":
                if node.lower_name in _NEVER or _fetches(node.value):
                    self.left_out.append(f"{node.name}: {tinycss2.serialize(node.value).strip()[:60]}")
                    continue
                value = self.change(Declared(node.lower_name, self.value(node), selectors, beside))
                if value:
                    made.append(f"{node.name}: {value}{' !important' if node.important else ''};")
            elif node.type == "error":
                self.left_out.append(f"what cannot be read in line {node.source_line}: {node.message}")
            else:
                self.left_out.append("a rule within a rule")
        return " ".join(made)

    def value(self, node: ast.Declaration) -> str:
        """A value as it is written, but for the names of movements."""
        moves = self.named if node.lower_name in ("animation", "animation-name") else ()
        return "".join(
            self.own(one.value) if one.type == "ident" and one.value in moves else tinycss2.serialize([one])
            for one in node.value
        ).strip()


def _parted(tokens: Sequence[Any]) -> Iterator[list[Any]]:
    """The selectors of a list."""
    part: list[Any] = []
    for one in tokens:
        if _is(one, ","):
            yield part
            part = []
        else:
            part.append(one)
    yield part


def _is(token: Any, value: str) -> bool:
    return bool(token.type == "literal" and token.value == value)


def _inner(token: Any) -> Sequence[Any]:
    return token.arguments if token.type == "function" else token.content if hasattr(token, "content") else ()


def _has(tokens: Sequence[Any], *values: str) -> bool:
    return any((one.type == "literal" and one.value in values) or _has(_inner(one) or (), *values) for one in tokens)


def _fetches(tokens: Sequence[Any]) -> bool:
    """Whether a value has a browser fetch something."""
    return any(
        one.type in ("url", "bad-url", "error") or (one.type == "function" and one.lower_name in _FETCH) or _fetches(_inner(one) or ())
        for one in tokens
    )  # fmt: skip
