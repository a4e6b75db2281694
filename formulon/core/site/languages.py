"""A site in further languages. Layouts and style are shared; words are translated by a person, or by a service behind a protocol, and
never made up: what Formulon itself says on pages is put in by itself where it has words in both languages, what has no words (numbers,
addresses, the brand's name) stays as it is, and everything else waits for its translation.

A translated site is a site like any: it is resolved, rendered, predicted and checked in the same way.
"""

import re
from collections import defaultdict
from collections.abc import Iterable, Mapping, Sequence
from dataclasses import dataclass, field
from functools import lru_cache
from typing import Any, Literal, NamedTuple, Protocol

import icu

from formulon.core.errors import ChangeError
from formulon.core.site.changes import Change, checked
from formulon.core.site.documents import IDENTITY, LANGUAGES, Bodies, Body, documents, page_document, parts_of, site_from
from formulon.core.site.phrases import base, phrases, tables
from formulon.core.site.site import TAKEN, Edition, Site
from formulon.core.site.texts import Text, facts, texts
from formulon.core.site.translations import MOST_LANGUAGES, MOST_PLACES, Translation, key_of
from formulon.core.system.documents.identity import slug
from formulon.core.type.alike import asked, nearest, writes
from formulon.core.type.emphasis import plain

State = Literal["done", "older", "missing", "ours", "same"]
_LINKED = re.compile(r"\]\(([^)\s]+)\)")
_NUMBER = re.compile(r"\d+(?:[.,:]\d+)*")
_MAIL_OR_ADDRESS = re.compile(r"(https?://\S+|www\.\S+|[^\s@]+@[^\s@]+\.[^\s@]+)")


class Translator(Protocol):
    """What translates texts by itself. None for what it does not translate; it makes nothing up. `names` are the same in every
    language."""

    def translated(self, texts: list[str], source: str, target: str, names: frozenset[str]) -> list[str | None]: ...


class OwnPhrases:
    """The translator that ships: Formulon's own phrases, in the languages that have them."""

    def translated(self, texts: list[str], source: str, target: str, names: frozenset[str]) -> list[str | None]:
        return [_phrased(text, base(source), base(target), names) for text in texts]


TRANSLATOR: Translator = OwnPhrases()


@dataclass(frozen=True, slots=True)
class PlaceLine:
    """One of several places of a text, and what it is there where it means something else; empty where it is as elsewhere."""

    place: str
    page: str
    section: str
    label: str
    text: str


@dataclass(frozen=True, slots=True)
class Line:
    """A text beside what it is in another language: where it stands first, in how many places, how it is, what it was translated from
    where that has changed since, what of it the translation does not have (links, numbers), and its places where there are several."""

    source: str
    text: str
    state: State
    page: str
    section: str
    label: str
    count: int
    was: str
    lacks: list[str]
    places: list[PlaceLine]


def own_name(code: str) -> str:
    """A language's name in itself (CLDR, by ICU)."""
    locale = icu.Locale.forLanguageTag(code)
    name = str(locale.getDisplayName(locale))
    return name[:1].upper() + name[1:]


def switch_names(codes: Sequence[str]) -> list[str]:
    """Languages as the switch between them calls them: by their region only where two of them are one language otherwise."""
    plain_codes = [code.partition("-")[0] for code in codes]
    return [own_name(one if plain_codes.count(one) == 1 else code) for one, code in zip(plain_codes, codes, strict=True)]


def lines(site: Site, code: str, translator: Translator = TRANSLATOR) -> list[Line]:
    """Every text of a site once, beside what it is in a language, in the order of the pages. Raises ChangeError for one that the site
    does not have."""
    _known(site, code)
    found = _found(documents(site))
    made = []
    for source, told in _told(site, code, found, translator).items():
        first = found[source][0]
        lacks = _lacking(source, told.text) if told.state in ("done", "older") else []
        several = found[source][:MOST_PLACES] if len(found[source]) > 1 else []
        places = [PlaceLine(one.place, one.page, one.section, one.label, told.at.get(one.place, "")) for one in several]
        count = len(found[source])
        line = Line(source, told.text, told.state, first.page, first.section, first.label, count, told.was, lacks, places)
        made.append(line)
    return made


