"""START HERE. plan(job) -> Plan: the whole trade on one page.

Draft every garment, lay its pieces, count the cloth, put the marks in order, keep the ledger, check, say what is wrong.
"""

from collections import Counter
from collections.abc import Sequence
from dataclasses import asdict, dataclass, replace

from cutting.body import doubts
from cutting.checks import Check, check_fold, check_garment, check_joins, findings_of, worst_fit
from cutting.choosing import idle
from cutting.cloth import USUAL_FOLDS, Folded
from cutting.codes import FaultCode, ProblemCode
from cutting.dividing import first_laid
from cutting.errors import CuttingError, Problem, refuse
from cutting.finding import Finding
from cutting.garments import LEFT, Garment, Lower, by_sides
from cutting.geometry import Point
from cutting.job import AnyAsk, Asked, Job, Outfit
from cutting.lay import Bound, Laid, Lay, Placement
from cutting.laying import Laying
from cutting.ledger import Row, ledger
from cutting.lengths import Fixed, Length, found, mm, on_tape
from cutting.marking import Mark, place_marks
from cutting.methods import said_of_cloth
from cutting.pieces import Piece
from cutting.where import CLOTH, LAY, Where, choice
from cutting.widths import WidthRow
from cutting.widths import by_width as widths_of
from cutting.yardage import Yardage, yardage

CORE = "0.20.0"


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
    laid: Laid
    needed: Needed
    marks: tuple[Mark, ...]
    rows: tuple[Row, ...]
    yardage: Yardage | None
    by_width: tuple[WidthRow, ...]
    checks: tuple[Check, ...]
    findings: tuple[Finding, ...]


def plan(job: Job, by_width: bool = True) -> Plan:
    """Plan a job. Raises CuttingError with every garment's problems where a draft cannot be made.

    The table of widths takes longer than all the rest: without `by_width` it is left empty.
    """
    with on_tape(job.unit):
        return _plan(job, by_width)


def _plan(job: Job, by_width: bool) -> Plan:
    outfits = draft(job)
    garments = tuple(garment for outfit in outfits for garment in outfit)
    laying = Laying(job.cloth, outfits, job.cut_from)
    if not laying.pieces("open"):
        raise refuse("cut.nothing_main" if job.cut_from == "main" else "cut.nothing_other", Where("job", ("garments",)))
    laid = first_laid(laying)
    rows = [row for garment in garments for row in ledger(garment)]
    checks = [check for garment in garments for check in check_garment(garment)]
    checks += check_joins(garments)
    needed = _needed(garments, laid.pieces)
    tables = [(list(section.pieces), section.table) for section in laid.sections]
    checks += check_fold(CLOTH / "fold", needed.depth.mm, tables)
    bought = _bought(job, laid)
    findings = [doubt for outfit in job.outfits for doubt in _doubts(outfit)]
    findings += [finding for garment in garments for finding in garment.findings] + findings_of(checks, _asked(job))
    findings += _cloth_findings(job, garments, laid, bought)
    if job.others:
        # What is only worth a note stands in each client's own plan.
        findings = [one for one in findings if one.weight != "note" or one.where.root == "cloth"]
    return Plan(
        job, garments, laid, needed, place_marks(garments, laid, job.cut_from), tuple(rows), bought,
        widths_of(laying, job.unit, job.count) if by_width else (), tuple(checks),
        tuple(sorted(findings, key=lambda f: ("stop", "warn", "note").index(f.weight))),
    )  # fmt: skip


def _bought(job: Job, laid: Laid) -> Yardage | None:
    return yardage(laid.length, job.cloth, job.unit, job.count) if laid.fits else None


def widths(job: Job) -> tuple[WidthRow, ...]:
    """What the job's pieces need on cloth of each standard width, folded and open. Raises CuttingError as `plan`."""
    with on_tape(job.unit):
        return widths_of(Laying(job.cloth, draft(job), job.cut_from), job.unit, job.count)


