"""What draws the eye first on the first screen of a page, called by what stands there."""

import io

import numpy as np
from PIL import Image

from formulon.core.measure.attention import GLANCES, Box, glances
from formulon.core.measure.seen import GlanceSeen, PageSeen, SeenAt, TextSeen

HIGH = {360: 640, 1280: 800}  # px of a page that a first screen shows, by the widths that are looked at (common practice)


def glanced(png: bytes, seen: PageSeen, width: int) -> list[GlanceSeen]:
    """Where the eye goes first on a screen, PNG, of a page at one of both widths."""
    screen = np.asarray(Image.open(io.BytesIO(png)).convert("RGB"))[: HIGH[width], :width]
    held = _held(seen, width)
    made = []
    for one in glances(screen, [box for _, _, _, box in held], 2 * GLANCES):
        if one.box is None:  # the seam of two grounds
            continue
        kind, label, at, box = held[one.box]
        place = at.model_dump(include={"at", "section", "slot"})
        made.append(
            GlanceSeen(**place, kind=kind, label=label[:120], x=one.x, y=one.y, strength=round(one.strength, 3), box=box)
        )
    return made[:GLANCES]


def _held(seen: PageSeen, width: int) -> list[tuple[str, str, SeenAt, Box]]:
    """What can draw the eye, each with its box: a text with all its runs is one."""
    blocks: dict[str, list[TextSeen]] = {}
    for text in seen.texts:
        if not text.led:
            blocks.setdefault(text.headed or text.block, []).append(text)
    made: list[tuple[str, str, SeenAt, Box]] = [("action", one.label, one, one.box) for one in seen.targets if not one.inline]
    for runs in blocks.values():
        made.append(("text", " ".join(one.text for one in runs), runs[0], _around([one.box for one in runs])))
    made += [("picture", one.alt or one.named, one, one.box) for one in seen.pictures if one.led is None]
    made += [("picture", "", SeenAt(at="", section=""), box) for box in seen.drawn]
    return [one for one in made if one[3][1] < HIGH[width]]


def _around(boxes: list[Box]) -> Box:
    left, top = min(one[0] for one in boxes), min(one[1] for one in boxes)
    return left, top, max(one[0] + one[2] for one in boxes) - left, max(one[1] + one[3] for one in boxes) - top
