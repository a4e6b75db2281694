"""Words of Formulon's own: names in every table, sentences in those that are whole, and none of them on a page of another language."""

import json
import re

import pytest

from formulon.core.checks.predict import predict
from formulon.core.checks.runner import check
from formulon.core.site.phrases import MODEL, offered, page_named, phrases, tables, whole
from formulon.core.site.planning.planner import plan
from formulon.core.site.render import render_page
from formulon.core.site.telephone import dialled
from formulon.core.system.documents.identity import Identity, slug
from formulon.core.system.resolve import resolve
from formulon.core.type.alike import defaults, for_language, writes
from formulon.core.type.languages import LANGUAGES, letters, right_to_left
from formulon.core.type.library import SHIPPED

NAMES = {
    "home",
    "about",
    "offer",
    "contact",
    "skip",
    "pages",
    "all_pages",
    "enlarge",
    "shut",
    "send",
    "your_name",
    "message",
    "email",
    "phone",
    "address",
    "hours",
    "menu",
    "close",
}


def test_every_table_has_the_names_of_pages_and_parts() -> None:
    assert len(tables()) >= 20
    for language, table in tables().items():
        words = table["words"]
        assert set(words) >= NAMES and all(words[key].strip() for key in NAMES), language  # type: ignore[union-attr]
        assert language in whole() or set(words) == NAMES, language


def test_whole_tables_have_every_phrase_in_as_many_parts() -> None:
    """A phrase with a part that another language leaves out would lose a fact."""
    assert whole() >= {"en", "de", "fr", "es", "it", "pt", "nl", "pl", "cs", "sv", "el", "uk", "vi"}
    model = tables()[MODEL]["words"]
    for language in whole():
        words = tables()[language]["words"]
        assert set(words) == set(model), language
        for key, phrase in words.items():
            forms, asked = ([one] if isinstance(one, str) else one for one in (phrase, model[key]))
            parts = {frozenset(re.findall(r"\{(\w+)\}", form)) for form in forms}
            assert all(form.strip() == form and form for form in forms), (language, key)
            assert parts == {frozenset(re.findall(r"\{(\w+)\}", asked[0]))}, (language, key)


@pytest.mark.parametrize("language", sorted(whole()))
def test_phrases_keep_to_the_typography_of_their_language(language: str) -> None:
    """No straight quotation mark or apostrophe anywhere; in French a no-break space before what stands high (Lexique des règles
    typographiques en usage à l'Imprimerie nationale, from memory); capitals for headings as sentences have them."""
    for key, phrase in tables()[language]["words"].items():
        for form in [phrase] if isinstance(phrase, str) else phrase:
            assert not set(form) & set("\"'"), (key, form)
            if language == "fr":
                assert not re.search(r"(?<![\u00a0\u202f])[:;!?]", form), (key, form)
            bare = re.sub(r"\{\w+\}", "", form).split()
            assert language == "de" or sum(word[:1].isupper() for word in bare[1:]) <= 1, (key, form)


class _Nothing(dict[str, str]):
    def __missing__(self, key: str) -> str:
        return ""


@pytest.mark.parametrize("language", sorted(set(tables()) & set(LANGUAGES)))
def test_names_are_written_in_the_letters_of_their_language(language: str) -> None:
    """CLDR's exemplar letters, by ICU; "E-mail" and the like are names that languages share."""
    table = "".join(str(word).format_map(_Nothing()) for word in tables()[language]["words"].values())
    strange = {char for char in table if char.isalpha() and ord(char) not in letters(language)}
    assert not strange or strange <= set("EMailemailqwxyQWXY"), strange


SENTENCES = (
    "Who it is for",
    "You find us",
    "Open:",
    "Get in touch",
    "See what",
    "How to reach",
    "Talk to us",
    "Come and see",
    "At a glance",
    "Skip to",
)


@pytest.mark.parametrize("language", ["de", "el", "pl", "vi", "he", "ja", "cy"])
def test_no_english_stands_on_a_page_of_another_language(language: str) -> None:
    identity = Identity.model_validate({
        "name": "Q", "language": language, "strapline": "S", "does": "D.", "audience": "a", "place": "Łódź",
        "offers": [{"name": "X", "text": "x"}, {"name": "Y", "text": "y"}],
        "contact": {"hours": "Montag bis Freitag", "phone": "030 123456", "email": "a@b.example", "address": "W"},
    })  # fmt: skip
    site = plan(identity)
    system = resolve(identity)
    for page in site.pages:
        html = render_page(site, system, page)
        shown = re.sub(r"<[^>]*>", " ", html)
        found = [one for one in SENTENCES if one in shown and language != "cy" and language != "ja"]
        assert not found, (page.id, found)
        sections = str([section.content for section in page.sections])
        assert not any(one in sections for one in SENTENCES), page.id
        assert f'<html lang="{language}"' in html and ('dir="rtl"' in html) == (language == "he")


def test_pages_that_every_site_has_are_known_in_any_language() -> None:
    for name, page in (("Kontakt", "contact"), ("über  uns", "about"), ("ABOUT US", "about"), ("Επικοινωνία", "contact")):
        assert page_named(name) == page
    assert (
        page_named("Programme") == "programme"
        and page_named("Anfahrt") == "getting_here"
        and page_named("") == "" == page_named("Shed")
    )
    assert right_to_left("ar-EG") and right_to_left("he") and not right_to_left("de") and not right_to_left("az")
    assert phrases("nn").known and not phrases("tlh").known


