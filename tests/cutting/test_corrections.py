"""What fittings found: a correction moves its own number by what it says, on the outlines, and dropped it leaves no trace.

What each cure is, is common practice, no source.
"""

import json
import math
from fractions import Fraction
from pathlib import Path
from types import SimpleNamespace

import pytest
from shapely.geometry import LineString, Polygon

from cutting.body import Body
from cutting.checks import check_garment
from cutting.errors import CuttingError
from cutting.fitting import SIGNS, VIEWS, alteration_of, corrections_of, tried
from cutting.formats import keep, read_job
from cutting.formats.keep import keep_panels
from cutting.formats.plan_shape import PanelOut
from cutting.formats.plan_v1 import to_model
from cutting.formats.trees import from_tree, to_tree
from cutting.kinds import KINDS, kind_of
from cutting.lengths import Corrected, Fixed, OfCorrection, named, on_tape
from cutting.plan import draft, plan
from cutting.words import ENGLISH, with_numbers
from tests.conftest import some
from tests.cutting.test_invariants import sliced
from tests.jobs import FIVE, STYLES_BY_METHOD, UPPER, job

DAY = "2026-12-03"
HALF = 12.7
JUMPSUIT = Path(__file__).parents[2] / "demo/jobs/crew-jumpsuit.json"


def asked(style="straight-trousers", method="quarter-hip", corrections=(), body="middle", **choices):
    raw = job(style=style, cloth={"width": "129 in"}, **choices)
    raw["garments"][0]["method"] = method
    raw["measurements"] = {key: f"{size} cm" for key, size in (FIVE[body] | UPPER[body]).items()}
    return raw | ({"corrections": list(corrections)} if corrections else {})


def made(*arguments, **named_):
    return plan(read_job(asked(*arguments, **named_)), by_width=False)


def drafted(*arguments, **named_):
    return draft(read_job(asked(*arguments, **named_)))[0]


def drawn(*arguments, **named_):
    """The panels as they are exported."""
    return SimpleNamespace(panels=[PanelOut(**panel) for panel in keep_panels(drafted(*arguments, **named_))])


def found(choice, by="1/2", **more):
    return {"choice": choice, "by": by, "from": DAY} | more


def number(wire, key):
    return wire.numbers[f"trousers.{key}"]


OWN = {
    "seat_raise": ("back.seat_raise", {}), "centre_drop": ("front.centre_drop", {}), "back_tip": ("back.crotch_tip", {}),
    "crotch_extension": ("front.crotch_extension", {}), "crotch_ease": ("crotch_depth", {}), "length": ("length", {}),
    "back_dart_intake": ("back.dart_intake", {"back_darts": "one"}), "side_raise": ("front.side_raise", {}),
}  # fmt: skip
"""A correction, and the number of the plan that it is of."""


@pytest.mark.parametrize("choice", OWN)
@pytest.mark.parametrize("method", ["quarter-hip", "half-thigh", "twentieth-tenth", "quarter-plus-one"])
@pytest.mark.parametrize("by", ["1/4", "-1/4"])
def test_a_correction_moves_its_own_number_by_what_it_says_and_says_since_when(choice, method, by):
    key, choices = OWN[choice]
    had = drafted(method=method, **choices)[0].numbers[key].net
    if by[0] == "-" and had.mm < 6.35 + (1 if choice in ("centre_drop", "side_raise", "seat_raise") else 0):
        with pytest.raises(CuttingError, match=r"correction\.small"):
            drafted(method=method, corrections=[found(choice, by)], **choices)
        return
    now = drafted(method=method, corrections=[found(choice, by)], **choices)[0].numbers[key].net
    assert now.mm - had.mm == pytest.approx(6.35 if by == "1/4" else -6.35, abs=0.1)
    assert "1/4 in from the fitting of 3 December" in ENGLISH.formula(now, "in")
    assert "1/4" in with_numbers(now, "in")


