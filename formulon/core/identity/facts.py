"""Candidate facts: what all readings together say about a brand, each with its evidence. Pure and deterministic."""

import hashlib
import re
from collections.abc import Iterable
from typing import Any

from formulon.core.identity.colors import color_facts
from formulon.core.identity.evidence import Evidence, Fact, Variant, certainty, evidence_of
from formulon.core.identity.marks import alike
from formulon.core.identity.sightings import (
    MANY,
    TRACED,
    ColorSeen,
    GradientSeen,
    MarkSeen,
    MeasureSeen,
    OtherSeen,
    PictureSeen,
    Reading,
    RuleSeen,
    Seen,
    TextSeen,
    TypefaceSeen,
    WordSeen,
)
from formulon.core.system.documents.decisions import Decisions
from formulon.core.type.library import SHIPPED

_FIELDS = {
    "name": "Name", "strapline": "Strapline", "does": "What it does", "audience": "For whom", "place": "Where",
    "address": "Address", "phone": "Telephone", "email": "Email", "hours": "Hours",
    "season": "Hours of a season", "social": "Elsewhere", "language": "Language", "offer": "Offer", "proof": "Figure",
}  # fmt: skip
_MOST_MEASURES = 5


def facts_of(readings: Iterable[Reading], decisions: Decisions | None = None) -> list[Fact]:
    """The facts that readings hold, grouped, those with the best evidence first. Decided facts keep their ids."""
    decisions = decisions or Decisions()
    good = [reading for reading in readings if not reading.problem]
    made = [
        *color_facts(good, decisions),
        *_gradients(good),
        *_typefaces(good),
        *_marks(good),
        *_words(good),
        *_rules(good),
        *_measures(good),
        *_texts(good),
        *_pictures(good),
        *_others(good),
    ]
    for fact in made:
        decided = decisions.facts.get(fact.id)
        for variant in fact.variants if fact.group != "colors" else ():
            variant.evidence.sort(key=lambda one: (-one.sure, one.file, one.place))
        fact.state = decided.state if decided else "open"
        fact.taken = decided.values if decided else []
        if decided and decided.name:
            fact.label = decided.name
    return made


def _key(text: str) -> str:
    return hashlib.sha256(" ".join(text.casefold().split()).encode()).hexdigest()[:10]


def _all(readings: list[Reading], kind: type[Seen]) -> Iterable[tuple[Reading, Any]]:
    for reading in readings:
        for sighting in reading.sightings:
            if isinstance(sighting, kind):
                yield reading, sighting


def _gradients(readings: list[Reading]) -> list[Fact]:
    groups: dict[str, list[tuple[Reading, GradientSeen]]] = {}
    for reading, seen in _all(readings, GradientSeen):
        groups.setdefault(" ".join(dict.fromkeys(seen.stops)), []).append((reading, seen))
    made = []
    for stops, members in groups.items():
        evidence = [evidence_of(reading.file, seen, seen.css) for reading, seen in members]
        css = f"linear-gradient(90deg, {', '.join(members[0][1].stops)})"
        label = f"Gradient of {stops.replace(' ', ', ')}"
        made.append(
            Fact(
                id=f"gradient-{_key(stops)}",
                group="gradients",
                label=label,
                variants=[Variant(value=css, evidence=evidence)],
                sure=certainty(evidence),
            )
        )
    return made


def family_key(family: str) -> str:
    """A family's name as it is compared: without case, spaces and the words that formats add."""
    plain = re.sub(r"(?i)\b(variable|vf|regular|mt|ps|std|pro|webfont)\b", "", family)
    return re.sub(r"[^a-z0-9]", "", plain.casefold())


def library_family(family: str) -> str:
    """The id of the library's family of that name, or empty."""
    wanted = family_key(family)
    return next((one.id for one in SHIPPED.values() if family_key(one.name) == wanted), "")


def _typefaces(readings: list[Reading]) -> list[Fact]:
    groups: dict[str, list[tuple[Reading, TypefaceSeen]]] = {}
    for reading, seen in _all(readings, TypefaceSeen):
        groups.setdefault(family_key(seen.family) or _key(seen.family), []).append((reading, seen))
    made = []
    for key, members in groups.items():
        first = max(members, key=lambda one: one[1].sure)[1]
        evidence = [evidence_of(reading.file, seen, _face(seen)) for reading, seen in members]
        uses: dict[str, float] = {}
        for _, seen in members:
            if seen.use:
                uses[seen.use] = uses.get(seen.use, 0) + seen.sure * (2 if seen.source in ("tokens", "style sheet") else 1)
        role = max(uses, key=lambda one: uses[one]) if uses else "other"
        files = [seen for _, seen in members if seen.source == "font file"]
        wanted = list(dict.fromkeys(path.rsplit("/", 1)[-1] for _, seen in members for path in seen.files))
        made.append(
            Fact(
                id=f"typeface-{key[:40]}", group="typefaces", label=first.family,
                variants=[Variant(value=first.family, evidence=evidence)], sure=certainty(evidence), role=role,
                note=_face_notes(first.family, files, wanted), data={"family": first.family, "library": library_family(first.family)},
            )
        )  # fmt: skip
    return sorted(made, key=lambda fact: ({"headings": 0, "running text": 1}.get(fact.role, 2), -fact.sure, fact.id))


