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


def inner_leg_of_the_front_an_inch_long(garment: Garment) -> Garment:
    edges = garment.panels["front"].edges
    leg = edges["inner_leg"].path.segments
    longer = Line(leg[-1].end, leg[-1].end.plus(Point(0, 25.4)))
    return _panel(garment, "front", edges=edges | {"inner_leg": replace(edges["inner_leg"], path=Path((*leg, longer)))})


def strip_of_three_for_a_band_of_one_and_a_half(garment: Garment) -> Garment:
    """Twice the finished depth, the two seams forgotten."""
    band = garment.panels["band"]
    flat = {name: replace(edge, allowance=mm(0)) for name, edge in band.edges.items()}
    return _panel(garment, "band", edges=flat)


def hem_cut_straight_down_a_narrowing_leg(garment: Garment) -> Garment:
    for name in ("front", "back"):
        edges = garment.panels[name].edges
        hem = edges["hem"].path
        run = hem.start.across - hem.end.across
        narrow = Line(
            Point(hem.start.across - 0.1 * run, hem.start.down), Point(hem.end.across + 0.1 * run, hem.end.down)
        )
        garment = _panel(garment, name, edges=edges | {"hem": replace(edges["hem"], path=Path((narrow,)))})
    return garment


def strip_cut_with_its_dart_left_open(garment: Garment) -> Garment:
    edges = garment.panels["back-band"].edges
    low = edges["lower"].path
    along = low.end.minus(low.start)
    wide = Path((*low.segments, Line(low.end, low.end.plus(along, 25.4 / low.length))))
    return _panel(garment, "back-band", edges=edges | {"lower": replace(edges["lower"], path=wide)})


def elastic_waist_cut_to_the_waist(garment: Garment) -> Garment:
    for name in ("front", "back"):
        edges = garment.panels[name].edges
        top = edges["waist"].path
        short = Path((Line(top.end.towards(top.start, 0.8), top.end),))
        garment = _panel(garment, name, edges=edges | {"waist": replace(edges["waist"], path=short)})
    return garment


def _straight(garment: Garment, panel: str, name: str) -> Garment:
    """An edge drawn with a ruler from end to end."""
    edges = garment.panels[panel].edges
    path = edges[name].path
    ruled = replace(edges[name], path=Path((Line(path.start, path.end),)))
    return _panel(garment, panel, edges=edges | {name: ruled})


def waist_drawn_with_a_ruler(garment: Garment) -> Garment:
    return _straight(_straight(garment, "front", "waist"), "back", "waist")


def hem_drawn_with_a_ruler(garment: Garment) -> Garment:
    return _straight(_straight(garment, "front", "hem"), "back", "hem")


def turn_of_a_hem_cut_straight_down(garment: Garment) -> Garment:
    """Half an inch is left off each end of the hem's turn, in its lowest corners."""
    for name in ("front", "back"):
        panel = garment.panels[name]
        low = max(p.down for p in panel.cut)
        turned = [p for p in panel.cut if p.down > low - 3]
        left, right = min(p.across for p in turned), max(p.across for p in turned)

        def nearer(p: Point, left: float = left, right: float = right, low: float = low) -> Point:
            by = 12.7 if p.across == left else -12.7 if p.across == right else 0.0
            return Point(p.across + by, p.down) if p.down > low - 3 else p

        panel.__dict__["cut"] = [nearer(p) for p in panel.cut]
    return garment


def shaped_band_without_its_under_lap(garment: Garment) -> Garment:
    edges = garment.panels["front-band"].edges
    bare = replace(edges["centre"], allowance=garment.ask.allowances.centre)
    return _panel(garment, "front-band", edges=edges | {"centre": bare})


FAULTS = {
    side_seam_forgotten: "girth.hip",
    inner_leg_seam_forgotten: "allowance.held",
    dart_left_out: "girth.waist",
    whole_thigh_for_half: "leg.width",
    extensions_swapped: "extension.order",
    fold_taken_from_the_hem: "fold.needed",
    back_side_an_inch_long: "seam.side",
    band_cut_to_the_body_without_ease: "band.waist",
    inner_leg_of_the_front_an_inch_long: "seam.inner_leg",
    strip_of_three_for_a_band_of_one_and_a_half: "band.depth",
    hem_cut_straight_down_a_narrowing_leg: "girth.hem",
    strip_cut_with_its_dart_left_open: "seam.strip",
    elastic_waist_cut_to_the_waist: "waist.opening",
    waist_drawn_with_a_ruler: "smooth.waist",
    hem_drawn_with_a_ruler: "smooth.hem",
    turn_of_a_hem_cut_straight_down: "hem.turn",
    shaped_band_without_its_under_lap: "band.under",
}
"""Each slip, and the code of the check that must fail."""
MADE = {
    hem_cut_straight_down_a_narrowing_leg: {"style": "straight-trousers"},
    strip_cut_with_its_dart_left_open: {"waist_finish": "shaped-band"},
    elastic_waist_cut_to_the_waist: {"waist_finish": "casing"},
    hem_drawn_with_a_ruler: {"style": "shorts"},
    turn_of_a_hem_cut_straight_down: {"style": "knee-shorts"},
    shaped_band_without_its_under_lap: {"waist_finish": "shaped-band", "closure": "fly"},
}
"""What a slip is seeded into, where a plain palazzo or straight trousers cannot have it."""


