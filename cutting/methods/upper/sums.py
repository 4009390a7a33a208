"""What a top is worked out from before the chalk, as lengths that keep their sums.

Common practice, no source: a quarter of bust and ease, half of the shoulder, neck 3 wide and 3 deep, a shoulder slope
of 1, the armhole line a sixth of the bust and 1 1/2 below the shoulder tip, waist and dart.
"""

from collections.abc import Collection, Sequence
from dataclasses import dataclass

from cutting.body import Body
from cutting.errors import refuse
from cutting.finding import Finding
from cutting.geometry import Path, zero_between
from cutting.geometry import Point as At
from cutting.lengths import Length, Measured, Rule, found, inch, mm, named
from cutting.methods.darts import Darts
from cutting.methods.share import least, most
from cutting.methods.upper.ask import TopAsk
from cutting.methods.upper.curves import neck, square_in
from cutting.methods.upper.styles import TOPS, TopStyle
from cutting.where import choice, measure, part

DEEP = Rule(9)
"""An armhole line further below the shoulder tip is spoken of."""
HEAD = 584.2
"""Round the head where it was not measured, in mm: 23 in, an assumption that is said."""
OVER_HEAD = 6.35
SIDE_TAKES, ONE_DART, TWO_DARTS = Rule(1), Rule(1.5), Rule(3)
"""What the side takes of a fitted waist before a dart does; the most one dart takes, and two."""
NAPE = Rule(1, "nape")
"""How far the nape is below the neck point."""
WAIST_LEVELS = ("nape_to_waist", "neck_to_waist")
"""The measures that say where the waist is; what a fitting finds of it corrects them."""
HIP_BELOW = Rule(8, "hip_below_waist")


@dataclass(frozen=True)
class TopSums:
    """All of it. Levels run down from the neck point's level, widths from the centre's sewing line."""

    girth: Measured
    width: Length
    shoulder: Length
    neck_width: Length
    front_neck: Length
    back_neck: Length
    slope: Length
    armhole_depth: Length
    front_across: Length
    back_across: Length
    front_waist_level: Length
    back_waist_level: Length
    front_length: Length
    back_length: Length
    bust_dart: Length
    bust_level: Length
    bust_out: Length
    front_waist: Length
    back_waist: Length
    front_darts: Darts
    back_darts: Darts
    waist_round: Length
    hip_width: Length
    hip_level: Length
    opening: Length | None
    findings: tuple[Finding, ...]

    @property
    def armhole_level(self) -> Length:
        """The armhole line below the neck point."""
        return self.slope + self.armhole_depth


def work_out(body: Body, ask: TopAsk) -> TopSums:
    """The sums of a top. Raises CuttingError with every measure that is missing, or that cannot be served."""
    style = TOPS[ask.style]
    body.need(*needs(ask, body.sizes))
    notes: list[Finding] = []
    girth = (
        body.chest if style.girth == "chest" and body.has("chest") else body.bust if body.has("bust") else body.chest
    )
    width = (girth + named(ask.bust_ease, "bust_ease")) / 4
    neck_width, front_neck, back_neck = _neck(body, ask)
    slope = ask.shoulder_slope or (body.shoulder_slope if body.has("shoulder_slope") else inch(1, "slope"))
    shoulder = _shoulder(body, neck_width, slope)
    opening = _opening(body, ask, (neck_width, front_neck, back_neck), slope, shoulder)
    if ask.closure == "none" and opening is None:
        neck_width, front_neck = _over_the_head(body, ask, (neck_width, front_neck, back_neck), slope, shoulder, notes)
    front_level, back_level = _waist_levels(body)
    if front_level.mm < back_level.mm - 12.7:
        params = {"front": front_level, "back": back_level}
        notes.append(Finding("front.shorter", "note", measure("neck_to_waist"), params))
    depth = _armhole(body, ask, girth, slope, notes)
    side = back_level.mm - slope.mm - depth.mm
    if side < inch(2).mm:
        raise refuse("armhole.low", measure("nape_to_waist"), room=found(max(0.0, side), ""), depth=depth)
    front_across, back_across = _across(body, ask, shoulder, width)
    longer = front_level.mm - back_level.mm
    dart: Length = mm(0)
    if ask.bust_dart == "side" and longer > inch(0.5).mm:
        dart = front_level - back_level - inch(0.5)
    if dart.mm > inch(4).mm:
        raise refuse("bust_dart.large", measure("neck_to_waist"), dart=dart)
    bust_level, bust_out = _bust_point(body, width, slope, depth, front_level)
    waist = body.waist if body.has("waist") else girth
    waist_round = waist + named(ask.waist_ease, "waist_ease")
    spare = width - waist_round / 4
    fitted = style.fitted
    darts = _darts(spare, ask) if fitted else Darts.none()
    waist_width = waist_round / 4 + darts.all if fitted else width
    front_length, back_length = _ends(body, ask, style, front_level, back_level, slope + depth)
    hip_level, hip_width = _hip(body, ask, style, width, back_level, slope + depth)
    return TopSums(
        girth=girth, width=width, shoulder=shoulder, neck_width=neck_width, front_neck=front_neck,
        back_neck=back_neck, slope=slope, armhole_depth=depth, front_across=front_across, back_across=back_across,
        front_waist_level=front_level, back_waist_level=back_level, front_length=front_length,
        back_length=back_length, bust_dart=dart, bust_level=bust_level, bust_out=bust_out, front_waist=waist_width,
        back_waist=waist_width, front_darts=darts, back_darts=darts, waist_round=waist_round, hip_width=hip_width,
        hip_level=hip_level, opening=opening, findings=tuple(notes),
    )  # fmt: skip


