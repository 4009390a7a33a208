"""The plan file, version 1: a plan with all its words, ready for JSON."""

from collections.abc import Sequence
from itertools import accumulate
from typing import Any

from cutting.checks import Check
from cutting.dividing import with_small
from cutting.formats.plan_shape import (
    XY,
    BoundStepOut,
    CheckOut,
    DartOut,
    EdgeOut,
    FindingOut,
    LayerOut,
    LayOut,
    LedgerOut,
    MarkOut,
    NeededOut,
    NotchOut,
    NotionOut,
    NumberOut,
    OffcutOut,
    PanelOut,
    PieceOut,
    PlacementOut,
    PlanOut,
    SectionOut,
    SideOut,
    WidthOut,
    YardageOut,
)
from cutting.garments import Garment, Number
from cutting.geometry import Cubic, Point
from cutting.lay import Bound, BoundStep, Laid, Lay, Lays, Placement, Section, lies_under, offcuts
from cutting.ledger import Row
from cutting.lengths import Length, Unit, show
from cutting.marking import Mark
from cutting.pieces import Panel, Piece
from cutting.plan import Plan
from cutting.widths import WidthRow
from cutting.words import (
    check_labels,
    check_say,
    cost_formula,
    fold_name,
    formula,
    from_along,
    mark_words,
    number_name,
    say_finding,
    say_fold,
    section_name,
    with_numbers,
    yardage_formula,
)


def _lines(panel: Panel) -> dict[str, list[XY]]:
    """What is drawn inside a panel."""
    return {name: [_xy(p) for p in path.flat(0.1)] for name, path in panel.lines.items()}


def _xy(point: Point) -> XY:
    return round(point.across, 4), round(point.down, 4)


def _closed(points: list[Point] | tuple[Point, ...]) -> list[XY]:
    ring = [_xy(p) for p in points]
    return [*ring, ring[0]]


def _mm(value: float) -> float:
    return round(value, 6)


def _number(key: str, number: Number, on_cloth: bool, unit: Unit) -> NumberOut:
    spoken = number.cut if on_cloth else number.net
    return NumberOut(
        net_mm=_mm(number.net.mm), cut_mm=_mm(number.cut.mm), formula=formula(number.net, unit),
        cut_formula=formula(number.cut, unit), with_=with_numbers(spoken, unit), shown=show(spoken.value, unit).text,
        name=number_name(key),
    )  # fmt: skip


def _panel(panel: Panel, garment: Garment) -> PanelOut:
    segments: list[dict[str, Any]] = []
    for edge in panel.edges.values():
        for part in edge.path.segments:
            points = [part.start, part.one, part.two, part.end] if isinstance(part, Cubic) else [part.start, part.end]
            kind = "cubic" if isinstance(part, Cubic) else "line"
            segments.append({"edge": edge.name, "kind": kind, "points": [_xy(p) for p in points]})
    return PanelOut(
        garment=panel.garment, name=panel.name, points={name: _xy(p) for name, p in panel.points.items()},
        net=_closed(panel.net), cut=_closed(panel.cut), segments=segments, lines=_lines(panel),
        edges=[
            EdgeOut(
                name=e.name, length_mm=_mm(e.path.length), allowance_mm=_mm(e.allowance.mm),
                sewn_to=garment.sewn_to(panel.name, e.name),
            )
            for e in panel.edges.values()
        ],
        darts=[
            DartOut(
                near=_xy(d.near), far=_xy(d.far), tip=_xy(d.tip), intake_mm=_mm(d.intake.mm),
                length_mm=_mm(d.length.mm),
            )
            for d in panel.darts
        ],
    )  # fmt: skip


def _piece(piece: Piece, garment: Garment) -> PieceOut:
    low, high = min(p.down for p in piece.net), max(p.down for p in piece.net)
    left, right = min(p.across for p in piece.net), max(p.across for p in piece.net)
    crease, part = garment.numbers.get("front.crease"), garment.part(piece.panel)
    across = crease.net.mm if crease and part is None else (left + right) / 2
    inset = (high - low) * 0.12
    return PieceOut(
        id=piece.id, garment=piece.garment, panel=piece.panel, count=piece.count, pair=piece.pair,
        on_fold=piece.folds is not None, layers=2 if piece.pair or piece.folds is not None or piece.count > 1 else 1,
        grain=((round(across, 4), round(low + inset, 4)), (round(across, 4), round(high - inset, 4))),
        notches=[NotchOut(edge=n.edge, code=n.code, net=_xy(n.net), cut=_xy(n.cut)) for n in piece.notches],
        cut=_closed(piece.cut), net=_closed(piece.net), interfacing=piece.interfacing,
        lines=_lines(garment.panels[piece.panel]), sewn_to=part.sewn_to if part else "",
    )  # fmt: skip


