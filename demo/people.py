"""Who works in the invented workshop, and who lets it sew. Nobody here exists."""

WORKSHOP_NAME = "Harbour Lane Workshop"
OWNER_NAME = "ebba"
OWNER_PASSWORD = "three-tables"

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
        "style": "palazzo", "choices": {"hem_width": "22"},
    },
    {
        "title": "Ferry crew, deck trousers", "client": "Joren Aak", "days": 9, "colour": "#2E3440",
        "cloth": {"kind": "twill", "width": "60", "shrink_percent": "3"},
        "measures": {
            "waist": "36", "hip": "42 1/4", "thigh": "24 3/4", "knee": "16 1/2", "body_rise": "11 1/4",
            "outseam": "42", "inseam": "31",
        },
        "style": "straight-trousers", "choices": {"seat": "flat", "hem_width": "18"},
    },
    {
        "title": "Brass band, parade trousers", "client": "Tuva Lindqvist-Ray", "days": 15, "colour": "#7B2D3B",
        "cloth": {"kind": "wool", "width": "58", "shrink_percent": ""},
        "measures": {"waist": "29", "hip": "38 1/2"},
        "style": "straight-trousers", "choices": {"seat": "full", "seat_height": "drop-and-raise"},
    },
]  # fmt: skip