@pytest.mark.parametrize("body", FIVE)
@pytest.mark.parametrize("style", ["straight-trousers", "palazzo", "shorts"])
@pytest.mark.parametrize(("choice", "moves"), [("waist_ease", "waist"), ("hip_ease", "hip")])
def test_a_girth_measured_on_the_outlines_is_more_by_what_is_said_and_the_other_stays(body, style, choice, moves):
    girths = [
        dict(zip(("waist", "hip", "thigh"), sliced(drawn(style, body=body, corrections=one)), strict=True))
        for one in ((), [found(choice)])
    ]  # fmt: skip
    other = {"waist": "hip", "hip": "waist"}[moves]
    assert girths[1][moves] - girths[0][moves] == pytest.approx(HALF, abs=1)
    assert girths[1][other] == pytest.approx(girths[0][other], abs=1)


KNEED = ("straight-trousers", "close-trousers", "boot-cut")


def across(panel, level):
    """From where to where a panel reaches at a level of its sewn outline, in mm."""
    low, _, high, _ = LineString([(-2000, level), (2000, level)]).intersection(Polygon(panel.net)).bounds
    return low, high


def widened(garment):
    """By how much it is said that the back's hem is wider, in mm."""
    return sum(one.params["by"].mm for one in garment.findings if one.code == "hem.widened")


@pytest.mark.parametrize("by", ["1", "-1", "1 1/2", "-1 1/2"])
@pytest.mark.parametrize(("style", "method"), [one for one in STYLES_BY_METHOD if one[0] in KNEED])
def test_a_leg_that_is_moved_is_as_wide_as_before_and_its_middle_where_it_is_said(style, method, by):
    size = float(sum(map(Fraction, by.lstrip("-").split()))) * (-25.4 if by[0] == "-" else 25.4)
    [was] = draft(read_job(asked(style, method)))[0]
    for raw in (asked(style, method, [found("leg_inwards", by)]), asked(style, method, leg_inwards=by)):
        [now] = draft(read_job(raw))[0]
        for name in ("front", "back"):
            one, then = was.panels[name], now.panels[name]
            # What the back is widened by so that the inner legs are equal is at the inner leg.
            more = widened(now) - widened(was) if name == "back" else 0.0
            for level in (was.panels["front"].points["K"].down, was.panels["front"].points["L"].down - 20):
                (left, right), (new_left, new_right) = across(one, level), across(then, level)
                assert new_left - left == pytest.approx(size, abs=0.1)
                assert new_right - right == pytest.approx(size + more, abs=0.1)
        failed = [{check.code for check in check_garment(garment) if not check.ok} for garment in (was, now)]
        assert failed[0] == failed[1]


@pytest.mark.parametrize("body", FIVE)
@pytest.mark.parametrize("style", ["bodice", "straight-top", "cropped-top"])
def test_a_waist_that_is_corrected_is_so_much_lower_on_the_outlines(body, style):
    plain, found_ = (
        drawn(style, "quarter-bust", one, body=body) for one in ([], [found("nape_to_waist"), found("neck_to_waist")])
    )
    lengths = [
        {panel.name: max(y for x, y in panel.net if x < 13) for panel in one.panels if panel.name in ("front", "back")}
        for one in (plain, found_)
    ]  # fmt: skip
    for name in ("front", "back"):
        assert lengths[1][name] - lengths[0][name] == pytest.approx(HALF, abs=0.5)
    # A body without either has no waist to correct: that is said.
    raw = asked("loose-top", "quarter-bust", [found("nape_to_waist")])
    for key in ("nape_to_waist", "neck_to_waist"):
        raw["measurements"].pop(key, None)
    raw["measurements"]["shoulder_to_tummy"] = "50 cm"
    [said] = [one for one in to_model(plan(read_job(raw), False)).findings if one.code == "correction.unused"]
    assert said.words == "The correction of 1/2 in is not taken: this draft does not use 'Nape to waist'."