def _mark(number: int, mark: Mark, before: Mark | None, unit: Unit) -> MarkOut:
    words = mark_words(mark.step.panel, mark.step.code)
    same = before is not None and (before.garment, before.step.panel) == (mark.garment, mark.step.panel)
    code = before.step.code if same and before is not None else ""
    start, along = from_along(mark.step.from_code, mark.step.along, mark.tape.end.minus(mark.tape.start), code)
    shown = show(mark.tape.length.value, unit)
    cloth = None
    if mark.on_cloth is not None:
        (ax, ay), (bx, by) = mark.on_cloth
        cloth = ((round(ax, 4), round(ay, 4)), (round(bx, 4), round(by, 4)))
    return MarkOut(
        n=number, garment=mark.garment, stage=mark.step.stage, panel=mark.step.panel, code=mark.step.code,
        name=words.name, say=f"{words.name}: {shown.text} from {start}, {along}", from_=start, along=along,
        formula=formula(mark.tape.length, unit), with_=with_numbers(mark.tape.length, unit), shown=shown.text,
        exact=shown.exact, reads_mm=_mm(mark.tape.length.mm), reason=words.reason,
        local_mm=(_xy(mark.tape.start), _xy(mark.tape.end)), cloth_mm=cloth, placing=mark.placing,
        waits=mark.step.waits,
    )  # fmt: skip


def _row(row: Row) -> LedgerOut:
    return LedgerOut(
        garment=row.garment, level=row.level, kind=row.kind, body_mm=None if row.body is None else _mm(row.body),
        ease_mm=_mm(row.ease), darts_mm=_mm(row.darts), gathers_mm=_mm(row.gathers), seams_mm=_mm(row.seams),
        cut_mm=_mm(row.cut), sewn_mm=_mm(row.sewn), closes=row.closes,
    )  # fmt: skip


def _check(check: Check, unit: Unit) -> CheckOut:
    left, right = check_labels(check.code)
    words = {"left": show(check.left, unit).text, "right": show(check.right, unit).text}
    return CheckOut(
        code=check.code, where=check.where, left=SideOut(label=left, mm=_mm(check.left)),
        right=SideOut(label=right, mm=_mm(check.right)), tolerance_mm=check.tolerance, ok=check.ok,
        says=check_say(check.code, check.ok).format(**words),
    )  # fmt: skip


def _section(section: Section, lays: Lays, start: float, unit: Unit) -> SectionOut:
    table, lay = section.table, lays.lay
    return SectionOut(
        part=section.name, cut=section_name(section.name, with_small(section)),
        fold=table.fold, name=fold_name(table.fold),
        say=say_fold(table, lay.depth, unit), depth_mm=_mm(lay.depth),
        extent_mm=_mm(table.depth if table.crosswise else lay.reach), from_mm=_mm(start), to_mm=_mm(start + lay.length),
        bound_mm=_mm(_told(lays.bound)),
        bound_steps=[
            BoundStepOut(kind=one.kind, mm=_mm(one.mm), piece=one.piece, other=one.other) for one in lays.bound.steps
        ],
        layers=[LayerOut(number=one.number, from_mm=_mm(one.start), to_mm=_mm(one.end)) for one in table.layers],
        folds_mm=sorted({d.fold for d in table.doublings if d.fold is not None}),
    )  # fmt: skip


def _told(bound: Bound) -> float:
    """A bound's length, mm, as the steps that are told of it add up."""
    return sum(_mm(step.mm) for step in bound.steps) * bound.times


def lay_to_wire(made: Plan) -> LayOut | None:
    """A plan's lay with the figures it is held against, and what is left over."""
    laid, unit = made.laid, made.job.unit
    if not laid.lies:
        return None
    starts = [0.0, *accumulate(lay.length for lay in laid.lays)]
    cuts = {piece.id: piece.cut for piece in laid.pieces}
    each = list(zip(laid.sections, laid.all_lays, starts, strict=False))
    return LayOut(
        sections=[_section(section, lays, start, unit) for section, lays, start in each],
        placements=[
            PlacementOut(
                piece=p.piece, copies=p.copies, layers=list(p.layers), section=section, x_mm=_mm(p.x), y_mm=_mm(p.y),
                turned=p.turned, mirrored=p.mirrored, under=lies_under(p, cuts[p.piece], laid.sections[section].table),
            )
            for section, p in laid.placements()
        ],
        length_mm=_mm(laid.length), bound_mm=_mm(sum(_told(bound) for bound in laid.bounds)),
        habit_mm=_or_none(laid.habit), one_pass_mm=_or_none(laid.one_pass), open_mm=_or_none(laid.open_length),
        one_fold_mm=_or_none(laid.one_fold), repeat_mm=_mm(float(made.job.cloth.repeat)),
        offcuts=[
            OffcutOut(
                section=number, x_mm=one.x, y_mm=one.y, along_mm=one.along, across_mm=one.across, layers=one.layers
            )
            for number, (section, lays, _) in enumerate(each)
            for one in offcuts(lays.lay, section.pieces)
        ],
    )  # fmt: skip