def _found(bodies: Bodies) -> dict[str, list[Text]]:
    """Every text with the places where it stands, in the order of the pages."""
    made: dict[str, list[Text]] = defaultdict(list)
    for one in (*facts(bodies), *texts(bodies)):
        if one.text.strip():
            made[one.text].append(one)
    return made


@dataclass(frozen=True, slots=True)
class _Told:
    text: str
    state: State
    was: str = ""
    at: Mapping[str, str] = field(default_factory=dict)


def _told(site: Site, code: str, found: Mapping[str, list[Text]], translator: Translator) -> dict[str, _Told]:
    """What each text is in a language: as it was translated; else as what stood at its place was, until that is looked at; else as
    Formulon says it; else as it is."""
    held = site.languages.further[code].texts
    stood = {place: one for one in held.values() if one.source not in found for place in one.places}
    sources = list(found)
    ours = translator.translated(sources, site.identity.language, code, frozenset({site.identity.name}))
    made = {}
    for source, own in zip(sources, ours, strict=True):
        known = held.get(key_of(source))
        before = next((stood[one.place] for one in found[source] if one.place in stood), None)
        if known and known.text:
            made[source] = _Told(known.text, "done", at=known.at)
        elif _stays(source, site):
            made[source] = _Told(source, "same")
        elif own is not None:
            made[source] = _Told(own, "ours")
        elif before and before.text:
            made[source] = _Told(before.text, "older", before.source)
        else:
            made[source] = _Told("", "missing")
    return made


def _stays(text: str, site: Site) -> bool:
    """Whether a text is the same in every language: it has no words, or is the brand's name."""
    bare = _MAIL_OR_ADDRESS.sub("", plain(text))
    return bare.strip() == site.identity.name or not any(char.isalpha() for char in bare)


def _lacking(source: str, text: str) -> list[str]:
    """Links and numbers of a text that its translation does not have. Separators of numbers differ by language, so digits count."""
    made = [f"the link to {to}" for to in _LINKED.findall(source) if f"]({to})" not in text]
    digits = re.sub(r"\D", "", text)
    made += [number for number in _NUMBER.findall(_LINKED.sub("", source)) if re.sub(r"\D", "", number) not in digits]
    return list(dict.fromkeys(made))[:6]


@lru_cache(maxsize=32)
def _forms(source: str) -> list[tuple[re.Pattern[str], str, int]]:
    """Phrases of a language as patterns, with their keys and the numbers of their forms; those with most words of their own first."""
    made = []
    for key, said in tables().get(source, {"words": {}})["words"].items():
        for number, form in enumerate([said] if isinstance(said, str) else said):
            parts = re.split(r"\{(\w+)\}", form)
            pattern = "".join(f"(?P<{part}>.+)" if index % 2 else re.escape(part) for index, part in enumerate(parts))
            made.append((re.compile(pattern, re.DOTALL), key, number))
    return sorted(made, key=lambda one: -len(one[0].pattern))


def _phrased(text: str, source: str, target: str, names: frozenset[str]) -> str | None:
    """A phrase of Formulon's own in another language, with the parts that it was filled with, where these are the same in every language;
    None for any other text."""
    if source not in tables() or target not in tables():
        return None
    for pattern, key, number in _forms(source):
        found = pattern.fullmatch(text)
        if found is None or any(part not in names and any(map(str.isalpha, part)) for part in found.groupdict().values()):
            continue
        said = tables()[target]["words"].get(key)
        forms = [said] if isinstance(said, str) else said or []
        if forms:
            return forms[number % len(forms)].format(**found.groupdict())
    return None


