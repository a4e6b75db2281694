"""A site in several languages: each text once beside its translation, whatever is moved or written anew; pages by folder with addresses,
alternates and a switch; and nothing made up."""

import re
import xml.etree.ElementTree as ElementTree
from collections.abc import Sequence
from functools import cache
from typing import Any

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from lxml import html as documents

from formulon.core.checks.predict import predict
from formulon.core.checks.runner import check
from formulon.core.errors import ChangeError
from formulon.core.site.changes import Change, apply
from formulon.core.site.documents import documents as documents_of
from formulon.core.site.documents import parts_of, site_from
from formulon.core.site.editions import rendered
from formulon.core.site.languages import (
    Line,
    added,
    editions,
    in_language,
    language_links,
    lines,
    missing,
    publishing,
    put,
    removed,
    switch_names,
)
from formulon.core.site.phrases import tables, whole
from formulon.core.site.placed import kept_at_places
from formulon.core.site.planning.planner import plan
from formulon.core.site.render import render
from formulon.core.site.site import Site
from formulon.core.site.structure import arranged
from formulon.core.site.structure.operations import Duplicate, Move, MovePage, Park, RenamePage
from formulon.core.site.translations import MOST_LANGUAGES
from formulon.core.site.versions import versioned
from formulon.core.system.documents.identity import Identity
from formulon.core.type.alike import writes

FERRY = {
    "name": "Färgan", "language": "sv", "does": "En färja mellan två öar. Den går kl. 9 och 17.", "place": "Norrfjärd",
    "offers": [{"name": f"Tur {n}", "text": f"Tur nummer {n}. Hem igen samma dag."} for n in ("ett", "två", "tre")],
    "contact": {"email": "hej@fargan.example", "phone": "0911 555 01", "hours": "Alla dagar"},
}  # fmt: skip
ARCHIVE = {
    "name": "دار الورق", "language": "ar", "does": "نرمم الكتب القديمة.", "contact": {"email": "warraq@dar.example"},
    "offers": [{"name": "ترميم", "text": "ثلاثة أسابيع."}],
}  # fmt: skip
BARE = {"name": "Brod", "language": "hr"}
BRANDS = {"ferry": FERRY, "archive": ARCHIVE, "bare": BARE}


@cache
def planned(name: str) -> Site:
    return plan(Identity.model_validate(BRANDS[name]), composed=False)


def having(site: Site, code: str) -> Site:
    return apply(site, [added(site, code)])


def translated(site: Site, code: str, how: str = "{0} ({1})") -> Site:
    """The site with every text that waits translated, in so many words; links and gaps are kept, as a person would."""
    waiting = {one.source: _mock(one.source, code, how) for one in lines(site, code) if one.state == "missing"}
    return apply(site, [put(site, code, waiting)]) if waiting else site


def _mock(source: str, code: str, how: str) -> str:
    return how.format(source[:60] if "](" not in source else source, code)


def by_source(site: Site, code: str) -> dict[str, Line]:
    return {one.source: one for one in lines(site, code)}


@pytest.mark.parametrize(("name", "code"), [("ferry", "de"), ("archive", "fr"), ("bare", "en-GB"), ("ferry", "he")])
def test_what_is_ours_is_put_in_and_what_has_no_words_stays_and_the_rest_waits(name: str, code: str) -> None:
    site = having(planned(name), code)
    told = lines(site, code)
    assert len({one.source for one in told}) == len(told) > 5
    table, own = tables()[code.partition("-")[0]]["words"], tables()[site.identity.language]["words"]
    for one in told:
        if one.state == "ours":
            assert any(str(part) in str(table.values()) for part in [one.text.split(site.identity.name)[0].strip()]), one
        elif one.state == "same":
            assert one.text == one.source and (
                one.source == site.identity.name or not re.search(r"[^\W\d_]{3}", re.sub(r"\S+@\S+", "", one.source))
            )
        else:
            assert one.state == "missing" and one.text == ""
            assert (
                one.source not in [str(value) for value in own.values()]
                or site.identity.language not in whole()
                or code == "he"
            )
    states = {one.state for one in told}
    assert {"ours", "missing"} <= states


