"""Words that a guideline asks for and words that it avoids, in sentences as people write them (collected before the grammar was written;
common practice in guidelines of tone), and what must not be taken for any."""

import pytest

from formulon.core.identity.statements.words import words_stated

# By sentence: the words to use and those to avoid.
ENGLISH: tuple[tuple[str, str, str], ...] = (
    ("Words we avoid: cheap, deal, bargain.", "", "cheap deal bargain"),
    ("We never say “cheap”, “deal” or “bargain”.", "", "cheap deal bargain"),
    ("Please do not use the words “cheap” and “deal”.", "", "cheap deal"),
    ("Don’t call our guests “users” or “clients”.", "", "users clients"),
    ("We say “mend”, not “repair”.", "mend", "repair"),
    ("Say “basket”, never “hamper”.", "basket", "hamper"),
    ("“Weave” instead of “produce”.", "Weave", "produce"),
    ("Use “weave” rather than “produce”.", "weave", "produce"),
    ("Prefer “grower” to “supplier”.", "grower", "supplier"),
    ("We prefer “grower” over “supplier”.", "grower", "supplier"),
    ("The word “artisanal” is banned.", "", "artisanal"),
    ("“Premium” and “luxury” are not our words.", "", "Premium luxury"),
    ("Instead of “cheap”, say “fair”.", "fair", "cheap"),
    ("Not “cheap” but “fair”.", "fair", "cheap"),
    ("Words we like: mend, grow, river.", "mend grow river", ""),
    ("Our words are: mend, grow, river.", "mend grow river", ""),
    ("Words to use: mend, grow and river", "mend grow river", ""),
    ("We like to talk of “growing” and of “mending”.", "growing mending", ""),
    ("Banned words: solution, synergy", "", "solution synergy"),
    ("Steer clear of “solutions” and “synergy”.", "", "solutions synergy"),
    ("Stay away from jargon such as “solutions”, “synergy”.", "", "solutions synergy"),
    ("Replace “produce” with “weave”.", "weave", "produce"),
    ("We write 'workshop' and not 'factory'.", "workshop", "factory"),
    ("Words to avoid – cheap; deal; once in a lifetime", "", "cheap deal once_in_a_lifetime"),
    ("We do not say: customers, consumers", "", "customers consumers"),
    ("Avoid words like “awesome” and “amazing”.", "", "awesome amazing"),
    ("“Handmade” is a word we use; “handcrafted” is one we never use.", "Handmade", "handcrafted"),
    ("Words to avoid\n- cheap\n- deal\n- bargain\n\nThe beck runs past the door all year.", "", "cheap deal bargain"),
    ("We say\nbasket\nbeck\n\nWe don’t say\nhamper\nstream\n", "basket beck", "hamper stream"),
    ("We say: We don’t say\nbasket: hamper\nbeck: stream", "basket beck", "hamper stream"),
)
GERMAN: tuple[tuple[str, str, str], ...] = (
    ("Wörter, die wir meiden: billig, Schnäppchen.", "", "billig Schnäppchen"),
    ("Wir sagen nie „billig“ oder „Deal“.", "", "billig Deal"),
    ("Wir sagen „flicken“, nicht „reparieren“.", "flicken", "reparieren"),
    ("Nicht „billig“, sondern „fair“.", "fair", "billig"),
    ("Statt „billig“ schreiben wir „fair“.", "fair", "billig"),
    ("„Fair“ statt „billig“.", "Fair", "billig"),
    ("Das Wort „Premium“ verwenden wir nicht.", "", "Premium"),
    ("Die Wörter „Premium“ und „Luxus“ sind tabu.", "", "Premium Luxus"),
    ("Bitte nicht von „Kunden“ sprechen, sondern von „Gästen“.", "Gästen", "Kunden"),
    ("Unsere Wörter: wachsen, flechten und Bach.", "wachsen flechten Bach", ""),
    ("Wörter, die wir mögen: wachsen, flechten", "wachsen flechten", ""),
    ("Wir schreiben nie „günstig“.", "", "günstig"),
    ("Verboten sind „Deal“ und „Hammerpreis“.", "", "Deal Hammerpreis"),
    ("Ersetze „produzieren“ durch „flechten“.", "flechten", "produzieren"),
    ("Besser „flechten“ als „produzieren“.", "flechten", "produzieren"),
    ("Lieber „Bach“ als „Gewässer“.", "Bach", "Gewässer"),
    ("Wir vermeiden Wörter wie „Lösung“ und „Synergie“.", "", "Lösung Synergie"),
    ("Auf „Deal“ und »Schnäppchen« verzichten wir.", "", "Deal Schnäppchen"),
    ("Zu vermeidende Wörter: Lösung, Synergie", "", "Lösung Synergie"),
    ("Wir verwenden gern: Korb, Weide, Bach", "Korb Weide Bach", ""),
    ("„Werkstatt“ ja, „Fabrik“ nein.", "Werkstatt", "Fabrik"),
    ("Wir sprechen von „Gästen“, nie von „Kunden“.", "Gästen", "Kunden"),
    ("Verbotene Wörter:\n- Deal\n- Hammerpreis\n\nDer Bach fließt das ganze Jahr.", "", "Deal Hammerpreis"),
    ("So sagen wir es\nKorb\nBach\n\nSo sagen wir es nicht\nBehälter\nGewässer", "Korb Bach", "Behälter Gewässer"),
    ("Wir sagen: Wir sagen nicht\nKorb: Behälter\nBach: Gewässer", "Korb Bach", "Behälter Gewässer"),
    ("Kein „Sie werden begeistert sein“.", "", "Sie_werden_begeistert_sein"),
)
NOTHING = (
    "Avoid the bridge in winter.",
    "We never say no.",
    "Do not use the logo on Clay.",
    "Use Chalk, not Clay, on Night.",
    "Never set “Night” type on Clay.",
    "“The dark is worth the drive.” is our strapline.",
    "She said “never” and left.",
    "Instead of a fee we ask for a gift.",
    "Replace the batteries with new ones.",
    "Not cheap, but worth it.",
    "We say what we do, and we do it.",
    "We do not call after six.",
    "The words “Open daily” stand at the door.",
    "Prefer the symbol to the full mark below 24 mm.",
    "“A wonderful evening” – Ann Holt, visitor",
    "Statt Blumen bitten wir um Spenden.",
    "Wir sagen nicht nein.",
    "Nie auf Ton setzen.",
    "Besser spät als nie.",
    "Das Zeichen nicht auf „Ton“ setzen.",
    "Verboten sind Feuer und Zelte.",
    "Wir verzichten auf Plastik.",
    "Lieber heute als morgen.",
    "Ersetze das Öl durch Wachs.",
    "„Ein Abend, an den ich noch lange denke“, sagt Jonas Behr.",
)


