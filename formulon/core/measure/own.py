"""A site of Formulon's own as it is handed to a browser: its files, and each page in each scheme with a key of all that it is drawn from,
so that what was seen under that key is what would be seen again."""

import hashlib
import re
from collections.abc import Callable, Iterator, Mapping, Sequence
from dataclasses import dataclass
from functools import lru_cache
from importlib import resources
from posixpath import dirname, join, normpath

import tinycss2

from formulon.core.measure.edges import edges
from formulon.core.measure.facts import Scheme
from formulon.core.measure.files import SiteFiles
from formulon.core.measure.looking import WIDTHS, Views
from formulon.core.site.editions import rendered_all
from formulon.core.site.fonts import lean
from formulon.core.site.languages import published
from formulon.core.site.site import Site

# What looks at pages: another one sees otherwise.
LOOKER = hashlib.blake2b(
    b"".join((resources.files("formulon.core.measure") / name).read_bytes() for name in ("probe.js", "besides.js", "seen.py", "looking.py", "window.py", "heard.py", "behind.py", "attention.py", "glanced.py"))
).hexdigest()  # fmt: skip
_SHEETS = ("tokens.css", "site.css")
# Pages are told apart by their links' words, and a typeface by its name, which is made of its files: letters that are cut out of it for
# one page draw no other one otherwise.
_NAMED = (".html", ".css", ".woff2")
_CLASSES = re.compile(r'\bclass="([^"]*)"')
_DATA = re.compile(r'\b(data-[a-z-]+)="([^"]*)"')
_ADDRESSES = re.compile(r'(?:href|src|srcset)="([^"]+)"')
_ASKED = re.compile(r"\.([A-Za-z_][\w-]*)|\[(data-[a-z-]+)(?:[~|^$*]?=\"?([^\"\]]*)\"?)?\]")
_INSIDE = re.compile(r"\([^()]*\)")
_VARIABLE = re.compile(r"(--[\w-]+)")


@dataclass(frozen=True, slots=True)
class OwnPage:
    """A page in a scheme: where it lies, the folder of its language, what page of the site it is, and the key of what it is drawn from."""

    path: str
    folder: str
    page: str
    scheme: Scheme
    key: str
    edges: tuple[int, ...]

    @property
    def views(self) -> Views:
        return Views(WIDTHS, self.edges, self.scheme, glances=True)


@dataclass(frozen=True, slots=True)
class OwnSite:
    """A site with its files, named for whoever measures them, and its pages in every language and scheme."""

    files: SiteFiles
    pages: tuple[OwnPage, ...]


def own_site(site: Site, open_blob: Callable[[str], bytes] | None = None) -> OwnSite:
    """A site to be looked at. Without `open_blob` photographs are missing among its files and typefaces whole; keys are the same."""
    in_all = published(site)
    made = rendered_all(in_all, open_blob, named=True)
    if open_blob:
        made = lean(in_all, made)
    files = SiteFiles(None, {path: len(data) for path, data in made.items()}, made)
    digests = {f"pictures/{asset.id}-{one.width}.{one.form}": one.sha256 for asset in site.assets for one in asset.renditions}
    pages = []
    for folder, one in in_all.items():
        schemes: Sequence[Scheme] = one.system().schemes
        css = [made.get(folder + name, made.get(name, b"")).decode() for name in _SHEETS]
        for page in one.drawn:
            path = folder + one.file_name(page)
            drawn = _drawn_from(made, path, css, digests)
            beside = edges(files, path)
            for scheme in schemes:
                key = _digest([LOOKER, repr((WIDTHS, beside, scheme)), drawn])
                pages.append(OwnPage(path, folder, page.id, scheme, key, beside))
    return OwnSite(files, tuple(pages))


def _digest(parts: Sequence[str]) -> str:
    return hashlib.blake2b("\0".join(parts).encode(), digest_size=16).hexdigest()


