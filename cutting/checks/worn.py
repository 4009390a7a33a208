"""What a lower garment needs to be sewn, put on and sat in: measured on its outlines.

The limits are common practice, no source.
"""

from collections.abc import Callable

from cutting.checks.check import Check
from cutting.checks.shared import GIRTH, level
from cutting.finding import Weight
from cutting.garments import Lower
from cutting.garments.zips import ZIPS
from cutting.geometry import distance
from cutting.methods.styles import STYLES
from cutting.methods.two_panel.levels import LOW_WAIST, measured_rise
from cutting.pieces import Panel

INCH = 25.4
SIT_WITHIN, ROOM_WITHIN = INCH / 4, INCH / 4
"""Less than this under a limit is not spoken of."""
FOOT = 4 * INCH
"""How much larger than the ankle heel and instep are taken to be, where they were not measured."""
SEAM, ZIP_SEAM = INCH / 2, INCH / 2
SIDE_TAKES = {"front": 2.5 * INCH, "back": 3 * INCH}
"""The most that a side takes in between hip and waist, with no dart."""
LONGEST, LONGEST_LOOSE = 1.5 * INCH, 4 * INCH
"""How much longer than the body the crotch seam may be, and where the hip is loose."""
LOOSE = 4 * INCH
"""From so much ease at the hip on an extension may be larger than a twelfth of the hip."""
SHORTEST_ELASTIC = 0.6


def check_worn(garment: Lower) -> list[Check]:
    """Every check of it, in the order of the body; only those that the garment's parts and measures ask for."""
    made: list[Callable[[Lower], list[Check]]] = [
        _depth, _crotch, _extension, _darts, _dart_missing, _elastic_wide, _elastic_long, _zip, _foot, _sewn,
    ]  # fmt: skip
    return [check for one in made for check in one(garment)]


def _drawn_depth(garment: Lower) -> float:
    """From the top of the figure to the crotch line, on the outline: what is above the waist's seam counted."""
    panel = garment.panels[garment.main[0]]
    corner = panel.points.get("C1", panel.points["C"])
    if garment.sums.leg_on_fold:  # along its slanted centre line
        return distance(panel.points["CF"], corner)
    top = panel.points["O"].down
    return corner.down - top + (garment.ask.band_depth.mm if garment.ask.band == "below" else 0.0)


def _depth(garment: Lower) -> list[Check]:
    """Deep enough for the measured rise; where none was taken, for a quarter of the hip less 1."""
    body = garment.body
    low = LOW_WAIST.mm if garment.ask.waist_position == "low" else 0.0
    rise = measured_rise(body)
    if rise is None and not body.has("hip"):
        return []
    least = rise.mm if rise is not None else body.hip.mm / 4 - INCH
    depth = _drawn_depth(garment)
    good = depth >= least - low - SIT_WITHIN
    return [Check("depth.sit", garment.where, least - low, depth, SIT_WITHIN, good, "warn", mend=("crotch_depth",))]


def _crotch(garment: Lower) -> list[Check]:
    """The crotch seam is 1/2 to 1 1/2 in longer than the body there, where that was measured; loose to 4."""
    if not {"crotch_length", "hip"} <= garment.body.sizes.keys() or garment.ask.waist_finish == "joined":
        return []
    own, sewn, mend = garment.body.crotch_length.mm, _seam_on_outlines(garment), ("crotch_depth",)
    wanted = own + INCH / 2
    ease = 2 * (garment.sums.front_hip + garment.sums.back_hip).mm - garment.body.hip.mm
    most = own + (LONGEST_LOOSE if ease >= LOOSE else LONGEST)
    good, close = sewn >= wanted - SIT_WITHIN, sewn <= most + SIT_WITHIN
    return [
        Check("crotch.length", garment.where, wanted, sewn, SIT_WITHIN, good, "warn", mend=mend),
        Check("crotch.loose", garment.where, most, sewn, SIT_WITHIN, close, "note", mend=mend),
    ]


