"""Pockets: their openings on the panels, and every piece they are made of.

All sizes are common practice, no source: a bag 12 deep and 7 wide, an opening of 6 1/2 in the side seam, a curved one 3
wide and 5 deep, a patch 5 by 5.
"""

from dataclasses import dataclass

from cutting.codes import FindingCode
from cutting.drafting import Draft, Place
from cutting.finding import Finding
from cutting.garments.part import Part
from cutting.garments.seams import Seam, sewn
from cutting.garments.strips import bias
from cutting.garments.waists import CHANNEL, CHANNEL_SEAM
from cutting.geometry import Cubic, Line, Path, Point, Segment, distance, offset_polyline, unit
from cutting.lengths import Fixed, Length, Rule, cm, found, inch, mm, named
from cutting.methods import Ask
from cutting.methods.sums import Sums
from cutting.pieces import Notch, Panel, finish
from cutting.where import part as place

BAG_DEEP, BAG_WIDE = Rule(12), Rule(7)
START, BELOW = Rule(1, "below_the_band"), Rule(1, "below_the_stitching")
FACING = Rule(1.5)
BEYOND = Rule(1)
PATCH_SEAM, PATCH_TOP = cm(1), Rule(1)
SEAM = Rule(0.5)
PIPING = Rule(1.25, metric=3.5)
OUTSIDE_WIDE, OUTSIDE_DEEP = Rule(6), Rule(7)


@dataclass(frozen=True)
class Pockets:
    """What pockets add: pieces, lines marked inside the panels, notches by panel, and what had to be made smaller."""

    parts: tuple[Part, ...] = ()
    lines: tuple[tuple[str, str, Path], ...] = ()
    notches: tuple[tuple[str, Notch], ...] = ()
    findings: tuple[Finding, ...] = ()

    def and_(self, other: "Pockets") -> "Pockets":
        """Both together."""
        return Pockets(
            self.parts + other.parts, self.lines + other.lines, self.notches + other.notches,
            self.findings + other.findings,
        )  # fmt: skip


def pockets(garment: str, panels: dict[str, Panel], ask: Ask, sums: Sums) -> Pockets:
    """Every pocket asked for, on front and back."""
    made = Pockets()
    for kind in ask.pockets:
        made = made.and_(MAKERS[kind](garment, panels, ask, sums))
    return made


def _in_seam(garment: str, panels: dict[str, Panel], ask: Ask, sums: Sums) -> Pockets:
    """An opening in the side seam; the bag's two halves are sewn to front and back."""
    sides = {name: panels[name].edges["side"].path.length for name in ("front", "back")}
    to_crotch = (sums.crotch_depth - sums.top).mm
    wanted = ask.pocket_start or _below_the_stitching(ask)
    # The mouth is in one seam: where a strip was cut off one panel alone it starts under that.
    longest = max(sides.values())
    start = max(wanted.mm, longest - min(sides.values()))
    opening = _smaller(ask.pocket_opening, to_crotch - start - 12.7, "pocket.opening")
    leg = (sums.length - sums.top).mm
    deep = _smaller(BAG_DEEP.now, leg - start - 38.1, "pocket.bag")
    notes = [one.finding for one in (opening, deep) if one.finding]
    if start > wanted.mm + 0.1:
        params = {"wanted": wanted, "used": found(start, "below_the_yoke")}
        notes.append(Finding("pocket.start", "note", place("front"), params))
    count = 4
    if ask.closure == "side-zip":
        count = 2
        notes.append(Finding("pocket.one_side", "note", place("front"), {}))
    marks: list[tuple[str, Notch]] = []
    for name in sides:
        for code, down in (("pocket_top", start), ("pocket_end", start + opening.length.mm)):
            marks.append((name, panels[name].notch("side", code, longest - down)))
    bag = _hand_bag(garment, opening.length, deep.length, ask)
    seam = sewn("pocket", "pocket-bag.opening", "front.side", "back.side", count=2)
    part = Part(bag, count, pair=True, seams=(seam,))
    return Pockets((part,), (), tuple(marks), tuple(notes))


