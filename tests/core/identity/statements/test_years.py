"""What was in a year, in sentences. The phrasings were collected before the grammar."""

import pytest

from formulon.core.identity.statements.years import years_told
from formulon.core.system.documents.identity import ClientText
from formulon.core.system.documents.passages import passages

YEARS = [
    ("In 1954, the house got eight rooms.", "1954 – The house got eight rooms"),
    ("In 1979 Tom Ashlock founded the press.", "1979 – Tom Ashlock founded the press"),
    ("The dome was built in 1931.", "1931 – The dome was built"),
    ("Tom Ashlock founded the press in 1979 in a stable.", "1979 – Tom Ashlock founded the press in a stable"),
    ("Since 1911 the ferry has landed at our door.", "1911 – Since 1911 the ferry has landed at our door"),
    ("By 1968, the moor had become a reserve.", "1968 – The moor had become a reserve"),
    ("The planetarium opened in the spring of 2009.", "2009 – The planetarium opened in the spring"),
    ("Two years later, in 1933, the first book was printed.", "1933 – The first book was printed"),
    ("It was 1923 when a surveyor climbed the hill.", "1923 – A surveyor climbed the hill"),
    ("The mill has been ours since 1887.", "1887 – The mill has been ours since 1887"),
    ("We moved to Mill Row in 2004.", "2004 – We moved to Mill Row"),
    ("Founded in 1899 by two sisters.", "1899 – Founded by two sisters"),
    ("Established 1899.", "1899 – Established"),
    ("From 1940 to 1946 the house was a hospital.", "1940–1946 – The house was a hospital"),
    ("Wiebke Sand übernahm das Haus 2008.", "2008 – Wiebke Sand übernahm das Haus"),
    ("Das Haus wurde im Jahr 1911 gebaut.", "1911 – Das Haus wurde gebaut"),
    ("Seit 1911 legt die Fähre vor unserer Tür an.", "1911 – Seit 1911 legt die Fähre vor unserer Tür an"),
    ("Im Jahr 1954 bekam das Fährhaus acht Zimmer.", "1954 – Im Jahr 1954 bekam das Fährhaus acht Zimmer"),
    ("1968 wurde das Moor geschützt.", "1968 – 1968 wurde das Moor geschützt"),
    ("Die Kuppel entstand 1931.", "1931 – Die Kuppel entstand"),
    ("Gegründet 1899 von zwei Schwestern.", "1899 – Gegründet von zwei Schwestern"),
    ("Die Praxis gibt es seit 2011.", "2011 – Die Praxis gibt es seit 2011"),
    ("Von 1940 bis 1946 war das Haus ein Lazarett.", "1940–1946 – Von 1940 bis 1946 war das Haus ein Lazarett"),
    ("Das erste Buch erschien im Frühjahr 1933.", "1933 – Das erste Buch erschien im Frühjahr"),
    ("Im Sommer 2004 zogen wir in die Mühle.", "2004 – Im Sommer 2004 zogen wir in die Mühle"),
    ("Anno 1887 kam die Mühle in die Familie.", "1887 – Anno 1887 kam die Mühle in die Familie"),
]
NONE = [
    "Version of 2019.", "Copyright 2024 Ashlock.", "© 2021", "On 5 June 2027 we celebrate.", "The grid has 1920 px.", "Reference 1975.",
    "A room costs 1200 pounds.", "Am 5. Juni 2027 feiern wir.", "Stand 2022", "Fassung von 2018.", "Unter 1999 Zeichen bleiben.", "ISO 2009",
    "We print 2000 sheets.", "Call 1955 for help.", "Call us: 0049 1975 2008",
]  # fmt: skip


@pytest.mark.parametrize(("said", "line"), YEARS)
def test_years_are_told_as_lines_of_a_history(said: str, line: str) -> None:
    told = [one.value for one in years_told(f"Before it.\n{said}\nAfter it.")]
    assert told == [line]
    three = ClientText(heading="History", text="\n".join([line, "1990 – A first thing", "1991 – A second thing"]))
    assert [one.kind for one in passages(three, "en")] == ["moments"]


@pytest.mark.parametrize("said", NONE)
def test_what_is_no_history(said: str) -> None:
    assert years_told(said) == []
