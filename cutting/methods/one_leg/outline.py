"""The outline of a leg in one piece: waist, front crotch and inner leg, hem, the back's inner leg and crotch."""

from cutting.drafting import Draft
from cutting.geometry import Line, Path, Point, Segment
from cutting.methods.ask import Ask
from cutting.methods.two_panel.curves import Crotch, crotch


def mirrored(point: Point) -> Point:
    """The same place on the back's half: the guide line is the mirror."""
    return Point(-point.across, point.down)


def flipped(segments: list[Segment]) -> list[Segment]:
    """Segments of the front's half, drawn on the back's and run the other way round."""
    return list(Path(tuple(segments)).mapped(mirrored).back.segments)


def half_curve(top: Point, starts: Point, tip: Point, corner: Point, hem: Point, wanted: float) -> Crotch:
    """The centre line and the crotch curve of one half, drawn as a front: square to its inner leg."""
    leg = hem.minus(tip)
    size = (leg.across**2 + leg.down**2) ** 0.5
    arriving = Point(leg.down / size, -leg.across / size)
    return crotch(top, starts, corner, corner.down - starts.down, tip, arriving, wanted)


def close_leg(
    d: Draft, ask: Ask, waist: list[Segment], front: list[Segment], hem: list[Segment], back: list[Segment]
) -> None:
    """The edges in order. `front` and `back` run from the waist to the crotch point, drawn as fronts."""
    turn = ask.waist_turn
    d.edge("waist", waist, turn or ask.allowances.waist, turned=ask.waist_folds)
    d.edge("crotch", front, ask.allowances.centre)
    d.edge("inner_leg", [Line(front[-1].end, hem[0].start)], ask.allowances.inner_leg)
    d.edge("hem", hem, ask.hem)
    tip = mirrored(back[-1].end)
    d.edge("back_inner_leg", [Line(hem[-1].end, tip)], ask.allowances.inner_leg)
    d.edge("back_crotch", flipped(back), ask.allowances.centre)
