"""A length that no lay can be under, proved by a constraint model that asks less than a lay has to keep.

Every lay satisfies the model, so that what the solver proves of the model holds for every lay. Places are whole mm, the
real ones rounded down. What is asked of them:

- at every whole mm along the table, what the pieces are deep there goes into each layer together;
- pieces on one fold edge do not touch it at the same place;
- two pieces that cannot pass each other across the table keep their distance along it, one or the other way round;
- all surfaces together, and the longest piece;
- where there are few pieces, boxes that are inside them do not overlap, wherever across the table they are.

Only the search child imports this (it needs OR-Tools).
"""

from collections import defaultdict
from collections.abc import Callable
from dataclasses import dataclass, field
from math import ceil, floor

import numpy as np
from ortools.sat.python import cp_model

from cutting.lay.bound import MOST_COUNTED
from cutting.lay.search.bounds import distances
from cutting.lay.search.columns import Box, Columns, Step, boxes_in, columns_of, steps_below
from cutting.lay.search.model import Model
from cutting.lay.variants import Floats, Variant

TENTHS = 10
"""What a piece is deep is counted in tenths of a mm."""
STEPS = 8
"""A piece's depth along its length is kept from below by so many steps."""
MOST_BOXED, BOXES = 18, (4, 10)
"""With no more placements than this, boxes are asked of the model too, from so many stretches of each piece."""
EFFORT, LEAST_STEP, ALL_STEPS = 0.2, 0.02, 400.0
"""What the solver is given to find one thing out at first, what it surely takes, and all of it: a tenth of a step is
about a third of a second.
"""
NEAR = 1.5
"""What is proved is as good as a lay that is so near, in mm: the places are whole mm."""


def on_edge(variant: Variant) -> tuple[int, int] | None:
    """From and to which whole mm from its start rounded down a piece surely touches its fold edge."""
    if variant.fold is None or variant.crosswise:
        return None
    ring = variant.shape.polygon
    edge = 0.0 if variant.fold == 0 else variant.depth
    ends = [
        sorted((float(a[0]), float(b[0]))) for a, b in zip(ring, np.roll(ring, -1, axis=0), strict=True)
        if abs(a[1] - edge) < 0.05 and abs(b[1] - edge) < 0.05
    ]  # fmt: skip
    if not ends:
        return None
    low, high = max(ends, key=lambda one: one[1] - one[0])
    return (ceil(low) + 1, floor(high) + 1) if floor(high) > ceil(low) else None


@dataclass
class Known:
    """What models of the same pieces share: columns, steps, boxes by a way's shape, and how far ways keep apart."""

    apart: Floats | None = None
    _columns: dict[int, Columns] = field(default_factory=dict)
    _steps: dict[int, list[Step]] = field(default_factory=dict)
    _boxes: dict[tuple[int, int], list[Box]] = field(default_factory=dict)

    def columns(self, variant: Variant) -> Columns:
        key = id(variant.shape)
        if key not in self._columns:
            self._columns[key] = columns_of(variant.shape.polygon)
        return self._columns[key]

    def steps(self, variant: Variant) -> list[Step]:
        key = id(variant.shape)
        if key not in self._steps:
            self._steps[key] = steps_below(self.columns(variant), STEPS)
        return self._steps[key]

    def boxes(self, variant: Variant, stretches: int) -> list[Box]:
        """From so many stretches of the piece."""
        key = id(variant.shape), stretches
        if key not in self._boxes:
            self._boxes[key] = boxes_in(self.columns(variant), stretches)
        return self._boxes[key]


