"""The body's own crotch: the sewn seam is measured on the exported outlines, from waist to waist, the band counted."""

from fractions import Fraction
from math import ceil, floor

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from shapely.geometry import LineString

from cutting.body import Body
from cutting.checks import check_garment
from cutting.errors import CuttingError
from cutting.formats import plan_to_wire, read_job
from cutting.garments import draft_lower
from cutting.kinds import kind_of
from cutting.lengths import inch
from cutting.methods import METHODS, resolve
from cutting.plan import plan
from tests.conftest import many
from tests.jobs import FIVE, job, of_body
from tests.strategies import MADE, bodies

INCH = 25.4
TWO_PANELS = [pair for pair in MADE if "crotch_fit" not in METHODS[pair[1]].unused]


def sewn(garment):
    """Round the crotch as it is sewn, in mm, by another library."""
    edges = [
        edge.path.flat(0.001) for panel in garment.panels.values() for name, edge in panel.edges.items()
        if name.endswith("crotch") or (name == "centre" and "lower" in panel.edges)
    ]  # fmt: skip
    band = 2 * garment.ask.band_depth.mm if garment.ask.band in ("below", "inside", "on-top") else 0.0
    return sum(LineString(points).length for points in edges) + band


@pytest.mark.parametrize(("style", "method"), TWO_PANELS)
@settings(max_examples=many(2))
@given(bodies(waist_to=0.95), st.floats(-2, 3), st.sampled_from(["usual", "full"]), st.sampled_from([None, "yoke"]))
def test_the_seam_is_brought_to_the_measured_crotch_in_every_method(style, method, body, more, seat, part):
    """Twice the rise and a third of the hip is about what a body measures there; a few cm either way are tried."""
    around = 2 * body.body_rise.mm + 0.17 * body.hip.mm + more * 10
    measured = Body(body.sizes | {"crotch_length": Fraction(round(around))})
    chosen = {"crotch_fit": "measured"} | ({"seat": seat} if "seat" not in METHODS[method].unused else {})
    if part and resolve(method, style, {}).waist_is == "fitted":
        chosen["yoke"] = inch(2)
    try:
        garment = draft_lower("t", method, measured, resolve(method, style, chosen))
    except CuttingError as refused:
        assert {problem.code for problem in refused.problems} <= {"strip.too_deep", "knee.too_high", "depth.too_small"}
        return
    assert sewn(garment) == pytest.approx(round(around) + INCH / 2, abs=10)
    assert sewn(garment) == pytest.approx(garment.numbers["crotch_seam"].net.mm, abs=0.1)
    front = garment.numbers["front.crotch_seam"].net.mm / garment.numbers["crotch_seam"].net.mm
    at_an_end = not 1 < garment.numbers["back.seat_raise"].net.mm < 4 * INCH - 1
    assert 0.439 <= front <= 0.471 or at_an_end
    failed = {check.code for check in check_garment(garment) if not check.ok}
    assert not failed & {"crotch.length", "seam.side", "seam.inner_leg", "girth.hip"}


def made(measures=None, **choices):
    raw = job(
        {"body_rise": 10.5, "crotch_length": 26.5, "outseam": 41} | (measures or {}),
        style="straight-trousers",
        **choices,
    )
    whole = plan(read_job(raw), by_width=False)
    return whole, plan_to_wire(whole)


def codes(wire):
    return {finding["code"]: finding["weight"] for finding in wire["findings"]}


def test_a_seam_shorter_than_the_crotch_warns_and_one_much_longer_is_noted():
    whole, wire = made()
    seam = sewn(whole.garments[0]) / INCH
    assert wire["numbers"]["trousers.crotch_seam"]["net_mm"] == pytest.approx(seam * INCH, abs=0.1)
    assert "crotch.length" not in codes(made({"crotch_length": seam - 0.6})[1])
    assert codes(made({"crotch_length": seam - 0.1})[1])["crotch.length"] == "warn"
    assert "crotch.loose" not in codes(made({"crotch_length": seam - 1.4})[1])
    assert codes(made({"crotch_length": seam - 1.8})[1])["crotch.loose"] == "note"


def test_the_depth_goes_by_the_measured_rise_where_there_is_one_and_says_what_the_method_would_give():
    _, wire = made({"body_rise": 11.5}, crotch_depth="rise")
    assert wire["numbers"]["trousers.crotch_depth"]["net_mm"] == pytest.approx(12 * INCH)
    said = next(finding["words"] for finding in wire["findings"] if finding["code"] == "depth.by_rise")
    assert "12 in down" in said
    assert "10 1/4 in" in said
    _, wire = made({"body_rise": None, "inseam": 30}, crotch_depth="rise")
    assert wire["numbers"]["trousers.crotch_depth"]["net_mm"] == pytest.approx(11.5 * INCH)
    _, wire = made({"body_rise": None, "inseam": None}, crotch_depth="rise")
    assert wire["numbers"]["trousers.crotch_depth"]["net_mm"] == pytest.approx(41 / 4 * INCH)
    assert "depth.by_rise" not in codes(wire)


@pytest.mark.parametrize("name", FIVE)
def test_a_fit_to_the_crotch_asks_for_it_and_leaves_the_girths(name):
    kind = kind_of("straight-trousers")
    ask = kind.resolve("quarter-hip", "straight-trousers", {"crotch_fit": "measured"}, None, False)
    assert "crotch_length" in kind.needs("quarter-hip", ask, FIVE[name])
    assert "crotch_length" not in kind.needs("quarter-hip", resolve("quarter-hip", "straight-trousers", {}), FIVE[name])


@pytest.mark.parametrize(("name", "left_out", "longer", "either_way"), [
    ("middle", (), 25, 42), ("tall", (), 25, 42), ("middle", ("body_rise", "inseam"), 14, 136),
])  # fmt: skip
def test_the_usual_crotch_is_shown_where_none_was_measured(name, left_out, longer, either_way):
    """BODIES: by the rise a quarter-hip draft is 2.5 cm longer than 93 bodies there, sd 2.1; by the hip 1.4, sd 6.8."""
    by = "hip/4" if left_out else "seated"
    drafted_for_it = of_body(name, "quarter-hip", "straight-trousers", crotch_depth=by)
    middle = sewn(drafted_for_it.garments[0]) - longer
    sizes = {key: size for key, size in FIVE[name].items() if key not in left_out}
    raw = job(style="palazzo", hip_ease=1) | {"unit": "cm", "measurements": sizes}
    raw["garments"][0]["method"] = "third-hip"
    wire = plan_to_wire(plan(read_job(raw), by_width=False))
    said = next(one for one in wire["findings"] if one["code"].startswith("crotch.usual"))
    assert said["code"] == ("crotch.usual_by_hip" if left_out else "crotch.usual")
    low, high = floor((middle - either_way) / 10) * 10, ceil((middle + either_way) / 10) * 10  # to a whole cm
    assert (said["params"]["low"], said["params"]["high"]) == pytest.approx((low, high), abs=0.1)
    assert said["params"]["sewn"] == pytest.approx(wire["numbers"]["trousers.crotch_seam"]["net_mm"], abs=0.1)
    raw["measurements"]["crotch_length"] = 70
    wire = plan_to_wire(plan(read_job(raw), by_width=False))
    assert not any(code.startswith("crotch.usual") for code in codes(wire))
