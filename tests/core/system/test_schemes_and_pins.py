"""Grounds of navigation and footer, the dark scheme, pins, the guideline's forbidden pairs, links without underline,
signals under dichromacy, and what AAA leaves open."""

import jsonpatch
import pytest

from formulon.core.color.contrast import contrast_ratio, relative_luminance
from formulon.core.color.difference import difference
from formulon.core.color.srgb import from_hex, to_hex
from formulon.core.color.vision import DICHROMACIES, seen_color
from formulon.core.site.render import Preview, render, render_page
from formulon.core.site.site import Site
from formulon.core.system.documents.choices import GROUNDS, SECTION_GROUNDS, Choices
from formulon.core.system.documents.identity import BrandColor, BrandRule, Identity
from formulon.core.system.resolve import resolve
from formulon.core.system.system import Conflict


def one_color(value: str) -> Identity:
    return Identity(name="One", colors=[BrandColor(id="one", name="One", value=value)])


def patched(choices: Choices, conflict: Conflict, index: int) -> Choices:
    return Choices.model_validate(jsonpatch.apply_patch(choices.model_dump(), list(conflict.alternatives[index].patch)))


def test_navigation_and_footer_follow_until_they_have_their_own(quillmoor: Identity) -> None:
    system = resolve(quillmoor, Choices(wires={"accent": "lamp"}))
    assert system.css("ground/navigation/background") == system.css("ground/paper/background")
    assert system.css("ground/footer/background") == system.css("ground/deep/background")
    own = resolve(quillmoor, Choices(wires={"navigation": "heather"}))
    assert own.css("ground/navigation/background") == "#8e5a9b" and own.css("ground/paper/background") == "#f6f1e7"
    assert own.conflicts == () or {c.ground for c in own.conflicts} <= {"navigation"}
    assert contrast_ratio(from_hex(own.css("ground/navigation/body")), (0x8E, 0x5A, 0x9B)) >= 4.5


def test_no_section_puts_its_ground_on_header_or_footer(site: Site) -> None:
    body = site.model_dump()
    body["frame"]["header"]["ground"], body["frame"]["footer"]["ground"] = "accent", "brand"
    frame = Site.model_validate(body).frame
    assert (frame.header.ground, frame.footer.ground) == ("navigation", "footer")


def test_dark_is_solved_not_inverted(quillmoor: Identity) -> None:
    light, dark = (resolve(quillmoor, Choices(scheme=one)) for one in ("light", "dark"))
    assert dark.css("ground/paper/background") == "#1b2147"  # Night itself, not the light paper turned round
    assert dark.css("ground/accent/background") == light.css("ground/accent/background") == "#8e5a9b"
    assert dark.conflicts == ()
    # Every ground is as readable as in the light scheme, on its own colours.
    for pair in dark.pairs:
        assert pair.passes and pair.scheme == "dark"
    grounds = {dark.css(f"ground/{g}/background") for g in SECTION_GROUNDS}
    assert len(grounds) == 5
    assert relative_luminance(from_hex(dark.css("ground/tint/background"))) > relative_luminance((0x1B, 0x21, 0x47))


def test_both_schemes_are_checked_and_written(quillmoor: Identity, site: Site) -> None:
    choices = Choices(scheme="both", wires={"paper/link": "night", "dark:paper/link": "heather"})
    system = resolve(quillmoor, choices)
    assert system.css("ground/paper/link") == "#1b2147" and system.css("ground/paper/link", "dark") == "#8e5a9b"
    assert {pair.scheme for pair in system.pairs} == {"light", "dark"}
    found = [c for c in system.conflicts if not c.cause]  # Heather on Night is 3.02:1
    assert [(c.scheme, c.ground, c.ink) for c in found] == [("dark", "paper", "link")]
    after = resolve(quillmoor, patched(choices, found[0], 0))
    assert after.conflicts == () and after.css("ground/paper/link") == "#1b2147"
    dark_site = site.model_copy(update={"choices": Choices(scheme="both")})
    solved = resolve(quillmoor, dark_site.choices)
    files = render(dark_site, solved)
    css = files["tokens.css"].decode()
    assert "color-scheme:light dark" in css and "@media (prefers-color-scheme:dark)" in css
    assert (
        '<source media="(prefers-color-scheme: dark)" srcset="marks/quillmoor-full-reversed.svg">'
        in files["index.html"].decode()
    )
    assert "marks/quillmoor-full-reversed.svg" in files
    page = render_page(dark_site, solved, dark_site.pages[0], Preview("/fonts/", scheme="dark"))
    assert '[data-ground="paper"] {\n  --background: #1b2147;' in page and "prefers-color-scheme" not in page


