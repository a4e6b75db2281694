"""The tone a brand speaks in, and what it is not. The phrasings were collected before the grammar; what must not match comes after."""

import pytest

from formulon.core.identity.statements.tone import tones_stated

STATED = [
    ("Our tone is plain and warm.", "plain warm", ""),
    ("Tone of voice: plain, warm, exact", "plain warm exact", ""),
    ("We speak calmly and plainly.", "calm plain", ""),
    ("We sound warm, never loud.", "warm", "loud"),
    ("We are friendly but never chatty.", "friendly", "chatty"),
    ("Our voice is quiet, exact and a little dry.", "quiet exact dry", ""),
    ("We write in a warm and simple way.", "warm simple", ""),
    ("The tone: sober, not stiff.", "sober", "stiff"),
    ("Write simply and warmly.", "simple warm", ""),
    ("Our language is clear and modern.", "clear modern", ""),
    ("How we sound: curious, patient, exact.", "curious patient exact", ""),
    ("We want to sound lively and modern.", "lively modern", ""),
    ("Our texts are short, clear and friendly.", "short clear friendly", ""),
    ("We never shout.", "", "loud"),
    ("We are playful rather than solemn.", "playful", "solemn"),
    ("Our tone should feel ceremonial.", "ceremonial", ""),
    ("Unser Ton ist schlicht und warm.", "schlicht warm", ""),
    ("Tonalität: schlicht, warm, genau", "schlicht warm genau", ""),
    ("Wir sprechen ruhig und klar.", "ruhig klar", ""),
    ("Wir klingen freundlich, nie laut.", "freundlich", "laut"),
    ("Unsere Sprache ist einfach und herzlich.", "einfach herzlich", ""),
    ("Wir schreiben sachlich, aber nicht kühl.", "sachlich", "kühl"),
    ("Unsere Texte sind kurz, klar und freundlich.", "kurz klar freundlich", ""),
    ("So klingen wir: neugierig, geduldig, genau.", "neugierig geduldig genau", ""),
    ("Schreiben Sie schlicht und warm.", "schlicht warm", ""),
    ("Unser Ton soll feierlich sein.", "feierlich", ""),
]
NOTHING = [
    "Our house is warm and dry.",
    "The tone of the bell is A.",
    "We are open on Mondays.",
    "We write letters by hand.",
    "Our language is German.",
    "We speak English and French.",
    "We sound the horn at noon.",
    "Our voice teacher is Anna.",
    "Texts are due in May.",
    "Our texts are printed in Graz.",
    "Wir sprechen Deutsch und Englisch.",
    "Unser Ton kommt aus der Grube.",
    "Wir schreiben Rechnungen.",
    "Unsere Sprache ist Deutsch.",
    "Der Ton ist rot und fett.",
]


@pytest.mark.parametrize(("said", "wanted", "unwanted"), STATED)
def test_tones_are_understood(said: str, wanted: str, unwanted: str) -> None:
    found = tones_stated(f"About us.\n{said}\nThat is all.")
    assert [(" ".join(one.wanted), " ".join(one.unwanted)) for one in found] == [(wanted, unwanted)]


@pytest.mark.parametrize("said", NOTHING)
def test_what_tells_of_something_else(said: str) -> None:
    assert tones_stated(said) == []
