"""Colours of all readings, merged: the same colour in logo, guideline and style sheet is one fact with three pieces of
evidence; values that differ a little are variants of it, side by side."""

from collections import Counter
from dataclasses import dataclass, field

from formulon.core.color.difference import difference
from formulon.core.color.oklab_scalar import oklch
from formulon.core.color.srgb import from_hex
from formulon.core.identity.evidence import Evidence, Fact, Variant, certainty, evidence_of
from formulon.core.identity.sightings import ColorSeen, Reading
from formulon.core.system.documents.decisions import Decisions

# Colours of different sources nearer than this are meant to be one (ΔE2000; common practice: below 2 hardly anyone sees a
# difference side by side, and old websites drift a little more).
TOLERANCE = 3.0
# Colours converted from print values, and those measured on lossy pictures, may lie further off.
LOOSE = 8.0
_PRINT_FAR = 25.0
MOST = 40
# Which source is believed first where sources differ.
_AUTHORITY = {"swatch": 0, "named": 1, "drawn": 2, "gradient": 3, "background": 4, "text": 4, "border": 5, "picture": 6}


@dataclass(slots=True)
class _Node:
    """One exact value and everything that says it."""

    hex: str
    members: list[tuple[Reading, ColorSeen]] = field(default_factory=list)

    @property
    def authority(self) -> tuple[int, float, str]:
        best = min(_AUTHORITY[seen.use] + (3 if seen.indicative or seen.approximate else 0) for _, seen in self.members)
        return best, -sum(seen.sure * (seen.share or 0.1) for _, seen in self.members), self.hex

    @property
    def loose(self) -> bool:
        return all(seen.indicative or seen.approximate for _, seen in self.members)

    def names(self, reading: Reading | None = None) -> set[str]:
        return {seen.name.casefold() for one, seen in self.members if seen.name and (reading is None or one is reading)}


@dataclass(slots=True)
class _Cluster:
    anchor: str
    nodes: list[_Node]


def color_facts(readings: list[Reading], decisions: Decisions) -> list[Fact]:
    """The colours, those of highest authority and greatest share first."""
    nodes: dict[str, _Node] = {}
    for reading in readings:
        for seen in reading.sightings:
            if isinstance(seen, ColorSeen):
                nodes.setdefault(seen.hex, _Node(seen.hex)).members.append((reading, seen))
    decided = [f"#{key[6:].upper()}" for key in decisions.facts if key.startswith("color-")]
    clusters = [_Cluster(hexa, [nodes[hexa]]) if hexa in nodes else _Cluster(hexa, []) for hexa in decided]
    exact = sorted(
        (node for node in nodes.values() if not node.loose and node.hex not in decided), key=lambda one: one.authority
    )
    loose = sorted((node for node in nodes.values() if node.loose and node.hex not in decided), key=lambda one: one.authority)
    for node in exact:
        _join(node, clusters, TOLERANCE)
    for node in loose:
        _join(node, clusters, LOOSE)
    made = [fact for cluster in clusters if cluster.nodes and (fact := _fact(cluster, decisions))]
    total = {fact.id: sum(one.share or 0 for variant in fact.variants for one in variant.evidence) for fact in made}
    first = _order(readings)
    made.sort(
        key=lambda fact: (
            fact.data["authority"],
            min(first.get(variant.value, 999) for variant in fact.variants) if not fact.data["authority"] else 0,
            -len(fact.data["files"]),
            -total[fact.id],
            fact.id,
        )
    )
    return made[:MOST]


def _order(readings: list[Reading]) -> dict[str, int]:
    """The place of each colour in the source that states most of them: brands list theirs in the order of their weight."""
    listed = [
        list(dict.fromkeys(s.hex for s in reading.sightings if isinstance(s, ColorSeen) and s.use == "swatch"))
        for reading in readings
    ]
    longest = max(listed, key=len, default=[])
    return {hexa: index for index, hexa in enumerate(longest)}


def _join(node: _Node, clusters: list[_Cluster], tolerance: float) -> None:
    ranked = sorted((difference(from_hex(node.hex), from_hex(one.anchor)), index) for index, one in enumerate(clusters))
    named = node.names()
    for far, index in ranked:
        cluster = clusters[index]
        same_name = bool(named) and any(named & other.names() for other in cluster.nodes)
        # A print value converts to a screen colour that may lie far from the stated one; its name tells.
        reach = _PRINT_FAR if node.loose and same_name and any(s.indicative for _, s in node.members) else tolerance
        if far <= reach and not _kept_apart(node, cluster):
            cluster.nodes.append(node)
            return
        if far > _PRINT_FAR:
            break
    clusters.append(_Cluster(node.hex, [node]))


