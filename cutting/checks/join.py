"""What a jumpsuit's seam requires: waists that meet, darts and zip edges that meet, room to sit."""

from itertools import pairwise

from cutting.checks.check import Check
from cutting.checks.shared import GIRTH
from cutting.garments import Garment, Lower, Top
from cutting.methods.upper.sums import NAPE
from cutting.pieces import Panel
from cutting.where import Where

MEETS = 2.0
SIT, LENGTH_LEAST = 25.4, 12.7
"""To sit, the torso is an inch longer than standing; round the crotch at least half an inch longer than the body."""


def check_joins(garments: tuple[Garment, ...]) -> list[Check]:
    """The checks of every top that is sewn to the lower garment after it."""
    checks: list[Check] = []
    for top, lower in pairwise(garments):
        if isinstance(top, Top) and isinstance(lower, Lower) and top.ask.joined:
            checks += _joined(top, lower)
    return checks


def _joined(top: Top, lower: Lower) -> list[Check]:
    where = Where("plan", garment=top.id.rpartition(".")[0])
    gathers = 2 * (lower.sums.front_gathers + lower.sums.back_gathers).mm
    above, below = top.waist_flat - top.gathered, lower.waist_sewn - gathers
    checks = [Check("join.waist", where, above, below, GIRTH, abs(above - below) <= GIRTH)]
    for name in ("front", "back"):
        one, other = _dart(top.panels[name]), _dart(lower.panels[name]) if name in lower.panels else None
        if one is not None and other is not None:
            checks.append(Check("join.dart", where / name, one, other, MEETS, abs(one - other) <= MEETS))
    if top.ask.closure == "back-zip":
        behind = lower.panels[lower.main[-1]].edges[_behind(lower)]
        one = top.panels["back"].edges["centre"].allowance.mm
        other = behind.allowance_at(0.0 if "back" in lower.panels else behind.path.length).mm
        checks.append(Check("join.zip", where, one, other, GIRTH, abs(one - other) <= GIRTH))
    return [*checks, *_torso(where, top, lower)]


def _behind(lower: Lower) -> str:
    return "crotch" if "back" in lower.panels else "back_crotch"


def _dart(panel: Panel) -> float | None:
    """From the centre to the first waist dart when it is sewn, in mm."""
    ends = [
        min((panel.edges["waist"].path.end.minus(p) for p in (dart.near, dart.far)), key=lambda away: away.dot(away))
        for dart in panel.darts if dart.edge == "waist"
    ]  # fmt: skip
    return min((away.dot(away) ** 0.5 for away in ends), default=None)


def _torso(where: Where, top: Top, lower: Lower) -> list[Check]:
    """Behind, from the nape to the crotch line, on the outlines; and round the crotch, where that was measured."""
    body = top.body
    behind = lower.panels[lower.main[-1]]
    crotch = behind.points["C1" if "C1" in behind.points else "C"].down
    waist = behind.edges[_behind(lower)].path
    start = waist.start if "back" in lower.panels else waist.end
    torso = top.panels["back"].edges["centre"].path.start.down - NAPE.now.mm + crotch - start.down
    checks: list[Check] = []
    if body.has("body_rise"):
        nape = body.corrected("nape_to_waist") if body.has("nape_to_waist") else top.sums.back_waist_level - NAPE.now
        wanted = nape.mm + body.body_rise.mm + SIT
        checks.append(Check("torso.sit", where, wanted, torso, GIRTH, torso >= wanted - GIRTH, "warn"))
    if body.has("crotch_length"):
        panels = [lower.panels[name] for name in lower.main]
        around = sum(
            panel.edges[name].path.length for panel in panels for name in panel.edges if name.endswith("crotch")
        )
        wanted = body.crotch_length.mm + LENGTH_LEAST
        checks.append(Check("torso.crotch", where, wanted, around, GIRTH, around >= wanted - GIRTH, "warn"))
    return checks
