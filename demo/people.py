"""Who works in the invented workshop, and who lets it sew. Nobody here exists."""

from typing import Any

WORKSHOP_NAME = "Harbour Lane Workshop"
OWNER_NAME = "ebba"
OWNER_PASSWORD = "three-tables"

MORNINGS = [["08:00", "12:30"]]
TEAM: list[dict[str, Any]] = [
    {"name": "Hild", "role": "cutter", "skills": ["measure", "cut", "fit", "pack"]},
    {"name": "Ivo", "role": "sewer", "skills": ["sew", "finish"]},
    {"name": "Sanna", "role": "sewer", "skills": ["sew", "finish", "pack"], "week": [*([MORNINGS] * 5), [], []]},
    {"name": "Pelle", "role": "apprentice", "skills": ["cut", "pack"]},
]
"""Who works there besides the owner: what each does, and when where that is not the whole week. They do not log in."""

UPPER = {
    "bust": "38", "shoulder": "15", "nape_to_waist": "16", "neck_to_waist": "17 1/2", "upper_arm": "11 3/4",
    "sleeve_length": "23", "wrist": "6 1/4", "neck": "14 1/2", "bust_span": "7 1/2", "shoulder_to_bust_point": "10 1/2",
}  # fmt: skip

ORDERS = [
    {
        "title": "Choir, concert palazzo", "client": "Marit Sol", "days": 6, "colour": "#23556B",
        "card": {
            "phone": "0555 014 220", "note": "Sings alto; sits through long rehearsals.", "keeps_measures": True,
            "leave_be": "Would rather hold the tape at the inseam herself.",
        },
        "cloth": {"kind": "cotton", "width": "45", "shrink_percent": "2"},
        "measures": {
            "waist": "31 1/2", "hip": "41", "thigh": "24 1/2", "knee": "16", "waist_to_knee": "23",
            "outseam": "104.1 cm",
        },
        "before": {
            "days": 215,
            "measures": {"waist": "30 3/4", "hip": "40 1/4", "thigh": "24", "knee": "16", "outseam": "41"},
        },
        "garments": [{"name": "trousers", "style": "palazzo", "choices": {"hem_width": "22"}}],
    },
    {
        "title": "Ferry crew, deck trousers", "client": "Joren Aak", "days": 9, "colour": "#2E3440",
        "cloth": {"kind": "twill", "width": "60", "shrink_percent": "3"},
        "measures": {
            "waist": "36", "hip": "42 1/4", "thigh": "24 3/4", "knee": "16 1/2", "body_rise": "11 1/4",
            "outseam": "42", "inseam": "31",
        },
        "garments": [
            {"name": "trousers", "style": "straight-trousers", "choices": {"seat": "flat", "hem_width": "18"}},
        ],
    },
    {
        "title": "Brass band, parade trousers", "client": "Tuva Lindqvist-Ray", "days": 15, "colour": "#7B2D3B",
        "cloth": {"kind": "wool", "width": "58", "shrink_percent": ""},
        "measures": {"waist": "29", "hip": "38 1/2"},
        "garments": [
            {
                "name": "trousers", "style": "straight-trousers",
                "choices": {"seat": "full", "seat_height": "drop-and-raise"},
            },
        ],
    },
    {
        "title": "Choir, two-piece for the autumn", "client": "Runa Eik", "days": 19, "colour": "#6B3F57",
        "cloth": {"kind": "viscose", "width": "58", "shrink_percent": "3"},
        "measures": UPPER | {
            "waist": "30", "hip": "40", "thigh": "23 3/4", "knee": "15 1/2", "outseam": "40 1/2", "body_rise": "10 3/4",
        },
        "garments": [
            {"name": "trousers", "style": "palazzo", "choices": {"waist_finish": "elastic-band"}},
            {"name": "top", "style": "straight-top", "choices": {"sleeve": "three-quarter"}},
        ],
    },
    {
        "title": "Ferry crew, engine-room jumpsuit", "client": "Pell Harrow", "days": 22, "colour": "#35506B",
        "cloth": {"kind": "twill", "width": "60", "shrink_percent": "3"},
        "measures": {
            "bust": "39", "waist": "32", "hip": "41 1/2", "thigh": "24 1/2", "knee": "16", "outseam": "41 1/2",
            "inseam": "30 1/2", "body_rise": "11", "shoulder": "16", "nape_to_waist": "16 3/4", "neck_to_waist": "18",
            "upper_arm": "12 1/2", "sleeve_length": "23 1/2", "wrist": "6 3/4", "neck": "15",
        },
        "garments": [
            {
                "name": "jumpsuit", "style": "jumpsuit",
                "choices": {
                    "top": {"style": "bodice", "choices": {"sleeve": "long", "bust_ease": "4"}},
                    "lower": {"style": "straight-trousers", "choices": {"waist_ease": "1", "pockets": ["in-seam"]}},
                },
            },
        ],
    },
]  # fmt: skip

SHELF: list[dict[str, str]] = [
    {
        "name": "Lining, from the last ferry suit", "form": "off-cut", "kind": "lining", "colour": "#8A8FA3",
        "width": "18", "length": "31", "shrink_percent": "",
    },
    {
        "name": "Navy twill, top board", "form": "bolt", "kind": "twill", "colour": "#27304A", "width": "60",
        "length": "", "shrink_percent": "3", "price": "6.20",
    },
    {
        "name": "Choir's teal cotton", "form": "length", "kind": "cotton", "colour": "#23556B", "width": "45",
        "length": "74", "shrink_percent": "2",
    },
]  # fmt: skip
