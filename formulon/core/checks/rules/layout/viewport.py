"""A page tells phones that it fits them, and lets people enlarge it (common practice; WCAG 2.2 SC 1.4.4)."""

import re
from collections.abc import Iterator, Mapping

from formulon.core.checks.page_facts import PageForm
from formulon.core.checks.rule import COMMON_PRACTICE, Ref, Verdict, rule


@rule(
    id="layout/viewport",
    title="Pages fit phones and can be enlarged",
    standard=COMMON_PRACTICE,
    severity="stop",
    looks_at=PageForm,
    options={"enlarged": 2.0},
    rationale="Without it phones draw the page as for a desktop and shrink it; one that may not be enlarged is closed to weak eyes.",
    messages={
        "none": "The page does not say that it fits phones (a viewport as wide as the device).",
        "fixed": "The page keeps people from enlarging it.",
    },
    refs={"fixed": Ref("WCAG 2.2", "1.4.4", "AA")},
)
def viewport(page: PageForm, options: Mapping[str, float]) -> Iterator[Verdict]:
    said = page.viewport.lower().replace(" ", "")
    if "width=device-width" not in said:
        yield Verdict("none")
    most = re.search(r"maximum-scale=([\d.]+)", said)
    if re.search(r"user-scalable=(?:no|0)\b", said) or (most and float(most[1]) < options["enlarged"]):
        yield Verdict("fixed")
