"""A lower garment drafted whole: its panels by a method, its band, its numbers."""

from collections.abc import Callable
from dataclasses import dataclass, replace

from cutting.body import Body
from cutting.drafting import Draft, Step
from cutting.errors import CuttingError, Problem
from cutting.finding import Finding
from cutting.garments.band import band_piece, draft_band, half_tapes
from cutting.geometry import Line, Path, Point, crossings, is_simple
from cutting.lengths import Length, found, inch, mm, named
from cutting.methods import METHODS, Ask
from cutting.methods.quarter_hip.sums import BACK_WIDER, Sums
from cutting.pieces import Notch, Panel, Piece, Tape, finish, read_tape
from cutting.pieces.panel import with_notches

STYLES = ("straight-trousers", "palazzo")
LATER = (
    "very-short-shorts", "shorts", "knee-shorts", "close-trousers", "boot-cut", "wide-gathered", "paper-bag", "boxers",
    "loose-trousers", "bodice", "straight-top", "loose-top", "cropped-top", "jumpsuit",
)  # fmt: skip
ZIP = inch(9, "zip")


@dataclass(frozen=True)
class Number:
    """A number of the plan: on the net lines, and as the tape reads it between cut edges."""

    net: Length
    cut: Length


@dataclass(frozen=True)
class Garment:
    """Everything drafted for one lower garment."""

    id: str
    style: str
    method: str
    body: Body
    ask: Ask
    sums: Sums
    panels: dict[str, Panel]
    numbers: dict[str, Number]
    findings: tuple[Finding, ...]

    def pieces(self, on_fold: bool) -> list[Piece]:
        """The pieces to cut; on folded cloth the band is the half that lies on the fold."""
        return [_pair(self.panels["front"]), _pair(self.panels["back"]), band_piece(self.panels["band"], on_fold)]

    def tapes(self, band_on_fold: bool = False) -> list[tuple[Step, Tape]]:
        """The steps in the order of the table, each with its tape: between cut edges on cloth, net on paper."""
        on_cloth = self.ask.marking == "on-cloth"
        steps = [step for name in ("front", "back", "band") for step in self.panels[name].steps]
        whole = [
            (step, read_tape(step, self.panels) if on_cloth else Tape(step.start, step.end, step.length))
            for step in steps
        ]
        if not band_on_fold:
            return whole
        return [pair for pair in whole if pair[0].panel != "band"] + half_tapes(self.panels["band"])

    @property
    def waist_sewn(self) -> float:
        """Round the waist seam with the darts closed, measured on the net outlines, in mm."""
        return 2 * sum(_waist_closed(self.panels[name]) for name in ("front", "back"))


def _waist_closed(panel: Panel) -> float:
    return panel.edges["waist"].path.length - sum(Line(d.near, d.far).length for d in panel.darts)


def _pair(panel: Panel) -> Piece:
    name = f"{panel.garment}.{panel.name}"
    return Piece(name, panel.garment, panel.name, 2, True, tuple(panel.cut), tuple(panel.net), panel.notches)


def draft_lower(name: str, style: str, method: str, body: Body, ask: Ask) -> Garment:
    """Draft a lower garment. Raises CuttingError with the measure that a method cannot serve."""
    recipe = METHODS[method]
    sums = recipe.work_out(body, ask)
    front, back = Draft("front"), Draft("back")
    recipe.front(body, ask, sums, front)
    recipe.back(body, ask, sums, front, back)
    panels = {"front": finish(name, front), "back": finish(name, back)}
    waist = sums.waist_round
    panels["band"] = draft_band(name, ask, waist)
    panels = _notched(panels, ask, "leg_line" if sums.knee_round is None else "knee")
    broken = [
        Problem("outline.crossed", f"garments.{name}", {"panel": key}) for key, p in panels.items() if not _sound(p)
    ]
    if broken:
        raise CuttingError(*broken)
    numbers = _numbers(panels, sums, ask, front, back)
    found_ = (*sums.findings, *front.findings, *back.findings)
    findings = tuple(replace(one, where=_place(name, one.where)) for one in found_)
    return Garment(name, style, method, body, ask, sums, panels, numbers, findings)


def _place(garment: str, where: str) -> str:
    """Where in the job or the plan a finding of a draft belongs."""
    if where.startswith("garment."):
        return where.replace("garment.", f"garments.{garment}.", 1)
    return where if "." in where else f"{garment}.{where}"


def _sound(panel: Panel) -> bool:
    return is_simple(panel.net) and is_simple(panel.cut)


def _notched(panels: dict[str, Panel], ask: Ask, bend: str) -> dict[str, Panel]:
    """Notches at equal distances on edges that meet; one tells a front, two tell a back; the zip's end on the side."""
    done = dict(panels)
    for name in ("front", "back"):
        panel = panels[name]
        side = panel.edges["side"].path.length
        above = panels["front"].edges["side"].path.segments[-1].length
        notches = [panel.notch("side", "hip", side - above)]
        leg = panels["front"].edges["inner_leg"].path
        if len(leg.segments) > 2:
            knee = leg.segments[-1].length
            notches += [panel.notch("side", bend, knee)]
            notches += [panel.notch("inner_leg", bend, panel.edges["inner_leg"].path.length - knee)]
        centre = panel.edges["crotch"].path.segments[0].length
        marks = (0.5,) if name == "front" else (0.45, 0.55)
        notches += [panel.notch("crotch", name, centre * share) for share in marks]
        if ask.closure == "side-zip":
            notches.append(panel.notch("side", "zip_end", side - min(ZIP.mm, 0.9 * side)))
        notches += [_dart_notch(panel, point) for dart in panel.darts for point in (dart.near, dart.far)]
        done[name] = with_notches(panel, *notches)
    return done


