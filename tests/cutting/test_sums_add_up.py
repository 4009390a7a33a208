"""Every sum that is shown comes, with the client's numbers, to the number beside it: in both units, for all styles."""

import re
from fractions import Fraction

import pytest

from cutting.export.text import plan_to_text
from cutting.formats import keep, plan_to_wire, read_job, read_kept
from cutting.plan import plan
from cutting.words import ENGLISH
from tests.conftest import some
from tests.jobs import FIVE, STYLES_BY_METHOD, UPPER, job, of_body, planned

MIXED = re.compile(r"(?<![\d./])(\d+) (\d+/\d+)")


@pytest.mark.parametrize(
    ("style", "method", "unit"),
    [(*pair, unit) for start, unit in enumerate(("in", "cm")) for pair in some(STYLES_BY_METHOD, 2, start)],
    ids=lambda one: one,
)
def test_every_sum_adds_up_to_its_number(style, method, unit):
    """With the client's numbers, and rounded to two decimals a term, a sum comes to what is shown beside it; one that is
    called has at most four terms.
    """
    sizes = FIVE["middle"] | UPPER["middle"]
    raw = job(cloth={"width": "60 in"}) | {"unit": "cm", "measurements": sizes}
    raw["garments"] = [{"id": "g", "style": style, "method": method}]
    read = read_kept(keep(plan(read_job(raw), by_width=False)), ENGLISH, unit).model_dump(by_alias=True)
    one = 25.4 if unit == "in" else 10
    rows = [(key, row["with"], row["cut_mm"]) for key, row in read["numbers"].items()]
    rows += [(mark["say"], mark["with"], mark["reads_mm"]) for mark in read["marks"] if mark["shown"]]
    for name, text, mm in rows:
        assert not re.search(r"[-+] -", text), name
        sum_of = MIXED.sub(r"(\1+\2)", text).replace(" x ", "*")
        assert re.fullmatch(r"[0-9+\-*/(). ]+", sum_of), text
        terms = 1 + len(re.findall(r" [-+] ", text))
        assert terms <= 4 or name in read["numbers"], (name, text)
        assert eval(sum_of) * one == pytest.approx(mm, abs=0.55 * terms), (name, text)  # noqa: S307  # only arithmetic


def read_row(line):
    """The numbers of a row of the ledger in words; an empty place is nothing."""
    cells = [line[at : at + 9].split() for at in range(10, 10 + 9 * ((len(line) - 10) // 9), 9)]
    return [float(sum(map(Fraction, cell))) for cell in cells]


@pytest.mark.parametrize("finish", ["straight-band", "half-elastic", "elastic-band", "casing", "paper-bag"])
def test_the_ledger_in_words_adds_up(finish):
    text = plan_to_text(planned(style="straight-trousers", waist_finish=finish, hem_width="22"))
    head, *rows = text[text.index("All round") :].split("\n\n")[0].splitlines()[1:]
    names = head.split()
    assert ("gathers" in names) == (finish != "straight-band")
    for line in rows:
        row = dict(zip(names, read_row(line.removesuffix("  !")), strict=True))
        left = row["cut"] - row["seams"] - row["darts"] - row.get("gathers", 0)
        assert left == pytest.approx(row["sewn"], abs=4 / 16), line


def test_a_back_dart_is_said_to_be_where_it_is():
    """On the crease in front; behind it is in the middle of the panel, and says so."""
    numbers = plan_to_wire(of_body("middle", "half-thigh", "straight-trousers"))["numbers"]
    front, back = (numbers[f"trousers.{panel}.dart_place"] for panel in ("front", "back"))
    assert "crease" in front["formula"]
    assert "crease" not in back["formula"]
    assert back["net_mm"] == pytest.approx(numbers["trousers.back.waist_width"]["net_mm"] / 2, abs=1e-6)
