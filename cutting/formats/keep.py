"""A plan as it is stored: codes, parameters and lengths with their sums; no sentence in any language.

`plan_v1` makes the plan file of it, in words, whenever it is read.
"""

from collections.abc import Iterable
from itertools import accumulate
from typing import Any

from cutting.calls import Name
from cutting.checks import Check
from cutting.cloth import Cloth
from cutting.dividing import with_small
from cutting.drawing import path_data, seam_widths, strokes_of
from cutting.formats.sewing_v1 import keep_sewing, keep_ways
from cutting.formats.trees import keep_params, to_tree
from cutting.garments import Garment, Notion, Seam
from cutting.geometry import Cubic, Path, Point
from cutting.lay import BestLay, Bound, Section, is_under, offcuts
from cutting.lay.bound import ENOUGH, MOST_COUNTED
from cutting.ledger import Row
from cutting.marking import Mark
from cutting.pieces import Panel, Piece
from cutting.plan import CORE, Plan
from cutting.preparing import prepared
from cutting.where import Where
from cutting.widths import WidthRow
from cutting.yardage import Yardage, yardage

FORMAT, VERSION = "plavet-kept-plan", 2
Kept = dict[str, Any]
BODY = ("front", "back", "leg")
XY = tuple[float, float]


def keep(plan: Plan) -> Kept:
    """The whole plan as plain data."""
    by_id = {garment.id: garment for garment in plan.garments}
    return {
        "format": FORMAT, "version": VERSION, "core": CORE, "unit": plan.job.unit, "fold": plan.laid.fold,
        "needed": {
            "garment": plan.needed.piece.garment, "panel": plan.needed.piece.panel, "depth": to_tree(plan.needed.depth),
        },
        "on_cloth": {garment.id: garment.marking == "on-cloth" for garment in plan.garments},
        "numbers": {
            f"{garment.id}.{key}": {"net": to_tree(number.net)}
            | ({"cut": to_tree(number.cut)} if number.cut is not number.net else {})
            for garment in plan.garments for key, number in garment.numbers.items()
        },
        "panels": keep_panels(plan.garments),
        "pieces": [_piece(piece, by_id[piece.garment], plan) for piece in plan.laid.pieces],
        "marks": [_mark(mark) for mark in plan.marks],
        "ledger": [_row(row) for row in plan.rows],
        "lay": keep_lay(plan),
        "yardage": _yardage(plan, plan.yardage) if plan.yardage is not None else None,
        "checks": [_check(check) for check in plan.checks],
        "findings": [
            {"code": f.code, "weight": f.weight, "where": _where(f.where), "params": keep_params(f.params)}
            for f in plan.findings
        ],
        "notions": [_notion(garment.id, notion) for garment in plan.garments for notion in garment.notions],
        "seams": [_seam(garment, seam) for garment in plan.garments for seam in garment.seams],
        "sewing": keep_sewing(plan.garments),
        "ways": keep_ways(plan.garments),
    }  # fmt: skip


def keep_lay(plan: Plan) -> dict[str, Any] | None:
    """A plan's lay with the figures it is compared with, and what is left over; None where not everything fits."""
    laid = plan.laid
    if not laid.fits:
        return None
    starts = [0.0, *accumulate(lay.length for lay in laid.lays)]
    cuts = {piece.id: piece.cut for piece in laid.pieces}
    each = list(zip(laid.sections, laid.all_best, starts, strict=False))
    return {
        "sections": [_section(section, lays, start, plan.job.cloth) for section, lays, start in each],
        "placements": [
            {
                "piece": p.piece, "copies": p.copies, "layers": list(p.layers), "section": section, "x_mm": _mm(p.x),
                "y_mm": _mm(p.y), "turned": p.turned, "mirrored": p.mirrored,
                "under": is_under(p, cuts[p.piece], laid.sections[section].table),
            }
            for section, p in laid.placements()
        ],
        "length_mm": _mm(laid.length), "bound_mm": _mm(sum(_bound(bound) for bound in laid.bounds)),
        "proof_off_mm": sum(ENOUGH * bound.times for bound in laid.bounds),
        "habit_mm": _or_none(laid.habit), "one_pass_mm": _or_none(laid.one_pass),
        "open_mm": _or_none(laid.open_length), "one_fold_mm": _or_none(laid.one_fold),
        "repeat_mm": _mm(float(plan.job.cloth.repeat)),
        "offcuts": [
            {
                "section": number, "x_mm": one.x, "y_mm": one.y, "along_mm": one.along, "across_mm": one.across,
                "layers": one.layers,
            }
            for number, (section, lays, _) in enumerate(each) for one in offcuts(lays.lay, section.pieces)
        ],
    }  # fmt: skip


