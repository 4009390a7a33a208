"""What other programs read out of a file, and what the core has of it."""

import re
from io import BytesIO

import numpy as np
import pdfplumber
from shapely import affinity
from shapely.geometry import Polygon

from cutting.formats.plan_v1 import to_model

POINT = 25.4 / 72
"""A point of a PDF in mm."""
PLOTTER = 0.025
"""A step of a plotter in mm."""


def cornered(shape):
    """A shape moved so that its box begins at 0, 0."""
    left, top, *_ = shape.bounds
    return affinity.translate(shape, -left, -top)


def outlines(made):
    """Each piece's cut line as the core has it."""
    return {piece.id: cornered(Polygon([(p.across, p.down) for p in piece.cut])) for piece in made.laid.pieces}


def is_there(outline, shapes, within):
    return any(outline.exterior.hausdorff_distance(cornered(one).exterior) <= within for one in shapes)


def placed(made):
    """Each placement's outline on the cloth, by the rule of docs/file-formats.md."""
    wire = to_model(made)
    cut = {piece.id: piece.cut for piece in wire.pieces}
    for one in wire.lay.placements:
        t, m = (-1 if one.turned else 1), (-1 if one.mirrored else 1)
        yield Polygon([(one.x_mm + t * down, one.y_mm + t * m * across) for across, down in cut[one.piece]])


def pages(data):
    """Of each page: its size, its text, its strokes as polylines; in mm from its upper left corner."""
    with pdfplumber.open(BytesIO(data)) as read:
        for page in read.pages:
            strokes = []
            for one in (*page.curves, *page.lines, *page.rects):
                points = []
                for code, *ends in one["path"]:
                    if code == "c":
                        points += bezier(points[-1], *ends)
                    elif ends:
                        points.append(ends[-1])
                strokes.append([(x * POINT, y * POINT) for x, y in points])
            yield (float(page.width) * POINT, float(page.height) * POINT), page.extract_text(), strokes, page


def bezier(a, b, c, d):
    t = np.linspace(0, 1, 21)[1:, None]
    a, b, c, d = map(np.array, (a, b, c, d))
    return [tuple(p) for p in (1 - t) ** 3 * a + 3 * (1 - t) ** 2 * t * b + 3 * (1 - t) * t * t * c + t**3 * d]


def ways(text):
    """What a plotter draws without lifting its pen, closed or not, in steps."""
    way = []
    for code, numbers in re.findall(r"(PU|PD)([\d,]*);", text):
        steps = [int(one) for one in numbers.split(",") if one]
        way = way if code == "PD" else way[-1:] if not steps else []
        way = [*way, *zip(steps[::2], steps[1::2], strict=True)]
        if code == "PD" and len(way) > 3:
            yield way