def test_a_phrase_with_a_fact_in_it_is_not_half_translated() -> None:
    site = having(
        plan(Identity.model_validate({"name": "Osier", "language": "en", "contact": {"email": "a@osier.example"}})), "de"
    )
    document = f"page:{site.pages[-1].id}"
    change = [Change(document=document, patch=[{"op": "replace", "path": "/description", "value": "About willows"}])]
    told = by_source(apply(site, change), "de")
    assert told["About willows"].state == "missing"
    assert told["Contact"].text == "Kontakt" and told["Contact"].state == "ours"
    named = apply(site, [Change(document=document, patch=[{"op": "replace", "path": "/description", "value": "About Osier"}])])
    assert by_source(named, "de")["About Osier"].text == "Über Osier"


def test_a_translation_stays_with_its_text_and_is_older_when_the_text_changes() -> None:
    site = having(planned("ferry"), "de")
    source = "Tur nummer två. Hem igen samma dag."
    site = apply(site, [put(site, "de", {source: "Fahrt Nummer zwei. Am selben Tag zurück."})])
    at = next((page, section) for page in site.pages for section in page.sections if source in str(section.content))
    moved = apply(site, arranged(site, [Duplicate(page=at[0].id, section=at[1].id)]).changes)
    told = by_source(moved, "de")[source]
    assert told.state == "done" and told.count > by_source(site, "de")[source].count
    body = site.model_dump_json()
    assert source in body
    changed = Site.model_validate_json(body.replace(source, "Tur nummer två. Hem igen på kvällen."))
    changed = changed.model_copy(update={"languages": site.languages})
    told = by_source(changed, "de")["Tur nummer två. Hem igen på kvällen."]
    assert (told.state, told.was, told.text) == ("older", source, "Fahrt Nummer zwei. Am selben Tag zurück.")
    assert "Fahrt Nummer zwei" in in_language(changed, "de").model_dump_json()
    confirmed = apply(
        changed, [put(changed, "de", {"Tur nummer två. Hem igen på kvällen.": "Fahrt Nummer zwei. Abends zurück."})]
    )
    assert by_source(confirmed, "de")["Tur nummer två. Hem igen på kvällen."].state == "done"
    assert len(confirmed.languages.further["de"].texts) == 1, "what nothing has to do with any more is let go"
    assert (
        by_source(Site.model_validate_json(confirmed.model_dump_json()), "de")["Tur nummer två. Hem igen på kvällen."].state
        == "done"
    )


def test_a_text_that_means_something_else_at_a_place_is_something_else_there() -> None:
    site = having(planned("ferry"), "de")
    source = "Tur nummer två. Hem igen samma dag."
    at = next((page, section) for page in site.pages for section in page.sections if source in str(section.content))
    site = apply(site, arranged(site, [Duplicate(page=at[0].id, section=at[1].id)]).changes)
    line = by_source(site, "de")[source]
    first, other = line.places[0], line.places[1]
    with pytest.raises(ChangeError, match="not translated yet"):
        put(site, "de", {}, {line.source: {other.place: "Anders"}})
    site = apply(site, [put(site, "de", {line.source: "So"})])
    site = apply(site, [put(site, "de", {}, {line.source: {other.place: "Anders"}})])
    told = by_source(site, "de")[line.source]
    assert (told.text, [one.text for one in told.places[:2]]) == ("So", ["", "Anders"])
    made = in_language(site, "de").model_dump_json()
    assert made.count('"Anders"') == 1 and made.count('"So"') == line.count - 1
    # It stays when the text is written anew elsewhere, and goes when it is to be as elsewhere again.
    again = apply(site, [put(site, "de", {line.source: "So etwa"})])
    assert by_source(again, "de")[line.source].places[1].text == "Anders"
    back = apply(again, [put(again, "de", {}, {line.source: {other.place: " "}})])
    assert not by_source(back, "de")[line.source].places[1].text and '"Anders"' not in in_language(back, "de").model_dump_json()
    with pytest.raises(ChangeError, match="stand there"):
        put(site, "de", {}, {line.source: {"page:nowhere/x": "Hier"}})
    assert first.place != other.place