@dataclass
class Relaxed:
    """The model of one section's cloth, no longer than `most` mm, since a lay of that reach is known. `boxes` is from
    how many stretches of each piece boxes are made; 0 for none. What is `known` is not worked out again.
    """

    model: Model
    most: int
    boxes: int = 0
    known: Known = field(default_factory=Known)

    def __post_init__(self) -> None:
        self.cp = cp_model.CpModel()
        self.length = self.cp.new_int_var(0, self.most, "length")
        self.starts: list[cp_model.IntVar] = []
        self.ways: list[list[cp_model.IntVar]] = []
        for number, item in enumerate(self.model.items):
            self.starts.append(
                self.cp.new_int_var(0, max(0, self.most - floor(item.variants[0].width)), f"start{number}")
            )
            self.ways.append([self.cp.new_bool_var(f"way{number}.{k}") for k in range(len(item.variants))])
            self.cp.add_exactly_one(self.ways[number])
        self._along()
        self._apart()
        self._alike()
        if self.boxes:
            self._boxed()

    def fits(self, least: int, most: int, steps: float) -> tuple[bool | None, float]:
        """Whether all goes into a length between these, None where it was not found out; and what that took."""
        domain = self.cp.proto.variables[self.length.index].domain
        domain[0], domain[1] = min(least, most), most
        solver = cp_model.CpSolver()
        solver.parameters.num_workers = 1
        solver.parameters.max_deterministic_time = steps
        status = solver.solve(self.cp)
        fits = {cp_model.OPTIMAL: True, cp_model.FEASIBLE: True, cp_model.INFEASIBLE: False}.get(status)
        return fits, float(solver.response_proto.deterministic_time)

    def _along(self) -> None:
        """What is at each place along the table."""
        cp, model = self.cp, self.model
        layers: dict[int, list[tuple[cp_model.IntervalVar, int]]] = defaultdict(list)
        edges: dict[tuple[float, tuple[int, ...]], list[cp_model.IntervalVar]] = defaultdict(list)
        for start, ways, item in zip(self.starts, self.ways, model.items, strict=True):
            for literal, variant in zip(ways, item.variants, strict=True):
                cp.add(start + floor(variant.width) <= self.length).only_enforce_if(literal)
                if variant.stays is not None:
                    cp.add(start == floor(variant.stays + 1e-9)).only_enforce_if(literal)
                for step in self.known.steps(variant):
                    part = cp.new_optional_fixed_size_interval_var(
                        start + step.start, step.end - step.start, literal, ""
                    )
                    for layer in variant.layers:
                        layers[layer].append((part, floor(step.deep * TENTHS)))
                touches = on_edge(variant)
                if touches is not None:
                    low, high = touches
                    part = cp.new_optional_fixed_size_interval_var(start + low, high - low, literal, "")
                    edges[variant.fold or 0.0, variant.layers].append(part)
        for one in model.table.layers:
            if layers[one.number]:
                parts, deep = zip(*layers[one.number], strict=True)
                cp.add_cumulative(parts, deep, ceil((one.end - one.start) * TENTHS))
        for touching in edges.values():
            if len(touching) > 1:
                cp.add_no_overlap(touching)

    def _apart(self) -> None:
        """Pieces that cannot pass keep their distance, whichever comes first."""
        cp, model = self.cp, self.model
        if self.known.apart is None:
            owner = np.array([number for number, _ in model.ways])
            self.known.apart = distances(model, list(range(len(model.ways))), owner)
        least = self.known.apart
        first = [int(k) for k in model.first_way]
        for a in range(len(model.items)):
            for b in range(a + 1, len(model.items)):
                ways = [(p, q) for p in range(first[a], first[a + 1]) for q in range(first[b], first[b + 1])]
                blocked = [(p, q) for p, q in ways if least[p, q] > 0 or least[q, p] > 0]
                if not blocked:
                    continue
                after = cp.new_bool_var(f"{b} after {a}")
                for one, other, order in ((a, b, after), (b, a, after.negated())):
                    between = self.starts[other] - self.starts[one]
                    gaps = {(p, q): self._gap(least, p, q) if one == a else self._gap(least, q, p) for p, q in blocked}
                    every = min(gaps.values()) if len(blocked) == len(ways) else None
                    if every is not None:
                        cp.add(between >= every).only_enforce_if(order)
                    for (p, q), gap in gaps.items():
                        if every is None or gap > every:
                            chosen = self.ways[a][p - first[a]], self.ways[b][q - first[b]]
                            cp.add(between >= gap).only_enforce_if(order, *chosen)

    def _gap(self, least: Floats, p: int, q: int) -> int:
        """The least whole mm from the start of one way to that of another whose middle is beyond its."""
        long, other = (self.model.ways[way][1].width for way in (p, q))
        return floor(float(least[p, q]) - (other - long) / 2)

    def _alike(self) -> None:
        """Pieces that are the same are in the order of their starts: which is which makes no difference."""
        last: dict[tuple[object, ...], int] = {}
        for number, item in enumerate(self.model.items):
            if any(variant.stays is not None or variant.pin is not None for variant in item.variants):
                continue
            key = item.piece.id, *((one.turned, one.mirrored, one.layers, one.fold) for one in item.variants)
            if key in last:
                self.cp.add(self.starts[last[key]] <= self.starts[number])
            last[key] = number

    def _boxed(self) -> None:
        """Boxes in the pieces do not overlap, in any layer."""
        cp, model = self.cp, self.model
        sides: dict[int, tuple[list[cp_model.IntervalVar], list[cp_model.IntervalVar]]] = defaultdict(lambda: ([], []))
        for start, ways, item in zip(self.starts, self.ways, model.items, strict=True):
            rooms = [room for variant in item.variants if (room := variant.room(model.table)) is not None]
            assert len(rooms) == len(item.variants)
            low, high = floor(min(room[0] for room in rooms)), floor(max(room[1] for room in rooms) + 1e-9)
            across = cp.new_int_var(low, high, "")
            for literal, variant, room in zip(ways, item.variants, rooms, strict=True):
                cp.add(across >= floor(room[0])).only_enforce_if(literal)
                cp.add(across <= floor(room[1] + 1e-9)).only_enforce_if(literal)
                for box in self.known.boxes(variant, self.boxes):
                    along = cp.new_optional_fixed_size_interval_var(start + box.start, box.end - box.start, literal, "")
                    deep = cp.new_optional_fixed_size_interval_var(across + box.low, box.high - box.low, literal, "")
                    for layer in variant.layers:
                        sides[layer][0].append(along)
                        sides[layer][1].append(deep)
        for lengthwise, crosswise in sides.values():
            cp.add_no_overlap_2d(lengthwise, crosswise)


