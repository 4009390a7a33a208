"""What finishes the waist: bands, elastic, the channel and tie of a paper-bag waist."""

from cutting.garments.part import Allowed, Part, middle_of, strip
from cutting.garments.seams import sewn
from cutting.lengths import Fixed, Length, cm, inch, mm, named
from cutting.methods import Ask
from cutting.methods.sums import Sums

SEAM = inch(0.5, "band_seam")
BOTH = Allowed(SEAM, SEAM)
CHANNEL = cm(6, "channel")
TIE = cm(20, "tie")
LEGS = ("front.waist", "back.waist")


def band_depth(ask: Ask) -> Length:
    """The strip's cut depth: twice the finished depth and two seams."""
    return named(ask.band_depth, "band_finished") * 2 + SEAM * 2


def waist_parts(garment: str, ask: Ask, sums: Sums) -> list[Part]:
    """The parts sewn on at the waist, bands first."""
    deep = band_depth(ask)

    def band(name: str, around: Length, overlap: Length, stiff: bool, *to: str) -> Part:
        length = around + overlap + SEAM * 2
        panel = strip(garment, name, length, deep, BOTH, overlap=overlap, round=around)
        ring = () if overlap.mm else (sewn("ring", f"{name}.end", f"{name}.other_end"),)
        return Part(panel, fold=middle_of(panel), interfacing=stiff, seams=(sewn("waist", f"{name}.waist", *to), *ring))

    finish = ask.waist_finish
    if finish == "straight-band":
        overlap = named(ask.band_overlap, "overlap")
        if ask.band_join == "centre-back":
            half = strip(
                garment, "band", (sums.waist_round + overlap) / 2 + SEAM * 2, deep, BOTH,
                overlap=overlap / 2, round=sums.waist_round / 2,
            )  # fmt: skip
            joined = (sewn("waist", "band.waist", *LEGS), sewn("ring", "band.end", "band.end"))
            return [Part(half, 2, fold=middle_of(half), interfacing=True, seams=joined)]
        return [band("band", sums.waist_round, overlap, True, *LEGS)]
    if finish == "elastic-band":
        return [band("band", sums.opening, mm(0), False, *LEGS)]
    if finish == "half-elastic":
        front, back = sums.front_waist - sums.front_darts.all, sums.back_waist
        return [
            band("front-band", front * 2, mm(0), True, "front.waist"),
            band("back-band", back * 2, mm(0), False, "back.waist"),
        ]
    if finish == "paper-bag":
        long = sums.opening + SEAM * 2
        channel = strip(garment, "channel", long, CHANNEL, Allowed(SEAM, cm(1)))
        tie = strip(garment, "tie", sums.waist_girth / 2 + inch(18, "to_tie"), TIE, Allowed(cm(1), cm(1)))
        return [
            Part(
                channel,
                fold=middle_of(channel),
                seams=(sewn("channel", "channel.waist", "front.heading", "back.heading"),),
            ),
            Part(tie, count=2, seams=(sewn("tie", "tie.end", "tie.end"),)),
        ]
    return []


def elastic_length(ask: Ask, sums: Sums) -> Length | None:
    """The elastic without overlap; None where there is none. Half of it where only the back is elastic."""
    if not ask.elastic_all_round and ask.waist_finish != "half-elastic":
        return None
    if isinstance(ask.elastic, Fixed):
        whole: Length = ask.elastic
    elif ask.elastic == "waist-4":
        whole = sums.waist_girth - inch(4)
    else:
        whole = sums.waist_girth * 9 / 10
    return whole / 2 if ask.waist_finish == "half-elastic" and not isinstance(ask.elastic, Fixed) else whole
