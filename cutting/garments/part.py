"""A small part: a panel of its own, how many are cut of it, where it may be on the fold, what it is sewn to."""

from dataclasses import dataclass, replace

from cutting.drafting import Draft, Step
from cutting.garments.seams import Seam
from cutting.geometry import Line, Point
from cutting.lengths import Length, found, mm
from cutting.pieces import Panel, Piece, Tape, both_halves, drawn_half, far_half, finish, whole_piece


@dataclass(frozen=True)
class Part:
    """`fold` is how far across its middle line is where it can be cut on the cloth's fold, in mm; else None.

    `half` where the panel is drawn as the half beyond that line; on open cloth it is cut whole.
    """

    panel: Panel
    count: int = 1
    pair: bool = False
    fold: float | None = None
    interfacing: bool = False
    seams: tuple[Seam, ...] = ()
    half: bool = False

    def piece(self, on_fold: bool) -> Piece:
        """The part whole, or the half of it that is laid on the cloth's fold; then across is 0 at the fold."""
        whole = whole_piece(self.panel, self.count, self.pair, self.interfacing)
        if self.half:
            return drawn_half(whole) if on_fold else both_halves(whole)
        return whole if not on_fold or self.fold is None else far_half(whole, self.fold, pair=False)

    def tapes(self, on_fold: bool) -> list[tuple[Step, Tape]]:
        """Its calls; on the fold a width is called as half of it, out from the fold; of a drawn half as it is drawn."""
        whole = [(step, Tape(step.start, step.end, step.length)) for step in self.panel.steps]
        if not on_fold or self.fold is None or self.half:
            return whole
        return [_on_fold(step, self.fold) for step in self.panel.steps]


def _on_fold(step: Step, middle: float) -> tuple[Step, Tape]:
    start = Point(middle, step.start.down)
    if step.start.across == step.end.across:
        step = replace(step, start=start, end=Point(middle, step.end.down), along="fold")
    else:
        half = step.length / 2
        end = Point(middle + half.mm, step.start.down)
        step = replace(step, start=start, end=end, length=half, from_code="fold")
    return step, Tape(step.start, step.end, step.length)


@dataclass(frozen=True)
class Allowed:
    """What a strip's sewing lines are inside its cut edges: at both ends, and along both sides."""

    ends: Length
    sides: Length


EDGES = ("end", "waist", "other_end", "inside")


def strip(garment: str, name: str, long: Length, deep: Length, seams: Allowed, **lengths: Length) -> Panel:
    """A rectangle cut `long` down the grain and `deep` across; both with their seams in. Raises nothing."""
    d = Draft(name)
    d.stage = name
    end, side = seams.ends.mm, seams.sides.mm
    start = d.start("O", Point(-side, -end), "strip_end")
    d.mark("B1", start.down(long), "strip_length", "grain")
    d.mark("B2", start.out(deep), "strip_depth", "strip_end")
    wide, high = deep.mm - 2 * side, long.mm - 2 * end
    corners = [Point(0, 0), Point(wide, 0), Point(wide, high), Point(0, high)]
    given = (seams.ends, seams.sides, seams.ends, seams.sides)
    for edge, a, b, seam in zip(EDGES, corners, [*corners[1:], corners[0]], given, strict=True):
        d.edge(edge, [Line(a, b)], seam)
    d.lengths.update(cut_length=long, cut_depth=deep, seam_down=mm(0), **lengths)
    return finish(garment, d)


def middle_of(panel: Panel) -> float:
    """Half the depth of a strip: where its fold is."""
    return found(panel.edges["end"].path.length, "").mm / 2