def _face(seen: TypefaceSeen) -> str:
    weights = f" {'–'.join(str(weight) for weight in dict.fromkeys(seen.weights))}" if seen.weights else ""
    sizes = f", {seen.sizes[0]:g} to {seen.sizes[-1]:g}" if len(seen.sizes) > 1 else ""
    return f"{seen.family} {seen.style}".strip() + weights + sizes


def _face_notes(family: str, files: list[TypefaceSeen], wanted: list[str]) -> str:
    """What the files of a family hold and lack, in sentences."""
    if not files:
        library = library_family(family)
        named = f" A style sheet names {', '.join(wanted[:3])}: add the file itself." if wanted else ""
        return "" if library else f"There is no font file of it among the files; another family stands in.{named}"
    notes = []
    axes = sorted({axis for seen in files for axis in seen.axes})
    upright = [seen for seen in files if not seen.italic]
    heaviest = max((weight for seen in upright for weight in seen.weights), default=0)
    if axes:
        notes.append(f"Variable: {', '.join(axes)}.")
    if not any(seen.italic for seen in files):
        notes.append("No real italic among its files.")
    if heaviest < 600:
        notes.append("No real bold among its files.")
    languages = sorted(set.union(*(set(seen.languages) for seen in files)))
    if languages:
        notes.append(
            f"Letters for {len(languages)} languages: {', '.join(languages[:12])}{'…' if len(languages) > 12 else ''}."
        )
    embedding = {seen.embedding for seen in files if seen.embedding and seen.embedding != "installable"}
    if embedding:
        notes.append(f"Embedding: {', '.join(sorted(embedding))}.")
    licence = next((seen.licence for seen in files if seen.licence), "")
    notes.append(f"Licence: {licence[:120]}" if licence else "The file names no licence.")
    return " ".join(notes)


def _marks(readings: list[Reading]) -> list[Fact]:
    groups: dict[str, list[tuple[Reading, MarkSeen]]] = {}
    for reading, seen in _all(readings, MarkSeen):
        groups.setdefault(_key(seen.svg or f"{reading.file} {seen.name}"), []).append((reading, seen))
    # A mark taken out of a document, or made of pixels, is evidence of the drawing that there is a file of.
    taken_out = ("vector drawing", TRACED)
    drawn = {
        key for key, members in groups.items()
        if members[0][1].svg and not any(one in members[0][1].place for one in taken_out)
    }  # fmt: skip
    for key in [key for key in groups if key not in drawn]:
        twin = next((one for one in drawn if alike(groups[one][0][1].look, groups[key][0][1].look)), "")
        if twin:
            groups[twin] += groups.pop(key)
    headers = {
        one.value.rsplit("/", 1)[-1]: (r.file, one) for r, one in _all(readings, OtherSeen) if one.type == "logo in the header"
    }
    made = []
    for key, members in groups.items():
        seen = members[0][1]
        evidence = [evidence_of(reading.file, one, one.name) for reading, one in members]
        evidence += [
            evidence_of(*headers[name], name) for reading, _ in members if (name := reading.file.rsplit("/", 1)[-1]) in headers
        ]
        size = f"{seen.width:g} × {seen.height:g}"
        data = {"svg": seen.svg, "shape": seen.shape, "meant_for": seen.meant_for, "width": seen.width, "height": seen.height}
        grounds = {"any": "any ground", "light": "light grounds", "dark": "dark grounds"}[seen.meant_for]
        shape = {"full": "lock-up", "symbol": "symbol", "wordmark": "wordmark"}[seen.shape]
        made.append(
            Fact(
                id=f"mark-{key}", group="marks", label=seen.name, variants=[Variant(value=size, evidence=evidence)],
                sure=certainty(evidence), role=f"{shape} for {grounds}", note=seen.note, data=data, usable=bool(seen.svg),
            )
        )  # fmt: skip
    return sorted(made, key=lambda fact: (not fact.usable, fact.label))


