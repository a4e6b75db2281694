"""WCAG contrast against published pairs and an independent literal implementation."""

import json
import os
import subprocess
from pathlib import Path

import numpy as np
import pytest

from formulon.core.color.contrast import contrast_matrix, contrast_ratio, relative_luminance, shown
from formulon.core.color.srgb import from_hex, to_hex

ROOT = Path(__file__).resolve().parent.parent.parent

# W3C, Understanding SC 1.4.3 and technique G18 speak of #767676 as the lightest grey that passes on white; the two
# figures are those of the issue and of common practice.
PUBLISHED = [("#767676", "#ffffff", 4.54), ("#777777", "#ffffff", 4.48), ("#000000", "#ffffff", 21.0)]


@pytest.mark.parametrize(("first", "second", "ratio"), PUBLISHED)
def test_published_pairs(first: str, second: str, ratio: float) -> None:
    assert contrast_ratio(from_hex(first), from_hex(second)) == pytest.approx(ratio, abs=0.005)


def test_verdict_beside_the_threshold() -> None:
    assert contrast_ratio(from_hex("#767676"), (255, 255, 255)) >= 4.5
    assert contrast_ratio(from_hex("#777777"), (255, 255, 255)) < 4.5
    # A pair whose verdict flips with other coefficients than the standard writes (4.5002 by the standard).
    assert contrast_ratio(from_hex("#520e39"), from_hex("#46a520")) == pytest.approx(4.5002, abs=0.00005)


def test_design_pairs() -> None:
    """The demo's traps, as the design states them."""
    for first, second, ratio in (
        ("#F2A93B", "#F6F1E7", 1.77),
        ("#1B2147", "#8E5A9B", 3.02),
        ("#8E5A9B", "#F6F1E7", 4.57),
    ):
        assert contrast_ratio(from_hex(first), from_hex(second)) == pytest.approx(ratio, abs=0.005)


def test_against_culori_over_random_pairs() -> None:
    """culori (npm) writes WCAG contrast literally, with the standard's own threshold."""
    dice = np.random.default_rng(143)
    pairs = [[to_hex(tuple(rgb)) for rgb in pair] for pair in dice.integers(0, 256, (5000, 2, 3)).tolist()]
    script = (
        "import {wcagContrast} from 'culori';"
        "let s='';process.stdin.on('data',d=>s+=d).on('end',()=>"
        "console.log(JSON.stringify(JSON.parse(s).map(([a,b])=>wcagContrast(a,b)))))"
    )
    done = subprocess.run(
        [str(ROOT / ".venv" / "bin" / "node"), "--input-type=module", "-e", script],
        input=json.dumps(pairs).encode(),
        capture_output=True,
        cwd=ROOT / "web",
        env={"PATH": os.environ["PATH"]},
        check=True,
    )
    theirs = np.array(json.loads(done.stdout))
    ours = np.array([contrast_ratio(from_hex(a), from_hex(b)) for a, b in pairs])
    np.testing.assert_allclose(ours, theirs, rtol=1e-12)
    for threshold in (3.0, 4.5, 7.0):
        assert ((ours >= threshold) == (theirs >= threshold)).all()


def test_black_or_white_always_reaches_458() -> None:
    """The worst ground for black and white has luminance sqrt(1.05 · 0.05) − 0.05; there both are 4.58:1."""
    greys = [max(contrast_ratio((v, v, v), (0, 0, 0)), contrast_ratio((v, v, v), (255, 255, 255))) for v in range(256)]
    assert min(greys) >= (1.05 / 0.05) ** 0.5 - 1e-9
    assert pytest.approx(4.58, abs=0.005) == (1.05 / 0.05) ** 0.5


def test_matrix_is_the_pairwise_ratio() -> None:
    colors = np.array([[27, 33, 71], [242, 169, 59], [246, 241, 231]])
    matrix = contrast_matrix(colors, colors)
    for i, a in enumerate(colors.tolist()):
        for j, b in enumerate(colors.tolist()):
            assert matrix[i, j] == pytest.approx(contrast_ratio(tuple(a), tuple(b)), rel=1e-12)


def test_luminance_ends() -> None:
    assert relative_luminance((0, 0, 0)) == 0
    assert relative_luminance((255, 255, 255)) == pytest.approx(1)


def test_shown_ratio_is_floored() -> None:
    assert shown(4.4999) == "4.49:1"
    assert shown(4.5) == "4.5:1"
    assert shown(21) == "21:1"
