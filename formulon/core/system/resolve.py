"""resolve(identity, choices): the style system, a pure and deterministic function of the two."""

from dataclasses import replace
from functools import lru_cache

from formulon.core.color.parse import parse_color
from formulon.core.color.srgb import RGB
from formulon.core.system.documents import pins as pinning
from formulon.core.system.documents.choices import DARK, Choices, Scale
from formulon.core.system.documents.identity import Identity, Mark
from formulon.core.system.facets import lockup, motif, shape, typography
from formulon.core.system.policy import policy_of
from formulon.core.system.solving.coloring import Coloring
from formulon.core.system.solving.costs import Costs
from formulon.core.system.solving.palette import Exact, palette_of
from formulon.core.system.solving.settings import ColorSettings
from formulon.core.system.solving.ways import lost_pin
from formulon.core.system.system import Conflict, Scheme, Step, System, Token
from formulon.core.type.languages import joined
from formulon.core.type.library import SHIPPED, Library

ColorFacts = tuple[Exact, ...]
MarkFacts = tuple[tuple[str, str, str, str], ...]


def resolve(identity: Identity, choices: Choices | None = None, library: Library = SHIPPED) -> System:
    """The system of an identity under choices, in families of a library. An exact colour is never altered; what cannot be met
    is a conflict. Raises FontError where the library lacks a family."""
    choices = choices or Choices()
    colors = tuple(Exact(c.id, c.name, c.value) for c in identity.colors)
    marks = tuple((m.id, m.kind, m.meant_for, m.svg) for m in identity.marks)
    schemes = choices.schemes()
    pairs = _pairs(identity, "forbidden pair"), _pairs(identity, "wanted pair")
    runs = [_colored(colors, marks, _settings(choices, scheme, *pairs)) for scheme in schemes]
    header = next((mark for mark in identity.marks if mark.id == runs[0].marks["navigation"].mark), None)
    steps, letters = _typography(_fonts(identity, library), choices.scale.model_dump_json(), joined(identity.language))
    every = [_with_motif(run, choices, scheme) for run, scheme in zip(runs, schemes, strict=True)]
    tokens = every[0]
    measures = [
        *letters,
        *shape.tokens(choices),
        *lockup.tokens(identity, choices, header),
        *motif.measures(identity, choices),
    ]
    tokens |= {token.path: token for token in measures}
    conflicts = [conflict for run in runs for conflict in run.conflicts]
    conflicts += motif.conflicts(identity, choices)
    conflicts += _pin_measures(choices, tokens)
    conflicts += lockup.conflicts(tokens, header)
    pinned_steps = {name: _pinned_step(step, tokens) if choices.pins else step for name, step in steps.items()}
    second = every[1] if len(runs) > 1 else {}
    return System(
        tokens,
        tuple(pair for run in runs for pair in run.pairs),
        tuple(conflicts),
        pinned_steps,
        runs[0].marks,
        {swatch.reference: swatch.rgb for swatch in runs[0].palette.swatches},
        schemes,
        {path: token for path, token in second.items() if token != tokens.get(path)},
        runs[1].marks if second else {},
    )


def _with_motif(run: Coloring, choices: Choices, scheme: Scheme) -> dict[str, Token]:
    """The tokens of a scheme with those of the motif, which are solved once the grounds are."""
    return run.tokens | {token.path: token for token in motif.colors(run.costs, run.tokens, choices, scheme)}


def _fonts(identity: Identity, library: Library) -> typography.Fonts:
    chosen = identity.typefaces
    third = library.family(chosen.third) if chosen.third else None
    return typography.Fonts(library.family(chosen.heading), library.family(chosen.body), third)


def _pairs(identity: Identity, rule: str) -> tuple[tuple[str, str], ...]:
    """The pairs of ink and ground that the guideline rules out, or asks for, as ids of brand colours."""
    by_name = {c.name.casefold(): c.id for c in identity.colors} | {c.id: c.id for c in identity.colors}
    found = []
    for one in identity.rules:
        if one.rule == rule:
            names = [str(one.values.get(key, "")).casefold().strip() for key in ("ink", "ground")]
            if all(name in by_name for name in names):
                found.append((by_name[names[0]], by_name[names[1]]))
    return tuple(found)


