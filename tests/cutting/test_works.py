"""Works of practice as job files under demo/jobs/works: each plans soundly, with all its parts and its known numbers.

Common practice, no source: the numbers are worked by hand.
"""

import json
from collections import Counter
from pathlib import Path

import pytest

from cutting.formats import plan_to_wire, read_job
from cutting.plan import plan

FILES = sorted((Path(__file__).parents[2] / "demo/jobs/works").glob("*.json"))
INCH, CM = 25.4, 10.0
BAG, FLY = (
    {"pocket-facing": 2, "pocket-backing": 2, "front-pocket-bag": 4},
    {"fly-facing": 1, "fly-guard": 1, "belt-loops": 1},
)
NECK = {"front-neck-facing": 1, "back-neck-facing": 1}
PARTS = {
    "01": {"band": 1}, "02": {"band": 1} | BAG | FLY, "04": {"band": 1, "pocket-bag": 4}, "05": {"band": 1} | FLY,
    "06": {}, "07": {},
    "08": {"band": 1, "yoke": 2, "patch": 2, "turn-up": 2, "pocket-facing": 2, "pocket-backing": 2} | FLY,
    "09": {"front-band": 1, "back-band": 1}, "10": {"front-band": 1, "back-band": 1} | BAG,
    "11": {"band": 1, "sleeve": 2, "slit-facing": 1} | NECK, "12": {"band": 2, "curved-patch": 2, "mouth-piping": 2},
    "13": {"band": 1}, "14": {"front-band": 4, "back-band": 4} | BAG | {"front-pocket-bag": 2} | FLY, "15": {"band": 1} | BAG | FLY,
    "16": {"channel": 1, "tie": 2, "pocket-bag": 4, "belt-loops": 1}, "17": {"front-band": 1, "back-band": 1}, "18": {},
    "19": {"band": 1}, "20": {"band": 1, "pocket-bag": 4, "sleeve": 2, "placket": 2} | NECK,
    "21": NECK | {"back-neck-facing": 2, "front-armhole-facing": 2, "back-armhole-facing": 2, "pocket-bag": 4},
}  # fmt: skip
"""What is cut besides fronts, backs and legs."""
NUMBERS = [
    ("01", "trousers.front.crotch_extension", "net_mm", 39 / 16 * INCH), ("01", "trousers.front.dart_length", "net_mm", 3 * INCH),
    ("01", "trousers.back.dart_length", "net_mm", 4 * INCH), ("01", "trousers.back.seat_raise", "net_mm", 1.5 * INCH),
    ("02", "trousers.crotch_depth", "net_mm", 8.75 * INCH), ("02", "trousers.front.waist_width", "net_mm", 8.375 * INCH),
    ("02", "trousers.back.waist_width", "net_mm", 9.125 * INCH), ("02", "trousers.front.hem_width", "cut_mm", 6.25 * INCH),
    ("05", "trousers.front.crotch_extension", "net_mm", 2.5 * INCH), ("05", "trousers.band.cut_length", "cut_mm", 34 * INCH),
    ("06", "trousers.front.hip_width", "net_mm", 29.5 * CM), ("07", "trousers.length", "net_mm", 40 * INCH),
    ("08", "trousers.front.side_raise", "net_mm", 1 * INCH), ("08", "trousers.front.hip_width", "net_mm", 9.75 * INCH),
    ("12", "trousers.front.hip_width", "net_mm", 11 * INCH), ("12", "trousers.front.crotch_width", "net_mm", 15 * INCH),
    ("12", "trousers.crotch_depth", "net_mm", 34 / 3 * INCH), ("12", "trousers.back.seat_raise", "net_mm", 3 * INCH),
    ("13", "trousers.front.crotch_extension", "net_mm", 3 * INCH), ("13", "trousers.front.dart_place", "net_mm", 3.75 * INCH),
    ("13", "trousers.crotch_depth", "net_mm", 11.75 * INCH), ("14", "trousers.back.seat_raise", "net_mm", 2 * INCH),
    ("15", "trousers.crotch_depth", "net_mm", 12 * INCH), ("15", "trousers.front.hem_width", "net_mm", (20.5 - 2) / 2 * INCH),
    ("16", "trousers.front.hip_width", "net_mm", 27 * CM), ("16", "trousers.back.crotch_extension", "net_mm", 13.5 * CM),
    ("16", "trousers.front.crotch_extension", "net_mm", 6.75 * CM), ("16", "trousers.channel.cut_depth", "net_mm", 6 * CM),
    ("17", "trousers.crotch_depth", "net_mm", (39 / 4 + 3) * INCH), ("17", "trousers.front.waist_width", "net_mm", 9.75 * INCH),
    ("18", "trousers.front.hip_width", "net_mm", 10.25 * INCH), ("18", "trousers.back.crotch_extension", "net_mm", 5.125 * INCH),
    ("20", "trousers.crotch_depth", "net_mm", 11 * INCH), ("20", "top.front.width", "net_mm", 47 / 4 * INCH),
    ("21", "jumpsuit.lower.crotch_depth", "net_mm", 12 * INCH), ("21", "jumpsuit.lower.crotch_depth", "cut_mm", 12.5 * INCH),
    ("21", "jumpsuit.top.armhole_depth", "net_mm", (36 / 6 + 1.5) * INCH),
]  # fmt: skip


@pytest.fixture(scope="module")
def made():
    return {path.name[:2]: plan(read_job(json.loads(path.read_text())), by_width=False) for path in FILES}


@pytest.mark.parametrize("path", FILES, ids=lambda path: path.stem)
def test_each_work_plans_soundly_with_all_its_parts(path, made):
    whole = made[path.name[:2]]
    assert [check.code for check in whole.checks if not check.ok and check.weight != "note"] == []
    assert [finding.code for finding in whole.findings if finding.weight != "note"] == []
    assert [finding.code for finding in whole.findings if finding.code == "choice.idle"] == []
    assert whole.laid.fits
    parts = Counter()
    for garment in whole.garments:
        parts.update(
            {part.panel.name: part.count for part in garment.parts if part.panel.name not in ("front", "back")}
        )
    assert dict(parts) == PARTS[path.name[:2]]
    pieces = plan_to_wire(whole)["pieces"]
    assert {piece["panel"] for piece in pieces} >= set(parts)


@pytest.mark.parametrize(("work", "key", "which", "mm"), NUMBERS, ids=[f"{row[0]} {row[1]}" for row in NUMBERS])
def test_each_work_comes_to_the_numbers_that_the_hand_does(work, key, which, mm, made):
    number = plan_to_wire(made[work])["numbers"][key]
    assert number[which] == pytest.approx(mm, abs=0.3 if which == "cut_mm" else 0.05)
