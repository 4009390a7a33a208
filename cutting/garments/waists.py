"""What finishes the waist: bands, elastic, the channel and tie of a paper-bag waist."""

from dataclasses import dataclass

from cutting.garments.part import Part, Seams, middle_of, strip
from cutting.lengths import Fixed, Length, cm, found, inch, mm, named
from cutting.methods import Ask
from cutting.methods.sums import Sums

SEAM = inch(0.5, "band_seam")
BOTH = Seams(SEAM, SEAM)
CHANNEL = cm(6, "channel")
TIE = cm(20, "tie")


def band_depth(ask: Ask) -> Length:
    """The strip's cut depth: twice the finished depth and two seams."""
    return named(ask.band_depth, "band_finished") * 2 + SEAM * 2


def waist_parts(garment: str, ask: Ask, sums: Sums) -> list[Part]:
    """The parts sewn on at the waist, bands first."""
    deep = band_depth(ask)

    def band(name: str, round_: Length, overlap: Length, stiff: bool) -> Part:
        length = round_ + overlap + SEAM * 2
        panel = strip(garment, name, length, deep, BOTH, overlap=overlap, round=round_)
        return Part(panel, fold=middle_of(panel), interfacing=stiff, sewn_to="front.waist, back.waist")

    finish = ask.waist_finish
    if finish == "straight-band":
        overlap = named(ask.band_overlap, "overlap")
        if ask.band_join == "centre-back":
            half = strip(
                garment, "band", (sums.waist_round + overlap) / 2 + SEAM * 2, deep, BOTH,
                overlap=overlap / 2, round=sums.waist_round / 2,
            )  # fmt: skip
            return [Part(half, 2, fold=middle_of(half), interfacing=True, sewn_to="front.waist, back.waist")]
        return [band("band", sums.waist_round, overlap, True)]
    if finish == "elastic-band":
        return [band("band", sums.opening, mm(0), False)]
    if finish == "half-elastic":
        front, back = sums.front_waist - sums.front_darts.all, sums.back_waist
        return [band("front-band", front * 2, mm(0), True), band("back-band", back * 2, mm(0), False)]
    if finish == "paper-bag":
        long = sums.opening + SEAM * 2
        channel = strip(garment, "channel", long, CHANNEL, Seams(SEAM, cm(1)))
        tie = strip(garment, "tie", sums.waist_girth / 2 + inch(18, "to_tie"), TIE, Seams(cm(1), cm(1)))
        return [
            Part(channel, fold=middle_of(channel), sewn_to="front, back: inside, under the heading"),
            Part(tie, count=2, sewn_to="tie"),
        ]
    return []


@dataclass(frozen=True)
class Notion:
    """Something bought: how many, and how long and wide where it has a length."""

    name: str
    count: int = 1
    length: Length | None = None
    width: Length | None = None


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


ZIPS = {"side-zip": inch(9), "back-zip": inch(9), "fly": inch(7)}


def interfacing(part: Part) -> Notion:
    """A piece of interfacing as large as the part's sewing lines."""
    net = part.panel.net
    high = max(p.down for p in net) - min(p.down for p in net)
    wide = max(p.across for p in net) - min(p.across for p in net)
    count = part.count // 2 if part.pair else part.count
    return Notion(
        f"interfacing for the {part.panel.name}", count, found(max(high, wide), ""), found(min(high, wide), "")
    )


def notions(ask: Ask, sums: Sums, parts: list[Part]) -> list[Notion]:
    """Zip, elastic, interfacing, hook."""
    bought: list[Notion] = []
    if ask.closure in ZIPS:
        names = {"side-zip": "zip", "back-zip": "invisible zip", "fly": "fly zip"}
        bought.append(Notion(names[ask.closure], 1, ZIPS[ask.closure]))
    elastic = elastic_length(ask, sums)
    if elastic is not None:
        bought.append(Notion("elastic, 1 in wide", 1, elastic))
    bought += [interfacing(part) for part in parts if part.interfacing]
    if ask.has_band and ask.closure != "none":
        bought.append(Notion("hook and bar"))
    return bought
