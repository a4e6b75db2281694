"""Each rule below, at and above its threshold; each code; each fix applied and checked again."""

from collections.abc import Iterator, Mapping
from dataclasses import replace

import pytest

from formulon.core.checks.page_facts import Destination, PageHead, PagePlace, PictureFact, Target, TextRun, Words
from formulon.core.checks.predict import predict
from formulon.core.checks.preflight import check_site
from formulon.core.checks.rule import Ref, RegistrationError, Rule, Verdict, rule, rules
from formulon.core.checks.rules.type.orphan import NO_BREAK, mend
from formulon.core.checks.runner import check
from formulon.core.site.changes import Change, apply
from formulon.core.site.planning.planner import plan
from formulon.core.site.site import Site
from formulon.core.system.documents.choices import Choices
from formulon.core.system.documents.identity import Identity
from formulon.core.system.policy import AAA, Policy
from formulon.core.system.resolve import resolve
from formulon.core.type.fit import Fit
from formulon.core.type.library import SHIPPED

PLACE = PagePlace("home", "hero", "heading")
RUN = TextRun(
    PLACE,
    "Words",
    "p",
    "body",
    "paper",
    "body",
    "#000000",
    "#ffffff",
    400,
    {360: 17.0, 1280: 18.0},
    {width: Fit(1, 5, 40, 300) for width in (360, 1280)},
)
TARGET = Target(PLACE, "Go", "button", {360: (24.0, 24.0)}, 0, 0)


def of(name: str) -> Rule:
    return rules()[name]


def codes(name: str, fact) -> list[str]:  # type: ignore[no-untyped-def]
    return [verdict.code for verdict in of(name).verdicts(fact)[1]]


def test_the_rules_are_found_by_their_path() -> None:
    assert len(rules()) >= 20 and list(rules()) == sorted(rules())
    for name, one in rules().items():
        module = one.look.__module__.removeprefix("formulon.core.checks.rules.")
        assert module == name.replace("/", ".").replace("-", "_")


def test_enhanced_contrast_is_asked_for_under_aaa_alone() -> None:
    """WCAG 2.2, 1.4.6: 7:1, and 4.5:1 for large text. #595959 on white is 7.00:1, #5a5a5a 6.90:1; #767676 is 4.54:1 and
    #777777 4.48:1."""
    name = "contrast/text-enhanced"
    assert of(name).verdicts(replace(RUN, foreground="#777777"))[0] == "does-not-apply"
    for color, size, found in (
        ("#595959", 17.0, []), ("#5a5a5a", 17.0, ["too-low"]), ("#767676", 24.0, []), ("#777777", 24.0, ["too-low"]),
    ):  # fmt: skip
        assert codes(name, replace(RUN, policy=AAA, foreground=color, sizes={360: size})) == found, color


def test_ratios_of_ones_own_are_asked_for_beside_those_of_the_standard() -> None:
    """#666666 on white is 5.74:1, #6d6d6d 5.17:1."""
    name, own = "contrast/text-enhanced", Policy("own", 5.5, 4.0, 3.0)
    assert codes(name, replace(RUN, policy=own, foreground="#666666")) == []
    assert codes(name, replace(RUN, policy=own, foreground="#6d6d6d")) == ["below-own"]
    assert codes(name, replace(RUN, policy=own, foreground="#6d6d6d", sizes={360: 24.0})) == []
    assert of(name).reference("below-own").name == "Common practice" and of(name).reference("too-low").clause == "1.4.6"


def test_a_ground_for_large_text_only_stops_small_text(quillmoor: Identity) -> None:
    """Heather's luminance is 0.16: nothing reaches 7:1 on it."""
    site = plan(quillmoor, Choices(policy="AAA", large_only=["accent"]))
    findings = [one for one in check_site(site).findings if one.rule == "contrast/text-enhanced"]
    assert findings and all(one.stops for one in findings)
    sizes = {
        run.text: run.sizes[360] for run in predict(site, resolve(site.identity, site.choices)) if isinstance(run, TextRun)
    }
    assert all(sizes[text] < 24 for text in sizes if any(f"“{text[:60]}”" in one.message for one in findings))
    assert any("Stand it on" in fix.label for one in findings for fix in one.fixes)