@pytest.mark.parametrize(("style", "method"), some(STYLES_BY_METHOD, 9))
def test_kept_and_dropped_the_plan_is_what_it_was_to_the_digit(style, method):
    kind = kind_of(style)
    before = keep(made(style, method))
    numbers = {key: one.net for key, one in drafted(style, method)[0].numbers.items()}
    for choice in kind.correctable:
        try:
            [changed] = drafted(style, method, [found(choice, "1/8", kind=kind.name)])
        except CuttingError as refused:
            assert all(one.where for one in refused.problems)
            continue
        # One that is said to change nothing changes nothing but that it is said.
        if any(one.code == "correction.unused" for one in changed.findings):
            assert {key: one.net for key, one in changed.numbers.items()} == numbers
    assert keep(made(style, method)) == before
    # Half an inch more and half an inch less are nothing, whoever looks.
    both = [found(one, by) for one in ("waist_ease", "bust_ease", "seat_raise") for by in ("1/2", "-1/2")]
    nothing = {key: one.net.mm for key, one in drafted(style, method, both)[0].numbers.items()}
    assert nothing == pytest.approx({key: net.mm for key, net in numbers.items()}, abs=1e-6)


def test_a_length_that_is_chosen_stays_a_rule_that_is_chosen_is_corrected_and_both_are_said():
    chosen = to_model(made(seat_raise="1 in", corrections=[found("seat_raise")]))
    assert number(chosen, "back.seat_raise").net_mm == pytest.approx(25.4)
    [said] = [one for one in chosen.findings if one.code == "correction.chosen"]
    assert said.where == "garments.trousers.choices.seat_raise"
    assert said.words == "The correction of 1/2 in is not taken: 'Centre back, up' is chosen for this garment."
    ruled = to_model(made(crotch_extension="hip/16", corrections=[found("crotch_extension")]))
    plain = to_model(made(crotch_extension="hip/16"))
    assert number(ruled, "front.crotch_extension").net_mm - number(plain, "front.crotch_extension").net_mm == (
        pytest.approx(HALF)
    )


def test_a_jumpsuits_halves_meet_with_corrections_of_both_and_the_waist_follows_the_lower_one():
    raw = json.loads(JUMPSUIT.read_text())
    raw["garments"][0]["top"]["choices"].pop("bust_ease", None)
    raw["garments"][0]["lower"]["choices"].pop("waist_ease", None)
    raw["corrections"] = [
        found("waist_ease", "1", kind="lower"),
        found("bust_ease", "1", kind="top"),
        found("seat_raise"),
    ]
    top, lower = draft(read_job(raw))[0]
    assert top.waist_flat - top.gathered == pytest.approx(
        lower.waist_sewn - 2 * lower.sums.front_gathers.mm - 2 * lower.sums.back_gathers.mm, abs=1.5
    )
    plain_top, plain_lower = draft(read_job({key: value for key, value in raw.items() if key != "corrections"}))[0]
    assert top.ask.bust_ease.size - plain_top.ask.bust_ease.size == Fraction(254, 10)
    assert lower.ask.waist_ease.size - plain_lower.ask.waist_ease.size == Fraction(254, 10)


def test_a_rule_of_the_house_is_left_out_and_said_where_a_draft_has_no_room_for_it():
    plain, own = made(), made(corrections=[found("hip_ease", "1/4")])
    huge = found("seat_raise", "4", house=True)
    left = made(corrections=[huge, found("hip_ease", "1/4")])
    assert to_model(left).numbers == to_model(own).numbers
    assert to_model(made(corrections=[huge])).numbers == to_model(plain).numbers
    [said] = [one for one in to_model(left).findings if one.code == "correction.left_out"]
    assert said.words.startswith("The house rule of 4 in is left out here: with it 'Centre back, up' would be out")
    fits = made(corrections=[found("seat_raise", "1/4", house=True)])
    moved = number(to_model(fits), "back.seat_raise").net_mm - number(to_model(plain), "back.seat_raise").net_mm
    assert moved == pytest.approx(6.35)


