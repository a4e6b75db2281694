"""What is known of a section in the designer's own HTML and CSS without a browser: the colours of its texts, by a cascade of its own.

Selectors are matched by the cssselect2 library. Colours and what lies behind them are followed from the section's ground inwards
(CSS Cascade 4, 6.1: importance, specificity, order), once for the rules that always hold and once more for each block that holds
at some widths or in some browsers. What cannot be followed (a gradient, a mixture, a see-through colour) is told to be so.
"""

from collections.abc import Callable, Iterator, Mapping
from dataclasses import dataclass, field
from functools import lru_cache
from typing import Any

import cssselect2
import tinycss2
import tinycss2.color3
from lxml import etree

from formulon.core.color.parse import parse_color
from formulon.core.errors import ColorError
from formulon.core.site.own.css import scoped
from formulon.core.site.own.html import cleaned, tree_of

_HEADINGS = frozenset({"h2", "h3", "h4", "h5", "h6"})
_FOLLOWED = frozenset({"color", "background", "background-color", "background-image", "opacity"})
_SITE_S = "button"  # what has this class takes the site's own style, which is checked where it is made
_COLOR_FUNCTIONS = frozenset({"rgb", "rgba", "hsl", "hsla", "hwb", "lab", "lch", "oklab", "oklch", "color"})
_HANDED_ON = frozenset({"inherit", "currentcolor", "unset"})
_CLEAR = frozenset({"none", "transparent", "initial", "unset", "0 0"})
_PLAIN = _HANDED_ON | _CLEAR
_DEEP = 8  # custom properties that lead to one another


@dataclass(frozen=True, slots=True)
class OwnText:
    """A text of an element. Colours are hexadecimal; None where they are the section's own, empty where they cannot be told."""

    text: str
    tag: str
    ink: str
    color: str | None
    behind: str | None


@dataclass(frozen=True, slots=True)
class _Rule:
    selector: Any
    specificity: tuple[int, int, int]
    declared: tuple[tuple[str, str, bool], ...]  # name, value, whether important


@dataclass(frozen=True, slots=True)
class _State:
    """What an element hands on to those in it."""

    ink: str = "body"
    color: str | None = None
    behind: str | None = None
    custom: Mapping[str, str] = field(default_factory=dict)


def own_texts(html: str, css: str, scope: str, tokens: Mapping[str, str]) -> Iterator[OwnText]:
    """Every text of own HTML in the colours that own CSS gives it, once for each that it may have; `tokens` are the custom
    properties of the section's ground in one scheme."""
    seen: dict[OwnText, None] = {}
    base, blocks = rules_of(css, scope)
    for added in [(), *blocks]:
        root = tree_of(cleaned(html, scope).html)
        root.set("class", scope)
        wrapped = cssselect2.ElementWrapper.from_html_root(root)
        seen |= dict.fromkeys(_walk(wrapped, (*base, *added), _State(custom=tokens)))
    yield from seen


def own_colors(css: str, scope: str) -> tuple[str, ...]:
    """The colours in own CSS that are written out rather than taken from the system, each once."""
    found: dict[str, None] = {}
    base, blocks = rules_of(css, scope)
    for rule in (one for block in (base, *blocks) for one in block):
        for _, value, _ in rule.declared:
            found |= {
                tinycss2.serialize([one]): None for one in _flat(tinycss2.parse_component_value_list(value)) if _is_color(one)
            }
    return tuple(found)


def _is_color(token: Any) -> bool:
    if token.type == "ident":
        return isinstance(named := tinycss2.color3.parse_color(token), tinycss2.color3.RGBA) and named.alpha == 1
    return token.type == "hash" or (token.type == "function" and token.lower_name in _COLOR_FUNCTIONS)


def _flat(tokens: list[Any]) -> Iterator[Any]:
    for one in tokens:
        yield one
        if one.type == "function" and one.lower_name not in _COLOR_FUNCTIONS and one.lower_name != "var":
            yield from _flat(one.arguments)


@lru_cache(maxsize=128)
def rules_of(css: str, scope: str) -> tuple[tuple[_Rule, ...], tuple[tuple[_Rule, ...], ...]]:
    """The rules that always hold, and those of each block that holds at times."""
    base: list[_Rule] = []
    blocks: list[tuple[_Rule, ...]] = []

    def take(nodes: list[Any], into: list[_Rule]) -> None:
        for node in nodes:
            if node.type == "qualified-rule":
                into += _rules(node)
            elif node.type == "at-rule" and node.content is not None and node.lower_at_keyword != "keyframes":
                own: list[_Rule] = []
                take(tinycss2.parse_rule_list(node.content, skip_comments=True, skip_whitespace=True), own)
                blocks.append(tuple(own))

    take(tinycss2.parse_stylesheet(scoped(css, scope).css, skip_comments=True, skip_whitespace=True), base)
    return tuple(base), tuple(blocks)


