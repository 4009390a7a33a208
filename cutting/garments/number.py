"""A number of the plan: on the net lines, and as the tape reads it between cut edges."""

from dataclasses import dataclass

from cutting.lengths import Length


@dataclass(frozen=True)
class Number:
    """`net` is between sewing lines, `cut` between cut edges."""

    net: Length
    cut: Length


Numbers = dict[str, Number]