def keep_panels(garments: Iterable[Garment]) -> list[dict[str, Any]]:
    """The panels of garments as they are drafted."""
    return [_panel(panel, garment) for garment in garments for panel in garment.panels.values()]


def keep_widths(rows: tuple[WidthRow, ...]) -> list[dict[str, Any]]:
    """The table of widths: numbers alone."""
    return [{"width_mm": r.width, "fold": r.fold, "length_mm": r.length, "buy_mm": r.buy} for r in rows]


def _xy(point: Point) -> XY:
    return round(point.across, 4), round(point.down, 4)


def _closed(points: list[Point] | tuple[Point, ...]) -> list[XY]:
    ring = [_xy(p) for p in points]
    return [*ring, ring[0]]


def _line(path: Path) -> list[XY]:
    return [_xy(p) for p in path.flat(0.1)]


def _mm(value: float) -> float:
    return round(value, 6)


def _or_none(value: float | None) -> float | None:
    return None if value is None else _mm(value)


def _where(where: Where) -> dict[str, Any]:
    """Without what is empty."""
    found = {"root": where.root, "path": list(where.path), "garment": where.garment, "half": where.half}
    return {key: value for key, value in (found | {"outfit": where.outfit}).items() if value}


def _panel(panel: Panel, garment: Garment) -> dict[str, Any]:
    segments: list[dict[str, Any]] = []
    for edge in panel.edges.values():
        for part in edge.path.segments:
            points = [part.start, part.one, part.two, part.end] if isinstance(part, Cubic) else [part.start, part.end]
            kind = "cubic" if isinstance(part, Cubic) else "line"
            segments.append({"edge": edge.name, "kind": kind, "points": [_xy(p) for p in points]})
    return {
        "garment": panel.garment, "name": panel.name, "points": {name: _xy(p) for name, p in panel.points.items()},
        "net": _closed(panel.net), "cut": _closed(panel.cut), "segments": segments,
        "lines": {name: _line(path) for name, path in panel.lines.items()},
        "edges": [
            {
                "name": e.name, "length_mm": _mm(e.path.length), "allowance_mm": _mm(e.allowance.mm),
                "sewn_to": ", ".join(garment.sewn_to(panel.name, e.name)),
                "zip_allowance_mm": None if e.wide is None else _mm(e.wide.allowance.mm),
                "zip_reach_mm": None if e.wide is None else _mm(e.wide.reach),
            }
            for e in panel.edges.values()
        ],
        "darts": [
            {
                "near": _xy(d.near), "far": _xy(d.far), "tip": _xy(d.tip), "intake_mm": _mm(d.intake.mm),
                "length_mm": _mm(d.length.mm),
            }
            for d in panel.darts
        ],
    }  # fmt: skip


def _piece(piece: Piece, garment: Garment, plan: Plan) -> dict[str, Any]:
    """Outlines that are the panel's own are left out."""
    panel = garment.panels[piece.panel]
    own = {"cut": (piece.cut, panel.cut), "net": (piece.net, panel.net)}
    outlines = {name: _closed(mine) for name, (mine, whole) in own.items() if mine != tuple(whole)}
    through = [len(one.layers) for _, one in plan.laid.placements() if one.piece == piece.id]
    drawn = 2 if piece.pair or piece.folds is not None or piece.count > 1 else 1
    return {
        "id": piece.id, "garment": piece.garment, "panel": piece.panel, "count": piece.count, "pair": piece.pair,
        "on_fold": piece.folds is not None, "layers": max(through, default=drawn),
        "grain": [_xy(end) for end in piece.grain], "interfacing": piece.interfacing,
        "notches": [{"edge": n.edge, "code": n.code, "net": _xy(n.net), "cut": _xy(n.cut)} for n in piece.notches],
        "lines": {name: _line(path) for name, path in piece.lines},
        "strokes": [{"role": stroke.role, "d": path_data(stroke, places=3)} for stroke in strokes_of(piece)],
        "seam_widths": [{"mm": one.mm, "at": _xy(one.at), "angle": one.angle} for one in seam_widths(piece)],
        "sewn_to": [] if piece.panel in BODY else list(garment.sewn_to(piece.panel)), **outlines,
    }  # fmt: skip