@pytest.mark.parametrize(("text", "use", "avoid"), [*ENGLISH, *GERMAN], ids=[one[0][:40] for one in (*ENGLISH, *GERMAN)])
def test_what_is_asked_for_and_what_is_avoided(text: str, use: str, avoid: str) -> None:
    def listed(words: str) -> list[str]:
        return [word.replace("_", " ") for word in words.split()]

    for around in ("{}", "We are a workshop by the beck.\n\n{}\n\nCome and see.", "# So schreiben wir\n\n{}\n"):
        found = words_stated(around.format(text))
        assert ([word for one in found for word in one.use], [word for one in found for word in one.avoid]) == (
            listed(use),
            listed(avoid),
        )
        assert all(word in one.text for one in found for word in (*one.use, *one.avoid)), "the evidence has the words"


@pytest.mark.parametrize("text", NOTHING)
def test_what_is_neither(text: str) -> None:
    assert words_stated(text) == []
    for heading in ("How we write", "## We say", "Wörter, die wir meiden:"):
        assert words_stated(f"{heading}\n\n{text}\n") == [], heading


@pytest.mark.parametrize(
    "piece",
    ["“a”, ", "“a” and ", "'a ", "“a ", "we say ", "do not call a b c ", "not “a” ", "- cheap\n", "Words to avoid\n- a\n\n"],
)
def test_no_text_takes_long(piece: str) -> None:
    """Repeated until a backtracking grammar would never end."""
    assert len(words_stated(piece * (100_000 // len(piece)))) <= 400
