"""What the guideline rules out on pages, and what of it the style of the whole site has."""

from formulon.core.system.documents.choices import Choices
from formulon.core.system.documents.identity import Identity
from formulon.core.system.system import System


def ruled_out(identity: Identity) -> tuple[tuple[str, str], ...]:
    """What is not to be used, each with the sentence that says so."""
    found: dict[str, str] = {}
    for rule in identity.rules:
        what = rule.values.get("what") if rule.rule == "not used" else None
        for one in what if isinstance(what, list) else ():
            found.setdefault(one, rule.text)
    return tuple(found.items())


def forbidden_pairs(identity: Identity) -> tuple[tuple[str, str, str], ...]:
    """Pairs of ink and ground that the guideline rules out, as hex in small letters, each with its sentence."""
    by_name = {key.casefold(): color.value.lower() for color in identity.colors for key in (color.name, color.id)}
    found = []
    for rule in identity.rules:
        if rule.rule == "forbidden pair":
            ink, ground = (by_name.get(str(rule.values.get(key, "")).casefold().strip()) for key in ("ink", "ground"))
            if ink and ground:
                found.append((ink, ground, rule.text))
    return tuple(found)


def drawn_everywhere(choices: Choices, system: System) -> frozenset[str]:
    """Of what can be ruled out, what the style has. Italics, gradients and text on pictures are told where they stand."""
    has = {
        "shadows": choices.elevation != "none" or choices.cards == "lifted" or choices.buttons.raised,
        "round corners": any(
            token.path.startswith("shape/") and token.path.endswith("radius") and float(token.css.removesuffix("px")) > 0
            for token in system.tokens.values()
        ),
        "capitals": any(
            token.css == "uppercase" for token in system.tokens.values() if token.path.startswith("type/") and token.path.endswith("/case")
        ),
        "treated photographs": choices.pictures != "natural" or choices.grain > 0,
        "motion": choices.motion != "none",
    }  # fmt: skip
    return frozenset(what for what, there in has.items() if there)
