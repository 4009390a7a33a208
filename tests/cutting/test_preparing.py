"""What is done to the cloth before the first call: said once, in the order of the table, with the cloth's own sizes."""

import re

import pytest

from cutting.cloth import FOLDS
from cutting.formats import keep, plan_to_wire, read_job, read_kept
from cutting.plan import plan
from cutting.words import ENGLISH
from tests.jobs import job


def steps(**cloth):
    made = plan_to_wire(plan(read_job(job(cloth={"width": "60 in"} | cloth)), by_width=False))
    return [section["prepare"] for section in made["lay"]["sections"]]


def test_a_plain_cloth_is_found_pressed_trimmed_and_folded():
    [said] = steps(fold="open", shrink_percent="0")
    assert said[:3] == [
        "Find the selvedges: the grain runs along them.", "Press it flat.", "Trim the cut end square to the selvedge.",
    ]  # fmt: skip
    assert said[3].startswith("Spread it in one layer")
    assert len(said) == 4


def test_what_the_cloth_needs_besides_is_said_with_its_sizes():
    cloth = {
        "kind": "chiffon",
        "one_way": True,
        "shrink_percent": "2.5",
        "selvedge": "1/2",
        "trim": "1 1/4",
        "repeat": "3",
    }
    [said] = steps(fold="lengthwise-centre", **cloth)
    order = ["1/2 in at each of them stay empty", "shrinks by 2.5 %", "1 1/4 in are bought", "arrow", "selvedge on selvedge", "every 3 in", "creeps"]  # fmt: skip
    assert len(said) == len(order)
    assert all(part in line for part, line in zip(order, said, strict=True)), said


@pytest.mark.parametrize("fold", [*FOLDS, "sections"])
def test_the_cloth_is_prepared_once_and_folded_for_every_section(fold):
    every = steps(fold=fold, shrink_percent="3")
    assert ["shrinks" in " ".join(said) for said in every] == [True] + [False] * (len(every) - 1)
    assert all(said[0].startswith("Cut the last section off") for said in every[1:])
    if fold == "sections":
        assert len(every) > 1


def test_a_metric_plan_speaks_of_no_inches_and_an_old_one_of_its_fold():
    made = plan(read_job(job(cloth={"width": "150 cm", "selvedge": "1 cm", "trim": "2 cm", "fold": "lengthwise-partial"})), by_width=False)  # fmt: skip
    kept = keep(made)
    [section] = read_kept(kept, ENGLISH, "cm").lay.sections
    assert not re.search(r"\d in\b|inch", " ".join(section.prepare))
    del kept["lay"]["sections"][0]["prepare"]
    [old] = read_kept(kept, ENGLISH, "cm").lay.sections
    assert old.prepare == [old.say]