def _below_the_stitching(ask: Ask) -> Length:
    """1 below the band's seam, or below the lowest row of stitching of a casing or a channel."""
    if ask.waist_finish == "casing":
        return named(Fixed(ask.casing.size / 2), "stitched") + BELOW.now
    if ask.waist_finish == "paper-bag":
        return CHANNEL - CHANNEL_SEAM * 2 + BELOW.now
    return START.now


@dataclass(frozen=True)
class _Fitted:
    length: Length
    finding: Finding | None = None


def _smaller(wanted: Length, most: float, code: FindingCode) -> _Fitted:
    """A size as it is wanted, or as large as there is room for, and the finding that says so."""
    if wanted.mm <= most:
        return _Fitted(wanted)
    used = found(max(25.4, most), "room_for_it")
    return _Fitted(used, Finding(code, "note", place("front"), {"wanted": wanted, "used": used}))


def _hand_bag(garment: str, opening: Length, deep: Length, ask: Ask) -> Panel:
    """The shape of a hand: the opening straight along the seam, the bag hanging below and inwards."""
    d = Draft("pocket-bag")
    d.stage = "pocket-bag"
    h, w, g = deep.mm, BAG_WIDE.now.mm, max(opening.mm, min(opening.mm + 38.1, deep.mm - 12.7))
    start = d.start("O", Point(0, 0), "bag_corner")
    d.mark("B1", start.down(opening), "bag_opening", "grain")
    level = d.mark("B2", start.down(found(0.55 * h, "of_the_bag")), "bag_level", "grain")
    d.mark("B3", Place(level.point, "bag_level").out(BAG_WIDE.now), "bag_width", "level")
    middle = d.mark("B4", start.out(found(0.45 * w, "of_the_bag")), "bag_middle", "level")
    foot = d.mark("B5", Place(middle.point, "bag_middle").down(deep), "bag_depth", "grain").point
    widest = Point(w, level.point.down)
    upper = Cubic(start.point, Point(0.4 * w, 0), Point(w, 0.1 * h), widest)
    corner = Cubic(widest, Point(w, 0.8 * h), Point(0.75 * w, h), foot)
    lower = Cubic(foot, Point(0.2 * w, h), Point(0, 0.5 * (g + h)), Point(0, g))
    d.edge("bag", [upper, corner, lower], SEAM.now)
    d.edge("opening", [Line(Point(0, g), Point(0, 0))], ask.allowances.side)
    d.lengths.update(cut_length=deep, cut_depth=BAG_WIDE.now, seam_down=mm(0))
    return finish(garment, d)


def _curved(garment: str, panels: dict[str, Panel], ask: Ask, sums: Sums) -> Pockets:
    """A curved opening from the waist to the side: the backing is traced first, then the opening is cut."""
    front = panels["front"]
    waist, side = front.edges["waist"].path, front.edges["side"].path
    far = [distance(waist.start, dart.far) for dart in front.darts]
    wide = _smaller(ask.pocket_wide, min([*far, waist.length / 2]) - 12.7, "pocket.dart")
    hip = (sums.hip_depth - sums.top).mm
    deep = _smaller(ask.pocket_deep, max(hip, 76.2), "pocket.opening")
    bag_wide = _smaller(BAG_WIDE.now, min(far, default=1e6) - 6.35, "pocket.bag_dart")
    bag_deep = _smaller(BAG_DEEP.now, (sums.length - sums.top).mm - 38.1, "pocket.bag")
    top, low = waist.along(wide.length.mm)[0], side.back.along(deep.length.mm)[0]
    mouth = _mouth(waist, side, top, low)
    parts = [
        Part(
            _facing(garment, mouth), 2, pair=True,
            seams=(sewn("pocket", "pocket-facing.mouth", "front.pocket", count=2),),
        ),
        Part(
            _backing(garment, waist, side, wide.length.mm, deep.length.mm, ask), 2, pair=True,
            seams=(
                sewn("waist", "pocket-backing.waist", "front.waist", count=2),
                sewn("side", "pocket-backing.side", "front.side", count=2),
            ),
        ),
        Part(
            _bag(garment, bag_wide.length, bag_deep.length, ask), 4, pair=True,
            seams=(sewn("pocket", "front-pocket-bag.side", "pocket-facing.inner", "pocket-backing.inner", count=2),),
        ),
    ]  # fmt: skip
    notches = [
        ("front", front.notch("waist", "pocket_top", wide.length.mm)),
        *[("front", front.notch("side", "pocket_end", side.length - deep.length.mm - gap)) for gap in (0.0, 6.0)],
    ]
    notes = [one.finding for one in (wide, deep, bag_wide, bag_deep) if one.finding]
    return Pockets(tuple(parts), (("front", "pocket", Path((mouth,))),), tuple(notches), tuple(notes))


