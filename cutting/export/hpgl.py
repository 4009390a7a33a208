"""A drawing for a pen plotter, in HPGL: a pen a role, each stroke once, sorted so that the pen travels little."""

from collections.abc import Sequence
from math import cos, hypot, radians, sin

from cutting.drawing import Figure, Role, Sheet, Stroke, Text
from cutting.geometry import Point

STEP = 0.025
"""A plotter's step, mm: 40 of them are one."""
NEAR = 0.05
"""How far a polyline may be from its curve, mm."""
PENS: dict[Role, int] = {
    "cut": 1,
    "fold": 1,
    "net": 2,
    "dart": 2,
    "chalk": 2,
    "grain": 3,
    "notch": 3,
    "frame": 3,
    "sewn": 1,
}
TEXTS = 3
END = "\x03"
"""What ends a text."""
Way = list[tuple[int, int]]


def sheet_to_hpgl(sheet: Sheet) -> str:
    """The drawing as the plotter takes it: whole steps from the lower left corner, up and to the right. A line a piece
    begins with its comment, so that a plotter that stopped can go on at that piece.
    """
    parts, here = ["IN;"], (0, 0)
    for figure in sheet.figures:
        parts.append(f'CO "{_plain(figure.id)}";')
        for pen in sorted(set(PENS.values())):
            said = []
            for way in _in_order([_way(sheet, one, figure) for one in figure.strokes if PENS[one.role] == pen], here):
                here = way[-1]
                said.append(f"PU{way[0][0]},{way[0][1]};PD{','.join(f'{x},{y}' for x, y in way[1:])};PU;")
            if pen == TEXTS:
                said += [_text(sheet, text, figure) for text in figure.texts]
            if said:
                parts.append(f"SP{pen};" + "".join(said))
        parts.append("\n")
    return "".join([*parts, "SP0;PU0,0;\n"])


def figures_to_hpgl(figures: Sequence[Figure], job: str) -> list[str]:
    """Each figure by itself, from the lower left corner of its box, for a plotter that draws one after the other: begun
    by the comment by which it counts them, ended by the question whether it is drawn.
    """
    sent = []
    for number, figure in enumerate(figures, 1):
        alone = sheet_to_hpgl(Sheet(figure.id, figure.width, figure.height, (figure.moved(0.0, 0.0),)))
        sent.append(f'CO "{job} {number}";{alone}OS;')
    return sent


def _in_order(ways: list[Way], here: tuple[int, int]) -> list[Way]:
    """Always the nearest end next, drawn from there."""
    left, found = [way for way in ways if len(way) > 1], []
    while left:
        ends = [(way[0], k, False) for k, way in enumerate(left)] + [(way[-1], k, True) for k, way in enumerate(left)]
        _, k, back = min(ends, key=lambda one: hypot(one[0][0] - here[0], one[0][1] - here[1]))
        way = left.pop(k)
        found.append(way[::-1] if back else way)
        here = found[-1][-1]
    return found


def _way(sheet: Sheet, stroke: Stroke, figure: Figure) -> Way:
    points = stroke.path.flat(NEAR)
    return [_step(sheet, point.plus(figure.at)) for point in ([*points, points[0]] if stroke.closed else points)]


def _step(sheet: Sheet, point: Point) -> tuple[int, int]:
    return round(point.across / STEP), round((sheet.height - point.down) / STEP)


def _text(sheet: Sheet, text: Text, figure: Figure) -> str:
    """A label: letters 0.7 of its height, in cm as the language has it, at its angle."""
    x, y = _step(sheet, text.at.plus(figure.at))
    across, up = cos(radians(text.angle)), -sin(radians(text.angle))
    size = f"SI{0.045 * text.height:.3f},{0.07 * text.height:.3f};DI{across:.4f},{up:.4f};LO{4 if text.middle else 1};"
    return f"PU{x},{y};{size}LB{_plain(text.text)}{END};"


def _plain(text: str) -> str:
    """What a plotter can write: letters that it may lack, and what would end the text, are question marks."""
    return "".join(one if " " <= one <= "~" and one != '"' else "?" for one in text)
