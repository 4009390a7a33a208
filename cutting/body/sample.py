"""An invented body in the middle of the table, for what nobody was measured for."""

SAMPLE = {
    "waist": "80 cm", "hip": "104 cm", "thigh": "62 cm", "knee": "40 cm", "outseam": "104 cm", "inseam": "77 cm",
    "ankle": "24 cm", "body_rise": "27 cm", "waist_to_knee": "60 cm", "waist_to_hip": "20 cm", "bust_span": "19 cm",
    "bust": "98 cm", "shoulder": "38 cm", "nape_to_waist": "41 cm", "upper_arm": "30 cm", "sleeve_length": "59 cm",
    "wrist": "16 cm", "neck": "37 cm", "shoulder_to_bust_point": "27 cm",
}  # fmt: skip


def with_sample(measurements: dict[str, str]) -> dict[str, str]:
    """The measurements, and the sample's where a point that drafting needs is missing."""
    return SAMPLE | measurements