@pytest.mark.parametrize(
    ("number", "language", "link"),
    [
        ("+49 (0)221 / 12 34-0", "en-GB", "tel:+49-221-12340"),  # the zero in brackets is dialled within the country alone
        ("0221 / 12 34-0", "de", "tel:022112340"),
        ("01632 960174", "en-GB", "tel:01632960174"),
        ("+44 20 7946 0018 ext. 12", "en-GB", "tel:+44-20-7946-0018;ext=12"),
        ("0800 FLOWERS", "de", "tel:08003569377"),  # letters as ITU-T E.161 has them
        ("tel 0221 1234 (mornings)", "de", "tel:02211234"),
        ("0221 123456 / 0171 234567", "de", ""),
        ("ask for Anna", "en", ""),
        ("", "en", ""),
        ("1", "de", ""),
    ],
)
def test_what_can_be_dialled_is_a_link_and_the_rest_a_text(number: str, language: str, link: str) -> None:
    """Numbers out of ranges that regulators keep for fiction (Ofcom: 01632 960, 020 7946 0), or made up."""
    assert dialled(number, language) == link
    site = plan(Identity.model_validate({"name": "Q", "language": language, "contact": {"phone": number}}))
    html = render_page(site, resolve(site.identity), site.pages[-1])
    assert ("tel:" in html) == bool(link)
    assert not number or number in html.replace("&#34;", '"')


def test_ids_are_written_in_latin_letters() -> None:
    """ICU's transliteration; what it leaves without letters gets a name of its own."""
    for name, made in (
        ("Über Straße", "uber-strasse"),
        ("Цены", "ceny"),
        ("青", "qing"),
        ("🌿", "item"),
        ("O’Neill", "oneill"),
    ):
        assert slug(name) == made
    assert len(slug("字" * 80)) <= 40


@pytest.mark.parametrize("language", ["en", "el", "ru", "uk", "bg", "vi", "pl", "tr"])
def test_a_typeface_that_is_not_chosen_has_the_letters(language: str) -> None:
    assert all(writes(SHIPPED[one], language) for one in defaults(language))
    typefaces = Identity(name="Q", language=language).typefaces
    assert (typefaces.heading, typefaces.body) == defaults(language)
    assert writes(SHIPPED[for_language("figtree", language)], language)
    if language == "en":
        assert defaults(language) == ("young-serif", "figtree")


@pytest.mark.parametrize(
    ("name", "language"),
    [("Παρατηρητήριο", "en-GB"), ("Обсерватория", "de"), ("Nguyễn & Con", "en"), ("Łódź Ξύλο", "pl"), ("א־ב", "de")],
)
def test_nor_has_it_only_those_of_the_language_but_those_of_the_name(name: str, language: str) -> None:
    identity = Identity.model_validate({"name": name, "language": language})
    assert (identity.typefaces.heading, identity.typefaces.body) == defaults(language, name)
    assert all(writes(SHIPPED[one], language, name) for one in defaults(language, name))
    system, site = resolve(identity), plan(identity)
    lacking = [one for one in check(predict(site, system), system).findings if one.rule == "type/missing-glyphs"]
    assert lacking == []


@pytest.mark.parametrize("name", ["青木木工", "ქარვა", "🌿", "Quill & Söhne", "…", ""])
def test_a_name_in_letters_that_no_family_has_changes_no_typeface(name: str) -> None:
    assert defaults("de", name) == defaults("de")


def test_a_typeface_of_ones_own_choice_is_never_changed_by_the_name() -> None:
    typefaces = {"heading": "young-serif", "body": "figtree"}
    identity = Identity.model_validate({"name": "Παρατηρητήριο", "typefaces": typefaces})
    assert (identity.typefaces.heading, identity.typefaces.body) == ("young-serif", "figtree")


def test_languages_are_offered_by_the_names_that_cldr_has() -> None:
    known = {one.code: one for one in offered()}
    assert [one.name for one in offered()] == sorted(one.name for one in offered()) and len(known) == len(offered()) >= 30
    assert {*tables()} - {"en"} <= known.keys() and {"en-GB", "en-US"} <= known.keys()
    assert [(known[code].name, known[code].own) for code in ("de", "el", "vi", "he")] == [
        ("German", "Deutsch"), ("Greek", "Ελληνικά"), ("Vietnamese", "Tiếng Việt"), ("Hebrew", "עברית"),
    ]  # fmt: skip
    assert {code for code, one in known.items() if one.sentences} == whole() - {"en"} | {"en-US", "en-GB"}
    assert known["fi"].words and not known["fi"].sentences and not known["ga"].words
    for code in known:
        assert Identity.model_validate({"name": "Q", "language": code}).language == code


@pytest.mark.parametrize("language", sorted(whole()))
def test_spaces_at_which_no_line_may_be_broken_stay_on_the_pages(language: str) -> None:
    """In French a colon keeps to the word before it (Imprimerie nationale, from memory); no table's own spaces are lost on the way."""
    identity = Identity.model_validate(
        {"name": "Osier", "language": language, "place": "Ry", "contact": {"email": "a@b.example"}}
    )
    words = json.dumps([one.content for page in plan(identity).pages for one in page.sections], ensure_ascii=False)
    invited = phrases(language).say("come_and_see", "Osier", place="Ry")
    assert invited in words
    assert language != "fr" or "\u00a0:" in words
