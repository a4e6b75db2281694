"""Identity: the facts that a brand has already fixed. Formulon never alters them."""

import re
from collections.abc import Iterable
from functools import cache, lru_cache
from typing import Any, Literal, Self

import icu
from pydantic import BaseModel, ConfigDict, Field, field_validator, model_validator

from formulon.core.color.parse import ParsedColor, parse_color
from formulon.core.type.alike import defaults
from formulon.core.type.library import DEFAULT_BODY, DEFAULT_HEADING, SHIPPED, Measured

# What wires call the colours that every system has.
RESERVED = ("white", "black", "neutral")
_LANGUAGE = "en-GB"

# What no page can hold: the control characters of C0 and DEL but for tab and line breaks (HTML 5, 13.1.5; XML 1.0, 2.2).
CONTROLS = re.compile(r"[\x00-\x08\x0b\x0c\x0e-\x1f\x7f]")


@cache
def _latin() -> Any:
    return icu.Transliterator.createInstance("Any-Latin; Latin-ASCII")


@lru_cache(maxsize=4096)
def slug(text: str, fallback: str = "item") -> str:
    """A short identifier of a–z, 0–9 and hyphens for any text, written in Latin letters by ICU's transliteration."""
    plain = text if text.isascii() else str(_latin().transliterate(text)).replace("'", "")
    return re.sub(r"[^a-z0-9]+", "-", plain.lower()).strip("-")[:40].strip("-") or fallback


def free_id(wanted: str, taken: Iterable[str], most: int = 40) -> str:
    """The id itself, or the first of id-2, id-3 … that is not taken; no longer than `most` characters."""
    known, number, made = set(taken), 1, wanted[:most]
    while made in known:
        number += 1
        made = f"{wanted[: most - 1 - len(str(number))]}-{number}"
    return made


class Model(BaseModel):
    """Base of the documents that people write: unknown keys are refused, so that a typing error is seen. Control characters,
    which come along with pasted text and which no page can hold, are left out."""

    model_config = ConfigDict(extra="forbid", str_strip_whitespace=True)

    @field_validator("*", mode="before")
    @classmethod
    def _no_controls(cls, value: Any) -> Any:
        if isinstance(value, str):
            return CONTROLS.sub("", value) if CONTROLS.search(value) else value
        if isinstance(value, list):
            return [CONTROLS.sub("", one) if isinstance(one, str) else one for one in value]
        return value


def color_id(name: str) -> str:
    """The id that a colour gets by its name."""
    made = slug(name, "color")
    return f"brand-{made}" if made in RESERVED else made


class BrandColor(Model):
    """One exact colour. `value` is kept as it was written; `id` stays when the colour is renamed."""

    id: str = ""
    name: str = Field(min_length=1, max_length=60)
    value: str = Field(max_length=80)
    print: list[str] = Field(default_factory=list, max_length=8, description="Values for print, as written; never converted.")
    locked: bool = Field(default=False, description="Kept from being changed or taken out until it is unlocked.")

    @model_validator(mode="after")
    def _check(self) -> Self:
        try:
            parse_color(self.value)
        except Exception as error:
            raise ValueError(f"{self.name}: {error}") from error
        self.id = self.id or color_id(self.name)
        if self.id in RESERVED:
            raise ValueError(f"{self.name}: the id “{self.id}” stands for a colour of the system. Choose another.")
        if not re.fullmatch(r"[a-z0-9-]{1,40}", self.id):
            raise ValueError(f"{self.name}: the id “{self.id}” may hold only a–z, 0–9 and hyphens.")
        return self

    @property
    def parsed(self) -> ParsedColor:
        return parse_color(self.value)


class Typefaces(Model):
    """The ids of the heading and the body family, and of a third for labels, out of the library or of the brand's own;
    without a third, labels are set in the body family."""

    heading: str = DEFAULT_HEADING
    body: str = DEFAULT_BODY
    third: str = ""

    def used(self) -> tuple[str, ...]:
        """Each family once."""
        return tuple(dict.fromkeys(one for one in (self.heading, self.body, self.third) if one))


class FontFile(Model):
    """One file of a brand's own family, by the SHA-256 of its bytes: rebuilt as WOFF2 by the reader's process."""

    sha256: str = Field(pattern=r"^[0-9a-f]{64}$")
    lightest: int = Field(ge=1, le=1000)
    heaviest: int = Field(ge=1, le=1000)
    size: int = Field(ge=1, description="Bytes.")
    italic: bool = False


class OwnFont(Model):
    """A typeface of the brand's own, of which the files are here. Made by the reader's process alone.

    `declared` says that the designer has a licence for its use on websites; a restricted one cannot be used without.
    """

    id: str = Field(pattern=r"^own-[0-9a-f]{12}$")
    name: str = Field(min_length=1, max_length=60, pattern=r"^[\w .&+-]+$")
    category: Literal["serif", "sans-serif", "monospace", "handwriting"]
    files: list[FontFile] = Field(min_length=1, max_length=20)
    italic: bool = False
    measured: Measured
    languages: list[str] = Field(default_factory=list, max_length=60)
    axes: list[str] = Field(default_factory=list, max_length=30)
    embedding: str = Field(default="", max_length=80, description="What OS/2 fsType allows, in words.")
    restricted: bool = False
    no_subsetting: bool = False
    reserved_name: bool = False
    licence: str = Field(default="", max_length=300)
    declared: bool = False


