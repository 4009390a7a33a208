"""A small part: a panel of its own, how many are cut of it, where it may lie on the fold, what it is sewn to."""

from dataclasses import dataclass, replace

from cutting.drafting import Draft, Step
from cutting.geometry import Line, Point, beyond
from cutting.lengths import Length, found, mm
from cutting.pieces import Panel, Piece, Tape, finish


@dataclass(frozen=True)
class Part:
    """`fold` is how far across its middle line lies where it can be cut on the cloth's fold, in mm; else None.

    `half` where the panel is drawn as the half beyond that line; on open cloth it is cut whole.
    """

    panel: Panel
    count: int = 1
    pair: bool = False
    fold: float | None = None
    interfacing: bool = False
    sewn_to: str = ""
    half: bool = False

    def piece(self, on_fold: bool) -> Piece:
        """The part whole, or the half of it that lies on the cloth's fold; then across is 0 at the fold."""
        panel, name = self.panel, f"{self.panel.garment}.{self.panel.name}"
        if self.half and on_fold:
            # What a hem that is turned up would take beyond the middle line ends there: that line is the fold.
            return Piece(
                name, panel.garment, panel.name, self.count, False, tuple(beyond(panel.cut, 0.0)), tuple(panel.net),
                panel.notches, folds=0.0, interfacing=self.interfacing,
            )  # fmt: skip
        if not on_fold or self.fold is None:
            cut, net, notches = list(panel.cut), list(panel.net), panel.notches
            if self.half:
                cut, net = _whole(beyond(cut, 0.0)), _whole(net)
                notches += tuple(replace(n, net=_other(n.net), cut=_other(n.cut)) for n in notches)
            return Piece(
                name, panel.garment, panel.name, self.count, self.pair, tuple(cut), tuple(net), notches,
                interfacing=self.interfacing,
            )  # fmt: skip
        cut, net = (beyond(points, self.fold) for points in (panel.cut, panel.net))
        return Piece(
            name, panel.garment, panel.name, self.count, False, tuple(cut), tuple(net), folds=0.0,
            interfacing=self.interfacing,
        )  # fmt: skip

    def tapes(self, on_fold: bool) -> list[tuple[Step, Tape]]:
        """Its calls; on the fold a width is called as half of it, out from the fold."""
        whole = [(step, Tape(step.start, step.end, step.length)) for step in self.panel.steps]
        if not on_fold or self.fold is None:
            return whole
        return [_on_fold(step, self.fold) for step in self.panel.steps]


def _other(point: Point) -> Point:
    return Point(-point.across, point.down)


def _whole(half: list[Point]) -> list[Point]:
    """A half that has its middle line at 0, and its other half."""
    away = [point.across > 1e-6 for point in half]
    first = next(k for k in range(len(half)) if away[k] and not away[k - 1])
    around = half[first:] + half[:first]
    outer = [point for point in around if point.across > 1e-6]
    return [half[first - 1], *outer, around[len(outer)], *(_other(point) for point in reversed(outer))]


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
class Seams:
    """What a strip's sewing lines lie inside its cut edges: at both ends, and along both sides."""

    ends: Length
    sides: Length


EDGES = ("end", "waist", "other_end", "inside")


def strip(garment: str, name: str, long: Length, deep: Length, seams: Seams, **lengths: Length) -> Panel:
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
    """Half the depth of a strip: where its fold lies."""
    return found(panel.edges["end"].path.length, "").mm / 2
