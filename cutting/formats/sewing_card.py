"""How a plan is sewn, as a card to follow: each step with its edges drawn, and what is to be minded."""

from dataclasses import replace

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
from cutting.formats.named import NOBODY, Clients, outfit_of, side_of
from cutting.formats.plan_shape import PanelOut, PlanOut
from cutting.formats.sewing_shape import OperationOut, WantedOut
from cutting.geometry import Cubic, Line, Path, Point, Segment, least_box
from cutting.lengths import show
from cutting.words import Language

WIDE, HIGH, BETWEEN, NAME = 74.0, 34.0, 4.0, 2.6
"""How wide and high the drawing of a step may be, how far its pieces are apart, how high their names are, mm."""
LETTER, SHARE, LEAST = 0.62, 0.7, 0.01
"""A letter is so wide for its height; all names take this share of a drawing at most; it is no smaller than that share
of its size.
"""
DARTS = "darts"
MOST, MOST_OF_TWO_SIDES = 4, 6
"""No more pieces than these are drawn of a step."""


def sewing_card(plan: PlanOut, words: Language, clients: Clients = NOBODY) -> Document:
    """Every operation in its order: a box to tick, what is done, the edges that are sewn, allowance, stitch, time."""
    said = words.page
    whole = sum(one.minutes for one in plan.sewing)
    hours, minutes = divmod(round(whole), 60)
    steps = said("card_sewing", steps=len(plan.sewing), hours=hours, minutes=minutes)
    blocks: list[Block] = [Said(steps), Said(said("card_minutes"), "small")]
    several = len({one.garment for one in plan.sewing}) > 1
    for number, one in enumerate(plan.sewing, 1):
        step = _step(plan, one, number, words)
        if number == 1 or plan.sewing[number - 2].garment != one.garment:
            whose = clients.get(outfit_of(one.garment, clients), "")
            head = Heading(", ".join(filter(None, (words.garment_name(one.garment), whose))))
            first = all(before.garment != one.garment for before in plan.sewing[: number - 1])
            ways = [Said(way.says, "small") for way in plan.ways if first and way.garment == one.garment]
            step = [*([head] if several else []), *ways, *step]
        blocks.append(Together(tuple(step)))
    return Document(said("card_sewing_title"), tuple(blocks), columns=2)


def _step(plan: PlanOut, one: OperationOut, number: int, words: Language) -> list[Block]:
    said = words.page
    how = [
        said("card_allowance", wide=show(one.allowance_mm, plan.unit).text) if one.allowance_mm else "",
        said("card_stitch", name=one.stitch_name, number=one.stitch) if one.stitch else "",
        said("card_class", name=one.seam_class_name, number=one.seam_class) if one.seam_class else "",
        *one.tools,
    ]
    how += [_wanted(reading, words) for reading in one.readings]
    lines = [Said(one.title, strong=True), *(Said(text, "small") for text in (*one.says, ", ".join(filter(None, how)))
                                            if text)]  # fmt: skip
    after = [said(key, says=text) for key, text in (("card_press", one.press), ("card_check", one.check)) if text]
    lines += [Said(text, "small") for text in after]
    lines += [Said(text, "small", strong=True) for text in one.cautions]
    minutes = [Said(said("card_min", minutes=f"{one.minutes:g}"))] if one.minutes else []
    step: list[Block] = [Table((12.5, 0.0, 16.0), ((Tick(str(number)), lines, minutes),), right=frozenset({2}))]
    sheet = step_sheet(plan, one, words)
    return [*step, Picture(sheet)] if sheet is not None else step


def _wanted(reading: WantedOut, words: Language) -> str:
    """What a tape should read, with its sum where it has several terms."""
    key = "card_wanted_sum" if reading.summed else "card_wanted"
    return words.page(key, name=reading.name, size=reading.shown, sum=reading.with_)


def step_sheet(plan: PlanOut, one: OperationOut, words: Language) -> Sheet | None:
    """The panels of an operation side by side, what is sewn in thick lines; None where no edge and no dart is."""
    sewn = _sewn(one)
    panels = [panel for panel in plan.panels if (panel.garment, panel.name) in sewn]
    sided = any(side_of(plan, one.garment, one.name) for one in panels)
    panels = panels[: MOST_OF_TWO_SIDES if sided else MOST]
    if not panels:
        return None
    names = [words.piece_name(one.name, side=side_of(plan, one.garment, one.name)) for one in panels]
    boxes = [least_box([Point(*at) for at in panel.net]) for panel in panels]
    # Each has room for its name.
    letters = [LETTER * NAME * len(name) for name in names]
    small = min(1.0, SHARE * WIDE / sum(letters))
    least = [small * one for one in letters]
    wide, high = [right - left for left, _, right, _ in boxes], max(low - top for _, top, _, low in boxes)
    scale = HIGH / high
    while scale > LEAST and sum(_slots(wide, least, scale)) + BETWEEN * (len(panels) - 1) > WIDE:
        scale *= 0.95
    figures, left = list[Figure](), 0.0
    for panel, name, box, slot in zip(panels, names, boxes, _slots(wide, least, scale), strict=True):
        at = Point(left + slot / 2 - scale * (box[0] + box[2]) / 2, -scale * box[1])
        figures.append(_drawn(panel, Text(name, at, small * NAME, middle=True), sewn[panel.garment, panel.name], scale))
        left += slot + BETWEEN
    return around(one.id, figures, 2 * NAME)


def _sewn(one: OperationOut) -> dict[tuple[str, str], set[str]]:
    """The edges and lines that are sewn by an operation, by garment and panel; DARTS where its darts are."""
    sewn: dict[tuple[str, str], set[str]] = {}
    for place in one.edges:
        garment, _, panel = place.panel.rpartition(".")
        sewn.setdefault((garment, panel), set()).add(place.edge)
    return sewn


def _slots(wide: list[float], least: list[float], scale: float) -> list[float]:
    """How wide the room of each panel is."""
    return [max(scale * one, room) for one, room in zip(wide, least, strict=True)]


def _drawn(panel: PanelOut, name: Text, edges: set[str], scale: float) -> Figure:
    """A panel to scale, moved to where its name begins; the name under it."""

    def there(point: tuple[float, float]) -> Point:
        return name.at.plus(Point(scale * point[0], scale * point[1]))

    strokes = [Stroke("net", polyline([there(point) for point in panel.net]), closed=True)]
    for segment in panel.segments:
        if segment["edge"] in edges:
            strokes.append(Stroke("sewn", Path((_segment([there(one) for one in segment["points"]]),))))
    strokes += [
        Stroke("sewn", polyline([there(point) for point in line])) for key, line in panel.lines.items() if key in edges
    ]
    strokes += [
        Stroke("sewn" if DARTS in edges else "dart", polyline([there(one.near), there(one.tip), there(one.far)]))
        for one in panel.darts
    ]
    xs, ys = zip(*((one.across, one.down) for one in map(there, panel.net)), strict=True)
    text = replace(name, at=Point((min(xs) + max(xs)) / 2, max(ys) + NAME + 0.8))
    return Figure(f"{panel.garment}.{panel.name}", tuple(strokes), (text,))


def _segment(points: list[Point]) -> Segment:
    """A part of an edge by its two or four points."""
    return Cubic(*points) if len(points) == 4 else Line(*points)
