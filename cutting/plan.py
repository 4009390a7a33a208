"""START HERE. plan(job) -> Plan: the whole trade on one page.

Draft every garment, lay its pieces, count the cloth, put the marks in order, keep the ledger, check, say what is wrong.
"""

from dataclasses import dataclass, replace
from typing import Literal

from cutting.body import doubts
from cutting.checks import Check, check_fold, check_garment, check_joins, findings_of
from cutting.cloth import FOLDS, fold_depth
from cutting.cloth.cloth import STANDARD_WIDTHS, Cloth, Fold
from cutting.drafting import Step
from cutting.errors import CuttingError, Problem, refuse
from cutting.finding import Finding
from cutting.garments import Garment, draft_joined, draft_lower, draft_top
from cutting.geometry import Point
from cutting.job import GarmentAsk, Job, JumpsuitAsk
from cutting.lay import Item, Lay, Lays, Placement, faults, items_for, rivals
from cutting.ledger import Row, ledger
from cutting.lengths import INCH_MM, Fixed, Length, found
from cutting.methods import said_of_cloth
from cutting.methods.upper import TopAsk
from cutting.pieces import Piece, Tape
from cutting.yardage import Yardage, yardage

CORE = "0.4.0"


@dataclass(frozen=True)
class Mark:
    """One call at the table: the step, its tape in the draft frame, and on the cloth where there is a lay.

    `placing` is the number of the placement it is chalked on, from 0.
    """

    garment: str
    step: Step
    tape: Tape
    on_cloth: tuple[tuple[float, float], tuple[float, float]] | None
    placing: int | None = None


@dataclass(frozen=True)
class Needed:
    """How deep one layer has to be: for which piece, and the depth with what it is made of."""

    piece: Piece
    depth: Length


@dataclass(frozen=True)
class WidthRow:
    """What the same pieces need on cloth of another width, in mm; None where they do not fit."""

    width: float
    fold: str
    length: float | None
    buy: float | None


@dataclass(frozen=True)
class Plan:
    """Everything worked out for a job. Lengths are in mm or trees; words come in at the formats."""

    job: Job
    garments: tuple[Garment, ...]
    fold: Fold
    depth: float
    needed: Needed
    pieces: tuple[Piece, ...]
    marks: tuple[Mark, ...]
    rows: tuple[Row, ...]
    lays: Lays | None
    open_length: float | None
    yardage: Yardage | None
    by_width: tuple[WidthRow, ...]
    checks: tuple[Check, ...]
    findings: tuple[Finding, ...]


def plan(job: Job, by_width: bool = True) -> Plan:
    """Plan a job. Raises CuttingError with every garment's problems where a draft cannot be made.

    The table of widths takes longer than all the rest: without `by_width` it is left empty.
    """
    garments = draft(job)
    if not _pieces(job, garments, "open"):
        raise refuse(f"cut.nothing_{job.cut_from}", "garments")
    items = _items(job, garments)
    fold, lays = _lay(items, job.cloth)
    pieces = tuple(_pieces(job, garments, fold))
    depth = fold_depth(job.cloth, fold)
    marks = place_marks(garments, lays.lay if lays else None, job.cut_from)
    rows = [row for garment in garments for row in ledger(garment)]
    checks = [check for garment in garments for check in check_garment(garment)]
    checks += check_joins(garments)
    needed = _needed(garments, pieces)
    checks += check_fold("cloth.fold", needed.depth.mm, depth, list(pieces))
    bought = yardage(lays.lay.length, job.cloth, job.unit) if lays else None
    findings = doubts(job.body.sizes)
    findings += [finding for garment in garments for finding in garment.findings] + findings_of(checks)
    findings += _cloth_findings(job, garments, pieces, depth, lays, bought)
    open_lays = lays if fold == "open" else rivals(items["open"], job.cloth, "open")
    table = _by_width(items, job) if by_width else ()
    return Plan(
        job, garments, fold, depth, needed, pieces, marks, tuple(rows), lays,
        open_lays.lay.length if open_lays else None, bought, table, tuple(checks),
        tuple(sorted(findings, key=lambda f: ("stop", "warn", "note").index(f.weight))),
    )  # fmt: skip


def widths(job: Job) -> tuple[WidthRow, ...]:
    """What the job's pieces need on cloth of each standard width, folded and open. Raises CuttingError as `plan`."""
    return _by_width(_items(job, draft(job)), job)


