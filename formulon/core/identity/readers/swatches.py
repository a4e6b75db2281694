"""Palette files: .gpl (text), .ase (swatch exchange), CSV and plain lists."""

import csv
import io
import re
import struct

from formulon.core.color.parse import parse_color
from formulon.core.color.printing import cmyk_to_rgb, lab_to_rgb
from formulon.core.color.srgb import eight_bit
from formulon.core.errors import ColorError, ReadError
from formulon.core.identity.notations import notations, stated
from formulon.core.identity.sightings import ColorSeen, Reading, css_hex

MOST_COLORS = 2_000


def read_gpl(name: str, text: str) -> Reading:
    """A text palette: a first line, `Name:` and `Columns:` lines, then red, green, blue and a name a line."""
    reading = Reading(file=name, format="GPL palette")
    for number, line in enumerate(text.splitlines(), 1):
        found = re.match(r"\s*(\d{1,3})\s+(\d{1,3})\s+(\d{1,3})(?:\s+(.*?))?\s*$", line)
        if not found or max(int(part) for part in found.groups()[:3]) > 255:
            continue
        rgb = (int(found[1]), int(found[2]), int(found[3]))
        label = re.sub(r"(?i)^(untitled|index \d+)$", "", (found[4] or "").strip())
        reading.sightings.append(_swatch(css_hex(rgb), css_hex(rgb), label, f"line {number}"))
        if len(reading.sightings) >= MOST_COLORS:
            break
    if not reading.sightings:
        raise ReadError(f"{name}: the palette holds no colour. Save it again with its colours as red, green and blue.")
    return reading


def read_ase(name: str, data: bytes) -> Reading:
    """A swatch exchange file: big-endian blocks of colours (RGB, CMYK, LAB, Gray; global, spot or normal) in groups."""
    reading = Reading(file=name, format="ASE swatches")
    try:
        count = struct.unpack_from(">I", data, 8)[0]
        at, group = 12, ""
        for _ in range(min(count, MOST_COLORS)):
            kind, length = struct.unpack_from(">HI", data, at)
            block = data[at + 6 : at + 6 + length]
            at += 6 + length
            if len(block) < length:
                raise ValueError("a block is cut short")
            if kind == 0xC001:
                group = _ase_name(block)[0]
            elif kind == 0xC002:
                group = ""
            elif kind == 0x0001:
                reading.sightings.append(_ase_color(block, group))
    except (struct.error, ValueError, UnicodeDecodeError) as error:
        if not reading.sightings:
            raise ReadError(f"{name}: the swatches are broken or cut short ({error}). Export them again.") from error
        reading.notes.append("The file is cut short: the swatches after the last readable one are missing.")
    if not reading.sightings:
        raise ReadError(f"{name}: the file holds no swatch. Export it again with its colours.")
    return reading


def _ase_name(block: bytes) -> tuple[str, int]:
    length = struct.unpack_from(">H", block)[0]
    end = 2 + 2 * length
    return block[2:end].decode("utf-16-be").rstrip("\0"), end


def _ase_color(block: bytes, group: str) -> ColorSeen:
    label, at = _ase_name(block)
    model = block[at : at + 4].decode("ascii", "replace")
    at += 4
    sizes = {"RGB ": 3, "CMYK": 4, "LAB ": 3, "Gray": 1}
    if model not in sizes:
        raise ValueError(f"the colour model {model!r} is not known")
    values = struct.unpack_from(f">{sizes[model]}f", block, at)
    if not all(abs(value) < 1e6 for value in values):
        raise ValueError("a value is no number")
    spot = struct.unpack_from(">H", block, at + 4 * sizes[model])[0] == 1
    place = f"group {group}" if group else "swatch"
    prints = [f"spot {label}"] if spot and label else []
    if model == "RGB ":
        made = css_hex(eight_bit(values))
        return _swatch(made, made, label, place, prints)
    if model == "Gray":
        level = min(255, max(0, round(255 * values[0])))
        return _swatch(css_hex((level,) * 3), f"grey {values[0]:.0%}", label, place, prints)
    if model == "LAB ":
        lab = (100 * values[0], values[1], values[2])
        shown = "Lab " + " ".join(f"{value:g}" for value in (round(part, 2) for part in lab))
        return _swatch(css_hex(lab_to_rgb(*lab)), shown, label, place, [*prints, shown], indicative=True)
    inks = [round(100 * min(1, max(0, value)), 1) for value in values]
    shown = "CMYK " + " ".join(f"{ink:g}" for ink in inks)
    return _swatch(css_hex(cmyk_to_rgb(*inks)), shown, label, place, [*prints, shown], indicative=True)


