"""What finishes the waist: bands, elastic, the channel and tie of a paper-bag waist."""

from collections.abc import Collection, Sequence
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
SIDES = ("back-band.end", 2)
"""What a front band is sewn to at both its ends."""


def band_depth(ask: Ask) -> Length:
    """The strip's cut depth: twice the finished depth and two seams."""
    return named(ask.band_depth, "band_finished") * 2 + SEAM.now * 2


def waist_parts(garment: str, ask: Ask, sums: Sums, legs: Collection[str]) -> list[Part]:
    """The parts sewn on at the waist of these legs, bands first. Raises CuttingError where a leg has no sides."""
    if ask.waist_finish == "paper-bag":
        return _channel_and_tie(garment, sums, legs)
    if ask.waist_finish not in ("straight-band", "elastic-band", "half-elastic"):
        return []
    if ask.waist_finish == "half-elastic" or ask.band_join == "sides":
        if "front" not in legs:
            raise refuse("band.sides", choice("band_join"))
        return _front_and_back(garment, ask, sums)
    to = tuple(f"{leg}.waist" for leg in legs)
    elastic = ask.elastic_all_round
    around, overlap = (sums.opening, mm(0)) if elastic else (sums.waist, named(ask.band_overlap, "overlap"))
    if ask.band_join == "centre-back":
        return [
            _band(garment, "band", ask, around / 2, to, overlap / 2, stiff=not elastic, count=2, ring=("band.end", 1))
        ]
    ring = ("band.other_end", 1) if elastic else None
    return [_band(garment, "band", ask, around, to, overlap, stiff=not elastic, ring=ring, marks=_marks(ask, sums))]


def _band(
    garment: str, name: str, ask: Ask, around: Length, to: Sequence[str], overlap: Length, *, stiff: bool,
    count: int = 1, ring: tuple[str, int] | None = None, marks: Sequence[tuple[str, float]] = (),
) -> Part:  # fmt: skip
    """A strip of a band: as long as it goes around, its overlap and two seams; folded along its middle.

    `ring` is the end that its own is sewn to and how often; `marks` are the notches, in mm along from its first end.
    """
    long = around + overlap + SEAM.now * 2
    both = Allowed(SEAM.now, SEAM.now)
    panel = strip(garment, name, long, band_depth(ask), both, overlap=overlap, round=around)
    whole = panel.edges["waist"].path.length
    panel = with_notches(panel, *(panel.notch("waist", code, at) for code, at in marks if 1.0 < at < whole - 1.0))
    seams = [sewn("waist", f"{name}.waist", *to)]
    if ring is not None:
        seams.append(sewn("ring", f"{name}.end", ring[0], count=ring[1]))
    return Part(panel, count, fold=middle_of(panel), interfacing=stiff, seams=tuple(seams))


def _front_and_back(garment: str, ask: Ask, sums: Sums) -> list[Part]:
    """A front band with the overlap and a back band, sewn together at the sides; under a fly the front's in halves."""
    stiff = {"front": ask.waist_finish != "elastic-band", "back": ask.waist_finish == "straight-band"}
    front, back = _on_the_band(ask, sums)
    overlap = named(ask.band_overlap, "overlap") if stiff["back"] else mm(0)
    if stiff["back"] and ask.closure == "fly":
        ahead = _band(garment, "front-band", ask, front, ("front.waist",), overlap / 2, stiff=True, count=2, ring=SIDES)
    else:
        ahead = _band(
            garment, "front-band", ask, front * 2, ("front.waist",), overlap, stiff=stiff["front"], ring=SIDES,
            marks=[("centre", front.mm)],
        )  # fmt: skip
    middle = [("centre", back.mm)]
    behind = _band(
        garment, "back-band", ask, back * 2, ("back.waist",), mm(0), stiff=stiff["back"], marks=middle
    )  # fmt: skip
    return [ahead, behind]


def _on_the_band(ask: Ask, sums: Sums) -> tuple[Length, Length]:
    """What half a front and half a back are on their band: flat under elastic; darts closed, fullness drawn in."""
    if ask.elastic_all_round:
        return sums.front_waist, sums.back_waist
    front = sums.front_waist - sums.front_darts.all
    if ask.waist_finish == "half-elastic":
        return front, sums.back_waist
    return front - sums.front_gathers, sums.back_waist - sums.back_darts.all - sums.back_gathers


def _channel_and_tie(garment: str, sums: Sums, legs: Collection[str]) -> list[Part]:
    """What a paper-bag waist is drawn in with: a channel inside the legs, and a tie in two lengths."""
    channel = strip(garment, "channel", sums.opening + SEAM.now * 2, CHANNEL, Allowed(SEAM.now, CHANNEL_SEAM))
    tie_long = (sums.waist_girth or sums.waist) / 2 + inch(18, "to_tie")
    tie = strip(garment, "tie", tie_long, TIE, Allowed(cm(1), cm(1)))
    under = sewn("channel", "channel.waist", *(f"{leg}.channel" for leg in legs))
    return [
        Part(channel, fold=middle_of(channel), seams=(under,)),
        Part(tie, count=2, seams=(sewn("tie", "tie.end", "tie.end"),)),
    ]


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


def _marks(ask: Ask, sums: Sums) -> list[tuple[str, float]]:
    """Where a band that closes at one place meets side seams and centres, and where its overlap begins: mm along it."""
    front, back = (width.mm for width in _on_the_band(ask, sums))
    end = ("overlap", 2 * (front + back))
    if ask.closure == "side-zip":
        return [("centre", front), ("side", 2 * front), ("centre", 2 * front + back), end]
    if ask.closure == "fly":
        return [("side", front), ("centre", front + back), ("side", front + 2 * back), end]
    return [("side", back), ("centre", back + front), ("side", back + 2 * front), end]
