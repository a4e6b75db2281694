"""Exact colours of flat pictures, dominant colours of others. Arrays are (height, width, 4), eight bits, not premultiplied."""

import base64
import io
from dataclasses import dataclass

import numpy as np
import numpy.typing as npt
from PIL import Image

from formulon.core.color.oklab import oklab_to_linear, rgb_to_oklab
from formulon.core.color.srgb import RGB, from_linear

Pixels = npt.NDArray[np.uint8]
_Floats = npt.NDArray[np.float64]
_Ints = npt.NDArray[np.int64]
_Bools = npt.NDArray[np.bool_]

# How far, in eight-bit steps (Euclidean, premultiplied), a blend on an edge may lie from the line between what it blends.
BLEND = 2.6
_MOST_EDGE_COLORS = 3000
_PIXELS_EACH = 12
_REACH = 4
_RARE = 4
_AROUND = [(y, x) for y in (-1, 0, 1) for x in (-1, 0, 1) if (y, x) != (0, 0)]
_PAIRS = np.array([(i, j) for i in range(8) for j in range(i + 1, 8)])
_TRIPLES = np.array([(i, j, k) for i in range(8) for j in range(i + 1, 8) for k in range(j + 1, 8)])


@dataclass(frozen=True, slots=True)
class Share:
    """A colour and its share, 0–1, of the area that is not transparent."""

    rgb: RGB
    share: float


def flat_colors(pixels: Pixels) -> list[Share] | None:
    """The colours of a flat drawing, exactly, largest first; None where the picture is not flat.

    A colour counts where it fully covers at least one pixel: where it lies in an even area, or where it is no blend of
    the colours around it (edges are smoothed by blending neighbours). See-through colours are left out.
    """
    height, width = pixels.shape[:2]
    keys = _keys(pixels)
    values, inverse, counts = np.unique(keys, return_inverse=True, return_counts=True)
    inverse = inverse.reshape(height, width)
    even = _even(keys)
    core = np.zeros(len(values), dtype=bool)
    core[np.unique(inverse[even])] = True
    # Flat means that even areas, and one-pixel edges beside them, make up the picture.
    near = even.copy()
    for dy, dx in _AROUND:
        near |= _shifted(even, dy, dx)
    near2 = near.copy()
    for dy, dx in _AROUND:
        near2 |= _shifted(near, dy, dx)
    if even.mean() < 0.2 or near2.mean() < 0.8 or core.sum() > 64:
        return None
    full = core.copy()
    candidates = np.flatnonzero(~core)
    if len(candidates):
        candidates = candidates[np.argsort(-counts[candidates])][:_MOST_EDGE_COLORS]
        full[_no_blends(keys, inverse, values, candidates, core)] = True
    chosen = [index for index in np.flatnonzero(full) if values[index] & 255 == 255]
    total = sum(int(counts[index]) for index in chosen) or 1
    made = [Share(_rgb(int(values[index])), int(counts[index]) / total) for index in chosen]
    return sorted(made, key=lambda one: -one.share)


def _keys(pixels: Pixels) -> _Ints:
    """One number a pixel; every fully transparent pixel is 0."""
    wide = pixels.astype(np.int64)
    keys: _Ints = (wide[..., 0] << 24) | (wide[..., 1] << 16) | (wide[..., 2] << 8) | wide[..., 3]
    keys[wide[..., 3] == 0] = 0
    return keys


def _rgb(key: int) -> RGB:
    return (key >> 24) & 255, (key >> 16) & 255, (key >> 8) & 255


def _shifted(array: npt.NDArray, dy: int, dx: int) -> npt.NDArray:  # type: ignore[type-arg]
    """The array moved by one pixel, its edge repeated."""
    padded = np.pad(array, 1, mode="edge")
    height, width = array.shape
    return padded[1 + dy : 1 + dy + height, 1 + dx : 1 + dx + width]


def _even(keys: _Ints) -> _Bools:
    """Where a pixel and all around it have the same colour."""
    same = np.ones(keys.shape, dtype=bool)
    for dy, dx in _AROUND:
        same &= _shifted(keys, dy, dx) == keys
    return same


def _premultiplied(keys: _Ints) -> _Floats:
    alpha = (keys & 255).astype(np.float64)
    parts = [((keys >> shift) & 255) * alpha / 255 for shift in (24, 16, 8)]
    return np.stack([*parts, alpha], axis=-1)


