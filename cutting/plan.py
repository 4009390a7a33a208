"""START HERE. plan(job) -> Plan: the whole trade on one page.

Draft every garment, lay its pieces, count the cloth, put the marks in order, keep the ledger, check, say what is wrong.
"""

from dataclasses import dataclass, replace
from typing import Literal

from cutting.body import doubts
from cutting.checks import Check, check_fold, check_garment, check_joins, findings_of, worst_fit
from cutting.cloth import USUAL_FOLDS, Folded
from cutting.drafting import Step
from cutting.errors import CuttingError, Problem, refuse
from cutting.finding import Finding
from cutting.garments import Garment, draft_joined, draft_lower, draft_top
from cutting.geometry import Point
from cutting.job import GarmentAsk, Job, JumpsuitAsk
from cutting.lay import Lay, Lays, Offcut, Placement, faults, offcuts
from cutting.laying import Laying, WidthRow
from cutting.ledger import Row, ledger
from cutting.lengths import Fixed, Length, found
from cutting.methods import said_of_cloth
from cutting.methods.upper import TopAsk
from cutting.pieces import Piece, Tape
from cutting.yardage import Yardage, yardage

CORE = "0.5.0"


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
class Plan:
    """Everything worked out for a job. Lengths are in mm or trees; words come in at the formats."""

    job: Job
    garments: tuple[Garment, ...]
    table: Folded
    needed: Needed
    pieces: tuple[Piece, ...]
    marks: tuple[Mark, ...]
    rows: tuple[Row, ...]
    lays: Lays | None
    open_length: float | None
    yardage: Yardage | None
    offcuts: tuple[Offcut, ...]
    by_width: tuple[WidthRow, ...]
    checks: tuple[Check, ...]
    findings: tuple[Finding, ...]


def plan(job: Job, by_width: bool = True) -> Plan:
    """Plan a job. Raises CuttingError with every garment's problems where a draft cannot be made.

    The table of widths takes longer than all the rest: without `by_width` it is left empty.
    """
    garments = draft(job)
    laying = Laying(job, garments)
    if not laying.pieces("open"):
        raise refuse(f"cut.nothing_{job.cut_from}", "garments")
    laid = laying.first()
    table, pieces, lays = laid.table, laid.pieces, laid.lays
    marks = place_marks(garments, lays.lay if lays else None, job.cut_from)
    rows = [row for garment in garments for row in ledger(garment)]
    checks = [check for garment in garments for check in check_garment(garment)]
    checks += check_joins(garments)
    needed = _needed(garments, pieces)
    checks += check_fold("cloth.fold", needed.depth.mm, table, list(pieces))
    bought = yardage(lays.lay.length, job.cloth, job.unit, len(job.garments)) if lays else None
    findings = doubts(job.body.sizes)
    findings += [finding for garment in garments for finding in garment.findings] + findings_of(checks)
    findings += _cloth_findings(job, garments, pieces, table, lays, bought)
    return Plan(
        job, garments, table, needed, pieces, marks, tuple(rows), lays, laid.open_length, bought,
        offcuts(lays.lay, pieces) if lays else (),
        laying.by_width() if by_width else (), tuple(checks),
        tuple(sorted(findings, key=lambda f: ("stop", "warn", "note").index(f.weight))),
    )  # fmt: skip


def widths(job: Job) -> tuple[WidthRow, ...]:
    """What the job's pieces need on cloth of each standard width, folded and open. Raises CuttingError as `plan`."""
    return Laying(job, draft(job)).by_width()


def by_hand(made: Plan, placements: tuple[Placement, ...]) -> Plan:
    """The plan on a lay that was moved by hand; its length is measured. Raises CuttingError where it is not sound."""
    cuts = {piece.id: piece.cut for piece in made.pieces}
    axis = 1 if made.table.crosswise else 0
    ends = [p.point(corner)[axis] for p in placements for corner in cuts.get(p.piece, ())]
    return with_lay(made, Lay(made.table, placements, max(ends, default=0.0)), refused="lay.by_hand")