def test_what_a_text_is_at_a_place_goes_where_the_text_goes() -> None:
    """Through a move to another page, a duplicate, an item that is put before it, and a park."""
    site = having(planned("ferry"), "de")
    source = "Tur nummer två. Hem igen samma dag."
    page, section = next((page, one) for page in site.pages for one in page.sections if source in str(one.content))
    site = apply(site, arranged(site, [Duplicate(page=page.id, section=section.id)]).changes)
    line = by_source(site, "de")[source]
    other = line.places[1]
    site = apply(site, [put(site, "de", {source: "So"})])
    site = apply(site, [put(site, "de", {}, {source: {other.place: "Anders"}})])

    def told(site: Site) -> dict[str, str]:
        return {one.place: one.text for one in by_source(site, "de")[source].places if one.text}

    def after(change: Sequence[Change]) -> Site:
        """As a write makes it."""
        before = documents_of(site)
        changed = documents_of(apply(site, change))
        return site_from(parts_of(kept_at_places(before, changed)), site.assets, site.library)

    to = next(one for one in site.pages if one.id != page.id)
    moved = after(arranged(site, [Move(page=page.id, section=other.section, to=to.id)]).changes)
    assert told(moved) == {other.place.replace(f"page:{page.id}/", f"page:{to.id}/"): "Anders"}
    twice = after(arranged(site, [Duplicate(page=page.id, section=other.section)]).changes)
    assert len(told(twice)) == 2 and set(told(twice).values()) == {"Anders"} and told(site).items() <= told(twice).items()
    assert told(after(arranged(site, [Duplicate(page=page.id, section=line.places[0].section)]).changes)) == told(site)
    on = next(index for index, one in enumerate(site.page(page.id).sections) if one.id == other.section)  # type: ignore[union-attr]
    item = {"op": "add", "path": f"/sections/{on}/content/items/0", "value": {"title": "Ny", "text": "Ny tur."}}
    shifted = after([Change(document=f"page:{page.id}", patch=[item])])
    index = int(other.place.split("/")[-2])
    assert told(shifted) == {other.place.replace(f"/{index}/", f"/{index + 1}/"): "Anders"}
    parked = after(arranged(site, [Park(page=page.id, section=other.section)]).changes)
    assert told(parked) == told(site)


def test_links_and_numbers_that_a_translation_lost_are_told() -> None:
    site = having(planned("ferry"), "de")
    source = "En färja mellan två öar. Den går kl. 9 och 17."
    lost = apply(site, [put(site, "de", {source: "Eine Fähre zwischen zwei Inseln. Sie fährt um 9 Uhr."})])
    assert by_source(lost, "de")[source].lacks == ["17"]
    kept = apply(site, [put(site, "de", {source: "Eine Fähre zwischen zwei Inseln, um 9 und 17 Uhr."})])
    assert by_source(kept, "de")[source].lacks == []


def test_what_does_not_fit_its_place_and_what_is_not_there_is_refused() -> None:
    site = having(planned("ferry"), "de")
    name = site.pages[1].name
    with pytest.raises(ChangeError, match="characters"):
        put(site, "de", {name: "x" * 500})
    for wanted, code in (({"Nowhere": "x"}, "de"), ({name: "x"}, "fr")):
        with pytest.raises(ChangeError):
            put(site, code, wanted)
    with pytest.raises(ChangeError, match="own language"):
        added(site, "sv")
    with pytest.raises(ChangeError, match="already"):
        added(site, "de")
    full = site
    for code in ("fr", "es", "it", "pt", "nl", "pl", "cs"):
        full = having(full, code)
    assert len(full.languages.further) == MOST_LANGUAGES
    with pytest.raises(ChangeError, match="at most"):
        added(full, "el")
    assert "de" not in apply(site, [removed(site, "de")]).languages.further