def _no_blends(keys: _Ints, inverse: _Ints, values: _Ints, candidates: _Ints, core: _Bools) -> list[int]:
    """The candidates of which some pixel is no blend of the colours around it, nor of two or three even colours."""
    height, width = keys.shape
    order = np.argsort(inverse, axis=None, kind="stable")
    starts = np.searchsorted(inverse.ravel()[order], np.arange(len(values) + 1))
    rows: list[int] = []
    owner: list[int] = []
    for index in candidates:
        places = order[starts[index] : starts[index + 1]]
        step = max(1, len(places) // _PIXELS_EACH)
        chosen = places[::step][:_PIXELS_EACH]
        rows.extend(chosen.tolist())
        owner.extend([int(index)] * len(chosen))
    at = np.array(rows)
    y, x = at // width, at % width
    inside = np.stack([keys[np.clip(y + dy, 0, height - 1), np.clip(x + dx, 0, width - 1)] for dy, dx in _AROUND], axis=1)
    own = keys[y, x]
    # A neighbour of the same colour explains nothing.
    around = np.where((inside == own[:, None])[..., None], np.nan, _premultiplied(inside))
    explained = _blended(_premultiplied(own), around)
    owners = np.array(owner)
    doubtful = [int(index) for index in candidates if not explained[owners == index].all()]
    accepted = core.copy()
    accepted[doubtful] = True
    sizes = np.diff(starts)
    # The rarest first, so that a blend does not stand as an explanation of what it was made from.
    for index in sorted(doubtful, key=lambda one: (int(sizes[one]), one)):
        accepted[index] = False
        at = np.flatnonzero((owners == index) & ~explained)
        rare = int(sizes[index]) <= _RARE
        accepted[index] = not _wider(
            values[index : index + 1], list(zip(y[at], x[at], strict=True)), rare, inverse, values, accepted
        )
    return [index for index in doubtful if accepted[index]]


def _wider(value: _Ints, places: list[tuple[int, int]], rare: bool, inverse: _Ints, values: _Ints, accepted: _Bools) -> bool:
    """Whether a colour that its neighbours do not explain is a blend all the same: at the tip of a wedge, of full
    colours a few pixels away; on a stroke thinner than a pixel, of two full colours anywhere; where edges cross, of three."""
    color = _premultiplied(value)
    if _blended(color, _room(color, _premultiplied(values[accepted])), triples=rare)[0]:
        return True
    for row, column in places:
        around = np.unique(inverse[max(0, row - _REACH) : row + _REACH + 1, max(0, column - _REACH) : column + _REACH + 1])
        if not _blended(color, _room(color, _premultiplied(values[around[accepted[around]]])))[0]:
            return False
    return True


def _room(color: _Floats, colors: _Floats) -> _Floats:
    """The eight colours nearest to one, in the form that `_blended` takes."""
    room = np.full((1, 8, 4), np.nan)
    nearest = colors[np.argsort(np.linalg.norm(colors - color, axis=1), kind="stable")][:8]
    room[0, : len(nearest)] = nearest
    return room


def _blended(colors: _Floats, around: _Floats, triples: bool = True) -> _Bools:
    """Whether each colour lies between two, or within three, of the up to eight colours around it. NaN stands for none."""
    found = np.zeros(len(colors), dtype=bool)
    with np.errstate(invalid="ignore", divide="ignore"):
        for start in range(0, len(colors), 4096):
            part = slice(start, start + 4096)
            found[part] = _on_segment(colors[part], around[part])
            if triples:
                rest = np.flatnonzero(~found[part]) + start
                for begin in range(0, len(rest), 1024):
                    some = rest[begin : begin + 1024]
                    found[some] = _in_triangle(colors[some], around[some])
    return found


def _on_segment(colors: _Floats, around: _Floats) -> _Bools:
    a, b = around[:, _PAIRS[:, 0]], around[:, _PAIRS[:, 1]]
    edge, to = b - a, colors[:, None] - a
    length = (edge**2).sum(-1)
    t = np.clip((to * edge).sum(-1) / length, 0, 1)
    distance = np.linalg.norm(to - t[..., None] * edge, axis=-1)
    strictly = (t > 0) & (t < 1)
    return np.asarray(((np.where(np.isnan(distance), np.inf, distance) <= BLEND) & strictly).any(axis=1))


def _in_triangle(colors: _Floats, around: _Floats) -> _Bools:
    a, b, c = (around[:, _TRIPLES[:, index]] for index in range(3))
    u, v, w = b - a, c - a, colors[:, None] - a
    uu, uv, vv = (u * u).sum(-1), (u * v).sum(-1), (v * v).sum(-1)
    wu, wv = (w * u).sum(-1), (w * v).sum(-1)
    scale = uu * vv - uv * uv
    s, t = (vv * wu - uv * wv) / scale, (uu * wv - uv * wu) / scale
    distance = np.linalg.norm(w - s[..., None] * u - t[..., None] * v, axis=-1)
    inside = (s >= 0) & (t >= 0) & (s + t <= 1) & (scale > 1e-6)
    return np.asarray((inside & (np.where(np.isnan(distance), np.inf, distance) <= BLEND)).any(axis=1))


def dominant_colors(pixels: Pixels, most: int = 8) -> list[Share]:
    """The dominant colours of any picture, largest first: clusters in OKLab, each by the median of its even pixels, so that
    edges and the noise of lossy files do not shift it. Deterministic."""
    height, width = pixels.shape[:2]
    step = max(1, round((height * width / 24_000) ** 0.5))
    smaller = pixels[::step, ::step]
    opaque = smaller.reshape(-1, 4)
    opaque = opaque[opaque[:, 3] >= 250][:, :3]
    if not len(opaque):
        return []
    lab = rgb_to_oklab(opaque)
    centres = _seeds(lab, most)
    labels = np.zeros(len(lab), dtype=np.int64)
    for _ in range(12):
        labels = ((centres**2).sum(1) - 2 * lab @ centres.T).argmin(1)  # nearest: |x|² is the same for all centres
        moved = np.array([lab[labels == i].mean(0) if (labels == i).any() else centres[i] for i in range(len(centres))])
        if np.abs(moved - centres).max() < 1e-4:
            break
        centres = moved
    made = []
    for index in range(len(centres)):
        members = lab[labels == index]
        if not len(members):
            continue
        middle = np.median(members, axis=0)
        near = members[np.linalg.norm(members - middle, axis=1) < 0.03]
        middle = np.median(near, axis=0) if len(near) else middle
        rgb = np.rint(np.clip(from_linear(oklab_to_linear(middle[None])), 0, 1) * 255).astype(int)[0]
        made.append((middle, (int(rgb[0]), int(rgb[1]), int(rgb[2])), len(members), len(near)))
    return _joined(made, len(lab))


def _seeds(lab: _Floats, most: int) -> _Floats:
    """Starting centres: the fullest cells of a coarse grid, kept apart."""
    cells = np.round(lab / 0.04).astype(np.int64)
    unique, counts = np.unique(cells, axis=0, return_counts=True)
    chosen: list[_Floats] = []
    for index in np.argsort(-counts, kind="stable"):
        centre = unique[index] * 0.04
        if all(np.linalg.norm(centre - other) > 0.07 for other in chosen):
            chosen.append(centre)
        if len(chosen) == most:
            break
    return np.array(chosen)


def _joined(made: list[tuple[_Floats, RGB, int, int]], total: int) -> list[Share]:
    """Clusters nearer than 0.03 in OKLab are one; clusters of edge pixels, which hardly have a middle, are left out."""
    made = sorted(made, key=lambda one: -one[2])
    kept: list[tuple[_Floats, RGB, int]] = []
    for middle, rgb, count, near in made:
        twin = next((i for i, other in enumerate(kept) if np.linalg.norm(other[0] - middle) < 0.03), None)
        if twin is not None:
            kept[twin] = (kept[twin][0], kept[twin][1], kept[twin][2] + count)
        elif near >= 0.35 * count and count >= 0.003 * total:
            kept.append((middle, rgb, count))
    return [Share(rgb, count / total) for _, rgb, count in sorted(kept, key=lambda one: -one[2])]


def drawn_bounds(pixels: Pixels) -> tuple[float, float, float, float]:
    """Left, top, right and bottom of what is drawn, as shares of width and height. Source: alpha above an eighth."""
    drawn = pixels[..., 3] > 31
    if not drawn.any():
        return 0.0, 0.0, 0.0, 0.0
    height, width = drawn.shape
    ys, xs = np.flatnonzero(drawn.any(1)), np.flatnonzero(drawn.any(0))
    return xs[0] / width, ys[0] / height, (xs[-1] + 1) / width, (ys[-1] + 1) / height


def lightness(pixels: Pixels) -> float:
    """Mean OKLab lightness, 0–1, of what is drawn."""
    drawn = pixels[pixels[..., 3] > 127][:, :3]
    return float(rgb_to_oklab(drawn[:: max(1, len(drawn) // 20_000)])[:, 0].mean()) if len(drawn) else 0.0


def thumb(pixels: Pixels, side: int = 240) -> str:
    """A small copy as base64 of a WebP."""
    small = Image.fromarray(pixels)
    small.thumbnail((side, side))
    file = io.BytesIO()
    small.save(file, "WEBP", quality=70)
    return base64.b64encode(file.getvalue()).decode()