def _seam_on_outlines(garment: Lower) -> float:
    """Round the crotch from waist to waist as it is sewn, strips and the finished band counted, in mm."""
    strips = [panel for name, panel in garment.panels.items() if "centre" in panel.edges and "lower" in panel.edges]
    legs = [garment.panels[name] for name in garment.main]
    sewn = sum(edge.path.length for leg in legs for name, edge in leg.edges.items() if name.endswith("crotch"))
    sewn += sum(strip.edges["centre"].path.length for strip in strips)
    above = garment.ask.finished_above
    return sewn + (2 * above.mm if above else 0.0)


def _extension(garment: Lower) -> list[Check]:
    """The front's extension is between a 24th and a 12th of the hip; a loose hip may have more."""
    if "front" not in garment.panels or not garment.body.has("hip"):
        return []
    panel, hip = garment.panels["front"], garment.body.hip.mm
    out = panel.points["X"].across - panel.points["C1"].across
    ease = 2 * (garment.sums.front_hip + garment.sums.back_hip).mm - hip
    least, most = hip / 24, hip / 12
    good = out >= least - ROOM_WITHIN and (out <= most + ROOM_WITHIN or ease >= LOOSE)
    limit = least if out < least else most
    return [Check("extension.range", garment.where, limit, out, ROOM_WITHIN, good, "warn", mend=("crotch_extension",))]


def _taken(panel: Panel) -> float:
    return sum(distance(dart.near, dart.far) for dart in panel.darts)


def _hip_width(panel: Panel) -> float:
    """One panel on the hip line, net, to the straight centre line, in mm."""
    down = panel.points["H"].down
    side = min(at for at, _ in level(panel.edges["side"].path.flat(), down))
    straight = panel.edges["crotch"].path.segments[0]
    return level([straight.start, straight.end], down)[0][0] - side


def _darts(garment: Lower) -> list[Check]:
    """What darts take is there between hip and waist: a panel's waist is no wider than its hip."""
    if garment.ask.waist_is not in ("fitted", "half") or "back" not in garment.drafted:
        return []
    checks: list[Check] = []
    for name in ("front", "back"):
        panel = garment.drafted[name]
        if not panel.darts:
            continue
        # A back that is cut larger is taken in behind when it is joined.
        later = INCH / 2 if (name, garment.ask.waist_cleanup) == ("back", "back-larger") else 0.0
        taken, room = _taken(panel), _hip_width(panel) - (panel.waist_closed - later)
        good = taken <= room + ROOM_WITHIN
        where = garment.where / name
        checks.append(Check("darts.room", where, room, taken, ROOM_WITHIN, good, "warn", mend=(f"{name}_dart_intake",)))
    return checks


def _dart_missing(garment: Lower) -> list[Check]:
    """Without a dart the side takes in no more than it can be curved for."""
    if garment.ask.waist_is != "fitted" or "back" not in garment.drafted:
        return []
    checks: list[Check] = []
    for name in ("front", "back"):
        panel = garment.drafted[name]
        if panel.darts:
            continue
        slant = garment.sums.slant.mm / 2 if name == "back" else 0.0
        left, most = _hip_width(panel) - panel.waist_closed - slant, SIDE_TAKES[name]
        where = garment.where / name
        good = left <= most + ROOM_WITHIN
        checks.append(Check("darts.missing", where, most, left, ROOM_WITHIN, good, "warn", mend=(f"{name}_darts",)))
    return checks


def _elastic(garment: Lower) -> tuple[float, float] | None:
    """The elastic's length without what it is closed over itself by, and its width; where there is one of a known
    length.
    """
    for notion in garment.notions:
        if notion.code == "elastic" and notion.width is not None and "elastic.length" in garment.numbers:
            return garment.numbers["elastic.length"].net.mm, notion.width.mm
    return None


