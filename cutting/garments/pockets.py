"""Pockets: their openings on the panels, and every piece they are made of.

All sizes are common practice, no source: an opening of 6 1/2 in the side seam, a curved one 3 wide and 5 deep.
"""

from dataclasses import replace

from cutting.codes import FindingCode
from cutting.drafting import Draft
from cutting.errors import refuse
from cutting.finding import Finding
from cutting.garments.bags import WIDE, bag_part, curved_bag, deep_of, hand_bag, wide_of
from cutting.garments.part import Allowed, Part, strip
from cutting.garments.patches import back_patch, curved_patch, mouth, outside_patch
from cutting.garments.pocket import Pockets, smaller
from cutting.garments.seams import sewn
from cutting.garments.waists import CHANNEL, CHANNEL_SEAM
from cutting.geometry import Cubic, Line, Path, distance, offset_polyline
from cutting.lengths import Fixed, Length, Rule, found, inch, mm, named
from cutting.methods import Ask
from cutting.methods.sums import Sums
from cutting.pieces import Notch, Panel, finish
from cutting.where import choice
from cutting.where import part as place

START, BELOW = Rule(1, "below_the_band"), Rule(1, "below_the_stitching")
FACING = Rule(1.5)
BEYOND = Rule(1)
BAG_FACING = Rule(2.5)
SEAM = Rule(0.5)
OFF_THE_HEM = Rule(1.5)
"""A bag ends so far above the leg's lower edge."""


def pockets(garment: str, panels: dict[str, Panel], ask: Ask, sums: Sums) -> Pockets:
    """Every pocket asked for, on front and back."""
    made = Pockets()
    for kind in ask.pockets:
        made = made.and_(MAKERS[kind](garment, panels, ask, sums))
    names = [part.panel.name for part in made.parts]
    if len(set(names)) < len(names):
        raise refuse("pockets.twice", choice("pockets"))
    return made


def _in_seam(garment: str, panels: dict[str, Panel], ask: Ask, sums: Sums) -> Pockets:
    """An opening in the side seam; the bag's two halves are sewn to front and back.

    A bag of another cloth has a facing of the garment's own at its mouth, where it would show.
    """
    sides = {name: panels[name].edges["side"].path.length for name in ("front", "back")}
    to_crotch = (sums.crotch_depth - sums.top).mm
    wanted = ask.pocket_start or _below_the_stitching(ask)
    # The mouth is in one seam: where a strip was cut off one panel alone it starts under that.
    longest = max(sides.values())
    start = max(wanted.mm, longest - min(sides.values()))
    opening = smaller(ask.pocket_opening, to_crotch - start - 12.7, "pocket.opening")
    leg = (sums.length - sums.top).mm
    to_hip = (sums.hip_depth - sums.top).mm - start
    deep = smaller(deep_of(ask, opening.length, to_hip), leg - start - OFF_THE_HEM.now.mm, "pocket.bag")
    notes = [one.finding for one in (opening, deep) if one.finding]
    if start > wanted.mm + 0.1:
        params = {"wanted": wanted, "used": found(start, "below_the_yoke")}
        notes.append(Finding("pocket.start", "note", place("front"), params))
    both_sides = 2
    if ask.closure == "side-zip":
        both_sides = 1
        notes.append(Finding("pocket.one_side", "note", place("front"), {}))
    marks: list[tuple[str, Notch]] = []
    for name in sides:
        for code, down in (("pocket_top", start), ("pocket_end", start + opening.length.mm)):
            marks.append((name, panels[name].notch("side", code, longest - down)))
    to_dart = [distance(panels["front"].edges["waist"].path.start, dart.far) for dart in panels["front"].darts]
    nearest = {"to_the_dart": min(to_dart)} if to_dart and min(to_dart) < WIDE.now.mm else {}
    bag = hand_bag(garment, opening.length, deep.length, wide_of(ask, nearest), ask)
    seam = sewn("pocket", "pocket-bag.opening", "front.side", "back.side", count=2)
    parts = [bag_part(ask, bag, seam, both_sides)]
    if "bags" in ask.other_cloth:
        long = opening.length + BEYOND.now * 2
        shown = strip(garment, "bag-facing", long, BAG_FACING.now, Allowed(SEAM.now, SEAM.now))
        along = sewn("pocket", "bag-facing.waist", "pocket-bag.opening", count=2 * both_sides)
        parts.append(Part(shown, 2 * both_sides, seams=(along,)))
    return Pockets(tuple(parts), (), tuple(marks), tuple(notes))


def _below_the_stitching(ask: Ask) -> Length:
    """1 below the band's seam, or below the lowest row of stitching of a casing or a channel."""
    if ask.waist_finish == "casing":
        return named(Fixed(ask.casing.size / 2), "stitched") + BELOW.now
    if ask.waist_finish == "paper-bag":
        return CHANNEL - CHANNEL_SEAM * 2 + BELOW.now
    return START.now


