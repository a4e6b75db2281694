"""Type scale, shape and CSS of the system."""

import re

import pytest
import tinycss2

from formulon.core.site.sheets import used_names
from formulon.core.system.css import properties_css, tokens_css
from formulon.core.system.documents.choices import Choices, Corners, Scale, StepChoice
from formulon.core.system.documents.identity import Identity, Typefaces
from formulon.core.system.facets.typography import Fonts, steps
from formulon.core.system.fluid import fluid
from formulon.core.system.resolve import resolve
from formulon.core.type.library import SHIPPED


@pytest.mark.parametrize(("small", "large"), [(17, 18), (40, 96.5), (13, 12), (20, 20)])
def test_clamp_gives_the_wanted_sizes_at_both_ends(small: float, large: float) -> None:
    """CSS Values 4: clamp(MIN, VAL, MAX); 1vw is a hundredth of the viewport's width, 1rem is 16 px."""
    low, intercept, slope, high = map(
        float,
        re.fullmatch(r"clamp\(([\d.-]+)rem, ([\d.-]+)rem \+ ([\d.-]+)vw, ([\d.-]+)rem\)", fluid(small, large)).groups(),  # type: ignore[union-attr]
    )
    for viewport, wanted in ((360, small), (1280, large), (200, small), (2000, large)):
        value = max(low * 16, min(intercept * 16 + slope * viewport / 100, high * 16))
        assert value == pytest.approx(wanted, abs=0.02)


_FONTS = Fonts(SHIPPED["young-serif"], SHIPPED["figtree"])


def test_no_step_grows_beyond_two_and_a_half() -> None:
    made = steps(_FONTS, Scale(ratio_small=1.05, ratio_large=1.6))
    assert all(step.large <= 2.5 * step.small + 1e-9 for step in made.values())


def test_weights_are_those_that_the_family_has() -> None:
    made = steps(_FONTS, Scale())
    assert made["h1"].weight == 400 and made["label"].weight == 600


def test_choices_reach_the_tokens(quillmoor: Identity) -> None:
    system = resolve(quillmoor, Choices(radius=14, density=1.5))
    assert system.css("shape/radius") == "14px" and system.tokens["shape/radius"].origin == "chosen"
    assert system.tokens["space/7"].value["large"] == 112 * 1.5
    assert resolve(quillmoor, Choices(radius=40)).css("shape/button-radius") == "999px"


def test_css_parses_and_holds_every_token(quillmoor: Identity) -> None:
    system = resolve(quillmoor)
    for text in (properties_css(system), tokens_css(system, used_names())):
        rules = tinycss2.parse_stylesheet(text, skip_whitespace=True, skip_comments=True)
        assert all(rule.type == "qualified-rule" for rule in rules)
    names = set(re.findall(r"^  (--[\w-]+):", properties_css(system), re.MULTILINE))
    assert {token.property for token in system.tokens.values() if token.type != "asset"} == names


def test_names_cannot_break_out_of_css() -> None:
    hostile = "</style><script>x</script>}*{color:red"
    identity = Identity.model_validate({"name": hostile, "colors": [{"name": hostile, "value": "#123456"}]})
    css = tokens_css(resolve(identity), used_names())
    assert "script>" not in css and "color:red" not in css


def test_one_radius_governs_all_parts_and_a_part_can_have_its_own(quillmoor: Identity) -> None:
    parts = ("button", "field", "card", "picture")
    system = resolve(quillmoor, Choices(radius=14))
    assert {system.css(f"shape/{part}-radius") for part in parts} == {"14px"}
    assert {system.tokens[f"shape/{part}-radius"].origin for part in parts} == {"derived"}
    system = resolve(quillmoor, Choices(radius=14, corners=Corners(picture=0)))
    assert system.css("shape/picture-radius") == "0px" and system.tokens["shape/picture-radius"].origin == "chosen"
    assert system.css("shape/card-radius") == "14px"
    full = resolve(quillmoor, Choices(radius=40))
    assert (full.css("shape/button-radius"), full.css("shape/card-radius")) == ("999px", "24px")


def test_nothing_moves_or_casts_a_shadow_unless_asked(quillmoor: Identity) -> None:
    plain, asked = resolve(quillmoor, Choices()), resolve(quillmoor, Choices(motion="lively", elevation="crisp"))
    assert plain.css("motion/duration") == "0ms" and plain.css("motion/lift") == "0px"
    assert plain.css("elevation/strength") == "0"
    assert asked.css("motion/duration") == "240ms" and asked.css("motion/easing") == "cubic-bezier(0.3, 1.4, 0.5, 1)"
    assert asked.css("elevation/across") == "4px" and asked.tokens["elevation/blur"].origin == "chosen"


def test_line_height_and_tracking_follow_the_family(quillmoor: Identity) -> None:
    """A larger x-height and longer lines want more room (common practice)."""
    small, large = (
        resolve(quillmoor.model_copy(update={"typefaces": Typefaces(heading=one, body=one)}))
        for one in ("eb-garamond", "inter")
    )
    assert large.steps["h2"].line_height > small.steps["h2"].line_height
    assert large.steps["display"].tracking < small.steps["display"].tracking < 0
    assert "x-height" in large.tokens["type/body/line-height"].reason


def test_a_step_of_ones_own_goes_before_the_scale(quillmoor: Identity) -> None:
    own = StepChoice(small=20, large=90, weight=400, case="uppercase", tracking=0.05, font="body")
    system = resolve(quillmoor, Choices(scale=Scale(size=1.2, steps={"h2": own})))
    step = system.steps["h2"]
    assert (step.small, step.large) == (20, 50)  # 2.5 times at most, so that zoom works
    assert (step.case, step.tracking, step.family.id) == ("uppercase", 0.05, quillmoor.typefaces.body)
    assert system.tokens["type/h2/size"].origin == "chosen" and system.tokens["type/h1/size"].origin == "derived"
    assert system.tokens["type/h2/family"].alias == "type/body/family"
    assert system.steps["body"].small == pytest.approx(17 * 1.2)


def test_labels_are_set_in_the_third_family_where_there_is_one(quillmoor: Identity) -> None:
    third = quillmoor.model_copy(update={"typefaces": quillmoor.typefaces.model_copy(update={"third": "spline-sans-mono"})})
    assert resolve(third).steps["label"].family.id == "spline-sans-mono"
    assert resolve(quillmoor).steps["label"].family.id == quillmoor.typefaces.body