def needs(ask: TopAsk, has: Collection[str]) -> tuple[str, ...]:
    """The measurements that a top cannot be drafted without; of two that will do, the one that is in `has`."""
    style = TOPS[ask.style]
    girths = ("chest", "bust") if style.girth == "chest" else ("bust", "chest")
    lengths = [*WAIST_LEVELS]
    if not style.fitted and not ask.joined:
        lengths.append("shoulder_to_tummy")
    keys = [_first(girths, has), _first(("shoulder", "shoulder_length"), has), _first(lengths, has)]
    if style.fitted or ask.joined:
        keys.append("waist")
    if style.ends == "hip" and not ask.joined:
        keys.append("hip")
    if ask.sleeve != "none":
        keys.append("upper_arm")
        if ask.sleeve_length is None and ask.sleeve != "short":
            keys.append("sleeve_length")
    return tuple(keys)


def _first(among: Sequence[str], has: Collection[str]) -> str:
    return next((key for key in among if key in has), among[0])


def _neck(body: Body, ask: TopAsk) -> tuple[Length, Length, Length]:
    """Half the neck's width, and its depth in front and behind: from the neck's girth where it was taken."""
    measured = body.has("neck")
    wide: Length = body.neck / 5 if measured else inch(3, "neck")
    deep: Length = body.neck / 5 if measured else inch(3, "neck")
    behind: Length = inch(1, "neck")
    if ask.style in ("straight-top", "loose-top"):
        wide = wide + inch(0.5, "wider")
        behind = inch(2 if ask.style == "straight-top" else 1.5, "neck")
    if ask.neck_shape == "boat":
        wide, deep = wide + inch(2, "wider"), inch(2, "neck")
    elif ask.neck_shape == "v":
        deep = deep + inch(3, "deeper")
    elif ask.neck_shape == "square":
        deep = deep + inch(1, "deeper")
    if body.has("shoulder"):  # a shoulder is left, however wide the neck is by its shape
        wide = least(wide, body.shoulder / 2 - inch(2))
    return ask.neck_width or wide, ask.front_neck_depth or deep, ask.back_neck_depth or behind


def neck_round(shape: str, width: float, front: float, back: float, slope: float, shoulder: float) -> float:
    """Round the whole neck in mm, both halves of front and back."""
    point, tip = At(width, 0), At(shoulder, slope)
    down = square_in(point, tip)
    edges = [neck(kind, At(0, deep), point, down) for kind, deep in ((shape, front), ("round", back))]
    return 2 * sum(Path(tuple(edge)).length for edge in edges)