def read_csv(name: str, text: str) -> Reading | None:
    """A table with a colour in some column and perhaps a name in another; None where no row holds a colour."""
    reading = Reading(file=name, format="CSV")
    try:
        dialect = csv.Sniffer().sniff(text[:2000], delimiters=",;\t|")
        rows = list(csv.reader(io.StringIO(text), dialect))[:MOST_COLORS]
    except csv.Error:
        return None
    head = [cell.strip().lower() for cell in rows[0]] if rows else []
    columns = [head.index(letter) for letter in ("r", "g", "b") if letter in head]
    columns = columns or [head.index(word) for word in ("red", "green", "blue") if word in head]
    for number, row in enumerate(rows, 1):
        cells = [cell.strip() for cell in row]
        one = _row(cells, columns if number > 1 and len(columns) == 3 else [])
        if one:
            one.place = f"row {number}"
            reading.sightings.append(one)
    return reading if reading.sightings else None


def _row(cells: list[str], columns: list[int]) -> ColorSeen | None:
    names = [cell for cell in cells if re.search(r"[A-Za-zÀ-ÿ]{2}", cell) and not notations(cell) and not cell.startswith("#")]
    label = names[0] if names else ""
    if columns and all(index < len(cells) and re.fullmatch(r"\d{1,3}", cells[index]) for index in columns):
        rgb = tuple(min(255, int(cells[index])) for index in columns)
        return _swatch(css_hex(rgb), css_hex(rgb), label, "")  # type: ignore[arg-type]
    found = stated(" ".join(cells))
    if found:
        best = found[0]
        return _swatch(best.hex, best.value, label, "", best.prints, indicative=not best.screen)
    for cell in cells:
        try:
            parsed = parse_color(cell)
        except ColorError:
            continue
        return _swatch(css_hex(parsed.rgb), cell, label if label != cell else "", "")
    return None


_WORDS = 6  # of other lines for each colour, and a text is still a list


def read_list(name: str, text: str) -> Reading | None:
    """A plain list, a colour a line with its name; None where hardly a line holds one, or others tell more than a list does."""
    lines = [line.strip() for line in text.splitlines() if line.strip()]
    reading = Reading(file=name, format="colour list")
    for number, line in enumerate(lines[:MOST_COLORS], 1):
        for best in stated(line)[:4]:
            outside = f"{line[: best.start]} {line[best.end :]}"
            label = re.sub(r"\s+", " ", outside).strip(" \t:=–—-,;|•*\"'()")
            place = f"line {number}"
            reading.sightings.append(_swatch(best.hex, best.value, label[:60], place, best.prints, indicative=not best.screen))
    held = {one.place for one in reading.sightings}
    others = [line for number, line in enumerate(lines, 1) if f"line {number}" not in held]
    enough = len(held) >= 0.5 * len(lines) and sum(len(line.split()) for line in others) <= _WORDS * len(held)
    return reading if held and enough else None


def _swatch(
    hexa: str, value: str, label: str, place: str, prints: list[str] | None = None, indicative: bool = False
) -> ColorSeen:
    return ColorSeen(
        hex=hexa, value=value, name=label[:60], use="swatch", place=place, print=prints or [], indicative=indicative,
        sure=0.6 if indicative else 0.95,
    )  # fmt: skip