def _settings(
    choices: Choices, scheme: Scheme, forbidden: tuple[tuple[str, str], ...], wanted: tuple[tuple[str, str], ...]
) -> ColorSettings:
    """What the choices say of the colours of one scheme, as a key that can be hashed."""
    return ColorSettings(
        scheme,
        policy_of(choices),
        tuple(sorted(_of(scheme, choices.wires).items())),
        tuple(sorted((k, v) for k, v in _of(scheme, choices.pins).items() if k.split("/")[0] in pinning.BY_SCHEME)),
        tuple(sorted(_of(scheme, dict.fromkeys(choices.large_only, "")))),
        choices.links.underlined,
        forbidden,
        tuple(sorted(choices.logo.plates)),
        tuple(one for one in wanted if one not in forbidden),
        choices.buttons.main == "outlined",
    )


def _of(scheme: Scheme, entries: dict[str, str]) -> dict[str, str]:
    """The entries of one scheme, without its prefix. Ramps, the neutral and pictures are one for both."""
    if scheme == "light":
        return {key: value for key, value in entries.items() if not key.startswith(DARK)}
    own = {key.removeprefix(DARK): value for key, value in entries.items() if key.startswith(DARK)}
    shared = {key: value for key, value in entries.items() if key.split("/")[0] in ("ramp", "neutral")}
    return shared | own


@lru_cache(maxsize=48)
def _colored(colors: ColorFacts, marks: MarkFacts, settings: ColorSettings) -> Coloring:
    """The part of a system that follows from colours and marks. Kept, since a drag of the radius leaves it as it is."""
    made = [Mark.model_validate({"id": i, "name": "", "kind": k, "meant_for": m, "svg": svg}) for i, k, m, svg in marks]
    run = Coloring(colors, made, settings, _costs(colors, _ramp_pins(settings)))
    run.resolve()
    return run


@lru_cache(maxsize=32)
def _typography(fonts: typography.Fonts, scale: str, closed: bool) -> tuple[dict[str, Step], list[Token]]:
    """The steps of the scale and their tokens. Kept, since colours are led elsewhere far more often than type is set."""
    sizes = Scale.model_validate_json(scale)
    made = typography.steps(fonts, sizes, closed)
    return made, list(typography.tokens(fonts, sizes, made, closed))


@lru_cache(maxsize=64)
def _costs(colors: ColorFacts, pins: tuple[tuple[str, RGB], ...]) -> Costs:
    return Costs(palette_of(colors, dict(pins)))


def _ramp_pins(settings: ColorSettings) -> tuple[tuple[str, RGB], ...]:
    return tuple(
        (path.removeprefix("ramp/"), parse_color(value).rgb)
        for path, value in settings.pins
        if path.startswith(("ramp/", "neutral/"))
    )


def _pin_measures(choices: Choices, tokens: dict[str, Token]) -> list[Conflict]:
    """Puts pins on type, space and shape in the place of tokens; those that fit none come back as conflicts."""
    lost = []
    for path, value in choices.pins.items():
        bare = path.removeprefix(DARK)
        if bare.split("/")[0] in pinning.BY_SCHEME:
            continue
        token = tokens.get(bare)
        made = pinning.pinned(token, value) if token else None
        if made is None:
            lost.append(lost_pin(path, value))
        else:
            tokens[bare] = made
    return lost


def _pinned_step(step: Step, tokens: dict[str, Token]) -> Step:
    """A step of the scale as pins on its tokens make it."""
    size, height = tokens[f"type/{step.name}/size"].value, tokens[f"type/{step.name}/line-height"].value
    weight, tracking = tokens[f"type/{step.name}/weight"].value, tokens[f"type/{step.name}/tracking"].value
    return replace(
        step, small=size["small"], large=size["large"], line_height=height, weight=weight, tracking=tracking["value"]
    )