def _mark(mark: Mark) -> dict[str, Any]:
    call, cloth = mark.call, None
    if mark.on_cloth is not None:
        (ax, ay), (bx, by) = mark.on_cloth
        cloth = [[round(ax, 4), round(ay, 4)], [round(bx, 4), round(by, 4)]]
    along = None if call.along is None else [call.along.code, [_name(name) for name in call.along.of]]
    return {
        "garment": mark.garment, "stage": call.stage, "panel": call.panel, "kind": call.kind, "name": _name(call.name),
        "from": None if call.source is None else _name(call.source), "along": along,
        "through": [_name(name) for name in call.through], "bends": list(call.bends), "towards": list(call.towards),
        "hollows": [list(codes) for codes in call.hollows],
        "length": None if call.length is None else to_tree(call.length), "inside": call.inside,
        "aside": call.aside,
        "local_mm": [_xy(call.start or call.end), _xy(call.end)], "cloth_mm": cloth,
        "path_mm": [(round(x, 1), round(y, 1)) for x, y in mark.path], "placing": mark.placing, "waits": call.waits,
    }  # fmt: skip


def _name(name: Name) -> list[Any]:
    return [name.code, list(name.of), name.nth, name.panel]


def _row(row: Row) -> dict[str, Any]:
    return {
        "garment": row.garment, "level": row.level, "kind": row.kind, "body_mm": _or_none(row.body),
        "ease_mm": _mm(row.ease), "darts_mm": _mm(row.darts), "gathers_mm": _mm(row.gathers),
        "seams_mm": _mm(row.seams), "cut_mm": _mm(row.cut), "sewn_mm": _mm(row.sewn), "closes": row.closes,
    }  # fmt: skip


def _check(check: Check) -> dict[str, Any]:
    return {
        "code": check.code, "where": _where(check.where), "left": check.left, "right": check.right,
        "tolerance_mm": check.tolerance, "ok": check.ok,
    }  # fmt: skip


def _section(section: Section, lays: BestLay, start: float, cloth: Cloth) -> dict[str, Any]:
    table, lay = section.table, lays.lay
    return {
        "part": section.name, "small": with_small(section), "fold": table.fold, "crosswise": table.crosswise,
        "depth_mm": _mm(lay.depth), "upper_mm": _mm(table.double_depth),
        "single_mm": _mm(table.layers[-1].end - table.double_depth),
        "extent_mm": _mm(table.depth if table.crosswise else lay.reach), "from_mm": _mm(start),
        "to_mm": _mm(start + lay.length), "bound_mm": _mm(_bound(lays.bound)),
        "bound_steps": [
            {"kind": one.kind, "mm": _mm(one.mm), "piece": one.piece, "other": one.other} for one in lays.bound.steps
        ],
        "counted": len(section.items) <= MOST_COUNTED,
        "prepare": [[step.code, step.sizes] for step in prepared(cloth, section, start == 0)],
        "layers": [{"number": one.number, "from_mm": _mm(one.start), "to_mm": _mm(one.end)} for one in table.layers],
        "folds_mm": sorted({d.fold for d in table.doublings if d.fold is not None}),
    }  # fmt: skip


def _bound(bound: Bound) -> float:
    """A bound's length, mm, as its rounded steps add up."""
    return sum(_mm(step.mm) for step in bound.steps) * bound.times


def _yardage(plan: Plan, bought: Yardage) -> dict[str, Any]:
    return {
        "lay": bought.lay, "shrink": bought.shrink, "trim": bought.trim, "spare": bought.spare, "match": bought.match,
        "sold_in": bought.sold_in, "price": None if bought.price is None else str(bought.price),
        "priced_in": str(bought.priced_in), "length_mm": _mm(bought.length),
        "least_buy_mm": _mm(yardage(plan.laid.bound, plan.job.cloth, plan.job.unit, plan.job.count).buy),
        "utilisation": round(plan.laid.utilisation, 4), "by_width": keep_widths(plan.by_width),
    }  # fmt: skip


def _notion(garment: str, notion: Notion) -> dict[str, Any]:
    return {
        "garment": garment, "code": notion.code, "panel": notion.panel, "count": notion.count,
        "length_mm": None if notion.length is None else _mm(notion.length.mm),
        "width_mm": None if notion.width is None else _mm(notion.width.mm),
    }  # fmt: skip


def _seam(garment: Garment, seam: Seam) -> dict[str, Any]:
    return {
        "garment": garment.id, "code": seam.code, "count": seam.count,
        "edges": [
            _side(garment, place, side) for side, places in enumerate((seam.one, seam.other)) for place in places
        ],
    }  # fmt: skip


def _side(garment: Garment, place: str, side: int) -> dict[str, Any]:
    """A place that is sewn; with its length and allowance where it is an edge of a panel."""
    panel, _, name = place.partition(".")
    edge = garment.panels[panel].edges.get(name) if panel in garment.panels else None
    return {
        "panel": panel, "edge": name, "side": side, "length_mm": None if edge is None else _mm(edge.path.length),
        "allowance_mm": None if edge is None else _mm(edge.allowance.mm),
    }  # fmt: skip