def test_one_holds_for_the_kind_the_method_and_the_garment_that_it_names_alone():
    raw = asked(corrections=[found("hip_ease", kind="top"), found("seat_raise", method="half-thigh"),
                             found("centre_drop", garment="other")])  # fmt: skip
    plain = asked()
    assert {key: one.net_mm for key, one in to_model(plan(read_job(raw), False)).numbers.items()} == {
        key: one.net_mm for key, one in to_model(plan(read_job(plain), False)).numbers.items()
    }


@pytest.mark.parametrize(
    ("wrong", "code"),
    [
        (found("hem_widths"), "job.rule"), (found("seat"), "job.rule"), (found("seat_raise", side="left"), "correction.side"),
        (found("seat_raise", "0"), "correction.size"), (found("seat_raise", "7"), "correction.size"),
        (found("seat_raise", "a bit"), "length.unreadable"), (found("seat_raise", "1/2 x"), "length.unit"),
        (found("seat_raise", "--1"), "length.negative"), (found("seat_raise", "4"), "correction.large"),
        (found("seat_raise", "-3"), "correction.small"), (found("bust_ease", kind="lower"), "job.rule"),
        (found("seat_raise", kind="hat"), "job.rule"),
    ],
)  # fmt: skip
def test_a_correction_that_cannot_be_is_refused_by_name(wrong, code):
    with pytest.raises(CuttingError) as refused:
        plan(read_job(asked(corrections=[wrong])), by_width=False)
    assert code in {one.code for one in refused.value.problems}
    for one in refused.value.problems:
        assert all(ENGLISH.say_problem(one, "in"))
    many = asked(corrections=[found("seat_raise", "1/16")] * 81)
    with pytest.raises(CuttingError, match=r"correction\.many"):
        read_job(many)


def test_a_corrected_length_is_its_sum_wherever_it_goes():
    whole = Corrected.of(
        Fixed(Fraction(254, 10)), (OfCorrection(Fraction(127, 10), DAY), OfCorrection(Fraction(-635, 100), "a party"))
    )
    assert whole.mm == pytest.approx(31.75)
    said = "1 in hip ease + 1/2 in from the fitting of 3 December - 1/4 in from a party"
    assert ENGLISH.formula(named(whole, "hip_ease"), "in") == said
    assert with_numbers(whole / 2, "in") == "(1 + 1/2 - 1/4) / 2"
    back = from_tree(json.loads(json.dumps(to_tree(whole))))
    assert (back.mm, ENGLISH.formula(back, "in")) == (whole.mm, ENGLISH.formula(whole, "in"))
    assert (Fixed(Fraction(10)) + whole).mm == pytest.approx(41.75)


AT_HALF = {
    "extension_more": {"crotch_extension": 0.25, "front_diagonal": -0.125}, "drop_more": {"centre_drop": 0.5},
    "tip_more": {"back_tip": 0.5}, "hip_and_raise": {"hip_ease": 0.5, "seat_raise": 0.5},
    "tip_less": {"back_tip": -0.5, "centre_slant": 0.5}, "raise_more": {"seat_raise": 0.5},
    "waist_more": {"waist_ease": 0.5}, "waist_less": {"waist_ease": -0.5}, "hip_more": {"hip_ease": 0.5},
    "thigh_more": {"thigh_ease": 0.5, "back_tip": 0.5}, "depth_less": {"crotch_ease": -0.5},
    "length_less": {"length": -0.5}, "zip_edge_less": {"zip_edge": -0.5}, "slant_more": {"centre_slant": 0.25},
    "leg_inside": {"leg_inwards": 0.5}, "leg_outside": {"leg_inwards": -0.5},
    "waist_lower": {"nape_to_waist": 0.5, "neck_to_waist": 0.5}, "waist_higher": {"nape_to_waist": -0.5, "neck_to_waist": -0.5},
    "neck_narrower": {"neck_width": -0.25}, "slope_less": {"shoulder_slope": -0.5}, "bust_more": {"bust_ease": 0.5},
}  # fmt: skip
"""By hand from the table of signs and cures, with 1/2 in pinned: each choice in inches."""