def _over_the_head(
    body: Body, ask: TopAsk, size: tuple[Length, Length, Length], slope: Length, shoulder: Length, notes: list[Finding]
) -> tuple[Length, Length]:
    """Width and front depth so that the head passes where nothing opens; what was chosen stays as it is."""
    width, front, back = size
    head = body.head.mm if body.has("head") else HEAD
    wanted = (head + OVER_HEAD) / (1 + float(ask.stretch) / 100)

    def miss(more: float) -> float:
        wide, deep = width.mm + more / 3, front.mm + more
        return neck_round(ask.neck_shape, wide, deep, back.mm, slope.mm, shoulder.mm) - wanted

    if ask.neck_width is not None or ask.front_neck_depth is not None or miss(0.0) >= 0:
        return width, front
    most_ = min(254.0, 3 * (shoulder.mm - 50.8 - width.mm))
    if most_ <= 0:
        return width, front
    # Where even that does not pass, it is cut as large as there is room for, and the check says so.
    more = zero_between(miss, 0.0, most_) or most_
    width, front = width + found(more / 3, "over_the_head"), front + found(more, "over_the_head")
    said = found(head, "")
    notes.append(Finding("neck.deepened", "note", part("front", "neck"), {"deep": front, "wide": width, "head": said}))
    return width, front


def _opening(
    body: Body, ask: TopAsk, size: tuple[Length, Length, Length], slope: Length, shoulder: Length
) -> Length | None:
    """How long a slit or placket at the front's neck is: 5 in, or as long as the head needs; None without one."""
    if ask.closure != "none" or ask.neck_opening == "none":
        return None
    if ask.neck_opening_length is not None:
        return ask.neck_opening_length
    width, front, back = size
    head = body.head.mm if body.has("head") else HEAD
    around = neck_round(ask.neck_shape, width.mm, front.mm, back.mm, slope.mm, shoulder.mm)
    wanted = (head + OVER_HEAD) / (1 + float(ask.stretch) / 100)
    return most(inch(5, "opening"), found((wanted - around) / 2 + OVER_HEAD, "over_the_head"))


def _shoulder(body: Body, neck_width: Length, slope: Length) -> Length:
    """From the centre to the shoulder tip, level. Raises CuttingError where the neck leaves no shoulder."""
    if body.has("shoulder"):
        half: Length = body.shoulder / 2
    else:
        run = max(0.0, body.shoulder_length.mm**2 - slope.mm**2) ** 0.5
        half = neck_width + found(run, "shoulder_run")
    if half.mm - neck_width.mm < inch(1.5).mm:
        raise refuse("neck.too_wide", choice("neck_width"), wide=neck_width, shoulder=half)
    return half


def _waist_levels(body: Body) -> tuple[Length, Length]:
    """The waist below the neck point, front and back; where one was not taken the front is 1/2 in longer.

    The nape is where it is, however deep the neck is cut.
    """
    if not body.has("neck_to_waist") and not body.has("nape_to_waist"):  # the belly's level stands in for a loose top
        front: Length = body.shoulder_to_tummy
        return front, front - inch(0.5, "over_the_bust")
    if not body.has("neck_to_waist"):
        back = NAPE.now + body.corrected("nape_to_waist")
        return back + inch(0.5, "over_the_bust"), back
    front = body.corrected("neck_to_waist")
    over_bust = inch(0.5, "over_the_bust")
    back = NAPE.now + body.corrected("nape_to_waist") if body.has("nape_to_waist") else front - over_bust
    if front.mm < back.mm - inch(2.5).mm:
        raise refuse("front.short", measure("neck_to_waist"), front=front, back=back)
    return front, back


def _armhole(body: Body, ask: TopAsk, girth: Measured, slope: Length, notes: list[Finding]) -> Length:
    """The armhole line below the shoulder tip's level."""
    lower = named(ask.armhole_lower, "lower")
    if ask.style == "loose-top" and body.has("shoulder_to_chest"):
        depth = body.shoulder_to_chest - slope + lower
    elif body.has("armhole_depth"):
        depth = NAPE.now + body.armhole_depth + inch(0.75, "armhole_ease") - slope + lower
    else:
        depth = girth / 6 + inch(1.5, "armhole_ease") + lower
    if depth.mm < inch(4).mm:
        raise refuse("armhole.shallow", measure("armhole_depth"), depth=depth)
    if depth.mm > DEEP.now.mm:
        notes.append(Finding("armhole.deep", "note", part("front", "armhole"), {"depth": depth, "most": DEEP.now}))
    return depth


