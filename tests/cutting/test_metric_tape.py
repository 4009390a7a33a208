"""In a job in centimetres every amount that a rule adds can be read on a metric tape: METHODS rule 14, Plavet's own."""

import re
from fractions import Fraction

import pytest

from cutting.errors import CuttingError
from cutting.formats import plan_to_wire, read_job
from cutting.kinds import KINDS
from cutting.lengths import Fixed, Scaled, Sum, inch, on_tape
from cutting.plan import plan
from cutting.words.en.choices import CHOICES, RULES
from cutting.words.inches import as_taped
from shop.bridge.designing import design
from tests.jobs import FIVE, STYLES_BY_METHOD, job, of_body, top_job

HALF_CM = 5


@pytest.mark.parametrize(
    ("inches", "cm"),
    [(1, 2.5), (0.5, 1.5), (0.25, 0.5), (1.5, 4), (2, 5), (3, 7.5), (0, 0), (-0.25, -0.5), (4, 10), (5.5, 14)],
)
def test_an_inch_of_a_rule_is_the_nearest_half_centimetre_on_a_metric_tape(inches, cm):
    with on_tape("cm"):
        assert inch(Fraction(inches)).mm == cm * 10
    assert inch(Fraction(inches)).mm == pytest.approx(inches * 25.4)


def leaves(length):
    if isinstance(length, Sum):
        return [leaf for term in length.terms for leaf in leaves(term)]
    return leaves(length.of) if isinstance(length, Scaled) else [length]


@pytest.mark.parametrize(("style", "method"), STYLES_BY_METHOD)
def test_every_amount_in_every_sum_is_on_the_metric_tape(style, method):
    if method == "quarter-bust":
        made = plan(read_job(top_job("middle", style, sleeve=None)), by_width=False)
    else:
        made = of_body(
            "middle", method, style, pockets=["in-seam", "back-patch"] if "pockets" not in unused(method) else None
        )
    sums = [one for garment in made.garments for number in garment.numbers.values() for one in (number.net, number.cut)]
    sums += [tape.length for garment in made.garments for _, tape in garment.tapes()]
    sums += [notion.length for garment in made.garments for notion in garment.notions if notion.length is not None]
    amounts = [leaf for one in sums for leaf in leaves(one) if isinstance(leaf, Fixed)]
    assert [leaf for leaf in amounts if leaf.size % HALF_CM] == []
    assert len(amounts) > 20
    stops = [one.code for one in made.findings if one.weight == "stop"]
    assert stops == []


def unused(method):
    return KINDS["lower"].unused(method)


def test_a_length_that_was_typed_stays_as_it_was_typed():
    raw = job(style="straight-trousers", hem="1 1/4 in", side_raise="7 mm") | {"unit": "cm"}
    raw["measurements"] = FIVE["middle"]
    made = plan(read_job(raw), by_width=False).garments[0]
    assert made.ask.hem.mm == pytest.approx(1.25 * 25.4)
    assert made.ask.side_raise.mm == 7
    assert (made.ask.allowances.side.mm, made.ask.allowances.waist.mm, made.ask.band_depth.mm) == (25, 15, 40)


@pytest.mark.parametrize(("style", "method"), STYLES_BY_METHOD[::3])
def test_no_sentence_of_a_metric_job_speaks_of_inches(style, method):
    raw = job(style=style, **({} if method == "quarter-bust" else {"heading": 5}))
    if method == "quarter-bust":
        raw = top_job("middle", style)
    else:
        raw |= {"unit": "cm", "measurements": FIVE["middle"]}
        raw["garments"][0]["method"] = method
    asked = design(raw)
    said = [text for group in asked.groups for row in group.rows for text in (row.legend, row.hint, row.usually)]
    said += [
        text
        for group in asked.groups
        for row in group.rows
        for option in row.options
        for text in (option.label, option.says, option.dead)
    ]
    try:
        wire = plan_to_wire(plan(read_job(raw), by_width=False))
    except CuttingError:
        wire = {"marks": [], "findings": [], "checks": [], "numbers": {}}
    said += [mark[key] for mark in wire["marks"] for key in ("say", "reason", "formula")]
    said += [finding["words"] for finding in wire["findings"]]
    said += [
        text for check in wire["checks"] for text in (check["says"], check["left"]["label"], check["right"]["label"])
    ]
    said += [number[key] for number in wire["numbers"].values() for key in ("formula", "cut_formula")]
    assert [text for text in said if re.search(r"[0-9] in\b", text)] == []


def test_words_turn_their_own_inches_and_no_others():
    assert as_taped("2 to 3 in, at 1/2 in and 1 1/2 in.", "cm") == "5 to 7.5 cm, at 1.5 cm and 4 cm."
    assert as_taped("2 to 3 in", "in") == "2 to 3 in"
    assert as_taped("{used} in all, cut in four", "cm") == "{used} in all, cut in four"
    texts = [text for table in CHOICES.values() for words in table.values() for text in words]
    texts += [text for table in RULES.values() for rules in table.values() for text in rules.values()]
    assert not [text for text in texts if re.search(r"[0-9] in\b", as_taped(text, "cm"))]