@pytest.mark.parametrize("sign", SIGNS)
def test_every_sign_has_its_words_and_each_cure_is_what_the_table_says(sign):
    seen = SIGNS[sign]
    assert seen.view in VIEWS
    assert seen.cures
    assert all(vars(ENGLISH.sign_words(sign, "in")).values())
    for cure in seen.cures:
        assert ENGLISH.cure_name(cure.code, "cm")
        made_ = corrections_of(cure, seen.kind, Fraction(127, 10), DAY)
        if cure.code in AT_HALF and not (cure.code == "depth_less" and sign == "loose_at_fork"):
            assert {one.choice: float(one.by.size) / 25.4 for one in made_} == pytest.approx(AT_HALF[cure.code])
        assert {one.choice for one in made_} <= set(KINDS[seen.kind].correctable)
    assert {*AT_HALF} <= {cure.code for one in SIGNS.values() for cure in one.cures}


def cures(raw, pinned):
    """Every cure of what is seen on a lower garment, tried on it, by sign and cure."""
    job_ = read_job(raw)
    [garment], kind = job_.garments, kind_of(raw["garments"][0]["style"])
    with on_tape(raw["unit"]):
        return {
            (sign.code, one.cure.code): one for sign in SIGNS.values() if sign.kind == kind.name
            for one in tried(
                sign, Fraction(pinned), DAY, job_.body,
                lambda body: kind.draft("trousers", raw["garments"][0]["method"], body, garment.ask),
            )
        }  # fmt: skip


@pytest.mark.parametrize(
    ("unit", "choices", "sign", "cure", "says"),
    [
        ("in", {}, "hips_pull", "hip_more", "let the sides out, up to 3 in ((1 - 1/4) x 4) all round"),
        ("cm", {}, "hips_pull", "hip_more", "let the sides out, up to 8 cm ((2.5 - 0.5) x 4) all round"),
        ("in", {"allowances": {"side": "1/2"}}, "waist_tight", "waist_more", "up to 1 in ((1/2 - 1/4) x 4) all round"),
        ("in", {"allowances": {"side": "1/4"}}, "waist_tight", "waist_more", "it cannot be done: it waits for the next"),
        ("in", {}, "seat_tight", "tip_more", "up to 1/4 in (1/2 - 1/4) at each layer"),
        ("in", {"allowances": {"inner_leg": "1"}}, "seat_tight", "tip_more", "up to 3/4 in (1 - 1/4) at each layer"),
        ("in", {"hem": "3"}, "leg_short", "length_more", "let the hem down, up to 2 in (3 - 1)"),
        ("in", {}, "leg_long", "length_less", "turn the hem up higher"),
        ("in", {}, "waist_loose", "waist_less", "take it in at the sides"),
        ("in", {}, "waist_loose", "darts_more", "sew the back darts deeper"),
        ("in", {}, "waist_dips", "raise_more", "it cannot be done: it waits for the next"),
    ],
)  # fmt: skip
def test_what_this_garment_can_still_take_is_its_allowance_less_what_is_kept(unit, choices, sign, cure, says):
    one = cures(asked(**choices) | {"unit": unit, "cloth": {"width": "150 cm"}}, HALF)[sign, cure]
    assert says in ENGLISH.say_room(one.room, one.left, unit)


