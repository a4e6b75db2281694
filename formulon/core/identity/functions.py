"""Functions of PDF documents, as far as spot colours need them. Source: ISO 32000-2, section 7.10."""

from collections.abc import Callable
from typing import Any

from pypdf.generic import DictionaryObject, StreamObject

_MOST_STEPS = 2_000
_TWO: dict[str, Callable[[float, float], float]] = {
    "add": lambda a, b: a + b,
    "sub": lambda a, b: a - b,
    "mul": lambda a, b: a * b,
    "div": lambda a, b: a / b if b else 0.0,
    "exp": lambda a, b: a**b if a >= 0 else 0.0,
}
_ONE: dict[str, Callable[[float], float]] = {
    "abs": abs,
    "neg": lambda a: -a,
    "sqrt": lambda a: max(0.0, a) ** 0.5,
    "cvr": float,
    "round": lambda a: float(round(a)),
}


def evaluate(function: Any, value: float) -> list[float] | None:
    """What a function of one input gives; None for functions that are not known."""
    if not isinstance(function, DictionaryObject):
        return None
    kind = int(function.get("/FunctionType", -1))
    if kind == 2:
        start = [float(part) for part in function.get("/C0", [0.0])]
        end = [float(part) for part in function.get("/C1", [1.0])]
        share = min(1.0, max(0.0, value)) ** float(function.get("/N", 1))
        return [a + share * (b - a) for a, b in zip(start, end, strict=False)]
    if kind == 4 and isinstance(function, StreamObject):
        return _calculated(function.get_data().decode("latin-1"), value)
    if kind == 0 and isinstance(function, StreamObject):
        return _sampled(function, value)
    return None


def _sampled(function: Any, value: float) -> list[float] | None:
    """The nearest sample of a table of eight-bit values."""
    outputs = [float(part) for part in function["/Range"]]
    count, size = len(outputs) // 2, int(function["/Size"][0])
    if int(function.get("/BitsPerSample", 8)) != 8:
        return None
    row = round(min(1.0, max(0.0, value)) * (size - 1))
    data = function.get_data()[row * count : (row + 1) * count]
    return [outputs[2 * i] + part / 255 * (outputs[2 * i + 1] - outputs[2 * i]) for i, part in enumerate(data)]


def _calculated(program: str, value: float) -> list[float] | None:
    """The calculator functions without conditions, which spot colours do not use."""
    stack: list[float] = [value]
    try:
        for step in program.replace("{", " ").replace("}", " ").split()[:_MOST_STEPS]:
            if step in _TWO:
                second, first = stack.pop(), stack.pop()
                stack.append(_TWO[step](first, second))
            elif step in _ONE:
                stack.append(_ONE[step](stack.pop()))
            elif step == "dup":
                stack.append(stack[-1])
            elif step == "exch":
                stack[-1], stack[-2] = stack[-2], stack[-1]
            elif step == "pop":
                stack.pop()
            elif step == "index":
                stack.append(stack[-1 - int(stack.pop())])
            elif step == "copy":
                count = int(stack.pop())
                stack += stack[-count:] if count > 0 else []
            elif step == "roll":
                turn, count = int(stack.pop()), int(stack.pop())
                if count > 0:
                    part = stack[-count:]
                    turn %= count
                    stack[-count:] = part[-turn:] + part[:-turn] if turn else part
            else:
                stack.append(float(step))
    except (IndexError, ValueError, ArithmeticError):
        return None
    return stack
