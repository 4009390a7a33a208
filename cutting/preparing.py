"""What is done to the cloth before the first call on it, section by section. Common practice, no source."""

from dataclasses import dataclass, field

from cutting.cloth import Cloth
from cutting.codes import StepCode
from cutting.lay import Section

SLIPPERY = ("chiffon", "silk", "viscose", "lining")
"""Cloths whose layers creep on each other. From memory, no source."""


@dataclass(frozen=True)
class ClothStep:
    """One thing to do; `sizes` in mm, but for a percentage. Those of "fold" are the section's own."""

    code: StepCode
    sizes: dict[str, float] = field(default_factory=dict)


def prepared(cloth: Cloth, section: Section, first: bool) -> list[ClothStep]:
    """The steps before the calls of a section, in order: the cloth where it is the `first`, then its fold."""
    steps: list[ClothStep] = []
    if first:
        left, shrinks, trim = (float(size) for size in (cloth.selvedge, cloth.shrink_percent, cloth.trim))
        steps += [
            ClothStep("edges_left", {"selvedge": left}) if left else ClothStep("edges"),
            ClothStep("shrink", {"percent": shrinks}) if shrinks else ClothStep("press"),
            ClothStep("trim_off", {"trim": trim}) if trim else ClothStep("trim"),
            *([ClothStep("one_way")] if cloth.one_way else []),
        ]
    else:
        steps.append(ClothStep("next"))
    steps.append(ClothStep("fold"))
    folded = len(section.table.layers) > 1
    if folded and cloth.repeat:
        steps.append(ClothStep("repeat", {"repeat": float(cloth.repeat)}))
    if folded and cloth.kind in SLIPPERY:
        steps.append(ClothStep("creeps"))
    return steps
