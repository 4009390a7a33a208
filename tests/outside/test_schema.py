"""Jobs and plans compared with the published JSON Schemas by a library that knows nothing of us."""

import json
from pathlib import Path

import pytest
from jsonschema import Draft202012Validator

from cutting.errors import CuttingError
from cutting.formats import plan_to_wire, problems_to_wire, read_job
from cutting.plan import plan
from tests.jobs import MARIT, job

SCHEMAS = Path(__file__).parents[2] / "docs/schema"


def validator(name):
    schema = json.loads((SCHEMAS / f"plavet-{name}.json").read_text())
    Draft202012Validator.check_schema(schema)
    return Draft202012Validator(schema)


@pytest.mark.parametrize("made", [MARIT, job(style="straight-trousers", seat="full"), job(cloth={"fold": "open"})])
def test_job_and_plan_fit_their_schemas(made):
    validator("job").validate(made)
    wire = json.loads(json.dumps(plan_to_wire(plan(read_job(made)))))
    validator("plan").validate(wire)


@pytest.mark.parametrize("spoil", ["numbers", "marks", "ledger", "checks", "format"])
def test_the_schema_notices_what_is_missing(spoil):
    wire = json.loads(json.dumps(plan_to_wire(plan(read_job(MARIT), by_width=False))))
    del wire[spoil]
    assert list(validator("plan").iter_errors(wire))


def test_problems_fit_their_schema():
    with pytest.raises(CuttingError) as refused:
        read_job(job({"hip": "x", "waist": -1}))
    wire = problems_to_wire(refused.value)
    validator("problems").validate(wire)
    assert len(wire["problems"]) == 2


def test_the_promised_number_keys_are_all_there():
    keys = [
        "crotch_depth",
        "hip_depth",
        "thigh_depth",
        "knee_depth",
        "ankle_depth",
        "length",
        "cut_length",
        "front.centre_drop",
        "front.side_raise",
        "back.side_raise",
        "back.crotch_tip",
        "back.tip_drop",
        "back.seat_raise",
        "back.centre_slant",
        "band.cut_length",
        "band.cut_depth",
        "band.finished_depth",
        "fold.needed",
        "fold.quick_rule",
        "fold.quick_half",
        "fold.quick_thigh",
        "fold.quick_thigh_back",
        "crotch_seam",
        "front.crotch_seam",
        "back.crotch_seam",
    ]
    for panel in ("front", "back"):
        keys += [
            f"{panel}.{key}"
            for key in [
                "hip_width",
                "crotch_extension",
                "crotch_width",
                "waist_width",
                "thigh_width",
                "knee_width",
                "hem_width",
                "crease",
                "curve_diagonal",
                "dart_intake",
                "dart_length",
                "dart_place",
            ]
        ]
    wire = plan_to_wire(plan(read_job(MARIT), by_width=False))
    assert {f"trousers.{key}" for key in keys} == set(wire["numbers"])
