"""The .ase swatch exchange file: big-endian blocks in a group that bears the brand's name."""

import re
import struct
from collections.abc import Iterable, Mapping

from formulon.core.color.srgb import RGB
from formulon.core.system.documents.identity import BrandColor, Identity

_GROUP_START, _GROUP_END, _COLOR = 0xC001, 0xC002, 0x0001
_GLOBAL, _SPOT, _NORMAL = 0, 1, 2


def write(identity: Identity) -> bytes:
    """Every colour as RGB, and once more as CMYK where the brand states one."""
    blocks = [_block(_GROUP_START, _name(identity.name))]
    for color in identity.colors:
        blocks.append(_rgb(color.name, color.parsed.rgb))
        inks = _cmyk(color)
        if inks:
            spot = any(text.startswith("spot ") for text in color.print)
            kind = _SPOT if spot else _NORMAL
            blocks.append(
                _block(_COLOR, _name(f"{color.name} print") + b"CMYK" + struct.pack(">4f", *inks) + struct.pack(">H", kind))
            )
    blocks.append(_block(_GROUP_END, b""))
    return _file(blocks)


def write_groups(groups: Mapping[str, Iterable[tuple[str, RGB]]]) -> bytes:
    """Groups of colours by their names."""
    blocks = []
    for title, colors in groups.items():
        blocks += [_block(_GROUP_START, _name(title)), *(_rgb(name, rgb) for name, rgb in colors), _block(_GROUP_END, b"")]
    return _file(blocks)


def _file(blocks: list[bytes]) -> bytes:
    return b"ASEF" + struct.pack(">HHI", 1, 0, len(blocks)) + b"".join(blocks)


def _rgb(name: str, rgb: RGB) -> bytes:
    return _block(_COLOR, _name(name) + b"RGB " + struct.pack(">3f", *(v / 255 for v in rgb)) + struct.pack(">H", _GLOBAL))


def _name(text: str) -> bytes:
    encoded = text.encode("utf-16-be") + b"\0\0"
    return struct.pack(">H", len(encoded) // 2) + encoded


def _block(kind: int, body: bytes) -> bytes:
    return struct.pack(">HI", kind, len(body)) + body


def _cmyk(color: BrandColor) -> tuple[float, ...] | None:
    """The CMYK value that the brand states, 0–1."""
    for text in color.print:
        found = re.fullmatch(r"CMYK ([\d.]+) ([\d.]+) ([\d.]+) ([\d.]+)", text)
        if found:
            return tuple(float(part) / 100 for part in found.groups())
    return None
