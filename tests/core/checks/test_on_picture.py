"""Text on pictures: what it has, what cannot be told, the least overlay of each shape, and that each offer does what it says.

Pictures are made so that the ratios are known: WCAG 2.2's contrast of white, black and greys, worked out beside the checks.
"""

import base64
import io
from collections.abc import Callable

import numpy as np
import pytest
from PIL import Image

from formulon.core.checks.on_picture import SPOT, by_width, least, measure, picture_of_worst
from formulon.core.checks.page_facts import TextRun, TextsOnPicture
from formulon.core.checks.predict import predict
from formulon.core.checks.preflight import check_site
from formulon.core.checks.rule import rules
from formulon.core.checks.runner import check
from formulon.core.color.contrast import contrast_ratio
from formulon.core.color.srgb import from_hex
from formulon.core.site.behind import SHAPES
from formulon.core.site.changes import Change, apply
from formulon.core.site.planning.planner import plan
from formulon.core.site.site import Asset, Rendition, Site
from formulon.core.site.standing import stand
from formulon.core.system.documents.choices import Choices
from formulon.core.system.documents.identity import Identity
from formulon.core.system.resolve import resolve

RULE = "contrast/text-on-picture"


def photograph(pixels: np.ndarray) -> bytes:  # type: ignore[type-arg]
    out = io.BytesIO()
    Image.fromarray(pixels.astype(np.uint8)).save(out, "PNG")
    return out.getvalue()


def grey(value: int) -> bytes:
    return photograph(np.full((120, 160, 3), value))


def half(left: int, right: int) -> bytes:
    """A picture of two greys side by side."""
    made = np.full((120, 160, 3), left)
    made[:, 80:] = right
    return photograph(made)


def covered(
    identity: Identity, name: str, opacity: float, shape: str = "even", choices: Choices | None = None, ground: str = "deep"
) -> Site:
    """The demo's start page with its words on a photograph; `name` is the photograph's SHA-256."""
    site = plan(identity, choices)
    hero = site.pages[0].sections[0]
    hero.layout, hero.ground = "backcloth", ground  # type: ignore[assignment]
    hero.content["picture"] = {
        "source": "asset:photo", "alt": "A photograph", "overlay": {"opacity": opacity, "shape": shape},
    }  # fmt: skip
    site.assets.append(Asset(id="photo", name="Photo", width=160, height=120, renditions=[Rendition(width=160, sha256=name)]))
    return Site.model_validate(site.model_dump())


def fact_of(site: Site, open_blob: Callable[[str], bytes] | None) -> TextsOnPicture:
    system = resolve(site.identity, site.choices)
    (fact,) = [f for f in predict(site, system, open_blob=open_blob) if isinstance(f, TextsOnPicture)]
    return fact


def digest(number: int) -> str:
    return f"{number:064x}"


def test_an_even_picture_has_the_ratio_of_its_colour(quillmoor: Identity) -> None:
    """Without an overlay every pixel is the grey, so the ratio is that of the two colours."""
    for number, value in ((1, 0), (2, 90), (3, 255)):
        fact = fact_of(covered(quillmoor, digest(number), 0.0), lambda _, v=value: grey(v))
        system = resolve(quillmoor, Choices())
        for one in by_width(fact):
            ink = from_hex(system.css(f"ground/deep/{'heading' if one.slot == 'heading' else 'body'}"))
            expected = contrast_ratio(ink, (value, value, value))
            assert one.ratio == pytest.approx(expected) and one.worst == pytest.approx(expected)
            assert one.passes == (expected >= one.required) and one.share == (0.0 if one.passes else 1.0)
        assert measure(fact) == pytest.approx(min(one.ratio for one in by_width(fact)))


def test_at_full_opacity_it_is_the_ground(quillmoor: Identity) -> None:
    fact = fact_of(covered(quillmoor, digest(10), 1.0), lambda _: half(0, 255))
    for text in fact.texts:
        expected = contrast_ratio(from_hex(text.run.foreground), from_hex(text.run.background))
        assert all(one.ratio == pytest.approx(expected) for one in by_width(fact) if one.slot == text.run.place.slot)


