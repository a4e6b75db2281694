"""How often a server process looks for garbage."""

import gc

_OBJECTS = 20_000  # made and not yet gone; a resolution makes three thousand, none of them in a ring


def settle() -> None:
    """Leaves what the start has loaded out of every later search for garbage, and searches less often: at the default
    of 700 objects a resolution is held up several times, which is a tenth of its time and more of its slowest ones."""
    gc.collect()
    gc.freeze()
    gc.set_threshold(_OBJECTS, 20, 20)