def _mouth(waist: Path, side: Path, top: Point, low: Point) -> Cubic:
    """The opening: leaves the waist square to it, runs into the side slanting."""
    inward = unit(waist.end.minus(waist.start))
    down = Point(-inward.down, inward.across)
    reach = distance(top, low)
    return Cubic(top, top.plus(down, 0.5 * reach), low.plus(inward, 0.3 * reach), low)


def _facing(garment: str, mouth: Cubic) -> Panel:
    """A strip 1 1/2 wide that follows the opening."""
    line = [mouth.start, *mouth.flat(0.5)]
    inner = offset_polyline(line, FACING.now.mm)
    d = Draft("pocket-facing")
    d.stage = "pocket-facing"
    trace = d.start("O", line[0], "opening")
    d.mark("B1", trace.to(inner[0], "facing_wide"), "facing_width", "level")
    d.edge("inner", [Line(a, b) for a, b in zip(inner, inner[1:], strict=False)], mm(0))
    d.edge("end", [Line(inner[-1], line[-1])], SEAM.now)
    back = line[::-1]
    d.edge("mouth", [Line(a, b) for a, b in zip(back, back[1:], strict=False)], SEAM.now)
    d.edge("other_end", [Line(line[0], inner[0])], SEAM.now)
    d.lengths.update(seam_down=mm(0))
    return finish(garment, d)


def _backing(garment: str, waist: Path, side: Path, wide: float, deep: float, ask: Ask) -> Panel:
    """The corner that the opening takes off the front, and 1 in more."""
    reach = min(wide + BEYOND.now.mm, 0.95 * waist.length)
    top, low = waist.along(reach)[0], side.back.along(deep + BEYOND.now.mm)[0]
    d = Draft("pocket-backing")
    d.stage = "pocket-backing"
    corner = d.start("O", waist.start, "side_top")
    d.mark("B1", corner.to(top, "beyond_opening"), "backing_width", "waist_seam")
    d.mark("B2", corner.to(low, "beyond_opening"), "backing_depth", "level")
    _, upper = side.split(side.length - deep - BEYOND.now.mm)
    d.edge("waist", [Line(waist.start, top)], ask.allowances.waist)
    d.edge("inner", [_mouth(waist, side, top, low)], mm(0))
    d.edge("side", list(upper.segments), ask.allowances.side)
    d.lengths.update(seam_down=mm(0))
    return finish(garment, d)


def _bag(garment: str, wide: Length, deep: Length, ask: Ask) -> Panel:
    """Half a bag: straight at the top and along the side, its lower corners round."""
    d = Draft("front-pocket-bag")
    d.stage = "front-pocket-bag"
    w, h = wide.mm, deep.mm
    r = min(50.0, w / 3)
    start = d.start("O", Point(0, 0), "bag_corner")
    d.mark("B2", start.down(deep), "bag_depth", "grain")
    d.mark("B3", start.out(wide), "bag_width", "level")
    k = 0.55 * r
    corner: list[Segment] = [
        Line(Point(w, 0), Point(w, h - r)),
        Cubic(Point(w, h - r), Point(w, h - r + k), Point(w - r + k, h), Point(w - r, h)),
        Line(Point(w - r, h), Point(r, h)),
        Cubic(Point(r, h), Point(r - k, h), Point(0, h - r + k), Point(0, h - r)),
    ]
    d.edge("waist", [Line(Point(0, 0), Point(w, 0))], ask.allowances.waist)
    d.edge("bag", corner, SEAM.now)
    d.edge("side", [Line(Point(0, h - r), Point(0, 0))], SEAM.now)
    d.lengths.update(cut_length=deep, cut_depth=wide, seam_down=mm(0))
    return finish(garment, d)


