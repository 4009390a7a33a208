"""What the cloth asks of a draft: ease, darts, elastic and allowances answer to stretch, thickness and pleats.

Common practice, no source: cloth that gives needs no ease and its pocket mouths grow; thick cloth needs room and wider
seams; pleated cloth is not darted.
"""

from collections.abc import Mapping
from typing import Any

from cutting.cloth import Cloth
from cutting.codes import FindingCode
from cutting.lengths import Fixed, inch
from cutting.methods.ask import Allowances

STRETCHES = 10
"""From so many percent on a cloth counts as one that stretches."""


def usual_of_cloth(cloth: Cloth, known: Mapping[str, Any]) -> dict[str, Any]:
    """The choices a cloth changes where none is made, over those a method and a style make."""
    changed: dict[str, Any] = {}
    if cloth.stretch_percent >= STRETCHES:
        if known.get("ease_place", "back") == "back":
            changed["hip_ease"] = inch(0)
        changed["elastic"] = "nine-tenths"
        changed["pocket_opening"] = inch(6)
    if cloth.thickness == "thick":
        changed["hip_ease"] = Fixed(known.get("hip_ease", inch(1)).size + inch(0.5).size)
        changed["waist_ease"] = inch(0.5)
        changed["allowances"] = Allowances(centre=inch(0.625), inner_leg=inch(0.625), waist=inch(0.625))
    if cloth.pleated:
        changed |= {"front_darts": "none", "back_darts": "none"}
    return changed


def said_of_cloth(cloth: Cloth) -> list[FindingCode]:
    """The codes of what is said about it in the plan."""
    codes: list[FindingCode] = ["cloth.stretch"] if cloth.stretch_percent >= STRETCHES else []
    if cloth.thickness in _SAID:
        codes.append(_SAID[cloth.thickness])
    return [*codes, "cloth.pleated"] if cloth.pleated else codes


_SAID: dict[str, FindingCode] = {"thin": "cloth.thin", "thick": "cloth.thick"}
