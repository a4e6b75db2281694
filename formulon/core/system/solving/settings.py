"""What the choices and the guideline say of the colours of one scheme."""

from dataclasses import dataclass

from formulon.core.system.policy import AA, Policy
from formulon.core.system.system import Scheme


@dataclass(frozen=True, slots=True)
class ColorSettings:
    """What the choices and the guideline say of the colours of one scheme."""

    scheme: Scheme = "light"
    policy: Policy = AA
    wires: tuple[tuple[str, str], ...] = ()
    pins: tuple[tuple[str, str], ...] = ()
    large_only: tuple[str, ...] = ()
    underlined: bool = True
    forbidden: tuple[tuple[str, str], ...] = ()
    plates: tuple[str, ...] = ()
    wanted: tuple[tuple[str, str], ...] = ()
    outlined: bool = False
