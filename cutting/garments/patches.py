"""Patch pockets: behind; outside, piped; in front, flush with waist and side. Sizes are common practice, no source."""

from cutting.drafting import Draft
from cutting.garments.part import Allowed, Part, strip
from cutting.garments.pocket import Pockets, smaller
from cutting.garments.seams import Seam, sewn
from cutting.garments.strips import bias
from cutting.geometry import Cubic, Line, Path, Point, Segment, distance, unit
from cutting.lengths import Length, Rule, cm, found, inch, mm
from cutting.methods import Ask
from cutting.methods.sums import Sums
from cutting.pieces import Panel, finish

PATCH_SEAM, PATCH_TOP = cm(1), Rule(1)
SEAM, PIPING = Rule(0.5), Rule(1.25, metric=3.5)
OUTSIDE_WIDE, OUTSIDE_DEEP = Rule(6), Rule(7)
CURVED_WIDE, CURVED_DEEP = Rule(8), Rule(11.5)
FROM_SIDE = 12.7
"""How far an outside patch is from the guide line, in mm."""
ROUND = 38.1
"""How round the corners of a foot are, in mm."""


def back_patch(garment: str, panels: dict[str, Panel], ask: Ask, sums: Sums) -> Pockets:
    """A patch on each back, 2 under the yoke's seam; without a yoke 3 under the waist, and under the darts' points.

    In the middle of the waist seam, or so far from the centre.
    """
    back = panels["back"]
    waist = back.edges["waist"].path
    depths = [distance(waist.start.towards(waist.end, 0.5), dart.tip) + 12.7 for dart in back.darts]
    wide, deep = ask.patch_wide or ask.patch, ask.patch_deep or ask.patch
    patch = _patch(garment, "patch", wide, deep, ask.patch_foot == "round")
    line = _square_on(
        back, inch(2).mm if ask.yoke is not None else max([inch(3).mm, *depths]), patch, ask.patch_from_centre
    )
    seam = Seam("patch", _edges("patch"), ("back.patch",), 2)
    return Pockets((Part(patch, 2, pair=True, seams=(seam,)),), (("back", "patch", line),))


def outside_patch(garment: str, panels: dict[str, Panel], ask: Ask, sums: Sums) -> Pockets:
    """A patch at the outer thigh of each front, its edges piped with a strip cut on the bias; above the hem."""
    down = (sums.crotch_depth - sums.top).mm * 0.75
    deep = smaller(OUTSIDE_DEEP.now, (sums.length - sums.top).mm - down - 12.7, "pocket.patch")
    patch = _patch(garment, "outside-patch", OUTSIDE_WIDE.now, deep.length)
    long = OUTSIDE_WIDE.now + deep.length * 2 + inch(1)
    front = panels["front"]
    waist = front.edges["waist"].path
    beside = waist.length + waist.start.across - FROM_SIDE - patch.lengths["finished_width"].mm
    line = _square_on(front, down, patch, found(beside, "on_the_draft"))
    parts = (
        Part(patch, 2, pair=True, seams=(Seam("patch", _edges("outside-patch"), ("front.outside-patch",), 2),)),
        Part(
            bias(garment, "piping", long, PIPING.now),
            2,
            seams=(Seam("piping", ("piping.waist",), _edges("outside-patch"), 2),),
        ),
    )
    notes = (deep.finding,) if deep.finding else ()
    return Pockets(parts, (("front", "outside-patch", line),), (), notes)


def _edges(name: str) -> tuple[str, ...]:
    """A patch's sides and foot."""
    return f"{name}.side", f"{name}.foot", f"{name}.other_side"


def _patch(garment: str, name: str, wide: Length, deep: Length, round_foot: bool = False) -> Panel:
    """Cut `wide` by `deep`; its sides and foot go in by 1 cm, its top is hemmed; the corners of a foot may be round."""
    d = Draft(name)
    d.stage = name
    start = d.start("O", Point(-PATCH_SEAM.mm, -PATCH_TOP.now.mm), "patch_corner")
    d.mark("B1", start.down(deep), "patch_depth", "grain")
    d.mark("B2", start.out(wide), "patch_width", "level")
    w, h = wide.mm - 2 * PATCH_SEAM.mm, deep.mm - PATCH_TOP.now.mm - PATCH_SEAM.mm
    r = min(ROUND, w / 3, h / 3) if round_foot else 0.0
    arc = 0.55 * r
    foot: list[Segment] = [Line(Point(w - r, h), Point(r, h))]
    if round_foot:
        right = Cubic(Point(w, h - r), Point(w, h - r + arc), Point(w - r + arc, h), Point(w - r, h))
        left = Cubic(Point(r, h), Point(r - arc, h), Point(0, h - r + arc), Point(0, h - r))
        foot = [right, *foot, left]
    d.edge("top", [Line(Point(0, 0), Point(w, 0))], PATCH_TOP.now)
    d.edge("side", [Line(Point(w, 0), Point(w, h - r))], PATCH_SEAM)
    d.edge("foot", foot, PATCH_SEAM)
    d.edge("other_side", [Line(Point(0, h - r), Point(0, 0))], PATCH_SEAM)
    d.lengths.update(
        cut_length=deep,
        cut_depth=wide,
        finished_width=wide - PATCH_SEAM * 2,
        finished_depth=deep - PATCH_TOP.now - PATCH_SEAM,
        seam_down=mm(0),
    )
    return finish(garment, d)


