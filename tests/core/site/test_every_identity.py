"""Every identity that its schema accepts is planned, built and checked; what the planner makes passes its own preflight but
for the gaps that it marks, and for letters that no shipped family has."""

import re
from typing import Any

from hypothesis import Phase, given, settings
from hypothesis import strategies as st
from pydantic import ValidationError

from formulon.core.checks.predict import predict
from formulon.core.checks.runner import check
from formulon.core.site.planning.planner import plan
from formulon.core.site.render import render
from formulon.core.site.site import Site
from formulon.core.site.slots import slot_values
from formulon.core.site.thanks import is_wanted
from formulon.core.system.documents.identity import CONTROLS, Identity
from formulon.core.system.documents.organisations import ORGANISATIONS
from formulon.core.system.resolve import resolve

_WORDS = (
    "Sky", "the", "of", "Natursteinrestaurierung", "Öffnungszeiten", "Łódź", "Ψωμί", "Хлеб", "Nguyễn", "空", "🌿", "a/b/c", "12-14",
    "*stress*", "[[gap]]", "x" * 45, "www.quillmoor.example/programme/2026", "hello@quillmoor.example", "“quoted”", "—", "\n", "\x00",
    "<b>", "&amp;", "{{ x }}", "%s",
)  # fmt: skip
_LINES = (  # of each kind that a client's text can have, short and long
    "Adults £12", "Kinder bis 12 Jahre: 6,50 €", "W" * 90 + " 12 €", "Fri 3 May, 7.30 pm: The rings of Saturn", "12. Juni: Konzert",
    "Montag bis Freitag: 9–17 Uhr", "Saturday: closed", "1962: Built by a surveyor.", "1988 – " + "й" * 190, "1. Call us: we listen.",
    "2. We come by", "3. " + "字" * 120, "Is there parking?", "Yes. " * 60, "“The best evening in years, and the coldest.” — Ruth Amsel, teacher",
    "„" + "Natursteinrestaurierung " * 20 + "“", "Mara Quist, astronomer. She built the mirror.", "By train: Quill Halt, then on foot.", "Plain words.",
)  # fmt: skip
LANGUAGES = ("en-GB", "de", "fr-CA", "el", "pl", "vi", "ru", "he", "ar-EG", "cy", "ja", "zxx", "x-own")


_FITTED = re.compile(r'class="t-(\w+)[^>]* data-fit="(\d+)"')  # headlines that are drawn smaller or larger


def words(most: int, least: int = 0) -> st.SearchStrategy[str]:
    """Texts of real and unreal words up to a length, and any text at all."""
    drawn = st.lists(st.sampled_from(_WORDS), max_size=most // 3 + 1).map(lambda found: " ".join(found)[:most])
    any_text = st.text(max_size=most, min_size=least)
    long = st.sampled_from("aWй字 ").map(lambda char: (char * most)[:most])
    return st.one_of(drawn, any_text, long).filter(lambda text: len(CONTROLS.sub("", text).strip()) >= least)


def identities() -> st.SearchStrategy[dict[str, Any]]:
    colors = st.lists(
        st.fixed_dictionaries({"name": words(60, 1), "value": st.from_regex(r"#[0-9a-f]{6}", fullmatch=True)}), max_size=12
    )
    contact = st.fixed_dictionaries(
        {}, optional={
            "address": words(300), "phone": st.one_of(words(40), st.from_regex(r"[0-9+ ()/.-]{1,40}", fullmatch=True)),
            "email": st.sampled_from(["", "a@b.example", "o'neil?x=1&y:z/#@b.example", "ü" * 60 + "@" + "b" * 40 + ".example"]),
            "hours": words(200),
        },
    )  # fmt: skip
    return st.fixed_dictionaries(
        {"name": words(80, 1)},
        optional={
            "strapline": words(160), "does": words(600), "audience": words(300), "place": words(120),
            "offers": st.lists(st.fixed_dictionaries({"name": words(80, 1), "text": words(600)}), max_size=12),
            "contact": contact, "language": st.sampled_from(LANGUAGES), "colors": colors,
            "proof": st.lists(words(400), max_size=12), "pages": st.lists(words(100), max_size=12),
            "texts": st.lists(
                st.fixed_dictionaries({
                    "heading": st.one_of(words(160), st.sampled_from(["Team", "Anfahrt", "Prices", "About us", "Öffnungszeiten"])),
                    "text": st.one_of(words(4000, 1), st.lists(st.sampled_from(_LINES), min_size=1, max_size=30).map("\n".join)),
                }),
                max_size=6,
            ),
            "organisation": st.sampled_from(["", *ORGANISATIONS]), "extent": st.sampled_from(["pages", "one page"]),
            "languages": st.lists(st.sampled_from(LANGUAGES[:8]), max_size=3),
        },
    )  # fmt: skip


def made(body: dict[str, Any]) -> Site | None:
    """The planned site; None where the schema does not accept the identity, which it says in a sentence."""
    try:
        return plan(Identity.model_validate(body))
    except ValidationError as error:
        assert error.title == "Identity"  # and of nothing that the planner made
        return None


# Stops that say what the brand has not given yet, and what no shipped family can write.
_GAPS = {
    "content/placeholder-left",
    "publishing/title-description",
    "type/missing-glyphs",
    "content/in-brackets",
    "content/missing-phrase",
}


@settings(max_examples=80, phases=(Phase.explicit, Phase.generate))  # to shrink an identity takes minutes
@given(identities())
def test_every_valid_identity_is_planned_built_and_checked(body: dict[str, Any]) -> None:
    site = made(body)
    if site is None:
        return
    system = resolve(site.identity, site.choices)
    files = render(site, system)
    assert {"index.html", "site.css", "tokens.css"} <= set(files) and all(files.values())
    own = {"404.html", *(["thanks.html"] if is_wanted(site) else [])}
    assert {name for name in files if name.endswith(".html")} == own | {site.file_name(page) for page in site.pages}
    assert len(site.pages) == len({page.id for page in site.pages})
    assert all(b"\0" not in data for name, data in files.items() if name.endswith(".html"))
    css = files["site.css"].decode()
    fitted = {found for name in files if name.endswith(".html") for found in _FITTED.findall(files[name].decode())}
    assert all(f'.t-{step}[data-fit="{scale}"]{{' in css for step, scale in fitted), fitted
    for section in (section for page in site.pages for section in page.sections if section.kind == "hero"):
        assert section.content.get("text") or "primary" not in section.content, "a button that follows from no words"
    if "[[" not in repr(body) and "]]" not in repr(body):
        texts = [
            value
            for page in site.pages
            for section in page.sections
            for _, value in slot_values(section).values()
            if isinstance(value, str)
        ]
        assert not [one for one in texts if one.count("[[") != one.count("]]")], "a gap is whole"
    report = check(predict(site, system), system)
    stops = {(one.rule, one.code, one.target, one.message) for one in report.findings if one.stops and one.rule not in _GAPS}
    assert not stops, stops