def by_hand(made: Plan, placements: Sequence[tuple[int, Placement]]) -> Plan:
    """The plan on a lay that was moved by hand: placements with the numbers of their sections; lengths are measured.

    Raises CuttingError where it is not sound: more pieces than there are, or a cloth longer than all pieces one after
    another, are refused before anything is measured.
    """
    lays = []
    pieces = [piece for section in made.laid.sections for piece in section.pieces]
    wanted = {piece.id: piece.count for piece in pieces}
    placed = Counter(placement.piece for _, placement in placements)
    if any(count > wanted.get(piece, 0) for piece, count in placed.items()):
        raise _not_by_hand("lay.count")
    longest = SPARE + sum(piece.count * _across(piece.cut) for piece in pieces)
    if any(not -longest <= at <= 2 * longest for _, p in placements for at in (p.x, p.y)):
        raise _not_by_hand("lay.too_long")
    for number, section in enumerate(made.laid.sections):
        own = tuple(placement for there, placement in placements if there == number)
        cuts = {piece.id: piece.cut for piece in section.pieces}
        axis = 1 if section.table.crosswise else 0
        ends = [p.point(corner)[axis] for p in own for corner in cuts.get(p.piece, ())]
        if max(ends, default=0.0) > longest:
            raise _not_by_hand("lay.too_long")
        lays.append(Lay(section.table, own, max(ends, default=0.0)))
    if len(lays) <= max((there for there, _ in placements), default=-1):
        raise _not_by_hand("lay.unknown_section")
    return with_lays(made, lays, refused="lay.by_hand")


SPARE = 1000.0
"""A lay may be so many mm longer than all its pieces one after another: room to put them down while they are moved."""


def _not_by_hand(fault: FaultCode) -> CuttingError:
    return refuse("lay.by_hand", LAY, fault=fault, faults=[fault])


def _across(outline: Sequence[Point]) -> float:
    """The longer side of the rectangle around an outline, in mm."""
    across, down = zip(*outline, strict=True)
    return float(max(max(across) - min(across), max(down) - min(down)))


def with_lays(
    made: Plan, lays: Sequence[Lay | None], bounds: Sequence[Bound] | None = None, refused: ProblemCode = "lay.invalid"
) -> Plan:
    """The same plan on other lays of its sections (None: as it is placed), with better bounds where some were proved.

    Raises CuttingError with the code `refused` where one is not sound.
    """
    laid = made.laid.on(lays, bounds or made.laid.bounds, refused)
    with on_tape(made.job.unit):
        marks = place_marks(made.garments, laid, made.job.cut_from)
    return replace(made, laid=laid, marks=marks, yardage=_bought(made.job, laid))


def draft(job: Job) -> tuple[tuple[Garment, ...], ...]:
    """Every garment, outfit by outfit; all problems of all of them at once."""
    with on_tape(job.unit):
        return _draft(job)


def _draft(job: Job) -> tuple[tuple[Garment, ...], ...]:
    drafted: list[tuple[Garment, ...]] = []
    problems: list[Problem] = []
    for outfit in job.outfits:
        garments: list[Garment] = []
        for asked in outfit.garments:
            try:
                made = asked.draft(outfit.named(asked), outfit.body.wearing(asked.id))
                garments += [_said(one, outfit, asked) for one in _by_sides(_with_idle(made, asked), asked, outfit)]
            except CuttingError as refused:
                placed = [_placed(problem, outfit, asked) for problem in refused.problems]
                problems += [problem for problem in placed if problem not in problems]
        drafted.append(tuple(garments))
    if problems:
        raise CuttingError(*problems)
    return tuple(drafted)


def _by_sides(made: list[Garment], asked: AnyAsk, outfit: Outfit) -> list[Garment]:
    """The garments, and of one whose left side differs that side besides. Raises CuttingError as the left's draft."""
    body = outfit.body.wearing(asked.id)
    if not body.one_sided:
        return made
    parted: list[Garment] = []
    for right, left in zip(made, asked.draft(outfit.named(asked), replace(body, side="left")), strict=True):
        both = by_sides(right, left) if isinstance(right, Lower) and isinstance(left, Lower) else None
        parted += both or [right]
    return parted


def _asked(job: Job) -> dict[str, Where]:
    """Where in the job each garment of the plan is asked for."""
    return {
        ".".join(filter(None, (outfit.named(garment), part.half))): Where("garments").in_garment(
            garment.id, part.half, outfit.id
        )
        for outfit in job.outfits for garment in outfit.garments for part in garment.parts
    }  # fmt: skip


def _with_idle(made: tuple[Garment, ...], asked: AnyAsk) -> list[Garment]:
    """The garments with a note for each choice that changes nothing as they stand."""
    if not asked.parts:
        return list(made)
    return [
        replace(garment, findings=garment.findings + tuple(_idle(part)))
        for garment, part in zip(made, asked.parts, strict=True)
    ]  # fmt: skip


