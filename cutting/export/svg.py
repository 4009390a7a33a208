"""The pieces side by side as an SVG in true size: net and cut lines, grain, notches, darts, names."""

from collections.abc import Sequence
from xml.sax.saxutils import escape

from cutting.geometry import Point
from cutting.pieces import Panel, Piece
from cutting.plan import Plan

GAP = 20.0
STYLE = (
    "path{fill:none;stroke:#141830;stroke-width:.6}.net{stroke-width:.35;stroke-dasharray:4 2}"
    ".grain{stroke-dasharray:9 2 2 2;stroke-width:.35}.notch,.dart{stroke-width:.5}"
    "text{font:600 9px sans-serif;fill:#141830}"
)


def plan_to_svg(plan: Plan) -> str:
    """One drawing, 1 user unit = 1 mm, width and height in mm."""
    parts: list[str] = []
    left = GAP
    deep = 0.0
    panels = {f"{g.id}.{name}": panel for g in plan.garments for name, panel in g.panels.items()}
    for piece in plan.laid.pieces:
        least = min(p.across for p in piece.cut), min(p.down for p in piece.cut)
        shift = (left - least[0], GAP - least[1])
        parts.append(_piece(piece, panels[piece.id], shift))
        left += piece.width + GAP
        deep = max(deep, piece.height)
    width, height = left, deep + 2 * GAP
    return (
        f'<svg xmlns="http://www.w3.org/2000/svg" width="{width:.3f}mm" height="{height:.3f}mm" '
        f'viewBox="0 0 {width:.3f} {height:.3f}"><style>{STYLE}</style>{"".join(parts)}</svg>\n'
    )


def _path(points: Sequence[Point], shift: tuple[float, float], closed: bool) -> str:
    steps = " L".join(f"{p.across + shift[0]:.4f},{p.down + shift[1]:.4f}" for p in points)
    return f"M{steps}{' Z' if closed else ''}"


def _piece(piece: Piece, panel: Panel, shift: tuple[float, float]) -> str:
    def stroke(kind: str, points: Sequence[Point], closed: bool = False, name: str = "") -> str:
        tag = f' id="{escape(name)}"' if name else ""
        return f'<path class="{kind}"{tag} d="{_path(points, shift, closed)}"/>'

    out = [stroke("cut", piece.cut, True, f"{piece.id}.cut"), stroke("net", piece.net, True, f"{piece.id}.net")]
    low, high = min(p.down for p in piece.net), max(p.down for p in piece.net)
    middle = (min(p.across for p in piece.net) + max(p.across for p in piece.net)) / 2
    inset = (high - low) * 0.12
    a, b = Point(middle, low + inset), Point(middle, high - inset)
    heads = [Point(middle - 4, a.down + 8), a, Point(middle + 4, a.down + 8)]
    tails = [Point(middle - 4, b.down - 8), b, Point(middle + 4, b.down - 8)]
    out += [stroke("grain", [a, b]), stroke("grain", heads), stroke("grain", tails)]
    out += [stroke("notch", [notch.net, notch.cut]) for notch in piece.notches]
    if piece.pair:
        out += [stroke("dart", [dart.near, dart.tip, dart.far]) for dart in panel.darts]
    count = f"{piece.count} in a pair" if piece.pair else str(piece.count)
    fold = ", half: the fold at its left edge" if piece.folds is not None else ""
    label = f"{piece.garment}, {piece.panel}: cut {count}{fold}"
    x, y = middle + shift[0] + 8, (low + high) / 2 + shift[1]
    out.append(f'<text transform="translate({x:.2f} {y:.2f}) rotate(90)">{escape(label)}</text>')
    return f'<g id="{escape(piece.id)}">{"".join(out)}</g>'