def test_a_pin_is_kept_checked_and_released(quillmoor: Identity) -> None:
    path = "ground/paper/primary/fill/hover"
    choices = Choices(pins={path: "rebeccapurple", "space/4": "10px 30px", "type/h1/line-height": "1.4", "shape/radius": "9px"})
    system = resolve(quillmoor, choices)
    assert (system.tokens[path].css, system.tokens[path].origin) == ("#663399", "pinned")
    assert system.tokens["space/4"].value == {"small": 10, "large": 30, "unit": "px"}
    assert system.css("shape/radius") == "9px" and system.tokens["shape/radius"].origin == "pinned"
    assert system.steps["h1"].line_height == 1.4
    (conflict,) = system.conflicts  # Night on that purple is below 4.5:1
    assert conflict.ink == "primary/label/hover" and conflict.measured == pytest.approx(
        contrast_ratio((27, 33, 71), (102, 51, 153))
    )
    after = resolve(quillmoor, patched(choices, conflict, 0))
    assert after.conflicts == () and after.tokens[path].origin == "derived"
    assert after.css("shape/radius") == "9px"  # other pins stay


def test_what_stands_on_a_pinned_ground_follows_it(quillmoor: Identity) -> None:
    system = resolve(quillmoor, Choices(pins={"ground/paper/background": "#102030"}))
    assert system.css("ground/paper/background") == "#102030" and system.conflicts == ()
    assert contrast_ratio(from_hex(system.css("ground/paper/body")), (16, 32, 48)) >= 4.5
    assert system.css("ground/navigation/background") == "#102030"


@pytest.mark.parametrize(
    ("path", "value"),
    [
        ("brand/night", "#000000"),
        ("ground/paper/link", "url(x)"),
        ("space/4", "4px;}"),
        ("type/h1/family", "12px"),
        ("ground/paper/link", "rgb(0 0 0 / 50%)"),
        ("../../x", "#000"),
    ],
)
def test_pins_that_are_refused(path: str, value: str) -> None:
    with pytest.raises(ValueError, match=r"pinned|not a colour|no measure|facts of the identity|see-through"):
        Choices(pins={path: value})


def test_a_pin_that_no_token_takes_is_told(quillmoor: Identity) -> None:
    pins = {"ground/paper/nothing": "#123456", "space/44": "4px", "shape/radius": "1.5", "logo/deep": "gone"}
    pins |= {"ramp/night/150": "#123456", "neutral/975": "#101010", "picture/9": "#abcdef"}
    choices = Choices(pins=pins)
    system = resolve(quillmoor, choices)
    assert {c.path for c in system.conflicts if c.code == "pin-lost"} == set(pins)
    for conflict in system.conflicts:
        assert conflict.path not in patched(choices, conflict, 0).pins


def test_a_pinned_mark(quillmoor: Identity) -> None:
    system = resolve(quillmoor, Choices(pins={"logo/paper": "quillmoor-symbol"}))
    assert system.marks["paper"].mark == "quillmoor-symbol" and system.tokens["logo/paper"].origin == "pinned"


def test_forbidden_pairs_of_the_guideline_are_kept_out_and_told(quillmoor: Identity) -> None:
    rule = BrandRule(rule="forbidden pair", text="Never Night on Chalk.", values={"ink": "night", "ground": "Chalk"})
    identity = quillmoor.model_copy(update={"rules": [rule]})
    system = resolve(identity)
    assert system.conflicts == ()
    on_chalk = {p.foreground for p in system.pairs if p.background == "#f6f1e7" and not p.exempt and "border" not in p.ink}
    assert "#1b2147" not in on_chalk
    assert resolve(quillmoor).css("ground/paper/heading") == "#1b2147"
    wired = Choices(wires={"paper/heading": "night"})
    (conflict,) = (c for c in resolve(identity, wired).conflicts if not c.cause and c.ink == "heading" and c.ground == "paper")
    assert conflict.code == "forbidden-pair" and "rules out" in conflict.message
    assert not [c for c in resolve(identity, patched(wired, conflict, 0)).conflicts if c.ground == "paper"]


