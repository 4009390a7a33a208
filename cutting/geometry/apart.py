"""How far two drawings are apart, and where."""

from collections.abc import Sequence
from dataclasses import dataclass

from shapely import hausdorff_distance
from shapely.geometry import MultiLineString

from cutting.geometry.point import Point


@dataclass(frozen=True)
class Apart:
    """How far two drawings go apart at most, and the box round where they are at least a third so far apart, in mm."""

    far: float
    left: float
    top: float
    right: float
    low: float


def apart(one: Sequence[Sequence[Point]], other: Sequence[Sequence[Point]], seen: float) -> Apart | None:
    """Where two drawings, each of several polylines, are further apart than `seen` mm; None where they nowhere are."""
    mine, theirs = (MultiLineString([[(p.across, p.down) for p in line] for line in lines]) for lines in (one, other))
    far = float(hausdorff_distance(mine, theirs))
    if far <= seen:
        return None
    least = max(seen, far / 3)
    off = mine.difference(theirs.buffer(least)).union(theirs.difference(mine.buffer(least)))
    return Apart(far, *map(float, off.bounds)) if not off.is_empty else None
