"""What finishes the waist: bands, elastic, the channel and tie of a paper-bag waist."""

from collections.abc import Collection
from dataclasses import replace

from cutting.errors import refuse
from cutting.garments.part import Allowed, Part, middle_of, strip
from cutting.garments.seams import sewn
from cutting.geometry import Line, Path, offset_polyline
from cutting.lengths import Fixed, Length, Rule, cm, inch, mm, named
from cutting.methods import Ask
from cutting.methods.sums import Sums
from cutting.pieces import Panel
from cutting.pieces.panel import with_notches
from cutting.where import choice

SEAM = Rule(0.5, "band_seam")
CHANNEL, CHANNEL_SEAM = cm(6, "channel"), cm(1)
TIE = cm(20, "tie")


def band_depth(ask: Ask) -> Length:
    """The strip's cut depth: twice the finished depth and two seams."""
    return named(ask.band_depth, "band_finished") * 2 + SEAM.now * 2


def waist_parts(garment: str, ask: Ask, sums: Sums, legs: Collection[str]) -> list[Part]:
    """The parts sewn on at the waist of these legs, bands first. Raises CuttingError where a leg has no sides."""
    deep, seam = band_depth(ask), tuple(f"{leg}.waist" for leg in legs)
    both = Allowed(SEAM.now, SEAM.now)

    def band(name: str, around: Length, overlap: Length, stiff: bool, *to: str) -> Part:
        length = around + overlap + SEAM.now * 2
        panel = strip(garment, name, length, deep, both, overlap=overlap, round=around)
        panel = with_notches(panel, *(panel.notch("waist", code, at) for code, at in _marks(name, ask, sums, panel)))
        other = {"front-band": "back-band.end", "back-band": ""}.get(name, f"{name}.other_end")
        ring = () if overlap.mm or not other else (sewn("ring", f"{name}.end", other, count=1 + (name != "band")),)
        return Part(panel, fold=middle_of(panel), interfacing=stiff, seams=(sewn("waist", f"{name}.waist", *to), *ring))

    finish = ask.waist_finish
    if finish == "straight-band":
        overlap = named(ask.band_overlap, "overlap")
        if ask.band_join == "sides":
            return _joined_at_the_sides(garment, ask, sums, deep)
        if ask.band_join == "centre-back":
            return [_of_two_halves(garment, sums.waist, overlap, deep, True, *seam)]
        return [band("band", sums.waist, overlap, True, *seam)]
    if finish == "elastic-band":
        if ask.band_join == "sides":
            if "front" not in legs:
                raise refuse("band.sides", choice("band_join"))
            return [
                band("front-band", sums.front_waist * 2, mm(0), False, "front.waist"),
                band("back-band", sums.back_waist * 2, mm(0), False, "back.waist"),
            ]
        if ask.band_join == "centre-back":
            return [_of_two_halves(garment, sums.opening, mm(0), deep, False, *seam)]
        return [band("band", sums.opening, mm(0), False, *seam)]
    if finish == "half-elastic":
        front, back = sums.front_waist - sums.front_darts.all, sums.back_waist
        return [
            band("front-band", front * 2, mm(0), True, "front.waist"),
            band("back-band", back * 2, mm(0), False, "back.waist"),
        ]
    if finish == "paper-bag":
        long = sums.opening + SEAM.now * 2
        channel = strip(garment, "channel", long, CHANNEL, Allowed(SEAM.now, CHANNEL_SEAM))
        tie = strip(
            garment, "tie", (sums.waist_girth or sums.waist) / 2 + inch(18, "to_tie"), TIE, Allowed(cm(1), cm(1))
        )
        return [
            Part(
                channel,
                fold=middle_of(channel),
                seams=(sewn("channel", "channel.waist", *(f"{leg}.channel" for leg in legs)),),
            ),
            Part(tie, count=2, seams=(sewn("tie", "tie.end", "tie.end"),)),
        ]
    return []


def _of_two_halves(garment: str, around: Length, overlap: Length, deep: Length, stiff: bool, *to: str) -> Part:
    """A band cut in two equal strips and joined."""
    long = (around + overlap) / 2 + SEAM.now * 2
    half = strip(
        garment, "band", long, deep, Allowed(SEAM.now, SEAM.now), overlap=overlap / 2, round=around / 2
    )  # fmt: skip
    joined = (sewn("waist", "band.waist", *to), sewn("ring", "band.end", "band.end"))
    return Part(half, 2, fold=middle_of(half), interfacing=stiff, seams=joined)


