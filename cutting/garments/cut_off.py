"""A strip cut off the top of a panel, its darts closed: a shaped band, or the yoke of a back.

What is left of a dart below the strip stays in the panel; where the dart ends inside the strip its legs are prolonged
to the strip's lower edge, so that the whole dart is in the seam.
"""

from collections.abc import Callable, Sequence
from dataclasses import dataclass, replace
from itertools import accumulate
from math import atan2, cos, degrees, radians, sin, tan

from cutting.drafting import Dart, Draft, Edge, Wide
from cutting.errors import refuse
from cutting.finding import Finding
from cutting.garments.part import Part
from cutting.geometry import Path, Point, crossings, distance, parted, squared, unit
from cutting.lengths import Length, found, mm, named
from cutting.methods import Ask
from cutting.pieces import Notch, Panel, finish
from cutting.pieces.panel import with_notches
from cutting.where import choice
from cutting.where import part as part_of

Motion = Callable[[Point], Point]
OUT = 5.0
"""A dart's leg that crosses the line nearer to its end than this many mm has run out of the panel."""
UNDER_LAP = {("front-band", "fly"): "centre", ("back-band", "side-zip"): "side", ("back-band", "back-zip"): "centre"}
"""The end of a shaped band that goes under its other end: both halves are cut longer by the overlap, one is trimmed."""
BEND = radians(40)
"""A seam that bends by more where a dart closes is said to pucker. From memory, no source."""
ABOVE = ("centre", "waist", "darts")
"""Stages of a method whose marks are above the strip's lower edge."""
SHORTEST = 25.4
"""A rest of a zip's edge under this many mm is not cut wider."""


@dataclass(frozen=True)
class Cut:
    """The panel that is left, and the strip with its darts closed."""

    panel: Panel
    strip: Panel
    darts: tuple[Dart, ...]
    """As they are closed in the strip."""


def cut_off(
    panel: Panel, name: str, at_side: float, at_centre: float, ask: Ask, depth: Length, whole_darts: bool = False
) -> Cut:
    """Cut a panel along the line from `at_side` mm down its side to `at_centre` mm down its centre, from the waist.

    With `whole_darts` every dart ends on the line, so that none is left below. Raises CuttingError where the strip
    reaches past the straight centre line, or a dart runs out of the panel above the line.
    """
    side, centre = panel.edges["side"].path, panel.edges["crotch"].path
    asked = choice("yoke" if name == "yoke" else "band_depth")
    if at_centre > centre.segments[0].length - 6.0 or at_side > side.length - 25.4:
        raise refuse("strip.too_deep", asked, depth=depth)
    below, beside = side.split(side.length - at_side)
    upper, lower = centre.split(at_centre)
    start, end = beside.start, upper.end
    line = squared(beside.segments[0].direction(0.0), start, end, lower.segments[0].direction(0.0))
    darts = [_reaching(dart, line, whole_darts) for dart in panel.darts]
    if any(not OUT < line.place_of(leg) < line.length - OUT for dart in darts for leg in _legs_at(dart, line)):
        raise refuse("strip.dart_out", asked, depth=depth)
    rests = [rest for dart in darts if (rest := _below(dart, line)) is not None]
    bends = sorted((p for rest in rests for p in (rest.near, rest.far)), key=line.place_of)
    top = min(start.down, end.down)
    left = replace(
        panel,
        lengths=panel.lengths | {"seam_down": found(top, "strip_takes")},
        edges={
            "waist": Edge("waist", _through(line, bends), ask.allowances.waist),
            "crotch": replace(panel.edges["crotch"], path=lower, wide=_left_of(panel.edges["crotch"].wide, at_centre)),
            "inner_leg": panel.edges["inner_leg"], "hem": panel.edges["hem"],
            "side": replace(panel.edges["side"], path=below),
        },
        darts=tuple(rests),
        notches=tuple(n for n in panel.notches if n.code != "dart" and not _above(n, start, end)),
    )  # fmt: skip
    at_legs = [left.notch("waist", "dart", left.edges["waist"].path.place_of(p)) for p in bends]
    left = with_notches(left, *at_legs)
    # The centre is not moved when the darts are closed: its notches go with the strip.
    strip = _strip(panel, name, (beside, upper), line, darts, ask, depth)
    edge = strip.edges["centre"].path
    centred = [n for n in panel.notches if n.edge == "crotch" and _above(n, start, end)]
    strip = with_notches(strip, *(strip.notch("centre", n.code, edge.place_of(n.net)) for n in centred))
    # The method's marks above the strip are on no piece any more.
    kept = tuple(
        step for step in panel.steps
        if step.stage not in ABOVE and not (step.stage == "side" and _is_above(step.end, start, end))
    )  # fmt: skip
    return Cut(replace(left, steps=kept), replace(strip, steps=()), tuple(darts))


def said_of_bends(cut: Cut, depth: Length) -> list[Finding]:
    """That a strip so deep bends sharply at its lower edge where a wide dart is closed in it, and what mends it."""
    for dart in sorted(cut.darts, key=lambda one: -distance(one.near, one.far) / one.length.mm):
        wide = found(distance(dart.near, dart.far), "")
        needed = wide.mm / 2 / tan(BEND / 2) / dart.length.mm
        if needed > 1:
            turn = round(degrees(2 * atan2(wide.mm / 2, dart.length.mm)))
            params = {
                "panel": cut.strip.name, "dart": wide, "over": dart.length, "turn": turn, "most": round(degrees(BEND)),
                "used": depth, "wanted": found(depth.mm * needed, ""), "long": found(dart.length.mm * needed, ""),
            }  # fmt: skip
            return [Finding("strip.bends", "note", part_of(cut.strip.name), params)]
    return []


