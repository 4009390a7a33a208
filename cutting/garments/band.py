"""The straight band: a strip folded along its middle, as long as the waist and its overlap."""

from dataclasses import replace

from cutting.drafting import Draft, Step
from cutting.geometry import Line, Point
from cutting.lengths import Length, inch, named
from cutting.methods import Ask
from cutting.pieces import Panel, Piece, Tape, finish

SEAM = inch(0.5, "band_seam")


def band_lengths(ask: Ask, waist: Length) -> tuple[Length, Length]:
    """The strip's cut length (waist, overlap, both ends) and cut depth (twice the finished depth, two seams)."""
    length = waist + named(ask.band_overlap, "overlap") + SEAM * 2
    return length, named(ask.band_depth, "band_finished") * 2 + SEAM * 2


def draft_band(garment: str, ask: Ask, waist: Length) -> Panel:
    """The band as a panel: across is its depth, down its length; its middle fold is at half its depth."""
    d = Draft("band")
    length, depth = band_lengths(ask, waist)
    wide, long = 2 * ask.band_depth.mm, (waist + ask.band_overlap).mm
    seam = SEAM.mm
    d.stage = "band"
    start = d.start("O", Point(-seam, -seam), "strip_end")
    d.mark("B1", start.down(length), "band_length", "grain")
    d.mark("B2", start.out(depth), "band_depth", "strip_end")
    corners = [Point(0, 0), Point(wide, 0), Point(wide, long), Point(0, long)]
    for name, a, b in zip(("end", "waist", "other_end", "inside"), corners, [*corners[1:], corners[0]], strict=True):
        d.edge(name, [Line(a, b)], SEAM)
    d.lengths.update(cut_length=length, cut_depth=depth)
    return finish(garment, d)


def band_piece(panel: Panel, on_fold: bool) -> Piece:
    """The strip whole, or the half of it that lies on the cloth's fold; then across is 0 at the fold."""
    middle = panel.edges["end"].path.length / 2
    first = panel.garment
    if not on_fold:
        return Piece(
            f"{first}.band",
            first,
            "band",
            1,
            False,
            tuple(panel.cut),
            tuple(panel.net),
            panel.notches,
            interfacing=True,
        )

    def half(points: list[Point]) -> tuple[Point, ...]:
        deep = max(p.across for p in points) - middle
        low, high = min(p.down for p in points), max(p.down for p in points)
        return (Point(0, low), Point(deep, low), Point(deep, high), Point(0, high))

    return Piece(
        f"{first}.band", first, "band", 1, False, half(panel.cut), half(panel.net), (), folds=0.0, interfacing=True
    )


def half_tapes(panel: Panel) -> list[tuple[Step, Tape]]:
    """The band's two calls where its middle lies on the fold: along the fold, and half its depth out from it."""
    along, across = panel.steps
    middle = panel.edges["end"].path.length / 2
    start = Point(middle, along.start.down)
    half = across.length / 2
    lengthwise = replace(along, start=start, end=Point(middle, along.end.down), along="fold")
    out = replace(across, start=start, end=Point(middle + half.mm, start.down), length=half, from_code="fold")
    return [(step, Tape(step.start, step.end, step.length)) for step in (lengthwise, out)]
