"""No choice is ignored in silence: it changes the plan, or is refused by name, or a finding names it."""

import json
import os

import pytest

from cutting.body import CATALOGUE
from cutting.errors import CuttingError
from cutting.formats import read_job
from cutting.kinds import KINDS, kind_of
from cutting.plan import draft
from cutting.sewing import sewing_of
from cutting.words.en.findings import say_finding
from tests.conftest import some
from tests.jobs import STYLES_BY_METHOD, job

BODY = {
    "waist": 30, "hip": 41, "thigh": 24.5, "knee": 16, "waist_to_knee": 23, "outseam": 41, "inseam": 30.5,
    "body_rise": 10.5, "waist_to_hip": 8, "bust_span": 7.5, "ankle": 9.5, "low_waist": 34, "bust": 38, "shoulder": 15.5,
    "nape_to_waist": 16, "neck_to_waist": 18.5, "upper_arm": 12, "sleeve_length": 23, "wrist": 6.5, "neck": 14,
    "head": 22, "shoulder_to_bust_point": 10.5, "crotch_length": 26, "waist_to_floor": 42,
}  # fmt: skip
FIRST = {pair[1]: pair for pair in reversed(STYLES_BY_METHOD)}
PAIRS = STYLES_BY_METHOD if os.environ.get("PLAVET_DEEP") else [*FIRST.values(), ("palazzo", "quarter-hip")]


def asked(style, method, measures=None, **choices):
    raw = job(BODY | (measures or {}), cloth={"width": "129 in", "fold": "open"}, style=style, **choices)
    raw["garments"][0]["method"] = method
    return raw


def drawn(style, method, measures=None, **choices):
    """All that is seen of a draft, rounded to a tenth of a mm; what is said of it, by place; None where it is refused."""
    try:
        garments = draft(read_job(asked(style, method, measures, **choices)))[0]
    except CuttingError as refused:
        return None, [str(problem.where) for problem in refused.problems]
    seen = []
    for garment in garments:
        for name, panel in garment.panels.items():
            lines = [
                panel.net,
                panel.cut,
                *([d.near, d.tip, d.far] for d in panel.darts),
                *(p.flat() for p in panel.lines.values()),
            ]
            lines += [[notch.net, notch.cut] for notch in panel.notches]
            seen += [(name, [(round(p.across, 1), round(p.down, 1)) for p in line]) for line in lines]
        seen += [
            (part.panel.name, part.count, part.interfacing, garment.cut_from(part.panel.name)) for part in garment.parts
        ]
        seen += [(name, garment.cut_from(name)) for name in garment.panels]
        seen += [(one.code, one.count, one.length and round(one.length.mm, 1)) for one in garment.notions]
        seen += [(step.code, step.from_code, round(tape.length.mm, 1)) for step, tape in garment.tapes()]
        seen += [(key, round(one.net.mm, 1), round(one.cut.mm, 1)) for key, one in garment.numbers.items()]
    seen += [one.id for one in sewing_of(garments)]
    return json.dumps(seen), [str(one.where) for garment in garments for one in garment.findings]


def tries(choice):
    """Values of a choice that a tailor might try: each word on offer, three lengths within its limits."""
    words = [[word] if choice.kind == "list" else word for word in choice.offered if choice.kind != "allowances"]
    within = [f"{(choice.least * (4 - k) + choice.most * k) / 4:.2f} mm" for k in (1, 0, 2, 3)]
    return [*words, *(within if "length" in choice.kind else []), *([2, 3] if choice.kind == "number" else [])]


@pytest.mark.parametrize(("style", "method"), PAIRS)
def test_every_choice_changes_the_plan_or_is_named(style, method):
    plain, _ = drawn(style, method)
    ignored = []
    for key, choice in kind_of(style).choices.items():
        if choice.kind == "allowances":
            made = [({key: {edge: "3/4 in"}}, f"{key}.{edge}") for edge in choice.offered]
            ignored += [name for one, name in made if not answered(style, method, plain, name, one)]
        elif not any(answered(style, method, plain, key, {key: value}) for value in tries(choice)):
            ignored.append(key)
    assert ignored == []


def answered(style, method, plain, key, choices):
    """Whether such a choice is seen in the plan, or is spoken of by its name."""
    there, said = drawn(style, method, **choices)
    return (there is not None and there != plain) or any(f"choices.{key}" in where for where in said)