def test_registration_refuses_a_duplicate_and_a_missing_part() -> None:
    parts = {
        "title": "t",
        "standard": Ref("s"),
        "severity": "note",
        "looks_at": Words,
        "rationale": "r",
        "messages": {"m": "x"},
    }
    with pytest.raises(ValueError, match="two rules"):
        rule(id="contrast/text-minimum", **parts)(lambda fact, options: [])  # type: ignore[arg-type]
    with pytest.raises(ValueError, match="rationale"):
        rule(id="x/y", **{**parts, "rationale": ""})(lambda fact, options: [])  # type: ignore[arg-type]


def test_registration_refuses_codes_without_message_and_references_without_code() -> None:
    parts = {"title": "t", "standard": Ref("s"), "severity": "note", "looks_at": Words, "rationale": "r"}

    def look(fact: Words, options: Mapping[str, float]) -> Iterator[Verdict]:
        yield Verdict("said")
        yield Verdict("silent")

    with pytest.raises(RegistrationError, match="the code silent has no message"):
        rule(id="x/y", messages={"said": "x"}, **parts)(look)  # type: ignore[arg-type]
    with pytest.raises(RegistrationError, match="the code other"):
        rule(id="x/y", messages={"said": "x", "silent": "y"}, refs={"other": Ref("s")}, **parts)(look)  # type: ignore[arg-type]
    assert "x/y" not in rules()


@pytest.mark.parametrize(
    ("bound", "value", "unit", "shown"),
    [
        ("most", 85.3, "characters", "86"), ("most", 85.0, "characters", "85"), ("least", 85.9, "characters", "85"),
        ("least", 4.499, ":1", "4.49"), ("most", 4.491, ":1", "4.5"), ("least", 23.99, "px", "23.9"), ("most", 300.01, "px", "300.1"),
        ("most", 40.2, "%", "41"), ("least", 4.5, ":1", "4.5"), ("most", 0.07, "", "0.07"),
    ],
)  # fmt: skip
def test_a_figure_never_reads_as_a_pass(bound: str, value: float, unit: str, shown: str) -> None:
    """At least is floored, at most is ceiled, to as many places as the unit has."""
    one = replace(of("type/measure"), bound=bound)  # type: ignore[arg-type]
    assert one.figure(value, unit) == shown and one.figure(None, unit) == ""


def test_long_lines_are_told_with_more_than_is_allowed() -> None:
    fits = {1280: Fit(4, 85.3, 40, 900)}
    run = replace(RUN, step="body", fits=fits, sizes={1280: 18.0})
    (verdict,) = of("type/measure").verdicts(run)[1]
    assert verdict.measured == 85.3 and of("type/measure").figure(verdict.measured, verdict.unit) == "86"


def test_a_headline_in_a_free_part_is_told_to_be_beyond_telling() -> None:
    run = replace(RUN, tag="h1", step="display", fits={})
    assert of("type/headline-lines").verdicts(run)[0] == "cannot-tell" and codes("type/headline-lines", run) == ["box-unknown"]


def test_a_code_may_rest_on_another_reference() -> None:
    one = of("publishing/title-description")
    assert one.reference("no-title").clause == "2.4.2" and one.reference("no-description").name == "Common practice"


def test_a_code_without_a_message_is_a_defect() -> None:
    broken = replace(of("links/dead-destination"), messages={"other": "x"})
    with pytest.raises(LookupError, match="no message"):
        broken.verdicts(Destination(PLACE, "Go", "", False))


# WCAG 2.2 SC 1.4.3, with the pairs of tests/reference: #767676 on white is 4.54:1, #777777 is 4.48:1.
@pytest.mark.parametrize(
    ("foreground", "size", "weight", "found"),
    [
        ("#777777", 17, 400, ["too-low"]),
        ("#767676", 17, 400, []),
        ("#777777", 24, 400, []),  # large text: 18 pt are 24 px
        ("#777777", 23.99, 400, ["too-low"]),
        ("#777777", 56 / 3, 700, []),  # 14 pt bold
        ("#777777", 18.6, 700, ["too-low"]),
        ("#777777", 20, 600, ["too-low"]),  # not bold
        ("#949494", 40, 400, []),  # 3.03:1
        ("#959595", 40, 400, ["too-low"]),  # 2.99:1
    ],
)
def test_text_contrast(foreground: str, size: float, weight: int, found: list[str]) -> None:
    run = replace(RUN, foreground=foreground, sizes={360: size}, weight=weight)
    assert codes("contrast/text-minimum", run) == found


