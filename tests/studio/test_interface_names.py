"""The interface has words for what core names: a family of rules is never told by its folder."""

import re
from pathlib import Path

from formulon.core.checks.rule import rules

STAGE = Path(__file__).parents[2] / "web" / "src" / "stages" / "preflight" / "findings.ts"


def test_every_family_of_rules_has_a_name_in_preflight() -> None:
    told = re.findall(r"^  (\w+): '[A-Z]", STAGE.read_text(encoding="utf-8"), re.MULTILINE)
    assert {one.family for one in rules().values()} <= set(told)
