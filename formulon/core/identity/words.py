"""Facts in words: how to reach the brand, its hours, its strapline, rules of the guideline, out of running text."""

import re

from formulon.core.identity.sightings import RuleKind, RuleSeen, WordField, WordSeen
from formulon.core.identity.statements import sentence
from formulon.core.identity.statements.words import words_stated

_EMAIL = re.compile(r"(?<![\w.])[\w.+-]{1,64}@[\w-]+(?:\.[\w-]+)+")
_PHONE = re.compile(r"(?<![\w#.,/-])(?:\+\d{1,3}[ ()./-]{0,2})?(?:\(?0\d{1,5}\)?[ ./-]?)\d[\d ./-]{4,12}\d(?![\w.,]*\d)")
_LABELS: dict[WordField, str] = {
    "name": r"(?:brand |business |company |organisation )?name",
    "strapline": r"strap ?line|tag ?line|slogan|claim",
    "does": r"what (?:we|it) do(?:es)?|about us in short|in short",
    "audience": r"for whom|audience|our (?:visitors|customers|guests|clients)",
    "place": r"where|place|location",
    "address": r"address|find us|visit us",
    "phone": r"(?:tele)?phone|tel\.?|call us|call",
    "email": r"e-?mail|write to us",
    "hours": r"(?:opening )?hours|open",
    "language": r"language",
}
_LABELLED = {key: re.compile(rf"^\s*(?:{words})\s*[:–—]\s*(\S.{{1,298}})$", re.IGNORECASE) for key, words in _LABELS.items()}


def facts(text: str, place: str, sure: float = 0.8) -> list[WordSeen]:
    """What lines with a label say ("Opening hours: …"), and addresses and numbers wherever they stand."""
    made: dict[tuple[str, str], WordSeen] = {}

    def add(key: WordField, value: str, how: float) -> None:
        value = " ".join(value.split()).strip(" .;") if key != "strapline" else " ".join(value.split()).strip(" “”\"'")
        if value and not any(one.field == key and one.text == value for one in made.values()):
            made[(key, value)] = WordSeen(field=key, text=value[:600], place=place, sure=how)

    for line in text.splitlines():
        for key, pattern in _LABELLED.items():
            found = pattern.match(line)
            if found and not (key == "email" and "@" not in found[1]) and not (key == "phone" and not _PHONE.search(found[1])):
                inside = {"email": _EMAIL, "phone": _PHONE}.get(key)
                part = inside.search(found[1]) if inside else None
                add(key, part[0] if part else found[1], sure + 0.1)
    for match in _EMAIL.finditer(text):
        add("email", match[0].rstrip("."), sure)
    for match in _PHONE.finditer(text):
        add("phone", match[0], sure - 0.2)
    return list(made.values())


def is_labelled(line: str) -> bool:
    """Whether a line only holds a fact after its label, and so is no text."""
    return len(line) < 160 and any(pattern.match(line) for pattern in _LABELLED.values())


_MM = 96 / 25.4
_LENGTH = r"(\d+(?:[.,]\d+)?)\s*(mm|cm|px|pixels?|pt|in)\b"
_UNITS = {"mm": _MM, "cm": 10 * _MM, "px": 1.0, "pixel": 1.0, "pixels": 1.0, "pt": 4 / 3, "in": 96.0}
_LEAST = re.compile(
    rf"(?:minimum|smallest|least|never (?:smaller|narrower|less) than|no (?:smaller|narrower) than|at least)[^.\n]{{0,60}}?{_LENGTH}",
    re.IGNORECASE,
)
_CLEAR = re.compile(r"(?:clear|free|protected|exclusion)[ -](?:space|area|zone|room)[^.\n]{0,160}", re.IGNORECASE)
_FORBIDDEN = re.compile(
    r"(?i:never|do not|don’t|don't|avoid|not allowed:?) +(?:[a-z]+ +){0,3}?"
    r"([A-Z][\w -]{1,30}?) +(?:text +|type +|words +)?(?:on|over|against|with) +(?:top of +)?([A-Z][\w-]{1,30})",
)
_SHARE = re.compile(r"(\d{1,3})\s*(?:%|per ?cent)\s+([A-Z][\w-]{1,30})")
_SHARE_AFTER = re.compile(r"([A-Z][\w-]{1,30})\s*:?\s+(\d{1,3})\s*(?:%|per ?cent)")


def rules(text: str, place: str) -> list[RuleSeen]:
    """The guideline's rules that can be held: least logo size, clear space, proportions of colours, forbidden
    combinations, words to use and to avoid."""
    made: list[RuleSeen] = []
    for match in _LEAST.finditer(text):
        if re.search(r"logo|mark|symbol|lock-?up|wide|width|high|height|size", sentence(text, *match.span()), re.IGNORECASE):
            px = float(match[1].replace(",", ".")) * _UNITS[match[2].lower()]
            which = "height" if re.search(r"high|height|tall", sentence(text, *match.span()), re.IGNORECASE) else "width"
            values: dict[str, str | float | list[str]] = {
                "px": round(px, 2),
                "side": which,
                "mark": _which(sentence(text, *match.span())),
            }
            made.append(RuleSeen(rule="least size", text=sentence(text, *match.span()), values=values, place=place, sure=0.8))
    for match in _CLEAR.finditer(text):
        made.append(
            RuleSeen(rule="clear space", text=sentence(text, *match.span()), values=_space(match[0]), place=place, sure=0.7)
        )
    for match in _FORBIDDEN.finditer(text):
        pair: dict[str, str | float | list[str]] = {"ink": match[1].strip(), "ground": match[2].strip()}
        made.append(RuleSeen(rule="forbidden pair", text=sentence(text, *match.span()), values=pair, place=place, sure=0.8))
    told = [{m[2]: float(m[1]) for m in _SHARE.finditer(text)}, {m[1]: float(m[2]) for m in _SHARE_AFTER.finditer(text)}]
    shares = max(told, key=len)
    if len(shares) >= 2 and 90 <= sum(shares.values()) <= 110:
        proportions: dict[str, str | float | list[str]] = dict(shares)
        said = ", ".join(f"{value:g} % {key}" for key, value in shares.items())
        made.append(RuleSeen(rule="proportions", text=said, values=proportions, place=place, sure=0.8))
    for one in words_stated(text):
        sides: tuple[tuple[RuleKind, tuple[str, ...]], ...] = (("words to use", one.use), ("words to avoid", one.avoid))
        for rule, words in sides:
            if words:
                made.append(RuleSeen(rule=rule, text=one.text, values={"words": list(words)}, place=place, sure=0.85))
    return made


def _which(sentence: str) -> str:
    return "symbol" if "symbol" in sentence.lower() else "full"


def _space(text: str) -> dict[str, str | float | list[str]]:
    length = re.search(_LENGTH, text, re.IGNORECASE)
    if length:
        return {"px": round(float(length[1].replace(",", ".")) * _UNITS[length[2].lower()], 2)}
    percent = re.search(r"(\d{1,3})\s*(?:%|per ?cent)", text)
    if percent:
        return {"share": float(percent[1]) / 100, "of": _of(text)}
    word = re.search(r"\b(half|third|quarter|twice|double|once|one|full)\b", text, re.IGNORECASE)
    share = (
        {"half": 0.5, "third": 1 / 3, "quarter": 0.25, "twice": 2.0, "double": 2.0}.get(word[1].lower(), 1.0) if word else 1.0
    )
    return {"share": round(share, 3), "of": _of(text)}


def _of(text: str) -> str:
    return "width" if "width" in text.lower() else "height"
