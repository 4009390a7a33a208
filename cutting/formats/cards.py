"""A plan as cards to follow: its calls, its lay, what is cut, the measures it was made from."""

from collections.abc import Sequence
from itertools import groupby
from typing import Any

from cutting.body import CATALOGUE
from cutting.drawing import (
    Block,
    Document,
    Figure,
    Heading,
    Picture,
    Said,
    Sheet,
    Stroke,
    Table,
    Text,
    Tick,
    Together,
    around,
    polyline,
)
from cutting.formats.drawn_lay import letter_of, lettered, section_sheet
from cutting.formats.named import NOBODY, Clients, name_of, side_of
from cutting.formats.plan_shape import LayOut, MarkOut, PieceOut, PlacementOut, PlanOut, SectionOut
from cutting.geometry import Point, least_box
from cutting.lengths import Unit, read, show
from cutting.words import Language

SMALL = (52.0, 46.0)
"""How wide and high the drawing of a piece on the card of its calls may be, mm."""
WIDE, HIGH = 186.0, 150.0
"""How wide and high a lay may be on its sheet, mm: on A4 and on Letter."""
SCALES = (5, 6, 8, 10, 12, 15, 20, 25, 30, 40, 50, 60, 80, 100, 150, 200)
"""Drawn so many times smaller."""
BESIDE, HEIGHT, LEAST, CROSS = 1.2, 2.4, 3.0, 0.8
"""A call's number beside its place: how far, how high, how far from another at least; half of its cross; mm."""


def call_card(
    plan: PlanOut, figures: Sequence[Figure], words: Language, clients: Clients = NOBODY, address: str = ""
) -> Document:
    """Every call in its order, piece by piece: a box to tick, what, how far, from where, its sum with its numbers, and
    what is to be minded before. With the address of Mark each piece has the code of its first call.
    """
    said = words.page
    blocks: list[Block] = [Said(said("card_calls", calls=len(plan.marks), pieces=len(plan.pieces)))]
    section: SectionOut | None = None
    for (garment, panel), group in groupby(plan.marks, key=lambda one: (one.garment, one.panel)):
        marks = list(group)
        own = _section(plan, marks[0])
        if own is not section and own is not None:
            section = own
            blocks.append(_prepare(plan, own, words))
        piece = next((one for one in plan.pieces if (one.garment, one.panel) == (garment, panel)), None)
        code = f"{address}{marks[0].n}" if address else ""
        name = name_of(plan, garment, panel, words, clients)
        head: list[Block] = [Heading(_label(piece, name, words) if piece else name)]
        if _is_under(plan, marks[0]):
            head.append(Said(said("card_under"), strong=True))
        drawn = next((one for one in figures if piece and one.id == piece.id), None)
        if drawn:
            head.append(Picture(_numbered(drawn, marks), code))
        rows = [_call(mark, plan, words) for mark in marks]
        widths, right = (12.5, 0.0, 21.0), frozenset({2})
        blocks.append(Together((*head, Table(widths, tuple(rows[:2]), right=right))))
        blocks.append(Table(widths, tuple(rows[2:]), right=right))
    return Document(said("card_calls_title"), tuple(blocks), columns=2)


def lay_card(plan: PlanOut, figures: Sequence[Figure], words: Language, clients: Clients = NOBODY) -> Document:
    """Each section of the cloth to scale with its ruler, how it is folded and what is left over of it; which letter is
    which piece.
    """
    said, lay = words.page, plan.lay
    title = said("card_lay_title")
    if lay is None:
        return Document(title, (Said(said("no_lay")),))
    blocks: list[Block] = [*_bought(plan, words)]
    small = lettered(figures)
    for number, section in enumerate(lay.sections):
        scale = next((one for one in SCALES if _fits(section, one)), SCALES[-1])
        sheet = section_sheet(plan, lay, number, small, 1 / scale, left_over=True)
        drawn = said(f"card_scale_{plan.unit}", scale=scale)
        blocks.append(Together((
            Heading(section.cut), Said(_long(plan, lay, number, words)), *map(Said, section.prepare),
            Picture(sheet), Said(drawn, "small"),
        )))  # fmt: skip
    left = [
        f"{show(one.along_mm, plan.unit).text} x {show(one.across_mm, plan.unit).text}"
        + (said("card_layers", layers=one.layers) if one.layers > 1 else "")
        for one in lay.offcuts
    ]
    if left:
        blocks.append(Said(said("card_offcuts", sizes="; ".join(left))))
    return Document(title, (*blocks, _cut_table(plan, words, clients)))