def test_the_worst_spot_is_where_the_picture_is_worst(quillmoor: Identity) -> None:
    """Light words on a picture that is white on its right half: the spot lies there, and the focus moves it away."""
    site = covered(quillmoor, digest(11), 0.0)
    site.pages[0].sections[0].content["heading"] = "Words that reach far across the whole of a page"
    site = Site.model_validate(site.model_dump())
    for one in by_width(fact_of(site, lambda _: half(0, 255))):
        if one.slot == "heading":
            assert one.spot[0] > 0.49 and not one.passes
    picture = site.pages[0].sections[0].content["picture"]
    picture["focus"] = {"x": 0.0, "y": 0.5}
    phone = [one for one in by_width(fact_of(site, lambda _: half(0, 255))) if one.width == 360]
    assert all(one.passes for one in phone)  # the phone's crop is 360 of 640 px: all of it black


def test_the_least_overlay_passes_and_a_hundredth_less_does_not(quillmoor: Identity) -> None:
    number = 20
    for ground in ("deep", "paper"):
        for shape in SHAPES:
            number += 1
            fact = fact_of(covered(quillmoor, digest(number), 0.0, shape, ground=ground), lambda _: half(30, 225))
            opacity = least(fact, shape)
            if opacity is None:
                assert shape != "even"  # the ground alone carries its inks
                continue
            assert opacity > 0
            for tried, passes in ((opacity, True), (round(opacity - 0.01, 2), False)):
                again = fact_of(covered(quillmoor, digest(number), tried, shape, ground=ground), lambda _: half(30, 225))
                assert all(one.passes for one in by_width(again)) is passes, (ground, shape, tried)


def test_the_side_is_weaker_on_the_right(quillmoor: Identity) -> None:
    """An overlay from the left has half its opacity in the middle: white behind words there needs more of it."""
    fact = fact_of(covered(quillmoor, digest(30), 0.0), lambda _: grey(255))
    even, side = least(fact, "even"), least(fact, "side")
    assert even is not None and (side is None or side > even)


def test_without_the_photograph_it_cannot_be_told(quillmoor: Identity) -> None:
    site = covered(quillmoor, digest(40), 0.0)
    findings = [one for one in check_site(site).findings if one.rule == RULE]
    assert {(one.code, one.outcome) for one in findings} == {("not-read", "cannot-tell")}
    assert not any(one.stops or one.fixes for one in findings)
    assert picture_of_worst(fact_of(site, None)) == ""


def test_each_offer_was_recomputed_and_passes(quillmoor: Identity) -> None:
    def blob(_: str) -> bytes:
        return half(40, 235)

    site = covered(quillmoor, digest(50), 0.1)
    findings = [one for one in check_site(site, open_blob=blob).findings if one.rule == RULE]
    assert findings and all(one.stops and one.code == "too-low" for one in findings)
    for fix in findings[0].fixes:
        changed = apply(site, [Change.model_validate(change) for change in fix.changes])
        system = resolve(changed.identity, changed.choices)
        left = [one for one in check(predict(changed, system, open_blob=blob), system).findings if one.rule == RULE]
        assert len(left) < len(findings), fix.label
        if fix.label.startswith("Lay deep over it evenly"):
            assert left == [] and fix.predicted is not None and fix.predicted >= 3
    assert findings[0].fixes[0].label.startswith("Lay deep over it evenly at ")


def test_no_rule_of_plain_grounds_looks_at_them(quillmoor: Identity) -> None:
    """The ground is only laid over the picture, so the pair of ink and ground says nothing here."""
    site = covered(quillmoor, digest(51), 0.1)
    runs = [f for f in predict(site, resolve(quillmoor, Choices())) if isinstance(f, TextRun) and f.on_picture]
    assert {run.place.slot for run in runs} == {"heading", "text"}
    report = check(runs, resolve(quillmoor, Choices()), only=["contrast/text-minimum", "contrast/text-enhanced"])
    assert report.counts["pass"] == 0 and report.counts["does-not-apply"] == 2 * len(runs)


