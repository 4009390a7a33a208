"""Pieces that are pinned stay to the hair, and the rest is laid anew around them."""

import json
import subprocess
import sys
from dataclasses import replace
from itertools import islice

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from cutting.cloth import Cloth
from cutting.dividing import first_laid
from cutting.errors import CuttingError
from cutting.formats import plan_to_wire, read_job
from cutting.lay import faults, pinned
from cutting.lay.search import improve
from cutting.laying import Laying
from cutting.lengths import inch
from cutting.plan import plan
from tests.conftest import many
from tests.jobs import job, planned
from tests.strategies import asks, bodies, served


def far_out(section):
    """The same pieces one after the other along the cloth: sound, and far too long."""
    cuts = {piece.id: piece.cut for piece in section.pieces}
    reach, moved = 0.0, []
    for one in section.best.lay.placements:
        along = [one.point(corner)[0] for corner in cuts[one.piece]]
        moved.append(replace(one, x=one.x - min(along) + reach))
        reach += max(along) - min(along)
    return section.on(replace(section.best.lay, placements=tuple(moved), reach=reach))


@settings(max_examples=many(10))
@given(bodies(), asks(), st.integers(45, 70), st.sampled_from(["open", "lengthwise-centre"]), st.randoms())
def test_what_is_pinned_stays_and_the_rest_comes_in(body, made, inches, fold, chance):
    laying = Laying(Cloth(width=inch(inches).size, fold=fold), ((served(body, made),),))
    (section,) = first_laid(laying).sections
    if section.best is None:
        return
    out = far_out(section)
    count = len(out.best.lay.placements)
    pins = chance.sample(range(count), chance.randint(1, max(1, count // 2)))
    held = pinned(out, pins)
    tries = improve(held.items, held.best.lay, held.best.bound.reach, chance.randint(1, 999))
    lays = [step.lay for step in islice(tries, 4) if step.lay is not None]
    last = max(range(count), key=lambda k: out.best.lay.placements[k].x)
    if count > 2 and last not in pins and not lays:
        # The pins may leave little to gain: it is looked for longer.
        found = next((step.lay for step in islice(tries, 60) if step.lay is not None), None)
        assert found is not None, "what is further out than it must comes in"
        lays = [found]
    stay = [out.best.lay.placements[k] for k in pins]
    for lay in lays:
        assert faults(lay, out.pieces, False) == []
        for one in stay:
            near = [
                p for p in lay.placements if (p.piece, p.turned, p.mirrored) == (one.piece, one.turned, one.mirrored)
            ]
            assert min(abs(p.x - one.x) + abs(p.y - one.y) for p in near) < 1e-6


def test_a_pin_in_nothing_is_refused():
    (section,) = planned(cloth={"width": 60}).laid.sections
    for wrong in (-1, len(section.best.lay.placements)):
        with pytest.raises(CuttingError):
            pinned(section, [wrong])


def test_the_child_lays_the_rest_of_one_section_and_leaves_the_others():
    raw = job(
        cloth={"width": 45, "fold": "sections", "sections": {"rest": "lengthwise-centre"}}, style="straight-trousers",
        pockets=["back-patch", "in-seam"],
    )  # fmt: skip
    lay = plan_to_wire(plan(read_job(raw), by_width=False))["lay"]
    rest = [k for k, one in enumerate(lay["placements"]) if one["section"] == 2]
    far = max(rest, key=lambda k: lay["placements"][k]["x_mm"])
    lay["placements"][far]["x_mm"] += 700
    pins = [k for k in rest if k != far][:1]
    asked = {"job": raw, "seconds": 3, "seed": 1, "hand": {"placements": lay["placements"], "pins": pins}}
    shown = subprocess.run(
        [sys.executable, "-m", "cutting.search_child"], input=json.dumps(asked) + "\n", text=True, capture_output=True,
        timeout=60, check=True,
    )  # fmt: skip
    last = json.loads(shown.stdout.splitlines()[-1])
    found = last["plan"]["lay"]
    for k, one in enumerate(lay["placements"]):
        if one["section"] != 2:
            assert found["placements"][k]["x_mm"] == pytest.approx(one["x_mm"], abs=1e-6)
            assert found["placements"][k]["y_mm"] == pytest.approx(one["y_mm"], abs=1e-6)
    assert found["bound_mm"] <= lay["length_mm"], "what holds for pins is not said of the plan"
