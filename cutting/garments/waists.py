"""What finishes the waist: bands, elastic, the channel and tie of a paper-bag waist."""

from cutting.garments.part import Allowed, Part, middle_of, strip
from cutting.garments.seams import sewn
from cutting.lengths import Fixed, Length, Rule, cm, inch, mm, named
from cutting.methods import Ask
from cutting.methods.sums import Sums

SEAM = Rule(0.5, "band_seam")
CHANNEL, CHANNEL_SEAM = cm(6, "channel"), cm(1)
TIE = cm(20, "tie")
LEGS = ("front.waist", "back.waist")


def band_depth(ask: Ask) -> Length:
    """The strip's cut depth: twice the finished depth and two seams."""
    return named(ask.band_depth, "band_finished") * 2 + SEAM.now * 2


def waist_parts(garment: str, ask: Ask, sums: Sums) -> list[Part]:
    """The parts sewn on at the waist, bands first."""
    deep = band_depth(ask)

    both = Allowed(SEAM.now, SEAM.now)

    def band(name: str, around: Length, overlap: Length, stiff: bool, *to: str) -> Part:
        length = around + overlap + SEAM.now * 2
        panel = strip(garment, name, length, deep, both, overlap=overlap, round=around)
        ring = () if overlap.mm else (sewn("ring", f"{name}.end", f"{name}.other_end"),)
        return Part(panel, fold=middle_of(panel), interfacing=stiff, seams=(sewn("waist", f"{name}.waist", *to), *ring))

    finish = ask.waist_finish
    if finish == "straight-band":
        overlap = named(ask.band_overlap, "overlap")
        if ask.band_join == "centre-back":
            half = strip(
                garment, "band", (sums.waist + overlap) / 2 + SEAM.now * 2, deep, both,
                overlap=overlap / 2, round=sums.waist / 2,
            )  # fmt: skip
            joined = (sewn("waist", "band.waist", *LEGS), sewn("ring", "band.end", "band.end"))
            return [Part(half, 2, fold=middle_of(half), interfacing=True, seams=joined)]
        return [band("band", sums.waist, overlap, True, *LEGS)]
    if finish == "elastic-band":
        return [band("band", sums.opening, mm(0), False, *LEGS)]
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
                seams=(sewn("channel", "channel.waist", "front.heading", "back.heading"),),
            ),
            Part(tie, count=2, seams=(sewn("tie", "tie.end", "tie.end"),)),
        ]
    return []


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