@pytest.mark.parametrize(("name", "codes"), [("ferry", ("de", "he")), ("archive", ("fr", "el")), ("bare", ("en-GB",))])
def test_a_published_language_stands_in_its_folder_and_everything_leads_somewhere(name: str, codes: tuple[str, ...]) -> None:
    site = planned(name)
    for code in codes:
        site = translated(having(site, code), code)
        site = apply(site, [publishing(site, code, True)])
        assert missing(lines(site, code)) == 0
    site = site.model_copy(update={"frame": site.frame.model_copy(update={"address": "https://www.brand.example/"})})
    files = versioned(rendered(site))
    assert len(editions(site)) == len(codes) + 1
    pages = [path for path in files if path.endswith(".html")]
    assert len(pages) == (len(codes) + 1) * len([path for path in pages if "/" not in path])
    own = {one.folder: one for one in editions(site)}
    for path in pages:
        document = documents.document_fromstring(files[path].decode())
        folder = f"{path.rpartition('/')[0]}/" if "/" in path else ""
        assert document.get("lang") == own[folder].language
        assert (document.get("dir") == "rtl") == (own[folder].language in ("he", "ar"))
        for attribute in ("href", "src"):
            for address in document.xpath(f"//@{attribute}"):
                plain = str(address).partition("?")[0].partition("#")[0]
                if plain and not re.match(r"[a-z]+:", plain):
                    assert _normal(folder + plain) in files, (path, address)
        switch = document.xpath("//nav[@class='languages']/a")
        assert [one.get("hreflang") for one in switch] == [one.language for one in editions(site)]
        assert [one.get("hreflang") for one in switch if one.get("aria-current")] == [own[folder].language]
        alternates = {str(one.get("hreflang")): str(one.get("href")) for one in document.xpath("//link[@rel='alternate']")}
        listed = "/404." not in f"/{path}" and "thanks" not in path
        assert set(alternates) == ({one.language for one in editions(site)} | {"x-default"} if listed else set())
        if listed:
            for one in editions(site):
                there = alternates[one.language].removeprefix("https://www.brand.example/")
                assert (f"{there}index.html" if not there or there.endswith("/") else there) in files
            assert str(document.xpath("//link[@rel='canonical']/@href")[0]) == alternates[own[folder].language]
    for code in codes:
        assert f"{code}/site.css" not in files or files[f"{code}/site.css"] != files["site.css"]
        assert not [path for path in files if path.startswith(f"{code}/") and files.get(path.partition("/")[2]) == files[path]]
        assert f"{code}/robots.txt" not in files and f"{code}/sitemap.xml" not in files


def _normal(path: str) -> str:
    parts: list[str] = []
    for part in path.split("/"):
        parts = parts[:-1] if part == ".." else [*parts, part]
    return "/".join(parts)


def test_the_sitemap_has_every_page_in_every_language_with_its_alternates() -> None:
    """sitemaps.org 0.9, and xhtml:link as search engines read it for languages: each page names all, itself among them."""
    site = translated(having(planned("ferry"), "de"), "de")
    site = apply(site, [publishing(site, "de", True)])
    site = site.model_copy(update={"frame": site.frame.model_copy(update={"address": "https://www.brand.example/"})})
    root = ElementTree.fromstring(rendered(site)["sitemap.xml"].decode())
    spaces = {"s": "http://www.sitemaps.org/schemas/sitemap/0.9", "x": "http://www.w3.org/1999/xhtml"}
    urls = root.findall("s:url", spaces)
    assert len(urls) == 2 * len(site.pages)
    for url in urls:
        links = {one.get("hreflang"): one.get("href") for one in url.findall("x:link", spaces)}
        assert set(links) == {"sv", "de"} and url.findtext("s:loc", "", spaces) in links.values()


def test_pages_have_addresses_by_what_they_are_called() -> None:
    site = translated(having(planned("ferry"), "de"), "de")
    made = in_language(site, "de")
    assert made.file_name(made.pages[0]) == "index.html"
    assert len({made.file_name(page) for page in made.pages}) == len(made.pages)
    twice = apply(site, arranged(site, [RenamePage(page=site.pages[1].id, name="Turlista")]).changes)
    named = in_language(apply(twice, [put(twice, "de", {"Turlista": "Fahrten & Preise"})]), "de")
    assert named.file_name(named.pages[1]) == "fahrten-preise.html"
    greek = having(twice, "el")
    assert in_language(apply(greek, [put(greek, "el", {"Turlista": "Δρομολόγια"})]), "el").pages[1].address == "dromologia"
    other = in_language(apply(twice, [put(twice, "de", {"Turlista": "404"})]), "de")
    assert other.pages[1].address not in ("404", "index")
    assert len({other.file_name(page) for page in other.pages}) == len(other.pages)