def with_lay(made: Plan, lay: Lay | None, bound: float = 0.0, refused: str = "lay.invalid") -> Plan:
    """The same plan on another lay of the same fold, or its own, with a better bound in mm where one was proved.

    Raises CuttingError with the code `refused` where the lay is not sound.
    """
    lays = made.lays
    if lays is not None and bound > lays.bound:
        lays = replace(lays, bound=bound)
    if lays is None or lay is None:
        return replace(made, lays=lays)
    wrong = faults(lay, made.pieces, made.job.cloth.one_way)
    if wrong:
        raise refuse(refused, "lay", fault=wrong[0].code, faults=", ".join(fault.code for fault in wrong))
    used = lays.utilisation * lays.lay.reach / lay.reach
    open_length = min(lay.length, made.open_length or lay.length) if made.table.fold == "open" else made.open_length
    return replace(
        made, lays=replace(lays, lay=lay, utilisation=used),
        marks=place_marks(made.garments, lay, made.job.cut_from),
        yardage=yardage(lay.length, made.job.cloth, made.job.unit, len(made.job.garments)), open_length=open_length,
        offcuts=offcuts(lay, made.pieces),
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


def _cloth_findings(
    job: Job,
    garments: tuple[Garment, ...],
    pieces: tuple[Piece, ...],
    table: Folded,
    lays: Lays | None,
    bought: Yardage | None,
) -> list[Finding]:
    found_: list[Finding] = []
    if lays is None:
        found_.append(_no_lay(job, pieces, table))
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


def _no_lay(job: Job, pieces: tuple[Piece, ...], table: Folded) -> Finding:
    """Why the pieces do not lie on the cloth as it is folded, and what would mend it."""
    if job.cloth.one_way and table.times > 1:
        return Finding("lay.nap", "stop", "cloth.fold")
    piece, deep, room = worst_fit(list(pieces), table)
    if deep <= room:
        return Finding("lay.fold_full", "stop", "cloth.fold")
    params = {"piece": piece.panel.capitalize(), "width": found(deep, ""), "depth": found(room, "")}
    if table.fold not in USUAL_FOLDS:
        return Finding("lay.shallow", "stop", "cloth.fold", params)
    need = found(deep * (1 if table.fold == "open" else 2), "")
    return Finding("lay.none", "stop", "cloth.width", params | {"need": need})


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
            if places and lay is not None:
                marks += _anchors(garment, *of_panel[0], *places[0], lay)
            for step, tape in of_panel:
                if not places:
                    marks.append(Mark(garment.id, step, tape, None))
                    continue
                number, placement = places[0]
                shift = _fold_shift(garment, step, folded)
                on_cloth = (placement.point(tape.start.plus(shift)), placement.point(tape.end.plus(shift)))
                marks.append(Mark(garment.id, step, tape, on_cloth, number))
            for number, placement in places[1:]:
                assert lay is not None
                marks += _anchors(garment, *of_panel[0], number, placement, lay, twin=True)
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
    garment: Garment, first: Step, tape: Tape, number: int, placement: Placement, lay: Lay, twin: bool = False
) -> list[Mark]:
    """Where the panel's guide line and top line lie on the cloth: from the fold and from the cut end."""
    folded, crosswise = lay.fold != "open", lay.table.crosswise
    top, corner = garment.anchor(first.panel, tape)
    on_guide = folded and garment.guide_on_fold(first.panel)
    x, y = placement.point(corner.plus(_fold_shift(garment, first, folded)))
    t, m = (-1 if placement.turned else 1), (-1 if placement.mirrored else 1)
    edge = "fold" if folded else "selvedge"
    # Where the fold runs across the cloth, away from it is along the selvedge, and along it from one selvedge.
    ways = ("along_cloth", "across_cloth") if crosswise else ("across_cloth", "along_cloth")
    lines = [
        ("guide", y, ways[0], edge, (x, 0.0), Point(t * m * y, 0)),
        (top, x, ways[1], "selvedge" if crosswise else "cut_end", (0.0, y), Point(0, t * x)),
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