def _elastic_wide(garment: Lower) -> list[Check]:
    """The elastic lies flat in what holds it."""
    elastic, ask = _elastic(garment), garment.ask
    if elastic is None:
        return []
    room, key = {
        "casing": (ask.casing.mm / 2, "casing"), "paper-bag": (40.0, "heading"),
    }.get(ask.waist_finish, (ask.band_depth.mm, "band_depth"))  # fmt: skip
    good = elastic[1] <= room + 1e-6
    return [Check("elastic.wide", garment.where, elastic[1], room, GIRTH, good, "warn", mend=(key,))]


def _elastic_long(garment: Lower) -> list[Check]:
    """The elastic is shorter than what it holds, and can still be stretched over it."""
    elastic, waist = _elastic(garment), garment.sums.waist_round
    if elastic is None or waist is None:
        return []
    holds = waist.mm
    if garment.ask.waist_finish == "half-elastic":
        holds -= 2 * (garment.sums.front_waist - garment.sums.front_darts.all).mm
    least, long = SHORTEST_ELASTIC * holds, elastic[0]
    limit = least if long < least else holds
    good = least - GIRTH <= long <= holds + GIRTH
    return [Check("elastic.length", garment.where, limit, long, GIRTH, good, "warn", mend=("elastic",))]


def _zip(garment: Lower) -> list[Check]:
    """A zip has at least 1/2 in on each side of it."""
    ask = garment.ask
    if ask.closure not in ZIPS or (ask.closure == "side-zip" and "side" not in garment.panels[garment.main[0]].edges):
        return []
    if ask.closure == "side-zip":
        given, key = garment.panels["front"].edges["side"].allowance.mm, ("allowances", "side")
    elif "leg" in garment.panels:
        edge = garment.panels["leg"].edges["crotch" if ask.closure == "fly" else "back_crotch"]
        given = edge.allowance_at(0.0 if ask.closure == "fly" else edge.path.length).mm
        key = ("allowances", "centre")
    else:
        edge = garment.panels["front" if ask.closure == "fly" else "back"].edges["crotch"]
        given, key = edge.allowance_at(0.0).mm, ("allowances", "centre")
    good = given >= ZIP_SEAM - 0.01
    return [Check("zip.edge", garment.where, ZIP_SEAM, given, 0.01, good, "warn", mend=key)]


def _foot(garment: Lower) -> list[Check]:
    """The foot goes through the hem of a long leg on cloth that does not stretch."""
    ask, body = garment.ask, garment.body
    long = STYLES[ask.style].leg not in ("short", "fall", "wide") and "front" in garment.panels
    if not long or not {"ankle", "instep"} & body.sizes.keys() or ask.stretch >= 10:
        return []
    wanted = body.instep.mm if body.has("instep") else body.ankle.mm + FOOT
    hem = sum(garment.panels[name].edges["hem"].path.length for name in ("front", "back"))
    # A close hem by the method's own figure is opened with a slit or a zip: that is a note.
    weight: Weight = "warn" if "hem_width" in ask.chosen or "hem_ease" in ask.chosen else "note"
    return [Check("hem.foot", garment.where, wanted, hem, GIRTH, hem >= wanted - GIRTH, weight, mend=("hem_width",))]


def _sewn(garment: Lower) -> list[Check]:
    """Every edge that is sewn has something to be sewn with."""
    turned = garment.ask.waist_turn is not None
    keys = {"side": "side", "crotch": "centre", "back_crotch": "centre", "inner_leg": "inner_leg"}
    if not turned:
        keys["waist"] = "waist"
    short = {"side": 4, "centre": 4, "inner_leg": 2, "waist": 1}
    bare: dict[str, float] = {}
    for name in garment.main:
        for edge, key in keys.items():
            if edge in garment.panels[name].edges:
                bare[key] = min(bare.get(key, 1e6), garment.panels[name].edges[edge].allowance.mm)
    return [
        Check("seam.none", garment.where, short[key] * SEAM, given, 0.01, False, "warn", mend=("allowances", key))
        for key, given in bare.items() if given <= 0.01
    ]  # fmt: skip