def test_links_without_underline_stand_out_from_the_text(quillmoor: Identity) -> None:
    """WCAG 2.2, technique G183: 3:1 against the text around, and still the ratio for text on the ground."""
    for value in ("#1B2147", "#8E5A9B", "#00827B", "#B70000", "#777777"):
        system = resolve(one_color(value), Choices(links={"underlined": False}))
        for ground in GROUNDS:
            body, link = (from_hex(system.css(f"ground/{ground}/{ink}")) for ink in ("body", "link"))
            back = from_hex(system.css(f"ground/{ground}/background"))
            assert contrast_ratio(link, back) >= 4.5
            told = [c for c in system.conflicts if (c.code, c.ground) == ("link-like-text", ground)]
            assert (contrast_ratio(link, body) >= 3) == (not told), (value, ground)
            for conflict in told:  # only where no two colours of the palette pass together
                passing = [rgb for rgb in system.palette.values() if contrast_ratio(rgb, back) >= 4.5]
                links = [rgb for rgb in passing if rgb not in ((0, 0, 0), (255, 255, 255))]
                assert not any(contrast_ratio(a, b) >= 3 for a in passing for b in links), (value, ground)
                choices = Choices(links={"underlined": False})
                assert resolve(one_color(value), patched(choices, conflict, 0)).conflicts == ()


def test_signals_are_told_apart_by_every_dichromat_on_paper(quillmoor: Identity) -> None:
    system = resolve(quillmoor)
    for ground in ("paper", "tint", "deep"):
        colors = [from_hex(system.css(f"ground/{ground}/{name}")) for name in ("success", "warning", "error")]
        for vision in DICHROMACIES:
            seen = [seen_color(rgb, vision) for rgb in colors]
            assert min(difference(seen[a], seen[b]) for a, b in ((0, 1), (0, 2), (1, 2))) >= 4.8, (ground, vision)


def test_the_focus_ring_shows_on_ground_and_fill(quillmoor: Identity) -> None:
    for value in ("#1B2147", "#FFD400", "#00827B", "#ffffff", "#808080"):
        system = resolve(one_color(value))
        for ground in GROUNDS:
            get = {
                p: from_hex(system.css(f"ground/{ground}/{p}"))
                for p in ("background", "focus", "focus-inner", "primary/fill/rest")
            }
            assert contrast_ratio(get["focus"], get["background"]) >= 3
            assert contrast_ratio(get["focus-inner"], get["primary/fill/rest"]) >= 3


@pytest.mark.parametrize("value", ["#00827B", "#C0392B", "#777777", "#8E5A9B"])
def test_a_middling_ground_under_aaa_is_offered_two_ways_with_numbers(value: str) -> None:
    """Nothing reaches 7:1 on luminances of 0.10 to 0.30: (L + 0.05) / 0.05 and 1.05 / (L + 0.05) are both below 7."""
    assert 0.10 <= relative_luminance(from_hex(value.lower())) <= 0.30
    identity, choices = one_color(value), Choices(policy="AAA")
    system = resolve(identity, choices)
    (conflict,) = (c for c in system.conflicts if c.ground == "brand" and not c.cause)
    assert conflict.code == "ground-too-mid" and conflict.measured < 7
    assert all(c.cause == "ground/brand/background" for c in system.conflicts if c.ground == "brand" and c is not conflict)
    large, step, policy = (patched(choices, conflict, index) for index in range(3))
    assert large.large_only == ["brand"] and policy.policy == "AA"
    after = resolve(identity, large)
    assert not [c for c in after.conflicts if c.ground == "brand"]
    assert all(p.ratio >= 4.5 for p in after.pairs if p.ground == "brand" and p.required == 4.5)
    after = resolve(identity, step)
    assert not [c for c in after.conflicts if c.ground == "brand"]
    assert after.css("ground/brand/background") == conflict.alternatives[1].color != value.lower()
    assert after.css("brand/one") == value  # the exact colour stays
    assert resolve(identity, policy).conflicts == ()


def test_tinted_ends_fail_where_black_and_white_just_pass() -> None:
    """Black or white always reaches 4.58:1: at luminance L the better is max((L + .05) / .05, 1.05 / (L + .05)), least
    where both are equal, at the square root of 21."""
    worst = min(max(contrast_ratio((v, v, v), (0, 0, 0)), contrast_ratio((v, v, v), (255, 255, 255))) for v in range(256))
    assert worst >= 21**0.5
    system = resolve(one_color(to_hex((118, 118, 118))))
    assert system.css("ground/brand/body") in ("#000000", "#ffffff") and system.conflicts == ()