def with_lay(made: Plan, lay: Lay) -> Plan:
    """The same plan on another lay of the same fold. Raises CuttingError where the lay is not sound."""
    wrong = faults(lay, made.pieces, made.job.cloth.one_way)
    if wrong or made.lays is None:
        raise refuse("lay.invalid", "lay", faults=", ".join(fault.code for fault in wrong))
    used = made.lays.utilisation * made.lays.lay.length / lay.length
    open_length = min(lay.length, made.open_length or lay.length) if made.fold == "open" else made.open_length
    return replace(
        made, lays=replace(made.lays, lay=lay, utilisation=used),
        marks=place_marks(made.garments, lay, made.job.cut_from),
        yardage=yardage(lay.length, made.job.cloth, made.job.unit), open_length=open_length,
    )  # fmt: skip


def draft(job: Job) -> tuple[Garment, ...]:
    """Every garment; all problems of all of them at once."""
    drafted: list[Garment] = []
    problems: list[Problem] = []
    for asked in job.garments:
        try:
            drafted += _draft_one(job, asked)
        except CuttingError as refused:
            for problem in refused.problems:
                where = problem.where.replace("garment.", f"garments.{asked.id}.", 1)
                placed = Problem(problem.code, where, problem.params)
                if placed not in problems:
                    problems.append(placed)
    if problems:
        raise CuttingError(*problems)
    return tuple(drafted)


def _draft_one(job: Job, asked: GarmentAsk | JumpsuitAsk) -> tuple[Garment, ...]:
    if isinstance(asked, JumpsuitAsk):
        return draft_joined(asked.id, asked.method, job.body, asked.top, asked.lower)
    if isinstance(asked.ask, TopAsk):
        return (draft_top(asked.id, asked.method, job.body, asked.ask),)
    return (draft_lower(asked.id, asked.method, job.body, asked.ask),)


def _needed(garments: tuple[Garment, ...], pieces: tuple[Piece, ...]) -> Needed:
    """The deepest that is needed by what is cut from this cloth: a garment's own number where its widest is."""
    widest = max(pieces, key=lambda piece: piece.width)
    whole = [g for g in garments if all(g.cut_from(name) == g.cut_from(widest.panel) for name in g.panels)]
    numbers = {garment.id: garment.numbers["fold.needed"].net for garment in whole}
    return Needed(widest, numbers.get(widest.garment) or found(widest.width, "widest_part"))


def _items(job: Job, garments: tuple[Garment, ...]) -> dict[Fold, tuple[Item, ...]]:
    return {fold: tuple(items_for(_pieces(job, garments, fold), fold, job.cloth.one_way)) for fold in FOLDS}


def _pieces(job: Job, garments: tuple[Garment, ...], fold: str) -> list[Piece]:
    """What is cut from this cloth."""
    return [
        piece for garment in garments for piece in garment.pieces(on_fold=fold != "open")
        if garment.cut_from(piece.panel) == job.cut_from
    ]  # fmt: skip


def _lay(items: dict[Fold, tuple[Item, ...]], cloth: Cloth) -> tuple[Fold, Lays | None]:
    """The fold that was chosen, or with `auto` the first that holds every piece, folded before open."""
    wanted = [fold for fold in FOLDS if cloth.fold in ("auto", fold)]
    for fold in wanted:
        lays = rivals(items[fold], cloth, fold)
        if lays is not None:
            return fold, lays
    return wanted[0], None


def _by_width(items: dict[Fold, tuple[Item, ...]], job: Job) -> tuple[WidthRow, ...]:
    rows: list[WidthRow] = []
    for inches in STANDARD_WIDTHS:
        width = inches * INCH_MM
        for fold in FOLDS:
            other = Cloth(
                width=width, one_way=job.cloth.one_way, shrink_percent=job.cloth.shrink_percent,
                selvedge=job.cloth.selvedge, trim=job.cloth.trim, spare=job.cloth.spare,
                unit_of_sale=job.cloth.unit_of_sale,
            )  # fmt: skip
            lays = rivals(items[fold], other, fold)
            bought = yardage(lays.lay.length, other, job.unit) if lays else None
            rows.append(WidthRow(float(width), fold, bought.length if bought else None, bought.buy if bought else None))
    return tuple(rows)


