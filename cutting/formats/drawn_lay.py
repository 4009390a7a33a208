"""What is drawn of a lay: a section of the cloth as it is folded, its pieces where they are placed, a ruler."""

from collections.abc import Sequence
from dataclasses import replace
from math import atan2, cos, degrees, radians, sin

from shapely.geometry import Polygon

from cutting.drawing import Figure, Role, Sheet, Stroke, Text, around, polyline
from cutting.formats.plan_shape import LayOut, OffcutOut, PlacementOut, PlanOut, SectionOut
from cutting.geometry import Point
from cutting.lengths import INCH_MM, Unit, show

RULER: dict[Unit, tuple[float, int, int]] = {"in": (float(INCH_MM), 6, 12), "cm": (10.0, 5, 10)}
"""A tick each so many mm; every so many a longer one; every so many its number."""
BESIDE, SHORT, LONG, NUMBER = 1.5, 1.2, 2.6, 2.6
"""Between cloth and ruler, how long its ticks are, how high its numbers, mm on the paper."""
LETTER = 4.5
"""How high a piece's letter is on the paper, mm."""
GAP = 60.0
"""Between two sections in true size, mm."""
OUTLINE: frozenset[Role] = frozenset({"cut", "fold"})


def letter_of(number: int) -> str:
    """The letter of a piece by its place in the list of pieces: A to Z, then AA and so on."""
    ahead, last = divmod(number, 26)
    return (chr(64 + ahead) if ahead else "") + chr(65 + last)


def lettered(figures: Sequence[Figure]) -> list[Figure]:
    """The pieces as they are drawn small: their outlines, each with its letter."""
    return [
        Figure(one.id, tuple(s for s in one.strokes if s.role in OUTLINE), (_letter(one, letter_of(k)),))
        for k, one in enumerate(figures)
    ]


def section_sheet(
    plan: PlanOut, lay: LayOut, number: int, pieces: Sequence[Figure], scale: float = 1.0, left_over: bool = False
) -> Sheet:
    """A section of the cloth to scale, its cut end at the left, the folded edge at the top; `pieces` as they are drawn,
    each in its draft frame; with `left_over` what is left of the cloth too. Letters stay as high as they are.
    """
    section, drawn = lay.sections[number], {one.id: one for one in pieces}
    placed = [
        _placed(replace(drawn[one.piece], id=f"{one.piece}.{k}"), one, scale)
        for k, one in enumerate(lay.placements) if one.section == number
    ]  # fmt: skip
    left = [
        _left_over(one, k, plan.unit, scale) for k, one in enumerate(lay.offcuts) if left_over and one.section == number
    ]
    return around(section.part, [_cloth(section, scale), _ruler(section, plan.unit, scale), *left, *placed])


def lay_sheet(plan: PlanOut, lay: LayOut, pieces: Sequence[Figure]) -> Sheet:
    """The whole lay in true size, section under section."""
    sheets = [section_sheet(plan, lay, number, pieces) for number in range(len(lay.sections))]
    figures, top = list[Figure](), 0.0
    for k, sheet in enumerate(sheets):
        figures += [replace(f, id=f"{k + 1}.{f.id}", at=f.at.plus(Point(0, top))) for f in sheet.figures]
        top += sheet.height + GAP
    return Sheet("lay", max(one.width for one in sheets), top - GAP, tuple(figures))


def _letter(piece: Figure, letter: str) -> Text:
    shape = Polygon(piece.outline)
    middle = shape.centroid if shape.contains(shape.centroid) else shape.representative_point()
    return Text(letter, Point(middle.x, middle.y), LETTER, 90.0, middle=True)


def _placed(piece: Figure, placing: PlacementOut, scale: float) -> Figure:
    """A piece on the cloth: x along it, from how far down a point is in the draft."""
    t, m = (-1 if placing.turned else 1), (-1 if placing.mirrored else 1)

    def there(at: Point) -> Point:
        return Point(scale * (placing.x_mm + t * at.down), scale * (placing.y_mm + t * m * at.across))

    def written(text: Text) -> Text:
        """The way one reads, from the left."""
        across, down = cos(radians(text.angle)), sin(radians(text.angle))
        turn = atan2(t * m * across, t * down)
        upright = degrees(turn) % 180
        return replace(text, at=there(text.at), angle=upright - 180 if upright > 90 else upright)

    strokes = tuple(replace(stroke, path=stroke.path.mapped(there)) for stroke in piece.strokes)
    return Figure(piece.id, strokes, tuple(map(written, piece.texts)))


def _cloth(section: SectionOut, scale: float) -> Figure:
    """The cloth on the table: its edges, its folds, where a layer ends between them."""
    long, deep = scale * section.extent_mm, scale * section.depth_mm
    corners = [Point(0, 0), Point(long, 0), Point(long, deep), Point(0, deep), Point(0, 0)]
    ends = {edge for layer in section.layers for edge in (layer.from_mm, layer.to_mm)}
    folds = [_level(scale * at, long, "fold") for at in section.folds_mm]
    between = [
        _level(scale * at, long, "net") for at in sorted(ends - set(section.folds_mm)) if 1 < at < section.depth_mm - 1
    ]
    across = [Stroke("fold", polyline([Point(0, 0), Point(0, deep)]))] if section.crosswise else []
    return Figure("cloth", (Stroke("frame", polyline(corners), closed=True), *folds, *between, *across))


def _left_over(offcut: OffcutOut, number: int, unit: Unit, scale: float) -> Figure:
    """A rectangle that is left, with its size."""
    left, top, long, deep = (scale * mm for mm in (offcut.x_mm, offcut.y_mm, offcut.along_mm, offcut.across_mm))
    corners = [Point(0, 0), Point(long, 0), Point(long, deep), Point(0, deep), Point(0, 0)]
    box = Stroke("net", polyline([at.plus(Point(left, top)) for at in corners]), closed=True)
    size = f"{show(offcut.along_mm, unit).text} x {show(offcut.across_mm, unit).text}"
    texts = (Text(size, Point(left + long / 2, top + deep / 2), NUMBER, middle=True),)
    return Figure(f"left-over.{number + 1}", (box,), texts if long > 20 and deep > 2 * NUMBER else ())


def _level(at: float, long: float, role: Role) -> Stroke:
    return Stroke(role, polyline([Point(0, at), Point(long, at)]))


def _ruler(section: SectionOut, unit: Unit, scale: float) -> Figure:
    """Along the lower edge, from the cut end."""
    each, longer, named = RULER[unit]
    top = scale * section.depth_mm + BESIDE
    ticks, numbers = list[Stroke](), list[Text]()
    for k in range(int(section.extent_mm / each + 1e-9) + 1):
        at = scale * k * each
        low = top + (LONG if k % longer == 0 else SHORT)
        ticks.append(Stroke("frame", polyline([Point(at, top), Point(at, low)])))
        if k % named == 0:
            numbers.append(Text(str(k), Point(at, top + LONG + 0.8 * NUMBER), NUMBER, middle=True))
    return Figure("ruler", tuple(ticks), tuple(numbers))