def with_channel(legs: dict[str, Panel], ask: Ask) -> dict[str, Panel]:
    """The legs with the line of the channel's lower edge, and a notch where it meets sides and centres."""
    if ask.waist_finish != "paper-bag":
        return legs
    deep = (CHANNEL - CHANNEL_SEAM * 2).mm
    done = {}
    for name, panel in legs.items():
        lower = offset_polyline(panel.edges["waist"].path.flat(), -deep)
        line = Path(tuple(Line(a, b) for a, b in zip(lower, lower[1:], strict=False)))
        before = "side" if "side" in panel.edges else "back_crotch"
        ends = (before, panel.edges[before].path.length - deep), ("crotch", deep)
        marked = replace(panel, lines=panel.lines | {"channel": line})
        done[name] = with_notches(marked, *(panel.notch(edge, "channel", at) for edge, at in ends))
    return done


def elastic_length(ask: Ask, sums: Sums) -> Length | None:
    """The elastic without overlap, half of it where only the back is elastic; None without one, or without a waist."""
    if not ask.elastic_all_round and ask.waist_finish != "half-elastic":
        return None
    if isinstance(ask.elastic, Fixed):
        return ask.elastic
    if sums.waist_girth is None:
        return None
    around = sums.waist_girth
    if ask.waist_finish == "half-elastic" and ask.front_waist == "hip":
        around = around - sums.front_waist * 2
        return around - inch(2) if ask.elastic == "waist-4" else around * 9 / 10
    whole: Length
    whole = around - inch(4) if ask.elastic == "waist-4" else around * 9 / 10
    return whole / 2 if ask.waist_finish == "half-elastic" else whole


def _marks(name: str, ask: Ask, sums: Sums, panel: Panel) -> list[tuple[str, float]]:
    """Where a band meets side seams and centres, and where its overlap begins: along it from its first end, in mm."""
    darts = not (ask.elastic_all_round or name == "back-band")
    front = (sums.front_waist - sums.front_darts.all if darts else sums.front_waist).mm
    back = (sums.back_waist - sums.back_darts.all if darts else sums.back_waist).mm
    whole = panel.edges["waist"].path.length
    if name == "front-band":
        order = [("centre", front)]
    elif name == "back-band":
        order = [("centre", back)]
    elif ask.closure == "side-zip":
        order = [("centre", front), ("side", 2 * front), ("centre", 2 * front + back), ("overlap", 2 * (front + back))]
    elif ask.closure == "fly":
        order = [("side", front), ("centre", front + back), ("side", front + 2 * back), ("overlap", 2 * (front + back))]
    else:
        order = [("side", back), ("centre", back + front), ("side", back + 2 * front), ("overlap", 2 * (front + back))]
    return [(code, at) for code, at in order if 1.0 < at < whole - 1.0]


def _joined_at_the_sides(garment: str, ask: Ask, sums: Sums, deep: Length) -> list[Part]:
    """A front band and a back band; under a fly the front's in two halves. The front ones have the overlap."""
    both = Allowed(SEAM.now, SEAM.now)
    overlap = named(ask.band_overlap, "overlap")
    front, back = sums.front_waist - sums.front_darts.all, sums.back_waist - sums.back_darts.all
    halves = ask.closure == "fly"
    parts: list[Part] = []
    for name, around, more, count in (
        ("front-band", front if halves else front * 2, overlap / 2 if halves else overlap, 2 if halves else 1),
        ("back-band", back * 2, mm(0), 1),
    ):
        panel = strip(garment, name, around + more + SEAM.now * 2, deep, both, overlap=more, round=around)
        if not (halves and name == "front-band"):
            panel = with_notches(panel, panel.notch("waist", "centre", around.mm / 2))
        seams = [sewn("waist", f"{name}.waist", f"{name.removesuffix('-band')}.waist")]
        if name == "front-band":
            seams.append(sewn("ring", "front-band.end", "back-band.end", count=2))
        parts.append(Part(panel, count, fold=middle_of(panel), interfacing=True, seams=tuple(seams)))
    return parts
