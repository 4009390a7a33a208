"""How a garment is sewn whose left side differs from its right: by the same operations, each leg by its own length."""

from dataclasses import replace

from cutting.garments import LeftSide
from cutting.sewing.operation import Operation, OperationCode
from cutting.sewing.reading import leg_readings

BY_SIDES: tuple[OperationCode, ...] = ("measure_legs", "measure_inner_legs", "hem", "turn_up")
"""What is said otherwise where the legs are not alike."""


def by_sides(operation: Operation, left: LeftSide) -> Operation:
    """An operation of the garment with the left side's pieces under the needle too; others stay as they are."""
    if operation.garment != left.right.id:
        return operation
    places = [place.removeprefix(f"{operation.garment}.") for place in operation.panels]
    own = tuple(f"{left.id}.{name}" for name in places if name in left.panels)
    there = [(place.rpartition(".")[2], edge) for place, edge in operation.edges]
    twins = tuple((f"{left.id}.{name}", edge) for name, edge in there if name in left.panels)
    made = replace(operation, panels=(*operation.panels, *own), other_side=twins)
    if operation.code not in BY_SIDES:
        return made
    wanted = {one.code: one for one in leg_readings(left.whole)}
    readings = tuple(wanted[one.code] if one.code == "left_leg" else one for one in operation.readings)
    return replace(made, readings=readings, variant="sides")
