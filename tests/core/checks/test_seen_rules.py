"""Rules over what a browser sees of drawings, selections, paper, rows, pictures and hyphens, and over what was fixed and is in use: each on
both sides of its threshold. Ratios of contrast of greys on white (#767676 4.54, #777777 4.48, #949494 3.03, #969696 2.96) are those that
WCAG's formula gives, as they stand in many tables (from memory)."""

import pytest

from formulon.core.checks.drawn_facts import (
    Control,
    Divided,
    DrawnFact,
    Faked,
    FrameTexts,
    Graphic,
    PageValues,
    PictureFirst,
    Printed,
    Selected,
    WideRow,
)
from formulon.core.checks.page_facts import Allowed, ColorsDrawn, Fact, MarkDrawn, PageHead, PagePlace, SectionHead, Style
from formulon.core.checks.preflight import Preflight, check_site
from formulon.core.checks.rule import Verdict, rules
from formulon.core.checks.runner import check
from formulon.core.measure.foreign import profile
from formulon.core.site.changes import Change, apply
from formulon.core.site.site import Site
from formulon.core.system.documents.identity import Identity, OwnFont
from formulon.core.system.resolve import resolve
from tests.core.checks.test_can_fail import choice, faded

HERE = PagePlace("home", "part", "slot")
PRIMARY = PagePlace("home", "part", "primary/label")


def button(filled: str, edged: str, ground: str, place: PagePlace = PRIMARY) -> Control:
    return Control(place, "button", "Come", filled, ground, 2.0 if edged else 0.0, edged, 0, 40, "Figtree", "")


def printed(ink: str, ground: str) -> Printed:
    return Printed(HERE, 600, 718, "", (), ((HERE, "Words", ink, ground),))


@pytest.mark.parametrize(
    ("rule", "passes", "fails", "code"),
    [
        ("contrast/graphic", Graphic(HERE, "Up", ("#fefefe", "#949494"), "#ffffff"), Graphic(HERE, "Up", ("#fefefe", "#969696"), "#ffffff"), "faint"),
        ("contrast/selection", Selected(HERE, "A", "#767676", "#ffffff", 16, 400), Selected(HERE, "A", "#777777", "#ffffff", 16, 400), "too-low"),
        ("contrast/on-paper", printed("#949494", "#ffffff"), printed("#969696", "#ffffff"), "faint"),
        ("contrast/main-button", button("#ffb0b0", "", "#b0ffb0"), button("#f4f4f4", "", "#ffffff"), "unseen"),
        ("contrast/main-button", button("", "#333333", "#ffffff"), button("", "", "#ffffff"), "unseen"),
        ("layout/wide-rows", WideRow(HERE, "A", "B", 480, 1920), WideRow(HERE, "A", "B", 481, 1920), "apart"),
        ("layout/picture-first", PictureFirst(HERE, "A", 520, 320), PictureFirst(HERE, "A", 521, 320), "high"),
        ("type/hyphenation", Divided(HERE, "A", False, 9, 3), Divided(HERE, "A", False, 9, 4), "ladder"),
        ("brand/mark-variant", MarkDrawn(HERE, "M", {360: (9, 9)}, 1, 9, "", seen=0.5, ground="#ffffff"), MarkDrawn(HERE, "M", {360: (9, 9)}, 1, 9, "", seen=0.49, ground="#ffffff", better="N"), "other"),
    ],
)  # fmt: skip
def test_a_threshold_is_met_on_one_side_and_missed_on_the_other(
    rule: str, passes: DrawnFact | MarkDrawn, fails: DrawnFact | MarkDrawn, code: str
) -> None:
    assert rules()[rule].verdicts(passes) == ("pass", [])
    outcome, said = rules()[rule].verdicts(fails)
    assert outcome == "fail" and [one.code for one in said] == [code]


def test_what_is_no_main_button_need_not_stand_off() -> None:
    second = button("#fefefe", "", "#ffffff", PagePlace("home", "part", "secondary/label"))
    assert rules()["contrast/main-button"].verdicts(second)[0] == "does-not-apply"
    assert rules()["contrast/graphic"].verdicts(Graphic(HERE, "Up", (), "#ffffff"))[0] == "does-not-apply"


def test_headlines_and_letters_of_the_browsers_own_making_are_told_in_any_number() -> None:
    assert [one.code for one in rules()["type/hyphenation"].verdicts(Divided(HERE, "A", True, 1, 1))[1]] == ["headline"]
    for what in ("slanted", "smeared"):
        assert [one.code for one in rules()["type/slanted-smeared"].verdicts(Faked(HERE, "A", "Reed", what))[1]] == [what]


def found(*facts: Fact) -> dict[str, str]:
    """The messages of rules over a whole site of one page with some facts."""
    page = [PageHead(HERE, "home", "T", "D", first=True), SectionHead(PagePlace("home", "part", ""), "section", "", "")]
    report = check([*page, *facts], resolve(Identity(name="Reed")), profile=profile())
    return {one.rule: one.message for one in report.findings}


def set_in(family: str, ink: str = "#222222") -> Style:
    return Style(HERE, "Words", 0, 16, 24, 2, 400, family, ink, "#ffffff", False)