def in_language(site: Site, code: str, translator: Translator = TRANSLATOR) -> Site:
    """The site in one of its further languages. What is not translated yet is as it is. Raises ChangeError for a language that it does
    not have, and where a translation does not fit its place."""
    _known(site, code)
    bodies = documents(site)
    found = _found(bodies)
    told = _told(site, code, found, translator)
    for source, places in found.items():
        put, at = told[source].text or source, told[source].at
        for one in places if put != source or at else ():
            value: Any = bodies[one.document]
            for part in one.path[:-1]:
                value = value[part]
            value[one.path[-1]] = at.get(one.place) or put
    bodies[IDENTITY]["language"] = code
    # The others stand beside it as it stands beside them.
    others = [one for one in site.in_languages() if one != code]
    bodies[LANGUAGES] = {"further": {one: {"published": True} for one in others}}
    bodies[IDENTITY]["typefaces"] |= _faces(site, code)
    _addressed(site, bodies)
    if site.frame.address:
        bodies["frame"]["address"] = f"{site.frame.address}{code}/"
    try:
        full = {name: checked(name, body) for name, body in bodies.items()}
    except ValueError as error:
        raise ChangeError(str(error)) from error
    made = site_from(parts_of(full), site.assets, site.library)
    return made.with_editions(site.editions) if site.editions else made


def _faces(site: Site, code: str) -> dict[str, str]:
    """The families that stand in for those that lack the letters of a language: the ones that look most like them."""
    made, name = {}, site.identity.name
    for role, used in site.identity.typefaces.model_dump().items():
        family = site.library.family(used) if used else None
        if family is None or writes(family, code):
            continue
        found = nearest(family.measured, asked(code, name), family.category) or nearest(
            family.measured, asked(code), family.category
        )
        if found:
            made[role] = found.id
    return made


def _addressed(site: Site, bodies: dict[str, Body]) -> None:
    """Gives the pages addresses by what they are called in the other language, where it has letters for that and they are free."""
    taken = {*TAKEN, "thanks"}
    for page in site.pages[1:]:
        body = bodies[page_document(page.id)]
        named = slug(body["name"], "") if body["name"] != page.name else ""
        address = named if named and named not in taken else page.address or page.id
        while address in taken:
            address += "-2"
        taken.add(address)
        body["address"] = address


def editions(site: Site) -> list[Edition]:
    """The languages in which a site is published, its own first; none where it has but one."""
    published = [code for code, one in site.languages.further.items() if one.published]
    if not published:
        return []
    own, *names = switch_names([site.identity.language, *published])
    made = [Edition(site.identity.language, own, "", {page.id: site.file_name(page) for page in site.pages})]
    for code, name in zip(published, names, strict=True):
        other = in_language(site.with_editions(()), code)
        made.append(Edition(code, name, f"{code}/", {page.id: other.file_name(page) for page in other.pages}))
    return made


def published(site: Site) -> dict[str, Site]:
    """The site in every language in which it is published, by the folder in which each stands; its own in none."""
    all_of = tuple(editions(site))
    whole = site.with_editions(all_of)
    whole.dressed_as(site)
    return {"": whole} | {one.folder: in_language(whole, one.language) for one in all_of[1:]}


class LanguageLink(NamedTuple):
    """The page in another language, or in its own: empty where it has no address, as in the studio."""

    language: str
    name: str
    address: str
    whole: str
    current: bool


def language_links(site: Site, page: str) -> list[LanguageLink]:
    """A page in the languages of its site, its own first; none where it has but one. What is no page of the site leads to start pages."""
    own = site.identity.language
    if not site.editions:
        codes = site.in_languages()
        return [LanguageLink(one, name, "", "", one == own) for one, name in zip(codes, switch_names(codes), strict=True)]
    at = next((one.folder for one in site.editions if one.language == own), "")
    root, up = site.frame.address.removesuffix(at), "../" if at else ""
    made = []
    for one in site.editions:
        file = one.files.get(page, "index.html")
        whole = f"{root}{one.folder}{'' if file == 'index.html' else file}" if root else ""
        made.append(LanguageLink(one.language, one.name, f"{up}{one.folder}{file}", whole, one.language == own))
    return made