def test_text_contrast_is_judged_where_the_text_is_smallest() -> None:
    run = replace(RUN, foreground="#777777", sizes={360: 20.0, 1280: 30.0})
    (verdict,) = of("contrast/text-minimum").verdicts(run)[1]
    assert verdict.width == 360 and verdict.required == 4.5


# WCAG 2.2 SC 2.5.8: 24 × 24 CSS px, or the spacing exception.
@pytest.mark.parametrize(
    ("size", "across", "down", "found"),
    [
        ((24, 24), 0, 0, []),
        ((23.9, 24), 0, 0, ["too-small"]),
        ((120, 20), 0, 3.9, ["too-small"]),
        ((120, 20), 0, 4, []),
        ((20, 20), 4, 0, ["too-small"]),
        ((20, 20), 4, 4, []),
    ],
)
def test_target_size(size: tuple[float, float], across: float, down: float, found: list[str]) -> None:
    target = replace(TARGET, sizes={360: size}, gap_across=across, gap_down=down)
    assert codes("interaction/target-size", target) == found


@pytest.mark.parametrize(
    ("alt", "decorative", "present", "found"),
    [
        ("A moon", False, True, []),
        ("  ", False, True, ["missing"]),
        ("", True, True, []),
        ("A moon", True, False, ["not-found"]),
    ],
)
def test_alternative_text(alt: str, decorative: bool, present: bool, found: list[str]) -> None:
    assert codes("content/alternative-text", PictureFact(PLACE, "asset:x", alt, decorative, present)) == found


def verdicts(name: str, fact: PictureFact) -> list[Verdict]:
    one = of(name)
    return list(one.look(fact, one.options)) if one.applies_if(fact) else []


@pytest.mark.parametrize(
    ("pixels", "drawn", "found"),
    [(600, {360: 360.0, 1280: 599.0}, []), (600, {360: 601.0, 1280: 500.0}, ["small"]), (0, {360: 900.0}, []), (600, {}, [])],
)
def test_photographs_that_are_too_small(pixels: int, drawn: dict[int, float], found: list[str]) -> None:
    fact = PictureFact(PLACE, "asset:a", "", True, True, pixels=pixels, drawn=drawn)
    told = verdicts("pictures/too-small", fact)
    assert [one.code for one in told] == found
    assert not told or (told[0].measured, told[0].required, told[0].width) == (600, 601.0, 360)


@pytest.mark.parametrize(("weights", "found"), [({360: 500_000}, []), ({360: 90_000, 1280: 500_001}, ["heavy"]), ({}, [])])
def test_pictures_that_are_too_heavy(weights: dict[int, int], found: list[str]) -> None:
    fact = PictureFact(PLACE, "asset:a", "", True, True, weights=weights)
    assert [(one.code, one.width) for one in verdicts("pictures/too-heavy", fact)] == [(code, 1280) for code in found]


def test_dead_destination() -> None:
    assert codes("links/dead-destination", Destination(PLACE, "Go", "page:home", True)) == []
    assert codes("links/dead-destination", Destination(PLACE, "Go", "page:x", False)) == ["page-gone"]
    assert codes("links/dead-destination", Destination(PLACE, "Go", "", False)) == ["empty"]


def test_placeholder_left() -> None:
    assert codes("content/placeholder-left", Words(PLACE, "Text", "All [written] here")) == []
    assert codes("content/placeholder-left", Words(PLACE, "Text", "Call [[a number]].")) == ["left"]


def test_title_and_description() -> None:
    head = PageHead(PLACE, "Home", "T", "D")
    assert codes("publishing/title-description", head) == []
    assert codes("publishing/title-description", replace(head, title=" ", description="")) == ["no-title", "no-description"]


@pytest.mark.parametrize(("lines", "found"), [(3, []), (4, ["too-many"])])
def test_headline_lines(lines: int, found: list[str]) -> None:
    run = replace(RUN, tag="h1", step="display", fits={360: Fit(lines, 20, 90, 300)})
    assert codes("type/headline-lines", run) == found


def test_headline_lines_cannot_be_told_without_glyphs() -> None:
    run = replace(RUN, tag="h2", step="h2", fits={360: Fit(9, 20, 90, 300)}, unknown_glyphs="Ж")
    outcome, (verdict,) = of("type/headline-lines").verdicts(run)
    assert outcome == "cannot-tell" and verdict.code == "glyphs-unknown"


