"""Everything that is sewn of an outfit, in an order in which it can be."""

from collections.abc import Callable, Sequence
from dataclasses import replace
from typing import Any

from cutting.garments import Garment, House, LeftSide, Lower, Top
from cutting.sewing.bench import Bench
from cutting.sewing.lower import lower_operations
from cutting.sewing.operation import Operation
from cutting.sewing.reading import join_readings
from cutting.sewing.sides import by_sides
from cutting.sewing.top import top_operations


def sewing_of(garments: Sequence[Garment]) -> list[Operation]:
    """The operations of garments, garment after garment; the halves of a jumpsuit are joined when both are closed.

    Raises KeyError for a kind that nobody said how to sew.
    """
    operations: list[Operation] = []
    for k, garment in enumerate(garments):
        own = OPERATIONS[garment.kind](garment)
        top = garments[k - 1] if k else None
        if isinstance(garment, Lower) and isinstance(top, Top) and top.ask.joined:
            operations, own = _joined(top, garment, operations, own)
        if isinstance(garment, LeftSide):
            operations = [by_sides(one, garment) for one in operations]
        operations += own
    return operations


def _house(garment: House) -> list[Operation]:
    """Nothing is known of how a house pattern is sewn but its pieces."""
    bench = Bench(garment)
    bench.add("house", panels=garment.panels)
    return bench.done


OPERATIONS: dict[str, Callable[[Any], list[Operation]]] = {
    "lower": lower_operations, "top": top_operations, "house": _house, "left": lambda _: [],
}  # fmt: skip
"""By the kind of garment. A left side is sewn with the garment that it is of."""
THROUGH = ("zip", "shield")
"""What goes on through the waist of a jumpsuit."""
CLOSED = ("side", "inner_leg", "crotch", "front_centre", "back_centre", "sides_and_sleeves", "darts")


def _joined(
    top: Top, lower: Lower, above: list[Operation], below: list[Operation]
) -> tuple[list[Operation], list[Operation]]:
    """What is done before the lower half, and the lower half with the waist seam after both halves are closed; a zip
    goes through that.
    """
    needs = tuple(one.id for one in (*above, *below) if one.garment in (top.id, lower.id) and one.code in CLOSED)
    panels = tuple(
        f"{garment.id}.{name}" for garment in (top, lower) for name in garment.main
        if "waist" in garment.panels[name].edges or (garment is top and name != "sleeve")
    )  # fmt: skip
    measure = Operation(
        f"{lower.id}.measure_join", lower.id, "measure_join", (), panels, needs, readings=join_readings(top, lower)
    )
    seam = lower.ask.allowances.waist
    join = Operation(f"{lower.id}.join", lower.id, "join", (), panels, (*needs, measure.id), seam, "after")
    zipped = [one for one in above if one.garment == top.id and one.code in THROUGH]
    through = [replace(one, needs=(*one.needs, join.id)) for one in zipped]
    last = max(k for k, one in enumerate(below) if one.id in needs)
    joined = (measure, join, *through)
    return [one for one in above if one not in zipped], [*below[: last + 1], *joined, *below[last + 1 :]]
