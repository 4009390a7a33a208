"""Every sum that is shown comes, with the client's numbers, to the number beside it: in both units, for all styles."""

import re

import pytest

from cutting.formats import keep, read_job, read_kept
from cutting.kinds import KINDS
from cutting.plan import plan
from cutting.words import ENGLISH
from tests.jobs import FIVE, UPPER, job

MADE = [(style, method) for kind in KINDS.values() for style in kind.styles for method in kind.methods_for(style)]

MIXED = re.compile(r"(?<![\d./])(\d+) (\d+/\d+)")


@pytest.mark.parametrize("unit", ["in", "cm"])
@pytest.mark.parametrize(("style", "method"), MADE, ids=lambda one: one)
def test_every_sum_adds_up_to_its_number(style, method, unit):
    """With the client's numbers, and rounded to two decimals a term, a sum comes to what is shown beside it."""
    sizes = FIVE["middle"] | UPPER["middle"]
    raw = job(cloth={"width": "60 in"}) | {"unit": "cm", "measurements": sizes}
    raw["garments"] = [{"id": "g", "style": style, "method": method}]
    read = read_kept(keep(plan(read_job(raw), by_width=False)), ENGLISH, unit).model_dump(by_alias=True)
    one = 25.4 if unit == "in" else 10
    rows = [(key, row["with"], row["cut_mm"]) for key, row in read["numbers"].items()]
    rows += [(mark["say"], mark["with"], mark["reads_mm"]) for mark in read["marks"]]
    for name, text, mm in rows:
        assert not re.search(r"[-+] -", text), name
        sum_of = MIXED.sub(r"(\1+\2)", text).replace(" x ", "*")
        assert re.fullmatch(r"[0-9+\-*/(). ]+", sum_of), text
        terms = 1 + len(re.findall(r" [-+] ", text))
        assert eval(sum_of) * one == pytest.approx(mm, abs=0.55 * terms), (name, text)  # noqa: S307  # only arithmetic
