"""Functions of PDF documents, by which spot colours say what they look like, against the standard's own words: ISO 32000-2,
7.10.2 (sampled), 7.10.3 (exponential) and 7.10.5 (calculator), and the operators of the PostScript Language Reference, third
edition, chapter 8 (its examples from memory)."""

from typing import Any

import pytest
from hypothesis import given
from hypothesis import strategies as st
from pypdf.generic import ArrayObject, DictionaryObject, FloatObject, NameObject, NumberObject, StreamObject

from formulon.core.identity.functions import evaluate


def function(kind: int, data: bytes | None = None, **entries: Any) -> DictionaryObject:
    made = StreamObject() if data is not None else DictionaryObject()
    if isinstance(made, StreamObject):
        made.set_data(data)
    made[NameObject("/FunctionType")] = NumberObject(kind)
    for name, value in entries.items():
        parts = ArrayObject(FloatObject(part) for part in value) if isinstance(value, list) else NumberObject(value)
        made[NameObject(f"/{name}")] = parts
    return made


@pytest.mark.parametrize(
    ("value", "exponent", "wanted"),
    [
        (0.0, 1, [0, 0.2]),
        (1.0, 1, [1, 0.6]),
        (0.5, 1, [0.5, 0.4]),
        (0.5, 2, [0.25, 0.3]),
        (7.0, 1, [1, 0.6]),
        (-3.0, 1, [0, 0.2]),
    ],
)
def test_exponential_functions_run_from_one_end_to_the_other(value: float, exponent: int, wanted: list[float]) -> None:
    """y = C0 + x^N (C1 - C0); what lies outside the domain is clipped to it."""
    found = evaluate(function(2, C0=[0.0, 0.2], C1=[1.0, 0.6], N=exponent), value)
    assert found == pytest.approx(wanted)


def test_an_exponential_function_that_says_nothing_runs_from_nothing_to_all() -> None:
    assert evaluate(function(2), 0.3) == pytest.approx([0.3])


@pytest.mark.parametrize(
    ("program", "wanted"),
    [
        ("{ 2 mul }", [1.0]),
        ("{ dup dup }", [0.5, 0.5, 0.5]),
        ("{ 1 exch sub }", [0.5]),
        ("{ 0.25 add 3 div }", [0.25]),
        ("{ neg abs }", [0.5]),
        ("{ pop 9 sqrt }", [3.0]),
        ("{ pop 3 2 exp }", [9.0]),
        ("{ pop 2.5 round }", [2.0]),  # halves to the even one, as binary rounding has it
        ("{ pop 1 2 3 3 -1 roll }", [2, 3, 1]),  # (a)(b)(c) 3 -1 roll leaves (b)(c)(a)
        ("{ pop 1 2 3 3 1 roll }", [3, 1, 2]),
        ("{ pop 1 2 3 3 0 roll }", [1, 2, 3]),
        ("{ pop 1 2 3 2 copy }", [1, 2, 3, 2, 3]),
        ("{ pop 1 2 3 0 copy }", [1, 2, 3]),
        ("{ pop 1 2 3 4 3 index }", [1, 2, 3, 4, 1]),  # (a)(b)(c)(d) 3 index leaves (a) on top
        ("{ pop 1 2 3 4 0 index }", [1, 2, 3, 4, 4]),
    ],
)
def test_calculator_functions(program: str, wanted: list[float]) -> None:
    assert evaluate(function(4, program.encode()), 0.5) == pytest.approx(wanted)


@pytest.mark.parametrize(
    "program",
    [
        "{ add }",
        "{ pop pop }",
        "{ 7 index }",
        "{ if }",
        "{ 0 -1 exp }",
        "{ 9e300 9 exp }",
        "{ shout }",
        "{ é }",
        "{ 1 0 9 roll }",
    ],
)
def test_what_cannot_be_calculated_gives_nothing_and_no_error(program: str) -> None:
    """A division by nothing is nothing; what the standard calls an error is no colour."""
    found = evaluate(function(4, program.encode("latin-1")), 0.5)
    assert found is None or all(isinstance(part, float) for part in found)


def test_a_division_by_nothing_is_nothing() -> None:
    assert evaluate(function(4, b"{ 0 div }"), 0.5) == [0.0]


@given(
    st.lists(
        st.sampled_from(
            [
                "add",
                "sub",
                "mul",
                "div",
                "exp",
                "abs",
                "neg",
                "sqrt",
                "cvr",
                "round",
                "dup",
                "exch",
                "pop",
                "index",
                "copy",
                "roll",
                "0",
                "1",
                "-1",
                "3",
                "0.5",
                "99",
            ]
        )
    )
)
def test_no_program_raises(steps: list[str]) -> None:
    found = evaluate(function(4, f"{{ {' '.join(steps)} }}".encode()), 0.25)
    assert found is None or isinstance(found, list)


@pytest.mark.parametrize(
    ("value", "wanted"), [(0.0, [0, 0]), (1.0, [1, 0.5]), (0.5, [0.4, 0.25]), (2.0, [1, 0.5]), (-1.0, [0, 0])]
)
def test_sampled_functions_take_the_nearest_sample(value: float, wanted: list[float]) -> None:
    table = bytes([0, 0, 102, 128, 255, 255])
    found = evaluate(function(0, table, Range=[0, 1, 0, 0.5], Size=[3], BitsPerSample=8), value)
    assert found == pytest.approx(wanted, abs=0.002)


def test_functions_that_are_not_known_give_nothing() -> None:
    assert evaluate(function(3, Domain=[0, 1]), 0.5) is None
    assert evaluate(function(0, b"\0\0", Range=[0, 1], Size=[1], BitsPerSample=16), 0.5) is None
    assert evaluate(NameObject("/Identity"), 0.5) is None
    assert evaluate(None, 0.5) is None