def _across(body: Body, ask: TopAsk, shoulder: Length, width: Length) -> tuple[Length, Length]:
    """Half the width between the armholes, halfway down: chest in front, back behind; never outside the shoulder."""
    front: Length = body.chest_width / 2 if body.has("chest_width") else shoulder - named(ask.armhole_hollow, "hollow")
    back: Length = body.back_width / 2 if body.has("back_width") else shoulder
    front, back = least(front, shoulder), least(back, shoulder)
    if width.mm - shoulder.mm < inch(0.5).mm or width.mm - front.mm < inch(0.75).mm:
        # Not the widths between the armholes alone: a tip beyond the side would lean the armhole outwards.
        raise refuse("shoulder.wide", measure("shoulder"), across=shoulder, width=width)
    if min(front.mm, back.mm) < shoulder.mm - inch(3).mm:
        key = "chest_width" if front.mm < back.mm else "back_width"
        raise refuse("across.narrow", measure(key), across=least(front, back), shoulder=shoulder)
    return front, back


def _bust_point(body: Body, width: Length, slope: Length, depth: Length, front_level: Length) -> tuple[Length, Length]:
    """How far the bust point is below the neck point and out from the centre; by the plain method where not taken."""
    plain = slope + depth + inch(1.5, "below_armhole")
    level: Length = body.shoulder_to_bust_point if body.has("shoulder_to_bust_point") else plain
    if not slope.mm + depth.mm - 38.1 <= level.mm <= front_level.mm - 76.2:
        level = plain
    out: Length = body.bust_span / 2 if body.has("bust_span") else width * 2 / 5
    return level, out if out.mm < width.mm - 50.8 else width * 2 / 5


def _darts(spare: Length, ask: TopAsk) -> Darts:
    """What the waist is smaller than the bust: the side takes 1 in, one dart up to 1 1/2, two up to 3."""
    nothing = mm(0)
    if ask.darts == "none":
        return Darts.none()
    if ask.dart_intake is not None:
        return Darts(ask.dart_intake, 2 if ask.darts == "two" else 1, nothing)
    over = least(most(spare - SIDE_TAKES.now, nothing), TWO_DARTS.now)
    if over.mm < 3:
        return Darts.none()
    if ask.darts == "two" or (ask.darts is None and over.mm > ONE_DART.now.mm):
        return Darts(over / 2, 2, nothing)
    return Darts(least(over, ONE_DART.now), 1, nothing)


def _ends(
    body: Body, ask: TopAsk, style: TopStyle, front_level: Length, back_level: Length, armhole: Length
) -> tuple[Length, Length]:
    """Where the lower edge is, front and back, before the bust dart. The front keeps what it is longer by."""
    if ask.joined or style.fitted:
        return front_level, back_level
    if ask.top_length is not None:
        back: Length = NAPE.now + ask.top_length
    elif style.ends == "above_waist":
        back = most(back_level - inch(2, "above_the_waist"), armhole + inch(3, "below_armhole"))
    else:
        back = NAPE.now + body.top_length if body.has("top_length") else back_level + HIP_BELOW.now
    return back + front_level - back_level, back


def _hip(
    body: Body, ask: TopAsk, style: TopStyle, width: Length, back_level: Length, armhole: Length
) -> tuple[Length, Length]:
    """The hip line's level and the width wanted there; the bust's width at the waist where the top ends above it.

    A belly larger than the hip asks for more: the straight side has to pass it where it is fullest.
    """
    if style.ends != "hip" or ask.joined:
        wanted = (body.waist + named(ask.bust_ease, "bust_ease")) / 4 if body.has("waist") else width
        return back_level, most(width, wanted)
    level = back_level + (body.waist_to_hip if body.has("waist_to_hip") else HIP_BELOW.now)
    wanted = most(width, (body.hip + named(ask.hip_ease, "hip_ease")) / 4)
    if body.has("waist") or body.has("tummy"):
        round_ = body.tummy if body.has("tummy") else body.waist
        belly: Length = body.shoulder_to_tummy if body.has("shoulder_to_tummy") else back_level
        over = (round_ + named(ask.hip_ease, "hip_ease")).mm / 4 - width.mm
        down = belly.mm - armhole.mm
        if over > 0 and down > inch(2).mm:
            wanted = most(wanted, width + found(over * (level.mm - armhole.mm) / down, "over_the_tummy"))
    return level, wanted
