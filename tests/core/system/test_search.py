"""The search's shortcuts against plain loops: they find what is least, and no less is looked at than is needed."""

import random
from itertools import product

import numpy as np
import pytest

from formulon.core.color.srgb import RGB
from formulon.core.system.documents.choices import Choices
from formulon.core.system.documents.identity import BrandColor, Identity
from formulon.core.system.resolve import resolve
from formulon.core.system.solving.costs import Costs, Kept
from formulon.core.system.solving.palette import Exact, palette_of
from formulon.core.system.solving.search import ALL, EXACT, NEUTRAL, PURE, RAMP, TONES, rank_costs, together

INF = float("inf")


@pytest.mark.parametrize("seed", range(60))
def test_two_together_cost_least(seed: int) -> None:
    dice = random.Random(seed)
    # Few different costs, so that there are ties, and about a third that cannot be taken.
    first, second = ([dice.choice((INF, 0.0, 1.0, 1.5, 4.0)) for _ in range(dice.randint(1, 20))] for _ in range(2))
    barred = [[dice.choice((0.0, 0.0, INF)) for _ in second] for _ in first]
    found = together(np.array(first), np.array(second), np.array(barred))
    least = min(first[i] + second[j] + barred[i][j] for i, j in product(range(len(first)), range(len(second))))
    if least == INF:
        assert found is None
    else:
        assert found is not None
        assert first[found[0]] + second[found[1]] + barred[found[0]][found[1]] == least


def test_ranks_follow_the_order_and_calm_colors_go_first() -> None:
    kind, chroma = np.array([EXACT, RAMP, NEUTRAL, PURE, EXACT, RAMP]), np.array([0.01, 0.01, 0.0, 0.0, 0.2, 0.2])
    by_cost = np.argsort(rank_costs(kind, chroma, TONES, None), kind="stable").tolist()
    assert by_cost == [1, 5, 2, 0, 4, 3]
    assert np.argsort(rank_costs(kind, chroma, TONES, 0.06), kind="stable").tolist() == [1, 2, 0, 5, 4, 3]
    assert rank_costs(kind, chroma, (NEUTRAL,), None)[0] == INF


@pytest.mark.parametrize("forbidden", [frozenset(), frozenset({((27, 33, 71), (246, 241, 231)), ((255, 255, 255), (9, 9, 9))})])
def test_a_text_costs_the_same_on_one_fill_as_in_the_table_of_all(forbidden: frozenset[tuple[RGB, RGB]]) -> None:
    palette = palette_of(
        (Exact("night", "Night", "#1B2147"), Exact("lamp", "Lamp", "#F2A93B"), Exact("chalk", "Chalk", "#F6F1E7"))
    )
    texts = Costs(palette).texts(((246, 241, 231), (27, 33, 71)), 0.0, ALL, 0.09, 4.5, forbidden)
    for row, swatch in enumerate(palette.swatches):
        assert texts.on(swatch.rgb).tolist() == texts.costs[row].tolist()
        assert texts.least[row] == min(texts.on(swatch.rgb))
    banned = [swatch.rgb for swatch in palette.swatches].index((27, 33, 71))
    assert (texts.on((246, 241, 231))[banned] == INF) == bool(forbidden)
    # A colour that is no swatch: nothing that passes there is missing, and white does not pass on a light grey.
    white = [swatch.rgb for swatch in palette.swatches].index((255, 255, 255))
    assert texts.on((200, 200, 201))[white] == INF
    assert texts.on((9, 9, 9))[white] < INF if not forbidden else texts.on((9, 9, 9))[white] == INF


def test_the_inner_tone_of_the_focus_ring_stays_the_brands_where_the_outer_was_pinned() -> None:
    colors = [BrandColor(name=name, value=value) for name, value in (("Night", "#1B2147"), ("Lamp", "#F2A93B"))]
    pins = {"ground/paper/focus": "#f0f0f0"}  # does not show on the paper
    system = resolve(Identity(name="Pinned", colors=colors), Choices(pins=pins))
    assert system.tokens["ground/paper/focus"].css == "#f0f0f0"
    assert system.tokens["ground/paper/focus-inner"].origin == "exact"
    assert any(conflict.path == "ground/paper/focus" for conflict in system.conflicts)


def test_what_is_remembered_is_bounded_and_the_newest_stays() -> None:
    kept: Kept[int, int] = Kept(8)
    for key in range(100):
        kept[key] = key
        assert kept[key] == key
        assert len(kept) <= 8
    assert set(kept) >= {97, 98, 99}


def test_a_palette_that_was_asked_thousands_of_things_answers_as_a_new_one() -> None:
    palette = palette_of((Exact("night", "Night", "#1B2147"), Exact("lamp", "Lamp", "#F2A93B")))
    old, dice = Costs(palette), random.Random(4)
    for _ in range(2000):
        back = (dice.randrange(256), dice.randrange(256), dice.randrange(256))
        old.passing(back, 4.5)
        old.fills(back)
    for back in ((27, 33, 71), (1, 2, 3), (200, 180, 90)):
        assert old.passing(back, 4.5).tolist() == Costs(palette).passing(back, 4.5).tolist()
        assert old.fills(back).cost.tolist() == Costs(palette).fills(back).cost.tolist()
    held = sum(len(one) for one in vars(old).values() if isinstance(one, Kept))
    assert held < 8 * 512
