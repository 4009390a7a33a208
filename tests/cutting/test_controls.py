"""Control tapes at a table where marks slip: chalked by the words alone, read to a sixteenth, and judged.

Chalk and tape are the cutter of follower.py, who knows nothing of how the tapes were chosen.
"""

import json
from math import hypot
from pathlib import Path

import numpy as np
import pytest

from cutting.controls import FEWEST, LONGEST, MOST, SHORTEST
from cutting.formats import keep, read_job
from cutting.formats.controls_v1 import calls_of_piece, tapes_of, verdict_of
from cutting.formats.plan_v1 import read_kept
from cutting.plan import plan
from cutting.words import ENGLISH
from tests.conftest import some
from tests.cutting.follower import Chalk
from tests.cutting.test_calls import EDGES_OF_CLOTH, traced
from tests.jobs import FIVE, STYLES_BY_METHOD, UPPER, job

SIXTEENTH, WRONG = 25.4 / 16, 25.4 * 3 / 8
WORKS = sorted((Path(__file__).parents[2] / "demo/jobs").rglob("*.json"))
BODIES = ("front", "back", "leg", "sleeve")


class Table:
    """A plan on the table: any of its panels is chalked anew, with tapes that are read wrong or rounded."""

    def __init__(self, raw):
        self.kept = keep(plan(read_job(raw), by_width=False))
        self.wire = read_kept(self.kept, ENGLISH, "in").model_dump(by_alias=True)
        self.known = {}
        self.panels = {(mark["garment"], mark["panel"]) for mark in self.wire["marks"]}

    def placing(self, garment, panel):
        marks = [one for one in self.wire["marks"] if (one["garment"], one["panel"]) == (garment, panel)]
        return self.wire["lay"]["placements"][marks[0]["placing"]]

    def chalked(self, garment, panel, slips=(), rounded=False):
        """The panel as it is chalked; `slips` by the number of a call, in mm."""
        here = self.placing(garment, panel)
        chalk = Chalk(here["turned"])
        table = self.wire["lay"]["sections"][here["section"]]
        chalk.lines |= EDGES_OF_CLOTH | {"the far fold": ((0, max(table["folds_mm"], default=0)), (1, 0))}
        if panel == "back" and (garment, "front") in self.panels:
            chalk.front = self.chalked(garment, "front")
        for said in self.wire["marks"]:
            if (said["garment"], said["panel"]) != (garment, panel) or said["code"].startswith("second_"):
                continue
            if "the front's " in said["say"] and hasattr(chalk, "front"):
                traced(chalk, self.placing(garment, "front"), here)
            off = dict(slips).get(said["n"], 0.0)
            if rounded and said["stage"] != "place":
                step = SIXTEENTH if self.wire["unit"] == "in" else 1.0
                off += round(said["reads_mm"] / step) * step - said["reads_mm"]
            chalk.call(said | {"reads_mm": said["reads_mm"] + off})
        return chalk

    def tapes(self, garment, panel):
        calls = calls_of_piece(self.kept, garment, panel)
        if (garment, panel) not in self.known:
            self.known[garment, panel] = tapes_of(calls, panel, self.kept, ENGLISH)
        return calls, *self.known[garment, panel]

    def judged(self, garment, panel, chalk, chance):
        """What the product says of the tapes as they are read on this chalk, each to a sixteenth."""
        calls, made, said = self.tapes(garment, panel)
        read = {}
        for one in said:
            a, b = chalk.points[one.from_], chalk.points[one.to]
            read[one.n] = hypot(a[0] - b[0], a[1] - b[1]) + chance.uniform(-SIXTEENTH, SIXTEENTH)
        return verdict_of(calls, made, read, ENGLISH, "in")

    def marks(self, garment, panel):
        """The numbers of the calls that others depend on, or that are corners and darts: which have a tape."""
        return [
            one["n"] for one in self.wire["marks"]
            if (one["garment"], one["panel"]) == (garment, panel) and one["kind"] in ("line", "point")
            and one["stage"] != "place" and one["code"] != "point_of" and one["shown"]
        ]  # fmt: skip

    def moved(self, garment, panel, one, other):
        """How far what is drawn moved, in mm: the outline, and every dart."""
        darts = [name for name in one.points if "dart's" in name]
        far = [hypot(*(a - b for a, b in zip(one.points[k], other.points[k], strict=True))) for k in darts]
        return max([one.outline().hausdorff_distance(other.outline()), *far])


