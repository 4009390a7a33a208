"""A step as the tape reads it: between net lines on paper, between cut edges on cloth."""

from collections.abc import Sequence
from dataclasses import dataclass

from cutting.drafting import Edge, Step
from cutting.drafting.step import EdgeRef
from cutting.geometry import Point, crossings, distance, offset_polyline, unit
from cutting.lengths import Found, Length, found, named, total
from cutting.pieces.panel import Panel

OF_LEG = {"guide": "side", "centre": "crotch", "top": "waist"}
"""What a leg's tape means where its panel has no edge of that name."""


@dataclass(frozen=True)
class Tape:
    """A straight tape from `start` to `end`; `length` reads what is between them."""

    start: Point
    end: Point
    length: Length

    def beside(self, aside: Point) -> "Tape":
        """The same tape, moved over square to itself by what `aside` has in that direction."""
        out = unit(self.end.minus(self.start))
        square = aside.minus(Point(out.across * aside.dot(out), out.down * aside.dot(out)))
        return Tape(self.start.plus(square), self.end.plus(square), self.length)


@dataclass(frozen=True)
class _End:
    """How far a tape's end moves outwards to reach the cut edge, and the terms that say so."""

    shift: float = 0.0
    terms: tuple[Length, ...] = ()


def _end(ref: EdgeRef | None, panels: dict[str, Panel], panel: str, net: Point, away: Point) -> _End:
    if ref is None:
        return _End()
    if isinstance(ref, tuple):
        owner = ref[0].rpartition(".")[0] or panel
        corner = panels[owner].corner(ref[0].rpartition(".")[2], ref[1].rpartition(".")[2])
        return _End(corner.minus(net).dot(away))
    owner, _, name = ref.rpartition(".")
    home = panels[owner or panel]
    edge = home.edges[name if name in home.edges else OF_LEG[name]]
    kind = edge.name.removeprefix("back_")
    label = "zip" if kind == "centre" else f"allowance.{'centre' if kind == 'crotch' else kind}"
    allowance = named(edge.allowance, "turn_up" if edge.turned == 2 else label)
    if name == "top":
        seam = home.lengths["seam_down"]
        shift = (seam.mm - allowance.mm - net.down) * away.down
        terms: tuple[Length, ...] = (allowance if away.down < 0 else -allowance,)
        if abs(seam.mm - net.down) > 0.05:
            terms += (-seam if away.down < 0 else seam,)
        return _End(shift, terms)
    if name == "guide":
        shift = (-allowance.mm - net.across) * away.across
    elif edge.turned:
        shift = allowance.mm if away.down > 0 else -allowance.mm
    else:
        polyline = home.offsets[edge.name]
        if name == "centre":  # the straight centre line, moved out by what is allowed at the tape
            straight = edge.path.segments[0]
            allowance = named(edge.allowance_at(straight.start.minus(net).dot(straight.direction(0)) * -1), label)
            polyline = offset_polyline([straight.start, straight.end], allowance.mm)
        hits = crossings(polyline, net, away, extend=True)
        shift = min((hit.at for hit in hits), key=abs, default=0.0)
    return _End(shift, (allowance if shift >= 0 else -allowance,))


def read_tapes(steps: Sequence[Step], panels: dict[str, Panel], on_cloth: bool) -> list[tuple[Step, Tape]]:
    """Every step with its tape, in the order of marking: between cut edges where it is marked on cloth.

    A tape from the point just marked starts where that was chalked. On cloth a hem's turn is called after its edge,
    since widths are measured on it, and the waist line is the top's cut edge.
    """
    read: list[tuple[Step, Tape]] = []
    for step in steps:
        tape = read_tape(step, panels) if on_cloth else Tape(step.start, step.end, step.length)
        if on_cloth and step.along == "waist_line":
            tape = tape.beside(Point(0, _top_edge(panels, step.panel) - step.start.down))
        before = read[-1] if read and read[-1][0].panel == step.panel else None
        if before is not None and before[0].code == step.from_code:
            tape = tape.beside(before[1].end.minus(before[0].end))
        read.append((step, tape))
        if on_cloth and step.closes == "hem" and panels[step.panel].edges["hem"].turned:
            read.append(_turn(step, tape, panels[step.panel].edges["hem"]))
    return read


def _top_edge(panels: dict[str, Panel], panel: str) -> float:
    """The level of the waist line as it is chalked: the cut top; for a back, the front's cut top at its centre."""
    if panel == "back" and "front" in panels:
        return panels["front"].corner("waist", "crotch").down
    return panels[panel].lengths["seam_down"].mm - panels[panel].edges["waist"].allowance.mm


def _turn(step: Step, tape: Tape, hem: Edge) -> tuple[Step, Tape]:
    """From a hem's cut edge to where it is folded."""
    turn = Point(tape.end.across, step.end.down)
    length = named(hem.allowance, "turn_up" if hem.turned == 2 else "allowance.hem")
    called = Step(step.panel, step.stage, "hem_turn", tape.end, turn, length, "hem_edge", "up")
    return called, Tape(tape.end, turn, length)


def read_tape(step: Step, panels: dict[str, Panel]) -> Tape:
    """The step's tape between cut edges: the net sum plus the allowances it crosses, in one length.

    Equal allowances at both ends that cancel are left out. A seam that is not square to the tape, or a corner,
    adds a little: the term `lean`. A length found on the draft is found between the cut edges instead.
    """
    out = unit(step.end.minus(step.start))
    if out == Point(0, 0):
        return Tape(step.start, step.end, step.length)
    closing = _end(step.closes, panels, step.panel, step.end, out)
    opening = _end(step.opens, panels, step.panel, step.start, Point(-out.across, -out.down))
    terms = [*opening.terms, *closing.terms]
    if sum(term.value for term in terms) == 0:
        terms = []
    lean = opening.shift + closing.shift - sum(term.mm for term in terms)
    if abs(lean) > 1e-9:
        terms.append(found(lean, "lean"))
    start = step.start.plus(out, -opening.shift)
    if step.along == "guide_line" and "side" in panels[step.panel].edges:  # chalked on cloth at the cut side edge
        start = start.plus(Point(-panels[step.panel].edges["side"].allowance.mm, 0))
    size = distance(step.start, step.end) + opening.shift + closing.shift
    length = found(abs(size), step.length.label) if isinstance(step.length, Found) else total(step.length, *terms)
    return Tape(start, start.plus(out, size), length if length.value >= 0 else -length)
