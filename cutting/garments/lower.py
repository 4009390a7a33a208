"""A lower garment drafted whole: its panels by a method, its parts, its numbers."""

from dataclasses import dataclass, replace

from cutting.body import Body
from cutting.drafting import Step
from cutting.errors import CuttingError, Problem
from cutting.finding import Finding
from cutting.garments.closures import closure_parts
from cutting.garments.cut_off import cut_off
from cutting.garments.notches import notched
from cutting.garments.numbers import Number, numbers_of
from cutting.garments.part import Part
from cutting.garments.pockets import Pockets, pockets
from cutting.garments.waists import Notion, notions, waist_parts
from cutting.geometry import Point, beyond, is_simple
from cutting.methods import METHODS, Ask
from cutting.methods.sums import Sums
from cutting.pieces import Panel, Piece, Tape, finish, read_tape
from cutting.pieces.panel import with_notches


@dataclass(frozen=True)
class Garment:
    """Everything drafted for one lower garment. `panels` holds the parts' panels too; `legs` names those
    that cover the body: front and back, or a leg in one piece. `drafted` are the legs as they are chalked, before a
    strip is cut off them.
    """

    id: str
    style: str
    method: str
    body: Body
    ask: Ask
    sums: Sums
    legs: tuple[str, ...]
    drafted: dict[str, Panel]
    panels: dict[str, Panel]
    parts: tuple[Part, ...]
    numbers: dict[str, Number]
    notions: tuple[Notion, ...]
    findings: tuple[Finding, ...]

    def pieces(self, on_fold: bool) -> list[Piece]:
        """The pieces to cut; on folded cloth a part that can is the half that lies on the fold."""
        parts = [replace(part, panel=self.panels[part.panel.name]) for part in self.parts]
        legs = [_leg(self.panels[name], self.folds and on_fold) for name in self.legs]
        return legs + [part.piece(on_fold) for part in parts]

    @property
    def folds(self) -> bool:
        """The leg is the same on both sides of its guide line, and lies with it on the cloth's fold."""
        return self.sums.hip_results

    def tapes(self, on_fold: bool = False) -> list[tuple[Step, Tape]]:
        """The steps in the order of the table, each with its tape: between cut edges on cloth, net on paper."""
        on_cloth = self.ask.marking == "on-cloth"
        steps = [step for name in self.legs for step in self.panels[name].steps]
        legs = [
            (step, read_tape(step, self.panels) if on_cloth else Tape(step.start, step.end, step.length))
            for step in steps
        ]
        return legs + [pair for part in self.parts for pair in part.tapes(on_fold)]

    def part(self, name: str) -> Part | None:
        """The part of that name, where the garment has it."""
        return next((part for part in self.parts if part.panel.name == name), None)

    def anchor(self, panel: str) -> tuple[str, Point]:
        """Where the guide line and the top line of a panel meet on the cloth, in the draft frame, and what the latter
        is called. The back is laid out from the front: on its top line, or where its own top was cut off on its hip
        line.
        """
        traced = panel == "back" and self.ask.back_from == "front"
        drawn = self.panels["front" if traced else panel]
        on_cloth = self.ask.marking == "on-cloth"
        side = drawn.edges["side"].allowance.mm if on_cloth and "side" in drawn.edges else 0.0
        if traced and self.panels[panel].edges["waist"] != self.drafted[panel].edges["waist"]:
            return "hip_place", Point(-side, drawn.points["H"].down)
        top = drawn.edges["waist"].allowance.mm if on_cloth else 0.0
        return "top_line", Point(-side, drawn.lengths["seam_down"].mm - top)

    @property
    def waist_sewn(self) -> float:
        """Round the waist, darts closed and gathers flat, measured on the net outlines of what is sewn there, in mm."""
        return 2 * sum(self.top(name).waist_closed for name in self.legs)

    def side(self, leg: str) -> float:
        """The whole side seam of front or back, with the strips that were cut off it, in mm."""
        strips = [f"{leg}-band", *(["yoke"] if leg == "back" else [])]
        panels = [self.panels[name] for name in (leg, *strips) if name in self.panels]
        return sum(panel.edges["side"].path.length for panel in panels if "side" in panel.edges)

    def top(self, leg: str) -> Panel:
        """What the waist of a leg is sewn on: the shaped band or the yoke that was cut off it, else the leg itself."""
        names = [f"{leg}-band"] * (self.ask.waist_finish == "shaped-band") + ["yoke"] * (leg == "back")
        return next((self.panels[name] for name in names if name in self.panels), self.panels[leg])