def _dart_notch(panel: Panel, point: Point) -> Notch:
    return panel.notch("waist", "dart", Line(panel.edges["waist"].path.start, point).length)


def _numbers(panels: dict[str, Panel], sums: Sums, ask: Ask, front: Draft, back: Draft) -> dict[str, Number]:
    """Every number of the file format, each with its net and its cut sum."""
    waist = named(ask.allowances.waist, "allowance.waist")
    hem = named(ask.hem, "hem")
    top = named(ask.band_depth, "band")
    numbers: dict[str, Number] = {}

    def same(key: str, length: Length) -> None:
        numbers[key] = Number(length, length)

    for key in ("crotch_depth", "hip_depth", "thigh_depth", "knee_depth", "ankle_depth"):
        depth: Length = getattr(sums, key)
        numbers[key] = Number(depth, depth - top + waist)
    cut_length = sums.length - top + named(ask.side_raise, "side_raise") + waist + hem
    numbers["length"] = Number(sums.length, sums.length - top + waist + hem)
    same("cut_length", cut_length)

    for draft in (front, back):
        panel, name = panels[draft.panel], draft.panel
        is_front = name == "front"
        quarter = sums.quarter if is_front else sums.back_quarter
        extension = sums.extension if is_front else sums.back_extension
        darts = sums.front_darts if is_front else sums.back_darts
        steps = {step.code: step for step in panel.steps}
        for code in ("hip_width", "waist_width"):
            numbers[f"{name}.{code}"] = Number(steps[code].length, read_tape(steps[code], panels).length)
        same(f"{name}.crotch_extension", extension)
        numbers[f"{name}.crotch_width"] = _crotch_width(panel, panels, quarter + extension)
        share = -1 if is_front else 1
        for level, depth, whole in (
            ("thigh", sums.thigh_depth, None),
            ("knee", sums.knee_depth, sums.knee_round),
            ("hem", sums.length, sums.hem_round),
        ):
            net = (whole + BACK_WIDER * share) / 2 if whole is not None else None
            down = sums.level(depth, ask).mm
            numbers[f"{name}.{level}_width"] = _level_width(panel, panels, level, down, net, back.lengths)
        same(f"{name}.crease", sums.crotch_width / 2)
        same(f"{name}.curve_diagonal", draft.lengths["diagonal"])
        same(f"{name}.dart_intake", darts.all)
        same(f"{name}.dart_length", draft.lengths.get("dart_length", mm(0)))
        same(f"{name}.dart_place", draft.lengths.get("dart_place", mm(0)))
    same("front.centre_drop", sums.drop)
    same("front.side_raise", ask.side_raise)
    same("back.side_raise", back.lengths["side_raise"])
    same("back.crotch_tip", sums.tip)
    same("back.tip_drop", back.lengths["tip_drop"])
    same("back.seat_raise", sums.raise_)
    same("back.centre_slant", sums.slant)
    band = panels["band"].lengths
    overlap = named(ask.band_overlap, "overlap")
    numbers["band.cut_length"] = Number(sums.waist_round + overlap, band["cut_length"])
    numbers["band.cut_depth"] = Number(named(ask.band_depth, "band_finished") * 2, band["cut_depth"])
    same("band.finished_depth", ask.band_depth)
    widest = max((panels[name] for name in ("front", "back")), key=lambda p: _across(p.cut))
    same("fold.needed", found(_across(widest.cut), f"widest_{widest.name}"))
    same("fold.quick_rule", sums.quarter + inch(4))
    return numbers


def _across(points: list[Point]) -> float:
    return max(p.across for p in points) - min(p.across for p in points)


def _crotch_width(panel: Panel, panels: dict[str, Panel], net: Length) -> Number:
    """From the side to the crotch point, at the crotch line."""
    down = panel.points["C1"].down
    tip = panel.points["X"].across
    step = Step(
        panel.name, "", "", Point(tip - net.mm, down), Point(tip, down), net, "", "", "side",
        "inner_leg" if panel.name == "front" else ("crotch", "inner_leg"),
    )  # fmt: skip
    return Number(net, read_tape(step, panels).length)


def _level_width(
    panel: Panel, panels: dict[str, Panel], level: str, down: float, net: Length | None, lengths: dict[str, Length]
) -> Number:
    """From the side to the inner leg at a level of the leg."""

    def reach(edge: str, pick: Callable[[list[float]], float]) -> float:
        path: Path = panel.edges[edge].path
        hits = [hit.at for hit in crossings(path.flat(), Point(0, down), Point(1, 0), extend=True)]
        return pick(hits)

    left, right = reach("side", min), reach("inner_leg", max)
    if net is None:
        length: Length = found(right - left, "on_the_draft")
    else:
        length = net
        if panel.name == "back" and lengths["hem_widened"].mm > 0.2:
            length = net + lengths["hem_widened"]
    step = Step(panel.name, "", "", Point(left, down), Point(right, down), length, "", "", "side", "inner_leg")
    return Number(length, read_tape(step, panels).length)
