"""What is still to be sewn of a garment: operations take their seams from it, so that none is sewn twice."""

from collections.abc import Callable, Iterable, Mapping

from cutting.garments import Garment, Seam
from cutting.lengths import Length
from cutting.sewing.operation import Operation, OperationCode, Overlock
from cutting.sewing.reading import Reading

NARROW = 20.0
"""A seam that is narrower, in mm, is overlocked before it is closed; a wider one after, each side by itself."""


class Bench:
    """Collects the operations of one garment."""

    def __init__(self, garment: Garment):
        self.garment = garment
        self.left = list(garment.seams)
        self.done = list[Operation]()

    def take(self, wanted: Callable[[Seam], bool]) -> tuple[Seam, ...]:
        """The seams that are wanted and not sewn yet; they are sewn now."""
        taken = tuple(seam for seam in self.left if wanted(seam))
        self.left = [seam for seam in self.left if not wanted(seam)]
        return taken

    def add(
        self,
        code: OperationCode,
        seams: tuple[Seam, ...] = (),
        panels: Iterable[str] = (),
        after: Iterable[str] = (),
        readings: tuple[Reading, ...] = (),
        variant: str = "",
        amounts: Mapping[str, Length | None] | None = None,
    ) -> None:
        """One operation more, after all of those codes that there are; amounts that are None are left out. Without
        seams and panels there is none.
        """
        sewn = [panel_of(place) for seam in seams for place in (*seam.one, *seam.other)]
        whole = tuple(dict.fromkeys(f"{self.garment.id}.{name}" for name in (*panels, *sewn)))
        if not whole:
            return
        allowance = self._allowance(seams)
        overlock: Overlock = "" if allowance is None else "before" if allowance.mm < NARROW else "after"
        before = set(after)
        needs = tuple(one.id for one in self.done if one.code in before)
        self.done.append(
            Operation(
                f"{self.garment.id}.{code}",
                self.garment.id,
                code,
                seams,
                whole,
                needs,
                allowance,
                overlock,
                readings,
                variant,
                tuple((name, length) for name, length in (amounts or {}).items() if length is not None),
            )
        )

    def rest(self) -> None:
        """What no operation took is sewn as an operation by itself, after all others."""
        self.add("other", self.take(lambda _: True), after=tuple(one.code for one in self.done))

    def _allowance(self, seams: Iterable[Seam]) -> Length | None:
        """The one width of the seams' edges; None where they have none, or several."""
        found: dict[float, Length] = {}
        for seam in seams:
            for place in (*seam.one, *seam.other):
                panel, _, edge = place.partition(".")
                there = self.garment.panels[panel].edges.get(edge) if panel in self.garment.panels else None
                if there is not None and there.allowance.mm:
                    found[round(there.allowance.mm, 3)] = there.allowance
        return next(iter(found.values())) if len(found) == 1 else None


def panel_of(place: str) -> str:
    """The panel of a place such as `front.side`."""
    return place.partition(".")[0]