def _leg(panel: Panel, on_fold: bool) -> Piece:
    name = f"{panel.garment}.{panel.name}"
    if not on_fold:
        return Piece(name, panel.garment, panel.name, 2, True, tuple(panel.cut), tuple(panel.net), panel.notches)
    cut, net = (tuple(beyond(points, 0.0)) for points in (panel.cut, panel.net))
    return Piece(name, panel.garment, panel.name, 2, True, cut, net, panel.notches, folds=0.0)


def draft_lower(name: str, method: str, body: Body, ask: Ask) -> Garment:
    """Draft a lower garment. Raises CuttingError with the measure that a method cannot serve."""
    how = METHODS[method]
    sums, drafts = how.draw(body, ask, how.seats)
    drafted = notched(
        {d.panel: finish(name, d) for d in drafts}, ask, "leg_line" if sums.knee_round is None else "knee"
    )
    legs, parts = _strips(drafted, ask)
    parts = waist_parts(name, ask, sums) + parts
    bags = pockets(name, legs, ask, sums)
    legs = {key: _with(panel, bags) for key, panel in legs.items()}
    parts += [*bags.parts, *closure_parts(name, ask)]
    panels = legs | {part.panel.name: part.panel for part in parts}
    broken = [
        Problem("outline.crossed", f"garments.{name}", {"panel": key}) for key, p in panels.items() if not _sound(p)
    ]
    if broken:
        raise CuttingError(*broken)
    numbers = numbers_of(drafted, legs, parts, sums, ask)
    bought = notions(ask, sums, parts)
    found = (*sums.findings, *(one for draft in drafts for one in draft.findings), *bags.findings)
    findings = tuple(replace(one, where=_place(name, one.where)) for one in found)
    return Garment(
        name, ask.style, method, body, ask, sums, tuple(legs), drafted, panels, tuple(parts), numbers, tuple(bought),
        findings,
    )  # fmt: skip


def _strips(drafted: dict[str, Panel], ask: Ask) -> tuple[dict[str, Panel], list[Part]]:
    """The legs with a shaped band and a yoke cut off their tops, and those strips as parts."""
    legs, parts = dict(drafted), list[Part]()
    if ask.waist_finish == "shaped-band":
        deep = ask.band_depth.mm
        for name in ("front", "back"):
            cut = cut_off(legs[name], f"{name}-band", deep, deep, ask, ask.band_depth)
            legs[name] = cut.panel
            parts.append(Part(cut.strip, 4, pair=True, interfacing=True, sewn_to=f"{name}.waist"))
    if ask.yoke is not None and "back" in legs:
        cut = cut_off(legs["back"], "yoke", ask.yoke.mm / 2, ask.yoke.mm, ask, ask.yoke, whole_darts=True)
        legs["back"] = cut.panel
        parts.append(Part(cut.strip, 2, pair=True, sewn_to="back.waist"))
    return legs, parts


def _with(panel: Panel, bags: Pockets) -> Panel:
    """The panel with the lines and notches of its pockets."""
    lines = {name: path for of, name, path in bags.lines if of == panel.name}
    marked = replace(panel, lines=panel.lines | lines)
    return with_notches(marked, *(notch for of, notch in bags.notches if of == panel.name))


def _place(garment: str, where: str) -> str:
    """Where in the job or the plan a finding of a draft belongs."""
    if where.startswith("garment."):
        return where.replace("garment.", f"garments.{garment}.", 1)
    return where if "." in where else f"{garment}.{where}"


def _sound(panel: Panel) -> bool:
    return is_simple(panel.net) and is_simple(panel.cut)