def said_of_laps(parts: list[Part]) -> list[Finding]:
    """That a shaped band is cut longer at one end, to go under the other."""
    laps = {part.panel.name: part.panel.lengths["overlap"] for part in parts if "depth" in part.panel.lengths}
    return [
        Finding("band.lap", "note", part_of(name), {"panel": name, "by": lap}) for name, lap in laps.items() if lap.mm
    ]


def _left_of(wide: Wide | None, cut: float) -> Wide | None:
    """What is left of a zip's edge when `cut` mm are cut off its top."""
    if wide is None or wide.reach - cut < SHORTEST:
        return None
    return replace(wide, reach=wide.reach - cut)


def _above(notch: Notch, start: Point, end: Point) -> bool:
    """Whether a notch is beyond the line, on what is cut off."""
    return _is_above(notch.net, start, end)


def _is_above(point: Point, start: Point, end: Point) -> bool:
    return point.minus(start).dot(unit(end.minus(start)).left) > 0


def _through(line: Path, points: list[Point]) -> Path:
    """A line drawn again so that it passes through points beside it."""
    return Path(tuple(segment for part in parted(line, points) if part is not None for segment in part.segments))


def _to_the_line(start: Point, direction: Point, line: Path) -> float:
    """How far it is from a point to a line, in mm; the line's ends go on straight."""
    hits = crossings(line.flat(), start, direction, extend=True)
    return min((hit.at for hit in hits), key=abs, default=0.0)


def _reaching(dart: Dart, line: Path, whole: bool) -> Dart:
    """The dart, its point moved down on to the line where it ends above it."""
    middle = dart.near.towards(dart.far, 0.5)
    axis = unit(dart.tip.minus(middle))
    reach = _to_the_line(middle, axis, line)
    if not whole and reach <= distance(middle, dart.tip):
        return dart
    return replace(dart, tip=middle.plus(axis, reach), length=found(reach, "dart_to_the_edge"))


def _legs_at(dart: Dart, line: Path) -> tuple[Point, Point]:
    """Where the line crosses the dart: as far from its point on both legs, so that they meet when sewn."""
    legs = (dart.near, dart.far)
    reach = [distance(leg, dart.tip) - _to_the_line(leg, unit(dart.tip.minus(leg)), line) for leg in legs]
    middle = max(0.0, sum(reach) / 2)
    near, far = (dart.tip.plus(unit(leg.minus(dart.tip)), middle) for leg in legs)
    return near, far


def _below(dart: Dart, line: Path) -> Dart | None:
    near, far = _legs_at(dart, line)
    if distance(near, far) < 0.5:
        return None
    middle = near.towards(far, 0.5)
    return Dart(
        near, far, dart.tip, found(distance(near, far), "dart_left"), found(distance(middle, dart.tip), "dart_left")
    )


def _strip(
    panel: Panel, name: str, ends: tuple[Path, Path], line: Path, darts: list[Dart], ask: Ask, depth: Length
) -> Panel:
    beside, upper = ends
    whole = panel.edges["waist"]
    ordered = sorted(darts, key=lambda one: distance(one.near, upper.start))
    moves: list[Motion] = [_still]
    for dart in ordered:
        moves.append(_then(moves[-1], _closing(dart)))
    top = _closed(whole.path.back, [(dart.near, dart.far) for dart in ordered], moves)
    low = _closed(line.back, [_legs_at(dart, line) for dart in ordered], moves)
    side = beside.mapped(moves[-1])
    given, lap = ask.allowances, named(ask.band_overlap, "overlap")
    over = UNDER_LAP.get((name, ask.closure)) if name != "yoke" else None
    at_centre: Length = panel.edges["crotch"].allowance_at(0.0)
    d = Draft(name)
    d.edge("waist", list(top.back.segments), whole.allowance, whole.turned if not darts else 0)
    d.edge("centre", list(upper.segments), at_centre + lap if over == "centre" else at_centre)
    d.edge("lower", list(low.segments), given.waist)
    d.edge("side", list(side.segments), given.side + lap if over == "side" else given.side)
    d.lengths.update(seam_down=mm(0), round=found(top.length, ""), overlap=lap if over else mm(0), depth=depth)
    strip = finish(panel.garment, d)
    closed = parted(line.back, [leg for dart in ordered for leg in _legs_at(dart, line)])[::2]
    reach = accumulate(part.length if part is not None else 0.0 for part in closed[:-1])
    below = zip(ordered, reach, strict=True)
    return with_notches(strip, *(strip.notch("lower", "dart", at) for dart, at in below if _below(dart, line)))


def _closed(path: Path, mouths: Sequence[tuple[Point, Point]], moves: Sequence[Motion]) -> Path:
    """An edge from centre to side without its darts' mouths, each stretch moved as the darts before it close."""
    stretches = parted(path, [point for mouth in mouths for point in mouth])[::2]
    return Path(tuple(
        segment for stretch, move in zip(stretches, moves, strict=True) if stretch is not None
        for segment in stretch.mapped(move).segments
    ))  # fmt: skip


def _still(point: Point) -> Point:
    return point


def _closing(dart: Dart) -> Motion:
    """Turns what is beyond a dart about its point until the far leg is on the near one."""
    near, far = dart.near.minus(dart.tip), dart.far.minus(dart.tip)
    angle = atan2(far.cross(near), far.dot(near))
    c, s = cos(angle), sin(angle)

    def move(point: Point) -> Point:
        away = point.minus(dart.tip)
        return dart.tip.plus(Point(c * away.across - s * away.down, s * away.across + c * away.down))

    return move


def _then(after: Motion, first: Motion) -> Motion:
    return lambda point: after(first(point))