def _cloth_findings(
    job: Job,
    garments: tuple[Garment, ...],
    pieces: tuple[Piece, ...],
    depth: float,
    lays: Lays | None,
    bought: Yardage | None,
) -> list[Finding]:
    found_: list[Finding] = []
    if lays is None:
        widest = max(pieces, key=lambda piece: piece.width)
        folded = job.cloth.fold != "open"
        params = {
            "piece": widest.panel.capitalize(), "width": found(widest.width, ""), "depth": found(depth, ""),
            "need": found(widest.width * (2 if folded else 1), ""),
        }  # fmt: skip
        found_.append(Finding("lay.none", "stop", "cloth.width", params))
    for garment in garments:
        quick, needed = (garment.numbers[key].net for key in ("fold.quick_rule", "fold.needed"))
        if quick.mm < needed.mm and job.cut_from == "main":
            params = {"quick": quick, "needed": needed}
            found_.append(Finding("fold.quick_shallow", "note", f"{garment.id}.fold.quick_rule", params))
    percent = f"{float(job.cloth.stretch_percent):g} %"
    found_ += [Finding(code, "note", "cloth", {"percent": percent}) for code in said_of_cloth(job.cloth)]
    in_hand = job.cloth.length
    if bought is not None and in_hand is not None and bought.length > float(in_hand):
        params = {"needed": found(bought.length, ""), "length": Fixed(in_hand)}
        found_.append(Finding("cloth.short", "stop", "cloth.length", params))
    return found_


def place_marks(
    garments: tuple[Garment, ...], lay: Lay | None, cut_from: Literal["main", "other"] = "main"
) -> tuple[Mark, ...]:
    """Every call on one cloth in the order of the table; each panel starts from where its lines lie in the lay.

    On open cloth a pair lies there twice: the second is traced from the first, turned over, along lines of its own.
    """
    marks: list[Mark] = []
    folded = lay is not None and lay.fold != "open"
    for garment in garments:
        tapes = [one for one in garment.tapes(on_fold=folded) if garment.cut_from(one[0].panel) == cut_from]
        for name in dict.fromkeys(step.panel for step, _ in tapes):
            of_panel = [pair for pair in tapes if pair[0].panel == name]
            places = _places(lay, f"{garment.id}.{name}")
            if places:
                marks += _anchors(garment, *of_panel[0], *places[0], folded)
            for step, tape in of_panel:
                if not places:
                    marks.append(Mark(garment.id, step, tape, None))
                    continue
                number, placement = places[0]
                shift = _fold_shift(garment, step, folded)
                on_cloth = (placement.point(tape.start.plus(shift)), placement.point(tape.end.plus(shift)))
                marks.append(Mark(garment.id, step, tape, on_cloth, number))
            for number, placement in places[1:]:
                marks += _anchors(garment, *of_panel[0], number, placement, folded, twin=True)
    return tuple(marks)


def _places(lay: Lay | None, piece: str) -> list[tuple[int, Placement]]:
    """Where a piece lies, with the number of each placement; the one that is not mirrored first."""
    placed = enumerate(lay.placements) if lay else ()
    return sorted((pair for pair in placed if pair[1].piece == piece), key=lambda pair: (pair[1].mirrored, pair[0]))


def _fold_shift(garment: Garment, step: Step, folded: bool) -> Point:
    """A part that lies on the fold is drawn as its half: across is counted from its middle."""
    part = garment.part(step.panel)
    return Point(-part.fold, 0) if part is not None and part.fold is not None and folded else Point(0, 0)


def _anchors(
    garment: Garment, first: Step, tape: Tape, number: int, placement: Placement, folded: bool, twin: bool = False
) -> list[Mark]:
    """Where the panel's guide line and top line lie on the cloth: from the fold and from the cut end."""
    top, corner = garment.anchor(first.panel, tape)
    on_guide = folded and garment.guide_on_fold(first.panel)
    x, y = placement.point(corner.plus(_fold_shift(garment, first, folded)))
    t, m = (-1 if placement.turned else 1), (-1 if placement.mirrored else 1)
    edge = "fold" if folded else "selvedge"
    lines = [
        ("guide", y, "across_cloth", edge, (x, 0.0), Point(t * m * y, 0)),
        (top, x, "along_cloth", "cut_end", (0.0, y), Point(0, t * x)),
    ]
    marks = []
    for code, size, along, datum, start, away in lines:
        if on_guide and code == "guide":
            continue  # the fold itself is its guide
        back = corner.plus(away, -1)
        length = found(size, "lay_place")
        called = garment.guide_words(first.panel, folded, twin) + code
        step = Step(first.panel, "place", called, back, corner, length, datum, along)
        marks.append(Mark(garment.id, step, Tape(back, corner, length), (start, (x, y)), number))
    return marks