def _rules(node: Any) -> Iterator[_Rule]:
    declared = tuple(
        (one.lower_name if not one.name.startswith("--") else one.name, tinycss2.serialize(one.value).strip(), one.important)
        for one in tinycss2.parse_blocks_contents(node.content, skip_comments=True, skip_whitespace=True)
        if one.type == "declaration"
    )
    try:
        for selector in cssselect2.compile_selector_list(node.prelude):
            if selector.pseudo_element is None:
                yield _Rule(selector, selector.specificity, declared)
    except cssselect2.SelectorError:
        return  # of another standard than the library's; its colours are not followed


def _walk(element: Any, rules: tuple[_Rule, ...], around: _State) -> Iterator[OwnText]:
    state = _stated(element, rules, around)
    of_site = _SITE_S in element.classes
    tag = str(element.local_name)
    texts = [element.etree_element.text, *(one.tail for one in element.etree_element)]
    for text in () if of_site else texts:
        if text and text.strip():
            yield OwnText(" ".join(text.split()), tag, state.ink, state.color, state.behind)
    for child in element.iter_children() if not of_site else ():
        if isinstance(child.etree_element, etree.ElementBase):
            yield from _walk(child, rules, state)


def _stated(element: Any, rules: tuple[_Rule, ...], around: _State) -> _State:
    """What holds for an element, by what its surroundings hand on and its own rules say."""
    won: dict[str, tuple[tuple[bool, tuple[int, int, int], int], str]] = {}
    for number, rule in enumerate(rules):
        if not rule.selector.test(element):
            continue
        for name, value, important in rule.declared:
            rank = (important, rule.specificity, number)
            if name.startswith("--") or name in _FOLLOWED:
                key = "background-color" if name == "background" else name
                if key not in won or won[key][0] <= rank:
                    won[key] = rank, value
    custom = {**around.custom, **{name: value for name, (_, value) in won.items() if name.startswith("--")}}
    tag = str(element.local_name)
    ink = "heading" if tag in _HEADINGS else "link" if tag == "a" else around.ink
    color = None if ink != around.ink else around.color
    said = led_to(won["color"][1], custom) if "color" in won else ""
    if said and said.lower() not in _HANDED_ON:
        color = resolved(said, custom)
    elif said:
        ink, color = around.ink, around.color
    behind = around.behind
    under = led_to(won["background-color"][1], custom) if "background-color" in won else ""
    if under and under.lower() not in _CLEAR:
        behind = resolved(under, custom)
    if "background-image" in won and won["background-image"][1].lower() != "none":
        behind = ""
    if "opacity" in won and won["opacity"][1].strip() not in ("1", "100%"):
        color = ""
    return _State(ink, color, behind, custom)


def resolved(value: str, custom: Mapping[str, str]) -> str:
    """The colour of a value as #rrggbb; empty where it is none that is written out or led to."""
    value = led_to(value, custom)
    tokens = [one for one in tinycss2.parse_component_value_list(value) if one.type not in ("whitespace", "comment")]
    try:
        return parse_color(value).hex if len(tokens) == 1 else ""
    except ColorError:
        return ""


def led_to(value: str, custom: Mapping[str, str], deep: int = _DEEP) -> str:
    """What a value that is one property of one's own leads to; "unset" where that is nothing (CSS Variables 1, 3.1)."""
    value = value.strip()
    tokens = [one for one in tinycss2.parse_component_value_list(value) if one.type not in ("whitespace", "comment")]
    if len(tokens) != 1 or tokens[0].type != "function" or tokens[0].lower_name != "var":
        return value
    name, comma, otherwise = tinycss2.serialize(tokens[0].arguments).partition(",")
    led = custom.get(name.strip(), otherwise if comma else "")
    return led_to(led, custom, deep - 1) if led.strip() and deep else "unset"


def painted(value: str, taken: Callable[[str], str]) -> str:
    """A value with each colour that is written out replaced by what `taken` makes of it, handed as #rrggbb."""
    made = ""
    for one in tinycss2.parse_component_value_list(value):
        text = tinycss2.serialize([one])
        if _is_color(one) and (color := resolved(text, {})):
            made += taken(color)
        elif one.type == "function" and one.lower_name not in _COLOR_FUNCTIONS and one.lower_name != "var":
            made += f"{one.name}({painted(tinycss2.serialize(one.arguments), taken)})"
        else:
            made += text
    return made


def can_be_told(name: str, value: str) -> bool:
    """Whether a declaration leaves the colours of texts such as can be told."""
    if name == "opacity":
        return value in ("1", "100%")
    if name == "background-image":
        return value.lower() == "none"
    if name not in ("color", "background", "background-color"):
        return True
    led = value.strip().lower()
    return led in _PLAIN or led.startswith("var(") or bool(resolved(value, {}))