def placements_of(rows: Sequence[dict[str, Any]]) -> list[tuple[int, Placement]]:
    """Placements from the wire, each with the number of its section."""
    return [
        (
            p["section"],
            Placement(p["piece"], p["copies"], tuple(p["layers"]), p["x_mm"], p["y_mm"], p["turned"], p["mirrored"]),
        )
        for p in rows
    ]


def stored_lays(laid: Laid, lay: dict[str, Any]) -> tuple[list[Lay], list[Bound]]:
    """What was stored of a lay for the same sections: where everything lies, and the bounds that were proved."""
    placed = placements_of(lay["placements"])
    lays, bounds = [], []
    for number, (section, one) in enumerate(zip(laid.sections, lay["sections"], strict=True)):
        times = section.table.times
        reach = (one["to_mm"] - one["from_mm"]) / times
        lays.append(Lay(section.table, tuple(p for there, p in placed if there == number), reach))
        bounds.append(Bound(tuple(BoundStep(**step) for step in one["bound_steps"]), times))
    return lays, bounds


def _or_none(value: float | None) -> float | None:
    return None if value is None else _mm(value)


def widths_to_wire(rows: tuple[WidthRow, ...]) -> list[WidthOut]:
    """The table of widths as the wire has it."""
    return [WidthOut(width_mm=r.width, fold=r.fold, length_mm=r.length, buy_mm=r.buy) for r in rows]


def to_model(plan: Plan) -> PlanOut:
    """The whole plan as the wire has it."""
    unit = plan.job.unit
    numbers: dict[str, NumberOut] = {}
    for garment in plan.garments:
        on_cloth = garment.marking == "on-cloth"
        for key, number in garment.numbers.items():
            numbers[f"{garment.id}.{key}"] = _number(key, number, on_cloth, unit)
    by_id = {garment.id: garment for garment in plan.garments}
    bought = plan.yardage
    out = None
    if bought is not None:
        out = YardageOut(
            length_mm=_mm(bought.length), buy_mm=_mm(bought.buy), formula=yardage_formula(bought, unit),
            cost=None if bought.cost is None else str(bought.cost), cost_formula=cost_formula(bought, unit),
            utilisation=round(plan.laid.utilisation, 4), by_width=widths_to_wire(plan.by_width),
        )  # fmt: skip
    return PlanOut(
        unit=unit, fold=plan.laid.fold, numbers=numbers,
        fold_needed=NeededOut(
            garment=plan.needed.piece.garment, panel=plan.needed.piece.panel, mm=_mm(plan.needed.depth.mm),
            formula=formula(plan.needed.depth, unit),
        ),
        panels=[_panel(panel, garment) for garment in plan.garments for panel in garment.panels.values()],
        pieces=[_piece(piece, by_id[piece.garment]) for piece in plan.laid.pieces],
        marks=[
            _mark(number, mark, before, unit)
            for number, (before, mark) in enumerate(zip([None, *plan.marks], plan.marks, strict=False), 1)
        ],
        ledger=[_row(row) for row in plan.rows],
        lay=lay_to_wire(plan),
        yardage=out, checks=[_check(check, unit) for check in plan.checks],
        findings=[
            FindingOut(
                code=f.code, weight=f.weight, where=f.where, words=say_finding(f, unit),
                params={key: _mm(v.mm) if isinstance(v, Length) else v for key, v in f.params.items()},
            )
            for f in plan.findings
        ],
        notions=[
            NotionOut(
                garment=garment.id, name=notion.name, count=notion.count,
                length_mm=None if notion.length is None else _mm(notion.length.mm),
                width_mm=None if notion.width is None else _mm(notion.width.mm),
            )
            for garment in plan.garments
            for notion in garment.notions
        ],
    )  # fmt: skip


def plan_to_wire(plan: Plan) -> dict[str, Any]:
    """The plan as plain data."""
    return to_model(plan).model_dump()
