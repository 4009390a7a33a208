"""A strip packing engine on open cloth: no lay of its own is shorter than what is proved here."""

import pytest

from benchmarks.lay import spyrrow_length
from benchmarks.outfits import sets
from cutting.lay.search.bounds import proved
from cutting.lay.search.model import Model
from cutting.lay.search.relaxed import proved_by_model
from cutting.plan import plan


@pytest.mark.parametrize("name", ["two tops, 60", "palazzo, bodice, 54"])
def test_no_lay_of_another_engine_is_under_the_proof(name):
    section = plan(sets("open")[name], by_width=False).laid.sections[0]
    model = Model.of(section.items, section.table)
    least = proved_by_model(model, proved(model).reach, section.best.lay.reach, 0.3)
    theirs = spyrrow_length(section.items, section.table.depth, 1, seed=1)
    assert least <= theirs + 0.05
    assert least >= 0.7 * theirs