def _square_on(panel: Panel, down: float, patch: Panel, from_centre: Length | None = None) -> Path:
    """Where a patch is: `down` mm under the waist seam and along it; in its middle, or so far from the centre."""
    waist = panel.edges["waist"].path
    along = unit(waist.end.minus(waist.start))
    under = Point(-along.down, along.across)
    w, h = (size.mm for size in (patch.lengths["finished_width"], patch.lengths["finished_depth"]))
    middle = waist.length / 2 if from_centre is None else waist.length - from_centre.mm - w / 2
    start = waist.along(middle)[0].plus(under, down).plus(along, -w / 2)
    corners = [start, start.plus(along, w), start.plus(along, w).plus(under, h), start.plus(under, h), start]
    return Path(tuple(Line(a, b) for a, b in zip(corners, corners[1:], strict=False)))


def curved_patch(garment: str, panels: dict[str, Panel], ask: Ask, sums: Sums) -> Pockets:
    """A patch on each front, flush with waist and side; its mouth curves from waist to side, and may be piped."""
    front = panels["front"]
    waist, side = front.edges["waist"].path, front.edges["side"].path
    wide = smaller(ask.patch_wide or CURVED_WIDE.now, waist.length - 25.4, "pocket.patch")
    deep = smaller(ask.patch_deep or CURVED_DEEP.now, side.length - 38.1, "pocket.patch")
    across = smaller(ask.mouth_wide, wide.length.mm - 25.4, "pocket.opening")
    down = smaller(ask.mouth_deep, deep.length.mm - 50.8, "pocket.opening")
    top, far = waist.along(across.length.mm)[0], waist.along(wide.length.mm)[0]
    opening = side.back.along(down.length.mm)[0]
    along = mouth(waist, top, opening)
    panel = _flush(garment, waist, side, (far, along), deep.length, down.length, wide.length, ask)
    inner, foot = panel.edges["inner"].path, panel.edges["foot"].path
    seams = (
        sewn("waist", "curved-patch.waist", "front.waist", count=2),
        sewn("side", "curved-patch.side", "front.side", count=2),
        Seam("patch", ("curved-patch.inner", "curved-patch.foot"), ("front.curved-patch",), 2),
    )
    parts = [Part(panel, 2, pair=True, seams=seams)]
    if ask.piping != "none":
        long = found(Path((along,)).length, "round_the_edge") + inch(1, "two_ends")
        both = Allowed(SEAM.now, SEAM.now)
        one = bias(garment, "mouth-piping", long, PIPING.now) if ask.piping == "bias" else strip(
            garment, "mouth-piping", long, PIPING.now, both
        )  # fmt: skip
        parts.append(Part(one, 2, seams=(Seam("piping", ("mouth-piping.waist",), ("curved-patch.mouth",), 2),)))
    notes = [one.finding for one in (wide, deep, across, down) if one.finding]
    line = Path((*inner.segments, *foot.segments))
    notches = (
        ("front", front.notch("waist", "pocket_top", across.length.mm)),
        ("front", front.notch("side", "pocket_end", side.length - down.length.mm)),
    )
    return Pockets(tuple(parts), (("front", "curved-patch", line),), notches, tuple(notes))


def _flush(
    garment: str,
    waist: Path,
    side: Path,
    corner: tuple[Point, Cubic],
    deep: Length,
    down: Length,
    wide: Length,
    ask: Ask,
) -> Panel:
    """The front's own corner at waist and side, less what the mouth takes off it; down the grain at its inner edge."""
    far, along = corner
    low = side.back.along(deep.mm)[0]
    _, below = side.back.split(down.mm)
    beside, _ = below.split(deep.mm - down.mm)
    d = Draft("curved-patch")
    d.stage = "curved-patch"
    start = d.start("O", waist.start, "side_top")
    d.mark("B1", start.to(far, "wide_of_patch"), "patch_width", "waist_seam")
    d.mark("B2", start.to(low, "deep_of_patch"), "patch_depth", "level")
    foot = Point(far.across, low.down)
    seam = PATCH_SEAM if ask.piping == "none" else SEAM.now
    _, inwards = waist.split(waist.place_of(along.start))
    beside_mouth, _ = inwards.split(inwards.place_of(far))
    d.edge("waist", list(beside_mouth.segments), ask.allowances.waist)
    d.edge("inner", [Line(far, foot)], PATCH_SEAM)
    d.edge("foot", [Line(foot, low)], PATCH_SEAM)
    d.edge("side", list(beside.back.segments), ask.allowances.side)
    d.edge("mouth", list(Path((along,)).back.segments), seam)
    d.lengths.update(cut_length=deep, cut_depth=wide, seam_down=mm(0))
    return finish(garment, d)


def mouth(waist: Path, top: Point, low: Point) -> Cubic:
    """An opening: leaves the waist square to it, runs into the side slanting."""
    inward = unit(waist.end.minus(waist.start))
    _, along = waist.along(waist.place_of(top))
    down = Point(-along.down, along.across)
    reach = distance(top, low)
    return Cubic(top, top.plus(down, 0.5 * reach), low.plus(inward, 0.3 * reach), low)