@pytest.mark.parametrize(
    ("method", "choices"),
    [
        ("twentieth-tenth", {"seat": "full"}), ("multiplied-quarter", {"seat": "flat"}), ("third-hip", {"seat": "full"}),
        ("twentieth-tenth", {"seat_height": "none"}), ("multiplied-quarter", {"seat_height": "none"}),
        ("half-thigh", {"waist_position": "high"}), ("third-hip", {"waist_position": "high"}),
        ("quarter-hip", {"back_wider": "2 in"}), ("quarter-hip", {"hip_line": "two-above"}),
    ],
)  # fmt: skip
def test_each_rule_that_was_ignored_once_is_read(method, choices):
    style = {"multiplied-quarter": "wide-gathered", "quarter-hip": "shorts"}.get(method, "straight-trousers")
    if method == "third-hip":
        style = "loose-trousers"
    sizes = {"hip": 44, "thigh": 27} if "waist_position" in choices else None
    assert drawn(style, method, sizes, **choices)[0] not in (None, drawn(style, method, sizes)[0])


def test_what_changes_nothing_is_said_in_words_that_tell_where_it_would():
    raw = asked("straight-trousers", "quarter-hip", heading="2 in", front_darts="none", front_dart_length="3 in")
    (garment,) = draft(read_job(raw))[0]
    said = {
        str(one.where).rpartition(".")[2]: say_finding(one, "in")
        for one in garment.findings
        if one.code == "choice.idle"
    }
    assert (
        said["heading"]
        == "'Heading' changes nothing here: it is read where 'Finished with' is Paper-bag, channel and tie."
    )
    assert said.keys() == {"heading", "front_dart_length"}


# Only what is drawn with is asked for ------------------------------------------------------------------------------

STAND_INS = {"waist_to_hip", "waist_to_knee", "knee", "outseam", "inseam", "low_waist", "body_rise"}
"""Taken instead of a rule where they were measured; without them the rule's own figure is used, which is said. A
palazzo falls straight from the crotch point, or where the thigh and its ease end. The quick cut of four layers uses no hip, and is made wider where one is measured that it would not pass.
"""
KEYS = ("waist", "hip", "thigh", "outseam", "ankle", "body_rise", "inseam", "bust_span", "knee")


def needed(style, method, **choices):
    """What a draft asks for when it is given nothing."""
    raw = asked(style, method, **choices)
    raw["measurements"] = {}
    with pytest.raises(CuttingError) as refused:
        draft(read_job(raw))
    assert {problem.code for problem in refused.value.problems} == {"measure.missing"}
    return [problem.where.path[0] for problem in refused.value.problems]


def without_gathers(seen):
    """What is seen of a draft but for its elastic, which can be tried on the body, and the quick rules for the fold."""
    return [
        row for row in json.loads(seen) if row[0] not in ("elastic", "elastic.length") and "fold.quick" not in row[0]
    ]


@pytest.mark.parametrize(("style", "method"), some([pair for pair in STYLES_BY_METHOD if pair[1] != "quarter-bust"], 4))
def test_a_measure_is_asked_for_where_it_moves_the_draft_and_nowhere_else(style, method):
    asks = needed(style, method)
    small = {key: BODY[key] for key in asks}
    others = {key: None for key in [*CATALOGUE] if key not in small}

    def seen(key, by):
        there, said = drawn(style, method, others | {key: BODY[key] + by})
        assert there is not None, said
        return without_gathers(there)

    plain = without_gathers(drawn(style, method, others)[0])
    for key in asks:
        moved = seen(key, 0.75) != plain or seen(key, 2.5) != seen(key, 3.25)  # on a fuller thigh, past the floor
        assert moved, f"{key} moves nothing"
    stand_ins = STAND_INS | {"four-layer": {"hip"}}.get(method, {"thigh"} if style == "palazzo" else set())
    for key in KEYS:
        if key not in asks and key not in stand_ins:
            assert seen(key, 0.75) == seen(key, 0), f"{key} moves a line and is not asked for"


def test_a_garment_s_own_length_stands_in_for_the_outseam():
    assert "outseam" in needed("straight-trousers", "quarter-hip")
    assert "outseam" not in needed("straight-trousers", "quarter-hip", length="40 in")
    assert set(needed("boxers", "one-piece-leg")) == {"hip", "body_rise"}
    assert set(needed("loose-trousers", "sixteenth-eighth")) == {"hip", "body_rise", "outseam"}
    assert set(KINDS) == {"lower", "top"}
