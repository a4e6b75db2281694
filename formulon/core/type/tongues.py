"""In which language a passage is written, by the py3langid library (Lui and Baldwin 2012, “langid.py”)."""

from functools import cache, lru_cache

from py3langid.langid import MODEL_FILE, LanguageIdentifier

from formulon.core.type.languages import LANGUAGES

LEAST = 80  # characters below which nothing is told
_LIKE = ({"nb", "nn", "no", "da"}, {"hr", "sr", "bs", "sl", "mk", "bg"}, {"id", "ms"}, {"gl", "pt"}, {"cs", "sk"}, {"af", "nl"}, {"be", "ru", "uk"})  # fmt: skip


@cache
def _identifier() -> LanguageIdentifier:
    """The library's model for the languages that pages can be in. Read once, which takes a second."""
    made = LanguageIdentifier.from_model_file(MODEL_FILE, norm_probs=True)
    made.set_languages([one for one in LANGUAGES if one in set(made.labels)])
    return made


@lru_cache(maxsize=8192)
def written_in(text: str) -> tuple[str, float]:
    """The code of the language that a text reads as, and how sure that is (0–1); nothing of a short one."""
    if len(text) < LEAST:
        return "", 0.0
    language, sure = _identifier().classify(text)
    return str(language), float(sure)


def alike(one: str, other: str) -> bool:
    """Whether two codes are of one language, or of such as are hardly told apart in a passage."""
    first, second = (code.lower().replace("_", "-").split("-")[0] for code in (one, other))
    return first == second or any({first, second} <= near for near in _LIKE)