def _words(readings: list[Reading]) -> list[Fact]:
    fields: dict[str, dict[str, list[Evidence]]] = {}
    shown: dict[tuple[str, str], str] = {}
    for reading, seen in _all(readings, WordSeen):
        same = _same_words(seen.field, seen.text)
        field = f"{seen.field} {same}" if seen.field in MANY else seen.field
        shown.setdefault((field, same), seen.text)
        fields.setdefault(field, {}).setdefault(same, []).append(evidence_of(reading.file, seen, seen.text))
    made = []
    for key in sorted(fields, key=lambda one: list(_FIELDS).index(one.split(" ")[0])):
        variants = [Variant(value=shown[(key, same)], evidence=evidence) for same, evidence in fields[key].items()]
        variants.sort(key=lambda one: -certainty(one.evidence))
        field = key.split(" ")[0]
        made.append(
            Fact(
                id=f"word-{field}-{_key(key)}" if field in MANY else f"word-{field}", group="words", label=_FIELDS[field],
                variants=variants[:6], sure=certainty(variants[0].evidence), data={"field": field},
            )
        )  # fmt: skip
    return made


def _same_words(field: str, text: str) -> str:
    """Texts that say the same: numbers by their digits, words without case and final stops."""
    if field == "phone":
        return re.sub(r"\D", "", text).removeprefix("44").removeprefix("0")
    if field == "language":
        return text.lower()[:2]
    return re.sub(r"[\s,.;:!?–—-]+", " ", text.casefold()).strip()


def _rules(readings: list[Reading]) -> list[Fact]:
    names = sorted(
        {seen.name for _, seen in _all(readings, ColorSeen) if seen.name and len(seen.name) <= 40}, key=len, reverse=True
    )
    groups: dict[str, list[tuple[Reading, RuleSeen]]] = {}
    for reading, seen in _all(readings, RuleSeen):
        values = _named(seen, names)
        if values is not None:
            seen = seen.model_copy(update={"values": values})
            groups.setdefault(_key(f"{seen.rule} {values}"), []).append((reading, seen))
    made = []
    for key, members in groups.items():
        seen = members[0][1]
        evidence = [evidence_of(reading.file, one, one.text) for reading, one in members]
        made.append(
            Fact(
                id=f"rule-{key}", group="rules", label=seen.rule[:1].upper() + seen.rule[1:],
                variants=[Variant(value=seen.text, evidence=evidence)], sure=certainty(evidence),
                note=_holds(seen), data={"rule": seen.rule, "values": seen.values},
            )
        )  # fmt: skip
    return made


def _holds(seen: RuleSeen) -> str:
    """What a rule is understood to say, since a sentence may say several; empty where nothing is told of it."""
    values, rule = seen.values, seen.rule
    if rule == "as said":
        return "Not understood further: kept as it is said."
    if rule == "least size" and "px" in values:
        which = "Symbol" if values.get("mark") == "symbol" else "Whole mark"
        return f"{which}: {values['px']:g} px {'high' if values.get('side') == 'height' else 'wide'}."
    if rule == "clear space" and "share" in values:
        return f"{float(values['share']):.0%} of its {values.get('of', 'height')}."  # type: ignore[arg-type]
    if rule in ("forbidden pair", "wanted pair"):
        return f"{values.get('ink', '')} on {values.get('ground', '')}."
    if rule == "proportions":
        return ", ".join(f"{name} {share:g} %" for name, share in values.items() if isinstance(share, (int, float))) + "."
    parts = {key: _shown(said) for key, said in values.items() if said}
    if rule == "tone":
        return ", not ".join(parts.values()) + "." if parts else ""
    told = [part if key in ("words", "px") else f"{key}: {part}" for key, part in parts.items()]
    return "; ".join(told) + "." if told else ""


def _shown(value: str | float | list[str]) -> str:
    if isinstance(value, list):
        return ", ".join(value)
    return value if isinstance(value, str) else f"{value:g} px"


def _named(seen: RuleSeen, names: list[str]) -> dict[str, Any] | None:
    """The values of a rule with its colours called as the palette calls them; None where it names others. Where nothing names a
    colour there is nothing to hold them against."""
    if seen.rule not in ("forbidden pair", "wanted pair", "proportions") or len(names) < 2:
        return seen.values
    if seen.rule == "proportions":
        called = {_called(name, names): share for name, share in seen.values.items()}
        return called if "" not in called and len(called) == len(seen.values) else None
    pair = {place: _called(str(seen.values[place]), names) for place in ("ink", "ground")}
    return pair if all(pair.values()) and pair["ink"] != pair["ground"] else None


