"""An invented body in the middle of the table, for what nobody was measured for."""

from cutting.lengths import Unit, show

SAMPLE = {
    "waist": 80, "hip": 104, "thigh": 62, "knee": 40, "outseam": 104, "inseam": 77, "ankle": 24, "body_rise": 27,
    "waist_to_knee": 60, "waist_to_hip": 20, "bust_span": 19, "bust": 98, "shoulder": 38, "nape_to_waist": 41,
    "upper_arm": 30, "sleeve_length": 59, "wrist": 16, "neck": 37, "shoulder_to_bust_point": 27,
}  # fmt: skip
"""In cm."""


STEP: dict[Unit, float] = {"in": 6.35, "cm": 5.0}
"""To so many mm the tape is read here: a quarter of an inch, half a centimetre."""


def as_read(mm: float, unit: Unit) -> str:
    """A measure as it would be written down."""
    return show(round(mm / STEP[unit]) * STEP[unit], unit).text


def with_sample(measurements: dict[str, str], unit: Unit) -> dict[str, str]:
    """The measurements, and the sample's where a point that drafting needs is missing, as one would read them."""
    return {key: as_read(10.0 * size, unit) for key, size in SAMPLE.items()} | measurements
