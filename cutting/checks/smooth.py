"""Sewn edges run smooth: where an edge crosses a seam, the angles on both sides of it make a straight line.

Common practice, no source.
"""

from collections.abc import Iterable, Mapping
from math import acos, degrees, radians, tan

from cutting.checks.check import Check
from cutting.codes import CheckCode
from cutting.garments import Lower, Top
from cutting.pieces import Panel
from cutting.where import Where

STRAIGHT, INCH = 180.0, 25.4
WITHIN = 6.0
"""Both angles add up to a straight line within so many degrees."""


def angle(panel: Panel, one: str, other: str) -> float:
    """The angle inside a panel between two edges that meet, whichever comes first; in degrees."""
    names = list(panel.edges)
    first, second = (one, other) if names[(names.index(one) + 1) % len(names)] == other else (other, one)
    before = panel.edges[first].path.segments[-1].direction(1.0)
    after = panel.edges[second].path.segments[0].direction(0.0)
    turn = degrees(acos(max(-1.0, min(1.0, before.dot(after)))))
    return STRAIGHT - turn if before.cross(after) >= 0 else STRAIGHT + turn


def bend(code: CheckCode, where: Where, off: float, most: float) -> Check:
    """A corner by so many degrees, as a tape can say it: how far it leads off within an inch."""
    return Check(code, where, 0.0, INCH * tan(radians(min(off, 80.0))), INCH * tan(radians(most)), off <= most)


def smooth_lower(garment: Lower) -> list[Check]:
    """The waist over sides and centres, the hem over sides and inner legs."""
    panels, where = garment.panels, garment.where
    if "leg" in panels:
        leg = panels["leg"]
        waist = {"waist": 2 * angle(leg, "waist", "crotch"), "back": 2 * angle(leg, "waist", "back_crotch")}
        hem = {"hem": angle(leg, "hem", "inner_leg") + angle(leg, "hem", "back_inner_leg")}
        return [_worst("smooth.waist", where / "leg", waist), _worst("smooth.hem", where / "leg", hem)]
    front, back = panels["front"], panels["back"]
    tops = {name: garment.top(name) for name in ("front", "back")}
    waist = {"side": sum(angle(panel, "waist", "side") for panel in tops.values())}
    waist |= {
        name: 2 * angle(panel, "waist", "centre" if "centre" in panel.edges else "crotch")
        for name, panel in tops.items()
    }
    # Where both were cut off under a band, their tops meet over the side too; a yoke's seam meets itself behind.
    under = [name for name in tops if panels[name] is not tops[name]]
    waist |= {f"under {name}": 2 * angle(panels[name], "waist", "crotch") for name in under}
    if "front" in under and garment.ask.yoke is None:
        waist["under side"] = angle(front, "waist", "side") + angle(back, "waist", "side")
    hem = {name: angle(front, "hem", name) + angle(back, "hem", name) for name in ("side", "inner_leg")}
    return [_worst("smooth.waist", where, waist), _worst("smooth.hem", where, hem)]


def smooth_top(garment: Top) -> list[Check]:
    """The lower edge over side and centre, the armhole over the side; neck and armhole over the shoulder."""
    front, back = (garment.panels[name] for name in ("front", "back"))
    low = "waist" if "waist" in front.edges else "hem"
    lower = {"side": angle(front, low, "side") + angle(back, low, "side")}
    lower |= {panel.name: 2 * angle(panel, low, "centre") for panel in (front, back)}
    where = garment.where
    return [
        *(
            _worst(code, where, {"shoulder": angle(front, edge, "shoulder") + angle(back, edge, "shoulder")}, HALF)
            for code, edge in OVER_THE_SHOULDER.items()
        ),
        _worst("smooth.underarm", where, {"side": angle(front, "armhole", "side") + angle(back, "armhole", "side")}),
        _worst("smooth.lower", where, lower),
    ]


HALF = WITHIN / 2
OVER_THE_SHOULDER: Mapping[CheckCode, str] = {"smooth.neck": "neck", "smooth.armhole": "armhole"}


def _worst(code: CheckCode, where: Where, sums: Mapping[str, float], most: float = WITHIN) -> Check:
    return bend(code, where, max(_off(sums.values())), most)


def _off(sums: Iterable[float]) -> Iterable[float]:
    return (abs(whole - STRAIGHT) for whole in sums)