def cut_card(plan: PlanOut, words: Language, clients: Clients = NOBODY) -> Document:
    """What is cut, and what is bought."""
    said = words.page
    blocks: list[Block] = [*_bought(plan, words), _cut_table(plan, words, clients)]
    blocks += [Said(said("card_band", size=size)) for size in _banded(plan)]
    if plan.notions:
        rows = [(Tick(), [Said(one.name, strong=True)], [Said(_notion(one.count, one.length_mm, plan.unit))])
                for one in plan.notions]  # fmt: skip
        blocks += [Heading(said("card_notions")), Table((10.0, 0.0, 60.0), tuple(rows), right=frozenset({2}))]
    return Document(said("card_cut_title"), tuple(blocks))


def _banded(plan: PlanOut) -> list[str]:
    """The waists that bands are cut for, as they should read before those are sewn on."""
    bands = {one.garment for one in plan.sewing if one.code == "band"}
    steps = (one for one in plan.sewing if one.code == "measure_waist" and one.garment in bands)
    return [reading.shown for one in steps for reading in one.readings]


def measure_card(job: dict[str, Any], unit: Unit, words: Language, clients: Clients = NOBODY) -> Document:
    """The measures that a plan was made from, in the order of taking, with room for what is read next time; of others
    whose outfits are cut from the same cloth too.
    """
    blocks = list[Block]()
    own, others = (clients.get("", ""), job.get("measurements")), job.get("others") or []
    for name, taken in [own, *((clients.get(one["id"], one["id"]), one["measurements"]) for one in others)]:
        blocks += [Heading(name)] if name else []
        blocks.append(_measures(taken or {}, job.get("unit", "in"), unit, words))
    return Document(words.page("card_measures_title"), tuple(blocks))


def _measures(taken: dict[str, Any], own: Unit, unit: Unit, words: Language) -> Table:
    """What is taken, in its own unit where it says none, shown in another."""
    said, rows = words.page, []
    for point in CATALOGUE.values():
        if point.key in taken:
            taking = words.taking(point.key)
            size = show(read(str(taken[point.key]), own), unit).text
            rows.append(
                ([Said(taking.name, strong=True), Said(taking.how, "small")], [Said(size, "large")], [Said("")])
            )
    head = (said("card_point"), said("card_taken"), said("card_again"))
    return Table((0.0, 38.0, 44.0), tuple(rows), head, frozenset({1, 2}))


def _section(plan: PlanOut, mark: MarkOut) -> SectionOut | None:
    lay = plan.lay
    return None if lay is None or mark.placing is None else lay.sections[lay.placements[mark.placing].section]


def _prepare(plan: PlanOut, section: SectionOut, words: Language) -> Block:
    sided = any(side_of(plan, one.garment, one.panel) for one in plan.pieces)
    layers = words.page("card_sided" if sided else "card_open" if len(section.layers) == 1 else "card_folded")
    lines = [*map(Said, section.prepare), Said(layers, strong=True)]
    return Together((Heading(words.page("card_prepare", cut=section.cut)), *lines))


def _label(piece: PieceOut, name: str, words: Language) -> str:
    return words.piece_label(name, piece.count, piece.pair, piece.on_fold)


def _is_under(plan: PlanOut, first: MarkOut) -> bool:
    """Whether another layer is over the piece that begins with this call."""
    return plan.lay is not None and first.placing is not None and plan.lay.placements[first.placing].under


def _long(plan: PlanOut, lay: LayOut, number: int, words: Language) -> str:
    """How long a section is, from where to where of the cloth, and which piece ends there."""
    section = lay.sections[number]
    ends = {one.piece: one.x_mm + _reach(plan, one) for one in lay.placements if one.section == number}
    last = max(range(len(plan.pieces)), key=lambda k: ends.get(plan.pieces[k].id, 0.0))
    long, start, end = (show(mm, plan.unit).text for mm in (section.extent_mm, section.from_mm, section.to_mm))
    return words.page("card_long", long=long, start=start, end=end, letter=letter_of(last))


