"""Shapes of the languages of a site."""

from typing import Literal

from pydantic import Field

from formulon.core.site.languages import Line
from formulon.studio.api.shapes import Shape


class LanguageRequest(Shape):
    """A language by its code."""

    code: str = Field(pattern=r"^[a-z]{2,3}(-[A-Za-z0-9]{2,8})*$", max_length=20)


class LanguageFinding(Shape):
    """What a rule finds of a page in a language: the page and the slot that it is of, and whether it stops a release."""

    page: str
    section: str
    message: str
    stops: bool


class LanguageTexts(Shape):
    """Every text of the site beside what it is in a language, and what the checks find of its pages."""

    code: str
    name: str
    published: bool
    lines: list[Line]
    findings: list[LanguageFinding]


class LanguageGate(Shape):
    """A language that is to be published: what of it holds a release back, and how many findings it has that do not."""

    code: str
    name: str
    missing: int
    stops: list[LanguageFinding]
    notes: int


class LanguageGates(Shape):
    languages: list[LanguageGate]


class TextsRequest(Shape):
    """Translations by the texts that they are of, an empty one takes one back; and what a text is at places where it means something else,
    by its text and the place, an empty one for as elsewhere."""

    texts: dict[str, str] = Field(default_factory=dict, max_length=400)
    at: dict[str, dict[str, str]] = Field(default_factory=dict, max_length=400)


class PublishedRequest(Shape):
    published: bool


class FurtherLanguage(Shape):
    """A further language of the site: how many of its texts are in each state."""

    code: str
    name: str
    published: bool
    states: dict[Literal["done", "older", "missing", "ours", "same"], int]


class SiteLanguages(Shape):
    """The site's own language, those that it has besides, and those that the brief names and it does not have yet."""

    own: str
    own_name: str
    further: list[FurtherLanguage]
    wanted: list[str]