def _curved(garment: str, panels: dict[str, Panel], ask: Ask, sums: Sums, beyond: float | None = None) -> Pockets:
    """A curved opening from the waist to the side: the backing is traced first, then the opening is cut."""
    front = panels["front"]
    waist, side = front.edges["waist"].path, front.edges["side"].path
    far = [distance(waist.start, dart.far) for dart in front.darts]
    wide = smaller(ask.pocket_wide, min([*far, waist.length / 2]) - 12.7, "pocket.dart")
    hip = (sums.hip_depth - sums.top).mm
    deep = smaller(ask.pocket_deep, max(hip, 76.2), "pocket.opening")
    limits = {"to_the_centre": waist.length - 12.7} | ({"to_the_dart": min(far) - 6.35} if far else {})
    code: FindingCode = "pocket.bag_dart" if min(limits, key=limits.__getitem__) == "to_the_dart" else "pocket.bag_wide"
    bag_wide = smaller(wide_of(ask, limits), min(limits.values()), code)
    to_hip = side.back.place_of(front.points["H"])
    bag_deep = smaller(
        deep_of(ask, deep.length, to_hip), (sums.length - sums.top).mm - OFF_THE_HEM.now.mm, "pocket.bag"
    )
    clear = min(far, default=1e6) - wide.length.mm - 6.35  # of the dart
    top, low = waist.along(wide.length.mm)[0], side.back.along(deep.length.mm)[0]
    along = mouth(waist, top, low)
    parts = [
        Part(
            _facing(garment, along, max(12.7, clear)), 2, pair=True,
            seams=(sewn("pocket", "pocket-facing.mouth", "front.pocket", count=2),),
        ),
        Part(
            _backing(garment, waist, side, wide.length.mm, deep.length.mm, ask, beyond), 2, pair=True,
            seams=(
                sewn("waist", "pocket-backing.waist", "front.waist", count=2),
                sewn("side", "pocket-backing.side", "front.side", count=2),
            ),
        ),
        bag_part(
            ask, curved_bag(garment, waist, side, bag_wide.length, bag_deep.length, ask),
            sewn("pocket", "front-pocket-bag.side", "pocket-facing.inner", "pocket-backing.inner", count=2), 2,
        ),
    ]  # fmt: skip
    notches = [
        ("front", front.notch("waist", "pocket_top", wide.length.mm)),
        *[("front", front.notch("side", "pocket_end", side.length - deep.length.mm - gap)) for gap in (0.0, 6.0)],
    ]
    notes = [one.finding for one in (wide, deep, bag_wide, bag_deep) if one.finding]
    return Pockets(tuple(parts), (("front", "pocket", Path((along,))),), tuple(notches), tuple(notes))


def _facing(garment: str, mouth: Cubic, most: float) -> Panel:
    """A strip 1 1/2 wide that follows the opening; no wider than `most` mm, so that it stays clear of the dart."""
    line = [mouth.start, *mouth.flat(0.5)]
    inner = offset_polyline(line, min(FACING.now.mm, most))
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


def _backing(
    garment: str, waist: Path, side: Path, wide: float, deep: float, ask: Ask, beyond: float | None = None
) -> Panel:
    """The corner that the opening takes off the front, and 1 in more, or `beyond` mm."""
    more = BEYOND.now.mm if beyond is None else beyond
    reach = min(wide + more, 0.95 * waist.length)
    top, low = waist.along(reach)[0], side.back.along(deep + more)[0]
    d = Draft("pocket-backing")
    d.stage = "pocket-backing"
    corner = d.start("O", waist.start, "side_top")
    d.mark("B1", corner.to(top, "beyond_opening"), "backing_width", "waist_seam")
    d.mark("B2", corner.to(low, "beyond_opening"), "backing_depth", "level")
    _, upper = side.split(side.length - deep - more)
    d.edge("waist", list(waist.split(reach)[0].segments), ask.allowances.waist)
    d.edge("inner", [mouth(waist, top, low)], mm(0))
    d.edge("side", list(upper.segments), ask.allowances.side)
    d.lengths.update(seam_down=mm(0))
    return finish(garment, d)


def _mock(garment: str, panels: dict[str, Panel], ask: Ask, sums: Sums) -> Pockets:
    """The curved opening without a bag: its facing and its backing, 1/2 beyond it, are sewn together."""
    made = _curved(garment, panels, ask, sums, beyond=inch(0.5).mm)
    parts = [part for part in made.parts if part.panel.name != "front-pocket-bag"]
    notes = tuple(note for note in made.findings if note.code not in ("pocket.bag", "pocket.bag_dart"))
    return replace(made, parts=tuple(parts), findings=notes)


MAKERS = {
    "in-seam": _in_seam, "front-curved": _curved, "mock": _mock, "patch-curved": curved_patch, "back-patch": back_patch,
    "outside-patch": outside_patch,
}  # fmt: skip
