"""Texts on which grammars that give back, or look at everything again for each line, would not end. A reader's process ends after 20 s of
its own; here each text is read whole by all grammars, and only that they come to an end is asked."""

import pytest

from formulon.core.identity.documents.written import of_markdown, of_plain
from formulon.core.identity.material import material
from formulon.core.identity.words import facts, rules

TEXTS = {
    "names": "Aaa Bbb Ccc " * 3000, "on": "Never set Lamp on " * 2000, "ratios": "60 : 30 : 10 Chalk, " * 2000, "shares": "60 % Chalk 30 " * 2000,
    "open quotes": "“aaaaaaaaaaaaa " * 2000, "quotes": "“Aaaa bbbb cccc” " * 2000, "digits": "1 2 3 4 5 6 7 " * 2000, "money": "a costs £1 and " * 2000,
    "hours": "open Monday to Friday 9 to 5 " * 1000, "one word": "a" * 40_000, "capitals": "A" * 40_000, "colons": "Aaa: " * 4000,
    "people": "Aaa Bbb, printer\n" * 2000, "dates": "On 5 June 2027 " * 2000, "lengths": "at least 5 mm " * 2000, "handles": "@a@b.c" * 4000,
    "commas": "a, " * 8000, "faces": "Text is in Aaa Bbb " * 2000, "halves": "half the page half a third " * 1000, "tabs": "a\tb\n" * 5000,
    "spaces": "a" + " " * 40_000 + "b", "lines": "\n" * 40_000 + "x", "offers": "We offer a, b, c and d, " * 2000, "years": "In 1911 a b in 1912 c since 1913 d " * 1500, "figures": "we have 3 a b c and 4 d e f " * 2000,
    "addresses": "Aaa Bbb 12, 12345 Ccc Ddd " * 2000, "streets": "Aaa-Bbb Ccc Ddd Eee, Fff Ggg, " * 2000, "numbers": "+49 30 123 456 789 0 " * 2000,
    "seasons": "In winter from May to June closed, " * 1500, "houses": "12 Aaa Bbb\n" * 4000, "phones": "0 1 2 3 4 5 6 7 8 9 0 " * 2000,
}  # fmt: skip


@pytest.mark.parametrize("text", TEXTS.values(), ids=TEXTS)
def test_every_grammar_comes_to_an_end(text: str) -> None:
    text = text[: len(text) // 2]  # what gives back needs far less to go on for ever
    assert isinstance(rules(text, ""), list) and isinstance(facts(text, ""), list)
    for blocks in (of_plain(text), of_markdown(text)):
        for one in material(blocks):
            assert one.text