def _reach(plan: PlanOut, placing: PlacementOut) -> float:
    """How far along the cloth a piece reaches from where it is placed."""
    down = [y for one in plan.pieces if one.id == placing.piece for _, y in one.cut]
    return -min(down) if placing.turned else max(down)


def _call(mark: MarkOut, plan: PlanOut, words: Language) -> tuple[Any, ...]:
    lines = [Said(mark.name, strong=True)]
    way = ", ".join(filter(None, [words.page("card_from", start=mark.from_) if mark.from_ else "", mark.along]))
    # Where nobody works a number out, it is measured on the draft: it has no sum of numbers.
    summed = f"{mark.with_} {'=' if mark.exact else '≈'} {mark.shown}" if mark.by_hand else ""
    lines += [Said(text, "small") for text in (way, mark.formula, summed) if text]
    warns = [words.page("card_waits")] if mark.waits else []
    lines += [Said(text, "small", strong=True) for text in warns]
    return Tick(str(mark.n)), lines, [Said(mark.shown, "large", strong=True)] if mark.shown else []


def _numbered(piece: Figure, marks: Sequence[MarkOut]) -> Sheet:
    """A piece small, the numbers of its calls beside their places; of calls at one place the first."""
    left, top, right, low = least_box([*piece.outline, *(Point(*one.local_mm[1]) for one in marks)])
    scale = min(SMALL[0] / (right - left), SMALL[1] / (low - top))

    def there(at: Point) -> Point:
        return Point(scale * (at.across - left), scale * (at.down - top))

    numbers, taken = list[Text](), list[Point]()
    for mark in marks:
        at = there(Point(*mark.local_mm[1]))
        if mark.kind in ("point", "meet", "line") and all(_far(at, other) for other in taken):
            taken.append(at)
            numbers.append(Text(str(mark.n), at.plus(Point(BESIDE, -BESIDE / 2)), HEIGHT))
    strokes = [
        Stroke(s.role, s.path.mapped(there), s.closed) for s in piece.strokes if s.role in ("cut", "fold", "net")
    ]
    crosses = [stroke for at in taken for stroke in _cross(at)]
    return around(piece.id, [Figure(piece.id, (*strokes, *crosses), tuple(numbers))], 4.0)


def _far(one: Point, other: Point) -> bool:
    return abs(one.across - other.across) > LEAST or abs(one.down - other.down) > LEAST


def _cross(at: Point) -> list[Stroke]:
    return [
        Stroke("notch", polyline([at.plus(Point(-x, -y)), at.plus(Point(x, y))])) for x, y in ((CROSS, 0), (0, CROSS))
    ]


def _fits(section: SectionOut, scale: int) -> bool:
    return section.extent_mm / scale <= WIDE and section.depth_mm / scale <= HIGH


def _bought(plan: PlanOut, words: Language) -> list[Block]:
    """What cloth is bought, with its sum."""
    if plan.yardage is None:
        return []
    buy = words.page("card_buy", buy=show(plan.yardage.buy_mm, plan.unit).text)
    return [Said(buy, strong=True), Said(plan.yardage.formula, "small")]


def _cut_table(plan: PlanOut, words: Language, clients: Clients) -> Table:
    said = words.page
    rows = []
    for number, piece in enumerate(plan.pieces):
        name = name_of(plan, piece.garment, piece.panel, words, clients)
        about = [said("card_interfacing")] if piece.interfacing else []
        rows.append((
            Tick(letter_of(number)),
            [Said(_label(piece, name, words), strong=True), *(Said(text, "small") for text in about)],
            [Said(str(piece.count), "large")], [Said(str(piece.layers))],
        ))  # fmt: skip
    head = (said("card_letter"), said("card_piece"), said("card_count"), said("card_through"))
    return Table((18.0, 0.0, 24.0, 30.0), tuple(rows), head, frozenset({2, 3}))


def _notion(count: int, mm: float | None, unit: Unit) -> str:
    size = "" if mm is None else show(mm, unit).text
    return f"{count} x {size}" if size and count > 1 else size or str(count)
