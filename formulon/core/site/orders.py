"""The order of a page's sections by width: as they are written, and otherwise where a class of widths has an order of its own. Keyboards and
screen readers meet them as they are written at every width (CSS Display 3, “order”; WCAG 2.2, 2.4.3)."""

from collections.abc import Iterable
from typing import get_args

from formulon.core.site.site import Page, Section, Width


def ordered(page: Page, width: Width) -> list[Section]:
    """The sections of a page in the order of a class of widths. What the order does not name stands after what it is written after."""
    there = {one.id: one for one in page.sections}
    made = [one for one in page.order_on.get(width, ()) if one in there]
    if not made:
        return list(page.sections)
    before = ""
    for one in page.sections:
        if one.id not in made:
            made.insert(made.index(before) + 1 if before else 0, one.id)
        before = one.id
    return [there[one] for one in made]


def moved(page: Page, section: str, width: Width, by: int) -> dict[Width, list[str]]:
    """The orders of a page with a section moved by places in a class of widths, past those that it does not show; by none, in the order as it
    is written again."""
    orders = {key: list(value) for key, value in page.order_on.items() if key != width}
    written = [one.id for one in page.sections]
    if by:
        now = [one.id for one in ordered(page, width)]
        off = {one.id for one in page.sections if one.out or width in one.hidden_on}
        for _ in range(abs(by)):
            at = now.index(section)
            step = at + (1 if by > 0 else -1)
            while 0 <= step < len(now) and now[step] in off:
                step += 1 if by > 0 else -1
            if not 0 <= step < len(now):
                break
            now.insert(step, now.pop(at))
        if now != written:
            orders[width] = now
    return {one: orders[one] for one in get_args(Width) if one in orders}


def places(page: Page) -> dict[str, dict[Width, int]]:
    """The places of all sections by id, counted from 1, in the classes of widths that have an order of their own."""
    made: dict[str, dict[Width, int]] = {one.id: {} for one in page.sections}
    for width in get_args(Width):
        if page.order_on.get(width):
            for place, one in enumerate(ordered(page, width), 1):
                made[one.id][width] = place
    return made


def movers(page: Page) -> dict[str, list[Width]]:
    """Which sections stand elsewhere than they are written, by id, with the classes of widths: those that were moved farthest in each."""
    made: dict[str, list[Width]] = {}
    for width in get_args(Width):
        if not page.order_on.get(width):
            continue
        order = [one.id for one in ordered(page, width)]
        far = {one.id: abs(order.index(one.id) - place) for place, one in enumerate(page.sections)}
        farthest = max(far.values(), default=0)
        for one, steps in far.items():
            if farthest and steps == farthest:
                made.setdefault(one, []).append(width)
    return made


def order_css(pages: Iterable[Page]) -> str:
    """The rules of the places that pages have, by the values of their attributes: published pages carry no style attributes."""
    used = sorted({(width, place) for page in pages for known in places(page).values() for width, place in known.items()})
    return "".join(f'[data-on-{width}="{place}"]{{--on-{width}:{place}}}\n' for width, place in used)