class AttachedFile(Model):
    """A file that links lead to, by the SHA-256 of its bytes. It comes by upload alone; see site/attached.py."""

    id: str = Field(pattern=r"^[a-z0-9-]{1,60}$")
    name: str = Field(min_length=1, max_length=120)
    ending: str = Field(pattern=r"^[a-z0-9]{2,5}$")
    size: int = Field(ge=1, description="Bytes.")
    sha256: str = Field(pattern=r"^[0-9a-f]{64}$")


class BrandFace(Model):
    """A typeface that the brand names. `library` is the family that stands for it on pages."""

    family: str = Field(min_length=1, max_length=80)
    role: Literal["headings", "running text", "other"] = "other"
    library: str = Field(default="", max_length=60)


class BrandMeasure(Model):
    """A measure that the brand uses, in CSS px."""

    measure: Literal["radius", "spacing", "text size", "line height", "other"]
    name: str = Field(default="", max_length=60)
    px: float = Field(ge=0, le=10_000)


# What a guideline may rule out on pages, so that it can be checked.
MOST_COLORS = 12
RULED_OUT = (
    "shadows",
    "gradients",
    "round corners",
    "capitals",
    "italics",
    "text on pictures",
    "treated photographs",
    "motion",
)


class BrandRule(Model):
    """A rule of the guideline. `values` by rule: least size {px, side, mark}; clear space {px} or {share, of}; proportions
    {name of colour: percent}; forbidden and wanted pair {ink, ground}; words to use and to avoid {words}; buttons and links
    {button radius, button, second button, button capitals, links}; tone {wanted, unwanted}, words of character; not used {what}, of
    RULED_OUT; as said {about}, a sentence that no grammar understands, until a person says what it asks."""

    rule: Literal[
        "least size", "clear space", "proportions", "forbidden pair", "wanted pair", "words to use", "words to avoid",
        "buttons and links", "tone", "not used", "as said",
    ]  # fmt: skip
    text: str = Field(max_length=300)
    values: dict[str, str | float | list[str]] = Field(default_factory=dict)

    @model_validator(mode="after")
    def _known(self) -> Self:
        if self.rule == "not used":
            what = self.values.get("what")
            strange = [one for one in what if one not in RULED_OUT] if isinstance(what, list) else [str(what)]
            if strange:
                raise ValueError(f"Whether “{strange[0][:40]}” are used cannot be told. Choose of {', '.join(RULED_OUT)}.")
        return self


class ClientText(Model):
    """A text of the client's own."""

    heading: str = Field(default="", max_length=160)
    text: str = Field(min_length=1, max_length=4000)
    source: str = Field(default="", max_length=200)


class ClientPicture(Model):
    """A picture of the client's own, by the id of its asset."""

    asset: str = Field(pattern=r"^[a-z0-9-]{1,60}$")
    alt: str = Field(default="", max_length=300)


_Axis = Field(default=None, ge=-2, le=2)


class Character(Model):
    """Five axes, each -2 to 2 from the first word to the second; None is not decided."""

    calm_lively: int | None = _Axis
    plain_ornate: int | None = _Axis
    classical_modern: int | None = _Axis
    soft_sharp: int | None = _Axis
    quiet_loud: int | None = _Axis


class Offer(Model):
    """Something that the brand offers, in its own words."""

    name: str = Field(min_length=1, max_length=80)
    text: str = Field(default="", max_length=600)


class Contact(Model):
    """How to reach the brand; what is empty is not known."""

    address: str = Field(default="", max_length=300)
    phone: str = Field(default="", max_length=40)
    email: str = Field(default="", max_length=120)
    hours: str = Field(default="", max_length=200)

    @field_validator("email")
    @classmethod
    def _email(cls, value: str) -> str:
        if value and not re.fullmatch(r"[^@\s<>\"]+@[^@\s<>\"]+\.[^@\s<>\".]+", value):
            raise ValueError(f"“{value}” is not an email address.")
        return value


class Mark(Model):
    """A logo file. `svg` has gone through identity.svg.rebuild, which alone may be drawn."""

    id: str = Field(pattern=r"^[a-z0-9-]{1,60}$")
    name: str = Field(max_length=80)
    kind: Literal["full", "symbol", "wordmark"] = "full"
    meant_for: Literal["any", "light", "dark"] = "any"
    svg: str