def put(site: Site, code: str, wanted: Mapping[str, str], at: Mapping[str, Mapping[str, str]] | None = None) -> Change:
    """The change that writes translations by what they are translated from; an empty one takes a translation back. `at` has what a text is
    at places where it means something else, empty for as elsewhere. What nothing has to do with any more is let go. Raises ChangeError
    where one does not fit its place."""
    held = dict(_known(site, code).texts)
    places = {source: [one.place for one in found] for source, found in _found(documents(site)).items()}
    for source, text in wanted.items():
        if source not in places:
            raise ChangeError(f"“{source[:60]}” does not stand on the site any more.")
        if text.strip():
            kept_at = {place: said for place, said in _at(held, source).items() if place in places[source]}
            held[key_of(source)] = Translation(
                source=source, text=text.strip(), places=places[source][:MOST_PLACES], at=kept_at
            )
        else:
            held.pop(key_of(source), None)
    for source, by_place in (at or {}).items():
        known = held.get(key_of(source))
        if known is None or source not in places or not set(by_place) <= set(places[source]):
            raise ChangeError(f"“{source[:60]}” is not translated yet, or does not stand there any more.")
        said = _at(held, source) | {place: text.strip() for place, text in by_place.items()}
        held[key_of(source)] = known.model_copy(update={"at": {place: text for place, text in said.items() if text}})
    taken = {place for one in wanted for place in places[one]}
    kept = {key: one for key, one in held.items() if one.source in places or not taken.intersection(one.places)}
    body = {key: one.model_dump() for key, one in kept.items()}
    change = Change(document=LANGUAGES, patch=[{"op": "add", "path": f"/further/{code}/texts", "value": body}])
    _fits(site, code, body)
    return change


def _at(held: Mapping[str, Translation], source: str) -> dict[str, str]:
    known = held.get(key_of(source))
    return dict(known.at) if known else {}


def _fits(site: Site, code: str, body: dict[str, Any]) -> None:
    """Raises ChangeError where a translation does not fit its place."""
    further = site.languages.model_dump()
    further["further"][code]["texts"] = body
    made = site.model_copy(update={"languages": type(site.languages).model_validate(further)})
    in_language(made, code)


def added(site: Site, code: str) -> Change:
    """The change that adds a language. Raises ChangeError for the site's own, one that it has, and one too many."""
    if code == site.identity.language:
        raise ChangeError("This is the site's own language.")
    if code in site.languages.further:
        raise ChangeError("The site has this language already.")
    if len(site.languages.further) >= MOST_LANGUAGES:
        raise ChangeError(f"A site has at most {MOST_LANGUAGES} further languages.")
    value = {"published": False, "texts": {}}
    return Change(document=LANGUAGES, patch=[{"op": "add", "path": f"/further/{code}", "value": value}])


def removed(site: Site, code: str) -> Change:
    """The change that takes a language out, with its texts."""
    _known(site, code)
    return Change(document=LANGUAGES, patch=[{"op": "remove", "path": f"/further/{code}"}])


def publishing(site: Site, code: str, wanted: bool) -> Change:
    """The change that has a language published, or not."""
    _known(site, code)
    return Change(document=LANGUAGES, patch=[{"op": "replace", "path": f"/further/{code}/published", "value": wanted}])


def missing(told: Iterable[Line]) -> int:
    """How many texts are not translated."""
    return sum(one.state == "missing" for one in told)


def _known(site: Site, code: str) -> Any:
    if code not in site.languages.further:
        raise ChangeError("The site does not have this language.")
    return site.languages.further[code]


def greeting(code: str) -> str:
    """What the switch between languages is called, in a language; its own name where Formulon has no word for it."""
    return phrases(code).say("languages") or own_name(code)