def test_both_schemes_are_looked_at_and_one_overlay_serves_both(quillmoor: Identity) -> None:
    site = covered(quillmoor, digest(52), 0.0, choices=Choices(scheme="both"), ground="paper")
    fact = fact_of(site, lambda _: half(30, 225))
    assert {one.scheme for one in by_width(fact)} == {"light", "dark"}
    opacity = least(fact, "even")
    assert opacity is not None
    site.pages[0].sections[0].content["picture"]["overlay"]["opacity"] = opacity
    assert all(one.passes for one in by_width(fact_of(site, lambda _: half(30, 225))))


@pytest.mark.parametrize(("policy", "heading", "text"), [("AA", 3.0, 4.5), ("AAA", 4.5, 7.0), ("own", 4.0, 5.5)])
def test_it_is_held_to_the_policy(quillmoor: Identity, policy: str, heading: float, text: float) -> None:
    site = covered(quillmoor, digest(53), 0.5, choices=Choices.model_validate({"policy": policy}))
    needed = {one.slot: one.required for one in by_width(fact_of(site, lambda _: grey(128))) if one.width == 1280}
    assert needed == {"heading": heading, "text": text}
    found = [one for one in check_site(site, open_blob=lambda _: grey(128)).findings if one.rule == RULE]
    assert {one.required for one in found} <= {heading, text}
    clause = {"AA": "1.4.3", "AAA": "1.4.6", "own": ""}[policy]
    assert all(rules()[RULE].reference(one.code).clause == clause for one in found)


def test_each_policy_stops_it_with_its_own_reference(quillmoor: Identity) -> None:
    for policy, code in (("AA", "too-low"), ("AAA", "too-low-enhanced"), ("own", "below-own")):
        site = covered(quillmoor, digest(57), 0.0, choices=Choices.model_validate({"policy": policy}))
        codes = {one.code for one in check_site(site, open_blob=lambda _: grey(230)).findings if one.rule == RULE}
        assert codes == {code}


def test_drawings_follow_the_system(quillmoor: Identity) -> None:
    """A drawing is read by the numbers of its tokens, so a pinned one changes what is behind the words."""
    site = covered(quillmoor, digest(54), 0.0)
    site.pages[0].sections[0].content["picture"]["source"] = "drawn:hills/4"
    dark = fact_of(site, None)
    pins = {f"picture/{number}": "#ffffff" for number in range(1, 6)}
    light = fact_of(site.with_choices(Choices(pins=pins)), None)
    assert measure(dark) > 3 and measure(light) < 1.3


def test_the_picture_of_the_worst_spot_is_what_is_drawn(quillmoor: Identity) -> None:
    fact = fact_of(covered(quillmoor, digest(55), 0.5), lambda _: grey(200))
    shown = picture_of_worst(fact)
    image = Image.open(io.BytesIO(base64.b64decode(shown.removeprefix("data:image/png;base64,"))))
    assert image.size == SPOT
    colors = {color for _, color in image.getcolors()}  # type: ignore[union-attr]
    under = np.array(from_hex(fact.texts[0].run.background))
    ground = tuple(np.floor(0.5 * 200 + 0.5 * under + 0.5).astype(int))
    assert colors <= {ground, from_hex(fact.texts[0].run.foreground), from_hex(fact.texts[1].run.foreground), (255, 255, 255)}
    assert ground in colors and len(colors) >= 2


def test_words_stand_within_the_section_at_every_width(quillmoor: Identity) -> None:
    site = covered(quillmoor, digest(56), 0.5)
    hero = site.pages[0].sections[0]
    hero.content["text"] = "A long line of words that goes on. " * 16
    system = resolve(quillmoor, site.choices)
    for width in (320, 360, 768, 1280, 1920):
        box = stand(system, Site.model_validate(site.model_dump()).pages[0].sections[0], width)
        tops = [block.top for block in box.texts.values()]
        ends = [block.top + len(block.lines) * block.line_height for block in box.texts.values()]
        assert tops[0] > 0 and ends[0] < tops[1] and ends[1] < box.height
    assert stand(system, site.pages[0].sections[0], 1280).height >= 665
