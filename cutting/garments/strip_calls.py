"""The calls of a leg whose top was cut off, and those of the shaped strip: every one ends on its own piece.

Cloth holds the two apart, so nothing of the strip is called on the leg. All these lengths are found on the draft:
between cut edges on the cloth, between net lines on paper.
"""

from collections.abc import Sequence
from itertools import pairwise

from cutting.drafting import Dart, Draft, Edge, Place, Step
from cutting.geometry import Point, distance, unit
from cutting.pieces import Panel

ABOVE = ("centre", "waist", "darts")
"""Stages whose marks are above the strip's lower edge."""
SEEN, SMOOTH = 0.2, 0.99999
"""A tape shorter than this is not called; the cosine of a turn that is no corner."""


def below_the_strip(panel: Panel, darts: Sequence[Dart], on_cloth: bool) -> tuple[Step, ...]:
    """The leg's calls without those above the strip, and the strip's line by its two ends and what is left of darts."""
    waist = panel.edges["waist"].path
    out = waist.end.minus(waist.start).left
    kept = [
        step for step in panel.steps
        if step.stage not in ABOVE and not (step.stage == "side" and step.end.minus(waist.start).dot(out) > 0)
    ]  # fmt: skip
    first = next((k for k, step in enumerate(panel.steps) if step.stage in ABOVE), len(panel.steps))
    before = [step for step in panel.steps[:first] if step in kept]
    return (*before, *_line(panel, darts, on_cloth), *kept[len(before) :])


def _line(panel: Panel, darts: Sequence[Dart], on_cloth: bool) -> list[Step]:
    d = Draft(panel.name)
    d.stage = "waist"
    waist = panel.edges["waist"].path
    ends = {"centre": waist.end, "side": waist.start}
    guide = 0.0
    if on_cloth:
        ends = {"centre": panel.corner("waist", "crotch"), "side": panel.corner("side", "waist")}
        guide = -panel.edges["side"].allowance.mm
    hip = Place(Point(0, panel.points["H"].down), "hip_level")
    for name, end in ends.items():
        level = hip.to(Point(0, end.down), "on_the_draft")
        aside = abs(end.across - guide) > SEEN
        d.mark(f"Y{name}0", level, f"strip_{name}{'_level' * aside}", "guide_line")
        if aside:
            at = Place(Point(guide, end.down), "guide_line")
            d.mark(f"Y{name}", at.to(end, "on_the_draft"), f"strip_{name}", "level")
    for number, dart in enumerate(darts, 1):
        top = Place(waist.end, "strip_centre")
        middle = dart.near.towards(dart.far, 0.5)
        place = top.to(middle, "on_the_draft")
        at = d.mark(f"P{number}", place, "dart_place", "waist_seam", "centre")
        near = Place(dart.near, "dart_near")
        d.mark(f"Q{number}", near.to(dart.far, "dart_left"), "dart_intake", "waist_seam")
        d.mark(f"R{number}", at.to(dart.tip, "dart_left"), "dart_length", "dart_axis")
    return d.steps


def strip_steps(strip: Panel, on_cloth: bool) -> tuple[Step, ...]:
    """Every corner of a shaped strip: down its guide line, which stands on the centre's foot, then straight across."""
    corners = _corners(strip, on_cloth)
    guide, top = corners["centre_foot"].across, min(point.down for point in corners.values())
    d = Draft(strip.name)
    d.stage = strip.name
    start = d.start("O", Point(guide, top), "strip_corner")
    for name, corner in corners.items():
        at = Place(Point(guide, corner.down), "strip_guide")
        code = name.rstrip("0123456789")
        aside = distance(at.point, corner) > SEEN
        if distance(start.point, at.point) > SEEN:
            d.mark(f"{name}-level", start.to(at.point, "on_the_draft"), f"{code}{'_level' * aside}", "grain")
        if aside:
            d.mark(name, at.to(corner, "on_the_draft"), code, "level")
    return tuple(d.steps)


def _corners(strip: Panel, on_cloth: bool) -> dict[str, Point]:
    """By name, from the centre's foot round to the side's; a bend is where a dart was closed, or a curve begins."""
    waist, lower = (_joints(strip.edges[name], on_cloth) for name in ("waist", "lower"))
    if not on_cloth:
        ends = {name: strip.edges[edge].path.start for name, edge in (
            ("centre_top", "centre"), ("centre_foot", "lower"), ("side_foot", "side"), ("side_top", "waist"),
        )}  # fmt: skip
    else:
        ends = {
            "centre_top": strip.corner("waist", "centre"), "centre_foot": strip.corner("centre", "lower"),
            "side_foot": strip.corner("lower", "side"), "side_top": strip.corner("side", "waist"),
        }  # fmt: skip
    bends = _named("top", strip.edges["waist"], waist)[::-1] + _named("foot", strip.edges["lower"], lower)
    return {
        **{name: ends[name] for name in ("centre_foot", "centre_top")}, **dict(bends),
        **{name: ends[name] for name in ("side_top", "side_foot")},
    }  # fmt: skip


def _named(edge_is: str, edge: Edge, points: Sequence[Point]) -> list[tuple[str, Point]]:
    """Where a dart was closed an edge has a corner; elsewhere it begins to curve into the seam at its nearer end."""
    named: list[tuple[str, Point]] = []
    centre_first = edge_is == "foot"
    for k, ((one, other), point) in enumerate(zip(pairwise(edge.path.segments), points, strict=True)):
        if one.direction(1.0).dot(other.direction(0.0)) < SMOOTH:
            named.append((f"bend_{edge_is}{k}", point))
        else:
            first_half = edge.path.place_of(one.end) < edge.path.length / 2
            named.append((f"curve_{edge_is}_{'centre' if first_half == centre_first else 'side'}", point))
    return named


def _joints(edge: Edge, on_cloth: bool) -> list[Point]:
    """Where the parts of an edge meet: on its net line, or on its cut line."""
    found: list[Point] = []
    for one, other in pairwise(edge.path.segments):
        before, after = one.direction(1.0), other.direction(0.0)
        mean = before.plus(after)
        out = unit(mean).left
        by = edge.allowance.mm / max(0.5, unit(mean).dot(before)) if on_cloth else 0.0
        found.append(one.end.plus(out, by))
    return found
