"""Links, buttons and fields have a name (WCAG 2.2 SC 4.1.2 and 2.4.4; fields 3.3.2)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.page_facts import Named
from formulon.core.checks.rule import Ref, Verdict, rule


@rule(
    id="interaction/names",
    title="Links, buttons and fields have a name",
    standard=Ref("WCAG 2.2", "4.1.2", "A"),
    severity="stop",
    looks_at=Named,
    rationale="What has no name is read out as “button” or by its address, and cannot be asked for by voice.",
    messages={
        "none": "This {kind} has no name.",
        "hint-alone": "The field “{hint}” has no label; what stands in it is gone when one types.",
    },
    refs={"hint-alone": Ref("WCAG 2.2", "3.3.2", "A")},
)
def names(one: Named, _: Mapping[str, float]) -> Iterator[Verdict]:
    if one.name.strip():
        return
    if one.hint.strip():
        yield Verdict("hint-alone", values={"hint": one.hint[:60]})
    else:
        yield Verdict("none", values={"kind": one.kind})
