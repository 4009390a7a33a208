"""Bodies that nobody here drew: a hundred adults of a general parametric body model, measured by slicing its mesh.

Source: the PyPI package anny 0.6.2 (Apache-2.0, on the CC0 meshes of its makers), gender, age, muscle, weight, height
and proportions drawn at random. Girths are hulls of level sections as a tape would be; the crotch length is the hull of
the middle section below the waist, the rise and the levels are arcs down the side, all in mm. Only these numbers are
kept here, no mesh; two of 110 were left out, whose middle section was broken. The model's proportions vary more than
people's.
"""

import json
from fractions import Fraction
from pathlib import Path

import pytest
from shapely.geometry import LineString

from cutting.body import Body, doubts
from cutting.checks import check_garment
from cutting.errors import CuttingError
from cutting.garments import draft_lower
from cutting.methods import METHODS, resolve
from tests.conftest import many
from tests.cutting.test_doubts import TROUSERS, digits, half, neighbours, other
from tests.strategies import MADE

BODIES = json.loads((Path(__file__).parents[1] / "data/foreign-bodies.json").read_text())
STYLE = {method: style for style, method in reversed(MADE) if "crotch_fit" not in METHODS[method].unused}
INCH = 25.4


def body_of(row):
    return Body({key: Fraction(size) for key, size in zip(BODIES["keys"], row, strict=True)})


def test_there_are_a_hundred_of_them():
    assert len(BODIES["rows"]) >= 100
    assert all(1450 <= row[BODIES["keys"].index("height")] <= 2000 for row in BODIES["rows"])


@pytest.mark.parametrize("method", STYLE)
def test_the_sewn_seam_is_brought_to_a_foreign_bodys_crotch(method):
    """Within 1 cm of the crotch length and 1/2 in on all of them; the front has its share."""
    rows = BODIES["rows"]
    off, shares, refused = [], [], []
    for row in rows[:: max(1, len(rows) // many(6))]:
        body = body_of(row)
        try:
            garment = draft_lower("t", method, body, resolve(method, STYLE[method], {"crotch_fit": "measured"}))
        except CuttingError as error:
            refused.append(error)
            continue
        edges = [garment.panels[name].edges["crotch"].path.flat(0.001) for name in ("front", "back")]
        band = garment.ask.band_depth.mm if garment.ask.band != "none" else 0.0
        front, back = (LineString(points).length + band for points in edges)
        off.append(front + back - body.crotch_length.mm - INCH / 2)
        shares.append(front / (front + back))
        assert not {"crotch.length", "seam.side", "seam.inner_leg"} & {
            c.code for c in check_garment(garment) if not c.ok
        }
    assert refused == []
    assert max(abs(one) for one in off) <= 10
    assert min(shares) >= 0.435
    assert max(shares) <= 0.475


def test_hardly_a_doubt_is_raised_about_a_foreign_body():
    """None that would stop the tailor is raised about more than 1 in 100, and a hint about no more than 1 in 10."""
    found = [doubts(body_of(row).sizes) for row in BODIES["rows"]]
    assert sum(any(one.weight == "warn" for one in each) for each in found) <= len(found) / 100
    assert sum(bool(each) for each in found) <= len(found) / 10


@pytest.mark.parametrize("kind", [half, other, digits, neighbours], ids=lambda one: one.__name__)
def test_a_slip_on_a_foreign_body_is_doubted_at_its_own_field(kind):
    """Half, the other unit, digits turned, a neighbour's field, each over 15 %: 95 in a hundred at a field that is wrong."""
    tried = own = 0
    for row in BODIES["rows"]:
        body = body_of(row).sizes
        sizes = {key: body[key] for key in TROUSERS if key in body}
        for key in list(sizes)[1:]:
            wrong = kind(sizes, key, None)
            if wrong is None:
                continue
            tried += 1
            doubted = [one.where.measure for one in doubts(wrong) if one.weight == "warn"]
            own += bool(doubted) and all(wrong[one] != sizes[one] for one in doubted)
    assert tried > 200
    assert own / tried >= 0.95