def _back_patch(garment: str, panels: dict[str, Panel], ask: Ask, sums: Sums) -> Pockets:
    """A patch on each back, 2 under the yoke's seam; without a yoke 3 under the waist, and under the darts' points."""
    back = panels["back"]
    waist = back.edges["waist"].path
    depths = [distance(waist.start.towards(waist.end, 0.5), dart.tip) + 12.7 for dart in back.darts]
    patch = _patch(garment, "patch", ask.patch, ask.patch)
    line = _square_on(back, inch(2).mm if ask.yoke is not None else max([inch(3).mm, *depths]), patch)
    seam = Seam("patch", _edges("patch"), ("back.patch",), 2)
    return Pockets((Part(patch, 2, pair=True, seams=(seam,)),), (("back", "patch", line),))


def _outside_patch(garment: str, panels: dict[str, Panel], ask: Ask, sums: Sums) -> Pockets:
    """A patch on each front leg, its edges piped with a strip cut on the bias."""
    patch = _patch(garment, "outside-patch", OUTSIDE_WIDE.now, OUTSIDE_DEEP.now)
    long = OUTSIDE_WIDE.now + OUTSIDE_DEEP.now * 2 + inch(1)
    line = _square_on(panels["front"], (sums.crotch_depth - sums.top).mm * 0.75, patch)
    parts = (
        Part(patch, 2, pair=True, seams=(Seam("patch", _edges("outside-patch"), ("front.outside-patch",), 2),)),
        Part(
            bias(garment, "piping", long, PIPING.now),
            2,
            seams=(Seam("piping", ("piping.waist",), _edges("outside-patch"), 2),),
        ),
    )
    return Pockets(parts, (("front", "outside-patch", line),))


def _edges(name: str) -> tuple[str, ...]:
    """A patch's sides and foot."""
    return f"{name}.side", f"{name}.foot", f"{name}.other_side"


def _patch(garment: str, name: str, wide: Length, deep: Length) -> Panel:
    """Cut `wide` by `deep`; its sides and foot go in by 1 cm, its top is hemmed."""
    d = Draft(name)
    d.stage = name
    start = d.start("O", Point(-PATCH_SEAM.mm, -PATCH_TOP.now.mm), "patch_corner")
    d.mark("B1", start.down(deep), "patch_depth", "grain")
    d.mark("B2", start.out(wide), "patch_width", "level")
    w, h = wide.mm - 2 * PATCH_SEAM.mm, deep.mm - PATCH_TOP.now.mm - PATCH_SEAM.mm
    corners = [Point(0, 0), Point(w, 0), Point(w, h), Point(0, h)]
    seams = (PATCH_TOP.now, PATCH_SEAM, PATCH_SEAM, PATCH_SEAM)
    for edge, a, b, seam in zip(
        ("top", "side", "foot", "other_side"), corners, [*corners[1:], corners[0]], seams, strict=True
    ):
        d.edge(edge, [Line(a, b)], seam)
    d.lengths.update(cut_length=deep, cut_depth=wide, finished_width=wide - PATCH_SEAM * 2, seam_down=mm(0))
    return finish(garment, d)


def _square_on(panel: Panel, down: float, patch: Panel) -> Path:
    """Where a patch is on a panel: in the middle of the waist seam, `down` under it, along it."""
    waist = panel.edges["waist"].path
    along = unit(waist.end.minus(waist.start))
    under = Point(-along.down, along.across)
    w, h = patch.edges["foot"].path.length, patch.edges["side"].path.length
    start = waist.along(waist.length / 2)[0].plus(under, down).plus(along, -w / 2)
    corners = [start, start.plus(along, w), start.plus(along, w).plus(under, h), start.plus(under, h), start]
    return Path(tuple(Line(a, b) for a, b in zip(corners, corners[1:], strict=False)))


MAKERS = {"in-seam": _in_seam, "front-curved": _curved, "back-patch": _back_patch, "outside-patch": _outside_patch}