def test_each_language_names_all_of_them_once_also_where_it_is_only_looked_at() -> None:
    site = translated(having(having(planned("ferry"), "de"), "fr"), "de")
    site = apply(translated(site, "fr"), [])
    site = apply(site, [publishing(site, "de", True), publishing(site, "fr", True)])
    assert site.in_languages() == ["sv", "de", "fr"]
    for code in ("de", "fr"):
        seen = in_language(site, code)
        assert sorted(seen.in_languages()) == ["de", "fr", "sv"] and seen.in_languages()[0] == code
        assert [one.current for one in language_links(seen, seen.pages[0].id)] == [True, False, False]


def test_languages_are_called_by_their_region_only_where_that_tells_them_apart() -> None:
    assert switch_names(["en-GB", "de"]) == ["English", "Deutsch"]
    assert switch_names(["en-GB", "en-US", "fr-CA"]) == ["English (United Kingdom)", "English (United States)", "Français"]


def test_one_language_is_as_it_was_before_there_were_any() -> None:
    site = planned("ferry")
    assert rendered(site) == render(site, site.system()) and editions(site) == []
    unpublished = translated(having(site, "de"), "de")
    assert rendered(unpublished) == render(site, site.system()), "what is not published shows nowhere"


@pytest.mark.parametrize("name", BRANDS)
def test_a_translated_site_is_predicted_and_checked_like_any(name: str) -> None:
    site = translated(having(planned(name), "fr"), "fr")
    before = {(one.rule, one.page) for one in check(predict(site, site.system()), site.system()).findings if one.stops}
    made = in_language(site, "fr")
    after = {(one.rule, one.page) for one in check(predict(made, made.system()), made.system()).findings if one.stops}
    assert {rule for rule, _ in after} <= {rule for rule, _ in before}


@pytest.mark.parametrize(("code", "word"), [("he", "שלום"), ("el", "Καλημέρα"), ("uk", "Доброго ранку"), ("ar", "مرحبا")])
def test_a_typeface_that_lacks_the_letters_of_a_language_has_one_that_looks_like_it_stand_in(code: str, word: str) -> None:
    """And the switch, which names languages in their own letters, stops nothing."""
    site = having(planned("ferry"), code)
    waiting = {one.source: word for one in lines(site, code) if one.state == "missing"}
    site = apply(site, [put(site, code, waiting), publishing(site, code, True)])
    for one in (site, in_language(site, code)):
        found = check(predict(one, one.system()), one.system()).findings
        assert not [finding.message for finding in found if finding.rule == "type/missing-glyphs" and word in finding.message]
        assert not [finding for finding in found if finding.rule == "type/missing-glyphs" and finding.section == "header"]
    faces, own = in_language(site, code).identity.typefaces, site.identity.typefaces
    assert all(writes(site.library.family(used), code) for used in faces.used())
    assert writes(site.library.family(own.body), code) == (faces.body == own.body)


@settings(max_examples=25)
@given(data=st.data())
def test_whatever_is_done_to_the_site_translations_hold(data: Any) -> None:
    """Texts that stay keep their translation; the site in the other language is whole; taken back, it is as it was."""
    site = translated(having(planned("ferry"), "de"), "de")
    done = {one.source: one.text for one in lines(site, "de") if one.state == "done"}
    for _ in range(data.draw(st.integers(1, 3))):
        page = data.draw(st.sampled_from([one.id for one in site.pages[1:]]))
        sections = [one.id for one in next(one for one in site.pages if one.id == page).sections]
        operation: Any = data.draw(
            st.sampled_from(
                [
                    MovePage(page=page, after=site.pages[0].id),
                    Duplicate(page=page, section=data.draw(st.sampled_from(sections))),
                    RenamePage(page=page, name=data.draw(st.sampled_from(["Överfart", "Kontakt", "Färgan", "12"]))),
                ]
            )
        )
        try:
            site = apply(site, arranged(site, [operation]).changes)
        except ChangeError:
            continue
    told = by_source(site, "de")
    for source, text in done.items():
        if source in told:
            assert told[source].text == text and told[source].state == "done"
    made = in_language(site, "de")
    assert [page.id for page in made.pages] == [page.id for page in site.pages]
    assert [[one.layout for one in page.sections] for page in made.pages] == [
        [one.layout for one in page.sections] for page in site.pages
    ]
    assert made.identity.language == "de" and site.identity.language == "sv"
