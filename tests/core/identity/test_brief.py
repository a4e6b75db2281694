"""What is missing, what is still open, and character in words."""

from formulon.core.identity.brief import described, missing, open_questions
from formulon.core.site.changes import patched
from formulon.core.system.documents.identity import Character, Identity
from formulon.core.system.documents.organisations import ORGANISATIONS


def test_an_empty_identity_lacks_everything_and_says_what_is_done_instead() -> None:
    found = {one.what: one.instead for one in missing(Identity(name="Q"))}
    assert {
        "No colours",
        "No logo as SVG",
        "No strapline",
        "No body typeface named by the brand",
        "No pictures of its own",
    } <= set(found)
    assert all(instead.endswith(".") for instead in found.values())


def test_the_demo_lacks_no_logo_and_no_typeface(quillmoor: Identity) -> None:
    assert not [one.what for one in missing(quillmoor) if "logo" in one.what or "colour" in one.what]


def test_every_question_can_be_answered_where_it_says() -> None:
    """Each answer goes to its field, and the question is then asked no more."""
    identity = Identity(name="Q", organisation="workshop").model_dump()
    for _ in range(20):
        asked = [one for one in open_questions(Identity.model_validate(identity)) if one.kind in ("text", "long", "offer")]
        if not asked:
            break
        one = asked[0]
        answer = "hello@q.example" if one.id == "reach" else "An answer with enough words to say something of use here."
        value = {"name": "Thing", "text": ""} if one.kind == "offer" else answer
        op = "add" if one.field.endswith("/-") else "replace"
        identity = patched("identity", identity, [{"op": op, "path": one.field, "value": value}])
        if one.id not in ("offers",):
            assert one.id not in {other.id for other in open_questions(Identity.model_validate(identity))}, one
    else:
        raise AssertionError("The questions do not end.")


def test_questions_can_be_left_open() -> None:
    identity = Identity(name="Q")
    first = open_questions(identity)[0].id
    assert first not in {one.id for one in open_questions(identity, [first])}


def test_kinds_of_organisation_ask_and_fill_in_nothing() -> None:
    assert len(ORGANISATIONS) >= 8
    for one in ORGANISATIONS.values():
        asked = {question.text for question in open_questions(Identity(name="Q", organisation=one.id))}
        assert set(one.questions) <= asked and one.pages


def test_character_in_words() -> None:
    assert described(Character()) == ""
    assert described(Character(calm_lively=-2, soft_sharp=1, quiet_loud=0)) == "very calm, rather sharp"
