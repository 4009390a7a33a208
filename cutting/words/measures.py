"""The client's measurements in words: name, how to take it, the usual slip. Own words, common practice, no source."""

from dataclasses import dataclass


@dataclass(frozen=True)
class Taking:
    """A point of the tape in words."""

    name: str
    how: str = ""
    slip: str = ""


MEASURES: dict[str, Taking] = {
    "waist": Taking(
        "waist", "Round the waist where the trousers will sit.", "Level behind too; one finger under the tape."
    ),
    "hip": Taking("hip", "Round the fullest part of the seat.", "Feet together, pockets empty, tape level behind."),
    "thigh": Taking("thigh", "Round one leg, right under the seat.", "Standing on both feet; do not pull."),
    "knee": Taking("knee", "Round the knee, leg straight.", "Over the middle of the kneecap."),
    "waist_to_hip": Taking(
        "waist to hip", "Down the side from the waist to the fullest part.", "Along the body, not the air."
    ),
    "body_rise": Taking(
        "rise, seated",
        "Sitting upright on a hard chair: from the waist to the seat, at the side.",
        "Back straight; not along the thigh.",
    ),
    "outseam": Taking("outseam", "Down the side from the waist to the ankle.", "In the shoes to be worn."),
    "inseam": Taking(
        "inseam", "Inside the leg, from the crotch to the ankle.", "The client may hold the tape's upper end."
    ),
    "waist_to_knee": Taking(
        "waist to knee", "Down the side from the waist to the middle of the knee.", "Leg straight."
    ),
}


def measure_name(key: str) -> str:
    """A measurement's name in a formula."""
    known = MEASURES.get(key)
    return known.name if known else key.replace("_", " ")
