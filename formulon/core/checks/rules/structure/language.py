"""A page says in which language it is (WCAG 2.2 SC 3.1.1)."""

import re
from collections.abc import Iterator, Mapping

from formulon.core.checks.page_facts import PageForm
from formulon.core.checks.rule import Ref, Verdict, rule


@rule(
    id="structure/language",
    title="Pages say in which language they are",
    standard=Ref("WCAG 2.2", "3.1.1", "A"),
    severity="stop",
    looks_at=PageForm,
    rationale="Screen readers take their voice from it, browsers their hyphenation and quotation marks.",
    messages={"none": "The page does not say in which language it is.", "unknown": "“{said}” names no language (BCP 47)."},
)
def language(page: PageForm, _: Mapping[str, float]) -> Iterator[Verdict]:
    if not page.language.strip():
        yield Verdict("none")
    elif not re.fullmatch(r"[A-Za-z]{2,3}(-[A-Za-z0-9]{1,8})*|[xi](-[A-Za-z0-9]{1,8})+", page.language.strip()):
        yield Verdict("unknown", values={"said": page.language[:40]})