def _edge(garment: Garment, panel: str, name: str, times: float) -> Garment:
    """An edge made so many times as long about its start."""
    edges = garment.panels[panel].edges
    start = edges[name].path.start

    def grown(p: Point) -> Point:
        return start.plus(p.minus(start), times)

    longer = Path(edges[name].path.mapped(grown).segments)
    return _panel(garment, panel, edges=edges | {name: replace(edges[name], path=longer)})


def side_seam_of_a_top_forgotten(garment: Garment) -> Garment:
    edges = garment.panels["front"].edges
    return _panel(garment, "front", edges=edges | {"side": replace(edges["side"], allowance=mm(0))})


def cap_without_room_for_its_ease(garment: Garment) -> Garment:
    return _edge(garment, "sleeve", "cap", 0.9)


def bust_dart_left_out(garment: Garment) -> Garment:
    return _panel(garment, "front", darts=tuple(d for d in garment.panels["front"].darts if d.edge == "waist"))


def waist_dart_of_a_bodice_left_out(garment: Garment) -> Garment:
    return _panel(garment, "back", darts=())


def back_shoulder_half_an_inch_long(garment: Garment) -> Garment:
    return _edge(garment, "back", "shoulder", 1.12)


def neck_cut_for_the_neck_not_for_the_head(garment: Garment) -> Garment:
    for panel in ("front", "back"):
        garment = _edge(garment, panel, "neck", 0.7)
    return garment


def lower_edge_drawn_with_a_ruler(garment: Garment) -> Garment:
    return _straight(_straight(garment, "front", "waist"), "back", "waist")


def armhole_cut_down_into_the_side(garment: Garment) -> Garment:
    """The front's armhole runs on down to a point, as if the side leaned out there."""
    edges = garment.panels["front"].edges
    *upper, last = edges["armhole"].path.segments
    low = replace(last, two=last.end.plus(Point(0, -30)))
    return _panel(garment, "front", edges=edges | {"armhole": replace(edges["armhole"], path=Path((*upper, low)))})


def sleeve_cut_to_the_wrist_under_a_cuff(garment: Garment) -> Garment:
    """Its lower edge is narrower than the cuff that it is gathered into."""
    return _edge(garment, "sleeve", "hem", 0.6)


TOP_FAULTS = {
    side_seam_of_a_top_forgotten: "girth.bust",
    cap_without_room_for_its_ease: "cap.armhole",
    bust_dart_left_out: "seam.top_side",
    waist_dart_of_a_bodice_left_out: "girth.waist",
    back_shoulder_half_an_inch_long: "seam.shoulder",
    neck_cut_for_the_neck_not_for_the_head: "neck.head",
    lower_edge_drawn_with_a_ruler: "smooth.lower",
    armhole_cut_down_into_the_side: "smooth.underarm",
    sleeve_cut_to_the_wrist_under_a_cuff: "cuff.sleeve",
}
"""Slips at a top, and the check that must fail; the neck's in a top that does not open, the others in a bodice."""
TOP_MADE = {sleeve_cut_to_the_wrist_under_a_cuff: {"sleeve_finish": "cuff"}}
"""What a slip at a top is seeded into, where a plain bodice cannot have it."""
JOIN_FAULTS = {
    "join.waist": {"waist_ease": "1 in"},
    "join.dart": {"front_dart_at": "2 in"},
    "join.zip": {"zip_edge": "1 1/2 in"},
}
"""Choices of a top that do not go with the lower garment it is sewn to, and the check that must fail."""
WORN_FAULTS = {
    "depth.sit": ({"crotch_depth": "8 in"}, "crotch_depth"),
    "crotch.length": ({"crotch_depth": "9 1/4 in", "crotch_extension": "1 3/4 in"}, "crotch_depth"),
    "extension.range": ({"crotch_extension": "5 1/2 in"}, "crotch_extension"),
    "darts.room": ({"front_darts": "two", "front_dart_intake": "2 in"}, "front_dart_intake"),
    "darts.missing": ({"front_darts": "none", "back_darts": "none", "waist": 26}, "front_darts"),
    "elastic.wide": ({"waist_finish": "elastic-band", "band_depth": "1/2 in"}, "band_depth"),
    "elastic.length": ({"waist_finish": "casing", "elastic": "44 in"}, "elastic"),
    "zip.edge": ({"allowances": {"side": "1/4 in"}}, "allowances.side"),
    "hem.foot": ({"hem_width": "11 in"}, "hem_width"),
    "seam.none": ({"allowances": {"side": "1 in", "centre": 0}}, "allowances.centre"),
}
"""Sums that cannot be worn: what is asked for, the check that must fail, and the choice it must name."""