def _called(words: str, names: list[str]) -> str:
    """The name of a colour that words hold, the longest that is whole in them; or of which they are the end, as in "Grey" for
    "Morning Grey"."""
    said = f" {words.casefold()} "
    whole = next((name for name in names if f" {name.casefold()} " in said), "")
    ends = [name for name in names if name.casefold().endswith(f" {words.casefold()}")]
    return whole or (ends[0] if len({name.casefold() for name in ends}) == 1 else "")


def _measures(readings: list[Reading]) -> list[Fact]:
    groups: dict[tuple[str, float], list[tuple[Reading, MeasureSeen]]] = {}
    for reading, seen in _all(readings, MeasureSeen):
        groups.setdefault((seen.measure, round(seen.px, 2)), []).append((reading, seen))
    made: dict[str, list[Fact]] = {}
    for (measure, px), members in groups.items():
        evidence = [evidence_of(reading.file, one, one.value) for reading, one in members]
        name = next((one.name for _, one in members if one.name), "")
        made.setdefault(measure, []).append(
            Fact(
                id=f"measure-{measure.replace(' ', '-')}-{px:g}".replace(".", "-"), group="measures",
                label=measure[:1].upper() + measure[1:], variants=[Variant(value=f"{px:g} px", evidence=evidence)],
                sure=certainty(evidence), data={"measure": measure, "px": px, "name": name},
            )
        )  # fmt: skip
    kept = []
    for measure in sorted(made):
        ranked = sorted(made[measure], key=lambda fact: -sum(one.count for one in fact.variants[0].evidence))
        kept += ranked[:_MOST_MEASURES]
    return kept


def _texts(readings: list[Reading]) -> list[Fact]:
    made: dict[str, Fact] = {}
    for reading, seen in _all(readings, TextSeen):
        key = _key(seen.text)
        evidence = evidence_of(reading.file, seen, seen.heading)
        if key in made:
            made[key].variants[0].evidence.append(evidence)
            continue
        data = {"heading": seen.heading, "text": seen.text, "source": reading.file}
        label = seen.heading or " ".join(seen.text.split())[:60]
        made[key] = Fact(
            id=f"text-{key}", group="texts", label=label, variants=[Variant(value=seen.text[:300], evidence=[evidence])],
            sure=seen.sure, data=data,
        )  # fmt: skip
    return list(made.values())


def _pictures(readings: list[Reading]) -> list[Fact]:
    said = {seen.name.rsplit("/", 1)[-1]: seen.value for _, seen in _all(readings, OtherSeen) if seen.type == "picture text"}
    logos = {seen.value.rsplit("/", 1)[-1] for _, seen in _all(readings, OtherSeen) if seen.type == "logo in the header"}
    made = []
    for reading, seen in _all(readings, PictureSeen):
        base = reading.file.rsplit("/", 1)[-1]
        alt = said.get(base, seen.name)
        evidence = [evidence_of(reading.file, seen, f"{seen.width} × {seen.height}")]
        sure = 0.2 if base in logos else seen.sure
        made.append(
            Fact(
                id=f"picture-{_key(reading.file)}", group="pictures", label=alt[:160],
                variants=[Variant(value=f"{seen.width} × {seen.height} px", evidence=evidence)], sure=sure,
                data={"file": reading.file, "alt": alt, "colors": seen.colors, "thumb": seen.thumb, "width": seen.width, "height": seen.height},
            )
        )  # fmt: skip
    return sorted(made, key=lambda fact: fact.data["file"])


def _others(readings: list[Reading]) -> list[Fact]:
    made = []
    for reading, seen in _all(readings, OtherSeen):
        if seen.type in ("picture text", "logo in the header"):
            continue
        evidence = [evidence_of(reading.file, seen, seen.value[:120])]
        note = f"Kept and listed: Formulon has no use for tokens of the type “{seen.type}” yet."
        if seen.type == "font weight":
            note = "A weight by itself; the typefaces’ own files say which weights there are."
        made.append(
            Fact(
                id=f"other-{_key(f'{reading.file} {seen.name}')}", group="other", label=seen.name, sure=seen.sure, usable=False,
                variants=[Variant(value=seen.value[:300], evidence=evidence)], role=seen.type, note=note,
            )
        )  # fmt: skip
    return made


GROUPS: tuple[tuple[str, str], ...] = (
    ("colors", "Colours"), ("gradients", "Gradients"), ("typefaces", "Typefaces"), ("marks", "Logo files"), ("words", "Words"),
    ("rules", "Rules of the guideline"), ("measures", "Measures"), ("texts", "Texts"), ("pictures", "Pictures"), ("other", "Also found"),
)  # fmt: skip