def proved_by_model(
    model: Model,
    least: float,
    most: float,
    steps: float = ALL_STEPS,
    told: Callable[[float], None] = lambda _: None,
) -> float:
    """A reach in mm that no lay can be under, at least `least`, which is proved; `told` of every better one. `most` is
    the reach of a lay that is known.

    Again and again the solver is asked whether all goes into some length between what is proved and what is known:
    where it does not, that is proved. First with little effort, then with more, without boxes and with finer ones. It
    ends after so many of the solver's own `steps` (its deterministic time), so that the same model gives the same. With
    too many pieces it is `least`.
    """
    n = len(model.items)
    if n > MOST_COUNTED:
        return least
    known, stages = Known(), dict[int, Relaxed]()
    all_boxes = (0, *(BOXES if n <= MOST_BOXED else ()))
    proved, effort = least, EFFORT
    while steps > 0 and proved < most - NEAR:
        for boxes in all_boxes:
            made = stages.get(boxes) or stages.setdefault(boxes, Relaxed(model, ceil(most), boxes, known))
            high = most
            while high - proved > NEAR and steps > 0:
                asked = floor((proved + high) / 2)
                fits, spent = made.fits(floor(proved), asked, min(effort, steps))
                steps -= max(spent, LEAST_STEP)
                if fits is False:
                    proved = asked + 1.0
                    told(proved)
                else:
                    high = float(asked)
        effort *= 2
    return proved