def test_tokens_that_were_handed_over_are_told_where_nothing_has_them() -> None:
    handed = Allowed(
        HERE,
        (("ink", "#222222"), ("paper", "#FFFFFF"), ("rust", "#8a3d11"), ("edge", "#0b5d3b")),
        ("Reed Sans", "Reed Serif"),
        True,
    )
    those = (set_in("reed sans"), button("", "#0b5d3b", "#ffffff"))
    told = found(handed, *those)
    assert (
        told["consistency/unused-tokens"]
        == "Of 4 colours among the tokens 1 are in no text, control or ground of any page: rust."
    )
    assert told["brand/typefaces"] == "No text of any page is set in Reed Serif."
    told = found(handed, *those, set_in("Reed Serif", "#8a3d11"))
    assert "consistency/unused-tokens" not in told and "brand/typefaces" not in told
    # What a system derives is more than pages need, and is not asked for.
    assert "consistency/unused-tokens" not in found(Allowed(HERE, handed.colors), *those)


def test_the_mark_of_one_page_that_differs_is_told_there() -> None:
    def header(page: str, mark: str, size: tuple[int, int] = (120, 40)) -> FrameTexts:
        return FrameTexts(PagePlace(page, "top", "header"), (), mark, size)

    usual = [header(page, "mark.svg") for page in "abc"]
    assert "consistency/mark" not in found(*usual, header("d", "mark.svg", (122, 39)), header("e", ""))
    assert (
        found(*usual, header("d", "old.png"))["consistency/mark"]
        == "The header of this page shows old.png; on most pages it shows mark.svg."
    )
    small = "In the header of this page mark.svg is 60 × 20 px; on most pages it is 120 × 40."
    assert found(*usual, header("d", "mark.svg", (60, 20)))["consistency/mark"] == small
    # Where there is no most, or hardly a page, none is the one that differs.
    assert "consistency/mark" not in found(*usual[:2], header("d", "old.png"), header("e", "old.png"))
    assert "consistency/mark" not in found(usual[0], header("d", "old.png"))


def test_distances_are_counted_over_all_pages() -> None:
    some = PageValues(HERE, "space", tuple((str(value), 1) for value in range(4, 16)))
    more = PageValues(HERE, "space", tuple((str(value), 1) for value in range(12, 21)))
    assert "consistency/spaces" not in found(some) and "consistency/spaces" not in found(
        some, PageValues(HERE, "corner", more.values)
    )
    assert found(some, more)["consistency/spaces"].startswith("Margins, paddings and gaps have 17 values: 4, 5, 6")


def test_what_is_predicted_is_gone_after_any_of_its_fixes(site: Site) -> None:
    faded_site = site.model_copy(deep=True)
    faded(faded_site)
    for rule, changed, labels in (
        (
            "consistency/unused-tokens",
            choice(pins={"ground/tint/primary/fill/rest": "#202020"})(site),
            ["Leave it to the system"],
        ),
        (
            "brand/motif",
            choice(motif={"shape": "wave", "places": {}})(site),
            ["At the end of pages and in the footer", "No motif"],
        ),
        ("brand/mark-variant", faded_site, ["On a plate"]),
    ):
        assert changed is not None
        work = Preflight(changed)
        told = [one for one in work.report().findings if one.rule == rule]
        assert told, rule
        for one in told:
            fixes = work.fixes(one)
            assert [fix.label for fix in fixes] == labels, rule
            for fix in fixes:
                after = apply(changed, [Change.model_validate(change) for change in fix.changes])
                assert one.key not in {left.key for left in check_site(after, most=0).findings}, (rule, fix.label)


def test_a_typeface_of_the_brands_own_that_no_text_has_can_lead_again(site: Site) -> None:
    font = OwnFont.model_construct(id="own-0123456789ab", name="Reed Serif", restricted=False)
    site.identity.fonts = [font, OwnFont.model_construct(id="own-0123456789ac", name="Reed Mono", restricted=True)]
    rule = rules()["brand/typefaces"]

    def labels(family: str) -> list[str]:
        return [one.label for one in rule.mend(site, site.system(), None, Verdict("absent", values={"family": family}), {})]

    assert labels("Reed Serif") == ["Headings in Reed Serif", "Running text in Reed Serif"]
    assert labels("Reed Mono") == labels("Elsewhere") == []


def test_a_pin_is_in_use_where_its_ground_or_its_button_is(site: Site) -> None:
    for pins in (
        {"ground/paper/body": "#202020"},
        {"dark:ground/deep/focus": "#ffffff"},
        {"ground/accent/primary/label/rest": "#000000"},
        {"space/4": "20"},
    ):
        changed = choice(pins=pins)(site)
        assert changed is not None
        assert "consistency/unused-tokens" not in {one.rule for one in check_site(changed, most=0).findings}, pins


def test_without_letters_inks_or_facts_nothing_is_said() -> None:
    assert not {"brand/typefaces", "consistency/spaces", "consistency/unused-tokens"} & found().keys()
    assert "consistency/unused-tokens" not in found(ColorsDrawn(HERE, frozenset()), Allowed(HERE, (), (), True))