def test_running_text_is_no_headline() -> None:
    assert of("type/headline-lines").verdicts(replace(RUN, fits={360: Fit(9, 20, 90, 300)}))[0] == "does-not-apply"


def test_a_headline_that_is_still_to_be_written_is_not_measured_or_cut() -> None:
    """Cutting a placeholder would turn it into a text that no rule stops."""
    run = replace(RUN, tag="h1", step="display", fits={360: Fit(9, 20, 90, 300)}, placeholder=True)
    assert of("type/headline-lines").verdicts(run)[0] == "does-not-apply"
    report = check_site(plan(Identity(name="Bare")))
    assert {f.rule for f in report.findings} == {"content/placeholder-left", "publishing/title-description"}


def test_under_aaa_the_large_text_rule_still_holds_to_its_own_standard() -> None:
    """AAA asks the solver for 7:1; the rule of SC 1.4.3 keeps to 4.5:1."""
    made = plan(Identity.model_validate({"name": "X", "colors": [{"name": "Mid", "value": "#8E5A9B"}]}), Choices(policy="AAA"))
    assert not [f for f in check_site(made).findings if f.rule == "contrast/text-minimum"]


@pytest.mark.parametrize(("widest", "found"), [(299, []), (300, []), (300.5, []), (301, ["too-wide"])])
def test_a_word_fits_its_box(widest: float, found: list[str]) -> None:
    assert codes("type/word-fits", replace(RUN, fits={360: Fit(2, 20, widest, 300)})) == found


@pytest.mark.parametrize(
    ("characters", "lines", "found"), [(75, 5, []), (85, 5, []), (86, 5, ["too-long"]), (120, 2, [])]
)  # fmt: skip
def test_lines_are_not_too_long(characters: float, lines: int, found: list[str]) -> None:
    fits = {360: Fit(9, 30, 90, 300), 1280: Fit(lines, characters, 90, 900)}
    assert codes("type/measure", replace(RUN, fits=fits)) == found


@pytest.mark.parametrize(("word", "found"), [("", []), ("go.", ["alone"]), ("evening", ["alone"]), ("evenings", [])])
def test_a_short_word_is_not_left_alone(word: str, found: list[str]) -> None:
    run = replace(RUN, tag="h2", step="h2", fits={360: Fit(2, 20, 90, 300, word)})
    assert codes("type/orphan", run) == found


def test_words_left_alone_are_kept_together(site: Site) -> None:
    run = replace(RUN, place=PagePlace("home", site.pages[0].sections[0].id, "heading"), text="We look at stars by day")
    fix, *_ = mend(site, resolve(site.identity), run, Verdict("alone"), {})
    assert apply(site, list(fix.changes)).pages[0].sections[0].content["heading"] == f"We look at stars by{NO_BREAK}day"


def test_a_missing_glyph_stops() -> None:
    assert codes("type/missing-glyphs", RUN) == []
    outcome, (verdict,) = of("type/missing-glyphs").verdicts(replace(RUN, unknown_glyphs="Ж", family=SHIPPED["figtree"]))
    assert (outcome, verdict.code, verdict.values["family"]) == ("fail", "lacks", "Figtree")
    assert of("type/missing-glyphs").severity == "stop"


def test_a_site_of_another_language_is_told_what_is_not_written_for_it() -> None:
    for language, found in (("en-GB", []), ("de-AT", []), ("fi", ["no-sentences"]), ("cy", ["no-words"]), ("en", [])):
        site = plan(Identity(name="Quill", language=language))
        told = [
            one
            for one in check(predict(site, resolve(site.identity)), resolve(site.identity)).findings
            if one.rule == "content/own-language"
        ]
        assert [one.code for one in told] == found, language
        assert not any(one.stops for one in told)


def test_a_text_that_stands_in_brackets_is_a_gap_that_was_written_over() -> None:
    for text, found in (
        ("[Mine]", ["in-brackets"]),
        ("Mine [sic]", []),
        ("[a] and [b]", []),
        ("[[Mine]]", ["left"]),
        ("Mine", []),
    ):
        assert codes("content/placeholder-left", Words(PLACE, "Headline", text)) == found, text
    site = plan(Identity(name="Quill", does="We look at the sky."))
    site.pages[0].sections[0].content["heading"] = "[Look up]"
    (finding,) = [one for one in check_site(site).findings if one.code == "in-brackets"]
    assert finding.stops
    mended = apply(site, [Change.model_validate(change) for change in finding.fixes[0].changes])
    assert mended.pages[0].sections[0].content["heading"] == "Look up"