class Identity(Model):
    """The brand. Only a name and its colours are needed; everything else has a default."""

    name: str = Field(min_length=1, max_length=80)
    strapline: str = Field(default="", max_length=160)
    does: str = Field(default="", max_length=600, description="What it does, in a sentence or two.")
    audience: str = Field(default="", max_length=300)
    place: str = Field(default="", max_length=120)
    offers: list[Offer] = Field(default_factory=list, max_length=12)
    contact: Contact = Field(default_factory=Contact)
    language: str = Field(default=_LANGUAGE, pattern=r"^[a-zA-Z]{2,3}(-[a-zA-Z0-9]{2,8})*$")
    colors: list[BrandColor] = Field(default_factory=list, max_length=MOST_COLORS)
    typefaces: Typefaces = Field(default_factory=Typefaces)
    fonts: list[OwnFont] = Field(default_factory=list, max_length=12, description="Typefaces of the brand's own, with files.")
    marks: list[Mark] = Field(default_factory=list, max_length=12)
    organisation: str = Field(
        default="", max_length=40, description="A kind out of core/system/documents/organisations.py, or empty."
    )
    proof: list[str] = Field(default_factory=list, max_length=12, description="What shows that it is good: facts, no praise.")
    languages: list[str] = Field(default_factory=list, max_length=8, description="Further languages of the site, as codes.")
    pages: list[str] = Field(default_factory=list, max_length=12, description="Pages wanted besides the usual four, by name.")
    extent: Literal["pages", "one page"] = Field(
        default="pages", description="Whether the site has pages, or one page with links to its sections."
    )
    social: list[str] = Field(default_factory=list, max_length=12)
    character: Character = Field(default_factory=Character)
    faces: list[BrandFace] = Field(default_factory=list, max_length=12)
    gradients: list[str] = Field(default_factory=list, max_length=12, description="Gradients of the brand, as CSS.")
    measures: list[BrandMeasure] = Field(default_factory=list, max_length=40)
    rules: list[BrandRule] = Field(default_factory=list, max_length=60)
    texts: list[ClientText] = Field(default_factory=list, max_length=80)
    pictures: list[ClientPicture] = Field(default_factory=list, max_length=80)
    files: list[AttachedFile] = Field(default=[], max_length=60, description="Files that links lead to.")

    @model_validator(mode="before")
    @classmethod
    def _letters(cls, value: Any) -> Any:
        """A brand that names no typefaces gets such as have the letters of its language and of its name."""
        if isinstance(value, dict) and not value.get("typefaces"):
            language, name = value.get("language", _LANGUAGE), value.get("name", "")
            if not isinstance(language, str) or not isinstance(name, str):
                return value
            try:
                heading, body = defaults(language, name[:80])
            except icu.ICUError:
                return value
            return {**value, "typefaces": {"heading": heading, "body": body}}
        return value

    @field_validator("colors", mode="before")
    @classmethod
    def _ids(cls, value: Any) -> Any:
        """Colours that come without an id get one of their own, also where two have one name, or none in Latin letters."""
        if not isinstance(value, list):
            return value
        taken = {str(one.get("id") if isinstance(one, dict) else getattr(one, "id", "")) for one in value}
        made: list[Any] = []
        for one in value:
            if isinstance(one, dict) and not one.get("id") and isinstance(one.get("name"), str) and one["name"].strip():
                one = one | {"id": free_id(color_id(one["name"].strip()), taken)}
                taken.add(one["id"])
            made.append(one)
        return made

    @field_validator("social")
    @classmethod
    def _addresses(cls, value: list[str]) -> list[str]:
        for one in value:
            if not re.fullmatch(r"https?://[^\s<>\"'\\]{3,200}", one):
                raise ValueError(f"“{one[:60]}” is no web address. Begin it with https://.")
        return value

    @field_validator("gradients")
    @classmethod
    def _gradients(cls, value: list[str]) -> list[str]:
        for one in value:
            if not re.fullmatch(r"[a-z-]+gradient\([\w\s#.,%()+/-]{3,380}\)", one):
                raise ValueError(f"“{one[:60]}” is no CSS gradient.")
        return value

    @field_validator("languages")
    @classmethod
    def _languages(cls, value: list[str]) -> list[str]:
        for one in value:
            if not re.fullmatch(r"[a-zA-Z]{2,3}(-[a-zA-Z0-9]{2,8})*", one):
                raise ValueError(f"“{one[:30]}” is no language code. Write for example cy or fr-CA.")
        return value

    @model_validator(mode="after")
    def _families(self) -> Self:
        own = {font.id: font for font in self.fonts}
        for one in self.typefaces.used():
            if one in own:
                if own[one].restricted and not own[one].declared:
                    raise ValueError(
                        f"{own[one].name}: its file forbids embedding. Say that you hold a licence for websites before it is used."
                    )
            elif one not in SHIPPED:
                known = ", ".join([*own, *sorted(SHIPPED)])
                raise ValueError(f"There is no typeface “{one}”. Choose one of: {known}.")
        return self

    @model_validator(mode="after")
    def _unique(self) -> Self:
        for kind, ids in (
            ("colour", [c.id for c in self.colors]),
            ("mark", [m.id for m in self.marks]),
            ("file", [f.id for f in self.files]),
        ):
            twice = {one for one in ids if ids.count(one) > 1}
            if twice:
                raise ValueError(f"Two {kind}s have the id “{twice.pop()}”. Give one of them another name.")
        return self