@pytest.mark.parametrize(
    ("cure", "pinned", "unit", "by", "says"),
    [
        ("extension_more", "12.7", "in", 6.35, "(1/2 in pinned) / 2"),
        ("extension_more", "101.6", "in", 19.05, "(4 in pinned) / 2, but no more than 3/4 in"),
        ("extension_more", "3.175", "in", 3.175, "(1/8 in pinned) / 2, but no less than 1/8 in"),
        ("drop_more", "12.7", "in", 12.7, "whatever is pinned"), ("drop_more", "30", "cm", 15, "whatever is pinned"),
        ("depth_less", "15", "cm", -7.5, "(1.5 cm pinned) / 2"),
        ("depth_less", "76", "cm", -25, "(7.6 cm pinned) / 2, but no more than 2.5 cm"),
    ],
)  # fmt: skip
def test_a_cure_says_where_its_amount_comes_from(cure, pinned, unit, by, says):
    change = next(
        one.changes[0] for sign in ("folds_at_fork", "loose_at_fork") for one in SIGNS[sign].cures if one.code == cure
    )
    with on_tape(unit):
        amount = change.amount(Fraction(pinned))
    assert float(amount.size) == pytest.approx(by)
    assert ENGLISH.say_amount(amount, unit) == says


def test_every_cure_that_a_garment_can_take_is_said_as_an_alteration_and_no_other():
    for sign in SIGNS.values():
        for cure in sign.cures:
            by = cure.changes[0].amount(Fraction(127, 10)).size
            made_ = alteration_of(cure, by)
            assert (made_ is None) == (cure.room == "")
            if made_ is not None:
                title, says = ENGLISH.alteration_words(made_, "in")
                assert title
                assert says.startswith("By ")
                assert made_.each.mm * made_.layers == pytest.approx(abs(float(by)))
                # Sides have four layers all round, a leg has two.
                round_ = {"waist_ease": 4, "hip_ease": 4, "bust_ease": 4, "thigh_ease": 2}
                assert made_.layers == round_.get(cure.changes[0].choice, 1)


def test_the_panel_that_a_cure_moves_is_drawn_as_it_would_be_and_as_it_stands():
    moved = cures(asked(), HALF)["seat_tight", "tip_more"].moved
    assert moved.panel == "back"
    was, now = (min(p.across for line in lines for p in line) for lines in (moved.was, moved.lines))
    wide = [
        max(p.across for line in lines for p in line) - low for lines, low in ((moved.was, was), (moved.lines, now))
    ]
    assert wide[1] - wide[0] == pytest.approx(HALF, abs=0.5)


def test_a_dart_that_is_chosen_for_both_panels_is_final():
    choices = {"darts": "one", "dart_intake": "3/4"}
    plan_ = to_model(made(corrections=[found("back_dart_intake", "1/4")], **choices))
    assert number(plan_, "back.dart_intake").net_mm == pytest.approx(19.05)
    assert [one.code for one in plan_.findings if one.code.startswith("correction")] == ["correction.chosen"]


@pytest.mark.parametrize(("style", "method"), some(STYLES_BY_METHOD, 8, 1))
def test_each_cure_drafts_or_says_why_and_how_much_of_it_works(style, method):
    raw = asked(style, method)
    job_, kind = read_job(raw), kind_of(style)
    changed = 0
    for pinned in (12.7, 76.2):
        for one in cures(raw, pinned).values():
            assert ENGLISH.say_room(one.room, one.left, "in")
            if one.refused and not one.works:
                continue
            share = one.works if one.refused else Fraction(1)
            corrections = corrections_of(one.cure, kind.name, Fraction(pinned), DAY, share)
            then = kind.draft("trousers", method, Body(job_.body.sizes, corrections), job_.garments[0].ask)
            changed += bool(one.numbers)
            for moved in one.numbers:
                assert then.numbers[moved.key].net.mm == pytest.approx(moved.now.mm)
                assert math.isfinite(moved.was.mm)
    assert changed > 3