def _kept_apart(node: _Node, cluster: _Cluster) -> bool:
    """A source that names two colours, or draws two in one mark, means two."""
    for reading, seen in node.members:
        for other in cluster.nodes:
            for other_reading, other_seen in other.members:
                if reading is not other_reading or other.hex == node.hex or seen.indicative or other_seen.indicative:
                    continue  # the print side of a colour goes by another name, and stands beside the screen side
                names = node.names(reading), other.names(reading)
                if names[0] and names[1] and not names[0] & names[1]:
                    return True
                if seen.use == other_seen.use == "drawn" and not seen.approximate:
                    return True
    return False


def _fact(cluster: _Cluster, decisions: Decisions) -> Fact:
    exact = [node for node in cluster.nodes if not node.loose] or cluster.nodes[:1]
    loose = [node for node in cluster.nodes if node not in exact]
    exact.sort(key=lambda one: one.authority)
    variants = [Variant(value=node.hex, evidence=_evidence(node)) for node in exact]
    for node in loose:
        variants[0].evidence += _evidence(node)
    members = [member for node in cluster.nodes for member in node.members]
    prints = list(dict.fromkeys(text for _, seen in members for text in seen.print))
    notes = list(dict.fromkeys(seen.note for _, seen in members if seen.note))
    if exact[0].loose:
        what = "measured on a picture with losses" if exact[0].members[0][1].approximate else "converted from a print value"
        notes.append(f"Indicative: {what}. Ask for the exact screen value.")
    for node in loose:
        far = difference(from_hex(node.hex), from_hex(exact[0].hex))
        if any(seen.indicative for _, seen in node.members) and far > TOLERANCE:
            value = next(seen.value for _, seen in node.members if seen.indicative)
            notes.append(
                f"Its print value {value} looks like {node.hex} on screen, ΔE {far:.1f} from it; the screen value is kept."
            )
    if len(exact) > 1:
        far = max(difference(from_hex(exact[0].hex), from_hex(node.hex)) for node in exact[1:])
        notes.insert(0, f"The sources differ by up to ΔE {far:.1f}.")
    every = [one for variant in variants for one in variant.evidence]
    return Fact(
        id=f"color-{cluster.anchor[1:].lower()}", group="colors", label=_name(members, exact[0].hex), variants=variants,
        sure=certainty(every), role=_role(members, exact[0].hex), note=" ".join(notes),
        data={
            "print": prints[:8], "indicative": exact[0].loose, "authority": exact[0].authority[0],
            "files": sorted({one.file for one in every}),
        },
    )  # fmt: skip


def _evidence(node: _Node) -> list[Evidence]:
    """The evidence for one value, from the source that is believed first."""
    ranked = sorted(node.members, key=lambda one: (_AUTHORITY[one[1].use], -one[1].sure, one[0].file))
    return [evidence_of(reading.file, seen, seen.value) for reading, seen in ranked]


def _name(members: list[tuple[Reading, ColorSeen]], hexa: str) -> str:
    """The name that most sources give, in their order of authority; else one that describes the colour."""
    ranked = sorted((member for member in members if member[1].name), key=lambda one: (_AUTHORITY[one[1].use], -one[1].sure))
    counted = Counter(seen.name for _, seen in ranked)
    if not counted:
        return described(hexa)
    best = max(counted.values())
    return next(seen.name for _, seen in ranked if counted[seen.name] == best or _AUTHORITY[seen.use] == 0)


_HUES = (
    (20, "pink"),
    (45, "red"),
    (70, "orange"),
    (110, "yellow"),
    (160, "green"),
    (215, "teal"),
    (275, "blue"),
    (310, "violet"),
    (345, "purple"),
    (361, "pink"),
)


def described(hexa: str) -> str:
    """A plain name for a colour: lightness and hue in OKLCH."""
    lightness, chroma, hue = oklch(from_hex(hexa))
    if lightness > 0.985:
        return "White"
    if lightness < 0.16 and chroma < 0.03:
        return "Black"
    shade = (
        "Pale"
        if lightness > 0.88
        else "Light"
        if lightness > 0.75
        else "Deep"
        if lightness < 0.35
        else "Dark"
        if lightness < 0.5
        else ""
    )
    base = "grey" if chroma < 0.02 else next(name for end, name in _HUES if hue < end)
    return f"{shade} {base}".strip().capitalize()


def _role(members: list[tuple[Reading, ColorSeen]], hexa: str) -> str:
    """What the colour seems to be for."""
    lightness, chroma, _ = oklch(from_hex(hexa))
    uses = Counter[str]()
    for _, seen in members:
        uses[seen.use] += seen.count
    drawn = max((seen.share or 0 for _, seen in members if seen.use == "drawn"), default=0.0)
    if lightness > 0.9 and chroma < 0.06:
        return "paper"
    if drawn > 0.4:
        return "main colour"
    if lightness < 0.4 and (uses["text"] or chroma < 0.12):
        return "text and deep grounds"
    return "accent" if chroma > 0.08 else "neutral"
