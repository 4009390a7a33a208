"""What is drawn of a plan as it is stored: each piece with its name and the widths of its seams, for every writer."""

from cutting.drawing import SEAM_HEIGHT, Figure, Text, stroke_of
from cutting.formats.named import NOBODY, Clients, name_of
from cutting.formats.plan_shape import PieceOut, PlanOut
from cutting.geometry import Point
from cutting.lengths import Unit, show
from cutting.words import Language

NAME_HEIGHT, BESIDE = 9.0, 8.0
"""How high a piece's name is written, and how far beside its grain line, mm."""
LEAST, WIDE = 3.0, 0.65
"""On a short piece it is smaller, down to so many mm; a letter is so wide for its height."""


def figures_of(plan: PlanOut, words: Language, clients: Clients = NOBODY) -> list[Figure]:
    """Every piece in its draft frame; its name first of its texts."""
    return [
        _figure(piece, name_of(plan, piece.garment, piece.panel, words, clients), plan.unit, words)
        for piece in plan.pieces
    ]


def _figure(piece: PieceOut, name: str, unit: Unit, words: Language) -> Figure:
    (across, top), (_, foot) = piece.grain
    label = words.piece_label(name, piece.count, piece.pair, piece.on_fold)
    down = [y for _, y in piece.cut]
    height = min(NAME_HEIGHT, max(LEAST, (max(down) - min(down)) / (WIDE * len(label))))
    written = Text(label, Point(across + min(BESIDE, height), (top + foot) / 2), height, 90.0, middle=True)
    widths = [
        Text(
            words.page("seam_width", wide=show(one.mm, unit).text),
            Point(*one.at),
            SEAM_HEIGHT,
            one.angle,
            middle=True,
        )
        for one in piece.seam_widths
    ]
    return Figure(piece.id, tuple(stroke_of(one.role, one.d) for one in piece.strokes), (written, *widths))