def _idle(part: Asked) -> list[Finding]:
    return [
        Finding("choice.idle", "note", choice(*key.split(".")), {"kind": part.kind.name, "choice": key, **asdict(need)})
        for key, need in idle(part.kind, part.method, part.style, part.ask, bool(part.half))
    ]  # fmt: skip


def _placed(problem: Problem, outfit: Outfit, asked: AnyAsk) -> Problem:
    """A problem with the place where it is mended."""
    return replace(problem, where=problem.where.in_garment(asked.id, problem.where.half, outfit.id))


def _said(garment: Garment, outfit: Outfit, asked: AnyAsk) -> Garment:
    """The garment, its findings placed where they belong: at a measurement, a choice, or in the plan."""
    half = garment.id.removesuffix(f".{LEFT}").removeprefix(outfit.named(asked)).removeprefix(".")
    placed = (
        replace(one, where=replace(one.where, garment=garment.id))
        if one.where.root == "plan"
        else replace(one, where=one.where.in_garment(asked.id, half, outfit.id))
        for one in garment.findings
    )
    return replace(garment, findings=tuple(placed))


def _doubts(outfit: Outfit) -> list[Finding]:
    return [replace(one, where=one.where.in_garment("", "", outfit.id)) for one in doubts(outfit.body.sizes)]


def _needed(garments: tuple[Garment, ...], pieces: tuple[Piece, ...]) -> Needed:
    """The deepest that is needed by what is cut from this cloth: a garment's own number where its widest is."""
    widest = max(pieces, key=lambda piece: piece.width)
    whole = [g for g in garments if all(g.cut_from(name) == g.cut_from(widest.panel) for name in g.panels)]
    numbers = {
        g.id: g.numbers["fold.needed"].net for g in whole if "fold.needed" in g.numbers and not _opened(g, widest)
    }
    return Needed(widest, numbers.get(widest.garment) or found(widest.width, "widest_part"))


def _opened(garment: Garment, piece: Piece) -> bool:
    """Whether a piece that would be on the fold is cut whole, since the cloth has none for it."""
    return piece.folds is None and any(
        one.panel == piece.panel and one.folds is not None for one in garment.pieces(on_fold=True)
    )


def _cloth_findings(
    job: Job,
    garments: tuple[Garment, ...],
    laid: Laid,
    bought: Yardage | None,
) -> list[Finding]:
    found_: list[Finding] = []
    full = [section for section in laid.sections if section.best is None]
    if full:
        found_.append(_no_lay(job, full[0].pieces, full[0].table))
    short = [
        (garment.numbers["fold.needed"].net, garment.numbers["fold.quick_rule"].net, garment.where)
        for garment in garments if job.cut_from == "main" and "fold.quick_rule" in garment.numbers
    ]  # fmt: skip
    needed, quick, where = max(short, key=lambda one: one[0].mm - one[1].mm, default=(mm(0), mm(0), LAY))
    if quick.mm < needed.mm:
        found_.append(
            Finding("fold.quick_shallow", "note", where / "fold" / "quick_rule", {"quick": quick, "needed": needed})
        )
    percent = float(job.cloth.stretch_percent)
    found_ += [Finding(code, "note", CLOTH, {"percent": percent}) for code in said_of_cloth(job.cloth)]
    in_hand = job.cloth.length
    if bought is not None and in_hand is not None and bought.length > float(in_hand):
        params = {"needed": found(bought.length, ""), "length": Fixed(in_hand)}
        found_.append(Finding("cloth.short", "stop", CLOTH / "length", params))
    return found_


def _no_lay(job: Job, pieces: tuple[Piece, ...], table: Folded) -> Finding:
    """Why the pieces do not fit on the cloth as it is folded, and what would mend it."""
    if job.cloth.one_way and table.times > 1:
        return Finding("lay.nap", "stop", CLOTH / "fold")
    piece, deep, least = worst_fit(list(pieces), table)
    if deep <= least:
        along = sum(one.height * one.count for one in pieces if one.folds is not None)
        room = {"needed": found(along, ""), "room": found(table.depth, "")}
        return Finding("lay.fold_full", "stop", CLOTH / "fold", room)
    params = {"panel": piece.panel, "width": found(deep, ""), "depth": found(least, "")}
    if table.fold not in USUAL_FOLDS:
        return Finding("lay.shallow", "stop", CLOTH / "fold", params)
    need = found(deep * (1 if table.fold == "open" else 2), "")
    return Finding("lay.none", "stop", CLOTH / "width", params | {"need": need})
