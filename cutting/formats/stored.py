"""Plans that were stored in words, by the core up to 0.7: opened as they are, in the unit they were made in."""

from itertools import pairwise
from typing import Any

from cutting.drawing import Role, Stroke, path_data
from cutting.formats.plan_shape import PlanOut
from cutting.geometry import Line, Path, Point


def is_words(stored: dict[str, Any]) -> bool:
    """Whether a stored plan is one of those: the plan file itself."""
    return stored.get("format") == "plavet-plan"


def as_plan(stored: dict[str, Any]) -> PlanOut:
    """The plan file, with the drawing of its pieces, which was not kept then."""
    darts = {(panel["garment"], panel["name"]): panel["darts"] for panel in stored["panels"]}
    pieces = [
        piece | {"strokes": _strokes(piece, darts[piece["garment"], piece["panel"]])} for piece in stored["pieces"]
    ]
    return PlanOut.model_validate(stored | {"pieces": pieces})


def _strokes(piece: dict[str, Any], darts: list[dict[str, Any]]) -> list[dict[str, str]]:
    drawn: list[tuple[Role, list[Any]]] = [("cut", piece["cut"]), ("net", piece["net"]), ("grain", piece["grain"])]
    drawn += [("dart", [dart["near"], dart["tip"], dart["far"]]) for dart in darts]
    drawn += [("chalk", line) for line in piece["lines"].values()]
    drawn += [("notch", [notch["net"], notch["cut"]]) for notch in piece["notches"]]
    return [{"role": role, "d": path_data(_stroke(role, points))} for role, points in drawn]


def _stroke(role: Role, points: list[Any]) -> Stroke:
    path = Path(tuple(Line(Point(*a), Point(*b)) for a, b in pairwise(points)))
    return Stroke(role, path, closed=role in ("cut", "net"))