def tables():
    chosen = some(WORKS, 9) + some([(s, m) for s, m in STYLES_BY_METHOD], 23)
    for one in chosen:
        if isinstance(one, Path):
            raw = json.loads(one.read_text())
        else:
            style, method = one
            raw = job(cloth={"width": "129 in", "fold": "open"}) | {
                "unit": "cm", "measurements": FIVE["middle"] | UPPER["middle"],
            }  # fmt: skip
            raw["garments"] = [{"id": "g", "style": style, "method": method, "choices": {}}]
        table = Table(raw)
        if table.wire["lay"]:
            yield table


@pytest.fixture(scope="module")
def all_tables():
    return list(tables())


def test_a_single_wrong_mark_over_three_eighths_is_found_and_named(all_tables):
    chance = np.random.default_rng(7)
    wrong, missed = 0, []
    for table in all_tables:
        for garment, panel in sorted(table.panels):
            if panel not in BODIES:
                continue
            right = table.chalked(garment, panel)
            for number in table.marks(garment, panel):
                slip = chance.choice((-1, 1)) * chance.uniform(WRONG, 3 * WRONG)
                try:
                    chalk = table.chalked(garment, panel, {number: slip})
                except (AssertionError, StopIteration, IndexError):
                    continue  # so far off that a later tape has nothing to start at: the cutter sees it
                if table.moved(garment, panel, right, chalk) < WRONG / 2:
                    continue  # a line that nothing of this garment's outline is measured by
                wrong += 1
                said = table.judged(garment, panel, chalk, chance)
                if said.agrees or number not in [one.call for one in said.suspects]:
                    missed.append((garment, panel, number, round(slip), said))
    assert wrong > 100
    assert len(missed) <= wrong / 10, (len(missed), wrong, missed)


def test_honest_chalk_read_to_a_sixteenth_raises_no_alarm(all_tables):
    chance = np.random.default_rng(3)
    for table in all_tables:
        for garment, panel in sorted(table.panels):
            chalk = table.chalked(garment, panel, rounded=True)
            for _ in range(3):
                said = table.judged(garment, panel, chalk, chance)
                assert said.may_cut, (garment, panel)
                assert said.agrees, (garment, panel, said)


def test_a_panel_has_three_to_six_tapes_that_no_mark_was_made_with(all_tables):
    for table in all_tables:
        for garment, panel in sorted(table.panels):
            _, made, said = table.tapes(garment, panel)
            assert not made or FEWEST <= len(made) <= MOST
            assert made or panel not in BODIES, (garment, panel)
            here = [one for one in table.wire["marks"] if (one["garment"], one["panel"]) == (garment, panel)]
            measured = [{one["from"], one["known"]} for one in here]
            chalk = table.chalked(garment, panel)
            for one in said:
                assert {one.from_, one.to} not in measured
                a, b = chalk.points[one.from_], chalk.points[one.to]
                assert abs(hypot(a[0] - b[0], a[1] - b[1]) - one.mm) < 1.0
                assert SHORTEST <= one.mm <= LONGEST


def test_what_a_wrong_mark_does_is_said():
    """The crotch point 1 in too far out: by the trade the inner leg and the crotch seam change, the side does not."""
    table = Table(json.loads((Path(__file__).parents[2] / "demo/jobs/choir-palazzo.json").read_text()))
    garment, panel, chance = "trousers", "front", np.random.default_rng(1)
    number = next(one["n"] for one in table.wire["marks"] if one["panel"] == panel and one["name"] == "Crotch point")
    said = table.judged(garment, panel, table.chalked(garment, panel, {number: 25.4}), chance)
    first = said.suspects[0]
    assert not said.may_cut
    assert first.call == number
    assert first.says.startswith("Crotch point: its tape was ")
    assert " too long; so the " in first.says
    assert "centre" in first.says
    assert "side" not in first.says