def test_a_word_that_is_too_wide_is_mended_by_the_size_of_its_step() -> None:
    choices = Choices.model_validate({"scale": {"steps": {"intro": {"small": 64, "large": 64}}}})
    site = plan(Identity(name="Quill", does="We show planetariums."), choices)  # too short for a soft hyphen, and no headline
    site.pages[0].sections[0].content["text"] = "We show planetarium."
    report = check_site(site)
    found = [one for one in report.findings if one.rule == "type/word-fits"]
    assert found and found[0].fixes
    after = check_site(apply(site, [Change.model_validate(change) for change in found[0].fixes[0].changes]))
    assert len([one for one in after.findings if one.rule == "type/word-fits"]) < len(found)


@pytest.mark.parametrize(
    ("colors", "treatment", "found"),
    [
        ({"#8e5a9b": 0.6, "#1b2147": 0.4}, "natural", []),  # the brand's own hues
        ({"#2f9e44": 0.41, "#1b2147": 0.59}, "natural", ["clash"]),
        ({"#2f9e44": 0.4, "#1b2147": 0.6}, "natural", []),  # at the threshold
        ({"#7d7f7e": 1.0}, "natural", []),  # greys have no hue to clash
        ({"#2f9e44": 1.0}, "duotone", []),
    ],
)
def test_photographs_sit_with_the_palette(colors: dict[str, float], treatment: str, found: list[str]) -> None:
    fact = PictureFact(PLACE, "asset:a", "", True, True, colors, ("#1B2147", "#F2A93B", "#8E5A9B", "#F6F1E7"), treatment)
    assert codes("pictures/palette", fact) == found


def test_a_clash_is_mended_by_the_treatment_of_all_photographs(site: Site) -> None:
    first, *others = (asset.model_dump() for asset in site.assets)
    green = first | {"colors": {"#2f9e44": 1.0}, "svg": "", "renditions": [{"width": 480, "sha256": "0" * 64}]}
    changed = Site.model_validate(site.model_dump() | {"assets": [green, *others]})
    found = [one for one in check_site(changed).findings if one.rule == "pictures/palette"]
    assert found and len(found[0].fixes) == 2
    after = apply(changed, [Change.model_validate(change) for change in found[0].fixes[0].changes])
    assert not [one for one in check_site(after).findings if one.rule == "pictures/palette"]


@pytest.mark.parametrize("rule", ["type/word-fits", "type/measure", "type/orphan"])
def test_what_stands_in_a_free_part_cannot_be_told(rule: str) -> None:
    run = replace(RUN, fits={}, free=True, tag="h2", step="body")
    assert of(rule).verdicts(run)[0] == "cannot-tell" and codes(rule, run) == ["box-unknown"]
    assert of(rule).verdicts(replace(run, free=False))[0] == "does-not-apply"


@pytest.mark.parametrize(
    ("rule", "code"), [("type/word-fits", "too-wide"), ("type/measure", "too-long"), ("type/orphan", "alone")]
)
def test_what_fails_where_it_can_be_told_is_said_before_what_cannot(rule: str, code: str) -> None:
    run = replace(RUN, fits={360: Fit(4, 120.0, 400.0, 300.0, "on")}, free=True, tag="h2", step="body")
    assert of(rule).verdicts(run)[0] == "fail" and codes(rule, run) == [code]


@pytest.mark.parametrize(
    ("text", "found"),
    [
        ("Lorem ipsum dolor", ["left"]), ("TODO: the roof", ["left"]), ("Headline goes here", ["left"]), ("Hier steht Blindtext.", ["left"]), ("TBD", ["left"]),
        # “Todo” is a word in Spanish and Portuguese, and names are what they are.
        ("Abierto todo el año", []), ("TODO EL AÑO", []), ("Xxxx & Co", []), ("Sample our texts", []), ("The place of it all", []),
    ],
)  # fmt: skip
def test_sample_text_is_told_from_words_that_look_like_it(text: str, found: list[str]) -> None:
    assert codes("content/sample-text", replace(RUN, text=text)) == found
