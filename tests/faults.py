"""Slips a tired drafter makes, seeded into a drafted garment. A check of the product must name each."""

from dataclasses import replace

from cutting.drafting import Edge
from cutting.garments import Garment, Number
from cutting.geometry import Path, Point
from cutting.geometry.path import Cubic, Line
from cutting.lengths import mm


def _panel(garment: Garment, name: str, **changes) -> Garment:
    return replace(garment, panels=garment.panels | {name: replace(garment.panels[name], **changes)})


def _moved(edge: Edge, by: float) -> Edge:
    """An edge moved across."""

    def shift(p: Point) -> Point:
        return Point(p.across + by, p.down)

    parts = tuple(
        Cubic(*map(shift, (s.start, s.one, s.two, s.end)))
        if isinstance(s, Cubic)
        else Line(shift(s.start), shift(s.end))
        for s in edge.path.segments
    )
    return replace(edge, path=Path(parts))


def side_seam_forgotten(garment: Garment) -> Garment:
    edges = garment.panels["front"].edges
    return _panel(garment, "front", edges=edges | {"side": replace(edges["side"], allowance=mm(0))})


def inner_leg_seam_forgotten(garment: Garment) -> Garment:
    for name in ("front", "back"):
        edges = garment.panels[name].edges
        bare = replace(edges["inner_leg"], allowance=mm(0))
        garment = _panel(garment, name, edges=edges | {"inner_leg": bare})
    return garment


def dart_left_out(garment: Garment) -> Garment:
    return _panel(garment, "back", darts=())


def whole_thigh_for_half(garment: Garment) -> Garment:
    edges = garment.panels["front"].edges
    wide = _moved(edges["inner_leg"], garment.body.thigh.mm / 2)
    return _panel(garment, "front", edges=edges | {"inner_leg": wide})


def extensions_swapped(garment: Garment) -> Garment:
    tips = {name: garment.panels[name].points for name in ("front", "back")}
    front = tips["front"] | {"X": tips["back"]["X"]}
    back = tips["back"] | {"X": tips["front"]["X"]}
    return _panel(_panel(garment, "front", points=front), "back", points=back)


def fold_taken_from_the_hem(garment: Garment) -> Garment:
    hem = garment.numbers["back.hem_width"]
    return replace(garment, numbers=garment.numbers | {"fold.needed": Number(hem.cut, hem.cut)})


def back_side_an_inch_long(garment: Garment) -> Garment:
    edges = garment.panels["back"].edges
    side = edges["side"].path.segments
    longer = Line(side[0].start.plus(Point(0, 25.4)), side[0].start)
    return _panel(garment, "back", edges=edges | {"side": replace(edges["side"], path=Path((longer, *side)))})


def band_cut_to_the_body_without_ease(garment: Garment) -> Garment:
    edges = garment.panels["band"].edges
    start, end = edges["waist"].path.start, edges["waist"].path.end
    short = Path((Line(start, start.towards(end, 0.9)),))
    return _panel(garment, "band", edges=edges | {"waist": replace(edges["waist"], path=short)})


FAULTS = {
    side_seam_forgotten: "girth.hip",
    inner_leg_seam_forgotten: "allowance.held",
    dart_left_out: "girth.waist",
    whole_thigh_for_half: "leg.width",
    extensions_swapped: "extension.order",
    fold_taken_from_the_hem: "fold.needed",
    back_side_an_inch_long: "seam.side",
    band_cut_to_the_body_without_ease: "band.waist",
}
"""Each slip, and the code of the check that must fail."""