def _drawn_from(made: Mapping[str, bytes], path: str, css: Sequence[str], digests: Mapping[str, str]) -> str:
    """A digest of the page, of the rules that can apply to it, and of the pictures that it names. A rule that asks for a class or an
    attribute which the page does not have is no part of it, and neither is a custom property that nothing of it names."""
    text = made[path].decode()
    has = frozenset(name for found in _CLASSES.findall(text) for name in found.split())
    data = frozenset(_DATA.findall(text)) | frozenset((name, "") for name, _ in _DATA.findall(text))
    rules = [body for sheet in reversed(css) for asked, body in _rules(sheet) if _applies(asked, has, data)]
    named = set(_VARIABLE.findall(text + "".join(body for body in rules if not body.startswith("--"))))
    held = _reached([body for body in rules if body.startswith("--")], named)
    asked = (one.split()[0] for address in _ADDRESSES.findall(text) for one in address.split(",") if one.strip())
    # A page of another language asks for what lies at the root.
    files = sorted({normpath(join(dirname(path), one)) for one in asked if not one.startswith(("#", "http", "mailto", "tel"))})
    pictures = [
        f"{at} {digests.get(at) or hashlib.blake2b(made[at], digest_size=8).hexdigest()}"
        for at in files
        if at in digests or (at in made and not at.endswith(_NAMED))
    ]
    return _digest([text, *(body for body in rules if not body.startswith("--")), *held, *pictures])


def _reached(properties: Sequence[str], named: set[str]) -> list[str]:
    """The custom properties that something names, and those that these name in turn."""
    by_name: dict[str, list[str]] = {}
    for one in properties:
        by_name.setdefault(one.partition(":")[0], []).append(one)
    left, kept = list(named & by_name.keys()), set[str]()
    while left:
        name = left.pop()
        if name in kept:
            continue
        kept.add(name)
        left += [one for body in by_name[name] for one in _VARIABLE.findall(body.partition(":")[2]) if one in by_name]
    return [body for name in sorted(kept) for body in by_name[name]]


_Asked = tuple[tuple[frozenset[str], frozenset[tuple[str, str]]], ...]


def _applies(asked: _Asked, has: frozenset[str], data: frozenset[tuple[str, str]]) -> bool:
    return not asked or any(classes <= has and attributes <= data for classes, attributes in asked)


@lru_cache(maxsize=16)
def _rules(sheet: str) -> tuple[tuple[_Asked, str], ...]:
    """The rules of a style sheet, each with what its selectors ask for, one of which has to be there; of custom properties each is a rule
    of its own, named first."""
    return tuple(_read(tinycss2.parse_stylesheet(sheet, skip_comments=True, skip_whitespace=True), ""))


def _read(nodes: Sequence[tinycss2.ast.Node], around: str) -> Iterator[tuple[_Asked, str]]:
    for node in nodes:
        if (
            node.type == "at-rule"
            and node.content is not None
            and node.lower_at_keyword in ("media", "supports", "layer", "container")
        ):
            head = f"{around}@{node.lower_at_keyword}{tinycss2.serialize(node.prelude)}"
            yield from _read(tinycss2.parse_rule_list(node.content, skip_comments=True, skip_whitespace=True), head)
        elif node.type == "qualified-rule":
            selectors = tinycss2.serialize(node.prelude)
            asked = _asked(selectors)
            body = []
            for one in tinycss2.parse_blocks_contents(node.content, skip_comments=True, skip_whitespace=True):
                if one.type == "declaration" and one.name.startswith("--"):
                    yield asked, f"{one.name}:{tinycss2.serialize(one.value)}@{around}{selectors}"
                else:
                    body.append(tinycss2.serialize([one]))
            yield asked, f"{around}{selectors}{{{';'.join(body)}}}"
        else:
            yield (), around + tinycss2.serialize([node])


def _asked(selectors: str) -> _Asked:
    """What each selector of a list asks for by classes and attributes; what stands in parentheses is not looked at."""
    plain, before = selectors, ""
    while plain != before:
        before, plain = plain, _INSIDE.sub("", plain)
    made = []
    for one in plain.split(","):
        found = _ASKED.findall(one)
        made.append(
            (
                frozenset(name for name, _, _ in found if name),
                frozenset((attribute, value) for _, attribute, value in found if attribute),
            )
        )
    return tuple(made)
