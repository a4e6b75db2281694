"""The proportions in which a brand wants its colours: its own where the guideline states them, else a guide."""

from dataclasses import dataclass

from formulon.core.system.documents.identity import Identity

GUIDE = (60.0, 30.0, 10.0)  # ground, second and accent colour, in percent (common practice)


@dataclass(frozen=True, slots=True)
class Proportions:
    """Percent by brand colour as stated; or, where nothing is stated, the guide's percentages from the largest down."""

    stated: dict[str, float]
    text: str
    guide: tuple[float, ...] = GUIDE


def proportions(identity: Identity) -> Proportions:
    """The brand's own proportions out of its guideline, by id of its colours; empty where it states none."""
    by_name = {c.name.casefold(): c.id for c in identity.colors} | {c.id: c.id for c in identity.colors}
    for rule in identity.rules:
        if rule.rule == "proportions":
            stated = {
                by_name[name.casefold()]: float(share)
                for name, share in rule.values.items()
                if name.casefold() in by_name and isinstance(share, int | float)
            }
            if stated:
                return Proportions(stated, rule.text)
    return Proportions({}, "")
